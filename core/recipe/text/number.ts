import { plus, times, toNumber, type Rational } from '#core/kitchen';

const vulgar: Readonly<Record<string, Rational>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** Numbers in words, in the languages recipes come in; only those that mean nothing else at the head of a line. */
const words: Readonly<Record<string, Rational>> = {
  ...Object.fromEntries(
    [
      'one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen twenty',
      'ein zwei drei vier fünf sechs sieben acht neun zehn elf zwölf',
      'un deux trois quatre cinq six sept huit neuf dix',
      'uno due tre quattro cinque sei sette otto nove dieci',
      'uno dos tres cuatro cinco seis siete ocho nueve diez',
    ].flatMap((language) => language.split(' ').map((word, i): [string, Rational] => [word, String(i + 1)])),
  ),
  ...Object.fromEntries("a an eine einen einer une una un’ un'".split(' ').map((word): [string, Rational] => [word, '1'])),
  ...Object.fromEntries(
    'half|half a|half an|a half|halbe|halber|halbes|halben|eine halbe|ein halber|ein halbes|½ a|demi|demie|mezzo|mezza|medio|media|un demi|une demi'
      .split('|')
      .map((word): [string, Rational] => [word, '1/2']),
  ),
  ...Object.fromEntries(
    'quarter|quarter of a|quarter of an|a quarter|a quarter of|a quarter of a|a quarter of an|one quarter'
      .split('|')
      .map((word): [string, Rational] => [word, '1/4']),
  ),
  ...Object.fromEntries('three quarters|three-quarters|three quarters of a'.split('|').map((word): [string, Rational] => [word, '3/4'])),
  ...Object.fromEntries('a third|one third|a third of a|one-third'.split('|').map((word): [string, Rational] => [word, '1/3'])),
  ...Object.fromEntries('two thirds|two-thirds|two thirds of a'.split('|').map((word): [string, Rational] => [word, '2/3'])),
  'a dozen': '12',
  dozen: '12',
  'half a dozen': '6',
  'a half dozen': '6',
  'half dozen': '6',
  'a couple': '2',
  'a couple of': '2',
  couple: '2',
  'a pair of': '2',
};

const escaped = (word: string): string => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const slash = '[/\\u2044\\u2215]';
const wordPattern = new RegExp(
  `^(${Object.keys(words)
    .toSorted((a, b) => b.length - a.length)
    .map((word) => escaped(word).replace(/ /g, '\\s+'))
    .join('|')})(?![\\p{L}\\d]|-(?!\\d))`,
  'iu',
);

/** Units whose thousandths are written out: `1.250 kg` is a kilo and a quarter (rule 6). */
const thousandthsOf = /^\s*(?:kg|kilos?|kilogram\w*|l|ltrs?|lit(?:re|er)s?|liter|cups?|lbs?|pounds?)(?![\p{L}])/iu;

/** A number read from the front of a text, and what follows it. */
export interface ReadNumber {
  amount: Rational;
  rest: string;
}

const fraction = (n: string, d: string): Rational | undefined => (Number(d) === 0 ? undefined : times(n, `1/${Number(d)}`));

/** A run of digits with commas and points: which of them part thousands, which the decimals. */
function decimal(text: string, rest: string): Rational | undefined {
  const groups = /^(\d{1,3})((?:[.,]\d{3})+)$/.exec(text);
  if (groups?.[1] && groups[2] && !(groups[2].length === 4 && (/^0+$/.test(groups[1]) || thousandthsOf.test(rest))))
    return groups[1] + groups[2].replace(/[.,]/g, '');
  const m = /^(\d*)(?:[.,](\d+))?$/.exec(text);
  if (!m) return undefined;
  const whole = m[1] || '0';
  return m[2] ? plus(whole, times(m[2], `1/1${'0'.repeat(m[2].length)}`)) : String(BigInt(whole));
}

/** `2`, `2.5`, `½`, `3/4`: a number without a whole part before its fraction. */
function simple(text: string): ReadNumber | undefined {
  const glyph = text[0] ? vulgar[text[0]] : undefined;
  if (glyph) return { amount: glyph, rest: text.slice(1) };
  const parts = new RegExp(`^(\\d{1,4})\\s*${slash}\\s*(\\d{1,4})(?![\\d,.]*\\d)`).exec(text);
  if (parts?.[1] && parts[2]) {
    const amount = fraction(parts[1], parts[2]);
    return amount === undefined ? undefined : { amount, rest: text.slice(parts[0].length) };
  }
  const power = /^(\d+)(?:\.0+)?e\+?(\d{1,2})(?![\p{L}\d])/iu.exec(text);
  if (power?.[1] && power[2]) return { amount: `${power[1]}${'0'.repeat(Number(power[2]))}`, rest: text.slice(power[0].length) };
  const digits = /^(?:\d+(?:[.,]\d+)*|[.,]\d+)/.exec(text)?.[0];
  if (digits === undefined) return undefined;
  const rest = text.slice(digits.length);
  const amount = decimal(digits, rest);
  return amount === undefined ? undefined : { amount, rest };
}

const joined = /^(?:\s*[-\u2010\u2011]\s*|\s+)(?=[\d¼-¾⅐-⅞])|^(?=[¼-¾⅐-⅞])/;
const andFraction =
  /^\s*(?:and|&|\+|et|und|e|y)\s+(?:a\s+|one\s+)?(half|quarter|third|demie?|mezzo|medio|media|[¼-¾⅐-⅞]|\d+\s*[/\u2044]\s*\d+)(?![\p{L}\d])/iu;
const parted: Readonly<Record<string, Rational>> = {
  half: '1/2',
  quarter: '1/4',
  third: '1/3',
  demi: '1/2',
  demie: '1/2',
  mezzo: '1/2',
  medio: '1/2',
  media: '1/2',
};

/**
 * Reads `1 1/2`, `1-1/2`, `1½`, `1 and a half`, `3/4`, `0.75`, `1,5` (decimal comma), `1,200` and `1.250` (thousands, but not before kg), `two`, `half a dozen`.
 * @returns undefined when the text does not begin with a number, or divides by zero
 * @example readNumber('1½ tsp salt') // { amount: '3/2', rest: ' tsp salt' }
 */
export function readNumber(text: string): ReadNumber | undefined {
  const word = wordPattern.exec(text);
  const named = word?.[1] ? words[word[1].toLowerCase().replace(/\s+/g, ' ')] : undefined;
  const first = word && named ? { amount: named, rest: text.slice(word[0].length) } : simple(text);
  if (!first) return undefined;
  const and = andFraction.exec(first.rest);
  if (and?.[1]) {
    const part = parted[and[1].toLowerCase()] ?? simple(and[1])?.amount;
    if (part && toNumber(part) < 1) return { amount: plus(first.amount, part), rest: first.rest.slice(and[0].length) };
  }
  if (first.amount.includes('/') || word) return wholeDozen(first);
  // a whole number and a fraction less than one are one number
  const space = joined.exec(first.rest);
  const second = space && simple(first.rest.slice(space[0].length));
  const written = space && second && first.rest.slice(space[0].length, first.rest.length - second.rest.length);
  if (second && written && /[/\u2044\u2215¼-¾⅐-⅞]/.test(written) && toNumber(second.amount) < 1)
    return { amount: plus(first.amount, second.amount), rest: second.rest };
  return wholeDozen(first);
}

/** Two dozen, 2 dozen. */
function wholeDozen(read: ReadNumber): ReadNumber {
  const dozen = /^\s+dozen(?![\p{L}])/iu.exec(read.rest);
  return dozen ? { amount: times(read.amount, '12'), rest: read.rest.slice(dozen[0].length) } : read;
}
