import type { Day, Kind, Place } from '#core/contract';
import { countWords, kindDefaults, type CountWord } from '../data/countWords.rows.ts';
import { isUnknown, vagueDate, type VagueDate } from './vagueDate.ts';

/** A recipe of the household that a name may mean. */
export interface KnownDish {
  recipeId: string;
  name: string;
  kind: Kind;
  lifeRow: string;
  portionMl: number;
}

export interface CountContext {
  today: Day;
  places: readonly Place[];
  dishes: readonly KnownDish[];
  /** Where the line before stood: offered again. */
  place?: { placeId: string; zoneId: string };
}

/** One line of a first count, understood. */
export interface CountedLine {
  name: string;
  kind: Kind;
  /** Packs alike. */
  packs: number;
  portionsEach: number;
  mlEach: number;
  lifeRow: string;
  /** Absent when nobody knows. */
  made?: VagueDate;
  /** Of a kit: a whole dish, or plain raw meat that is a part of one. */
  whole?: boolean;
  placeId?: string;
  zoneId?: string;
  recipeId?: string;
  /** Kind and size are a kitchen estimate by a word of the name, or by nothing but the kind. */
  guess: 'recipe' | 'word' | 'kind';
}

export type CountResult = { ok: true; line: CountedLine } | { ok: false; why: string };

/** More alike than a household freezes at once. */
const mostPacks = 40;

const kindsByWord: Readonly<Record<string, Kind>> = {
  meal: 'meal',
  kit: 'kit',
  base: 'base',
  puree: 'puree',
  broth: 'broth',
  aromatic: 'aromatic',
  dried: 'dried',
  bread: 'bread',
};

const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

interface Spot {
  placeId: string;
  zoneId: string;
}

/** Whether typed letters are a short way to write a zone: the first letters of some of its words in order, such as `sl` for Shed chest, left basket. */
const isShort = (typed: string, words: readonly string[]): boolean => {
  let at = 0;
  for (const letter of typed) {
    const next = words.findIndex((w, i) => i >= at && w.startsWith(letter));
    if (next < 0) return false;
    at = next + 1;
  }
  return true;
};

/**
 * A place as typed: beginnings of words of the freezer's or the basket's name, or first letters (`shed left`, `sc le`, `sl`).
 * The freezer alone means the basket used last in it, else its first.
 * @example spotOf(['shed', 'left'], places) // the left basket of the shed chest
 */
export function spotOf(tokens: readonly string[], places: readonly Place[], last?: Spot): Spot | undefined {
  if (tokens.length === 0) return undefined;
  const typed = tokens.map((t) => t.toLowerCase());
  const spots = places.flatMap((p) => p.zones.map((z) => ({ placeId: p.id, zoneId: z.id, place: wordsOf(p.name), zone: wordsOf(z.name) })));
  const letters = (words: readonly string[]): string => words.map((w) => w.slice(0, 1)).join('');
  const fits = spots.filter((s) => typed.every((t) => t === letters(s.place) || [...s.place, ...s.zone].some((w) => w.startsWith(t))));
  const named = fits.filter((s) => typed.some((t) => s.zone.some((w) => w.startsWith(t)) && !s.place.some((w) => w.startsWith(t))));
  const best = named.length > 0 ? named : fits;
  const [only = ''] = typed;
  const short = best.length === 0 && typed.length === 1 && only.length >= 2 && only.length <= 4;
  const found = short ? spots.filter((s) => isShort(only, [...s.place, ...s.zone]) && s.place[0]?.startsWith(only[0] ?? '')) : best;
  const again = found.find((s) => s.zoneId === last?.zoneId) ?? found[0];
  return again && { placeId: again.placeId, zoneId: again.zoneId };
}

/** Date and place from the words after the number, whichever comes first; undefined when a word is neither. */
function dateAndPlace(
  tokens: readonly string[],
  context: CountContext,
): { made: VagueDate | undefined; spot: Spot | undefined } | { strange: string } {
  const date = (list: readonly string[]): VagueDate | undefined => vagueDate(list, context.today);
  const spot = (list: readonly string[]): Spot | undefined => spotOf(list, context.places, context.place);
  if (tokens.length === 0) return { made: undefined, spot: undefined };
  // the longest date wins, so that "late oct" is never a place called late
  for (let length = tokens.length; length > 0; length -= 1) {
    const head = date(tokens.slice(0, length));
    const after = tokens.slice(length);
    if (head && (after.length === 0 || spot(after))) return { made: head, spot: spot(after) };
    const tail = date(tokens.slice(tokens.length - length));
    const before = tokens.slice(0, tokens.length - length);
    if (tail && (before.length === 0 || spot(before))) return { made: tail, spot: spot(before) };
  }
  const place = spot(tokens);
  return place ? { made: undefined, spot: place } : { strange: tokens.join(' ') };
}

/** What a name is: a dish of this household, a known word, or the kind that was said. */
function meaningOf(
  name: string,
  said: Kind | undefined,
  dishes: readonly KnownDish[],
): Pick<CountedLine, 'kind' | 'lifeRow' | 'portionsEach' | 'mlEach' | 'guess' | 'name'> & { recipeId?: string } {
  const words = wordsOf(name);
  const dish =
    words.length > 0
      ? dishes.find((d) => (!said || d.kind === said) && words.every((w) => wordsOf(d.name).some((x) => x.startsWith(w))))
      : undefined;
  const word: CountWord | undefined = countWords.find((c) => (!said || c.kind === said) && words.some((w) => c.words.includes(w)));
  const known = word ?? kindDefaults[said ?? 'meal'];
  if (dish && (words.length >= 2 || wordsOf(dish.name).length === 1))
    return {
      name: dish.name,
      kind: dish.kind,
      lifeRow: dish.lifeRow,
      mlEach: dish.portionMl,
      portionsEach: kindDefaults[dish.kind].portions,
      guess: 'recipe',
      recipeId: dish.recipeId,
    };
  return {
    name: name.slice(0, 1).toUpperCase() + name.slice(1),
    kind: known.kind,
    lifeRow: known.lifeRow,
    portionsEach: known.portions,
    mlEach: known.mlEach,
    guess: word ? 'word' : 'kind',
  };
}

/** Storage rows of raw meat and fish as they are bought. */
const plainRaw = new Set([
  ...['mince_raw', 'stewmeat_raw', 'beef_cut_raw', 'pork_cut_raw', 'poultry_whole_raw', 'poultry_parts_raw', 'poultry_mince_raw'],
  ...['liver_raw', 'sausage_raw', 'bacon_raw', 'fish_lean_raw', 'fish_oily_raw', 'prawns_raw'],
]);

/**
 * Reads one line of a first count: a name, how many packs (`4`, or `4x2` for two portions each), then a vague date and a place in any
 * order, with or without commas. The place is that of the line before unless it is said; a kind may be said before the name.
 * @example countLine('stew, 4, about October, shed left', context)
 */
export function countLine(text: string, context: CountContext): CountResult {
  const tokens = text
    .trim()
    .split(/[\s,;]+/)
    .filter(Boolean);
  if (tokens.length === 0) return { ok: false, why: 'Say what it is and how many, such as “stew 4 oct”.' };
  const at = tokens.findIndex((t) => /^\d{1,2}([x×*]\d{1,2}([.,]\d+)?)?$/.test(t));
  if (at < 0) return { ok: false, why: 'How many packs? Such as “stew 4 oct”.' };
  if (at === 0) return { ok: false, why: 'What is it? The name comes before the number.' };
  const [count = '', each] = (tokens[at] ?? '').split(/[x×*]/);
  const packs = Number(count);
  if (packs < 1 || packs > mostPacks) return { ok: false, why: `From 1 to ${mostPacks} packs on a line, not ${packs}.` };
  const named = tokens.slice(0, at);
  // “dried leeks” are called that; “kit pork” is pork
  const said = named.length > 1 ? kindsByWord[(named[0] ?? '').toLowerCase()] : undefined;
  const meaning = meaningOf((said && said !== 'dried' ? named.slice(1) : named).join(' '), said, context.dishes);
  const found = dateAndPlace(tokens.slice(at + 1), context);
  if ('strange' in found)
    return {
      ok: false,
      why: `“${found.strange}” is neither a date nor a place here. Dates: oct, 3 weeks ago, last spring. Places: ${context.places.map((p) => p.name).join(', ') || 'none yet'}.`,
    };
  const spot = found.spot ?? context.place;
  const { recipeId, ...rest } = meaning;
  return {
    ok: true,
    line: {
      ...rest,
      // raw meat by its plain name is a part of a dish; a kit that is called something else is one
      ...(rest.kind === 'kit' && { whole: rest.guess === 'recipe' || !plainRaw.has(rest.lifeRow) || rest.guess === 'kind' }),
      packs,
      portionsEach: each ? Number(each.replace(',', '.')) : rest.portionsEach,
      ...(found.made && !isUnknown(found.made) && { made: found.made }),
      ...(spot && spot),
      ...(recipeId && { recipeId }),
    },
  };
}
