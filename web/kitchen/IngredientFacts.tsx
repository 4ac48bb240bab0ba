import { useState } from 'react';
import { trim } from '#core/commands';
import type { IngredientRow, Price } from '#core/contract';
import { capital, sayMoney } from '#core/kitchen';
import type { LarderAnswer } from '#core/queries';
import { useFrameQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import { Why } from '../ui/ui.tsx';
import { Field, numberOf, Pick } from './fields.tsx';

/** What was bought and what was left of it to cook with: the trim of this kitchen. */
export function TrimLog({ row, data }: { row: IngredientRow; data: LarderAnswer }) {
  const { log } = useCommands();
  const [bought, setBought] = useState('');
  const [left, setLeft] = useState('');
  const [draft, setDraft] = useState(newId);
  const b = numberOf(bought);
  const l = numberOf(left);
  const good = b !== undefined && l !== undefined && b > 0 && l > 0 && l <= b;
  const seen = data.trims[row.id];
  return (
    <div style={{ borderTop: '1px solid var(--line)', paddingTop: 12 }}>
      <b>Weigh your own trim</b>{' '}
      {seen && (
        <span>
          {Math.round(seen.factor * 1000) / 10} % is used from now on, from {seen.runs} of yours.{' '}
          <Why label="learned trim">
            The shipped figure blended with what you weighed, by how often: {Math.round(seen.low * 100)} to{' '}
            {Math.round(Math.min(1, seen.high) * 100)} %, four times in five.
          </Why>
        </span>
      )}
      <div className="row wrap" style={{ gap: 10, alignItems: 'flex-end', marginTop: 6 }}>
        <Field label="Bought" unit="g" type="number" width={100} value={bought} onChange={setBought} />
        <Field label="Left to cook with" unit="g" type="number" width={140} value={left} onChange={setLeft} />
        <button
          type="button"
          className="btn o"
          disabled={!good}
          onClick={() => {
            void log([trim(row.id, b ?? 0, l ?? 0, draft)], `${capital(row.name)}: ${Math.round(((l ?? 0) / (b ?? 1)) * 100)} % left`);
            setBought('');
            setLeft('');
            setDraft(newId());
          }}
        >
          Note it
        </button>
        {good && <span className="mid">{Math.round((l / b) * 100)} % usable</span>}
      </div>
      {!good && b !== undefined && l !== undefined && <p className="sub">What is left weighs more than 0 and at most what was bought.</p>}
    </div>
  );
}

export function Prices({ row, data, onChange }: { row: IngredientRow; data: LarderAnswer; onChange: (prices: Price[]) => void }) {
  const today = useFrameQuery().data?.today;
  const [amount, setAmount] = useState('');
  const [unit, setUnit] = useState<Price['unit']>('g');
  const [money, setMoney] = useState('');
  const [shop, setShop] = useState('');
  const n = numberOf(amount);
  const cents = numberOf(money);
  const good = n !== undefined && n > 0 && cents !== undefined && cents >= 0;
  const prices = row.prices ?? [];
  return (
    <div style={{ borderTop: '1px solid var(--line)', paddingTop: 12 }}>
      <b>Packs and prices</b>
      <ul className="rows">
        {prices.map((p, i) => (
          <li key={i}>
            <span className="grow">
              {p.amount} {p.unit === 'piece' ? 'pieces' : p.unit} for{' '}
              <b>{sayMoney(p.cents, data.household.currency, data.household.locale)}</b>
              <span className="sub"> {[p.shop, p.day, p.madeUp ? 'made up for the demo' : ''].filter(Boolean).join(', ')}</span>
            </span>
            <button type="button" className="link s" onClick={() => onChange(prices.filter((_, k) => k !== i))}>
              not any more
            </button>
          </li>
        ))}
      </ul>
      <div className="row wrap" style={{ gap: 10, alignItems: 'flex-end' }}>
        <Field label="A pack of" type="number" width={90} value={amount} onChange={setAmount} />
        <Pick
          label="Unit"
          value={unit}
          options={[
            ['g', 'g'],
            ['ml', 'ml'],
            ['piece', 'pieces'],
          ]}
          onChange={setUnit}
        />
        <Field label="costs" unit={data.household.currency} type="number" width={100} value={money} onChange={setMoney} />
        <Field label="where" width={120} value={shop} onChange={setShop} />
        <button
          type="button"
          className="btn o"
          disabled={!good}
          onClick={() => {
            onChange(
              [
                {
                  amount: n ?? 1,
                  unit,
                  cents: Math.round((cents ?? 0) * 100),
                  ...(shop.trim() && { shop: shop.trim() }),
                  ...(today && { day: today }),
                },
                ...prices,
              ].slice(0, 20),
            );
            setAmount('');
            setMoney('');
          }}
        >
          Add
        </button>
      </div>
    </div>
  );
}

/** What the tables say of it: how it keeps, blanching, puree, scraps. */
export function Known({ row, data }: { row: IngredientRow; data: LarderAnswer }) {
  const refs = row.refRows ?? [];
  const of = (prefix: string, table: keyof LarderAnswer['tables']) =>
    refs.filter((r) => r.startsWith(prefix)).flatMap((r) => data.tables[table][r.slice(prefix.length)] ?? []);
  const lines = [
    ...of('4.3:', 'keep').map((k) => ({
      source: k.source,
      says: `Keeps ${String(k.days)} ${String(k.days) === '1' ? 'day' : 'days'}: ${String(k.keepWhere)}${k.moisture && k.moisture !== '-' ? `, ${String(k.moisture)}` : ''}.`,
    })),
    ...of('5.2:', 'blanch').map((k) => ({
      source: k.source,
      says: `Blanch ${String(k.cut)}: ${k.waterMin === 0 ? 'not needed' : `${String(k.waterMin ?? '–')} min in water, ${String(k.steamMin ?? '–')} min in steam`}.`,
    })),
    ...of('6.2:', 'puree').map((k) => ({
      source: k.source,
      says: `For puree ${String(k.method)} ${String(k.cookMin)} min; 100 g prepared make ${String(k.pureePer100g)} g, with ${String(k.waterMlPer100g ?? 0)} ml water.`,
    })),
    ...of('7.2:', 'cooked').map((k) => ({
      source: k.source,
      says: `Cooked (${String(k.method)}) it weighs ${String(k.factor)} times as much, ${String(k.range)}.`,
    })),
    ...of('9.2:', 'scrap').map((k) => ({
      source: k.source,
      says: `In the broth bag, ${String(k.scrap)}: ${String(k.fit)}, ${String(k.why)}.`,
    })),
  ];
  if (lines.length === 0) return null;
  return (
    <div style={{ borderTop: '1px solid var(--line)', paddingTop: 12 }}>
      <b>What the tables say</b>
      <ul className="rows">
        {lines.map((l) => (
          <li key={l.says}>
            <span className="grow">{l.says}</span>
            <span className="sub">{l.source}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
