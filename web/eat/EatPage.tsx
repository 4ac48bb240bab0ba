import { lazy, Suspense, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { sayDay, sayNear, sayPortions, sayWeekday, shortWeekday } from '#core/kitchen';
import type { EatAnswer, Evening, PackBrief, Supply } from '#core/session';
import { useEatQuery, useFrameQuery } from '../app/api.ts';
import { useCommands } from '../app/commands.ts';
import { DueTag, PageHead, Waiting, Why } from '../app/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { Plates } from '../draw/Plates.tsx';
import { amountOf } from '../store/words.ts';
import { LogMeal } from './LogMeal.tsx';

const RunwayChart = lazy(() => import('./RunwayChart.tsx'));

const isDinner = (p: PackBrief): boolean => p.kind === 'meal' || p.kind === 'kit';

/** The evenings ahead as plates along a table, with what stands on each. */
function Table({ data }: { data: EatAnswer }) {
  const { log } = useCommands();
  const names = new Map(data.eaters.map((e) => [e.id, e.name]));
  const clear = (e: Evening): void => void log(e.packs.map((p) => ({ type: 'planned' as const, subjects: [p.packId], data: { for: null } })), `${sayNear(e.day, data.today)} is open again`);
  return (
    <section className="card" aria-label="The coming evenings" style={{ paddingBottom: 10 }}>
      <div style={{ display: 'grid', gridTemplateColumns: `repeat(${data.evenings.length}, minmax(0,1fr))`, columnGap: 8 }}>
        {data.evenings.map((e) => (
          <div key={`p${e.day}`} style={{ textAlign: 'center', alignSelf: 'end', minHeight: 62, display: 'flex', alignItems: 'end', justifyContent: 'center' }}><Plates quarters={e.quarters} covered={e.packs.filter(isDinner).reduce((s, p) => s + p.left * 4, 0)} size={34} /></div>
        ))}
        <div style={{ gridColumn: '1/-1', height: 6, background: 'var(--kind-bread)', borderRadius: 3 }} aria-hidden="true" />
        {data.evenings.map((e) => {
          const dishes = [...new Map(e.packs.map((p) => [p.name, p])).values()];
          return (
            <div key={e.day} style={{ paddingTop: 6, minWidth: 0 }}>
              <div style={{ fontWeight: e.day === data.today ? 700 : 600, color: e.day === data.today ? 'var(--tomato)' : 'var(--ink)' }}>{e.day === data.today ? 'Tonight' : `${shortWeekday(e.day)} ${Number(e.day.slice(8))}`}</div>
              <div className="sub">{e.eaters.length === 0 ? 'nobody home' : e.eaters.map((x) => names.get(x.eaterId)).join(', ')}</div>
              {dishes.map((p) => <div key={p.name} style={{ marginTop: 6, fontSize: 15, lineHeight: 1.25 }}><KindMark kind={p.kind} size={16} /> <Link to={`/p/${p.code}`} style={{ color: 'var(--ink)' }}>{p.name}</Link><div className="sub">{e.packs.filter((x) => x.name === p.name).length} packs{p.status === 'fridge' ? ', thawed' : ''}</div></div>)}
              {e.quarters > 0 && dishes.length === 0 && <div className="sub" style={{ marginTop: 6 }}>{e.day === data.today && data.tonightLogged ? 'eaten, written down' : 'open'}</div>}
              {dishes.length > 0 && <button type="button" className="link s" onClick={() => clear(e)} aria-label={`Take everything off ${sayWeekday(e.day)}`}>take off</button>}
            </div>
          );
        })}
      </div>
    </section>
  );
}

function EatFirst({ data, onLog }: { data: EatAnswer; onLog: (packId: string) => void }) {
  const { log } = useCommands();
  const [q, setQ] = useState('');
  const open = data.evenings.find((e) => e.quarters > 0 && !(e.day === data.today && data.tonightLogged) && e.packs.filter(isDinner).reduce((s, p) => s + p.left * 4, 0) < e.quarters);
  const list = data.eatFirst.filter((p) => p.name.toLowerCase().includes(q.toLowerCase()) || p.code.toLowerCase() === q.toLowerCase());
  const put = (p: PackBrief, day: string): void => void log([{ type: 'planned', subjects: [p.packId], data: { for: day ? { day, meal: 'dinner' } : null } }], day ? `${p.name} is planned for ${sayNear(day, data.today)}` : `${p.name} is no longer planned`);
  return (
    <section className="card" aria-label="Eat first">
      <div className="cardhead"><h2>Eat first</h2><input className="field" type="search" style={{ width: 170 }} placeholder="Name or code" aria-label="Filter eat first" value={q} onChange={(e) => setQ(e.currentTarget.value)} /></div>
      {list.length === 0 ? <p className="quiet">{data.eatFirst.length === 0 ? 'Nothing frozen is left. Plan a session.' : 'Nothing of that name.'}</p> : (
        <ul className="rows" style={{ maxHeight: 470, overflow: 'auto', paddingRight: 6 }} tabIndex={0} aria-label="Packs, the soonest due first">
          {list.map((p) => (
            <li key={p.packId}>
              <KindMark kind={p.kind} size={24} />
              <div className="grow"><Link className="main" to={`/p/${p.code}`}>{p.name}, {amountOf(p)}</Link><div className="sub">best by {sayDay(p.bestBy)}, {p.code}</div></div>
              {isDinner(p) && open && !p.planned && <button type="button" className="btn o s" onClick={() => put(p, open.day)}>for {sayNear(open.day, data.today)}</button>}
              {isDinner(p) && <select className="field" style={{ minHeight: 32, padding: '3px 6px', fontSize: 15 }} aria-label={`Evening for ${p.name} ${p.code}`} value={p.planned?.day ?? ''} onChange={(e) => put(p, e.currentTarget.value)}><option value="">evening</option>{data.evenings.map((e) => <option key={e.day} value={e.day}>{sayNear(e.day, data.today)}</option>)}{p.planned && !data.evenings.some((e) => e.day === p.planned?.day) && <option value={p.planned.day}>{sayWeekday(p.planned.day)}</option>}</select>}
              <button type="button" className="link s" onClick={() => onLog(p.packId)} aria-label={`Log ${p.name} ${p.code} as eaten`}>eaten</button>
              <DueTag {...p.due} />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function SupplyCard({ supply, mark, name }: { supply: Supply; mark: 'meal' | 'puree' | 'broth'; name: string }) {
  const r = supply.runway;
  return (
    <section className="card" aria-label={name}>
      <div className="cardhead"><span className="row" style={{ gap: 8 }}><KindMark kind={mark} size={20} /><span>{name}</span></span><Why label={name}>{sayPortions(r.left)} units in store. Eaten so far: {Math.round(r.rate.k * 100)} % of what was asked for ({r.rate.loggedDays} days with a log, the last four weeks weigh most). The dates are the 10, 50 and 90 % points of what may come.</Why></div>
      <div><span className="big">{supply.count}</span><span className="unit">{supply.unit}</span></div>
      <p className="sub" style={{ fontSize: 15 }}>{supply.says}{r.cookBy && r.parPortions > 0 ? `. Cook by ${sayDay(r.cookBy)}` : ''}</p>
    </section>
  );
}

/** Eat: the evenings ahead, what to eat first, who ate what, how long it lasts. */
export function EatPage() {
  const { data, error, refetch } = useEatQuery();
  const frame = useFrameQuery().data;
  const { log } = useCommands();
  const [params, setParams] = useSearchParams();
  if (!data || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const logging = params.get('log');
  const setLog = (value: string | null): void => setParams((p) => { if (value) p.set('log', value); else p.delete('log'); return p; }, { replace: true });
  return (
    <main className="page">
      <PageHead title="Eat" lead={data.tonightLogged ? 'Tonight is written down.' : `Tonight: ${sayPortions((data.evenings[0]?.quarters ?? 0) / 4)} plates. ${data.evenings[0]?.packs.length ? data.evenings[0].packs.map((p) => p.name).filter((n, i, a) => a.indexOf(n) === i).join(' and ') : 'Nothing planned yet'}.`}>
        <button type="button" className="btn" onClick={() => setLog('1')}>Log a meal</button>
      </PageHead>
      <div className="stack">
        {data.probable.length > 0 && (
          <section className="card" aria-label="Probably eaten" style={{ borderTopColor: 'var(--saffron-fill)' }}>
            <h2>Was it eaten?</h2>
            <ul className="rows">
              {data.probable.map((p) => (
                <li key={p.packId}>
                  <KindMark kind={p.kind} size={24} />
                  <div className="grow"><b>{p.name}, {amountOf(p)}</b><div className="sub">planned for {sayNear(p.planned?.day ?? data.today, data.today)}, nobody said. Not counted in the store until you do.</div></div>
                  <button type="button" className="btn s" onClick={() => void log([{ type: 'eaten', subjects: [p.packId], data: { day: p.planned?.day ?? data.today, meal: 'dinner', shares: [], guests: p.left, rest: 'none' } }], `${p.name}: eaten as planned`)}>Yes, all</button>
                  <button type="button" className="btn o s" onClick={() => setLog(p.packId)}>Changed</button>
                  <button type="button" className="btn o s" onClick={() => void log([{ type: 'planned', subjects: [p.packId], data: { for: null } }], `${p.name} is still there`)}>Still there</button>
                </li>
              ))}
            </ul>
          </section>
        )}
        <Table data={data} />
        <div className="grid" style={{ gridTemplateColumns: `repeat(${1 + (data.supplies.baby ? 1 : 0) + (data.supplies.broth ? 1 : 0)}, minmax(0,1fr))` }}>
          <SupplyCard supply={data.supplies.dinners} mark="meal" name="Dinners" />
          {data.supplies.baby && <SupplyCard supply={data.supplies.baby} mark="puree" name={`Meals for ${data.eaters.find((e) => e.stage === 'baby')?.name ?? 'the baby'}`} />}
          {data.supplies.broth && <SupplyCard supply={data.supplies.broth} mark="broth" name="Broth" />}
        </div>
        <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1.25fr) minmax(0,1fr)', alignItems: 'start' }}>
          <EatFirst data={data} onLog={setLog} />
          <div className="stack">
            {data.fridge.length > 0 && <section className="card" aria-label="In the fridge"><h2>In the fridge</h2><ul className="rows">{data.fridge.map((p) => <li key={p.packId}><KindMark kind={p.kind} size={22} /><div className="grow"><Link className="main" to={`/p/${p.code}`}>{p.name}, {amountOf(p)}</Link></div><button type="button" className="link s" onClick={() => setLog(p.packId)}>eaten</button><DueTag {...p.due} /></li>)}</ul></section>}
            <section className="card" aria-label="Dinners from here"><h2>Dinners from here</h2><Suspense fallback={<p className="quiet">Drawing...</p>}><RunwayChart supply={data.supplies.dinners} /></Suspense></section>
            <section className="card" aria-label="Lately"><h2>Lately</h2><ul className="rows">{data.recent.slice(0, 8).map((r) => <li key={r.eventId} style={{ padding: '6px 0' }}><span className="sub" style={{ width: 76 }}>{sayNear(r.day, data.today)}</span><div className="grow">{r.name}<div className="sub">{r.who || sayPortions(r.portions)}</div></div></li>)}</ul><p className="sub"><Link to="/history">All of it, with undo</Link></p></section>
          </div>
        </div>
      </div>
      {logging !== null && <LogMeal data={data} what={logging} onClose={() => setLog(null)} />}
    </main>
  );
}
