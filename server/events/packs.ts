import { eq, type SQL } from 'drizzle-orm';
import { wholePack, type PackState } from '#core/store';
import { schema, type Db } from '../db/index.ts';

/** Whole packs that meet a condition on the projection, by code: what each was filled with, and what events have made of it. */
export function packsWhere(db: Db, condition: SQL | undefined): PackState[] {
  const t = schema.packState;
  return db
    .select({ packId: t.packId, changes: t.changes, filled: schema.filledData })
    .from(t)
    .innerJoin(schema.event, eq(schema.event.id, t.filledId))
    .where(condition)
    .orderBy(t.code)
    .all()
    .map((r) => wholePack(r.filled, r.changes, r.packId));
}
