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
