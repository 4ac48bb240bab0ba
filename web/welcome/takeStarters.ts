import type { Starter } from '#core/queries';
import type { NewChange } from '../sync/commands.ts';

/** Starters by what speaks against them here: nobody may not eat them, and the gear is there. */
export const fits = (s: Pick<Starter, 'notFor' | 'lacks'>): boolean => s.notFor.length === 0 && s.lacks.length === 0;

/** Those chosen with all that they draw from, through and through, what is drawn from first. */
export function withDrawn(starters: readonly Starter[], chosen: readonly string[]): Starter[] {
  const byId = new Map(starters.map((s) => [s.recipe.id, s]));
  const wanted = new Set<string>();
  const met = new Set<string>();
  const want = (id: string): void => {
    const starter = byId.get(id);
    if (!starter || met.has(id)) return;
    met.add(id);
    for (const l of starter.revision.lines) if (l.item.type === 'recipe') want(l.item.id);
    wanted.add(id);
  };
  for (const id of chosen) want(id);
  return [...wanted].flatMap((id) => byId.get(id) ?? []);
}

/** Starters become the household's own: those that are there already are left as they are. */
export const takeChanges = (starters: readonly Starter[], own: ReadonlySet<string>): NewChange[] =>
  starters
    .filter((s) => !own.has(s.recipe.id))
    .flatMap((s): NewChange[] => [
      { table: 'recipe_revision', id: s.revision.id, data: s.revision, was: null },
      { table: 'recipe', id: s.recipe.id, data: s.recipe, was: null },
    ]);
