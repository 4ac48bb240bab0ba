import type { Progress, Slot } from './sitting.ts';
import type { Pool, Span } from './schedule/index.ts';
import type { Task } from './tasks.ts';

export interface Pots {
  pools: Pool[];
  /** Pools in which a pot that must hold so much counts. */
  of: (brimMl: number | undefined) => { id: string; most: number }[];
}

/** Pots by size: what wants a pot of a size takes one of all that are as large, so that a larger one will do. */
export function potPools(potsMl: readonly number[] | undefined): Pots | undefined {
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

/** A pot that stays with a dish from the start of one task to the end of another. */
interface Held {
  /** The tasks it is used in. */
  ids: string[];
  a: string;
  b: string;
  count: number;
  brimMl: number;
}

/** A pot is with a dish from the first step that wants it: to the last one, or to the washing-up when the food stays in it; what stands side by side are two. */
function potsHeld(tasks: readonly Task[], progress: ReadonlyMap<string, Progress>): Held[][] {
  const before = ancestorsOf(tasks);
  return [...new Set(tasks.flatMap((t) => (t.step ? [t.step.batchId] : [])))].map((batchId) => {
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
    return chains.map((chain) => {
      const last = chain.at(-1)!;
      return {
        ids: chain.map((t) => t.id),
        a: chain[0]!.id,
        b: wash && before(wash.id).has(last.id) && stays(last.id) ? wash.id : last.id,
        count: Math.max(...chain.map((t) => t.vessel!.count)),
        brimMl: Math.max(...chain.map((t) => t.vessel!.brimMl)),
      };
    });
  });
}

/** Pots held over several tasks, as the scheduler takes them. */
export function potSpans(tasks: readonly Task[], pots: Pots, progress: ReadonlyMap<string, Progress>): Span[] {
  return potsHeld(tasks, progress).flatMap((held) => {
    // more pots at once than there are: they are emptied and taken again, which no span tells
    if (held.reduce((sum, h) => sum + h.count, 0) > (pots.pools[0]?.capacity ?? 0)) return [];
    return held.flatMap((h) =>
      pots.of(h.brimMl).map((pool): Span => ({ pool: pool.id, units: Math.min(h.count, pool.most), a: h.a, b: h.b })),
    );
  });
}

/** A pot by its name. */
export interface NamedPot {
  name: string;
  ml: number;
}

/** Tries at most: a session has a dozen dishes, and is named at once. */
const mostTries = 5000;

/**
 * Which pot each task stands in: what needs the largest chooses first, and takes the smallest that holds it and is free as long; where that leaves somebody without, another way is looked for.
 * @returns names of the pots by task; a task for which none was found has none
 * @example potNames(tasks, schedule.slots, [{ name: 'Big pot', ml: 8500 }], progress).get('step:b1:simmer') // ['Big pot']
 */
export function potNames(
  tasks: readonly Task[],
  slots: readonly Slot[],
  pots: readonly NamedPot[],
  progress: ReadonlyMap<string, Progress>,
): Map<string, string[]> {
  const at = new Map(slots.map((s) => [s.taskId, s]));
  const held = potsHeld(
    tasks.filter((t) => at.has(t.id)),
    progress,
  )
    .flat()
    .map((h) => ({ ...h, from: at.get(h.a)!.startMin, to: at.get(h.b)!.endMin }))
    .toSorted((x, y) => y.brimMl - x.brimMl || x.from - y.from);
  const order = pots.map((_, i) => i).sort((a, b) => pots[a]!.ml - pots[b]!.ml || a - b);
  const taken: { from: number; to: number }[][] = pots.map(() => []);
  const chosen: number[][] = held.map(() => []);
  let tries = 0;
  /** Places holds from one on; with `all`, only when each finds its pots. */
  const place = (k: number, all: boolean): boolean => {
    const h = held[k];
    if (!h) return true;
    const fit = order.filter((i) => pots[i]!.ml + 1 >= h.brimMl && taken[i]!.every((t) => t.to <= h.from || t.from >= h.to));
    for (let first = 0; first + h.count <= fit.length && tries < mostTries; first += 1) {
      tries += 1;
      chosen[k] = fit.slice(first, first + h.count);
      for (const i of chosen[k]) taken[i]!.push(h);
      if (place(k + 1, all)) return true;
      for (const i of chosen[k]) taken[i]!.pop();
      chosen[k] = [];
    }
    return !all && place(k + 1, all);
  };
  if (!place(0, true)) {
    tries = 0;
    place(0, false);
  }
  return new Map(
    held.flatMap((h, k) => (chosen[k]!.length > 0 ? h.ids.map((id) => [id, chosen[k]!.map((i) => pots[i]!.name)] as const) : [])),
  );
}
