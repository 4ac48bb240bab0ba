import { describe, expect, it } from 'vitest';
import type { TamboEvent } from '#core/contract';
import { codeFrom } from '#core/pack';
import { testEater } from '../kitchen/fixtures.ts';
import { testFilled, testInstant } from '../store/fixtures.ts';
import { testPack, testSession } from '../session/fixtures.ts';
import { testSnapshot } from './fixtures.ts';
import { frameAnswer, storeAnswer, viewOf } from '#core/queries';
import { withPending, openSnapshot, type Snapshot } from './snapshot.ts';

const now = '2026-11-24T16:00:00.000Z';
let counter = 0;
const ev = (type: TamboEvent['type'], subjects: string[], data: unknown, id = `w${(counter += 1)}`): TamboEvent =>
  ({ id, type, subjects, instant: testInstant(1000 + counter), device: 'phone', counter, version: 1, data }) as TamboEvent;
const snapshot = (over: Partial<Snapshot> = {}): Snapshot =>
  testSnapshot({
    packs: [testPack('a', { code: codeFrom(1), containerId: 'tub' }), testPack('b', { code: codeFrom(2), containerId: 'tub' })],
    usage: [['tub', { holding: 2, toWash: 0, ever: 2 }]],
    ...over,
  });
const eaten = (packId: string, portions: number, rest: 'none' | 'fridge' = 'none', id?: string): TamboEvent =>
  ev('eaten', [packId], { day: '2026-11-24', meal: 'dinner', shares: [{ eaterId: 'osk', portions }], guests: 0, rest }, id);
const left = (g: Snapshot, id: string): number | undefined => g.packs.find((p) => p.packId === id)?.left;

describe('a kept household after what waits', () => {
  it('is itself when nothing waits', () => {
    const g = snapshot();
    const after = withPending(g, { events: [], writes: [] });
    expect(after.packs).toEqual(g.packs);
    expect(after.usage).toEqual(g.usage);
  });
  it('loses an emptied pack, frees its container for washing and writes the meal down', () => {
    const after = withPending(snapshot(), { events: [eaten('a', 4)], writes: [] });
    expect(left(after, 'a')).toBeUndefined();
    expect(after.usage).toEqual([['tub', { holding: 1, toWash: 1, ever: 2 }]]);
    expect(after.lately[0]).toMatchObject({ packId: 'a', portions: 4, kind: 'meal' });
    expect(after.eatenDays).toEqual([{ group: 'dinner', day: '2026-11-24', portions: 4 }]);
    expect(openSnapshot(after).records.dinnerLogged('2026-11-24')).toBe(true);
  });
  it('counts broth by the half litre, however many portions it was called', () => {
    for (const portions of [1, 2, 5]) {
      const broth = testPack('c', { kind: 'broth', code: codeFrom(3), portions, volumeMl: 1000 });
      const after = withPending(snapshot({ packs: [broth] }), { events: [eaten('c', portions)], writes: [] });
      expect(after.eatenDays).toEqual([{ group: 'broth', day: '2026-11-24', portions: 2 }]);
      const { world, records } = openSnapshot(snapshot({ packs: [broth] }));
      expect(storeAnswer(world, records, now).packs).toHaveLength(1);
      expect(frameAnswer(world, records, now, true).supplies.broth).toMatchObject({ count: 2, runway: { left: 2 } });
    }
  });
  it('keeps what stays of a pack', () => {
    const after = withPending(snapshot(), { events: [eaten('a', 1.5, 'fridge')], writes: [] });
    expect(left(after, 'a')).toBe(2.5);
    expect(after.packs.find((p) => p.packId === 'a')?.fridgeSince).toBeDefined();
  });
  it('takes back what was undone before it was sent', () => {
    const meal = eaten('a', 4);
    const after = withPending(snapshot(), { events: [meal, ev('undone', ['a'], { eventId: meal.id })], writes: [] });
    expect(left(after, 'a')).toBe(4);
    expect(after.lately).toEqual([]);
  });
  it('counts nothing that the server has acknowledged already', () => {
    const after = withPending(snapshot({ acknowledged: ['known'] }), { events: [eaten('a', 4, 'none', 'known')], writes: [] });
    expect(left(after, 'a')).toBe(4);
    const w = withPending(snapshot({ acknowledged: ['w-known'] }), {
      events: [],
      writes: [{ writeId: 'w-known', changes: [{ table: 'eater', id: 'osk', data: null }] }],
    });
    expect(w.eaters).toHaveLength(1);
  });
  it('holds new packs by code, for the store and for their session', () => {
    const data = testFilled({ code: codeFrom(0), sessionId: 's1', batchId: 'b1', containerId: 'tub' });
    const after = withPending(snapshot(), {
      events: [ev('filled', ['new'], data), ev('moved', ['new'], { placeId: 'shed', zoneId: 'left' })],
      writes: [],
    });
    expect(after.packs.map((p) => p.packId)).toEqual(['new', 'a', 'b']);
    expect(after.usage).toEqual([['tub', { holding: 3, toWash: 0, ever: 3 }]]);
    const { world, records } = openSnapshot(after);
    expect(viewOf(testSession(), world, records, now).batches[0]?.packs.map((p) => p.packId)).toEqual(['new']);
    expect(storeAnswer(world, records, now).packs).toHaveLength(3);
  });
  it('shows documents written and removed here', () => {
    const after = withPending(snapshot(), {
      events: [],
      writes: [
        { writeId: 'w1', changes: [{ table: 'eater', id: 'new', data: testEater('new') }] },
        { writeId: 'w2', changes: [{ table: 'session', id: 's1', data: null }] },
      ],
    });
    expect(after.eaters.map((e) => e.id)).toEqual(['osk', 'new']);
    expect(after.sessions).toEqual([]);
  });
  it('says nothing of a pack it does not know', () => {
    const after = withPending(snapshot(), { events: [eaten('stranger', 1)], writes: [] });
    expect(after.packs).toHaveLength(2);
    expect(after.lately).toEqual([]);
  });
});
