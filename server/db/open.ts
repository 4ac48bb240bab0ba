import Database from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import * as schema from './schema.ts';

export type Db = BetterSQLite3Database<typeof schema>;

export interface OpenDb {
  db: Db;
  sqlite: Database.Database;
  close(): void;
}

/**
 * Opens a household's file and brings it to the newest shape.
 * WAL with full sync: a home's log is worth the fraction of a millisecond.
 * @param before looks at a foreign file before anything is done to it
 * @throws when a migration leaves a broken foreign key, or what `before` throws
 */
export function openDb(file: string, migrationsFolder: string, { before }: { before?: (o: Pick<OpenDb, 'sqlite'>) => void } = {}): OpenDb {
  const sqlite = new Database(file);
  if (before) {
    sqlite.exec('PRAGMA trusted_schema = OFF');
    try {
      before({ sqlite });
    } catch (error) {
      sqlite.close();
      throw error;
    }
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
