import type { Unit } from '#core/contract';
import { over, plus, times, toNumber, unitFacts, type Rational } from '#core/kitchen';
import { readNumber } from './number.ts';
import { noFigure, ofWord, readUnit, sizeWords } from './words.ts';

/** The measure a line begins with, and what follows it. */
export interface ReadMeasure {
  amount?: Rational;
  /** High end of a range. */
  amountTo?: Rational;
  unit?: Unit;
  /** How full or large, the second of two measures, how many packs of what: as written. */
  notes: string[];
  rest: string;
}

interface Quantity {
  amount: Rational;
  amountTo?: Rational;
  unit: Unit;
  notes: string[];
  rest: string;
}

const isMeasured = (unit: Unit | undefined): unit is Unit =>
  unit !== undefined && (unitFacts[unit].dimension === 'mass' || unitFacts[unit].dimension === 'volume');
const packs: ReadonlySet<Unit> = new Set<Unit>(['tin', 'jar', 'pack', 'bottle', 'bag', 'tub', 'carton', 'sachet', 'block']);
const metric: ReadonlySet<Unit> = new Set<Unit>(['g', 'kg', 'mg', 'ml', 'cl', 'dl', 'l']);

/** Teaspoons in spoons and cups that are added up in one line: sixteen tablespoons are a cup whatever its size. */
const inTeaspoons: Partial<Record<Unit, Rational>> = { tsp: '1', tbsp: '3', cup: '48', usFlOz: '6' };

const about = /^\s*(?:about|approx(?:imately|\.)?|around|roughly|ca\.?|circa|c\.|~|or|etwa|environ|each|je|total)?\s*/iu;

/** A unit, with a word before it that says how full the spoon or how large the slice is. */
function unitAt(text: string): { unit: Unit; times: Rational; size?: string; rest: string } | undefined {
  const bare = text.replace(/^\s*-?\s*/, '');
  const direct = readUnit(bare);
  if (direct) return direct;
  const size = sizeWords.exec(bare);
  const after = size && readUnit(bare.slice(size[0].length));
  return after ? { ...after, size: size[0].trim() } : undefined;
}

const rangeWord = /^\s*(?:-|–|—|‑|to|or|bis|oder|à|a|ou|o|u|al)\s*(?=[\d¼-¾⅐-⅞.]|[\p{L}])/iu;

/** A number or a range of them with a unit: `2 to 2 1/2 lb`, `200g-250g`, `4 or 5`. */
function simpleQuantity(text: string): Quantity | undefined {
  const first = readNumber(text);
  if (!first) return undefined;
  const own = unitAt(first.rest);
  const tryRange = (rest: string): { amount: Rational; rest: string } | undefined => {
    const sign = rangeWord.exec(rest);
    const second = sign ? readNumber(rest.slice(sign[0].length)) : undefined;
    return second && toNumber(second.amount) > toNumber(first.amount) ? second : undefined;
  };
  // "200g-250g", "1 kg to 1.5 kg": the unit stands twice
  const twice = own && tryRange(own.rest);
  const last = twice && unitAt(twice.rest);
  if (own && twice && last?.unit === own.unit) {
    return {
      amount: times(first.amount, own.times),
      amountTo: times(twice.amount, own.times),
      unit: own.unit,
      notes: own.size ? [own.size] : [],
      rest: last.rest,
    };
  }
  const range = tryRange(first.rest);
  const after = range ?? first;
  const found = range ? unitAt(range.rest) : own;
  // "a cup and a half"
  const half = found && !range ? /^\s+and\s+(?:a\s+)?(half|quarter)(?![\p{L}])/iu.exec(found.rest) : null;
  if (found && half)
    return {
      amount: times(plus(first.amount, half[1]?.toLowerCase() === 'half' ? '1/2' : '1/4'), found.times),
      unit: found.unit,
      notes: found.size ? [found.size] : [],
      rest: found.rest.slice(half[0].length),
    };
  const scale = found?.times ?? '1';
  return {
    amount: times(first.amount, scale),
    ...(range && { amountTo: times(range.amount, scale) }),
    unit: found?.unit ?? 'piece',
    notes: found?.size ? [found.size] : [],
    rest: found ? found.rest : after.rest,
  };
}

/** One amount in the unit of another, in a sum of one line; undefined when they cannot be added. */
function inUnitOf(amount: Rational, from: Unit, to: Unit): Rational | undefined {
  const [a, b] = [inTeaspoons[from], inTeaspoons[to]];
  if (a !== undefined && b !== undefined) return over(times(amount, a), b);
  if (!isMeasured(from) || unitFacts[from].dimension !== unitFacts[to].dimension) return undefined;
  return over(times(amount, unitFacts[from].base), unitFacts[to].base);
}

const plusWord = /^\s*(?:\+|plus|and|&|und|et|e|y)\s*(?=[\d¼-¾⅐-⅞]|[\p{L}])/iu;

/** A quantity and what is added to it: `2 lb 6 oz`, `1 cup plus 3 tablespoons`; exact, in the smaller unit. */
function quantityAt(text: string): Quantity | undefined {
  let sum = simpleQuantity(text);
  for (let i = 0; sum && i < 4; i += 1) {
    const q: Quantity = sum;
    if (!isMeasured(q.unit) || q.amountTo !== undefined) break;
    const word = plusWord.exec(q.rest);
    const next = simpleQuantity(q.rest.slice(word ? word[0].length : (/^\s*/.exec(q.rest)?.[0].length ?? 0)));
    if (!next || next.amountTo !== undefined || !isMeasured(next.unit)) break;
    const smaller = toNumber(unitFacts[next.unit].base) < toNumber(unitFacts[q.unit].base);
    // without a word between, only what is smaller is added
    if (!word && !smaller) break;
    const [unit, a, b] = smaller
      ? [next.unit, inUnitOf(q.amount, q.unit, next.unit), next.amount]
      : [q.unit, q.amount, inUnitOf(next.amount, next.unit, q.unit)];
    if (a === undefined || b === undefined) break;
    sum = { amount: plus(a, b), unit, notes: q.notes, rest: next.rest };
  }
  return sum;
}

const lengthOf = String.raw`\d+(?:[.,]\d+)?(?:\s*[/\u2044]\s*\d+|\s*[½¼¾])?\s*-?\s*(?:cm|mm|inch(?:es)?|in\b\.?|["”″])`;
const lumps = 'pieces?|knobs?|thumbs?|chunks?|sticks?|lengths?|slices?|strips?|lumps?|nubs?';
/** `2-inch piece`, `5 cm stick`, `thumb-sized piece`: a length is no amount. */
const sized = new RegExp(
  `^\\s*(?:(\\(?(?:${lengthOf}|[\\p{L}]+[- ]sized?)\\)?)[\\s-]*(?:long\\s+|thick\\s+)?(${lumps})(?![\\p{L}])|(${lengthOf})(?=\\s+(?:of\\s+)?[\\p{L}]{3}))`,
  'iu',
);

function sizedPiece(text: string): { unit: Unit; note: string; rest: string } | undefined {
  const m = sized.exec(text);
  if (m?.[3]) return { unit: 'piece', note: m[3].trim(), rest: text.slice(m[0].length) };
  if (!m?.[1] || !m[2]) return undefined;
  const unit = /^thumb/i.test(m[1]) ? 'thumb' : (readUnit(m[2])?.unit ?? 'piece');
  return { unit, note: m[1].trim(), rest: text.slice(m[0].length) };
}

/** Contents of a pack: `(400 g)`, `400g`, `160-gram`, `(8 g each)`; and what follows. */
function contentsAt(text: string, bracketed: boolean): (Quantity & { total: boolean; text: string }) | undefined {
  const m = /^\s*(\()?\s*/.exec(text);
  if (!m || (bracketed && m[1] === undefined)) return undefined;
  const inner = text.slice(m[0].length);
  // "(2 x 400 g)": all of them together
  const all = m[1] === undefined ? undefined : packAt(inner);
  const shut = all && isMeasured(all.unit) ? /^[^)]*\)/.exec(all.rest) : null;
  if (all && shut)
    return { ...all, total: true, text: inner.slice(0, inner.length - all.rest.length).trim(), rest: all.rest.slice(shut[0].length) };
  const word = about.exec(inner)?.[0] ?? '';
  const q = quantityAt(inner.slice(word.length));
  if (!q || !isMeasured(q.unit)) return undefined;
  const end = m[1] === undefined ? /^/.exec(q.rest) : /^\s*(each|total|in total|apiece|je|drained weight)?[^)]*\)/i.exec(q.rest);
  if (!end) return undefined;
  return {
    ...q,
    total: /total/i.test(word + (end[1] ?? '')),
    text: inner.slice(word.length, inner.length - q.rest.length).trim(),
    rest: q.rest.slice(end[0].length),
  };
}

/** `2 x 400 g tins`, `2 (400 g) tins`, `three 160-gram tins`, `half a 340 g jar`: the packs times what each holds. */
function packAt(text: string): Quantity | undefined {
  const count = readNumber(text);
  if (!count) return undefined;
  const sign = /^\s*(?:x|×|\*)\s*/i.exec(count.rest);
  const contents = contentsAt(count.rest.slice(sign?.[0].length ?? 0), false);
  if (!contents || contents.amountTo !== undefined) return undefined;
  const word = unitAt(contents.rest.replace(/^\s*-?\s*/, ''));
  const isPack = word !== undefined && (packs.has(word.unit) || word.unit === 'piece');
  // "1 2-lb. roast": a thing sold by its weight
  const byWeight = /^\s*\d+(?:[.,]\d+)?\s*-\s*(?:lbs?|pounds?|oz|ounces?|g|grams?|kg|kilos?)\b/i.test(count.rest);
  if (!sign && !isPack && !byWeight) return undefined;
  return {
    amount: contents.total ? contents.amount : times(count.amount, contents.amount),
    unit: contents.unit,
    notes: [`${toNumber(count.amount)} of ${contents.text}`],
    rest: isPack ? word.rest : contents.rest,
  };
}

/** `2 large or 3 small`: one of two counts, the first is taken. */
const otherCount =
  /^\s*(large|small|medium|big|thick|thin)\s+(or\s+[\d¼-¾]+(?:\s*[-–]\s*\d+)?\s+(?:large|small|medium|big|thick|thin))(?=\s)/iu;

const openRange = /^(?:up to|bis zu|jusqu['’]à|hasta|fino a|at most|max\.?|maximum)\s+(?:about\s+)?/iu;
const betweenRange = /^(?:between|from|zwischen|entre|tra|da|de)\s+(?=[\d¼-¾⅐-⅞]|[\p{L}])/iu;

/** `up to 4 tbsp` is none to four; `between 50 and 75 ml` is a range. */
function openOrBetween(text: string): Quantity | undefined {
  const open = openRange.exec(text);
  if (open) {
    const q = quantityAt(text.slice(open[0].length));
    return q && { ...q, amount: '0', amountTo: q.amountTo ?? q.amount };
  }
  const between = betweenRange.exec(text);
  const low = between ? readNumber(text.slice(between[0].length)) : undefined;
  if (!low) return undefined;
  const own = unitAt(low.rest);
  const and = /^\s*(?:and|to|und|et|y|e|a|-|–)\s+/iu.exec(own?.rest ?? low.rest);
  const high = and ? simpleQuantity((own?.rest ?? low.rest).slice(and[0].length)) : undefined;
  if (!high || toNumber(high.amount) <= toNumber(low.amount)) return undefined;
  return { ...high, amount: low.amount, amountTo: high.amount };
}

/** Whether a line begins with two ends of a range in words. @example isRange('between 50 and 75 ml rum') // true */
export const isRange = (text: string): boolean => openOrBetween(text) !== undefined;

/** A count word without a number: `pinch of salt`, `handful of rocket`, `knob butter`. */
const loose: ReadonlySet<Unit> = new Set<Unit>([
  'pinch',
  'handful',
  'knob',
  'splash',
  'drizzle',
  'glug',
  'squeeze',
  'bunch',
  'thumb',
  'sprig',
  'turn',
]);

function bareUnit(text: string): Quantity | undefined {
  const found = unitAt(text);
  if (
    !found ||
    !(loose.has(found.unit) || (found.size !== undefined && unitFacts[found.unit].dimension === 'count')) ||
    !/^\s+\p{L}/u.test(found.rest)
  )
    return undefined;
  if (found.size === undefined && !ofWord.test(found.rest) && !['pinch', 'handful', 'knob', 'splash', 'drizzle'].includes(found.unit))
    return undefined;
  return { amount: '1', unit: found.unit, notes: found.size ? [found.size] : [], rest: found.rest };
}

/** The second of two measures: after a slash the metric one is taken, in brackets or after “or” it stays a note. */
function withSecond(q: Quantity): Quantity {
  const sign = /^\s*([/|(=]|or\b|oder\b|ou\b)\s*/iu.exec(q.rest);
  if (!sign?.[1]) return q;
  const nested = sign[1] === '(' && packs.has(q.unit) ? contentsAt(q.rest, true) : undefined;
  if (nested?.total) return { amount: nested.amount, unit: nested.unit, notes: [...q.notes, nested.text], rest: nested.rest };
  const after = q.rest.slice(sign[0].length);
  const word = about.exec(after)?.[0] ?? '';
  const second = quantityAt(after.slice(word.length));
  const given = second && unitAt(readNumber(after.slice(word.length))?.rest ?? '') !== undefined;
  if (!second || !given || !isMeasured(second.unit)) return q;
  const close = sign[1] === '(' ? /^[^)]*\)/.exec(second.rest) : /^/.exec(second.rest);
  if (!close) return q;
  const said = after.slice(0, after.length - second.rest.length).trim();
  const rest = second.rest.slice(close[0].length);
  if (sign[1] === '(' && packs.has(q.unit)) {
    const total = /total/i.test(close[0]);
    return {
      amount: total ? second.amount : times(q.amount, second.amount),
      unit: second.unit,
      notes: [...q.notes, `${toNumber(q.amount)} of ${said}`],
      rest,
    };
  }
  if (!isMeasured(q.unit)) return { ...q, notes: [...q.notes, said], rest };
  const swap = (sign[1] === '/' || sign[1] === '|') && metric.has(second.unit) && !metric.has(q.unit);
  const first = `${toNumber(q.amount)} ${unitFacts[q.unit].short}`;
  return swap ? withSecond({ ...second, notes: [...q.notes, first], rest }) : withSecond({ ...q, notes: [...q.notes, said], rest });
}

/**
 * Reads the measure a line begins with: numbers, ranges, sums, packs with their contents, both of two measures, count words; `some` and `a few` are no figure.
 * @example readMeasure('2 lb 6 oz gammon') // { amount: '38', unit: 'oz', notes: [], rest: ' gammon' }
 */
export function readMeasure(text: string): ReadMeasure | undefined {
  const few = noFigure.exec(text);
  if (few) {
    const rest = text.slice(few[0].length);
    const word = unitAt(rest);
    const counted = word && !isMeasured(word.unit) && word.unit !== 'piece' && ofWord.test(word.rest);
    return { notes: [few[0].trim()], rest: counted ? word.rest : rest };
  }
  const alone = sizedPiece(text);
  if (alone) return { amount: '1', unit: alone.unit, notes: [alone.note], rest: alone.rest };
  const open = openOrBetween(text);
  if (open) return withSecond(open);
  const nested = packAt(text);
  if (nested) return withSecond(nested);
  const count = readNumber(text);
  const lump = count && sizedPiece(count.rest);
  if (lump) return { amount: count.amount, unit: lump.unit, notes: [lump.note], rest: lump.rest };
  const either = count && otherCount.exec(count.rest);
  if (either) return { amount: count.amount, unit: 'piece', notes: [either[0].trim()], rest: count.rest.slice(either[0].length) };
  const q = count ? quantityAt(text) : bareUnit(text);
  // "500 g pack of noodles": the weight is what counts
  const pack = q && isMeasured(q.unit) ? unitAt(q.rest.replace(/^\s+/, '')) : undefined;
  if (q && pack && packs.has(pack.unit)) return withSecond({ ...q, rest: pack.rest });
  return q && withSecond({ ...q, rest: q.rest.replace(/^\s*(?:x|×)\s+(?=\p{L})/iu, ' ') });
}

/** What a pack bought by the number holds, said after its food: `1 can coconut milk (400 ml)`. */
export function contentsAfter(text: string): { amount: Rational; unit: Unit; said: string; total: boolean } | undefined {
  const q = contentsAt(text, true);
  return q && { amount: q.amount, unit: q.unit, said: q.text, total: q.total };
}
/** Whether a unit is a pack that holds something. @example isPack('tin') // true */
export const isPack = (unit: Unit | undefined): boolean => unit !== undefined && packs.has(unit);
