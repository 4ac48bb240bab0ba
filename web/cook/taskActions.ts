import { useMemo, useState } from 'react';
import { extendTask, finishTask, handOver, reopenTask, skipTask, startTask } from '#core/commands';
import { sayTask } from '#core/cook';
import { minutesBetween } from '#core/kitchen';
import { doneEarly, leftOf, shortTitle, type TaskView } from '#core/session';
import { now } from '../sync/clock.ts';
import { useCommands } from '../sync/commands.ts';

/** What “5 more min” gives. */
const moreMin = 5;

export type TaskActions = ReturnType<typeof useTaskActions>;

/** What a cook does with a task, by the clock of the tap; the same until a question is open. */
export function useTaskActions(sessionId: string) {
  const { log } = useCommands();
  /** Called done far too early by its clock: asked about once. */
  const [early, setEarly] = useState<TaskView>();
  return useMemo(() => {
    const task = (t: TaskView) => ({ sessionId, taskId: t.id, what: sayTask(t), prep: t.prep, seen: t.seen });
    const finish = (t: TaskView): void =>
      void log(
        [finishTask(task(t), t.log?.startedAt === undefined ? undefined : Math.max(0, Math.round(minutesBetween(t.log.startedAt, now()))))],
        'Done',
      );
    return {
      start: (t: TaskView, cookId?: string) => void log([startTask(task(t), cookId)], 'Started'),
      handOver: (t: TaskView, cook: { id: string; name: string }) =>
        void log([handOver(task(t), cook.id)], `${shortTitle(t.title)}: to ${cook.name}`),
      done: (t: TaskView): void => (doneEarly(t, now()) ? setEarly(t) : finish(t)),
      skip: (t: TaskView) => void log([skipTask(task(t))], 'Skipped'),
      /** Skipped or done by mistake: what waits for it waits again. */
      reopen: (t: TaskView) => void log([reopenTask(task(t))], 'Taken up again'),
      /** From now, however long ago its time was up. */
      more: (t: TaskView) =>
        void log([extendTask(task(t), moreMin + Math.max(0, Math.ceil(-leftOf(t, now()))))], `${moreMin} more minutes`),
      early,
      answerEarly: (done: boolean): void => {
        if (done && early) finish(early);
        setEarly(undefined);
      },
    };
  }, [sessionId, log, early]);
}
