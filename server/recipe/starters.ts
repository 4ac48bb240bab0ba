import type { Starter } from '#core/queries';
import { revisionOf } from '../demo/dish.ts';
import { dishes } from '../demo/dishes/index.ts';
import { writtenStarters } from './written/index.ts';

/** Read once, when they are first asked for. */
let read: ReturnType<typeof writtenStarters> | undefined;
const written = (): ReturnType<typeof writtenStarters> => (read ??= writtenStarters('2026-01-01T00:00:00.000Z'));

/**
 * Starter recipes, made up for Tambo: they ship without the demo too, and become the household's own when it takes them. Notes of the demo's household
 * stay with it.
 */
export const starters = (madeAt: string): Starter[] => [
  ...dishes.map((dish) => {
    const recipe = `recipe_${dish.key}`;
    const { note: _note, ...revision } = revisionOf(dish, { revision: `revision_${dish.key}`, recipe }, madeAt);
    return { recipe: { id: recipe, revisionId: revision.id, name: dish.name, kind: dish.kind, archived: false }, revision };
  }),
  ...written().map(({ recipe, revision }) => ({ recipe, revision: { ...revision, madeAt } })),
];
