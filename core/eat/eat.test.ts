import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '#core/kitchen';
import { dealShares, quantile, reaches, runway, type RunwayInput } from './index.ts';

const today = '2026-11-24';
const input = (over: Partial<RunwayInput> = {}): RunwayInput => ({
  today,
  left: 40,
  demand: () => 3,
  eaten: [],
  parDays: 7,
  leadDays: 3,
  ...over,
});
const daily = (n: number, portions: number) => Array.from({ length: n }, (_, i) => ({ day: addDays(today, -1 - i), portions }));

describe('the gamma-Poisson predictive', () => {
  it('is a distribution: chances fall with n, rise with exposure, and agree with the quantiles', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.double({ min: 0.5, max: 80, noNaN: true }),
        fc.double({ min: 0.5, max: 80, noNaN: true }),
        fc.double({ min: 0.1, max: 200, noNaN: true }),
        (n, a, b, x) => {
          expect(reaches(n + 1, a, b, x)).toBeLessThanOrEqual(reaches(n, a, b, x) + 1e-12);
          expect(reaches(n, a, b, x)).toBeLessThanOrEqual(reaches(n, a, b, x * 1.3) + 1e-9);
          const q = quantile(0.5, a, b, x);
          expect(reaches(q + 1, a, b, x)).toBeLessThanOrEqual(0.5 + 1e-9);
          if (q > 0) expect(reaches(q, a, b, x)).toBeGreaterThan(0.5 - 1e-9);
        },
      ),
    );
  });
  it('is a Poisson when the rate is certain', () => {
    // P(N >= 1) = 1 - exp(-2)
    expect(reaches(1, 1e7, 1e7, 2)).toBeCloseTo(1 - Math.exp(-2), 5);
  });
});

describe('the runway', () => {
  it('orders its days and never runs out sooner with more in store', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 160 }),
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 0, max: 60 }),
        fc.double({ min: 0, max: 4, noNaN: true }),
        (left, more, logged, eaten) => {
          const a = runway(input({ left, eaten: daily(logged, eaten) }));
          const b = runway(input({ left: left + more, eaten: daily(logged, eaten) }));
          const days = (r: typeof a) => [r.runOut.early ?? '9', r.runOut.middle ?? '9', r.runOut.late ?? '9'];
          expect(days(a)).toEqual(days(a).toSorted());
          days(a).forEach((d, i) => {
            expect(d <= days(b)[i]!).toBe(true);
          });
          for (const p of a.points) expect(p.low <= p.middle && p.middle <= p.high && p.low >= 0).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('draws its band from the same quantiles as its days', () => {
    const r = runway(input({ eaten: daily(40, 2) }));
    const at = (day?: string) => r.points.find((p) => p.day === addDays(day!, 1));
    expect(at(r.runOut.late)?.high).toBe(0);
    expect(r.points.find((p) => p.middle === 0)!.day).toBe(addDays(r.runOut.middle!, 1));
    expect(r.points.find((p) => p.low === 0)!.day).toBe(addDays(r.runOut.early!, 1));
  });
  it('lasts about as long as the rate says', () => {
    const r = runway(input({ left: 60, eaten: daily(56, 1.5) }));
    // half of each portion asked for comes from the store: about 40 days at 1.5 a day
    expect(r.rate.k).toBeGreaterThan(0.5);
    expect(r.rate.k).toBeLessThan(0.7);
    expect(daysBetween(today, r.runOut.middle!)).toBeGreaterThan(30);
    expect(daysBetween(today, r.runOut.middle!)).toBeLessThan(44);
  });
  it('lets a gap of seven days without a word count for nothing', () => {
    const before = daily(30, 2).map((d) => ({ ...d, day: addDays(d.day, -10) }));
    const withGap = runway(input({ eaten: [...before, { day: addDays(today, -1), portions: 2 }] }));
    expect(withGap.rate.loggedDays).toBe(31);
    const short = runway(
      input({
        eaten: [
          { day: addDays(today, -5), portions: 2 },
          { day: addDays(today, -1), portions: 2 },
        ],
      }),
    );
    expect(short.rate.loggedDays).toBe(5);
  });
  it('asks to cook a lead before the par is reached, and at once when it is below', () => {
    const r = runway(input({ left: 60 }));
    expect(addDays(r.cookBy!, 3)).toBe(r.parDay);
    expect(runway(input({ left: 10 })).parDay).toBe(today);
  });
  it('450 g at 90 a week lasts about 35 days when the rate is known', () => {
    const r = runway({ today, left: 450, demand: () => 90 / 7, eaten: daily(140, 90 / 7), parDays: 0, leadDays: 0 });
    expect(Math.abs(daysBetween(today, r.runOut.middle!) + 1 - 35)).toBeLessThanOrEqual(1);
  });
});

describe('dealing out what was eaten', () => {
  const quarters = fc.integer({ min: 0, max: 12 }).map((q) => q / 4);
  it('loses nobody’s portion and takes no pack below nothing', () => {
    fc.assert(
      fc.property(
        fc.array(quarters, { minLength: 1, maxLength: 4 }),
        fc.array(quarters, { minLength: 1, maxLength: 4 }),
        quarters,
        (lefts, eats, guests) => {
          const dealt = dealShares(
            lefts.map((left, i) => ({ packId: `p${i}`, left })),
            eats.map((portions, i) => ({ eaterId: `e${i}`, portions })),
            guests,
          );
          eats.forEach((portions, i) => {
            expect(
              dealt
                .flatMap((d) => d.shares)
                .filter((s) => s.eaterId === `e${i}`)
                .reduce((s, x) => s + x.portions, 0),
            ).toBe(portions);
          });
          expect(dealt.reduce((s, d) => s + d.guests, 0)).toBe(guests);
          for (const d of dealt) expect(d.left).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
});
