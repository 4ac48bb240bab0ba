import { readCode } from '#core/pack';

/** One thing the finder can go to. */
export interface FindEntry {
  id: string;
  type: 'pack' | 'recipe' | 'session' | 'ingredient' | 'action';
  name: string;
  /** What tells it from its like: a code and a place, a day. */
  note: string;
  /** Where it is in the app. */
  to: string;
  /** A pack's code, found by itself and as it is misread. */
  code?: string;
  /** Other words it answers to. */
  words?: string;
}

const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase();

/** How well one typed word fits a text: at its start, at a word's start, inside, or not at all. */
function fit(text: string, word: string): number {
  const at = text.indexOf(word);
  if (at < 0) return 0;
  if (at === 0) return 3;
  return text.includes(` ${word}`) ? 2 : 1;
}

const typeOrder: Readonly<Record<FindEntry['type'], number>> = { action: 0, recipe: 1, session: 2, pack: 3, ingredient: 4 };

/**
 * What a cook may mean, the likeliest first: every typed word fits the name, the code, the note or another word; a code is read as
 * in DECISIONS 31, so small letters, spaces and one impossible sign still find their pack.
 * @example find(entries, 'stew') // the recipe first, then packs of it
 */
export function find(entries: readonly FindEntry[], typed: string, most = 24): FindEntry[] {
  const words = plain(typed).split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const codes = entries.flatMap((e) => e.code ?? []);
  const read = readCode(typed, codes);
  const meant = read.kind === 'exact' ? [read.code] : read.kind === 'solved' ? read.offers : read.kind === 'wrong' ? read.near : [];
  return entries
    .map((entry) => {
      if (entry.code && meant.includes(entry.code)) return { entry, score: 1000 };
      const name = plain(entry.name);
      const rest = plain(`${entry.code ?? ''} ${entry.note} ${entry.words ?? ''}`);
      const scores = words.map((w) => fit(name, w) * 10 || fit(rest, w));
      return { entry, score: scores.some((s) => s === 0) ? 0 : scores.reduce((a, b) => a + b, 0) };
    })
    .filter((x) => x.score > 0)
    .toSorted(
      (a, b) => b.score - a.score || typeOrder[a.entry.type] - typeOrder[b.entry.type] || a.entry.name.localeCompare(b.entry.name, 'en'),
    )
    .slice(0, most)
    .map((x) => x.entry);
}
