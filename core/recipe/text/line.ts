import type { Line, Unit } from '#core/contract';
import { times, unitNamed, unitWords, type Rational } from '#core/kitchen';
import { readNumber } from './number.ts';

/** A written ingredient line, taken apart. What is not understood stays in `name` as it was written. */
export interface ReadLine {
  written: string;
  heading?: string;
  amount?: Rational;
  amountTo?: Rational;
  unit?: Unit;
  name: string;
  form?: NonNullable<Line['form']>;
  sizeMm?: number;
  note?: string;
  toTaste: boolean;
}

const formWords: readonly [RegExp, NonNullable<Line['form']>][] = [
  [/\b(finely |coarsely |roughly )?(diced)\b/i, 'diced'],
  [/\b(finely |thinly |thickly )?(sliced)\b/i, 'sliced'],
  [/\b(finely |coarsely |freshly )?(grated|shredded)\b/i, 'grated'],
  [/\b(cut into|in) [\w. ]*(cubes|chunks|pieces)\b|\bcubed\b/i, 'cubed'],
  [/\b(finely |roughly |coarsely )?chopped\b/i, 'chopped'],
  [/\b(finely )?(minced|crushed)\b/i, 'minced'],
  [/\bpur[ée]ed\b|\bmashed\b/i, 'pureed'],
  [/\bdrained\b/i, 'drained'],
  [/\bcooked\b|\bboiled\b/i, 'cooked'],
  [/\bhalved\b/i, 'halved'],
  [/\brinsed\b/i, 'rinsed'],
  [/\btorn\b/i, 'torn'],
  [/\bpeeled\b/i, 'peeled'],
];

const packWords = 'tins?|cans?|packs?|packets?|jars?|bags?|tubs?|cartons?|pouches|pouch|bottles?|blocks?|slabs?';
const countWords =
  'cloves?|bunch(?:es)?|sprigs?|stalks?|sticks?|heads?|handfuls?|slices?|rashers?|fillets?|leaves|leaf|bulbs?|thumbs?|knobs?|ears?|large|medium|small|whole';
const unitAlternatives = unitWords.map((w) => w.replace(/ /g, '\\s+')).join('|');
const unitPattern = new RegExp(`^\\s*(${unitAlternatives})\\b\\.?`, 'i');

/** Tidies white space, bullets and the tick boxes that pages put before a line. */
const tidy = (text: string): string =>
  text
    .replace(/[\u00A0\u2009\u202F]/g, ' ')
    .replace(/^[\s•▢☐*·–-]+(?=\S)/u, '')
    .replace(/\s+/g, ' ')
    .trim();

const unitAt = (text: string): { unit: Unit; rest: string } | undefined => {
  const m = unitPattern.exec(text);
  const unit = m?.[1] ? unitNamed(m[1]) : undefined;
  return m && unit ? { unit, rest: text.slice(m[0].length) } : undefined;
};

/** `2 x 400 g tins`, `2 (400 g) tins`, `1 400g tin`: the packs times what each holds. */
function nestedPack(text: string): { amount: Rational; unit: Unit; rest: string; note: string } | undefined {
  const m =
    new RegExp(
      `^(\\d+)\\s*(?:x|×|\\*)?\\s*\\(?\\s*(\\d+(?:[.,]\\d+)?)\\s*-?\\s*(${unitAlternatives})\\s*\\)?\\s*(${packWords})\\b\\s*(?:of\\s+)?`,
      'i',
    ).exec(text) ??
    new RegExp(`^(\\d+)\\s*(?:x|×)\\s*(\\d+(?:[.,]\\d+)?)\\s*(${unitAlternatives})\\b\\s*(?:(${packWords})\\b\\s*)?(?:of\\s+)?`, 'i').exec(
      text,
    );
  const each = m?.[2] ? readNumber(m[2]) : undefined;
  const unit = m?.[3] ? unitNamed(m[3]) : undefined;
  if (!m?.[1] || !each || !unit) return undefined;
  return { amount: times(m[1], each.amount), unit, rest: text.slice(m[0].length), note: `${m[1]} of ${m[2]} ${m[3]}` };
}

function sizeOf(text: string): number | undefined {
  const m = /(\d+(?:[.,]\d+)?)\s*(mm|cm)\b(?!\s*(?:piece|knob|stick))/i.exec(text);
  const n = m?.[1] ? Number(m[1].replace(',', '.')) : NaN;
  return Number.isFinite(n) && n > 0 ? n * (m?.[2]?.toLowerCase() === 'cm' ? 10 : 1) : undefined;
}

/**
 * Reads one written line into amount, unit, ingredient and form.
 * Ranges keep both ends; alternatives (`500 g / 1 lb 2 oz`) keep the first; headings (`For the sauce:`) are told apart.
 * @example readLine('2 x 400 g tins chopped tomatoes')
 *   // { amount: '800', unit: 'g', name: 'tomatoes', form: 'chopped', note: '2 of 400 g' }
 */
export function readLine(written: string): ReadLine {
  const text = tidy(written);
  const base: ReadLine = { written, name: text, toTaste: /\bto taste\b|\bto season\b/i.test(text) };
  if (/:$/.test(text) && !/\d/.test(text)) return { ...base, heading: text.slice(0, -1), name: text.slice(0, -1) };

  let rest = text.replace(/^(about|approx\.?|approximately|around|roughly|ca\.?|generous|scant|heaped|level)\s+/i, '');
  let { amount, amountTo, unit, note } = { amount: undefined, amountTo: undefined, unit: undefined, note: undefined } as {
    amount?: Rational;
    amountTo?: Rational;
    unit?: Unit;
    note?: string;
  };

  const nested = nestedPack(rest);
  if (nested) ({ amount, unit, rest, note } = nested);
  else {
    const first = readNumber(rest);
    if (first) {
      amount = first.amount;
      rest = first.rest;
      const range = /^\s*(?:-|–|—|to|or)\s*/i.exec(rest);
      const second = range ? readNumber(rest.slice(range[0].length)) : undefined;
      if (range && second) {
        amountTo = second.amount;
        rest = second.rest;
      }
      const found = unitAt(rest);
      if (found) ({ unit, rest } = found);
      else unit = 'piece';
      // a second measure of the same thing: "500 g / 1 lb 2 oz", "1 cup (240 ml)"
      rest = rest.replace(
        new RegExp(
          `^\\s*(?:\\/|\\(|or\\s)\\s*\\d[^a-z)]*(?:${unitAlternatives})\\b(?:\\s*\\d+[^a-z)]*(?:${unitAlternatives})\\b)?\\.?\\s*\\)?`,
          'i',
        ),
        ' ',
      );
      const dropped = unit === 'piece' ? `${countWords}|${packWords}` : packWords;
      rest = rest.replace(new RegExp(`^\\s*(?:(?:${dropped})\\b[\\s-]*)+`, 'i'), (m) => {
        const named = m.trim().replace(/\s+/g, ' ');
        if (unit === 'piece' && named) note = named;
        return ' ';
      });
      rest = rest.replace(/^\s*of\s+/i, '');
    }
  }
  if (unit === 'piece' && /^pinch/i.test(note ?? '')) unit = 'pinch';

  const form = formWords.find(([pattern]) => pattern.test(rest))?.[1];
  const sizeMm = form === 'cubed' || form === 'diced' || form === 'sliced' ? sizeOf(rest) : undefined;
  const [head = '', ...tail] = rest.split(/[,;]| - /);
  const bare = head
    .replace(/\(([^)]*)\)/g, ' ')
    .replace(
      /\b(finely|roughly|coarsely|thinly|freshly|chopped|diced|sliced|grated|minced|crushed|drained|peeled|cubed|rinsed|halved|cooked|torn|plus extra|to taste|for serving|optional)\b/gi,
      ' ',
    )
    .replace(/\s+/g, ' ')
    .trim();
  const name = (bare || head || text).trim();
  const notes = [note, tail.join(',').replace(/\s+/g, ' ').trim() || undefined].filter((n): n is string => Boolean(n));

  return {
    ...base,
    name: name || text,
    ...(amount !== undefined && { amount }),
    ...(amountTo !== undefined && { amountTo }),
    ...(unit !== undefined && { unit }),
    ...(form && { form }),
    ...(sizeMm !== undefined && { sizeMm }),
    ...(notes.length > 0 && { note: notes.join('; ').slice(0, 200) }),
  };
}
