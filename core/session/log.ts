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

/** What an event of a session is about. */
const aboutOf = (e: TamboEvent): string | undefined => {
  const d = e.data as { taskId?: string; key?: string; batchId?: string };
  return d.taskId ?? d.key ?? d.batchId;
};

function seenIn(events: readonly TamboEvent[]): Map<string, string> {
  const seen = new Map<string, string>();
  const about = new Map<string, string>();
  for (const e of [...events].sort(byOrder)) {
    const key = e.type === 'undone' ? about.get(e.data.eventId) : aboutOf(e);
    if (key === undefined) continue;
    about.set(e.id, key);
    seen.set(key, e.id);
  }
  return seen;
}

/** Folds a session's shop, cook, yield and session events, in the agreed order, undone ones left out. */
export function sessionLog(events: readonly TamboEvent[]): SessionLog {
  const log: SessionLog = {
    ticks: new Map(),
    tasks: new Map(),
    cooks: new Map(),
    weighed: new Map(),
    tonight: new Map(),
    discarded: new Map(),
    closed: new Set(),
    seen: seenIn(events),
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
