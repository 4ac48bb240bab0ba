import { and, desc, eq } from 'drizzle-orm';
import {
  asPagesHaveIt,
  writableSchemas,
  refusals,
  stateOf,
  undoSchema,
  upcast,
  versions,
  writeSchema,
  type DocumentTable,
  type ReferenceEdit,
  type WritableTable,
  type Instant,
  type Refusal,
  type Revision,
  type WriteRequest,
} from '#core/contract';
import { documentById, putReferenceEdit, referenceEditOf, schema, storedDocument, type Db } from '../db/index.ts';
import { dropClashes, keepClash, openAgain, settleClash } from './clashes.ts';
import { meet } from './meet.ts';

export type WriteAnswer =
  /** `asked`: what was kept beside what another device wrote, until the cook has said which of them stands. */
  | { status: 200; body: { writeId: string; changed: number; undoes?: string; asked?: { table: string; id: string }[] } }
  | { status: 404 | 409 | 422; body: { message: string; refusals: Refusal[] } };

type Change = WriteRequest['changes'][number];

const refused = (status: 404 | 409 | 422, message: string, list: Refusal[] = []): WriteAnswer => ({
  status,
  body: { message, refusals: list },
});

/** Revisions never change once written; batches and lots point to them. */
function immutable(db: Db, change: Change): Refusal[] {
  if (change.table !== 'recipe_revision') return [];
  const before = documentById(db, 'recipe_revision', change.id);
  return before && JSON.stringify(before) !== JSON.stringify(change.data)
    ? [{ path: `recipe_revision.${change.id}`, expected: 'a new revision with an id of its own', got: 'a change of one that is written' }]
    : [];
}

/** Ids that a document points to and that must exist, in this write or before. */
function dangling(db: Db, change: Change, write: WriteRequest): Refusal[] {
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
  const version = versions[table];
  tx.insert(t)
    .values({ id, data, version, deleted: false, updatedAt: at })
    .onConflictDoUpdate({ target: t.id, set: { data, version, deleted: false, updatedAt: at } })
    .run();
  if (table === 'recipe_revision') {
    const ids = new Set((data as Revision).lines.flatMap((l) => (l.item.type === 'ingredient' ? [l.item.id] : [])));
    for (const ingredientId of ids) tx.insert(schema.recipeIngredient).values({ revisionId: id, ingredientId }).onConflictDoNothing().run();
  }
}

/** What is written there now, brought up to today's shape; null when there is nothing. */
function standing(tx: Db, table: WritableTable, id: string): unknown {
  if (table === 'reference') return referenceEditOf(tx, id) ?? null;
  const stored = storedDocument(tx, table, id);
  return stored ? asPagesHaveIt(table, stored.version, stored.data) : null;
}

/** Keeps the answer of a write beside it, so that a retry changes nothing and hears the same. */
function once(db: Db, writeId: string, digest: string, make: (tx: Db) => WriteAnswer): WriteAnswer {
  const before = db.select().from(schema.writeAnswer).where(eq(schema.writeAnswer.writeId, writeId)).get();
  if (before?.digest && before.digest !== digest)
    return refused(409, 'Another entry was kept under this number. Nothing was changed by this one.', [
      { path: 'writeId', expected: 'what was sent with it before', got: 'something else' },
    ]);
  if (before) return { status: before.status, body: before.body } as WriteAnswer;
  return db.transaction((tx) => {
    const answer = make(tx);
    if (answer.status === 200) tx.insert(schema.writeAnswer).values({ writeId, digest, status: answer.status, body: answer.body }).run();
    return answer;
  });
}

function apply(tx: Db, write: WriteRequest, at: Instant): WriteAnswer {
  const asked: { table: string; id: string }[] = [];
  for (const c of write.changes) {
    const before = standing(tx, c.table, c.id);
    const met = meet(tx, write, c, before);
    if (met.apart.length > 0) {
      keepClash(tx, write, c, at);
      asked.push({ table: c.table, id: c.id });
      continue;
    }
    put(tx, c.table, c.id, met.document, at);
    tx.insert(schema.change)
      .values({
        writeId: write.writeId,
        table: c.table,
        rowId: c.id,
        before,
        after: met.document,
        version: versions[c.table],
        at,
        device: write.device,
        label: write.label,
      })
      .run();
  }
  if (write.settles !== undefined) settleClash(tx, write.settles, write.writeId);
  return {
    status: 200,
    body: { writeId: write.writeId, changed: write.changes.length - asked.length, ...(asked.length > 0 && { asked }) },
  };
}

/** Each change brought up to today's shape and held to its schema and its id. */
function read(write: WriteRequest): { changes: Change[]; problems: Refusal[] } {
  const problems: Refusal[] = [];
  const changes = write.changes.map((c, i) => {
    if (c.data === null) return { ...c, data: null };
    const wrong = (list: Refusal[]): Change => {
      problems.push(...list.map((r) => ({ ...r, path: `changes.${i}.${r.path}` })));
      return c;
    };
    if (c.data === undefined) return wrong([{ path: 'data', expected: 'a document, or null to delete it', got: 'nothing' }]);
    const version = c.version ?? 1;
    if (version > versions[c.table])
      return wrong([{ path: 'version', expected: `${versions[c.table]} or older: load this page again`, got: String(version) }]);
    const data = upcast(c.table, version, c.data);
    const doc = writableSchemas[c.table].safeParse(data);
    if (!doc.success) return wrong(refusals(doc.error, data));
    if (doc.data.id !== c.id) return wrong([{ path: 'id', expected: doc.data.id, got: c.id }]);
    return { ...c, data: doc.data };
  });
  return { changes, problems };
}

/** Digest of what a write says; the moment of writing differs from tab to tab and is no part of what is meant (as in the page's intents). */
const saidBy = (write: Pick<WriteRequest, 'changes'>): string =>
  stateOf(
    JSON.parse(
      JSON.stringify(
        write.changes.map((c) => [c.table, c.id, c.data]),
        (key, v: unknown) => (key === 'madeAt' ? undefined : v),
      ),
    ),
  );

/**
 * Keeps a write: all its changes or none. Each document is held to its schema, to what it points to, to its id, and to what it was changed from:
 * what another device changed meanwhile is put together with it, or both are kept and the cook is asked.
 */
export function acceptWrite(db: Db, value: unknown, at: Instant): WriteAnswer {
  const parsed = writeSchema.safeParse(value);
  if (!parsed.success) return refused(422, 'This could not be kept.', refusals(parsed.error, value));
  const { changes, problems } = read(parsed.data);
  if (problems.length > 0) return refused(422, 'This could not be kept.', problems);
  const write = { ...parsed.data, changes };
  return once(db, write.writeId, saidBy(write), (tx) => {
    const bad = changes.flatMap((c) => [...immutable(tx, c), ...dangling(tx, c, write)]);
    return bad.length > 0 ? refused(409, 'This could not be kept.', bad) : apply(tx, write, at);
  });
}

/** Undoes a write by a new, inverse one; refused when something was changed again since. */
export function acceptUndo(db: Db, value: unknown, at: Instant): WriteAnswer {
  const parsed = undoSchema.safeParse(value);
  if (!parsed.success) return refused(422, 'This could not be undone.', refusals(parsed.error, value));
  const { writeId, device, undoes } = parsed.data;
  return once(db, writeId, stateOf(['undo', undoes]), (tx) => {
    const rows = tx.select().from(schema.change).where(eq(schema.change.writeId, undoes)).all();
    const dropped = dropClashes(tx, undoes, writeId);
    if (rows.length === 0 && dropped === 0)
      return refused(404, 'Nothing of this is known here.', [{ path: 'undoes', expected: 'a write that was kept', got: undoes }]);
    const moved = rows.filter((r) => {
      const newest = tx
        .select({ writeId: schema.change.writeId })
        .from(schema.change)
        .where(and(eq(schema.change.table, r.table), eq(schema.change.rowId, r.rowId)))
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
      .map((r) => {
        const { table } = r;
        return { table, id: r.rowId, version: versions[table], data: r.before === null ? null : upcast(table, r.version, r.before) };
      });
    openAgain(tx, undoes);
    const label = rows[0]?.label ?? '';
    const done = apply(tx, { writeId, device, instant: at, label: `Undo: ${label}`.slice(0, 120), changes: inverse }, at);
    // kept with the answer, so that History knows what took what back
    return done.status === 200 ? { ...done, body: { ...done.body, undoes } } : done;
  });
}
