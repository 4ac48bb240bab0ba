import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Eater } from '#core/contract';
import { ingredientFinder, times, toNumber } from '#core/kitchen';
import { ingredientRows } from '#core/kitchen/data';
import { testLine, testRevision } from './fixtures.ts';
import {
  addedSaltG,
  allergenLines,
  allergenSummary,
  allergenWarnings,
  canPlan,
  draftRecipe,
  finished,
  recipeGaps,
  scaleRecipe,
  weighRecipe,
} from './index.ts';

const finder = ingredientFinder(ingredientRows);
const options = { finder, scaleStepG: 1 };
const scale = (portions: number, revision = testRevision()) => {
  const r = scaleRecipe(weighRecipe(revision, finder), portions, options);
  if (!r.ok) throw new Error(r.why);
  return r.scaled;
};

describe('scaling to portions', () => {
  it('grows proportional lines exactly by the factor', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8000 }), (quarters) => {
        const s = scale(quarters / 4);
        expect(s.lines[0]!.exact!.amount).toBe(times('450', s.factor));
      }),
    );
  });
  it('is itself at the written size', () => expect(scale(6).lines[0]!.exact!.amount).toBe('450'));
  it('starts seasoning lower and never above its proportion', () => {
    fc.assert(
      fc.property(fc.integer({ min: 7, max: 2000 }), (n) => {
        const line = scale(n).lines[1]!;
        const f = n / 6;
        expect(toNumber(line.exact!.amount)).toBeLessThanOrEqual(2 * f + 1e-9);
        expect(toNumber(line.exact!.amount)).toBeCloseTo(2 * Math.min(f, f ** 0.8), 5);
      }),
    );
  });
  it('counts whole pieces', () => expect(scale(17).lines[2]!.out).toBe('6'));
  it('holds a ratio to the rest and to the total', () => {
    const salted = (of: 'rest' | 'total') =>
      testRevision({
        lines: [
          testLine('veg'),
          testLine('salt', {
            name: 'fine salt',
            item: { type: 'ingredient', id: 'salt_table' },
            unit: 'g',
            scaling: { rule: 'ratio', percent: 10, of, lines: ['veg'] },
          }),
        ],
      });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), (n) => {
        const rest = scale(n, salted('rest'));
        expect(rest.lines[1]!.massG! / rest.lines[0]!.massG!).toBeCloseTo(0.1, 3);
        const total = scale(n, salted('total'));
        expect(total.lines[1]!.massG! / (total.lines[1]!.massG! + total.lines[0]!.massG!)).toBeCloseTo(0.1, 3);
      }),
    );
  });
  it.each([
    [0, 'zero'],
    [-3, 'negative'],
    [20_000, 'tooMany'],
    [NaN, 'zero'],
  ])('refuses %d portions with a reason', (n, why) =>
    expect(scaleRecipe(weighRecipe(testRevision(), finder), n, options)).toMatchObject({
      ok: false,
      why,
      allowed: expect.stringContaining('portions') as string,
    }),
  );
  it('gives volume and weight of what comes out', () => {
    expect(finished(testRevision(), 10)).toEqual({ ml: 4000, g: 4200 });
    expect(finished({ serving: { amount: 350, unit: 'g' } }, 2)).toEqual({ g: 700 });
  });
});

const names = new Map([
  ['al_milk', 'milk'],
  ['al_gluten', 'gluten'],
  ['al_wheat', 'wheat'],
  ['al_celery', 'celery'],
]);
const of = (...ids: string[]) => ids.map((id) => testLine(id, { name: id, item: { type: 'ingredient', id } }));

describe('allergens', () => {
  it('says none only when every line is known, plain or read, and free', () => {
    expect(allergenLines(allergenSummary(of('onion', 'carrot'), finder), names)).toEqual(['none of the 14 declared allergens']);
    expect(allergenLines(allergenSummary(of('onion', 'sausage'), finder), names).join()).not.toContain('none of');
    expect(allergenLines(allergenSummary([testLine('x', { item: { type: 'unmatched' }, name: 'galangal' })], finder), names)).toEqual([
      'Allergens not checked: galangal',
    ]);
  });
  it('never says none for a random set that holds something unread or unknown', () => {
    fc.assert(
      fc.property(fc.subarray([...ingredientRows.keys()], { minLength: 1, maxLength: 6 }), (picks) => {
        const rows = picks.map((i) => ingredientRows[i]!);
        const text = allergenLines(allergenSummary(of(...rows.map((r) => r.id)), finder), names).join();
        const free = rows.every((r) => r.allergenCheck === 'plain' && r.contains.filter((c) => c !== 'al_coconut').length === 0);
        expect(text.includes('none of the 14')).toBe(free);
      }),
    );
  });
  it('lets an answer replace what a pack may hold', () => {
    const lines = [
      testLine('s', {
        name: 'sausage',
        item: { type: 'ingredient', id: 'sausage' },
        allergens: { contains: ['al_wheat', 'al_gluten'], checked: true },
      }),
    ];
    const s = allergenSummary(lines, finder);
    expect(s.check).toEqual([]);
    expect(allergenLines(s, names)[0]).toContain('gluten (wheat)');
  });
  it('passes on what a draw holds', () => {
    const draw = [testLine('b', { item: { type: 'recipe', id: 'base' }, name: 'celery base' })];
    expect(allergenSummary(draw, finder, () => ({ contains: ['al_celery'], check: [], unmatched: [] })).contains).toEqual(['al_celery']);
    expect(allergenSummary(draw, finder).unmatched).toEqual(['celery base']);
  });
  it('warns by name where an eater of the house has the allergy', () => {
    const eater = {
      id: 'e',
      name: 'Osk',
      stage: 'elder',
      appetite: 1,
      allergens: ['al_milk', 'al_mustard'],
      needs: [],
      presence: { weekly: {}, away: [], exceptions: [] },
    } satisfies Eater;
    const w = allergenWarnings({ contains: ['al_milk'], check: [{ name: 'sausage', mayHold: ['al_mustard'] }], unmatched: [] }, [eater]);
    expect(w).toEqual([
      { eaterId: 'e', name: 'Osk', codes: ['al_milk'], how: 'holds', parts: [] },
      { eaterId: 'e', name: 'Osk', codes: ['al_mustard'], how: 'mayHold', parts: ['sausage'] },
    ]);
    const open = allergenWarnings({ contains: [], check: [], unmatched: ['harbour spice'] }, [eater]);
    expect(open).toEqual([{ eaterId: 'e', name: 'Osk', codes: ['al_milk', 'al_mustard'], how: 'unknown', parts: ['harbour spice'] }]);
  });
  it('adds up the salt a cook puts in', () =>
    expect(addedSaltG([{ line: testLine('s', { item: { type: 'ingredient', id: 'salt_table' } }), massG: 12 }], 6)).toBe(2));
});

describe('completeness', () => {
  it('finds nothing to say of a complete recipe', () => expect(recipeGaps(testRevision())).toEqual([]));
  it('names what is listed and never used, and what is used and not listed', () => {
    const r = testRevision({
      lines: [...testRevision().lines, testLine('leek', { name: 'leek' })],
      steps: testRevision().steps.map((s) => (s.id === 's1' ? { ...s, text: 'Sweat the onion in butter.' } : s)),
    });
    expect(recipeGaps(r, finder).map((g) => g.gap)).toEqual(['neverUsed', 'notListed']);
  });
  it('plans only what is confirmed', () => {
    expect(canPlan(testRevision())).toBe(true);
    expect(canPlan(testRevision({ confirmed: ['kind'] }))).toBe(false);
  });
});

describe('a draft from a file', () => {
  let n = 0;
  const draft = draftRecipe(
    {
      name: 'Leek and potato soup',
      lines: ['For the pot:', '3 leeks, sliced', '500 g potatoes, diced', '1 l stock', '2 tbsp moon dust', 'Salt to taste'],
      steps: [
        { text: 'Soften the leeks in a pan for 10 minutes.' },
        { text: 'Add potatoes and stock, simmer for 20 minutes.' },
        { text: 'Blend until smooth.' },
      ],
      servings: 4,
      tags: [],
      notUnderstood: [],
    },
    finder,
    () => `x${(n += 1)}`,
  );
  it('matches what it knows and keeps what it does not', () => {
    expect(draft.revision.lines).toHaveLength(5);
    expect(draft.unmatched).toHaveLength(1);
    expect(draft.revision.lines[0]!.section).toBe('For the pot');
  });
  it('orders the steps by what they take, marks minutes nobody said, sees waiting, the blender and its hazard', () => {
    const { steps } = draft.revision;
    expect(steps[1]!.after).toEqual([steps[0]!.id]);
    expect(steps[2]!.guessed).toContain('hands');
    expect(steps[1]).toMatchObject({ waitMin: 20, kind: 'simmer' });
    expect(steps[2]!.hazards).toContain('hotBlending');
    expect(steps[0]!.uses.map((u) => u.lineId)).toContain(draft.revision.lines[0]!.id);
  });
  it('looks among the tins for what comes in one', () => {
    const tins = draftRecipe(
      {
        name: 'Pot',
        lines: ['2 x 400 g tins chopped tomatoes', '1 (400 g) tin chickpeas, drained', '3 tomatoes'],
        steps: [],
        tags: [],
        notUnderstood: [],
      },
      finder,
      () => `y${(n += 1)}`,
    );
    expect(tins.revision.lines.map((l) => l.item)).toEqual(
      ['tomato_tin_chopped', 'chickpea_tin', 'tomato'].map((id) => ({ type: 'ingredient', id })),
    );
  });
  it('guesses the storage row from the name', () => expect(draft.revision.storage[0]!.rowId).toBe('soup_veg'));
});
