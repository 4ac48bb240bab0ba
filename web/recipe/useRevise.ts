import { intentId, type Recipe, type Revision } from '#core/contract';
import type { RecipeAnswer } from '#core/queries';
import { now } from '../sync/clock.ts';
import type { NewChange } from '../sync/commands.ts';
import { device } from '../sync/device.ts';

/** Changes that give a recipe a new revision; the old one stays for the batches cooked by it. */
export function useRevise(
  data: RecipeAnswer,
): (change: (r: Revision) => Revision, recipe?: (r: Recipe, revisionId: string) => Recipe) => NewChange[] {
  return (change, recipe = (r) => r) => {
    const changed = change(data.revision);
    // the same change of the same revision is the same new one, however often it is tapped
    const id = intentId(device, 'revision', data.recipe.id, data.revision.id, JSON.stringify(changed));
    const revision = { ...changed, id, recipeId: data.recipe.id, madeAt: now() };
    return [
      { table: 'recipe_revision', id, data: revision, was: null },
      {
        table: 'recipe',
        id: data.recipe.id,
        data: recipe({ ...data.recipe, revisionId: id, name: revision.name, kind: revision.kind }, id),
        was: data.recipe,
      },
    ];
  };
}
