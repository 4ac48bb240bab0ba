import {
  cpSync,
  existsSync,
  mkdtempSync,
  openSync,
  readFileSync,
  readdirSync,
  rmSync,
  truncateSync,
  writeFileSync,
  writeSync,
  closeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import request from 'supertest';
import { afterEach, describe, expect, it } from 'vitest';
import type { DamageAnswer, FrameAnswer, JobState } from '#core/queries';
import { testFilled } from '../core/store/fixtures.ts';
import { startServer, type RunningServer } from '../scripts/server.mjs';
import { openDb, quickCheck } from './db/index.ts';
import { migrationsFolder, stamped, testServer } from './testing.ts';

const now = '2026-11-24T16:00:00.000Z';
const demo = { TAMBO_NOW: now };
const undo: (() => unknown)[] = [];
afterEach(async () => {
  for (const f of undo.splice(0).toReversed()) await f();
});

let lived: string | undefined;
/** A household's folder with a copy made by hand: made once, copied for each test. */
async function folderWithCopy(): Promise<string> {
  if (lived === undefined) {
    const made = mkdtempSync(path.join(tmpdir(), 'tambo-lived-'));
    process.on('exit', () => rmSync(made, { recursive: true, force: true }));
    const s = testServer(now, { demo: true });
    s.open.sqlite.exec(`VACUUM INTO '${dbOf(made)}'`);
    s.close();
    const server = await started(made);
    const { id } = await post<{ id: string }>(server, '/backup', {});
    await done(server, id);
    await server.stop();
    lived = made;
  }
  const folder = mkdtempSync(path.join(tmpdir(), 'tambo-damage-'));
  undo.push(() => rmSync(folder, { recursive: true, force: true }));
  cpSync(lived, folder, { recursive: true });
  return folder;
}
async function started(folder: string, env: Record<string, string> = {}): Promise<RunningServer> {
  const server = await startServer({ env: { ...demo, ...env }, folder });
  undo.push(() => server.stop());
  return server;
}
const post = async <T>(server: RunningServer, address: string, body: unknown): Promise<T> =>
  (await (
    await fetch(`${server.address}/api${address}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', connection: 'close' },
      body: JSON.stringify(body),
    })
  ).json()) as T;
const get = async (server: RunningServer, address: string): Promise<{ status: number; body: unknown }> => {
  const res = await fetch(`${server.address}/api${address}`, { headers: { connection: 'close' } });
  return { status: res.status, body: await res.json() };
};
async function done(server: RunningServer, jobId: string): Promise<JobState> {
  for (;;) {
    const { body } = await get(server, `/jobs/${jobId}`);
    if ((body as JobState).state !== 'running') return body as JobState;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}
const dbOf = (folder: string): string => path.join(folder, 'tambo.sqlite');
/** Overwrites the middle of a file, as a dying disk does. */
function scratch(file: string, from = 0.3, to = 0.7): void {
  const size = readFileSync(file).length;
  const at = openSync(file, 'r+');
  writeSync(at, Buffer.alloc(Math.floor(size * (to - from)), 0x5a), 0, undefined, Math.floor(size * from));
  closeSync(at);
}

const harms: readonly (readonly [string, (file: string) => void])[] = [
  ['its middle overwritten', (f) => scratch(f)],
  ['its head overwritten', (f) => scratch(f, 0, 0.05)],
  ['cut in half', (f) => truncateSync(f, 400_000)],
  ['of no bytes', (f) => truncateSync(f, 0)],
  ['gone', (f) => rmSync(f)],
  ['a letter instead', (f) => writeFileSync(f, 'Dear freezer, '.repeat(400))],
];

describe('a household’s file that is damaged', () => {
  it.each(process.env.TAMBO_THOROUGH ? harms : harms.slice(0, 1))(
    '%s: said at the start, nothing taken in, and the newest copy takes its place',
    async (_name, harm) => {
      const folder = await folderWithCopy();
      for (const end of ['-wal', '-shm']) rmSync(dbOf(folder) + end, { force: true });
      harm(dbOf(folder));
      const harmed = existsSync(dbOf(folder)) ? readFileSync(dbOf(folder)) : undefined;
      const server = await started(folder);
      for (const address of ['/frame', '/today', '/history']) expect((await get(server, address)).status).toBe(503);
      const pack = stamped('filled', ['p1'], testFilled());
      const res = await fetch(`${server.address}/api/events`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', connection: 'close' },
        body: JSON.stringify([pack]),
      });
      // "again later": what was entered waits on its device
      expect(res.status).toBe(503);
      const damage = (await get(server, '/damage')).body as DamageAnswer;
      expect(damage.damage!.why).toMatch(/damaged|not there|empty/);
      const [copy] = damage.copies;
      const { id, jobId } = await post<{ id: string; jobId: string }>(server, '/restore/copy', { name: copy!.name });
      expect((await done(server, jobId)).state).toBe('done');
      await post(server, '/restore/take', { id });
      const frame = await get(server, '/frame');
      expect(frame.status).toBe(200);
      expect((frame.body as FrameAnswer).strip.length).toBeGreaterThan(20);
      // the damaged file stays for whoever can still read something from it
      const kept = readdirSync(folder).find((f) => /damaged-\d{8}T\d{6}$/.test(f));
      if (harmed) expect(readFileSync(path.join(folder, kept!)).equals(harmed)).toBe(true);
      await server.stop();
      const again = await started(folder);
      expect((await get(again, '/frame')).status).toBe(200);
    },
    60_000,
  );

  it('is put aside, and Tambo begins anew, from the terminal as in the browser', async () => {
    const folder = await folderWithCopy();
    scratch(dbOf(folder));
    const server = await started(folder, { TAMBO_MEND: 'aside' });
    expect(((await get(server, '/frame')).body as FrameAnswer).strip).toEqual([]);
    expect(readdirSync(folder).some((f) => f.includes('.damaged-'))).toBe(true);
    await server.stop();
    scratch(dbOf(folder), 0, 0.1);
    const mended = await started(folder, { TAMBO_MEND: 'copy' });
    expect(((await get(mended, '/frame')).body as FrameAnswer).strip.length).toBeGreaterThan(20);
  }, 60_000);

  it('that is hurt while it runs ends in words, not in pages of errors', async () => {
    const s = testServer(now, { demo: true });
    undo.push(() => s.close());
    await request(s.app).get('/api/today');
    s.open.sqlite.exec('PRAGMA wal_checkpoint(TRUNCATE)');
    scratch(s.ctx.dbFile, 0.02, 0.98);
    s.open.sqlite.exec('PRAGMA shrink_memory');
    const statuses = new Set<number>();
    for (const address of ['/history', '/store', '/recipes', '/larder', '/frame'])
      statuses.add((await request(s.app).get(`/api${address}`)).status);
    expect([...statuses]).toContain(503);
    expect([...statuses]).not.toContain(500);
    expect(s.ctx.damage?.why).toContain('damaged');
    expect(
      (
        await request(s.app)
          .post('/api/events')
          .send([stamped('filled', ['p9'], testFilled())])
      ).status,
    ).toBe(503);
  });

  it('that only the whole check sees is found by it', async () => {
    const s = testServer(now, { demo: true });
    undo.push(() => s.close());
    const { checkWhole } = await import('./files/index.ts');
    const said: string[] = [];
    await checkWhole(s.ctx, (text) => said.push(text));
    expect([s.ctx.damage, said]).toEqual([undefined, []]);
    s.open.sqlite.exec('PRAGMA wal_checkpoint(TRUNCATE)');
    scratch(s.ctx.dbFile, 0.5, 0.6);
    await checkWhole(s.ctx, (text) => said.push(text));
    expect(s.ctx.damage?.why).toContain('damaged');
    expect(said[0]).toContain('Open Tambo in the browser');
  });

  it('the quick check stops when its time is up, the small tables first', () => {
    const s = testServer(now, { demo: true });
    undo.push(() => s.close());
    expect(quickCheck(s.open, 5000).length).toBeGreaterThan(15);
    expect(quickCheck(s.open, 0).length).toBeLessThan(3);
  });
});

describe('a disk that will not', () => {
  it.each([
    ['is full', (o: { exec: (sql: string) => unknown }) => o.exec('PRAGMA max_page_count = 1'), 'full'],
    ['may only be read', (o: { exec: (sql: string) => unknown }) => o.exec('PRAGMA query_only = ON'), 'read-only'],
  ] as const)('%s: reading goes on, an entry is answered "later" in words, and nothing is half kept', async (_name, harm, word) => {
    const s = testServer(now, { demo: true });
    undo.push(() => s.close());
    const count = (): number => (s.open.sqlite.prepare('select count(*) as n from event').get() as { n: number }).n;
    const before = count();
    harm(s.open.sqlite);
    const events = Array.from({ length: 400 }, (_, i) =>
      stamped('invited', ['household'], { day: '2026-12-01', meal: 'lunch', plates: 2, allergens: [] }, { id: `full-${i}` }),
    );
    const res = await request(s.app).post('/api/events').send(events);
    expect(res.status).toBe(503);
    expect((res.body as { message: string }).message).toContain(word);
    expect((res.body as { message: string }).message).toContain('stays on this device');
    expect((await request(s.app).get('/api/frame')).status).toBe(200);
    expect(count()).toEqual(before);
    s.open.sqlite.exec('PRAGMA query_only = OFF; PRAGMA max_page_count = 1000000');
    expect((await request(s.app).post('/api/events').send(events)).status).toBe(200);
  });
});

describe('a household that a newer Tambo has written', () => {
  it('is refused at the start, and shown without a change where the cook wants to look', async () => {
    const folder = await folderWithCopy();
    const open = openDb(dbOf(folder), migrationsFolder);
    open.sqlite.exec("insert into __drizzle_migrations (hash, created_at) values ('of a year to come', 9999999999999)");
    open.close();
    const before = readFileSync(dbOf(folder));
    await expect(startServer({ env: demo, folder })).rejects.toThrow('ended with 1');
    expect(readFileSync(dbOf(folder)).equals(before)).toBe(true);
    const server = await started(folder, { TAMBO_LOOK: '1' });
    const frame = await get(server, '/frame');
    expect(frame.status).toBe(200);
    expect((frame.body as FrameAnswer).strip.length).toBeGreaterThan(20);
    const answer = await post<{ message: string }>(server, '/events', [stamped('filled', ['p1'], testFilled())]);
    expect(answer.message).toContain('newer Tambo');
    await server.stop();
    expect(readFileSync(dbOf(folder)).equals(before)).toBe(true);
  }, 60_000);
});
