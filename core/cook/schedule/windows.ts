import { cheapestPath } from './bounds.ts';
import type { Compiled } from './compile.ts';
import { fitsAlone, fitsOven } from './machines.ts';
import { changeMinutes, type Minute } from './model.ts';

/** What an activity, or a span of two, takes of a resource. */
interface Usage {
  first: number;
  /** The activity at whose end it stops; the first one itself when it is no span. */
  last: number;
  from: Minute;
  least: Minute;
  units: number;
  cls: number;
}

interface Resource {
  kind: 'hands' | 'pool' | 'unit' | 'oven';
  index: number;
  uses: Usage[];
  /** Unit minutes given up to each minute, where there are calendars. */
  given?: Int32Array;
  capacity: number;
}

/** Earliest and latest starts under a supposed end. */
export interface Windows {
  est: Int32Array;
  lst: Int32Array;
}

/** A decision: one activity's oven load before another's of a different temperature. */
export type Before = readonly [number, number];

export interface Propagator {
  /** Windows for an end, tightened until nothing moves; undefined when they contradict. */
  tighten: (end: Minute, given?: Windows, before?: readonly Before[], thorough?: boolean) => Windows | undefined;
  /** Pairs of loads of different temperatures in one oven. */
  ovenPairs: readonly Before[];
}

const rounds = 12;
/** Shorter uses of a pool say little about how it fills up. */
const longUse = 15;
const mostAlone = 26;

/**
 * Windows of starts under a supposed end, tightened by lags, calendars, pairs on what only one can have, and energetic reasoning on what several share
 * (Baptiste, Le Pape, Nuijten, "Constraint-Based Scheduling", 2001). What it rules out no legal plan has.
 */
export function makePropagator(c: Compiled, most: Minute): Propagator {
  const { model, n, tail, length } = c;
  const open = Array.from({ length: n }, (_, i) => i).filter((i) => c.isFixed[i] === 0);
  const single = (i: number, from: Minute, to: Minute, units: number, cls = 0): Usage => ({
    first: i,
    last: i,
    from,
    least: to - from,
    units,
    cls,
  });
  const resources: Resource[] = [];
  const add = (kind: Resource['kind'], index: number, capacity: number, uses: Usage[], given?: Int32Array): void => {
    if (uses.length > 1 || given) resources.push({ kind, index, capacity, uses, ...(given && { given }) });
  };
  const sums = (count: number, shut: (m: number) => number): Int32Array => {
    const given = new Int32Array(most + 2);
    for (let m = 0; m <= most; m += 1) given[m + 1] = given[m]! + count - shut(m);
    return given;
  };
  const inAny = (stretches: readonly (readonly [number, number])[] | undefined, m: number): boolean =>
    (stretches ?? []).some(([a, b]) => a <= m && m < b);
  const handed = open.filter((i) => c.hands[i]! > 0);
  for (const mask of new Set(handed.map((i) => c.cooks[i]!))) {
    const who = model.cooks.filter((_, k) => mask & (1 << k));
    const uses = handed.filter((i) => (c.cooks[i]! & ~mask) === 0).map((i) => single(i, 0, c.hands[i]!, 1));
    const away = who.some((w) => w.away?.length);
    add('hands', mask, who.length, uses, away ? sums(who.length, (m) => who.filter((w) => inAny(w.away, m)).length) : undefined);
  }
  model.pools.forEach((pool, p) => {
    const uses = open.flatMap((i) => c.needs[i]!.filter((x) => x.pool === p).map((x) => single(i, x.from, x.to, x.units)));
    for (const s of c.spans)
      if (s.pool === p && c.isFixed[s.a] === 0 && c.isFixed[s.b] === 0)
        uses.push({ first: s.a, last: s.b, from: 0, least: s.least, units: s.units, cls: 0 });
    add(
      'pool',
      p,
      pool.capacity,
      uses,
      pool.closed?.length ? sums(pool.capacity, (m) => (inAny(pool.closed, m) ? pool.capacity : 0)) : undefined,
    );
  });
  model.groups.forEach((group, g) => {
    const uses = open.flatMap((i) => (c.unit[i]?.group === g ? [single(i, 0, c.unit[i].to, 1, c.unit[i].cls)] : []));
    add(
      'unit',
      g,
      group.units,
      uses,
      group.closed?.length ? sums(group.units, (m) => (inAny(group.closed, m) ? group.units : 0)) : undefined,
    );
  });
  const ovenPairs: Before[] = [];
  model.ovens.forEach((oven, o) => {
    const uses = open.flatMap((i) => {
      const u = c.oven[i];
      return u?.oven === o ? [single(i, u.from, u.to, u.shelves, u.tempC)] : [];
    });
    add('oven', o, oven.shelves, uses);
    for (const [k, a] of uses.entries()) for (const b of uses.slice(k + 1)) if (a.cls !== b.cls) ovenPairs.push([a.first, b.first]);
  });

  /** The least that must lie between the beginning of one use and that of another when the first goes first; undefined when they may overlap. */
  const apart = (r: Resource, a: Usage, b: Usage): Minute | undefined => {
    if (r.kind === 'oven')
      return a.cls === b.cls ? (a.units + b.units > r.capacity ? 0 : undefined) : changeMinutes(model.ovens[r.index]!, a.cls, b.cls);
    if (r.kind === 'unit') return r.capacity === 1 ? (model.groups[r.index]!.wash[a.cls]?.[b.cls] ?? 0) : undefined;
    return a.units + b.units > r.capacity ? 0 : undefined;
  };
  const pairs = resources.flatMap((r) =>
    r.uses.flatMap((a, i) =>
      r.uses.slice(i + 1).flatMap((b) => {
        const ab = apart(r, a, b);
        const ba = apart(r, b, a);
        return ab === undefined || ba === undefined || a.first === b.first ? [] : [{ a, b, ab, ba }];
      }),
    ),
  );

  let est = new Int32Array(n);
  let lst = new Int32Array(n);
  let moved = false;
  const lift = (i: number, t: number): boolean => {
    if (t <= est[i]!) return true;
    if (c.isFixed[i] === 1) return true;
    est[i] = t;
    moved = true;
    return t <= lst[i]!;
  };
  const lower = (i: number, t: number): boolean => {
    if (t >= lst[i]!) return true;
    if (c.isFixed[i] === 1) return true;
    lst[i] = t;
    moved = true;
    return t >= est[i]!;
  };

  const alongArcs = (): boolean => {
    for (let round = 0; round <= n; round += 1) {
      let again = false;
      for (const arc of c.arcs) {
        const t = est[arc.from]! + arc.weight;
        if (t > est[arc.to]!) {
          again = true;
          if (!lift(arc.to, t)) return false;
        }
        const u = lst[arc.to]! - arc.weight;
        if (u < lst[arc.from]! && c.isFixed[arc.from] === 0) {
          again = true;
          if (!lower(arc.from, u)) return false;
        }
      }
      if (!again) return true;
    }
    return false;
  };

  /** Starts at which nobody who may do it is there are ruled out. */
  const byCalendar = (): boolean => {
    for (const i of calendared) {
      const free = (t: number): boolean =>
        model.cooks.some((k, q) => c.cooks[i]! & (1 << q) && !(k.away ?? []).some(([a, b]) => a < t + c.hands[i]! && t < b));
      let t = est[i]!;
      while (t <= lst[i]! && !free(t)) t += 1;
      if (!lift(i, t)) return false;
      t = lst[i]!;
      while (t > est[i]! && !free(t)) t -= 1;
      if (!lower(i, t)) return false;
    }
    return true;
  };
  const calendared = model.cooks.some((k) => k.away?.length) ? handed : [];

  const alongPairs = (): boolean => {
    for (const { a, b, ab, ba } of pairs) {
      // from the start of the first activity of one to the start of the first of the other
      const lenA = endLeast(a) + ab - b.from;
      const lenB = endLeast(b) + ba - a.from;
      const aFirst = est[a.first]! + lenA <= lst[b.first]!;
      const bFirst = est[b.first]! + lenB <= lst[a.first]!;
      if (!aFirst && !bFirst) return false;
      if (!aFirst && (!lift(a.first, est[b.first]! + lenB) || !lower(b.first, lst[a.first]! - lenB))) return false;
      if (!bFirst && (!lift(b.first, est[a.first]! + lenA) || !lower(a.first, lst[b.first]! - lenA))) return false;
    }
    return true;
  };

  /** Minutes from the start of a use's first activity to where the use stops, at the least. */
  const endLeast = (u: Usage): Minute => u.from + u.least;

  const ea: number[] = [];
  const la: number[] = [];
  const pa: number[] = [];
  const ua: number[] = [];

  /** Energetic reasoning: in no stretch more is needed than is given, and what would need more where it is pushed is pushed out. */
  const energetic = (r: Resource): boolean => {
    const m = r.uses.length;
    for (let k = 0; k < m; k += 1) {
      const u = r.uses[k]!;
      ea[k] = est[u.first]! + u.from;
      la[k] = lst[u.first]! + u.from;
      pa[k] = u.first === u.last ? u.least : Math.max(u.least, est[u.last]! + length[u.last]! - lst[u.first]!);
      ua[k] = u.units;
    }
    const begins = [...new Set(ea.slice(0, m))];
    const ends = [...new Set(la.slice(0, m).map((l, k) => l + pa[k]!))];
    for (const t1 of begins)
      for (const t2 of ends) {
        if (t2 <= t1) continue;
        const room = r.given ? r.given[Math.min(t2, most + 1)]! - r.given[Math.min(t1, most + 1)]! : r.capacity * (t2 - t1);
        let work = 0;
        for (let k = 0; k < m; k += 1) {
          const p = pa[k]!;
          const left = ea[k]! + p - t1;
          if (left <= 0) continue;
          const right = t2 - la[k]!;
          if (right <= 0) continue;
          work += ua[k]! * Math.min(left, right, p, t2 - t1);
        }
        if (work > room) return false;
        const slack = room - work;
        for (let k = 0; k < m; k += 1) {
          const p = pa[k]!;
          if (ua[k]! * Math.min(p, t2 - t1) <= slack) continue;
          const left = Math.max(0, Math.min(ea[k]! + p - t1, p, t2 - t1));
          const right = Math.max(0, Math.min(t2 - la[k]!, p, t2 - t1));
          const mine = Math.min(left, right);
          const may = Math.floor((slack + ua[k]! * mine) / ua[k]!);
          const u = r.uses[k]!;
          // pushed to its earliest it would need too much here
          if (ea[k]! <= t1 && left > may && ea[k]! + p > t1 && ea[k]! < t2 && !lift(u.first, t2 - may - u.from)) return false;
          const latestEnd = la[k]! + p;
          if (latestEnd >= t2 && right > may && la[k]! < t2 && u.first === u.last && !lower(u.first, t1 + may - p - u.from)) return false;
        }
      }
    return true;
  };

  /** Loads of different temperatures are apart, and between them the oven changes: no stretch holds more than it has minutes. */
  const bakes = (r: Resource): boolean => {
    const oven = model.ovens[r.index]!;
    const begins = [...new Set(r.uses.map((u) => est[u.first]! + u.from))];
    const ends = [...new Set(r.uses.map((u) => lst[u.first]! + u.from + u.least))];
    const temps = [...new Set(r.uses.map((u) => u.cls))];
    const paths = new Map<number, number>();
    for (const t1 of begins)
      for (const t2 of ends) {
        if (t2 <= t1) continue;
        let minutes = 0;
        let set = 0;
        temps.forEach((t, q) => {
          let work = 0;
          let longest = 0;
          for (const u of r.uses) {
            if (u.cls !== t) continue;
            const here = Math.min(est[u.first]! + u.from + u.least - t1, t2 - lst[u.first]! - u.from, u.least, t2 - t1);
            if (here <= 0) continue;
            work += here * u.units;
            longest = Math.max(longest, here);
          }
          if (work === 0) return;
          set |= 1 << q;
          minutes += Math.max(longest, Math.ceil(work / r.capacity));
        });
        if ((set & (set - 1)) !== 0) {
          let path = paths.get(set);
          if (path === undefined) {
            path = cheapestPath(
              temps.filter((_, q) => set & (1 << q)),
              (a, b) => changeMinutes(oven, a, b),
            );
            paths.set(set, path);
          }
          minutes += path;
        }
        if (minutes > t2 - t1) return false;
      }
    return true;
  };

  /** A few pots or burners alone, each use in its window: whether there is any way to lay them. */
  const alone = (r: Resource): boolean => {
    if (r.kind === 'oven') {
      const oven = model.ovens[r.index]!;
      const loads = r.uses.map((u) => ({
        est: est[u.first]! + u.from,
        lst: lst[u.first]! + u.from,
        minutes: u.least,
        shelves: u.units,
        tempC: u.cls,
      }));
      return fitsOven(loads, oven.shelves, (a, b) => changeMinutes(oven, a, b));
    }
    if (r.kind !== 'pool' || r.capacity < 2 || r.capacity > 4 || r.given || r.uses.some((u) => u.units > 1)) return true;
    const long = r.uses.filter((u) => u.least >= longUse);
    if (long.length < 3 || long.length > mostAlone) return true;
    return fitsAlone(
      long.map((u) => ({
        est: est[u.first]! + u.from,
        lst: lst[u.first]! + u.from,
        minutes: u.first === u.last ? u.least : Math.max(u.least, est[u.last]! + length[u.last]! - lst[u.first]!),
      })),
      r.capacity,
    );
  };

  return {
    ovenPairs,
    tighten: (end, given, before = [], thorough = true) => {
      est = given ? Int32Array.from(given.est) : Int32Array.from(c.head);
      lst = given ? Int32Array.from(given.lst) : new Int32Array(n);
      if (!given) for (let i = 0; i < n; i += 1) lst[i] = end - tail[i]!;
      for (let i = 0; i < n; i += 1) if (lst[i]! < est[i]! && c.isFixed[i] === 0) return undefined;
      for (let round = 0; round < rounds; round += 1) {
        moved = false;
        if (!alongArcs() || !alongPairs() || !byCalendar()) return undefined;
        for (const [a, b] of before) {
          const [x, y] = [c.oven[a]!, c.oven[b]!];
          const w = x.to + changeMinutes(model.ovens[x.oven]!, x.tempC, y.tempC) - y.from;
          if (!lift(b, est[a]! + w) || !lower(a, lst[b]! - w)) return undefined;
        }
        if (moved && round < rounds - 2) continue;
        for (const r of resources) {
          if (r.kind === 'oven' && !bakes(r)) return undefined;
          if (thorough && !energetic(r)) return undefined;
        }
        if (!moved) break;
      }
      if (thorough) for (const r of resources) if (!alone(r)) return undefined;
      return { est, lst };
    },
  };
}
