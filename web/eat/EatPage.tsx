import { lazy, Suspense } from 'react';
import { Link, useSearchParams } from 'react-router';
import { sayNear, sayPortions } from '#core/kitchen';
import { useEatQuery, useFrameQuery } from '../sync/api.ts';
import { DueTag, NotFor, PageHead, Waiting } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { ColdLine } from '../store/ColdLine.tsx';
import { amountOf } from '../ui/packWords.ts';
import { CatchUp } from './CatchUp.tsx';
import { LogMeal } from './LogMeal.tsx';
import { PastCard } from './PastCard.tsx';
import { EatFirst } from './EatFirst.tsx';
import { Table } from './Evenings.tsx';
import { Settle } from './Settle.tsx';
import { SupplyCard } from './SupplyCard.tsx';

const RunwayChart = lazy(() => import('./RunwayChart.tsx'));

/** Eat: the evenings ahead, what to eat first, who ate what, how long it lasts. */
export function EatPage() {
  const { data, error, refetch } = useEatQuery();
  const frame = useFrameQuery().data;
  const [params, setParams] = useSearchParams();
  if (!data || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const logging = params.get('log');
  const setLog = (value: string | null, day?: string): void =>
    setParams(
      (p) => {
        if (value) p.set('log', value);
        else p.delete('log');
        if (day) p.set('day', day);
        else p.delete('day');
        return p;
      },
      { replace: true },
    );
  return (
    <main className="page">
      <PageHead
        title="Eat"
        lead={
          data.tonightLogged
            ? 'Tonight is written down.'
            : `Tonight: ${sayPortions((data.evenings[0]?.quarters ?? 0) / 4)} plates. ${
                data.evenings[0]?.packs.length
                  ? data.evenings[0].packs
                      .map((p) => p.name)
                      .filter((n, i, a) => a.indexOf(n) === i)
                      .join(' and ')
                  : 'Nothing planned yet'
              }.`
        }
      >
        <button type="button" className="btn" onClick={() => setLog('1')}>
          Log a meal
        </button>
      </PageHead>
      <div className="stack">
        <PastCard packs={data.past.map((p) => ({ ...p, eatBy: p.due.day ?? data.today }))} today={data.today} />
        <Settle data={data} onChanged={(packId, day) => setLog(packId, day)} />
        <Table data={data} />
        <div
          className="grid"
          style={{ gridTemplateColumns: `repeat(${1 + (data.supplies.baby ? 1 : 0) + (data.supplies.broth ? 1 : 0)}, minmax(0,1fr))` }}
        >
          <SupplyCard today={data.today} supply={data.supplies.dinners} mark="meal" name="Dinners" />
          {data.supplies.baby && (
            <SupplyCard
              today={data.today}
              supply={data.supplies.baby}
              mark="puree"
              name={`Meals for ${data.eaters.find((e) => e.stage === 'baby')?.name ?? 'the baby'}`}
            />
          )}
          {data.supplies.broth && <SupplyCard today={data.today} supply={data.supplies.broth} mark="broth" name="Broth" />}
        </div>
        <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1.25fr) minmax(0,1fr)', alignItems: 'start' }}>
          <EatFirst data={data} onLog={(packId) => setLog(packId)} />
          <div className="stack">
            {data.fridge.length > 0 && (
              <section className="card" aria-label="In the fridge">
                <h2>In the fridge</h2>
                <ul className="rows">
                  {data.fridge.map((p) => (
                    <li key={p.packId}>
                      <KindMark kind={p.kind} size={22} />
                      <div className="grow">
                        <Link className="main" to={`/p/${p.code}`}>
                          {p.name}, {amountOf(p)}
                        </Link>
                        <ColdLine pack={p} today={data.today} />
                        <NotFor says={p.notFor} />
                      </div>
                      <button type="button" className="link s" onClick={() => setLog(p.packId)}>
                        eaten
                      </button>
                      <DueTag due={p.due} />
                    </li>
                  ))}
                </ul>
              </section>
            )}
            <CatchUp data={data} onLog={(day) => setLog('1', day)} />
            <section className="card" aria-label="Dinners from here">
              <h2>Dinners from here</h2>
              <Suspense fallback={<p className="quiet">Drawing...</p>}>
                <RunwayChart supply={data.supplies.dinners} />
              </Suspense>
            </section>
            <section className="card" aria-label="Lately">
              <h2>Lately</h2>
              <ul className="rows">
                {data.recent.slice(0, 8).map((r) => (
                  <li key={r.eventId} style={{ padding: '6px 0' }}>
                    <span className="sub" style={{ width: 76 }}>
                      {sayNear(r.day, data.today)}
                    </span>
                    <div className="grow">
                      {r.name}
                      <div className="sub">{r.who || sayPortions(r.portions)}</div>
                    </div>
                  </li>
                ))}
              </ul>
              <p className="sub">
                <Link to="/history">All of it, with undo</Link>
              </p>
            </section>
          </div>
        </div>
      </div>
      {logging !== null && <LogMeal data={data} what={logging} day={params.get('day') ?? undefined} onClose={() => setLog(null)} />}
    </main>
  );
}
