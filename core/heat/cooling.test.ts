import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coolAll, coolingWays, iceKgFor, lumpedMinutes } from './index.ts';

const way = (massG: number, name: string, tapC?: number) => coolingWays({ massG }, tapC).find((w) => w.way === name);

describe('cooling of a stirred pot', () => {
  it('takes the hours of the reference’s pot in a room, and never gets under what is about it', () => {
    const pot = { massG: 4000, heat: 3700, uaWK: 0.16 * 9, aroundC: 19 };
    expect(lumpedMinutes({ ...pot, fromC: 80, toC: 60 }) / 60).toBeCloseTo(1.13, 2);
    expect(lumpedMinutes({ ...pot, fromC: 60, toC: 21 }) / 60).toBeCloseTo(8.6, 1);
    expect(lumpedMinutes({ ...pot, fromC: 60, toC: 21, aroundC: 21 })).toBe(Infinity);
  });
  it('needs 5.7 kg of ice for five kilos of soup down to 5 °C, in 3 kg of tap water', () =>
    expect(iceKgFor({ massG: 5000, fromC: 95, toC: 5, waterKg: 3, tapC: 12 })).toBeCloseTo(5.7, 1));
  it('takes five kilos in ice from the boil to 21 °C in 16.3 min', () => expect(way(5000, 'ice')!.minutes).toBeCloseTo(16.3, 0));
  it('is slower without ice, and water as warm as a room is no way at all', () => {
    expect(coolingWays({ massG: 5000 }).map((w) => w.way)).toEqual(['ice', 'waterThenIce', 'water']);
    expect(way(5000, 'waterThenIce')!.iceKg).toBeLessThan(way(5000, 'ice')!.iceKg / 3);
    expect(way(5000, 'water', 22)).toBeUndefined();
  });
  it('takes longer and more ice the more there is of it, and for more pots', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 20_000 }), fc.integer({ min: 4, max: 18 }), (massG, tapC) => {
        const less = coolingWays({ massG }, tapC);
        const more = coolingWays({ massG: massG * 1.2 }, tapC);
        for (const w of less) {
          const m = more.find((x) => x.way === w.way)!;
          expect(m.minutes).toBeGreaterThan(w.minutes);
          expect(m.iceKg).toBeGreaterThanOrEqual(w.iceKg);
        }
        const two = coolingWays({ massG, count: 2 }, tapC);
        expect(two.map((w) => w.iceKg)).toEqual(less.map((w) => w.iceKg * 2));
      }),
    );
  });
  it('never gives out more ice than there is, while water does it; the largest pot has it first', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 200, max: 9000 }), { maxLength: 8 }), fc.integer({ min: 0, max: 20 }), (grams, iceKg) => {
        const ways = coolAll(
          grams.map((massG) => ({ massG })),
          iceKg,
        );
        expect(ways).toHaveLength(grams.length);
        expect(ways.reduce((s, w) => s + w.iceKg, 0)).toBeLessThanOrEqual(iceKg + 1e-6);
      }),
    );
    expect(coolAll([{ massG: 900 }, { massG: 5000 }], 1.4).map((w) => w.way)).toEqual(['water', 'waterThenIce']);
    // a warm tap and no ice: the least of it has to be got
    expect(coolAll([{ massG: 3000 }], 0, 25)[0]!.way).toBe('waterThenIce');
  });
});
