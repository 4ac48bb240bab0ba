import { describe, expect, it } from 'vitest';
import { recipeListSchema } from '#core/contract';
import type { KeptRecipe } from '#core/queries';
import { awayChanges, listed, tagChanges, tagOf, unlisted } from './manyChanges.ts';

const kept = (id: string, tags: string[]): KeptRecipe =>
  ({
    recipe: { id, revisionId: `${id}.1`, name: id, kind: 'meal', archived: false },
    revision: { id: `${id}.1`, recipeId: id, name: id, tags },
  }) as unknown as KeptRecipe;

describe('several recipes at once', () => {
  it('get a tag as new revisions that the recipes point to; who bears it already stays', () => {
    const { changes } = tagChanges([kept('a', ['winter']), kept('b', ['Trip'])], { add: 'trip' });
    expect(changes).toHaveLength(2);
    expect(changes[0]).toMatchObject({ table: 'recipe_revision', was: null, data: { recipeId: 'a', tags: ['winter', 'trip'] } });
    expect(changes[1]).toMatchObject({ table: 'recipe', id: 'a', data: { revisionId: changes[0]!.id }, was: { revisionId: 'a.1' } });
  });
  it('lose one whatever its case, and the same tap is the same revision', () => {
    const drop = () => tagChanges([kept('a', ['winter', 'Trip']), kept('b', [])], { drop: 'trip' }).changes;
    expect(drop()[0]).toMatchObject({ data: { tags: ['winter'] } });
    expect(drop().map((c) => c.id)).toEqual(drop().map((c) => c.id));
  });
  it('that are full say so and stay as they were', () => {
    const full = kept(
      'a',
      Array.from({ length: 20 }, (_, i) => `t${i}`),
    );
    expect(tagChanges([full], { add: 'more' })).toEqual({ changes: [], full: ['a'] });
  });
  it.each([
    [' before, the trip ', 'before the trip'],
    [',,', ''],
    ['x'.repeat(60), 'x'.repeat(40)],
  ])('a tag typed as %j is kept as %j', (typed, as) => expect(tagOf(typed)).toBe(as));
  it('are put away whole', () =>
    expect(awayChanges([kept('a', []).recipe])).toMatchObject([{ data: { archived: true }, was: { archived: false } }]));
  it('go on a list once, in order, and come off it', () => {
    const list = recipeListSchema.parse({ id: 'l', name: 'baby', recipes: [{ id: 'a' }] });
    expect(listed(list, ['b', 'a', 'b']).recipes).toEqual([{ id: 'a' }, { id: 'b' }]);
    expect(unlisted(listed(list, ['b']), ['a']).recipes).toEqual([{ id: 'b' }]);
  });
});
