import Fraction from 'fraction.js';

/** An exact rational as text, `n` or `n/d`, in lowest terms: how amounts are kept and scaled. */
export type Rational = string;

const text = (f: Fraction): Rational => (f.d === 1n ? `${f.s * f.n}` : `${f.s * f.n}/${f.d}`);

/**
 * The exact product, sum and quotient of two rationals.
 * @example times('1/3', '3') // '1': a third of a cup tripled is one cup
 */
export const times = (a: Rational, b: Rational): Rational => text(new Fraction(a).mul(new Fraction(b)));
export const plus = (a: Rational, b: Rational): Rational => text(new Fraction(a).add(new Fraction(b)));
/** @throws RangeError when dividing by zero */
export function over(a: Rational, b: Rational): Rational {
  if (new Fraction(b).n === 0n) throw new RangeError('over: cannot divide by zero; the divisor must not be 0');
  return text(new Fraction(a).div(new Fraction(b)));
}

/** The nearest double to a rational. */
export const toNumber = (a: Rational): number => new Fraction(a).valueOf();

/**
 * A rational from a number a cook typed, exact for decimals (0.1 is 1/10).
 * @throws RangeError for NaN or infinity
 */
export function fromNumber(n: number): Rational {
  if (!Number.isFinite(n)) throw new RangeError(`fromNumber: expected a finite number, got ${n}`);
  return text(new Fraction(String(n.toFixed(9)).replace(/0+$/, '').replace(/\.$/, '')));
}
