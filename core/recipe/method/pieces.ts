import { workFacts } from './classes.ts';
import type { WorkKind } from '#core/contract';
import { readDurations } from './durations.ts';
import { titleWords } from './foods.ts';
import { heatOf } from './minutes.ts';
import type { Language } from './language.ts';
import { segmentsOf, type Segment } from './segments.ts';

/** Where a cook has said that a step begins, or that none does. */
export interface Cut {
  at: number;
  begins: boolean;
  /** To here it is one step, as it was kept. */
  until?: number;
}

/** The first letter at or behind a place. */
const letterAt = (text: string, at: number): number => {
  const found = text.slice(at).search(/[\p{L}\p{N}]/u);
  return found < 0 ? at : at + found;
};

/** One piece of work as it is told: hands first, then its own waiting, in one vessel. */
export interface Piece {
  /** The paragraph it is told in, and where. */
  paragraph: number;
  at: number;
  end: number;
  text: string;
  segments: readonly Segment[];
  kind: WorkKind;
  /** Only something is put to what is there. */
  adds: boolean;
  section: string | undefined;
  sectionWords: readonly string[];
  past: boolean;
  meanwhile: boolean;
  then: boolean;
  eve: boolean;
  serve: boolean;
}

const oven = /\b(?:oven|gas(?: mark)? \d|ofen|backofen|four|horno|forno|grill)\b/iu;
const lid = /\b(?:lid|covered|deckel|zugedeckt|couvercle|tapad[oa]|coperchio)\b/iu;
const wordsOfKind: readonly (readonly [RegExp, WorkKind])[] = [
  [
    /\b(?:simmer|bubble|low(?:est)? (?:heat|flame)|köcheln|leise kochen|feu doux|fuego lento|fuoco (?:lento|basso)|petit feu)\b/iu,
    'simmer',
  ],
  [/\bremojo\b/iu, 'soak'],
  [/\b(?:boil|kochen bringen|ébullition|hervor|ebollizione|bollore)\b/iu, 'boil'],
  [/^\W*(?:on )?low,?(?: for)? \d/iu, 'slow'],
  [/\b(?:dehydrator|dryer|dörrgerät)\b/iu, 'freeze'],
  [/\b(?:freezer|froster|congélateur|congelador)\b/iu, 'freeze'],
  [/\b(?:fridge|kühlschrank|frigo|réfrigérateur|nevera|frigorífico|frigorifero)\b/iu, 'cool'],
  [/\bpurée\b/iu, 'blend'],
];

/** The longest by itself first, then what stands on the hob, then what hands do. */
const strongest: readonly WorkKind[] =
  'preheat bake slow steam soak simmer reduce boil rest freeze cool brown fry soften melt knead blend shape strain fill mix cut serve finish'.split(
    ' ',
  ) as WorkKind[];

const hasTime = (text: string): boolean => readDurations(text).length > 0;
const longTime = (text: string): boolean => readDurations(text).some((d) => d.low >= 3);

/** Kind of one segment; `before` is the place it goes on in. */
function kindOf(s: Segment, text: string, before: WorkKind | undefined): WorkKind | undefined {
  const said = text.slice(s.at, s.end);
  if (s.alternative) return undefined;
  if (/^\W*(?:oven|ofen|horno|forno)\b/iu.test(said) && !hasTime(said)) return 'preheat';
  if (
    (s.act === 'add' || s.act === 'small') &&
    /\b(?:set|turn|switch|put)\b[^.]*\b(?:oven|grill)\b/iu.test(said) &&
    heatOf(`oven ${said}`) !== undefined &&
    !hasTime(said)
  )
    return 'preheat';
  const plainly = said.replace(/\b(?:never|not|don['’]t|do not|without|ohne|nicht|sans|sin)\b[^,.;]*/giu, ' ');
  const named = (): WorkKind | undefined => wordsOfKind.find(([pattern]) => pattern.test(plainly))?.[1];
  const onHob = before !== undefined && workFacts[before].place === 'hob';
  switch (s.act) {
    case 'heat':
      if (/\btogether\b/iu.test(said)) return 'mix';
      if (oven.test(said)) return 'preheat';
      return named() ?? 'melt';
    case 'cook':
      if (/\b(?:dry pan|hot pan|griddle|a side|each side)\b/iu.test(said)) return 'fry';
      if (/\b(?:slow cooker|schongarer|mijoteuse)\b/iu.test(said)) return 'slow';
      if (oven.test(said) || /\bau four\b/iu.test(said)) return 'bake';
      if (/\bstirring(?: all| the whole|\s*[.,])|\bconstantly\b/iu.test(said)) return 'soften';
      if (
        /\b(?:golden|translucent|glassy|slowly|caramelised|in (?:the |a little |some |half the )?(?:butter|oil|lard|ghee|fat|dripping))\b/iu.test(
          said,
        ) &&
        !lid.test(said) &&
        !readDurations(said).some((d) => d.low > 30)
      )
        return 'soften';
      // a white sauce is stirred all the time
      if (before === 'melt' && readDurations(said).every((d) => d.low <= 10) && hasTime(said) && !lid.test(said)) return 'soften';
      return named() ?? (s.tokens.length - s.verb > 1 ? 'simmer' : undefined);
    case 'add':
      if (/\ba remojo\b|\bto soak\b/iu.test(said)) return 'soak';
      if (hasTime(said) && oven.test(said)) return 'bake';
      if (longTime(said) && /\b(?:trays?|sheets?|roasting tin|blech|plaque)\b/iu.test(said)) return 'bake';
      return longTime(said) && onHob ? (named() ?? 'simmer') : undefined;
    case 'small':
      if (/\bturn\b[^.,;]*\bin (?:it|the)\b/iu.test(said)) return 'mix';
      if (/\b(?:turn|toss|stir|move)\b/iu.test(said) && longTime(said)) return 'soften';
      if (/\b(?:make|prepare|do)\b[^.,;]*\b(?:sauce|roux|custard|caramel|gravy|béchamel|bechamel)\b/iu.test(said))
        return /\bstirring\b/iu.test(said) ? 'soften' : 'simmer';
      if (/\b(?:make|prepare|do)\b[^.,;]*\b(?:balls?|patties|rounds?|rolls|dumplings|burgers|parcels)\b/iu.test(said)) return 'shape';
      return longTime(said) ? (named() ?? (lid.test(said) || onHob ? 'simmer' : 'rest')) : undefined;
    case undefined:
      if (/^\W*(?:oven|ofen|four|horno|forno)\b/iu.test(said)) return hasTime(said) ? 'bake' : 'preheat';
      if (!hasTime(said)) return undefined;
      if (oven.test(said) || heatOf(`oven at ${said}`) !== undefined || /\bat (?:1[4-9]0|2[0-5]0)\b/u.test(said)) return 'bake';
      if (s.serve) return 'serve';
      return named() ?? (lid.test(said) && !/\blid off\b/iu.test(said) ? 'simmer' : onHob || before === undefined ? 'soften' : before);
    case 'fill':
      return longTime(said) && /\b(?:trays?|sheets?|roasting tin|blech|plaque)\b/iu.test(said) ? 'bake' : 'fill';
    case 'cool':
      // “cool slightly” is no step
      return /\b(?:slightly|a little|a bit|briefly|somewhat|etwas|un peu|un poco)\b/iu.test(said) && !hasTime(said) ? undefined : 'cool';
    case 'brown':
    case 'melt':
    case 'soften':
      // “toast the nuts in the oven, 8 min”
      return /\b(?:in|into|under) (?:the|a|your)(?: \w+)? (?:oven|grill)\b/iu.test(said) && (hasTime(said) || heatOf(said) !== undefined)
        ? 'bake'
        : s.act;
    case 'fry':
      return lid.test(said) && longTime(said) ? 'simmer' : 'fry';
    default:
      return s.act;
  }
}

const restLike: ReadonlySet<WorkKind> = new Set<WorkKind>(['rest', 'cool', 'freeze', 'soak']);
const pausing: ReadonlySet<WorkKind> = new Set<WorkKind>([
  'bake',
  'slow',
  'steam',
  'soak',
  'simmer',
  'reduce',
  'boil',
  'rest',
  'freeze',
  'cool',
  'preheat',
]);

const onFire: ReadonlySet<WorkKind> = new Set<WorkKind>(['brown', 'soften', 'fry', 'melt']);

interface Taken {
  segment: Segment;
  kind: WorkKind | undefined;
  foods: boolean;
}

/** Whether something was waited for, or took its time, before what comes next. */
const waited = (piece: readonly Taken[], text: string): boolean =>
  piece.some((t) => {
    const said = text.slice(t.segment.at, t.segment.end);
    return (
      (t.kind !== undefined && (pausing.has(t.kind) || (onFire.has(t.kind) && (t.kind !== 'melt' || /\buntil\b/iu.test(said))))) ||
      longTime(said)
    );
  });

/** A sentence that tells about the dish and orders nothing. */
const tells =
  /\b(?:is|are|can|could|may|might|will|has|have|keeps?|makes|was|were|need|needs|should|works?|tastes?|freezes?)\b(?![^.]*\b(?:goes?|go) in\b)/iu;

const boilUp = /\b(?:bring|come)s?\b[^.;]*\b(?:boil|simmer|bubble)\b|\bup\b|aufkochen|ébullition|hervor/iu;

/** Out of the boiling water into ice: work of its own, however it is said. */
export const intoIce = /\b(?:ice|iced|icy)\b(?![ -]?cream)/iu;

const pronoun = /\b(?:it|them|both|these|all)\b/iu;

/** Whether another step begins here. */
function cutsHere(piece: readonly Taken[], next: Taken, text: string): boolean {
  const last = piece.at(-1)!;
  const s = next.segment;
  if (s.alternative) return false;
  if (s.section !== undefined) return true;
  if (s.past !== last.segment.past || s.meanwhile) return true;
  const before = piece.findLast((t) => t.kind !== undefined)?.kind;
  const done = waited(piece, text);
  if (done && before === 'boil' && intoIce.test(text.slice(s.at, s.end)) && !next.foods) return true;
  // nothing but a time, a cue or a lid: it is told of the work before
  if (s.act === undefined && !next.foods && next.kind !== 'preheat' && !s.serve) {
    const own =
      next.kind !== undefined &&
      pausing.has(next.kind) &&
      before !== undefined &&
      pausing.has(before) &&
      workFacts[next.kind].place !== workFacts[before].place;
    return own || (done && before !== undefined && restLike.has(before) && readDurations(text.slice(s.at, s.end)).some((d) => d.low >= 60));
  }
  if (s.serve && !piece.some((t) => t.segment.serve)) return s.first || done || !/^\W*\w+ (?:it|them)\b/iu.test(text.slice(s.at, s.end));
  if (s.eve && !piece.some((t) => t.segment.eve) && done) return true;
  if (next.kind === 'preheat' || before === 'preheat') return !(s.act === 'small' && !next.foods);
  if (s.act === 'small' && next.kind === undefined) return s.first && s.full && next.foods && /\blet\b/iu.test(text.slice(s.at, s.end));
  const said = text.slice(s.at, s.end);
  if (!s.first || (!s.full && !done)) {
    // one sentence
    if (!done) {
      if (next.kind && restLike.has(next.kind) && before !== undefined && piece.some((t) => t.foods))
        return !(before === 'fill' || before === 'finish' || (before === 'strain' && next.kind !== 'cool'));
      if (before === 'cut' && s.act === 'add' && pronoun.test(said)) return true;
      if (before === 'melt' && s.act === 'add' && !next.foods && /\b(?:in|into|over)\b/iu.test(said)) return true;
      if (before === 'mix' && s.act === 'add' && !next.foods && /\b(?:on top|over|scatter)\b/iu.test(said)) return true;
      if (before === 'cut' && next.kind === 'cut') return false;
      if (before === 'cut' && next.kind && next.foods && workFacts[next.kind].place === 'hob' && !pausing.has(next.kind)) return false;
      return false;
    }
    const lastKind = before!;
    if (next.kind === lastKind && !next.foods) return false;
    if (lastKind === 'boil' && next.kind === 'simmer' && !next.foods) return false;
    if ((next.kind === 'strain' || next.kind === 'cut') && !next.foods && !longTime(said)) return false;
    if (s.act === 'finish' && !next.foods) return false;
    if (s.act === 'add' && !next.foods && !longTime(said))
      return /\b(?:in|into|to|over|auf|dans)\b/iu.test(said) && !/\bback\b/iu.test(said);
    return true;
  }
  // a new sentence
  if (s.act === 'finish' && !next.foods && !hasTime(said)) return false;
  if (
    !done &&
    !next.foods &&
    next.kind &&
    pausing.has(next.kind) &&
    !restLike.has(next.kind) &&
    piece.every((t) => t.kind === undefined || t.segment.act === 'heat' || t.kind === 'finish')
  )
    return false;
  if (!done && s.act === undefined && next.foods) {
    // commands without a verb run on until something takes its time
    return !piece.every((t) => t.segment.act === undefined || t.segment.act === 'small');
  }
  if (done && boilUp.test(text.slice(last.segment.at, last.segment.end)) && before === 'boil' && !next.foods) return false;
  return true;
}

/** What may stand before “and freeze” and is still of the packing. */
const lastOnly: ReadonlySet<WorkKind> = new Set<WorkKind>(['fill', 'finish', 'serve', 'cool', 'mix', 'rest']);

/** More steps than any recipe has: what is written behind them is text. */
const mostPieces = 100;

/**
 * A method in pieces of work, in the order it is told.
 * @param paragraphs as written, each a step of its own at least
 * @param cuts what a cook has said of where steps begin, by paragraph
 * @param hasFoods whether a segment speaks of something that goes in
 */
export function piecesOf(
  paragraphs: readonly string[],
  language: Language,
  hasFoods: (s: Segment) => boolean,
  cuts: readonly (readonly Cut[])[] = [],
): Piece[] {
  const pieces: Piece[] = [];
  let section: string | undefined;
  let dayOne = false;
  paragraphs.forEach((text, paragraph) => {
    if (pieces.length >= mostPieces) return;
    let open: Taken[] = [];
    let lead = 0;
    const close = (end: number): void => {
      if (open.length === 0) return;
      const at = pieces.at(-1)?.paragraph === paragraph ? pieces.at(-1)!.end : lead;
      const segments = open.map((t) => t.segment);
      const told = open.flatMap((t) => t.kind ?? []);
      // “blend, fill the trays and freeze”: what comes last is of the packing, not of the work
      const worked = told.some((k) => k !== 'freeze' && !lastOnly.has(k));
      const kinds = worked ? told.filter((k) => k !== 'freeze') : told;
      const before = pieces.at(-1)?.kind;
      // the place of a piece that only adds is where it is added
      const kind = strongest.find((k) => kinds.includes(k)) ?? (before !== undefined && workFacts[before].place === 'hob' ? 'mix' : 'mix');
      pieces.push({
        paragraph,
        at,
        end,
        text: text.slice(at, end),
        segments,
        kind,
        adds: segments.every((s) => s.act === 'add' || s.act === 'small' || s.act === undefined),
        section,
        sectionWords: titleWords(section),
        past: segments.some((s) => s.past),
        meanwhile: segments[0]!.meanwhile,
        then: segments[0]!.then,
        eve:
          segments.some((s) => s.eve) ||
          dayOne ||
          (!segments[0]!.first && pieces.at(-1)?.eve === true && !pieces.at(-1)!.serve && !pieces.at(-1)!.past),
        serve:
          segments.some((s) => s.serve) ||
          (segments.some((s) => s.eve && !s.past) &&
            pieces.some(
              (x) => x.kind === 'freeze' || /\b(?:bag|bags|jars?|portions?) in\b|\binto (?:bags|jars|portions|tubs)\b/iu.test(x.text),
            ) &&
            /\b(?:one|a) (?:bag|jar|portion|tub|pack)\b/iu.test(text.slice(at, end))) ||
          (!segments[0]!.first && pieces.at(-1)?.serve === true),
      });
      open = [];
    };
    const forced = new Map((cuts[paragraph] ?? []).map((c) => [letterAt(text, c.at), c.begins] as const));
    const whole = (cuts[paragraph] ?? []).flatMap((c) => (c.until === undefined ? [] : [[letterAt(text, c.at), c.until] as const]));
    const beginsAt = (at: number): boolean | undefined =>
      forced.get(at) ?? (whole.some(([from, to]) => at > from && at < to) ? false : undefined);
    const told = segmentsOf(text, language, new Set([...forced].flatMap(([at, begins]) => (begins ? [at] : []))));
    let held: Segment | undefined;
    for (const [n, one] of told.entries()) {
      // “cover and bake”: what is done on the way is told of what follows
      const s: Segment = held
        ? {
            ...one,
            at: held.at,
            first: held.first,
            full: held.full,
            tokens: [...held.tokens, ...one.tokens],
            verbs: new Set([...held.verbs, ...[...one.verbs].map((v) => v + held!.tokens.length)]),
            quiet: new Set([...held.quiet, ...[...one.quiet].map((v) => v + held!.tokens.length)]),
            verb: one.verb < 0 ? -1 : one.verb + held.tokens.length,
            meanwhile: held.meanwhile || one.meanwhile,
            then: held.then,
            ...(held.section !== undefined && { section: held.section }),
            eve: held.eve || one.eve,
            serve: held.serve || one.serve,
            nextDay: held.nextDay || one.nextDay,
          }
        : one;
      held = undefined;
      const following = told[n + 1];
      if (
        s.act === 'small' &&
        s.first &&
        following &&
        !following.first &&
        !forced.has(letterAt(text, following.at)) &&
        !hasTime(text.slice(s.at, s.end)) &&
        !hasFoods(s)
      ) {
        held = s;
        continue;
      }
      const before = open.findLast((t) => t.kind !== undefined)?.kind ?? pieces.at(-1)?.kind;
      const taken: Taken = { segment: s, kind: kindOf(s, text, before), foods: hasFoods(s) };
      const empty = s.act === undefined && taken.kind === undefined && !s.serve && (!taken.foods || tells.test(text.slice(s.at, s.end)));
      const begins = beginsAt(letterAt(text, s.at));
      if (open.length > 0 && (begins ?? (!(empty && s.section === undefined) && cutsHere(open, taken, text)))) close(s.at);
      if (s.section !== undefined) {
        section = s.section;
        dayOne = /\bday (?:1|one)\b|\btag 1\b|jour 1|día 1/iu.test(s.section);
      }
      if (s.nextDay) dayOne = false;
      else if (/\bday (?:1|one)\b/iu.test(text.slice(s.at, s.end)) && s.eve) dayOne = true;
      // story and praise go with what comes after them, or with what came before
      if (empty && open.length === 0 && begins === undefined) continue;
      open.push(taken);
    }
    if (open.length === 0) {
      const last = pieces.at(-1);
      if (last?.paragraph === paragraph) pieces[pieces.length - 1] = { ...last, end: text.length, text: text.slice(last.at, text.length) };
    } else close(text.length);
    lead = 0;
  });
  return pieces;
}

/**
 * Kinds of the work that is told at the places of a paragraph, within one piece; none of its own where another way is told. The piece is read once, however
 * many places are asked for.
 * @returns what answers for a place of the paragraph's text
 */
export function segmentKinds(piece: Piece, text: string): (at: number) => WorkKind | 'other' | undefined {
  let before: WorkKind | undefined;
  const kinds = piece.segments.map((s) => {
    const kind = kindOf(s, text, before ?? piece.kind);
    before = kind ?? before;
    return { s, kind };
  });
  return (at) =>
    piece.segments.findLast((s) => s.at <= at)?.alternative
      ? 'other'
      : // a time belongs to the nearest work before it
        kinds.findLast(({ s, kind }) => s.at <= at && kind !== undefined)?.kind;
}
