import type { Eater } from '#core/contract';
import { newId } from '../sync/device.ts';

export const weekDays = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;

/** Factors of an adult's appetite by stage (reference 13.4). */
export const appetites: Readonly<Record<Eater['stage'], number>> = { baby: 1, toddler: 0.3, child: 0.6, adult: 1, elder: 0.8 };

/** Meals of a baby a day and cubes to each, until the cook says otherwise. */
export const babyMeals = { mealsPerDay: 2, cubesPerMeal: 3 };

/** Somebody who dines at home every evening. */
export const newEater = (stage: Eater['stage'] = 'adult', name = ''): Eater => ({
  id: newId(),
  name,
  stage,
  appetite: appetites[stage],
  allergens: [],
  needs: [],
  presence: { weekly: Object.fromEntries(weekDays.map((d) => [d, ['dinner']])), away: [], exceptions: [] },
  ...(stage === 'baby' && { baby: babyMeals }),
});
