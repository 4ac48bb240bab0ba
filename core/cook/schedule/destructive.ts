import type { Compiled } from './compile.ts';
import type { Minute } from './model.ts';
import { makePropagator, type Before, type Propagator, type Windows } from './windows.ts';

/** Decisions tried for one supposed end. */
const mostNodes = 300;

/** Whether an end is impossible: by windows alone, or whichever of two oven loads comes first. */
function* refuted(p: Propagator, end: Minute): Generator<void, boolean> {
  let nodes = 0;
  const visit = function* (windows: Windows, before: readonly Before[], decided: ReadonlySet<number>): Generator<void, boolean> {
    nodes += 1;
    if (nodes > mostNodes) return false;
    let pick = -1;
    let tightest = Infinity;
    p.ovenPairs.forEach(([a, b], k) => {
      if (decided.has(k)) return;
      const slack = Math.max(windows.lst[b]! - windows.est[a]!, windows.lst[a]! - windows.est[b]!);
      if (slack >= tightest) return;
      tightest = slack;
      pick = k;
    });
    if (pick < 0) return false;
    const [a, b] = p.ovenPairs[pick]!;
    for (const pair of [[a, b] as const, [b, a] as const]) {
      yield;
      // the cheap way first
      const light = p.tighten(end, windows, [...before, pair], false);
      const next = light && (nodes % 4 === 0 ? p.tighten(end, light, [...before, pair]) : light);
      if (next && !(yield* visit(next, [...before, pair], new Set([...decided, pick])))) return false;
    }
    return true;
  };
  const windows = p.tighten(end);
  if (!windows) return true;
  return p.ovenPairs.length > 0 && (yield* visit(windows, [], new Set()));
}

/**
 * A bound by supposing an end and refuting it: windows, calendars, pairs, energetic reasoning, and branching on which of two oven loads of different temperature comes first.
 * Each contradiction proves that the makespan is longer. It works between a bound that is proven and a plan that is known, and yields what it has proven so far.
 * @example for (const bound of destructiveBound(compiled, 214, 231)) show(bound)
 */
export function* destructiveBound(c: Compiled, low: Minute, high: Minute): Generator<Minute, Minute> {
  const p = makePropagator(c, high + 1);
  let proven = low;
  let open = high;
  while (proven < open) {
    const end = Math.floor((proven + open - 1) / 2);
    const walk = refuted(p, end);
    let step = walk.next();
    while (!step.done) {
      yield proven;
      step = walk.next();
    }
    if (step.value) proven = end + 1;
    else open = end;
    yield proven;
  }
  return proven;
}
