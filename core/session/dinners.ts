import type { Day, Eater, Guests } from '#core/contract';
import { addDays, demand, isDinner } from '#core/kitchen';
import { coldOf, firstEvening, type Moment, type PackState } from '#core/store';

/** Food that is a dinner, with the evenings on which it can be one. */
export interface DinnerFood {
  quarters: number;
  from: Day;
  /** The last evening; frozen food has none. */
  to?: Day;
}

/**
 * Quarter plates in a set of packs: meals and kits that are whole dishes together; bases and plain ingredients do not count.
 * @example dinnerQuarters(packs) // quarter plates in all
 */
export const dinnerQuarters = (packs: readonly PackState[]): number =>
  packs.filter(isDinner).reduce((s, p) => s + Math.round(p.left * 4), 0);

/**
 * Dinners of a stock: what thaws from the evening it can be ready, what is in the fridge to its last day.
 * @example dinnerFood(packs, at)[0]?.quarters // quarter plates, and the evening they can be eaten on
 */
export const dinnerFood = (packs: readonly PackState[], at: Moment): DinnerFood[] =>
  packs.filter(isDinner).map((p) => {
    const to = coldOf(p, at).eatBy;
    return { quarters: Math.round(p.left * 4), from: firstEvening(p, at), ...(to !== undefined && { to }) };
  });

/** Two years of evenings. */
const horizon = 730;

/**
 * Whole dinners left: evenings fully covered when each one's demand, from tonight unless it is logged, is taken from all meals and whole kits together,
 * what goes off first being eaten first (decision 45). Evenings on which nobody is at the table cost nothing and count as no dinner.
 * Law: one more portion never makes it fewer.
 * @example dinnersLeft(dinnerFood(packs, at), eaters, today, false) // whole evenings that can be fed
 */
export function dinnersLeft(
  food: readonly DinnerFood[],
  eaters: readonly Eater[],
  today: Day,
  tonightLogged: boolean,
  guests: readonly Guests[] = [],
): number {
  const soonest = food
    .filter((f) => f.to !== undefined)
    .map((f) => ({ ...f }))
    .toSorted((a, b) => (a.to ?? '').localeCompare(b.to ?? ''));
  // frozen food of one first evening is all alike: thousands of packs are a few sums
  const frozen = new Map<Day, number>();
  for (const f of food) if (f.to === undefined) frozen.set(f.from, (frozen.get(f.from) ?? 0) + f.quarters);
  const later: DinnerFood[] = [...frozen].map(([from, quarters]) => ({ from, quarters }));
  const inOrder = [...soonest, ...later];
  let dinners = 0;
  for (let i = tonightLogged ? 1 : 0; i < horizon; i += 1) {
    const day = addDays(today, i);
    let need = demand(eaters, day, guests).quarters;
    if (need === 0) continue;
    for (const f of inOrder) {
      if (f.from > day || (f.to !== undefined && f.to < day)) continue;
      const taken = Math.min(need, f.quarters);
      f.quarters -= taken;
      need -= taken;
      if (need === 0) break;
    }
    if (need > 0) return dinners;
    dinners += 1;
  }
  return dinners;
}
