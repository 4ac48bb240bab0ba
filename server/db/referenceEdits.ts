import { and, eq } from 'drizzle-orm';
import type { ReferenceEdit, ReferenceTable } from '#core/contract';
import type { Db } from './open.ts';
import { refRow } from './schema.ts';

/** Rows that a household added itself have nothing shipped to go back to. */
const ownVersion = 0;

/** Counts the edits of this process, so that what was worked out from reference rows is worked out again. */
let epoch = 0;
export const referenceEpoch = (): number => epoch;

const at = (id: string) => {
  const colon = id.indexOf(':');
  return and(eq(refRow.table, id.slice(0, colon)), eq(refRow.id, id.slice(colon + 1)));
};

/** The household's own version of a reference row, `ingredient:onion`; undefined while it is as shipped. */
export function referenceEditOf(db: Db, id: string): ReferenceEdit | undefined {
  const row = db.select().from(refRow).where(at(id)).get();
  return row?.edited ? { id, table: row.table as ReferenceTable, row: row.edited } : undefined;
}

/** Keeps an edit beside the shipped row, or sets the shipped row back; a row of the household's own goes away. */
export function putReferenceEdit(db: Db, id: string, edit: ReferenceEdit | null): void {
  epoch += 1;
  if (edit === null) {
    const row = db.select().from(refRow).where(at(id)).get();
    if (row?.version === ownVersion) db.delete(refRow).where(at(id)).run();
    else db.update(refRow).set({ edited: null }).where(at(id)).run();
    return;
  }
  const edited = edit.row as Record<string, unknown>;
  db.insert(refRow)
    .values({ table: edit.table, id: String(edited.id), shipped: {}, edited, source: String(edited.source), version: ownVersion })
    .onConflictDoUpdate({ target: [refRow.table, refRow.id], set: { edited } })
    .run();
}
