import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '#core/kitchen';
import { pilesOf, zoneFreeMl } from './piles.ts';

const pack = fc.record({
  packId: fc.uuid(),
  name: fc.constantFrom('Gratin', 'Beet soup', 'Plum puree'),
  kind: fc.constantFrom('meal' as const, 'puree' as const),
  left: fc.integer({ min: 1, max: 12 }),
  outerMl: fc.integer({ min: 50, max: 2000 }),
  due: fc
    .option(fc.integer({ min: 0, max: 300 }), { nil: undefined })
    .map((n) => (n === undefined ? {} : { day: addDays('2026-11-28', n) })),
  placeId: fc.constantFrom('box', 'chest'),
  zoneId: fc.constantFrom('top', 'left'),
});
const packs = fc.uniqueArray(pack, { selector: (p) => p.packId, maxLength: 40 });

describe('piles', () => {
  it('hold every pack exactly once, and all that is in them', () => {
    fc.assert(
      fc.property(packs, fc.constantFrom('dish' as const, 'spot' as const), (list, where) => {
        const piles = pilesOf(list, where);
        expect(piles.flatMap((p) => p.packs.map((x) => x.packId)).toSorted()).toEqual(list.map((p) => p.packId).toSorted());
        expect(piles.reduce((s, p) => s + p.left, 0)).toBe(list.reduce((s, p) => s + p.left, 0));
        expect(piles.reduce((s, p) => s + p.outerMl, 0)).toBe(list.reduce((s, p) => s + p.outerMl, 0));
      }),
    );
  });
  it('hold one dish each, on one shelf where that is asked, and no dish lies on two', () => {
    fc.assert(
      fc.property(packs, fc.constantFrom('dish' as const, 'spot' as const), (list, where) => {
        const said = pilesOf(list, where).map((p) => {
          const of = new Set(p.packs.map((x) => [x.name, x.kind, ...(where === 'spot' ? [x.placeId, x.zoneId] : [])].join()));
          expect(of.size).toBe(1);
          return [...of][0];
        });
        expect(new Set(said).size).toBe(said.length);
      }),
    );
  });
  it('keep the order of use that they are given, among themselves and within', () => {
    fc.assert(
      fc.property(packs, fc.constantFrom('dish' as const, 'spot' as const), (list, where) => {
        const at = new Map(list.map((p, i) => [p.packId, i]));
        const places = pilesOf(list, where).map((p) => p.packs.map((x) => at.get(x.packId)!));
        for (const pile of places) expect(pile).toEqual(pile.toSorted((a, b) => a - b));
        expect(places.map(([top]) => top)).toEqual(places.map(([top]) => top!).toSorted((a, b) => a - b));
      }),
    );
  });
  it('say the earliest day of any, and the smallest and largest pack', () => {
    fc.assert(
      fc.property(packs, (list) => {
        for (const p of pilesOf(list, 'dish')) {
          const days = p.packs.map((x) => x.due.day).filter((d) => d !== undefined);
          expect(p.soonest).toBe(days.toSorted()[0]);
          expect(p.packs.every((x) => x.left >= p.least && x.left <= p.most)).toBe(true);
          expect(p.packs.some((x) => x.left === p.least) && p.packs.some((x) => x.left === p.most)).toBe(true);
        }
      }),
    );
  });
});

describe('room on a shelf', () => {
  const place = {
    id: 'box',
    name: 'Box',
    kind: 'freezer' as const,
    litres: 70,
    temperatureC: -18,
    usableShare: 0.8,
    zones: [{ id: 'top', name: 'top', litres: 35 }],
    prefers: [],
  };
  it('is its share less what lies there, never less than nothing', () => {
    expect(zoneFreeMl(place, place.zones[0]!, [{ outerMl: 8000 }])).toBe(20_000);
    expect(zoneFreeMl(place, place.zones[0]!, [{ outerMl: 80_000 }])).toBe(0);
  });
});
