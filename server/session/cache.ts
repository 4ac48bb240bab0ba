import { sql } from 'drizzle-orm';
import type { EventType, Instant } from '#core/contract';
import { schema, type Db } from '../db/index.ts';

/** Both logs only ever grow, so the newest of each says how far they have come. */
export interface Version {
  events: number;
  changes: number;
}

const newestOf = (db: Db) =>
  db
    .select({
      events: sql<number>`coalesce((select max(rowid) from ${schema.event}), 0)`,
      changes: sql<number>`coalesce((select max(id) from ${schema.change}), 0)`,
    })
    .from(sql`(select 1)`)
    .prepare();
const prepared = new WeakMap<Db, ReturnType<typeof newestOf>>();

/** Asked before each value that was kept, so its statement is made once. */
export function versionOf(db: Db): Version {
  const statement = prepared.get(db) ?? newestOf(db);
  prepared.set(db, statement);
  return statement.get() ?? { events: 0, changes: 0 };
}

interface Cached {
  version: Version;
  value: unknown;
}

const caches = new WeakMap<Db, Map<string, Cached>>();

/** What a value is worked out from. */
type Basis = 'all' | 'documents';

const holds = (basis: Basis, was: Version, is: Version): boolean =>
  was.changes === is.changes && (basis === 'documents' || was.events === is.events);

/**
 * What was worked out from events and documents, worked out again only when something was logged or written since.
 * @param make given what was there before and how far the logs had come then, for what can be brought forward instead
 */
export function cachedSince<T>(db: Db, name: string, make: (before?: { value: T; version: Version }) => T, basis: Basis = 'all'): T {
  const values = caches.get(db) ?? new Map<string, Cached>();
  caches.set(db, values);
  const version = versionOf(db);
  const found = values.get(name);
  if (found && holds(basis, found.version, version)) return found.value as T;
  const value = make(found && { value: found.value as T, version: found.version });
  values.set(name, { version, value });
  return value;
}

interface Moment {
  of?: string;
  second?: string;
  value?: unknown;
}

/**
 * What was worked out for the newest moment: devices that are told of one entry all ask for the same within the second.
 * @param name which answer; of each the last one is remembered
 * @param of what it is about
 * @param now the moment; within its second the same answer holds, until something is logged or written
 */
export function cachedNow<T>(db: Db, name: string, of: string, now: Instant, make: () => T): T {
  const second = now.slice(0, 'YYYY-MM-DDTHH:MM:SS'.length);
  const last = cachedSince(db, `the last ${name}`, (): Moment => ({}));
  if (last.of !== of || last.second !== second) Object.assign(last, { of, second, value: make() } satisfies Moment);
  return last.value as T;
}

/** Whether anything of these types was logged since. */
export function loggedSince(db: Db, events: number, types: readonly EventType[]): boolean {
  const list = sql.join(
    types.map((t) => sql`${t}`),
    sql`, `,
  );
  return db.all(sql`select 1 from event where rowid > ${events} and type in (${list}) limit 1`).length > 0;
}

/** More entries than this are not looked at one by one. */
const mostTouched = 300;

/** Packs and sessions that events spoke of since; undefined when there are too many. */
export function touchedSince(db: Db, events: number): string[] | undefined {
  const rows = db.all<{ subjects: string }>(sql`select subjects from event where rowid > ${events} limit ${mostTouched + 1}`);
  return rows.length > mostTouched ? undefined : [...new Set(rows.flatMap((r) => JSON.parse(r.subjects) as string[]))];
}
