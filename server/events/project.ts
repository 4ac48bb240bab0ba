import { eq } from 'drizzle-orm';
import type { TamboEvent } from '#core/contract';
import { applyEvent, byOrder, effective, foldPack, statusOf, type PackState } from '#core/store';
import { schema, type Db } from '../db/index.ts';

type Row = typeof schema.packState.$inferInsert;

interface Last {
  instant: string;
  device: string;
  counter: number;
}

const rowOf = (pack: PackState, last: Last): Row => ({
  packId: pack.packId,
  code: pack.code,
  status: statusOf(pack),
  kind: pack.kind,
  name: pack.name,
  left: pack.left,
  bestBy: pack.bestBy,
  placeId: pack.placeId ?? null,
  containerId: pack.containerId ?? null,
  sessionId: pack.sessionId ?? null,
  recipeId: pack.recipeId ?? null,
  washed: pack.washed,
  lastInstant: last.instant,
  lastDevice: last.device,
  lastCounter: last.counter,
  data: pack,
});

type EventRow = typeof schema.event.$inferSelect;

/** A stored event as the core knows it. */
export const eventFrom = (r: Pick<EventRow, 'id' | 'subjects' | 'instant' | 'device' | 'counter' | 'type' | 'data'>): TamboEvent =>
  ({
    id: r.id,
    subjects: r.subjects,
    instant: r.instant,
    device: r.device,
    counter: r.counter,
    version: 1,
    type: r.type,
    data: r.data,
  }) as TamboEvent;

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

const eatenRow = (pack: PackState, e: Extract<TamboEvent, { type: 'eaten' }>): typeof schema.eatenLog.$inferInsert => ({
  eventId: e.id,
  packId: pack.packId,
  day: e.data.day,
  meal: e.data.meal,
  kind: pack.kind,
  name: pack.name,
  portions: e.data.guests + e.data.shares.reduce((s, x) => s + x.portions, 0),
  shares: e.data.shares,
  guests: e.data.guests,
});

/** Folds a pack anew from all its events: for what came late and for undo. */
function refold(db: Db, packId: string): void {
  const events = eventsOf(db, packId).sort(byOrder);
  const pack = foldPack(events, packId);
  const last = events.at(-1);
  db.delete(schema.eatenLog).where(eq(schema.eatenLog.packId, packId)).run();
  if (!pack || !last) {
    db.delete(schema.packState).where(eq(schema.packState.packId, packId)).run();
    return;
  }
  const row = rowOf(pack, last);
  db.insert(schema.packState).values(row).onConflictDoUpdate({ target: schema.packState.packId, set: row }).run();
  for (const e of effective(events)) if (e.type === 'eaten') db.insert(schema.eatenLog).values(eatenRow(pack, e)).run();
}

/** Brings the projection up to one new event, in that event's own transaction. */
export function project(db: Db, event: TamboEvent): void {
  for (const subject of event.subjects) {
    const row = db.select().from(schema.packState).where(eq(schema.packState.packId, subject)).get();
    if (!row && event.type !== 'filled') {
      if (event.type === 'undone') refold(db, subject);
      continue;
    }
    const inOrder =
      !row || byOrder({ ...event, instant: row.lastInstant, device: row.lastDevice, counter: row.lastCounter, id: '' }, event) < 0;
    if (event.type === 'undone' || !inOrder) {
      refold(db, subject);
      continue;
    }
    const pack = applyEvent(row?.data, event, subject);
    if (!pack) continue;
    const next = rowOf(pack, event);
    db.insert(schema.packState).values(next).onConflictDoUpdate({ target: schema.packState.packId, set: next }).run();
    if (event.type === 'eaten') db.insert(schema.eatenLog).values(eatenRow(pack, event)).run();
  }
}

/** Throws the projection away and folds it again from all events; equals what was there, for any history. */
export function rebuild(db: Db): { packs: number; events: number } {
  const bySubject = new Map<string, TamboEvent[]>();
  let events = 0;
  for (const r of db.select().from(schema.event).all()) {
    const e = eventFrom(r);
    events += 1;
    for (const subject of e.subjects) {
      const list = bySubject.get(subject);
      if (list) list.push(e);
      else bySubject.set(subject, [e]);
    }
  }
  let packs = 0;
  const rows: Row[] = [];
  const eaten: (typeof schema.eatenLog.$inferInsert)[] = [];
  for (const [subject, list] of bySubject) {
    list.sort(byOrder);
    const pack = foldPack(list, subject);
    const last = list.at(-1);
    if (!pack || !last) continue;
    packs += 1;
    rows.push(rowOf(pack, last));
    for (const e of effective(list)) if (e.type === 'eaten') eaten.push(eatenRow(pack, e));
  }
  db.transaction((tx) => {
    tx.delete(schema.packState).run();
    tx.delete(schema.eatenLog).run();
    for (let i = 0; i < rows.length; i += 500)
      tx.insert(schema.packState)
        .values(rows.slice(i, i + 500))
        .run();
    for (let i = 0; i < eaten.length; i += 500)
      tx.insert(schema.eatenLog)
        .values(eaten.slice(i, i + 500))
        .run();
  });
  return { packs, events };
}
