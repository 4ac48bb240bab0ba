import { Link } from 'react-router';
import { addDays, clockOf, dayOf, sayDay, sayLongDay, sayNear, sayPortions, sayVolume, shortWeekday } from '#core/kitchen';
import type { PackState } from '#core/store';
import type { TodayAnswer } from '#core/session';
import { useFrameQuery, useTodayQuery } from '../app/api.ts';
import { useCommands } from '../app/commands.ts';
import { Cautions, DueTag, Empty, Waiting, Why } from '../app/ui.tsx';
import { ContainerIcon } from '../draw/ContainerIcon.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { Plates } from '../draw/Plates.tsx';
import { RunwayCurve } from '../draw/RunwayCurve.tsx';
import { SessionHeader } from '../session/SessionHeader.tsx';
import { amountOf, placeName } from '../store/words.ts';

interface Group {
  name: string;
  packs: PackState[];
  day: string;
  by: string;
}

/** Packs of one dish for one evening come out together. */
function grouped(takeOut: TodayAnswer['view']['takeOut']): Group[] {
  const groups = new Map<string, Group>();
  for (const { pack, day, by } of takeOut) {
    const key = `${pack.recipeId ?? pack.name}|${day}`;
    const g = groups.get(key);
    if (g) g.packs.push(pack);
    else groups.set(key, { name: pack.name, packs: [pack], day, by });
  }
  return [...groups.values()];
}

type Ordered = TodayAnswer['view']['eatFirst'][number];

/** Packs of one dish that are due on one day stand as one line. */
function dishes(list: readonly Ordered[]): { first: Ordered; packs: number; left: number }[] {
  const groups = new Map<string, { first: Ordered; packs: number; left: number }>();
  for (const item of list) {
    const key = `${item.pack.recipeId ?? item.pack.name}|${item.due.day}|${item.pack.planned?.day ?? ''}`;
    const g = groups.get(key);
    if (g) groups.set(key, { ...g, packs: g.packs + 1, left: g.left + item.pack.left });
    else groups.set(key, { first: item, packs: 1, left: item.pack.left });
  }
  return [...groups.values()];
}

function Now({ data, zone, now }: { data: TodayAnswer; zone: string; now: string }) {
  const { log } = useCommands();
  const { view, today } = data;
  const groups = grouped(view.takeOut);
  const first = groups[0];
  const rest = groups.slice(1, 3);
  const nothing = !first && view.fridge.length === 0 && view.unlabelled.length === 0 && view.probable.length === 0 && view.unplaced.length === 0;
  const pull = (g: Group): void => void log(g.packs.map((p) => ({ type: 'pulled' as const, subjects: [p.packId], data: { day: g.day, meal: 'dinner' as const } })), `${g.name} is in the fridge`);
  const byText = (g: Group): string => (g.by <= now ? 'now' : `by ${dayOf(g.by, zone) === today ? '' : `${sayNear(dayOf(g.by, zone), today)} `}${clockOf(g.by, zone)}`);
  return (
    <section className="card" aria-label="Now">
      <h2>Now</h2>
      {first && (
        <div className="note" style={{ marginBottom: 8 }}>
          <div className="row" style={{ gap: 16 }}>
            <ContainerIcon shape={first.packs.some((p) => p.reheat.join().includes('out of the bag')) ? 'bag' : 'tub'} />
            <div className="grow">
              <div style={{ fontSize: 19, fontWeight: 700, lineHeight: 1.25 }}>Take {first.packs.length === 1 ? '1 pack' : `${first.packs.length} packs`} out to the fridge {byText(first)}</div>
              <div>{first.name}, for {sayNear(first.day, today)}’s dinner</div>
              <div className="sub">{[...new Set(first.packs.map((p) => placeName(data.places, p)))].join('; ')}. Needs {first.packs[0]?.thaw ?? 'about a day in the fridge'}.</div>
            </div>
          </div>
          <div className="row wrap" style={{ marginTop: 10, gap: 10 }}>
            <button type="button" className="btn" onClick={() => pull(first)}>{first.packs.length === 1 ? 'It’s in the fridge' : 'They’re in the fridge'}</button>
            <Link className="btn o" to="/eat">Swap</Link>
          </div>
        </div>
      )}
      <ul className="rows">
        {rest.map((g) => (
          <li key={g.name + g.day}>
            <KindMark kind={g.packs[0]?.kind ?? 'meal'} size={26} />
            <div className="grow"><div className="strong">{g.name}, {g.packs.length}</div><div className="sub">out of the freezer {byText(g)}, for {sayNear(g.day, today)}</div></div>
            <button type="button" className="btn o s" onClick={() => pull(g)}>Done</button>
          </li>
        ))}
        {dishes(view.fridge).slice(0, 3).map(({ first: { pack, due }, packs, left }) => (
          <li key={pack.packId}>
            <KindMark kind={pack.kind} size={26} />
            <div className="grow"><Link className="main" to={`/p/${pack.code}`}>{pack.name}, {amountOf({ kind: pack.kind, left })}</Link><div className="sub">{packs > 1 ? `${packs} packs ` : ''}in the fridge{pack.planned ? `, for ${pack.planned.day === today ? 'tonight' : sayNear(pack.planned.day, today)}` : ''}, eat by {sayNear(due.day, today)}</div></div>
            <DueTag {...due} />
          </li>
        ))}
        {view.probable.map((p) => (
          <li key={p.packId}>
            <KindMark kind={p.kind} size={26} />
            <div className="grow"><Link className="main" to={`/p/${p.code}`}>{p.name}, {amountOf(p)}</Link><div className="sub">was planned for {sayNear(p.planned?.day ?? today, today)}: probably eaten. Was it?</div></div>
            <Link className="btn o s" to={`/eat?settle=${p.packId}`}>Settle</Link>
          </li>
        ))}
        {view.unlabelled.length > 0 && (
          <li>
            <KindMark kind={view.unlabelled[0]?.kind ?? 'meal'} size={26} />
            <div className="grow"><Link className="main" to={`/p/${view.unlabelled[0]?.code ?? ''}`}>{view.unlabelled[0]?.name}</Link><div className="sub">{view.unlabelled.length === 1 ? '1 pack has no label yet' : `${view.unlabelled.length} packs have no label yet`}</div></div>
            <Link className="tag t" to={view.unlabelled[0]?.sessionId ? `/pack/${view.unlabelled[0].sessionId}/labels` : '/store'}>label</Link>
          </li>
        )}
        {view.unplaced.length > 0 && <li><div className="grow"><div className="strong">{view.unplaced.length} packs stand outside</div><div className="sub">filled, not put away yet</div></div><Link className="tag t" to="/store">put away</Link></li>}
        {nothing && <li className="quiet">Nothing presses. Pick a pack from Eat first for one of the coming evenings.</li>}
      </ul>
    </section>
  );
}

function EatFirst({ data }: { data: TodayAnswer }) {
  const { log } = useCommands();
  const { view, today } = data;
  const open = view.week.find((d) => d.day > today && d.quarters > 0 && d.covered < d.quarters) ?? view.week[1];
  const list = dishes(view.eatFirst.filter(({ pack }) => !pack.planned)).slice(0, 8);
  return (
    <section className="card" aria-label="Eat first">
      <h2>Eat first</h2>
      {list.length === 0 ? <p className="quiet">The freezer is empty, or all of it is planned.</p> : (
        <ul className="rows">
          {list.map(({ first: { pack, due }, packs, left }) => (
            <li key={pack.packId}>
              <KindMark kind={pack.kind} size={26} />
              <div className="grow"><Link className="main" to={`/p/${pack.code}`}>{pack.name}, {amountOf({ kind: pack.kind, left })}</Link><div className="sub">best by {sayDay(due.day)}, {packs > 1 ? `${packs} packs` : placeName(data.places, pack)}</div></div>
              <div style={{ display: 'flex', flexDirection: 'column', alignItems: 'flex-end', gap: 5 }}>
              <DueTag {...due} />
              {open && (pack.kind === 'meal' || pack.kind === 'kit') && <button type="button" className="btn o s" onClick={() => void log([{ type: 'planned', subjects: [pack.packId], data: { for: { day: open.day, meal: 'dinner' } } }], `${pack.name} is planned for ${sayNear(open.day, today)}`)}>for {sayNear(open.day, today)}</button>}
              </div>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Lasting({ data }: { data: TodayAnswer }) {
  const { dinners, baby, broth } = data.supplies;
  const { runway: r } = dinners;
  return (
    <section className="card" aria-label="How long it lasts">
      <div className="cardhead">
        <h2>Dinners last to</h2>
        <Why label="how long dinners last">
          {sayPortions(r.left)} portions are in store, enough for {dinners.count} whole dinners. Of each portion asked for, about {Math.round(r.rate.k * 100)} % came from the freezer lately ({r.rate.loggedDays} days with a log). The dates are those on which it is used up with 10, 50 and 90 % likelihood. “Cook by” is {data.supplies.dinners.runway.parDay ? `3 days before a week’s dinners are left (${sayDay(data.supplies.dinners.runway.parDay)})` : 'open'}.
        </Why>
      </div>
      <div className="row" style={{ alignItems: 'baseline', gap: 8 }}>
        <span className="big">{r.runOut.middle ? sayDay(r.runOut.middle) : 'a long time'}</span>
        {r.runOut.early && r.runOut.late && <span className="quiet">{sayDay(r.runOut.early)} to {sayDay(r.runOut.late)}</span>}
      </div>
      <RunwayCurve supply={dinners} today={data.today} />
      <ul className="rows" style={{ marginTop: 6 }}>
        {baby && <li style={{ padding: '6px 0' }}><KindMark kind="puree" size={20} /><span className="grow"><b>{baby.count}</b> baby meals</span><span className="sub">{baby.says.replace(/ \(.*/, '')}</span></li>}
        {broth && <li style={{ padding: '6px 0' }}><KindMark kind="broth" size={20} /><span className="grow"><b>{broth.count}</b> broth, {sayVolume(500)} each</span><span className="sub">{broth.says.replace(/ \(.*/, '')}</span></li>}
      </ul>
    </section>
  );
}

function Week({ data }: { data: TodayAnswer }) {
  const openQ = data.view.week.reduce((s, d) => s + Math.max(0, d.quarters - d.covered), 0);
  return (
    <section className="card" aria-label="This week's table">
      <h2>The table this week</h2>
      <div style={{ display: 'grid', gridTemplateColumns: 'repeat(7,1fr)', textAlign: 'center', alignItems: 'end' }}>
        {data.view.week.map((d) => <div key={d.day}><Plates quarters={d.quarters} covered={d.covered} /></div>)}
        {data.view.week.map((d) => <div key={d.day} className={d.day === data.today ? 'strong' : 'quiet'} style={{ fontSize: 15, borderTop: '3px solid var(--kind-bread)', paddingTop: 4 }}>{d.day === data.today ? 'today' : shortWeekday(d.day)}</div>)}
      </div>
      <p className="sub" style={{ marginTop: 8 }}>Filled plates are planned from the freezer. {openQ > 0 ? `${sayPortions(openQ / 4)} plates to ${sayDay(addDays(data.today, 6))} are still open.` : 'The whole week is covered.'}</p>
    </section>
  );
}

/** Today: the next thing to do, what to eat first, how long it lasts. */
export function TodayPage() {
  const { data, error, refetch } = useTodayQuery();
  const frame = useFrameQuery().data;
  if (!data || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const { view } = data;
  const tonight = view.tonight.packs.filter((p) => p.kind === 'meal' || p.kind === 'kit');
  const names = [...new Set(tonight.map((p) => p.name))];
  const plates = sayPortions(view.tonight.quarters / 4);
  const lead = view.tonight.logged ? 'Tonight’s dinner is written down.' : names.length > 0 ? `Tonight: ${names.join(' and ')}, ${plates} plates, at ${frame.household.dinnerAt}.` : view.tonight.quarters > 0 ? `Tonight: ${plates} plates at ${frame.household.dinnerAt}, nothing planned from the freezer yet.` : 'Nobody is at the table tonight.';
  return (
    <main className="page">
      <div className="pagehead">
        <div><h1 style={{ fontSize: 36 }}>{sayLongDay(data.today)}</h1><p className="lead">{lead}</p></div>
        {!view.tonight.logged && names.length > 0 && <Link className="btn" to="/eat?log=tonight">Log tonight’s dinner</Link>}
      </div>
      {data.demoOld && <div className="note warn row" style={{ marginBottom: 14 }}><span className="grow">The demo household has lived on for a week. To start it afresh at today, stop Tambo and type <b>npm run demo -- --reset</b>.</span></div>}
      {frame.empty ? <Empty title="An empty kitchen" text="Say who eats and what you cook and store in, then bring in a recipe. Everything else grows from there."><Link className="btn" to="/kitchen">Set up the kitchen</Link></Empty> : (
        <>
          <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1.15fr) minmax(0,1.1fr) minmax(0,0.95fr)', alignItems: 'start' }}>
            <Now data={data} zone={frame.household.timeZone} now={frame.now} />
            <EatFirst data={data} />
            <div className="stack"><Lasting data={data} /><Week data={data} /></div>
          </div>
          {data.next && <div style={{ marginTop: 16 }}><SessionHeader brief={data.next} /></div>}
          <Cautions list={data.cautions} title="When it comes out of the freezer" />
        </>
      )}
    </main>
  );
}
