import { plus, times, type Rational } from '#core/kitchen';

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
const words: Readonly<Record<string, Rational>> = {
  a: '1',
  an: '1',
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  seven: '7',
  eight: '8',
  nine: '9',
  ten: '10',
  twelve: '12',
  half: '1/2',
  'half a': '1/2',
  'half an': '1/2',
  'a dozen': '12',
  'a couple of': '2',
};

const glyphs = Object.keys(vulgar).join('');
const numberPattern = new RegExp(
  `^(?:(\\d+)\\s*[-\\s]?\\s*([${glyphs}])|(\\d+)\\s+(\\d+)\\s*[/\\u2044]\\s*(\\d+)|(\\d+)\\s*[/\\u2044]\\s*(\\d+)|(\\d{1,3}(?:,\\d{3})+)(?![\\d,])|(\\d+)[.,](\\d+)|(\\d+)|([${glyphs}]))`,
);
const wordPattern = /^(half an?|a dozen|a couple of|an?|one|two|three|four|five|six|seven|eight|nine|ten|twelve|half)\b(?!\s*-)/i;

/** A number read from the front of a text, and what follows it. */
export interface ReadNumber {
  amount: Rational;
  rest: string;
}

/**
 * Reads `1 1/2`, `1½`, `3/4`, `0.75`, `1,5` (decimal comma), `1,200` (thousands), `two`, `half a`.
 * @returns undefined when the text does not begin with a number, or divides by zero
 * @example readNumber('1½ tsp salt') // { amount: '3/2', rest: ' tsp salt' }
 */
export function readNumber(text: string): ReadNumber | undefined {
  const m = numberPattern.exec(text);
  if (!m) {
    const word = wordPattern.exec(text);
    const amount = word?.[1] ? words[word[1].toLowerCase()] : undefined;
    return word && amount ? { amount, rest: text.slice(word[0].length) } : undefined;
  }
  const rest = text.slice(m[0].length);
  const fraction = (n: string, d: string): Rational | undefined => (Number(d) === 0 ? undefined : times(n, `1/${Number(d)}`));
  let amount: Rational | undefined;
  if (m[1] && m[2]) amount = plus(m[1], vulgar[m[2]] ?? '0');
  else if (m[3] && m[4] && m[5]) {
    const part = fraction(m[4], m[5]);
    amount = part && plus(m[3], part);
  } else if (m[6] && m[7]) amount = fraction(m[6], m[7]);
  else if (m[8]) amount = m[8].replace(/,/g, '');
  else if (m[9] && m[10]) amount = plus(m[9], times(m[10], `1/${10 ** m[10].length}`));
  else if (m[11]) amount = m[11];
  else if (m[12]) amount = vulgar[m[12]];
  return amount === undefined ? undefined : { amount, rest };
}
