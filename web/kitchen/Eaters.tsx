import { useState } from 'react';
import type { Eater } from '#core/contract';
import { sayPortions } from '#core/kitchen';
import type { KitchenAnswer } from '#core/queries';
import { Empty } from '../ui/ui.tsx';
import { EaterForm } from './EaterForm.tsx';
import { Weeks } from './Weeks.tsx';

const sayRota = (e: Eater): string => (e.presence.rota ? `${e.presence.rota.daysOn} days away, ${e.presence.rota.daysOff} home` : '');

export function Eaters({ data }: { data: KitchenAnswer }) {
  const [editing, setEditing] = useState<Eater | 'new'>();
  const plates = data.weeks.quarters.reduce((s, q) => s + q, 0) / 4;
  const baby = data.weeks.babyMeals.reduce((s, q) => s + q, 0);
  const must = data.eaters.filter((e) => e.allergens.length > 0 || e.needs.length > 0 || e.stage === 'baby');
  return (
    <>
      {data.eaters.length === 0 ? (
        <Empty
          title="Who eats here?"
          text="Dinners left, portions to cook and the baby’s days of supply are all counted from who is at the table."
        >
          <button type="button" className="btn" onClick={() => setEditing('new')}>
            Add the first
          </button>
        </Empty>
      ) : (
        <div className="stack">
          <section className="card" aria-label="Who is at the table">
            <div className="cardhead">
              <h2>Who is at the table</h2>
              <span className="quiet">breakfast, lunch, dinner; tap one to change it</span>
            </div>
            <Weeks data={data} />
          </section>
          <div className="grid" style={{ gridTemplateColumns: 'repeat(3,minmax(0,1fr))', alignItems: 'start' }}>
            <section className="card" aria-label="Four weeks">
              <h2>Next four weeks</h2>
              <div className="row wrap" style={{ gap: 24 }}>
                <div>
                  <span className="big">{sayPortions(plates)}</span>
                  <span className="unit">plates at dinner</span>
                </div>
                {baby > 0 && (
                  <div>
                    <span className="big">{baby}</span>
                    <span className="unit">small meals</span>
                  </div>
                )}
              </div>
              <p className="sub" style={{ marginTop: 8 }}>
                One plate is a recipe’s own serving.
              </p>
            </section>
            {must.length > 0 && (
              <section className="card" aria-label="Mind">
                <h2>Mind</h2>
                <ul className="rows">
                  {must.map((e) => (
                    <li key={e.id}>
                      <div className="grow">
                        <b>{e.name}</b>:{' '}
                        {[
                          ...e.allergens.map((a) => `no ${data.allergenNames[a] ?? a}`),
                          ...(e.needs.includes('lowSalt') ? ['low salt'] : []),
                          ...(e.needs.includes('noPork') ? ['no pork'] : []),
                          ...(e.needs.includes('vegetarian') ? ['vegetarian'] : []),
                          ...(e.stage === 'baby' ? ['no honey before 12 months, no added salt'] : []),
                        ].join(', ')}
                      </div>
                    </li>
                  ))}
                </ul>
              </section>
            )}
            <section className="card" aria-label="Change">
              <h2>Change</h2>
              <div className="chips">
                {data.eaters.map((e) => (
                  <button type="button" key={e.id} className="chip" onClick={() => setEditing(e)}>
                    {e.name}
                  </button>
                ))}
                <button type="button" className="chip on" onClick={() => setEditing('new')}>
                  Add somebody
                </button>
              </div>
              {data.eaters.some((e) => e.presence.rota) && (
                <p className="sub" style={{ marginTop: 10 }}>
                  {data.eaters
                    .filter((e) => e.presence.rota)
                    .map((e) => `${e.name}: ${sayRota(e)}`)
                    .join('; ')}
                  .
                </p>
              )}
            </section>
          </div>
        </div>
      )}
      {editing && <EaterForm eater={editing === 'new' ? undefined : editing} onClose={() => setEditing(undefined)} />}
    </>
  );
}
