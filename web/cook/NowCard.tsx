import { sayMinutes } from '#core/kitchen';
import { leftOf, type TaskView } from '#core/session';
import type { SessionParts } from '#core/queries';
import { KindMark } from '../draw/KindMark.tsx';
import { kindOf, dishOf } from './words.ts';
import { useTaskActions } from './taskActions.ts';

/** Minutes before the end from which a task is looked at. */
const lookMin = 5;

/** The task at hand, large: its figures, what tells that it is done, and what can be done with it. */
export function NowCard({
  view,
  task,
  now,
  actions,
  cookId,
  onFree,
}: {
  view: SessionParts['cook'];
  task: TaskView;
  now: string;
  actions: ReturnType<typeof useTaskActions>;
  /** Whose it becomes when it is started. */
  cookId: string;
  /** Hands are free again, the rest minds itself; absent when nothing is left to mind. */
  onFree?: (() => void) | undefined;
}) {
  const running = task.log?.state === 'running';
  const left = leftOf(task, now);
  // the condition comes before the action once it is time to look
  const nearlyUp = running && left <= lookMin;
  return (
    <section className="card" data-next style={{ padding: '18px 22px' }} aria-label="Do now">
      <div className="row" style={{ marginBottom: 6 }}>
        <KindMark kind={kindOf(view, task)} size={26} />
        <span className="quiet grow">{dishOf(view, task)}</span>
        {task.cook && <span className="quiet">{task.cook}</span>}
      </div>
      {nearlyUp && task.cue && (
        <p className="note" style={{ fontSize: 18, marginBottom: 8 }}>
          <b>First:</b> {task.cue}.
        </p>
      )}
      <h2 style={{ fontSize: 30, lineHeight: 1.15, marginBottom: 6 }}>{task.title}</h2>
      {task.detail && <p style={{ fontSize: 19 }}>{task.detail}</p>}
      <p className="quiet" style={{ fontSize: 18, marginTop: 6 }}>
        {running
          ? left > 0
            ? `${sayMinutes(Math.max(1, left))} left`
            : 'time is up: look at it'
          : `${sayMinutes(task.handsOnMin)} of hands${task.waitMin > 0 ? `, then ${sayMinutes(task.waitMin)} by itself` : ''}`}
        {task.needs.length > 0 && `, ${task.needs.map((n) => (n.tempC ? `${n.kind} ${n.tempC} °C` : n.kind)).join(', ')}`}
        {task.guess && ', a guess'}
      </p>
      {!nearlyUp && task.cue && (
        <p style={{ fontSize: 18, marginTop: 6 }}>
          Done when: <b>{task.cue}</b>.
        </p>
      )}
      <div className="row wrap" style={{ marginTop: 14 }}>
        {!running && task.waitMin > 0 && (
          <button type="button" className="btn l" onClick={() => actions.start(task, cookId)}>
            Start
          </button>
        )}
        {(running || task.waitMin === 0) && (
          <button type="button" className="btn l" onClick={() => actions.done(task)}>
            Done
          </button>
        )}
        {!running && task.waitMin === 0 && (
          <button type="button" className="btn l o" onClick={() => actions.start(task, cookId)}>
            Start the clock
          </button>
        )}
        {!running && task.waitMin > 0 && (
          <button type="button" className="btn l o" onClick={() => actions.done(task)}>
            Already done
          </button>
        )}
        {running && (
          <button type="button" className="btn l o" data-again onClick={() => actions.more(task)}>
            5 more min
          </button>
        )}
        {onFree && (
          <button type="button" className="btn l o" onClick={onFree}>
            It minds itself now
          </button>
        )}
        <button type="button" className="btn l o" onClick={() => actions.skip(task)}>
          Skip
        </button>
      </div>
    </section>
  );
}
