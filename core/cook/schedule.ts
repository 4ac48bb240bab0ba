import { solve, type Solver } from '#core/solve';
import { planFrom, scheduleModel, slotsOf } from './network.ts';
import type { Kept, Kitchen, Progress, Sitting, Slot } from './sitting.ts';
import { compile, scheduleSearch, simpleBounds, type Bound, type NoPlan, type Plan, type ScheduleModel } from './schedule/index.ts';
import type { Task } from './tasks.ts';

export interface Schedule {
  slots: Slot[];
  /** When the last task ends. */
  makespanMin: number;
  handsMin: number;
  /** No schedule ends earlier. */
  boundMin: number;
  /** What that rests on: a chain of work, the hands, or a thing of which there are only so many. */
  binding: { by: Bound['by']; what?: string };
  /** The chain, or what stands on that thing. */
  bindingTaskIds: string[];
  /** Windows that are passed, in minutes; nothing when all are kept. */
  lateMin: number;
}

export type ScheduleResult = { ok: true; schedule: Schedule } | ({ ok: false } & NoSchedule);

/** Why there is no order of work. */
export interface NoSchedule {
  why: NoPlan['why'] | 'none';
  taskIds: string[];
  /** The longest wait that is too short, and what it would take. */
  wider?: { a: string; b: string; max: number; needs: number };
  /** What there is not enough of. */
  needs?: string;
}

/** Tasks to be laid over cooks and gear, how far they have come, and an order that was taken. */
export interface ScheduleProblem extends Sitting {
  kept?: readonly Kept[];
  /** The order that was taken stands; without it, it is where the search begins. */
  keepOrder?: boolean;
  /** A task that the rest makes way for. */
  first?: string;
}

/** A plan of the model in the session's own words. */
function scheduleOf(model: ScheduleModel, plan: Plan, bound: number, base: readonly Bound[]): Schedule {
  const [strongest] = base;
  const lengths = new Map(model.activities.map((a) => [a.id, a.hands + a.wait]));
  const late = plan.placed.reduce((sum, p) => {
    const deadline = model.activities.find((a) => a.id === p.task)?.deadline ?? Infinity;
    return sum + Math.max(0, p.start + lengths.get(p.task)! - deadline);
  }, 0);
  return {
    slots: slotsOf(model, plan),
    makespanMin: plan.makespan,
    handsMin: model.activities.reduce((sum, a) => sum + (model.fixed.some((f) => f.task === a.id) ? 0 : a.hands), 0),
    boundMin: Math.min(bound, plan.makespan),
    binding: { by: strongest?.by ?? 'chain', ...(strongest?.what !== undefined && { what: strongest.what }) },
    bindingTaskIds: [...(strongest?.tasks ?? [])],
    lateMin: late,
  };
}

/**
 * The scheduler of a session: no cook does two things at once, no more burners, pots, shelves and bowls than there are, windows kept, washing counted; waits overlap
 * hands-on work. Its cost is the makespan in minutes, lateness counted fifty times. The first answer comes at once; it goes on until it is stopped or proven.
 * @example solve(scheduler, { tasks, kitchen, progress: new Map() }, { seed: 1, mostSteps: 200 })
 */
export const scheduler: Solver<ScheduleProblem, Schedule, NoPlan> = function* ({ kept, keepOrder, first, ...sitting }, random) {
  const model = scheduleModel(sitting);
  const from = kept && planFrom(model, kept);
  const made = compile(model);
  const base = made.ok ? simpleBounds(made.compiled) : [];
  let bound = base[0]?.minutes ?? 0;
  for (const found of scheduleSearch(
    { model, ...(from && { from, ...(keepOrder && { keepOrder }), ...(first !== undefined && { first }) }) },
    random,
  )) {
    if ('bound' in found) bound = Math.max(bound, found.bound);
    yield 'answer' in found ? { answer: scheduleOf(model, found.answer, bound, base), cost: found.cost } : found;
  }
};

/** Findings until a first good order: the bound and some rules of priority. */
const firstSteps = 6;

/**
 * A valid order of work for a session, at once: an order that was taken as it stands, else the best of a few rules.
 * @returns start and end minutes from now, or why there is none
 * @example scheduleTasks(tasks, { cooks: [{ id: 'j', name: 'Joaquim' }], capacity: { hob: 4, oven: 1 } })
 */
export function scheduleTasks(
  tasks: readonly Task[],
  kitchen: Kitchen,
  progress: ReadonlyMap<string, Progress> = new Map(),
  { kept, pins, first, mostSteps = firstSteps }: Pick<ScheduleProblem, 'kept' | 'pins' | 'first'> & { mostSteps?: number } = {},
): ScheduleResult {
  const problem = {
    tasks,
    kitchen,
    progress,
    ...(pins && { pins }),
    ...(kept && { kept, keepOrder: true }),
    ...(first !== undefined && { first }),
  };
  const found = solve(scheduler, problem, { seed: 1, mostSteps });
  if (found.ok) return { ok: true, schedule: { ...found.answer, boundMin: Math.min(found.bound, found.answer.makespanMin) } };
  if (!('impossible' in found.why)) return { ok: false, why: 'none', taskIds: [] };
  const none = found.why.impossible;
  return {
    ok: false,
    why: none.why,
    taskIds: [...none.tasks],
    ...('wider' in none && none.wider && { wider: none.wider }),
    ...('needs' in none && { needs: none.needs }),
  };
}
