import type { Instant, Kind } from '#core/contract';
import { minutesBetween } from '#core/kitchen';
import { shortTitle } from './titles.ts';
import type { SessionView, TaskView } from './view.ts';

/** What one cook has in hand. */
export interface CookNow {
  cookId: string;
  name: string;
  task?: TaskView;
  /** Its hands-on part has begun, or its time is up and it must be looked at. */
  state?: 'running' | 'up' | 'next';
  /** Minutes until it can begin, when something must come free first. */
  inMin?: number;
  /** Open tasks of this cook after this one. */
  after: TaskView[];
}

/** A clock that runs: a task that minds itself, or a pot that cools. */
export interface RunningTimer {
  id: string;
  dish: string;
  /** Spoken and shown: what it is, in few words. */
  name: string;
  kind: Kind;
  cook?: string;
  leftMin: number;
  cue?: string;
  /** A limit of the food's, not a task's end. */
  limit: boolean;
}

const isOpen = (t: TaskView): boolean => t.log === undefined;
/**
 * Whether nothing is left to do of a task: it is done, or was left out.
 * @example isClosed(dicing) // false, while nobody has done it
 */
export const isClosed = (t: TaskView): boolean => t.log?.state === 'done' || t.log?.state === 'skipped';

/**
 * Minutes a started task still has, from its start on the clock; all of it for one that has not begun.
 * @example leftOf(simmering, now) // minutes until it is to be looked at
 */
export const leftOf = (t: TaskView, now: Instant): number => {
  const all = t.handsOnMin + t.waitMin + (t.log?.extraMin ?? 0);
  return t.log?.startedAt ? all - minutesBetween(t.log.startedAt, now) : all;
};

/** Of a clock that runs, less than this share has passed, and more minutes are left: “done” is then likely a slip of the hand. */
const early = { share: 0.25, leftMin: 5 } as const;

/**
 * Whether a task is called done so early on its clock that it is worth a question.
 * @example doneEarly(simmering, now) // true ten seconds into 53 minutes
 */
export function doneEarly(t: TaskView, now: Instant): boolean {
  if (t.log?.state !== 'running' || t.log.startedAt === undefined || t.waitMin <= 0) return false;
  const all = t.handsOnMin + t.waitMin + t.log.extraMin;
  const left = leftOf(t, now);
  return left > early.leftMin && all - left < all * early.share;
}

/**
 * Each cook's next task: what is in their hands, then what is up and must be looked at, then the next that may begin.
 * @param free ids of started tasks whose hands-on part is over sooner than planned: they mind themselves
 * @example cooksNow(view, now)[0]?.task?.title // 'Dice onion, 10 mm'
 */
export function cooksNow(view: Pick<SessionView, 'session' | 'tasks'>, now: Instant, free: ReadonlySet<string> = new Set()): CookNow[] {
  const closed = new Set(view.tasks.filter(isClosed).map((t) => t.id));
  const known = new Set(view.tasks.map((t) => t.id));
  const mayBegin = (t: TaskView): boolean => t.after.every((a) => closed.has(a) || !known.has(a));
  const first = view.session.cooks[0]?.id;
  return view.session.cooks.map(({ id, name }): CookNow => {
    const mine = view.tasks.filter((t) => (t.cookId ?? first) === id);
    const open = mine.filter(isOpen).toSorted((a, b) => (a.startMin ?? 0) - (b.startMin ?? 0));
    const running = mine.filter((t) => t.log?.state === 'running');
    const hands = running.find((t) => !free.has(t.id) && t.log?.startedAt && minutesBetween(t.log.startedAt, now) < t.handsOnMin);
    const up = running.filter((t) => leftOf(t, now) <= 0).toSorted((a, b) => leftOf(a, now) - leftOf(b, now))[0];
    const next = open.find(mayBegin);
    const task = hands ?? up ?? next;
    if (!task) return { cookId: id, name, after: open };
    const state = task === hands ? 'running' : task === up ? 'up' : 'next';
    return {
      cookId: id,
      name,
      task,
      state,
      ...(state === 'next' && (task.startMin ?? 0) >= 1 && { inMin: task.startMin ?? 0 }),
      after: open.filter((t) => t !== task),
    };
  });
}

/**
 * Every clock that runs, the soonest first; what is in a cook's hands is no clock.
 * @example timersNow(view, now)[0]?.leftMin // 12
 */
export function timersNow(view: Pick<SessionView, 'session' | 'tasks' | 'dishes' | 'cooling'>, now: Instant): RunningTimer[] {
  const kindOf = (batchId: string | undefined): Kind => view.dishes.find((d) => d.batchId === batchId)?.kind ?? 'meal';
  const dishOf = (batchId: string | undefined): string => view.dishes.find((d) => d.batchId === batchId)?.name ?? '';
  const cookOf = (id: string | undefined): string | undefined => view.session.cooks.find((c) => c.id === id)?.name;
  const tasks = view.tasks
    .filter((t) => t.log?.state === 'running' && t.waitMin > 0)
    .map((t): RunningTimer => {
      const cook = cookOf(t.cookId);
      return {
        id: t.id,
        dish: dishOf(t.batchIds[0]),
        name: `${dishOf(t.batchIds[0])}: ${shortTitle(t.title).toLowerCase()}`,
        kind: kindOf(t.batchIds[0]),
        leftMin: leftOf(t, now),
        limit: false,
        ...(cook && { cook }),
        ...(t.cue && { cue: t.cue }),
      };
    });
  const cooling = view.cooling
    .filter((c) => c.stage !== 'over')
    .map((c): RunningTimer => ({
      id: `cool:${c.batchId}:${c.stage}`,
      dish: c.name,
      name: `${c.name}: under ${c.stage === 'to21' ? 21 : 5} °C`,
      kind: kindOf(c.batchId),
      leftMin: minutesBetween(now, c.stage === 'to21' ? c.under21By : c.under5By),
      limit: true,
    }));
  return [...tasks, ...cooling].toSorted((a, b) => a.leftMin - b.leftMin);
}

/** Minutes before a limit of the food's at which it is said aloud: time enough to act. */
const warnMin = 20;

/** What rings now: clocks that are up, limits that come near. @example alarmsOf(timersNow(view, now)) // what rings now */
export const alarmsOf = (timers: readonly RunningTimer[]): RunningTimer[] =>
  timers.filter((t) => (t.limit ? t.leftMin <= warnMin : t.leftMin <= 0));

/**
 * What a voice says of an alarm: whose it is, what it is, what to look for.
 * @example sayAlarm(timer) // 'Joaquim. Stew: simmer. Look now.'
 */
export const sayAlarm = (t: RunningTimer): string =>
  t.limit
    ? `${t.name} in ${Math.max(0, Math.round(t.leftMin))} minutes. Ice, or split it shallow.`
    : `${t.cook ? `${t.cook}. ` : ''}${t.name}. Look now.${t.cue ? ` Done when ${t.cue}.` : ''}`;
