import type { Batch, EventData, Revision, Session, TamboEvent } from '#core/contract';
import { tasksFor, type LastTimes } from '#core/cook';
import { learnedYield, nextMinutes, type Learned } from '#core/recipe';
import { effective } from '#core/store';
import { sessionLog } from './log.ts';
import type { Run } from './run.ts';
import type { World } from './world.ts';

/** A litre of food that weighs less or more was a slip of the hand, not a lesson. */
const likelyDensity = { least: 0.2, most: 1.6 } as const;

/** What a weighing says a millilitre weighs: a tub that was filled and weighed; before tubs were kept, weight by volume. */
function taughtDensity(data: EventData<'weighed'>): number | undefined {
  const taught = data.tub
    ? data.tub.g / data.tub.ml
    : data.gPerMl === undefined && data.netG !== undefined
      ? data.netG / data.volumeMl
      : undefined;
  return taught !== undefined && taught >= likelyDensity.least && taught <= likelyDensity.most ? taught : undefined;
}

/**
 * One run from its weighing: grams by grams, millilitres by millilitres (decision 43).
 * @example runOf(saturday, batch, stew, weighing).ratio // 0.96
 */
export function runOf(session: Session, batch: Batch, revision: Revision, data: EventData<'weighed'>): Run {
  const planned = batch.portions * (revision.cubeMl ?? revision.serving.amount);
  const inGrams = revision.serving.unit === 'g' && revision.cubeMl === undefined;
  const taught = taughtDensity(data);
  const density = taught ?? revision.density?.gPerMl;
  const weighed = inGrams ? (data.netG ?? data.volumeMl * (density ?? 1)) : data.volumeMl;
  return {
    sessionId: session.id,
    batchId: batch.id,
    day: session.day,
    portions: batch.portions,
    planned,
    weighed,
    unit: inGrams ? 'g' : 'ml',
    ratio: (weighed * (batch.yieldFactor ?? 1)) / planned,
    ...(taught !== undefined && { density: taught }),
  };
}

/** Weighed batches by recipe, the oldest first. @example runsOf(sessions, yieldEvents, revisionOf).get(stew.recipeId) */
export function runsOf(
  sessions: readonly Session[],
  events: readonly TamboEvent[],
  revisionOf: (id: string) => Revision | undefined,
): Map<string, Run[]> {
  const weighed = new Map(effective(events).flatMap((e) => (e.type === 'weighed' ? [[e.data.batchId, e.data] as const] : [])));
  const runs = new Map<string, Run[]>();
  for (const session of sessions.toSorted((a, b) => a.day.localeCompare(b.day) || a.id.localeCompare(b.id))) {
    for (const batch of session.batches) {
      const data = weighed.get(batch.id);
      const revision = data && revisionOf(batch.revisionId);
      if (!data || !revision) continue;
      runs.set(batch.recipeId, [...(runs.get(batch.recipeId) ?? []), runOf(session, batch, revision, data)]);
    }
  }
  return runs;
}

/**
 * What came out of a recipe so far, as a share of what is written.
 * @example learnedFrom(runs).factor // 0.96: four in the hundred less than written
 */
export const learnedFrom = (runs: readonly Run[]): Learned => learnedYield(runs.map((r) => r.ratio));

/**
 * Edible shares learned from what was bought and what was left of it, by ingredient.
 * @example trimsOf(events, (id) => finder.byId(id)?.ediblePct).get('leek')?.factor // 0.55
 */
export function trimsOf(events: readonly TamboEvent[], writtenPct: (ingredientId: string) => number | undefined): Map<string, Learned> {
  const seen = new Map<string, number[]>();
  for (const e of effective(events)) {
    if (e.type !== 'trimmed' || e.data.usableG <= 0 || e.data.usableG > e.data.boughtG) continue;
    seen.set(e.data.ingredientId, [...(seen.get(e.data.ingredientId) ?? []), e.data.usableG / e.data.boughtG]);
  }
  return new Map(
    [...seen].map(([id, shares]) => {
      const pct = writtenPct(id);
      // a share that was never known is not 100 %
      return [id, learnedYield(shares, pct === undefined ? null : pct / 100)];
    }),
  );
}

/** A session of which fewer tasks were timed says nothing of the whole. */
const fewestTimed = 3;

/**
 * How long each task took the last time against what was planned for that size: the next plan takes the same factor (COMPUTATION: times are not blended).
 * @param sessions finished ones, any order; the newest run of each task stands
 * @example lastTimes(sessions, eventsOf, world).get('prep:onion:diced:10')?.actual // 22
 */
export const lastTimes = (...of: Parameters<typeof learnedTimes>): LastTimes => learnedTimes(...of).times;

/**
 * The last run of each task, and how whole sessions went: minutes that the timed work took against what had been foretold for it then, the newest last.
 * @example learnedTimes(sessions, eventsOf, world).paces // [1.1, 0.97]: the first took a tenth longer
 */
export function learnedTimes(
  sessions: readonly Session[],
  eventsOf: (sessionId: string) => readonly TamboEvent[],
  world: Pick<World, 'revision' | 'scale' | 'finder'>,
): { times: LastTimes; paces: number[] } {
  const times: LastTimes = new Map();
  const paces: number[] = [];
  for (const session of sessions.toSorted((a, b) => a.day.localeCompare(b.day) || a.id.localeCompare(b.id))) {
    const log = sessionLog(eventsOf(session.id));
    if (![...log.tasks.values()].some((t) => t.actualMin !== undefined)) continue;
    const dishes = session.batches.flatMap((batch) => {
      const revision = world.revision(batch.revisionId);
      const r = revision && world.scale(revision, batch.portions, batch.yieldFactor);
      return revision && r?.ok ? [{ batch, revision, scaled: r.scaled }] : [];
    });
    let foretold = 0;
    let took = 0;
    let timed = 0;
    for (const task of tasksFor(dishes, world.finder)) {
      const actual = log.tasks.get(task.id)?.actualMin;
      const planned = task.handsOnMin + task.waitMin;
      if (actual === undefined || actual <= 0 || planned <= 0) continue;
      foretold += nextMinutes(planned, times.get(task.timeKey));
      took += actual;
      timed += 1;
      times.set(task.timeKey, { planned, actual, day: session.day });
    }
    if (timed >= fewestTimed) paces.push(Number((took / foretold).toFixed(3)));
  }
  return { times, paces };
}
