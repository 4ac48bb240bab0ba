import { changeMinutes, type Activity, type Minute, type ScheduleModel } from './model.ts';

/**
 * The least makespan by trying every start of every activity, every cook and every bowl: for tests, on small sessions only. It shares no code with the scheduler.
 * @param most longest makespan that is looked for
 * @returns undefined when there is no plan up to it, or when it would take more than `tries`
 * @example leastMakespan(generateSmall(6, random), 40, 5e6)
 */
export function leastMakespan(model: ScheduleModel, most: Minute, tries: number): { minutes?: Minute; gaveUp: boolean } {
  const list = inOrder(model);
  const known = knownOf(model);
  const longest = tails(model);
  let left = tries;
  for (let end = Math.max(0, ...longest.values()); end <= most; end += 1) {
    if (endsBy(end)) return { minutes: end, gaveUp: false };
    if (left <= 0) return { gaveUp: true };
  }
  return { gaveUp: false };

  function endsBy(end: Minute): boolean {
    const start = new Map<string, Minute>();
    const cookOf = new Map<string, string>();
    const unitOf = new Map<string, number>();
    const visit = (at: number): boolean => {
      const a = list[at];
      if (!a) return washed(model, start, cookOf, unitOf);
      left -= 1;
      if (left <= 0) return false;
      for (let t = a.release ?? 0; t + longest.get(a.id)! <= end; t += 1) {
        start.set(a.id, t);
        if (!lagsHold(known, start, a.id) || !roomFor(model, known, start, a)) continue;
        for (const cook of a.hands > 0 || a.unit ? (a.cooks ?? model.cooks.map((k) => k.id)) : ['']) {
          if (cook && !freeHands(model, start, cookOf, a, t, cook)) continue;
          const units = a.unit ? (model.groups.find((g) => g.id === a.unit!.group)?.units ?? 0) : 1;
          for (let u = 0; u < units; u += 1) {
            cookOf.set(a.id, cook);
            unitOf.set(a.id, u);
            if (visit(at + 1)) return true;
          }
        }
        cookOf.delete(a.id);
        unitOf.delete(a.id);
      }
      start.delete(a.id);
      return false;
    };
    return visit(0);
  }
}

const lengthOf = (a: Activity): Minute => a.hands + a.wait;

/** What does not change from try to try. */
interface Known {
  length: ReadonlyMap<string, Minute>;
  lags: ReadonlyMap<string, readonly ScheduleModel['lags'][number][]>;
  /** Pools that an activity uses, or holds with another. */
  pools: ReadonlyMap<string, readonly ScheduleModel['pools'][number][]>;
}

const knownOf = (model: ScheduleModel): Known => ({
  length: new Map(model.activities.map((a) => [a.id, lengthOf(a)])),
  lags: new Map(model.activities.map((a) => [a.id, model.lags.filter((l) => l.a === a.id || l.b === a.id)])),
  pools: new Map(
    model.activities.map((a) => [
      a.id,
      model.pools.filter(
        (p) => a.pools?.some((n) => n.pool === p.id) || model.spans.some((s) => s.pool === p.id && (s.a === a.id || s.b === a.id)),
      ),
    ]),
  ),
});

/** Each after those it is tied to, so that a broken lag shows soon. */
function inOrder(model: ScheduleModel): Activity[] {
  const rest = [...model.activities];
  const out: Activity[] = [];
  while (rest.length > 0) {
    const tied = rest.find((a) =>
      model.lags.some((l) => (l.a === a.id && out.some((o) => o.id === l.b)) || (l.b === a.id && out.some((o) => o.id === l.a))),
    );
    const next = tied ?? rest[0]!;
    out.push(next);
    rest.splice(rest.indexOf(next), 1);
  }
  return out;
}

/** At least so long from the start of each to the end of everything: itself, and what must come after it. */
function tails(model: ScheduleModel): Map<string, Minute> {
  const tail = new Map(model.activities.map((a) => [a.id, lengthOf(a)]));
  for (let i = 0; i < model.activities.length; i += 1)
    for (const l of model.lags) {
      const a = model.activities.find((x) => x.id === l.a)!;
      const b = model.activities.find((x) => x.id === l.b)!;
      const apart = l.min + (l.from === 'end' ? lengthOf(a) : 0) - (l.to === 'end' ? lengthOf(b) : 0);
      tail.set(l.a, Math.max(tail.get(l.a)!, apart + tail.get(l.b)!));
    }
  return tail;
}

function lagsHold(known: Known, start: ReadonlyMap<string, Minute>, id: string): boolean {
  const moment = (task: string, which: 'start' | 'end'): Minute | undefined => {
    const s = start.get(task);
    return s === undefined || which === 'start' ? s : s + known.length.get(task)!;
  };
  return known.lags.get(id)!.every((l) => {
    const [a, b] = [moment(l.a, l.from), moment(l.b, l.to)];
    return a === undefined || b === undefined || (b - a >= l.min && b - a <= (l.max ?? Infinity));
  });
}

/** Pools, spans and ovens, as far as activities are laid and the last of them uses them. */
function roomFor(model: ScheduleModel, known: Known, start: ReadonlyMap<string, Minute>, last: Activity): boolean {
  const laid = model.activities.filter((a) => start.has(a.id));
  for (const pool of known.pools.get(last.id)!) {
    const uses: (readonly [Minute, Minute, number])[] = [];
    for (const a of laid)
      for (const p of a.pools ?? []) if (p.pool === pool.id) uses.push([start.get(a.id)! + p.from, start.get(a.id)! + p.to, p.units]);
    for (const s of model.spans)
      if (s.pool === pool.id && start.has(s.a) && start.has(s.b))
        uses.push([start.get(s.a)!, start.get(s.b)! + known.length.get(s.b)!, s.units]);
    for (const [from, to] of uses) {
      if ((pool.closed ?? []).some(([a, b]) => from < b && a < to)) return false;
      // what is in use at once is most where a use begins
      let used = 0;
      for (const [a, b, units] of uses) if (a <= from && from < b) used += units;
      if (from < to && used > pool.capacity) return false;
    }
  }
  if (!last.oven) return true;
  const oven = model.ovens.find((o) => o.id === last.oven!.oven)!;
  const loads = laid.filter((a) => a.oven?.oven === oven.id);
  for (const a of loads)
    for (const b of loads) {
      if (a === b || a.oven!.tempC === b.oven!.tempC) continue;
      const [aTo, bFrom] = [start.get(a.id)! + a.oven!.to, start.get(b.id)! + b.oven!.from];
      const [bTo, aFrom] = [start.get(b.id)! + b.oven!.to, start.get(a.id)! + a.oven!.from];
      if (
        bFrom < aTo + changeMinutes(oven, a.oven!.tempC, b.oven!.tempC) &&
        aFrom < bTo + changeMinutes(oven, b.oven!.tempC, a.oven!.tempC)
      )
        return false;
    }
  for (const a of loads) {
    const m = start.get(a.id)! + a.oven!.from;
    const used = loads.reduce(
      (sum, b) => sum + (start.get(b.id)! + b.oven!.from <= m && m < start.get(b.id)! + b.oven!.to ? b.oven!.shelves : 0),
      0,
    );
    if (used > oven.shelves) return false;
  }
  return true;
}

/** Hands without the washes, which are known when all is laid. */
function freeHands(
  model: ScheduleModel,
  start: ReadonlyMap<string, Minute>,
  cookOf: ReadonlyMap<string, string>,
  a: Activity,
  t: Minute,
  cook: string,
): boolean {
  const away = model.cooks.find((k) => k.id === cook)?.away ?? [];
  if (away.some(([from, to]) => t < to && from < t + a.hands)) return false;
  return model.activities.every((b) => {
    if (b.id === a.id || cookOf.get(b.id) !== cook || !start.has(b.id)) return true;
    const s = start.get(b.id)!;
    return t + a.hands <= s || s + b.hands <= t;
  });
}

/** Bowls one at a time, with the wash between two classes just before the later work, by hands that are free for it. */
function washed(
  model: ScheduleModel,
  start: ReadonlyMap<string, Minute>,
  cookOf: ReadonlyMap<string, string>,
  unitOf: ReadonlyMap<string, number>,
): boolean {
  const wash = new Map<string, Minute>();
  for (const group of model.groups)
    for (let u = 0; u < group.units; u += 1) {
      const on = model.activities
        .filter((a) => a.unit?.group === group.id && unitOf.get(a.id) === u)
        .sort((a, b) => start.get(a.id)! - start.get(b.id)!);
      for (const [i, b] of on.entries()) {
        const a = on[i - 1];
        const w = a ? (group.wash[a.unit!.cls]?.[b.unit!.cls] ?? 0) : 0;
        const from = start.get(b.id)! - w;
        if (from < (a ? start.get(a.id)! + a.unit!.to : 0)) return false;
        if ((group.closed ?? []).some(([x, y]) => from < y && x < start.get(b.id)! + b.unit!.to)) return false;
        wash.set(b.id, w);
      }
    }
  const busy = model.activities
    .filter((a) => cookOf.get(a.id))
    .map((a) => ({ cook: cookOf.get(a.id)!, from: start.get(a.id)! - (wash.get(a.id) ?? 0), to: start.get(a.id)! + a.hands }));
  return busy.every(
    (b, i) =>
      !(model.cooks.find((k) => k.id === b.cook)?.away ?? []).some(([x, y]) => b.from < y && x < b.to) &&
      busy.every((o, j) => i === j || o.cook !== b.cook || o.to <= b.from || b.to <= o.from),
  );
}
