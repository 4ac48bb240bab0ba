import { useCallback, useDeferredValue, useEffect, useMemo, useRef } from 'react';
import { useSearchParams } from 'react-router';
import type { Day, Kind, RecipeList } from '#core/contract';
import {
  countsOf,
  entriesOf,
  findRecipes,
  seasons,
  type FoundRecipe,
  type LibraryQuery,
  type LibrarySort,
  type RecipeBrief,
} from '#core/queries';

const numberIn = (text: string | null): number | undefined =>
  text === null || text === '' || !(Number(text) >= 0) ? undefined : Number(text);
const listIn = (text: string | null): string[] => (text ?? '').split(',').filter(Boolean);
const oneOf = <T extends string>(text: string | null, all: readonly T[]): T | undefined => all.find((x) => x === text);

const sorts: readonly LibrarySort[] = ['name', 'made', 'longest', 'hands', 'stars', 'missing'];

/** What is looked for, as it stands in the address. */
export function queryIn(p: URLSearchParams): LibraryQuery {
  const q: Record<Exclude<keyof LibraryQuery, 'only'>, unknown> = {
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
    tag: p.get('tag') ?? undefined,
    season: oneOf(p.get('season'), seasons),
    have: listIn(p.get('have')),
    sort: oneOf(p.get('sort'), sorts),
  };
  return Object.fromEntries(
    Object.entries(q).filter(([, v]) => v !== undefined && v !== '' && !(Array.isArray(v) && v.length === 0)),
  ) as LibraryQuery;
}

const noBriefs: readonly RecipeBrief[] = [];

/**
 * The library as it is looked through: what is asked stands in the address, so that it can be kept and sent. A key shows at once; what it finds follows
 * as soon as it is worked out and drawn.
 */
export function useLibrary(briefs: readonly RecipeBrief[] = noBriefs, today: Day, lists: readonly RecipeList[]) {
  const [now, setParams] = useSearchParams();
  const asked = useDeferredValue(now.toString());
  const entries = useMemo(() => entriesOf(briefs), [briefs]);
  const live = useRef(setParams);
  useEffect(() => {
    live.current = setParams;
  });
  const set = useCallback((part: Record<string, string>): void => {
    live.current(
      (p) => {
        for (const [key, value] of Object.entries(part)) {
          if (value) p.set(key, value);
          else p.delete(key);
        }
        return p;
      },
      { replace: true },
    );
  }, []);
  return useMemo(() => {
    const params = new URLSearchParams(asked);
    const list = lists.find((l) => l.id === params.get('list'));
    const query: LibraryQuery = { ...queryIn(params), ...(list && { only: new Set(list.recipes.map((r) => r.id)) }) };
    const holds = params.get('with') ?? '';
    const mine = holds ? entries.filter((e) => e.brief.ingredientIds.includes(holds)) : entries;
    const found: readonly FoundRecipe[] = findRecipes(mine, query, today);
    return {
      briefs,
      params,
      list,
      query,
      holds,
      found,
      set,
      clear: () => live.current({}, { replace: true }),
      counts: <K extends string>(more: Readonly<Record<K, Partial<LibraryQuery>>>): Record<K, number> => countsOf(mine, query, more, today),
    };
  }, [asked, briefs, entries, lists, today, set]);
}

export type Library = ReturnType<typeof useLibrary>;
