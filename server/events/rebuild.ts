import { upcast, versions, type TamboEvent } from '#core/contract';
import { byOrder, effective, foldChanges, withFacts } from '#core/store';
import type { OpenDb } from '../db/index.ts';
import { eatenRow, packRow, type EatenRow, type FilledBrief, type PackRow } from './project.ts';

type Sqlite = OpenDb['sqlite'];
type Cell = string | number | null;

/** Rows in one insert: each call into SQLite has its price. */
const rowsAtOnce = 50;

/** A column's name and the value of a row in it, in the table's order. */
type Columns<R> = readonly (readonly [name: string, value: (row: R) => Cell])[];

const packColumns: Columns<PackRow> = [
  ['pack_id', (r) => r.packId],
  ['code', (r) => r.code],
  ['status', (r) => r.status],
  ['kind', (r) => r.kind],
  ['name', (r) => r.name],
  ['left', (r) => r.left],
  ['best_by', (r) => r.bestBy],
  ['place_id', (r) => r.placeId ?? null],
  ['container_id', (r) => r.containerId ?? null],
  ['session_id', (r) => r.sessionId ?? null],
  ['recipe_id', (r) => r.recipeId ?? null],
  ['washed', (r) => (r.washed ? 1 : 0)],
  ['last_instant', (r) => r.lastInstant],
  ['last_device', (r) => r.lastDevice],
  ['last_counter', (r) => r.lastCounter],
  ['made_day', (r) => r.madeDay],
  ['filled_id', (r) => r.filledId],
  ['changes', (r) => JSON.stringify(r.changes)],
];

const eatenColumns: Columns<EatenRow> = [
  ['event_id', (r) => r.eventId],
  ['pack_id', (r) => r.packId],
  ['day', (r) => r.day],
  ['meal', (r) => r.meal],
  ['kind', (r) => r.kind],
  ['name', (r) => r.name],
  ['portions', (r) => r.portions],
  ['shares', (r) => JSON.stringify(r.shares)],
  ['guests', (r) => r.guests],
];

/** Empties a table and fills it with rows; its indexes are taken off before and built anew after, which is quicker than keeping them up row by row. */
function refill<R>(sqlite: Sqlite, table: string, columns: Columns<R>, rows: readonly R[]): void {
  const indexes = sqlite
    .prepare("select name, sql from sqlite_master where type = 'index' and tbl_name = ? and sql is not null")
    .all(table) as { name: string; sql: string }[];
  for (const index of indexes) sqlite.exec(`drop index "${index.name}"`);
  sqlite.exec(`delete from ${table}`);
  const names = columns.map(([name]) => `"${name}"`).join(', ');
  const one = `(${columns.map(() => '?').join(', ')})`;
  const statement = (n: number) =>
    sqlite.prepare(`insert into ${table} (${names}) values ${Array.from({ length: n }, () => one).join(', ')}`);
  const many = statement(rowsAtOnce);
  for (let from = 0; from < rows.length; from += rowsAtOnce) {
    const part = rows.slice(from, from + rowsAtOnce);
    (part.length === rowsAtOnce ? many : statement(part.length)).run(part.flatMap((r) => columns.map(([, value]) => value(r))));
  }
  for (const index of indexes) sqlite.exec(index.sql);
}

type RawEvent = [
  id: string,
  subjects: string[],
  instant: string,
  device: string,
  counter: number,
  version: number,
  type: string,
  data: unknown,
];

/** Rows read at a time; one text for many rows is read and parsed in half the time of row by row. */
const chunk = 5000;
/** Of what a pack was filled with, only what the projection repeats is read: the rest is most of the text and never changes. */
const briefKeys = ['code', 'kind', 'name', 'portions', 'bestBy', 'containerId', 'sessionId', 'recipeId', 'made'] as const;
const brief = `json_object(${briefKeys.map((k) => `'${k}', json_extract(data, '$.${k}')`).join(', ')})`;
const asJson = `'[' || json_quote(id) || ',' || subjects || ',' || json_quote(instant) || ',' || json_quote(device) || ',' || counter || ',' || version || ',' || json_quote(type) || ',' || (case when type = 'filled' and version = ${versions.event} then ${brief} else data end) || ']'`;

/** Every event that can speak of a pack; a `filled` one carries the brief only. */
function* packEvents(sqlite: Sqlite): Generator<TamboEvent> {
  const [most] = sqlite.prepare('select coalesce(max(rowid), 0) as n from event').all() as { n: number }[];
  const read = sqlite.prepare(
    `select group_concat(${asJson}) as list from event where rowid > ? and rowid <= ? and stream in ('pack', 'label', 'any')`,
  );
  for (let from = 0; from < (most?.n ?? 0); from += chunk) {
    const [row] = read.all(from, from + chunk) as { list: string | null }[];
    for (const [id, subjects, instant, device, counter, version, type, data] of JSON.parse(`[${row?.list ?? ''}]`) as RawEvent[]) {
      const event = { id, subjects, instant, device, counter, version: versions.event, type, data };
      yield (version === versions.event ? event : upcast('event', version, event)) as TamboEvent;
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
  const packs: PackRow[] = [];
  const eaten: EatenRow[] = [];
  for (const [packId, list] of bySubject) {
    const pack = foldChanges(list, packId);
    if (!pack) continue;
    const last = list.reduce((a, b) => (byOrder(a, b) < 0 ? b : a));
    const brief = withFacts<FilledBrief>(pack.filled.data, pack.changes.facts);
    packs.push(packRow(packId, pack.filled.id, brief, pack.changes, last));
    if (!list.some((e) => e.type === 'eaten')) continue;
    for (const e of effective(list)) if (e.type === 'eaten') eaten.push(eatenRow(packId, brief, e));
  }
  db.transaction(() => {
    refill(sqlite, 'pack_state', packColumns, packs);
    refill(sqlite, 'eaten_log', eatenColumns, eaten);
  });
  return { packs: packs.length, events };
}

/** Folds the projection if an upgrade has thrown it away: events there are, packs there are none. */
export function ensureProjection(open: Pick<OpenDb, 'db' | 'sqlite'>): void {
  const count = (sql: string): number => (open.sqlite.prepare(sql).get() as { n: number }).n;
  if (count('select count(*) as n from pack_state') === 0 && count("select count(*) as n from event where type = 'filled'") > 0)
    rebuild(open);
}
