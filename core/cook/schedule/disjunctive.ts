import type { Compiled } from './compile.ts';
import type { Plan } from './model.ts';

/** A session that is nothing but rows of operations on machines of which there is one each: a job shop. */
export interface Disjunctive {
  n: number;
  machines: number;
  minutes: Int32Array;
  machine: Int32Array;
  /** The operation before and after in the job; -1 at its ends. */
  jobBefore: Int32Array;
  jobAfter: Int32Array;
}

/** Larger ones are left to the general search. */
const mostOperations = 2500;

/**
 * Reads a session as a job shop, where it is one.
 * @example disjunctiveOf(compiled)?.machines // 15
 */
export function disjunctiveOf(c: Compiled): Disjunctive | undefined {
  const { n, model } = c;
  if (n < 4 || n > mostOperations || c.fixed.length > 0 || c.spans.length > 0 || model.ovens.length > 0 || model.groups.length > 0)
    return undefined;
  if (model.pools.some((p) => p.capacity !== 1 || p.closed?.length)) return undefined;
  const jobBefore = new Int32Array(n).fill(-1);
  const jobAfter = new Int32Array(n).fill(-1);
  for (const arc of c.arcs) {
    if (arc.back || arc.weight !== c.length[arc.from] || jobAfter[arc.from]! >= 0 || jobBefore[arc.to]! >= 0) return undefined;
    jobAfter[arc.from] = arc.to;
    jobBefore[arc.to] = arc.from;
  }
  const machine = new Int32Array(n);
  for (let i = 0; i < n; i += 1) {
    const [need, more] = c.needs[i]!;
    if (c.hands[i]! > 0 || c.release[i]! > 0 || c.deadline[i]! < 1e6 || more || !need || need.from !== 0 || need.to !== c.length[i])
      return undefined;
    machine[i] = need.pool;
  }
  return { n, machines: model.pools.length, minutes: c.length, machine, jobBefore, jobAfter };
}

/** An order on each machine, with heads and tails by the longest ways. */
export interface Sequence {
  before: Int32Array;
  after: Int32Array;
  head: Int32Array;
  tail: Int32Array;
  makespan: number;
}

/** The order on each machine of a plan. */
export function sequenceOf(d: Disjunctive, starts: ArrayLike<number>): Sequence {
  const s: Sequence = {
    before: new Int32Array(d.n).fill(-1),
    after: new Int32Array(d.n).fill(-1),
    head: new Int32Array(d.n),
    tail: new Int32Array(d.n),
    makespan: 0,
  };
  const rows: number[][] = Array.from({ length: d.machines }, () => []);
  for (let i = 0; i < d.n; i += 1) rows[d.machine[i]!]!.push(i);
  for (const row of rows) {
    row.sort((a, b) => starts[a]! - starts[b]! || d.minutes[a]! - d.minutes[b]! || a - b);
    row.forEach((i, k) => {
      s.before[i] = row[k - 1] ?? -1;
      s.after[i] = row[k + 1] ?? -1;
    });
  }
  return s;
}

export const copySequence = (s: Sequence): Sequence => ({
  before: Int32Array.from(s.before),
  after: Int32Array.from(s.after),
  head: Int32Array.from(s.head),
  tail: Int32Array.from(s.tail),
  makespan: s.makespan,
});

/** A measurer of sequences with its own work space; false when the order has a circle. */
export function makeMeasure(d: Disjunctive): (s: Sequence) => boolean {
  const { n, minutes, jobBefore, jobAfter } = d;
  const waits = new Int8Array(n);
  const queue = new Int32Array(n);
  return (s) => {
    const { before, after, head, tail } = s;
    let end = 0;
    for (let i = 0; i < n; i += 1) {
      waits[i] = (jobBefore[i]! >= 0 ? 1 : 0) + (before[i]! >= 0 ? 1 : 0);
      if (waits[i] === 0) {
        queue[end] = i;
        end += 1;
      }
    }
    let makespan = 0;
    for (let at = 0; at < end; at += 1) {
      const i = queue[at]!;
      const jb = jobBefore[i]!;
      const mb = before[i]!;
      const byJob = jb >= 0 ? head[jb]! + minutes[jb]! : 0;
      const byMachine = mb >= 0 ? head[mb]! + minutes[mb]! : 0;
      const h = byJob > byMachine ? byJob : byMachine;
      head[i] = h;
      if (h + minutes[i]! > makespan) makespan = h + minutes[i]!;
      const ja = jobAfter[i]!;
      if (ja >= 0 && (waits[ja]! -= 1) === 0) {
        queue[end] = ja;
        end += 1;
      }
      const ma = after[i]!;
      if (ma >= 0 && (waits[ma]! -= 1) === 0) {
        queue[end] = ma;
        end += 1;
      }
    }
    if (end < n) return false;
    for (let at = n - 1; at >= 0; at -= 1) {
      const i = queue[at]!;
      const ja = jobAfter[i]!;
      const ma = after[i]!;
      const byJob = ja >= 0 ? tail[ja]! + minutes[ja]! : 0;
      const byMachine = ma >= 0 ? tail[ma]! + minutes[ma]! : 0;
      tail[i] = byJob > byMachine ? byJob : byMachine;
    }
    s.makespan = makespan;
    return true;
  };
}

/** The plan of a sequence: each operation at its head. */
export const planOf = (c: Compiled, s: Sequence): Plan => ({
  makespan: s.makespan,
  placed: c.model.activities.map((a, i) => ({ task: a.id, start: s.head[i]!, wash: 0 })),
});
