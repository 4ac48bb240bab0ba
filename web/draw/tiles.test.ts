import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { layTiles } from './tiles.ts';

const pack = fc.integer({ min: 100, max: 6000 }).map((outerMl) => ({ outerMl }));
const room = fc.record({
  x: fc.constant(0),
  y: fc.constant(0),
  w: fc.integer({ min: 120, max: 400 }),
  h: fc.integer({ min: 90, max: 360 }),
});

describe('tiles of a freezer', () => {
  it('have areas in proportion to their packs over all zones, and stay inside', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ packs: fc.array(pack, { maxLength: 25 }), room }), { minLength: 1, maxLength: 4 }),
        fc.double({ min: 0.2, max: 4, noNaN: true }),
        (zones, scale) => {
          const laid = layTiles(zones, scale);
          const tiles = laid.flat();
          expect(tiles).toHaveLength(zones.reduce((n, z) => n + z.packs.length, 0));
          const ratios = tiles.map((t) => (t.w * t.h) / t.pack.outerMl);
          for (const r of ratios) expect(r / ratios[0]!).toBeCloseTo(1, 6);
          laid.forEach((mine, i) => {
            for (const t of mine) {
              expect(t.x + t.w).toBeLessThanOrEqual(zones[i]!.room.w + 1e-6);
              expect(t.y + t.h).toBeLessThanOrEqual(zones[i]!.room.h + 1e-6);
            }
          });
        },
      ),
    );
  });
});
