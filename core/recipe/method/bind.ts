import type { Line } from '#core/contract';
import { workFacts } from './classes.ts';
import { groupOf, mentionsIn, type LineNames, type Mention } from './foods.ts';
import { sameStem, slipOf, stemOf } from './language.ts';
import type { Piece } from './pieces.ts';
import type { Segment } from './segments.ts';
import { isProduct, producerOf } from './results.ts';
import { saidShare, wordsBefore, type SaidShare } from './shares.ts';
import type { Token } from './sentences.ts';

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

interface Context {
  pieces: readonly Piece[];
  lines: readonly LineNames[];
  bound: Bound[];
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
const pantry = (l: LineNames): boolean =>
  l.row !== undefined
    ? l.row.aisle === 'spices' || /^(?:oil|vinegar|sugar|flour|butter|water|salt|lemon|honey|soy)/.test(l.row.id)
    : /\b(?:oil|salt|pepper|sugar|butter|flour|vinegar|water|lard|ghee|fat|öl|huile|aceite|olio)\b/iu.test(l.line.name);
/** Foods that are no dish of their own: fat, liquid and seasoning join what is there. */
const minor = (l: LineNames): boolean =>
  pantry(l) ||
  (l.row !== undefined &&
    (l.row.baseState === 'liquid' ||
      /^(?:stock|wine|beer|milk|cream|tomato_puree|passata|bay|thyme)/.test(l.row.id) ||
      l.row.aisle === 'herbs')) ||
  /\b(?:stock|broth|cider|wine|cream|brühe|bouillon|caldo|brodo|crème|stout|beer|juice)\b/iu.test(l.line.name);

const inSection = (l: LineNames, section: string | undefined): boolean => {
  if (!section || !l.line.section) return false;
  const words = (s: string): string[] =>
    s
      .split(/[^\p{L}]+/u)
      .map(stemOf)
      .filter((w) => w.length > 2 && !/^(?:for|the|and)$/.test(w));
  return words(l.line.section).some((w) => words(section).some((x) => sameStem(w, x)));
};

/** Vessel made ready: it holds nothing yet. */
const readies = (p: Piece): boolean => {
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
function previous(ctx: Context, n: number): number | undefined {
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
function frontier(ctx: Context, i: number, n: number): number {
  if (ctx.open.has(i)) return i;
  const taker = ctx.bound.findIndex((b, k) => b !== undefined && k !== n && k !== i && b.takes.has(i));
  return taker < 0 ? i : frontier(ctx, taker, n);
}

const liftsOut = /\b(?:lift|take|fish|scoop)\b[^.]*?\bout\b|\bremove the\b/iu;

/** A piece that lifted a line's food out of its pot, where nobody has put it back yet. */
function liftedFrom(ctx: Context, line: Line, n: number): number | undefined {
  for (let i = n - 1; i >= 0; i -= 1) {
    const { text } = ctx.pieces[i]!;
    if (/\b(?:return|put|stir|back)\b[^.]*\bback\b|\breturn\b/iu.test(text)) return undefined;
    if (liftsOut.test(text) && i < n - 1) return holdsLine(ctx, i, line) ? i : undefined;
  }
  return undefined;
}

const holdsLine = (ctx: Context, i: number, line: Line, seen = new Set<number>()): boolean => {
  if (seen.has(i)) return false;
  seen.add(i);
  const b = ctx.bound[i];
  return b !== undefined && (b.uses.has(line) || [...b.takes].some((k) => holdsLine(ctx, k, line, seen)));
};

/** What a line has become: the last piece that holds it and that nobody has taken since. */
function holderOf(ctx: Context, line: Line, before: number): number | undefined {
  const order = [...ctx.bound.keys()].filter((i) => i !== before && ctx.bound[i] !== undefined).reverse();
  return order.find((i) => ctx.open.has(i) && holdsLine(ctx, i, line)) ?? order.find((i) => holdsLine(ctx, i, line));
}

const soaked = /\b(?:soaked|eingeweicht\p{L}*|trempé\p{L}*|remojad\p{L}*|ammollat\p{L}*)(?![\p{L}])/iu;
const compounds = /^(?:sauce|paste|dough|filling|batter|base|mixture|dressing)$/;
const restAlone =
  /\b(?:the )?(?:remaining(?: \d+ ?(?:g|ml))?|rest|other half|remainder)(?=\s*(?:[,.;]|$|in\b|and\b|plus\b|over\b|on\b|with\b|to\b))/iu;
const everything = /\b(?:everything|the lot|all of it|all the ingredients|all ingredients|alles|alle zutaten|tout|todo|tutto)\b/iu;
const everythingElse =
  /\b(?:everything else|all else|(?:the )?(?:rest of the|remaining|other) ingredients|all the rest|alle übrigen|restlichen zutaten|tous les autres|los demás|tutto il resto|the rest)(?![^.,;]*\bof\b)\b/iu;
const exceptWords = /\b(?:everything|all)[^.,;]*?\b(?:except|but|bar|save|apart from)\b([^.,;]*)/iu;
const together = /\b(?:combine|together|assemble|layer|build(?: up)?|mix it all|alles zusammen)\b/iu;
const pronouns = new Set('it them they these this those both lot all rest sie es ihn les le las los li lo'.split(' '));
const intoPot =
  /\b(?:in(?:to)? (?:it|them|the (?:same )?(?:pot|pan|dough|sauce|broth|bowl))|on top|over (?:it|them|the top)|back(?: in)?|to (?:the )?(?:same )?(?:pot|pan)|in den topf|in the same|put back|inside)\b/iu;

/** Things of the kitchen and of time: “the pan” tells of no food made before. */
const vessels = new Set(
  'oven heat dish tray tin bowl lid side time minute hour top bottom fridge freezer pan pot pots mould board day night table hob sieve processor blender paper foil rest last first other remaining same surface edge sheet jar tub bag flame whole lot base half cook finger meantime end middle centre inside outside largest water'
    .split(' ')
    .map(stemOf),
);

interface Spoken {
  mention: Mention;
  text: string;
  tokens: readonly Token[];
  quiet: boolean;
  /** What the first act is done to, not what it is done with. */
  object: boolean;
  act: Segment['act'];
  /** It begins right after the sentence or clause. */
  said: SaidShare;
}

const with_ =
  /^(?:in|with|into|over|onto|at|for|until|adding|from|on|to|under|using|by|mit|im|auf|zum|zur|ins|dans|avec|au|sur|con|en|sobre|nell|nel|nella|nello|sul)$/;

/** Whether what stands at a word is worked on: no “in”, “with”, “over” between it and the verb. */
function isObject(s: Segment, i: number): boolean {
  const from = s.verb >= 0 && s.verb < i ? s.verb + 1 : 0;
  return (
    !s.tokens.slice(from, i).some((t) => with_.test(t.word)) ||
    (s.verb > i && !with_.test(s.tokens[i - 1]?.word ?? '') && !with_.test(s.tokens[i - 2]?.word ?? ''))
  );
}

/** Everything a piece says of foods, in its order. */
function spokenIn(ctx: Context, paragraphs: readonly string[], n: number): Spoken[] {
  const p = ctx.pieces[n]!;
  const text = paragraphs[p.paragraph]!;
  const speaks = (s: Segment): boolean =>
    mentionsIn(s.tokens, ctx.lines, s.verbs).length > 0 || s.tokens.some((t) => pronouns.has(t.word) || isProduct(t.stem));
  const first = p.segments.findIndex((s) => s.act !== 'small' && s.act !== undefined);
  // “peel and cut the potatoes”: the first verb has its food behind the second
  const second = p.segments[first + 1];
  const work =
    first >= 0 &&
    second &&
    !second.first &&
    second.act !== 'add' &&
    !speaks(p.segments[first]!) &&
    p.segments[first]!.tokens.length - p.segments[first]!.verb <= 2
      ? first + 1
      : first;
  return p.segments.flatMap((s, k) =>
    mentionsIn(s.tokens, ctx.lines, s.verbs, (l) => inSection(l, p.section)).map((m): Spoken => ({
      mention: m,
      object: k <= Math.max(0, work) && isObject(s, m.from),
      act: s.act,
      text,
      tokens: s.tokens,
      quiet:
        s.quiet.has(m.from) ||
        /\b(?:no|without|not|any|if|like|optional(?:ly)?)(?: \w+){0,3} $/iu.test(wordsBefore(text, s.tokens, m.from)),
      said: saidShare(wordsBefore(text, s.tokens, m.from), m.line.line, text.slice(s.tokens[m.to]!.end, s.tokens[m.to]!.end + 24)),
    })),
  );
}

/** Which of several lines of one word is meant: of this section, by its form, not used yet. */
function choose(ctx: Context, candidates: readonly Spoken[], p: Piece, own: ReadonlySet<Line>): Spoken {
  const form = (s: Spoken): number => {
    const near = wordsBefore(s.text, s.tokens, s.mention.from).toLowerCase();
    const own = `${s.mention.line.line.formText ?? ''} ${s.mention.line.line.form ?? ''}`
      .toLowerCase()
      .split(/\s+/)
      .filter((w) => w.length > 3);
    return own.some((w) => near.includes(w)) ? 1 : 0;
  };
  const score = (s: Spoken): number =>
    (inSection(s.mention.line, p.section) ? 8 : s.mention.line.line.section && p.section ? -2 : 0) +
    form(s) * 4 +
    ((ctx.left.get(s.mention.line.line) ?? 0) > 0.01 ? 2 : 0) -
    (own.has(s.mention.line.line) ? 3 : 0);
  return candidates.reduce((best, s) => (score(s) > score(best) ? s : best));
}

function use(ctx: Context, b: Bound, line: Line, share: number | undefined): void {
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

function bindPiece(ctx: Context, paragraphs: readonly string[], n: number): void {
  const p = ctx.pieces[n]!;
  const b: Bound = { piece: p, uses: new Map(), takes: new Set(), after: new Set(), amounts: [] };
  ctx.bound[n] = b;
  if (p.kind === 'preheat') return;
  const spoken = spokenIn(ctx, paragraphs, n);
  const own = new Set<Line>();
  const refer = (i: number | undefined): void => {
    const now = i === undefined ? undefined : p.meanwhile && ctx.pieces[i]!.kind === 'cut' ? i : frontier(ctx, i, n);
    if (now !== undefined && now !== n) b.takes.add(now);
  };
  /** Only part of it goes in: the rest stays where it is. */
  const partly = (i: number): void => {
    b.takes.add(i);
    if (ctx.open.has(i)) ctx.shared.add(i);
  };
  let mainFood = false;
  let firstFood = Math.min(...spoken.filter((s) => !s.quiet).map((s) => s.tokens[s.mention.from]!.at), Number.POSITIVE_INFINITY);
  const at = (s: Spoken): number => s.tokens[s.mention.from]!.at;
  // one at a time: several lines of one word are one choice
  for (let i = 0; i < spoken.length;) {
    const here = spoken.filter((s) => at(s) === at(spoken[i]!));
    i = spoken.indexOf(here.at(-1)!) + 1;
    const both =
      here.length > 1 && /^(?:both|all|two|beide|beiden)$/.test(here[0]!.tokens[here[0]!.mention.from - 1]?.word ?? '')
        ? here
        : [choose(ctx, here, p, own)];
    for (const s of both) speakOf(s);
  }
  function speakOf(s: Spoken): void {
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
    if (s.quiet || own.has(line)) {
      if (left < 0.01 && !own.has(line)) refer(holder);
      return;
    }
    if (product && holder !== undefined) {
      refer(holder);
      return;
    }
    const byWord = s.mention.weight <= 7 && isProduct(s.tokens[s.mention.to]!.stem);
    const made = byWord ? producerOf(ctx.pieces, ctx.bound, s.tokens[s.mention.to]!.stem, n) : undefined;
    const compoundName = s.mention.line.words.size > 1 && compounds.test(s.tokens[s.mention.to]!.stem);
    if (made !== undefined && (left < 0.01 || compoundName || !s.mention.line.words.has(s.tokens[s.mention.to]!.stem))) {
      refer(made);
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
      own.add(line);
      firstFood = Math.min(firstFood, at(s));
      if (s.object && (!minor(s.mention.line) || /^(?:melt|mix|soak|cut|heat)$/.test(s.act ?? p.kind))) mainFood = true;
    } else if (pantry(s.mention.line) && !strainsIt && s.said !== 'rest' && holder !== undefined && sharable(ctx, line)) {
      for (const other of ctx.bound) if (other?.uses.has(line)) other.uses.set(line, undefined);
      b.uses.set(line, undefined);
      own.add(line);
    } else refer(holder);
  }
  divideLast(ctx, b, n);
  const partial =
    restAlone.test(p.text) && !spoken.some((s) => s.said === 'rest')
      ? [...ctx.left].findLast(([line, left]) => left > 0.01 && left < 0.99 && ctx.bound.some((x) => x?.uses.has(line)))
      : undefined;
  if (partial) {
    use(ctx, b, partial[0], partial[1]);
    own.add(partial[0]);
    if (p.segments[0]!.act === 'melt') mainFood = true;
  }
  // groups, results and words for what is there
  p.segments.forEach((s) => {
    s.tokens.forEach((t, i) => {
      if (s.verbs.has(i)) return;
      const before = wordsBefore(paragraphs[p.paragraph]!, s.tokens, i);
      const named = spoken.some((x) => x.tokens === s.tokens && i >= x.mention.from && i <= x.mention.to);
      if (named) return;
      const group = groupOf(
        s.tokens,
        i,
        ctx.lines.filter((l) => l.line.moment === 'batch'),
      );
      if (group && !/^(?:of|no)$/.test(s.tokens[i - 1]?.word ?? '')) {
        const mine = group.filter(
          (l) => !p.section || !l.line.section || inSection(l, p.section) || !ctx.lines.some((x) => inSection(x, p.section)),
        );
        const fresh = mine.filter((l) => (ctx.left.get(l.line) ?? 0) > 0.01 && !own.has(l.line));
        const named = (l: LineNames, when: (k: number) => boolean): boolean => [...(ctx.namedIn.get(l.line.id) ?? [])].some(when);
        const unsaid = fresh.filter((l) => !named(l, (k) => k < n));
        // what is put in by name later is not meant yet; where most of them are in, no other is
        const meant = unsaid.filter((l) => !named(l, (k) => k > n));
        const within = mine.filter((l) => (ctx.left.get(l.line) ?? 0) < 0.01 && !own.has(l.line)).length;
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
            own.add(l.line);
          }
          firstFood = Math.min(firstFood, t.at);
          if (
            isObject(s, i) &&
            p.segments.slice(0, p.segments.indexOf(s)).every((x) => x.act === 'small' || x.act === undefined || x.act === s.act)
          )
            mainFood = true;
        }
        for (const l of mine)
          if (!own.has(l.line) && (ctx.left.get(l.line) ?? 0) < 0.01) {
            const lifted = liftedFrom(ctx, l.line, n);
            if (lifted === undefined) refer(holderOf(ctx, l.line, n));
            else partly(lifted);
          }
        return;
      }
      const compound =
        t.stem.length > 8
          ? ctx.lines.find(
              (l) =>
                [...l.words].some((w) => w.length > 3 && t.stem.startsWith(w)) &&
                /(?:mischung|masse|sosse|teig|creme|sud|fullung|mus|brei)$/.test(t.stem),
            )
          : undefined;
      if (compound) {
        refer(holderOf(ctx, compound.line, n));
        return;
      }
      if (isProduct(t.stem)) {
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
          partly(made);
        else refer(made);
        return;
      }
      if (/ed$/.test(t.word) && /^(?:ones?|bits?)$/.test(s.tokens[i + 1]?.word ?? '')) {
        const root = new RegExp(`\\b${t.word.slice(0, -2)}`, 'iu');
        const from = ctx.pieces.findLastIndex((x, k) => k < n && ctx.bound[k] !== undefined && root.test(x.text));
        if (from >= 0) refer(from);
        return;
      }
      // “the soaking water”, “poaching milk”: what was left of that work
      if (
        /^(?:poach|soak|steam|cook|brais|blanch|simmer|roast|marinat|pickl)ing$/.test(t.word) &&
        /^(?:water|milk|liquid|liquor|stock|juice|broth|wine|oil|fat)s?$/.test(s.tokens[i + 1]?.word ?? '')
      ) {
        const root = new RegExp(`\\b${t.word.slice(0, -3)}`, 'iu');
        const from = ctx.pieces.findLastIndex((x, k) => k < n && ctx.bound[k] !== undefined && root.test(x.text));
        if (from >= 0) partly(from);
        return;
      }
      if (s.tokens[i - 1]?.word === 'the' && t.stem.length >= 4 && !vessels.has(t.stem) && !s.quiet.has(i)) {
        const spokenOf = ctx.pieces.findLastIndex(
          (x, k) =>
            k < n && ctx.bound[k] !== undefined && x.segments.some((y) => y.tokens.some((z, q) => z.stem === t.stem && !y.verbs.has(q))),
        );
        if (spokenOf >= 0) refer(spokenOf);
        return;
      }
      const themToo = /^(?:them|these)$/.test(t.word) && b.uses.size > 0 && b.takes.size === 0 && !mainFoodOf(ctx, b);
      const withIt = /^(?:it|them)$/.test(t.word) && b.uses.size === 0 && /^(?:with|in|over|into|to|on)$/.test(s.tokens[i - 1]?.word ?? '');
      if (pronouns.has(t.word) && (t.at < firstFood || withIt || themToo) && !s.quiet.has(i)) {
        if (t.word === 'this' && s.tokens[i + 1]?.before === 'space' && isProduct(s.tokens[i + 1]!.stem)) return;
        if (/^(?:le|les|lo|los|la|las)$/.test(t.word)) return;
        if (t.word === 'all' || t.word === 'rest') return;
        const last = previous(ctx, n);
        refer(last);
        if (t.word === 'both' || /^(?:them|these|those)$/.test(t.word)) {
          // “blitz both”: what the two before made, each apart
          const other = last === undefined ? undefined : previous(ctx, last);
          if (t.word === 'both' && other !== undefined && ctx.open.has(other) && other !== last && (ctx.bound[last!]?.uses.size ?? 0) < 2)
            refer(other);
        }
      }
    });
  });
  const fills = p.segments.some(
    (x) =>
      x.verb >= 0 &&
      /^(?:fill|stuff)$/.test(x.tokens[x.verb]!.word) &&
      !x.tokens
        .slice(x.verb + 1, x.verb + 4)
        .some((t) => /^(?:tin|tins|tray|trays|jar|jars|dish|dishes|tub|tubs|pie|case|cases|ice|mould|moulds)$/.test(t.word)),
  );
  if (soaked.test(p.text))
    refer([...ctx.pieces.keys()].findLast((i) => i < n && ctx.bound[i] !== undefined && ctx.pieces[i]!.kind === 'soak'));
  const { text } = p;
  const sectionLines = ctx.lines.filter((l) => !p.section || inSection(l, p.section) || !ctx.lines.some((x) => inSection(x, p.section)));
  const unnamed = (l: LineNames): boolean => ![...(ctx.namedIn.get(l.line.id) ?? [])].some((k) => k > n);
  const free = sectionLines.filter((l) => l.line.moment === 'batch' && (ctx.left.get(l.line) ?? 0) > 0.99 && !own.has(l.line));
  const except = exceptWords.exec(text)?.[1];
  const elseWords = everythingElse.test(text) && !except && partial === undefined;
  if (except !== undefined || elseWords || everything.test(text)) {
    const not =
      except === undefined
        ? []
        : ctx.lines.filter((l) => [...l.heads, ...l.words].some((w) => except.split(/[^\p{L}]+/u).some((x) => sameStem(stemOf(x), w))));
    if (not.length > 0) for (const l of not) if (b.uses.delete(l.line)) ctx.left.set(l.line, 1);
    const taken = free.concat(not.length > 0 ? [] : []).filter((l) => !not.includes(l) && (except !== undefined || unnamed(l)));
    if ((!/^(?:cool|rest|freeze|fill)$/.test(p.kind) && !/\b(?:the lot|all of it)\b/iu.test(text)) || except !== undefined || elseWords)
      if (!/\b(?:all the|alle) rest\b/iu.test(text) || elseWords || except !== undefined || everything.test(text))
        for (const l of taken) {
          if (elseWords && /\bthe rest\b/iu.test(text) && !/\b(?:everything|ingredients)\b/iu.test(text) && b.takes.size + b.uses.size > 0)
            continue;
          use(ctx, b, l.line, 1);
          own.add(l.line);
          mainFood = true;
        }
    if (except === undefined && (!elseWords || /\b(?:everything|all) else\b/iu.test(text)))
      for (const i of ctx.open) if (i !== n && !ctx.pieces[i]!.serve && !readies(ctx.pieces[i]!)) refer(i);
  }
  if (together.test(text) && b.takes.size === 0 && !mainFood) for (const i of ctx.open) if (i !== n && !ctx.pieces[i]!.serve) refer(i);
  const firstRef = Math.min(
    ...spoken.filter((s) => !s.quiet && !b.uses.has(s.mention.line.line)).map((s) => s.tokens[s.mention.from]!.at),
    Number.POSITIVE_INFINITY,
  );
  settle(ctx, b, n, mainFood, firstRef);
  if (fills && !mainFood) {
    refer(producerOf(ctx.pieces, ctx.bound, 'filling', n));
    for (const i of b.takes) if (i !== n) ctx.open.delete(i);
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

/** What a piece works on when nothing says so: what was made right before it, unless it begins something of its own. */
function settle(ctx: Context, b: Bound, n: number, mainFood: boolean, firstRef = Number.POSITIVE_INFINITY): void {
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
  } else if (readies(p)) {
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

/** Whether what goes in is a food of its own, not only fat and seasoning. */
const mainFoodOf = (ctx: Context, b: Bound): boolean =>
  [...b.uses.keys()].some((line) => ctx.lines.some((l) => l.line === line && !minor(l)));

/** “Drain the beans, add with the water”: made ready, and put to what stands there. */
const addsLater = (p: Piece, mainFood: boolean): boolean =>
  !mainFood && /^(?:strain|cut)$/.test(p.segments[0]!.act ?? '') && p.segments.some((s, k) => k > 0 && s.act === 'add');

/** Hot ovens and vessels made ready come before what uses them. */
function readyFirst(ctx: Context): void {
  const { pieces, bound } = ctx;
  pieces.forEach((p, i) => {
    if (p.kind === 'preheat') {
      const user =
        pieces.findIndex((x, k) => k > i && x.kind === 'bake') >= 0
          ? pieces.findIndex((x, k) => k > i && x.kind === 'bake')
          : pieces.findIndex((x) => x.kind === 'bake');
      const hot =
        user >= 0 ? user : pieces.findIndex((x, k) => k > i && /\b(?:tray|oven|blech|plaque)\b/iu.test(x.text) && x.kind !== 'preheat');
      if (hot >= 0) bound[hot]!.after.add(i);
    } else if (readies(p)) {
      const vesselNamed = pieces.findIndex(
        (x, k) => k > i && !readies(x) && /\b(?:tins?|dish(?:es)?|trays?|moulds?|cases?|form|plat|molde)\b/iu.test(x.text),
      );
      const filled = pieces.findIndex(
        (x, k) =>
          k > i &&
          !readies(x) &&
          (workFacts[x.kind].place === 'dish' || x.kind === 'bake' || /\b(?:lay|layer|pour|arrange|spoon|tip)\b/iu.test(x.text)),
      );
      const user = vesselNamed >= 0 && (filled < 0 || vesselNamed <= filled) ? vesselNamed : filled;
      if (user >= 0) bound[user]!.after.add(i);
    }
  });
}

/** Lines that nothing has named yet, by weaker signs: a seasoning word, a slip of the pen, the verb that is the food. */
function lastResort(ctx: Context): void {
  for (const l of ctx.lines) {
    if (ctx.bound.some((b) => b.uses.has(l.line))) continue;
    const salty = l.row !== undefined && /^(?:salt|pepper)/.test(l.row.id);
    const words = [...l.words, ...l.heads].filter((w) => w.length > 4);
    const counted = (l.line.written.split(/[,(]/)[0] ?? '')
      .split(/[^\p{L}]+/u)
      .map(stemOf)
      .filter((w) => /^(?:sheet|wrapper|leaf|clove|stick|stalk|slice|case|skin|shell|round)$/.test(w));
    const at = ctx.pieces.findIndex((p) => {
      if (
        salty &&
        (/\b(?:season(?:ing)?|salz|würzen|abschmecken|assaisonn|salpiment|sazon|regolare)/iu.test(p.text) ||
          (/^salt/.test(l.row!.id) && /\b(?:salted|salt|salzen|saler|salar|salare)\b/iu.test(p.text)))
      )
        return true;
      if (/^butter/.test(l.row?.id ?? '') && /\b(?:butter|buttered)\b/iu.test(p.text)) return true;
      if (/^oil/.test(l.row?.id ?? '') && /\b(?:oil|oiled)\b/iu.test(p.text)) return true;
      return p.segments.some((s) =>
        s.tokens.some(
          (t, i) =>
            !s.quiet.has(i) &&
            !s.verbs.has(i) &&
            (counted.includes(t.stem) || (words.some((w) => slipOf(t.stem, w)) && !isProduct(t.stem))),
        ),
      );
    });
    // told only under “before” or “until”: it has gone in by then
    const quietly =
      at >= 0
        ? at
        : ctx.pieces.findIndex(
            (p) =>
              p.kind !== 'preheat' &&
              p.segments.some((s) =>
                mentionsIn(s.tokens, [l], s.verbs).some(
                  (m) =>
                    s.quiet.has(m.from) &&
                    s.tokens.slice(0, m.from).some((t) => /^(?:before|until|till|once|when)$/.test(t.word)) &&
                    !s.tokens.slice(Math.max(0, m.from - 3), m.from).some((t) => /^(?:no|not|without|never)$/.test(t.word)),
                ),
              ),
          );
    if (quietly < 0) continue;
    ctx.bound[quietly]!.uses.set(l.line, 1);
    ctx.left.set(l.line, 0);
  }
}

/**
 * What goes into each piece, and whose results it takes: lines by name, group or remainder, results by name or as what was made before.
 * @param paragraphs the texts the pieces stand in
 */
export function bindPieces(pieces: readonly Piece[], lines: readonly LineNames[], paragraphs: readonly string[]): Bound[] {
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
