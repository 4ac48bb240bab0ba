import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream, renameSync, rmSync } from 'node:fs';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { ZipFile } from 'yazl';
import { documentById, openDb, storeId, type Db, type OpenDb } from '../db/index.ts';
import { powerCutAt } from '../faults.ts';
import { backupNames, backupVersion, BadFile, type Counts, type Manifest, type Tell } from './format.ts';
import { writeExport } from './exportJson.ts';
import { unpack } from './unpack.ts';

/** What is in a database, for a look before anything is changed. */
export function countsOf({ sqlite }: Pick<OpenDb, 'sqlite'>): Counts {
  const count = (sql: string): number => (sqlite.prepare(`select count(*) as n from ${sql}`).get() as { n: number }).n;
  return {
    packs: count("event where type = 'filled'"),
    inStore: count("pack_state where status <> 'empty'"),
    events: count('event'),
    recipes: count('recipe where deleted = 0'),
    sessions: count('session where deleted = 0'),
    eaters: count('eater where deleted = 0'),
  };
}

export const householdName = (db: Db): string => documentById(db, 'household', 'household')?.name ?? 'Our kitchen';

/** Steps of the database's shape; of the running one, those that this Tambo knows. */
export const migrationsIn = ({ sqlite }: Pick<OpenDb, 'sqlite'>): number =>
  (sqlite.prepare('select count(*) as n from __drizzle_migrations').get() as { n: number }).n;

/** Passes bytes on and keeps their sum and digest. */
function measured() {
  const hash = createHash('sha256');
  let bytes = 0;
  const stream = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      hash.update(chunk);
      bytes += chunk.length;
      done(null, chunk);
    },
  });
  return { stream, facts: () => ({ bytes, sha256: hash.copy().digest('hex') }) };
}

/** Fast before small: the disk is larger than the evening. */
const packed = () => createGzip({ level: 1, chunkSize: 1 << 18 });

/**
 * A copy as the disk gives it back: the manifest word for word, the database and the export by size and the gzip's own checksum (a
 * digest of 300 MB would take longer than all the rest of it). Every row has been read for the export of the same bytes.
 * @throws BadFile when it is not what was written
 */
async function readBack(file: string, written: Manifest): Promise<void> {
  const read = await unpack(file, undefined, written.migrations, () => undefined, { exportToo: true, digest: false });
  if (JSON.stringify(read) !== JSON.stringify(written))
    throw new BadFile('The copy is not what was written.', 'its manifest', 'another one');
}

export interface BackupOptions {
  dbFile: string;
  migrationsFolder: string;
  /** The finished file; it appears under this name only when it is whole. */
  out: string;
  now: string;
}

/**
 * Backs a household up while it is in use: a copy of the database taken in one piece, the open export made from that copy,
 * both in one zip with a manifest. Runs beside the server, on a connection of its own.
 */
export async function makeBackup({ dbFile, migrationsFolder, out, now }: BackupOptions, tell: Tell): Promise<Manifest> {
  const copy = `${out}.copy.sqlite`;
  const [databasePacked, exportPacked] = [`${out}.copy.gz`, `${out}.export.gz`];
  const part = `${out}.part`;
  const temporary = [copy, `${copy}-wal`, `${copy}-shm`, databasePacked, exportPacked, part];
  for (const f of temporary) rmSync(f, { force: true });
  try {
    tell({ share: 0.02, says: 'Copying the database' });
    const source = openDb(dbFile, migrationsFolder);
    source.sqlite.exec(`VACUUM INTO '${copy.replaceAll("'", "''")}'`);
    source.sqlite.close();
    tell({ share: 0.25, says: 'Packing it into one file' });
    const db = openDb(copy, migrationsFolder);
    const facts = {
      madeAt: now,
      storeId: storeId(db.db),
      household: householdName(db.db),
      migrations: migrationsIn(db),
      counts: countsOf(db),
    };
    const { quick_check: check } = db.sqlite.prepare('pragma quick_check(1)').get() as { quick_check: string };
    if (check !== 'ok') throw new Error(`the household's own file is damaged (${check.slice(0, 100)})`);
    // nothing of the copy waits in a log beside it while it is read
    db.sqlite.exec('PRAGMA wal_checkpoint(TRUNCATE)');

    // the export is written while the database is being packed: each is packed by a thread of its own
    const database = measured();
    const exported = measured();
    await Promise.all([
      pipeline(createReadStream(copy, { highWaterMark: 1 << 20 }), database.stream, packed(), createWriteStream(databasePacked)),
      pipeline(exported.stream, packed(), createWriteStream(exportPacked)),
      writeExport(db.sqlite, exported.stream, facts, (share) => tell({ share: 0.25 + share * 0.5, says: 'Packing it into one file' })),
    ]);
    db.close();
    const files = { [backupNames.database]: database.facts(), [backupNames.export]: exported.facts() };
    const manifest: Manifest = { format: 'tambo-backup', version: backupVersion, ...facts, files };
    const zip = new ZipFile();
    zip.addFile(databasePacked, backupNames.database, { compress: false });
    zip.addFile(exportPacked, backupNames.export, { compress: false });
    zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, null, 2)}\n`), backupNames.manifest);
    zip.end();
    await pipeline(zip.outputStream, createWriteStream(part));
    tell({ share: 0.9, says: 'Reading it back' });
    await readBack(part, manifest);
    powerCutAt('copy:read');
    renameSync(part, out);
    tell({ share: 1, says: 'Done' });
    return manifest;
  } finally {
    for (const f of temporary) rmSync(f, { force: true });
  }
}
