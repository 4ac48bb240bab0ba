import { and, desc, eq, sql } from 'drizzle-orm';
import { documentTables, readDocument, type DocumentOf, type DocumentTable } from '#core/contract';
import type { DeletedThing, Unreadable } from '#core/queries';
import type { Db } from './open.ts';
import { change, documents } from './schema.ts';

interface Row {
  id: string;
  text: string;
  version: number;
}

/** A row as it was read: its value, or why there is none. */
interface Read {
  text: string;
  version: number;
  value?: unknown;
  why?: string;
}

/** Rows that were read, so that each is parsed and held to the contract once for as long as it says the same. */
const known = new WeakMap<Db, Map<string, Read>>();

const parsed = (text: string): unknown => {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
};

function readRow(db: Db, table: DocumentTable, { id, text, version }: Row): Read {
  const rows = known.get(db) ?? new Map<string, Read>();
  known.set(db, rows);
  const key = `${table} ${id}`;
  const before = rows.get(key);
  if (before?.text === text && before.version === version) return before;
  const read: Read = { text, version, ...readDocument(table, version, parsed(text)) };
  rows.set(key, read);
  return read;
}

const asked = (db: Db, table: DocumentTable) => {
  const t = documents[table];
  const columns = { id: t.id, text: sql<string>`cast(${t.data} as text)`, version: t.version };
  const living = eq(t.deleted, false);
  return {
    all: db
      .select(columns)
      .from(t)
      .where(living)
      .orderBy(sql`rowid`)
      .prepare(),
    one: db
      .select(columns)
      .from(t)
      .where(and(living, eq(t.id, sql.placeholder('id'))))
      .prepare(),
  };
};
const statements = new WeakMap<Db, Map<DocumentTable, ReturnType<typeof asked>>>();

/** Living rows of a table, in the order they were made; as text, which is what tells whether one has changed. */
function livingRows(db: Db, table: DocumentTable, id?: string): Row[] {
  const tables = statements.get(db) ?? new Map<DocumentTable, ReturnType<typeof asked>>();
  statements.set(db, tables);
  const made = tables.get(table) ?? asked(db, table);
  tables.set(table, made);
  return id === undefined ? made.all.all() : made.one.all({ id });
}

/** All living documents of a table that can be read, in the order they were made (see {@link unreadableDocuments}). */
export const allDocuments = <T extends DocumentTable>(db: Db, table: T): DocumentOf<T>[] =>
  livingRows(db, table).flatMap((row) => {
    const { value } = readRow(db, table, row);
    return value === undefined ? [] : [value as DocumentOf<T>];
  });

/** One living document, or undefined when there is none or it cannot be read. */
export function documentById<T extends DocumentTable>(db: Db, table: T, id: string): DocumentOf<T> | undefined {
  const [row] = livingRows(db, table, id);
  return row && (readRow(db, table, row).value as DocumentOf<T> | undefined);
}

/** A living document as it is stored, whether it can be read or not: what undo brings back. */
export function storedDocument(db: Db, table: DocumentTable, id: string): { data: unknown; version: number } | undefined {
  const [row] = livingRows(db, table, id);
  return row && { data: parsed(row.text) ?? row.text, version: row.version };
}

const nameIn = (text: string): string | undefined => {
  const value = parsed(text);
  const name = typeof value === 'object' && value !== null && 'name' in value ? value.name : undefined;
  return typeof name === 'string' ? name : undefined;
};

const lastChange = (db: Db, table: DocumentTable, id: string): Unreadable['last'] =>
  db
    .select({ writeId: change.writeId, label: change.label, at: change.at })
    .from(change)
    .where(and(eq(change.table, table), eq(change.rowId, id)))
    .orderBy(desc(change.id))
    .limit(1)
    .get();

/** Living documents that today's contract cannot read, with the reason; all others are shown as if these were not there. */
export const unreadableDocuments = (db: Db): Unreadable[] =>
  documentTables.flatMap((table) =>
    livingRows(db, table).flatMap((row): Unreadable[] => {
      const { why } = readRow(db, table, row);
      const name = nameIn(row.text);
      if (why === undefined) return [];
      const last = lastChange(db, table, row.id);
      return [{ table, id: row.id, why, ...(name !== undefined && { name }), ...(last && { last }) }];
    }),
  );

/** What was taken away and can be brought back, the newest first: pictures and what is written in recipes go with their recipe. */
export function deletedDocuments(db: Db, most: number): DeletedThing[] {
  const tables = documentTables.filter((t) => t !== 'picture' && t !== 'recipe_revision' && t !== 'household');
  return tables
    .flatMap((table) => {
      const t = documents[table];
      return db
        .select({ id: t.id, text: sql<string>`cast(${t.data} as text)`, version: t.version, at: t.updatedAt })
        .from(t)
        .where(eq(t.deleted, true))
        .all()
        .flatMap((row): DeletedThing[] => {
          const { value } = readDocument(table, row.version, parsed(row.text));
          return value === undefined ? [] : [{ table, id: row.id, at: row.at, name: nameIn(row.text) ?? '', data: value }];
        });
    })
    .toSorted((a, b) => b.at.localeCompare(a.at))
    .slice(0, most);
}
