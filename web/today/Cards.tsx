import { Link } from 'react-router';
import { planFor } from '#core/commands';
import { addDays, countOf, isDinner, isOne, sayDay, sayNear, sayPortions, shortWeekday } from '#core/kitchen';
import type { TodayAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { DueTag, NotFor, Why } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { Plates } from '../draw/Plates.tsx';
import { RunwayCurve } from '../draw/RunwayCurve.tsx';
import { amountOf, datedAs, placeName } from '../ui/packWords.ts';
import { dishes } from './dishes.ts';
import { useMeasures } from '../sync/measures.ts';

export function EatFirst({ data }: { data: TodayAnswer }) {
  const { log } = useCommands();
  const { view, today } = data;
  const open = view.week.find((d) => d.day > today && d.quarters > 0 && d.covered < d.quarters) ?? view.week[1];
  const list = dishes(view.eatFirst.filter(({ pack }) => !pack.planned)).slice(0, 6);
  return (
    <section className="card" aria-label="Eat first">
      <h2>Eat first</h2>
      {list.length === 0 ? (
        <p className="quiet">The freezer is empty, or all of it is planned.</p>
      ) : (
        <ul className="rows">
          {list.map(({ first: { pack, due, notFor }, packs, left }) => (
            <li key={pack.packId}>
              <KindMark kind={pack.kind} size={26} />
              <div className="grow">
                <Link className="main" to={`/p/${pack.code}`}>
                  {pack.name}, {amountOf({ kind: pack.kind, left })}
                </Link>
                <div className="sub">
                  {datedAs(pack)}, {packs > 1 ? `${packs} packs` : placeName(data.places, pack)}
                </div>
                <NotFor says={notFor} />
              </div>
              <div style={{ display: 'flex', flexDirection: 'column', alignItems: 'flex-end', gap: 5 }}>
                <DueTag due={due} />
                {open && isDinner(pack) && (
                  <button
                    type="button"
                    className="btn o s"
                    onClick={() => void log(planFor([pack], open.day), `${pack.name} is planned for ${sayNear(open.day, today)}`)}
                  >
                    for {sayNear(open.day, today)}
                  </button>
                )}
              </div>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

export function Lasting({ data }: { data: TodayAnswer }) {
  const { sayVolume } = useMeasures();
  const { dinners, baby, broth } = data.supplies;
  const { runway: r } = dinners;
  return (
    <section className="card" aria-label="How long it lasts">
      <div className="cardhead">
        <h2>Dinners last to</h2>
        <Why label="how long dinners last">
          {countOf(r.left, 'portion')} {isOne(r.left) ? 'is' : 'are'} in store, enough for {countOf(dinners.count, 'whole dinner')}. Of each
          portion asked for, about {Math.round(r.rate.k * 100)} % came from the freezer lately ({r.rate.loggedDays} days with a log). The
          dates are those on which it is used up with 10, 50 and 90 % likelihood. “Cook by” is{' '}
          {data.supplies.dinners.runway.parDay
            ? `3 days before a week’s dinners are left (${sayDay(data.supplies.dinners.runway.parDay)})`
            : 'open'}
          .
        </Why>
      </div>
      <div className="row" style={{ alignItems: 'baseline', gap: 8 }}>
        <span className="big">{r.runOut.middle ? sayDay(r.runOut.middle) : 'a long time'}</span>
        {r.runOut.early && r.runOut.late && (
          <span className="quiet">
            {sayDay(r.runOut.early)} to {sayDay(r.runOut.late)}
          </span>
        )}
      </div>
      <RunwayCurve supply={dinners} today={data.today} />
      <ul className="rows" style={{ marginTop: 6 }}>
        {baby && (
          <li style={{ padding: '6px 0' }}>
            <KindMark kind="puree" size={20} />
            <span className="grow">
              <b>{baby.count}</b> baby meals
            </span>
            <span className="sub">{baby.says.replace(/ \(.*/, '')}</span>
          </li>
        )}
        {broth && (
          <li style={{ padding: '6px 0' }}>
            <KindMark kind="broth" size={20} />
            <span className="grow">
              <b>{broth.count}</b> broth, {sayVolume(500)} each
            </span>
            <span className="sub">{broth.says.replace(/ \(.*/, '')}</span>
          </li>
        )}
      </ul>
    </section>
  );
}

export function Week({ data }: { data: TodayAnswer }) {
  const openQ = data.view.week.reduce((s, d) => s + Math.max(0, d.quarters - d.covered), 0);
  return (
    <section className="card" aria-label="This week's table">
      <h2>The table this week</h2>
      <div style={{ display: 'grid', gridTemplateColumns: 'repeat(7,1fr)', textAlign: 'center', alignItems: 'end' }}>
        {data.view.week.map((d) => (
          <div key={d.day}>
            <Plates quarters={d.quarters} covered={d.covered} />
          </div>
        ))}
        {data.view.week.map((d) => (
          <div
            key={d.day}
            className={d.day === data.today ? 'strong' : 'quiet'}
            style={{ fontSize: 15, borderTop: '3px solid var(--kind-bread)', paddingTop: 4 }}
          >
            {d.day === data.today ? 'today' : shortWeekday(d.day)}
          </div>
        ))}
      </div>
      <p className="sub" style={{ marginTop: 8 }}>
        Filled plates are planned from the freezer.{' '}
        {openQ > 0 ? `${sayPortions(openQ / 4)} plates to ${sayDay(addDays(data.today, 6))} are still open.` : 'The whole week is covered.'}
      </p>
    </section>
  );
}
