import { Link } from 'react-router';
import { planFor } from '#core/commands';
import { countOf, sayNear, sayWeekday, shortWeekday } from '#core/kitchen';
import type { EatAnswer, Evening } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { KindMark } from '../draw/KindMark.tsx';
import { Plates } from '../draw/Plates.tsx';
import { NotFor } from '../ui/ui.tsx';
import { isDinner } from './EatFirst.tsx';

const dishesOn = (e: Evening) => [...new Map(e.packs.map((p) => [p.name, p])).values()];

/** Evenings that a thumb scrolls through. */
const onPhone = 6;

/** The same evenings one below the other, for a phone. */
function EveningRows({ data, onClear }: { data: EatAnswer; onClear: (e: Evening) => void }) {
  const names = new Map(data.eaters.map((e) => [e.id, e.name]));
  return (
    <ul className="rows phoneonly">
      {data.evenings.slice(0, onPhone).map((e) => {
        const dishes = dishesOn(e);
        return (
          <li key={e.day} style={{ flexWrap: 'nowrap' }}>
            <div style={{ width: 74, fontWeight: 700, color: e.day === data.today ? 'var(--tomato)' : 'var(--ink)' }}>
              {e.day === data.today ? 'Tonight' : `${shortWeekday(e.day)} ${Number(e.day.slice(8))}`}
            </div>
            <Plates quarters={e.quarters} covered={e.packs.filter(isDinner).reduce((s, p) => s + p.left * 4, 0)} size={30} />
            <div className="grow">
              {dishes.map((p) => (
                <Link key={p.name} className="main" to={`/p/${p.code}`} style={{ padding: 0 }}>
                  {p.name}
                </Link>
              ))}
              <div className="sub">
                {e.eaters.length === 0 ? 'nobody home' : e.eaters.map((x) => names.get(x.eaterId)).join(', ')}
                {e.quarters > 0 && dishes.length === 0 ? (e.day === data.today && data.tonightLogged ? '; written down' : '; open') : ''}
              </div>
              <NotFor says={e.notFor} />
            </div>
            {dishes.length > 0 && (
              <button type="button" className="link s" onClick={() => onClear(e)} aria-label={`Take everything off ${sayWeekday(e.day)}`}>
                take off
              </button>
            )}
          </li>
        );
      })}
    </ul>
  );
}

/** The evenings ahead as plates along a table, with what stands on each. */
export function Table({ data }: { data: EatAnswer }) {
  const { log } = useCommands();
  const names = new Map(data.eaters.map((e) => [e.id, e.name]));
  const clear = (e: Evening): void => void log(planFor(e.packs, undefined), `${sayNear(e.day, data.today)} is open again`);
  return (
    <section className="card" aria-label="The coming evenings" style={{ paddingBottom: 10 }}>
      <EveningRows data={data} onClear={clear} />
      <div
        className="deskonly"
        style={{ display: 'grid', gridTemplateColumns: `repeat(${data.evenings.length}, minmax(0,1fr))`, columnGap: 8 }}
      >
        {data.evenings.map((e) => (
          <div
            key={`p${e.day}`}
            style={{ textAlign: 'center', alignSelf: 'end', minHeight: 62, display: 'flex', alignItems: 'end', justifyContent: 'center' }}
          >
            <Plates quarters={e.quarters} covered={e.packs.filter(isDinner).reduce((s, p) => s + p.left * 4, 0)} size={34} />
          </div>
        ))}
        <div style={{ gridColumn: '1/-1', height: 6, background: 'var(--kind-bread)', borderRadius: 3 }} aria-hidden="true" />
        {data.evenings.map((e) => {
          const dishes = dishesOn(e);
          return (
            <div key={e.day} style={{ paddingTop: 6, minWidth: 0 }}>
              <div style={{ fontWeight: e.day === data.today ? 700 : 600, color: e.day === data.today ? 'var(--tomato)' : 'var(--ink)' }}>
                {e.day === data.today ? 'Tonight' : `${shortWeekday(e.day)} ${Number(e.day.slice(8))}`}
              </div>
              <div className="sub">{e.eaters.length === 0 ? 'nobody home' : e.eaters.map((x) => names.get(x.eaterId)).join(', ')}</div>
              {dishes.map((p) => (
                <div key={p.name} style={{ marginTop: 6, fontSize: 15, lineHeight: 1.25 }}>
                  <KindMark kind={p.kind} size={16} />{' '}
                  <Link to={`/p/${p.code}`} style={{ color: 'var(--ink)' }}>
                    {p.name}
                  </Link>
                  <div className="sub">
                    {countOf(e.packs.filter((x) => x.name === p.name).length, 'pack')}
                    {p.status === 'fridge' ? ', thawed' : ''}
                  </div>
                </div>
              ))}
              <NotFor says={e.notFor} />
              {e.quarters > 0 && dishes.length === 0 && (
                <div className="sub" style={{ marginTop: 6 }}>
                  {e.day === data.today && data.tonightLogged ? 'eaten, written down' : 'open'}
                </div>
              )}
              {dishes.length > 0 && (
                <button type="button" className="link s" onClick={() => clear(e)} aria-label={`Take everything off ${sayWeekday(e.day)}`}>
                  take off
                </button>
              )}
            </div>
          );
        })}
      </div>
    </section>
  );
}
