import type { Finding, Random } from '#core/solve';
import { simpleBounds } from './bounds.ts';
import { checkPlan } from './check.ts';
import { destructiveBound } from './destructive.ts';
import { disjunctiveOf, planOf, sequenceOf } from './disjunctive.ts';
import { exactly } from './exact.ts';
import { stuckIn } from './stuck.ts';
import { compile, type Compiled } from './compile.ts';
import { lateWeight, makeDecoder, type Decoded, type Decoder } from './decode.ts';
import type { NoPlan, Plan, ScheduleModel } from './model.ts';
import { shopBound } from './shopBound.ts';
import { tabuSearch } from './tabu.ts';

/** A model with what is known of it already. */
export interface SearchProblem {
  model: ScheduleModel;
  /** An older plan: its order is the first answer, and its cooks keep what they have where that costs nothing. */
  from?: Plan;
  /** Its order stands: nothing else is looked for. */
  keepOrder?: boolean;
  /** It is laid before everything that it does not wait for. */
  first?: string;
}

/** Orders tried in one step of the search. */
export const perStep = 40;

interface Engine {
  c: Compiled;
  decoder: Decoder;
  random: Random;
  /** The order that is improved on, as placed, and its cost. */
  order: Int32Array;
  cost: number;
  best: { order: Int32Array; cost: number; plan: Plan };
  better: boolean;
}

const int = (random: Random, n: number): number => Math.floor(random() * n);

/** Moves the block at a place of the order to another; the first place that changed. */
function shift(order: Int32Array, a: number, b: number): number {
  const block = order[a]!;
  if (a < b) order.copyWithin(a, a + 1, b + 1);
  else order.copyWithin(b + 1, b, a);
  order[b] = block;
  return Math.min(a, b);
}

/** How far a block may move in an order before it meets what it waits for, or what waits for it. */
function reach(c: Compiled, order: Int32Array, at: number, to: number): number {
  const block = order[at]!;
  const step = to > at ? 1 : -1;
  let p = at;
  while (p !== to) {
    const other = order[p + step]!;
    const tied = step > 0 ? c.blockAfter[block]!.includes(other) : c.blockAfter[other]!.includes(block);
    if (tied) break;
    p += step;
  }
  return p;
}

function moveOne(e: Engine, order: Int32Array): number {
  const n = order.length;
  const at = int(e.random, n);
  const far = e.random() < 0.5 ? n : 8;
  const to = reach(e.c, order, at, Math.max(0, Math.min(n - 1, at + int(e.random, 2 * far + 1) - far)));
  return to === at ? n : shift(order, at, to);
}

/** Moves several blocks at once: those of a dish, or those that bake at one temperature, keeping their order. */
function moveWhole(order: Int32Array, random: Random, labelOf: Int32Array): number {
  const n = order.length;
  const label = labelOf[order[int(random, n)]!]!;
  if (label < 0) return n;
  const mine = order.filter((b) => labelOf[b] === label);
  const rest = order.filter((b) => labelOf[b] !== label);
  const to = int(random, rest.length + 1);
  const next = Int32Array.from([...rest.subarray(0, to), ...mine, ...rest.subarray(to)]);
  let first = 0;
  while (first < n && next[first] === order[first]) first += 1;
  order.set(next);
  return first;
}

/** What each block belongs to: its dish, and the temperature that it, or what it leads to, bakes at. */
function labels(c: Compiled): { dish: Int32Array; temp: Int32Array } {
  const dish = Int32Array.from(c.blocks, (members) => c.dish[members[0]!]!);
  const temp = Int32Array.from(c.blocks, (members) => members.map((i) => c.oven[i]?.tempC ?? -1).find((t) => t >= 0) ?? -1);
  // blocks are numbered along the arcs: from the last back to the first
  for (let b = temp.length - 1; b >= 0; b -= 1)
    if (temp[b]! < 0) temp[b] = c.blockAfter[b]!.map((to) => temp[to]!).find((t) => t >= 0) ?? -1;
  return { dish, temp };
}

/** Tries an order; keeps it when it costs no more than the limit. */
function tryOrder(e: Engine, order: Int32Array, from: number, limit: number): boolean {
  const found = e.decoder.decode(order, from, limit);
  if (!found.ok || found.cost > limit) return false;
  take(e, found);
  return true;
}

function take(e: Engine, found: Decoded): void {
  e.decoder.keep();
  e.order.set(e.decoder.placedOrder);
  e.cost = found.cost;
  if (found.cost >= e.best.cost - 1e-9) return;
  e.better ||= found.makespan + found.late * lateWeight < e.best.plan.makespan + lateOf(e.c, e.best.plan) * lateWeight;
  const plan = e.decoder.plan();
  e.best = { order: Int32Array.from(e.order), cost: found.cost, plan };
}

/** Minutes over deadlines of a plan. */
export function lateOf(c: Compiled, plan: Plan): number {
  let late = 0;
  plan.placed.forEach((p, i) => {
    const end = p.start + c.length[i]!;
    if (end > c.deadline[i]!) late += end - c.deadline[i]!;
  });
  return late;
}

/** Back to an order that was kept before. */
function goTo(e: Engine, order: Int32Array): void {
  const found = e.decoder.decode(order, 0, Infinity);
  if (found.ok) take(e, found);
}

type Walk = Generator<void, void>;

/** Annealing over moves of blocks, whole dishes and whole oven temperatures; it cools by steps done of steps allowed. */
function* annealing(e: Engine, steps: number, warm: number): Walk {
  const { dish, temp } = labels(e.c);
  const order = Int32Array.from(e.order);
  for (let s = 0; s < steps; s += 1) {
    const degree = Math.max(0.05, warm * (1 - s / steps));
    for (let k = 0; k < perStep; k += 1) {
      order.set(e.order);
      const chance = e.random();
      const whole = chance < 0.03 ? dish : chance < 0.06 ? temp : undefined;
      let first = whole ? moveWhole(order, e.random, whole) : moveOne(e, order);
      if (!whole && e.random() < 0.25) first = Math.min(first, moveOne(e, order));
      if (first >= order.length) continue;
      tryOrder(e, order, first, e.cost - degree * Math.log(1 - e.random()));
    }
    yield;
  }
}

/** Climbing by one to three moves; what costs no more is taken. */
function* climbing(e: Engine, steps: number): Walk {
  const order = Int32Array.from(e.order);
  for (let s = 0; s < steps; s += 1) {
    for (let k = 0; k < perStep; k += 1) {
      order.set(e.order);
      let first = order.length;
      for (let m = 1 + int(e.random, 3); m > 0; m -= 1) first = Math.min(first, moveOne(e, order));
      if (first < order.length) tryOrder(e, order, first, e.cost);
    }
    yield;
  }
}

/** Several short climbs, each from an order of its own; what follows goes on from the best of them. */
function* restarts(e: Engine, steps: number, times: number): Walk {
  let best: { order: Int32Array; cost: number } | undefined;
  for (let k = 0; k < times; k += 1) {
    goTo(e, noisy(e, 15 + 15 * (k % 4)));
    yield* climbing(e, Math.ceil(steps / times));
    if (!best || e.cost < best.cost) best = { order: Int32Array.from(e.order), cost: e.cost };
  }
  if (best) goTo(e, best.order);
}

/** Takes some blocks out, by chance, of a stretch or of a dish, and puts each in elsewhere. */
function* ruin(e: Engine, steps: number): Walk {
  const { dish } = labels(e.c);
  const n = e.order.length;
  for (let s = 0; s < steps; s += 1) {
    for (let k = 0; k < perStep; k += 1) {
      const order = Int32Array.from(e.order);
      const many = 2 + int(e.random, 11);
      const way = e.random();
      const at = int(e.random, n);
      let first = n;
      if (way < 0.4) for (let m = 0; m < many; m += 1) first = Math.min(first, moveOne(e, order));
      else {
        const out = new Set(
          way < 0.75 ? order.subarray(at, Math.min(n, at + many)) : order.filter((b) => dish[b] === dish[order[at]!] && e.random() < 0.7),
        );
        for (let p = 0; p < n; p += 1) {
          if (!out.has(order[p]!)) continue;
          out.delete(order[p]!);
          const to = reach(e.c, order, p, Math.max(0, Math.min(n - 1, p + int(e.random, 25) - 12)));
          if (to !== p) first = Math.min(first, shift(order, p, to));
        }
      }
      if (first < n) tryOrder(e, order, first, e.cost + (e.random() < 0.02 ? 1 : 0));
    }
    yield;
  }
}

/** Rules of priority for the first answers: the longest tail, with its hands, with a share of the head, and by chance around it. */
function ordersBy(c: Compiled): Int32Array[] {
  const of = (weigh: (i: number) => number): Int32Array => {
    const weight = c.blocks.map((members) => Math.max(...members.map(weigh)));
    return Int32Array.from(c.blocks.keys()).sort((a, b) => weight[b]! - weight[a]! || a - b);
  };
  const after = c.blocks.map((_, b) => c.blockAfter[b]!.length);
  return [
    of((i) => c.tail[i]!),
    of((i) => c.tail[i]! + c.hands[i]!),
    of((i) => c.tail[i]! - 0.3 * c.head[i]!),
    of((i) => c.tail[i]! + 3 * after[c.blockOf[i]!]!),
  ];
}

/** The longest tail first, with chance, and the temperatures of the ovens in an order by chance. */
function noisy(e: Engine, spread: number): Int32Array {
  const { temp } = labels(e.c);
  const ahead = new Map([...new Set(temp)].map((t) => [t, t < 0 ? 0 : e.random() * 4 * spread]));
  const weight = e.c.blocks.map(
    (members, b) => Math.max(...members.map((i) => e.c.tail[i]!)) + (e.random() - 0.5) * spread + (ahead.get(temp[b]!) ?? 0),
  );
  return Int32Array.from(e.c.blocks.keys()).sort((a, b) => weight[b]! - weight[a]!);
}

/** Order and cooks of an older plan. */
function orderOf(c: Compiled, plan: Plan, first: string | undefined): { order: Int32Array; cooks: number[] } {
  const at = new Map(plan.placed.map((p) => [p.task, p]));
  const ahead = c.blocks.findIndex((members) => members.some((i) => c.model.activities[i]!.id === first));
  const start = c.blocks.map((members) => Math.min(...members.map((i) => at.get(c.model.activities[i]!.id)?.start ?? 1e6)));
  return {
    order: Int32Array.from(c.blocks.keys()).sort((a, b) => Number(b === ahead) - Number(a === ahead) || start[a]! - start[b]! || a - b),
    cooks: c.model.activities.map((a) => c.model.cooks.findIndex((k) => k.id === at.get(a.id)?.cook)),
  };
}

const wide = (c: Compiled): number => {
  const shut = [
    ...c.model.cooks.flatMap((k) => k.away ?? []),
    ...c.model.pools.flatMap((p) => p.closed ?? []),
    ...c.model.groups.flatMap((g) => g.closed ?? []),
  ];
  // a calendar may push everything behind its last stretch
  const late = Math.max(0, ...shut.map(([, to]) => to), ...c.fixed.map((f) => f.start + c.length[f.task]!), ...c.head);
  return c.length.reduce((sum, m) => sum + m, 0) + late + c.n * 8 + 60;
};

/**
 * The order of work with the least makespan: bounds first, then the best of several rules, then rounds of annealing, climbing from noisy tails and ruin and recreate, each
 * round longer than the last. An answer comes with the first step. The same seed and steps give the same plan.
 * @example solve(scheduleSearch, { model }, { seed: 1, mostSteps: 200 })
 */
export function* scheduleSearch(
  { model, from, keepOrder = false, first }: SearchProblem,
  random: Random,
): Generator<Finding<Plan, NoPlan>, void> {
  const made = compile(model);
  if (!made.ok) {
    yield { impossible: made.none };
    return;
  }
  const c = made.compiled;
  const bound = simpleBounds(c)[0]!.minutes;
  yield { bound };
  if (c.n === 0) {
    yield { answer: { placed: [], makespan: 0 }, cost: 0 };
    return;
  }
  // a plan that is still legal is never lost: what follows can only be better
  const stands = from && checkPlan(model, from).every((f) => f.code === 'tooLate') ? from : undefined;
  if (stands) yield { answer: stands, cost: costOf(c, stands) };
  const older = from && orderOf(c, from, first);
  if (older && keepOrder && stands) return;
  const firsts = older && keepOrder ? [older.order] : [...(older ? [older.order] : []), ...ordersBy(c)];
  let decoder = makeDecoder(c, wide(c), bound);
  if (older) decoder.prefer(older.cooks);
  let best: { order: Int32Array; cost: number; plan: Plan } | undefined;
  for (const order of firsts) {
    const found = decoder.decode(order, 0, best ? best.cost : Infinity);
    if (!found.ok || (best && found.cost >= best.cost)) continue;
    best = { order: Int32Array.from(decoder.placedOrder), cost: found.cost, plan: decoder.plan() };
    yield { answer: best.plan, cost: costOf(c, best.plan) };
  }
  if (best && keepOrder && older) return;
  if (c.n <= mostExact && !c.deadline.some((d) => d < 1e6)) {
    let shortest = Math.min(best?.plan.makespan ?? Infinity, stands?.makespan ?? Infinity, wide(c));
    const walk = exactly(c, shortest, mostNodes);
    let step = walk.next();
    for (; !step.done; step = walk.next())
      if (step.value) {
        shortest = step.value.makespan;
        yield { answer: step.value, cost: shortest };
      } else yield { nothing: true };
    // a horizon that is refuted when nothing was found is not a bound
    if (step.value && shortest < wide(c)) {
      yield { bound: shortest };
      return;
    }
  }
  if (!best) {
    const none = stuckIn(c);
    if (none) yield { impossible: none };
    return;
  }
  const shop = disjunctiveOf(c);
  if (shop) {
    const begin = sequenceOf(
      shop,
      best.plan.placed.map((p) => p.start),
    );
    let low = best.plan.makespan;
    let step = 0;
    let proof: Generator<number, number> | undefined;
    for (const found of tabuSearch(shop, begin, random)) {
      step += 1;
      if (found && found.makespan < low) {
        low = found.makespan;
        yield { answer: planOf(c, found), cost: low };
      } else yield { nothing: true };
      // by turns: a better order, then a piece of the proof
      if (step === beforeProof) proof = shopBound(shop, bound, low);
      const proven = proof?.next();
      if (!proven) continue;
      if (proven.done) proof = undefined;
      yield { bound: proven.value };
      if (proven.value >= low) return;
    }
    yield { bound: low };
    return;
  }
  decoder = makeDecoder(
    c,
    Math.max(Math.ceil(best.plan.makespan * 1.15) + 20, ...c.fixed.map((f) => f.start + c.length[f.task]! + 20)),
    bound,
  );
  if (older) decoder.prefer(older.cooks);
  const e: Engine = { c, decoder, random, order: Int32Array.from(best.order), cost: best.cost, best, better: false };
  goTo(e, best.order);
  for (let round = 0; ; round += 1) {
    const long = 40 + 20 * Math.min(6, round);
    const walks: (() => Walk)[] = [
      () => annealing(e, long, e.best.plan.makespan * 0.006),
      () => restarts(e, long * 2, 4 + round),
      () => annealing(e, long, e.best.plan.makespan * 0.004),
      () => {
        goTo(e, e.best.order);
        return ruin(e, long);
      },
    ];
    for (const walk of walks)
      for (const _ of walk()) {
        if (e.better) {
          e.better = false;
          yield { answer: e.best.plan, cost: costOf(c, e.best.plan) };
        } else yield { nothing: true };
      }
    // what is dear to prove is proven once the plan is good
    if (round === 0) for (const proven of destructiveBound(c, bound, e.best.plan.makespan)) yield { bound: proven };
  }
}

/** Sessions of so many activities are settled exactly, if it does not take too long. */
const mostExact = 12;
const mostNodes = 20_000;
/** Steps of a job shop before its bound is proven as far as it goes. */
const beforeProof = 40;

const costOf = (c: Compiled, plan: Plan): number => plan.makespan + lateOf(c, plan) * lateWeight;
