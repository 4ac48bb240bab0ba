/** How much a default weighs beside what was seen (COMPUTATION, scaling). */
const priorRuns = 3;
/** Two cooks with one recipe differ by about this much; a kitchen estimate until runs say otherwise. */
const priorSpread = 0.06;
/** However alike the runs were, the next may be this far off: what sticks to the pot, what the scale rounds. */
const leastSpread = 0.02;
/** 80 % of a bell curve lies within so many spreads of its middle. */
const eighty = 1.2816;

export interface Learned {
  /** Expected, as a share of what is written. */
  factor: number;
  /** 80 % range. */
  low: number;
  high: number;
  /** Runs behind it. */
  runs: number;
}

/**
 * A yield learned from weighed runs: the default blended with what was seen, by how often it was seen (R7).
 * @param seen weighed by planned, each above 0
 * @param written what is expected without any run; 1 for a recipe's yield, the edible share for an ingredient; `null` when nothing ever was: then
 *   what was seen stands alone
 * @throws RangeError for a run of 0 or below, or when there is neither a default nor a run
 * @example learnedYield([0.95, 0.97, 0.96, 0.96]).factor // about 0.977
 */
export function learnedYield(seen: readonly number[], written: number | null = 1): Learned {
  const bad = seen.find((x) => !(x > 0) || !Number.isFinite(x));
  if (bad !== undefined) throw new RangeError(`learnedYield: expected runs above 0, got ${bad}`);
  const n = seen.length;
  const sum = seen.reduce((s, x) => s + x, 0);
  if (written === null && n === 0) throw new RangeError('learnedYield: expected a default or at least one run, got neither');
  const mean = n > 0 ? sum / n : (written ?? 1);
  const factor = written === null ? mean : (priorRuns * written + sum) / (priorRuns + n);
  const usual = written ?? mean;
  const squares = seen.reduce((s, x) => s + (x - mean) ** 2, 0);
  const spread = Math.max(leastSpread * usual, Math.sqrt((priorRuns * (priorSpread * usual) ** 2 + squares) / (priorRuns + n)));
  return { factor, low: Math.max(0, factor - eighty * spread), high: factor + eighty * spread, runs: n };
}

/**
 * Minutes for the next plan: times are not blended, the last run's actual by planned stands.
 * @example nextMinutes(100, { planned: 150, actual: 210 }) // 140
 */
export function nextMinutes(plan: number, last: { planned: number; actual: number } | undefined): number {
  if (!last || !(last.planned > 0)) return plan;
  return Math.round(plan * (last.actual / last.planned));
}
