import { sql } from 'drizzle-orm';
import { schema, type Db } from '../db/index.ts';

/** Both logs only ever grow, so the newest of each says how far they have come. */
export interface Version {
  events: number;
  changes: number;
}

export function versionOf(db: Db): Version {
  const newest = db.get<{ events: number | null; changes: number | null }>(
    sql`select (select max(rowid) from ${schema.event}) as events, (select max(id) from ${schema.change}) as changes`,
  );
  return { events: newest.events ?? 0, changes: newest.changes ?? 0 };
}

interface Kept {
  version: Version;
  value: unknown;
}

const kept = new WeakMap<Db, Map<string, Kept>>();

/** What a value is worked out from. */
type Basis = 'all' | 'documents';

const holds = (basis: Basis, was: Version, is: Version): boolean =>
  was.changes === is.changes && (basis === 'documents' || was.events === is.events);

/**
 * What was worked out from events and documents, worked out again only when something was logged or written since.
 * @param make given what was there before and how far the logs had come then, for what can be brought forward instead
 */
export function keptSince<T>(db: Db, name: string, make: (before?: { value: T; version: Version }) => T, basis: Basis = 'all'): T {
  const values = kept.get(db) ?? new Map<string, Kept>();
  kept.set(db, values);
  const version = versionOf(db);
  const found = values.get(name);
  if (found && holds(basis, found.version, version)) return found.value as T;
  const value = make(found && { value: found.value as T, version: found.version });
  values.set(name, { version, value });
  return value;
}

/** More entries than this are not looked at one by one. */
const mostTouched = 300;

/** Packs and sessions that events spoke of since; undefined when there are too many. */
export function touchedSince(db: Db, events: number): string[] | undefined {
  const rows = db.all<{ subjects: string }>(sql`select subjects from event where rowid > ${events} limit ${mostTouched + 1}`);
  return rows.length > mostTouched ? undefined : [...new Set(rows.flatMap((r) => JSON.parse(r.subjects) as string[]))];
}
