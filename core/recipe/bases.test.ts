import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Revision } from '#core/contract';
import { fromNumber } from '#core/kitchen';
import { testLine, testRevision } from './fixtures.ts';
import { settleDraws, solveBases, type SolvedBatch } from './index.ts';

const draw = (id: string, amount: number, unit: 'g' | 'ml' | 'piece' = 'ml') =>
  testLine(`${id}-line`, { amount: fromNumber(amount), unit, item: { type: 'recipe', id }, name: id });
const recipe = (id: string, lines: Revision['lines'], over: Partial<Revision> = {}): Revision =>
  testRevision({ id: `rev-${id}`, recipeId: id, name: id, lines, steps: [], ...over });
const base = recipe('base', [testLine('onion')], {
  serving: { amount: 100, unit: 'ml' },
  servings: 10,
  density: { gPerMl: 1.1, reason: 'entered' },
});

const solve = (wants: [string, number][], ...recipes: Revision[]) => {
  const map = new Map(recipes.map((r) => [r.recipeId, r]));
  return solveBases(
    wants.map(([recipeId, portions]) => ({ recipeId, portions })),
    (id) => map.get(id),
  );
};
const batches = (r: ReturnType<typeof solve>): Map<string, SolvedBatch> => {
  if (!r.ok) throw new Error(r.why);
  return new Map(r.batches.map((b) => [b.recipeId, b]));
};

describe('bases solved backwards (P7)', () => {
  it('make what is drawn and what is packed', () => {
    const stew = recipe('stew', [draw('base', 300)]);
    const pie = recipe('pie', [draw('base', 220, 'g')]);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 30 }), (a, b, packed) => {
        const wants: [string, number][] = [['stew', a], ['pie', b], ...(packed > 0 ? [['base', packed] as [string, number]] : [])];
        const there = batches(solve(wants, stew, pie, base));
        const back = batches(solve(wants.toReversed(), pie, base, stew));
        const made = there.get('base')!;
        expect(made.portions).toBeCloseTo(made.packed + made.draws.reduce((s, d) => s + d.portions, 0), 9);
        // 300 ml and 220 g (200 ml) for each six portions, of 100 ml each
        expect(made.portions).toBeCloseTo((a / 6) * 3 + (b / 6) * 2 + packed, 9);
        expect([...back.keys()].toSorted()).toEqual([...there.keys()].toSorted());
        expect(back.get('base')!.portions).toBeCloseTo(made.portions, 9);
      }),
    );
  });
  it('stand before what draws from them, through several layers', () => {
    const paste = recipe('paste', [testLine('ginger')], { serving: { amount: 15, unit: 'ml' } });
    const middle = recipe('middle', [draw('paste', 30)], { serving: { amount: 200, unit: 'ml' }, servings: 5 });
    const dish = recipe('dish', [draw('middle', 600), draw('paste', 15)]);
    const r = solve([['dish', 12]], dish, middle, paste);
    expect(r.ok && r.batches.map((b) => b.recipeId)).toEqual(['paste', 'middle', 'dish']);
    // 1,200 ml of middle is 6 portions: 30 ml x 6/5 = 36 ml, and 30 ml for the dish itself: 66 ml in spoons of 15
    expect(batches(r).get('paste')!.portions).toBeCloseTo(66 / 15, 9);
  });
  it('name a circle', () => {
    const a = recipe('a', [draw('b', 10)]);
    const b = recipe('b', [draw('c', 10)]);
    const c = recipe('c', [draw('b', 10)]);
    expect(solve([['a', 1]], a, b, c)).toEqual({ ok: false, why: 'circle', names: ['b', 'c', 'b'] });
  });
  it('say what is not known, and never take a litre for a kilo', () => {
    expect(solve([['a', 1]], recipe('a', [draw('gone', 10)]))).toMatchObject({ ok: false, why: 'unknown', name: 'gone' });
    const { density: _, ...bare } = base;
    expect(solve([['a', 1]], recipe('a', [draw('base', 10, 'g')]), bare)).toEqual({ ok: false, why: 'noPath', name: 'base', base: 'base' });
  });
  it('count pieces as portions', () => {
    expect(batches(solve([['a', 6]], recipe('a', [draw('base', 2, 'piece')]), base)).get('base')!.portions).toBe(2);
  });
  // ACCEPTANCE P7
  it('shared base: two blends of 4 jars of 90 ml at 55 % potato ask for 396 ml', () => {
    const potato = recipe('potato', [testLine('p')], { serving: { amount: 30, unit: 'ml' } });
    const blend = (id: string) => recipe(id, [draw('potato', 0.55 * 90)], { serving: { amount: 90, unit: 'ml' }, servings: 1 });
    const made = batches(
      solve(
        [
          ['leek', 4],
          ['carrot', 4],
        ],
        blend('leek'),
        blend('carrot'),
        potato,
      ),
    ).get('potato')!;
    expect(made.draws.reduce((s, d) => s + d.ml!, 0)).toBeCloseTo(396, 6);
  });
  it('beans: 1 kg dry is 2.4 kg cooked, 6 packs of 400 g, one a week for 6 weeks', () => {
    const packs = Math.floor((1000 * 2.4) / 400);
    expect(packs).toBe(6);
    expect(settleDraws(2400, [{ id: 'packs', asked: packs * 400 }])).toMatchObject({ short: 0, left: 0 });
  });
});

describe('what was really made', () => {
  it('is dealt out whole: shared when short, the rest left to pack', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 5000 }),
        fc.array(fc.integer({ min: 1, max: 2000 }), { minLength: 1, maxLength: 5 }),
        (made, asked) => {
          const s = settleDraws(
            made,
            asked.map((a, i) => ({ id: `${i}`, asked: a })),
          );
          const dealt = s.gets.reduce((x, g) => x + g.gets, 0);
          expect(dealt + s.left).toBeCloseTo(made, 6);
          for (const g of s.gets) expect(g.gets).toBeLessThanOrEqual(g.asked + 1e-9);
          expect(s.short > 0 && s.left > 0).toBe(false);
        },
      ),
    );
  });
});
