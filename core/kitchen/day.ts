// function by function: the whole of it is twice the size
import * as instants from 'temporal-polyfill/fns/Instant';
import * as plainDateTimes from 'temporal-polyfill/fns/PlainDateTime';
import * as zoned from 'temporal-polyfill/fns/ZonedDateTime';
import * as calendars from 'temporal-polyfill/fns/Calendar';
import type { Day, Instant } from '#core/contract';

const weekdays = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;
const shortDays = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;
const longDays = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
const shortMonths = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;
const longMonths = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;

export type Weekday = (typeof weekdays)[number];

/** Days of 400 years, after which the calendar repeats, and from 1 March of the year 0 to 1970-01-01. */
const daysPerEra = 146_097;
const toEpoch = 719_468;

/**
 * Days since 1970-01-01; a day has no zone, so this is plain counting, in years that begin in March so that a leap day is the last.
 * @source H. Hinnant, "chrono-compatible low-level date algorithms" (public domain)
 */
function epochDay(day: Day): number {
  const month = Number(day.slice(5, 7));
  const year = Number(day.slice(0, 4)) - (month <= 2 ? 1 : 0);
  const era = Math.floor(year / 400);
  const ofEra = year - era * 400;
  const ofYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + Number(day.slice(8, 10)) - 1;
  return era * daysPerEra + ofEra * 365 + Math.floor(ofEra / 4) - Math.floor(ofEra / 100) + ofYear - toEpoch;
}

const two = (n: number): string => (n < 10 ? `0${n}` : `${n}`);

/** The day so many days after 1970-01-01. @throws RangeError for what is no day */
function dayAt(n: number): Day {
  if (!Number.isSafeInteger(n)) throw new RangeError(`a day must be written 2026-11-28 and moved by whole days; got ${n} days after 1970`);
  const era = Math.floor((n + toEpoch) / daysPerEra);
  const ofEra = n + toEpoch - era * daysPerEra;
  const year = Math.floor((ofEra - Math.floor(ofEra / 1460) + Math.floor(ofEra / 36_524) - Math.floor(ofEra / 146_096)) / 365);
  const ofYear = ofEra - (365 * year + Math.floor(year / 4) - Math.floor(year / 100));
  const fromMarch = Math.floor((5 * ofYear + 2) / 153);
  const month = fromMarch + (fromMarch < 10 ? 3 : -9);
  return `${String(year + era * 400 + (month <= 2 ? 1 : 0)).padStart(4, '0')}-${two(month)}-${two(ofYear - Math.floor((153 * fromMarch + 2) / 5) + 1)}`;
}

/** A day's own number, month from 0, year and weekday from Monday. @throws RangeError for what is no day */
const parts = (day: Day): { d: number; m: number; y: number; w: number } => ({
  d: Number(day.slice(8)),
  m: Number(day.slice(5, 7)) - 1,
  y: Number(day.slice(0, 4)),
  w: (((epochDay(day) + 3) % 7) + 7) % 7,
});

/** The day some days later (or earlier). @example addDays('2026-11-28', 4) // '2026-12-02' */
export const addDays = (day: Day, n: number): Day => dayAt(epochDay(day) + n);
/**
 * The same day some months later, clamped to the month's end: 31 Aug + 6 months is the last of Feb.
 * @example addMonths('2026-08-31', 6) // '2027-02-28'
 */
export function addMonths(day: Day, months: number): Day {
  const { d, m, y } = parts(day);
  const first = `${String(y + Math.floor((m + months) / 12)).padStart(4, '0')}-${two(((((m + months) % 12) + 12) % 12) + 1)}-01`;
  const next = epochDay(first) + 31;
  const last = epochDay(`${dayAt(next).slice(0, 7)}-01`) - epochDay(first);
  return addDays(first, Math.min(d, last) - 1);
}
/** Days from a to b; negative when b is earlier. @example daysBetween('2026-11-28', '2026-12-02') // 4 */
export const daysBetween = (a: Day, b: Day): number => epochDay(b) - epochDay(a);
/** A day's weekday. @example weekdayOf('2026-11-28') // 'sat' */
export const weekdayOf = (day: Day): Weekday => weekdays[parts(day).w] ?? 'mon';
/** Completed months from a birth day. @example monthsOld('2026-03-15', '2026-11-28') // 8 */
export function monthsOld(born: Day, on: Day): number {
  const [a, b] = [parts(born), parts(on)];
  const months = (b.y - a.y) * 12 + b.m - a.m;
  if (born <= on) return months - (b.d < a.d ? 1 : 0);
  return Math.min(0, months + (b.d > a.d ? 1 : 0));
}
/** The later of two days. @example maxDay('2026-11-28', '2026-12-02') // '2026-12-02' */
export const maxDay = (a: Day, b: Day): Day => (a > b ? a : b);
/** The earlier of two days. @example minDay('2026-11-28', '2026-12-02') // '2026-11-28' */
export const minDay = (a: Day, b: Day): Day => (a < b ? a : b);
/** Every day from `from`, `count` of them. @example daysFrom('2026-11-30', 2) // ['2026-11-30', '2026-12-01'] */
export const daysFrom = (from: Day, count: number): Day[] => Array.from({ length: Math.max(0, count) }, (_, i) => addDays(from, i));
/** The next day on or after `from` that is this weekday. @example nextWeekday('2026-11-24', 'sat') // '2026-11-28' */
export const nextWeekday = (from: Day, weekday: Weekday): Day => daysFrom(from, 7).find((d) => weekdayOf(d) === weekday) ?? from;

/** A moment as a zone's clocks show it: `2026-11-28T14:20:00`. */
const local = (instant: Instant, zone: string): string =>
  plainDateTimes.toString(zoned.toPlainDateTime(instants.toZonedDateTimeISO(instants.fromString(instant), zone)));
const msOf = (instant: Instant): number => Number(instants.fromString(instant).epochMilliseconds);

/** The calendar day of an instant in a zone. @example dayOf('2026-11-28T23:30:00.000Z', 'Pacific/Auckland') // '2026-11-29' */
export const dayOf = (instant: Instant, zone: string): Day => local(instant, zone).slice(0, 10);
/** The clock time of an instant in a zone, `HH:MM`. @example clockOf('2026-07-04T17:30:00.000Z', 'Europe/London') // '18:30' */
export const clockOf = (instant: Instant, zone: string): string => local(instant, zone).slice(11, 16);
/** Minutes since midnight of a clock time, `HH:MM`. @example minuteOfDay('18:30') // 1110 */
export const minuteOfDay = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3));
/** The clock time so many minutes later, round the clock. @example clockPlus('09:00', 95) // '10:35' */
export const clockPlus = (clock: string, minutes: number): string => {
  const t = (((minuteOfDay(clock) + Math.round(minutes)) % 1440) + 1440) % 1440;
  return `${String(Math.floor(t / 60)).padStart(2, '0')}:${String(t % 60).padStart(2, '0')}`;
};
/**
 * The instant of a clock time on a day in a zone; a time skipped by summer time moves forward.
 * @example instantAt('2026-07-04', '18:30', 'Europe/London') // '2026-07-04T17:30:00.000Z'
 */
export const instantAt = (day: Day, time: string, zone: string): Instant =>
  instants.toString(
    zoned.toInstant(
      plainDateTimes.toZonedDateTime(plainDateTimes.fromString(`${day}T${time}`, calendars.getBasic), zone, {
        disambiguation: 'compatible',
      }),
    ),
    { smallestUnit: 'millisecond' },
  );
/** An instant so many milliseconds later. @example addMs('2026-11-28T14:20:00.000Z', 1) // '2026-11-28T14:20:00.001Z' */
export const addMs = (instant: Instant, milliseconds: number): Instant =>
  instants.toString(instants.addMilliseconds(instants.fromString(instant), Math.round(milliseconds)), { smallestUnit: 'millisecond' });
/** The instant some minutes later, or earlier. @example addMinutes('2026-11-28T14:20:00.000Z', 90) // '2026-11-28T15:50:00.000Z' */
export const addMinutes = (instant: Instant, minutes: number): Instant => addMs(instant, minutes * 60_000);
/** Minutes from a to b, fractional. @example minutesBetween('2026-11-28T14:20:00.000Z', '2026-11-28T15:00:00.000Z') // 40 */
export const minutesBetween = (a: Instant, b: Instant): number => (msOf(b) - msOf(a)) / 60_000;

/** `24 Nov`: month in letters, always. @example sayDay('2026-11-28') // '28 Nov' */
export const sayDay = (day: Day): string => `${parts(day).d}\u00A0${shortMonths[parts(day).m]}`;
/** `24 Nov 2026`. @example sayDayYear('2026-11-28') // '28 Nov 2026' */
export const sayDayYear = (day: Day): string => `${sayDay(day)}\u00A0${parts(day).y}`;
/** `Tue 24 Nov`. @example sayWeekday('2026-11-28') // 'Sat 28 Nov' */
export const sayWeekday = (day: Day): string => `${shortDays[parts(day).w]} ${sayDay(day)}`;
/** `Tuesday, 24 November`. @example sayLongDay('2026-11-28') // 'Saturday, 28 November' */
export const sayLongDay = (day: Day): string => `${longDays[parts(day).w]}, ${parts(day).d}\u00A0${longMonths[parts(day).m]}`;
/** A day's weekday in three letters. @example shortWeekday('2026-11-28') // 'Sat' */
export const shortWeekday = (day: Day): string => shortDays[parts(day).w] ?? '';
/** A day's weekday, written out. @example longWeekday('2026-11-28') // 'Saturday' */
export const longWeekday = (day: Day): string => longDays[parts(day).w] ?? '';
/** A day's month in three letters. @example shortMonth('2026-11-28') // 'Nov' */
export const shortMonth = (day: Day): string => shortMonths[parts(day).m] ?? '';

/** `today`, `tomorrow`, `Fri`, then `Fri 4 Dec`. @example sayNear('2026-11-25', '2026-11-24') // 'tomorrow' */
export function sayNear(day: Day, today: Day): string {
  const n = daysBetween(today, day);
  if (n === 0) return 'today';
  if (n === 1) return 'tomorrow';
  if (n === -1) return 'yesterday';
  return n > 1 && n < 7 ? longWeekday(day) : sayWeekday(day);
}
