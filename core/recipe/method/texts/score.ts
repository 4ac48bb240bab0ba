import { composeLines } from '#core/recipe/write';
import { ingredientFinder } from '#core/kitchen';
import { ingredientRows, withForeignNames } from '#core/kitchen/data';
import { methodFindings } from '../findings.ts';
import { understand, type UnderstoodStep } from '../understand.ts';
import type { LabelledMethod } from './labelled.ts';

type Count = [right: number, of: number];

/** How many of the labels a reading meets. */
export interface MethodScore {
  /** Lines in the step that takes them, with their share. */
  lines: Count;
  /** Methods whose every step comes after what it needs. */
  orders: Count;
  /** Pairs that may be done side by side and still may. */
  freedom: Count;
  /** Written minutes within a quarter. */
  minutes: Count;
  /** Steps of the eating day told from the others, of those that are or are taken for such. */
  serve: Count;
  findings: Count;
  /** Steps read for steps labelled: far more would be a text chopped small. */
  steps: Count;
  misses: string[];
}

const finder = ingredientFinder(withForeignNames(ingredientRows));
const pairs = (text: string, sign: string): [number, number][] =>
  text
    .split(' ')
    .filter(Boolean)
    .map((p) => p.split(sign).map(Number) as [number, number]);

function reachable(steps: readonly UnderstoodStep[], from: number, to: number, seen = new Set<number>()): boolean {
  // whether `to` waits for `from`
  if (seen.has(to)) return false;
  seen.add(to);
  return steps[to]!.after.some((k) => k === from || reachable(steps, from, k, seen));
}

/** Reads labelled methods and counts what is right; the misses are told by name. */
export function scoreMethods(methods: readonly LabelledMethod[]): MethodScore {
  const score: MethodScore = {
    lines: [0, 0],
    orders: [0, 0],
    freedom: [0, 0],
    minutes: [0, 0],
    serve: [0, 0],
    findings: [0, 0],
    steps: [0, 0],
    misses: [],
  };
  for (const m of methods) {
    const miss = (text: string): void => void score.misses.push(`${m.name}: ${text}`);
    const rows = composeLines(
      m.lines.map((text, i) => ({ id: `l${i}`, text })),
      { finder, recipes: [] },
    );
    const lines = rows.flatMap((r) => ('foods' in r ? [r.foods.map((f) => f.line)] : []));
    const paragraphs = m.text.split('\n');
    const offset = (p: number): number => paragraphs.slice(0, p).reduce((sum, t) => sum + t.length + 1, 0);
    const read = understand(paragraphs, lines.flat(), { finder });
    const spans = read.steps.map((s) => ({ from: offset(s.paragraph) + s.at, to: offset(s.paragraph) + s.end }));
    const ats = m.steps.map((s) => m.text.indexOf(s.at));
    const at = ats.map((a) => spans.findIndex((s) => a >= s.from && a < s.to));
    /** Labelled steps a read step may stand for: those it holds, or its neighbours. */
    const stands = spans.map((s, i) => {
      const inside = ats.flatMap((a, k) => (at[k] === i && a >= 0 ? [k] : []));
      if (inside.length > 0) return inside;
      const before = ats.findLastIndex((a) => a < s.from);
      return [before, before + 1].filter((k) => k >= 0 && k < ats.length);
    });
    score.steps[0] += read.steps.length;
    score.steps[1] += m.steps.length;
    m.steps.forEach((label, k) => {
      for (const take of (label.takes ?? '').split(' ').filter(Boolean)) {
        const [letter, share] = take.split(':');
        const mine = lines['abcdefghijklmnop'.indexOf(letter!)] ?? [];
        score.lines[1] += 1;
        // in its own step, or in one told beside it that no label claims
        const sumIn = (line: unknown, near: boolean): number =>
          read.steps.reduce(
            (sum, s, n) =>
              sum +
              (n === at[k] || (near && stands[n]!.includes(k))
                ? s.uses.filter((u) => u.line === line).reduce((x, u) => x + u.share, 0)
                : 0),
            0,
          );
        const wanted = share === undefined ? 1 : Number(share);
        const fits = (sum: number): boolean => (share === '?' ? sum > 0 : Math.abs(sum - wanted) < 0.12);
        const right = mine.length > 0 && mine.every((line) => fits(sumIn(line, false)) || fits(sumIn(line, true)));
        if (right) score.lines[0] += 1;
        else
          miss(
            `line ${mine[0]?.name ?? letter} ${share ?? ''} in “${label.at}”, read ${read.steps.flatMap((s, i) => s.uses.filter((u) => mine.includes(u.line)).map((u) => `${u.share.toFixed(2)} in ${i} “${s.text.trim().slice(0, 30)}”`)).join(', ') || 'nowhere'}`,
          );
      }
      for (const what of ['hands', 'wait'] as const) {
        const wanted = label[what];
        if (wanted === undefined) continue;
        score.minutes[1] += 1;
        const own = at[k]!;
        const near = read.steps.flatMap((s, i) =>
          i === own ? [0] : stands[i]!.includes(k) && at.every((x) => x !== i) ? [s.minutes[what]] : [],
        );
        const base = own >= 0 ? read.steps[own]!.minutes[what] : -1;
        const near_ = [base, ...near.map((n) => base + n), ...near].some((n) => Math.abs(n - wanted) <= wanted / 4 + 0.01);
        if (near_) score.minutes[0] += 1;
        else miss(`${what} ${wanted} of “${label.at}”, read ${base}`);
      }
      const step = read.steps[at[k]!];
      const serves = step?.moment === 'serve';
      if (serves || label.serve) {
        score.serve[1] += 1;
        if (serves === (label.serve ?? false)) score.serve[0] += 1;
        else miss(`${serves ? 'taken for' : 'not seen as'} of the eating day: “${label.at}”`);
      }
    });
    const wrong = pairs(m.before, '<').filter(([a, b]) => {
      const [x, y] = [at[a]!, at[b]!];
      if (x < 0 || y < 0) return true;
      if (read.steps[y]!.moment === 'serve' && read.steps[x]!.moment !== 'serve') return false;
      // a step told in several parts may need it in a later one of them
      const parts = read.steps.flatMap((_s, i) =>
        i > y && stands[i]!.includes(b) && at.every((k) => k !== i) && reachable(read.steps, y, i) ? [i] : [],
      );
      return x !== y && ![y, ...parts].some((z) => reachable(read.steps, x, z));
    });
    score.orders[1] += 1;
    if (wrong.length === 0 && read.circle.length === 0) score.orders[0] += 1;
    else
      miss(
        `order ${wrong.map(([a, b]) => `${a}<${b} (“${m.steps[a]!.at}” before “${m.steps[b]!.at}”)`).join(', ')} ${read.circle.length > 0 ? 'circle' : ''}`,
      );
    for (const [a, b] of pairs(m.free, '|')) {
      score.freedom[1] += 1;
      const [x, y] = [at[a]!, at[b]!];
      if (x >= 0 && y >= 0 && x !== y && !reachable(read.steps, x, y) && !reachable(read.steps, y, x)) score.freedom[0] += 1;
      else miss(`not free ${a}|${b} (“${m.steps[a]!.at}” beside “${m.steps[b]!.at}”)`);
    }
    const labelled = new Set((m.findings ?? '').split(' ').filter(Boolean));
    const letterOf = (line: unknown): string => 'abcdefghijklmnop'[lines.findIndex((l) => l.some((x) => x === line))] ?? '?';
    const found = new Set(
      methodFindings(read, finder)
        .filter((f) => !f.offer)
        .map((f) =>
          f.finding === 'unused'
            ? `unused:${letterOf(f.line)}`
            : f.finding === 'unlisted'
              ? `unlisted:${f.name.split(' ')[0]}`
              : f.finding === 'twice'
                ? `twice:${letterOf(f.line)}`
                : f.finding,
        ),
    );
    for (const f of new Set([...labelled, ...found])) {
      score.findings[1] += 1;
      if (labelled.has(f) && found.has(f)) score.findings[0] += 1;
      else miss(`finding ${f} ${found.has(f) ? 'is none' : 'not seen'}`);
    }
    if (labelled.size === 0 && found.size === 0) {
      score.findings[0] += 1;
      score.findings[1] += 1;
    }
  }
  return score;
}
