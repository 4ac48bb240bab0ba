import { eq, isNotNull } from 'drizzle-orm';
import type { ReferenceTable } from '#core/contract';
import type { ReferenceRow } from '#core/kitchen';
import { trimsOf } from '#core/session';
import { type LarderAnswer, type ReferenceAnswer } from '#core/queries';
import { referenceRows, schema } from '../db/index.ts';
import { yieldEvents } from '../events/index.ts';
import type { Context } from '../http.ts';
import { worldOf } from '../session/index.ts';

const { refRow } = schema;
/** Rows that a household added itself have no shipped version. */
const ownVersion = 0;

/** Ingredients as this household sees them, which of them it changed or added, and what it weighed of them. */
export function larderAnswer(ctx: Context): LarderAnswer {
  const world = worldOf(ctx.db);
  const rows = referenceRows(ctx.db, 'ingredient');
  const pct = new Map(rows.map((r) => [r.id, r.ediblePct]));
  const edits = ctx.db
    .select({ id: refRow.id, table: refRow.table, version: refRow.version, edited: refRow.edited })
    .from(refRow)
    .where(isNotNull(refRow.edited))
    .all();
  const mine = edits.filter((e) => e.table === 'ingredient');
  const byId = (table: ReferenceTable): Record<string, ReferenceRow> =>
    Object.fromEntries((referenceRows(ctx.db, table) as ReferenceRow[]).map((r) => [r.id, r]));
  return {
    rows: [...rows].sort((a, b) => a.name.localeCompare(b.name)),
    // a price is a note of the day, not another figure
    edited: mine.filter((e) => e.version !== ownVersion && Object.keys(e.edited ?? {}).some((k) => k !== 'prices')).map((e) => e.id),
    own: mine.filter((e) => e.version === ownVersion).map((e) => e.id),
    trims: Object.fromEntries(trimsOf(yieldEvents(ctx.db, 'trimmed'), (id) => pct.get(id))),
    tables: {
      keep: byId('keep'),
      blanch: byId('blanch'),
      puree: byId('puree'),
      trim: byId('trim'),
      cooked: byId('cooked'),
      scrap: byId('scrap'),
    },
    household: world.household,
    allergenNames: Object.fromEntries(world.allergenNames),
  };
}

/** One table of reference rows, with what the household changed in it. */
export function referenceAnswer(ctx: Context, table: ReferenceTable): ReferenceAnswer {
  const rows = referenceRows(ctx.db, table) as unknown as ReferenceRow[];
  const kept = new Map(
    ctx.db
      .select({ id: refRow.id, edited: refRow.edited, shipped: refRow.shipped, version: refRow.version })
      .from(refRow)
      .where(eq(refRow.table, table))
      .all()
      .map((r) => [r.id, r]),
  );
  return {
    table,
    rows: rows.map((row) => {
      const k = kept.get(row.id);
      return { row, state: !k?.edited ? ('shipped' as const) : k.version === ownVersion ? ('own' as const) : ('edited' as const) };
    }),
  };
}
