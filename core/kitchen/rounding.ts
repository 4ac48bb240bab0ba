/** A measure a cook can take, with how far it is from the exact one. */
export interface Measured {
  exact: number;
  value: number;
  /** (value - exact) / exact; 0 when exact is 0. */
  error: number;
  /** Below two steps of the scale: say spoons or a pinch instead. */
  tooSmallToWeigh: boolean;
}

/** Rounding steps in grams or millilitres (DECISIONS 3). */
const steps = [50, 20, 10, 5, 2, 1, 0.5, 0.2, 0.1] as const;

const firstStep = (g: number): number => (g < 10 ? 0.5 : g < 100 ? 1 : g < 500 ? 5 : g < 2000 ? 10 : 50);

const nearest = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(3));

/**
 * The nicest amount to weigh or pour within an error cap.
 * @param exact grams or millilitres, not negative
 * @param cap greatest relative error: 0.05, or 0.02 for salt, cures, leaveners and ratio-locked lines
 * @param scaleStep what the household's scale shows, 1 g or 0.1 g
 * @throws RangeError for a negative or non-finite amount
 * @example measure(918) // { value: 920, error: 0.002 }
 */
export function measure(exact: number, cap = 0.05, scaleStep = 1): Measured {
  if (!Number.isFinite(exact) || exact < 0) throw new RangeError(`measure: expected an amount of 0 or more, got ${exact}`);
  if (exact === 0) return { exact, value: 0, error: 0, tooSmallToWeigh: false };
  const from = Math.max(firstStep(exact), scaleStep);
  let value = 0;
  for (const step of steps) {
    if (step > from || step < scaleStep) continue;
    value = nearest(exact, step);
    if (value > 0 && Math.abs(value - exact) / exact <= cap) break;
  }
  if (value === 0) value = scaleStep;
  return { exact, value, error: (value - exact) / exact, tooSmallToWeigh: exact < 2 * scaleStep };
}

/**
 * A whole number of pieces, at least 1, with what the rounding adds or leaves in grams when a piece weight is known.
 * @example wholePieces(2.4) // { value: 2, exact: 2.4, error: -0.1667 }
 */
export function wholePieces(exact: number): Measured {
  if (!Number.isFinite(exact) || exact < 0) throw new RangeError(`wholePieces: expected 0 or more pieces, got ${exact}`);
  const value = exact === 0 ? 0 : Math.max(1, Math.round(exact));
  return { exact, value, error: exact === 0 ? 0 : (value - exact) / exact, tooSmallToWeigh: false };
}
