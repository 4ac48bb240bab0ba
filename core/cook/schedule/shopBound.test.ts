import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solve } from '#core/solve';
import { disjunctiveOf } from './disjunctive.ts';
import { compile, jobShop, scheduleSearch, simpleBounds, taillard, type JobShop } from './index.ts';
import { shopBound } from './shopBound.ts';

function boundOf(shop: JobShop, low: number, high: number): number {
  const made = compile(jobShop(shop));
  if (!made.ok) throw new Error('a job shop compiles');
  const d = disjunctiveOf(made.compiled);
  if (!d) throw new Error('a job shop is one');
  let proven = low;
  for (const bound of shopBound(d, low, high)) {
    expect(bound).toBeGreaterThanOrEqual(proven);
    proven = bound;
  }
  return proven;
}
const simple = (shop: JobShop): number => {
  const made = compile(jobShop(shop));
  return made.ok ? (simpleBounds(made.compiled)[0]?.minutes ?? 0) : 0;
};

const smallShops = fc
  .record({ jobs: fc.integer({ min: 2, max: 4 }), machines: fc.integer({ min: 2, max: 3 }), seed: fc.integer({ min: 1, max: 100_000 }) })
  .map(({ jobs, machines, seed }) => taillard(jobs, machines, seed * 7919, seed * 104_729));

describe('the bound of a job shop', () => {
  it('never exceeds the best there is, and mostly is it', () => {
    let equal = 0;
    let runs = 0;
    fc.assert(
      fc.property(smallShops, (shop) => {
        const total = shop.jobs.flat().reduce((s, [, min]) => s + min, 0);
        // up to twelve pieces of work are settled by branching, which knows nothing of this bound
        const found = solve(scheduleSearch, { model: jobShop(shop) }, { seed: 1, mostSteps: 400 });
        fc.pre(found.ok && found.ended === 'proven');
        const best = found.ok ? found.cost : 0;
        const bound = boundOf(shop, simple(shop), total);
        expect(bound).toBeLessThanOrEqual(best);
        runs += 1;
        equal += bound === best ? 1 : 0;
      }),
      { numRuns: 60 },
    );
    expect(equal).toBeGreaterThan(runs * 0.9);
  });

  it('is no less than the simple ones, and no more than a plan that was found', () => {
    for (const seed of [3, 5, 7]) {
      const shop = taillard(6, 6, seed * 7_654_321, seed * 1_234_567);
      const found = solve(scheduleSearch, { model: jobShop(shop) }, { seed: 1, mostSteps: 150 });
      if (!found.ok) throw new Error('a job shop has a schedule');
      expect(found.bound).toBeGreaterThanOrEqual(simple(shop));
      expect(found.bound).toBeLessThanOrEqual(found.cost);
      // six jobs on six machines are settled
      expect(found.bound).toBe(found.cost);
    }
  });
});
