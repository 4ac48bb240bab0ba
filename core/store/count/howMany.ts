/** How many packs a count line says, and how much is in each. */
export interface HowMany {
  packs: number;
  /** Portions, cubes or pieces in each pack, when they are said. */
  each?: number;
  /** Millilitres in each, or grams of what nobody weighs by volume. */
  ml?: number;
  /** Words of the line that say it. */
  length: number;
  /** A bare number, which of rolls counts rolls. */
  bare?: true;
}

const numbers = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];
const packWord = /^(?:bags?|tubs?|packs?|packets?|boxe?s?|jars?|trays?|tins?|pots?|containers?|portions? packs?|parcels?|blocks?)$/;
const pieceWord = /^(?:cubes?|pieces?|portions?|servings?|balls?|slices?|rolls?|buns?)$/;
const volumes: Readonly<Record<string, number>> = {
  ml: 1,
  g: 1,
  l: 1000,
  litre: 1000,
  litres: 1000,
  liter: 1000,
  kg: 1000,
  cl: 10,
  dl: 100,
};
const amount = /^(\d+(?:[.,]\d+)?)(ml|cl|dl|l|litres?|liter|kg|g)$/;

const figure = (text: string): number => Number(text.replace(',', '.'));
const countOf = (token: string | undefined): number | undefined => {
  if (token === undefined) return undefined;
  if (/^\d{1,3}$/.test(token)) return Number(token);
  const word = numbers.indexOf(token.toLowerCase());
  return word < 0 ? undefined : word + 1;
};
const mlOf = (token: string | undefined): number | undefined => {
  const m = amount.exec(token?.toLowerCase() ?? '');
  return m ? figure(m[1] ?? '') * (volumes[m[2] ?? ''] ?? 1) : undefined;
};

/**
 * A line's words, with what belongs together in one: `4 x 500 ml` is `4x500ml`.
 * @example wordsOfLine('broth, 4 x 500 ml') // ['broth', '4x500ml']
 */
export const wordsOfLine = (text: string): string[] =>
  text
    .trim()
    .replace(/(\d)\s*[x×*]\s*(?=\d)/gi, '$1x')
    .replace(/(\d)\s+(ml|cl|dl|l|litres?|liter|kg|g)(?![\p{L}\d])/giu, '$1$2')
    // a comma in a figure is no end of a word
    .split(/[\s;]+|,(?!\d)/)
    .filter(Boolean);

/** What stands in each pack: `of 2`, `of 20 cubes`, `of 500ml`. */
function eachOf(tokens: readonly string[], at: number): { each?: number; ml?: number; length: number } {
  const of = tokens[at]?.toLowerCase() === 'of' ? 1 : 0;
  const ml = mlOf(tokens[at + of]);
  if (ml !== undefined) return { ml, length: of + 1 };
  const n = countOf(tokens[at + of]);
  if (n === undefined) return { length: 0 };
  const piece = pieceWord.test(tokens[at + of + 1]?.toLowerCase() ?? '');
  // without “of” a second number is a date's
  return of === 1 || piece ? { each: n, length: of + 1 + (piece ? 1 : 0) } : { length: 0 };
}

/**
 * How many, if it is said at a word of a line: `4`, `4x2`, `4x500ml`, `3 bags`, `3 tubs of 2`, `2 bags of 20 cubes`, `40 cubes`, `500g`, `two`.
 * @returns undefined when no count begins there
 * @example howManyAt(['puree', '40', 'cubes'], 1) // { packs: 1, each: 40, length: 2 }
 */
export function howManyAt(tokens: readonly string[], at: number): HowMany | undefined {
  const token = tokens[at]?.toLowerCase() ?? '';
  const times = /^(\d{1,3})x(.+)$/.exec(token);
  if (times) {
    const packs = Number(times[1]);
    const ml = mlOf(times[2]);
    if (ml !== undefined) return { packs, ml, length: 1 };
    return /^\d+(?:[.,]\d+)?$/.test(times[2] ?? '')
      ? { packs, each: figure(times[2] ?? ''), length: 1 + (pieceWord.test(tokens[at + 1]?.toLowerCase() ?? '') ? 1 : 0) }
      : undefined;
  }
  const ml = mlOf(token);
  if (ml !== undefined) return { packs: 1, ml, length: 1 };
  const n = countOf(token);
  if (n === undefined) return undefined;
  const next = tokens[at + 1]?.toLowerCase() ?? '';
  if (packWord.test(next)) {
    const { length, ...each } = eachOf(tokens, at + 2);
    return { packs: n, ...each, length: 2 + length };
  }
  // “12 rolls” at the head of a line is its name too
  if (at > 0 && pieceWord.test(next)) return { packs: 1, each: n, length: 2 };
  if (/^(?:cubes?|pieces?)$/.test(next)) return { packs: 1, each: n, length: 2 };
  return { packs: n, length: 1, bare: true };
}
