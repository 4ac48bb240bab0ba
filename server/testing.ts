import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Express } from 'express';
import { pino } from 'pino';
import type { TamboEvent } from '#core/contract';
import { createApp } from './app.ts';
import { makeClock, type Clock } from './clock/index.ts';
import { Jobs } from './files/jobs.ts';
import type { Context } from './http.ts';
import { loadReference, openDb, type Db, type OpenDb } from './db/index.ts';

/** A server over a real database in a folder of its own, for tests. */
export interface TestServer {
  app: Express;
  ctx: Context;
  db: Db;
  open: OpenDb;
  clock: Clock;
  close(): void;
}

/** What is started and killed in tests is what ships: the built server; `npm test` builds it first. */
export const builtServer = path.join(import.meta.dirname, '../dist/server/main.js');

export const migrationsFolder = path.join(import.meta.dirname, 'db/migrations');

export function testServer(now = '2026-11-24T16:00:00.000Z'): TestServer {
  const folder = mkdtempSync(path.join(tmpdir(), 'tambo-test-'));
  const open = openDb(path.join(folder, 'test.sqlite'), migrationsFolder);
  loadReference(open.db);
  const clock = makeClock({ TAMBO_NOW: now, TAMBO_CLOCK: 'stopped' });
  const ctx: Context = { db: open.db, open, dbFile: path.join(folder, 'test.sqlite'), folder, jobs: new Jobs(), clock, migrationsFolder };
  return {
    app: createApp(ctx, { log: pino({ level: 'silent' }) }),
    ctx,
    db: open.db,
    open,
    clock,
    close() {
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
