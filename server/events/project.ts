import { eq } from 'drizzle-orm';
import type { TamboEvent } from '#core/contract';
import { applyEvent, byOrder, effective, foldPack, statusOf, type PackState } from '#core/store';
import { schema, type Db, type OpenDb } from '../db/index.ts';

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

type Cell = string | number | null;
/** Rows in one insert: each call into SQLite has its price. */
const rowsAtOnce = 40;

const packColumns = [
  'pack_id',
  'code',
  'status',
  'kind',
  'name',
  'left',
  'best_by',
  'place_id',
  'container_id',
  'session_id',
  'recipe_id',
  'washed',
  'last_instant',
  'last_device',
  'last_counter',
  'data',
] as const;
const packValues = (r: Row): Cell[] => [
  r.packId,
  r.code,
  r.status,
  r.kind,
  r.name,
  r.left,
  r.bestBy,
  r.placeId ?? null,
  r.containerId ?? null,
  r.sessionId ?? null,
  r.recipeId ?? null,
  r.washed ? 1 : 0,
  r.lastInstant,
  r.lastDevice,
  r.lastCounter,
  JSON.stringify(r.data),
];
const eatenColumns = ['event_id', 'pack_id', 'day', 'meal', 'kind', 'name', 'portions', 'shares', 'guests'] as const;

/** Empties a table and fills it with rows; its indexes are taken off before and built anew after, which is quicker than keeping them up row by row. */
function refill(sqlite: OpenDb['sqlite'], table: string, columns: readonly string[], rows: readonly Cell[][]): void {
  const indexes = sqlite
    .prepare("select name, sql from sqlite_master where type = 'index' and tbl_name = ? and sql is not null")
    .all(table) as { name: string; sql: string }[];
  for (const index of indexes) sqlite.exec(`drop index "${index.name}"`);
  sqlite.exec(`delete from ${table}`);
  const names = columns.map((c) => `"${c}"`).join(', ');
  const one = `(${columns.map(() => '?').join(', ')})`;
  const statement = (n: number) =>
    sqlite.prepare(`insert into ${table} (${names}) values ${Array.from({ length: n }, () => one).join(', ')}`);
  const many = statement(rowsAtOnce);
  for (let from = 0; from < rows.length; from += rowsAtOnce) {
    const part = rows.slice(from, from + rowsAtOnce);
    (part.length === rowsAtOnce ? many : statement(part.length)).run(part.flat());
  }
  for (const index of indexes) sqlite.exec(index.sql);
}

type RawEvent = [id: string, subjects: string[], instant: string, device: string, counter: number, type: string, data: unknown];

/** Rows read at a time; one text for many rows is read and parsed in half the time of row by row. */
const chunk = 5000;
const asJson = `'[' || json_quote(id) || ',' || subjects || ',' || json_quote(instant) || ',' || json_quote(device) || ',' || counter || ',' || json_quote(type) || ',' || data || ']'`;

/** Every event that can speak of a pack. */
function* packEvents(sqlite: OpenDb['sqlite']): Generator<TamboEvent> {
  const [most] = sqlite.prepare('select coalesce(max(rowid), 0) as n from event').all() as { n: number }[];
  const read = sqlite.prepare(
    `select group_concat(${asJson}) as list from event where rowid > ? and rowid <= ? and stream in ('pack', 'label', 'any')`,
  );
  for (let from = 0; from < (most?.n ?? 0); from += chunk) {
    const [row] = read.all(from, from + chunk) as { list: string | null }[];
    for (const [id, subjects, instant, device, counter, type, data] of JSON.parse(`[${row?.list ?? ''}]`) as RawEvent[]) {
      yield { id, subjects, instant, device, counter, version: 1, type, data } as TamboEvent;
    }
  }
}

/** Throws the projection away and folds it again from all events; equals what was there, for any history. Plain statements, since it reads every event. */
export function rebuild({ db, sqlite }: Pick<OpenDb, 'db' | 'sqlite'>): { packs: number; events: number } {
  const bySubject = new Map<string, TamboEvent[]>();
  let events = 0;
  for (const e of packEvents(sqlite)) {
    events += 1;
    for (const subject of e.subjects) {
      const list = bySubject.get(subject);
      if (list) list.push(e);
      else bySubject.set(subject, [e]);
    }
  }
  const rows: Cell[][] = [];
  const eaten: Cell[][] = [];
  for (const [subject, list] of bySubject) {
    const pack = foldPack(list, subject);
    if (!pack) continue;
    const last = list.reduce((a, b) => (byOrder(a, b) < 0 ? b : a));
    rows.push(packValues(rowOf(pack, last)));
    if (!list.some((e) => e.type === 'eaten')) continue;
    for (const e of effective(list)) {
      if (e.type !== 'eaten') continue;
      const r = eatenRow(pack, e);
      eaten.push([r.eventId, r.packId, r.day, r.meal, r.kind, r.name, r.portions, JSON.stringify(r.shares), r.guests]);
    }
  }
  db.transaction(() => {
    refill(sqlite, 'pack_state', packColumns, rows);
    refill(sqlite, 'eaten_log', eatenColumns, eaten);
  });
  return { packs: rows.length, events };
}
