import { mentionsIn } from './foods.ts';
import { frontier, holderOf, minor, previous, readies, type Bound, type Context } from './held.ts';
import { sameStem } from './language.ts';
import type { Piece } from './pieces.ts';
import { isProduct, producerOf } from './results.ts';

/** A pot of water set to boil: what is boiled in it comes after, nothing that was cut before goes in yet. */
const waterUp =
  /\b(?:bring|boil|heat|set|put|get)\b[^.;]*?\b(?:pan|pot|saucepan|stockpot|kettle)\b[^.;]*?\bwater\b|^\W*(?:bring|boil)\b[^.;]*?\bwater\b|\bwater\b[^.;]*\b(?:to the boil|to a boil|boiling)\W*$/iu;
const inTheWater = /\bin (?:it|the (?:boiling |salted |hot )?water)\b/iu;
const boiledKinds: ReadonlySet<Piece['kind']> = new Set(['boil', 'simmer']);
const setsWater = (ctx: Context, i: number): boolean =>
  waterUp.test(ctx.pieces[i]!.text) && [...(ctx.bound[i]?.uses.keys() ?? [])].every((l) => /\bwater\b|\bsalt\b/iu.test(l.name));

const intoPot =
  /\b(?:in(?:to)? (?:it|them|the (?:same )?(?:pot|pan|dough|sauce|broth|bowl))|on top|over (?:it|them|the top)|back(?: in)?|to (?:the )?(?:same )?(?:pot|pan)|in den topf|in the same|put back|inside)\b/iu;

/** What a piece works on when nothing says so: what was made right before it, unless it begins something of its own. */
export function settle(ctx: Context, b: Bound, n: number, mainFood: boolean, firstRef = Number.POSITIVE_INFINITY): void {
  const p = b.piece;
  const last = previous(ctx, n);
  const before = n > 0 ? ctx.pieces[n - 1] : undefined;
  const begins = (p.segments.find((s) => s.act !== 'small') ?? p.segments[0])?.act;
  const puts = begins === 'add' || begins === undefined || begins === 'finish' || foodIn.test(p.text);
  const adding = p.segments.find((s) => s.act === 'add');
  // “fluff the couscous, stir in the herbs”: what is named before goes on
  const potFirst = adding !== undefined && p.segments[0]!.act === undefined && firstRef < (adding.tokens[adding.verb]?.at ?? 0);
  const opensSection = p.section !== undefined && !ctx.pieces.some((x, i) => i < n && x.section === p.section);
  if (p.past) {
    // told late: it takes only what it names, and what was told late before it
    if (before?.past && before.paragraph === p.paragraph) b.takes.add(n - 1);
  } else if (readies(p) || setsWater(ctx, n)) {
    b.takes.clear();
  } else if (b.takes.size === 0 && opensSection && !mainFood && !p.serve) {
    for (const i of ctx.open) if (!ctx.pieces[i]!.serve && !readies(ctx.pieces[i]!) && ctx.pieces[i]!.kind !== 'preheat') b.takes.add(i);
  } else if (b.takes.size === 0 && last !== undefined) {
    const work = p.segments.find((x) => x.act !== 'small' && x.act !== undefined) ?? p.segments[0]!;
    const beginning = p.text.slice(0, Math.max(0, work.end - p.at));
    const startsAnew = p.meanwhile && b.uses.size > 0;
    const anew = puts
      ? b.uses.size > 0 && freshPot(ctx, b)
      : (mainFood && !intoPot.test(beginning)) || (b.uses.size > 0 && inNewVessel.test(p.text));
    if (!startsAnew && !anew && !(p.serve && mainFood && !puts)) b.takes.add(frontier(ctx, last, n));
    // “scatter it on top”: what was made apart, and what it goes on
    const apart = ctx.bound[last]!.takes.size === 0 && !p.segments[0]!.first && p.segments[0]!.act === 'add';
    const under = apart && b.uses.size === 0 ? potBefore(ctx, b, n) : undefined;
    if (under !== undefined) b.takes.add(under);
  } else if ((puts || addsLater(p, mainFood)) && b.takes.size > 0 && !namedPot(ctx, b, n) && !potFirst) {
    // something made before goes to what stands there
    const pot = potBefore(ctx, b, n);
    if (pot !== undefined) b.takes.add(pot);
  }
  // “slice the onions and stir them in”: the pot stands there already
  if (!p.past && thenIn.test(p.text)) {
    const pot = potBefore(ctx, b, n);
    if (pot !== undefined && !namedPot(ctx, b, n)) b.takes.add(pot);
  }
  // what was told late in this sentence goes into it
  if (before?.past && !p.past && before.paragraph === p.paragraph && !/[.;]\s*$/.test(before.text)) {
    b.takes.add(n - 1);
    if (last !== undefined && p.adds) b.takes.add(frontier(ctx, last, n));
  }
  // “a pan of water to the boil; blanch the beans”: into that water
  const water = [...ctx.open].filter((i) => i < n && setsWater(ctx, i)).at(-1);
  if (water !== undefined && boiledKinds.has(p.kind) && !setsWater(ctx, n) && (water === n - 1 || inTheWater.test(p.text)))
    b.takes.add(water);
  if (samePan.test(p.text) && last === undefined && n > 0) b.after.add(n - 1);
  else if ((samePan.test(p.text) || (p.then && b.takes.size === 0)) && last !== undefined && !b.takes.has(last)) b.after.add(last);
  b.takes.delete(n);
  for (const i of b.takes) if (!ctx.shared.delete(i)) ctx.open.delete(i);
  ctx.open.add(n);
}

const newVessel =
  /\b(?:in|into|onto|on) (?:a|an|another|two|three|your)\s+(?:[\w-]+ ){0,2}(?:pot|pan|bowl|tray|trays|dish|dishes|tin|jar|saucepan|casserole|sheet|moulds?)\b/iu;

const thenIn = /\b(?:stir|fold|mix|beat|whisk|tip|throw|drop) (?:it|them|these|this|half of it) (?:all )?in\b(?! (?:the|a|to)\b)/iu;

/** “In a saucepan make …”, “in another pan”. */
const inNewVessel =
  /^\W*(?:\d+[.)]\s*)?in (?:a|an|another) (?:[\w-]+ ){0,2}(?:pot|pan|bowl|saucepan|jug|casserole)\b|\bin (?:another|a second|a separate|a clean) (?:pot|pan|bowl|saucepan)\b/iu;

/** “Pour the stock over the couscous”, “tip the vegetables onto a tray”: something begins of its own. */
const freshPot = (ctx: Context, b: Bound): boolean =>
  newVessel.test(b.piece.text) ||
  b.piece.segments.some((s) => {
    const fresh = mentionsIn(s.tokens, ctx.lines, s.verbs).filter((m) => b.uses.has(m.line.line));
    return fresh.some((m) => {
      const words = s.tokens.slice(Math.max(s.verb + 2, m.from - 3), m.from).map((t) => t.word);
      const moved =
        fresh.some((x) => x.from < m.from) ||
        s.tokens.some((t, i) => i < m.from && i > s.verb && /^(?:stock|water|boiling|brühe|bouillon)$/.test(t.word));
      return !minor(m.line) && moved && /\b(?:into|onto|over)\b/u.test(words.join(' '));
    });
  });

const samePan = /\bsame (?:pot|pan|skillet|dish|wok)|im selben topf|même (?:poêle|casserole)|misma (?:olla|sartén)/iu;
/** “Wine in”, “Carrots in for the last 45 minutes”. */
const foodIn = /^\W*(?:\d+[.)]\s*)?(?:[\p{L}'’-]+\s+){1,5}in(?:\s*[,.;]|\s+for\b)/iu;
const toNamed =
  /\b(?:to|into|onto|over|through|in|auf|in den|in die|zum|zur|au|aux|dans|sur|a la|al|alla|nel|nella)\s+(?:the |den |die |das |le |la |les |el |los |las |il |lo )?(?:\w+ )?$/iu;

/** Whether the piece says itself where things go: “into the sauce”. */
function namedPot(ctx: Context, b: Bound, n: number): boolean {
  const p = b.piece;
  return p.segments.some((s) =>
    s.tokens.some((t, i) => {
      if (s.verbs.has(i)) return false;
      const food = isProduct(t.stem) || ctx.lines.some((l) => [...l.heads].some((w) => sameStem(w, t.stem)) && !b.uses.has(l.line));
      if (!food) return false;
      const words = s.tokens
        .slice(Math.max(s.verb + 2, i - 3, 0), i)
        .map((x) => x.word)
        .join(' ');
      return toNamed.test(`${words} `) && holderNamed(ctx, t.stem, n);
    }),
  );
}

const holderNamed = (ctx: Context, stem: string, n: number): boolean =>
  producerOf(ctx.pieces, ctx.bound, stem, n) !== undefined ||
  ctx.lines.some((l) => [...l.heads].some((w) => sameStem(w, stem)) && holderOf(ctx, l.line, n) !== undefined);

/** The pot things are put into: the nearest result that nobody has taken and that stands somewhere else than on the board. */
function potBefore(ctx: Context, b: Bound, n: number): number | undefined {
  for (let i = n - 1; i >= 0; i -= 1) {
    const p = ctx.pieces[i]!;
    if (b.takes.has(i)) continue;
    if (!ctx.open.has(i) || p.kind === 'preheat' || readies(p) || p.past || (p.serve && !b.piece.serve)) continue;
    if (p.section !== b.piece.section && p.section !== undefined && b.piece.section !== undefined) continue;
    return i;
  }
  return undefined;
}

/** “Drain the beans, add with the water”: made ready, and put to what stands there. */
const addsLater = (p: Piece, mainFood: boolean): boolean =>
  !mainFood && /^(?:strain|cut)$/.test(p.segments[0]!.act ?? '') && p.segments.some((s, k) => k > 0 && s.act === 'add');
