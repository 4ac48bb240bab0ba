import type { EventData, Instant, TamboEvent } from '#core/contract';
import type { Tick } from '#core/shop';
import { byOrder, effective } from '#core/store';

export interface TaskLog {
  state: 'running' | 'done' | 'skipped';
  startedAt?: Instant;
  endedAt?: Instant;
  extraMin: number;
  actualMin?: number;
}

/** What has been logged for a session so far, folded from its events. */
export interface SessionLog {
  ticks: Map<string, Tick>;
  tasks: Map<string, TaskLog>;
  /** Whose a task is, once somebody started it or it was handed over. */
  cooks: Map<string, string>;
  weighed: Map<string, EventData<'weighed'> & { at: Instant }>;
  tonight: Map<string, number>;
  discarded: Map<string, number>;
  closed: Set<string>;
  /** The newest event about a task, a line of the list or a batch, by its key; what was taken back counts as an event. */
  seen: Map<string, string>;
}

/**
 * What each event of a session is about: a task, a line of the list or a batch; taking back is about what is taken back.
 * @returns by the event's id, in the agreed order
 * @example aboutEach(events).get(done.id) // 'prep:onion:diced:10'
 */
export function aboutEach(events: readonly TamboEvent[]): Map<string, string> {
  const about = new Map<string, string>();
  for (const e of [...events].sort(byOrder)) {
    const d = e.data as { taskId?: string; key?: string; batchId?: string };
    const key = e.type === 'undone' ? about.get(e.data.eventId) : (d.taskId ?? d.key ?? d.batchId);
    if (key !== undefined) about.set(e.id, key);
  }
  return about;
}

/** The newest event about each thing. */
const seenIn = (events: readonly TamboEvent[]): Map<string, string> => new Map([...aboutEach(events)].map(([id, key]) => [key, id]));

/** Before anything was logged. @example foldLog(emptyLog(), pendingEvents) */
export const emptyLog = (): SessionLog => ({
  ticks: new Map(),
  tasks: new Map(),
  cooks: new Map(),
  weighed: new Map(),
  tonight: new Map(),
  discarded: new Map(),
  closed: new Set(),
  seen: new Map(),
});

/**
 * A session's log with more events laid over it, in the agreed order, undone ones left out.
 * @param before what was logged before them; it stays as it is
 * @example foldLog(emptyLog(), events).tasks.get('prep:onion:diced:10')?.state // 'done'
 */
export function foldLog(before: SessionLog, events: readonly TamboEvent[]): SessionLog {
  const log: SessionLog = {
    ticks: new Map(before.ticks),
    tasks: new Map(before.tasks),
    cooks: new Map(before.cooks),
    weighed: new Map(before.weighed),
    tonight: new Map(before.tonight),
    discarded: new Map(before.discarded),
    closed: new Set(before.closed),
    seen: new Map([...before.seen, ...seenIn(events)]),
  };
  const task = (id: string): TaskLog => log.tasks.get(id) ?? { state: 'running', extraMin: 0 };
  for (const e of effective(events)) {
    switch (e.type) {
      case 'ticked':
        log.ticks.set(e.data.key, { amount: e.data.amount, unit: e.data.unit, how: e.data.how });
        break;
      case 'unticked':
        log.ticks.delete(e.data.key);
        break;
      case 'taskStarted':
        log.tasks.set(e.data.taskId, { ...task(e.data.taskId), state: 'running', startedAt: e.instant });
        if (e.data.cookId) log.cooks.set(e.data.taskId, e.data.cookId);
        break;
      case 'taskHanded':
        log.cooks.set(e.data.taskId, e.data.cookId);
        break;
      case 'taskDone':
        log.tasks.set(e.data.taskId, {
          ...task(e.data.taskId),
          state: 'done',
          endedAt: e.instant,
          ...(e.data.actualMin !== undefined && { actualMin: e.data.actualMin }),
        });
        break;
      case 'taskSkipped':
        log.tasks.set(e.data.taskId, { ...task(e.data.taskId), state: 'skipped', endedAt: e.instant });
        break;
      case 'taskReopened':
        log.tasks.delete(e.data.taskId);
        break;
      case 'taskExtended':
        log.tasks.set(e.data.taskId, { ...task(e.data.taskId), extraMin: task(e.data.taskId).extraMin + e.data.minutes });
        break;
      case 'weighed':
        log.weighed.set(e.data.batchId, { ...e.data, at: e.instant });
        break;
      case 'eatenTonight':
        log.tonight.set(e.data.batchId, (log.tonight.get(e.data.batchId) ?? 0) + e.data.volumeMl);
        break;
      case 'yieldDiscarded':
        log.discarded.set(e.data.batchId, (log.discarded.get(e.data.batchId) ?? 0) + e.data.volumeMl);
        break;
      case 'packingClosed':
        log.closed.add(e.data.batchId);
        break;
      default:
        break;
    }
  }
  return log;
}

/** Folds a session's shop, cook, yield and session events. @example sessionLog(events).weighed.get(stew)?.netG // 4000 */
export const sessionLog = (events: readonly TamboEvent[]): SessionLog => foldLog(emptyLog(), events);
