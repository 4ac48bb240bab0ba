import type { Minute } from './model.ts';

/** A use of one of several equal machines, with its window. */
export interface Use {
  est: Minute;
  lst: Minute;
  minutes: Minute;
}

const mostNodes = 8_000;

/**
 * Whether uses can be laid over so many equal machines, each begun within its window: some list of them laid one after the other, each as early as it goes, is a way if there is one.
 * @returns true also when looking further would take too long: only "no" is proven
 */
export function fitsAlone(uses: readonly Use[], machines: number): boolean {
  const n = uses.length;
  const order = uses.map((_, i) => i).sort((a, b) => uses[a]!.lst - uses[b]!.lst || uses[a]!.est - uses[b]!.est);
  const laid = new Uint8Array(n);
  const free = new Int32Array(machines);
  let nodes = 0;
  const visit = (left: number, last: Minute): boolean => {
    if (left === 0) return true;
    nodes += 1;
    if (nodes > mostNodes) return true;
    let earliest = Infinity;
    let machine = 0;
    for (let m = 0; m < machines; m += 1)
      if (free[m]! < earliest) {
        earliest = free[m]!;
        machine = m;
      }
    // no use that is left can begin after its window, whatever comes first
    let soonestEnd = Infinity;
    for (const i of order) {
      if (laid[i] === 1) continue;
      const u = uses[i]!;
      if (Math.max(u.est, earliest) > u.lst) return false;
      soonestEnd = Math.min(soonestEnd, Math.max(u.est, earliest, last) + u.minutes);
    }
    for (const i of order) {
      if (laid[i] === 1) continue;
      const u = uses[i]!;
      const start = Math.max(u.est, earliest, last);
      // one that would begin after another is over leaves room for that one before it
      if (start > u.lst || start >= soonestEnd) continue;
      const was = free[machine]!;
      laid[i] = 1;
      free[machine] = start + u.minutes;
      if (visit(left - 1, start)) return true;
      laid[i] = 0;
      free[machine] = was;
    }
    return false;
  };
  return visit(n, 0);
}

/** A load of an oven, with its window. */
export interface Load extends Use {
  shelves: number;
  tempC: number;
}

/**
 * The same for loads of an oven whose shelves share a temperature: whether there is any row of them, each begun as early as the ones before it allow.
 * @returns true also when looking further would take too long: only "no" is proven
 */
export function fitsOven(loads: readonly Load[], shelves: number, change: (from: number, to: number) => Minute): boolean {
  const n = loads.length;
  const order = loads.map((_, i) => i).sort((a, b) => loads[a]!.lst - loads[b]!.lst || loads[a]!.est - loads[b]!.est);
  const begun = new Int32Array(n).fill(-1);
  const row: number[] = [];
  let nodes = 0;
  const startOf = (i: number, last: Minute): Minute => {
    const load = loads[i]!;
    let start = Math.max(load.est, last);
    for (const j of row) {
      const other = loads[j]!;
      if (other.tempC !== load.tempC) start = Math.max(start, begun[j]! + other.minutes + change(other.tempC, load.tempC));
    }
    for (;;) {
      let used = load.shelves;
      let next = Infinity;
      for (const j of row) {
        const end = begun[j]! + loads[j]!.minutes;
        if (begun[j]! > start || end <= start) continue;
        used += loads[j]!.shelves;
        next = Math.min(next, end);
      }
      if (used <= shelves) return start;
      start = next;
    }
  };
  const visit = (last: Minute): boolean => {
    if (row.length === n) return true;
    nodes += 1;
    if (nodes > mostNodes) return true;
    const open: { i: number; start: Minute; end: Minute }[] = [];
    for (const i of order) {
      if (begun[i]! >= 0) continue;
      const start = startOf(i, last);
      if (start > loads[i]!.lst) return false;
      open.push({ i, start, end: start + loads[i]!.minutes });
    }
    for (const { i, start } of open) {
      const room = open.some(
        (o) => o.i !== i && o.end + (loads[o.i]!.tempC === loads[i]!.tempC ? 0 : change(loads[o.i]!.tempC, loads[i]!.tempC)) <= start,
      );
      // another would be over, and the oven changed back, before this one begins
      if (room) continue;
      begun[i] = start;
      row.push(i);
      if (visit(start)) return true;
      row.pop();
      begun[i] = -1;
    }
    return false;
  };
  return visit(0);
}
