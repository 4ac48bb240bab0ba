import { minutesBetween } from '#core/kitchen';
import type { TaskView } from '#core/session';
import { useCommands } from '../app/commands.ts';
import { useAppSelector } from '../app/store.ts';

/** Tasks closed or started here but not sent yet count at once. */
export function usePending(sessionId: string): ReadonlyMap<string, 'running' | 'done' | 'skipped'> {
  const waiting = useAppSelector((s) => s.outbox.waiting);
  const map = new Map<string, 'running' | 'done' | 'skipped'>();
  for (const w of waiting) {
    if (w.kind !== 'event') continue;
    const e = w.body;
    if ((e.type === 'taskStarted' || e.type === 'taskDone' || e.type === 'taskSkipped') && e.data.sessionId === sessionId)
      map.set(e.data.taskId, e.type === 'taskStarted' ? 'running' : e.type === 'taskDone' ? 'done' : 'skipped');
  }
  return map;
}

export function useTaskActions(sessionId: string, now: string) {
  const { log } = useCommands();
  const base = (t: TaskView) => ({ sessionId, taskId: t.id });
  return {
    start: (t: TaskView) => void log([{ type: 'taskStarted', subjects: [sessionId], data: base(t) }], 'Started'),
    done: (t: TaskView) =>
      void log(
        [
          {
            type: 'taskDone',
            subjects: [sessionId],
            data: { ...base(t), ...(t.log?.startedAt && { actualMin: Math.max(0, Math.round(minutesBetween(t.log.startedAt, now))) }) },
          },
        ],
        'Done',
      ),
    skip: (t: TaskView) => void log([{ type: 'taskSkipped', subjects: [sessionId], data: base(t) }], 'Skipped'),
    more: (t: TaskView) => void log([{ type: 'taskExtended', subjects: [sessionId], data: { ...base(t), minutes: 5 } }], '5 more minutes'),
  };
}

/** Minutes a running task has left, from its start on the clock. */
export const leftOf = (t: TaskView, now: string): number =>
  t.log?.startedAt ? t.handsOnMin + t.waitMin + t.log.extraMin - minutesBetween(t.log.startedAt, now) : t.handsOnMin + t.waitMin;
