import type { Eater, Figures } from '#core/contract';
import { appetitesOf } from '#core/kitchen';
import { newId } from '../sync/device.ts';

export const weekDays = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;

/** Meals of a baby a day and cubes to each, until the cook says otherwise. */
export const babyMeals = { mealsPerDay: 2, cubesPerMeal: 3 };

/** Somebody who dines at home every evening. */
export const newEater = (figures: Figures, stage: Eater['stage'] = 'adult', name = ''): Eater => ({
  id: newId(),
  name,
  stage,
  appetite: appetitesOf(figures)[stage],
  allergens: [],
  needs: [],
  presence: { weekly: Object.fromEntries(weekDays.map((d) => [d, ['dinner']])), away: [], exceptions: [] },
  ...(stage === 'baby' && { baby: babyMeals }),
});
