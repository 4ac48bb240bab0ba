import type { Day } from '#core/contract';
import { addDays } from './day.ts';

/** How a day is read as it is typed. */
export interface DayReading {
  today: Day;
  /** Decides whether 3/12 is the third of December or the twelfth of March. */
  locale: string;
  /** A day without its year is the next one, or the last one: a birthday has been. */
  year?: 'next' | 'last';
}

const months = ['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november', 'december'];

const two = (n: number): string => String(n).padStart(2, '0');

/** A day that is in the calendar. */
function dayOfParts(year: number, month: number, day: number): Day | undefined {
  const iso = `${year}-${two(month)}-${two(day)}`;
  if (year < 1900 || year > 2200 || month < 1 || month > 12 || day < 1 || day > 31) return undefined;
  // the thirty-first of a short month would run over into the next
  return addDays(iso, 0) === iso ? iso : undefined;
}

/** Whether a locale writes the month before the day. */
const monthFirst = (locale: string): boolean => {
  const parts = new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'numeric', timeZone: 'UTC' }).formatToParts(0);
  return parts.findIndex((p) => p.type === 'month') < parts.findIndex((p) => p.type === 'day');
};

const monthNamed = (word: string): number => (word.length < 3 ? 0 : months.findIndex((m) => m.startsWith(word.toLowerCase())) + 1);

/** The year a day is meant in, when none was typed: on or after today, or on or before it; the twenty-ninth of February when there is one. */
function yearless(month: number, day: number, { today, year = 'next' }: DayReading): Day | undefined {
  const now = Number(today.slice(0, 4));
  const step = year === 'next' ? 1 : -1;
  for (let i = 0; i <= 8; i += 1) {
    const found = dayOfParts(now + i * step, month, day);
    if (found && (step > 0 ? found >= today : found <= today)) return found;
  }
  return undefined;
}

const fullYear = (text: string): number => (text.length === 2 ? 2000 + Number(text) : Number(text));

/**
 * A day as a cook types it: in the household's own order, with or without its year, with a month's name, or as `2026-12-03`.
 * @returns undefined for what is no day; nothing is guessed the other way round
 * @example readDay('3/12', { today: '2026-11-24', locale: 'en-GB' }) // '2026-12-03'
 */
export function readDay(text: string, reading: DayReading): Day | undefined {
  const typed = text
    .trim()
    .replace(/\s+/g, ' ')
    .replace(/^(?:mon|tue|wed|thu|fri|sat|sun)[a-z]*[\s,]+/i, '');
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(typed);
  if (iso) return dayOfParts(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const figures = /^(\d{1,2})[/. -](\d{1,2})(?:[/. -]+(\d{4}|\d{2}))?\.?$/.exec(typed);
  if (figures) {
    const [first, second] = [Number(figures[1]), Number(figures[2])];
    const [month, day] = monthFirst(reading.locale) ? [first, second] : [second, first];
    return figures[3] === undefined ? yearless(month, day, reading) : dayOfParts(fullYear(figures[3]), month, day);
  }
  const words =
    /^(?<day>\d{1,2})(?:st|nd|rd|th)?\.? (?:of )?(?<month>[a-z]+)\.?,?(?: (?<year>\d{4}|\d{2}))?$/i.exec(typed) ??
    /^(?<month>[a-z]+)\.? (?<day>\d{1,2})(?:st|nd|rd|th)?,?(?: (?<year>\d{4}|\d{2}))?$/i.exec(typed);
  if (!words?.groups) return undefined;
  const { day = '', month = '', year } = words.groups;
  const named = monthNamed(month);
  if (named === 0) return undefined;
  return year === undefined ? yearless(named, Number(day), reading) : dayOfParts(fullYear(year), named, Number(day));
}
