import type { Line } from '#core/contract';
import { toNumber, unitFacts } from '#core/kitchen';
import { readMeasure } from '../text/measure.ts';
import { readNumber } from '../text/number.ts';
import type { Token } from './sentences.ts';

/** How much of a line a text says, right before it names it. */
export type SaidShare =
  | { share: number; /** Written as an amount, so that it can contradict the list. */ amount?: string }
  /** What is left of it. */
  | 'rest'
  | undefined;

const fractions: readonly (readonly [RegExp, number])[] = [
  [/(?:two[- ]thirds|zwei drittel|deux tiers|dos tercios|due terzi|⅔)(?: of| der| des| de| di)?$/iu, 2 / 3],
  [/(?:three[- ]quarters|dreiviertel|drei viertel|trois quarts|tres cuartos|tre quarti|¾)(?: of| der| des| de| di)?$/iu, 0.75],
  [/(?:a third|one third|ein drittel|un tiers|un tercio|un terzo|⅓)(?: of| der| des| de| di)?$/iu, 1 / 3],
  [/(?:a quarter|one quarter|ein viertel|un quart|un cuarto|un quarto|¼)(?: of| der| des| de| di)?$/iu, 0.25],
  [/(?:half|(?:die|der) hälfte|halbe[nrs]?|la moitié|la mitad|mitad|metà|½)(?: of| der| des| vom| von| de| del| di| dei)?$/iu, 0.5],
  [/(?:most|das meiste|la plupart|la mayor parte)(?: of| der| des| de)?$/iu, 0.8],
  [/(?:a little|a bit|some|etwas|un peu|un poco)(?: of| de| di)?$/iu, 0.1],
];
const rest =
  /(?:the rest|rest|remaining|remainder|the other(?: half)?|other half|what(?:'s| is) left|last|left-?over|reserved|restliche[nrsm]?|übrige[nrsm]?|le reste|restant[es]*|el resto|restante[s]?|il resto|rimanente)(?: of| der| des| vom| von| de| del| di| dei)?$/iu;
const joining = /(?:\s*\b(?:of|the|your|its|that|this|de|du|des|la|le|les|del|los|las|el|der|den|dem|das|die|des|di|il|lo|gli|i)\b\s*)+$/iu;

/** Grams, millilitres or pieces of an amount, where its unit has them. */
function plainAmount(amount: string | undefined, unit: Line['unit']): { value: number; dimension: string } | undefined {
  if (amount === undefined) return undefined;
  if (!unit || unit === 'piece') return { value: toNumber(amount), dimension: 'count' };
  const { dimension, base } = unitFacts[unit];
  return { value: toNumber(amount) * toNumber(base), dimension: dimension === 'count' ? `count ${unit}` : dimension };
}

/**
 * What a text says of how much of a line goes in, from the words before its name.
 * @param before the text of the clause up to the name
 * @example saidShare('stir in 60 g of the ', line).share // 0.5, of 120 g
 */
export function saidShare(before: string, line: Line, after = ''): SaidShare {
  const text = before.replace(joining, '').trimEnd();
  const said = `${text}${/\b(?:of)\s*(?:the|your)?\s*$/iu.test(before) ? ' of' : ''}`;
  if (rest.test(text) || rest.test(said)) return 'rest';
  for (const [pattern, share] of fractions) if (pattern.test(text) || pattern.test(said)) return { share };
  if (/^\s*,?\s*half(?: of it)?\s*(?:[,.;)]|$)/iu.test(after)) return { share: 0.5 };
  // an amount: from the number nearest before the name
  const starts = [
    ...text.matchAll(
      /(?<![\p{L}\d.,/])(?:[\d¼-¾⅐-⅞]|(?:one|two|three|four|five|six|eight|ten|zwei|drei|vier|deux|trois|dos|tres|due|tre|ein|eine|einen)\b)/giu,
    ),
  ];
  const start = starts.at(-1);
  if (!start) return undefined;
  let from = start.index;
  const earlier = starts.at(-2);
  // “1 1/4”, “2 to 3”
  if (earlier && /^[\d\s¼-¾⅐-⅞/.,]*$/.test(text.slice(earlier.index, from))) from = earlier.index;
  const measure = text.slice(from);
  const full = plainAmount(line.amount, line.unit);
  const read = readMeasure(`${measure} of it`) ?? readMeasure(measure);
  const number = readNumber(measure);
  if (!full || full.value <= 0) return undefined;
  const words = number ? number.rest.replace(/\b(?:of|the|more|small|large|big|medium)\b/giu, ' ').trim() : '';
  if (read?.unit && read.unit !== 'piece' && read.amount !== undefined) {
    const part = plainAmount(read.amount, read.unit);
    if (part && part.dimension === full.dimension) return { share: part.value / full.value, amount: measure.trim() };
    return undefined;
  }
  if (number && words === '' && full.dimension.startsWith('count') && line.amountTo === undefined) {
    const n = toNumber(number.amount);
    if (n > 0 && n <= full.value) return { share: n / full.value };
  }
  return undefined;
}

/** Words before a mention within its clause. */
export function wordsBefore(text: string, tokens: readonly Token[], i: number): string {
  let from = i;
  while (from > 0 && i - from < 7 && (tokens[from]!.before === 'space' || from === i)) {
    if (tokens[from]!.before !== 'space') break;
    from -= 1;
  }
  return text.slice(tokens[from]!.at, tokens[i]!.at);
}
