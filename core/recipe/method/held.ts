import type { Line } from '#core/contract';
import { sameStem } from './language.ts';
import type { Lexicon, LineNames } from './foods.ts';
import type { Piece } from './pieces.ts';

/** A piece with what goes into it and what it waits for. */
export interface Bound {
  piece: Piece;
  /** Share of each line; none while it is open how much. */
  uses: Map<Line, number | undefined>;
  /** Pieces whose results it takes. */
  takes: Set<number>;
  /** Pieces that only come first: the hot oven, the same pan. */
  after: Set<number>;
  /** Amounts as they are written here, of the whole line. */
  amounts: { line: Line; share: number; said: string }[];
}

/** What is worked out so far of a method. */
export interface Context {
  pieces: readonly Piece[];
  lines: Lexicon;
  bound: Bound[];
  /** Lines in each piece's pot, with those of what it takes. */
  held: ReadonlySet<Line>[];
  /** Pieces that name a line, by its id. */
  namedIn: ReadonlyMap<string, ReadonlySet<number>>;
  /** What is left of each line. */
  left: Map<Line, number>;
  /** Pieces whose result nobody has taken yet. */
  open: Set<number>;
  /** Pieces of which the one being worked out takes only a part. */
  shared: Set<number>;
}

/** Foods of which a little goes in here and there: named twice they are used twice. */
export const pantry = (l: LineNames): boolean =>
  l.row !== undefined
    ? l.row.aisle === 'spices' || /^(?:oil|vinegar|sugar|flour|butter|water|salt|lemon|honey|soy)/.test(l.row.id)
    : /\b(?:oil|salt|pepper|sugar|butter|flour|vinegar|water|lard|ghee|fat|öl|huile|aceite|olio)\b/iu.test(l.line.name);
/** Foods that are no dish of their own: fat, liquid and seasoning join what is there. */
export const minor = (l: LineNames): boolean =>
  pantry(l) ||
  (l.row !== undefined &&
    (l.row.baseState === 'liquid' ||
      /^(?:stock|wine|beer|milk|cream|tomato_puree|passata|bay|thyme)/.test(l.row.id) ||
      l.row.aisle === 'herbs')) ||
  /\b(?:stock|broth|cider|wine|cream|brühe|bouillon|caldo|brodo|crème|stout|beer|juice)\b/iu.test(l.line.name);

export const inSection = (l: LineNames, p: Pick<Piece, 'sectionWords'>): boolean =>
  p.sectionWords.length > 0 && l.sectionWords.some((w) => p.sectionWords.some((x) => sameStem(w, x)));

/** Vessel made ready: it holds nothing yet. */
export const readies = (p: Piece): boolean => {
  const work = p.segments.filter((s) => s.act !== 'small' && s.act !== undefined);
  const verb = work[0]?.tokens[work[0].verb]?.word ?? '';
  return (
    work.length === 1 &&
    readying.test(verb) &&
    /\b(?:tins?|trays?|dish(?:es)?|moulds?|plat|form|blech|molde|teglia|sheets? of paper)\b/iu.test(p.text)
  );
};
const readying = /^(?:line|butter|grease|oil|rub|dust|prepare|beurrer|graisser|fetten|einfetten|untar|engrasar|imburrare|frotter)$/u;

const sectionless = (p: Piece): boolean => p.section === undefined;

const aside =
  /\b(?:set|put|lay|keep) (?:\w+ ){0,3}(?:aside|warm)(?: as well)?\b|\b(?:lift|take|scoop) (?:it |them )?out\b\W*$|\b(?:remove|reserve)\b[^.]*$|beiseite|réserver|reservar|mettere da parte/iu;

/** The piece that “it” speaks of: the one told before, side work left out. */
export function previous(ctx: Context, n: number): number | undefined {
  const me = ctx.pieces[n]!;
  for (let i = n - 1; i >= 0; i -= 1) {
    const p = ctx.pieces[i]!;
    if (p.kind === 'preheat' || readies(p)) continue;
    if (p.serve && !me.serve && i !== n - 1) continue;
    if (p.past && !me.past) continue;
    if (p.section !== me.section && !sectionless(me) && !me.serve) return undefined;
    // what was set aside waits until it is named
    return aside.test(p.text) && !ctx.pieces[n]!.text.match(/\b(?:it|them)\b/iu) ? undefined : i;
  }
  return undefined;
}

/** What a piece's result has become since: the open piece that took it, through and through. */
export function frontier(ctx: Context, i: number, n: number): number {
  if (ctx.open.has(i)) return i;
  const taker = ctx.bound.findIndex((b, k) => b !== undefined && k !== n && k !== i && b.takes.has(i));
  return taker < 0 ? i : frontier(ctx, taker, n);
}

const liftsOut = /\b(?:lift|take|fish|scoop)\b[^.]*?\bout\b|\bremove the\b/iu;

/** A piece that lifted a line's food out of its pot, where nobody has put it back yet. */
export function liftedFrom(ctx: Context, line: Line, n: number): number | undefined {
  for (let i = n - 1; i >= 0; i -= 1) {
    const { text } = ctx.pieces[i]!;
    if (/\b(?:return|put|stir|back)\b[^.]*\bback\b|\breturn\b/iu.test(text)) return undefined;
    if (liftsOut.test(text) && i < n - 1) return holdsLine(ctx, i, line) ? i : undefined;
  }
  return undefined;
}

const holdsLine = (ctx: Context, i: number, line: Line): boolean => ctx.held[i]?.has(line) ?? false;

/** What a line has become: the last piece that holds it and that nobody has taken since. */
export function holderOf(ctx: Context, line: Line, before: number): number | undefined {
  let last: number | undefined;
  for (let i = ctx.bound.length - 1; i >= 0; i -= 1) {
    if (i === before || !holdsLine(ctx, i, line)) continue;
    if (ctx.open.has(i)) return i;
    last ??= i;
  }
  return last;
}

/** Takes a share of a line into a piece; one without a figure is open how much. */
export function use(ctx: Context, b: Bound, line: Line, share: number | undefined): void {
  const left = ctx.left.get(line) ?? 0;
  const before = b.uses.get(line);
  if (b.uses.has(line) && share === undefined) return;
  if (share === undefined) {
    b.uses.set(line, before);
    ctx.left.set(line, 0);
    return;
  }
  b.uses.set(line, Math.min(1, (before ?? 0) + share));
  ctx.left.set(line, left - share);
}

export /** Whether what goes in is a food of its own, not only fat and seasoning. */
const mainFoodOf = (ctx: Context, b: Bound): boolean =>
  [...b.uses.keys()].some((line) => ctx.lines.some((l) => l.line === line && !minor(l)));
