import { sql } from 'drizzle-orm';
import { schema, type Db } from '../db/index.ts';

interface Kept {
  version: string;
  values: Map<string, unknown>;
}

const kept = new WeakMap<Db, Kept>();

/** The newest event and the newest change of a document: both logs only ever grow, so what was worked out holds until one of them does. */
function versionOf(db: Db): string {
  const newest = db.get<{ events: number | null; changes: number | null }>(
    sql`select (select max(rowid) from ${schema.event}) as events, (select max(id) from ${schema.change}) as changes`,
  );
  return `${newest.events ?? 0}/${newest.changes ?? 0}`;
}

/** What was worked out from events and documents, worked out again only when something was logged or written since. */
export function keptSince<T>(db: Db, name: string, make: () => T): T {
  const version = versionOf(db);
  let found = kept.get(db);
  if (found?.version !== version) kept.set(db, (found = { version, values: new Map() }));
  if (!found.values.has(name)) found.values.set(name, make());
  return found.values.get(name) as T;
}
