import type { Compiled } from './compile.ts';
import { makeFinder, noUnit } from './find.ts';
import { makeKitchen } from './kitchen.ts';
import type { Plan } from './model.ts';

/** What an order of blocks comes to. */
export interface Decoded {
  ok: boolean;
  makespan: number;
  /** Minutes over deadlines, summed. */
  late: number;
  /** What is compared: lateness first, then the makespan, then how far activities lie behind where they could be. */
  cost: number;
}

export interface Decoder {
  /** The order in which the blocks were really placed by the last decode. */
  placedOrder: Int32Array;
  /** Lays the blocks in this order, the same up to `from` as what was kept last; gives up once its cost must pass `limit`. */
  decode: (order: Int32Array, from: number, limit: number) => Decoded;
  /** The last decode is the one that later ones are compared with. */
  keep: () => void;
  /** The plan of the last decode. */
  plan: () => Plan;
  /** Asks that on equal start this cook does it: the one of an older plan. */
  prefer: (cookOf: readonly number[]) => void;
}

/** A minute over a deadline costs as much as so many of the makespan. */
export const lateWeight = 50;
const every = 6;
/** Tries at moving the members of a block against each other before it goes to the end of what is laid. */
const patience = 40;

/**
 * Serial schedule generation: blocks in an order, each as early as it goes; the members of a block by earliest start, and where one breaks a longest wait, what it
 * hangs on is taken back and begins later (the unscheduling step of Neumann, Franck and Schwindt, inside the block only).
 * @param bound what no plan beats; the cost counts the lateness of activities against it
 */
export function makeDecoder(c: Compiled, horizon: number, bound: number): Decoder {
  const { n, into, outOf, hands, length, tail, needs, unit, oven, spans, opens, closes, blocks, blockAfter } = c;
  const blockCount = blocks.length;
  const spanAt = n * 4;
  const waitsAt = spanAt + spans.length;
  const spare = waitsAt + blockCount + 2;
  const k = makeKitchen(c, horizon, spare);
  const { state } = k;
  const { find, found, prefer } = makeFinder(c, k);
  // first what is known of each activity: start, cook, unit, wash; -1 not placed
  const startOf = (i: number): number => state[i]!;
  const floor = new Int32Array(n);
  const bonus = new Int32Array(n);
  const stack = new Int32Array(n);
  const placedOrder = new Int32Array(blockCount);
  const doneBlock = new Uint8Array(blockCount);
  const slots = Math.ceil(blockCount / every) + 1;
  const kept = Array.from({ length: slots }, () => new Int32Array(state.length));
  const fresh = Array.from({ length: slots }, () => new Int32Array(state.length));
  const keptAt = new Int32Array(blockCount);
  let keptSlots = 0;
  let freshFrom = 0;
  let freshTo = 0;

  function write(i: number, t: number, on: boolean): void {
    const units = on ? 1 : -1;
    for (const need of needs[i]!) k.takePool(need.pool, t + need.from, t + need.to, units * need.units);
    for (const s of opens[i]!) {
      const span = spans[s]!;
      const end = on ? t + span.least : state[spanAt + s]!;
      k.takePool(span.pool, t, end, units * span.units);
      state[spanAt + s] = end;
    }
    const bake = oven[i];
    if (bake && on) k.takeOven(bake.oven, t + bake.from, t + bake.to, bake.shelves, bake.tempC);
    else if (bake) k.leaveOven(bake.oven, t + bake.from, bake.shelves, bake.tempC);
    const cook = state[n + i]!;
    const wash = state[3 * n + i]!;
    if (cook >= 0) k.takeCook(cook, t - wash, t + hands[i]!, on, c.dish[i]!);
    const bowl = unit[i];
    const u = state[2 * n + i]!;
    if (bowl && u >= 0 && on) k.takeUnit(u, t, t + bowl.to, bowl.cls, wash);
    else if (bowl && u >= 0) k.leaveUnit(u, t);
  }

  function place(i: number, t: number): void {
    state[i] = t;
    state[n + i] = found.cook;
    state[2 * n + i] = found.unit;
    state[3 * n + i] = found.wash;
    write(i, t, true);
  }

  function takeBack(i: number): void {
    for (const s of closes[i]!) {
      const span = spans[s]!;
      const a = startOf(span.a);
      const short = a + span.least;
      const end = state[spanAt + s]!;
      if (a < 0 || end <= short) continue;
      k.takePool(span.pool, short, end, -span.units);
      state[spanAt + s] = short;
    }
    write(i, startOf(i), false);
    state[i] = -1;
  }

  /** Holds a pot on to the end of what closes its span; the minute from which its opening activity must wait when others have it. */
  function holdOn(i: number): number {
    for (const s of closes[i]!) {
      const span = spans[s]!;
      const a = startOf(span.a);
      if (a < 0) continue;
      const short = a + span.least;
      const end = startOf(i) + length[i]!;
      if (end <= short) continue;
      if (k.poolFree(span.pool, short, end - short, span.units) === short) {
        k.takePool(span.pool, short, end, span.units);
        state[spanAt + s] = end;
        continue;
      }
      k.takePool(span.pool, a, short, -span.units);
      const from = k.poolFree(span.pool, a, end - a, span.units);
      k.takePool(span.pool, a, short, span.units);
      holding = span.a;
      return from;
    }
    return -1;
  }
  let holding = -1;

  const earliest = (i: number): number => {
    let t = Math.max(c.release[i]!, floor[i]!);
    for (const arc of into[i]!) {
      const s = state[arc.from]!;
      if (s >= 0 && s + arc.weight > t) t = s + arc.weight;
    }
    return t;
  };

  /** Lays the members of a block; false when they do not fit before the horizon or must pass the limit. */
  function layBlock(members: readonly number[], limit: number): boolean {
    if (members.length === 1) {
      const i = members[0]!;
      if (startOf(i) >= 0) return true;
      floor[i] = 0;
      const t = find(i, earliest(i));
      if (t < 0 || t + tail[i]! > limit) return false;
      place(i, t);
      return true;
    }
    for (const i of members) {
      floor[i] = 0;
      bonus[i] = 0;
    }
    let top = 0;
    let open = 0;
    for (const i of members) if (startOf(i) < 0) open += 1;
    let tries = patience + members.length * 4;
    let atEnd = false;
    while (top < open) {
      const i = nextMember(members);
      const t = find(i, earliest(i));
      let late = -1;
      let behind = -1;
      if (t >= 0) {
        for (const arc of outOf[i]!) {
          const s = state[arc.to]!;
          if (s < 0 || s >= t + arc.weight || c.isFixed[arc.to] === 1) continue;
          behind = arc.to;
          late = t + arc.weight;
          break;
        }
        if (behind < 0) {
          if (t + tail[i]! > limit) return undo(top);
          place(i, t);
          late = holdOn(i);
          if (late >= 0) {
            takeBack(i);
            behind = holding;
          } else {
            stack[top] = i;
            top += 1;
            continue;
          }
        }
      }
      tries -= 1;
      const stuck = behind < 0 || late >= horizon || !onStack(behind, top);
      if (stuck && atEnd) return undo(top);
      if (stuck || tries <= 0) {
        // after all that is laid, only the block itself stands in its own way
        if (atEnd) return undo(top);
        undo(top);
        top = 0;
        atEnd = true;
        tries = patience + members.length * 8;
        const end = lastMinute();
        for (const m of members) floor[m] = end;
        continue;
      }
      bonus[i]! += 4;
      while (top > 0) {
        top -= 1;
        const m = stack[top]!;
        takeBack(m);
        if (m === behind) break;
      }
      floor[behind] = Math.max(floor[behind]!, late);
    }
    return true;
  }

  const onStack = (i: number, top: number): boolean => {
    for (let s = 0; s < top; s += 1) if (stack[s] === i) return true;
    return false;
  };

  function undo(top: number): false {
    for (let s = top - 1; s >= 0; s -= 1) takeBack(stack[s]!);
    return false;
  }

  function lastMinute(): number {
    let end = 0;
    for (let i = 0; i < n; i += 1) if (state[i]! >= 0) end = Math.max(end, state[i]! + length[i]!);
    return end;
  }

  /** Of the members whose forerunners in the block are laid, the one that may begin first; what broke a longest wait has a head start. */
  function nextMember(members: readonly number[]): number {
    let best = -1;
    let first = Infinity;
    let fallback = -1;
    for (const i of members) {
      if (startOf(i) >= 0) continue;
      if (fallback < 0) fallback = i;
      let ready = true;
      for (const arc of into[i]!)
        if (!arc.back && state[arc.from]! < 0 && c.blockOf[arc.from] === c.blockOf[i]) {
          ready = false;
          break;
        }
      if (!ready) continue;
      const t = earliest(i) - bonus[i]!;
      if (t < first || (t === first && tail[i]! > tail[best]!)) {
        first = t;
        best = i;
      }
    }
    return best < 0 ? fallback : best;
  }

  function begin(): void {
    k.reset();
    state.fill(-1, 0, n);
    state.fill(0, spanAt, spare);
    for (let b = 0; b < blockCount; b += 1) state[waitsAt + b] = c.blockWaits[b]!;
    for (const f of c.fixed) {
      found.cook = f.cook;
      const units = unit[f.task] ? k.unitsOf[unit[f.task]!.group]! : noUnit;
      found.unit = units[f.unit] ?? units[0]!;
      found.wash = 0;
      place(f.task, f.start);
    }
  }

  function decode(order: Int32Array, from: number, limit: number): Decoded {
    let pos = 0;
    let slot = 0;
    // the longest beginning that is the same as what was kept
    if (keptSlots > 0) {
      slot = Math.min(keptSlots - 1, Math.floor(Math.min(from, blockCount - 1) / every));
      pos = slot * every;
      state.set(kept[slot]!);
    } else begin();
    doneBlock.fill(0);
    for (let p = 0; p < pos; p += 1) {
      const b = keptAt[p]!;
      placedOrder[p] = b;
      doneBlock[b] = 1;
    }
    freshFrom = pos % every === 0 && keptSlots > 0 ? slot + 1 : 0;
    freshTo = freshFrom;
    const makespanLimit = Math.floor(limit);
    let low = 0;
    while (pos < blockCount) {
      if (pos % every === 0 && pos / every >= freshFrom) {
        fresh[pos / every]!.set(state);
        freshTo = pos / every + 1;
      }
      while (low < blockCount && doneBlock[order[low]!] === 1) low += 1;
      let at = low;
      while (at < blockCount && (doneBlock[order[at]!] === 1 || state[waitsAt + order[at]!]! > 0)) at += 1;
      const b = order[at]!;
      if (b === undefined || !layBlock(blocks[b]!, makespanLimit)) return nothing;
      doneBlock[b] = 1;
      placedOrder[pos] = b;
      pos += 1;
      for (const next of blockAfter[b]!) state[waitsAt + next]! -= 1;
    }
    return measured();
  }

  function measured(): Decoded {
    let makespan = 0;
    let late = 0;
    let behind = 0;
    for (let i = 0; i < n; i += 1) {
      const end = state[i]! + length[i]!;
      if (end > makespan) makespan = end;
      if (end > c.deadline[i]!) late += end - c.deadline[i]!;
      const over = state[i]! + tail[i]! - bound;
      if (over > 0) behind += over;
    }
    return { ok: true, makespan, late, cost: makespan + late * lateWeight + behind / Math.max(1, n) };
  }

  return {
    placedOrder,
    decode,
    keep: () => {
      for (let s = freshFrom; s < freshTo; s += 1) {
        const mine = fresh[s]!;
        fresh[s] = kept[s]!;
        kept[s] = mine;
      }
      keptSlots = Math.max(freshTo, freshFrom);
      keptAt.set(placedOrder);
    },
    plan: () => ({
      makespan: lastMinute(),
      placed: c.model.activities.map((a, i) => {
        const cook = state[n + i]!;
        const u = unit[i] ? state[2 * n + i]! - k.unitsOf[unit[i].group]![0]! : -1;
        return {
          task: a.id,
          start: state[i]!,
          ...(cook >= 0 && { cook: c.model.cooks[cook]!.id }),
          ...(u >= 0 && { unit: u }),
          wash: state[3 * n + i]!,
        };
      }),
    }),
    prefer,
  };
}

const nothing: Decoded = { ok: false, makespan: Infinity, late: 0, cost: Infinity };
