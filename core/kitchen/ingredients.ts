import type { IngredientRow } from './data/types.ts';
import { unitWords } from './units.ts';

const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^a-z0-9 ]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

const oddSingular: Readonly<Record<string, string>> = { leaves: 'leaf', loaves: 'loaf', halves: 'half' };

const singular = (word: string): string =>
  oddSingular[word] !== undefined
    ? oddSingular[word]
    : word.length > 4 && word.endsWith('ies')
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

/** What may stand beside the name of a food without making another food of it: forms, sizes, states, counts, and the little words between. */
const besides: ReadonlySet<string> = new Set(
  [
    // forms
    'diced chopped sliced grated minced cubed peeled unpeeled halved quartered torn rinsed drained crushed mashed shredded trimmed cored',
    'deseeded seeded pitted stoned crumbled melted softened beaten whisked toasted roasted cooked uncooked boiled steamed fried grilled blanched',
    'thawed defrosted washed cleaned scrubbed shelled picked cut broken snipped strips strip chunk piece cube wedge ring ribbon zest rind juice',
    // sizes
    'large medium small big little thick thin long short fine finely coarse coarsely roughly thinly thickly jumbo bite sized size',
    // states
    'fresh freshly raw ripe cold hot warm lukewarm boiling chilled frozen tinned canned organic boneless skinless lean unsalted unsweetened plain',
    'natural whole skimmed semi virgin extra light good quality best leftover home made homemade ready soft firm hard stale room temperature',
    // counts and packs
    'clove bunch sprig stalk stick head handful slice rasher fillet leaf bulb thumb knob ear tin can jar pack packet bag bottle carton tub box',
    'block pinch dash splash drizzle glug sheet punnet floret stem heaped level rounded generous scant one two three four five six seven eight',
    'nine ten eleven twelve half quarter third dozen couple',
    // between
    'of the a an and or with in from for to taste your some few about approx plus more optional garnish serving serve each per as needed if',
    'desired at into on off very just not too then well only day old flat curly',
  ].flatMap((words) => words.split(' ')),
);

const measures: ReadonlySet<string> = new Set(unitWords.flatMap((w) => key(w).split(' ')));
const besideFood = (word: string): boolean => besides.has(word) || measures.has(word) || /^\d/.test(word) || word.length < 2;

/** A row's own name without the words that say in what state it is bought. */
const bareName = (name: string): string =>
  key(name.replace(/,.*$/, '').replace(/^(?:ground|dried|cooked|plain|frozen|raw|tinned|fresh|ready-made|long-grain)\s+/i, ''));

/** A reading of a name. */
export interface FoundName {
  row: IngredientRow;
  /** Words of the name that the hit leaves over and that are no form, size or state. */
  over: string[];
  /** Nothing is left over, and no other food is called so. */
  sure: boolean;
}

/** Finds ingredients by their names; built once over a table, asked often. */
export interface IngredientFinder {
  /** The ingredient a written name means, or undefined: nothing of the name is left over but form, size and state (decision 48). */
  match(written: string): IngredientRow | undefined;
  /** The longest known name that stands in it as whole words, with what it leaves over: to be offered when something is. */
  read(written: string): FoundName | undefined;
  /** Rows whose names hold every typed word, names that begin with it first. */
  search(typed: string, limit?: number): IngredientRow[];
  byId(id: string): IngredientRow | undefined;
  /** All of them, in the order of the table. */
  rows: readonly IngredientRow[];
}

/**
 * Builds a finder over ingredient rows.
 * @example finder.match('3 large red onions')?.id // 'onion'
 * @example finder.match('vanilla sugar') // undefined: it may be something else; read('vanilla sugar') offers white sugar
 */
export function ingredientFinder(rows: readonly IngredientRow[]): IngredientFinder {
  const ids = new Map(rows.map((row) => [row.id, row]));
  const names = new Map<string, IngredientRow>();
  for (const row of rows) for (const name of [row.name, ...row.otherNames]) if (!names.has(key(name))) names.set(key(name), row);
  for (const [word, id] of Object.entries(usual)) {
    const row = ids.get(id);
    if (row && !names.has(word)) names.set(word, row);
  }
  // “cannellini bean, dried” is written “dried cannellini beans”, and its other names likewise
  for (const row of rows) {
    const [head = '', state = '', more] = row.name.split(', ');
    if (!state || more !== undefined || /\d/.test(state)) continue;
    for (const name of [head, ...row.otherNames]) if (!names.has(key(`${state} ${name}`))) names.set(key(`${state} ${name}`), row);
  }
  // what is bought dried, ground or in a tin is meant by its bare name; where several are, it is only offered
  const several = new Set<string>();
  const bare = new Map<string, IngredientRow>();
  for (const row of rows) {
    const name = bareName(row.name);
    if (names.has(name)) continue;
    if (bare.has(name)) several.add(name);
    else bare.set(name, row);
  }
  for (const [name, row] of bare) names.set(name, row);
  /** No name has more words, however long a text is. */
  const longest = Math.max(1, ...[...names.keys()].map((name) => name.split(' ').length));
  const read = (written: string): FoundName | undefined => {
    const words = key(written.replace(/free[- ]range/gi, ''))
      .split(' ')
      .filter(Boolean);
    // more than one pepper is the vegetable; a spoon of it is the spice
    const many = /\bpeppers\b/i.test(written);
    for (let length = Math.min(words.length, longest); length > 0; length -= 1) {
      // the last words carry the noun ("chopped flat parsley"), so windows are tried from the right
      for (let start = words.length - length; start >= 0; start -= 1) {
        const name = words.slice(start, start + length).join(' ');
        const row = many && name === 'pepper' ? ids.get('pepper_sweet') : names.get(name);
        if (!row) continue;
        const over = words.filter((w, i) => (i < start || i >= start + length) && !besideFood(w));
        return { row, over, sure: over.length === 0 && !several.has(name) };
      }
    }
    return undefined;
  };
  const searchable = rows.map((row) => ({ row, texts: [row.name, ...row.otherNames].map(plain) }));

  return {
    rows,
    byId: (id) => ids.get(id),
    match(written) {
      const found = read(written);
      return found?.sure ? found.row : undefined;
    },
    read,
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
