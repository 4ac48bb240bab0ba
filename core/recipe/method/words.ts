import type { Line } from '#core/contract';
import { groupOf, type LineNames } from './foods.ts';
import { frontier, holderOf, inSection, liftedFrom, mainFoodOf, previous, use, type Bound, type Context } from './held.ts';
import { sameStem, stemOf } from './language.ts';
import { isProduct, producerOf } from './results.ts';
import type { Segment } from './segments.ts';
import { saidShare, wordsBefore } from './shares.ts';
import { isObject, pronouns, type Spoken } from './spoken.ts';

/** Things of the kitchen and of time: “the pan” tells of no food made before. */
const vessels = new Set(
  'oven heat dish tray tin bowl lid side time minute hour top bottom fridge freezer pan pot pots mould board day night table hob sieve processor blender paper foil rest last first other remaining same surface edge sheet jar tub bag flame whole lot base half cook finger meantime end middle centre inside outside largest water'
    .split(' ')
    .map(stemOf),
);

/** One piece being worked out: what it has taken so far. */
export interface State {
  ctx: Context;
  b: Bound;
  n: number;
  paragraph: string;
  spoken: readonly Spoken[];
  /** Lines that go in here. */
  own: Set<Line>;
  /** A food of its own goes in, so that it begins something. */
  mainFood: boolean;
  /** Lines of the list stand under the title of its part. */
  parted: boolean;
  /** Where the first food is named. */
  firstFood: number;
}

/** A line of the part that is told of; any line where no part of the list is of that name. */
export const inPart = ({ b, parted }: State, l: LineNames): boolean => !parted || inSection(l, b.piece);

/** Takes what a piece's result has become. */
export function refer({ ctx, b, n }: State, i: number | undefined): void {
  const now = i === undefined ? undefined : b.piece.meanwhile && ctx.pieces[i]!.kind === 'cut' ? i : frontier(ctx, i, n);
  if (now !== undefined && now !== n) b.takes.add(now);
}

/** Takes only part of a piece's result: the rest stays where it is. */
export function partly({ ctx, b }: State, i: number): void {
  b.takes.add(i);
  if (ctx.open.has(i)) ctx.shared.add(i);
}

/** A word for several lines: those not yet in go in, what the others have become is there. */
function takeGroup(st: State, s: Segment, i: number, group: readonly LineNames[], before: string): void {
  const { ctx, b, n } = st;
  const p = b.piece;
  const t = s.tokens[i]!;
  const mine = group.filter((l) => !l.line.section || inPart(st, l));
  const fresh = mine.filter((l) => (ctx.left.get(l.line) ?? 0) > 0.01 && !st.own.has(l.line));
  const named = (l: LineNames, when: (k: number) => boolean): boolean => [...(ctx.namedIn.get(l.line.id) ?? [])].some(when);
  const unsaid = fresh.filter((l) => !named(l, (k) => k < n));
  // what is put in by name later is not meant yet; where most of them are in, no other is
  const meant = unsaid.filter((l) => !named(l, (k) => k > n));
  const within = mine.filter((l) => (ctx.left.get(l.line) ?? 0) < 0.01 && !st.own.has(l.line)).length;
  const later = within >= 2 && !/\ball\b/iu.test(before) ? [] : meant.length > 0 || within > 0 ? meant : unsaid;
  if (!s.quiet.has(i) && later.length > 0 && !/ing$/.test(s.tokens[i - 1]?.word ?? '')) {
    for (const l of later) {
      const said = saidShare(before, l.line);
      use(
        ctx,
        b,
        l.line,
        said === 'rest' ? Math.max(0, ctx.left.get(l.line) ?? 0) : (said?.share ?? Math.max(0, ctx.left.get(l.line) ?? 1)),
      );
      st.own.add(l.line);
    }
    st.firstFood = Math.min(st.firstFood, t.at);
    if (
      isObject(s, i) &&
      p.segments.slice(0, p.segments.indexOf(s)).every((x) => x.act === 'small' || x.act === undefined || x.act === s.act)
    )
      st.mainFood = true;
  }
  for (const l of mine)
    if (!st.own.has(l.line) && (ctx.left.get(l.line) ?? 0) < 0.01) {
      const lifted = liftedFrom(ctx, l.line, n);
      if (lifted === undefined) refer(st, holderOf(ctx, l.line, n));
      else partly(st, lifted);
    }
}

/** A word for what was made: “the sauce”, “the cheese mixture”. */
function takeProduct(st: State, s: Segment, i: number, before: string): void {
  const { ctx, n } = st;
  const t = s.tokens[i]!;
  const foodBefore = t.before === 'space' ? s.tokens[i - 1] : undefined;
  const ofFood = foodBefore && ctx.lines.find((l) => [...l.words].some((w) => sameStem(w, foodBefore.stem)));
  const madeOf = ofFood && (ctx.left.get(ofFood.line) ?? 0) < 0.01 ? holderOf(ctx, ofFood.line, n) : undefined;
  const makes = /\b(?:a|an|to a|into a|make|bring|until)\b[^.,;]*$/iu.test(before) && !/\bthe\b[^.,;]*$/iu.test(before);
  const made = makes ? undefined : (madeOf ?? producerOf(ctx.pieces, ctx.bound, t.stem, n));
  const taker = made === undefined ? -1 : ctx.bound.findIndex((x, k) => x !== undefined && k !== n && x.takes.has(made));
  // “lift out, strip the meat”: the broth stays where it was
  if (
    made !== undefined &&
    taker >= 0 &&
    /^(?:stock|broth|liquid|juice|milk|water|brühe|bouillon)$/.test(t.stem) &&
    /\b(?:lift|take|fish|scoop)\b[^.]*\bout\b|\bremove\b/iu.test(ctx.pieces[taker]!.text)
  )
    partly(st, made);
  // a thing nobody saw being made is what stands there
  else refer(st, made ?? (makes || !/\bthe\b[^.,;]*$/iu.test(before) ? undefined : previous(ctx, n)));
}

/** “It”, “them”, “both”: what was made right before. */
function takePronoun(st: State, s: Segment, i: number): void {
  const { ctx, b, n } = st;
  const t = s.tokens[i]!;
  const themToo = /^(?:them|these)$/.test(t.word) && b.uses.size > 0 && b.takes.size === 0 && !mainFoodOf(ctx, b);
  const withIt = /^(?:it|them)$/.test(t.word) && b.uses.size === 0 && /^(?:with|in|over|into|to|on)$/.test(s.tokens[i - 1]?.word ?? '');
  if (pronouns.has(t.word) && (t.at < st.firstFood || withIt || themToo) && !s.quiet.has(i)) {
    if (t.word === 'this' && s.tokens[i + 1]?.before === 'space' && isProduct(s.tokens[i + 1]!.stem)) return;
    if (/^(?:le|les|lo|los|la|las)$/.test(t.word)) return;
    if (t.word === 'all' || t.word === 'rest') return;
    const last = previous(ctx, n);
    refer(st, last);
    if (t.word === 'both' || /^(?:them|these|those)$/.test(t.word)) {
      // “blitz both”: what the two before made, each apart
      const other = last === undefined ? undefined : previous(ctx, last);
      if (t.word === 'both' && other !== undefined && ctx.open.has(other) && other !== last && (ctx.bound[last!]?.uses.size ?? 0) < 2)
        refer(st, other);
    }
  }
}

/** A word that is no line's name: a group, a result, what is left of some work, what stands there. */
export function takeWord(st: State, s: Segment, i: number): void {
  const { ctx, n, spoken } = st;
  const t = s.tokens[i]!;
  if (s.verbs.has(i) || spoken.some((x) => x.tokens === s.tokens && i >= x.mention.from && i <= x.mention.to)) return;
  const before = wordsBefore(st.paragraph, s.tokens, i);
  const told = (test: (text: string, k: number) => boolean): number =>
    ctx.pieces.findLastIndex((x, k) => k < n && ctx.bound[k] !== undefined && test(x.text, k));
  const group = groupOf(
    s.tokens,
    i,
    ctx.lines.filter((l) => l.line.moment === 'batch'),
  );
  if (group && !/^(?:of|no)$/.test(s.tokens[i - 1]?.word ?? '')) return takeGroup(st, s, i, group, before);
  const compound =
    t.stem.length > 8 && compoundEnd.test(t.stem)
      ? ctx.lines.find((l) => [...l.words].some((w) => w.length > 3 && t.stem.startsWith(w)))
      : undefined;
  if (compound) return refer(st, holderOf(ctx, compound.line, n));
  if (isProduct(t.stem)) return takeProduct(st, s, i, before);
  // “the soaked ones”
  if (/ed$/.test(t.word) && /^(?:ones?|bits?)$/.test(s.tokens[i + 1]?.word ?? '')) {
    const root = new RegExp(`\\b${t.word.slice(0, -2)}`, 'iu');
    const from = told((text) => root.test(text));
    return from >= 0 ? refer(st, from) : undefined;
  }
  // “the soaking water”, “poaching milk”: what was left of that work
  if (leftOfWork.test(t.word) && /^(?:water|milk|liquid|liquor|stock|juice|broth|wine|oil|fat)s?$/.test(s.tokens[i + 1]?.word ?? '')) {
    const root = new RegExp(`\\b${t.word.slice(0, -3)}`, 'iu');
    const from = told((text) => root.test(text));
    return from >= 0 ? partly(st, from) : undefined;
  }
  // “the seeds”, spoken of before
  if (s.tokens[i - 1]?.word === 'the' && t.stem.length >= 4 && !vessels.has(t.stem) && !s.quiet.has(i)) {
    const from = told((_text, k) => ctx.pieces[k]!.segments.some((y) => y.tokens.some((z, q) => z.stem === t.stem && !y.verbs.has(q))));
    return from >= 0 ? refer(st, from) : undefined;
  }
  takePronoun(st, s, i);
}

const leftOfWork = /^(?:poach|soak|steam|cook|brais|blanch|simmer|roast|marinat|pickl)ing$/;
const compoundEnd = /(?:mischung|masse|sosse|teig|creme|sud|fullung|mus|brei)$/;
