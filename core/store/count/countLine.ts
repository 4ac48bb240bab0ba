import type { Day, Kind, Place } from '#core/contract';
import { countWords, kindDefaults, type CountWord } from '../data/countWords.rows.ts';
import { howManyAt, wordsOfLine, type HowMany } from './howMany.ts';
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
  /** The order in which the household writes a day. */
  locale?: string;
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
  const date = (list: readonly string[]): VagueDate | undefined => vagueDate(list, context.today, context.locale);
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

type Meaning = Pick<CountedLine, 'kind' | 'lifeRow' | 'portionsEach' | 'mlEach' | 'guess' | 'name'> & { recipeId?: string };

/** Whether a word is one of a list, be it one or many. */
const among = (word: string, list: readonly string[]): boolean =>
  list.includes(word) || list.includes(word.replace(/s$/, '')) || list.includes(word.replace(/es$/, ''));

/** What a name is: a dish of this household, a known word, or the kind that was said. */
function meaningOf(name: string, said: Kind | undefined, dishes: readonly KnownDish[]): Meaning {
  const words = wordsOf(name);
  const dish =
    words.length > 0
      ? dishes.find((d) => (!said || d.kind === said) && words.every((w) => wordsOf(d.name).some((x) => x.startsWith(w))))
      : undefined;
  const word: CountWord | undefined = countWords.find((c) => (!said || c.kind === said) && words.some((w) => among(w, c.words)));
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

/** Bread that is counted by the piece: “rolls 12” are twelve rolls, not twelve bags. */
const byThePiece = /^(?:rolls?|buns?|flatbreads?|bagels?|muffins?|scones?|pancakes?|waffles?|wraps?|pittas?)$/;
/** Pieces or cubes that one bag holds at most. */
const mostPieces = 500;

const quarter = (n: number): number => Math.max(0.25, Math.round(n * 4) / 4);

/** What is in each pack: as it is said, else what a pack of its kind usually holds. */
function inEach(many: HowMany, meaning: Meaning): Pick<CountedLine, 'packs' | 'portionsEach' | 'mlEach'> {
  const words = wordsOf(meaning.name);
  if (many.ml !== undefined) {
    const portionsEach = quarter(many.ml / meaning.mlEach);
    return { packs: many.packs, portionsEach, mlEach: many.ml / portionsEach };
  }
  if (many.bare && meaning.kind === 'bread' && words.some((w) => byThePiece.test(w)))
    return { packs: 1, portionsEach: many.packs, mlEach: meaning.mlEach };
  return { packs: many.packs, portionsEach: many.each ?? meaning.portionsEach, mlEach: meaning.mlEach };
}

/** A line that begins with its number: the name goes on until a date or a place does. */
function nameAndRest(tokens: readonly string[], context: CountContext): { named: readonly string[]; rest: readonly string[] } {
  const from = tokens[0]?.toLowerCase() === 'of' ? 1 : 0;
  for (let at = from + 1; at < tokens.length; at += 1) {
    const rest = tokens.slice(at);
    if (!('strange' in dateAndPlace(rest, context))) return { named: tokens.slice(from, at), rest };
  }
  return { named: tokens.slice(from), rest: [] };
}

/**
 * Reads one line of a first count: a name and how many packs (`4`, `4x2`, `4 x 500 ml`, `3 bags of 2`, `40 cubes`), whichever first, then a vague date
 * and a place in any order, with or without commas. The place is that of the line before unless it is said; a kind may be said before the name.
 * @example countLine('stew, 4, about October, shed left', context)
 */
export function countLine(text: string, context: CountContext): CountResult {
  const tokens = wordsOfLine(text);
  if (tokens.length === 0) return { ok: false, why: 'Say what it is and how many, such as “stew 4 oct”.' };
  const at = tokens.findIndex((_, i) => howManyAt(tokens, i) !== undefined);
  const many = at < 0 ? undefined : howManyAt(tokens, at);
  if (!many) {
    const name = tokens.filter((t) => t !== '?').join(' ');
    return { ok: false, why: `How many packs${name ? ` of ${name}` : ''}? Such as “${name || 'stew'} 4 oct”.` };
  }
  const after = tokens.slice(at + many.length);
  const { named, rest } = at === 0 ? nameAndRest(after, context) : { named: tokens.slice(0, at), rest: after };
  if (named.length === 0) return { ok: false, why: 'What is it? A name belongs to the number, such as “stew 4 oct”.' };
  // “dried leeks” are called that; “kit pork” is pork
  const first = (named[0] ?? '').toLowerCase();
  const said = named.length > 1 ? (kindsByWord[first] ?? kindsByWord[first.replace(/s$/, '')]) : undefined;
  const meaning = meaningOf((said && said !== 'dried' ? named.slice(1) : named).join(' '), said, context.dishes);
  const each = inEach(many, meaning);
  if (each.packs < 1 || each.packs > mostPacks) return { ok: false, why: `From 1 to ${mostPacks} packs on a line, not ${each.packs}.` };
  if (each.portionsEach <= 0 || each.portionsEach > mostPieces)
    return {
      ok: false,
      why: `A pack holds up to ${mostPieces}, not ${each.portionsEach}: say how many bags, such as “2 bags of 40 cubes”.`,
    };
  const found = dateAndPlace(rest, context);
  if ('strange' in found)
    return {
      ok: false,
      why: `“${found.strange}” is neither a date nor a place here. Dates: oct, 15/10, 3 weeks ago, last spring. Places: ${context.places.map((p) => p.name).join(', ') || 'none yet'}.`,
    };
  const spot = found.spot ?? context.place;
  const { recipeId, ...known } = meaning;
  return {
    ok: true,
    line: {
      ...known,
      // raw meat by its plain name is a part of a dish; a kit that is called something else is one
      ...(known.kind === 'kit' && { whole: known.guess === 'recipe' || !plainRaw.has(known.lifeRow) || known.guess === 'kind' }),
      ...each,
      ...(found.made && !isUnknown(found.made) && { made: found.made }),
      ...(spot && spot),
      ...(recipeId && { recipeId }),
    },
  };
}
