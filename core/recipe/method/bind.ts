import type { Line } from '#core/contract';
import { mentionsIn, type Lexicon, type LineNames } from './foods.ts';
import { holderOf, inSection, liftedFrom, minor, pantry, readies, use, type Bound, type Context } from './held.ts';
import { sameStem, stemOf } from './language.ts';
import { lastResort, readyFirst } from './leftovers.ts';
import type { Piece } from './pieces.ts';
import { isProduct, producerOf } from './results.ts';
import { settle } from './settle.ts';
import { saidShare } from './shares.ts';
import { choose, spokenIn, type Spoken } from './spoken.ts';
import { inPart, partly, refer, takeWord, type State } from './words.ts';

const soaked = /\b(?:soaked|eingeweicht\p{L}*|trempé\p{L}*|remojad\p{L}*|ammollat\p{L}*)(?![\p{L}])/iu;
const compounds = /^(?:sauce|paste|dough|filling|batter|base|mixture|dressing)$/;
const restAlone =
  /\b(?:(?:the )?remaining(?: \d+ ?(?:g|ml))?|the rest|(?:the )?other half|the remainder)(?=\s*(?:[,.;]|$|in\b|and\b|plus\b|over\b|on\b|with\b|to\b))/iu;
const everything =
  /\b(?:everything|the lot|all of it|all of them|all together|altogether|all the ingredients|all ingredients|alles|alle zutaten|tout|todo|tutto)\b/iu;
const everythingElse =
  /\b(?:everything else|all else|(?:the )?(?:rest of the|remaining|other) ingredients|all the rest|alle übrigen|restlichen zutaten|tous les autres|los demás|tutto il resto|the rest)(?![^.,;]*\bof\b)\b/iu;
const exceptWords = /\b(?:everything|all)[^.,;]*?\b(?:except|but|bar|save|apart from)\b([^.,;]*)/iu;
const together = /\b(?:combine|together|assemble|layer|build(?: up)?|mix it all|alles zusammen)\b/iu;

const partOfIt =
  /\b(half|a third|two thirds|three quarters|most|a quarter|die hälfte|la moitié|la mitad|metà)(?: of it| davon| de ello| en)?(?=\s+(?:of it|of them|in\b|into\b|over\b)|\s*[,.;])/iu;

/** “Melt the butter and stir half of it in”: the one line made ready just before goes in by half, and the rest is still there. */
function divideLast(ctx: Context, b: Bound, n: number): void {
  const part = /\bof it\b|\bof them\b|\bdavon\b/iu.test(b.piece.text) ? partOfIt.exec(b.piece.text) : null;
  if (!part || b.uses.size > 0) return;
  const last = n > 0 ? ctx.bound[n - 1] : undefined;
  const share = saidShare(`${part[1]} of the `, { amount: '1' } as Line);
  if (!last || last.uses.size !== 1 || share === undefined || share === 'rest' || !ctx.open.has(n - 1)) return;
  const [line] = [...last.uses.keys()];
  if (!line || (last.uses.get(line) ?? 0) < 0.99) return;
  last.uses.set(line, share.share);
  ctx.left.set(line, 1 - share.share);
}

/** One line that is spoken of: it goes in, in part or whole, or what it has become does. */
function takeLine(st: State, s: Spoken): void {
  const { ctx, b, n } = st;
  const p = b.piece;
  const at = s.tokens[s.mention.from]!.at;
  const { line } = s.mention.line;
  const left = ctx.left.get(line) ?? 0;
  const next = s.tokens[s.mention.to + 1];
  const leftOf =
    /^(?:poach|soak|steam|cook|brais|blanch|simmer|roast|marinat|pickl)ing$/.test(s.tokens[s.mention.from - 1]?.word ?? '') &&
    s.mention.line.names.some((x) => /^(?:water|milk|stock|broth|wine|oil)$/.test(x.at(-1) ?? ''));
  if (leftOf) return;
  // water to soak in comes from the tap when the pot has its own later
  if (p.kind === 'soak' && s.mention.line.row?.id === 'water' && [...(ctx.namedIn.get(line.id) ?? [])].some((k) => k > n)) return;
  const product = next && next.before === 'space' && isProduct(next.stem) && !s.mention.line.words.has(next.stem);
  const holder = holderOf(ctx, line, n);
  if (s.quiet || st.own.has(line)) {
    if (left < 0.01 && !st.own.has(line)) refer(st, holder);
    return;
  }
  if (product && holder !== undefined) {
    refer(st, holder);
    return;
  }
  // “the base” of a dish that draws from one is that one, whatever was fried before
  const drawn = line.item.type === 'recipe' && left > 0.99;
  const byWord = !drawn && s.mention.weight <= 7 && isProduct(s.tokens[s.mention.to]!.stem);
  const made = byWord ? producerOf(ctx.pieces, ctx.bound, s.tokens[s.mention.to]!.stem, n) : undefined;
  const compoundName = s.mention.line.words.size > 1 && compounds.test(s.tokens[s.mention.to]!.stem);
  if (made !== undefined && (left < 0.01 || compoundName || !s.mention.line.words.has(s.tokens[s.mention.to]!.stem))) {
    refer(st, made);
    return;
  }
  const share = s.said === 'rest' ? Math.max(0, left) : s.said?.share;
  if (s.said !== undefined && s.said !== 'rest' && s.said.amount !== undefined)
    b.amounts.push({ line, share: s.said.share, said: s.said.amount });
  const strainsIt = p.kind === 'strain' || p.segments.every((x) => x.act === 'small');
  if (left > 0.01 || (s.said !== undefined && s.said !== 'rest')) {
    if (!pantry(s.mention.line) && left < 0.99 && s.said === undefined && holder !== undefined) {
      // named again: what is left of it goes in, and what it has become is there
      use(ctx, b, line, Math.max(0, left));
    } else use(ctx, b, line, share ?? (left > 0.01 ? Math.max(0, left) : undefined));
    st.own.add(line);
    st.firstFood = Math.min(st.firstFood, at);
    if (s.object && (!minor(s.mention.line) || /^(?:melt|mix|soak|cut|heat)$/.test(s.act ?? p.kind))) st.mainFood = true;
  } else if (pantry(s.mention.line) && !strainsIt && s.said !== 'rest' && holder !== undefined && sharable(ctx, line)) {
    for (const other of ctx.bound) if (other?.uses.has(line)) other.uses.set(line, undefined);
    b.uses.set(line, undefined);
    st.own.add(line);
  } else {
    const lifted = pantry(s.mention.line) ? undefined : liftedFrom(ctx, line, n);
    if (lifted === undefined) refer(st, holder);
    else partly(st, lifted);
  }
}

/** A line may be shared out when none of its places says how much. */
const sharable = (ctx: Context, line: Line): boolean => {
  const places = ctx.bound.filter((x) => x?.uses.has(line));
  return (
    places.length > 0 &&
    places.every((x) => !x.amounts.some((a) => a.line === line) && (x.uses.get(line) === undefined || x.uses.get(line) === 1))
  );
};

/** “Everything”, “everything else”, “all but the basil”: lines nobody names apart, and what stands open. */
function takeAll(st: State, partial: boolean): void {
  const { ctx, b, n } = st;
  const p = b.piece;
  const { text } = p;
  const sectionLines = ctx.lines.filter((l) => inPart(st, l));
  const unnamed = (l: LineNames): boolean => ![...(ctx.namedIn.get(l.line.id) ?? [])].some((k) => k > n);
  const free = sectionLines.filter((l) => l.line.moment === 'batch' && (ctx.left.get(l.line) ?? 0) > 0.99 && !st.own.has(l.line));
  const except = exceptWords.exec(text)?.[1];
  const elseWords = everythingElse.test(text) && !except && !partial;
  if (except !== undefined || elseWords || everything.test(text)) {
    const not =
      except === undefined
        ? []
        : ctx.lines.filter((l) => [...l.heads, ...l.words].some((w) => except.split(/[^\p{L}]+/u).some((x) => sameStem(stemOf(x), w))));
    if (not.length > 0) for (const l of not) if (b.uses.delete(l.line)) ctx.left.set(l.line, 1);
    const taken = free.filter((l) => !not.includes(l) && (except !== undefined || unnamed(l)));
    if (
      (!p.segments.every((x) => /^(?:cool|rest|freeze|fill|small)$/.test(x.act ?? 'small')) && !/\b(?:the lot|all of it)\b/iu.test(text)) ||
      except !== undefined ||
      elseWords
    )
      if (!/\b(?:all the|alle) rest\b/iu.test(text) || elseWords || except !== undefined || everything.test(text))
        for (const l of taken) {
          if (elseWords && /\bthe rest\b/iu.test(text) && !/\b(?:everything|ingredients)\b/iu.test(text) && b.takes.size + b.uses.size > 0)
            continue;
          use(ctx, b, l.line, 1);
          st.own.add(l.line);
          st.mainFood = true;
        }
    if (except === undefined && (!elseWords || /\b(?:everything|all) else\b/iu.test(text)))
      for (const i of ctx.open) if (i !== n && !ctx.pieces[i]!.serve && !readies(ctx.pieces[i]!)) refer(st, i);
  }
}

/** “Fill”, “stuff”: the filling goes in, wherever it was made. */
const fillsIt = (b: Bound): boolean =>
  b.piece.segments.some(
    (x) =>
      x.verb >= 0 &&
      /^(?:fill|stuff)$/.test(x.tokens[x.verb]!.word) &&
      !x.tokens
        .slice(x.verb + 1, x.verb + 4)
        .some((t) => /^(?:tin|tins|tray|trays|jar|jars|dish|dishes|tub|tubs|pie|case|cases|ice|mould|moulds)$/.test(t.word)),
  );

/** “The beetroot, which has been boiled the day before”: what stands right before goes into what was done before. */
function whichBefore({ ctx, b, n, own }: State): void {
  const before = ctx.pieces[n - 1];
  if (!b.piece.past || !before || !b.piece.segments[0]!.tokens.some((t) => /^(?:which|that|who)$/.test(t.word))) return;
  const line = before.segments.flatMap((s) => mentionsIn(s.tokens, ctx.lines, s.verbs)).at(-1)?.line.line;
  if (!line || (ctx.left.get(line) ?? 0) < 0.99) return;
  use(ctx, b, line, 1);
  own.add(line);
}

function bindPiece(ctx: Context, paragraphs: readonly string[], n: number): void {
  const p = ctx.pieces[n]!;
  const b: Bound = { piece: p, uses: new Map(), takes: new Set(), after: new Set(), amounts: [] };
  ctx.bound[n] = b;
  if (p.kind === 'preheat') return;
  const spoken = spokenIn(ctx, paragraphs, n);
  const at = (s: Spoken): number => s.tokens[s.mention.from]!.at;
  const first = (list: readonly Spoken[]): number => Math.min(...list.filter((s) => !s.quiet).map(at), Number.POSITIVE_INFINITY);
  const st: State = {
    ctx,
    b,
    n,
    paragraph: paragraphs[p.paragraph]!,
    spoken,
    own: new Set(),
    mainFood: false,
    firstFood: first(spoken),
    parted: ctx.lines.some((l) => inSection(l, p)),
  };
  // one at a time: several lines of one word are one choice
  for (let i = 0; i < spoken.length;) {
    const here = spoken.filter((s) => at(s) === at(spoken[i]!));
    i = spoken.indexOf(here.at(-1)!) + 1;
    const all = here.length > 1 && /^(?:both|all|two|beide|beiden)$/.test(here[0]!.tokens[here[0]!.mention.from - 1]?.word ?? '');
    for (const s of all ? here : [choose(ctx, here, p, st.own)]) takeLine(st, s);
  }
  whichBefore(st);
  divideLast(ctx, b, n);
  const partial =
    restAlone.test(p.text) && !spoken.some((s) => s.said === 'rest')
      ? [...ctx.left].findLast(([line, left]) => left > 0.01 && left < 0.99 && ctx.bound.some((x) => x?.uses.has(line)))
      : undefined;
  if (partial) {
    use(ctx, b, partial[0], partial[1]);
    st.own.add(partial[0]);
    if (p.segments[0]!.act === 'melt') st.mainFood = true;
  }
  for (const s of p.segments) for (const i of s.tokens.keys()) takeWord(st, s, i);
  if (soaked.test(p.text))
    refer(
      st,
      [...ctx.pieces.keys()].findLast((i) => i < n && ctx.bound[i] !== undefined && ctx.pieces[i]!.kind === 'soak'),
    );
  takeAll(st, partial !== undefined);
  const ready = (i: number): boolean => i !== n && !ctx.pieces[i]!.serve;
  if (together.test(p.text) && b.takes.size === 0 && !st.mainFood) for (const i of ctx.open) if (ready(i)) refer(st, i);
  settle(ctx, b, n, st.mainFood, first(spoken.filter((s) => !b.uses.has(s.mention.line.line))));
  if (fillsIt(b) && !st.mainFood) {
    refer(st, producerOf(ctx.pieces, ctx.bound, 'filling', n));
    for (const i of b.takes) if (i !== n) ctx.open.delete(i);
  }
  ctx.held[n] = new Set([...b.uses.keys(), ...[...b.takes].flatMap((k) => [...(ctx.held[k] ?? [])])]);
}

/**
 * What goes into each piece, and whose results it takes: lines by name, group or remainder, results by name or as what was made before.
 * @param paragraphs the texts the pieces stand in
 */
export function bindPieces(pieces: readonly Piece[], lines: Lexicon, paragraphs: readonly string[]): Bound[] {
  const namedIn = new Map<string, Set<number>>();
  pieces.forEach((p, n) => {
    for (const s of p.segments)
      for (const m of mentionsIn(s.tokens, lines, s.verbs)) {
        if (s.quiet.has(m.from) || (m.from === m.to && m.weight <= 7 && m.line.words.size > 1 && compounds.test(s.tokens[m.to]!.stem)))
          continue;
        const set = namedIn.get(m.line.line.id) ?? new Set<number>();
        namedIn.set(m.line.line.id, set.add(n));
      }
  });
  const ctx: Context = {
    pieces,
    lines,
    bound: [],
    held: [],
    namedIn,
    left: new Map(lines.map((l) => [l.line, 1])),
    open: new Set(),
    shared: new Set(),
  };
  // what is told as done before is worked out before what uses it
  const order = [...pieces.keys()].sort((a, b) => Number(pieces[b]!.past) - Number(pieces[a]!.past) || a - b);
  for (const n of order) bindPiece(ctx, paragraphs, n);
  readyFirst(ctx);
  lastResort(ctx);
  return ctx.bound;
}
