import type { Random } from '#core/solve';
import { copySequence, makeMeasure, type Disjunctive, type Sequence } from './disjunctive.ts';

/** Moves made between two looks at the clock. */
const perStep = 400;
/** Moves without gain before it goes on from elsewhere. */
const patience = 1500;
const elites = 8;

/** Takes an operation out of its machine's row and puts it right after another, or first when that is -1. */
function putAfter(s: Sequence, u: number, v: number, first: number): void {
  const { before, after } = s;
  const a = before[u]!;
  const b = after[u]!;
  if (a >= 0) after[a] = b;
  if (b >= 0) before[b] = a;
  const next = v >= 0 ? after[v]! : first;
  before[u] = v;
  after[u] = next;
  if (v >= 0) after[v] = u;
  if (next >= 0) before[next] = u;
}

/**
 * Tabu search on the critical blocks of a job shop: an operation moves to the end or the beginning of its block, or the first and last ones into it, judged by an estimate; what
 * was turned round stays so for a while. When it gains nothing any more it goes on half-way between two good sequences.
 * @source moves and estimates: E. Balas, A. Vazacopoulos, Management Science 44 (1998); half-way between elites: B. Peng, Z. Lü, T. Cheng, Computers and Operations Research 53 (2015)
 * @returns yields the best sequence each time it is better, undefined in between
 */
export function* tabuSearch(d: Disjunctive, begin: Sequence, random: Random): Generator<Sequence | undefined, void> {
  const { n, minutes: p, jobBefore, jobAfter } = d;
  const measure = makeMeasure(d);
  const until = new Int32Array(n * n);
  const block = new Int32Array(n);
  const r2 = new Int32Array(n + 2);
  const seg = new Int32Array(n + 2);
  let now = copySequence(begin);
  measure(now);
  let best = copySequence(now);
  const pool: Sequence[] = [];
  let moves = 0;
  let localBest = now.makespan;
  let localSince = 0;
  let local = copySequence(now);

  const endOf = (i: number, head: Int32Array): number => (i < 0 ? 0 : head[i]! + p[i]!);

  /** The makespan, about, once `u` stands right after `v` further on in its row. */
  function forward(s: Sequence, u: number, v: number): number {
    const { before, after, head, tail } = s;
    let count = 0;
    let prevEnd = endOf(before[u]!, head);
    for (let w = after[u]!; ; w = after[w]!) {
      const h = Math.max(endOf(jobBefore[w]!, head), prevEnd);
      seg[count] = w;
      r2[count] = h;
      count += 1;
      prevEnd = h + p[w]!;
      if (w === v) break;
    }
    const hu = Math.max(endOf(jobBefore[u]!, head), prevEnd);
    const ja = jobAfter[u]!;
    const ma = after[v]!;
    let t = Math.max(ja >= 0 ? tail[ja]! + p[ja]! : 0, ma >= 0 ? tail[ma]! + p[ma]! : 0);
    let worst = hu + p[u]! + t;
    t += p[u]!;
    for (let k = count - 1; k >= 0; k -= 1) {
      const w = seg[k]!;
      const jw = jobAfter[w]!;
      const q = Math.max(jw >= 0 ? tail[jw]! + p[jw]! : 0, t);
      worst = Math.max(worst, r2[k]! + p[w]! + q);
      t = q + p[w]!;
    }
    return worst;
  }

  /** The same once `v` stands right before `u` earlier in its row. */
  function backward(s: Sequence, u: number, v: number): number {
    const { before, after, head, tail } = s;
    let count = 0;
    const ma = after[v]!;
    let t = ma >= 0 ? tail[ma]! + p[ma]! : 0;
    for (let w = before[v]!; ; w = before[w]!) {
      const jw = jobAfter[w]!;
      const q = Math.max(jw >= 0 ? tail[jw]! + p[jw]! : 0, t);
      seg[count] = w;
      r2[count] = q;
      count += 1;
      t = q + p[w]!;
      if (w === u) break;
    }
    const jv = jobAfter[v]!;
    const qv = Math.max(jv >= 0 ? tail[jv]! + p[jv]! : 0, t);
    let h = Math.max(endOf(jobBefore[v]!, head), endOf(before[u]!, head));
    let worst = h + p[v]! + qv;
    h += p[v]!;
    for (let k = count - 1; k >= 0; k -= 1) {
      const w = seg[k]!;
      h = Math.max(endOf(jobBefore[w]!, head), h);
      worst = Math.max(worst, h + p[w]! + r2[k]!);
      h += p[w]!;
    }
    return worst;
  }

  let pickU = -1;
  let pickV = -1;
  let pickForward = true;
  let freeCost = Infinity;
  let ties = 0;

  function weigh(s: Sequence, u: number, v: number, ahead: boolean): void {
    const cost = ahead ? forward(s, u, v) : backward(s, u, v);
    let tabu = false;
    if (cost >= best.makespan)
      if (ahead) {
        for (let w = s.after[u]!; ; w = s.after[w]!) {
          if (until[w * n + u]! > moves) {
            tabu = true;
            break;
          }
          if (w === v) break;
        }
      } else
        for (let w = s.before[v]!; ; w = s.before[w]!) {
          if (until[v * n + w]! > moves) {
            tabu = true;
            break;
          }
          if (w === u) break;
        }
    if (tabu) {
      // when all is tabu, one by chance
      if (freeCost < Infinity) return;
      ties += 1;
      if (random() * ties >= 1) return;
    } else if (cost > freeCost || (cost === freeCost && random() < 0.5)) return;
    else freeCost = cost;
    pickU = u;
    pickV = v;
    pickForward = ahead;
  }

  /** Looks at the moves of one critical way; false when there are none, and the sequence is best. */
  function choose(s: Sequence): boolean {
    const { head, tail, after, before, makespan } = s;
    pickU = -1;
    freeCost = Infinity;
    ties = 0;
    let i = -1;
    let candidates = 0;
    for (let k = 0; k < n; k += 1)
      if (head[k] === 0 && p[k]! + tail[k]! === makespan && before[k]! < 0) {
        candidates += 1;
        if (random() * candidates < 1) i = k;
      }
    while (i >= 0) {
      block[0] = i;
      let size = 1;
      for (;;) {
        const m = after[i]!;
        const j = jobAfter[i]!;
        const end = head[i]! + p[i]!;
        const byMachine = m >= 0 && head[m] === end && end + p[m]! + tail[m]! === makespan;
        const byJob = j >= 0 && head[j] === end && end + p[j]! + tail[j]! === makespan;
        if (byMachine && !(byJob && random() < 0.5)) {
          block[size] = m;
          size += 1;
          i = m;
          continue;
        }
        i = byJob ? j : -1;
        break;
      }
      if (size > 1) moveIn(s, size);
    }
    return pickU >= 0;
  }

  function moveIn(s: Sequence, size: number): void {
    const { head, tail } = s;
    const firstOp = block[0]!;
    const lastOp = block[size - 1]!;
    const mayAfter = (u: number, v: number): boolean => {
      const j = jobAfter[u]!;
      return j < 0 || tail[v]! + p[v]! >= tail[j]! + p[j]!;
    };
    const mayBefore = (u: number, v: number): boolean => {
      const j = jobBefore[v]!;
      return j < 0 || head[u]! + p[u]! >= head[j]! + p[j]!;
    };
    for (let k = 0; k < size - 1; k += 1) {
      const u = block[k]!;
      if (mayAfter(u, lastOp)) weigh(s, u, lastOp, true);
      else if (k === size - 2) weigh(s, u, lastOp, true);
      if (k > 0 && mayAfter(firstOp, u)) weigh(s, firstOp, u, true);
    }
    for (let k = 1; k < size; k += 1) {
      const v = block[k]!;
      if (k > 1 || size > 2) if (mayBefore(firstOp, v)) weigh(s, firstOp, v, false);
      if (k < size - 1 && k > 0 && mayBefore(v, lastOp)) weigh(s, v, lastOp, false);
    }
  }

  function move(s: Sequence): void {
    const u = pickU;
    const v = pickV;
    const tenure = 10 + Math.floor(n / 40) + Math.floor(random() * 12);
    if (pickForward) {
      for (let w = s.after[u]!; ; w = s.after[w]!) {
        until[u * n + w] = moves + tenure;
        if (w === v) break;
      }
      putAfter(s, u, v, -1);
    } else {
      for (let w = s.before[v]!; ; w = s.before[w]!) {
        until[w * n + v] = moves + tenure;
        if (w === u) break;
      }
      putAfter(s, v, s.before[u]!, u);
    }
  }

  /** Takes the local best among the elites, and begins half-way between two of them. */
  function elsewhere(): void {
    const same = pool.findIndex((e) => e.makespan === local.makespan && e.after.every((x, k) => x === local.after[k]));
    if (same < 0) pool.push(copySequence(local));
    pool.sort((a, b) => a.makespan - b.makespan);
    if (pool.length > elites) pool.pop();
    until.fill(0);
    const from = pool[Math.floor(random() * pool.length)]!;
    now = copySequence(from);
    if (pool.length < 3) shake(now, 10 + Math.floor(random() * 20), undefined);
    else {
      let to = from;
      while (to === from) to = pool[Math.floor(random() * pool.length)]!;
      const place = placesOf(to);
      const apart = turned(now, place);
      shake(now, Math.max(5, Math.floor(apart * (0.3 + random() * 0.4))), place);
    }
    measure(now);
    local = copySequence(now);
    localBest = now.makespan;
    localSince = moves;
  }

  function placesOf(s: Sequence): Int32Array {
    const place = new Int32Array(n);
    for (let i = 0; i < n; i += 1) {
      if (s.before[i]! >= 0) continue;
      let k = 0;
      for (let w = i; w >= 0; w = s.after[w]!) {
        place[w] = k;
        k += 1;
      }
    }
    return place;
  }

  /** Pairs on one machine that stand the other way round elsewhere. */
  function turned(s: Sequence, place: Int32Array): number {
    let count = 0;
    for (let i = 0; i < n; i += 1) for (let w = s.after[i]!; w >= 0; w = s.after[w]!) if (place[w]! < place[i]!) count += 1;
    return count;
  }

  /** Turns neighbours round, by chance or towards another sequence; never into a circle. */
  function shake(s: Sequence, times: number, place: Int32Array | undefined): void {
    let left = times;
    for (let tries = times * 20; left > 0 && tries > 0; tries -= 1) {
      const i = Math.floor(random() * n);
      const w = s.after[i]!;
      if (w < 0 || (place && place[w]! > place[i]!)) continue;
      const a = s.before[i]!;
      putAfter(s, w, a, i);
      if (measure(s)) left -= 1;
      else {
        putAfter(s, i, a, w);
        measure(s);
      }
    }
  }

  yield best;
  for (;;) {
    let better = false;
    for (let k = 0; k < perStep; k += 1) {
      if (!choose(now)) {
        if (now.makespan < best.makespan) {
          best = copySequence(now);
          yield best;
        }
        // without a block of two the longest job decides: nothing is shorter
        if (pool.length === 0 && now.makespan <= best.makespan) return;
        elsewhere();
        continue;
      }
      moves += 1;
      move(now);
      if (!measure(now)) {
        // an estimate that led into a circle is not gone on from
        now = copySequence(local);
        measure(now);
        continue;
      }
      if (now.makespan < localBest) {
        localBest = now.makespan;
        localSince = moves;
        local = copySequence(now);
        if (now.makespan < best.makespan) {
          best = copySequence(now);
          better = true;
        }
      } else if (moves - localSince > patience) elsewhere();
    }
    yield better ? best : undefined;
  }
}
