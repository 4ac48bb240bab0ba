import { lastBlocked, nextFree, paint, wordsFor } from './bits.ts';
import type { Compiled } from './compile.ts';
import { changeMinutes } from './model.ts';

/** Booked pieces of a bowl or an oven: a count, then so many of so many numbers. */
const unitSize = 4;
const ovenSize = 4;

/**
 * All that is taken at any minute of a plan in the making, in one array, so that a state is copied in one go: the hands' minutes, burners and pots, bowls with
 * their washes, ovens with their temperatures. What is written can be taken back piece by piece.
 */
export interface Kitchen {
  state: Int32Array;
  horizon: number;
  reset: () => void;
  cookFree: (cook: number, t: number, length: number) => number;
  takeCook: (cook: number, a: number, b: number, on: boolean, dish: number) => void;
  /** The dish a cook was last at before a minute, and how long ago that was. */
  lastDish: (cook: number, t: number) => number;
  gap: (cook: number, t: number) => number;
  poolFree: (pool: number, t: number, length: number, units: number) => number;
  takePool: (pool: number, a: number, b: number, units: number) => void;
  /** The first minute for work of a class on a unit; the wash before it is in `washed`. */
  unitFree: (unit: number, t: number, length: number, cls: number) => number;
  washed: () => number;
  /** Nothing has been in it. */
  unused: (unit: number) => boolean;
  takeUnit: (unit: number, start: number, end: number, cls: number, wash: number) => void;
  leaveUnit: (unit: number, start: number) => void;
  ovenFree: (oven: number, t: number, length: number, shelves: number, tempC: number) => number;
  takeOven: (oven: number, start: number, end: number, shelves: number, tempC: number) => void;
  leaveOven: (oven: number, start: number, shelves: number, tempC: number) => void;
  /** Units of each group, one after the other. */
  unitsOf: readonly (readonly number[])[];
}

/** An empty kitchen up to a horizon. `spare` numbers at the beginning of its state are the caller's. */
export function makeKitchen(c: Compiled, horizon: number, spare: number): Kitchen {
  const { model } = c;
  const words = wordsFor(horizon + 1);
  const cooks = model.cooks.length;
  const single = model.pools.map((p) => p.capacity === 1);
  const most = model.pools.map((p) => p.capacity);
  let size = spare;
  const room = (numbers: number): number => {
    const at = size;
    size += numbers;
    return at;
  };
  const cookBits = room(cooks * words);
  const cookDish = room(cooks * ((horizon >>> 1) + 1));
  const poolAt = model.pools.map((_, p) => room(single[p] ? words : (horizon >>> 2) + 1));
  const unitsOf: number[][] = [];
  const groupOf: number[] = [];
  model.groups.forEach((g, k) => {
    unitsOf.push(Array.from({ length: g.units }, () => groupOf.push(k) - 1));
  });
  const onGroup = model.groups.map((_, k) => c.unit.filter((u) => u?.group === k).length);
  const unitAt = groupOf.map((k) => room(1 + unitSize * onGroup[k]!));
  const inOven = model.ovens.map((_, k) => c.oven.filter((o) => o?.oven === k).length);
  const ovenAt = model.ovens.map((_, k) => room(1 + ovenSize * inOven[k]!));
  const state = new Int32Array(size);
  const bytes = new Uint8Array(state.buffer);
  const dishes = new Int16Array(state.buffer);
  const closed = model.groups.map((g) => {
    const bits = new Int32Array(words);
    for (const [a, b] of g.closed ?? []) paint(bits, 0, Math.max(0, a), Math.min(horizon, b), true);
    return g.closed?.length ? bits : undefined;
  });
  const wash = model.groups.map((g) => g.wash);
  let lastWash = 0;

  const reset = (): void => {
    state.fill(0, spare);
    model.cooks.forEach((cook, k) => {
      for (const [a, b] of cook.away ?? []) paint(state, cookBits + k * words, Math.max(0, a), Math.min(horizon, b), true);
    });
    model.pools.forEach((pool, p) => {
      for (const [a, b] of pool.closed ?? []) {
        const [from, to] = [Math.max(0, a), Math.min(horizon, b)];
        if (single[p]) paint(state, poolAt[p]!, from, to, true);
        else if (to > from) bytes.fill(255, poolAt[p]! * 4 + from, poolAt[p]! * 4 + to);
      }
    });
  };

  const halves = (horizon >>> 1) + 1;
  return {
    state,
    horizon,
    reset,
    unitsOf,
    cookFree: (cook, t, length) => nextFree(state, cookBits + cook * words, t, length, horizon),
    takeCook: (cook, a, b, on, dish) => {
      paint(state, cookBits + cook * words, a, b, on);
      if (!on) return;
      const row = (cookDish + cook * halves) * 2;
      for (let t = a; t < b; t += 1) dishes[row + t] = dish + 1;
    },
    lastDish: (cook, t) => {
      const busy = lastBlocked(state, cookBits + cook * words, 0, t);
      return busy < 0 ? -1 : dishes[(cookDish + cook * halves) * 2 + busy]! - 1;
    },
    gap: (cook, t) => t - 1 - lastBlocked(state, cookBits + cook * words, 0, t),
    poolFree: (pool, t, length, units) => {
      const row = poolAt[pool]!;
      if (single[pool]) return nextFree(state, row, t, length, horizon);
      const left = most[pool]! - units;
      const base = row * 4;
      let at = t;
      while (at + length <= horizon) {
        let m = at + length - 1;
        while (m >= at && bytes[base + m]! <= left) m -= 1;
        if (m < at) return at;
        at = m + 1;
      }
      return horizon;
    },
    takePool: (pool, a, b, units) => {
      const row = poolAt[pool]!;
      if (single[pool]) {
        paint(state, row, a, b, units > 0);
        return;
      }
      const base = row * 4;
      for (let m = a; m < b; m += 1) bytes[base + m]! += units;
    },
    unitFree: (unit, t, length, cls) => {
      const row = unitAt[unit]!;
      const group = groupOf[unit]!;
      const costs = wash[group]!;
      const shut = closed[group];
      const count = state[row]!;
      let at = t;
      // most work is laid near the end
      let k = count;
      while (k > 0 && state[row + 1 + (k - 1) * unitSize]! > at) k -= 1;
      let end = k > 0 ? state[row + 2 + (k - 1) * unitSize]! : 0;
      let before = k > 0 ? state[row + 3 + (k - 1) * unitSize]! : -1;
      for (;;) {
        // bookings that begin at or before this minute are behind it
        while (k < count && state[row + 1 + k * unitSize]! <= at) {
          end = state[row + 2 + k * unitSize]!;
          before = state[row + 3 + k * unitSize]!;
          k += 1;
        }
        lastWash = before < 0 ? 0 : (costs[before]?.[cls] ?? 0);
        if (end + lastWash > at) {
          at = end + lastWash;
          continue;
        }
        if (shut) {
          const free = nextFree(shut, 0, at - lastWash, lastWash + length, horizon) + lastWash;
          if (free > at) {
            at = free;
            if (at >= horizon) return horizon;
            continue;
          }
        }
        if (k < count) {
          const next = row + 1 + k * unitSize;
          const booked = state[next + 3]!;
          // a wash that is booked may not grow
          if (at + length > state[next]! - booked || (costs[cls]?.[state[next + 2]!] ?? 0) > booked) {
            at = state[next]!;
            continue;
          }
        }
        return at + length > horizon ? horizon : at;
      }
    },
    washed: () => lastWash,
    unused: (unit) => state[unitAt[unit]!] === 0,
    takeUnit: (unit, start, end, cls, washMin) => {
      const row = unitAt[unit]!;
      const count = state[row]!;
      let k = count;
      while (k > 0 && state[row + 1 + (k - 1) * unitSize]! > start) k -= 1;
      const at = row + 1 + k * unitSize;
      state.copyWithin(at + unitSize, at, row + 1 + count * unitSize);
      state[at] = start;
      state[at + 1] = end;
      state[at + 2] = cls;
      state[at + 3] = washMin;
      state[row] = count + 1;
    },
    leaveUnit: (unit, start) => {
      const row = unitAt[unit]!;
      const count = state[row]!;
      let k = 0;
      while (k < count && state[row + 1 + k * unitSize] !== start) k += 1;
      const at = row + 1 + k * unitSize;
      state.copyWithin(at, at + unitSize, row + 1 + count * unitSize);
      state[row] = count - 1;
    },
    ovenFree: (oven, t, length, shelves, tempC) => {
      const row = ovenAt[oven]!;
      const spec = model.ovens[oven]!;
      const count = state[row]!;
      let at = t;
      for (;;) {
        let used = 0;
        let jump = -1;
        for (let k = 0; k < count; k += 1) {
          const b = row + 1 + k * ovenSize;
          const start = state[b]!;
          const end = state[b + 1]!;
          const temp = state[b + 3]!;
          if (temp === tempC) {
            if (start < at + length && end > at) {
              used += state[b + 2]!;
              jump = jump < 0 ? end : Math.min(jump, end);
            }
            continue;
          }
          const before = changeMinutes(spec, tempC, temp);
          const after = changeMinutes(spec, temp, tempC);
          if (at + length + before > start && at < end + after) {
            used = shelves + spec.shelves;
            jump = end + after;
            break;
          }
        }
        // counted as if all were there at once, then minute by minute where that would be too many
        if (used + shelves <= spec.shelves) return at + length > horizon ? horizon : at;
        if (used <= spec.shelves && peak(row, count, at, length, tempC) + shelves <= spec.shelves)
          return at + length > horizon ? horizon : at;
        at = Math.max(jump, at + 1);
        if (at + length > horizon) return horizon;
      }
    },
    takeOven: (oven, start, end, shelves, tempC) => {
      const row = ovenAt[oven]!;
      const at = row + 1 + state[row]! * ovenSize;
      state[at] = start;
      state[at + 1] = end;
      state[at + 2] = shelves;
      state[at + 3] = tempC;
      state[row]! += 1;
    },
    leaveOven: (oven, start, shelves, tempC) => {
      const row = ovenAt[oven]!;
      const count = state[row]!;
      let k = 0;
      for (; k < count; k += 1) {
        const at = row + 1 + k * ovenSize;
        if (state[at] === start && state[at + 2] === shelves && state[at + 3] === tempC) break;
      }
      const at = row + 1 + k * ovenSize;
      state.copyWithin(at, at + ovenSize, row + 1 + count * ovenSize);
      state[row] = count - 1;
    },
  };

  /** Most shelves in use at once within a stretch, of loads at a temperature: it is reached where one begins. */
  function peak(row: number, count: number, at: number, length: number, tempC: number): number {
    let highest = 0;
    for (let i = -1; i < count; i += 1) {
      const m = i < 0 ? at : state[row + 1 + i * ovenSize]!;
      if (m < at || m >= at + length) continue;
      let used = 0;
      for (let k = 0; k < count; k += 1) {
        const b = row + 1 + k * ovenSize;
        if (state[b + 3] === tempC && state[b]! <= m && state[b + 1]! > m) used += state[b + 2]!;
      }
      highest = Math.max(highest, used);
    }
    return highest;
  }
}
