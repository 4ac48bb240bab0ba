import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { Day, Kind } from '#core/contract';
import { countsOf, entriesOf, findRecipes, type FoundRecipe, type LibraryQuery, type LibrarySort, type RecipeBrief } from '#core/queries';

const numberIn = (text: string | null): number | undefined =>
  text === null || text === '' || !(Number(text) >= 0) ? undefined : Number(text);
const listIn = (text: string | null): string[] => (text ?? '').split(',').filter(Boolean);
const oneOf = <T extends string>(text: string | null, all: readonly T[]): T | undefined => all.find((x) => x === text);

const sorts: readonly LibrarySort[] = ['name', 'made', 'longest', 'hands', 'stars', 'missing'];

/** What is looked for, as it stands in the address. */
export function queryIn(p: URLSearchParams): LibraryQuery {
  const q: Record<keyof LibraryQuery, unknown> = {
    text: p.get('q') ?? undefined,
    kind: (p.get('kind') ?? undefined) as Kind | undefined,
    free: listIn(p.get('free')),
    forAll: p.has('all') || undefined,
    handsMin: numberIn(p.get('hands')),
    wholeMin: numberIn(p.get('whole')),
    portions: numberIn(p.get('portions')),
    litres: numberIn(p.get('litres')),
    stars: numberIn(p.get('stars')),
    store: oneOf(p.get('store'), ['in', 'out']),
    freezes: p.has('freezes') || undefined,
    made: oneOf(p.get('made'), ['lately', 'long', 'never']),
    have: listIn(p.get('have')),
    sort: oneOf(p.get('sort'), sorts),
  };
  return Object.fromEntries(
    Object.entries(q).filter(([, v]) => v !== undefined && v !== '' && !(Array.isArray(v) && v.length === 0)),
  ) as LibraryQuery;
}

/** The library as it is looked through: what is asked stands in the address, so that it can be kept and sent. */
export function useLibrary(briefs: readonly RecipeBrief[] | undefined, today: Day) {
  const [params, setParams] = useSearchParams();
  const entries = useMemo(() => entriesOf(briefs ?? []), [briefs]);
  const query = useMemo(() => queryIn(params), [params]);
  const holds = params.get('with') ?? '';
  const mine = useMemo(() => (holds ? entries.filter((e) => e.brief.ingredientIds.includes(holds)) : entries), [entries, holds]);
  const found: FoundRecipe[] = useMemo(() => findRecipes(mine, query, today), [mine, query, today]);
  const set = (part: Record<string, string>): void =>
    setParams(
      (p) => {
        for (const [key, value] of Object.entries(part)) {
          if (value) p.set(key, value);
          else p.delete(key);
        }
        return p;
      },
      { replace: true },
    );
  return {
    params,
    query,
    holds,
    found,
    set,
    clear: () => setParams({}, { replace: true }),
    counts: <K extends string>(more: Readonly<Record<K, Partial<LibraryQuery>>>): Record<K, number> => countsOf(mine, query, more, today),
  };
}

export type Library = ReturnType<typeof useLibrary>;
