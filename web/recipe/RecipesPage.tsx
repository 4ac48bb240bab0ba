import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { allKinds, sayDay, sayMinutes, sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import { useFindQuery, useRecipesQuery } from '../sync/api.ts';
import { Empty, PageHead, Waiting } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';

/** The library: by kind, searched as you type, with what is in store and when it was last made. */
export function RecipesPage() {
  const { data, error, refetch } = useRecipesQuery();
  const [params, setParams] = useSearchParams();
  const q = params.get('q') ?? '';
  const kind = params.get('kind') ?? '';
  const holds = params.get('with') ?? '';
  const ingredient = useFindQuery(undefined, { skip: !holds }).data?.find((e) => e.to.endsWith(`with=${encodeURIComponent(holds)}`));
  const set = (key: string, value: string): void =>
    setParams(
      (p) => {
        if (value) p.set(key, value);
        else p.delete(key);
        return p;
      },
      { replace: true },
    );
  const shown = useMemo(() => {
    const words = q.toLowerCase().split(/\s+/).filter(Boolean);
    return (data ?? []).filter(
      (r) =>
        (!kind || r.recipe.kind === kind) &&
        (!holds || r.ingredientIds.includes(holds)) &&
        words.every((w) => [r.recipe.name, ...r.tags, ...r.allergens, r.recipe.kind].join(' ').toLowerCase().includes(w)),
    );
  }, [data, q, kind, holds]);
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const present = allKinds.filter((k) => data.some((r) => r.recipe.kind === k));
  return (
    <main className="page">
      <PageHead
        title="Recipes"
        lead={`${data.length} of your own, ${data.filter((r) => r.portionsInStore > 0).length} of them in the freezer.`}
      >
        <Link className="btn o" to="/recipes/feel">
          Cook by feel
        </Link>
        <Link className="btn" to="/recipes/new">
          Bring in a recipe
        </Link>
      </PageHead>
      {data.length === 0 ? (
        <Empty
          title="No recipes yet"
          text="Bring one in from a file: a saved web page that holds a recipe, or a JSON-LD file. You check what was read before it is kept."
        >
          <Link className="btn" to="/recipes/new">
            Bring in a recipe
          </Link>
        </Empty>
      ) : (
        <>
          <div className="row wrap" style={{ marginBottom: 14 }}>
            <input
              className="field"
              style={{ width: 280 }}
              type="search"
              placeholder="Name, tag or allergen"
              aria-label="Search recipes"
              value={q}
              onChange={(e) => set('q', e.currentTarget.value)}
            />
            <div className="chips" role="group" aria-label="Kind">
              {present.map((k) => (
                <button type="button" key={k} className="chip" aria-pressed={kind === k} onClick={() => set('kind', kind === k ? '' : k)}>
                  <KindMark kind={k} size={16} color={kind === k ? 'var(--on-rim)' : undefined} /> {k}
                </button>
              ))}
              {holds && (
                <button type="button" className="chip on" onClick={() => set('with', '')}>
                  with {ingredient?.name.toLowerCase() ?? 'this'} ✕
                </button>
              )}
            </div>
          </div>
          {shown.length === 0 ? (
            <Empty title="None of that name" text="Nothing matches all of these words. Try fewer.">
              <button type="button" className="btn o" onClick={() => setParams({}, { replace: true })}>
                Show all
              </button>
            </Empty>
          ) : (
            <div className="grid" style={{ gridTemplateColumns: 'repeat(auto-fill, minmax(330px, 1fr))' }}>
              {shown.map((r) => (
                <Link
                  key={r.recipe.id}
                  to={`/recipes/${r.recipe.id}`}
                  className="card"
                  style={{ textDecoration: 'none', color: 'inherit', display: 'flex', flexDirection: 'column', gap: 8 }}
                >
                  <div className="row" style={{ alignItems: 'flex-start' }}>
                    <KindMark kind={r.recipe.kind} size={30} />
                    <h3 className="grow" style={{ fontSize: 19 }}>
                      {r.recipe.name}
                    </h3>
                  </div>
                  <div className="sub" style={{ fontSize: 15 }}>
                    Written for {sayPortions(r.servings)} of {r.servingText}. {sayMinutes(r.handsMin)} of hands
                    {r.waitMin > 0 ? `, ${sayMinutes(r.waitMin)} by itself` : ''}.
                  </div>
                  <div className="sub" style={{ fontSize: 15 }}>
                    {r.allergens.join('. ')}
                  </div>
                  <div className="row wrap" style={{ gap: 8, marginTop: 'auto' }}>
                    {r.portionsInStore > 0 ? (
                      <span className="tag f">
                        {sayPortions(r.portionsInStore)} {portionName(r.recipe.kind, r.portionsInStore)} in store
                      </span>
                    ) : (
                      <span className="tag s">none in store</span>
                    )}
                    {r.lastMade && <span className="sub">made {sayDay(r.lastMade)}</span>}
                    {!r.canPlan && <span className="tag t">{r.broken === undefined ? 'check it first' : 'cannot be worked out'}</span>}
                  </div>
                </Link>
              ))}
            </div>
          )}
        </>
      )}
    </main>
  );
}
