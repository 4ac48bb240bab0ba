import type { Disjunctive } from './disjunctive.ts';
import type { Minute } from './model.ts';

/** When each operation may begin at the earliest, and must be over at the latest. */
interface Windows {
  from: Int32Array;
  by: Int32Array;
}

/** Probes between two looks at the clock. */
const perSlice = 12;
/** Passes over all operations in which windows are shaved, for one supposed end. */
const mostPasses = 12;

/** Tightens windows of a job shop; false when no order keeps to them. */
function makePropagator(d: Disjunctive): (w: Windows) => boolean {
  const { n, minutes: p, jobBefore, jobAfter } = d;
  const rows: number[][] = Array.from({ length: d.machines }, () => []);
  for (let i = 0; i < n; i += 1) rows[d.machine[i]!]!.push(i);
  const firsts = Array.from({ length: n }, (_, i) => i).filter((i) => jobBefore[i]! < 0);
  const most = Math.max(0, ...rows.map((r) => r.length));
  const [early, late, long, sooner, later, order, ends] = Array.from({ length: 7 }, () => new Int32Array(most)) as [
    Int32Array,
    Int32Array,
    Int32Array,
    Int32Array,
    Int32Array,
    Int32Array,
    Int32Array,
  ];

  /** The rules of one machine one way in time, from `early`, `late` and `long` into `sooner` and `later`; false when they cannot be kept. */
  function machine(m: number): boolean {
    for (let i = 0; i < m; i += 1) {
      let k = i;
      for (; k > 0 && early[order[k - 1]!]! > early[i]!; k -= 1) order[k] = order[k - 1]!;
      order[k] = i;
      sooner[i] = early[i]!;
      later[i] = late[i]!;
    }
    // edge finding: what cannot come among those that must be over by a moment comes after them
    for (let q = 0; q < m; q += 1) {
      const end = late[q]!;
      let sum = 0;
      let all = -1e9;
      for (let k = m - 1; k >= 0; k -= 1) {
        const i = order[k]!;
        if (late[i]! <= end) {
          sum += long[i]!;
          all = Math.max(all, early[i]! + sum);
          if (all > end) return false;
        }
        ends[k] = all;
      }
      let full = -1e9;
      for (let k = 0; k < m; k += 1) {
        const i = order[k]!;
        if (late[i]! <= end) {
          full = Math.max(full, early[i]! + sum);
          sum -= long[i]!;
        } else {
          if (early[i]! + sum + long[i]! > end && ends[k]! > sooner[i]!) sooner[i] = ends[k]!;
          if (full + long[i]! > end && all > sooner[i]!) sooner[i] = all;
        }
      }
    }
    for (let i = 0; i < m; i += 1) {
      // what must have begun before this can be over comes before it
      let sum = 0;
      let over = -1e9;
      // of those that begin before it must be over, some come after it when they cannot all be over in time
      let rest = 0;
      let done = -1e9;
      let last = -1e9;
      for (let k = m - 1; k >= 0; k -= 1) {
        const j = order[k]!;
        if (j === i) continue;
        const begins = late[j]! - long[j]!;
        if (begins < early[i]! + long[i]!) {
          sum += long[j]!;
          over = Math.max(over, early[j]! + sum);
        }
        if (begins < late[i]!) {
          rest += long[j]!;
          done = Math.max(done, early[j]! + rest);
          last = Math.max(last, begins);
        }
      }
      if (over > sooner[i]!) sooner[i] = over;
      if (done > late[i]! - long[i]! && last < later[i]!) later[i] = last;
    }
    return true;
  }

  return ({ from, by }) => {
    for (let moved = true; moved;) {
      moved = false;
      for (const first of firsts) {
        let tail = first;
        for (let i = first, at = from[first]!; i >= 0; i = jobAfter[i]!) {
          if (at > from[i]!) {
            from[i] = at;
            moved = true;
          }
          at = from[i]! + p[i]!;
          tail = i;
        }
        for (let i = tail, at = by[tail]!; i >= 0; i = jobBefore[i]!) {
          if (at < by[i]!) {
            by[i] = at;
            moved = true;
          }
          if (from[i]! + p[i]! > by[i]!) return false;
          at = by[i]! - p[i]!;
        }
      }
      for (const row of rows)
        for (const back of [false, true]) {
          const m = row.length;
          for (let k = 0; k < m; k += 1) {
            const i = row[k]!;
            early[k] = back ? -by[i]! : from[i]!;
            late[k] = back ? -from[i]! : by[i]!;
            long[k] = p[i]!;
          }
          if (!machine(m)) return false;
          for (let k = 0; k < m; k += 1) {
            const i = row[k]!;
            const start = back ? -later[k]! : sooner[k]!;
            const end = back ? -sooner[k]! : later[k]!;
            if (start > from[i]!) {
              from[i] = start;
              moved = true;
            }
            if (end < by[i]!) {
              by[i] = end;
              moved = true;
            }
            if (from[i]! + p[i]! > by[i]!) return false;
          }
        }
    }
    return true;
  };
}

/**
 * A bound of a job shop by supposing an end and refuting it: edge finding, detectable precedences, not-last on each machine, then shaving, where part of an operation's window is
 * supposed and, refuted, cut off. Each contradiction proves that the makespan is longer. Yields what is proven so far.
 * @param low a bound that is proven, @param high the makespan of a known plan
 * @source J. Carlier, E. Pinson, EJOR 78 (1994); P. Martin, D. Shmoys, IPCO (1996); P. Baptiste, C. Le Pape, W. Nuijten, Constraint-Based Scheduling (2001)
 * @example for (const bound of shopBound(shop, 655, 930)) show(bound)
 */
export function* shopBound(d: Disjunctive, low: Minute, high: Minute): Generator<Minute, Minute> {
  const tighten = makePropagator(d);
  const { n, minutes: p } = d;
  const probe: Windows = { from: new Int32Array(n), by: new Int32Array(n) };
  const whole = (end: Minute): Windows => ({ from: new Int32Array(n), by: new Int32Array(n).fill(end) });
  let probes = 0;

  /** Whether the windows cannot be kept with one operation held to a part of its own. */
  const refutes = (w: Windows, i: number, from: Minute, by: Minute): boolean => {
    probe.from.set(w.from);
    probe.by.set(w.by);
    probe.from[i] = from;
    probe.by[i] = by;
    probes += 1;
    return !tighten(probe);
  };

  const impossible = function* (end: Minute): Generator<void, boolean> {
    const w = whole(end);
    if (!tighten(w)) return true;
    for (let pass = 0, cut = true; cut && pass < mostPasses; pass += 1) {
      cut = false;
      for (let i = 0; i < n; i += 1)
        for (const front of [true, false])
          for (let part = (w.by[i]! - w.from[i]! - p[i]!) >> 1; part >= 0; part = part === 0 ? -1 : part >> 2) {
            if (w.by[i]! - w.from[i]! === p[i]!) break;
            if (probes % perSlice === 0) yield;
            const gone = front ? refutes(w, i, w.from[i]!, w.from[i]! + p[i]! + part) : refutes(w, i, w.by[i]! - p[i]! - part, w.by[i]!);
            if (!gone) continue;
            if (front) w.from[i] = w.from[i]! + part + 1;
            else w.by[i] = w.by[i]! - part - 1;
            if (!tighten(w)) return true;
            cut = true;
            part = Math.min(part, w.by[i]! - w.from[i]! - p[i]!);
          }
    }
    return false;
  };

  let proven = low;
  // first what windows alone refute, by halves; then upwards with shaving, in strides that grow while they succeed
  for (let open = high; proven < open;) {
    const end = Math.floor((proven + open - 1) / 2);
    if (tighten(whole(end))) open = end;
    else proven = end + 1;
  }
  yield proven;
  let stride = Math.max(1, Math.round((high - proven) / 8));
  for (let barred = high; proven < barred;) {
    const end = Math.min(barred, proven + stride) - 1;
    const walk = impossible(end);
    let step = walk.next();
    for (; !step.done; step = walk.next()) yield proven;
    if (step.value) {
      proven = end + 1;
      stride *= 2;
    } else {
      barred = end;
      stride = Math.max(1, Math.floor((barred - proven) / 2));
    }
    yield proven;
  }
  return proven;
}
