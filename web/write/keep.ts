import { intentId, type Recipe, type Revision, type Writing } from '#core/contract';
import type { Composed } from '#core/recipe';
import type { NewChange } from '../sync/commands.ts';
import { now } from '../sync/clock.ts';
import { device } from '../sync/device.ts';

/** The changes that keep a recipe as it is composed: a new revision, and the recipe that points to it. The same content is the same revision, however often it is tapped. */
export function keepChanges(recipeId: string, writing: Writing, revision: Composed['revision'], was: Recipe | null): NewChange[] {
  const id = intentId(device, 'revision', recipeId, was?.revisionId ?? '', JSON.stringify(revision));
  const whole: Revision = { ...revision, id, recipeId, madeAt: now() };
  const { pictureId: _before, rating: _stars, ...rest } = was ?? { id: recipeId, archived: false };
  const recipe: Recipe = {
    ...rest,
    id: recipeId,
    revisionId: id,
    name: whole.name,
    kind: whole.kind,
    archived: false,
    ...(writing.pictureId && { pictureId: writing.pictureId }),
    ...(writing.rating !== undefined && { rating: writing.rating }),
  };
  return [
    { table: 'recipe_revision', id, data: whole, was: null },
    { table: 'recipe', id: recipeId, data: recipe, was },
  ];
}
