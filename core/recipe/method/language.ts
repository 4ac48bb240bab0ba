/** Languages a method is read in. */
export type Language = 'en' | 'de' | 'fr' | 'es' | 'it';

/** Small words that tell a language; none of them is spelled alike in two. */
const small: Readonly<Record<Language, ReadonlySet<string>>> = {
  en: new Set('the and with in of to for into until then it them from off over on'.split(' ')),
  de: new Set('und mit die der das den dem im zu ein eine lassen dazu dann auf bis aus zum zur für inzwischen'.split(' ')),
  fr: new Set('et les le des du dans avec pendant puis au aux pour jusqu laisser faire sur une à'.split(' ')),
  es: new Set('y los las el del con hasta durante luego dejar añadir por para una al lo'.split(' ')),
  it: new Set('e gli il della con fino per poi lasciare aggiungere nel nella di una con'.split(' ')),
};

/**
 * The language a text is written in, by its small words; English where nothing tells.
 * @example languageOf('Die Linsen am Vorabend einweichen.') // 'de'
 */
export function languageOf(text: string): Language {
  const counts = new Map<Language, number>();
  for (const word of text.toLowerCase().split(/[^\p{L}]+/u))
    for (const [language, words] of Object.entries(small) as [Language, ReadonlySet<string>][])
      if (words.has(word)) counts.set(language, (counts.get(language) ?? 0) + 1);
  let best: Language = 'en';
  for (const language of ['en', 'de', 'fr', 'es', 'it'] as const)
    if ((counts.get(language) ?? 0) > (counts.get(best) ?? 0)) best = language;
  return best;
}

/** A word without its accents and its endings of number and case, so that two forms of it are one. @example stemOf('Tomatoes') // 'tomato' */
export function stemOf(word: string): string {
  const low = word
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/œ/g, 'oe')
    .replace(/ß/g, 'ss')
    .replace(/['’]s$/, '');
  if (low.length < 4) return low;
  if (/ies$/.test(low) && low.length > 5) return `${low.slice(0, -3)}y`;
  if (/(?:oa|ea|al|el|ni)ves$/.test(low)) return low.replace(/ves$/, 'f');
  if (/(?:oes|ches|shes|sses|xes)$/.test(low)) return low.slice(0, -2);
  if (/[^su]s$/.test(low)) return low.slice(0, -1);
  return low;
}

/** Whether two stems are one word: alike, or alike but for an ending of case or number of another language. */
export function sameStem(a: string, b: string): boolean {
  if (a === b) return true;
  const [short, long] = a.length <= b.length ? [a, b] : [b, a];
  if (short.length < 4 || long.length - short.length > 2) return false;
  if (long.startsWith(short)) return /^(?:e|n|en|er|es|s|a|o|i)$/.test(long.slice(short.length));
  // cipolla, cipolle; carota, carote
  return (
    short.length === long.length &&
    short.length >= 5 &&
    short.slice(0, -1) === long.slice(0, -1) &&
    /[aeio]$/.test(short) &&
    /[aeio]$/.test(long)
  );
}

const near = (a: string, b: string): boolean => {
  if (Math.abs(a.length - b.length) > 1 || a.length < 5 || a[0] !== b[0]) return false;
  let i = 0;
  while (i < a.length && a[i] === b[i]) i += 1;
  const [x, y] = [a.slice(i), b.slice(i)];
  return x.slice(1) === y.slice(1) || x.slice(1) === y || x === y.slice(1) || (x[0] === y[1] && x[1] === y[0] && x.slice(2) === y.slice(2));
};

/** Whether a word is a listed one with one slip: letters swapped, doubled or missing. @example slipOf('tomatos', 'tomato') // true */
export const slipOf = (written: string, listed: string): boolean => written !== listed && near(written, listed);
