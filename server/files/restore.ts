import { rmSync } from 'node:fs';
import {
  documentTables,
  readDocument,
  readEvent,
  readWritable,
  referenceEditSchema,
  type Revision,
  type WritableTable,
} from '#core/contract';
import { loadReference, mergedRow, openDb, putReferenceEdit, storeId, type OpenDb } from '../db/index.ts';
import { rebuild } from '../events/index.ts';
import { countsOf, householdName } from './backup.ts';
import { BadFile, type Counts, type Manifest, type Tell } from './format.ts';
import { unpack } from './unpack.ts';

/** What a restore would change, before anything is. */
export interface Look {
  manifest: Manifest;
  /** Absent when the household of here cannot be read. */
  here?: Counts & { household: string };
  /** Events here that the backup does not hold: they would be set aside with the copy that is made first. */
  onlyHere: number;
  /** Events in the backup that are not here. */
  onlyThere: number;
  sameHousehold: boolean;
  /** Rows that were left out because they do not hold to the contract, if any. */
  leftOut: { table: string; id: string; why: string }[];
}

export interface LookOptions {
  file: string;
  /** The household as it would be, ready to be put in place. */
  ready: string;
  /** The household of here, unless it cannot be read. */
  dbFile?: string;
  migrationsFolder: string;
  migrationsKnown: number;
}

const nothingChanged = 'Nothing was changed here.';

/** A foreign database may hold nothing that acts by itself: tables and indexes of its own only. */
function onlyTables({ sqlite }: Pick<OpenDb, 'sqlite'>): void {
  const strange = sqlite
    .prepare("select type, name, sql from sqlite_master where type not in ('table', 'index') or sql like '%virtual%table%'")
    .all() as { type: string; name: string }[];
  const [first] = strange;
  if (first)
    throw new BadFile(
      `This backup holds something that no Tambo writes. ${nothingChanged}`,
      'tables only',
      `a ${first.type} called ${first.name.slice(0, 40)}`,
    );
  const { quick_check: check } = sqlite.prepare('pragma quick_check(1)').get() as { quick_check: string };
  if (check !== 'ok')
    throw new BadFile(
      `The database in this backup is damaged. ${nothingChanged} Choose another copy.`,
      'a sound database',
      check.slice(0, 100),
    );
}

const isRow = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null;

/** A value as it was written; undefined where it cannot be read, which no contract takes. */
function valueOf(json: string): unknown {
  try {
    return JSON.parse(json) as unknown;
  } catch {
    return undefined;
  }
}
const changeColumns = ['id', 'write_id', 'table_name', 'row_id', 'before', 'after', 'version', 'at', 'device', 'label'] as const;
const clashColumns = ['id', 'write_id', 'table_name', 'row_id', 'mine', 'version', 'at', 'device', 'label', 'settled_by'] as const;

const writableTables: readonly string[] = [...documentTables, 'reference'];
const isWritable = (table: unknown): table is WritableTable => writableTables.includes(String(table));

/** Whether a value of a document table, of whatever version, can be read; nothing at all can. */
const readable = (table: unknown, version: unknown, json: unknown): boolean => {
  if (!isWritable(table)) return false;
  const value = json === null ? null : valueOf(String(json));
  return value === null || readWritable(table, Number(version), value).value !== undefined;
};

/** What was changed when: each with documents that hold to the contract before and after, since an undo puts them back. */
function bringInChanges(from: OpenDb, to: OpenDb, leave: (table: string, id: string, why: string) => void): void {
  const insert = to.sqlite.prepare(
    `insert or ignore into change (${changeColumns.join(', ')}) values (${changeColumns.map(() => '?').join(', ')})`,
  );
  const rows = from.sqlite.prepare(`select ${changeColumns.join(', ')} from change order by rowid`).iterate();
  for (const r of rows as Iterable<Record<(typeof changeColumns)[number], string | null>>) {
    if ([r.before, r.after].every((v) => readable(r.table_name, r.version, v))) insert.run(changeColumns.map((c) => r[c]));
    else leave('change', String(r.id), `a change of ${String(r.table_name).slice(0, 40)} that cannot be read`);
  }
}

/** What two devices wrote differently and may not be settled yet. */
function bringInClashes(from: OpenDb, to: OpenDb, leave: (table: string, id: string, why: string) => void): void {
  const insert = to.sqlite.prepare(
    `insert or ignore into clash (${clashColumns.join(', ')}) values (${clashColumns.map(() => '?').join(', ')})`,
  );
  const rows = from.sqlite.prepare(`select ${clashColumns.join(', ')} from clash order by rowid`).iterate();
  for (const r of rows as Iterable<Record<(typeof clashColumns)[number], string | null>>) {
    if (readable(r.table_name, r.version, r.mine)) insert.run(clashColumns.map((c) => r[c]));
    else leave('clash', String(r.id), `a second version of ${String(r.table_name).slice(0, 40)} that cannot be read`);
  }
}

/** Everything a cook said, row by row through the contract into a fresh database; what is derived is worked out anew. */
function bringIn(from: OpenDb, to: OpenDb, tell: Tell): Look['leftOut'] {
  const leftOut: Look['leftOut'] = [];
  const all = <T>(query: string): Iterable<T> => from.sqlite.prepare(query).iterate() as Iterable<T>;
  const leave = (table: string, id: string, why: string): void => {
    if (leftOut.length < 100) leftOut.push({ table, id: id.slice(0, 60), why: why.slice(0, 160) });
  };
  const total = (from.sqlite.prepare('select count(*) as n from event').get() as { n: number }).n;
  to.sqlite.exec('BEGIN');
  const copy = (table: string, columns: readonly string[]): void => {
    const insert = to.sqlite.prepare(
      `insert or ignore into ${table} (${columns.join(', ')}) values (${columns.map(() => '?').join(', ')})`,
    );
    for (const row of all<Record<string, unknown>>(`select ${columns.join(', ')} from ${table} order by rowid`))
      insert.run(columns.map((c) => row[c]));
  };
  for (const table of documentTables) {
    const insert = to.sqlite.prepare(`insert into ${table} (id, data, version, deleted, updated_at) values (?, ?, ?, ?, ?)`);
    for (const r of all<{ id: string; data: string; version: number; deleted: number; updated_at: string }>(
      `select id, data, version, deleted, updated_at from ${table} order by rowid`,
    )) {
      const read = readDocument(table, r.version, valueOf(r.data));
      if (read.value === undefined) {
        leave(table, r.id, read.why);
        continue;
      }
      insert.run([r.id, r.data, r.version, r.deleted ? 1 : 0, r.updated_at]);
      if (table === 'recipe_revision')
        for (const id of new Set((read.value as Revision).lines.flatMap((l) => (l.item.type === 'ingredient' ? [l.item.id] : []))))
          to.sqlite.prepare('insert or ignore into recipe_ingredient (revision_id, ingredient_id) values (?, ?)').run([r.id, id]);
    }
  }
  const columns = ['id', 'stream', 'type', 'subjects', 'instant', 'device', 'counter', 'version', 'data', 'received_at'] as const;
  const insertEvent = to.sqlite.prepare(
    `insert or ignore into event (${columns.join(', ')}) values (${columns.map(() => '?').join(', ')})`,
  );
  const insertSubject = to.sqlite.prepare('insert or ignore into event_subject (subject, event_id) values (?, ?)');
  let n = 0;
  for (const r of all<Record<(typeof columns)[number], string>>(`select ${columns.join(', ')} from event order by rowid`)) {
    n += 1;
    if (n % 5000 === 0) tell({ share: 0.3 + (0.5 * n) / Math.max(1, total), says: 'Reading every entry' });
    const read = readEvent({
      id: r.id,
      type: r.type,
      subjects: valueOf(r.subjects),
      instant: r.instant,
      device: r.device,
      counter: r.counter,
      version: Number(r.version),
      data: valueOf(r.data),
    });
    if (read.value === undefined) {
      leave('event', r.id, read.why);
      continue;
    }
    insertEvent.run(columns.map((c) => r[c]));
    for (const subject of new Set(read.value.subjects)) insertSubject.run([subject, r.id]);
  }
  copy('pack_code', ['code', 'given_to', 'given_at']);
  bringInChanges(from, to, leave);
  bringInClashes(from, to, leave);
  copy('write_answer', ['write_id', 'digest', 'status', 'body']);
  for (const r of all<{ edited: string; shipped: string; table_name: string; id: string }>(
    'select edited, shipped, table_name, id from ref_row where edited is not null',
  )) {
    const [shipped, edited] = [valueOf(r.shipped), valueOf(r.edited)];
    const parsed = referenceEditSchema.safeParse({
      id: `${r.table_name}:${r.id}`,
      table: r.table_name,
      row: isRow(shipped) && isRow(edited) ? mergedRow(shipped, edited) : undefined,
    });
    if (parsed.success) putReferenceEdit(to.db, parsed.data.id, parsed.data);
    else leave('reference', r.id, parsed.error.issues[0]?.message ?? 'not readable');
  }
  to.sqlite.prepare("insert or replace into meta (key, value) values ('storeId', ?)").run([JSON.stringify(storeId(from.db))]);
  to.sqlite.exec('COMMIT');
  tell({ share: 0.85, says: 'Counting the stock' });
  rebuild(to);
  return leftOut;
}

/** Events in the one that are not in the other. */
function missingIn(here: OpenDb, otherFile: string): { onlyHere: number; onlyThere: number } {
  here.sqlite.exec(`ATTACH '${otherFile.replaceAll("'", "''")}' AS other`);
  const count = (query: string): number => (here.sqlite.prepare(query).get() as { n: number }).n;
  const out = {
    onlyHere: count('select count(*) as n from event e where not exists (select 1 from other.event o where o.id = e.id)'),
    onlyThere: count('select count(*) as n from other.event o where not exists (select 1 from event e where e.id = o.id)'),
  };
  here.sqlite.exec('DETACH other');
  return out;
}

/** What the household of here has beside a copy of it. */
function besideHere(
  dbFile: string | undefined,
  migrationsFolder: string,
  ready: string,
  manifest: Manifest,
): Omit<Look, 'manifest' | 'leftOut'> {
  if (dbFile === undefined) return { onlyHere: 0, onlyThere: manifest.counts.events, sameHousehold: true };
  const here = openDb(dbFile, migrationsFolder);
  try {
    return {
      here: { ...countsOf(here), household: householdName(here.db) },
      ...missingIn(here, ready),
      sameHousehold: storeId(here.db) === manifest.storeId,
    };
  } finally {
    here.sqlite.close();
  }
}

/**
 * Unpacks a backup, reads every row of it through the contract into a fresh database, and says what putting it in place would change.
 * Nothing of the running household is touched; runs beside the server.
 * @throws BadFile when the file is none of ours, cut off, damaged, newer, or hostile
 */
export async function lookAt({ file, ready, dbFile, migrationsFolder, migrationsKnown }: LookOptions, tell: Tell): Promise<Look> {
  const foreign = `${ready}.foreign.sqlite`;
  const temporary = [foreign, `${foreign}-wal`, `${foreign}-shm`];
  for (const f of [...temporary, ready, `${ready}-wal`, `${ready}-shm`]) rmSync(f, { force: true });
  try {
    const manifest = await unpack(file, foreign, migrationsKnown, tell);
    tell({ share: 0.25, says: 'Checking the database' });
    let from: OpenDb;
    try {
      from = openDb(foreign, migrationsFolder, { before: onlyTables });
    } catch (error) {
      if (error instanceof BadFile) throw error;
      throw new BadFile(
        `The database in this backup cannot be opened. ${nothingChanged} Choose another copy.`,
        'a database of Tambo',
        error instanceof Error ? error.message.slice(0, 120) : 'something else',
      );
    }
    const to = openDb(ready, migrationsFolder);
    loadReference(to.db);
    let leftOut: Look['leftOut'];
    try {
      leftOut = bringIn(from, to, tell);
    } catch (error) {
      throw new BadFile(
        `A part of this backup cannot be read. ${nothingChanged} Choose another copy.`,
        'rows that Tambo wrote',
        error instanceof Error ? error.message.slice(0, 120) : 'something else',
      );
    } finally {
      from.close();
      to.close();
    }
    const look = { manifest, ...besideHere(dbFile, migrationsFolder, ready, manifest), leftOut };
    tell({ share: 1, says: 'Ready to look at' });
    return look;
  } finally {
    for (const f of temporary) rmSync(f, { force: true });
  }
}
