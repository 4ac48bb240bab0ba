import { describe, expect, it } from 'vitest';
import type { TamboEvent } from '#core/contract';
import { added, loaded, offline, outboxSlice, putAside, sent, wasRefused, type PendingEntry } from './outboxSlice.ts';

const event = (id: string): TamboEvent => ({
  id,
  type: 'lost',
  subjects: ['p'],
  instant: '2026-11-24T16:00:00.000Z',
  device: 'd',
  counter: 1,
  version: 1,
  data: {},
});
const entry = (seq: number): PendingEntry => ({ seq, label: `entry ${seq}`, kind: 'event', body: event(`e${seq}`) });
const after = (...actions: Parameters<typeof outboxSlice.reducer>[1][]) =>
  actions.reduce(outboxSlice.reducer, outboxSlice.getInitialState());

describe('what waits on the device', () => {
  it('keeps its order and lets go only of what was answered', () => {
    const state = after(added([entry(1), entry(2)]), added([entry(3)]), sent([1, 3]));
    expect(state.pending.map((w) => w.seq)).toEqual([2]);
  });
  it('is known to be offline until something is answered', () => {
    expect(after(added([entry(1)]), offline(undefined)).online).toBe(false);
    expect(after(added([entry(1)]), offline(undefined), sent([1])).online).toBe(true);
  });
  it('takes up what an earlier page left', () => expect(after(loaded([entry(4), entry(5)])).pending).toHaveLength(2));
  it('shows what was refused until it is put aside, and loses nothing of it', () => {
    const refusal = {
      seq: 7,
      label: 'eaten',
      message: 'not kept',
      refusals: [{ path: 'data.day', expected: 'a day', got: '"soon"' }],
      entry: entry(7),
    };
    expect(after(wasRefused(refusal)).refused).toEqual([refusal]);
    expect(after(wasRefused(refusal), putAside(7)).refused).toEqual([]);
  });
});
