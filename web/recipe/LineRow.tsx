import { useState } from 'react';
import { formSchema, type Line, type Unit } from '#core/contract';
import { fromNumber, toNumber, unitFacts } from '#core/kitchen';
import { AllergenChips } from '../ui/AllergenChips.tsx';
import { useIngredientsQuery, useMeansQuery, useRecipesQuery } from '../sync/api.ts';
import { Figure } from '../ui/ui.tsx';
import { Answered } from './Answered.tsx';

/** Finds the ingredient or the recipe of one's own that a line means; typing searches, a tap takes it. */
function IngredientPick({ line, onPick }: { line: Line; onPick: (item: Line['item'], name: string) => void }) {
  const [q, setQ] = useState(line.name);
  const [open, setOpen] = useState(false);
  const found = useIngredientsQuery(q, { skip: !open || q.length < 2 }).data ?? [];
  const library = useRecipesQuery(undefined, { skip: !open || q.length < 2 }).data ?? [];
  const own = library.filter((r) => r.recipe.name.toLowerCase().includes(q.trim().toLowerCase())).slice(0, 5);
  return (
    <div style={{ position: 'relative' }}>
      <input
        className="field"
        style={{ width: '100%' }}
        aria-label={`Ingredient for “${line.written}”`}
        value={q}
        onFocus={() => setOpen(true)}
        onChange={(e) => {
          setQ(e.currentTarget.value);
          setOpen(true);
        }}
      />
      {open && found.length + own.length > 0 && (
        <div className="card" style={{ position: 'absolute', zIndex: 10, left: 0, right: 0, padding: 6, maxHeight: 230, overflow: 'auto' }}>
          {found.map((r) => (
            <button
              type="button"
              key={r.id}
              className="link"
              style={{ display: 'block', width: '100%', textAlign: 'left', padding: '6px 8px' }}
              onClick={() => {
                onPick({ type: 'ingredient', id: r.id }, r.name);
                setQ(r.name);
                setOpen(false);
              }}
            >
              {r.name}
            </button>
          ))}
          {own.map((r) => (
            <button
              type="button"
              key={r.recipe.id}
              className="link"
              style={{ display: 'block', width: '100%', textAlign: 'left', padding: '6px 8px' }}
              onClick={() => {
                onPick({ type: 'recipe', id: r.recipe.id }, r.recipe.name);
                setQ(r.recipe.name);
                setOpen(false);
              }}
            >
              {r.recipe.name} <span className="quiet">from your own</span>
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

/** A line that means something else: what was said of the food before says nothing of this one. */
function named(line: Line, item: Line['item'], name: string): Line {
  const { allergens: _said, ...rest } = line;
  return { ...rest, item, name };
}

/** A food that is not known here: what it may be, each in one tap, and what the cook says it holds. */
function NotKnown({ line, onChange }: { line: Line; onChange: (l: Line) => void }) {
  const means = useMeansQuery(line.name, { skip: line.name.length < 2 }).data;
  const [open, setOpen] = useState(false);
  const said = line.allergens?.contains;
  const say = (contains: string[]): void => onChange({ ...line, allergens: { contains, checked: true } });
  return (
    <div>
      <span className="tag s">not known here</span> {said && <Answered contains={said} />}
      {means && !means.taken && means.offers.length > 0 && (
        <div className="row wrap" style={{ gap: 8 }}>
          <span className="sub">Is it</span>
          {means.offers.map((o) => (
            <button
              type="button"
              key={o.id}
              className="link s"
              aria-label={`${line.name} is ${o.name}`}
              onClick={() => onChange(named(line, { type: 'ingredient', id: o.id }, o.name))}
            >
              {o.name}?
            </button>
          ))}
        </div>
      )}
      <button type="button" className="link s" aria-expanded={open} onClick={() => setOpen(!open)}>
        what it holds
      </button>
      {open && (
        <div className="stack" style={{ gap: 6 }}>
          <p className="sub">Read its label: it answers for allergies until something else is chosen.</p>
          <AllergenChips label={`What ${line.name} holds`} value={said ?? []} onChange={say} />
          {said === undefined && (
            <button type="button" className="link s" style={{ alignSelf: 'start', justifySelf: 'start' }} onClick={() => say([])}>
              none of them
            </button>
          )}
        </div>
      )}
    </div>
  );
}

const units = Object.keys(unitFacts) as Unit[];

/** One line as read: amount, unit, ingredient and form stay editable, what was written stays visible. */
export function LineRow({ line, onChange, onRemove }: { line: Line; onChange: (l: Line) => void; onRemove: () => void }) {
  const [amount, setAmount] = useState(line.amount !== undefined ? String(Number(toNumber(line.amount).toFixed(3))) : '');
  const bad = amount.trim() !== '' && !(Number(amount.replace(',', '.')) > 0);
  const setA = (text: string): void => {
    setAmount(text);
    const n = Number(text.replace(',', '.'));
    const { amount: _a, ...rest } = line;
    if (text.trim() === '') onChange(rest);
    else if (n > 0) onChange({ ...line, amount: fromNumber(n), unit: line.unit ?? 'piece' });
  };
  return (
    <tr>
      <td style={{ width: '32%' }}>
        <div>{line.written}</div>
        {line.item.type === 'unmatched' && <NotKnown line={line} onChange={onChange} />}
        {bad && (
          <div className="sub" style={{ color: 'var(--tomato)' }}>
            “{amount}” is no amount: the last good one is kept
          </div>
        )}
      </td>
      <td>
        <Figure label={`Amount of ${line.name}`} value={amount} onChange={setA} width={84} bad={bad} />
      </td>
      <td>
        <select
          className="field"
          aria-label={`Unit of ${line.name}`}
          value={line.unit ?? ''}
          onChange={(e) => {
            const { unit: _u, ...rest } = line;
            onChange(e.currentTarget.value ? { ...line, unit: e.currentTarget.value as Unit } : rest);
          }}
        >
          <option value="">none</option>
          {units.map((u) => (
            <option key={u} value={u}>
              {u === 'piece' ? 'pieces' : unitFacts[u].short}
            </option>
          ))}
        </select>
      </td>
      <td style={{ width: '26%' }}>
        <IngredientPick line={line} onPick={(item, name) => onChange(named(line, item, name))} />
      </td>
      <td>
        <select
          className="field"
          aria-label={`Form of ${line.name}`}
          value={line.form ?? ''}
          onChange={(e) => {
            const { form: _f, ...rest } = line;
            onChange(e.currentTarget.value ? { ...line, form: e.currentTarget.value as NonNullable<Line['form']> } : rest);
          }}
        >
          <option value="">as it is</option>
          {formSchema.options.map((f) => (
            <option key={f}>{f}</option>
          ))}
        </select>
      </td>
      <td className="num">
        <button type="button" className="link s danger" aria-label={`Leave out ${line.written}`} onClick={onRemove}>
          leave out
        </button>
      </td>
    </tr>
  );
}
