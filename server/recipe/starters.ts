import type { Starter } from '#core/queries';
import { revisionOf } from '../demo/dish.ts';
import { dishes } from '../demo/dishes/index.ts';

/** Starter recipes, made up for Tambo: they ship without the demo too, and become the household's own when it takes them. */
export const starters = (madeAt: string): Starter[] =>
  dishes.map((dish) => {
    const recipe = `recipe_${dish.key}`;
    const revision = revisionOf(dish, { revision: `revision_${dish.key}`, recipe }, madeAt);
    return { recipe: { id: recipe, revisionId: revision.id, name: dish.name, kind: dish.kind, archived: false }, revision };
  });
