import { components } from './components.ts';
import type { Minute, NoPlan, ScheduleModel } from './model.ts';

/** `start(to) >= start(from) + weight`. What comes of a longest wait runs backwards with a weight under nought. */
export interface Arc {
  from: number;
  to: number;
  weight: Minute;
  /** It comes of a longest wait. */
  back: boolean;
}

/** A model by numbers instead of names, with what does not change while plans are tried. */
export interface Compiled {
  model: ScheduleModel;
  n: number;
  hands: Int32Array;
  /** Hands and wait. */
  length: Int32Array;
  release: Int32Array;
  deadline: Int32Array;
  /** Bits of the cooks who may do it; none when it takes no hands. */
  cooks: Int32Array;
  dish: Int32Array;
  arcs: readonly Arc[];
  /** Arcs into and out of each activity. */
  into: readonly (readonly Arc[])[];
  outOf: readonly (readonly Arc[])[];
  /** The earliest start by arcs and releases, and the least from its start to the end of everything. */
  head: Int32Array;
  tail: Int32Array;
  /** Activities tied by longest waits or by a pot they hold are one block and are placed together. */
  blockOf: Int32Array;
  blocks: readonly (readonly number[])[];
  blockAfter: readonly (readonly number[])[];
  /** How many blocks each waits for. */
  blockWaits: Int32Array;
  /** Spans that begin and end with an activity. */
  opens: readonly (readonly number[])[];
  closes: readonly (readonly number[])[];
  spans: readonly { pool: number; units: number; a: number; b: number; least: Minute }[];
  needs: readonly (readonly { pool: number; units: number; from: Minute; to: Minute }[])[];
  unit: readonly ({ group: number; cls: number; to: Minute } | undefined)[];
  oven: readonly ({ oven: number; shelves: number; tempC: number; from: Minute; to: Minute } | undefined)[];
  fixed: readonly { task: number; start: Minute; cook: number; unit: number }[];
  isFixed: Uint8Array;
}

const far = 1_000_000_000;

/** Longest ways from a source with the given first values; the activities of a circle that never ends when there is one. */
function longest(n: number, arcs: readonly Arc[], first: Int32Array): readonly Arc[] | undefined {
  const by: (Arc | undefined)[] = Array.from({ length: n });
  for (let round = 0; round <= n; round += 1) {
    let moved: Arc | undefined;
    for (const arc of arcs) {
      const t = first[arc.from]! + arc.weight;
      if (t <= first[arc.to]!) continue;
      first[arc.to] = t;
      by[arc.to] = arc;
      moved = arc;
    }
    if (!moved) return undefined;
    if (round < n) continue;
    // far enough back along what moved it is a circle
    let at = moved.from;
    for (let i = 0; i < n; i += 1) at = by[at]?.from ?? at;
    const circle: Arc[] = [];
    const begin = at;
    do {
      const arc = by[at];
      if (!arc) break;
      circle.push(arc);
      at = arc.from;
    } while (at !== begin && circle.length <= n);
    return circle;
  }
  return undefined;
}

/** The least from the start of one activity of a block to that of another, along arcs that do not run back. */
function leastBetween(a: number, b: number, n: number, arcs: readonly Arc[]): number {
  const first = new Int32Array(n).fill(-far);
  first[a] = 0;
  for (let round = 0; round < n; round += 1) {
    let moved = false;
    for (const arc of arcs) {
      if (arc.back || first[arc.from]! <= -far / 2) continue;
      const t = first[arc.from]! + arc.weight;
      if (t <= first[arc.to]!) continue;
      first[arc.to] = t;
      moved = true;
    }
    if (!moved) break;
  }
  return Math.max(0, first[b]!);
}

function arcsOf(model: ScheduleModel, index: ReadonlyMap<string, number>, length: Int32Array): Arc[] {
  const arcs: Arc[] = [];
  for (const lag of model.lags) {
    const a = index.get(lag.a);
    const b = index.get(lag.b);
    if (a === undefined || b === undefined) continue;
    const shift = (lag.from === 'end' ? length[a]! : 0) - (lag.to === 'end' ? length[b]! : 0);
    arcs.push({ from: a, to: b, weight: lag.min + shift, back: false });
    if (lag.max !== undefined) arcs.push({ from: b, to: a, weight: -(lag.max + shift), back: true });
  }
  return arcs;
}

/** Who or what is asked for and is not there. */
function lacking(model: ScheduleModel): NoPlan | undefined {
  const cooks = new Set(model.cooks.map((c) => c.id));
  const nobody = model.activities.filter(
    (a) => a.hands > 0 && (cooks.size === 0 || (a.cooks !== undefined && !a.cooks.some((c) => cooks.has(c)))),
  );
  if (nobody.length > 0) return { why: 'nobody', tasks: nobody.map((a) => a.id) };
  for (const a of model.activities) {
    for (const need of a.pools ?? []) {
      const pool = model.pools.find((p) => p.id === need.pool);
      if (!pool || need.units > pool.capacity) return { why: 'tooLarge', tasks: [a.id], needs: need.pool };
    }
    const { unit, oven } = a;
    if (unit && !model.groups.some((g) => g.id === unit.group && g.units > 0)) return { why: 'tooLarge', tasks: [a.id], needs: unit.group };
    if (oven && !model.ovens.some((o) => o.id === oven.oven && o.shelves >= oven.shelves))
      return { why: 'tooLarge', tasks: [a.id], needs: oven.oven };
  }
  for (const span of model.spans)
    if (!model.pools.some((p) => p.id === span.pool && p.capacity >= span.units))
      return { why: 'tooLarge', tasks: [span.a], needs: span.pool };
  return undefined;
}

/**
 * Numbers for names, arcs for lags, blocks, heads and tails.
 * @returns why there is no plan when activities wait for each other, a window cannot be met, nobody may do one, or a need is larger than what there is
 * @example compile(model) // { ok: true, compiled }
 */
export function compile(model: ScheduleModel): { ok: true; compiled: Compiled } | { ok: false; none: NoPlan } {
  const none = lacking(model);
  if (none) return { ok: false, none };
  const { activities } = model;
  const n = activities.length;
  const index = new Map(activities.map((a, i) => [a.id, i]));
  const at = <T extends { id: string }>(list: readonly T[], id: string): number => list.findIndex((x) => x.id === id);
  const of = (pick: (a: (typeof activities)[number]) => number): Int32Array => Int32Array.from(activities, pick);
  const length = of((a) => a.hands + a.wait);
  const release = of((a) => a.release ?? 0);
  const arcs = arcsOf(model, index, length);
  const fixed = model.fixed.flatMap((f) => {
    const task = index.get(f.task);
    return task === undefined
      ? []
      : [{ task, start: f.start, cook: f.cook === undefined ? -1 : at(model.cooks, f.cook), unit: f.unit ?? 0 }];
  });
  const isFixed = new Uint8Array(n);
  for (const f of fixed) isFixed[f.task] = 1;

  const head = Int32Array.from(release);
  for (const f of fixed) head[f.task] = f.start;
  // what has begun stands where it stands, whatever it should have waited for
  const open = arcs.filter((a) => isFixed[a.to] === 0);
  const circle = longest(n, open, head);
  if (circle)
    return {
      ok: false,
      none: {
        why: circle.some((a) => a.back) ? 'window' : 'circle',
        tasks: [...new Set(circle.map((a) => activities[a.from]!.id))].reverse(),
      },
    };
  const tail = Int32Array.from(length);
  longest(
    n,
    open.map((a) => ({ ...a, from: a.to, to: a.from })),
    tail,
  );

  const spans = model.spans.flatMap((s) => {
    const a = index.get(s.a);
    const b = index.get(s.b);
    if (a === undefined || b === undefined) return [];
    return [{ pool: at(model.pools, s.pool), units: s.units, a, b, least: leastBetween(a, b, n, open) + length[b]! }];
  });
  const ties: [number, number][] = [
    ...arcs.map((a): [number, number] => [a.from, a.to]),
    ...spans.map((s): [number, number] => [s.b, s.a]),
  ];
  const blockOf = components(n, [...ties, ...spans.map((s): [number, number] => [s.a, s.b])]);
  const count = Math.max(-1, ...blockOf) + 1;
  const blocks: number[][] = Array.from({ length: count }, () => []);
  for (let i = 0; i < n; i += 1) blocks[blockOf[i]!]!.push(i);
  for (const members of blocks) members.sort((a, b) => head[a]! - head[b]! || tail[b]! - tail[a]!);
  const after = blocks.map(() => new Set<number>());
  for (const arc of arcs) if (blockOf[arc.from] !== blockOf[arc.to]) after[blockOf[arc.from]!]!.add(blockOf[arc.to]!);
  const blockWaits = new Int32Array(count);
  for (const set of after) for (const b of set) blockWaits[b]! += 1;

  const dishes = [...new Set(activities.map((a) => a.dish ?? a.id))];
  const all = model.cooks.reduce((bits, _, i) => bits | (1 << i), 0);
  const compiled: Compiled = {
    model,
    n,
    hands: of((a) => a.hands),
    length,
    release,
    deadline: of((a) => a.deadline ?? far),
    cooks: of((a) => {
      if (a.hands === 0 && !a.unit) return 0;
      return a.cooks ? model.cooks.reduce((bits, c, i) => (a.cooks!.includes(c.id) ? bits | (1 << i) : bits), 0) : all;
    }),
    dish: of((a) => dishes.indexOf(a.dish ?? a.id)),
    arcs: open,
    into: activities.map((_, i) => open.filter((a) => a.to === i)),
    outOf: activities.map((_, i) => open.filter((a) => a.from === i)),
    head,
    tail,
    blockOf,
    blocks,
    blockAfter: after.map((set) => [...set]),
    blockWaits,
    opens: activities.map((_, i) => spans.flatMap((s, k) => (s.a === i ? [k] : []))),
    closes: activities.map((_, i) => spans.flatMap((s, k) => (s.b === i ? [k] : []))),
    spans,
    needs: activities.map((a) =>
      (a.pools ?? []).filter((p) => p.to > p.from).map((p) => ({ pool: at(model.pools, p.pool), units: p.units, from: p.from, to: p.to })),
    ),
    unit: activities.map((a) => a.unit && { group: at(model.groups, a.unit.group), cls: a.unit.cls, to: a.unit.to }),
    oven: activities.map((a) => a.oven && { ...a.oven, oven: at(model.ovens, a.oven.oven) }),
    fixed,
    isFixed,
  };
  return { ok: true, compiled };
}
