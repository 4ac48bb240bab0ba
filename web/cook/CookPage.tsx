import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { addMinutes, clockOf, clockPlus, countOf, sayMinutes, sayWeekday } from '#core/kitchen';
import { cautionsFor, type CautionPlace } from '#core/safety';
import { cooksNow, type TaskView } from '#core/session';
import { useFrameQuery, useSessionsQuery } from '../sync/api.ts';
import { useSessionCook } from '../sync/session.ts';
import { useNow } from '../sync/clock.ts';
import { Cautions, Empty, PageHead, Waiting } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { SessionHeader } from '../session/SessionHeader.tsx';
import { Score } from './Score.tsx';
import { kindOf, dishOf } from './words.ts';
import { useTaskActions } from './taskActions.ts';
import { useOwnCook } from './useOwnCook.ts';
import { NowCard } from './NowCard.tsx';
import { Timers } from './Timers.tsx';

/** Cook: what to do now, large; what is on the clock; the score of hands and pots; every task in order. */
export function CookPage() {
  const { id = '' } = useParams();
  const { data: view, error, refetch } = useSessionCook(id, { pollingInterval: 60_000 });
  const frame = useFrameQuery().data;
  const sessions = useSessionsQuery().data;
  const now = useNow(1000);
  const actions = useTaskActions(id, now);
  const [free, setFree] = useState<ReadonlySet<string>>(new Set());
  const [me, setMe] = useOwnCook(id);
  if (!view || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const zone = frame.household.timeZone;
  const brief = sessions?.sessions.find((s) => s.id === id);
  const stateOf = (t: TaskView): string | undefined => t.log?.state;
  const closed = view.tasks.filter((t) => ['done', 'skipped'].includes(stateOf(t) ?? ''));
  const running = view.tasks.filter((t) => stateOf(t) === 'running');
  const open = view.tasks.filter((t) => !stateOf(t));
  const closedIds = new Set(closed.map((t) => t.id));
  const cooks = cooksNow(view, now, free);
  const mine = cooks.find((c) => c.cookId === me) ?? cooks[0];
  const current = mine?.task;
  const makespan = view.schedule?.makespanMin ?? 0;
  const begun = closed.length + running.length > 0;
  const startsAt = begun ? now : undefined;
  const at = (min: number): string => (startsAt ? clockOf(addMinutes(startsAt, min), zone) : clockPlus(view.session.startAt, min));
  const hazards = [...new Set(view.tasks.filter((t) => !closedIds.has(t.id)).flatMap((t) => t.hazards))] as CautionPlace[];
  const names = new Map(view.tasks.map((t) => [t.id, t.title]));
  const binding = view.schedule?.bindingTaskIds.at(-1);
  const bindingDish = binding ? view.tasks.find((t) => t.id === binding) : undefined;
  return (
    <main className="page">
      {brief && <SessionHeader brief={brief} here={`/cook/${id}`} />}
      <PageHead
        title={
          view.tasks.length === 0
            ? 'Cook'
            : begun
              ? `${countOf(open.length + running.length, 'task')} to go`
              : `${countOf(view.tasks.length, 'task')}, about ${sayMinutes(makespan)}`
        }
        lead={
          open.length + running.length === 0
            ? 'Every task is done. Weigh the pots and pack.'
            : `${begun ? `Done about ${at(makespan)}.` : `${sayWeekday(view.session.day)} from ${view.session.startAt}, done about ${at(makespan)}.`}${bindingDish && view.schedule ? ` It cannot end before ${at(view.schedule.boundMin)}: ${dishOf(view, bindingDish)} takes that long.` : ''}`
        }
      >
        <Link className="btn o" to={`/worktop/${id}`}>
          Worktop
        </Link>
        <button type="button" className="btn o deskonly" onClick={() => window.print()}>
          Print
        </button>
        {open.length === 0 && (
          <Link className="btn" to={`/pack/${id}`}>
            Pack
          </Link>
        )}
      </PageHead>
      {cooks.length > 1 && view.tasks.length > 0 && (
        <div className="chips noprint" role="group" aria-label="Whose tasks" style={{ marginBottom: 14 }}>
          {cooks.map((c) => (
            <button type="button" key={c.cookId} className="chip" aria-pressed={c === mine} onClick={() => setMe(c.cookId)}>
              {c.name}
            </button>
          ))}
        </div>
      )}
      {view.scheduleError && (
        <p className="note bad" role="alert">
          {view.scheduleError}
        </p>
      )}
      {view.tasks.length === 0 ? (
        <Empty title="No work yet" text="This session has no dishes, or their recipes have no steps.">
          <Link className="btn" to={`/plan/${id}`}>
            Open the plan
          </Link>
        </Empty>
      ) : (
        <div className="stack">
          <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1.45fr) minmax(0,1fr)', alignItems: 'start' }}>
            {current && mine ? (
              <NowCard
                view={view}
                task={current}
                now={now}
                actions={actions}
                cookId={mine.cookId}
                onFree={
                  mine.state === 'running' && current.waitMin > 0 && mine.after.length > 0
                    ? () => setFree(new Set([...free, current.id]))
                    : undefined
                }
              />
            ) : open.length + running.length > 0 ? (
              <section className="card">
                <h2>Nothing for {mine?.name ?? 'you'} just now</h2>
                <p>The next task begins once what comes before it is done. Look at the clocks, or help at the other bench.</p>
              </section>
            ) : (
              <section className="card">
                <h2>All done</h2>
                <p>Cool the pots, weigh them, pack.</p>
                <p style={{ marginTop: 12 }}>
                  <Link className="btn l" to={`/pack/${id}`}>
                    Pack
                  </Link>
                </p>
              </section>
            )}
            <div className="stack">
              <Timers view={view} running={running.filter((t) => t !== current || t.waitMin > 0)} now={now} zone={zone} actions={actions} />
              <section className="card" aria-label="Next">
                <h2>Next</h2>
                <ul className="rows">
                  {(cooks.length > 1 ? (mine?.after ?? []) : open.filter((t) => t !== current)).slice(0, 4).map((t) => (
                    <li key={t.id} style={{ padding: '7px 0' }}>
                      <KindMark kind={kindOf(view, t)} size={20} />
                      <div className="grow">{t.title}</div>
                      <span className="quiet">{sayMinutes(t.handsOnMin)}</span>
                    </li>
                  ))}
                </ul>
              </section>
            </div>
          </div>
          <Score view={view} at={at} />
          <section className="card" aria-label="All tasks">
            <h2>In order</h2>
            <ol className="rows" style={{ columns: '2 420px', columnGap: 32 }}>
              {view.tasks.map((t, i) => {
                const s = stateOf(t);
                return (
                  <li key={t.id} style={{ breakInside: 'avoid', ...(s === 'done' || s === 'skipped' ? { color: 'var(--quiet)' } : {}) }}>
                    <button
                      type="button"
                      className="tick"
                      role="checkbox"
                      aria-checked={s === 'done'}
                      aria-label={`${t.title}: done`}
                      disabled={s === 'done' || s === 'skipped'}
                      onClick={() => actions.done(t)}
                    >
                      {s === 'done' ? '✓' : ''}
                    </button>
                    <span className="strong" style={{ minWidth: 24, color: `var(--kind-${kindOf(view, t)})` }}>
                      {i + 1}
                    </span>
                    <div className="grow">
                      <div style={s === 'done' || s === 'skipped' ? { textDecoration: 'line-through' } : undefined}>{t.title}</div>
                      <div className="sub">
                        {t.detail || dishOf(view, t)}
                        {s === 'skipped' ? ' (skipped)' : ''}
                        {t.after.length > 0 && !s
                          ? `; after: ${t.after
                              .map((a) => (names.get(a) ?? '').split(/[.,;:]/)[0])
                              .slice(0, 2)
                              .join(', ')}`
                          : ''}
                      </div>
                    </div>
                    <span className="quiet num">
                      {sayMinutes(t.handsOnMin)}
                      {t.startMin !== undefined && !s ? <b> {at(t.startMin)}</b> : null}
                    </span>
                  </li>
                );
              })}
            </ol>
          </section>
          {view.notes.length > 0 && (
            <section className="card" aria-label="From last time">
              <h2>From last time</h2>
              <ul className="rows">
                {view.notes.map((n) => (
                  <li key={n.recipeId + n.text}>
                    <div className="grow">
                      “{n.text}” <span className="sub">{n.name}</span>
                    </div>
                    <Link to={`/recipes/${n.recipeId}`} className="link s">
                      change the amount
                    </Link>
                  </li>
                ))}
              </ul>
            </section>
          )}
          <Cautions list={cautionsFor([...hazards, 'cooling'], frame.household.country)} title="While you cook" />
        </div>
      )}
    </main>
  );
}
