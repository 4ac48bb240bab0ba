import { createHash } from 'node:crypto';
import { and, eq, isNull } from 'drizzle-orm';
import { ulid } from 'ulid';
import type { Figures, ReferenceTable } from '#core/contract';
import { figuresOf } from '#core/kitchen';
import {
  bagRows,
  blanchRows,
  blanchRuleRows,
  cookedRows,
  densityRows,
  headspaceRows,
  ingredientRows,
  keepRows,
  lifeRows,
  materialRows,
  panRows,
  pressureRows,
  pureeRows,
  spaceRows,
  thicknessStepRows,
  trimRows,
  tubRows,
  washingRows,
  zoneRows,
  type IngredientRow,
  type LifeRow,
  type ReferenceRow,
} from '#core/kitchen/data';
import { reheatRows, thawRows, thicknessRows } from '#core/pack/data';
import { brothRows, scrapRows } from '#core/broth/data';
import { portionRows } from '#core/plan/data';
import { freezingRows, seasoningRows, textureRows } from '#core/recipe/data';
import { allergenRows, clockRows, hazardRows, hiddenAllergenRows, hotBlendingRows, setpointRows } from '#core/safety/data';
import { carriedHeat } from '#core/pack';
import type { Db } from './open.ts';
import { mergedRow } from './referenceEdits.ts';
import { meta, refRow } from './schema.ts';

/** A transaction of the database. */
type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

/** Rows that ship have this version, rows of the household's own have 0. */
const shippedVersion = 1;
const ownVersion = 0;

const tables = {
  ingredient: ingredientRows,
  life: lifeRows,
  bag: bagRows,
  headspace: headspaceRows,
  tub: tubRows,
  pan: panRows,
  material: materialRows,
  space: spaceRows,
  reheat: reheatRows,
  thaw: thawRows,
  thickness: thicknessRows,
  portion: portionRows,
  allergen: allergenRows,
  hidden_allergen: hiddenAllergenRows,
  clock: clockRows,
  setpoint: setpointRows,
  keep: keepRows,
  washing: washingRows,
  zone: zoneRows,
  blanch: blanchRows,
  blanch_rule: blanchRuleRows,
  puree: pureeRows,
  pressure: pressureRows,
  thickness_step: thicknessStepRows,
  trim: trimRows,
  cooked: cookedRows,
  density: densityRows,
  freezing: freezingRows,
  seasoning: seasoningRows,
  texture: textureRows,
  scrap: scrapRows,
  broth: brothRows,
  hazard: hazardRows,
  hot_blending: hotBlendingRows,
} as const satisfies Record<ReferenceTable, readonly { id: string; source: string }[]>;

let digest: string | undefined;
/** What ships, as one digest: a changed row brings all of them in again. */
const shippedDigest = (): string => (digest ??= createHash('sha256').update(JSON.stringify(tables)).digest('hex'));

/** Rows that no longer ship: their edits are carried over to what took their place, else kept as rows of the household's own. */
function carryOver(tx: Tx, table: ReferenceTable, shipped: ReadonlySet<string>): void {
  const gone = tx
    .select()
    .from(refRow)
    .where(eq(refRow.table, table))
    .all()
    .filter((r) => r.version !== ownVersion && !shipped.has(r.id));
  for (const row of gone) {
    const at = and(eq(refRow.table, table), eq(refRow.id, row.id));
    const carried = row.edited && table === 'reheat' ? carriedHeat(row.id, row.edited, reheatRows) : [];
    for (const { id, edited } of carried)
      tx.update(refRow)
        .set({ edited })
        .where(and(eq(refRow.table, table), eq(refRow.id, id), isNull(refRow.edited)))
        .run();
    if (row.edited && carried.length === 0)
      tx.update(refRow)
        .set({ edited: { ...row.shipped, ...row.edited }, shipped: {}, version: ownVersion })
        .where(at)
        .run();
    else tx.delete(refRow).where(at).run();
  }
}

/** Brings shipped rows into the database on first start and whenever what ships has changed; user rows and edits are kept. */
export function loadReference(db: Db): void {
  // from the first start on: copies and devices know this household by it
  storeId(db);
  const stored = db.select().from(meta).where(eq(meta.key, 'referenceVersion')).get();
  if (stored?.value === shippedDigest()) return;
  db.transaction((tx) => {
    for (const [table, rows] of Object.entries(tables) as [ReferenceTable, readonly { id: string; source: string }[]][]) {
      for (const row of rows) {
        const shipped = { ...row } as Record<string, unknown>;
        tx.insert(refRow)
          .values({ table, id: row.id, shipped, edited: null, source: row.source, version: shippedVersion })
          .onConflictDoUpdate({ target: [refRow.table, refRow.id], set: { shipped, source: row.source, version: shippedVersion } })
          .run();
      }
      carryOver(tx, table, new Set(rows.map((r) => r.id)));
    }
    tx.insert(meta)
      .values({ key: 'referenceVersion', value: shippedDigest() })
      .onConflictDoUpdate({ target: meta.key, set: { value: shippedDigest() } })
      .run();
  });
}

interface RowTypes {
  ingredient: IngredientRow;
  life: LifeRow;
}

/** What tells this database from any other: entries and codes kept on a device belong to one. */
export function storeId(db: Db): string {
  const stored = db.select().from(meta).where(eq(meta.key, 'storeId')).get();
  if (typeof stored?.value === 'string') return stored.value;
  const made = ulid();
  db.insert(meta).values({ key: 'storeId', value: made }).run();
  return made;
}

const shippedRow = (table: ReferenceTable, id: string): ReferenceRow | undefined =>
  (tables[table] as readonly ReferenceRow[]).find((r) => r.id === id);

/** The figures that computations read, from the household's own tables. */
export function householdFigures(db: Db): Figures {
  const own = new Map<ReferenceTable, ReadonlyMap<string, ReferenceRow>>();
  const find = (table: ReferenceTable, id: string): ReferenceRow | undefined => {
    const rows = own.get(table) ?? new Map((referenceRows(db, table) as ReferenceRow[]).map((r) => [r.id, r]));
    own.set(table, rows);
    return rows.get(id);
  };
  return figuresOf(find, shippedRow);
}

/** The figures as they ship. */
export const shippedFigures = (): Figures => figuresOf(shippedRow, shippedRow);

/** Rows of a reference table as this household sees them: its own edit, else as shipped. */
export function referenceRows<T extends ReferenceTable>(db: Db, table: T): (T extends keyof RowTypes ? RowTypes[T] : ReferenceRow)[] {
  type Row = T extends keyof RowTypes ? RowTypes[T] : ReferenceRow;
  return db
    .select()
    .from(refRow)
    .where(eq(refRow.table, table))
    .all()
    .map((r) => (r.edited ? mergedRow(r.shipped, r.edited) : r.shipped) as unknown as Row);
}
