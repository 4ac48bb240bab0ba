import { useCallback } from 'react';
import type { Revision } from '#core/contract';
import { solveBases } from '#core/recipe';
import { api } from '../sync/api.ts';
import { useAppDispatch } from '../sync/store.ts';

/**
 * Names of a circle that a changed recipe would draw in, through what its draws draw from; undefined when there is none.
 * @returns asks for what is not among the drawn ones already
 */
export function useCircle(): (changed: Revision, drawn: readonly Revision[]) => Promise<string[] | undefined> {
  const dispatch = useAppDispatch();
  return useCallback(
    async (changed, drawn) => {
      const all = new Map<string, Revision>([...drawn, changed].map((r) => [r.recipeId, r]));
      for (const line of changed.lines) {
        if (line.item.type !== 'recipe' || all.has(line.item.id)) continue;
        const answer = await dispatch(api.endpoints.recipe.initiate(line.item.id)).unwrap();
        for (const r of [answer.revision, ...answer.drawn]) if (!all.has(r.recipeId)) all.set(r.recipeId, r);
      }
      const solved = solveBases([{ recipeId: changed.recipeId, portions: 1 }], (id) => all.get(id));
      return !solved.ok && solved.why === 'circle' ? solved.names : undefined;
    },
    [dispatch],
  );
}
