import type { Revision } from '#core/contract';

/** More than this many portions in one batch is a typing slip, not a plan. */
export const maxPortions = 2000;

/** Finished volume and weight, as far as they can be known. */
export interface Finished {
  ml?: number;
  g?: number;
}

/**
 * Finished volume and weight of so many servings: the serving says one, the density gives the other.
 * @returns only what can be known: without a density one of the two stays away
 * @example finished({ serving: { amount: 400, unit: 'ml' }, density: { gPerMl: 1.05, reason: 'entered' } }, 10) // { ml: 4000, g: 4200 }
 */
export function finished(revision: Pick<Revision, 'serving' | 'density'>, portions: number): Finished {
  const total = revision.serving.amount * portions;
  const d = revision.density?.gPerMl;
  if (revision.serving.unit === 'ml') return { ml: total, ...(d !== undefined && { g: total * d }) };
  return { g: total, ...(d !== undefined && { ml: total / d }) };
}
