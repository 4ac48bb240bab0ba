import { copyFileSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { JobState } from '#core/queries';
import { codeFrom } from '#core/pack';
import { testFilled } from '../../core/store/fixtures.ts';
import { startServer, type RunningServer } from '../../scripts/server.mjs';
import { openDb, schema } from '../db/index.ts';
import { acceptEvents } from '../events/index.ts';
import { migrationsFolder, stamped, testServer } from '../testing.ts';
import { makeBackup } from './backup.ts';
import { lookAt } from './restore.ts';

const now = '2026-11-24T16:00:00.000Z';
const quiet = (): void => undefined;
/** A backup of another household: one event that this one has not. */
let other: string;
let shared: string;
let folder: string;
const running: RunningServer[] = [];

beforeAll(async () => {
  shared = mkdtempSync(path.join(tmpdir(), 'tambo-other-'));
  other = path.join(shared, 'other.zip');
  const s = testServer(now);
  s.open.sqlite.exec(`VACUUM INTO '${path.join(shared, 'empty.sqlite')}'`);
  acceptEvents(s.db, [stamped('filled', ['theirs'], testFilled({ code: codeFrom(5) }), { id: 'theirs' })], now);
  await makeBackup({ dbFile: s.ctx.dbFile, migrationsFolder, out: other, now }, quiet);
  s.close();
  return () => rmSync(shared, { recursive: true, force: true });
});
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'tambo-swap-'));
  copyFileSync(path.join(shared, 'empty.sqlite'), path.join(folder, 'tambo.sqlite'));
});
afterEach(() => {
  for (const s of running.splice(0)) s.child.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

async function start(env: Record<string, string> = {}): Promise<RunningServer> {
  const s = await startServer({ env: { TAMBO_NOW: now, TAMBO_DEMO: '', ...env }, folder });
  running.push(s);
  return s;
}
const ended = (s: RunningServer): Promise<unknown> => new Promise((resolve) => s.child.on('exit', resolve));

const post = (s: RunningServer, door: string, body: unknown): Promise<Response> =>
  fetch(`${s.address}/api${door}`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

let n = 0;
/** Logs a pack; its id when the server said that it is kept, undefined when it said "not now" or went away. */
async function log(s: RunningServer): Promise<string | undefined> {
  n += 1;
  const event = stamped('filled', [`swap-pack-${n}`], testFilled({ code: codeFrom(1000 + n) }), { id: `swap-${n}` });
  try {
    const res = await post(s, '/events', [event]);
    if (res.status === 503) {
      expect(((await res.json()) as { message: string }).message).toMatch(/^Not now: .*stays on this device/);
      return undefined;
    }
    const { answers } = (await res.json()) as { answers: { status: string }[] };
    return answers[0]?.status === 'kept' ? event.id : undefined;
  } catch {
    return undefined;
  }
}

/** Chooses the other household's backup and waits until it has been looked at. */
async function chosen(s: RunningServer): Promise<string> {
  const up = (await (
    await fetch(`${s.address}/api/restore`, {
      method: 'PUT',
      headers: { 'content-type': 'application/octet-stream' },
      body: readFileSync(other),
    })
  ).json()) as { id: string; jobId: string };
  for (;;) {
    const job = (await (await fetch(`${s.address}/api/jobs/${up.jobId}`)).json()) as JobState;
    if (job.state === 'done') return up.id;
    if (job.state === 'failed') throw new Error(job.message);
    await new Promise((r) => setTimeout(r, 30));
  }
}

const idsIn = (file: string): Set<string> => {
  const open = openDb(file, migrationsFolder);
  const ids = new Set(
    open.db
      .select({ id: schema.event.id })
      .from(schema.event)
      .all()
      .map((e) => e.id),
  );
  expect(open.sqlite.prepare('PRAGMA integrity_check').all()).toEqual([{ integrity_check: 'ok' }]);
  open.close();
  return ids;
};

/** Ids of the events of every copy that is listed: each can be read whole. */
async function idsOfCopies(): Promise<Set<string>> {
  const backups = path.join(folder, 'backups');
  const ids = new Set<string>();
  for (const name of existsSync(backups) ? readdirSync(backups).filter((f) => f.endsWith('.zip')) : []) {
    const ready = path.join(shared, 'copy.sqlite');
    const look = await lookAt(
      { file: path.join(backups, name), ready, dbFile: path.join(folder, 'tambo.sqlite'), migrationsFolder, migrationsKnown: 99 },
      quiet,
    );
    expect(look.leftOut).toEqual([]);
    for (const id of idsIn(ready)) ids.add(id);
  }
  return ids;
}

describe('a household that is put in place', () => {
  it('loses nothing that was acknowledged meanwhile: it is in the copy of before, or it was told "not now"', async () => {
    const s = await start();
    const kept: string[] = [];
    const first = await log(s);
    expect(first).toBeDefined();
    kept.push(first!);
    const id = await chosen(s);
    let over = false;
    let refused = 0;
    const taking = post(s, '/restore/take', { id }).finally(() => (over = true));
    while (!over) {
      const one = await log(s);
      if (one) kept.push(one);
      else refused += 1;
      await new Promise((r) => setTimeout(r, 5));
    }
    expect((await taking).status).toBe(200);
    const after = await log(s);
    expect(after).toBeDefined();
    kept.push(after!);
    await s.stop();
    const there = new Set([...idsIn(path.join(folder, 'tambo.sqlite')), ...(await idsOfCopies())]);
    expect(kept.filter((k) => !there.has(k))).toEqual([]);
    expect(refused).toBeGreaterThan(0);
    expect(idsIn(path.join(folder, 'tambo.sqlite')).has(after!)).toBe(true);
  }, 60_000);

  it('is put in place once when it is asked for twice at once', async () => {
    const s = await start();
    const id = await chosen(s);
    const both = await Promise.all([post(s, '/restore/take', { id }), post(s, '/restore/take', { id })]);
    expect(both.map((r) => r.status).toSorted()).toEqual([200, 409]);
  }, 60_000);

  it.each(process.env.TAMBO_THOROUGH ? ['swap:prepared', 'swap:renamed', 'swap:opened', 'swap:done'] : ['swap:renamed'])(
    'is there or not there after a power cut at %s, whole, and the next start says which',
    async (point) => {
      const s = await start({ TAMBO_FAULT: point });
      const mine = (await log(s))!;
      expect(mine).toBeDefined();
      const gone = ended(s);
      const id = await chosen(s);
      await post(s, '/restore/take', { id }).catch(() => undefined);
      await gone;
      const next = await start();
      const said = ((await (await fetch(`${next.address}/api/backups`)).json()) as { startSaid?: string }).startSaid;
      const stays = point === 'swap:prepared';
      if (point === 'swap:done') expect(said).toBeUndefined();
      else
        expect(said).toMatch(
          stays
            ? /^A copy was about to be put in place .*Choose the copy again/
            : /in place now; what was here before stands in tambo-before-/,
        );
      expect(await log(next)).toBeDefined();
      await next.stop();
      const here = idsIn(path.join(folder, 'tambo.sqlite'));
      expect(here.has(mine)).toBe(stays);
      expect(here.has('theirs')).toBe(!stays);
      expect((await idsOfCopies()).has(mine)).toBe(true);
      // nothing is left behind
      expect(readdirSync(folder).filter((f) => /aside|swap|ready/.test(f))).toEqual([]);
    },
    60_000,
  );

  it('gives way to the one before when it cannot be opened at the next start', async () => {
    const s = await start({ TAMBO_FAULT: 'swap:renamed' });
    const mine = (await log(s))!;
    const gone = ended(s);
    const id = await chosen(s);
    await post(s, '/restore/take', { id }).catch(() => undefined);
    await gone;
    writeFileSync(path.join(folder, 'tambo.sqlite'), 'no database at all, whatever its name says'.repeat(100));
    const next = await start();
    const said = ((await (await fetch(`${next.address}/api/backups`)).json()) as { startSaid?: string }).startSaid;
    expect(said).toContain('your household of before goes on');
    await next.stop();
    expect(idsIn(path.join(folder, 'tambo.sqlite')).has(mine)).toBe(true);
  }, 60_000);
});

describe('copies', () => {
  it('that are asked for at once are one copy', async () => {
    const s = await start();
    await log(s);
    const answers = await Promise.all(
      [1, 2, 3].map(async () => (await (await post(s, '/backup', {})).json()) as { id: string; name: string }),
    );
    expect(new Set(answers.map((a) => a.name)).size).toBe(1);
    expect(new Set(answers.map((a) => a.id)).size).toBe(1);
  }, 60_000);

  it('are listed only once they were read back, and what a power cut left half made is cleared', async () => {
    // the copy is made by a process of its own: it inherits where to end
    const s = await start({ TAMBO_FAULT: 'copy:read' });
    const { id } = (await (await post(s, '/backup', {})).json()) as { id: string };
    let job: JobState;
    do job = (await (await fetch(`${s.address}/api/jobs/${id}`)).json()) as JobState;
    while (job.state === 'running');
    expect(job).toMatchObject({ state: 'failed', message: 'This ended before it was finished. Nothing was changed; try again.' });
    const listed = async (of: RunningServer): Promise<unknown> =>
      ((await (await fetch(`${of.address}/api/backups`)).json()) as { copies: unknown }).copies;
    expect(await listed(s)).toEqual([]);
    const left = (): string[] => readdirSync(path.join(folder, 'backups'));
    expect(left().some((f) => f.endsWith('.part'))).toBe(true);
    writeFileSync(path.join(folder, 'backups', 'holiday-photos.zip.part'), 'x');
    await s.stop();
    const next = await start();
    expect(left()).toEqual(['holiday-photos.zip.part']);
    expect(existsSync(path.join(folder, 'restore'))).toBe(false);
    expect(await listed(next)).toEqual([]);
  }, 60_000);
});
