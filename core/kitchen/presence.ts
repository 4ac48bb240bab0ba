import type { Day, Eater, Meal, Presence } from '#core/contract';
import { daysBetween, weekdayOf } from './day.ts';

/** Whether the rota has somebody at home on a day: `daysOn` away from `firstDay`, then `daysOff` at home, and so on both ways. */
function homeByRota(rota: NonNullable<Presence['rota']>, day: Day): boolean {
  const cycle = rota.daysOn + rota.daysOff;
  const at = ((daysBetween(rota.firstDay, day) % cycle) + cycle) % cycle;
  return at >= rota.daysOn;
}

/**
 * Whether an eater is at the table for a meal: an exception for that day and meal wins, then days away, then the rota, then the week.
 * @example isPresent(marit.presence, '2026-11-29', 'dinner') // false: she ships out that day
 */
export function isPresent(presence: Presence, day: Day, meal: Meal): boolean {
  const exception = presence.exceptions.findLast((e) => e.day === day && e.meal === meal);
  if (exception) return exception.present;
  if (presence.away.some((a) => a.from <= day && day <= a.to)) return false;
  if (presence.rota && !homeByRota(presence.rota, day)) return false;
  return presence.weekly[weekdayOf(day)]?.includes(meal) ?? false;
}

/** Quarter plates one eater wants at one dinner: appetite to the nearest quarter, at least one. A baby's meals are counted apart. */
export const quartersOf = (eater: Eater): number => (eater.stage === 'baby' ? 0 : Math.max(1, Math.round(eater.appetite * 4)));

export interface Demand {
  /** Quarter plates for the grown-ups and children. */
  quarters: number;
  eaters: { eaterId: string; quarters: number }[];
  /** Puree meals for babies on that day. */
  babyMeals: number;
}

/**
 * What a day's dinner asks for: who is there and how many quarter plates, with the baby's meals beside it.
 * Law: quarters is the sum over eaters.
 */
export function demand(eaters: readonly Eater[], day: Day, meal: Meal = 'dinner'): Demand {
  const there = eaters
    .filter((e) => e.stage !== 'baby' && isPresent(e.presence, day, meal))
    .map((e) => ({ eaterId: e.id, quarters: quartersOf(e) }));
  const babyMeals = eaters
    .filter((e) => e.stage === 'baby' && e.baby)
    .reduce((sum, e) => sum + (babyPresent(e, day) ? (e.baby?.mealsPerDay ?? 0) : 0), 0);
  return { quarters: there.reduce((sum, e) => sum + e.quarters, 0), eaters: there, babyMeals };
}

const babyPresent = (eater: Eater, day: Day): boolean =>
  (['breakfast', 'lunch', 'dinner'] as const).some((m) => isPresent(eater.presence, day, m));
