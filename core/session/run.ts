import type { Day } from '#core/contract';

/** One cooked and weighed batch. */
export interface Run {
  sessionId: string;
  batchId: string;
  day: Day;
  portions: number;
  /** In the unit of the recipe's serving. */
  planned: number;
  weighed: number;
  unit: 'g' | 'ml';
  /** Weighed by what was written for that size. */
  ratio: number;
  /** Grams per millilitre, when a tub was weighed. */
  density?: number;
}

/** Grams per millilitre learned from tubs: the mean of what was weighed; undefined while none was. */
export function densityOfRuns(runs: readonly Run[]): number | undefined {
  const taught = runs.flatMap((r) => r.density ?? []);
  return taught.length === 0 ? undefined : Number((taught.reduce((s, d) => s + d, 0) / taught.length).toFixed(4));
}
