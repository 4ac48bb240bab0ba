import type { Day, EventData, EventType, Id, Prep } from '#core/contract';
import { again, type Act } from './act.ts';

/** A task of a session as a page shows it: what it is called, and the newest event the page had seen of it. */
export interface SeenTask {
  sessionId: Id;
  taskId: string;
  /** Its title, so that History can say it whatever becomes of the recipe. */
  what: string;
  /** What is prepared, when it is preparation. */
  prep?: Prep | undefined;
  seen: string;
}

/** A dish of a session as a page shows it. */
export interface SeenDish {
  sessionId: Id;
  batchId: Id;
  seen: string;
}

type TaskType = 'taskStarted' | 'taskHanded' | 'taskDone' | 'taskSkipped' | 'taskReopened' | 'taskExtended';
const onTask = <T extends TaskType>(
  type: T,
  { sessionId, taskId, what, prep, seen }: SeenTask,
  more: Omit<EventData<T>, 'sessionId' | 'taskId' | 'what' | 'prep'>,
  meant: string | typeof again = seen,
): Act => ({ type, subjects: [sessionId], seen: meant, data: { sessionId, taskId, what, ...(prep && { prep }), ...more } }) as Act;

/** A cook begins a task. @example startTask(dicing, 'joaquim') */
export const startTask = (task: SeenTask, cookId?: Id): Act => onTask('taskStarted', task, cookId === undefined ? {} : { cookId });
/** A task is another cook's from now on. @example handOver(dicing, 'c_osk') */
export const handOver = (task: SeenTask, cookId: Id): Act => onTask('taskHanded', task, { cookId });
/** A task is done, in so many minutes when they are known. @example finishTask(dicing, 18) */
export const finishTask = (task: SeenTask, actualMin?: number): Act =>
  onTask('taskDone', task, actualMin === undefined ? {} : { actualMin });
/** A task is left out. @example skipTask(garnishing) */
export const skipTask = (task: SeenTask): Act => onTask('taskSkipped', task, {});
/** A task that was skipped or done by mistake is taken up again. @example reopenTask(garnishing) */
export const reopenTask = (task: SeenTask): Act => onTask('taskReopened', task, {});
/** A task's clock gets more minutes, each time it is asked for. @example extendTask(simmering, 5) */
export const extendTask = (task: SeenTask, minutes: number): Act => onTask('taskExtended', task, { minutes }, again);

const onDish = <T extends EventType>(type: T, { sessionId, seen }: SeenDish, data: EventData<T>): Act =>
  ({ type, subjects: [sessionId], seen, data }) as Act;

/**
 * What came out of a pot, by scale, ruler or ladle.
 * @example weigh(stewOfSaturday, { grossG: 7000, tareG: 3000, netG: 4000, volumeMl: 3800 })
 */
export const weigh = (dish: SeenDish, measured: Omit<EventData<'weighed'>, 'batchId'>): Act =>
  onDish('weighed', dish, { batchId: dish.batchId, ...measured });
/** What is eaten from the pot the same evening. @example eatTonight(stewOfSaturday, '2026-11-28', 800) */
export const eatTonight = (dish: SeenDish, day: Day, volumeMl: number): Act =>
  onDish('eatenTonight', dish, { batchId: dish.batchId, day, shares: [], volumeMl });
/**
 * Nothing more of a dish is packed.
 * @example closePacking({ sessionId: saturday, batchId: stew, seen }) // what is left in the pot is not packed
 */
export const closePacking = (dish: SeenDish): Act => onDish('packingClosed', dish, { batchId: dish.batchId });

/**
 * What was bought of a food and what was left of it to cook with.
 * @example trim('leek', 1000, 550, seen) // a kilo of leeks, 550 g of it to cook with
 */
export const trim = (ingredientId: Id, boughtG: number, usableG: number, seen: string): Act => ({
  type: 'trimmed',
  subjects: [ingredientId],
  seen,
  data: { ingredientId, boughtG, usableG },
});
