import type { Recipe, Revision } from '#core/contract';
import { ingredientFinder } from '#core/kitchen';
import { ingredientRows, withForeignNames } from '#core/kitchen/data';
import { compose, finishedDensity, readPasted, writingOfFile, type Composed } from '#core/recipe';
import { writtenDrawn } from './drawn.ts';
import { writtenMeals } from './meals.ts';
import { writtenOthers } from './others.ts';
import type { WrittenRecipe } from './written.ts';
import { shippedFigures } from '../../db/index.ts';

export type { WrittenRecipe } from './written.ts';

/** Recipes of our own, made up, that a household may begin with: as they are written. */
export const writtenRecipes: readonly WrittenRecipe[] = [...writtenMeals, ...writtenOthers, ...writtenDrawn];

/** The name stands in the first line. */
const nameOf = (w: WrittenRecipe): string => w.text.slice(0, w.text.indexOf('\n')).trim();
const idOf = (w: WrittenRecipe): string => `recipe_${w.key}`;

/** What the others may draw from. */
const bases = writtenRecipes.filter((w) => w.kind === 'base' || w.kind === 'broth').map((w) => ({ id: idOf(w), name: nameOf(w) }));

/** A written recipe as it is read, with what the reading leaves open. */
export function readWritten({ key, kind, lifeId, tags, text }: WrittenRecipe): Composed {
  const [file] = readPasted(text);
  if (!file) throw new Error(`${key} is no recipe`);
  let n = 0;
  const finder = ingredientFinder(withForeignNames(ingredientRows));
  const writing = { ...writingOfFile(file, () => `${key}-${(n += 1)}`), kind, lifeId, tags: tags.join(', '), source: 'our own' };
  const read = compose(writing, { finder, recipes: bases.filter((b) => b.id !== `recipe_${key}`) });
  return {
    ...read,
    revision: {
      ...read.revision,
      density: finishedDensity({ ...read.revision, id: key, recipeId: key, madeAt: '2026-01-01T00:00:00.000Z' }, finder, shippedFigures()),
      confirmed: ['kind', 'yield', 'serving', 'storage', 'hands'],
    },
  };
}

/** The written recipes as a household takes them. */
export const writtenStarters = (madeAt: string): { recipe: Recipe; revision: Revision }[] =>
  writtenRecipes.map((w) => {
    const { revision } = readWritten(w);
    const recipeId = idOf(w);
    return {
      recipe: { id: recipeId, revisionId: `revision_${w.key}`, name: revision.name, kind: w.kind, archived: false },
      revision: { ...revision, id: `revision_${w.key}`, recipeId, madeAt },
    };
  });
