import { and, eq, inArray, or, sql } from 'drizzle-orm';
import { upcast, versions, type EventData, type EventOf, type TamboEvent } from '#core/contract';
import {
  eatenPortions,
  applyEvent,
  byOrder,
  effective,
  foldChanges,
  speaksOf,
  statusOf,
  wholePack,
  withFacts,
  type PackChanges,
} from '#core/store';
import { schema, type Db } from '../db/index.ts';
import { statements } from './statements.ts';

export type PackRow = typeof schema.packState.$inferInsert;
export type EatenRow = typeof schema.eatenLog.$inferInsert;
type EventRow = typeof schema.event.$inferSelect;

/** What the projection repeats of what a pack was filled with, to find packs by. */
export type FilledBrief = Pick<
  EventData<'filled'>,
  'code' | 'kind' | 'name' | 'portions' | 'bestBy' | 'containerId' | 'sessionId' | 'recipeId' | 'made'
>;
type Last = Pick<TamboEvent, 'instant' | 'device' | 'counter'>;

/** The changing half of a pack, always in the same order, so that what is folded anew is the same to the letter. */
const changesOf = ({
  left,
  filledAt,
  placeId,
  zoneId,
  planned,
  pulled,
  fridgeSince,
  thawSince,
  seen,
  labelled,
  labelSays,
  washed,
  facts,
  labelOld,
  sums,
  ended,
}: PackChanges): PackChanges => ({
  left,
  filledAt,
  placeId,
  zoneId,
  planned,
  pulled,
  fridgeSince,
  thawSince,
  seen,
  labelled,
  labelSays,
  washed,
  facts,
  labelOld,
  sums,
  ended,
});

export const packRow = (packId: string, filledId: string, filled: FilledBrief, changes: PackChanges, last: Last): PackRow => ({
  packId,
  code: filled.code,
  status: statusOf(changes),
  kind: filled.kind,
  name: filled.name,
  left: changes.left,
  // nobody knows how old it is
  bestBy: filled.bestBy ?? '',
  placeId: changes.placeId ?? null,
  containerId: filled.containerId ?? null,
  sessionId: filled.sessionId ?? null,
  recipeId: filled.recipeId ?? null,
  washed: changes.washed,
  lastInstant: last.instant,
  lastDevice: last.device,
  lastCounter: last.counter,
  madeDay: filled.made?.latest ?? '',
  filledId,
  changes: changesOf(changes),
});

/** A stored event as the core knows it. */
export function eventFrom(
  r: Pick<EventRow, 'id' | 'subjects' | 'instant' | 'device' | 'counter' | 'version' | 'type' | 'data'>,
): TamboEvent {
  const event = {
    id: r.id,
    subjects: r.subjects,
    instant: r.instant,
    device: r.device,
    counter: r.counter,
    version: versions.event,
    type: r.type,
    data: r.data,
  };
  return (r.version === versions.event ? event : upcast('event', r.version, event)) as TamboEvent;
}

/** All events that speak of a pack or session. */
export function eventsOf(db: Db, subject: string): TamboEvent[] {
  return db
    .select({ event: schema.event })
    .from(schema.eventSubject)
    .innerJoin(schema.event, eq(schema.event.id, schema.eventSubject.eventId))
    .where(eq(schema.eventSubject.subject, subject))
    .all()
    .map((r) => eventFrom(r.event));
}

/** Events with those of the packs that their food came from or went into. */
export function aroundOf(db: Db, events: readonly TamboEvent[]): TamboEvent[] {
  let all = [...events];
  // what came from it, and what that came from: an act reaches no further
  for (let round = 0; round < 2; round += 1) {
    const known = new Set(all.map((e) => e.id));
    const more = speaksOf(all).flatMap((id) => eventsOf(db, id));
    all = [...all, ...new Map(more.filter((e) => !known.has(e.id)).map((e) => [e.id, e])).values()];
  }
  return all;
}

/** What was weighed or trimmed, with what was taken back of it. */
export const yieldEvents = (db: Db, type: 'weighed' | 'trimmed'): TamboEvent[] =>
  db
    .select()
    .from(schema.event)
    .where(or(and(eq(schema.event.stream, 'yield'), eq(schema.event.type, type)), eq(schema.event.stream, 'any')))
    .all()
    .map(eventFrom);

const ofTable = inArray(schema.event.stream, ['table', 'any']);

/** How far the log has come with what is said of who eats when. */
export const newestOfTable = (db: Db): number =>
  db
    .select({ n: sql<number>`coalesce(max(rowid), 0)` })
    .from(schema.event)
    .where(ofTable)
    .get()?.n ?? 0;

/** What was said of who is at the table, with what was taken back of it. */
export const tableEvents = (db: Db): TamboEvent[] => db.select().from(schema.event).where(ofTable).all().map(eventFrom);

/** What was said of how dishes are liked, with what was taken back of it. */
export const ratedEvents = (db: Db): TamboEvent[] => {
  const rated = db.select().from(schema.event).where(eq(schema.event.stream, 'recipe')).all().map(eventFrom);
  if (rated.length === 0) return [];
  return [...rated, ...db.select().from(schema.event).where(eq(schema.event.stream, 'any')).all().map(eventFrom)];
};

export const eatenRow = (packId: string, filled: FilledBrief, e: EventOf<'eaten'>): EatenRow => ({
  eventId: e.id,
  packId,
  day: e.data.day,
  meal: e.data.meal,
  kind: filled.kind,
  name: filled.name,
  portions: eatenPortions(e.data),
  shares: e.data.shares,
  guests: e.data.guests,
});

/** Folds a pack anew from all its events: for what came late and for undo. */
function refold(db: Db, packId: string): void {
  const events = eventsOf(db, packId).sort(byOrder);
  const pack = foldChanges(events, packId);
  const last = events.at(-1);
  db.delete(schema.eatenLog).where(eq(schema.eatenLog.packId, packId)).run();
  if (!pack || !last) {
    db.delete(schema.packState).where(eq(schema.packState.packId, packId)).run();
    return;
  }
  const { filled, changes } = pack;
  const brief = withFacts<FilledBrief>(filled.data, changes.facts);
  const { putPack, addEaten } = statements(db);
  putPack.run({ ...packRow(packId, filled.id, brief, changes, last) });
  for (const e of effective(events)) if (e.type === 'eaten') addEaten.run({ ...eatenRow(packId, brief, e) });
}

/** Folds anew the packs that late events and undos of a list have touched, each once. */
export function settleLate(db: Db, late: ReadonlySet<string>): void {
  for (const packId of late) refold(db, packId);
}

/**
 * Brings the projection up to one new event, in that event's own transaction.
 * @param late packs that are to be folded anew once the whole list is kept (see {@link settleLate}): a device that comes back after a week brings
 *   thousands of late events for a few packs
 */
export function project(db: Db, event: TamboEvent, late: Set<string>): void {
  const { pack: packStatement, putPack, addEaten } = statements(db);
  for (const subject of event.subjects) {
    if (late.has(subject)) continue;
    const row = packStatement.get({ packId: subject });
    if (!row && event.type !== 'filled') {
      if (event.type === 'undone') late.add(subject);
      continue;
    }
    const inOrder =
      !row || byOrder({ ...event, instant: row.lastInstant, device: row.lastDevice, counter: row.lastCounter, id: '' }, event) < 0;
    // what was eaten of it stands under its name and kind
    const renamed = event.type === 'corrected' && (event.data.is?.name !== undefined || event.data.is?.kind !== undefined);
    if (event.type === 'undone' || renamed || !inOrder) {
      late.add(subject);
      continue;
    }
    const before = row && wholePack(row.filled, row.changes, subject);
    const pack = applyEvent(before, event, subject);
    if (!pack) continue;
    putPack.run({ ...packRow(subject, row?.filledId ?? event.id, pack, pack, event) });
    if (event.type === 'eaten') addEaten.run({ ...eatenRow(subject, pack, event) });
  }
}
