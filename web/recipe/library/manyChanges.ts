import { intentId, type Recipe, type RecipeList } from '#core/contract';
import type { KeptRecipe } from '#core/queries';
import type { NewChange } from '../../sync/commands.ts';
import { now } from '../../sync/clock.ts';
import { device } from '../../sync/device.ts';

/** As many as one tap may change, each with its revision. */
export const mostTagged = 200;
/** Tags a recipe may bear, and how long one may be (contract). */
const mostTags = 20;
export const longestTag = 40;

/** A tag as it is kept: without commas, which part tags in the editor. */
export const tagOf = (typed: string): string =>
  typed
    .replace(/[,\s]+/g, ' ')
    .trim()
    .slice(0, longestTag);

const tagged = (tags: readonly string[], add: string, drop: string): string[] => {
  const rest = tags.filter((t) => t.toLowerCase() !== drop.toLowerCase());
  return add === '' || rest.some((t) => t.toLowerCase() === add.toLowerCase()) ? rest : [...rest, add];
};

/**
 * Several recipes given a tag, or a tag taken from them, as one tap. Those it changes nothing of are left alone.
 * @returns the changes, and names of recipes that have no room for another tag
 */
export function tagChanges(
  kept: readonly KeptRecipe[],
  { add = '', drop = '' }: { add?: string; drop?: string },
): {
  changes: NewChange[];
  full: string[];
} {
  const changes: NewChange[] = [];
  const full: string[] = [];
  for (const { recipe, revision } of kept) {
    const tags = tagged(revision.tags, add, drop);
    if (tags.join() === revision.tags.join()) continue;
    if (tags.length > mostTags) {
      full.push(recipe.name);
      continue;
    }
    const id = intentId(device, 'tags', revision.id, tags.join());
    changes.push(
      { table: 'recipe_revision', id, data: { ...revision, id, tags, madeAt: now() }, was: null },
      { table: 'recipe', id: recipe.id, data: { ...recipe, revisionId: id }, was: recipe },
    );
  }
  return { changes, full };
}

/** Recipes put away together; each comes back from Put away, all by one undo. */
export const awayChanges = (recipes: readonly Recipe[]): NewChange[] =>
  recipes.map((r) => ({ table: 'recipe', id: r.id, data: { ...r, archived: true }, was: r }));

/** Recipes put on a list, in the order chosen, each once. */
export const listed = (list: RecipeList, ids: readonly string[]): RecipeList => ({
  ...list,
  recipes: [...new Set([...list.recipes.map((r) => r.id), ...ids])].map((id) => ({ id })),
});

/** Recipes taken off a list. */
export const unlisted = (list: RecipeList, ids: readonly string[]): RecipeList => ({
  ...list,
  recipes: list.recipes.filter((r) => !ids.includes(r.id)),
});
