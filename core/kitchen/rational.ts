import Fraction from 'fraction.js';

/** An exact rational as text, `n` or `n/d`, in lowest terms: how amounts are kept and scaled. */
export type Rational = string;

const text = (f: Fraction): Rational => (f.d === 1n ? `${f.s * f.n}` : `${f.s * f.n}/${f.d}`);

/** Numerator and denominator as plain numbers, for as long as both are exact. */
type Small = readonly [n: number, d: number];

function small(a: Rational): Small | null {
  const slash = a.indexOf('/');
  const n = Number(slash < 0 ? a : a.slice(0, slash));
  const d = slash < 0 ? 1 : Number(a.slice(slash + 1));
  return Number.isSafeInteger(n) && Number.isSafeInteger(d) && d > 0 ? [n, d] : null;
}

function divisor(a: number, b: number): number {
  let [x, y] = [Math.abs(a), Math.abs(b)];
  while (y > 0) [x, y] = [y, x % y];
  return x || 1;
}

/** n1/d1 x n2/d2 in lowest terms, or nothing when it leaves the exact integers. */
function product([n1, d1]: Small, [n2, d2]: Small): Rational | undefined {
  const [g, h] = [divisor(n1, d2), divisor(n2, d1)];
  const n = (n1 / g) * (n2 / h);
  const d = (d1 / h) * (d2 / g);
  if (!Number.isSafeInteger(n) || !Number.isSafeInteger(d)) return undefined;
  // what came in may not have been in lowest terms
  const k = divisor(n, d);
  return n === 0 ? '0' : d === k ? `${n / k}` : `${n / k}/${d / k}`;
}

/**
 * The exact product, sum and quotient of two rationals. Small ones are worked in whole numbers, the rest without a bound.
 * @example times('1/3', '3') // '1': a third of a cup tripled is one cup
 */
export function times(a: Rational, b: Rational): Rational {
  const [x, y] = [small(a), small(b)];
  return (x && y && product(x, y)) ?? text(new Fraction(a).mul(new Fraction(b)));
}

/** The exact sum of two rationals. @example plus('1/3', '1/6') // '1/2' */
export const plus = (a: Rational, b: Rational): Rational => text(new Fraction(a).add(new Fraction(b)));

/**
 * The exact quotient of two rationals.
 * @throws RangeError when dividing by zero
 * @example over('3', '4') // '3/4'
 */
export function over(a: Rational, b: Rational): Rational {
  if (toNumber(b) === 0) throw new RangeError('over: cannot divide by zero; the divisor must not be 0');
  const [x, y] = [small(a), small(b)];
  return (x && y && product(x, [y[1] * Math.sign(y[0]), Math.abs(y[0])])) ?? text(new Fraction(a).div(new Fraction(b)));
}

/** The nearest double to a rational. @example toNumber('3/4') // 0.75 */
export function toNumber(a: Rational): number {
  const x = small(a);
  return x ? x[0] / x[1] : new Fraction(a).valueOf();
}

const billion = 1e9;

/**
 * A rational from a number a cook typed, exact for decimals (0.1 is 1/10), to nine of them.
 * @throws RangeError for NaN or infinity
 * @example fromNumber(0.5) // '1/2'
 */
export function fromNumber(n: number): Rational {
  if (!Number.isFinite(n)) throw new RangeError(`fromNumber: expected a finite number, got ${n}`);
  if (Number.isSafeInteger(n)) return `${n === 0 ? 0 : n}`;
  const parts = Math.round(n * billion);
  return (
    (Number.isSafeInteger(parts) && product([parts, 1], [1, billion])) ||
    text(new Fraction(String(n.toFixed(9)).replace(/0+$/, '').replace(/\.$/, '')))
  );
}
