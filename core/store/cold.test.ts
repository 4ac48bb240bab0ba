import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, addMinutes } from '#core/kitchen';
import { testFilled, testInstant } from './fixtures.ts';
import {
  coldOf,
  dueOf,
  eveningIfPulled,
  firstEvening,
  foldPack,
  momentOf,
  ownEvening,
  sharesOf,
  thawHoursOf,
  useFirst,
  type PackState,
} from './index.ts';
import type { EventData, TamboEvent } from '#core/contract';
import { testFigures } from '../kitchen/fixtures.ts';

const home = { timeZone: 'Europe/London', country: 'GB', dinnerAt: '18:30' } as const;
const at = (now: string, over: Partial<typeof home | { country: 'US' }> = {}) => momentOf({ ...home, ...over }, testFigures, now);
const filled = (over: Partial<EventData<'filled'>> = {}): TamboEvent =>
  ({
    id: 'f',
    type: 'filled',
    subjects: ['p'],
    instant: testInstant(0),
    device: 'd',
    counter: 0,
    version: 1,
    data: testFilled(over),
  }) as TamboEvent;
const ev = (type: TamboEvent['type'], data: unknown, instant: string): TamboEvent =>
  ({ id: `${type}${instant}`, type, subjects: ['p'], instant, device: 'd', counter: 1, version: 1, data }) as TamboEvent;
const stored = ev('moved', { placeId: 'shed', zoneId: 'z' }, '2026-10-03T13:00:00.000Z');
const pulledAt = '2026-11-24T18:00:00.000Z';
const pull = (day: string): TamboEvent => ev('pulled', { day, meal: 'dinner' }, pulledAt);
const packOf = (events: TamboEvent[]): PackState => foldPack(events, 'p')!;
/** A half-litre tub: 18 to 44 h. */
const tub = { thawH: { low: 18, high: 44 } };

describe('a pack taken out', () => {
  const pack = packOf([filled(tub), stored, pull('2026-11-26')]);
  it.each([
    ['2026-11-24T18:30:00.000Z', 'thawing'],
    ['2026-11-25T12:30:00.000Z', 'thawing'],
    ['2026-11-26T14:30:00.000Z', 'thawed'],
    ['2026-11-26T23:30:00.000Z', 'thawed'],
    ['2026-11-27T00:30:00.000Z', 'past'],
  ])('is at %s %s', (now, state) => expect(coldOf(pack, at(now)).state).toBe(state));
  it('counts its eat-by from the short end and is planned by the long one', () => {
    const cold = coldOf(pack, at(pulledAt));
    expect(cold).toMatchObject({
      readyFrom: '2026-11-25T12:00:00.000Z',
      readyBy: '2026-11-26T14:00:00.000Z',
      eatBy: '2026-11-26',
    });
    expect(dueOf(pack, at(pulledAt))).toEqual({ day: '2026-11-26', reason: 'thaw', daysLeft: 2, past: false });
  });
  it('keeps three days in the US, where cooked food may', () =>
    expect(coldOf(pack, at(pulledAt, { country: 'US' })).eatBy).toBe('2026-11-28'));
  it('is no dinner on an evening by which it cannot be ready', () => {
    const tonight = packOf([filled(tub), stored, pull('2026-11-24')]);
    expect(firstEvening(tonight, at(pulledAt))).toBe('2026-11-25');
    // and not probably eaten before the evening it can be ready on has passed
    expect(ownEvening(tonight, at(pulledAt))).toBe('2026-11-25');
    expect(sharesOf([tonight], at('2026-11-25T23:00:00.000Z')).probable).toEqual([]);
    expect(sharesOf([tonight], at('2026-11-26T09:00:00.000Z')).probable).toEqual([tonight]);
  });
  it('is frozen again once it is put back, and starts a clock of its own when it is opened', () => {
    const back = packOf([
      filled(tub),
      stored,
      pull('2026-11-26'),
      ev('moved', { placeId: 'shed', zoneId: 'z' }, '2026-11-24T19:00:00.000Z'),
    ]);
    expect(coldOf(back, at('2026-12-01T12:00:00.000Z'))).toEqual({ state: 'frozen' });
    const opened = packOf([
      filled(tub),
      stored,
      pull('2026-11-26'),
      ev('opened', { at: '2026-11-26T18:00:00.000Z' }, '2026-11-26T18:00:00.000Z'),
    ]);
    expect(coldOf(opened, at('2026-11-26T20:00:00.000Z'))).toEqual({ state: 'fridge', eatBy: '2026-11-28' });
  });
  it('says which evening it could be ready for, before it is taken out', () => {
    const frozen = packOf([filled(tub), stored]);
    expect(eveningIfPulled(frozen, at('2026-11-24T08:00:00.000Z'))).toBe('2026-11-25');
    expect(eveningIfPulled(packOf([filled({ thawH: { low: 7, high: 18 } }), stored]), at('2026-11-24T08:00:00.000Z'))).toBe('2026-11-24');
  });
});

describe('thaw hours', () => {
  it('are the pack’s own, else read from older packs, else those of a usual tub or of cubes', () => {
    expect(thawHoursOf({ thawH: { low: 9, high: 24 } })).toEqual({ low: 9, high: 24 });
    expect(thawHoursOf({ thaw: '18 to 30 h in the fridge, then eat within 24 h' })).toEqual({ low: 18, high: 30 });
    expect(thawHoursOf({})).toEqual({ low: 18, high: 44 });
    expect(thawHoursOf({ cubes: 12 })).toEqual({ low: 7, high: 18 });
  });
});

describe('the rest of a meal', () => {
  it('past its day is out of the stock, and nothing counts it before somebody says so', () => {
    const rest = packOf([
      filled(),
      stored,
      ev(
        'eaten',
        { day: '2026-11-20', meal: 'dinner', shares: [{ eaterId: 'a', portions: 1 }], guests: 0, rest: 'fridge' },
        '2026-11-20T19:00:00.000Z',
      ),
    ]);
    expect(coldOf(rest, at('2026-11-22T12:00:00.000Z')).state).toBe('fridge');
    const late = sharesOf([rest], at('2026-11-23T12:00:00.000Z'));
    expect(late.past).toEqual([rest]);
    expect(late.stock).toEqual([]);
    expect(rest.sums.discarded).toBe(0);
  });
});

describe('food that nobody can date', () => {
  const undated = (id: string, foundOn: string): PackState => {
    const { made: _m, bestBy: _b, limit: _l, ...rest } = testFilled();
    return { ...packOf([{ ...filled(), data: { ...rest, foundOn } } as TamboEvent, stored]), packId: id, code: id };
  };
  it('has no date and no days past, and comes before all that is dated', () => {
    const old = undated('u', '2026-11-12');
    const now = at('2026-11-24T12:00:00.000Z');
    expect(dueOf(old, now)).toEqual({ reason: 'undated', past: false });
    const dated = packOf([filled({ bestBy: '2026-11-25' }), stored]);
    expect(useFirst([dated, old], now).map((x) => x.pack.packId)).toEqual(['u', 'p']);
  });
  it('is understood in packs that were counted when a year stood for not known', () => {
    const counted = packOf([
      filled({ made: { earliest: '2025-11-24', latest: '2026-11-24' }, bestBy: '2026-02-24', limit: '2026-03-24' }),
      stored,
    ]);
    expect(counted).toMatchObject({ foundOn: '2026-11-24' });
    expect(counted.bestBy).toBeUndefined();
    expect(counted.made).toBeUndefined();
  });
});

describe('states of cold', () => {
  it('only move on, whatever was done to a pack and however the hours pass', () => {
    const order = ['frozen', 'thawing', 'thawed', 'past'];
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 80 }),
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 0, max: 400 }),
        fc.integer({ min: 0, max: 400 }),
        (low, more, h1, h2) => {
          const pack = packOf([filled({ thawH: { low, high: low + more } }), stored, pull('2026-11-26')]);
          const state = (h: number) => order.indexOf(coldOf(pack, at(addMinutes(pulledAt, h * 60))).state);
          expect(state(Math.max(h1, h2))).toBeGreaterThanOrEqual(state(Math.min(h1, h2)));
        },
      ),
    );
  });
  it('put every pack that holds food into just one share', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            out: fc.integer({ min: -9, max: 2 }),
            for: fc.option(fc.integer({ min: -9, max: 9 }), { nil: undefined }),
            left: fc.integer({ min: 0, max: 4 }),
          }),
          { maxLength: 12 },
        ),
        (list) => {
          const now = at('2026-11-24T16:00:00.000Z');
          const packs = list.map((x, i): PackState => ({
            ...packOf([filled(tub), stored]),
            packId: `p${i}`,
            left: x.left,
            ...(x.out <= 0 && { fridgeSince: addMinutes(now.now, x.out * 1440), thawSince: addMinutes(now.now, x.out * 1440) }),
            ...(x.for !== undefined && { planned: { day: addDays(now.today, x.for), meal: 'dinner' as const } }),
          }));
          const { stock, probable, past } = sharesOf(packs, now);
          expect([...stock, ...probable, ...past].map((p) => p.packId).sort()).toEqual(
            packs
              .filter((p) => p.left > 0)
              .map((p) => p.packId)
              .sort(),
          );
        },
      ),
    );
  });
});
