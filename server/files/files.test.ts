import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { once } from 'node:events';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import fc from 'fast-check';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ZipFile } from 'yazl';
import { exportSchema } from '#core/contract';
import { addDays } from '#core/kitchen';
import type { BackupsAnswer, FrameAnswer, JobState, RestoreLook, StoreAnswer } from '#core/queries';
import { openDb, type OpenDb } from '../db/index.ts';
import { migrationsFolder, stamped, testServer, type TestServer } from '../testing.ts';
import { makeBackup } from './backup.ts';
import { copiesFolder, listCopies } from './copies.ts';
import { backupNames, type Manifest } from './format.ts';
import { dailyCopy } from './index.ts';
import { lookAt } from './restore.ts';
import { copiesToKeep, keepCopies } from './retention.ts';
import { unpack } from './unpack.ts';

const now = '2026-11-24T16:00:00.000Z';
const folder = mkdtempSync(path.join(tmpdir(), 'tambo-files-'));
const at = (name: string): string => path.join(folder, name);
const quiet = (): void => undefined;
const known = readdirSync(migrationsFolder).filter((f) => f.endsWith('.sql')).length;
let s: TestServer;
let whole: string;
let manifest: Manifest;

beforeAll(async () => {
  s = testServer(now, { demo: true });
  whole = at('whole.zip');
  manifest = await makeBackup({ dbFile: s.ctx.dbFile, migrationsFolder, out: whole, now }, quiet);
}, 60_000);
afterAll(() => {
  s.close();
  rmSync(folder, { recursive: true, force: true });
});

/** Everything that was said, table by table; derived tables too, since they are worked out anew. */
function everything({ sqlite }: Pick<OpenDb, 'sqlite'>): Record<string, unknown[]> {
  const tables = (
    sqlite
      .prepare("select name from sqlite_master where type = 'table' and name not like '%drizzle%' and name not like 'sqlite%'")
      .all() as { name: string }[]
  ).map((t) => t.name);
  return Object.fromEntries(
    tables.map((t) => [
      t,
      (sqlite.prepare(`select * from ${t}`).all() as Record<string, unknown>[]).map((r) => JSON.stringify(r)).toSorted(),
    ]),
  );
}

const zipOf = async (name: string, entries: Record<string, Buffer>): Promise<string> => {
  const zip = new ZipFile();
  for (const [entry, data] of Object.entries(entries)) zip.addBuffer(data, entry);
  zip.end();
  const parts: Buffer[] = [];
  zip.outputStream.on('data', (d: Buffer) => parts.push(d));
  await once(zip.outputStream, 'end');
  writeFileSync(at(name), Buffer.concat(parts));
  return at(name);
};
const look = (file: string) =>
  lookAt({ file, ready: at('ready.sqlite'), dbFile: s.ctx.dbFile, migrationsFolder, migrationsKnown: known }, quiet);

describe('a backup', () => {
  it('restores to just what was saved', async () => {
    const found = await look(whole);
    expect(found).toMatchObject({ onlyHere: 0, onlyThere: 0, sameHousehold: true, leftOut: [], here: manifest.counts });
    const ready = openDb(at('ready.sqlite'), migrationsFolder);
    const [there, here] = [everything(ready), everything(s.open)];
    for (const table of Object.keys(here)) expect(there[table], table).toEqual(here[table]);
    ready.close();
  });
  it('holds an export that keeps to its published schema', async () => {
    await unpack(whole, at('x.sqlite'), known, quiet);
    const { open } = await import('yauzl');
    const text = await new Promise<string>((resolve, reject) => {
      open(whole, { lazyEntries: true }, (error, zip) => {
        if (error) return reject(error);
        zip.on('entry', (entry) => {
          if (entry.fileName !== backupNames.export) return zip.readEntry();
          zip.openReadStream(entry, (e, stream) => {
            if (e) return reject(e);
            const parts: Buffer[] = [];
            stream.on('data', (d: Buffer) => parts.push(d)).on('end', () => resolve(gunzipSync(Buffer.concat(parts)).toString('utf8')));
          });
        });
        zip.readEntry();
      });
    });
    const data = exportSchema.parse(JSON.parse(text));
    expect(data.events).toHaveLength(manifest.counts.events);
    expect(data.documents.eater).toHaveLength(manifest.counts.eaters);
    expect(Buffer.byteLength(text)).toBe(manifest.files[backupNames.export].bytes);
  });
});

describe('a file that is none', () => {
  const bytes = () => readFileSync(whole);
  it('cut off anywhere says so and changes nothing', async () => {
    const all = bytes();
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 0, max: all.length - 1 }), async (n) => {
        writeFileSync(at('cut.zip'), all.subarray(0, n));
        await expect(look(at('cut.zip'))).rejects.toThrow(/Nothing was changed here/);
      }),
      { numRuns: 12 },
    );
  });
  it('with a changed byte in its database is noticed', async () => {
    const all = Buffer.from(bytes());
    // inside the first entry's data
    all[5000] = (all[5000] ?? 0) ^ 0x55;
    writeFileSync(at('flip.zip'), all);
    await expect(look(at('flip.zip'))).rejects.toThrow(/damaged|cut off|changed/);
  });
  it.each([
    ['another version of the file', { version: 2 }, /newer Tambo/],
    ['more steps of the database', { migrations: 99 }, /newer Tambo/],
    [
      'a size that is not true',
      {
        files: {
          ...{},
          [backupNames.database]: { bytes: 5, sha256: 'a'.repeat(64) },
          [backupNames.export]: { bytes: 5, sha256: 'a'.repeat(64) },
        },
      },
      /longer than it says/,
    ],
    ['a manifest of another program', { format: 'something-else' }, /not a backup of Tambo/],
  ])('%s', async (_what, over, says) => {
    const database = gzipSync(Buffer.from('not much of a database'));
    const file = await zipOf('odd.zip', {
      [backupNames.database]: database,
      [backupNames.manifest]: Buffer.from(JSON.stringify({ ...manifest, ...over })),
    });
    await expect(look(file)).rejects.toThrow(says);
  });
  it('a database that acts by itself is not let in', async () => {
    const { createHash } = await import('node:crypto');
    const evil = openDb(at('evil.sqlite'), migrationsFolder);
    evil.sqlite.exec('create trigger boo after insert on event begin delete from event; end; create view eater2 as select 1');
    evil.close();
    const data = readFileSync(at('evil.sqlite'));
    const facts = { bytes: data.length, sha256: createHash('sha256').update(data).digest('hex') };
    const file = await zipOf('evil.zip', {
      [backupNames.database]: gzipSync(data),
      '../../outside.txt': Buffer.from('x'),
      [backupNames.manifest]: Buffer.from(JSON.stringify({ ...manifest, files: { ...manifest.files, [backupNames.database]: facts } })),
    }).catch(async () =>
      zipOf('evil.zip', {
        [backupNames.database]: gzipSync(data),
        [backupNames.manifest]: Buffer.from(JSON.stringify({ ...manifest, files: { ...manifest.files, [backupNames.database]: facts } })),
      }),
    );
    await expect(look(file)).rejects.toThrow(/no Tambo writes/);
  });
  it('rows that break the contract are left out and named', async () => {
    const { createHash } = await import('node:crypto');
    await unpack(whole, at('bent.sqlite'), known, quiet);
    const bent = openDb(at('bent.sqlite'), migrationsFolder);
    bent.sqlite.exec(`update eater set data = json_set(data, '$.appetite', -4) where id = 'eater_osk'`);
    bent.close();
    const data = readFileSync(at('bent.sqlite'));
    const file = await zipOf('bent.zip', {
      [backupNames.database]: gzipSync(data),
      [backupNames.manifest]: Buffer.from(
        JSON.stringify({
          ...manifest,
          files: {
            ...manifest.files,
            [backupNames.database]: { bytes: data.length, sha256: createHash('sha256').update(data).digest('hex') },
          },
        }),
      ),
    });
    expect((await look(file)).leftOut).toMatchObject([{ table: 'eater', id: 'eater_osk' }]);
  });
});

describe('over the wire', () => {
  const get = async <T>(p: string): Promise<T> => (await request(s.app).get(`/api${p}`)).body as T;
  const done = async (id: string): Promise<JobState> => {
    for (let i = 0; i < 300; i += 1) {
      const state = await get<JobState>(`/jobs/${id}`);
      if (state.state !== 'running') return state;
      await new Promise((r) => setTimeout(r, 100));
    }
    throw new Error('the job does not end');
  };
  it('makes a copy, looks at it, and puts it in place with a copy of what was here', async () => {
    const started = (await request(s.app).post('/api/backup').send({})).body as { id: string; name: string };
    expect((await done(started.id)).state).toBe('done');
    const file = await request(s.app)
      .get(`/api/backup/${started.name}`)
      .buffer(true)
      .parse((res, cb) => {
        const parts: Buffer[] = [];
        res.on('data', (d: Buffer) => parts.push(d));
        res.on('end', () => cb(null, Buffer.concat(parts)));
      });
    // something is eaten after the copy was made
    const { packs } = await get<StoreAnswer>('/store');
    const pack = packs.find((p) => p.kind === 'meal')!;
    const eaten = stamped(
      'discarded',
      [pack.packId],
      { portions: pack.left, reason: 'dropped' },
      { id: 'after-copy', instant: '2026-11-24T15:59:00.000Z' },
    );
    await request(s.app).post('/api/events').send([eaten]);
    expect((await get<StoreAnswer>('/store')).packs.some((p) => p.packId === pack.packId)).toBe(false);

    const up = (
      await request(s.app)
        .put('/api/restore')
        .set('content-type', 'application/octet-stream')
        .send(file.body as Buffer)
    ).body as { id: string; jobId: string };
    const looked = await done(up.jobId);
    expect(looked.state).toBe('done');
    expect(looked.result as RestoreLook).toMatchObject({ onlyHere: 1, onlyThere: 0, sameHousehold: true });
    const taken = await request(s.app).post('/api/restore/take').send({ id: up.id });
    expect(taken.status).toBe(200);
    expect((await get<StoreAnswer>('/store')).packs.some((p) => p.packId === pack.packId)).toBe(true);
    // nothing is lost: the copy made first holds the entry
    const { copies } = await get<{ copies: { name: string; kind: string }[] }>('/backups');
    const before = copies.find((c) => c.kind === 'before')!;
    expect(before.name).toBe((taken.body as { before: string }).before);
    expect((await look(path.join(s.ctx.folder, 'backups', before.name))).onlyThere).toBe(1);
  }, 120_000);
  it('can be stopped', async () => {
    const started = (await request(s.app).post('/api/backup').send({})).body as { id: string };
    expect((await request(s.app).post(`/api/jobs/${started.id}/stop`).send({})).body).toEqual({ stopped: true });
    expect(await done(started.id)).toMatchObject({ state: 'failed', message: 'Stopped. Nothing was changed.' });
  });
  it('fetches its own copies only, and takes only backups as raw bytes', async () => {
    expect((await request(s.app).get('/api/backup/..%2Ftest.sqlite')).status).toBe(404);
    expect((await request(s.app).put('/api/restore').set('content-type', 'text/plain').send('x')).status).toBe(415);
    expect((await request(s.app).post('/api/events').set('content-type', 'application/octet-stream').send(Buffer.from('x'))).status).toBe(
      415,
    );
    expect((await request(s.app).post('/api/restore/take').send({ id: '../x' })).status).toBe(422);
  });
});

describe('moving in', () => {
  it('brings the whole household to a machine that has none', async () => {
    const other = testServer(now);
    const ask = async <T>(p: string): Promise<T> => (await request(other.app).get(`/api${p}`)).body as T;
    const up = (await request(other.app).put('/api/restore').set('content-type', 'application/octet-stream').send(readFileSync(whole)))
      .body as {
      id: string;
      jobId: string;
    };
    let state: JobState;
    do {
      await new Promise((r) => setTimeout(r, 100));
      state = await ask<JobState>(`/jobs/${up.jobId}`);
    } while (state.state === 'running');
    expect(state.result as RestoreLook).toMatchObject({ sameHousehold: false, onlyHere: 0, here: { packs: 0, events: 0 } });
    expect((await request(other.app).post('/api/restore/take').send({ id: up.id })).status).toBe(200);
    const frame = await ask<FrameAnswer>('/frame');
    expect(frame).toMatchObject({ storeId: manifest.storeId, household: { name: manifest.household } });
    expect(await ask('/store')).toEqual((await request(await fresh()).get('/api/store')).body);
    // putting it in place a second time is asked for in vain
    expect((await request(other.app).post('/api/restore/take').send({ id: up.id })).status).toBe(404);
    other.close();
  }, 60_000);

  /** The household as it was when the backup was made. */
  async function fresh() {
    const then = testServer(now);
    await lookAt({ file: whole, ready: at('then.sqlite'), dbFile: then.ctx.dbFile, migrationsFolder, migrationsKnown: known }, quiet);
    then.ctx.open.close();
    then.ctx.open = openDb(at('then.sqlite'), migrationsFolder);
    then.ctx.db = then.ctx.open.db;
    return then.app;
  }
});

describe('daily copies', () => {
  it('are made once a day by themselves, and the oldest are let go', async () => {
    const folder = copiesFolder(s.ctx.folder);
    for (let n = 1; n <= 40; n += 1) writeFileSync(path.join(folder, `tambo-daily-${addDays('2026-11-24', -n)}.zip`), 'x');
    writeFileSync(path.join(folder, 'holiday-photos.zip'), 'x');
    expect(await dailyCopy(s.ctx)).toBe('tambo-daily-2026-11-24.zip');
    expect(await dailyCopy(s.ctx)).toBeUndefined();
    const daily = listCopies(folder).filter((c) => c.kind === 'daily');
    expect(daily[0]).toMatchObject({ day: '2026-11-24' });
    expect(daily[0]!.bytes).toBeGreaterThan(10_000);
    expect(daily.map((c) => c.day)).toEqual(
      [...copiesToKeep(Array.from({ length: 41 }, (_, n) => addDays('2026-11-24', -n)))].toSorted().toReversed(),
    );
    // what is not ours is left alone
    expect(readFileSync(path.join(folder, 'holiday-photos.zip'), 'utf8')).toBe('x');
  }, 60_000);
  it('that were missed are said, with the day of the newest', async () => {
    const missed = async (): Promise<unknown> => ((await request(s.app).get('/api/backups')).body as BackupsAnswer).missedSince;
    expect(await missed()).toBeUndefined();
    s.clock.move('2026-11-25T16:00:00.000Z');
    expect(await missed()).toBeUndefined();
    s.clock.move('2026-11-26T16:00:00.000Z');
    expect(await missed()).toBe('2026-11-24');
    s.clock.move(now);
  });
  it('keep seven days, four weeks, twelve months, and always the newest', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 1, maxLength: 400 }), (offsets) => {
        const days = offsets.map((n) => addDays('2026-11-24', -n));
        const kept = copiesToKeep(days);
        const newestDay = days.toSorted().at(-1)!;
        expect(kept.has(newestDay)).toBe(true);
        expect(kept.size).toBeLessThanOrEqual(keepCopies.days + keepCopies.weeks + keepCopies.months);
        // tidying again changes nothing
        expect([...copiesToKeep([...kept])].toSorted()).toEqual([...kept].toSorted());
      }),
    );
    const daily = Array.from({ length: 800 }, (_, n) => addDays('2026-11-24', -n));
    const kept = copiesToKeep(daily);
    expect(daily.slice(0, 7).every((d) => kept.has(d))).toBe(true);
    expect(new Set([...kept].map((d) => d.slice(0, 7))).size).toBe(12);
  });
});
