import type { Batch, Day, Id, Instant, Session } from '#core/contract';
import { tasksFor, type Task } from '#core/cook';
import { likedOf, sessionLog, type Rating, type Run, type SessionLog, type World } from '#core/session';
import { momentOf } from '#core/store';
import type { Records } from './records.ts';
import { sharesNow } from './today.ts';

/** One time a recipe was made. */
export interface MadeRun {
  sessionId: Id;
  session: string;
  day: Day;
  /** Portions that were planned, and those that went into packs. */
  planned: number;
  packed: number;
  /** What was weighed against what is written for that size. */
  weighed?: Pick<Run, 'planned' | 'weighed' | 'unit'>;
  /** Minutes of the pieces of work that were timed: as written, and as they took; `of` so many pieces. */
  minutes?: { planned: number; took: number; timed: number; of: number };
}

/** A dish that was cooked beside it, and what was cut once for both. */
export interface Pair {
  recipeId: Id;
  name: string;
  times: number;
  shares: string[];
}

/** What became of a recipe so far. */
export interface RecordAnswer {
  timesMade: number;
  /** The newest first. */
  runs: MadeRun[];
  /** How the table likes it; absent while nobody has said. */
  stars?: number;
  eaters: (Pick<Rating, 'stars' | 'seen'> & { eaterId: Id; name: string; day?: Day; times: number })[];
  stands: { placeId?: Id; place: string; zone: string; packs: number; portions: number }[];
  pairs: Pair[];
}

/** Times shown, and sessions looked at for them. */
const runsShown = 8;
const sessionsRead = 24;
const pairsShown = 5;

interface Made {
  session: Session;
  batch: Batch;
  tasks: readonly Task[];
  log: SessionLog;
  packed: number;
}

const tasksOf = (session: Session, world: World): Task[] =>
  tasksFor(
    session.batches.flatMap((batch) => {
      const revision = world.revision(batch.revisionId);
      const r = revision && world.scale(revision, batch.portions, batch.yieldFactor);
      return revision && r?.ok ? [{ batch, revision, scaled: r.scaled }] : [];
    }),
    world.finder,
  );

/** The batches of it that were cooked in a session: something was weighed, packed, eaten from the pot, or a step of its own was done. */
function madeIn(session: Session, batches: readonly Batch[], world: World, records: Records): Made[] {
  const log = sessionLog(records.eventsOf(session.id));
  const tasks = tasksOf(session, world);
  return batches.flatMap((batch) => {
    const packs = records.packsOf(session.id).filter((p) => p.batchId === batch.id);
    const stepDone = tasks.some((t) => t.step?.batchId === batch.id && log.tasks.get(t.id)?.state === 'done');
    return packs.length > 0 || log.weighed.has(batch.id) || log.tonight.has(batch.id) || stepDone
      ? [{ session, batch, tasks, log, packed: packs.reduce((n, p) => n + p.portions, 0) }]
      : [];
  });
}

function minutesOf({ batch, log, tasks }: Made): MadeRun['minutes'] {
  const own = tasks.filter((t) => t.batchIds.includes(batch.id));
  const timed = own.flatMap((t) => {
    const took = log.tasks.get(t.id)?.actualMin;
    // work for several dishes counts in equal parts
    return took === undefined || took <= 0
      ? []
      : [{ planned: (t.handsOnMin + t.waitMin) / t.batchIds.length, took: took / t.batchIds.length }];
  });
  if (timed.length === 0) return undefined;
  return {
    planned: Math.round(timed.reduce((s, t) => s + t.planned, 0)),
    took: Math.round(timed.reduce((s, t) => s + t.took, 0)),
    timed: timed.length,
    of: own.length,
  };
}

/** What was cooked beside it, what shares cutting with it first. */
function pairsOf(made: readonly Made[], recipeId: Id, world: World): Pair[] {
  const pairs = new Map<Id, Pair>();
  for (const { session, batch, tasks } of made)
    for (const other of session.batches) {
      const found = world.recipe(other.recipeId)?.recipe;
      if (!found || found.id === recipeId || found.archived) continue;
      const shared = tasks.flatMap((t) => (t.prep && t.batchIds.includes(batch.id) && t.batchIds.includes(other.id) ? [t.prep.name] : []));
      const before = pairs.get(found.id) ?? { recipeId: found.id, name: found.name, times: 0, shares: [] };
      pairs.set(found.id, { ...before, times: before.times + 1, shares: [...new Set([...before.shares, ...shared])] });
    }
  return [...pairs.values()]
    .filter((p) => p.shares.length > 0 || p.times > 1)
    .toSorted((a, b) => b.shares.length - a.shares.length || b.times - a.times || a.name.localeCompare(b.name))
    .slice(0, pairsShown);
}

/**
 * What became of a recipe: when it was made, what came out and how long it took against the plan, who liked it, where its packs stand, what it goes with.
 * @example recordAnswer('stew', world, records, now).runs[0]?.weighed // { planned: 4800, weighed: 4610, unit: 'g' }
 */
export function recordAnswer(recipeId: Id, world: World, records: Records, now: Instant): RecordAnswer {
  const at = momentOf(world.household, world.figures, now);
  const isIt = (id: Id | undefined): boolean => id !== undefined && world.recipe(id)?.recipe.id === recipeId;
  const sessions = records
    .sessions()
    .filter((s) => s.day <= at.today && s.batches.some((b) => isIt(b.recipeId)))
    .toSorted((a, b) => b.day.localeCompare(a.day) || b.id.localeCompare(a.id));
  const made = sessions.slice(0, sessionsRead).flatMap((s) =>
    madeIn(
      s,
      s.batches.filter((b) => isIt(b.recipeId)),
      world,
      records,
    ),
  );
  const runs = world.runs.get(recipeId) ?? [];
  const ratings = records.ratings().filter((r) => r.recipeId === recipeId);
  const liked = likedOf(ratings).get(recipeId);
  const stands = new Map<string, RecordAnswer['stands'][number]>();
  for (const p of sharesNow(world, records, at).stock.filter((x) => isIt(x.recipeId))) {
    const place = world.places.find((x) => x.id === p.placeId);
    const zone = place?.zones.find((z) => z.id === p.zoneId)?.name ?? '';
    const key = `${p.placeId ?? ''} ${p.zoneId ?? ''}`;
    const before = stands.get(key) ?? {
      ...(place && { placeId: place.id }),
      place: place?.name ?? 'not put away yet',
      zone,
      packs: 0,
      portions: 0,
    };
    stands.set(key, { ...before, packs: before.packs + 1, portions: before.portions + p.left });
  }
  return {
    // what was counted in from elsewhere was never made here
    timesMade: made.length + Math.max(0, sessions.length - sessionsRead),
    runs: made.slice(0, runsShown).map((m): MadeRun => {
      const run = runs.find((r) => r.batchId === m.batch.id);
      const minutes = minutesOf(m);
      return {
        sessionId: m.session.id,
        session: m.session.name,
        day: m.session.day,
        planned: m.batch.portions,
        packed: m.packed,
        ...(run && { weighed: { planned: run.planned, weighed: run.weighed, unit: run.unit } }),
        ...(minutes && { minutes }),
      };
    }),
    ...(liked && { stars: liked.stars }),
    eaters: world.eaters.map((e) => {
      const r = ratings.find((x) => x.eaterId === e.id);
      return {
        eaterId: e.id,
        name: e.name,
        seen: r?.seen ?? '',
        times: r?.times ?? 0,
        ...(r?.stars !== undefined && { stars: r.stars, day: r.day }),
      };
    }),
    stands: [...stands.values()].toSorted((a, b) => b.portions - a.portions),
    pairs: pairsOf(made, recipeId, world),
  };
}
