import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Unit } from '#core/contract';
import { capital, measureIn, toNumber, unitFacts, type IngredientRow } from '#core/kitchen';
import { compareRuns, potBalance, pouredOf, poursOf, tally, type Pour, type Tally } from '#core/recipe';
import { useIngredientsQuery, useRecipeQuery, useRecipesQuery } from '../sync/api.ts';
import { now } from '../sync/clock.ts';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import { PageHead } from '../ui/ui.tsx';
import { ScaleReader } from '../devices/ScaleReader.tsx';
import { Field, numberOf } from '../kitchen/fields.tsx';
import { emptyDraft, feelRecipe, saveDraft, savedDraft, wentInG, type FeelDraft } from './feelDraft.ts';
import { useMeasures } from '../sync/measures.ts';

/** Measures of a hand and a drawer. */
const quick: readonly { unit: Unit; name: string }[] = [
  { unit: 'pinch', name: 'a pinch' },
  { unit: 'turn', name: 'a turn' },
  { unit: 'handful', name: 'a handful' },
  { unit: 'glug', name: 'a glug' },
  { unit: 'ladle', name: 'a ladle' },
  { unit: 'piece', name: 'a piece' },
  { unit: 'tsp', name: 'a teaspoon' },
  { unit: 'tbsp', name: 'a tablespoon' },
];

const sayTally = (t: Tally): string =>
  measureIn('metric', { quantity: { amount: t.amount, unit: t.unit }, pour: t.unit === 'ml', cap: 0.02, scaleStepG: 0.1 }).text;

/** What goes in next: a name, then how much of it. */
function Next({ onPour, rows }: { onPour: (p: Pour) => void; rows: (found: readonly IngredientRow[]) => void }) {
  const [name, setName] = useState('');
  const [row, setRow] = useState<IngredientRow>();
  const [amount, setAmount] = useState('');
  const [scale, setScale] = useState(false);
  const found = useIngredientsQuery(name, { skip: name.trim().length < 2 || row?.name === name }).data ?? [];
  const n = numberOf(amount);
  const ready = name.trim().length > 0;
  const pour = (a: number, unit: Unit): void =>
    onPour({ name: (row?.name ?? name).trim(), ...(row && { ingredientId: row.id }), amount: a, unit });
  return (
    <section className="card" aria-label="What goes in">
      <h2>What goes in?</h2>
      <input
        className="field"
        style={{ width: '100%', fontSize: 20, minHeight: 48 }}
        aria-label="Ingredient"
        placeholder="pepper, lentils, water"
        value={name}
        onChange={(e) => {
          setName(e.currentTarget.value);
          setRow(undefined);
        }}
      />
      {!row && found.length > 0 && (
        <div className="chips" style={{ marginTop: 8 }}>
          {found.slice(0, 8).map((r) => (
            <button
              key={r.id}
              type="button"
              className="chip"
              onClick={() => {
                setRow(r);
                setName(r.name);
                rows([r]);
              }}
            >
              {r.name}
            </button>
          ))}
        </div>
      )}
      <div className="chips wrapchips bigchips" style={{ marginTop: 12 }} role="group" aria-label="By hand">
        {quick.map((x) => (
          <button key={x.unit} type="button" className="chip" disabled={!ready} onClick={() => pour(1, x.unit)}>
            {x.name}
          </button>
        ))}
      </div>
      <div className="row wrap" style={{ alignItems: 'flex-end', marginTop: 12 }}>
        <Field label="or a figure" type="number" width={110} value={amount} onChange={setAmount} />
        {(['g', 'ml'] as const).map((u) => (
          <button
            key={u}
            type="button"
            className="btn o"
            disabled={!ready || n === undefined || n <= 0}
            onClick={() => {
              pour(n ?? 0, u);
              setAmount('');
            }}
          >
            {u} in
          </button>
        ))}
        <button type="button" className="link" aria-expanded={scale} onClick={() => setScale(!scale)}>
          weigh it in
        </button>
      </div>
      {scale && <ScaleReader onTake={(g) => ready && pour(g, 'g')} takes={ready ? `${name.trim()} in` : 'Say what it is'} />}
    </section>
  );
}

function Pot({ draft, wentIn, change }: { draft: FeelDraft; wentIn: number | undefined; change: (p: Partial<FeelDraft>) => void }) {
  const { sayMass } = useMeasures();
  const [full, empty] = [numberOf(draft.fullG), numberOf(draft.emptyG)];
  const balance = full !== undefined ? potBalance(empty ?? 0, full, wentIn !== undefined && wentIn > 0 ? wentIn : undefined) : undefined;
  return (
    <section className="card" aria-label="The pot">
      <h2>The pot, before and after</h2>
      <div className="row wrap" style={{ alignItems: 'flex-start' }}>
        <Field label="Empty" unit="g" type="number" width={120} value={draft.emptyG} onChange={(emptyG) => change({ emptyG })} />
        <Field label="Full at the end" unit="g" type="number" width={150} value={draft.fullG} onChange={(fullG) => change({ fullG })} />
        <Field label="Plates" type="number" width={90} value={draft.plates} onChange={(plates) => change({ plates })} />
        <Field label="Minutes on the hob" type="number" width={150} value={draft.minutes} onChange={(minutes) => change({ minutes })} />
      </div>
      {balance && (
        <p className={balance.ok ? undefined : 'note bad'} role="status" style={{ marginTop: 8 }}>
          {balance.ok
            ? `${sayMass(Math.round(balance.madeG))} came out${balance.steamedG !== undefined ? `, ${sayMass(Math.round(balance.steamedG / 10) * 10)} went up in steam` : ''}: ${sayMass(Math.round(balance.madeG / Math.max(1, numberOf(draft.plates) ?? 1)))} a plate.`
            : balance.why === 'lighterThanEmpty'
              ? 'The full pot weighs no more than the empty one: check both figures, they are kept as typed.'
              : 'More came out than went in: something was not noted, or a figure is off. Both are kept as typed.'}
        </p>
      )}
    </section>
  );
}

/** For cooks who never measure: every pour and pinch as it goes in becomes a recipe that can be made again. */
export function FeelPage() {
  const navigate = useNavigate();
  const { write } = useCommands();
  const [draft, setDraft] = useState(savedDraft);
  const library = useRecipesQuery().data ?? [];
  const before = useRecipeQuery(draft.recipeId ?? '', { skip: !draft.recipeId }).data;
  useEffect(() => saveDraft(draft), [draft]);
  const known = useMemo(() => new Map([...(before?.rows ?? []), ...draft.rows].map((r) => [r.id, r] as const)), [before, draft.rows]);
  const change = (p: Partial<FeelDraft>): void => setDraft((d) => ({ ...d, ...p }));
  const sums = tally(draft.pours);
  const last = before ? poursOf(before.revision.lines) : [];
  const planned = tally(last);
  const changes = before && draft.pours.length > 0 ? compareRuns(last, draft.pours) : [];
  const mine = library.filter((r) => r.tags.includes('by feel'));
  const problems = [...(draft.name.trim() ? [] : ['Give it a name.']), ...(draft.pours.length > 0 ? [] : ['Nothing has gone in yet.'])];
  const save = async (): Promise<void> => {
    const made = feelRecipe(
      draft,
      before && { recipe: before.recipe, revision: before.revision },
      [...known.values()],
      { recipe: draft.recipeId ?? newId(), revision: newId(), line: (n) => `feel${n}`, step: newId() },
      now(),
    );
    await write(
      [
        { table: 'recipe_revision', id: made.revision.id, data: made.revision, was: null },
        { table: 'recipe', id: made.recipe.id, data: made.recipe, was: null },
      ],
      `${made.recipe.name} can be made again`,
    );
    setDraft(emptyDraft);
    saveDraft(emptyDraft);
    void navigate(`/recipes/${made.recipe.id}`);
  };
  return (
    <main className="page">
      <PageHead title="Cook by feel" lead="Say what goes in as it goes in. It is kept on this device until you keep it as a recipe.">
        <button type="button" className="btn" disabled={problems.length > 0} onClick={() => void save()}>
          Keep as a recipe
        </button>
      </PageHead>
      <div className="grid twothirds">
        <div className="stack">
          <section className="card" aria-label="Which dish">
            <div className="row wrap" style={{ alignItems: 'flex-end' }}>
              <Field label="What is it?" value={draft.name} onChange={(name) => change({ name })} />
              {mine.length > 0 && (
                <div className="chips" role="group" aria-label="Again">
                  {mine.map((r) => (
                    <button
                      key={r.recipe.id}
                      type="button"
                      className="chip"
                      aria-pressed={draft.recipeId === r.recipe.id}
                      onClick={() => {
                        const { recipeId, ...rest } = draft;
                        setDraft(recipeId === r.recipe.id ? rest : { ...rest, recipeId: r.recipe.id, name: r.recipe.name });
                      }}
                    >
                      {r.recipe.name} again
                    </button>
                  ))}
                </div>
              )}
            </div>
          </section>
          <Next
            onPour={(p) => change({ pours: [...draft.pours, p] })}
            rows={(found) => change({ rows: [...draft.rows.filter((r) => !found.some((f) => f.id === r.id)), ...found] })}
          />
          <Pot draft={draft} wentIn={wentInG(draft.pours, known)} change={change} />
        </div>
        <section className="card" aria-label="In the pot">
          <div className="cardhead">
            <h2>In the pot</h2>
            {draft.pours.length > 0 && (
              <button type="button" className="link" onClick={() => change({ pours: draft.pours.slice(0, -1) })}>
                take the last one back
              </button>
            )}
          </div>
          {sums.length === 0 ? (
            <p className="quiet">Nothing yet. A pinch, a glug, 300 g: whatever you would say aloud.</p>
          ) : (
            <ul className="rows">
              {sums.map((t) => {
                const plan = planned.find((p) => p.unit === t.unit && (p.ingredientId ?? p.name) === (t.ingredientId ?? t.name));
                const of = plan && pouredOf([toNumber(t.amount)], toNumber(plan.amount));
                return (
                  <li key={`${t.ingredientId ?? t.name}${t.unit}`}>
                    <div className="grow">
                      <b>{capital(t.name)}</b>
                      {t.pours > 1 && <span className="sub"> in {t.pours} goes</span>}
                      {of && (
                        <div className="sub">
                          last time {sayTally(plan)}
                          {of.left > 0 ? `, ${Number(of.left.toFixed(1))} ${unitFacts[t.unit].short} to go` : ''}
                        </div>
                      )}
                    </div>
                    <span className="mid">{sayTally(t)}</span>
                  </li>
                );
              })}
            </ul>
          )}
          {changes.length > 0 && (
            <p className="note" style={{ marginTop: 10 }}>
              Against last time: {changes.map((c) => c.says).join(', ')}.
            </p>
          )}
          {problems.map((p) => (
            <p key={p} className="sub" style={{ marginTop: 6 }}>
              {p}
            </p>
          ))}
        </section>
      </div>
    </main>
  );
}
