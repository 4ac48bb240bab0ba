import type { Line } from '#core/contract';
import { workFacts } from './classes.ts';
import { groupOf, mentionsIn, type LineNames, type Mention } from './foods.ts';
import { sameStem, slipOf, stemOf } from './language.ts';
import type { Piece } from './pieces.ts';
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
const readies = (p: Piece): boolean =>
  /\b(?:line|butter|grease|oil|rub|dust|prepare|beurrer|graisser|fetten|einfetten|untar|engrasar|imburrare|frotter)\b[^.,;]*\b(?:tins?|trays?|dish(?:es)?|moulds?|pans?|plat|form|blech|molde|teglia|sheets? of paper)\b/iu.test(
    p.text,
  ) && p.segments.filter((s) => s.act !== 'small').length === 1;

const sectionless = (p: Piece): boolean => p.section === undefined;

/** The piece that “it” speaks of: the one told before, side work left out. */
function previous(ctx: Context, n: number): number | undefined {
  const me = ctx.pieces[n]!;
  for (let i = n - 1; i >= 0; i -= 1) {
    const p = ctx.pieces[i]!;
    if (p.kind === 'preheat' || readies(p)) continue;
    if (p.serve && !me.serve) continue;
    if (p.past && ctx.bound[i] && !ctx.open.has(i)) continue;
    if (p.section !== me.section && !sectionless(me)) return undefined;
    // told in the middle of another work, and not of its kind: “meanwhile” leaves the pot before for what comes after both
    return i;
  }
  return undefined;
}

/** What a line has become: the last piece that holds it and that nobody has taken since. */
function holderOf(ctx: Context, line: Line, before: number): number | undefined {
  const holds = (i: number, seen: Set<number>): boolean => {
    if (seen.has(i)) return false;
    seen.add(i);
    const b = ctx.bound[i];
    return b !== undefined && (b.uses.has(line) || [...b.takes].some((k) => holds(k, seen)));
  };
  const order = [...ctx.bound.keys()].filter((i) => i !== before && ctx.bound[i] !== undefined).reverse();
  return order.find((i) => ctx.open.has(i) && holds(i, new Set())) ?? order.find((i) => holds(i, new Set()));
}

const everything = /\b(?:everything|the lot|all of it|all the ingredients|all ingredients|alles|alle zutaten|tout|todo|tutto)\b/iu;
const everythingElse =
  /\b(?:everything else|all else|(?:the )?(?:rest of the|remaining|other) ingredients|all the rest|alle übrigen|restlichen zutaten|tous les autres|los demás|tutto il resto|the rest)(?![^.,;]*\bof\b)\b/iu;
const exceptWords = /\b(?:everything|all)[^.,;]*?\b(?:except|but|bar|save|apart from)\b([^.,;]*)/iu;
const together = /\b(?:combine|together|assemble|layer|build(?: up)?|mix it all|alles zusammen)\b/iu;
const pronouns = new Set('it them they these this those both lot all rest sie es ihn les le las los li lo'.split(' '));
const intoPot =
  /\b(?:in(?:to)? (?:it|them|the (?:same )?(?:pot|pan|dough|sauce|broth|bowl))|on top|over (?:it|them|the top)|back(?: in)?|to (?:the )?(?:same )?(?:pot|pan)|in den topf|in the same|put back|inside)\b/iu;

interface Spoken {
  mention: Mention;
  text: string;
  tokens: readonly Token[];
  quiet: boolean;
  /** It begins right after the sentence or clause. */
  said: SaidShare;
}

/** Everything a piece says of foods, in its order. */
function spokenIn(ctx: Context, paragraphs: readonly string[], n: number): Spoken[] {
  const p = ctx.pieces[n]!;
  const text = paragraphs[p.paragraph]!;
  return p.segments.flatMap((s) =>
    mentionsIn(s.tokens, ctx.lines, s.verbs).map((m): Spoken => ({
      mention: m,
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
function choose(ctx: Context, candidates: readonly Spoken[], p: Piece): Spoken {
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
    ((ctx.left.get(s.mention.line.line) ?? 0) > 0.01 ? 2 : 0);
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

function bindPiece(ctx: Context, paragraphs: readonly string[], n: number): void {
  const p = ctx.pieces[n]!;
  const b: Bound = { piece: p, uses: new Map(), takes: new Set(), after: new Set(), amounts: [] };
  ctx.bound[n] = b;
  if (p.kind === 'preheat') return;
  const spoken = spokenIn(ctx, paragraphs, n);
  const own = new Set<Line>();
  const refer = (i: number | undefined): void => {
    if (i !== undefined && i !== n) b.takes.add(i);
  };
  let mainFood = false;
  let firstFood = Number.POSITIVE_INFINITY;
  const at = (s: Spoken): number => s.tokens[s.mention.from]!.at;
  // one at a time: several lines of one word are one choice
  for (let i = 0; i < spoken.length;) {
    const here = spoken.filter((s) => at(s) === at(spoken[i]!));
    i = spoken.indexOf(here.at(-1)!) + 1;
    const s = choose(ctx, here, p);
    const { line } = s.mention.line;
    const left = ctx.left.get(line) ?? 0;
    const next = s.tokens[s.mention.to + 1];
    const product = next && next.before === 'space' && isProduct(next.stem) && !s.mention.line.words.has(next.stem);
    const holder = holderOf(ctx, line, n);
    if (s.quiet || own.has(line)) {
      if (left < 0.01 && !own.has(line)) refer(holder);
      continue;
    }
    if (product && holder !== undefined) {
      refer(holder);
      continue;
    }
    const byWord = s.mention.weight <= 7 && isProduct(s.tokens[s.mention.to]!.stem);
    const made = byWord ? producerOf(ctx.pieces, ctx.bound, s.tokens[s.mention.to]!.stem, n) : undefined;
    if (made !== undefined && (left < 0.01 || !s.mention.line.words.has(s.tokens[s.mention.to]!.stem))) {
      refer(made);
      continue;
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
      if (!minor(s.mention.line) || p.kind === 'melt' || p.kind === 'mix' || p.kind === 'soak' || p.kind === 'cut') mainFood = true;
    } else if (pantry(s.mention.line) && !strainsIt && s.said !== 'rest' && holder !== undefined && sharable(ctx, line)) {
      for (const other of ctx.bound) if (other?.uses.has(line)) other.uses.set(line, undefined);
      b.uses.set(line, undefined);
      own.add(line);
    } else refer(holder);
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
        const later = fresh.filter((l) => ![...(ctx.namedIn.get(l.line.id) ?? [])].some((k) => k < n));
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
          mainFood = true;
        }
        if (later.length === 0) for (const l of mine) if (!own.has(l.line)) refer(holderOf(ctx, l.line, n));
        return;
      }
      if (isProduct(t.stem)) {
        const foodBefore = s.tokens[i - 1];
        const ofFood = foodBefore && ctx.lines.find((l) => [...l.words].some((w) => sameStem(w, foodBefore.stem)));
        const madeOf = ofFood && (ctx.left.get(ofFood.line) ?? 0) < 0.01 ? holderOf(ctx, ofFood.line, n) : undefined;
        const makes = /\b(?:a|an|to a|into a|make|bring|until)\b[^.,;]*$/iu.test(before) && !/\bthe\b[^.,;]*$/iu.test(before);
        if (!makes) refer(madeOf ?? producerOf(ctx.pieces, ctx.bound, t.stem, n));
        return;
      }
      if (pronouns.has(t.word) && t.at < firstFood && !s.quiet.has(i) && b.takes.size === 0) {
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
  const { text } = p;
  const sectionLines = ctx.lines.filter((l) => !p.section || inSection(l, p.section) || !ctx.lines.some((x) => inSection(x, p.section)));
  const unnamed = (l: LineNames): boolean => ![...(ctx.namedIn.get(l.line.id) ?? [])].some((k) => k > n);
  const free = sectionLines.filter((l) => l.line.moment === 'batch' && (ctx.left.get(l.line) ?? 0) > 0.99 && !own.has(l.line));
  const except = exceptWords.exec(text)?.[1];
  const elseWords = everythingElse.test(text) && !except;
  if (except !== undefined || elseWords || everything.test(text)) {
    const not =
      except === undefined
        ? []
        : ctx.lines.filter((l) => [...l.heads, ...l.words].some((w) => except.split(/[^\p{L}]+/u).some((x) => sameStem(stemOf(x), w))));
    if (not.length > 0) for (const l of not) if (b.uses.delete(l.line)) ctx.left.set(l.line, 1);
    const taken = free.concat(not.length > 0 ? [] : []).filter((l) => !not.includes(l) && (except !== undefined || unnamed(l)));
    if (!/\b(?:all the|alle) rest\b/iu.test(text) || elseWords || except !== undefined || everything.test(text))
      for (const l of taken) {
        if (elseWords && /\bthe rest\b/iu.test(text) && !/\b(?:everything|ingredients)\b/iu.test(text) && b.takes.size + b.uses.size > 0)
          continue;
        use(ctx, b, l.line, 1);
        own.add(l.line);
        mainFood = true;
      }
    if (!elseWords && except === undefined)
      for (const i of ctx.open) if (i !== n && !ctx.pieces[i]!.serve && !readies(ctx.pieces[i]!)) refer(i);
  }
  if (together.test(text) && b.takes.size === 0 && !mainFood) for (const i of ctx.open) if (i !== n && !ctx.pieces[i]!.serve) refer(i);
  settle(ctx, b, n, mainFood);
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
function settle(ctx: Context, b: Bound, n: number, mainFood: boolean): void {
  const p = b.piece;
  const last = previous(ctx, n);
  const before = n > 0 ? ctx.pieces[n - 1] : undefined;
  if (p.past) {
    // told late: it takes only what it names
  } else if (readies(p)) {
    b.takes.clear();
  } else if (b.takes.size === 0 && last !== undefined) {
    const begins = (p.segments.find((s) => s.act !== 'small' && s.act !== undefined) ?? p.segments[0])?.act;
    const puts = begins === 'add' || begins === undefined || begins === 'finish';
    const toPot = intoPot.test(p.text);
    const startsAnew = p.meanwhile && mainFood;
    const anew = mainFood && !puts && !toPot;
    if (!startsAnew && !anew && !(p.serve && mainFood && !puts)) b.takes.add(last);
  }
  // what was told late in this sentence goes into it
  if (before?.past && !p.past && before.paragraph === p.paragraph && !/[.;]\s*$/.test(before.text)) b.takes.add(n - 1);
  if (before?.past && !p.past && ctx.open.has(n - 1) && n >= 1 && b.takes.size === 1 && [...b.takes][0] === n - 1) {
    const main = previous({ ...ctx, open: new Set() }, n - 1);
    if (main !== undefined && (p.adds || p.kind === 'bake')) b.takes.add(main);
  }
  if (
    /\bsame (?:pot|pan|skillet|dish|wok)|im selben topf|même (?:poêle|casserole)|misma (?:olla|sartén)/iu.test(p.text) &&
    last !== undefined &&
    !b.takes.has(last)
  )
    b.after.add(last);
  if (p.then && last !== undefined && b.takes.size === 0) b.after.add(last);
  for (const i of b.takes) ctx.open.delete(i);
  ctx.open.add(n);
}

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
      const user = pieces.findIndex(
        (x, k) =>
          k > i &&
          (workFacts[x.kind].place === 'dish' ||
            workFacts[x.kind].place === 'oven' ||
            x.adds ||
            /\b(?:tin|dish|tray|mould)\b/iu.test(x.text)) &&
          x.kind !== 'preheat' &&
          x.kind !== 'melt',
      );
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
    const at = ctx.pieces.findIndex((p) => {
      if (
        salty &&
        (/\b(?:season(?:ing)?|salz|würzen|abschmecken|assaisonn|salpiment|sazon|regolare)/iu.test(p.text) ||
          (/^salt/.test(l.row!.id) && /\b(?:salted|salt|salzen|saler|salar|salare)\b/iu.test(p.text)))
      )
        return true;
      if (/^butter/.test(l.row?.id ?? '') && /\b(?:butter|buttered)\b/iu.test(p.text)) return true;
      if (/^oil/.test(l.row?.id ?? '') && /\b(?:oil|oiled)\b/iu.test(p.text)) return true;
      return p.segments.some((s) => s.tokens.some((t, i) => !s.quiet.has(i) && words.some((w) => slipOf(t.stem, w)) && !isProduct(t.stem)));
    });
    if (at < 0) continue;
    ctx.bound[at]!.uses.set(l.line, 1);
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
        if (s.quiet.has(m.from)) continue;
        const set = namedIn.get(m.line.line.id) ?? new Set<number>();
        namedIn.set(m.line.line.id, set.add(n));
      }
  });
  const ctx: Context = { pieces, lines, bound: [], namedIn, left: new Map(lines.map((l) => [l.line, 1])), open: new Set() };
  // what is told as done before is worked out before what uses it
  const order = [...pieces.keys()].sort((a, b) => Number(pieces[b]!.past) - Number(pieces[a]!.past) || a - b);
  for (const n of order) bindPiece(ctx, paragraphs, n);
  readyFirst(ctx);
  lastResort(ctx);
  return ctx.bound;
}
