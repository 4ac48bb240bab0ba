/** A paragraph in plain signs, and where each of its letters stands in the written one. */
export interface Plain {
  text: string;
  /** The place in the written paragraph of a place in the plain one. */
  toWritten: (at: number) => number;
  /** The other way round. */
  toPlain: (at: number) => number;
}

/** Signs and shorthand of people in a hurry, with what they stand for; what is not said here stays as it is. */
const shorthand: readonly (readonly [RegExp, string | ((whole: string) => string)])[] = [
  // spaces of every kind are one space; the last of a paragraph are nobody's
  [/(?:[^\S\n]|\u200B)+/gu, ' '],
  // “salt & pepper”, “onion + garlic”
  [/(?<=[\p{L}\d).,]) ?& ?(?=\p{L})/gu, ' and '],
  [/(?<=\p{L}) ?\+ ?(?=\p{L})/gu, ' and '],
  [/\bw\/o(?= )/giu, 'without'],
  [/\bw\/ ?(?=\p{L})/giu, 'with '],
  // “done!!”, “wait…”
  [/(?<=[\p{L}\d)%°])(?:!+|\.{2,}|…)(?=\s|$)/gu, '.'],
];

/** A paragraph in capitals alone, as on an old typed card. */
const shouted = (text: string): boolean =>
  /\p{Lu}{3}/u.test(text) && !/\p{Ll}/u.test(text.replace(/\d ?(?:min|h|g|kg|ml|cl|l|cm|mm)\b/gu, ''));

/** In small letters, sentences beginning with a capital. */
const spoken = (text: string): string =>
  text.toLowerCase().replace(/(^[^\p{L}]*|[.!?]\s+)(\p{Ll})/gu, (_whole, before: string, letter: string) => before + letter.toUpperCase());

/**
 * The same paragraph as a careful hand would have set it: one space between words, “and” for its signs, full stops for shouting, no capitals throughout.
 * @example plainOf('ROAST 2  HRS  &  REST!').text // 'Roast 2 hrs and rest.'
 */
export function plainOf(written: string): Plain {
  let text = written;
  /** Where each letter of the text stands as written; one more for its end. */
  let places = Array.from({ length: written.length + 1 }, (_, i) => i);
  for (const [sign, means] of shorthand) {
    const next: number[] = [];
    let said = '';
    let last = 0;
    for (const m of text.matchAll(sign)) {
      const instead = typeof means === 'string' ? means : means(m[0]);
      said += text.slice(last, m.index) + instead;
      next.push(...places.slice(last, m.index), ...Array.from({ length: instead.length }, () => places[m.index]!));
      last = m.index + m[0].length;
    }
    if (last === 0) continue;
    text = said + text.slice(last);
    places = [...next, ...places.slice(last)];
  }
  const low = shouted(text) ? spoken(text) : text;
  // a letter that has no small one of its own length stays
  if (low.length === text.length) text = low;
  return {
    text,
    toWritten: (at) => places[Math.max(0, Math.min(at, text.length))]!,
    toPlain: (at) => {
      const found = places.findIndex((p) => p >= at);
      return found < 0 ? text.length : found;
    },
  };
}
