import { sql } from 'drizzle-orm';
import type { ReferenceEdit } from '#core/contract';
import type { Db } from './open.ts';
import { refRow } from './schema.ts';

/** Rows that a household added itself have nothing shipped to go back to. */
const ownVersion = 0;

/** Counts the edits of this process, so that what was worked out from reference rows is worked out again. */
let epoch = 0;
export const referenceEpoch = (): number => epoch;
export const referenceMoved = (): void => {
  epoch += 1;
};

/** The row of an edit's id, `ingredient:onion`. */
const at = (id: string) => sql`${refRow.table} || ':' || ${refRow.id} = ${id}`;

type Row = Record<string, unknown>;

/** A shipped row with the household's own fields over it; a field set to null is not known here. */
export const mergedRow = (shipped: Row, edited: Row | null): Row =>
  Object.fromEntries(Object.entries({ ...shipped, ...edited }).filter(([, value]) => value !== null));

/** Only what differs is kept, so that a later version's better figures reach the fields that nobody touched. */
function differences(shipped: Row, row: Row): Row {
  const changed = Object.entries(row).filter(([key, value]) => JSON.stringify(value) !== JSON.stringify(shipped[key]));
  const gone = Object.keys(shipped).filter((key) => !(key in row));
  return Object.fromEntries([...changed, ...gone.map((key) => [key, null] as const)]);
}

/** The household's own version of a reference row, `ingredient:onion`; undefined while it is as shipped. */
export function referenceEditOf(db: Db, id: string): ReferenceEdit | undefined {
  const row = db.select().from(refRow).where(at(id)).get();
  return row?.edited ? { id, table: row.table, row: mergedRow(row.shipped, row.edited) } : undefined;
}

/** Keeps an edit beside the shipped row, or sets the shipped row back; a row of the household's own goes away. */
export function putReferenceEdit(db: Db, id: string, edit: ReferenceEdit | null): void {
  epoch += 1;
  const before = db.select().from(refRow).where(at(id)).get();
  const own = before?.version === ownVersion;
  if (edit === null) {
    if (own) db.delete(refRow).where(at(id)).run();
    else db.update(refRow).set({ edited: null }).where(at(id)).run();
    return;
  }
  const row = edit.row as Row;
  const edited = before && !own ? differences(before.shipped, row) : row;
  db.insert(refRow)
    .values({ table: edit.table, id: String(row.id), shipped: {}, edited, source: String(row.source), version: ownVersion })
    .onConflictDoUpdate({ target: [refRow.table, refRow.id], set: { edited: Object.keys(edited).length > 0 ? edited : null } })
    .run();
}
