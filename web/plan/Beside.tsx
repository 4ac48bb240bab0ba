import type { Day } from '#core/contract';
import { countOf, sayMinutes, sayPortions, sayWeekday } from '#core/kitchen';
import type { KitchenAnswer, SessionParts } from '#core/queries';
import { useMeasures } from '../sync/measures.ts';
import { Plates } from '../draw/Plates.tsx';

/** Who is at the table over the next three weeks, with the day of the session among them. */
export function ThreeWeeks({ weeks, day }: { weeks: KitchenAnswer['weeks']; day: Day }) {
  const quarters = weeks.quarters.slice(0, 21);
  return (
    <section className="card" style={{ marginBottom: 16, padding: '10px 16px' }} aria-label="Who is at the table">
      <div className="threeweeks">
        {weeks.days.slice(0, 21).map((d, i) => (
          <div key={d}>
            <Plates quarters={quarters[i] ?? 0} covered={0} size={22} />
            <div
              style={{
                fontSize: 14,
                borderTop: '3px solid var(--kind-bread)',
                fontWeight: d === day ? 700 : 400,
                color: d === day ? 'var(--tomato)' : 'var(--quiet)',
              }}
            >
              {d === day ? 'cook' : sayWeekday(d).slice(0, 2)}
            </div>
          </div>
        ))}
      </div>
      <p className="sub" style={{ marginTop: 4 }}>
        {sayPortions(quarters.reduce((s, q) => s + q, 0) / 4)} plates are asked for in the three weeks from today.
      </p>
    </section>
  );
}

/** Cutting that dishes share, done once. */
export function CutOnce({ tasks }: { tasks: SessionParts['draft']['cutOnce'] }) {
  return (
    <section className="card" aria-label="Cut once">
      <h2>Cut once</h2>
      <ul className="rows">
        {tasks.map((t) => (
          <li key={t.id} style={{ padding: '6px 0' }}>
            <div className="grow">
              <b>{t.title}</b>
              <div className="sub">{t.detail}</div>
            </div>
            <span className="quiet">{sayMinutes(t.handsOnMin)}</span>
          </li>
        ))}
      </ul>
      {tasks.length === 0 && <p className="quiet">These dishes share no cutting.</p>}
    </section>
  );
}

/** How much there is to carry home. */
export function ToBuy({ buy }: { buy: SessionParts['draft']['buy'] }) {
  const { sayMass } = useMeasures();
  return (
    <section className="card" aria-label="To buy">
      <h2>To buy, about</h2>
      <p className="reading">
        {countOf(buy.things, 'thing')}, {sayMass(buy.massG)} in all.
      </p>
    </section>
  );
}
