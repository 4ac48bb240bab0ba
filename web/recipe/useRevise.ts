import type { Recipe, Revision } from '#core/contract';
import type { RecipeAnswer } from '#core/session';
import { now } from '../app/clock.ts';
import type { NewChange } from '../app/commands.ts';
import { newId } from '../app/device.ts';

/** Changes that give a recipe a new revision; the old one stays for the batches cooked by it. */
export function useRevise(
  data: RecipeAnswer,
): (change: (r: Revision) => Revision, recipe?: (r: Recipe, revisionId: string) => Recipe) => NewChange[] {
  return (change, recipe = (r) => r) => {
    const id = newId();
    const revision = { ...change(data.revision), id, recipeId: data.recipe.id, madeAt: now() };
    return [
      { table: 'recipe_revision', id, data: revision },
      {
        table: 'recipe',
        id: data.recipe.id,
        data: recipe({ ...data.recipe, revisionId: id, name: revision.name, kind: revision.kind }, id),
      },
    ];
  };
}
