import { describe, expect, it } from 'vitest';
import type { Starter } from '#core/queries';
import { fits, takeChanges, withDrawn } from './takeStarters.ts';

const starter = (id: string, draws: string[] = []): Starter =>
  ({
    recipe: { id, revisionId: `${id}.1`, name: id, kind: 'meal', archived: false },
    revision: { id: `${id}.1`, recipeId: id, lines: draws.map((d) => ({ item: { type: 'recipe', id: d } })) },
    notFor: [],
    check: [],
    lacks: [],
  }) as unknown as Starter;
const all = [starter('stew', ['sauce']), starter('sauce', ['broth']), starter('broth'), starter('round', ['round'])];
const ids = (list: readonly Starter[]): string[] => list.map((s) => s.recipe.id);

describe('starters that are taken', () => {
  it('bring along what they draw from, through and through, before them', () =>
    expect(ids(withDrawn(all, ['stew']))).toEqual(['broth', 'sauce', 'stew']));
  it('are each taken once, and one that draws from itself ends', () =>
    expect(ids(withDrawn(all, ['broth', 'sauce', 'round']))).toEqual(['broth', 'sauce', 'round']));
  it('leave what is the household’s own already as it is', () => {
    const changes = takeChanges(withDrawn(all, ['stew']), new Set(['broth']));
    expect(changes.map((c) => `${c.table} ${c.id}`)).toEqual([
      'recipe_revision sauce.1',
      'recipe sauce',
      'recipe_revision stew.1',
      'recipe stew',
    ]);
  });
  it.each([
    [{ notFor: [], lacks: [] }, true],
    [{ notFor: ['Not for Osk: holds nuts'], lacks: [] }, false],
    [{ notFor: [], lacks: ['an oven'] }, false],
  ])('%j fits: %s', (s, yes) => expect(fits(s)).toBe(yes));
});
