import type { Household } from '#core/contract';
import { isOne, pluralOf, sayMass, sayPortions, sayVolume } from './display.ts';
import { fromNumber, toNumber } from './rational.ts';
import { measure, wholePieces } from './rounding.ts';
import { inBase, unitFacts, type Quantity } from './units.ts';

export type UnitSystem = Household['units'];

/** What has to be measured out, and what is known about it. */
export interface MeasureInput {
  quantity: Quantity;
  /** Grams per millilitre in the form it goes in; absent when it is not known. */
  gPerMl?: number | undefined;
  /** Poured from a jug; anything else is spooned or weighed. */
  pour: boolean;
  /** Only ever weighed: meat, fish, whole vegetables. */
  weighOnly?: boolean;
  /** Whole pieces only (eggs, bay leaves). */
  whole?: boolean;
  /** Greatest relative error. */
  cap: number;
  /** What the household's scale shows: 1 g or 0.1 g. */
  scaleStepG: number;
}

/** A measure a cook can take. */
export interface Measure {
  text: string;
  /** (measured - exact) / exact. */
  error: number;
  how: 'weigh' | 'pour' | 'spoon' | 'cup' | 'count' | 'pinch';
}

/** Household spoons and cups in millilitres; both are exact by definition (metric, and the US cup as 1/16 gallon). */
const sizes = {
  metric: { tsp: 5, tbsp: 15, cup: 250, quart: undefined },
  us: { tsp: 4.92892159375, tbsp: 14.78676478125, cup: 236.5882365, quart: 946.352946 },
} as const;

const pintMl = 568.26125;
const flOzMl = 28.4130625;
const ozG = 28.349523125;

const marks: readonly (readonly [part: number, text: string, rank: number])[] = [
  [0, '', 0],
  [0.25, '¼', 2],
  [1 / 3, '⅓', 2],
  [0.5, '½', 1],
  [2 / 3, '⅔', 2],
  [0.75, '¾', 2],
];

interface Nice {
  count: number;
  text: string;
}

/** The nicest count of one measure within the cap: whole before half before quarter and third. */
function niceCount(exact: number, cap: number, thirds: boolean): Nice | undefined {
  let best: (Nice & { rank: number; off: number }) | undefined;
  const whole = Math.floor(exact);
  for (const base of [whole, whole + 1]) {
    for (const [part, mark, rank] of marks) {
      if ((!thirds && Math.abs(part * 4 - Math.round(part * 4)) > 1e-9) || base + part <= 0) continue;
      const off = Math.abs(base + part - exact) / exact;
      if (off > cap + 1e-12) continue;
      if (!best || rank < best.rank || (rank === best.rank && off < best.off))
        best = { count: base + part, text: `${base === 0 ? '' : base}${mark}`, rank, off };
    }
  }
  return best;
}

const measured = (text: string, value: number, exact: number, how: Measure['how']): Measure => ({
  text,
  error: (value - exact) / exact,
  how,
});
const named = (n: Nice, one: string, many: string): string => `${n.text} ${n.count > 1 ? many : one}`;

interface Size {
  ml: number;
  one: string;
  many: string;
}

/** A large measure topped up with whole and half spoons: cups to the quarter and third, spoons to the half. */
function topUp(ml: number, big: Size, small: Size, cap: number, parts: readonly (typeof marks)[number][] = marks): Measure | undefined {
  const floor = Math.floor(ml / big.ml + 1e-9);
  for (const [part, mark] of parts.toReversed()) {
    const whole = floor + part;
    if (whole <= 0 || whole * big.ml > ml) continue;
    const rest = Math.round(((ml - whole * big.ml) / small.ml) * 2) / 2;
    const value = whole * big.ml + rest * small.ml;
    if (rest <= 0 || Math.abs(value - ml) / ml > cap) continue;
    const first = `${floor === 0 ? '' : floor}${mark} ${whole > 1 ? big.many : big.one}`;
    return measured(`${first} + ${sayPortions(rest)} ${small.one}`, value, ml, 'cup');
  }
  return undefined;
}

/**
 * Spoons, cups and quarts within the cap: the largest single measure that fits, else a sum such as `1 cup + 2 tbsp`.
 * @returns undefined when no spoon or cup comes near enough
 * @example spoonsAndCups(266.2, 0.02, 'us')?.text // '1 cup + 2 tbsp'
 */
export function spoonsAndCups(ml: number, cap: number, set: 'metric' | 'us'): Measure | undefined {
  const { tsp, tbsp, cup, quart } = sizes[set];
  const cups = ml >= (cup / 4) * (1 - cap) ? [{ ml: cup, one: 'cup', many: 'cups', thirds: true }] : [];
  const bigSpoons = ml >= tbsp * (1 - cap) && ml < 6 * tbsp ? [{ ml: tbsp, one: 'tbsp', many: 'tbsp', thirds: false }] : [];
  const singles = [
    ...(quart !== undefined && ml >= 2 * quart * (1 - cap) ? [{ ml: quart, one: 'quart', many: 'quarts', thirds: false }] : []),
    // a kitchen that weighs has spoons in the drawer, and cups seldom
    ...(set === 'metric' ? [...bigSpoons, ...cups] : [...cups, ...bigSpoons]),
    ...(ml < 4 * tsp ? [{ ml: tsp, one: 'tsp', many: 'tsp', thirds: false }] : []),
  ];
  for (const s of singles) {
    const n = niceCount(ml / s.ml, cap, s.thirds);
    if (n) return measured(named(n, s.one, s.many), n.count * s.ml, ml, s.one === 'tsp' || s.one === 'tbsp' ? 'spoon' : 'cup');
  }
  const spoon = { ml: tbsp, one: 'tbsp', many: 'tbsp' };
  const sum = ml >= cup / 4 ? topUp(ml, { ml: cup, one: 'cup', many: 'cups' }, spoon, cap) : undefined;
  if (sum) return sum;
  const halves = marks.filter(([part]) => part === 0 || part === 0.5);
  const spoons = topUp(ml, spoon, { ml: tsp, one: 'tsp', many: 'tsp' }, cap, halves);
  return spoons && { ...spoons, how: 'spoon' };
}

/** Pounds and ounces, as fine as the cap asks. */
function pounds(g: number, cap: number): Measure {
  const exact = g / ozG;
  const steps = exact < 4 ? [0.5, 0.25] : exact < 16 ? [1, 0.5, 0.25] : [1, 0.5];
  const step = steps.find((s) => Math.abs(Math.round(exact / s) * s - exact) / exact <= cap) ?? 0.25;
  const oz = Math.max(0.25, Math.round(exact / step) * step);
  const lb = Math.floor(oz / 16);
  const rest = oz - lb * 16;
  const text = lb === 0 ? `${sayPortions(oz)} oz` : rest === 0 ? `${lb} lb` : `${lb} lb ${sayPortions(rest)} oz`;
  return measured(text, oz * ozG, g, 'weigh');
}

function weighed(g: number, input: MeasureInput): Measure {
  const m = measure(g, input.cap, input.scaleStepG);
  return { text: sayMass(m.value), error: m.error, how: 'weigh' };
}

/** Too little for the scale: a spoon when the volume is known and near enough, else a pinch. */
function tiny(ml: number | undefined, input: MeasureInput): Measure {
  const spoon = ml === undefined || ml < 0.9 ? undefined : spoonsAndCups(ml, Math.max(input.cap, 0.15), 'metric');
  return spoon ?? { text: 'a pinch', error: 0, how: 'pinch' };
}

function poured(ml: number, cap: number): Measure {
  const m = measure(ml, cap, 1);
  return m.tooSmallToWeigh ? { text: 'a splash', error: 0, how: 'pinch' } : { text: sayVolume(m.value), error: m.error, how: 'pour' };
}

const spoonUnits = new Set(['tsp', 'tbsp', 'usTsp', 'usTbsp']);
/** Up to here a cook takes spoons rather than a jug. */
const spoonsUpToMl = 60;

function metric(input: MeasureInput, base: { dimension: 'mass' | 'volume'; value: number }): Measure {
  const { cap, gPerMl, quantity } = input;
  if (base.dimension === 'mass')
    return base.value < 2 * input.scaleStepG ? tiny(gPerMl && base.value / gPerMl, input) : weighed(base.value, input);
  const ml = base.value;
  const asSpoons = (spoonUnits.has(quantity.unit) && ml <= spoonsUpToMl * 1.05) || ml < 10 ? spoonsAndCups(ml, cap, 'metric') : undefined;
  if (asSpoons) return asSpoons;
  if (input.pour) return poured(ml, cap);
  if (gPerMl !== undefined && ml * gPerMl >= 2 * input.scaleStepG) return weighed(ml * gPerMl, input);
  const loose = spoonsAndCups(ml, cap, 'metric');
  return loose ?? (ml < 5 ? tiny(ml, input) : poured(ml, cap));
}

function us(input: MeasureInput, base: { dimension: 'mass' | 'volume'; value: number }): Measure {
  const { cap, gPerMl } = input;
  const g = base.dimension === 'mass' ? base.value : gPerMl === undefined ? undefined : base.value * gPerMl;
  const ml = base.dimension === 'volume' ? base.value : gPerMl === undefined ? undefined : base.value / gPerMl;
  if (ml !== undefined && !(input.weighOnly && base.dimension === 'mass')) {
    const cups = spoonsAndCups(ml, cap, 'us');
    if (cups) return cups;
    if (ml < 3) return tiny(ml, input);
  }
  if (g === undefined) return poured(ml ?? 0, cap);
  return g < 7 ? tiny(ml, input) : pounds(g, cap);
}

function uk(input: MeasureInput, base: { dimension: 'mass' | 'volume'; value: number }): Measure {
  const { cap, gPerMl } = input;
  if (base.dimension === 'mass') return base.value < 7 ? metric(input, base) : pounds(base.value, cap);
  const ml = base.value;
  if (ml <= spoonsUpToMl * 1.05) return spoonsAndCups(ml, cap, 'metric') ?? metric(input, base);
  if (!input.pour && gPerMl !== undefined) return pounds(ml * gPerMl, cap);
  const pint = ml >= (pintMl / 4) * (1 - cap) ? niceCount(ml / pintMl, cap, true) : undefined;
  if (pint) return measured(named(pint, 'pint', 'pints'), pint.count * pintMl, ml, 'pour');
  const oz = Math.max(0.5, Math.round((ml / flOzMl) * 2) / 2);
  return measured(`${sayPortions(oz)} fl oz`, oz * flOzMl, ml, 'pour');
}

/** Pieces to the quarter, whole from ten on, or whole only. */
function counted(n: number, whole: boolean): Measure {
  if (whole || n >= 10) {
    const m = wholePieces(n);
    return { text: String(m.value), error: m.error, how: 'count' };
  }
  const quarters = Math.max(0.25, Math.round(n * 4) / 4);
  return measured(sayPortions(quarters), quarters, n, 'count');
}

/**
 * The nicest measure of an exact quantity in a system of units, within an error cap (DECISIONS 3).
 * A mass becomes cups only through the density given; without one it stays a weight.
 * @throws RangeError for a negative or non-finite amount
 * @example measureIn('us', { quantity: { amount: '320', unit: 'g' }, gPerMl: 0.68, pour: false, cap: 0.05, scaleStepG: 1 }).text // '2 cups'
 */
export function measureIn(system: UnitSystem, input: MeasureInput): Measure {
  const { quantity } = input;
  const n = toNumber(quantity.amount);
  if (!Number.isFinite(n) || n < 0) throw new RangeError(`measureIn: expected an amount of 0 or more, got ${quantity.amount}`);
  if (n === 0) return { text: 'none', error: 0, how: 'count' };
  if (quantity.unit === 'piece') return counted(n, input.whole ?? false);
  if (unitFacts[quantity.unit].dimension === 'count') {
    const m = counted(n, input.whole ?? false);
    const one = unitFacts[quantity.unit].short;
    return { ...m, text: `${m.text} ${isOne(Number((n * (1 + m.error)).toFixed(4))) ? one : pluralOf(one)}` };
  }
  if (unitFacts[quantity.unit].dimension === 'none') {
    const count = Math.max(1, Math.round(n));
    const one = unitFacts[quantity.unit].short;
    return { text: `${count} ${count === 1 ? one : pluralOf(one)}`, error: 0, how: 'pinch' };
  }
  const base = inBase(quantity);
  if (!base) throw new RangeError(`measureIn: ${unitFacts[quantity.unit].short} is neither a mass nor a volume`);
  return system === 'us' ? us(input, base) : system === 'uk' ? uk(input, base) : metric(input, base);
}

/** How near a weight or volume is said when nobody measures it out. */
const saidCap = 0.02;

/**
 * A weight in the household's own measures: `1.65 kg`, `3 lb 10 oz`.
 * @example sayMassIn('us', 900) // '2 lb'
 */
export const sayMassIn = (units: UnitSystem, g: number): string =>
  units === 'metric' || g <= 0
    ? sayMass(g)
    : measureIn(units, { quantity: { amount: fromNumber(g), unit: 'g' }, pour: false, weighOnly: true, cap: saidCap, scaleStepG: 1 }).text;

/**
 * A volume in the household's own measures: `1.2 L`, `5 cups`, `2 pints`.
 * @example sayVolumeIn('uk', 1136.5) // '2 pints'
 */
export const sayVolumeIn = (units: UnitSystem, ml: number): string =>
  units === 'metric' || ml <= 0
    ? sayVolume(ml)
    : measureIn(units, { quantity: { amount: fromNumber(ml), unit: 'ml' }, pour: true, cap: saidCap, scaleStepG: 1 }).text;
