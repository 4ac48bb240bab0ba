import type { Unit } from '#core/contract';
import { times, toNumber, type Rational } from './rational.ts';

interface UnitFact {
  dimension: 'mass' | 'volume' | 'piece' | 'none';
  /** Exact grams or millilitres of one. */
  base: Rational;
  names: readonly string[];
  short: string;
}

/** US gallon 3785.411784 ml and pound 453.59237 g are exact by definition (NIST); the UK gallon is 4546.09 ml. */
const usTsp = '3785411784/768000000';

export const unitFacts: Readonly<Record<Unit, UnitFact>> = {
  mg: { dimension: 'mass', base: '1/1000', short: 'mg', names: ['mg', 'milligram', 'milligrams'] },
  g: { dimension: 'mass', base: '1', short: 'g', names: ['g', 'gr', 'gram', 'grams', 'gramme', 'grammes', 'gm'] },
  kg: { dimension: 'mass', base: '1000', short: 'kg', names: ['kg', 'kilo', 'kilos', 'kilogram', 'kilograms'] },
  oz: { dimension: 'mass', base: '45359237/1600000', short: 'oz', names: ['oz', 'ounce', 'ounces'] },
  lb: { dimension: 'mass', base: '45359237/100000', short: 'lb', names: ['lb', 'lbs', 'pound', 'pounds'] },
  ml: { dimension: 'volume', base: '1', short: 'ml', names: ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc'] },
  cl: { dimension: 'volume', base: '10', short: 'cl', names: ['cl', 'centilitre', 'centilitres'] },
  dl: { dimension: 'volume', base: '100', short: 'dl', names: ['dl', 'decilitre', 'decilitres'] },
  l: { dimension: 'volume', base: '1000', short: 'L', names: ['l', 'litre', 'litres', 'liter', 'liters'] },
  tsp: { dimension: 'volume', base: '5', short: 'tsp', names: ['tsp', 'tsps', 'teaspoon', 'teaspoons'] },
  tbsp: { dimension: 'volume', base: '15', short: 'tbsp', names: ['tbsp', 'tbsps', 'tbs', 'tablespoon', 'tablespoons'] },
  cup: { dimension: 'volume', base: '250', short: 'cup', names: ['cup', 'cups'] },
  usTsp: { dimension: 'volume', base: usTsp, short: 'US tsp', names: ['us tsp'] },
  usTbsp: { dimension: 'volume', base: times(usTsp, '3'), short: 'US tbsp', names: ['us tbsp'] },
  usFlOz: { dimension: 'volume', base: times(usTsp, '6'), short: 'US fl oz', names: ['us fl oz', 'fl oz', 'fluid ounce', 'fluid ounces'] },
  usCup: { dimension: 'volume', base: times(usTsp, '48'), short: 'US cup', names: ['us cup', 'us cups'] },
  usPint: { dimension: 'volume', base: times(usTsp, '96'), short: 'US pint', names: ['us pint', 'us pints'] },
  usQuart: { dimension: 'volume', base: times(usTsp, '192'), short: 'US quart', names: ['quart', 'quarts', 'us quart', 'qt'] },
  usGallon: { dimension: 'volume', base: times(usTsp, '768'), short: 'US gallon', names: ['gallon', 'gallons', 'us gallon'] },
  ukPint: { dimension: 'volume', base: '56826125/100000', short: 'pint', names: ['pint', 'pints', 'uk pint', 'pt'] },
  ukFlOz: { dimension: 'volume', base: '56826125/2000000', short: 'UK fl oz', names: ['uk fl oz'] },
  piece: { dimension: 'piece', base: '1', short: '', names: ['piece', 'pieces'] },
  pinch: { dimension: 'none', base: '1', short: 'pinch', names: ['pinch', 'pinches', 'dash', 'dashes'] },
  turn: { dimension: 'none', base: '1', short: 'turn', names: ['turn', 'turns'] },
  handful: { dimension: 'none', base: '1', short: 'handful', names: ['handful', 'handfuls'] },
  glug: { dimension: 'none', base: '1', short: 'glug', names: ['glug', 'glugs'] },
  ladle: { dimension: 'none', base: '1', short: 'ladle', names: ['ladle', 'ladles'] },
};

const byName = new Map<string, Unit>(
  Object.entries(unitFacts).flatMap(([id, fact]) => fact.names.map((name): [string, Unit] => [name, id as Unit])),
);

/**
 * The unit a cook means by a word, or undefined when none.
 * @example unitNamed('Tablespoons') // 'tbsp'
 */
export const unitNamed = (word: string): Unit | undefined => byName.get(word.toLowerCase().replace(/\./g, '').replace(/\s+/g, ' ').trim());

/** Words that name units, longest first: for parsers. */
export const unitWords: readonly string[] = [...byName.keys()].sort((a, b) => b.length - a.length);

export interface Quantity {
  amount: Rational;
  unit: Unit;
}

/**
 * The same quantity in another unit of the same dimension, exactly.
 * @returns undefined when the dimensions differ: a mass becomes a volume only by a density (`gramsOf`)
 * @example convert({ amount: '2', unit: 'kg' }, 'g') // { amount: '2000', unit: 'g' }
 */
export function convert(q: Quantity, to: Unit): Quantity | undefined {
  const from = unitFacts[q.unit];
  const target = unitFacts[to];
  if (from.dimension !== target.dimension || from.dimension === 'none') return q.unit === to ? q : undefined;
  const base = times(q.amount, from.base);
  const [n = '1', d = '1'] = target.base.split('/');
  return { amount: times(base, `${d}/${n}`), unit: to };
}

/** Grams or millilitres of one, as a number: for sums and displays, which need no exact ones. */
const baseNumber = new Map(Object.entries(unitFacts).map(([unit, fact]) => [unit as Unit, toNumber(fact.base)]));

/**
 * Grams of a mass or millilitres of a volume; undefined for pieces and pinches.
 * @example inBase({ amount: '2', unit: 'l' }) // { dimension: 'volume', value: 2000 }
 */
export function inBase(q: Quantity): { dimension: 'mass' | 'volume'; value: number } | undefined {
  const fact = unitFacts[q.unit];
  if (fact.dimension !== 'mass' && fact.dimension !== 'volume') return undefined;
  return { dimension: fact.dimension, value: toNumber(q.amount) * (baseNumber.get(q.unit) ?? 1) };
}
