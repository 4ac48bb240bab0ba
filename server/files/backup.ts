import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream, renameSync, rmSync } from 'node:fs';
import { once } from 'node:events';
import { Transform } from 'node:stream';
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
const compressionLevel = 1;

/**
 * A copy as the disk gives it back: the manifest, the database and the export by size and digest. Every row has been read for the export of the same bytes.
 * @throws BadFile when it is not what was written
 */
async function readBack(file: string, written: Manifest): Promise<void> {
  const read = await unpack(file, undefined, written.migrations, () => undefined, { exportToo: true });
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
  const json = `${out}.export.json`;
  const part = `${out}.part`;
  const temporary = [copy, `${copy}-wal`, `${copy}-shm`, json, part];
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

    const zip = new ZipFile();
    const written = createWriteStream(part);
    zip.outputStream.pipe(written);
    const put = async (name: string, file: string): Promise<Manifest['files'][typeof backupNames.database]> => {
      const { stream, facts: sum } = measured();
      const packed = createReadStream(file, { highWaterMark: 1 << 20 })
        .pipe(stream)
        .pipe(createGzip({ level: compressionLevel, chunkSize: 1 << 18 }));
      zip.addReadStream(packed, name, { compressionLevel: 0 });
      await once(packed, 'end');
      return sum();
    };
    // the export is written while the database is being packed: one waits for the disk, the other for the processor
    const [packed] = await Promise.all([
      put(backupNames.database, copy),
      writeExport(db.sqlite, json, facts, (share) => tell({ share: 0.25 + share * 0.45, says: 'Packing it into one file' })),
    ]);
    db.close();
    tell({ share: 0.75, says: 'Packing the open export' });
    const files = { [backupNames.database]: packed, [backupNames.export]: await put(backupNames.export, json) };
    const manifest: Manifest = { format: 'tambo-backup', version: backupVersion, ...facts, files };
    zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, null, 2)}\n`), backupNames.manifest);
    zip.end();
    await once(written, 'close');
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
