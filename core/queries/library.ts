import type { Day, Kind } from '#core/contract';
import { daysBetween } from '#core/kitchen';
import type { RecipeBrief } from './recipeAnswers.ts';

/** What is looked for in the library. Every part narrows; what is absent does not. */
export interface LibraryQuery {
  /** Words over names, foods, tags and notes; “not leek”, “without milk” and “-leek” leave out. */
  text?: string;
  kind?: Kind;
  /** Codes of allergens it must not hold, nor be unchecked for. */
  free?: readonly string[];
  /** Nobody of the household is allergic to what it holds or may hold. */
  forAll?: boolean;
  /** At most so many minutes of hands, and from first to last. */
  handsMin?: number;
  wholeMin?: number;
  /** It makes at least so many portions as written, or so many litres. */
  portions?: number;
  litres?: number;
  stars?: number;
  store?: 'in' | 'out';
  /** Nothing in it freezes badly. */
  freezes?: boolean;
  /** It bears this tag; a season is one, and both may be asked for. */
  tag?: string;
  season?: Season;
  /** Only these, such as those of a list. */
  only?: ReadonlySet<string>;
  /** Made within this season's time, not for long, or never. */
  made?: 'lately' | 'long' | 'never';
  /** Ids of foods that are there, beside what is in store: the best use of them first. */
  have?: readonly string[];
  sort?: LibrarySort;
}

/** Seasons as tags say them. */
export const seasons = ['spring', 'summer', 'autumn', 'winter'] as const;
export type Season = (typeof seasons)[number];

export type LibrarySort = 'name' | 'made' | 'longest' | 'hands' | 'stars' | 'missing';

/** A recipe that was found, with what of its foods is not there. */
export interface FoundRecipe {
  brief: RecipeBrief;
  missing: number;
}

/** Days within which a dish was made lately. */
export const latelyDays = 42;
/** Days after which it has not been made for long. */
export const longDays = 90;

/** Stars of a recipe: what the table says, else what the cook gave it; 0 for none. @example starsOf(brief) // 4.3 */
export const starsOf = (b: Pick<RecipeBrief, 'liked' | 'recipe'>): number => b.liked ?? b.recipe.rating ?? 0;

/** What everybody has: it is never missing. */
const always = new Set(['water', 'salt_table', 'salt_sea_fine', 'salt_flake', 'pepper_black', 'oil_olive', 'oil_vegetable']);

const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '');

interface Words {
  all: string[];
  none: string[];
}

/**
 * Words that must stand there, and words that must not.
 * @example wordsOf('soup not milk -leek') // { all: ['soup'], none: ['milk', 'leek'] }
 */
export function wordsOf(text: string): Words {
  const words: Words = { all: [], none: [] };
  let not = false;
  let lastNot = false;
  for (const word of plain(text)
    .split(/[\s,;]+/)
    .filter(Boolean)) {
    if (/^(?:not|no|without|ohne|sans|sin|senza)$/.test(word)) not = true;
    // “not milk or cream” leaves out both
    else if (/^(?:or|nor|oder|ou|o)$/.test(word)) not = lastNot;
    else if (/^(?:with|and|mit|und|avec|et|con)$/.test(word)) not = false;
    else if (word.startsWith('-') && word.length > 1) words.none.push(stem(word.slice(1)));
    else {
      (not ? words.none : words.all).push(stem(word));
      lastNot = not;
      not = false;
    }
  }
  return words;
}

/** One and many are looked for alike. */
const stem = (word: string): string =>
  word.length > 3
    ? word
        .replace(/(?:ies)$/, 'y')
        .replace(/(?:oes)$/, 'o')
        .replace(/(?<=[^s])s$/, '')
    : word;

/** All that is looked through of a recipe, and apart what it is of: a name that says “without milk” holds none. */
const hay = (b: RecipeBrief): string => plain(`${b.recipe.name} ${b.recipe.kind} ${b.tags.join(' ')} ${b.holds.join(' ')} ${b.notes}`);
const foods = (b: RecipeBrief): string => plain(`${b.holds.join(' ')} ${b.containsNames.join(' ')}`);

/** A recipe with its words made ready, so that a key looks through thousands. */
export interface LibraryEntry {
  brief: RecipeBrief;
  hay: string;
  foods: string;
}

/** Recipes with their words made ready to be looked through at every key. @example entriesOf(briefs).length // as many as there are */
export const entriesOf = (briefs: readonly RecipeBrief[]): LibraryEntry[] =>
  briefs.map((brief) => ({ brief, hay: hay(brief), foods: foods(brief) }));

const asked = (q: LibraryQuery, words: Words, today: Day): readonly ((e: LibraryEntry) => boolean)[] => {
  const tests: ((e: LibraryEntry) => boolean)[] = [];
  if (words.all.length > 0) tests.push((e) => words.all.every((w) => e.hay.includes(w)));
  if (words.none.length > 0) tests.push((e) => words.none.every((w) => !e.foods.includes(w)));
  if (q.kind) tests.push((e) => e.brief.recipe.kind === q.kind);
  if (q.free?.length)
    tests.push((e) =>
      q.free!.every((code) => !e.brief.unchecked && !e.brief.contains.includes(code) && !e.brief.mayContain.includes(code)),
    );
  if (q.forAll) tests.push((e) => e.brief.notFor.length === 0);
  if (q.handsMin !== undefined) tests.push((e) => e.brief.handsMin <= q.handsMin!);
  if (q.wholeMin !== undefined) tests.push((e) => e.brief.wholeMin <= q.wholeMin!);
  if (q.portions !== undefined) tests.push((e) => e.brief.servings >= q.portions!);
  if (q.litres !== undefined) tests.push((e) => (e.brief.litres ?? 0) >= q.litres!);
  if (q.stars !== undefined) tests.push((e) => starsOf(e.brief) >= q.stars!);
  if (q.store) tests.push((e) => e.brief.portionsInStore > 0 === (q.store === 'in'));
  for (const tag of [q.tag, q.season]) if (tag !== undefined) tests.push((e) => e.brief.tags.some((t) => plain(t) === plain(tag)));
  if (q.only) tests.push((e) => q.only!.has(e.brief.recipe.id));
  if (q.freezes) tests.push((e) => e.brief.freezes !== 'badly');
  if (q.made) {
    const since = (e: LibraryEntry): number | undefined => (e.brief.lastMade ? daysBetween(e.brief.lastMade, today) : undefined);
    if (q.made === 'never') tests.push((e) => since(e) === undefined);
    if (q.made === 'lately') tests.push((e) => (since(e) ?? Number.POSITIVE_INFINITY) <= latelyDays);
    // what was never made has not been had for long either
    if (q.made === 'long') tests.push((e) => (since(e) ?? Number.POSITIVE_INFINITY) > longDays);
  }
  return tests;
};

/** What is of no use for what is there is no answer to “from what I have”. */
const usefulFor = (b: RecipeBrief, have: ReadonlySet<string>): boolean => have.size === 0 || b.needs.some((n) => have.has(n.id));

const missingOf = (b: RecipeBrief, have: ReadonlySet<string>, stocked: ReadonlySet<string>): number =>
  b.needs.filter((n) => !always.has(n.id) && !have.has(n.id) && !(n.recipe && stocked.has(n.id))).length;

/** Thousands of names are put in order at each key. */
const byName = new Intl.Collator('en');

const orders: Record<LibrarySort, (a: FoundRecipe, b: FoundRecipe) => number> = {
  name: (a, b) => byName.compare(a.brief.recipe.name, b.brief.recipe.name),
  made: (a, b) => (b.brief.lastMade ?? '').localeCompare(a.brief.lastMade ?? ''),
  longest: (a, b) => (a.brief.lastMade ?? '').localeCompare(b.brief.lastMade ?? ''),
  hands: (a, b) => a.brief.handsMin - b.brief.handsMin,
  stars: (a, b) => starsOf(b.brief) - starsOf(a.brief),
  missing: (a, b) => a.missing - b.missing || b.brief.needs.length - a.brief.needs.length,
};

/**
 * Recipes that meet all that is looked for, in the order asked for; with foods that are there, the fewest missing first.
 * Law: each part that is added leaves no more than there were.
 * @example findRecipes(entriesOf(briefs), { text: 'leek not milk', made: 'long' }, today).map((f) => f.brief.recipe.name)
 */
export function findRecipes(entries: readonly LibraryEntry[], q: LibraryQuery, today: Day): FoundRecipe[] {
  const tests = asked(q, wordsOf(q.text ?? ''), today);
  const have = new Set(q.have ?? []);
  const stocked = new Set(entries.flatMap((e) => (e.brief.portionsInStore > 0 ? [e.brief.recipe.id] : [])));
  const found = entries.flatMap((e): FoundRecipe[] =>
    tests.every((test) => test(e)) && usefulFor(e.brief, have)
      ? [{ brief: e.brief, missing: have.size > 0 ? missingOf(e.brief, have, stocked) : 0 }]
      : [],
  );
  return found.sort(orders[q.sort ?? (have.size > 0 ? 'missing' : 'name')]);
}

/**
 * How many would be left by each of several ways to narrow further.
 * @example countsOf(entries, query, { soups: { kind: 'meal' } }, today).soups // 12
 */
export function countsOf<K extends string>(
  entries: readonly LibraryEntry[],
  q: LibraryQuery,
  more: Readonly<Record<K, Partial<LibraryQuery>>>,
  today: Day,
): Record<K, number> {
  const counts = {} as Record<K, number>;
  for (const [key, part] of Object.entries(more) as [K, Partial<LibraryQuery>][]) {
    const whole = { ...q, ...part };
    const tests = asked(whole, wordsOf(whole.text ?? ''), today);
    const have = new Set(whole.have ?? []);
    let n = 0;
    for (const e of entries) if (tests.every((test) => test(e)) && usefulFor(e.brief, have)) n += 1;
    counts[key] = n;
  }
  return counts;
}
