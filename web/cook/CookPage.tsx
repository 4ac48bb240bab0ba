import { Link, useParams } from 'react-router';
import { addMinutes, clockOf, countOf, minutesBetween, sayMinutes, sayWeekday } from '#core/kitchen';
import { cautionsFor, type CautionPlace } from '#core/safety';
import type { SessionView, TaskView } from '#core/session';
import { useFrameQuery, useSessionQuery, useSessionsQuery } from '../app/api.ts';
import { useNow } from '../app/clock.ts';
import { useCommands } from '../app/commands.ts';
import { useAppSelector } from '../app/store.ts';
import { Cautions, Empty, PageHead, Waiting, Why } from '../app/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { SessionHeader } from '../session/SessionHeader.tsx';
import { Score } from './Score.tsx';

const kindOf = (view: SessionView, t: TaskView) => view.batches.find((b) => b.batch.id === t.batchIds[0])?.revision.kind ?? 'meal';
const dishOf = (view: SessionView, t: TaskView): string => t.batchIds.map((id) => view.batches.find((b) => b.batch.id === id)?.revision.name ?? '').join(', ');

/** Tasks closed or started here but not sent yet count at once. */
function usePending(sessionId: string): ReadonlyMap<string, 'running' | 'done' | 'skipped'> {
  const waiting = useAppSelector((s) => s.outbox.waiting);
  const map = new Map<string, 'running' | 'done' | 'skipped'>();
  for (const w of waiting) {
    if (w.kind !== 'event') continue;
    const e = w.body;
    if ((e.type === 'taskStarted' || e.type === 'taskDone' || e.type === 'taskSkipped') && e.data.sessionId === sessionId) map.set(e.data.taskId, e.type === 'taskStarted' ? 'running' : e.type === 'taskDone' ? 'done' : 'skipped');
  }
  return map;
}

function useTaskActions(sessionId: string, now: string) {
  const { log } = useCommands();
  const base = (t: TaskView) => ({ sessionId, taskId: t.id });
  return {
    start: (t: TaskView) => void log([{ type: 'taskStarted', subjects: [sessionId], data: base(t) }], 'Started'),
    done: (t: TaskView) => void log([{ type: 'taskDone', subjects: [sessionId], data: { ...base(t), ...(t.log?.startedAt && { actualMin: Math.max(0, Math.round(minutesBetween(t.log.startedAt, now))) }) } }], 'Done'),
    skip: (t: TaskView) => void log([{ type: 'taskSkipped', subjects: [sessionId], data: base(t) }], 'Skipped'),
    more: (t: TaskView) => void log([{ type: 'taskExtended', subjects: [sessionId], data: { ...base(t), minutes: 5 } }], '5 more minutes'),
  };
}

/** Minutes a running task has left, from its start on the clock. */
const leftOf = (t: TaskView, now: string): number => (t.log?.startedAt ? t.handsOnMin + t.waitMin + t.log.extraMin - minutesBetween(t.log.startedAt, now) : t.handsOnMin + t.waitMin);

function NowCard({ view, task, now, actions }: { view: SessionView; task: TaskView; now: string; actions: ReturnType<typeof useTaskActions> }) {
  const running = task.log?.state === 'running';
  const left = leftOf(task, now);
  return (
    <section className="card" style={{ padding: '18px 22px' }} aria-label="Do now">
      <div className="row" style={{ marginBottom: 6 }}><KindMark kind={kindOf(view, task)} size={26} /><span className="quiet grow">{dishOf(view, task)}</span>{task.cook && <span className="quiet">{task.cook}</span>}</div>
      {running && task.cue && <p className="note" style={{ fontSize: 18, marginBottom: 8 }}><b>First:</b> {task.cue}.</p>}
      <h2 style={{ fontSize: 30, lineHeight: 1.15, marginBottom: 6 }}>{task.title}</h2>
      {task.detail && <p style={{ fontSize: 19 }}>{task.detail}</p>}
      <p className="quiet" style={{ fontSize: 18, marginTop: 6 }}>
        {running ? (left > 0 ? `${sayMinutes(Math.max(1, left))} left` : 'time is up: look at it') : `${sayMinutes(task.handsOnMin)} of hands${task.waitMin > 0 ? `, then ${sayMinutes(task.waitMin)} by itself` : ''}`}
        {task.needs.length > 0 && `, ${task.needs.map((n) => (n.tempC ? `${n.kind} ${n.tempC} °C` : n.kind)).join(', ')}`}{task.guess && ', a guess'}
      </p>
      {!running && task.cue && <p style={{ fontSize: 18, marginTop: 6 }}>Done when: <b>{task.cue}</b>.</p>}
      <div className="row wrap" style={{ marginTop: 14 }}>
        {!running && task.waitMin > 0 && <button type="button" className="btn l" onClick={() => actions.start(task)}>Start</button>}
        {(running || task.waitMin === 0) && <button type="button" className="btn l" onClick={() => actions.done(task)}>Done</button>}
        {!running && task.waitMin === 0 && <button type="button" className="btn l o" onClick={() => actions.start(task)}>Start the clock</button>}
        {!running && task.waitMin > 0 && <button type="button" className="btn l o" onClick={() => actions.done(task)}>Already done</button>}
        {running && <button type="button" className="btn l o" onClick={() => actions.more(task)}>5 more min</button>}
        <button type="button" className="btn l o" onClick={() => actions.skip(task)}>Skip</button>
      </div>
    </section>
  );
}

function Timers({ view, running, now, zone, actions }: { view: SessionView; running: TaskView[]; now: string; zone: string; actions: ReturnType<typeof useTaskActions> }) {
  if (running.length === 0 && view.cooling.length === 0) return null;
  return (
    <section className="card" aria-label="Running">
      <h2>On the clock</h2>
      <ul className="rows">
        {running.map((t) => {
          const left = leftOf(t, now);
          return (
            <li key={t.id}>
              <KindMark kind={kindOf(view, t)} size={26} />
              <div className="grow"><div className="strong">{t.title}</div><div className="sub">{left <= 0 ? `look now${t.cue ? `: ${t.cue}` : ''}` : `until ${clockOf(addMinutes(now, left), zone)}`}</div></div>
              <span className="mid" style={left <= 0 ? { color: 'var(--tomato)' } : undefined}>{left <= 0 ? 'now' : sayMinutes(Math.max(1, left))}</span>
              <button type="button" className="btn o s" onClick={() => actions.done(t)}>Done</button>
            </li>
          );
        })}
        {view.cooling.map((c) => {
          const left = minutesBetween(now, c.stage === 'to21' ? c.under21By : c.under5By);
          return (
            <li key={c.batchId}>
              <div className="grow"><div className="strong">{c.name} cools</div><div className="sub">{c.stage === 'to21' ? `under 21 °C by ${clockOf(c.under21By, zone)}, then under 5 °C by ${clockOf(c.under5By, zone)}` : c.stage === 'to5' ? `under 5 °C by ${clockOf(c.under5By, zone)}` : 'both limits have passed: if it never got cold, do not keep it'}</div></div>
              <span className="mid" style={left < 30 ? { color: 'var(--tomato)' } : undefined}>{c.stage === 'over' ? 'past' : sayMinutes(left)}</span>
              <Why label="the cooling clock">Off the heat at {clockOf(c.offHeat, zone)}. Usual limits: 2 h to 21 °C, 4 h more to 5 °C ({c.source}). FSA asks for the fridge within 1 to 2 h. Ice, or shallow boxes, bring it there. Local rules come first.</Why>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Cook: what to do now, large; what is on the clock; the score of hands and pots; every task in order. */
export function CookPage() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useSessionQuery(id, { pollingInterval: 60_000 });
  const frame = useFrameQuery().data;
  const sessions = useSessionsQuery().data;
  const now = useNow(1000);
  const pending = usePending(id);
  const actions = useTaskActions(id, now);
  if (!data || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const zone = frame.household.timeZone;
  const brief = sessions?.sessions.find((s) => s.id === id);
  const stateOf = (t: TaskView): string | undefined => pending.get(t.id) ?? t.log?.state;
  const closed = data.tasks.filter((t) => ['done', 'skipped'].includes(stateOf(t) ?? ''));
  const running = data.tasks.filter((t) => stateOf(t) === 'running');
  const open = data.tasks.filter((t) => !stateOf(t));
  const closedIds = new Set(closed.map((t) => t.id));
  const ready = open.filter((t) => t.after.every((a) => closedIds.has(a) || !data.tasks.some((x) => x.id === a)));
  const hands = running.find((t) => t.log?.startedAt !== undefined && minutesBetween(t.log.startedAt, now) < t.handsOnMin);
  const current = hands ?? ready[0] ?? running[0];
  const makespan = data.schedule?.makespanMin ?? 0;
  const begun = closed.length + running.length > 0;
  const startsAt = begun ? now : undefined;
  const at = (min: number): string => (startsAt ? clockOf(addMinutes(startsAt, min), zone) : clockPlus(data.session.startAt, min));
  const hazards = [...new Set(data.tasks.filter((t) => !closedIds.has(t.id)).flatMap((t) => t.hazards))] as CautionPlace[];
  const names = new Map(data.tasks.map((t) => [t.id, t.title]));
  const binding = data.schedule?.bindingTaskIds.at(-1);
  const bindingDish = binding ? data.tasks.find((t) => t.id === binding) : undefined;
  return (
    <main className="page">
      {brief && <SessionHeader brief={brief} here={`/cook/${id}`} />}
      <PageHead title={data.tasks.length === 0 ? 'Cook' : begun ? `${countOf(open.length + running.length, 'task')} to go` : `${countOf(data.tasks.length, 'task')}, about ${sayMinutes(makespan)}`} lead={open.length + running.length === 0 ? 'Every task is done. Weigh the pots and pack.' : `${begun ? `Done about ${at(makespan)}.` : `${sayWeekday(data.session.day)} from ${data.session.startAt}, done about ${at(makespan)}.`}${bindingDish && data.schedule ? ` It cannot end before ${at(data.schedule.boundMin)}: ${dishOf(data, bindingDish)} takes that long.` : ''}`}>
        <button type="button" className="btn o" onClick={() => window.print()}>Print</button>
        {open.length === 0 && <Link className="btn" to={`/pack/${id}`}>Pack</Link>}
      </PageHead>
      {data.scheduleError && <p className="note bad" role="alert">{data.scheduleError}</p>}
      {data.tasks.length === 0 ? <Empty title="No work yet" text="This session has no dishes, or their recipes have no steps."><Link className="btn" to={`/plan/${id}`}>Open the plan</Link></Empty> : (
        <div className="stack">
          <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1.45fr) minmax(0,1fr)', alignItems: 'start' }}>
            {current ? <NowCard view={data} task={{ ...current, ...(stateOf(current) === 'running' && !current.log ? { log: { state: 'running' as const, extraMin: 0, startedAt: now } } : {}) }} now={now} actions={actions} /> : <section className="card"><h2>All done</h2><p>Cool the pots, weigh them, pack.</p><p style={{ marginTop: 12 }}><Link className="btn l" to={`/pack/${id}`}>Pack</Link></p></section>}
            <div className="stack">
              <Timers view={data} running={running.filter((t) => t !== current || t.waitMin > 0)} now={now} zone={zone} actions={actions} />
              <section className="card" aria-label="Next">
                <h2>Next</h2>
                <ul className="rows">{open.filter((t) => t !== current).slice(0, 4).map((t) => <li key={t.id} style={{ padding: '7px 0' }}><KindMark kind={kindOf(data, t)} size={20} /><div className="grow">{t.title}</div><span className="quiet">{sayMinutes(t.handsOnMin)}</span></li>)}</ul>
              </section>
            </div>
          </div>
          <Score view={data} at={at} />
          <section className="card" aria-label="All tasks">
            <h2>In order</h2>
            <ol className="rows" style={{ columns: '2 420px', columnGap: 32 }}>
              {data.tasks.map((t, i) => {
                const s = stateOf(t);
                return (
                  <li key={t.id} style={{ breakInside: 'avoid', ...(s === 'done' || s === 'skipped' ? { color: 'var(--quiet)' } : {}) }}>
                    <button type="button" className="tick" role="checkbox" aria-checked={s === 'done'} aria-label={`${t.title}: done`} disabled={s === 'done' || s === 'skipped'} onClick={() => actions.done(t)}>{s === 'done' ? '✓' : ''}</button>
                    <span className="strong" style={{ minWidth: 24, color: `var(--kind-${kindOf(data, t)})` }}>{i + 1}</span>
                    <div className="grow"><div style={s === 'done' || s === 'skipped' ? { textDecoration: 'line-through' } : undefined}>{t.title}</div><div className="sub">{t.detail || dishOf(data, t)}{s === 'skipped' ? ' (skipped)' : ''}{t.after.length > 0 && !s ? `; after: ${t.after.map((a) => (names.get(a) ?? '').split(/[.,;:]/)[0]).slice(0, 2).join(', ')}` : ''}</div></div>
                    <span className="quiet num">{sayMinutes(t.handsOnMin)}{t.startMin !== undefined && !s ? <b> {at(t.startMin)}</b> : null}</span>
                  </li>
                );
              })}
            </ol>
          </section>
          <Cautions list={cautionsFor([...hazards, 'cooling'], frame.household.country)} title="While you cook" />
        </div>
      )}
    </main>
  );
}

const clockPlus = (time: string, min: number): string => {
  const [h = 0, m = 0] = time.split(':').map(Number);
  const t = h * 60 + m + Math.round(min);
  return `${String(Math.floor(t / 60) % 24).padStart(2, '0')}:${String(t % 60).padStart(2, '0')}`;
};
