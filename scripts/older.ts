/** Keeps the demo household as today's Tambo writes it in server/db/older, before a shape changes: a database and a copy. */
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { loadReference, openDb } from '../server/db/index.ts';
import { makeDemo } from '../server/demo/index.ts';
import { makeBackup } from '../server/files/backup.ts';

const migrationsFolder = path.resolve(import.meta.dirname, '../server/db/migrations');
const older = path.resolve(import.meta.dirname, '../server/db/older');
const step = readdirSync(migrationsFolder)
  .filter((f) => f.endsWith('.sql'))
  .toSorted()
  .at(-1)
  ?.slice(0, 4);
const now = '2026-11-24T16:00:00.000Z';
const folder = mkdtempSync(path.join(tmpdir(), 'tambo-older-'));
const dbFile = path.join(folder, 'tambo.sqlite');
const open = openDb(dbFile, migrationsFolder);
loadReference(open.db);
makeDemo(open.db, { now, zone: 'Europe/London', seed: 7 });
// what ships comes in again by itself
open.sqlite.exec('delete from ref_row where edited is null; VACUUM');
open.close();
writeFileSync(path.join(older, `${step}-demo.sqlite.gz`), gzipSync(readFileSync(dbFile), { level: 9 }));
await makeBackup({ dbFile, migrationsFolder, out: path.join(older, `${step}-demo.zip`), now }, () => undefined);
rmSync(folder, { recursive: true, force: true });
