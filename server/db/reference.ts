import { eq } from 'drizzle-orm';
import { ulid } from 'ulid';
import type { ReferenceTable } from '#core/contract';
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
import type { Db } from './open.ts';
import { mergedRow } from './referenceEdits.ts';
import { meta, refRow } from './schema.ts';

/** Raise when a shipped row changes: rows are brought in again, the household's edits stay. */
const referenceVersion = 2;

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

/** Brings shipped rows into the database on first start and after an upgrade; user rows and edits are kept. */
export function loadReference(db: Db): void {
  // from the first start on: copies and devices know this household by it
  storeId(db);
  const stored = db.select().from(meta).where(eq(meta.key, 'referenceVersion')).get();
  if (stored?.value === referenceVersion) return;
  db.transaction((tx) => {
    for (const [table, rows] of Object.entries(tables) as [ReferenceTable, readonly { id: string; source: string }[]][]) {
      for (const row of rows) {
        const shipped = { ...row } as Record<string, unknown>;
        tx.insert(refRow)
          .values({ table, id: row.id, shipped, edited: null, source: row.source, version: referenceVersion })
          .onConflictDoUpdate({ target: [refRow.table, refRow.id], set: { shipped, source: row.source, version: referenceVersion } })
          .run();
      }
    }
    tx.insert(meta)
      .values({ key: 'referenceVersion', value: referenceVersion })
      .onConflictDoUpdate({ target: meta.key, set: { value: referenceVersion } })
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
