import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { trueDensity } from '#core/heat';
import { ingredientFinder } from '#core/kitchen';
import { ingredientRows } from '#core/kitchen/data';
import { usualDensityRows } from './data/index.ts';
import { densityIsGuess, finishedDensity } from './density.ts';
import { testLine, testRevision } from './fixtures.ts';
import { learnedYield } from './learn.ts';
import { massCheck, massCheckShare } from './massCheck.ts';
import { testFigures } from '../kitchen/fixtures.ts';

const finder = ingredientFinder(ingredientRows);
const kinds = ['meal', 'kit', 'base', 'puree', 'broth', 'aromatic', 'dried', 'bread'] as const;
/** Carrots by the gram: nothing but their own weight. */
const carrots = (g: number) => testLine('carrot', { name: 'carrot', amount: String(g), item: { type: 'ingredient', id: 'carrot' } });
const unheard = testLine('glimmer', { name: 'glimmer', amount: '1', unit: 'piece', item: { type: 'unmatched' } });
const plain = (over: Parameters<typeof testRevision>[0] = {}) => {
  const { density: _, ...rest } = testRevision({ lines: [carrots(1000)], ...over });
  return rest;
};

describe('what a litre of the finished food weighs', () => {
  it('is never absent and never 1 by silence, whatever the kind', () => {
    for (const kind of kinds)
      for (const lines of [[carrots(500)], [unheard], []]) {
        const d = finishedDensity(plain({ kind, lines }), finder, testFigures);
        expect(d.gPerMl, kind).toBeGreaterThan(0.1);
        expect(d.gPerMl, kind).toBeLessThan(1.5);
        expect(['computed', 'texture']).toContain(d.reason);
        expect(densityIsGuess(d)).toBe(true);
      }
  });
  it('is learned before entered, entered before reckoned, reckoned before usual', () => {
    const entered = testRevision({ density: { gPerMl: 0.9, reason: 'entered' } });
    expect(finishedDensity(entered, finder, testFigures, 1.04)).toEqual({ gPerMl: 1.04, reason: 'learned' });
    expect(finishedDensity(entered, finder, testFigures)).toEqual({ gPerMl: 0.9, reason: 'entered' });
    expect(finishedDensity(plain(), finder, testFigures)).toEqual({ gPerMl: Number(trueDensity().toFixed(3)), reason: 'computed' });
    const usual = usualDensityRows.find((r) => r.kind === 'bread')!.gPerMl;
    expect(finishedDensity(plain({ kind: 'bread' }), finder, testFigures)).toEqual({ gPerMl: usual, reason: 'texture' });
    expect(densityIsGuess({ gPerMl: 1.04, reason: 'learned' })).toBe(false);
    expect(densityIsGuess(undefined)).toBe(true);
  });
  it('goes by liquids of their own weight: oil makes it lighter', () => {
    const oil = testLine('oil', { name: 'vegetable oil', amount: '500', unit: 'g', item: { type: 'ingredient', id: 'oil_vegetable' } });
    expect(finishedDensity(plain({ lines: [carrots(500), oil] }), finder, testFigures).gPerMl).toBeLessThan(
      finishedDensity(plain(), finder, testFigures).gPerMl,
    );
  });
  it('says nothing from its lines when a fifth of them weighs nothing that is known', () => {
    expect(finishedDensity(plain({ lines: [carrots(500), unheard] }), finder, testFigures).reason).toBe('texture');
  });
});

describe('what goes in against what is said to come out', () => {
  const dish = (inG: number, servings: number, amount = 400) =>
    plain({ lines: [carrots(inG)], serving: { amount, unit: 'g' }, servings, steps: [] });
  it('asks with both figures and what would agree: 3.8 kg in, 2.4 kg said to come out', () => {
    const [edible] = [finder.byId('carrot')!.ediblePct! / 100];
    const check = massCheck(dish(3800 / edible, 6), finder)!;
    expect(check.outG).toBe(2400);
    // lines that are written peeled or whole weigh what is left of them
    expect(check.inG / 3800).toBeGreaterThan(0.9);
    expect(check.servings * 400).toBeGreaterThan(check.inG * 0.9);
    expect(check.servingAmount * 6).toBeCloseTo(check.inG, -2);
  });
  it('is silent within a fifth, and never beyond it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 9000 }), fc.integer({ min: 1, max: 20 }), (inG, servings) => {
        const r = dish(inG, servings);
        const check = massCheck(r, finder);
        const share = (check?.inG ?? servings * 400) / (servings * 400);
        if (check) expect(Math.abs(share - 1)).toBeGreaterThan(massCheckShare - 1e-9);
        // what it proposes agrees
        if (check)
          expect(
            massCheck({ ...r, servings: check.servings, serving: { amount: check.inG / check.servings, unit: 'g' } }, finder),
          ).toBeUndefined();
      }),
    );
  });
  it('takes off what boils away', () => {
    expect(massCheck(dish(4000, 6), finder)).toBeDefined();
    expect(massCheck(dish(4000, 6), finder, 1500)).toBeUndefined();
  });
  it('says nothing of what is strained, dried, or not weighed', () => {
    const strained = { ...dish(4000, 2), steps: testRevision().steps.map((s) => ({ ...s, text: 'Strain it and discard the bones.' })) };
    expect(massCheck(strained, finder)).toBeUndefined();
    expect(massCheck({ ...dish(4000, 2), kind: 'dried' }, finder)).toBeUndefined();
    // a roast loses what no pot tells of, but never gains
    const roast = { ...dish(4000, 6), steps: testRevision().steps.map((s) => ({ ...s, needs: [{ kind: 'oven' as const }] })) };
    expect(massCheck(roast, finder)).toBeUndefined();
    expect(massCheck({ ...roast, lines: [carrots(900)] }, finder)).toBeDefined();
    // too little goes in, but something of no known weight does too
    expect(massCheck({ ...dish(500, 6), lines: [carrots(500), unheard] }, finder)).toBeUndefined();
    expect(massCheck({ ...dish(500, 6), lines: [unheard] }, finder)).toBeUndefined();
  });
});

describe('a trim that was never known', () => {
  it('is what was seen: one run of 65 % is 65 %, not 91', () => {
    expect(learnedYield([0.65], null).factor).toBeCloseTo(0.65, 12);
    expect(learnedYield([0.6, 0.7], null).factor).toBeCloseTo(0.65, 12);
    expect(() => learnedYield([], null)).toThrow(/neither/);
  });
  it('is blended with a default where there is one, and lies between both', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.2, max: 1.5, noNaN: true }), { minLength: 1, maxLength: 9 }),
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        (seen, written) => {
          const l = learnedYield(seen, written);
          expect(l.factor).toBeGreaterThanOrEqual(Math.min(written, ...seen) - 1e-9);
          expect(l.factor).toBeLessThanOrEqual(Math.max(written, ...seen) + 1e-9);
          expect(l.low).toBeLessThanOrEqual(l.factor);
          expect(l.high).toBeGreaterThanOrEqual(l.factor);
        },
      ),
    );
  });
});
