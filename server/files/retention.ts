import type { Day } from '#core/contract';
import { addDays, weekdayOf } from '#core/kitchen';

/** Copies made by Tambo itself: so many days, Sundays and firsts of a month are kept. */
export const keepCopies = { days: 7, weeks: 4, months: 12 } as const;

const mondayOf = (day: Day): Day => addDays(day, -['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'].indexOf(weekdayOf(day)));

/** The newest of each group, for the newest groups. */
function newest(days: readonly Day[], group: (day: Day) => string, most: number): Day[] {
  const found = new Map<string, Day>();
  for (const day of days) if (!found.has(group(day))) found.set(group(day), day);
  return [...found.values()].slice(0, most);
}

/**
 * Which days' copies stay: the newest seven, the newest of each of the last four weeks, the newest of each of the last twelve months.
 * Law: the newest copy always stays, and no more than 7 + 4 + 12 do.
 */
export function copiesToKeep(days: readonly Day[]): ReadonlySet<Day> {
  const sorted = [...new Set(days)].toSorted().toReversed();
  return new Set([
    ...sorted.slice(0, keepCopies.days),
    ...newest(sorted, mondayOf, keepCopies.weeks),
    ...newest(sorted, (d) => d.slice(0, 7), keepCopies.months),
  ]);
}
