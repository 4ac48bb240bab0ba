import { readFileSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { z } from 'zod';
import * as schema from './schema.ts';

export type Db = BetterSQLite3Database<typeof schema>;

export interface OpenDb {
  db: Db;
  sqlite: Database.Database;
  close(): void;
}

/** A household that a newer Tambo has written: its shape is not known here, so nothing of it is touched. */
export class NewerDatabase extends Error {
  constructor(steps: number, known: number) {
    super(
      `This household was written by a newer Tambo (its database has ${steps} steps, this one knows ${known}). Nothing was changed. Bring this Tambo up to date, or look at it without changing anything: npm start -- --look`,
    );
  }
}

const journal = z.object({ entries: z.array(z.unknown()) });

/** Steps of the database's shape that this Tambo knows. */
const stepsKnown = (migrationsFolder: string): number =>
  journal.parse(JSON.parse(readFileSync(path.join(migrationsFolder, 'meta/_journal.json'), 'utf8'))).entries.length;

function refuseNewer(sqlite: Database.Database, migrationsFolder: string): void {
  const there = sqlite.prepare("select 1 from sqlite_master where type = 'table' and name = '__drizzle_migrations'").get();
  if (!there) return;
  const { n } = sqlite.prepare('select count(*) as n from __drizzle_migrations').get() as { n: number };
  const known = stepsKnown(migrationsFolder);
  if (n > known) throw new NewerDatabase(n, known);
}

/**
 * Opens a household's file only to look at it: nothing of it can be changed, and it stays in the shape that it has.
 * For a check, and for a household that a newer Tambo has written.
 */
export function openToLook(file: string): OpenDb {
  const sqlite = new Database(file);
  sqlite.exec('PRAGMA query_only = ON; PRAGMA busy_timeout = 5000');
  return { db: drizzle({ client: sqlite, schema }), sqlite, close: () => void sqlite.close() };
}

/**
 * Opens a household's file and brings it to the newest shape.
 * WAL with full sync: a home's log is worth the fraction of a millisecond.
 * @param before looks at a foreign file before anything is done to it
 * @throws NewerDatabase when a newer Tambo wrote it; an error when a migration leaves a broken foreign key; what `before` throws
 */
export function openDb(file: string, migrationsFolder: string, { before }: { before?: (o: Pick<OpenDb, 'sqlite'>) => void } = {}): OpenDb {
  const sqlite = new Database(file);
  try {
    if (before) {
      sqlite.exec('PRAGMA trusted_schema = OFF');
      before({ sqlite });
    }
    refuseNewer(sqlite, migrationsFolder);
  } catch (error) {
    sqlite.close();
    throw error;
  }
  if (file !== ':memory:') sqlite.exec('PRAGMA journal_mode = WAL');
  sqlite.exec('PRAGMA synchronous = FULL; PRAGMA busy_timeout = 5000');
  const db = drizzle({ client: sqlite, schema });
  // table-rebuild migrations need this off, and it has no effect inside a transaction
  sqlite.exec('PRAGMA foreign_keys = OFF');
  migrate(db, { migrationsFolder });
  const broken = sqlite.prepare('PRAGMA foreign_key_check').all();
  if (broken.length > 0) throw new Error(`The database has ${broken.length} rows that point nowhere; restore the last backup.`);
  sqlite.exec('PRAGMA foreign_keys = ON');
  return {
    db,
    sqlite,
    close() {
      sqlite.exec('PRAGMA wal_checkpoint(TRUNCATE)');
      sqlite.close();
    },
  };
}
