import type { Line } from '#core/contract';
import { mentionsIn, type Mention } from './foods.ts';
import { inSection, type Context } from './held.ts';
import type { Piece } from './pieces.ts';
import { isProduct } from './results.ts';
import type { Segment } from './segments.ts';
import { saidShare, wordsBefore, type SaidShare } from './shares.ts';
import type { Token } from './sentences.ts';

/** Words for what is there, in their languages. */
export const pronouns = new Set('it them they these this those both lot all rest sie es ihn les le las los li lo'.split(' '));

/** A line a text speaks of, and how. */
export interface Spoken {
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
export function isObject(s: Segment, i: number): boolean {
  const from = s.verb >= 0 && s.verb < i ? s.verb + 1 : 0;
  return (
    !s.tokens.slice(from, i).some((t) => with_.test(t.word)) ||
    (s.verb > i && !with_.test(s.tokens[i - 1]?.word ?? '') && !with_.test(s.tokens[i - 2]?.word ?? ''))
  );
}

/** Everything a piece says of foods, in its order. */
export function spokenIn(ctx: Context, paragraphs: readonly string[], n: number): Spoken[] {
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
    mentionsIn(s.tokens, ctx.lines, s.verbs, (l) => inSection(l, p)).map((m): Spoken => ({
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
export function choose(ctx: Context, candidates: readonly Spoken[], p: Piece, own: ReadonlySet<Line>): Spoken {
  const form = (s: Spoken): number => {
    const near = wordsBefore(s.text, s.tokens, s.mention.from).toLowerCase();
    const own = `${s.mention.line.line.formText ?? ''} ${s.mention.line.line.form ?? ''}`
      .toLowerCase()
      .split(/\s+/)
      .filter((w) => w.length > 3);
    return own.some((w) => near.includes(w)) ? 1 : 0;
  };
  const score = (s: Spoken): number =>
    (inSection(s.mention.line, p) ? 8 : s.mention.line.line.section && p.section ? -2 : 0) +
    form(s) * 4 +
    ((ctx.left.get(s.mention.line.line) ?? 0) > 0.01 ? 2 : 0) -
    (own.has(s.mention.line.line) ? 3 : 0);
  return candidates.reduce((best, s) => (score(s) > score(best) ? s : best));
}
