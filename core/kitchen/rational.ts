import Fraction from 'fraction.js';

/** An exact rational as text, `n` or `n/d`, in lowest terms: how amounts are kept and scaled. */
export type Rational = string;

const text = (f: Fraction): Rational => (f.d === 1n ? `${f.s * f.n}` : `${f.s * f.n}/${f.d}`);

/** Numerator and denominator as plain numbers, for as long as they are small enough to be multiplied exactly. */
type Small = readonly [n: number, d: number];

/** Two of these multiply without leaving the exact integers. */
const smallest = 2 ** 26;
const known = new Map<Rational, Small | null>();
const mostKnown = 4096;

function read(a: Rational): Small | null {
  const slash = a.indexOf('/');
  const n = Number(slash < 0 ? a : a.slice(0, slash));
  const d = slash < 0 ? 1 : Number(a.slice(slash + 1));
  return Number.isInteger(n) && Number.isInteger(d) && d > 0 && Math.abs(n) < smallest && d < smallest ? [n, d] : null;
}

/** Amounts come again and again, so each is read once. */
function small(a: Rational): Small | null {
  const found = known.get(a);
  if (found !== undefined) return found;
  const made = read(a);
  if (known.size >= mostKnown) known.clear();
  known.set(a, made);
  return made;
}

function divisor(a: number, b: number): number {
  let [x, y] = [Math.abs(a), b];
  while (y > 0) [x, y] = [y, x % y];
  return x || 1;
}

function lowest(n: number, d: number): Rational {
  const g = divisor(n, d);
  return d === g ? `${n / g}` : `${n / g}/${d / g}`;
}

/**
 * The exact product, sum and quotient of two rationals. Small ones are worked in whole numbers, the rest without a bound.
 * @example times('1/3', '3') // '1': a third of a cup tripled is one cup
 */
export function times(a: Rational, b: Rational): Rational {
  const [x, y] = [small(a), small(b)];
  return x && y ? lowest(x[0] * y[0], x[1] * y[1]) : text(new Fraction(a).mul(new Fraction(b)));
}

export const plus = (a: Rational, b: Rational): Rational => text(new Fraction(a).add(new Fraction(b)));

/** @throws RangeError when dividing by zero */
export function over(a: Rational, b: Rational): Rational {
  if (toNumber(b) === 0) throw new RangeError('over: cannot divide by zero; the divisor must not be 0');
  const [x, y] = [small(a), small(b)];
  return x && y ? lowest(x[0] * y[1] * Math.sign(y[0]), x[1] * Math.abs(y[0])) : text(new Fraction(a).div(new Fraction(b)));
}

/** The nearest double to a rational. */
export function toNumber(a: Rational): number {
  const x = small(a);
  return x ? x[0] / x[1] : new Fraction(a).valueOf();
}

/**
 * A rational from a number a cook typed, exact for decimals (0.1 is 1/10).
 * @throws RangeError for NaN or infinity
 */
export function fromNumber(n: number): Rational {
  if (!Number.isFinite(n)) throw new RangeError(`fromNumber: expected a finite number, got ${n}`);
  if (Number.isInteger(n) && Math.abs(n) < Number.MAX_SAFE_INTEGER) return `${n === 0 ? 0 : n}`;
  return text(new Fraction(String(n.toFixed(9)).replace(/0+$/, '').replace(/\.$/, '')));
}
