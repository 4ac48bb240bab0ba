import type { Day } from '#core/contract';
import { addDays, addMonths, daysBetween, minDay, readDay, sayDay, sayDayYear, weekdayOf } from '#core/kitchen';

/** When something was made, as well as anybody remembers. */
export interface VagueDate {
  earliest: Day;
  latest: Day;
}

const months = ['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november', 'december'];
/** The number of a month written with three letters or more; 0 for any other word. */
const monthOf = (word: string): number => (word.length < 3 ? 0 : months.findIndex((m) => m.startsWith(word)) + 1);
const seasons: Readonly<Record<string, number>> = { spring: 3, summer: 6, autumn: 9, winter: 12 };
const weekdays = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];
const weekdayNumber = (day: Day): number => weekdays.findIndex((w) => w.startsWith(weekdayOf(day)));
/** Nothing older is guessed for something without a date. */
const unknownDays = 365;

const two = (n: number): string => String(n).padStart(2, '0');
const firstOf = (year: number, month: number): Day => `${year}-${two(month)}-01`;
const clamp = (d: VagueDate, today: Day): VagueDate => ({ earliest: minDay(d.earliest, today), latest: minDay(d.latest, today) });

/** The newest month of that number that has begun, unless a year is named. */
function monthRange(month: number, part: string | undefined, year: number | undefined, today: Day): VagueDate {
  const thisYear = Number(today.slice(0, 4));
  const y = year ?? (firstOf(thisYear, month) <= today ? thisYear : thisYear - 1);
  const first = firstOf(y, month);
  const last = addDays(addMonths(first, 1), -1);
  if (part === 'early') return clamp({ earliest: first, latest: addDays(first, 9) }, today);
  if (part === 'mid') return clamp({ earliest: addDays(first, 10), latest: addDays(first, 19) }, today);
  if (part === 'late') return clamp({ earliest: addDays(first, 20), latest: last }, today);
  return clamp({ earliest: first, latest: last }, today);
}

/** The newest such season that has begun; `last` means one that is over. */
function seasonRange(start: number, last: boolean, year: number | undefined, today: Day): VagueDate {
  let first = firstOf(year ?? Number(today.slice(0, 4)), start);
  const end = (from: Day): Day => addDays(addMonths(from, 3), -1);
  if (year === undefined) while (first > today || (last && end(first) >= today)) first = addMonths(first, -12);
  return clamp({ earliest: first, latest: end(first) }, today);
}

const unitDays: Readonly<Record<string, { days: number; give: number }>> = {
  day: { days: 1, give: 0 },
  week: { days: 7, give: 3 },
  month: { days: 30, give: 15 },
  year: { days: 365, give: 90 },
};

/** `15/10`, `15.10.25`, `2026-11-01`, `10/2025`, `2026-10`: in the household's own order, never in the future. */
function inFigures(token: string, today: Day, locale: string): VagueDate | undefined {
  const month = /^(?:(\d{1,2})[/.](20\d\d)|(20\d\d)-(\d{1,2}))$/.exec(token);
  if (month) {
    const [m, y] = [Number(month[1] ?? month[4]), Number(month[2] ?? month[3])];
    return m >= 1 && m <= 12 && firstOf(y, m) <= today ? monthRange(m, undefined, y, today) : undefined;
  }
  if (!/^\d{1,4}[/.-]\d{1,2}(?:[/.-]\d{0,4})?$/.test(token)) return undefined;
  const day = readDay(token, { today, locale, year: 'last' });
  return day !== undefined && day <= today ? { earliest: day, latest: day } : undefined;
}

/**
 * Reads a date as a cook remembers it: `yesterday`, `sat`, `3 weeks ago`, `oct`, `about October`, `late oct 2025`, `12 oct`, `last spring`,
 * `2024`, `15/10`, `2026-10`, `?`. What is vague stays a span; nothing lies in the future.
 * @returns undefined when these words are no date
 * @example vagueDate(['last', 'spring'], '2026-11-24') // { earliest: '2026-03-01', latest: '2026-05-31' }
 */
export function vagueDate(tokens: readonly string[], today: Day, locale = 'en-GB'): VagueDate | undefined {
  const figures = tokens.length === 1 ? inFigures(tokens[0] ?? '', today, locale) : undefined;
  if (figures) return figures;
  const words = tokens
    .map((t) => t.toLowerCase().replace(/[.,~]/g, ''))
    .filter((t) => t && !['about', 'around', 'in', 'the', 'of', 'ca'].includes(t));
  const [a = '', b = ''] = words;
  const exact = (day: Day): VagueDate => ({ earliest: day, latest: day });
  const rest = words.length;
  if (rest === 0 || rest > 3) return undefined;
  if (rest === 1 && ['?', 'unknown', 'old'].includes(a)) return { earliest: addDays(today, -unknownDays), latest: today };
  if (rest === 1 && ['today', 'now'].includes(a)) return exact(today);
  if (rest === 1 && a === 'yesterday') return exact(addDays(today, -1));
  const isLast = a === 'last';
  if (isLast && rest === 2) {
    const monday = addDays(today, -weekdayNumber(today));
    if (b === 'week') return { earliest: addDays(monday, -7), latest: addDays(monday, -1) };
    if (b === 'month') {
      const first = addMonths(`${today.slice(0, 7)}-01`, -1);
      return { earliest: first, latest: addDays(addMonths(first, 1), -1) };
    }
    if (b === 'year') {
      const y = Number(today.slice(0, 4)) - 1;
      return { earliest: firstOf(y, 1), latest: `${y}-12-31` };
    }
  }
  if (words.at(-1) === 'ago' && rest === 3) {
    const n = a === 'a' || a === 'an' || a === 'one' ? 1 : Number(a);
    const unit = unitDays[b.replace(/s$/, '')];
    if (!unit || !Number.isInteger(n) || n < 1 || n > 120) return undefined;
    const middle = addDays(today, -n * unit.days);
    return clamp({ earliest: addDays(middle, -unit.give), latest: addDays(middle, unit.give) }, today);
  }
  const yearAt = /^20\d\d$/.test(words.at(-1) ?? '') ? Number(words.at(-1)) : undefined;
  if (yearAt !== undefined && yearAt > Number(today.slice(0, 4))) return undefined;
  if (rest === 1 && yearAt !== undefined) return clamp({ earliest: firstOf(yearAt, 1), latest: `${yearAt}-12-31` }, today);
  const core = yearAt === undefined ? words : words.slice(0, -1);
  const seasonWord = isLast ? b : a;
  const season = seasons[seasonWord];
  if (season !== undefined && core.length === (isLast ? 2 : 1)) return seasonRange(season, isLast, yearAt, today);
  const wd = a.length >= 3 && core.length === 1 && yearAt === undefined ? weekdays.findIndex((w) => w.startsWith(a)) : -1;
  if (wd >= 0) {
    const back = (weekdayNumber(today) - wd + 7) % 7;
    return exact(addDays(today, -(back === 0 ? 7 : back)));
  }
  const part = ['early', 'mid', 'late'].includes(a) ? a : undefined;
  const lead = part !== undefined || isLast ? 1 : 0;
  const month = monthOf(core[lead] ?? '');
  if (month > 0 && core.length === lead + 1) {
    const range = monthRange(month, part, yearAt, today);
    return isLast && range.latest >= today ? monthRange(month, part, Number(range.earliest.slice(0, 4)) - 1, today) : range;
  }
  const [d, m] = /^\d{1,2}$/.test(a) ? [Number(a), monthOf(b)] : [Number(b), monthOf(a)];
  if (core.length === 2 && m > 0 && d >= 1 && d <= 31) {
    const y = yearAt ?? Number(today.slice(0, 4));
    const first = firstOf(y, m);
    const last = Number(addDays(addMonths(first, 1), -1).slice(8));
    if (d > last) return undefined;
    const day = `${y}-${two(m)}-${two(d)}`;
    if (day <= today) return exact(day);
    return yearAt === undefined ? exact(`${y - 1}-${two(m)}-${two(d)}`) : undefined;
  }
  return undefined;
}

/** A span of a year or more: nobody knows. */
export const isUnknown = ({ earliest, latest }: VagueDate): boolean => daysBetween(earliest, latest) >= unknownDays;

/**
 * A vague date in words, as on a label: `24 Nov 2026`, `October 2026`, `2025`, `1 Mar to 31 May 2026`, `not known`.
 * @example sayVague({ earliest: '2026-10-01', latest: '2026-10-31' }) // 'October 2026'
 */
export function sayVague({ earliest, latest }: VagueDate): string {
  const [year, month] = [earliest.slice(0, 4), earliest.slice(0, 7)];
  if (earliest === latest) return sayDayYear(earliest);
  const monthEnd = addDays(addMonths(`${month}-01`, 1), -1);
  if (earliest === `${month}-01` && (latest === monthEnd || (latest.startsWith(month) && latest < monthEnd))) {
    const name = months[Number(month.slice(5)) - 1] ?? '';
    return `${name.slice(0, 1).toUpperCase()}${name.slice(1)}\u00a0${year}`;
  }
  if (earliest === `${year}-01-01` && latest === `${year}-12-31`) return year;
  if (isUnknown({ earliest, latest })) return 'not known';
  return `${latest.startsWith(year) ? sayDay(earliest) : sayDayYear(earliest)} to ${sayDayYear(latest)}`;
}
