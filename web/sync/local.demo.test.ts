import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { TamboEvent } from '#core/contract';
import type { EatAnswer, PackAnswer, SessionsAnswer, StoreAnswer } from '#core/queries';
import type { Snapshot } from '#core/sync';
import { makeDemo } from '../../server/demo/makeDemo.ts';
import { testServer, type TestServer } from '../../server/testing.ts';
import type { PendingEntry } from './outboxSlice.ts';

const now = '2026-11-24T16:00:00.000Z';
const at = '2026-11-24T15:40:00.000Z';
let kept: { snapshot: Snapshot; at: string } | undefined;

// the device's store and clock stand outside the page here
vi.mock('./clock.ts', () => ({ now: () => '2026-11-24T16:00:00.000Z' }));
vi.mock('./snapshot.ts', () => ({
  cachedSnapshot: () => Promise.resolve(kept),
  since: (pending: readonly PendingEntry[]) => ({
    events: pending.flatMap((w) => (w.kind === 'event' ? [w.body] : [])),
    writes: pending.flatMap((w) => (w.kind === 'write' ? [w.body] : [])),
  }),
}));
const { localAnswer } = await import('./local.ts');

let s: TestServer;
const get = async <T>(p: string): Promise<T> => (await request(s.app).get(`/api${p}`)).body as T;
const here = async <T>(p: string, pending: readonly PendingEntry[] = []): Promise<T> => {
  const a = await localAnswer(p, pending);
  if (!a || !('data' in a)) throw new Error(`no answer for ${p}`);
  return JSON.parse(JSON.stringify(a.data)) as T;
};
const wait = (body: Partial<TamboEvent>): PendingEntry => ({
  seq: 1,
  label: 'x',
  kind: 'event',
  body: { id: 'w1', instant: now, device: 'phone', counter: 1, version: 1, ...body } as TamboEvent,
});

beforeAll(async () => {
  s = testServer(now);
  makeDemo(s.db, { now, zone: 'Europe/London', seed: 7 });
  kept = { snapshot: await get<Snapshot>('/snapshot'), at };
}, 60_000);
afterAll(() => s.close());

describe('a page without a connection', () => {
  it('has no answer before the household was kept', async () => {
    const before = kept;
    kept = undefined;
    expect(await localAnswer('/today', [])).toBeUndefined();
    kept = before;
  });
  it('says when it was kept', async () => expect((await localAnswer('/today', []))?.at).toBe(at));
  it.each(['/today', '/store', '/eat', '/kitchen', '/sessions', '/count'])('answers %s as the server does', async (path) =>
    expect(await here(path)).toEqual(await get(path)),
  );
  it('answers one session and its labels', async () => {
    const { sessions } = await get<SessionsAnswer>('/sessions');
    for (const { id } of sessions.slice(0, 2)) {
      for (const part of ['', '/plan', '/shop', '/cook', '/pack'])
        expect(await here(`/sessions/${id}${part}`)).toEqual(await get(`/sessions/${id}${part}`));
      expect(await here(`/labels/${id}`)).toEqual(await get(`/labels/${id}`));
    }
  });
  it('finds a pack by its code as typed, and says when it has none', async () => {
    const { packs } = await get<StoreAnswer>('/store');
    const { code } = packs[0]!;
    for (const typed of [code, code.toLowerCase(), packs[0]!.packId])
      expect((await here<PackAnswer>(`/packs/${typed}`)).pack.code).toBe(code);
    expect(await localAnswer('/packs/AAAAA', [])).toMatchObject({ missing: expect.stringContaining('AAAAA') as unknown });
    expect(await localAnswer('/sessions/nobody', [])).toMatchObject({ missing: expect.stringContaining('not kept') as unknown });
  });
  it('leaves other addresses to what the service worker kept', async () => expect(await localAnswer('/recipes', [])).toBeUndefined());
  it('shows what waits at once', async () => {
    const { packs } = await get<StoreAnswer>('/store');
    const meal = packs.find((p) => p.kind === 'meal' && p.left > 0)!;
    const eaten = wait({
      type: 'eaten',
      subjects: [meal.packId],
      data: { day: '2026-11-24', meal: 'dinner', shares: [{ eaterId: 'eater_osk', portions: meal.left }], guests: 0, rest: 'none' },
    });
    expect((await here<StoreAnswer>('/store', [eaten])).packs).toHaveLength(packs.length - 1);
    expect((await here<EatAnswer>('/eat', [eaten])).recent[0]!.name).toBe(meal.name);
    expect((await here<PackAnswer>(`/packs/${meal.packId}`, [eaten]).catch(() => undefined))?.pack.left ?? 0).toBe(0);
  });
});
