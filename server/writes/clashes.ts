import { and, eq, isNull } from 'drizzle-orm';
import { asPagesHaveIt, intentId, versions, type Instant, type WriteRequest } from '#core/contract';
import type { ClashBrief } from '#core/queries';
import { differencesOf, type NameOf } from '#core/sync';
import { documentById, schema, storedDocument, type Db } from '../db/index.ts';

const t = schema.clash;

/** Lays a change beside what another device wrote, until the cook has said which of them stands. */
export function keepClash(tx: Db, write: WriteRequest, change: WriteRequest['changes'][number], at: Instant): void {
  const { table } = change;
  // a row of the reference is one figure: it never stands apart from another
  if (table === 'reference') return;
  tx.insert(t)
    .values({
      id: intentId(write.writeId, table, change.id),
      writeId: write.writeId,
      table,
      rowId: change.id,
      mine: change.data ?? null,
      version: versions[table],
      at,
      device: write.device,
      label: write.label,
    })
    .run();
}

/** The cook has said which of the two stands. */
export function settleClash(tx: Db, id: string, writeId: string): void {
  tx.update(t).set({ settledBy: writeId }).where(eq(t.id, id)).run();
}

/** What was settled by a write that is taken back is asked again. */
export function openAgain(tx: Db, writeId: string): void {
  tx.update(t).set({ settledBy: null }).where(eq(t.settledBy, writeId)).run();
}

/** A write that is taken back asks nothing any more. @returns how many of its changes lay beside another's */
export function dropClashes(tx: Db, writeId: string, by: string): number {
  const open = and(eq(t.writeId, writeId), isNull(t.settledBy));
  const rows = tx.select({ id: t.id }).from(t).where(open).all();
  if (rows.length > 0) tx.update(t).set({ settledBy: by }).where(open).run();
  return rows.length;
}

/** A dish of a session is called by its recipe. */
const dishName =
  (db: Db): NameOf =>
  ({ recipeId }) =>
    typeof recipeId === 'string' ? documentById(db, 'recipe', recipeId)?.name : undefined;

/** Fields of a revision that differ by being another one. */
const ofItself: ReadonlySet<string> = new Set(['id', 'madeAt']);

/** Two recipes: their revisions are told apart by what is written in them. */
function ofRecipes(db: Db, here: unknown, mine: unknown): ClashBrief['differences'] {
  const own = differencesOf(here, mine);
  const at = own.findIndex((d) => d.path === 'revisionId');
  const pointed = own[at];
  if (!pointed) return own;
  const [one, other] = [pointed.here, pointed.mine].map((id) => documentById(db, 'recipe_revision', String(id)));
  const within = differencesOf(one, other).filter((d) => !ofItself.has(d.path));
  return one && other ? own.toSpliced(at, 1, ...within) : own;
}

const nameOf = (...values: unknown[]): string | undefined =>
  values.map((v) => (typeof v === 'object' && v !== null && 'name' in v ? v.name : undefined)).find((n) => typeof n === 'string');

/** What two devices wrote differently and nobody has settled yet, each with both versions of it. */
export const openClashes = (db: Db): ClashBrief[] =>
  db
    .select()
    .from(t)
    .where(isNull(t.settledBy))
    .all()
    .map((c) => {
      const { table } = c;
      const stored = storedDocument(db, table, c.rowId);
      const here = stored ? asPagesHaveIt(table, stored.version, stored.data) : null;
      const mine = asPagesHaveIt(table, c.version, c.mine);
      const name = nameOf(here, mine);
      return {
        id: c.id,
        table,
        rowId: c.rowId,
        ...(name !== undefined && { name }),
        label: c.label,
        at: c.at,
        device: c.device,
        here,
        mine,
        differences: c.table === 'recipe' ? ofRecipes(db, here, mine) : differencesOf(here, mine, dishName(db)),
      };
    });
