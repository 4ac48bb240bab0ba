import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Revision } from '#core/contract';
import type { RecipeAnswer } from '#core/queries';
import { testEater as eater } from '../../core/kitchen/fixtures.ts';
import { emptyDraft, feelRecipe, wentInG } from './feelDraft.ts';
import { askedBy, draftFrom, linkOf, numberIn, targetOf, vesselsFor, waysFor, type Draft } from './target.ts';

const line = (id: string): Revision['lines'][number] => ({
  id,
  written: id,
  amount: '450',
  unit: 'g',
  item: { type: 'unmatched' },
  name: id,
  moment: 'batch',
  scaling: { rule: 'proportional' },
});
const revision = {
  recipeId: 'stew',
  kind: 'meal',
  serving: { amount: 400, unit: 'ml' },
  servings: 6,
  lines: [line('veg'), line('oil')],
  steps: [{ needs: [{ kind: 'hob' }] }],
} as unknown as Revision;
const answer = (over: Partial<RecipeAnswer> = {}): RecipeAnswer =>
  ({
    revision,
    household: { units: 'metric' },
    today: '2026-11-24',
    eaters: [
      eater('marit'),
      eater('joaquim', { appetite: 1.5 }),
      eater('pip', { stage: 'baby', baby: { mealsPerDay: 2, cubesPerMeal: 3 } }),
    ],
    gear: {
      equipment: [
        { id: 'p3', name: 'Small', kind: 'pot', count: 1, litres: 3 },
        { id: 'p9', name: 'Big', kind: 'pot', count: 1, litres: 9 },
        { id: 'jug', name: 'Jug', kind: 'blender', count: 1, litres: 1.5 },
      ],
      containers: [],
    },
    ...over,
  }) as unknown as RecipeAnswer;

const draft = (over: Partial<Draft> = {}): Draft => ({ ...draftFrom(new URLSearchParams(), answer()), ...over });

describe('what a cook scales to', () => {
  it.each([
    ['8,5', 8.5],
    [' 12 ', 12],
    ['', NaN],
    ['plenty', NaN],
  ])('reads “%s” as %d', (text, n) => expect(numberIn(text)).toBe(n));

  it('a link opens what it was made from', () => {
    const way = fc.constantFrom(
      'portions' as const,
      'litres' as const,
      'grams' as const,
      'vessel' as const,
      'eaters' as const,
      'have' as const,
    );
    fc.assert(
      fc.property(
        way,
        fc.integer({ min: 1, max: 900 }),
        fc.constantFrom('both' as const, 'us' as const, 'metric' as const),
        (by, n, shown) => {
          const typed = draft({
            by,
            shown,
            portions: String(n),
            litres: String(n),
            grams: String(n),
            vesselId: 'p3',
            eaterIds: ['joaquim'],
            days: 14,
            every: 4,
            have: [
              { lineId: 'veg', amount: `${n}.5`, unit: 'kg' },
              { lineId: 'oil', amount: '60', unit: 'ml' },
            ],
            unsalted: '2',
          });
          const again = draftFrom(linkOf(typed, 'metric'), answer());
          expect(targetOf(answer(), again)).toEqual(targetOf(answer(), typed));
          expect(again).toMatchObject({ by, shown, unsalted: '2' });
        },
      ),
    );
  });
  it('an old link to portions still works, and nonsense in it is let go', () => {
    expect(draftFrom(new URLSearchParams('portions=17'), answer())).toMatchObject({ by: 'portions', portions: '17' });
    expect(draftFrom(new URLSearchParams('by=teleport&v=9&units=stones'), answer())).toMatchObject({
      by: 'portions',
      portions: '6',
      shown: 'metric',
    });
    expect(draftFrom(new URLSearchParams('by=have&v=gone~2~kg'), answer()).have).toEqual([{ lineId: 'veg', amount: '', unit: 'kg' }]);
  });
  it('counts the plates of those who eat, by their appetite, over the days', () => {
    const all = askedBy(answer(), draft({ days: 14, every: 1 }));
    expect(all.who).toEqual([
      { name: 'marit', portions: 14 },
      { name: 'joaquim', portions: 21 },
    ]);
    expect(all.portions).toBe(35);
    expect(askedBy(answer(), draft({ days: 14, every: 7, eaterIds: ['joaquim'] })).portions).toBe(3);
  });
  it('counts a baby’s cubes for a puree', () => {
    const puree = answer({ revision: { ...revision, kind: 'puree', cubeMl: 27 } });
    expect(askedBy(puree, draft({ days: 7, every: 1 }))).toMatchObject({ portions: 42, cubes: 42 });
    expect(waysFor(puree)).toContain('cubes');
  });
  it('offers only ways and vessels that the dish goes through', () => {
    expect(waysFor(answer())).toEqual(['portions', 'eaters', 'litres', 'grams', 'have', 'vessel']);
    expect(vesselsFor(answer()).map((v) => v.id)).toEqual(['p9', 'p3']);
    expect(waysFor(answer({ eaters: [] }))).not.toContain('eaters');
    expect(waysFor(answer({ gear: { equipment: [], containers: [], hotShare: 1 / 3 } }))).not.toContain('vessel');
  });
});

describe('cooking by feel', () => {
  const rows = new Map([['water', { id: 'water', density: { liquid: 1 } } as never]]);
  it('weighs what went in only when all of it can be weighed', () => {
    const pours = [
      { name: 'lentils', amount: 300, unit: 'g' as const },
      { name: 'water', ingredientId: 'water', amount: 700, unit: 'ml' as const },
      { name: 'pepper', amount: 2, unit: 'turn' as const },
    ];
    expect(wentInG(pours, rows)).toBe(1000);
    expect(wentInG([...pours, { name: 'syrup', amount: 50, unit: 'ml' }], rows)).toBeUndefined();
  });
  it('becomes a recipe with the serving that the pot weighed', () => {
    const made = feelRecipe(
      {
        ...emptyDraft,
        name: 'Harbour lentils',
        pours: [{ name: 'red lentil', ingredientId: 'lentil_red', amount: 300, unit: 'g' }],
        emptyG: '2450',
        fullG: '4050',
        plates: '4',
      },
      undefined,
      [],
      { recipe: 'r', revision: 'v', line: (n) => `l${n}`, step: 's' },
      '2026-11-24T16:00:00.000Z',
    );
    expect(made.revision).toMatchObject({
      servings: 4,
      serving: { amount: 400, unit: 'g' },
      tags: ['by feel'],
      steps: [{ uses: [{ lineId: 'l0', share: 1 }] }],
    });
    expect(made.recipe).toMatchObject({ id: 'r', revisionId: 'v', name: 'Harbour lentils' });
  });
});
