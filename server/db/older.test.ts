import Database from 'better-sqlite3';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync, cpSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { PassThrough } from 'node:stream';
import { json } from 'node:stream/consumers';
import request from 'supertest';
import { afterEach, describe, expect, it } from 'vitest';
import { gunzipSync } from 'node:zlib';
import { documentTables, exportSchema, readEvent } from '#core/contract';
import type { FrameAnswer, RecipeBrief, StoreAnswer } from '#core/queries';
import { rebuild } from '../events/index.ts';
import { lookAt } from '../files/restore.ts';
import { writeExport } from '../files/exportJson.ts';
import { migrationsFolder, openedServer } from '../testing.ts';
import { loadReference, openDb, unreadableDocuments, type OpenDb } from './index.ts';

const older = path.join(import.meta.dirname, 'older');
const databases = readdirSync(older).filter((f) => f.endsWith('.sqlite.gz'));
const copies = readdirSync(older).filter((f) => f.endsWith('.zip'));
const now = '2026-11-24T16:00:00.000Z';
const known = readdirSync(migrationsFolder).filter((f) => f.endsWith('.sql')).length;

const folders: string[] = [];
const folder = (): string => {
  const made = mkdtempSync(path.join(tmpdir(), 'tambo-older-'));
  folders.push(made);
  return made;
};
const unpacked = (name: string): string => {
  const file = path.join(folder(), 'tambo.sqlite');
  writeFileSync(file, gunzipSync(readFileSync(path.join(older, name))));
  return file;
};
afterEach(() => {
  for (const f of folders.splice(0)) rmSync(f, { recursive: true, force: true });
});

const rows = (o: Pick<OpenDb, 'sqlite'>, sql: string): unknown[] => o.sqlite.prepare(sql).all();
const packs = (o: Pick<OpenDb, 'sqlite'>): unknown[] =>
  rows(o, 'select pack_id, code, status, "left", best_by from pack_state order by pack_id');

describe.each(databases)('a household of an older Tambo: %s', (name) => {
  it('has what it had, all of it readable, and the same stock when it is counted anew', () => {
    const file = unpacked(name);
    const raw = new Database(file);
    const known = raw.prepare("select name from sqlite_master where type = 'table'").all() as { name: string }[];
    const had = documentTables.filter((t) => known.some((k) => k.name === t));
    const before = {
      events: raw.prepare('select id, data from event order by id').all(),
      packs: packs({ sqlite: raw }),
      documents: had.map((t) => raw.prepare(`select id from ${t} where deleted = 0 order by id`).all()),
    };
    raw.close();
    const open = openDb(file, migrationsFolder);
    loadReference(open.db);
    expect(rows(open, 'select id, data from event order by id')).toEqual(before.events);
    expect(had.map((t) => rows(open, `select id from ${t} where deleted = 0 order by id`))).toEqual(before.documents);
    expect(unreadableDocuments(open.db)).toEqual([]);
    const events = rows(open, 'select * from event') as { subjects: string; data: string; version: number }[];
    for (const e of events)
      expect(readEvent({ ...e, subjects: JSON.parse(e.subjects), data: JSON.parse(e.data) })).not.toHaveProperty('why');
    rebuild(open);
    expect(packs(open)).toEqual(before.packs);
    open.close();
  });

  it('answers every page', async () => {
    const s = openedServer(unpacked(name), now);
    const get = async <T>(address: string): Promise<T> => {
      const res = await request(s.app).get(`/api${address}`);
      expect([address, res.status]).toEqual([address, 200]);
      return res.body as T;
    };
    const frame = await get<FrameAnswer>('/frame');
    expect(frame.unreadable).toEqual([]);
    expect(frame.open.length).toBeGreaterThan(0);
    for (const address of [
      '/today',
      '/eat',
      '/kitchen',
      '/count',
      '/history',
      '/larder',
      '/sessions',
      '/find',
      '/snapshot',
      `/sessions/${frame.open[0]!.id}`,
    ])
      await get(address);
    const [recipe] = await get<RecipeBrief[]>('/recipes');
    await get(`/recipes/${recipe!.recipe.id}`);
    const store = await get<StoreAnswer>('/store');
    expect(store.packs.length).toBeGreaterThan(20);
    await get(`/packs/${store.packs[0]!.code}`);
    s.close();
  });

  it('is exported in today’s shape', async () => {
    const open = openDb(unpacked(name), migrationsFolder);
    const out = new PassThrough();
    const [exported] = await Promise.all([json(out), writeExport(open.sqlite, out, { madeAt: now, storeId: 'older' }, () => undefined)]);
    expect(exportSchema.safeParse(exported).error).toBeUndefined();
    open.close();
  });

  it('stays as it was when bringing it up to date fails half-way, and is brought up the next time', () => {
    const file = unpacked(name);
    const broken = folder();
    cpSync(migrationsFolder, broken, { recursive: true });
    const last = readdirSync(broken)
      .filter((f) => f.endsWith('.sql'))
      .toSorted()
      .at(-1)!;
    writeFileSync(
      path.join(broken, last),
      `${readFileSync(path.join(broken, last), 'utf8')}\n--> statement-breakpoint\nselect no_such_thing();`,
    );
    const shape = (): unknown => {
      const raw = new Database(file);
      const list = raw.prepare('select sql from sqlite_master order by name').all();
      raw.close();
      return list;
    };
    const before = shape();
    expect(() => openDb(file, broken)).toThrow();
    expect(shape()).toEqual(before);
    const open = openDb(file, migrationsFolder);
    expect(rows(open, 'select count(*) as n from __drizzle_migrations')).toEqual([{ n: known }]);
    open.close();
  });
});

describe.each(copies)('a copy of an older Tambo: %s', (name) => {
  it('is looked at and left whole, nothing left out', async () => {
    const into = folder();
    const dbFile = path.join(into, 'here.sqlite');
    openDb(dbFile, migrationsFolder).close();
    const look = await lookAt(
      { file: path.join(older, name), ready: path.join(into, 'ready.sqlite'), dbFile, migrationsFolder, migrationsKnown: known },
      () => undefined,
    );
    expect(look.leftOut).toEqual([]);
    expect(look.manifest.counts.events).toBe(look.onlyThere);
    const open = openDb(path.join(into, 'ready.sqlite'), migrationsFolder);
    expect(rows(open, 'select count(*) as n from event')).toEqual([{ n: look.manifest.counts.events }]);
    expect(packs(open).length).toBe(look.manifest.counts.packs);
    open.close();
  });
});
