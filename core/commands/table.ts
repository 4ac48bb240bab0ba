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

/** How an eater liked a dish: one to five stars. @example rate('stew', 'osk', 4, '2026-11-24', seen) */
export const rate = (recipeId: Id, eaterId: Id, stars: number, day: Day, seen: string): Act => ({
  type: 'rated',
  subjects: [recipeId, eaterId],
  seen,
  data: { recipeId, eaterId, stars, day },
});

/** A meal was cooked fresh, eaten out, or left out: nothing of the store went. @example eatOtherwise('household', '2026-11-24', 'out', seen) */
export const eatOtherwise = (householdId: Id, day: Day, how: 'fresh' | 'out' | 'none', seen: string, meal: Meal = 'dinner'): Act => ({
  type: 'ateOtherwise',
  subjects: [householdId],
  seen,
  data: { day, meal, how },
});
