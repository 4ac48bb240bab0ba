import { copyFileSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Express } from 'express';
import { pino } from 'pino';
import type { TamboEvent } from '#core/contract';
import type { Home, HomeEnv } from './access/index.ts';
import { createApp } from './app.ts';
import { makeClock, type Clock } from './clock/index.ts';
import { makeDemo } from './demo/index.ts';
import { ensureProjection } from './events/index.ts';
import { Jobs } from './files/jobs.ts';
import type { Context } from './http.ts';
import { loadReference, openDb, type Db, type OpenDb } from './db/index.ts';

/** A server over a real database in a folder of its own, for tests. */
export interface TestServer {
  app: Express;
  home: Home;
  /** What its home network looks like; changed to look like another. */
  homeEnv: HomeEnv;
  ctx: Context;
  db: Db;
  open: OpenDb;
  clock: Clock;
  close(): void;
}

/** What is started and killed in tests is what ships: the built server; `npm test` builds it first. */
export const builtServer = path.join(import.meta.dirname, '../dist/server/main.js');

export const migrationsFolder = path.join(import.meta.dirname, 'db/migrations');

/** Long work runs as it ships where it has been built, since a fresh process would translate the whole server first. */
const builtJob = path.join(import.meta.dirname, '../dist/server/files/job.js');

/** Databases that many tests begin with, made once and copied. */
const made = new Map<string, string>();
let folderOfMade: string | undefined;

function begun(name: string, fill: (db: Db) => void): string {
  const known = made.get(name);
  if (known) return known;
  if (folderOfMade === undefined) {
    const folder = mkdtempSync(path.join(tmpdir(), 'tambo-made-'));
    folderOfMade = folder;
    process.on('exit', () => rmSync(folder, { recursive: true, force: true }));
  }
  const file = path.join(folderOfMade, `${made.size}.sqlite`);
  const open = openDb(file, migrationsFolder);
  loadReference(open.db);
  fill(open.db);
  open.close();
  made.set(name, file);
  return file;
}

/** A server at a moment: over an empty household, or the demo's as it has been lived until then. */
export function testServer(now = '2026-11-24T16:00:00.000Z', { demo = false } = {}): TestServer {
  const folder = mkdtempSync(path.join(tmpdir(), 'tambo-test-'));
  const dbFile = path.join(folder, 'test.sqlite');
  copyFileSync(
    demo ? begun(`demo ${now}`, (db) => makeDemo(db, { now, zone: 'Europe/London', seed: 7 })) : begun('empty', () => undefined),
    dbFile,
  );
  return openedServer(dbFile, now);
}

/** A server at a moment over a household's file in a folder of its own, which goes with it. */
export function openedServer(dbFile: string, now: string): TestServer {
  const folder = path.dirname(dbFile);
  const open = openDb(dbFile, migrationsFolder);
  loadReference(open.db);
  ensureProjection(open);
  const clock = makeClock({ TAMBO_NOW: now, TAMBO_CLOCK: 'stopped' });
  const ctx: Context = {
    db: open.db,
    open,
    dbFile,
    folder,
    jobs: new Jobs(existsSync(builtJob) ? builtJob : undefined),
    clock,
    migrationsFolder,
  };
  // on loopback alone, on any port, without a word to the network
  const homeEnv: HomeEnv = { TAMBO_HOME_ADDRESSES: '127.0.0.1', TAMBO_HOME_PORT: '0', TAMBO_HOME_QUIET: '1' };
  const { app, home } = createApp(ctx, { log: pino({ level: 'silent' }), home: homeEnv });
  return {
    app,
    home,
    homeEnv,
    ctx,
    db: open.db,
    open,
    clock,
    close() {
      void home.stop();
      ctx.jobs.stopAll();
      ctx.open.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

let counter = 0;
/** An event as a device would stamp it. */
export function stamped<T extends TamboEvent['type']>(
  type: T,
  subjects: string[],
  data: Extract<TamboEvent, { type: T }>['data'],
  over: Partial<TamboEvent> = {},
): TamboEvent {
  counter += 1;
  return {
    id: `ev-${counter}`,
    type,
    subjects,
    instant: new Date(Date.UTC(2026, 10, 24, 12) + counter * 1000).toISOString(),
    device: 'test',
    counter,
    version: 1,
    data,
    ...over,
  } as TamboEvent;
}
