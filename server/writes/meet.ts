import { and, desc, eq } from 'drizzle-orm';
import { asPagesHaveIt, stateOf, writableSchemas, type WriteRequest } from '#core/contract';
import { mergeDocuments, type Merged } from '#core/sync';
import { schema, type Db } from '../db/index.ts';

type Change = WriteRequest['changes'][number];
type Row = typeof schema.change.$inferSelect;

/** Changes of a document, the newest first. */
const changesOf = (tx: Db, { table, id }: Change): Row[] =>
  tx
    .select()
    .from(schema.change)
    .where(and(eq(schema.change.table, table), eq(schema.change.rowId, id)))
    .orderBy(desc(schema.change.id))
    .all();

const stateAfter = (row: Row, table: Change['table']): string | null =>
  row.after === null ? null : stateOf(asPagesHaveIt(table, row.version, row.after));

const stands = (document: unknown): Merged => ({ document, apart: [] });

/**
 * A change meets what stands there now (decision 58). Where nothing was written since the state it was made from, it stands; what others wrote
 * meanwhile is put together with it field by field; a device that knows of its own writes has the last word over them.
 * @returns the document to keep, and what stands apart: then both are kept and the cook is asked
 */
export function meet(tx: Db, write: WriteRequest, change: Change, now: unknown): Merged {
  const { table, from, data } = change;
  // a revision never changes, a figure of the reference is one row, and who does not say what it came from is not compared
  if (table === 'recipe_revision' || table === 'reference' || from === undefined) return stands(data);
  // what cannot be read cannot be compared: whoever writes it anew puts it right
  if (now !== null && !fits(table, now)) return stands(data);
  const state = now === null ? null : stateOf(now);
  if (state === from || (data !== null && state === stateOf(data))) return stands(data);
  const rows = changesOf(tx, change);
  // what every household begins with is nobody's change
  if (rows.length === 0) return stands(data);
  const at = rows.findIndex((r) => stateAfter(r, table) === from);
  const base = at < 0 || from === null ? undefined : asPagesHaveIt(table, rows[at]?.version ?? 1, rows[at]?.after);
  const since = at < 0 ? rows : rows.slice(0, at);
  if (at >= 0 && since.every((r) => r.device === write.device)) {
    const merged = now === null || data === null ? data : mergeDocuments(base, now, data).document;
    return stands(fits(table, merged) ? merged : data);
  }
  if (now === null || data === null) return { document: data, apart: ['(whole)'] };
  const merged = mergeDocuments(base, now, data);
  return fits(table, merged.document) ? merged : { document: data, apart: ['(whole)'] };
}

const fits = (table: Change['table'], document: unknown): boolean =>
  document === null || writableSchemas[table].safeParse(document).success;
