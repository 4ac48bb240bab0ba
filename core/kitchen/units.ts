import type { Unit } from '#core/contract';
import { times, toNumber, type Rational } from './rational.ts';

interface UnitFact {
  /** `count` is a piece with a name of its own: a clove is no stick. */
  dimension: 'mass' | 'volume' | 'piece' | 'count' | 'none';
  /** Exact grams or millilitres of one. */
  base: Rational;
  names: readonly string[];
  short: string;
}

/** US gallon 3785.411784 ml and pound 453.59237 g are exact by definition (NIST); the UK gallon is 4546.09 ml. */
const usTsp = '3785411784/768000000';

export const unitFacts: Readonly<Record<Unit, UnitFact>> = {
  mg: { dimension: 'mass', base: '1/1000', short: 'mg', names: ['mg', 'milligram', 'milligrams'] },
  g: { dimension: 'mass', base: '1', short: 'g', names: ['g', 'gr', 'gram', 'grams', 'gramme', 'grammes', 'gm', 'gms'] },
  kg: { dimension: 'mass', base: '1000', short: 'kg', names: ['kg', 'kilo', 'kilos', 'kilogram', 'kilograms', 'kgs'] },
  oz: { dimension: 'mass', base: '45359237/1600000', short: 'oz', names: ['oz', 'ozs', 'ounce', 'ounces'] },
  lb: { dimension: 'mass', base: '45359237/100000', short: 'lb', names: ['lb', 'lbs', 'pound', 'pounds'] },
  ml: { dimension: 'volume', base: '1', short: 'ml', names: ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'mls', 'cc'] },
  cl: { dimension: 'volume', base: '10', short: 'cl', names: ['cl', 'centilitre', 'centilitres'] },
  dl: { dimension: 'volume', base: '100', short: 'dl', names: ['dl', 'decilitre', 'decilitres'] },
  l: { dimension: 'volume', base: '1000', short: 'L', names: ['l', 'litre', 'litres', 'liter', 'liters', 'ltr', 'ltrs'] },
  tsp: { dimension: 'volume', base: '5', short: 'tsp', names: ['tsp', 'tsps', 'teaspoon', 'teaspoons'] },
  tbsp: {
    dimension: 'volume',
    base: '15',
    short: 'tbsp',
    names: ['tbsp', 'tbsps', 'tbs', 'tbl', 'tblsp', 'tb', 'tablespoon', 'tablespoons'],
  },
  cup: { dimension: 'volume', base: '250', short: 'cup', names: ['cup', 'cups'] },
  usTsp: { dimension: 'volume', base: usTsp, short: 'US tsp', names: ['us tsp'] },
  usTbsp: { dimension: 'volume', base: times(usTsp, '3'), short: 'US tbsp', names: ['us tbsp'] },
  usFlOz: { dimension: 'volume', base: times(usTsp, '6'), short: 'US fl oz', names: ['us fl oz', 'fl oz', 'fluid ounce', 'fluid ounces'] },
  usCup: { dimension: 'volume', base: times(usTsp, '48'), short: 'US cup', names: ['us cup', 'us cups'] },
  usPint: { dimension: 'volume', base: times(usTsp, '96'), short: 'US pint', names: ['us pint', 'us pints'] },
  usQuart: { dimension: 'volume', base: times(usTsp, '192'), short: 'US quart', names: ['quart', 'quarts', 'us quart', 'qt', 'qts'] },
  usGallon: {
    dimension: 'volume',
    base: times(usTsp, '768'),
    short: 'US gallon',
    names: ['gallon', 'gallons', 'us gallon', 'gal', 'gals'],
  },
  ukPint: { dimension: 'volume', base: '56826125/100000', short: 'pint', names: ['pint', 'pints', 'uk pint', 'pt', 'pts'] },
  ukFlOz: { dimension: 'volume', base: '56826125/2000000', short: 'UK fl oz', names: ['uk fl oz'] },
  piece: { dimension: 'piece', base: '1', short: '', names: ['piece', 'pieces'] },
  clove: { dimension: 'count', base: '1', short: 'clove', names: ['clove', 'cloves'] },
  stick: { dimension: 'count', base: '1', short: 'stick', names: ['stick', 'sticks'] },
  slice: { dimension: 'count', base: '1', short: 'slice', names: ['slice', 'slices'] },
  stalk: { dimension: 'count', base: '1', short: 'stalk', names: ['stalk', 'stalks'] },
  rib: { dimension: 'count', base: '1', short: 'rib', names: ['rib', 'ribs'] },
  rasher: { dimension: 'count', base: '1', short: 'rasher', names: ['rasher', 'rashers'] },
  bunch: { dimension: 'count', base: '1', short: 'bunch', names: ['bunch', 'bunches'] },
  sprig: { dimension: 'count', base: '1', short: 'sprig', names: ['sprig', 'sprigs'] },
  head: { dimension: 'count', base: '1', short: 'head', names: ['head', 'heads'] },
  fillet: { dimension: 'count', base: '1', short: 'fillet', names: ['fillet', 'fillets'] },
  leaf: { dimension: 'count', base: '1', short: 'leaf', names: ['leaf', 'leaves'] },
  bulb: { dimension: 'count', base: '1', short: 'bulb', names: ['bulb', 'bulbs'] },
  thumb: { dimension: 'count', base: '1', short: 'thumb', names: ['thumb', 'thumbs'] },
  knob: { dimension: 'count', base: '1', short: 'knob', names: ['knob', 'knobs'] },
  ear: { dimension: 'count', base: '1', short: 'ear', names: ['ear', 'ears'] },
  sheet: { dimension: 'count', base: '1', short: 'sheet', names: ['sheet', 'sheets'] },
  ball: { dimension: 'count', base: '1', short: 'ball', names: ['ball', 'balls'] },
  cube: { dimension: 'count', base: '1', short: 'cube', names: ['cube', 'cubes'] },
  block: { dimension: 'count', base: '1', short: 'block', names: ['block', 'blocks', 'slab', 'slabs'] },
  pod: { dimension: 'count', base: '1', short: 'pod', names: ['pod', 'pods'] },
  floret: { dimension: 'count', base: '1', short: 'floret', names: ['floret', 'florets'] },
  wedge: { dimension: 'count', base: '1', short: 'wedge', names: ['wedge', 'wedges'] },
  strip: { dimension: 'count', base: '1', short: 'strip', names: ['strip', 'strips'] },
  loaf: { dimension: 'count', base: '1', short: 'loaf', names: ['loaf', 'loaves'] },
  drop: { dimension: 'count', base: '1', short: 'drop', names: ['drop', 'drops'] },
  tin: { dimension: 'count', base: '1', short: 'tin', names: ['tin', 'tins', 'can', 'cans'] },
  jar: { dimension: 'count', base: '1', short: 'jar', names: ['jar', 'jars'] },
  pack: {
    dimension: 'count',
    base: '1',
    short: 'pack',
    names: ['pack', 'packs', 'packet', 'packets', 'package', 'packages', 'pkg', 'pkt'],
  },
  bottle: { dimension: 'count', base: '1', short: 'bottle', names: ['bottle', 'bottles'] },
  bag: { dimension: 'count', base: '1', short: 'bag', names: ['bag', 'bags', 'pouch', 'pouches'] },
  tub: { dimension: 'count', base: '1', short: 'tub', names: ['tub', 'tubs'] },
  carton: { dimension: 'count', base: '1', short: 'carton', names: ['carton', 'cartons'] },
  sachet: { dimension: 'count', base: '1', short: 'sachet', names: ['sachet', 'sachets', 'envelope', 'envelopes'] },
  pinch: { dimension: 'none', base: '1', short: 'pinch', names: ['pinch', 'pinches', 'dash', 'dashes'] },
  turn: { dimension: 'none', base: '1', short: 'turn', names: ['turn', 'turns'] },
  handful: { dimension: 'none', base: '1', short: 'handful', names: ['handful', 'handfuls'] },
  glug: { dimension: 'none', base: '1', short: 'glug', names: ['glug', 'glugs'] },
  ladle: { dimension: 'none', base: '1', short: 'ladle', names: ['ladle', 'ladles'] },
  splash: { dimension: 'none', base: '1', short: 'splash', names: ['splash', 'splashes'] },
  drizzle: { dimension: 'none', base: '1', short: 'drizzle', names: ['drizzle', 'drizzles'] },
  squeeze: { dimension: 'none', base: '1', short: 'squeeze', names: ['squeeze', 'squeezes'] },
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
  if (from.dimension !== target.dimension || from.dimension === 'none' || from.dimension === 'count') return q.unit === to ? q : undefined;
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
