import type { Compiled } from './compile.ts';
import { makeKitchen } from './kitchen.ts';
import type { Minute, Placed, Plan } from './model.ts';
import { makePropagator, type Windows } from './windows.ts';

/** Nodes between two looks at the clock. */
const perSlice = 200;

/** Whether starts that are settled leave a cook and a unit for everything; cooks and units by trying, in order of start. */
function assign(c: Compiled, start: Int32Array, horizon: Minute): Placed[] | undefined {
  const k = makeKitchen(c, horizon, 0);
  k.reset();
  const { model, n } = c;
  for (const s of c.spans) {
    const to = start[s.b]! + c.length[s.b]!;
    if (k.poolFree(s.pool, start[s.a]!, to - start[s.a]!, s.units) !== start[s.a]) return undefined;
    k.takePool(s.pool, start[s.a]!, to, s.units);
  }
  for (let i = 0; i < n; i += 1) {
    const t = start[i]!;
    for (const need of c.needs[i]!) {
      if (k.poolFree(need.pool, t + need.from, need.to - need.from, need.units) !== t + need.from) return undefined;
      k.takePool(need.pool, t + need.from, t + need.to, need.units);
    }
    const bake = c.oven[i];
    if (!bake) continue;
    if (k.ovenFree(bake.oven, t + bake.from, bake.to - bake.from, bake.shelves, bake.tempC) !== t + bake.from) return undefined;
    k.takeOven(bake.oven, t + bake.from, t + bake.to, bake.shelves, bake.tempC);
  }
  const order = Array.from({ length: n }, (_, i) => i).sort((a, b) => c.isFixed[b]! - c.isFixed[a]! || start[a]! - start[b]!);
  const placed: Placed[] = Array.from({ length: n }, (_, i) => ({ task: model.activities[i]!.id, start: start[i]!, wash: 0 }));
  const visit = (at: number): boolean => {
    const i = order[at];
    if (i === undefined) return true;
    if (c.cooks[i] === 0) return visit(at + 1);
    const t = start[i]!;
    const bowl = c.unit[i];
    if (c.isFixed[i] === 1) {
      // it has begun, by whom and in what is settled
      const f = c.fixed.find((x) => x.task === i)!;
      if (f.cook >= 0) k.takeCook(f.cook, t, t + c.hands[i]!, true, 0);
      if (bowl) k.takeUnit(k.unitsOf[bowl.group]![f.unit]!, t, t + bowl.to, bowl.cls, 0);
      placed[i] = {
        task: model.activities[i]!.id,
        start: t,
        ...(f.cook >= 0 && { cook: model.cooks[f.cook]!.id }),
        ...(bowl && { unit: f.unit }),
        wash: 0,
      };
      return visit(at + 1);
    }
    for (const u of bowl ? k.unitsOf[bowl.group]! : [-1]) {
      if (bowl && k.unitFree(u, t, bowl.to, bowl.cls) !== t) continue;
      const wash = bowl ? k.washed() : 0;
      if (wash > t) continue;
      for (let cook = 0; cook < model.cooks.length; cook += 1) {
        if ((c.cooks[i]! & (1 << cook)) === 0) continue;
        if (k.cookFree(cook, t - wash, wash + c.hands[i]!) !== t - wash) continue;
        k.takeCook(cook, t - wash, t + c.hands[i]!, true, 0);
        if (bowl) k.takeUnit(u, t, t + bowl.to, bowl.cls, wash);
        placed[i] = {
          task: model.activities[i]!.id,
          start: t,
          cook: model.cooks[cook]!.id,
          ...(bowl && { unit: u - k.unitsOf[bowl.group]![0]! }),
          wash,
        };
        if (visit(at + 1)) return true;
        k.takeCook(cook, t - wash, t + c.hands[i]!, false, 0);
        if (bowl) k.leaveUnit(u, t);
      }
    }
    return false;
  };
  return visit(0) ? placed : undefined;
}

/**
 * The best plan of a small session, proven: an end is supposed, windows are tightened and split until every start is settled and a cook and a bowl is found for each, or nothing is left.
 * @returns yields better plans and, at its end, whether the last one is proven; a plan is looked for under `high`
 * @example for (const found of exactly(compiled, 14, 100_000)) if (found) show(found)
 */
export function* exactly(c: Compiled, high: Minute, mostNodes: number): Generator<Plan | undefined, boolean> {
  let nodes = 0;
  let end = high - 1;
  const p = makePropagator(c, high + 1);
  let tooLong = false;
  const visit = function* (windows: Windows): Generator<undefined, Plan | undefined> {
    nodes += 1;
    if (nodes > mostNodes) {
      tooLong = true;
      return undefined;
    }
    if (nodes % perSlice === 0) yield undefined;
    let pick = -1;
    let least = Infinity;
    for (let i = 0; i < c.n; i += 1) {
      const width = windows.lst[i]! - windows.est[i]!;
      if (width > 0 && width < least && c.isFixed[i] === 0) {
        least = width;
        pick = i;
      }
    }
    if (pick < 0) {
      const placed = assign(c, windows.est, end + 1);
      return placed && { placed, makespan: Math.max(0, ...c.length.map((m, i) => windows.est[i]! + m)) };
    }
    const mid = Math.floor((windows.est[pick]! + windows.lst[pick]!) / 2);
    for (const early of [true, false]) {
      const next: Windows = { est: Int32Array.from(windows.est), lst: Int32Array.from(windows.lst) };
      if (early) next.lst[pick] = mid;
      else next.est[pick] = mid + 1;
      const tight = p.tighten(end, next);
      const found = tight && (yield* visit(tight));
      if (found ?? tooLong) return found;
    }
    return undefined;
  };
  for (;;) {
    const windows = p.tighten(end);
    const found = windows && (yield* visit(windows));
    if (!found) return !tooLong;
    yield found;
    end = found.makespan - 1;
  }
}
