import type { Day } from '#core/contract';
import { addDays, daysBetween } from '#core/kitchen';
import { quantiles, reaches } from './negativeBinomial.ts';

/** Portions eaten from the store on a day. */
export interface DayEaten {
  day: Day;
  portions: number;
}

export interface RunwayInput {
  today: Day;
  /** Portions in store now. */
  left: number;
  /** Portions a day asks for; zero when nobody is at the table. */
  demand: (day: Day) => number;
  /** Days with a log or an answer; a day that is missing had none. */
  eaten: readonly DayEaten[];
  /** Days of demand to keep. */
  parDays: number;
  /** Days between deciding to cook and having it. */
  leadDays: number;
}

export interface RunwayPoint {
  day: Day;
  /** Portions still there when 90, 50 and 10 % of the outcomes are eaten slower. */
  low: number;
  middle: number;
  high: number;
}

export interface Runway {
  left: number;
  /** Portions eaten for each portion asked for, with the weight behind it. */
  rate: { k: number; shape: number; rate: number; loggedDays: number };
  /** First day on which it is used up, with 10, 50 and 90 % chance; undefined beyond two years. */
  runOut: { early?: Day; middle?: Day; late?: Day };
  parPortions: number;
  parDay?: Day;
  cookBy?: Day;
  points: RunwayPoint[];
}

/** Constants of DECISIONS 19. */
export const runwayRules = { halfLifeDays: 28, gapDays: 7, horizonDays: 730, quantiles: { early: 0.1, middle: 0.5, late: 0.9 } } as const;

/** Enough for a smooth curve. */
const mostPoints = 60;

/** Days of the past that count: those between logs, without gaps of 7 days or more in which nobody wrote anything down. */
function countedDays(eaten: readonly DayEaten[], today: Day): Day[] {
  const logged = [...new Set(eaten.filter((e) => e.day < today).map((e) => e.day))].sort();
  const days: Day[] = [];
  logged.forEach((day, i) => {
    days.push(day);
    const next = logged[i + 1] ?? today;
    const gap = daysBetween(day, next) - 1;
    if (gap > 0 && gap < runwayRules.gapDays) for (let d = 1; d <= gap; d += 1) days.push(addDays(day, d));
  });
  return days;
}

/**
 * How long the store lasts: eating is Poisson(k * demand), k learned from what was logged with a half-life of 28 days on a prior worth one week.
 * The run-out days are the first on which the negative-binomial predictive reaches what is left with 10, 50 and 90 %.
 * Laws: early <= middle <= late; more in store never runs out sooner; the band narrows towards the middle on either side.
 * @example runway({ today, left: 21, demand: platesOn, eaten, parDays: 7, leadDays: 3 }).runOut.middle // '2026-12-22'
 */
export function runway(input: RunwayInput): Runway {
  const { today, left, demand } = input;
  const week = Array.from({ length: 7 }, (_, i) => demand(addDays(today, i))).reduce((s, d) => s + d, 0);
  const prior = Math.max(week, 0.25);
  const weight = (day: Day): number => 0.5 ** (daysBetween(day, today) / runwayRules.halfLifeDays);
  const counted = countedDays(input.eaten, today);
  const countedSet = new Set(counted);
  const shape = prior + input.eaten.filter((e) => countedSet.has(e.day)).reduce((s, e) => s + e.portions * weight(e.day), 0);
  const rate = prior + counted.reduce((s, day) => s + demand(day) * weight(day), 0);

  const need = Math.ceil(left - 1e-9);
  const parPortions = Array.from({ length: input.parDays }, (_, i) => demand(addDays(today, i))).reduce((s, d) => s + d, 0);
  const toPar = Math.ceil(left - parPortions - 1e-9);
  const { early, middle, late } = runwayRules.quantiles;
  const exposures: number[] = [];
  // as many days as it takes to use it all up with the latest chance, doubled until they do
  for (let i = 0, sum = 0, ahead = 64; i < runwayRules.horizonDays; i += 1) {
    if (i === ahead) {
      if (reaches(need, shape, rate, sum) >= late) break;
      ahead *= 2;
    }
    exposures.push((sum += demand(addDays(today, i))));
  }
  /** First day whose chance of having eaten `count` reaches `q`; chances only grow, so halving finds it. */
  const firstDay = (count: number, q: number): number | undefined => {
    let low = 0;
    let high = exposures.length;
    while (low < high) {
      const mid = (low + high) >> 1;
      if (reaches(count, shape, rate, exposures[mid] ?? 0) >= q) high = mid;
      else low = mid + 1;
    }
    return low < exposures.length ? low : undefined;
  };
  const dayAt = (i: number | undefined): Day | undefined => (i === undefined ? undefined : addDays(today, i));
  const lastDay = firstDay(need, late);
  const days = { early: dayAt(firstDay(need, early)), middle: dayAt(firstDay(need, middle)), late: dayAt(lastDay) };
  const runOut: Runway['runOut'] = {
    ...(days.early && { early: days.early }),
    ...(days.middle && { middle: days.middle }),
    ...(days.late && { late: days.late }),
  };
  let parDay = dayAt(firstDay(toPar, middle));
  if (toPar <= 0) parDay = today;
  const drawn = exposures.slice(0, lastDay === undefined ? undefined : lastDay + 1);
  const step = Math.max(1, Math.ceil(drawn.length / mostPoints));
  const points = drawn.flatMap((exposure, i): RunwayPoint[] => {
    if ((i + 1) % step !== 0 && i !== drawn.length - 1) return [];
    const [slow = 0, likely = 0, fast = 0] = quantiles([early, middle, late], shape, rate, exposure);
    return [
      { day: addDays(today, i + 1), low: Math.max(0, left - fast), middle: Math.max(0, left - likely), high: Math.max(0, left - slow) },
    ];
  });
  return {
    left,
    rate: { k: shape / rate, shape, rate, loggedDays: counted.length },
    runOut,
    parPortions,
    ...(parDay !== undefined && { parDay, cookBy: addDays(parDay, -input.leadDays) }),
    points: [{ day: today, low: left, middle: left, high: left }, ...points],
  };
}
