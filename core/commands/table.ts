import type { Day, Id, Meal } from '#core/contract';
import type { Act } from './act.ts';

/** Guests at one meal, none with no plates; what one of them must not eat holds for that meal. @example invite('household', '2026-11-24', 2, [], seen) */
export const invite = (
  householdId: Id,
  day: Day,
  plates: number,
  allergens: readonly string[],
  seen: string,
  meal: Meal = 'dinner',
): Act => ({
  type: 'invited',
  subjects: [householdId],
  seen,
  data: { day, meal, plates, allergens: plates > 0 ? [...allergens] : [] },
});

/** An eater is, or is not, at one meal, whatever the week says. @example sayAtHome('osk', '2026-11-24', 'dinner', false, seen) */
export const sayAtHome = (eaterId: Id, day: Day, meal: Meal, home: boolean, seen: string): Act => ({
  type: 'atHome',
  subjects: [eaterId],
  seen,
  data: { day, meal, home },
});
