import type { Day, Eater, Guests, Meal, Presence } from '#core/contract';
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
  /** Plates for guests among them. */
  guests: number;
  /** Puree meals for babies on that day. */
  babyMeals: number;
}

/**
 * What a day's dinner asks for: who is there and how many quarter plates, with the baby's meals beside it.
 * Law: quarters is the sum over eaters and four for each guest.
 */
export function demand(eaters: readonly Eater[], day: Day, visits: readonly Guests[] = []): Demand {
  const there = eaters
    .filter((e) => e.stage !== 'baby' && isPresent(e.presence, day, 'dinner'))
    .map((e) => ({ eaterId: e.id, quarters: quartersOf(e) }));
  const babyMeals = eaters
    .filter((e) => e.stage === 'baby' && e.baby)
    .reduce((sum, e) => sum + (babyPresent(e, day) ? (e.baby?.mealsPerDay ?? 0) : 0), 0);
  const guests = visits.filter((g) => g.day === day && g.meal === 'dinner').reduce((sum, g) => sum + g.plates, 0);
  return { quarters: there.reduce((sum, e) => sum + e.quarters, 0) + guests * 4, eaters: there, guests, babyMeals };
}

const babyPresent = (eater: Eater, day: Day): boolean =>
  (['breakfast', 'lunch', 'dinner'] as const).some((m) => isPresent(eater.presence, day, m));

/** An eater who is, or is not, at one dinner; saying what the pattern says anyway takes the exception away. */
export function withPresence(eater: Eater, day: Day, meal: Meal, present: boolean): Eater {
  const exceptions = eater.presence.exceptions.filter((e) => e.day !== day || e.meal !== meal);
  const usual = isPresent({ ...eater.presence, exceptions }, day, meal);
  return {
    ...eater,
    presence: { ...eater.presence, exceptions: usual === present ? exceptions : [...exceptions, { day, meal, present }] },
  };
}

/** The guests of one dinner. */
export const guestsAt = (visits: readonly Guests[], day: Day): Guests | undefined =>
  visits.find((g) => g.day === day && g.meal === 'dinner');

/**
 * Guests at one dinner, zero for none; visits before today are let go.
 * @param allergens what one of them must not eat; what was said before stays when it is left out
 */
export function withGuests(visits: readonly Guests[], day: Day, plates: number, today: Day, allergens?: readonly string[]): Guests[] {
  const must = allergens ?? guestsAt(visits, day)?.allergens ?? [];
  return [
    ...visits.filter((g) => g.day >= today && (g.day !== day || g.meal !== 'dinner')),
    ...(plates > 0 ? [{ day, meal: 'dinner' as const, plates, ...(must.length > 0 && { allergens: [...must] }) }] : []),
  ];
}
