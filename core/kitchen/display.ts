const hard = '\u00A0';
const fractions: Readonly<Record<number, string>> = { 0.25: '¼', 0.5: '½', 0.75: '¾' };

/** Made once: a formatter is dear to make and cheap to use. */
const formatters = [0, 1, 2, 3].map((maximumFractionDigits) => new Intl.NumberFormat('en-GB', { maximumFractionDigits }));

/** Trims trailing zeros: `1.50` is `1.5`. */
function trimmed(n: number, digits: 0 | 1 | 2 | 3): string {
  // thousands want their comma; below, plain digits say the same and cost a tenth
  if (Math.abs(n) >= 999) return formatters[digits]?.format(n) ?? String(n);
  const power = 10 ** digits;
  return String(Math.round(n * power) / power);
}

/** What a sum in floating point may be off by, far under a quarter. */
const noise = 1e-6;

/**
 * Portions asked for, rounded up to the quarter, so that no plate is short. Noise of arithmetic is no quarter.
 * @example quarterUp(7.6) // 7.75
 */
export const quarterUp = (portions: number): number => Math.max(0, Math.ceil(portions * 4 - noise)) / 4;
/**
 * Portions there are, rounded down to the quarter, so that none is promised twice. Noise of arithmetic costs no quarter.
 * @example quarterDown(7.6) // 7.5
 */
export const quarterDown = (portions: number): number => Math.floor(portions * 4 + noise) / 4;

/**
 * Portions in quarters, as a cook writes them.
 * @example sayPortions(1.5) // '1½'
 */
export function sayPortions(portions: number): string {
  const whole = Math.floor(portions + 1e-9);
  const rest = fractions[Math.round((portions - whole) * 4) / 4];
  if (rest === undefined) return trimmed(portions, 2);
  return whole === 0 ? rest : `${whole}${rest}`;
}

/** Grams below a kilo, kilos above, with a hard space. @example sayMass(1350) // '1.35 kg' */
export const sayMass = (g: number): string => (g >= 1000 ? `${trimmed(g / 1000, 2)}${hard}kg` : `${trimmed(g, g < 10 ? 1 : 0)}${hard}g`);

/** Millilitres below a litre, litres above, with a hard space. @example sayVolume(750) // '750 ml' */
export const sayVolume = (ml: number): string =>
  ml >= 1000 ? `${trimmed(ml / 1000, 2)}${hard}L` : `${trimmed(ml, ml < 10 ? 1 : 0)}${hard}ml`;

/** From two days on, minutes tell nothing. */
const daysFromMin = 2 * 1440;

/** `50 min`, `2 h`, `2 h 32 min`, `14 days`. @example sayMinutes(95) // '1 h 35 min' */
export function sayMinutes(min: number): string {
  const m = Math.max(0, Math.round(min));
  if (m < 60) return `${m}${hard}min`;
  if (m >= daysFromMin) {
    const hours = Math.round(m / 60);
    return hours % 24 === 0 ? `${hours / 24}${hard}days` : `${Math.floor(hours / 24)}${hard}days${hard}${hours % 24}${hard}h`;
  }
  const rest = m % 60;
  return rest === 0 ? `${m / 60}${hard}h` : `${Math.floor(m / 60)}${hard}h${hard}${rest}${hard}min`;
}

/** Money in the household's currency from cents. @example sayMoney(250, 'GBP', 'en-GB') // '£2.50' */
export const sayMoney = (cents: number, currency: string, locale: string): string =>
  new Intl.NumberFormat(locale, { style: 'currency', currency }).format(cents / 100);

/** The first letter large: names stand at the head of a line. @example capital('leek') // 'Leek' */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const irregular: Readonly<Record<string, string>> = { leaf: 'leaves', loaf: 'loaves', half: 'halves', knife: 'knives', person: 'people' };

/**
 * More than one of a thing, by the rules of English; of several words the last one changes.
 * @example pluralOf('bay leaf') // 'bay leaves'
 */
export function pluralOf(one: string): string {
  const [, before = '', last = ''] = /^(.*?)([^\s-]*)$/.exec(one) ?? [];
  const lower = last.toLowerCase();
  const known = irregular[lower];
  if (known) return before + known;
  if (/(?:s|x|z|ch|sh|[^aeiou]o)$/.test(lower) && !/(?:photo|piano)$/.test(lower)) return `${one}es`;
  return /[^aeiou]y$/.test(lower) ? `${one.slice(0, -1)}ies` : `${one}s`;
}

/**
 * Up to one thing is one: `½ portion`, `1 tub`; `0 tubs`, `1½ portions`.
 * @example isOne(0.5) // true: half a portion, not half a portions
 */
export const isOne = (n: number): boolean => n > 0 && n <= 1;

/** One thing or many: `1 tub`, `3 tubs`, `½ portion`. @example countOf(3, 'dish', 'dishes') // '3 dishes' */
export const countOf = (n: number, one: string, many = pluralOf(one)): string => `${sayPortions(n)}${hard}${isOne(n) ? one : many}`;

/** `a`, `a and b`, `a, b and c`. @example listOf(['leek', 'carrot', 'celery']) // 'leek, carrot and celery' */
export function listOf(items: readonly string[]): string {
  if (items.length < 2) return items[0] ?? '';
  return `${items.slice(0, -1).join(', ')} and ${items[items.length - 1]}`;
}
