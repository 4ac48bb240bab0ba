import { scheduleModel } from './network.ts';
import type { Kept, Pin, Sitting, Slot } from './sitting.ts';
import { scheduleTasks, type Schedule } from './schedule.ts';
import { checkPlan, type PlanFault, type ScheduleModel } from './schedule/index.ts';

/** What a task that was moved comes to: the rest moved along, or why it cannot stand there and when it could. */
export type Moved = { ok: true; schedule: Schedule; pins: Pin[] } | { ok: false; fault?: PlanFault; nearestMin?: number };

/** Slots as an order that was taken. @example keptOf(schedule.slots) */
export const keptOf = (slots: readonly Slot[]): Kept[] =>
  slots.map(({ taskId, startMin, cookId, unit, washMin }) => ({
    taskId,
    startMin,
    cookId,
    ...(unit !== undefined && { unit }),
    ...(washMin !== undefined && { washMin }),
  }));

/**
 * Puts a task at a minute and with a cook, and lets the rest of the order move along, legally.
 * @returns the order with it there and its pin; or the law that stands against it, and the nearest start after it that goes
 * @example moveTask(sitting, schedule.slots, { taskId: 'prep:onion:diced:10', startMin: 20 })
 */
export function moveTask(sitting: Sitting, slots: readonly Slot[], to: Pin): Moved {
  const slot = slots.find((s) => s.taskId === to.taskId);
  if (!slot || sitting.progress.has(to.taskId)) return { ok: false };
  const pin: Pin = { ...to, startMin: Math.max(0, Math.round(to.startMin)) };
  const pins = [...(sitting.pins ?? []).filter((p) => p.taskId !== to.taskId), pin];
  const kept = keptOf(slots).map((k) => (k.taskId === to.taskId ? { ...k, ...pin } : k));
  // the rest makes way for it
  const found = scheduleTasks(sitting.tasks, sitting.kitchen, sitting.progress, { kept, pins, first: to.taskId });
  const now = found.ok ? found.schedule.slots.find((s) => s.taskId === to.taskId) : undefined;
  if (found.ok && now?.startMin === pin.startMin && (pin.cookId === undefined || now.cookId === pin.cookId) && found.schedule.lateMin === 0)
    return { ok: true, schedule: found.schedule, pins };
  const model = scheduleModel({ ...sitting, pins: [] });
  return {
    ok: false,
    ...faultOf(model, slots, pin),
    ...(now && { nearestMin: now.startMin }),
  };
}

/** The first law that breaks when only this task is moved. */
function faultOf(model: ScheduleModel, slots: readonly Slot[], pin: Pin): { fault?: PlanFault } {
  const placed = slots.map((s) => ({
    task: s.taskId,
    start: s.taskId === pin.taskId ? pin.startMin : s.startMin,
    cook: s.taskId === pin.taskId ? (pin.cookId ?? s.cookId) : s.cookId,
    ...(s.unit !== undefined && { unit: s.unit }),
    wash: s.washMin ?? 0,
  }));
  const makespan = Math.max(0, ...placed.map((p) => p.start + lengthOf(model, p.task)));
  const faults = checkPlan(model, { placed, makespan }).filter((f) => f.tasks.includes(pin.taskId));
  // what comes after it would have moved along
  const tells = (f: PlanFault): number => (f.code === 'lagShort' && f.tasks[0] === pin.taskId ? firstSaid.length : weight(f));
  const [fault] = faults.sort((a, b) => tells(a) - tells(b));
  return fault ? { fault } : {};
}

const lengthOf = (model: ScheduleModel, id: string): number => {
  const a = model.activities.find((x) => x.id === id);
  return a ? a.hands + a.wait : 0;
};

/** What comes before tells more than what is in the way. */
const firstSaid: readonly PlanFault['code'][] = [
  'lagShort',
  'lagLong',
  'away',
  'notItsCook',
  'temperature',
  'shelves',
  'closed',
  'tooMany',
  'unitTwice',
  'unwashed',
  'twoAtOnce',
];
const weight = (f: PlanFault): number => {
  const at = firstSaid.indexOf(f.code);
  return at < 0 ? firstSaid.length : at;
};
