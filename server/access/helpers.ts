import { ulid } from 'ulid';
import { finishTask, reopenTask, startTask, type Act } from '#core/commands';
import { versions, type HelpAct, type HelperLink, type TamboEvent } from '#core/contract';
import { sayTask } from '#core/cook';
import { addDays, dayOf, instantAt, minutesBetween } from '#core/kitchen';
import { cautionsFor, type CautionPlace } from '#core/safety';
import { sessionPart, type HelpAnswer } from '#core/queries';
import { isClosed, stages, type SessionView, type TaskView } from '#core/session';
import { acceptEvents } from '../events/index.ts';
import { HttpRefusal, type Context } from '../http.ts';
import { householdOf, sessionOf, sessionViewOf, settingOf } from '../session/index.ts';
import type { AccessLink } from './accessFile.ts';
import type { Door } from './door.ts';
import { newToken, tokenHash } from './passphrase.ts';

/** An evening ends when the night does. */
const endsAt = '04:00';

const zoneOf = (ctx: Context): string => householdOf(ctx.db).timeZone;

/** One-evening links: a helper's phone sees the work of one session and ticks it off; it opens nothing else and ends with the session. */
export class Helpers {
  readonly #ctx: Context;
  readonly #door: Door;
  /** Secrets are shown as long as this server runs; the file keeps their digests only. */
  readonly #shown = new Map<string, string>();
  #counter = 0;

  constructor(ctx: Context, door: Door) {
    this.#ctx = ctx;
    this.#door = door;
  }

  /** Those that still open something. */
  get list(): AccessLink[] {
    const now = this.#ctx.clock.now();
    return this.#door.file.now.links.filter((l) => l.until > now);
  }

  /** Makes a link to one session. */
  make(sessionId: string): AccessLink {
    const session = sessionOf(this.#ctx, sessionId);
    if (isOver(sessionViewOf(this.#ctx, session)))
      throw new HttpRefusal(409, `${session.name} is packed: there is nothing left to help with.`);
    const now = this.#ctx.clock.now();
    const zone = zoneOf(this.#ctx);
    const day = [session.day, dayOf(now, zone)].toSorted().at(-1) ?? session.day;
    const token = newToken();
    const link: AccessLink = { id: ulid(), tokenHash: tokenHash(token), sessionId, until: instantAt(addDays(day, 1), endsAt, zone) };
    this.#shown.set(link.id, token);
    this.#door.file.set({ links: [...this.list, link] });
    this.#door.note(`A helper’s link to ${session.name} was made; it ends with the evening`);
    return link;
  }

  end(id: string): boolean {
    const link = this.#door.file.now.links.find((l) => l.id === id);
    if (!link) return false;
    this.#door.file.set({ links: this.#door.file.now.links.filter((l) => l !== link) });
    this.#shown.delete(id);
    this.#door.note('A helper’s link was ended');
    return true;
  }

  /** The links as the household's page lists them; `base` is where the helpers' listener stands. */
  said(base: string | undefined): HelperLink[] {
    return this.list.flatMap((l) => {
      const token = this.#shown.get(l.id);
      const session = named(this.#ctx, l.sessionId);
      return session === undefined
        ? []
        : [{ id: l.id, sessionId: l.sessionId, session, until: l.until, ...(token && base && { url: `${base}/h/${token}` }) }];
    });
  }

  /** The link that a secret opens, while its evening lasts. */
  linkOf(token: string): AccessLink {
    const hash = tokenHash(token);
    const link = this.list.find((l) => l.tokenHash === hash);
    if (!link) throw new HttpRefusal(410, 'This evening is over. Ask the household for another link, if there is more to do.');
    return link;
  }

  answer(token: string): HelpAnswer {
    const link = this.linkOf(token);
    const view = this.#viewOf(link);
    const cook = sessionPart(view, 'cook');
    const { world } = settingOf(this.#ctx);
    const places = [...new Set(cook.tasks.filter((t) => !isClosed(t)).flatMap((t) => t.hazards))] as CautionPlace[];
    const cautions = cautionsFor([...places, 'cooling'], world.household.country, world.figures);
    return { now: this.#ctx.clock.now(), stopped: this.#ctx.clock.stopped, zone: zoneOf(this.#ctx), until: link.until, cook, cautions };
  }

  /** What a helper did with a task; what stands so already is not logged again. */
  act(token: string, asked: HelpAct): HelpAnswer {
    const link = this.linkOf(token);
    const view = this.#viewOf(link);
    const task = view.tasks.find((t) => t.id === asked.taskId);
    if (!task) throw new HttpRefusal(404, 'This task is not in the plan any longer. Nothing was changed.');
    const act = actOf(link.sessionId, task, asked, this.#ctx.clock.now());
    if (act) {
      this.#counter += 1;
      const event = {
        id: asked.id,
        subjects: act.subjects,
        instant: this.#ctx.clock.now(),
        device: `guest-${link.id}`,
        counter: this.#counter,
        version: versions.event,
        type: act.type,
        data: act.data,
      } as TamboEvent;
      const [answer] = acceptEvents(this.#ctx.db, [event], this.#ctx.clock.now());
      if (answer?.status === 'refused') throw new HttpRefusal(422, 'This was not kept. Look at the list again.', answer.refusals);
    }
    return this.answer(token);
  }

  /** The session's work, as long as there is any. */
  #viewOf(link: AccessLink): SessionView {
    const view = sessionViewOf(this.#ctx, sessionOf(this.#ctx, link.sessionId));
    if (isOver(view)) throw new HttpRefusal(410, 'Everything is cooked and packed. Thank you for helping.');
    return view;
  }
}

/** The last dish is packed: the evening is over, whatever the hour. */
const isOver = (view: SessionView): boolean => view.batches.length > 0 && stages.indexOf(view.state.stage) >= stages.indexOf('packed');

const named = (ctx: Context, id: string): string | undefined => {
  try {
    return sessionOf(ctx, id).name;
  } catch {
    return undefined;
  }
};

/** What is logged for it; undefined where it stands so already. */
function actOf(sessionId: string, t: TaskView, { act, cookId }: HelpAct, now: string): Act | undefined {
  const seen = { sessionId, taskId: t.id, what: sayTask(t), prep: t.prep, seen: t.seen };
  const state = t.log?.state;
  const closed = isClosed(t);
  if (act === 'start') return state === 'running' || closed ? undefined : startTask(seen, cookId);
  if (act === 'takeBack') return closed ? reopenTask(seen) : undefined;
  if (closed) return undefined;
  return finishTask(seen, t.log?.startedAt === undefined ? undefined : Math.max(0, Math.round(minutesBetween(t.log.startedAt, now))));
}
