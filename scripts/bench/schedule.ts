import {
  checkPlan,
  compile,
  families,
  generateKitchen,
  scheduleSearch,
  type Plan,
  type ScheduleModel,
} from '../../core/cook/schedule/index.ts';
import { destructiveBound } from '../../core/cook/schedule/destructive.ts';
import { makeDecoder } from '../../core/cook/schedule/decode.ts';
import { randomFrom, solve } from '../../core/solve/index.ts';
import { median, note } from './figures.ts';

const clock = (): number => performance.now();
const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / Math.max(1, list.length);

/** Blocks as they are listed, dish after dish; and the longest tail first, which was the rule before the search. */
function byRule(model: ScheduleModel, rule: 'listed' | 'tail'): number {
  const made = compile(model);
  if (!made.ok) throw new Error(made.none.why);
  const c = made.compiled;
  const first = c.blocks.map((members) => Math.min(...members));
  const tail = c.blocks.map((members) => Math.max(...members.map((i) => c.tail[i]!)));
  const order = Int32Array.from(c.blocks.keys()).sort((a, b) => (rule === 'listed' ? first[a]! - first[b]! : tail[b]! - tail[a]!));
  return makeDecoder(c, 20_000, 0).decode(order, 0, Infinity).makespan;
}

/** A plan again from a third of it on, what has begun left where it stands. */
function replanned(model: ScheduleModel, plan: Plan): { firstMs: number; over: number } {
  const now = Math.floor(plan.makespan / 3);
  const begun = plan.placed.filter((p) => p.start < now);
  const late = new Map(begun.map((p) => [p.task, p.start]));
  const open: ScheduleModel = {
    ...model,
    activities: model.activities.map((a) => (late.has(a.id) ? a : { ...a, release: Math.max(now, a.release ?? 0) })),
    fixed: begun.map(({ task, start, cook, unit }) => ({
      task,
      start,
      ...(cook !== undefined && { cook }),
      ...(unit !== undefined && { unit }),
    })),
  };
  const began = clock();
  let firstMs = 0;
  const at = (ms: number): number => {
    const found = solve(
      scheduleSearch,
      { model: open, from: plan },
      { seed: 1, clock, deadlineMs: clock() + ms, onBetter: () => (firstMs ||= clock() - began) },
    );
    return found.ok ? found.cost : Infinity;
  };
  const soon = at(300);
  return { firstMs, over: soon / at(1500) - 1 };
}

/** The scheduler on 24 generated kitchens of twelve dishes and some 140 activities, in listing order, by the rule before, and searched for two seconds. */
export function scheduleAlone(): void {
  const rows = families.flatMap((family) => [100, 101, 102, 103].map((seed) => generateKitchen(family, randomFrom(seed))));
  const firsts: number[] = [];
  const gaps: number[] = [];
  const listed: number[] = [];
  const tails: number[] = [];
  const boundMs: number[] = [];
  const replanMs: number[] = [];
  const overs: number[] = [];
  let faults = 0;
  for (const model of rows) {
    const began = clock();
    let first = 0;
    const found = solve(
      scheduleSearch,
      { model },
      { seed: 1, clock, deadlineMs: began + 2000, onBetter: () => (first ||= clock() - began) },
    );
    if (!found.ok) throw new Error(JSON.stringify(found.why));
    faults += checkPlan(model, found.answer).length;
    const made = compile(model);
    if (!made.ok) throw new Error(made.none.why);
    const from = clock();
    let { bound } = found;
    for (const proven of destructiveBound(made.compiled, bound, found.cost)) {
      bound = Math.max(bound, proven);
      if (clock() - from > 2000) break;
    }
    boundMs.push(clock() - from);
    firsts.push(first);
    gaps.push((100 * (found.cost - bound)) / bound);
    listed.push((100 * (byRule(model, 'listed') - bound)) / bound);
    tails.push((100 * (byRule(model, 'tail') - bound)) / bound);
    const again = replanned(model, found.answer);
    replanMs.push(again.firstMs);
    overs.push(100 * again.over);
  }
  if (faults > 0) throw new Error(`${faults} laws broken`);
  note('Schedule of about 140 tasks: first legal one, the slowest of 24 kitchens', Math.max(...firsts), 100, 'ms');
  note(
    `Schedule: gap to the best proven bound after 2 s, mean of 24 (listing order ${mean(listed).toFixed(1)} %, longest tail ${mean(tails).toFixed(1)} %)`,
    mean(gaps),
    2.5,
    '%',
    2,
  );
  note('Schedule: the same, the widest of 24', Math.max(...gaps), 10, '%', 1);
  note('Schedule: the strong bounds, the median of 24', median(boundMs), 2000, 'ms');
  note('Plan again from a third on: first legal one, the median of 24', median(replanMs), 20, 'ms', 1);
  note('Plan again: after 300 ms against 1.5 s more, the mean of 24', mean(overs), 1, '%', 2);
}
