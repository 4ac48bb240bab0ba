import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Line } from '#core/contract';
import { ingredientFinder } from '#core/kitchen';
import { ingredientRows } from '#core/kitchen/data';
import type { Dish } from '#core/plan';
import type { ScaledLine } from '#core/recipe';
import { testRevision } from '../recipe/fixtures.ts';
import { shoppingList, tickNote } from './index.ts';

const finder = ingredientFinder(ingredientRows);
const line = (id: string, massG: number, over: Partial<Line> = {}): ScaledLine => ({
  lineId: id,
  massG,
  out: '',
  error: 0,
  because: [],
  exact: { amount: String(Math.round(massG)), unit: 'g' },
  line: {
    id,
    written: '',
    name: id,
    item: { type: 'ingredient', id },
    unit: 'g',
    moment: 'batch',
    scaling: { rule: 'proportional' },
    ...over,
  },
});
const batch = (n: number, ...lines: ScaledLine[]): Dish => ({
  batch: { id: `b${n}`, recipeId: 'rec1', revisionId: 'rev1', portions: 6 },
  revision: testRevision({ name: `dish ${n}` }),
  scaled: { factor: '1', portions: 6, lines },
});
const find = (batches: Dish[], name: string) =>
  shoppingList(batches, finder)
    .flatMap((s) => s.lines)
    .find((l) => l.name === name)!;

describe('the shopping list', () => {
  it('sums 3 x 350 g and 3 x 200 g of onion and says who asked', () => {
    const batches = [350, 350, 350, 200, 200, 200].map((g, i) => batch(i, line('onion', g * 0.89)));
    const onion = find(batches, 'onion');
    expect(onion.amount).toBeCloseTo(1650, 5);
    expect(onion.asked).toHaveLength(6);
    expect(onion.out).toBe('1.65\u00A0kg, about 11');
  });
  it('sums to what was asked whatever the order of the batches', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom('onion', 'carrot', 'leek', 'milk'), fc.integer({ min: 1, max: 3000 })), {
          minLength: 1,
          maxLength: 20,
        }),
        (asks) => {
          const batches = asks.map(([id, g], i) => batch(i, line(id, g)));
          const strip = (list: ReturnType<typeof shoppingList>) =>
            list.flatMap((s) => s.lines).map((l) => [l.key, Math.round(l.amount * 1e6)]);
          const list = shoppingList(batches, finder);
          expect(strip(shoppingList([...batches].reverse(), finder))).toEqual(strip(list));
          for (const l of list.flatMap((s) => s.lines)) expect(l.asked.reduce((s, a) => s + a.amount, 0)).toBeCloseTo(l.amount, 6);
        },
      ),
    );
  });
  it('buys what is trimmed off too', () => {
    const leek = find([batch(1, line('leek', 550))], 'leek');
    expect(leek.amount).toBeCloseTo(1000, 5);
    expect(leek.because[0]).toMatchObject({ code: 'trim', params: { edible: 55 } });
  });
  it('keeps the day of eating apart, and leaves tap water and draws out', () => {
    const list = shoppingList(
      [batch(1, line('parsley', 20, { moment: 'cookDay' }), line('water', 900), line('x', 100, { item: { type: 'recipe', id: 'base' } }))],
      finder,
    );
    expect(list.map((s) => s.id)).toEqual(['onTheDay']);
  });
  it('remembers what a tick stood for', () => {
    expect(tickNote({ amount: 1200, unit: 'g', how: 'bought' }, { unit: 'g', amount: 1500 })).toBe(
      'ticked at 1.2\u00A0kg, now 1.5\u00A0kg',
    );
    expect(tickNote({ amount: 1500, unit: 'g', how: 'bought' }, { unit: 'g', amount: 1500 })).toBeUndefined();
  });
});
