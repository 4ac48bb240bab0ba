import type { Kitchen, Progress, Slot } from './sitting.ts';
import type { Task } from './tasks.ts';

/** One law of the kitchen that a schedule breaks. */
export type ScheduleFault =
  | { code: 'missing' | 'twice' | 'anotherDay' | 'unknownCook' | 'notItsCook' | 'length'; taskId: string }
  | { code: 'waited'; taskId: string; after: string; overMin: number }
  | { code: 'tooEarly'; taskId: string; after: string }
  | { code: 'twoAtOnce'; cookId: string; taskIds: [string, string] }
  | { code: 'tooMany'; kind: string; atMin: number; taskIds: string[] };

const slack = 1e-6;

/**
 * Holds a schedule against the laws of the kitchen, by code of its own that shares nothing with the scheduler: every open task once, after what it waits for,
 * by a cook who may do it, hands on one thing at a time, and at no moment more pots, shelves or bowls in use than there are.
 * @returns what is broken; nothing for a legal schedule
 * @example checkSchedule(tasks, kitchen, schedule.slots) // []
 */
export function checkSchedule(
  tasks: readonly Task[],
  kitchen: Kitchen,
  slots: readonly Slot[],
  progress: ReadonlyMap<string, Progress> = new Map(),
): ScheduleFault[] {
  const faults: ScheduleFault[] = [];
  const closed = (id: string): boolean => ['done', 'skipped'].includes(progress.get(id)?.state ?? '');
  const cooks = new Set(kitchen.cooks.map((c) => c.id));
  const of = (id: string): Slot[] => slots.filter((s) => s.taskId === id);
  // a wait over night ends the day: it has no minutes here, and what hangs on it comes another day
  const overnight = (id: string): boolean => (tasks.find((t) => t.id === id)?.waitMin ?? 0) >= 8 * 60 && !closed(id);
  const behind = (t: Task): boolean =>
    !progress.has(t.id) && t.after.some((a) => overnight(a) || tasks.some((b) => b.id === a && behind(b)));
  for (const task of tasks.filter((t) => !closed(t.id))) {
    if (behind(task)) {
      if (of(task.id).length > 0) faults.push({ code: 'anotherDay', taskId: task.id });
      continue;
    }
    const [slot, second] = of(task.id);
    if (!slot) {
      faults.push({ code: 'missing', taskId: task.id });
      continue;
    }
    if (second) faults.push({ code: 'twice', taskId: task.id });
    if (!cooks.has(slot.cookId)) faults.push({ code: 'unknownCook', taskId: task.id });
    if (task.cookId !== undefined && slot.cookId !== task.cookId) faults.push({ code: 'notItsCook', taskId: task.id });
    const p = progress.get(task.id);
    const [hands, wait] =
      p?.state === 'running'
        ? [Math.ceil(p.handsLeftMin), Math.ceil(p.waitLeftMin)]
        : [task.handsOnMin, overnight(task.id) ? 0 : task.waitMin];
    if (Math.abs(slot.handsEndMin - slot.startMin - hands) > slack || Math.abs(slot.endMin - slot.handsEndMin - wait) > slack)
      faults.push({ code: 'length', taskId: task.id });
    // what runs has begun, whatever it should have waited for
    if (p) continue;
    for (const after of task.after)
      if (of(after).some((b) => b.endMin > slot.startMin + slack)) faults.push({ code: 'tooEarly', taskId: task.id, after });
    for (const w of task.windows ?? [])
      for (const b of of(w.after)) {
        const overMin = (w.to === 'start' ? slot.startMin : slot.endMin) - (w.from === 'start' ? b.startMin : b.endMin) - w.maxMin;
        if (overMin > slack && !progress.has(w.after)) faults.push({ code: 'waited', taskId: task.id, after: w.after, overMin });
      }
  }
  const running = (slot: Slot): boolean => progress.get(slot.taskId)?.state === 'running';
  for (const [i, a] of slots.entries())
    for (const b of slots.slice(i + 1))
      // two that a cook has in hand now stay as they are
      if (
        a.cookId === b.cookId &&
        !(running(a) && running(b)) &&
        Math.max(a.startMin, b.startMin) < Math.min(a.handsEndMin, b.handsEndMin) - slack
      )
        faults.push({ code: 'twoAtOnce', cookId: a.cookId, taskIds: [a.taskId, b.taskId] });
  for (const [kind, count] of Object.entries(kitchen.capacity)) {
    const most = Math.max(1, count);
    const users = slots.flatMap((slot) => {
      const need = tasks.find((t) => t.id === slot.taskId)?.needs.find((n) => n.kind === kind);
      // what asks for more than there are takes all of them
      return need ? [{ slot, units: Math.min(need.count ?? 1, most) }] : [];
    });
    for (const { slot } of users) {
      const at = slot.startMin;
      const now = users.filter((u) => u.slot.startMin <= at + slack && u.slot.endMin > at + slack);
      if (now.some((u) => !running(u.slot)) && now.reduce((s, u) => s + u.units, 0) > most)
        faults.push({ code: 'tooMany', kind, atMin: at, taskIds: now.map((u) => u.slot.taskId) });
    }
  }
  return faults;
}
