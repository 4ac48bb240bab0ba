import { solve, type Solver } from '#core/solve';
import type { Task } from './tasks.ts';

export interface Kitchen {
  cooks: readonly { id: string; name: string }[];
  /** How many of each there are; a kind that is not named does not limit. */
  capacity: Partial<Record<Task['needs'][number]['kind'], number>>;
}

/** What has happened to a task so far. Minutes count from now. */
export type Progress = { state: 'done' | 'skipped' } | { state: 'running'; handsLeftMin: number; waitLeftMin: number };

export interface Slot {
  taskId: string;
  cookId: string;
  startMin: number;
  handsEndMin: number;
  endMin: number;
}

export interface Schedule {
  slots: Slot[];
  /** When the last task ends. */
  makespanMin: number;
  handsMin: number;
  /** No schedule ends earlier: the longest chain of waits and work, or all the hands shared out. */
  boundMin: number;
  bindingTaskIds: string[];
}

export type ScheduleResult = { ok: true; schedule: Schedule } | { ok: false; why: 'cycle'; taskIds: string[] };

interface Chain {
  minutes: number;
  path: string[];
}

/** Minutes a task still takes. */
function minutesLeft(task: Task, p: Progress | undefined): number {
  if (!p) return task.handsOnMin + task.waitMin;
  return p.state === 'running' ? p.handsLeftMin + p.waitLeftMin : 0;
}

/** Longest chain from each task to the end; a cycle is named. What has begun waits for nothing any more. */
function tails(
  tasks: readonly Task[],
  progress: ReadonlyMap<string, Progress>,
): { ok: true; tail: Map<string, Chain> } | { ok: false; taskIds: string[] } {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const after = new Map<string, string[]>();
  for (const t of tasks) for (const a of progress.has(t.id) ? [] : t.after) if (byId.has(a)) after.set(a, [...(after.get(a) ?? []), t.id]);
  const tail = new Map<string, Chain>();
  const open = new Set<string>();
  const cycle: string[] = [];
  const visit = (id: string): Chain => {
    const known = tail.get(id);
    if (known) return known;
    if (open.has(id)) {
      cycle.push(...open);
      return { minutes: 0, path: [] };
    }
    open.add(id);
    const longest = (after.get(id) ?? []).map(visit).reduce<Chain>((a, b) => (b.minutes > a.minutes ? b : a), { minutes: 0, path: [] });
    open.delete(id);
    const t = byId.get(id);
    const chain = { minutes: (t ? minutesLeft(t, progress.get(id)) : 0) + longest.minutes, path: [id, ...longest.path] };
    tail.set(id, chain);
    return chain;
  };
  for (const t of tasks) visit(t.id);
  return cycle.length > 0 ? { ok: false, taskIds: [...new Set(cycle)] } : { ok: true, tail };
}

/** When so many machines of a kind are free at once; more than there are is all of them. */
const freeFrom = (free: readonly number[], count: number): number => [...free].sort((a, b) => a - b)[Math.min(count, free.length) - 1] ?? 0;

/** Tasks to be laid over cooks and gear, and how far they have come. */
export interface ScheduleProblem {
  tasks: readonly Task[];
  kitchen: Kitchen;
  /** What is done, skipped or running, for planning again from now. */
  progress: ReadonlyMap<string, Progress>;
}

/** Tasks that wait for each other in a circle. */
interface Circle {
  taskIds: string[];
}

/**
 * The scheduler: what waits for what holds, no cook does two things at once, no more burners or shelves than there are; waiting overlaps hands-on work.
 * Its cost is the makespan in minutes. Today it has one answer: serial schedule generation, longest remaining chain first, clean before dirty on a tie.
 * @example solve(scheduler, { tasks, kitchen, progress: new Map() }, { seed: 1 })
 */
export const scheduler: Solver<ScheduleProblem, Schedule, Circle> = function* ({ tasks, kitchen, progress }) {
  const ranked = tails(tasks, progress);
  if (!ranked.ok) {
    yield { impossible: { taskIds: ranked.taskIds } };
    return;
  }
  const bound = boundOf(tasks, kitchen, progress, ranked.tail);
  yield { bound: bound.minutes };
  const slots = serially(tasks, kitchen, progress, ranked.tail);
  const makespanMin = Math.max(0, ...slots.map((s) => s.endMin));
  yield {
    answer: { slots, makespanMin, handsMin: bound.handsMin, boundMin: bound.minutes, bindingTaskIds: bound.path },
    cost: makespanMin,
  };
};

/**
 * A valid order of work for a session.
 * @returns start and end minutes from now, or the tasks that wait for each other in a circle
 * @example scheduleTasks(tasks, { cooks: [{ id: 'j', name: 'Joaquim' }], capacity: { hob: 4, oven: 1 } })
 */
export function scheduleTasks(
  tasks: readonly Task[],
  kitchen: Kitchen,
  progress: ReadonlyMap<string, Progress> = new Map(),
): ScheduleResult {
  const found = solve(scheduler, { tasks, kitchen, progress }, { seed: 1 });
  if (found.ok) return { ok: true, schedule: found.answer };
  return { ok: false, why: 'cycle', taskIds: 'impossible' in found.why ? found.why.impossible.taskIds : [] };
}

/** What no schedule beats: the longest chain that is left, or all the hands that are left shared out. */
function boundOf(
  tasks: readonly Task[],
  kitchen: Kitchen,
  progress: ReadonlyMap<string, Progress>,
  tail: ReadonlyMap<string, Chain>,
): { minutes: number; handsMin: number; path: string[] } {
  const left = tasks.filter((t) => !progress.has(t.id));
  const longest = [...tail.values()].reduce<Chain>((a, b) => (b.minutes > a.minutes ? b : a), { minutes: 0, path: [] });
  const handsMin = left.reduce((sum, t) => sum + t.handsOnMin, 0);
  const hands = handsMin / Math.max(1, kitchen.cooks.length);
  return { minutes: Math.max(longest.minutes, hands), handsMin, path: longest.minutes >= hands ? longest.path : [] };
}

/** Serial schedule generation: of what may start soonest, the task with the longest chain after it. */
function serially(
  allTasks: readonly Task[],
  kitchen: Kitchen,
  progress: ReadonlyMap<string, Progress>,
  priority: ReadonlyMap<string, Chain>,
): Slot[] {
  const cookFree = new Map(kitchen.cooks.map((c) => [c.id, 0]));
  const machineFree = new Map<string, number[]>();
  for (const [kind, count] of Object.entries(kitchen.capacity))
    machineFree.set(
      kind,
      Array.from({ length: Math.max(1, count) }, () => 0),
    );
  const ends = new Map<string, number>();
  const slots: Slot[] = [];
  const hold = (task: Task, until: number): void => {
    for (const need of task.needs) {
      const free = machineFree.get(need.kind);
      for (let i = 0; free && i < Math.min(need.count ?? 1, free.length); i += 1) free[free.indexOf(Math.min(...free))] = until;
    }
  };

  const firstCook = kitchen.cooks[0]?.id ?? 'cook';
  for (const task of allTasks) {
    const p = progress.get(task.id);
    if (!p) continue;
    if (p.state !== 'running') ends.set(task.id, 0);
    else {
      const cookId = task.cookId ?? firstCook;
      const end = p.handsLeftMin + p.waitLeftMin;
      cookFree.set(cookId, Math.max(cookFree.get(cookId) ?? 0, p.handsLeftMin));
      hold(task, end);
      ends.set(task.id, end);
      slots.push({ taskId: task.id, cookId, startMin: 0, handsEndMin: p.handsLeftMin, endMin: end });
    }
  }

  const waiting = allTasks.filter((t) => !progress.has(t.id));
  const known = new Set(allTasks.map((t) => t.id));
  while (waiting.length > 0) {
    const ready = waiting.filter((t) => t.after.every((a) => ends.has(a) || !known.has(a)));
    const candidates = ready.map((task) => {
      const fromTasks = Math.max(0, ...task.after.map((a) => ends.get(a) ?? 0));
      const fromMachines = Math.max(0, ...task.needs.map((n) => freeFrom(machineFree.get(n.kind) ?? [], n.count ?? 1)));
      const mayDo = task.cookId ? [[task.cookId, cookFree.get(task.cookId) ?? 0] as const] : [...cookFree.entries()];
      const [cookId, free] = mayDo.reduce((a, b) => (b[1] < a[1] ? b : a), mayDo[0] ?? [firstCook, 0]);
      return { task, cookId, start: Math.max(fromTasks, fromMachines, free) };
    });
    const best = candidates.reduce((a, b) => {
      if (b.start !== a.start) return b.start < a.start ? b : a;
      const byChain = (priority.get(b.task.id)?.minutes ?? 0) - (priority.get(a.task.id)?.minutes ?? 0);
      if (byChain !== 0) return byChain > 0 ? b : a;
      return b.task.cleanliness < a.task.cleanliness ? b : a;
    });
    const { task, cookId, start } = best;
    const handsEnd = start + task.handsOnMin;
    const end = handsEnd + task.waitMin;
    cookFree.set(cookId, handsEnd);
    hold(task, end);
    ends.set(task.id, end);
    slots.push({ taskId: task.id, cookId, startMin: start, handsEndMin: handsEnd, endMin: end });
    waiting.splice(waiting.indexOf(task), 1);
  }

  return slots.sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin);
}
