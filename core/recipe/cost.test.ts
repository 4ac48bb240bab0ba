import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Line, Price, Revision } from '#core/contract';
import { ingredientFinder, type IngredientRow } from '#core/kitchen';
import { ingredientRows } from '#core/kitchen/data';
import { costOf, drawnCost, newestPrice } from './cost.ts';
import { testLine, testRevision } from './fixtures.ts';
import { scaleRecipe, weighRecipe } from './scale/index.ts';

const priced = (prices: Readonly<Record<string, Price>>): IngredientRow[] =>
  ingredientRows.map((r) => (prices[r.id] ? { ...r, prices: [prices[r.id]!] } : r));
const price = (cents: number, amount: number, unit: Price['unit'], over: Partial<Price> = {}): Price => ({
  cents,
  amount,
  unit,
  day: '2026-11-01',
  ...over,
});
const finder = ingredientFinder(
  priced({
    onion: price(100, 1000, 'g'),
    carrot: price(80, 500, 'g', { madeUp: true }),
    egg: price(240, 6, 'piece'),
    milk: price(120, 1000, 'ml'),
    lemon: price(50, 1, 'piece'),
    salt_table: price(60, 750, 'g'),
  }),
);
const options = { finder, scaleStepG: 1 as const };
const of = (lines: Line[], portions = 6, over: Partial<Revision> = {}) => {
  const r = scaleRecipe(weighRecipe(testRevision({ lines, ...over }), finder), portions, options);
  if (!r.ok) throw new Error('scales');
  return r.scaled.lines;
};
const line = (id: string, amount: string, unit: Line['unit'], over: Partial<Line> = {}): Line =>
  testLine(id, { name: id, amount, ...(unit && { unit }), item: { type: 'ingredient', id }, ...over });
const cents = (lines: Line[]): number => costOf(of(lines), 6, finder).cents;

describe('what a dish costs', () => {
  it('is the used share of what is bought: by weight with its waste, by volume, by the piece', () => {
    // 450 g to cook with, of onions of which 89 % is left after peeling, at 10 cents for 100 g
    expect(finder.byId('onion')!.ediblePct).toBe(89);
    expect(cents([line('onion', '450', 'g')])).toBeCloseTo(45 / 0.89, 6);
    expect(cents([line('milk', '500', 'ml')])).toBeCloseTo(60, 6);
    expect(cents([line('milk', '515', 'g')])).toBeCloseTo(60, 0);
    expect(cents([line('egg', '3', 'piece')])).toBeCloseTo(120, 6);
  });
  it('buys by the piece what was written by weight, where a piece has a weight', () => {
    const lemon = finder.byId('lemon')!;
    expect(cents([line('lemon', String(lemon.pieceG! * 2), 'g')])).toBeGreaterThan(90);
  });
  it('leaves out and names what has no price, no way to it, or is not known; water is free and a pinch costs nothing', () => {
    const cost = costOf(
      of([
        line('water', '1', 'l'),
        line('salt_table', '1', 'pinch', { scaling: { rule: 'toTaste' } }),
        line('leek', '200', 'g'),
        testLine('glimmer', { name: 'glimmer', item: { type: 'unmatched' } }),
        testLine('base', { name: 'base', item: { type: 'recipe', id: 'base' } }),
      ]),
      6,
      finder,
    );
    expect(cost.cents).toBe(0);
    expect(Object.fromEntries(cost.lines.map((l) => [l.name, l.why]))).toMatchObject({
      leek: 'noPrice',
      glimmer: 'unmatched',
      base: 'noPrice',
    });
    expect(cost.leftOut).toEqual(expect.arrayContaining(['leek', 'glimmer', 'base']));
    expect(cost.leftOut).not.toContain('water');
  });
  it('says that a price is made up, and takes the newest', () => {
    expect(costOf(of([line('carrot', '500', 'g')]), 6, finder).madeUp).toBe(true);
    expect(costOf(of([line('onion', '500', 'g')]), 6, finder).madeUp).toBe(false);
    expect(newestPrice({ prices: [price(1, 1, 'g', { day: '2026-01-01' }), price(2, 1, 'g', { day: '2026-09-01' })] })!.cents).toBe(2);
    expect(newestPrice({})).toBeUndefined();
  });
  it('grows with the dish, and stays the same for a portion', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), (portions) => {
        const r = scaleRecipe(weighRecipe(testRevision({ lines: [line('onion', '600', 'g')], servings: 6 }), finder), portions, options);
        if (!r.ok) throw new Error('scales');
        const cost = costOf(r.scaled.lines, portions, finder);
        expect(cost.cents).toBeCloseTo(cost.perPortionCents * portions, 6);
        expect(cost.perPortionCents).toBeCloseTo(10 / 0.89, 6);
      }),
    );
  });
  it('refuses no portions', () => expect(() => costOf([], 0, finder)).toThrow(/more than 0/));
});

describe('what is drawn from another recipe', () => {
  const base = testRevision({
    id: 'rb',
    recipeId: 'base',
    kind: 'base',
    serving: { amount: 150, unit: 'ml' },
    servings: 4,
    lines: [line('onion', '600', 'g')],
  });
  const draw = (amount: string, unit: Line['unit']) =>
    testLine('draw', { name: 'base', amount, ...(unit && { unit }), item: { type: 'recipe', id: 'base' } });
  const drawn = (l: Line, revisions: readonly Revision[] = [base]) =>
    costOf(
      of([l]),
      6,
      finder,
      drawnCost((id) => revisions.find((r) => r.recipeId === id), options),
    ).lines[0]!;
  it('costs its share by volume, by weight and by the portion', () => {
    // 600 g of onion for 600 ml: a portion of 150 ml is a quarter of it
    const whole = costOf(of([line('onion', '600', 'g')]), 6, finder).cents;
    expect(drawn(draw('150', 'ml')).cents).toBeCloseTo(whole / 4, 0);
    expect(drawn(draw('1', 'piece')).cents).toBeCloseTo(whole / 4, 0);
    expect(drawn(draw('157.5', 'g')).cents).toBeCloseTo(whole / 4, 0);
  });
  it('stays unknown for a recipe that is not there, an amount that says nothing, or a circle', () => {
    expect(drawn(draw('150', 'ml'), []).why).toBe('noPrice');
    expect(drawn(draw('1', 'pinch')).why).toBe('noPrice');
    const circle = testRevision({ ...base, lines: [draw('100', 'ml')] });
    expect(drawn(draw('150', 'ml'), [circle]).why).toBe('noPrice');
  });
});
