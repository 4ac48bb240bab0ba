import type { Day, Eater, Guests } from '#core/contract';
import { addDays, demand } from '#core/kitchen';
import type { PackState } from '#core/store';

/** Quarter plates in a set of packs: meals and kits together, bases do not count. */
export const dinnerQuarters = (packs: readonly PackState[]): number =>
  packs.filter((p) => p.kind === 'meal' || p.kind === 'kit').reduce((s, p) => s + Math.round(p.left * 4), 0);

/**
 * Whole dinners left: days fully covered when each day's demand, from tonight unless it is logged, is taken from all meal and kit packs together (DECISIONS 12).
 * Days on which nobody is at the table cost nothing and count as no dinner.
 * Law: one more portion never makes it fewer.
 */
export function dinnersLeft(
  quarters: number,
  eaters: readonly Eater[],
  today: Day,
  tonightLogged: boolean,
  guests: readonly Guests[] = [],
): number {
  let left = quarters;
  let dinners = 0;
  for (let i = tonightLogged ? 1 : 0; i < 730; i += 1) {
    const need = demand(eaters, addDays(today, i), guests).quarters;
    if (need === 0) continue;
    if (need > left) return dinners;
    left -= need;
    dinners += 1;
  }
  return dinners;
}
