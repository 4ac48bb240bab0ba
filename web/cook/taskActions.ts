import { extendTask, finishTask, handOver, skipTask, startTask } from '#core/commands';
import { sayTask } from '#core/cook';
import { minutesBetween } from '#core/kitchen';
import { leftOf, shortTitle, type SessionView, type TaskView } from '#core/session';
import { useCommands } from '../sync/commands.ts';
import { useAppSelector } from '../sync/store.ts';

interface PendingTask {
  state: 'running' | 'done' | 'skipped';
  /** The event that waits. */
  id: string;
}

/** Tasks closed or started here but not sent yet count at once. */
export function usePending(sessionId: string): ReadonlyMap<string, PendingTask> {
  const waiting = useAppSelector((s) => s.outbox.pending);
  const map = new Map<string, PendingTask>();
  for (const w of waiting) {
    if (w.kind !== 'event') continue;
    const e = w.body;
    if ((e.type === 'taskStarted' || e.type === 'taskDone' || e.type === 'taskSkipped') && e.data.sessionId === sessionId)
      map.set(e.data.taskId, { id: e.id, state: e.type === 'taskStarted' ? 'running' : e.type === 'taskDone' ? 'done' : 'skipped' });
  }
  return map;
}

/** A session with what was started or closed here a moment ago. */
export const withPending = (view: SessionView, pending: ReturnType<typeof usePending>, now: string): SessionView =>
  pending.size === 0
    ? view
    : {
        ...view,
        tasks: view.tasks.map((t) => {
          const state = pending.get(t.id)?.state;
          return !state || t.log?.state === state
            ? t
            : { ...t, log: { extraMin: 0, ...t.log, state, ...(state === 'running' && { startedAt: t.log?.startedAt ?? now }) } };
        }),
      };

/** What “5 more min” gives. */
const moreMin = 5;

export type TaskActions = ReturnType<typeof useTaskActions>;

export function useTaskActions(sessionId: string, now: string) {
  const { log } = useCommands();
  const pending = usePending(sessionId);
  /** What was done here and not sent yet has been seen too. */
  const seen = (t: TaskView): string => pending.get(t.id)?.id ?? t.seen;
  const task = (t: TaskView) => ({ sessionId, taskId: t.id, what: sayTask(t), seen: seen(t) });
  return {
    start: (t: TaskView, cookId?: string) => void log([startTask(task(t), cookId)], 'Started'),
    handOver: (t: TaskView, cook: { id: string; name: string }) =>
      void log([handOver(task(t), cook.id)], `${shortTitle(t.title)}: to ${cook.name}`),
    done: (t: TaskView) =>
      void log(
        [finishTask(task(t), t.log?.startedAt === undefined ? undefined : Math.max(0, Math.round(minutesBetween(t.log.startedAt, now))))],
        'Done',
      ),
    skip: (t: TaskView) => void log([skipTask(task(t))], 'Skipped'),
    /** From now, however long ago its time was up. */
    more: (t: TaskView) => void log([extendTask(task(t), moreMin + Math.max(0, Math.ceil(-leftOf(t, now))))], `${moreMin} more minutes`),
  };
}
