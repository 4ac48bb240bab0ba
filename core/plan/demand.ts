import type { Day, Eater, Guests } from '#core/contract';
import { daysFrom, demand } from '#core/kitchen';

export interface SpanDemand {
  days: { day: Day; quarters: number; babyMeals: number }[];
  quarters: number;
  babyMeals: number;
}

/**
 * What a span of days asks for at dinner, day by day; the sum is the sum of the days.
 * @example demandOver(eaters, days, household.guests).quarters // plates over the span
 */
export function demandOver(eaters: readonly Eater[], from: Day, days: number, guests: readonly Guests[] = []): SpanDemand {
  const list = daysFrom(from, days).map((day) => {
    const d = demand(eaters, day, guests);
    return { day, quarters: d.quarters, babyMeals: d.babyMeals };
  });
  return { days: list, quarters: list.reduce((s, d) => s + d.quarters, 0), babyMeals: list.reduce((s, d) => s + d.babyMeals, 0) };
}
