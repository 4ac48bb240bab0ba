import { desc, eq } from 'drizzle-orm';
import {
  writableSchemas,
  refusals,
  undoSchema,
  writeSchema,
  type DocumentTable,
  type ReferenceEdit,
  type WritableTable,
  type Instant,
  type Refusal,
  type Revision,
  type WriteRequest,
} from '#core/contract';
import { documentById, putReferenceEdit, referenceEditOf, schema, type Db } from '../db/index.ts';

export type WriteAnswer =
  | { status: 200; body: { writeId: string; changed: number; undoes?: string } }
  | { status: 404 | 409 | 422; body: { message: string; refusals: Refusal[] } };

const refused = (status: 404 | 409 | 422, message: string, list: Refusal[] = []): WriteAnswer => ({
  status,
  body: { message, refusals: list },
});

/** Revisions never change once written; batches and lots point to them. */
function immutable(db: Db, change: WriteRequest['changes'][number]): Refusal[] {
  if (change.table !== 'recipe_revision') return [];
  const before = documentById(db, 'recipe_revision', change.id);
  return before && JSON.stringify(before) !== JSON.stringify(change.data)
    ? [{ path: `recipe_revision.${change.id}`, expected: 'a new revision with an id of its own', got: 'a change of one that is written' }]
    : [];
}

/** Ids that a document points to and that must exist, in this write or before. */
function dangling(db: Db, change: WriteRequest['changes'][number], write: WriteRequest): Refusal[] {
  const has = (table: DocumentTable, id: string): boolean =>
    write.changes.some((c) => c.table === table && c.id === id && c.data !== null) || documentById(db, table, id) !== undefined;
  const data = change.data as { revisionId?: string; batches?: { revisionId: string }[] } | null;
  if (!data) return [];
  if (change.table === 'recipe' && data.revisionId && !has('recipe_revision', data.revisionId))
    return [{ path: 'revisionId', expected: 'a revision that exists', got: data.revisionId }];
  if (change.table === 'session')
    return (data.batches ?? []).flatMap((b, i) =>
      has('recipe_revision', b.revisionId)
        ? []
        : [{ path: `batches.${i}.revisionId`, expected: 'a recipe that exists', got: b.revisionId }],
    );
  return [];
}

function put(tx: Db, table: WritableTable, id: string, data: unknown, at: Instant): void {
  if (table === 'reference') {
    putReferenceEdit(tx, id, data as ReferenceEdit | null);
    return;
  }
  const t = schema.documents[table];
  if (data === null) {
    tx.update(t).set({ deleted: true, updatedAt: at }).where(eq(t.id, id)).run();
    return;
  }
  tx.insert(t)
    .values({ id, data, deleted: false, updatedAt: at })
    .onConflictDoUpdate({ target: t.id, set: { data, deleted: false, updatedAt: at } })
    .run();
  if (table === 'recipe_revision') {
    const ids = new Set((data as Revision).lines.flatMap((l) => (l.item.type === 'ingredient' ? [l.item.id] : [])));
    for (const ingredientId of ids) tx.insert(schema.recipeIngredient).values({ revisionId: id, ingredientId }).onConflictDoNothing().run();
  }
}

/** Keeps the answer of a write beside it, so that a retry changes nothing and hears the same. */
function once(db: Db, writeId: string, make: (tx: Db) => WriteAnswer): WriteAnswer {
  const before = db.select().from(schema.writeAnswer).where(eq(schema.writeAnswer.writeId, writeId)).get();
  if (before) return { status: before.status, body: before.body } as WriteAnswer;
  return db.transaction((tx) => {
    const answer = make(tx);
    if (answer.status === 200) tx.insert(schema.writeAnswer).values({ writeId, status: answer.status, body: answer.body }).run();
    return answer;
  });
}

function apply(tx: Db, write: WriteRequest, at: Instant): WriteAnswer {
  for (const c of write.changes) {
    const before = (c.table === 'reference' ? referenceEditOf(tx, c.id) : documentById(tx, c.table, c.id)) ?? null;
    put(tx, c.table, c.id, c.data, at);
    tx.insert(schema.change)
      .values({ writeId: write.writeId, table: c.table, rowId: c.id, before, after: c.data, at, device: write.device, label: write.label })
      .run();
  }
  return { status: 200, body: { writeId: write.writeId, changed: write.changes.length } };
}

/**
 * Keeps a write: all its changes or none. Each document is held to its schema, to what it points to, and to its id.
 */
export function acceptWrite(db: Db, value: unknown, at: Instant): WriteAnswer {
  const parsed = writeSchema.safeParse(value);
  if (!parsed.success) return refused(422, 'This could not be kept.', refusals(parsed.error, value));
  const write = parsed.data;
  const problems: Refusal[] = [];
  const changes = write.changes.map((c, i) => {
    if (c.data === null) return { ...c, data: null };
    if (c.data === undefined) {
      problems.push({ path: `changes.${i}.data`, expected: 'a document, or null to delete it', got: 'nothing' });
      return c;
    }
    const doc = writableSchemas[c.table].safeParse(c.data);
    if (!doc.success) {
      problems.push(...refusals(doc.error, c.data).map((r) => ({ ...r, path: `changes.${i}.${r.path}` })));
      return c;
    }
    if (doc.data.id !== c.id) problems.push({ path: `changes.${i}.id`, expected: doc.data.id, got: c.id });
    return { ...c, data: doc.data };
  });
  if (problems.length > 0) return refused(422, 'This could not be kept.', problems);
  const known = db.select().from(schema.change).where(eq(schema.change.writeId, write.writeId)).orderBy(schema.change.id).all();
  const said = (rows: readonly { table: string; id: string; data: unknown }[]): string =>
    JSON.stringify(
      rows.map((r) => [r.table, r.id, r.data]),
      // the moment of writing differs from tab to tab and is no part of what is meant (as in the page's intents)
      (key, v: unknown) => (key === 'madeAt' ? undefined : v),
    );
  if (known.length > 0 && said(known.map((k) => ({ table: k.table, id: k.rowId, data: k.after }))) !== said(changes))
    return refused(409, 'Another entry was kept under this number. Nothing was changed by this one.', [
      { path: 'writeId', expected: 'what was sent with it before', got: 'something else' },
    ]);
  return once(db, write.writeId, (tx) => {
    const checked = { ...write, changes };
    const bad = changes.flatMap((c) => [...immutable(tx, c), ...dangling(tx, c, checked)]);
    return bad.length > 0 ? refused(409, 'This could not be kept.', bad) : apply(tx, checked, at);
  });
}

/** Undoes a write by a new, inverse one; refused when something was changed again since. */
export function acceptUndo(db: Db, value: unknown, at: Instant): WriteAnswer {
  const parsed = undoSchema.safeParse(value);
  if (!parsed.success) return refused(422, 'This could not be undone.', refusals(parsed.error, value));
  const { writeId, device, undoes } = parsed.data;
  return once(db, writeId, (tx) => {
    const rows = tx.select().from(schema.change).where(eq(schema.change.writeId, undoes)).all();
    if (rows.length === 0)
      return refused(404, 'Nothing of this is known here.', [{ path: 'undoes', expected: 'a write that was kept', got: undoes }]);
    const moved = rows.filter((r) => {
      const newest = tx
        .select({ writeId: schema.change.writeId })
        .from(schema.change)
        .where(eq(schema.change.rowId, r.rowId))
        .orderBy(desc(schema.change.id))
        .limit(1)
        .get();
      return newest?.writeId !== undoes;
    });
    if (moved.length > 0)
      return refused(
        409,
        'It was changed again since: undo the newer change first.',
        moved.map((r) => ({ path: `${r.table}.${r.rowId}`, expected: 'unchanged since', got: 'changed again' })),
      );
    // a revision is never taken back: the recipe simply points to the one before
    const inverse = rows
      .filter((r) => r.table !== 'recipe_revision')
      .toReversed()
      .map((r) => ({ table: r.table as WritableTable, id: r.rowId, data: r.before }));
    const done = apply(tx, { writeId, device, instant: at, label: `Undo: ${rows[0]?.label ?? ''}`.slice(0, 120), changes: inverse }, at);
    // kept with the answer, so that History knows what took what back
    return done.status === 200 ? { ...done, body: { ...done.body, undoes } } : done;
  });
}
