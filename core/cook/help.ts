import { solve } from '#core/solve';
import { keptOf } from './move.ts';
import { forever } from './network.ts';
import type { Stretch } from './schedule/index.ts';
import { rawFrom } from './limits.ts';
import { scheduler, type Schedule, type ScheduleProblem } from './schedule.ts';

/** One thing more of, and the minutes it would save; for a rule that is kept or could be, what it costs, below nought. */
export interface Help {
  what: 'cook' | 'hour' | 'hob' | 'pot' | 'oven' | 'processor' | 'blender' | 'ice' | 'noise' | 'cleanFirst';
  savesMin: number;
}

/** Savings under this share are noise of the search. */
const worthSaying = 0.03;

/** Comes an hour sooner, or stays an hour longer; a rest in between stays. */
const longer = (away: readonly Stretch[]): Stretch[] =>
  away.flatMap(([from, to]): Stretch[] =>
    from <= 0 ? (to > 60 ? [[from, to - 60]] : []) : to >= forever ? [[from + 60, to]] : [[from, to]],
  );

/** Kitchens with one thing more. */
function* withMore({ kitchen, ...rest }: ScheduleProblem): Generator<{ what: Help['what']; problem: ScheduleProblem }, void> {
  const { capacity, potsMl } = kitchen;
  yield { what: 'cook', problem: { ...rest, kitchen: { ...kitchen, cooks: [...kitchen.cooks, { id: 'one more', name: 'one more' }] } } };
  if (potsMl?.length) yield { what: 'pot', problem: { ...rest, kitchen: { ...kitchen, potsMl: [...potsMl, Math.max(...potsMl)] } } };
  // an hour more of everybody who comes later or goes sooner
  if (kitchen.cooks.some((c) => c.away?.some(([from, to]) => from <= 0 || to >= forever)))
    yield {
      what: 'hour',
      problem: { ...rest, kitchen: { ...kitchen, cooks: kitchen.cooks.map((c) => ({ ...c, away: longer(c.away ?? []) })) } },
    };
  yield { what: 'ice', problem: { ...rest, kitchen: { ...kitchen, iceBaths: (kitchen.iceBaths ?? 1) + 1 } } };
  if (kitchen.quiet?.length) yield { what: 'noise', problem: { ...rest, kitchen: { ...kitchen, quiet: [] } } };
  for (const what of ['hob', 'oven', 'processor', 'blender'] as const)
    if (capacity[what] !== undefined)
      yield { what, problem: { ...rest, kitchen: { ...kitchen, capacity: { ...capacity, [what]: capacity[what]! + 1 } } } };
}

/**
 * What one cook, burner, pot, shelf or bowl more would save against the best that is found without it: each is looked for from that plan, so that it never comes out longer.
 * @param steps of search for each
 * @returns one after the other, as they are looked at; only what saves 3 % or more, and the price of the clean order
 * @example for (const help of wouldHelp(problem, schedule, 60)) show(help)
 */
export function* wouldHelp(problem: ScheduleProblem, schedule: Schedule, steps: number): Generator<Help | undefined, void> {
  const shortest = (p: ScheduleProblem, from: Schedule): Schedule => {
    const found = solve(scheduler, { ...p, kept: keptOf(from.slots), keepOrder: false }, { seed: 1, mostSteps: steps });
    return found.ok ? found.answer : from;
  };
  const base = shortest(problem, schedule);
  yield undefined;
  for (const { what, problem: more } of withMore(problem)) {
    const savesMin = base.makespanMin - shortest(more, base).makespanMin;
    yield savesMin >= worthSaying * base.makespanMin ? { what, savesMin } : undefined;
  }
  // a wish, with its price: all clean work on the boards before any raw
  const { kitchen } = problem;
  if (!problem.tasks.some((t) => t.board && t.cleanliness >= rawFrom)) return;
  const strict = solve(
    scheduler,
    { ...problem, kitchen: { ...kitchen, cleanFirst: true }, kept: keptOf(base.slots), keepOrder: false },
    { seed: 1, mostSteps: steps },
  );
  const free = kitchen.cleanFirst ? shortest({ ...problem, kitchen: { ...kitchen, cleanFirst: false } }, base) : base;
  if (strict.ok) yield { what: 'cleanFirst', savesMin: Math.min(0, free.makespanMin - strict.answer.makespanMin) };
}
