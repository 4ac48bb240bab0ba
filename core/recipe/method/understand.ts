import type { Line } from '#core/contract';
import type { IngredientFinder } from '#core/kitchen';
import { bindPieces } from './bind.ts';
import type { WorkKind } from '#core/contract';
import { groupOf, lexiconOf, mentionsIn, type Lexicon } from './foods.ts';
import { languageOf } from './language.ts';
import { cueOf, heatOf, minutesOf, type StepMinutes } from './minutes.ts';
import { orderOf } from './order.ts';
import { plainOf } from './plain.ts';
import { intoIce, piecesOf, segmentKinds, type Cut, type Piece } from './pieces.ts';
import { isProduct } from './results.ts';

/** A step as its text says it, at the written size. */
export interface UnderstoodStep {
  paragraph: number;
  at: number;
  end: number;
  /** The cook's own words. */
  text: string;
  /** The same in plain signs, for who looks for a word in it. */
  plain: string;
  kind: WorkKind;
  section?: string;
  moment: 'eve' | 'batch' | 'serve';
  uses: { line: Line; share: number; open?: true }[];
  /** Steps whose results it takes, and steps that only come first. */
  takes: number[];
  after: number[];
  minutes: StepMinutes;
  heatC?: number;
  cue?: string;
  amounts: { line: Line; share: number; said: string }[];
}

/** A method as it is understood. */
export interface Understood {
  steps: UnderstoodStep[];
  lines: Lexicon;
  pieces: readonly Piece[];
  /** Steps that each needed the other's outcome. */
  circle: number[];
}

export interface MethodContext {
  /** Where steps begin against the reading, by paragraph. */
  cuts?: readonly (readonly Cut[])[];
  finder?: IngredientFinder;
  /** Grams of a line at the written size, where they are known. */
  massG?: (line: Line) => number | undefined;
}

/** All that a step waits for, through and through. */
function reached(after: readonly number[][], i: number, seen = new Set<number>()): Set<number> {
  for (const k of after[i]!)
    if (!seen.has(k)) {
      seen.add(k);
      reached(after, k, seen);
    }
  return seen;
}

/** Moments: what follows from a step at table is at table too; what is thawed before anything was frozen is a day ahead. */
function momentsOf(pieces: readonly Piece[], after: readonly number[][], uses: readonly { line: Line }[][]): UnderstoodStep['moment'][] {
  const frozen = pieces.findIndex((p) => /\b(?:freeze|frozen|freezer|froster|einfrieren|congel|surgel)/iu.test(p.text));
  const moments = pieces.map((p, i): UnderstoodStep['moment'] => {
    const thaws = /\b(?:thaw|defrost)/iu.test(p.text);
    if (thaws && (frozen < 0 || frozen >= i) && i === 0) return 'eve';
    const only = uses[i]!.length > 0 && uses[i]!.every((u) => u.line.moment === 'cookDay');
    if (p.serve || only) return 'serve';
    return p.eve ? 'eve' : 'batch';
  });
  for (let again = true; again;) {
    again = false;
    pieces.forEach((_p, i) => {
      if (moments[i] !== 'serve' && after[i]!.some((k) => moments[k] === 'serve')) {
        moments[i] = 'serve';
        again = true;
      }
    });
  }
  // what is cut for the table alone is cut on the day
  pieces.forEach((p, i) => {
    const takers = [...pieces.keys()].filter((k) => after[k]!.includes(i));
    if (
      moments[i] === 'batch' &&
      p.kind === 'cut' &&
      after[i]!.length === 0 &&
      takers.length > 0 &&
      takers.every((k) => k === i + 1 && moments[k] === 'serve' && !pieces[k]!.segments[0]!.first)
    )
      moments[i] = 'serve';
  });
  // what an overnight wait needs is done before it
  for (let i = pieces.length - 1; i >= 0; i -= 1)
    if (moments[i] === 'eve') for (const k of reached(after, i)) if (moments[k] === 'batch') moments[k] = 'eve';
  return moments;
}

/**
 * Reads a method: where each step begins and ends, what goes into it and how much, what it waits for, its minutes, heat and cue.
 * @param paragraphs as written
 * @example understand(['Chop the leeks.', 'Sweat them in the oil.'], lines).steps[1]?.takes // [0]
 */
export function understand(paragraphs: readonly string[], recipeLines: readonly Line[], ctx: MethodContext = {}): Understood {
  const plain = paragraphs.map(plainOf);
  const cuts = ctx.cuts?.map((list, i) =>
    list.map((c) => ({ ...c, at: plain[i]!.toPlain(c.at), ...(c.until !== undefined && { until: plain[i]!.toPlain(c.until) }) })),
  );
  const read = understandPlain(
    plain.map((p) => p.text),
    recipeLines,
    { ...ctx, ...(cuts && { cuts }) },
  );
  // what is shown and kept are the cook's own words and places
  const steps = read.steps.map((s): UnderstoodStep => {
    const { toWritten } = plain[s.paragraph]!;
    const written = paragraphs[s.paragraph]!;
    const [at, end] = [toWritten(s.at), toWritten(s.end)];
    return { ...s, at, end, text: s.text === plain[s.paragraph]!.text.slice(s.at, s.end) ? written.slice(at, end) : s.text };
  });
  return { ...read, steps };
}

function understandPlain(paragraphs: readonly string[], recipeLines: readonly Line[], ctx: MethodContext): Understood {
  const lines = lexiconOf(recipeLines, ctx.finder);
  const language = languageOf(paragraphs.join('\n'));
  const hasFoods: Parameters<typeof piecesOf>[2] = (s) =>
    mentionsIn(s.tokens, lines, s.verbs).some((m) => !s.quiet.has(m.from)) ||
    s.tokens.some((t, i) => !s.verbs.has(i) && !s.quiet.has(i) && !isProduct(t.stem) && groupOf(s.tokens, i, lines) !== undefined);
  const pieces = piecesOf(paragraphs, language, hasFoods, ctx.cuts);
  const bound = bindPieces(pieces, lines, paragraphs);
  const { after, circle } = orderOf(bound);
  const shares = shareOut(bound.map((b) => b.uses));
  const moments = momentsOf(pieces, after, shares);
  const kgHeld = pieces.map((_p, i): number => {
    const own = shares[i]!.reduce((sum, u) => sum + ((ctx.massG?.(u.line) ?? 0) / 1000) * u.share, 0);
    return own > 0.05 || bound[i]!.takes.size === 0 ? own : -1;
  });
  const kg = (i: number, depth = 0): number =>
    kgHeld[i]! >= 0 || depth > 60
      ? Math.max(0, kgHeld[i]!)
      : [...bound[i]!.takes].reduce((sum, k) => sum + (k === i ? 0 : kg(k, depth + 1)), 0);
  const steps = pieces.map((p, i): UnderstoodStep => {
    const what = `${p.text} ${[
      i,
      ...reached(
        bound.map((b) => [...b.takes]),
        i,
      ),
    ]
      .flatMap((k) => shares[k]!.map((u) => u.line.name))
      .join(' ')}`;
    const heatC = p.kind === 'preheat' || p.kind === 'bake' || p.kind === 'slow' ? heatOf(p.text) : undefined;
    const cue = cueOf(p.text);
    const kindAt = segmentKinds(p, paragraphs[p.paragraph]!);
    return {
      paragraph: p.paragraph,
      at: p.at,
      end: p.end,
      text: p.text,
      plain: p.text,
      kind: p.kind,
      ...(p.section !== undefined && { section: p.section }),
      moment: moments[i]!,
      uses: shares[i]!,
      takes: after[i]!.filter((k) => bound[i]!.takes.has(k)),
      after: after[i]!,
      minutes: minutesOf(p.text, p.kind, (at) => kindAt(at + p.at), Math.min(kg(i), 20), what),
      ...(heatC !== undefined && { heatC }),
      ...(cue !== undefined && { cue }),
      amounts: bound[i]!.amounts,
    };
  });
  return { steps: steps.map((s) => inIce(s, steps)), lines, pieces, circle };
}

/** In ice as long as it was blanched, where nobody says how long (reference 5.1, bl_ice: NCHFP). */
function inIce(step: UnderstoodStep, steps: readonly UnderstoodStep[]): UnderstoodStep {
  if (step.minutes.said.wait || step.kind !== 'cool' || !intoIce.test(step.text)) return step;
  const dip = step.after.map((i) => steps[i]!).find((s) => s.kind === 'boil' && /\bblanch|\bparboil|\bscald/iu.test(s.text));
  if (!dip) return step;
  const { waitTo: _, ...minutes } = step.minutes;
  return { ...step, minutes: { ...minutes, wait: dip.minutes.wait } };
}

/** Open shares dealt out in equal parts of what the written ones leave; no line ever sums to more than one, written contradictions apart. */
function shareOut(uses: readonly ReadonlyMap<Line, number | undefined>[]): UnderstoodStep['uses'][] {
  const written = new Map<Line, number>();
  const open = new Map<Line, number>();
  for (const map of uses)
    for (const [line, share] of map) {
      if (share === undefined) open.set(line, (open.get(line) ?? 0) + 1);
      else written.set(line, (written.get(line) ?? 0) + share);
    }
  return uses.map((map) =>
    [...map].flatMap(([line, share]): UnderstoodStep['uses'] => {
      const total = written.get(line) ?? 0;
      if (share === undefined) {
        const part = Math.max(0, 1 - total) / (open.get(line) ?? 1);
        return part > 0.001 ? [{ line, share: part, open: true }] : [];
      }
      const fair = total > 1 ? share / total : share;
      return fair > 0.001 ? [{ line, share: Math.min(1, fair) }] : [];
    }),
  );
}
