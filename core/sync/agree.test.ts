import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Kind, Place } from '#core/contract';
import { addDays, addMinutes } from '#core/kitchen';
import { coldOf, momentOf, type PackState } from '#core/store';
import { testEater } from '../kitchen/fixtures.ts';
import { testHousehold, testPack } from '../session/fixtures.ts';
import { testSnapshot } from './fixtures.ts';
import { eatAnswer, frameAnswer, kitchenAnswer, packAnswer, storeAnswer, todayAnswer } from '#core/queries';
import { openSnapshot } from './snapshot.ts';
import { testFigures } from '../kitchen/fixtures.ts';

const now = '2026-11-24T16:00:00.000Z';
const today = '2026-11-24';
const kinds: Kind[] = ['meal', 'kit', 'base', 'puree', 'broth', 'aromatic', 'dried', 'bread'];

const places: Place[] = [
  {
    id: 'shed',
    name: 'Shed chest',
    kind: 'chest',
    litres: 200,
    temperatureC: -20,
    zones: [{ id: 'left', name: 'left', litres: 100 }],
    prefers: [],
  },
  {
    id: 'hall',
    name: 'Hall box',
    kind: 'freezer',
    litres: 60,
    usableShare: 0.7,
    temperatureC: -18,
    zones: [{ id: 'top', name: 'top', litres: 60 }],
    prefers: [],
  },
];

interface Made {
  pack: PackState;
  /** What the test knows of it without asking the core. */
  frozen: boolean;
  outerMl: number;
}

const packs = fc
  .array(
    fc.record({
      kind: fc.constantFrom(...kinds),
      portions: fc.integer({ min: 1, max: 12 }).map((n) => n / 2),
      outerMl: fc.integer({ min: 100, max: 2500 }),
      place: fc.constantFrom('shed', 'hall', 'out'),
      outHours: fc.option(fc.integer({ min: 0, max: 240 }), { nil: undefined }),
      bestBy: fc.option(fc.integer({ min: -60, max: 200 }), { nil: undefined }),
      planned: fc.option(fc.integer({ min: -5, max: 8 }), { nil: undefined }),
      labelled: fc.boolean(),
    }),
    { maxLength: 30 },
  )
  .map((rows): Made[] =>
    rows.map((r, i) => {
      const placed = r.place !== 'out';
      const out = placed && r.outHours !== undefined ? addMinutes(now, -60 * r.outHours) : undefined;
      const {
        placeId: _p,
        zoneId: _z,
        ...bare
      } = testPack(
        `p${i}`,
        { kind: r.kind, name: `${r.kind} ${i % 5}`, portions: r.portions, outerMl: r.outerMl },
        {
          ...(out && { fridgeSince: out, thawSince: out, pulled: { at: out, day: today, meal: 'dinner' as const } }),
          ...(r.planned !== undefined && { planned: { day: addDays(today, r.planned), meal: 'dinner' as const } }),
          ...(r.labelled && { labelled: 'hand' as const }),
        },
      );
      const { bestBy: _b, limit: _l, made: _m, ...undated } = bare;
      const dated =
        r.bestBy === undefined
          ? { ...undated, foundOn: addDays(today, -3) }
          : { ...bare, bestBy: addDays(today, r.bestBy), limit: addDays(today, r.bestBy + 30) };
      return {
        pack: { ...dated, ...(placed && { placeId: r.place, zoneId: r.place === 'shed' ? 'left' : 'top' }) } as PackState,
        frozen: placed && out === undefined,
        outerMl: r.outerMl,
      };
    }),
  );

const table = fc.integer({ min: 1, max: 4 });

describe('every page says the same of one household', () => {
  it('of stock, dinners, room, what is past and what is not known', () => {
    fc.assert(
      fc.property(packs, table, (made, eaters) => {
        const { world, records } = openSnapshot(
          testSnapshot({
            packs: made.map((m) => m.pack),
            places,
            eaters: Array.from({ length: eaters }, (_, i) => testEater(`e${i}`)),
          }),
        );
        const at = momentOf(testHousehold, testFigures, now);
        const frame = frameAnswer(world, records, now, true);
        const day = todayAnswer(world, records, now);
        const eat = eatAnswer(world, records, now);
        const store = storeAnswer(world, records, now);
        const kitchen = kitchenAnswer(world, records, now);

        // stock, probably eaten and past: each pack in one of them, the same on every page
        const ids = (list: readonly { packId: string }[]): string[] => list.map((p) => p.packId).toSorted();
        expect(ids([...store.packs, ...store.probable, ...store.past])).toEqual(ids(made.map((m) => m.pack)));
        expect(ids(frame.strip)).toEqual(ids(store.packs));
        expect(ids(eat.past)).toEqual(ids(store.past));
        expect(ids(eat.probable)).toEqual(ids(store.probable));
        expect(day.view.probable.count).toBe(store.probable.length);
        expect(day.supplies.past).toBe(store.past.length);

        // dinners
        const counts = [store.dinners, frame.supplies.dinners.count, day.supplies.dinners.count, eat.supplies.dinners.count];
        expect(new Set(counts).size).toBe(1);
        // no more of them than plates in store that are a dinner by themselves
        const plates = store.packs.filter((p) => p.dinner).reduce((s, p) => s + p.left, 0);
        expect(store.dinners).toBeLessThanOrEqual(Math.floor(plates / eaters));

        // room by the outside of what stands there frozen, and the share the household says
        for (const [i, place] of places.entries()) {
          expect(kitchen.places[i]!.room).toEqual(store.places[i]!.room);
          const usedMl = made
            .filter((m) => m.pack.placeId === place.id && m.frozen && store.packs.some((p) => p.packId === m.pack.packId))
            .reduce((s, m) => s + m.outerMl, 0);
          expect(store.places[i]!.room.usedMl).toBe(usedMl);
        }
        expect(store.places[1]!.room.usableMl).toBeCloseTo(42_000, 6);

        // what is past is nobody's dinner, and what is of unknown age says so on its own page too
        for (const p of store.past) {
          expect(day.view.tonight.packs.map((x) => x.packId)).not.toContain(p.packId);
          expect(eat.evenings.flatMap((e) => e.packs.map((x) => x.packId))).not.toContain(p.packId);
        }
        for (const m of made.slice(0, 4)) {
          const one = packAnswer(m.pack, [], world, now);
          expect(one.cold).toEqual(coldOf(m.pack, at));
          expect(one.brief.due.reason === 'undated').toBe(m.pack.bestBy === undefined && one.cold.eatBy === undefined);
          const listed = [...store.packs, ...store.probable, ...store.past].find((p) => p.packId === m.pack.packId)!;
          expect(one.brief).toEqual(listed);
        }

        // tonight's plates on Today are those on Eat
        const evening = eat.evenings[0]!;
        expect(day.view.tonight.quarters).toBe(evening.quarters);
        for (const p of day.view.tonight.packs) expect(evening.packs.map((x) => x.packId)).toContain(p.packId);
      }),
      { numRuns: process.env.TAMBO_THOROUGH ? 500 : 100 },
    );
  });
});
