import { solve } from '#core/solve';
import { keptOf } from './move.ts';
import { scheduler, type Schedule, type ScheduleProblem } from './schedule.ts';

/** One thing more of, and the minutes it would save. */
export interface Help {
  what: 'cook' | 'hob' | 'pot' | 'oven' | 'processor' | 'blender';
  savesMin: number;
}

/** Savings under this share are noise of the search. */
const worthSaying = 0.03;

/** Kitchens with one thing more. */
function* withMore({ kitchen, ...rest }: ScheduleProblem): Generator<{ what: Help['what']; problem: ScheduleProblem }, void> {
  const { capacity, potsMl } = kitchen;
  yield { what: 'cook', problem: { ...rest, kitchen: { ...kitchen, cooks: [...kitchen.cooks, { id: 'one more', name: 'one more' }] } } };
  if (potsMl?.length) yield { what: 'pot', problem: { ...rest, kitchen: { ...kitchen, potsMl: [...potsMl, Math.max(...potsMl)] } } };
  for (const what of ['hob', 'oven', 'processor', 'blender'] as const)
    if (capacity[what] !== undefined)
      yield { what, problem: { ...rest, kitchen: { ...kitchen, capacity: { ...capacity, [what]: capacity[what]! + 1 } } } };
}

/**
 * What one cook, burner, pot, shelf or bowl more would save against the best that is found without it: each is looked for from that plan, so that it never comes out longer.
 * @param steps of search for each
 * @returns one after the other, as they are looked at; only what saves 3 % or more
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
}
