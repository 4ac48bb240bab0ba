import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testContainer } from '../pack/fixtures.ts';
import { testFilled, testInstant } from './fixtures.ts';
import { foldPack, portionsFrom, repackedData, type PackState } from './index.ts';
import { testFigures } from '../kitchen/fixtures.ts';

const pack = (id: string, over = {}): PackState =>
  foldPack(
    [
      {
        id: `f${id}`,
        subjects: [id],
        instant: testInstant(0),
        device: 'd',
        counter: 0,
        version: 1,
        type: 'filled',
        data: testFilled(over),
      },
    ],
    id,
  )!;
const anew = (portions: number, n = 1, of = 1) => ({ code: '23456', portions, n, of });

describe('food packed anew', () => {
  it('weighs what it weighed, over however many packs it goes', () => {
    const size = fc.integer({ min: 1, max: 24 }).map((q) => q / 4);
    fc.assert(
      fc.property(fc.array(size, { minLength: 1, maxLength: 3 }), fc.integer({ min: 1, max: 6 }), (sizes, parts) => {
        const from = sizes.map((portions, i) =>
          pack(`p${i}`, { portions, massG: Math.round(portions * 400), volumeMl: Math.round(portions * 390) }),
        );
        const left = sizes.reduce((a, b) => a + b, 0);
        const made = Array.from({ length: parts }, (_, i) =>
          repackedData(from as [PackState], anew(left / parts, i + 1, parts), testFigures),
        );
        const mass = made.reduce((sum, m) => sum + m.massG, 0);
        expect(Math.abs(mass - from.reduce((sum, p) => sum + p.massG, 0))).toBeLessThanOrEqual(parts);
        expect(portionsFrom(from, left).reduce((a, b) => a + b, 0)).toBeCloseTo(left, 9);
      }),
    );
  });
  it('is as old as the oldest of it, and holds what any of it holds', () => {
    const old = pack('a', {
      made: { earliest: '2026-08-01', latest: '2026-08-03' },
      bestBy: '2026-10-01',
      allergens: { contains: ['al_milk'], check: [], unmatched: [] },
    });
    const young = pack('b', {
      raw: true,
      cautions: ['Not for Osk (2 g salt)'],
      allergens: { contains: ['al_egg'], check: [], unmatched: ['spice mix'] },
    });
    expect(repackedData([young, old], anew(2), testFigures)).toMatchObject({
      made: { earliest: '2026-08-01', latest: '2026-10-03' },
      bestBy: '2026-10-01',
      raw: true,
      cautions: ['Not for Osk (2 g salt)'],
      allergens: { contains: ['al_egg', 'al_milk'], unmatched: ['spice mix'] },
    });
  });
  it('has no date where one of it has none', () => {
    const none = pack('a', { made: undefined, bestBy: undefined, limit: undefined, foundOn: '2026-10-20' });
    const data = repackedData([pack('b'), none], anew(1), testFigures);
    expect(data.made).toBeUndefined();
    expect(data.bestBy).toBeUndefined();
  });
  it('takes the room of its container, or its share of the old one’s where it has none', () => {
    expect(repackedData([pack('a')], anew(1), testFigures).outerMl).toBe(475);
    const tub = testContainer('tub');
    expect(repackedData([pack('a')], { ...anew(1), container: tub }, testFigures)).toMatchObject({ containerId: 'tub' });
  });
  it('comes out of the first pack before the next', () => {
    expect(portionsFrom([{ left: 2 }, { left: 2 }], 3)).toEqual([2, 1]);
    expect(portionsFrom([{ left: 2 }], 5)).toEqual([2]);
  });
});
