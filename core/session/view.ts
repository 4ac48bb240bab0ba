import type { Instant, Revision, Session, TamboEvent } from '#core/contract';
import {
  coolingClock,
  scheduleTasks,
  tasksFor,
  type CoolingClock,
  type Kitchen,
  type Progress,
  type Schedule,
  type Task,
} from '#core/cook';
import { minutesBetween, sayPortions } from '#core/kitchen';
import type { Dish } from '#core/plan';
import { burnersOf, splitPot, type ScaledRecipe } from '#core/recipe';
import { shoppingList, tickNote, type ShopLine } from '#core/shop';
import { freeNow, momentOf, roomIn, sharesOf, type PackState } from '#core/store';
import { baseNeeds, drawnMl, type BaseNeed } from './bases.ts';
import { batchView, portionMlOf, standingOf, type BatchView } from './batch.ts';
import { fitCheck, type Fit } from './fit.ts';
import { sessionLog, type TaskLog } from './log.ts';
import { sessionState, type SessionState } from './state.ts';
import type { World } from './world.ts';

export interface ListedLine extends ShopLine {
  /** The newest event about it. */
  seen: string;
  ticked?: 'bought' | 'haveIt';
  tickNote?: string;
}

export interface TaskView extends Task {
  /** The newest event about it. */
  seen: string;
  log?: TaskLog;
  /** Minutes from now (or from the session's start before it has begun). */
  startMin?: number;
  endMin?: number;
  cook?: string;
}

export interface SessionView {
  session: Session;
  state: SessionState;
  batches: BatchView[];
  /** Its dishes by name, for whoever needs no more of them. */
  dishes: { batchId: string; name: string; kind: Revision['kind'] }[];
  /** Batches whose recipe is gone or may not be planned yet. */
  missing: { batchId: string; recipeId: string }[];
  list: { id: string; name: string; lines: ListedLine[] }[];
  tasks: TaskView[];
  schedule?: Schedule;
  scheduleError?: string;
  /** What the cook wanted to do otherwise this time. */
  notes: { recipeId: string; name: string; text: string }[];
  /** What dishes draw from bases, made here or in store. */
  bases: BaseNeed[];
  cooling: (CoolingClock & { batchId: string; name: string })[];
  fit: Fit;
}

/** How far a task that was started has come: hands first, then what minds itself. */
function progressOf(task: Task, log: TaskLog, now: Instant): Progress {
  if (log.state !== 'running') return { state: log.state };
  const gone = log.startedAt ? Math.max(0, minutesBetween(log.startedAt, now)) : 0;
  const hands = Math.max(0, task.handsOnMin - gone);
  const total = task.handsOnMin + task.waitMin + log.extraMin;
  return { state: 'running', handsLeftMin: hands, waitLeftMin: Math.max(0, total - gone - hands) };
}

/** What a session comes to before anything is logged: amounts, list and work of every batch whose recipe is known. */
interface Planned {
  found: { batch: Session['batches'][number]; revision: Revision | undefined }[];
  dishes: Dish[];
  list: ReturnType<typeof shoppingList>;
  tasks: Task[];
  /** Of each base batch, what goes into other dishes. */
  drawn: Map<string, number>;
}

/** Notes for next time that no revision has taken up. */
function notesOf(recipeId: string, revision: Revision, world: World): SessionView['notes'] {
  const open = (world.recipe(recipeId)?.recipe.notes ?? []).filter((n) => !n.doneIn).map((n) => n.text);
  return [...(revision.note ? [revision.note] : []), ...open].map((text) => ({ recipeId, name: revision.name, text }));
}

/** Salt of the portions that stay, where some are dipped out before it. */
function saltOuts(batch: Session['batches'][number], scaled: ScaledRecipe, world: World): Map<string, string> | undefined {
  if (!batch.unsalted) return undefined;
  const split = splitPot(scaled, batch.unsalted, {
    finder: world.finder,
    scaleStepG: world.household.scaleStepG,
    units: world.household.units,
  });
  if (!split.ok) return undefined;
  return new Map(
    split.split.salt.map((s) => [s.lineId, `first dip out ${sayPortions(split.split.unsalted)} without salt; then for the rest ${s.out}`]),
  );
}

function plan(session: Session, world: World): Planned {
  const found = session.batches.map((batch) => ({ batch, revision: world.revision(batch.revisionId) }));
  const make = (): Planned => {
    const dishes = found.flatMap(({ batch, revision }): Dish[] => {
      const r = revision && world.scale(revision, batch.portions, batch.yieldFactor);
      if (!revision || !r?.ok) return [];
      const outs = saltOuts(batch, r.scaled, world);
      return [{ batch, revision, scaled: r.scaled, ...(outs && { outs }) }];
    });
    return {
      found,
      dishes,
      drawn: drawnMl(dishes, world),
      list: shoppingList(dishes, world.finder, world.household.units),
      tasks: tasksFor(dishes, world.finder, { times: world.times, units: world.household.units }),
    };
  };
  // a recipe that is not known yet may come
  return found.every((f) => f.revision) ? world.memo([session, world.finder, world.household], 'plan', make) : make();
}

/** What both the whole view and its short form begin with: the plan, what was logged, and whose each task is. */
function prepare(session: Session, events: readonly TamboEvent[], world: World) {
  const log = sessionLog(events);
  const { found, list, tasks: all, dishes, drawn } = plan(session, world);
  const known = found.flatMap(({ batch, revision }) => (revision ? [{ batch, revision }] : []));
  const cooks = new Set(session.cooks.map((c) => c.id));
  const tasks = all.map((t): Task => {
    const cookId = log.cooks.get(t.id);
    return cookId && cooks.has(cookId) ? { ...t, cookId } : t;
  });
  return { log, found, known, list, tasks, dishes, drawn };
}

/**
 * Where a session stands, for lists and headers: no schedule, no containers.
 * @example sessionStanding(saturday, events, packs, world).state.next // 'cooked'
 */
export function sessionStanding(
  session: Session,
  events: readonly TamboEvent[],
  packs: readonly PackState[],
  world: World,
): { state: SessionState; dishes: string[] } {
  const { log, known, list, tasks, drawn } = prepare(session, events, world);
  return {
    state: sessionState(
      known.map(
        ({ batch, revision }) =>
          standingOf({ batch, revision, log, packs, list, tasks, drawnMl: drawn.get(batch.id) ?? 0, containers: world.containers }).flags,
      ),
    ),
    dishes: known.map((k) => k.revision.name),
  };
}

/** Machines of which there are only so many; of a kind that nobody entered there are enough. */
const limiting = ['oven', 'steamer', 'blender', 'processor', 'microwave', 'pot'] as const;

/**
 * A session as every station sees it: one place where its numbers come from, so that they agree from page to page.
 * @param packs packs filled from this session, empty ones too
 * @example sessionView(saturday, events, packs, world, now).fit.fits // true
 */
export function sessionView(
  session: Session,
  events: readonly TamboEvent[],
  packs: readonly PackState[],
  world: World,
  now: Instant,
): SessionView {
  const { log, found, known, list, tasks, dishes, drawn } = prepare(session, events, world);
  const capacity: Kitchen['capacity'] = { hob: burnersOf(world), oven: 1 };
  for (const kind of limiting) {
    const count = world.equipment.filter((e) => e.kind === kind).reduce((s, e) => s + e.count, 0);
    if (count > 0) capacity[kind] = count;
  }
  const progress = new Map(
    tasks.flatMap((t): [string, Progress][] => {
      const l = log.tasks.get(t.id);
      return l ? [[t.id, progressOf(t, l, now)]] : [];
    }),
  );
  const planned = scheduleTasks(tasks, { cooks: session.cooks, capacity }, progress);
  const slots = new Map(planned.ok ? planned.schedule.slots.map((s) => [s.taskId, s]) : []);

  const freeAtFirst = freeNow(world.containers, world.usage).map(({ container, free }) => ({ container, free }));
  let frees = freeAtFirst;
  const batches: BatchView[] = [];
  for (const { batch, revision } of known) {
    const { view, frees: left } = batchView({ batch, revision, log, packs, frees, list, tasks, drawnMl: drawn.get(batch.id) ?? 0 }, world);
    batches.push(view);
    frees = left;
  }
  const weighedPortions = new Map(batches.map((b) => [b.batch.id, b.yield.ml / portionMlOf(b.revision)]));
  const { stock } = sharesOf(world.packs, momentOf(world.household, world.figures, now));
  const bases = baseNeeds(dishes, { ...world, packs: stock }, (batch) => weighedPortions.get(batch.id) ?? batch.portions);
  const freezers = world.places.filter((p) => p.kind === 'freezer' || p.kind === 'chest');
  const hours = tasks.length > 0 && planned.ok ? planned.schedule : undefined;
  const cooling = batches.flatMap((b) => {
    const own = tasks.filter((t) => t.step?.batchId === b.batch.id);
    const last = own.at(-1);
    const done = last && log.tasks.get(last.id);
    return own.length > 0 &&
      done?.state === 'done' &&
      done.endedAt &&
      !b.flags.packed &&
      b.revision.kind !== 'kit' &&
      !b.revision.raw &&
      own.some((t) => t.needs.length > 0)
      ? [{ ...coolingClock(done.endedAt, now, world.figures), batchId: b.batch.id, name: b.revision.name }]
      : [];
  });
  return {
    session,
    state: sessionState(batches.map((b) => b.flags)),
    batches,
    dishes: known.map(({ batch, revision }) => ({ batchId: batch.id, name: revision.name, kind: revision.kind })),
    missing: found.filter((f) => !f.revision).map(({ batch }) => ({ batchId: batch.id, recipeId: batch.recipeId })),
    list: list.map((s) => ({
      ...s,
      lines: s.lines.map((line): ListedLine => {
        const tick = log.ticks.get(line.key);
        const note = tick && tickNote(tick, line, world.household.units);
        return { ...line, seen: log.seen.get(line.key) ?? session.id, ...(tick && { ticked: tick.how }), ...(note && { tickNote: note }) };
      }),
    })),
    tasks: tasks
      .map((task): TaskView => {
        const slot = slots.get(task.id);
        const l = log.tasks.get(task.id);
        const cook = session.cooks.find((c) => c.id === slot?.cookId)?.name;
        return {
          ...task,
          seen: log.seen.get(task.id) ?? session.id,
          ...(l && { log: l }),
          ...(slot && { startMin: slot.startMin, endMin: slot.endMin }),
          ...(slot && { cookId: slot.cookId }),
          ...(cook && { cook }),
        };
      })
      .sort((a, b) => (a.startMin ?? -1) - (b.startMin ?? -1)),
    ...(planned.ok
      ? { schedule: planned.schedule }
      : { scheduleError: `These steps wait for each other in a circle: ${planned.taskIds.join(', ')}` }),
    notes: known.flatMap(({ batch, revision }) => notesOf(batch.recipeId, revision, world)),
    bases,
    cooling,
    fit: fitCheck({
      figures: world.figures,
      units: world.household.units,
      batches,
      bases,
      frees: freeAtFirst,
      schedule: hours,
      rooms: freezers.map((f) => roomIn(f, stock)),
      freezers,
    }),
  };
}
