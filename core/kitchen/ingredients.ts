import type { IngredientRow } from './data/types.ts';

const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^a-z0-9 ]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

const singular = (word: string): string =>
  word.length > 4 && word.endsWith('ies')
    ? `${word.slice(0, -3)}y`
    : /(oes|ches|shes|sses|xes)$/.test(word)
      ? word.slice(0, -2)
      : word.length > 3 && word.endsWith('s') && !word.endsWith('ss')
        ? word.slice(0, -1)
        : word;

const key = (text: string): string => plain(text).split(' ').map(singular).join(' ');

/** Bare words that recipes use for one usual thing. */
const usual: Readonly<Record<string, string>> = {
  salt: 'salt_table',
  pepper: 'pepper_black',
  oil: 'oil_vegetable',
  sugar: 'sugar_white',
  flour: 'flour_plain',
  paprika: 'paprika',
  potato: 'potato',
  bean: 'beans_cooked',
};

/** Finds ingredients by their names; built once over a table, asked often. */
export interface IngredientFinder {
  /** The ingredient a written name means, or undefined: longest known name that stands in it as whole words. */
  match(written: string): IngredientRow | undefined;
  /** Rows whose names hold every typed word, names that begin with it first. */
  search(typed: string, limit?: number): IngredientRow[];
  byId(id: string): IngredientRow | undefined;
  /** All of them, in the order of the table. */
  rows: readonly IngredientRow[];
}

/**
 * Builds a finder over ingredient rows.
 * @example finder.match('3 large red onions')?.id // 'onion'
 */
export function ingredientFinder(rows: readonly IngredientRow[]): IngredientFinder {
  const ids = new Map(rows.map((row) => [row.id, row]));
  const names = new Map<string, IngredientRow>();
  for (const row of rows) for (const name of [row.name, ...row.otherNames]) if (!names.has(key(name))) names.set(key(name), row);
  for (const [word, id] of Object.entries(usual)) {
    const row = ids.get(id);
    if (row && !names.has(word)) names.set(word, row);
  }
  const searchable = rows.map((row) => ({ row, texts: [row.name, ...row.otherNames].map(plain) }));

  return {
    rows,
    byId: (id) => ids.get(id),
    match(written) {
      const words = key(written).split(' ').filter(Boolean);
      for (let length = words.length; length > 0; length -= 1) {
        // the last words carry the noun ("chopped flat parsley"), so windows are tried from the right
        for (let start = words.length - length; start >= 0; start -= 1) {
          const hit = names.get(words.slice(start, start + length).join(' '));
          if (hit) return hit;
        }
      }
      return undefined;
    },
    search(typed, limit = 20) {
      const words = plain(typed).split(' ').filter(Boolean);
      if (words.length === 0) return [];
      const first = words.join(' ');
      const scored = searchable.flatMap(({ row, texts }) => {
        if (!texts.some((text) => words.every((w) => text.includes(w)))) return [];
        const score = texts.some((text) => text === first) ? 0 : texts.some((text) => text.startsWith(first)) ? 1 : 2;
        return [{ row, score }];
      });
      return scored
        .sort((a, b) => a.score - b.score || a.row.name.localeCompare(b.row.name))
        .slice(0, limit)
        .map((s) => s.row);
    },
  };
}
