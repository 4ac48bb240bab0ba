import { desc, eq, getTableColumns, sql } from 'drizzle-orm';
import type { TamboEvent } from '#core/contract';
import { addDays } from '#core/kitchen';
import { ateOtherwise, ratingsOf, type AteOtherwise, type Rating, type World } from '#core/session';
import { recentDays, todayOf, type Records, type EatenEntry } from '#core/queries';
import { type Snapshot } from '#core/sync';
import { allDocuments, referenceRows, schema, storeId, unreadableDocuments, type Db } from '../db/index.ts';
import { openClashes } from '../writes/index.ts';
import { ratedEvents, tableEvents } from '../events/index.ts';
import type { Context } from '../http.ts';
import { cachedSince, loggedSince, versionOf } from './cache.ts';
import { dinnerLogged, eatenDays, eventsOfSession, packsOfSession, worldOf } from './world.ts';

/** Meals that the log lists at most. */
const latelyShown = 24;

function lately(db: Db): EatenEntry[] {
  const t = schema.eatenLog;
  return db
    .select({ ...getTableColumns(t), recipeId: schema.packState.recipeId })
    .from(t)
    .leftJoin(schema.packState, eq(schema.packState.packId, t.packId))
    .orderBy(desc(t.day), desc(t.eventId))
    .limit(latelyShown)
    .all()
    .map(({ recipeId, ...e }) => ({ ...e, ...(recipeId !== null && { recipeId }) }));
}

/** Words on how dishes are liked; read again when one is said or taken back. */
const ratedNow = (db: Db): readonly TamboEvent[] =>
  cachedSince<readonly TamboEvent[]>(db, 'rated', (before) =>
    before && !loggedSince(db, before.version.events, ['rated', 'undone']) ? before.value : ratedEvents(db),
  );

const otherwiseNow = (db: Db): readonly AteOtherwise[] =>
  cachedSince<readonly AteOtherwise[]>(db, 'ate otherwise', (before) =>
    before && !loggedSince(db, before.version.events, ['ateOtherwise', 'undone']) ? before.value : ateOtherwise(tableEvents(db)),
  );

const ratings = (db: Db): readonly Rating[] =>
  cachedSince(db, 'ratings', () => ratingsOf(ratedNow(db), (id) => worldOf(db).recipe(id)?.recipe.id ?? id));

/** What the database knows beside the world. */
export const recordsOf = (db: Db): Records => ({
  storeId: storeId(db),
  unreadable: () => cachedSince(db, 'unreadable', () => unreadableDocuments(db), 'documents'),
  // few, and no log tells of them
  clashes: () => openClashes(db),
  changes: () => versionOf(db).changes,
  logged: () => versionOf(db).events,
  sessions: () => cachedSince(db, 'session documents', () => allDocuments(db, 'session'), 'documents'),
  recipes: () => cachedSince(db, 'recipe documents', () => allDocuments(db, 'recipe').filter((r) => !r.archived), 'documents'),
  eventsOf: (id) => eventsOfSession(db, id),
  packsOf: (id) => packsOfSession(db, id),
  eatenDays: (today) => eatenDays(db, today),
  ateOtherwise: () => otherwiseNow(db),
  dinnerLogged: (day) => dinnerLogged(db, day) || otherwiseNow(db).some((m) => m.day === day && m.meal === 'dinner'),
  lately: () => lately(db),
  ratings: () => ratings(db),
  presets: () => [...referenceRows(db, 'tub'), ...referenceRows(db, 'bag'), ...referenceRows(db, 'pan')],
  cached: (name, make) => cachedSince(db, name, make),
});

/** World, records and the moment: what every answer is made from. */
export function settingOf(ctx: Context): { world: World; records: Records; now: string; today: string } {
  const world = worldOf(ctx.db);
  const now = ctx.clock.now();
  return { world, records: recordsOf(ctx.db), now, today: todayOf(world, now) };
}

/** More than a device sends between two keepings. */
const idsKept = 2000;

const newestIds = (db: Db): string[] => [
  ...db
    .select({ id: schema.event.id })
    .from(schema.event)
    .orderBy(desc(sql`rowid`))
    .limit(idsKept)
    .all()
    .map((r) => r.id),
  ...db
    .selectDistinct({ id: schema.change.writeId })
    .from(schema.change)
    .orderBy(desc(schema.change.id))
    .limit(idsKept)
    .all()
    .map((r) => r.id),
];

/** Words of one kind, and what was taken back of them. */
function wordsOf(events: readonly TamboEvent[]): TamboEvent[] {
  const words = new Set(events.filter((e) => e.type !== 'undone').map((e) => e.id));
  for (const e of events) if (e.type === 'undone' && words.has(e.data.eventId)) words.add(e.id);
  return events.filter((e) => words.has(e.id));
}

/** The household as a device keeps it for when there is no connection. */
export function snapshotOf(ctx: Context): Snapshot {
  const { db } = ctx;
  const { world, records, today } = settingOf(ctx);
  const sessions = [...records.sessions()];
  const recent = sessions.filter((s) => s.day >= addDays(today, -recentDays));
  const recipes = [...records.recipes()];
  const revisionIds = new Set([
    ...recipes.map((r) => r.revisionId),
    ...recent.flatMap((s) => s.batches.map((b) => b.revisionId)),
    // what packs in store were made from, for their allergens
    ...world.packs.flatMap((p) => p.revisionId ?? []),
  ]);
  return {
    storeId: records.storeId,
    changes: records.changes(),
    logged: records.logged(),
    household: world.written.household,
    eaters: [...world.written.eaters],
    table: wordsOf(tableEvents(db)),
    unreadable: [...records.unreadable()],
    clashes: [...records.clashes()],
    equipment: [...world.equipment],
    containers: [...world.containers],
    places: [...world.places],
    packs: [...world.packs],
    usage: [...world.usage],
    recipes,
    revisions: [...revisionIds].flatMap((id) => world.revision(id) ?? []),
    sessions,
    events: recent.map((s) => [s.id, [...records.eventsOf(s.id)]]),
    sessionPacks: recent.map((s) => [s.id, [...records.packsOf(s.id)]]),
    eatenDays: [...records.eatenDays(today)],
    lately: [...records.lately()],
    rated: wordsOf(ratedNow(db)),
    runs: [...world.runs].map(([id, runs]) => [id, [...runs]]),
    times: [...world.times],
    paces: [...world.paces],
    ingredients: [...world.finder.rows],
    lives: referenceRows(db, 'life'),
    materials: referenceRows(db, 'material'),
    reheats: [...world.reheats],
    thaws: [...world.thaws],
    figures: world.figures,
    presets: [...records.presets()],
    allergenNames: [...world.allergenNames],
    acknowledged: newestIds(db),
  };
}
