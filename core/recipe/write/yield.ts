import type { Revision } from '#core/contract';
import { inBase, toNumber } from '#core/kitchen';
import { readMeasure } from '../text/measure.ts';

/** What a recipe makes, as its words say it. */
export interface ReadYield {
  /** Portions, plates, cubes, loaves: whatever is counted. */
  count?: number;
  /** One of them, when that is said too. */
  each?: Revision['serving'];
  /** All of it, when a weight or a volume is said. */
  total?: Revision['serving'];
}

const front =
  /^(?:(?:this|the recipe)\s+)?(?:serves|makes|yields?|servings?|portions?|feeds|enough for|für|ergibt|portionen|pour|donne|per|dosi per|para|rinde|about|approx(?:imately|\.)?|roughly|nearly|just over|around|~|ca\.?|circa|etwa|environ)\s*:?\s*/iu;

const asServing = (text: string): Revision['serving'] | undefined => {
  const q = readMeasure(text.trim());
  const amount = q?.amountTo !== undefined && q.amount === '0' ? q.amountTo : q?.amount;
  const base = amount !== undefined && q?.unit ? inBase({ amount, unit: q.unit }) : undefined;
  return base && base.value > 0 ? { amount: Number(base.value.toFixed(2)), unit: base.dimension === 'mass' ? 'g' : 'ml' } : undefined;
};

/**
 * One serving in a cook's words: `420 g`, `a 30 ml cube`, `1/2 pint`.
 * @returns undefined when no weight or volume is said
 * @example readServing('about 420 g') // { amount: 420, unit: 'g' }
 */
export const readServing = (text: string): Revision['serving'] | undefined =>
  asServing(text.replace(/^(?:an?|one|about|ca\.?|approx\.?|each|of|à|von|~)\s+/iu, '')) ?? asServing(text);

const sizes = '(\\d[\\d.,]*(?:\\s*/\\s*\\d+)?[\\s-]?(?:g|grams?|kg|ml|cl|dl|l|litres?|oz|ounces?))';
const eachSaid = new RegExp(
  `\\b${sizes}(?:\\s+|-)(?:portions?|servings?|cubes)\\b|\\b(?:portions?|servings?|cubes) of (?:about )?${sizes}(?![\\p{L}\\d])`,
  'iu',
);

/**
 * How large a portion is by what its method says of the packing.
 * @returns undefined when no size is said
 * @example readPortion(['Bag in 300 g portions.']) // { amount: 300, unit: 'g' }
 */
export function readPortion(method: readonly string[]): Revision['serving'] | undefined {
  for (const text of method) {
    const [, before, after] = eachSaid.exec(text) ?? [];
    const size = asServing((before ?? after ?? '').replace('-', ' '));
    if (size) return size;
  }
  return undefined;
}

/**
 * What a recipe makes, in any measure: “3 litres” is a yield and not three servings, “7 plates of 420 g” is both.
 * @example readYield('Serves 4 to 6') // { count: 4 }
 * @example readYield('2 x 900 ml tubs') // { count: 2, each: { amount: 900, unit: 'ml' }, total: { amount: 1800, unit: 'ml' } }
 */
export function readYield(text: string): ReadYield {
  let rest = text.trim().slice(0, 200);
  for (let i = 0; i < 3; i += 1) rest = rest.replace(front, '');
  const packs = /^(\d{1,4})\s*(?:x|×)\s*(\S.*)$/iu.exec(rest);
  const each = packs?.[2] ? asServing(packs[2]) : undefined;
  if (packs?.[1] && each) {
    const count = Number(packs[1]);
    return count > 0 ? { count, each, total: { amount: count * each.amount, unit: each.unit } } : {};
  }
  const whole = asServing(rest);
  if (whole) {
    const beside = /[,;(]\s*(?:serves|for|enough for|about)?\s*(\d{1,4})\b/iu.exec(rest);
    return { total: whole, ...(beside?.[1] && Number(beside[1]) > 0 && { count: Number(beside[1]) }) };
  }
  const q = readMeasure(rest.replace(/^.*?(?=[\d¼-¾⅐-⅞]|\b(?:one|two|three|four|five|six|eight|ten|twelve|a dozen|half a dozen)\b)/iu, ''));
  const count = q?.amount === undefined ? undefined : toNumber(q.amount === '0' ? (q.amountTo ?? '0') : q.amount);
  if (q === undefined || count === undefined || !(count > 0)) return {};
  const of = /(?:\b(?:of|à|a|von|je|at)\s+|\(\s*(?:about\s+|each\s+)?)(\d.*)$/iu.exec(q.rest);
  const one = of?.[1] ? asServing(of[1]) : undefined;
  return { count: Number(count.toFixed(4)), ...(one && { each: one }) };
}
