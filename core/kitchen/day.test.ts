import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { describe, expect, it } from 'vitest';
import {
  addDays,
  addMinutes,
  addMonths,
  clockOf,
  clockPlus,
  dayOf,
  daysBetween,
  instantAt,
  minutesBetween,
  monthsOld,
  weekdayOf,
} from './day.ts';

const weekdays = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

/** Any day a household could speak of, and then some. */
const day = fc.integer({ min: -60_000, max: 90_000 }).map((n) => Temporal.PlainDate.from('1970-01-01').add({ days: n }).toString());

describe('counting days', () => {
  it('agrees with the calendar, over leap years and turns of the century', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: -40_000, max: 40_000 }), (from, n) => {
        const there = Temporal.PlainDate.from(from).add({ days: n }).toString();
        expect(addDays(from, n)).toBe(there);
        expect(daysBetween(from, there)).toBe(n);
        expect(addDays(there, -n)).toBe(from);
        expect(weekdays[Temporal.PlainDate.from(from).dayOfWeek - 1]).toBe(weekdayOf(from));
      }),
    );
  });
  it('adds months and counts them as the calendar does, also to the ends of months', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: -400, max: 400 }), day, (from, months, other) => {
        expect(addMonths(from, months)).toBe(Temporal.PlainDate.from(from).add({ months }).toString());
        expect(monthsOld(from, other)).toBe(Temporal.PlainDate.from(from).until(other, { largestUnit: 'months' }).months + 0);
        expect(monthsOld(from, addMonths(from, Math.abs(months)))).toBe(
          Temporal.PlainDate.from(from).until(addMonths(from, Math.abs(months)), { largestUnit: 'months' }).months,
        );
      }),
    );
  });
  it('turns moments into a zone’s day and clock and back, over summer time', () => {
    const zones = ['Europe/London', 'Pacific/Auckland', 'America/St_Johns', 'Asia/Kathmandu', 'UTC'];
    fc.assert(
      fc.property(day, fc.integer({ min: 0, max: 1439 }), fc.constantFrom(...zones), (on, minute, zone) => {
        const time = clockPlus('00:00', minute);
        const there = Temporal.PlainDateTime.from(`${on}T${time}`).toZonedDateTime(zone, { disambiguation: 'compatible' });
        const instant = instantAt(on, time, zone);
        expect(instant).toBe(there.toInstant().toString({ smallestUnit: 'millisecond' }));
        expect([dayOf(instant, zone), clockOf(instant, zone)]).toEqual([
          there.toPlainDate().toString(),
          there.toPlainTime().toString({ smallestUnit: 'minute' }),
        ]);
        expect(minutesBetween(instant, addMinutes(instant, minute))).toBe(minute);
      }),
    );
  });
  it.each([
    ['2024-02-28', 1, '2024-02-29'],
    ['2100-02-28', 1, '2100-03-01'],
    ['2000-02-29', 366, '2001-03-01'],
    ['1970-01-01', -1, '1969-12-31'],
    ['2026-12-31', 1, '2027-01-01'],
  ])('%s and %d days is %s', (from, n, to) => expect(addDays(from, n)).toBe(to));
  it('refuses what is no day, in words', () => {
    expect(() => addDays('soon', 1)).toThrow(/written 2026-11-28/);
    expect(() => addDays('2026-11-28', 0.5)).toThrow(RangeError);
  });
});
