import { existsSync, mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import request from 'supertest';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { BackupsAnswer, TodayAnswer } from '#core/queries';
import { documentById } from '../db/index.ts';
import { testServer, type TestServer } from '../testing.ts';
import { dailyCopy } from './routes.ts';

const now = '2026-11-24T16:00:00.000Z';
let s: TestServer;
let stick: string;
beforeEach(() => {
  s = testServer(now, { demo: true });
  stick = mkdtempSync(path.join(tmpdir(), 'tambo-stick-'));
});
afterEach(() => {
  s.close();
  rmSync(stick, { recursive: true, force: true });
});
const backups = async (): Promise<BackupsAnswer> => (await request(s.app).get('/api/backups')).body as BackupsAnswer;
const name = (folder: string) => request(s.app).post('/api/backups/second').send({ folder });
const takeCopy = async (): Promise<unknown> => ((await request(s.app).get('/api/today')).body as TodayAnswer).takeCopy;

describe('a second place for copies', () => {
  it('gets each daily copy, the same to the byte, and nothing half made', async () => {
    expect((await name(stick)).status).toBe(200);
    const copy = await dailyCopy(s.ctx);
    expect(readdirSync(stick)).toEqual([copy]);
    const { away, folder } = await backups();
    expect(away).toMatchObject({ folder: stick, broughtAt: now, asks: false });
    expect(readFileSync(path.join(stick, copy!)).equals(readFileSync(path.join(folder, copy!)))).toBe(true);
  });
  it('that is not there any more is said, the copy here is whole, and the next one arrives', async () => {
    await name(stick);
    rmSync(stick, { recursive: true });
    const copy = await dailyCopy(s.ctx);
    const { away, copies } = await backups();
    expect(copies.map((c) => c.name)).toEqual([copy]);
    expect(away.problem).toContain('plugged in');
    // a stick that is not plugged in is no folder to be made on this disk
    expect(existsSync(stick)).toBe(false);
  });
  it.each([
    ['', 200, 'none any more'],
    ['backups', 422, 'a whole path'],
    ['/no/such/stick', 422, 'a folder that is there'],
    ['(own)', 422, 'outside the household'],
    ['(file)', 422, 'a folder that is there'],
  ])('named “%s” is answered %i', async (folder, status, says) => {
    await name(stick);
    const res = await name(folder === '(own)' ? s.ctx.folder : folder === '(file)' ? s.ctx.dbFile : folder);
    expect(res.status).toBe(status);
    if (status === 422) expect(JSON.stringify(res.body)).toContain(says);
    expect((await backups()).away.folder).toBe(status === 422 ? stick : undefined);
  });
});

describe('a copy to be taken away', () => {
  it('is asked for once the household is a month old, again a month after it was put off or taken', async () => {
    // the demo's is never asked for
    expect(await takeCopy()).toBeUndefined();
    const { demoAnchor: _, ...own } = documentById(s.db, 'household', 'household')!;
    await request(s.app)
      .post('/api/writes')
      .send({ writeId: 'own', device: 'd', instant: now, label: 'own', changes: [{ table: 'household', id: own.id, data: own }] });
    s.open.sqlite.exec(`update event set received_at = '${now}'`);
    expect(await takeCopy()).toBeUndefined();
    s.clock.move('2026-12-28T16:00:00.000Z');
    expect(await takeCopy()).toBe(true);
    await request(s.app).post('/api/backups/later').send({});
    expect(await takeCopy()).toBeUndefined();
    s.clock.move('2027-01-30T16:00:00.000Z');
    expect(await takeCopy()).toBe(true);
    const copy = await dailyCopy(s.ctx);
    expect((await request(s.app).get(`/api/backup/${copy!}`)).status).toBe(200);
    expect(await takeCopy()).toBeUndefined();
    expect((await backups()).away.takenAt).toContain('2027-01-30');
  });
});
