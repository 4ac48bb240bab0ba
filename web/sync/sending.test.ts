import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { TamboEvent } from '#core/contract';
import type { PendingEntry } from './outboxSlice.ts';
import { Again, DoorShut, Sender, type Answered, type Post } from './sending.ts';

const event = (seq: number): PendingEntry =>
  ({ seq, label: `entry ${seq}`, kind: 'event', body: { id: `e${seq}` } as TamboEvent }) as PendingEntry;
const write = (seq: number): PendingEntry => ({ seq, label: `write ${seq}`, kind: 'write', body: { writeId: `w${seq}` } }) as PendingEntry;
const events = (n: number): PendingEntry[] => Array.from({ length: n }, (_, i) => event(i + 1));
const answer = (status: number, body: unknown): Response => new Response(JSON.stringify(body), { status });
const kept = (body: unknown): Response =>
  answer(200, { answers: (body as TamboEvent[]).map((e) => ({ id: e.id, status: 'kept' })), now: '2026-11-24T16:00:00.000Z' });
const always =
  (status: number, body: unknown = {}): Post =>
  () =>
    Promise.resolve(answer(status, body));

/** Sends until nothing waits; what was refused, in order. A server that is asked to wait is asked again at once. */
async function drained(sender: Sender, list: readonly PendingEntry[]): Promise<{ refused: number[]; sendings: number }> {
  let pending = [...list];
  const refused: number[] = [];
  let sendings = 0;
  while (pending.length > 0 && sendings < 5000) {
    sendings += 1;
    let a: Answered;
    try {
      a = await sender.send(pending);
    } catch (error) {
      if (error instanceof Again) continue;
      throw error;
    }
    refused.push(...a.refused.map((r) => r.entry.seq));
    pending = pending.filter((w) => !a.gone.includes(w.seq));
  }
  return { refused, sendings };
}

describe('what is sent', () => {
  it('goes in one piece and brings the time', async () => {
    const a = await new Sender((_, body) => Promise.resolve(kept(body))).send(events(3));
    expect(a).toMatchObject({ gone: [1, 2, 3], refused: [], now: '2026-11-24T16:00:00.000Z' });
  });
  it.each([408, 425, 429, 502, 503, 504])('stays after %i and is sent again', async (status) => {
    for (const list of [events(2), [write(1)]]) await expect(new Sender(always(status)).send(list)).rejects.toBeInstanceOf(Again);
  });
  it.each([401, 403])('stays after %i until the door is opened', async (status) => {
    for (const list of [events(2), [write(1)]]) await expect(new Sender(always(status)).send(list)).rejects.toBeInstanceOf(DoorShut);
  });
  it.each([400, 409, 413, 422])('is shown as refused after %i, in the words of the answer', async (status) => {
    const a = await new Sender(always(status, { message: 'No such place.', refusals: [] })).send([write(1)]);
    expect(a.gone).toEqual([1]);
    expect(a.refused).toMatchObject([{ message: 'No such place.' }]);
  });
  it('is shown as refused one by one where only some of it was', async () => {
    const post: Post = (_, body) =>
      Promise.resolve(
        answer(422, {
          message: 'No.',
          answers: (body as TamboEvent[]).map((e) => ({ id: e.id, status: e.id === 'e2' ? 'refused' : 'kept' })),
        }),
      );
    const a = await new Sender(post).send(events(3));
    expect(a.gone).toEqual([1, 2, 3]);
    expect(a.refused.map((r) => r.entry.seq)).toEqual([2]);
  });
  it('is not lost when the answer is no JSON', async () => {
    await expect(new Sender(() => Promise.resolve(new Response('<html>', { status: 502 }))).send(events(1))).rejects.toBeInstanceOf(Again);
  });
  it('goes on without the entries that break the server or cannot be read, wherever they stand, each set aside alone', () =>
    fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 1, max: 400 }),
        fc.array(fc.nat({ max: 399 }), { maxLength: 4 }),
        fc.constantFrom(500, 400, 413),
        async (n, where, status) => {
          const bad = new Set(where.map((w) => (w % n) + 1));
          const seen = new Map<string, number>();
          const post: Post = (_, body) => {
            const list = body as TamboEvent[];
            if (list.some((e) => bad.has(Number(e.id.slice(1))))) return Promise.resolve(answer(status, { message: 'Broken.' }));
            for (const e of list) seen.set(e.id, (seen.get(e.id) ?? 0) + 1);
            return Promise.resolve(kept(list));
          };
          const { refused, sendings } = await drained(new Sender(post), events(n));
          expect(refused).toEqual([...bad].toSorted((a, b) => a - b));
          expect(seen.size).toBe(n - bad.size);
          expect([...seen.values()].every((times) => times === 1)).toBe(true);
          expect(sendings).toBeLessThan(20 + bad.size * 14);
        },
      ),
      { numRuns: 60 },
    ));
});
