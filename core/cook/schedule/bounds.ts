import type { Compiled } from './compile.ts';
import { changeMinutes, type Minute, type Stretch } from './model.ts';

/** A bound on the makespan and what it rests on: activities in a row, or a resource from its first use on. */
export interface Bound {
  minutes: Minute;
  /** The longest chain; or all that one resource has to do. */
  by: 'chain' | 'hands' | 'pool' | 'unit' | 'oven';
  /** The resource's name; none for a chain. */
  what?: string;
  tasks: readonly string[];
}

/** Use of a resource: it cannot begin before `head`, and after it at least `tail` follows to the end. */
interface Use {
  task: number;
  head: Minute;
  tail: Minute;
  minutes: Minute;
  units: number;
  /** Class of work or temperature. */
  cls: number;
}

/** When so many unit minutes have been given from a minute on, by what is open when. */
type Given = (from: Minute, work: Minute) => Minute;

const steady =
  (capacity: number): Given =>
  (from, work) =>
    from + Math.ceil(work / capacity);

/** Hands or units that are away at times: minutes given are counted one by one. */
function withCalendars(all: readonly (readonly Stretch[])[]): Given {
  const last = Math.max(0, ...all.flatMap((away) => away.map(([, to]) => to)));
  const open = Array.from({ length: last }, (_, m) => all.filter((away) => !away.some(([a, b]) => a <= m && m < b)).length);
  return (from, work) => {
    let left = work;
    let m = from;
    for (; m < last && left > 0; m += 1) left -= open[m]!;
    return left > 0 ? m + Math.ceil(left / Math.max(1, all.length)) : m;
  };
}

/** The cheapest way through all classes of a set, begun anywhere. */
export function cheapestPath(classes: readonly number[], cost: (a: number, b: number) => number): number {
  if (classes.length <= 1 || classes.length > 8) return 0;
  const k = classes.length;
  const best = new Map<number, number>();
  const key = (set: number, at: number): number => set * 8 + at;
  for (let i = 0; i < k; i += 1) best.set(key(1 << i, i), 0);
  for (let set = 1; set < 1 << k; set += 1)
    for (let at = 0; at < k; at += 1) {
      const here = best.get(key(set, at));
      if (here === undefined) continue;
      for (let to = 0; to < k; to += 1) {
        if (set & (1 << to)) continue;
        const next = here + cost(classes[at]!, classes[to]!);
        const slot = key(set | (1 << to), to);
        if (next < (best.get(slot) ?? Infinity)) best.set(slot, next);
      }
    }
  const full = (1 << k) - 1;
  return Math.min(...classes.map((_, at) => best.get(key(full, at)) ?? Infinity));
}

/** The best of all pairs of a least head and a least tail: what has both must be done between them. */
function energy(uses: readonly Use[], done: (head: Minute, some: readonly Use[]) => Minute): { minutes: Minute; some: readonly Use[] } {
  let best = { minutes: 0, some: [] as readonly Use[] };
  const heads = [...new Set(uses.map((u) => u.head))].sort((a, b) => a - b);
  const byTail = [...uses].sort((a, b) => b.tail - a.tail);
  for (const head of heads) {
    const some: Use[] = [];
    const from = byTail.filter((u) => u.head >= head);
    for (let i = 0; i < from.length; i += 1) {
      some.push(from[i]!);
      if (from[i + 1]?.tail === from[i]!.tail) continue;
      const minutes = done(head, some) + from[i]!.tail;
      if (minutes > best.minutes) best = { minutes, some: [...some] };
    }
  }
  return best;
}

function chainBound(c: Compiled): Bound {
  let first = 0;
  for (let i = 0; i < c.n; i += 1) if (c.head[i]! + c.tail[i]! > c.head[first]! + c.tail[first]!) first = i;
  if (c.n === 0) return { minutes: 0, by: 'chain', tasks: [] };
  const total = c.head[first]! + c.tail[first]!;
  const on = Array.from({ length: c.n }, (_, i) => i).filter((i) => c.head[i]! + c.tail[i]! === total);
  return { minutes: total, by: 'chain', tasks: on.sort((a, b) => c.head[a]! - c.head[b]!).map((i) => c.model.activities[i]!.id) };
}

/**
 * Bounds on the makespan that cost next to nothing: the longest chain with its lags, and for every resource what must be done on it between the earliest it can begin and
 * the least that follows it; ovens by temperature with the cheapest order of changes, a single bowl with the cheapest order of washes.
 * Law: no legal plan ends earlier.
 * @example simpleBounds(compiled)[0].minutes // the strongest first
 */
export function simpleBounds(c: Compiled): Bound[] {
  const bounds = [chainBound(c)];
  const { model, head, tail } = c;
  const use = (task: number, from: Minute, to: Minute, units: number, cls = 0): Use => ({
    task,
    head: head[task]! + from,
    tail: tail[task]! - to,
    minutes: to - from,
    units,
    cls,
  });
  const all = Array.from({ length: c.n }, (_, i) => i).filter((i) => c.isFixed[i] === 0);
  const say = (by: Bound['by'], what: string, found: { minutes: Minute; some: readonly Use[] }): void => {
    bounds.push({ minutes: found.minutes, by, what, tasks: found.some.map((u) => model.activities[u.task]!.id) });
  };
  const work = (some: readonly Use[]): Minute => some.reduce((sum, u) => sum + u.minutes * u.units, 0);

  const hands = all.filter((i) => c.hands[i]! > 0).map((i) => use(i, 0, c.hands[i]!, 1));
  const masks = [...new Set(hands.map((u) => c.cooks[u.task]!))];
  for (const mask of masks) {
    const who = model.cooks.filter((_, k) => mask & (1 << k));
    const given = who.some((k) => k.away?.length) ? withCalendars(who.map((k) => k.away ?? [])) : steady(who.length);
    // who may do only these is asked for these only
    const some = hands.filter((u) => (c.cooks[u.task]! & ~mask) === 0);
    say(
      'hands',
      who.map((w) => w.id).join('+'),
      energy(some, (from, list) => given(from, work(list))),
    );
  }
  model.pools.forEach((pool, p) => {
    const uses = [
      ...all.flatMap((i) => c.needs[i]!.filter((n) => n.pool === p).map((n) => use(i, n.from, n.to, n.units))),
      ...c.spans
        .filter((s) => s.pool === p && c.isFixed[s.a] === 0 && c.isFixed[s.b] === 0)
        .map((s) => ({ task: s.a, head: head[s.a]!, tail: tail[s.b]! - c.length[s.b]!, minutes: s.least, units: s.units, cls: 0 })),
    ];
    if (uses.length === 0) return;
    const given = steady(pool.capacity);
    say(
      'pool',
      pool.id,
      energy(uses, (from, list) => given(from, work(list))),
    );
  });
  model.groups.forEach((group, g) => {
    const uses = all.flatMap((i) => (c.unit[i]?.group === g ? [use(i, 0, c.unit[i].to, 1, c.unit[i].cls)] : []));
    if (uses.length === 0) return;
    const wash = (list: readonly Use[]): number =>
      group.units > 1 ? 0 : cheapestPath([...new Set(list.map((u) => u.cls))], (a, b) => group.wash[a]?.[b] ?? 0);
    say(
      'unit',
      group.id,
      energy(uses, (from, list) => from + Math.ceil((work(list) + wash(list)) / group.units)),
    );
  });
  model.ovens.forEach((oven, o) => {
    const uses = all.flatMap((i) => {
      const u = c.oven[i];
      return u?.oven === o ? [use(i, u.from, u.to, u.shelves, u.tempC)] : [];
    });
    if (uses.length === 0) return;
    say(
      'oven',
      oven.id,
      energy(uses, (from, list) => {
        const temps = [...new Set(list.map((u) => u.cls))];
        const at = temps.map((t) => {
          const loads = list.filter((u) => u.cls === t);
          return Math.max(Math.ceil(work(loads) / oven.shelves), ...loads.map((u) => u.minutes));
        });
        return from + at.reduce((sum, m) => sum + m, 0) + cheapestPath(temps, (a, b) => changeMinutes(oven, a, b));
      }),
    );
  });
  return bounds.sort((a, b) => b.minutes - a.minutes);
}
