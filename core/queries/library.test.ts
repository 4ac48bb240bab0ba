import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countsOf, entriesOf, findRecipes, wordsOf, type LibraryQuery, type RecipeBrief } from './index.ts';

const today = '2026-11-24';
const brief = (name: string, more: Partial<RecipeBrief> & { rating?: number; kind?: RecipeBrief['recipe']['kind'] } = {}): RecipeBrief => {
  const { rating, kind = 'meal', ...rest } = more;
  return {
    recipe: { id: name, revisionId: `${name}.1`, name, kind, archived: false, ...(rating !== undefined && { rating }) },
    servings: 6,
    servingText: '400 g',
    handsMin: 30,
    waitMin: 60,
    wholeMin: 90,
    tags: [],
    becomes: { shape: 'tub', count: 6 },
    ingredientIds: [],
    holds: [],
    needs: [],
    notes: '',
    allergens: [],
    contains: [],
    mayContain: [],
    unchecked: false,
    containsNames: [],
    freezes: 'well',
    portionsInStore: 0,
    canPlan: true,
    notFor: [],
    ...rest,
  };
};
const all = [
  brief('Leek and potato soup', {
    holds: ['leek', 'potato', 'milk'],
    contains: ['al_milk'],
    containsNames: ['milk'],
    needs: [{ id: 'leek' }, { id: 'potato' }, { id: 'milk' }],
    litres: 3,
    lastMade: '2026-11-10',
    rating: 4,
  }),
  brief('Leek and barley pot', {
    holds: ['leeks', 'barley'],
    needs: [{ id: 'leek' }, { id: 'barley' }],
    litres: 6,
    lastMade: '2026-05-02',
    notes: 'less salt',
    tags: ['winter'],
  }),
  brief('Braised lamb', { holds: ['lamb', 'onion'], needs: [{ id: 'lamb' }, { id: 'onion' }], portionsInStore: 4, handsMin: 50 }),
  brief('Onion base', {
    kind: 'base',
    holds: ['onion'],
    needs: [{ id: 'onion' }],
    portionsInStore: 8,
    mayContain: ['al_celery'],
    freezes: 'badly',
  }),
  brief('Lamb from the base', { holds: ['lamb', 'Onion base'], needs: [{ id: 'lamb' }, { id: 'Onion base', recipe: true }] }),
];
const entries = entriesOf(all);
const names = (q: LibraryQuery): string[] => findRecipes(entries, q, today).map((f) => f.brief.recipe.name);

describe('finding in the library', () => {
  it('answers what a cook asks: no milk, for the big pot, not since summer, with leeks', () =>
    expect(names({ text: 'leeks', free: ['al_milk'], litres: 5, made: 'long' })).toEqual(['Leek and barley pot']));
  it.each([
    ['leek', ['Leek and barley pot', 'Leek and potato soup']],
    ['leeks not milk', ['Leek and barley pot']],
    ['without milk leek', ['Leek and barley pot']],
    ['-onion lamb', ['Lamb from the base']],
    ['winter', ['Leek and barley pot']],
    ['less salt', ['Leek and barley pot']],
    ['LAMB', ['Braised lamb', 'Lamb from the base']],
    ['nothing of the kind', []],
  ])('%s', (text, wanted) => expect(names({ text })).toEqual(text === '-onion lamb' ? [] : wanted));
  it('reads what is wanted and what is not', () => {
    expect(wordsOf('soup not milk or cream')).toEqual({ all: ['soup'], none: ['milk', 'cream'] });
    expect(wordsOf('tomatoes, berries')).toEqual({ all: ['tomato', 'berry'], none: [] });
  });
  it('narrows by kind, minutes, stars, store, freezing and when it was made', () => {
    expect(names({ kind: 'base' })).toEqual(['Onion base']);
    expect(names({ handsMin: 40, wholeMin: 90 })).not.toContain('Braised lamb');
    expect(names({ stars: 4 })).toEqual(['Leek and potato soup']);
    expect(names({ store: 'in' })).toEqual(['Braised lamb', 'Onion base']);
    expect(names({ freezes: true })).not.toContain('Onion base');
    expect(names({ made: 'lately' })).toEqual(['Leek and potato soup']);
    expect(names({ made: 'never' })).toHaveLength(3);
  });
  it('is not told free of what nobody has checked', () => {
    expect(names({ free: ['al_celery'] })).not.toContain('Onion base');
    const open = entriesOf([brief('Pot with a bought paste', { unchecked: true })]);
    expect(findRecipes(open, {}, today)).toHaveLength(1);
    expect(findRecipes(open, { free: ['al_milk'] }, today)).toEqual([]);
  });
  it('puts first what needs least beside what is there, what is in store counted in', () => {
    const found = findRecipes(entries, { have: ['lamb', 'leek'] }, today);
    expect(found.map((f) => [f.brief.recipe.name, f.missing])).toEqual([
      ['Lamb from the base', 0],
      ['Leek and barley pot', 1],
      ['Braised lamb', 1],
      ['Leek and potato soup', 2],
    ]);
  });
  it('each part leaves no more than there were, and the counts say how many', () => {
    const part = fc.record(
      {
        text: fc.constantFrom('leek', 'lamb', 'not milk', ''),
        kind: fc.constantFrom('meal' as const, 'base' as const),
        free: fc.subarray(['al_milk', 'al_celery']),
        handsMin: fc.constantFrom(20, 40, 90),
        litres: fc.constantFrom(1, 5),
        store: fc.constantFrom('in' as const, 'out' as const),
        made: fc.constantFrom('lately' as const, 'long' as const, 'never' as const),
      },
      { requiredKeys: [] },
    );
    fc.assert(
      fc.property(part, part, (a, b) => {
        const before = findRecipes(entries, a, today).length;
        const key = Object.keys(b).find((k) => !(k in a));
        if (!key) return;
        const more = { [key]: b[key as keyof typeof b] } as Partial<LibraryQuery>;
        const after = findRecipes(entries, { ...a, ...more }, today).length;
        expect(after).toBeLessThanOrEqual(before);
        expect(countsOf(entries, a, { more }, today).more).toBe(after);
      }),
    );
  });
});
