import type { Activity, Fixed, Hand, Lag, Oven, Placed, Plan, Pool, ScheduleModel, Span, Stretch, UnitGroup } from './schedule/index.ts';
import { rawFrom, type Task } from './tasks.ts';

/** Hands and gear of a session. Minutes count from where the plan begins. */
export interface Kitchen {
  cooks: readonly { id: string; name: string; away?: readonly Stretch[] }[];
  /** How many of each there are; a kind that is not named does not limit. An oven's are its shelves. */
  capacity: Partial<Record<Task['needs'][number]['kind'], number>>;
  /** What each pot holds to the brim; when it is said, a pot is held by its dish until it is washed. */
  potsMl?: readonly number[];
  /** Boards to cut on; without a number there are enough. */
  boards?: number;
  /** When loud machines rest. */
  quiet?: readonly Stretch[];
}

/** What has happened to a task so far. Minutes count from now. */
export type Progress = { state: 'done' | 'skipped'; agoMin?: number } | { state: 'running'; handsLeftMin: number; waitLeftMin: number };

/** Where a cook wants a task to stand. */
export interface Pin {
  taskId: string;
  startMin: number;
  cookId?: string;
}

/** Where a task stands in an order that was taken, with its board or bowl and the wash before it. */
export interface Kept extends Pin {
  unit?: number;
  washMin?: number;
}

/** A wait this long is over another day: what comes after it is not of this session. */
export const overnightMin = 480;

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

/** What a session is laid over hands and gear from. */
export interface Sitting {
  tasks: readonly Task[];
  kitchen: Kitchen;
  /** What is done, skipped or running, for planning again from now. */
  progress: ReadonlyMap<string, Progress>;
  pins?: readonly Pin[];
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

  const lags: Lag[] = [];
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
      ...(t.follow === 'cool' ? [{ pool: 'ice', units: 1 }] : []),
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
          oven: 'oven',
          shelves: Math.min(oven.count ?? 1, most('oven')),
          tempC: Math.round((oven.tempC ?? usualOvenC) / 5) * 5,
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
    { id: 'ice', capacity: 1 },
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
    ovens: has('oven') ? [{ id: 'oven', shelves: most('oven'), ...ovenHeat }] : [],
    fixed,
  };
}

/** No least wait. */
const lowest = -100_000;
const usualOvenC = 180;
/** Minutes an oven takes for ten degrees: up by its element, down with the door ajar; a kitchen estimate. */
const ovenHeat: Pick<Oven, 'heatPer10' | 'coolPer10'> = { heatPer10: 1, coolPer10: 2 };

interface Pots {
  pools: Pool[];
  /** Pools in which a pot that must hold so much counts. */
  of: (brimMl: number | undefined) => { id: string; most: number }[];
}

/** Pots by size: what wants a pot of a size takes one of all that are as large, so that a larger one will do. */
function potPools(potsMl: readonly number[] | undefined): Pots | undefined {
  if (!potsMl || potsMl.length === 0) return undefined;
  const sizes = [...new Set(potsMl)].sort((a, b) => a - b);
  const pools = sizes.map((s) => ({ id: `pot ${Math.round(s)}`, capacity: potsMl.filter((p) => p >= s).length }));
  return {
    pools,
    of: (brimMl) => pools.filter((_, k) => k === 0 || sizes[k]! <= (brimMl ?? 0) + 1).map((p) => ({ id: p.id, most: p.capacity })),
  };
}

/** Tasks before each, through any number. */
function ancestorsOf(tasks: readonly Task[]): (id: string) => ReadonlySet<string> {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const found = new Map<string, Set<string>>();
  return (id) => {
    const known = found.get(id);
    if (known) return known;
    const all = new Set<string>();
    const open = [id];
    while (open.length > 0)
      for (const a of byId.get(open.pop()!)?.after ?? [])
        if (byId.has(a) && !all.has(a)) {
          all.add(a);
          open.push(a);
        }
    found.set(id, all);
    return all;
  };
}

/** A pot is with a dish from the first step that wants it: to the last one, or to the washing-up when the food stays in it; what stands side by side are two. */
function potSpans(tasks: readonly Task[], pots: Pots, progress: ReadonlyMap<string, Progress>): Span[] {
  const before = ancestorsOf(tasks);
  const spans: Span[] = [];
  for (const batchId of new Set(tasks.flatMap((t) => (t.step ? [t.step.batchId] : [])))) {
    const steps = tasks.filter((t) => t.step?.batchId === batchId);
    const wash = tasks.find((t) => t.follow === 'wash' && t.batchIds[0] === batchId && !progress.has(t.id));
    // where the food goes on from a step without another vessel, it is still in its pot
    const stays = (id: string): boolean => {
      const next = steps.filter((t) => t.after.includes(id));
      return next.every((t) => t.needs.length === 0 && stays(t.id));
    };
    const chains: Task[][] = [];
    for (const t of steps.filter((x) => x.vessel).toSorted((a, b) => before(a.id).size - before(b.id).size)) {
      const chain = chains.find((c) => before(t.id).has(c.at(-1)!.id));
      if (chain) chain.push(t);
      else chains.push([t]);
    }
    const held = chains.map((chain) => {
      const last = chain.at(-1)!;
      return {
        a: chain[0]!.id,
        b: wash && before(wash.id).has(last.id) && stays(last.id) ? wash.id : last.id,
        units: Math.max(...chain.map((t) => t.vessel!.count)),
        in: pots.of(Math.max(...chain.map((t) => t.vessel!.brimMl))),
      };
    });
    // more pots at once than there are: they are emptied and taken again, which no span tells
    const all = held.reduce((sum, h) => sum + h.units, 0);
    if (all > (pots.pools[0]?.capacity ?? 0)) continue;
    for (const h of held) for (const pool of h.in) spans.push({ pool: pool.id, units: Math.min(h.units, pool.most), a: h.a, b: h.b });
  }
  return spans;
}

/** A placed task as every page shows it. */
export interface Slot {
  taskId: string;
  cookId: string;
  startMin: number;
  handsEndMin: number;
  endMin: number;
  /** Minutes of washing just before it. */
  washMin?: number;
  /** Which board or bowl, from 0. */
  unit?: number;
}

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
