import type { Day, Revision, Session, TamboEvent } from '#core/contract';
import { tasksFor, type LastTimes } from '#core/cook';
import { learnedYield, type Learned } from '#core/recipe';
import { effective } from '#core/store';
import { portionMlOf } from './batch.ts';
import { sessionLog } from './log.ts';
import type { World } from './world.ts';

/** One cooked and weighed batch. */
export interface Run {
  sessionId: string;
  day: Day;
  portions: number;
  plannedMl: number;
  weighedMl: number;
  /** Weighed by what was written for that size. */
  ratio: number;
}

/** Weighed batches by recipe, the oldest first. */
export function runsOf(
  sessions: readonly Session[],
  events: readonly TamboEvent[],
  revisionOf: (id: string) => Revision | undefined,
): Map<string, Run[]> {
  const weighed = new Map(effective(events).flatMap((e) => (e.type === 'weighed' ? [[e.data.batchId, e.data.volumeMl] as const] : [])));
  const runs = new Map<string, Run[]>();
  for (const session of sessions.toSorted((a, b) => a.day.localeCompare(b.day) || a.id.localeCompare(b.id))) {
    for (const batch of session.batches) {
      const ml = weighed.get(batch.id);
      const revision = ml === undefined ? undefined : revisionOf(batch.revisionId);
      const portionMl = revision && portionMlOf(revision);
      if (ml === undefined || portionMl === undefined) continue;
      const plannedMl = batch.portions * portionMl;
      const list = runs.get(batch.recipeId) ?? [];
      runs.set(batch.recipeId, list);
      list.push({
        sessionId: session.id,
        day: session.day,
        portions: batch.portions,
        plannedMl,
        weighedMl: ml,
        ratio: (ml * (batch.yieldFactor ?? 1)) / plannedMl,
      });
    }
  }
  return runs;
}

/** What came out of a recipe so far, as a share of what is written. */
export const learnedFrom = (runs: readonly Run[]): Learned => learnedYield(runs.map((r) => r.ratio));

/** Edible shares learned from what was bought and what was left of it, by ingredient. */
export function trimsOf(events: readonly TamboEvent[], writtenPct: (ingredientId: string) => number | undefined): Map<string, Learned> {
  const seen = new Map<string, number[]>();
  for (const e of effective(events)) {
    if (e.type !== 'trimmed' || e.data.usableG <= 0 || e.data.usableG > e.data.boughtG) continue;
    seen.set(e.data.ingredientId, [...(seen.get(e.data.ingredientId) ?? []), e.data.usableG / e.data.boughtG]);
  }
  return new Map([...seen].map(([id, shares]) => [id, learnedYield(shares, (writtenPct(id) ?? 100) / 100)]));
}

/**
 * How long each task took the last time against what was planned for that size: the next plan takes the same factor (COMPUTATION: times are not blended).
 * @param sessions finished ones, any order; the newest run of each task stands
 */
export function lastTimes(
  sessions: readonly Session[],
  eventsOf: (sessionId: string) => readonly TamboEvent[],
  world: Pick<World, 'revision' | 'scale' | 'finder'>,
): LastTimes {
  const times: LastTimes = new Map();
  for (const session of sessions.toSorted((a, b) => a.day.localeCompare(b.day) || a.id.localeCompare(b.id))) {
    const log = sessionLog(eventsOf(session.id));
    if (![...log.tasks.values()].some((t) => t.actualMin !== undefined)) continue;
    const batches = session.batches.flatMap((batch) => {
      const revision = world.revision(batch.revisionId);
      const r = revision && world.scale(revision, batch.portions, batch.yieldFactor);
      return revision && r?.ok ? [{ batchId: batch.id, revision, scaled: r.scaled }] : [];
    });
    for (const task of tasksFor(batches, world.finder)) {
      const actual = log.tasks.get(task.id)?.actualMin;
      const planned = task.handsOnMin + task.waitMin;
      if (actual !== undefined && actual > 0 && planned > 0) times.set(task.timeKey, { planned, actual, day: session.day });
    }
  }
  return times;
}
