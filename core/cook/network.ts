import type { Activity, Fixed, Hand, Lag, Oven, Placed, Plan, Pool, ScheduleModel, UnitGroup } from './schedule/index.ts';
import { cleanLags } from './cleanOrder.ts';
import { potPools, potSpans } from './pots.ts';
import { overnightMin, rawFrom } from './limits.ts';
import type { Kept, Kitchen, Progress, Sitting, Slot } from './sitting.ts';
import type { Task } from './tasks.ts';

/** Longer than any session, in minutes. */
export const forever = 20_000;

const loud = ['blender', 'processor'] as const;
const washed = ['blender', 'processor'] as const;

/** Washing between two classes of work: nothing when the later is less clean, a rinse, after raw fish and meat with detergent and a scrub (reference 1.12). */
const washes = (rinse: number, scrub: number): number[][] =>
  Array.from({ length: 8 }, (_, before) =>
    Array.from({ length: 8 }, (_a, after) =>
      after >= before ? 0 : before >= rawFrom || before === 4 ? scrub : before === 3 && after >= 1 ? 0 : rinse,
    ),
  );

/**
 * Tasks that come only after a wait over night, and so on another day.
 * @example anotherDay([steep, strain]).has(strain.id) // true: it steeps for a fortnight first
 */
export function anotherDay(tasks: readonly Task[], progress: ReadonlyMap<string, Progress> = new Map()): Set<string> {
  const later = new Set<string>();
  const long = new Set(
    tasks.filter((t) => t.waitMin >= overnightMin && !['done', 'skipped'].includes(progress.get(t.id)?.state ?? '')).map((t) => t.id),
  );
  for (let grew = true; grew;) {
    grew = false;
    for (const t of tasks)
      if (!later.has(t.id) && !progress.has(t.id) && t.after.some((a) => long.has(a) || later.has(a))) {
        later.add(t.id);
        grew = true;
      }
  }
  return later;
}

/**
 * A session as the scheduler takes it: burners and pots as pools, pots held from the first step to the washing-up, shelves that share a temperature, boards and bowls that are washed
 * between classes of work, cooks who come and go, windows as longest waits. What needs more than there is takes all of it.
 * @example scheduleModel({ tasks, kitchen, progress: new Map() }).activities.length // one for each task of today that is not done
 */
export function scheduleModel({ tasks: all, kitchen, progress, pins = [] }: Sitting): ScheduleModel {
  const later = anotherDay(all, progress);
  const closed = (id: string): boolean => ['done', 'skipped'].includes(progress.get(id)?.state ?? '');
  const tasks = all.filter((t) => !later.has(t.id) && !closed(t.id));
  const known = new Set(tasks.map((t) => t.id));
  const cooks: Hand[] = kitchen.cooks.map((c) => ({ id: c.id, ...(c.away?.length && { away: c.away }) }));
  const first = cooks[0]?.id;
  const pinOf = new Map(pins.map((p) => [p.taskId, p]));
  const pots = potPools(kitchen.potsMl);
  const has = (kind: string): boolean => kitchen.capacity[kind as keyof Kitchen['capacity']] !== undefined;
  const most = (kind: string): number => Math.max(1, Math.floor(kitchen.capacity[kind as keyof Kitchen['capacity']] ?? 1));

  const shelves = kitchen.ovens && kitchen.ovens.length > 1 ? kitchen.ovens : [most('oven')];
  const ovenOf = ovensByHeat(tasks, shelves);
  const lags: Lag[] = cleanLags(
    tasks.filter((t) => !progress.has(t.id)),
    tasks,
    kitchen.cleanFirst ?? false,
  );
  const fixed: Fixed[] = [];
  const activities = tasks.map((t): Activity => {
    const p = progress.get(t.id);
    const running = p?.state === 'running' ? p : undefined;
    const hands = Math.max(0, Math.ceil(running ? running.handsLeftMin : t.handsOnMin));
    const wait = t.waitMin >= overnightMin ? 0 : Math.max(0, Math.ceil(running ? running.waitLeftMin : t.waitMin));
    const length = hands + wait;
    const pin = pinOf.get(t.id);
    if (running) fixed.push({ task: t.id, start: 0, ...((t.cookId ?? first) !== undefined && { cook: t.cookId ?? first! }) });
    else for (const a of t.after) if (known.has(a)) lags.push({ a, b: t.id, from: 'end', to: 'start', min: 0 });
    let deadline = pin && pin.startMin >= 0 ? pin.startMin + length : undefined;
    for (const w of t.windows ?? []) {
      if (known.has(w.after)) lags.push({ a: w.after, b: t.id, from: w.from, to: w.to, min: lowest, max: w.maxMin });
      // its clock has run since then
      const done = progress.get(w.after);
      if (done?.state === 'done' && done.agoMin !== undefined && w.from === 'end') {
        const by = Math.max(0, w.maxMin - Math.floor(done.agoMin)) + (w.to === 'start' ? length : 0);
        deadline = Math.min(deadline ?? by, by);
      }
    }
    const whose = t.cookId ?? pin?.cookId;
    const machine = t.needs.find((n) => washed.some((w) => w === n.kind) && has(n.kind));
    const oven = has('oven') ? t.needs.find((n) => n.kind === 'oven') : undefined;
    const board = t.board && kitchen.boards !== undefined;
    const held = [
      ...t.needs
        .filter((n) => n !== machine && n.kind !== 'oven' && has(n.kind) && !(n.kind === 'pot' && pots))
        .map((n) => ({ pool: n.kind as string, units: Math.min(n.count ?? 1, most(n.kind)) })),
      ...(t.follow === 'cool' || t.windows?.some((w) => w.why === 'ice') ? [{ pool: 'ice', units: 1 }] : []),
      ...(t.follow === 'wash' ? [{ pool: 'sink', units: 1 }] : []),
    ];
    const to = Math.max(1, length);
    return {
      id: t.id,
      dish: t.batchIds.length === 1 ? t.batchIds[0]! : 'all',
      hands,
      wait,
      ...(whose !== undefined && cooks.some((c) => c.id === whose) && { cooks: [whose] }),
      ...(pin && pin.startMin > 0 && !running && { release: pin.startMin }),
      ...(deadline !== undefined && { deadline }),
      ...(held.length > 0 && { pools: held.map((h) => ({ ...h, from: 0, to })) }),
      ...(machine
        ? { unit: { group: machine.kind, cls: t.cleanliness, to } }
        : board && { unit: { group: 'board', cls: t.cleanliness, to: Math.max(1, hands) } }),
      ...(oven && {
        oven: {
          oven: ovenName(ovenOf(heatOf(oven))),
          shelves: Math.min(oven.count ?? 1, shelves[ovenOf(heatOf(oven))]!),
          tempC: heatOf(oven),
          from: 0,
          to,
        },
      }),
    };
  });
  const quiet = kitchen.quiet?.length ? { closed: kitchen.quiet } : {};
  const pools: Pool[] = [
    ...Object.keys(kitchen.capacity)
      .filter((kind) => kind !== 'oven' && !washed.some((w) => w === kind) && !(kind === 'pot' && pots))
      .map((kind) => ({ id: kind, capacity: most(kind), ...(loud.some((l) => l === kind) && quiet) })),
    { id: 'ice', capacity: Math.max(1, kitchen.iceBaths ?? 1) },
    { id: 'sink', capacity: Math.max(1, kitchen.sinks ?? 1) },
    ...(pots?.pools ?? []),
  ];
  const groups: UnitGroup[] = [
    ...washed.filter(has).map((kind) => ({ id: kind, units: most(kind), wash: washes(2, 4), ...quiet })),
    ...(kitchen.boards === undefined ? [] : [{ id: 'board', units: Math.max(1, kitchen.boards), wash: washes(1, 3) }]),
  ];
  // two things that one cook has in hand at this moment go on side by side: only what begins later is laid
  return {
    activities,
    lags,
    spans: pots ? potSpans(tasks, pots, progress) : [],
    cooks,
    pools,
    groups,
    ovens: has('oven') ? shelves.map((n, i) => ({ id: ovenName(i), shelves: n, ...ovenHeat })) : [],
    fixed,
  };
}

const heatOf = ({ tempC }: { tempC?: number }): number => Math.round((tempC ?? usualOvenC) / 5) * 5;
const ovenName = (i: number): string => (i === 0 ? 'oven' : `oven ${i + 1}`);

/** Which oven bakes at which heat: the heats with most minutes are parted first, so that ovens seldom change; what needs more shelves has the oven with more. */
function ovensByHeat(tasks: readonly Task[], shelves: readonly number[]): (tempC: number) => number {
  const heats = new Map<number, { minutes: number; shelves: number }>();
  for (const t of tasks)
    for (const n of t.needs.filter((x) => x.kind === 'oven')) {
      const h = heats.get(heatOf(n)) ?? { minutes: 0, shelves: 0 };
      heats.set(heatOf(n), { minutes: h.minutes + t.handsOnMin + t.waitMin, shelves: Math.max(h.shelves, n.count ?? 1) });
    }
  const load = shelves.map(() => 0);
  const chosen = new Map<number, number>();
  for (const [tempC, h] of [...heats].sort((a, b) => b[1].minutes - a[1].minutes || a[0] - b[0])) {
    const wide = shelves.map((n, i) => ({ n, i })).filter(({ n }) => n >= h.shelves);
    const from = wide.length > 0 ? wide : shelves.map((n, i) => ({ n, i })).filter(({ n }) => n === Math.max(...shelves));
    const best = from.reduce((a, b) => (load[b.i]! < load[a.i]! ? b : a));
    load[best.i]! += h.minutes;
    chosen.set(tempC, best.i);
  }
  return (tempC) => chosen.get(tempC) ?? 0;
}

/** No least wait. */
const lowest = -100_000;
const usualOvenC = 180;
/** Minutes an oven takes for ten degrees: up by its element, down with the door ajar; a kitchen estimate. */
const ovenHeat: Pick<Oven, 'heatPer10' | 'coolPer10'> = { heatPer10: 1, coolPer10: 2 };

/** Slots of a plan, in order of start. */
export function slotsOf(model: ScheduleModel, plan: Plan): Slot[] {
  const byId = new Map(model.activities.map((a) => [a.id, a]));
  const nobody = model.cooks[0]?.id ?? 'cook';
  return plan.placed
    .map((p): Slot => {
      const a = byId.get(p.task)!;
      const handsEndMin = p.start + a.hands;
      return {
        taskId: p.task,
        cookId: p.cook ?? nobody,
        startMin: p.start,
        handsEndMin,
        endMin: handsEndMin + a.wait,
        ...(p.wash > 0 && { washMin: p.wash }),
        ...(p.unit !== undefined && { unit: p.unit }),
      };
    })
    .sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin);
}

/** A kept order as a plan of the model: what it does not know is laid last. */
export function planFrom(model: ScheduleModel, kept: readonly Kept[]): Plan | undefined {
  const at = new Map(kept.map((k) => [k.taskId, k]));
  const running = new Map(model.fixed.map((f) => [f.task, f]));
  if (!model.activities.some((a) => at.has(a.id))) return undefined;
  const last = Math.max(0, ...kept.map((k) => k.startMin)) + 1;
  const placed = model.activities.map((a): Placed => {
    const k = at.get(a.id);
    const cook = k?.cookId;
    return {
      task: a.id,
      start: running.get(a.id)?.start ?? Math.max(0, k?.startMin ?? last),
      ...(cook !== undefined && model.cooks.some((c) => c.id === cook) && { cook }),
      ...(k?.unit !== undefined && { unit: k.unit }),
      wash: k?.washMin ?? 0,
    };
  });
  const length = new Map(model.activities.map((a) => [a.id, a.hands + a.wait]));
  return { placed, makespan: Math.max(0, ...placed.map((p) => p.start + length.get(p.task)!)) };
}
