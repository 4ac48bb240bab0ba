import type { Line, Step } from '#core/contract';
import { inSession, mindsItself } from '../method/index.ts';

/** A question about the method whose answer changes the plan, with what is guessed until it is answered. */
export type MethodAsk =
  | { ask: 'whereTo'; line: Line; guess: string; options: string[] }
  | { ask: 'wait'; stepId: string; guess: number; options: number[] }
  | { ask: 'oven'; stepId: string; guess: number; options: number[] };

const most = 3;
/** A range so wide that the plan hangs on it. */
const wide = 1.9;
/** A middle oven, offered until it is said (KIT). */
const usualOven = 180;

/** Steps where a line that nobody put anywhere may fairly go: what simmers first, then what is mixed, the longest before the others. */
function homes(line: Line, steps: readonly Step[]): Step[] {
  const fair = steps.filter((s) => !['preheat', 'cut', 'cool', 'freeze', 'strain', 'fill'].includes(s.kind ?? ''));
  const weight = (s: Step): number => {
    const leaf = /\b(?:bay|thyme|rosemary|stock|water|wine|peppercorns?|cinnamon|star anise)\b/i.test(line.name);
    const cooks = mindsItself(s.kind ?? 'mix') ? 1 : 0;
    return (leaf ? cooks * 3 : 0) + cooks + s.waitMin / 1000 + (s.kind === 'mix' ? 0.5 : 0);
  };
  return fair.toSorted((a, b) => weight(b) - weight(a));
}

/**
 * At most three questions, the one that changes most first: where a line goes that has two fair homes, how long the longest guessed wait is,
 * how hot the oven. What was said once is not asked again.
 * @example methodAsks(revision.steps, revision.lines)[0]?.ask // 'whereTo'
 */
export function methodAsks(steps: readonly Step[], lines: readonly Line[]): MethodAsk[] {
  const inIt = inSession(steps);
  if (inIt.length === 0) return [];
  const asks: MethodAsk[] = [];
  for (const line of lines) {
    if (line.moment !== 'batch' || steps.some((s) => s.uses.some((u) => u.lineId === line.id))) continue;
    const options = homes(line, inIt).slice(0, 3);
    const [first] = options;
    if (first && options.length > 1) asks.push({ ask: 'whereTo', line, guess: first.id, options: options.map((s) => s.id) });
  }
  const longest = inIt
    .filter(
      (s) =>
        s.guessed?.includes('wait') && !s.said?.includes('wait') && s.kind !== 'freeze' && (s.waitToMin ?? s.waitMin) >= s.waitMin * wide,
    )
    .toSorted((a, b) => b.waitMin - a.waitMin)[0];
  if (longest && longest.waitMin >= 15)
    asks.push({
      ask: 'wait',
      stepId: longest.id,
      guess: longest.waitMin,
      options: [longest.waitMin, longest.waitToMin ?? longest.waitMin * 2],
    });
  const baked = inIt.find((s) => s.kind === 'bake' && !s.said?.includes('needs') && s.needs.every((n) => n.tempC === undefined));
  const heated = inIt.some((s) => s.kind === 'preheat' && s.needs.some((n) => n.tempC !== undefined));
  if (baked && !heated) asks.push({ ask: 'oven', stepId: baked.id, guess: usualOven, options: [160, usualOven, 200] });
  return asks.slice(0, most);
}
