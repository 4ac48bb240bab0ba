import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { EventOf, TamboEvent } from '#core/contract';
import { testContainer } from '../pack/fixtures.ts';
import { histories, testFilled, testInstant } from './fixtures.ts';
import {
  backAgain,
  dueOf,
  fewer,
  foldPack,
  freeNow,
  lentOf,
  momentOf,
  roomIn,
  statusOf,
  usageOf,
  useFirst,
  type PackState,
} from './index.ts';
import { testFigures } from '../kitchen/fixtures.ts';

const moment = (now: string) => momentOf({ timeZone: 'Europe/London', country: 'GB', dinnerAt: '18:30' }, testFigures, now);
const packsOf = (events: TamboEvent[]) =>
  [...new Set(events.flatMap((e) => e.subjects))].map((id) => foldPack(events, id)).filter((p): p is PackState => p !== undefined);
const event = <T extends TamboEvent['type']>(
  type: T,
  data: Extract<TamboEvent, { type: T }>['data'],
  minute: number,
  id = `${type}${minute}`,
): TamboEvent =>
  ({ id, subjects: ['p'], instant: testInstant(minute), device: 'd', counter: minute, version: 1, type, data }) as TamboEvent;
const ate = (portions: number, minute: number, rest: 'none' | 'fridge' | 'binned' = 'none') =>
  event('eaten', { day: '2026-10-20', meal: 'dinner', shares: [{ eaterId: 'osk', portions }], guests: 0, rest }, minute);
const filled = event('filled', testFilled(), 0);

describe('the pack ledger', () => {
  it('is the same whatever order events come in, and however often', () => {
    fc.assert(
      fc.property(histories, fc.infiniteStream(fc.nat()), (events, dice) => {
        const shuffled = events
          .map((e) => [dice.next().value as number, e] as const)
          .toSorted((a, b) => a[0] - b[0])
          .map((x) => x[1]);
        expect(packsOf([...shuffled, ...events]).toSorted((a, b) => a.packId.localeCompare(b.packId))).toEqual(
          packsOf(events).toSorted((a, b) => a.packId.localeCompare(b.packId)),
        );
      }),
    );
  });
  it('loses and makes nothing: filled + found + corrections = eaten + discarded + given + packed anew + lost + left - difference', () => {
    fc.assert(
      fc.property(histories, (events) => {
        for (const p of packsOf(events)) {
          const s = p.sums;
          const filledWith = events.find((e) => e.type === 'filled' && e.subjects.includes(p.packId)) as EventOf<'filled'>;
          const gone = s.eaten + s.discarded + s.given + (s.repacked ?? 0) + s.lost;
          expect(filledWith.data.portions + s.found + s.corrected).toBeCloseTo(gone + p.left - s.difference, 6);
          expect(p.left).toBeGreaterThanOrEqual(0);
          expect(s.difference).toBeGreaterThanOrEqual(0);
        }
      }),
    );
  });
  it('undoes, and undoing that restores', () => {
    const undo = event('undone', { eventId: 'eaten5' }, 9, 'u1');
    const again = event('undone', { eventId: 'u1' }, 12, 'u2');
    expect(foldPack([filled, ate(1, 5)], 'p')!.left).toBe(3);
    expect(foldPack([filled, ate(1, 5), undo], 'p')!.left).toBe(4);
    expect(foldPack([filled, ate(1, 5), undo, again], 'p')!.left).toBe(3);
  });
  it('knows what was corrected by the newest word, and what it was once that is taken back', () => {
    const soup = event('corrected', { reason: 'lid', is: { name: 'Soup', bestBy: null, portions: 3 }, was: { name: 'Stew' } }, 5, 'c1');
    const pot = event('corrected', { reason: 'lid', is: { name: 'Pot' }, was: { name: 'Soup' } }, 6, 'c2');
    expect(foldPack([filled, soup, pot], 'p')).toMatchObject({ name: 'Pot', portions: 3, left: 4 });
    expect(foldPack([filled, soup, pot], 'p')!.bestBy).toBeUndefined();
    expect(foldPack([filled, pot, soup], 'p')).toEqual(foldPack([filled, soup, pot], 'p'));
    const back = foldPack([filled, soup, event('undone', { eventId: 'c1' }, 7, 'u')], 'p')!;
    expect({ ...back, seen: '' }).toEqual({ ...foldPack([filled], 'p')!, seen: '' });
  });
  it('has an old label once something that stands on it was corrected, until it is labelled anew', () => {
    const label = (minute: number, id: string) => event('labelled', { how: 'printed', says: '' }, minute, id);
    const name = event('corrected', { reason: '', is: { name: 'Soup' } }, 5, 'c1');
    const life = event('corrected', { reason: '', is: { outerMl: 900 } }, 5, 'c1');
    expect(foldPack([filled, name], 'p')!.labelOld).toBeUndefined();
    expect(foldPack([filled, label(2, 'l1'), name], 'p')!.labelOld).toBe(true);
    expect(foldPack([filled, label(2, 'l1'), life], 'p')!.labelOld).toBeUndefined();
    expect(foldPack([filled, label(2, 'l1'), name, label(6, 'l2')], 'p')!.labelOld).toBeUndefined();
  });
  it('clamps to nothing and keeps a difference to settle', () =>
    expect(foldPack([filled, ate(3, 5), ate(3, 6)], 'p')).toMatchObject({
      left: 0,
      sums: { eaten: 6, difference: 2 },
      ended: { how: 'eaten' },
    }));
  it('applies what sorts before filling right after it', () => expect(foldPack([filled, ate(1, -30)], 'p')!.left).toBe(3));
  it('starts the fridge clock for the rest', () => {
    const p = foldPack([filled, event('moved', { placeId: 'shed', zoneId: 'z' }, 1), ate(1, 60, 'fridge')], 'p')!;
    expect(statusOf(p)).toBe('fridge');
    expect(dueOf(p, moment('2026-10-03T20:00:00.000Z'))).toMatchObject({ day: '2026-10-05', reason: 'fridge', daysLeft: 2 });
  });
});

describe('use first', () => {
  it('orders by due day whatever order they are read in', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 10, max: 28 }), { minLength: 1, maxLength: 12 }), (days) => {
        const packs = days.map((d, i) => ({ ...foldPack([filled], 'p')!, packId: `p${i}`, code: `c${i}`, bestBy: `2026-12-${d}` }));
        const order = (list: PackState[]) => useFirst(list, moment('2026-11-24T12:00:00.000Z')).map((x) => x.pack.packId);
        expect(order([...packs].reverse())).toEqual(order(packs));
        const due = useFirst(packs, moment('2026-11-24T12:00:00.000Z')).map((x) => x.due.day);
        expect(due).toEqual(due.toSorted());
      }),
    );
  });
  it('puts carrots of 2 Mar before those of 9 Mar', () => {
    const lot = (code: string, made: string, bestBy: string) => ({
      ...foldPack([filled], 'p')!,
      code,
      made: { earliest: made, latest: made },
      bestBy,
    });
    expect(
      useFirst([lot('b', '2026-03-09', '2026-11-09'), lot('a', '2026-03-02', '2026-11-02')], moment('2026-03-20T12:00:00.000Z'))[0]!.pack
        .code,
    ).toBe('a');
  });
});

describe('room and containers', () => {
  const place = {
    id: 'shed',
    name: 'Shed chest',
    kind: 'chest' as const,
    litres: 200,
    temperatureC: -20,
    zones: [{ id: 'left', name: 'left', litres: 100 }],
    prefers: [],
  };
  const stored = foldPack([filled, event('moved', { placeId: 'shed', zoneId: 'left' }, 1)], 'p')!;
  it('counts packs by their outside against the usable litres', () =>
    expect(roomIn(place, [stored])).toEqual({ placeId: 'shed', usableMl: 170_000, usedMl: 1900, freeMl: 168_100, packs: 1 }));
  it('a returning container is to wash when empty, free after one tap; a one-use one is gone', () => {
    const tub = { ...stored, containerId: 'tub' };
    const empty = { ...tub, left: 0 };
    const free = (packs: PackState[], oneUse = false) => freeNow([testContainer('tub', { owned: 5, oneUse })], usageOf(packs))[0];
    expect(free([tub, empty])).toMatchObject({ free: 3, toWash: 1 });
    expect(free([{ ...empty, washed: true }])).toMatchObject({ free: 5, toWash: 0 });
    expect(free([{ ...empty, washed: true }], true)).toMatchObject({ free: 4, toWash: 0 });
  });
  it('lends and takes back, and loses what breaks', () => {
    const tub = testContainer('tub', { owned: 5 });
    const free = (c: typeof tub) => freeNow([c], new Map())[0]!.free;
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 3 }), { maxLength: 6 }), fc.integer({ min: 0, max: 5 }), (loans, broken) => {
        const lent = loans.reduce((c, count, i) => fewer(c, { count, how: 'lent', id: `l${i}`, to: 'Anna', day: '2026-11-20' }), tub);
        expect(free(lent)).toBe(Math.max(0, 5 - lentOf(lent)));
        const back = loans.reduce((c, _, i) => backAgain(c, `l${i}`), lent);
        expect(back).toEqual(tub);
        expect(free(fewer(back, { count: broken, how: 'broken' }))).toBe(5 - broken);
      }),
    );
  });
});
