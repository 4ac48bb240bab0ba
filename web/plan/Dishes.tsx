import { useState } from 'react';
import { Link } from 'react-router';
import { countOf, listOf, quarterUp, sayMinutes, sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import type { RecipeBrief, SessionParts } from '#core/queries';
import { useMeasures } from '../sync/measures.ts';
import { Figure, NotFor } from '../ui/ui.tsx';
import { okPortions, type PlannedDish } from './planDraft.ts';
import { KindMark } from '../draw/KindMark.tsx';

type ComesTo = SessionParts['draft'];

/** Portions that are worth a word: less than this is noise of arithmetic. */
const worthSaying = 0.01;

function PackingWords({ comesTo, batchId }: { comesTo: ComesTo | undefined; batchId: string }) {
  const { sayVolume } = useMeasures();
  const b = comesTo?.batches.find((x) => x.batch.id === batchId);
  if (!b) return null;
  if (!b.packing.ok)
    return (
      <span style={{ color: 'var(--tomato)' }}>
        {b.packing.why === 'portionTooLarge'
          ? `one portion (${sayVolume(Math.round(b.packing.portionMl))}) is larger than every container${b.packing.nearest ? `, nearest ${b.packing.nearest.name}` : ''}`
          : b.packing.why === 'nothingFree'
            ? 'no container that fits is free'
            : 'less than one portion'}
      </span>
    );
  const parts = b.packing.choice.groups.map((g) => `${g.packs} × ${g.container.name} of ${sayPortions(g.portionsEach)}`);
  return (
    <>
      {parts.join(', ')}
      {b.packing.choice.tonightMl >= 20 ? `; ${sayVolume(Math.round(b.packing.choice.tonightMl))} for tonight` : ''}
      {b.cubes && b.cubes.rounds > 0 ? `; trays in ${countOf(b.cubes.rounds, 'round')}` : ''}
    </>
  );
}

/** A dish on the plan: what it is packed in, what was noted last time, how many portions. */
export function PickedDish({
  dish: { batch, text },
  brief,
  comesTo,
  onType,
  onRemove,
}: {
  dish: PlannedDish;
  brief: RecipeBrief | undefined;
  comesTo: ComesTo | undefined;
  onType: (text: string) => void;
  onRemove: () => void;
}) {
  const kind = brief?.recipe.kind ?? 'meal';
  return (
    <li>
      <KindMark kind={kind} size={28} />
      <div className="grow">
        <Link className="main" to={`/recipes/${batch.recipeId}?portions=${text}`}>
          {brief?.recipe.name ?? 'a recipe that is gone'}
        </Link>
        <div className="sub" style={{ fontSize: 15 }}>
          <PackingWords comesTo={comesTo} batchId={batch.id} />
          {comesTo?.notes
            .filter((n) => n.recipeId === batch.recipeId)
            .map((n) => (
              <span key={n.text} style={{ display: 'block', color: 'var(--saffron)' }}>
                Last time you noted: “{n.text}”
              </span>
            ))}
          {batch.unsalted ? `; ${sayPortions(batch.unsalted)} dipped out before the salt` : ''}
        </div>
        <NotFor says={brief?.notFor ?? []} />
      </div>
      <Figure label={`Portions of ${brief?.recipe.name ?? 'dish'}`} value={text} onChange={onType} bad={!okPortions(text)} loud />
      <span style={{ width: 66 }} className="quiet">
        {portionName(kind, Number(text))}
      </span>
      <button type="button" className="link s" aria-label={`Remove ${brief?.recipe.name ?? 'dish'}`} onClick={onRemove}>
        remove
      </button>
    </li>
  );
}

/** What dishes draw from a base; where it is short, the base can be cooked too, unless it is on the plan already (no brief). */
export function BaseNote({
  base: b,
  brief,
  onAdd,
}: {
  base: ComesTo['bases'][number];
  brief: RecipeBrief | undefined;
  onAdd: (r: RecipeBrief, portions: number) => void;
}) {
  const short = b.short > worthSaying;
  const cook = Math.max(brief?.servings ?? 0, quarterUp(b.asked - b.inStore));
  return (
    <div className={`note${short ? ' warn' : ''} row wrap`} style={{ marginTop: 8 }}>
      <span className="grow">
        <b>{b.name}</b>: {sayPortions(quarterUp(b.asked))} drawn by {listOf(b.draws.map((d) => d.name))}
        {b.made > 0 ? `, ${sayPortions(b.made)} made here` : ''}
        {b.inStore > 0 ? `, ${sayPortions(b.inStore)} in store` : ''}
        {short ? '; not enough yet' : ''}.
      </span>
      {short && brief && (
        <button type="button" className="btn o s" onClick={() => onAdd(brief, cook)}>
          Cook {sayPortions(cook)} of it too
        </button>
      )}
    </div>
  );
}

/** Recipes that are not on the plan yet, those that run out first. */
export function AddDish({
  recipes,
  dishes,
  onAdd,
}: {
  recipes: readonly RecipeBrief[];
  dishes: readonly PlannedDish[];
  onAdd: (r: RecipeBrief, portions: number) => void;
}) {
  const [query, setQuery] = useState('');
  const words = query.toLowerCase().split(/\s+/).filter(Boolean);
  const offered = recipes
    .filter(
      (r) =>
        r.canPlan &&
        !dishes.some((p) => p.batch.recipeId === r.recipe.id) &&
        words.every((w) => `${r.recipe.name} ${r.recipe.kind} ${r.tags.join(' ')}`.toLowerCase().includes(w)),
    )
    .toSorted((a, b) => a.portionsInStore - b.portionsInStore)
    .slice(0, 7);
  return (
    <section className="card" aria-label="Add a dish">
      <div className="cardhead">
        <h2>Add a dish</h2>
        <input
          className="field"
          type="search"
          placeholder="Find a recipe"
          aria-label="Find a recipe"
          value={query}
          onChange={(e) => setQuery(e.currentTarget.value)}
        />
      </div>
      {offered.length === 0 ? (
        <p className="quiet">
          {recipes.length === 0 ? (
            <>
              No recipes yet. <Link to="/recipes/new">Bring one in</Link>.
            </>
          ) : (
            'Nothing else of that name.'
          )}
        </p>
      ) : (
        <ul className="rows">
          {offered.map((r) => (
            <li key={r.recipe.id}>
              <KindMark kind={r.recipe.kind} size={22} />
              <div className="grow">
                <b>{r.recipe.name}</b>
                <div className="sub">
                  {r.portionsInStore === 0
                    ? 'none in store'
                    : `${sayPortions(r.portionsInStore)} ${portionName(r.recipe.kind, r.portionsInStore)} in store`}
                  , {sayMinutes(r.handsMin)} of hands
                </div>
                <NotFor says={r.notFor} />
              </div>
              <button
                type="button"
                className="btn o s"
                aria-label={`Add ${r.recipe.name}`}
                onClick={() => onAdd(r, r.servings * (r.recipe.kind === 'meal' ? 2 : 1))}
              >
                Add
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
