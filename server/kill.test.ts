import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { gunzipSync } from 'node:zlib';
import { codeFrom } from '#core/pack';
import type { JobState } from '#core/queries';
import { testFilled } from '../core/store/fixtures.ts';
import { openDb, type OpenDb } from './db/index.ts';
import { acceptEvents } from './events/index.ts';
import { makeBackup } from './files/backup.ts';
import { lookAt } from './files/restore.ts';
import { builtServer, migrationsFolder, stamped, testServer } from './testing.ts';

/** Kills over all of them: a few each day, 60 in the thorough run, as many as are asked for by `npm run kills`. */
const kills = Number(process.env.TAMBO_KILLS ?? (process.env.TAMBO_THOROUGH ? 60 : 6));
const root = path.resolve(import.meta.dirname, '..');
const now = '2026-11-24T16:00:00.000Z';
const quiet = (): void => undefined;

const folders: string[] = [];
const newFolder = (): string => {
  const folder = mkdtempSync(path.join(tmpdir(), 'tambo-kill-'));
  folders.push(folder);
  return folder;
};
afterAll(() => {
  for (const f of folders) rmSync(f, { recursive: true, force: true });
});

/** A server that may be ended at any moment, from before it has opened anything. */
interface Victim {
  child: ChildProcess;
  gone: Promise<void>;
  address: Promise<string | undefined>;
}

function start(folder: string, env: Record<string, string> = {}): Victim {
  const child = spawn(process.execPath, [builtServer], {
    cwd: root,
    env: { ...process.env, TAMBO_DATA: folder, TAMBO_PORT: '0', TAMBO_DEMO: '', TAMBO_NOW: now, ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const gone = new Promise<void>((resolve) => child.on('exit', () => resolve()));
  const address = new Promise<string | undefined>((resolve) => {
    let said = '';
    child.stdout.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const m = /http:\/\/127\.0\.0\.1:\d+/.exec(said);
      if (m) resolve(m[0]);
    });
    void gone.then(() => resolve(undefined));
  });
  return { child, gone, address };
}

const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Asks a server that may be killed meanwhile; undefined when it was. */
async function ask<T>(address: string, method: string, door: string, body?: unknown): Promise<T | undefined> {
  const bytes = Buffer.isBuffer(body);
  try {
    const res = await fetch(`${address}/api${door}`, {
      method,
      headers: { 'content-type': bytes ? 'application/octet-stream' : 'application/json', connection: 'close' },
      ...(body !== undefined && { body: bytes ? new Uint8Array(body) : JSON.stringify(body) }),
      // killed between head and body of an answer, a server leaves a request that nothing ends
      signal: AbortSignal.timeout(5000),
    });
    return (await res.json()) as T;
  } catch {
    return undefined;
  }
}

let packs = 0;
/** Logs a pack. @returns its id once the server has said that it is kept */
async function log(address: string): Promise<string | undefined> {
  packs += 1;
  const event = stamped('filled', [`pack-${packs}`], testFilled({ code: codeFrom(packs) }), { id: `kill-${packs}` });
  const body = await ask<{ answers?: { status: string }[] }>(address, 'POST', '/events', [event]);
  return body?.answers?.[0]?.status === 'kept' ? event.id : undefined;
}

async function jobDone(address: string, id: string): Promise<JobState | undefined> {
  for (;;) {
    const job = await ask<JobState>(address, 'GET', `/jobs/${id}`);
    if (job?.state !== 'running') return job;
    await wait(20);
  }
}

const eventIds = (open: OpenDb): Set<string> =>
  new Set((open.sqlite.prepare('select id from event').all() as { id: string }[]).map((r) => r.id));

/** Every entry of a household that is whole. */
const idsIn = (file: string): Set<string> => {
  const open = openDb(file, migrationsFolder);
  const ids = eventIds(open);
  expect(open.sqlite.prepare('PRAGMA integrity_check').all()).toEqual([expect.objectContaining({ integrity_check: 'ok' })]);
  // nothing half-written: each pack that was filled stands in the store
  expect(
    open.sqlite
      .prepare(
        "select count(*) as n from event e where type = 'filled' and not exists (select 1 from pack_state p where p.filled_id = e.id)",
      )
      .all(),
  ).toEqual([expect.objectContaining({ n: 0 })]);
  open.close();
  return ids;
};

/** Ids in every copy that is listed, each of which can be read whole. */
async function idsInCopies(folder: string): Promise<Set<string>> {
  const backups = path.join(folder, 'backups');
  const ids = new Set<string>();
  for (const name of existsSync(backups) ? readdirSync(backups).filter((f) => f.endsWith('.zip')) : []) {
    const ready = path.join(folder, 'copy.sqlite');
    const look = await lookAt({ file: path.join(backups, name), ready, migrationsFolder, migrationsKnown: 99 }, quiet);
    expect([name, look.leftOut]).toEqual([name, []]);
    for (const id of idsIn(ready)) ids.add(id);
    rmSync(ready);
  }
  return ids;
}

/** A backup of another household, whose restore is interrupted; and what the demo has when nobody interrupts its first start. */
let other: Buffer;
let demoEvents: number;
beforeAll(async () => {
  const s = testServer(now);
  acceptEvents(s.db, [stamped('filled', ['theirs'], testFilled({ code: codeFrom(900_000) }), { id: 'theirs' })], now);
  const out = path.join(newFolder(), 'other.zip');
  await makeBackup({ dbFile: s.ctx.dbFile, migrationsFolder, out, now }, quiet);
  other = readFileSync(out);
  s.close();
  const demo = testServer(now, { demo: true });
  demoEvents = (demo.open.sqlite.prepare('select count(*) as n from event').get() as { n: number }).n;
  demo.close();
}, 60_000);

/** A moment between two, another one each round. */
const moment = (round: number, from: number, to: number): number => from + ((round * 7919) % (to - from));

/** One household that lives through many kills, each in the middle of some work. */
async function livesThrough(
  rounds: number,
  {
    work,
    from,
    to,
    fault,
  }: { work: (address: string) => Promise<unknown>; from: number; to: number; fault?: (round: number) => string | undefined },
) {
  const folder = newFolder();
  const kept: string[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const point = fault?.(round);
    const victim = start(folder, point === undefined ? {} : { TAMBO_FAULT: point });
    const address = await victim.address;
    if (address === undefined) {
      // ended at the same point while it was completing what the last kill had left
      expect(point).toBeDefined();
      continue;
    }
    const first = await log(address);
    if (first !== undefined) kept.push(first);
    // killed by the clock, or at a point inside; whichever comes first
    setTimeout(() => victim.child.kill('SIGKILL'), point === undefined ? moment(round, from, to) : 20_000);
    const busy = work(address);
    let gone = false;
    void victim.gone.then(() => (gone = true));
    while (!gone) {
      const id = await log(address);
      if (id !== undefined) kept.push(id);
      else await wait(5);
    }
    await busy;
  }
  const last = start(folder);
  expect(await last.address).toBeDefined();
  last.child.kill('SIGTERM');
  await last.gone;
  const there = new Set([...idsIn(path.join(folder, 'tambo.sqlite')), ...(await idsInCopies(folder))]);
  expect(kept.length).toBeGreaterThanOrEqual(rounds);
  expect(kept.filter((id) => !there.has(id))).toEqual([]);
}

/** Puts the other household in place, as far as it comes. */
async function restore(address: string): Promise<void> {
  const up = await ask<{ id: string; jobId: string }>(address, 'PUT', '/restore', other);
  if (!up) return;
  const job = await jobDone(address, up.jobId);
  if (job?.state === 'done') await ask(address, 'POST', '/restore/take', { id: up.id });
}

const each = Math.ceil(kills / 6);
const timeout = each * 20_000 + 60_000;

describe(`a server that is killed, ${each} times each`, () => {
  it(
    'while it writes, has every entry that it acknowledged',
    () => livesThrough(each, { work: () => Promise.resolve(), from: 5, to: 600 }),
    timeout,
  );

  it(
    'while it makes a copy, lists none that cannot be read',
    () => livesThrough(each, { work: (a) => ask(a, 'POST', '/backup', {}), from: 20, to: 1400 }),
    timeout,
  );

  it(
    'while another household is looked at and put in place, has everything there or in a copy of before',
    () => livesThrough(each, { work: restore, from: 100, to: 2600 }),
    timeout,
  );

  it(
    'inside the swap itself, likewise',
    () =>
      livesThrough(each, {
        work: restore,
        from: 0,
        to: 1,
        fault: (n) => ['swap:prepared', 'swap:renamed', 'swap:opened', 'swap:done'][n % 4],
      }),
    timeout,
  );

  it(
    'while it brings an older household up to date, has all of it the next time',
    async () => {
      const older = gunzipSync(readFileSync(path.join(import.meta.dirname, 'db/older/0001-demo.sqlite.gz')));
      const whole = path.join(newFolder(), 'tambo.sqlite');
      writeFileSync(whole, older);
      const source = openDb(whole, migrationsFolder);
      const all = eventIds(source);
      source.close();
      expect(all.size).toBeGreaterThan(400);
      for (let round = 0; round < each; round += 1) {
        const folder = newFolder();
        const file = path.join(folder, 'tambo.sqlite');
        writeFileSync(file, older);
        const victim = start(folder);
        await wait(moment(round, 60, 700));
        victim.child.kill('SIGKILL');
        await victim.gone;
        const next = start(folder);
        expect(await next.address).toBeDefined();
        next.child.kill('SIGTERM');
        await next.gone;
        expect(idsIn(file)).toEqual(all);
        rmSync(folder, { recursive: true });
      }
    },
    timeout,
  );

  it(
    'at its first start, begins over the next time',
    async () => {
      for (let round = 0; round < each; round += 1) {
        const folder = newFolder();
        const victim = start(folder, { TAMBO_DEMO: '1' });
        await wait(moment(round, 60, 2200));
        victim.child.kill('SIGKILL');
        await victim.gone;
        const next = start(folder, { TAMBO_DEMO: '1' });
        expect(await next.address).toBeDefined();
        next.child.kill('SIGTERM');
        await next.gone;
        expect(idsIn(path.join(folder, 'demo.sqlite')).size).toBe(demoEvents);
        rmSync(folder, { recursive: true });
      }
    },
    timeout,
  );
});
