import { and, eq, sql } from 'drizzle-orm';
import type { DocumentOf, DocumentTable } from '#core/contract';
import type { Db } from './open.ts';
import { documents } from './schema.ts';

/** All living documents of a table, in the order they were made. */
export function allDocuments<T extends DocumentTable>(db: Db, table: T): DocumentOf<T>[] {
  const t = documents[table];
  return db
    .select({ data: t.data })
    .from(t)
    .where(eq(t.deleted, false))
    .orderBy(sql`rowid`)
    .all()
    .map((r) => r.data as DocumentOf<T>);
}

/** One living document, or undefined. */
export function documentById<T extends DocumentTable>(db: Db, table: T, id: string): DocumentOf<T> | undefined {
  const t = documents[table];
  return db
    .select({ data: t.data })
    .from(t)
    .where(and(eq(t.id, id), eq(t.deleted, false)))
    .get()?.data as DocumentOf<T> | undefined;
}
