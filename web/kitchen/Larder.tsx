import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { capital, countOf, ingredientFinder, sayMoney } from '#core/kitchen';
import type { IngredientRow } from '#core/contract';
import { newestPrice } from '#core/recipe';
import { aisles } from '#core/shop/data';
import type { LarderAnswer } from '#core/queries';
import { useLarderQuery } from '../sync/api.ts';
import { newId } from '../sync/device.ts';
import { Empty, Waiting } from '../ui/ui.tsx';
import { IngredientCard } from './IngredientCard.tsx';

/** Rows shown at once; typing narrows them. */
const shownRows = 60;

type Only = 'all' | 'mine' | 'priced' | 'freezesBadly';
const onlyNames: readonly (readonly [Only, string])[] = [
  ['all', 'all'],
  ['mine', 'changed or added here'],
  ['priced', 'with a price'],
  ['freezesBadly', 'freezes badly'],
];

function keeps(row: IngredientRow, only: Only, data: LarderAnswer): boolean {
  if (only === 'mine') return data.edited.includes(row.id) || data.own.includes(row.id);
  if (only === 'priced') return (row.prices?.length ?? 0) > 0;
  return only === 'freezesBadly' ? row.freeze === 'badly' : true;
}

const blank = (): IngredientRow => ({
  id: `own_${newId()}`,
  name: '',
  otherNames: [],
  aisle: 'greens_roots',
  density: {},
  contains: [],
  mayHold: [],
  allergenCheck: 'unknown',
  source: 'OWN',
  conf: 'confirm',
});

function Found({ data }: { data: LarderAnswer }) {
  const [params, setParams] = useSearchParams();
  const [q, setQ] = useState('');
  const [aisle, setAisle] = useState('');
  const [only, setOnly] = useState<Only>('all');
  const [added, setAdded] = useState<IngredientRow>();
  const finder = useMemo(() => ingredientFinder(data.rows), [data.rows]);
  const found = useMemo(
    () => (q.trim() ? finder.search(q, data.rows.length) : data.rows).filter((r) => (!aisle || r.aisle === aisle) && keeps(r, only, data)),
    [finder, data, q, aisle, only],
  );
  const chosen = params.get('i');
  const row = added ?? finder.byId(chosen ?? '') ?? found[0];
  const choose = (id: string): void => {
    setAdded(undefined);
    setParams({ tab: 'larder', i: id }, { replace: true });
  };
  return (
    <div className="grid larder">
      <section className="card" aria-label="Find an ingredient">
        <div className="row wrap" style={{ gap: 10 }}>
          <input
            className="field grow"
            style={{ minWidth: 190 }}
            type="search"
            placeholder="Name, here or elsewhere"
            aria-label="Search ingredients"
            value={q}
            onChange={(e) => setQ(e.currentTarget.value)}
          />
          <select className="field" aria-label="Aisle" value={aisle} onChange={(e) => setAisle(e.currentTarget.value)}>
            <option value="">every aisle</option>
            {aisles.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </div>
        <div className="chips" role="group" aria-label="Only" style={{ marginTop: 10 }}>
          {onlyNames.map(([id, name]) => (
            <button key={id} type="button" className="chip" aria-pressed={only === id} onClick={() => setOnly(id)}>
              {name}
            </button>
          ))}
        </div>
        <p className="sub" role="status" style={{ margin: '10px 0 4px' }}>
          {countOf(found.length, 'ingredient')}
          {found.length > shownRows ? `, the first ${shownRows} below` : ''}
        </p>
        {found.length === 0 ? (
          <p className="quiet">Nothing by that name. Add it below, with what you know of it.</p>
        ) : (
          <ul className="rows picklist">
            {found.slice(0, shownRows).map((r) => {
              const price = newestPrice(r);
              return (
                <li key={r.id}>
                  <button type="button" className="pick" aria-current={row?.id === r.id} onClick={() => choose(r.id)}>
                    <span className="grow">
                      <b>{capital(r.name)}</b>
                      {r.otherNames.length > 0 && <span className="sub"> {r.otherNames.slice(0, 3).join(', ')}</span>}
                    </span>
                    {data.own.includes(r.id) && <span className="tag f">added here</span>}
                    {data.edited.includes(r.id) && <span className="tag l">changed</span>}
                    {price && <span className="sub">{sayMoney(price.cents, data.household.currency, data.household.locale)}</span>}
                  </button>
                </li>
              );
            })}
          </ul>
        )}
        <button type="button" className="btn o" style={{ marginTop: 12 }} onClick={() => setAdded({ ...blank(), name: q.trim() })}>
          Add one of your own
        </button>
      </section>
      {row ? (
        <IngredientCard key={row.id + JSON.stringify(row).length} row={row} data={data} isNew={row === added} onKept={choose} />
      ) : (
        <Empty title="Choose one" text="Its weights, trim, price and how it keeps stand here." />
      )}
    </div>
  );
}

/** Ingredients: found by any of their names, changed, set back, added. */
export function Larder() {
  const { data, error, refetch } = useLarderQuery();
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  return <Found data={data} />;
}
