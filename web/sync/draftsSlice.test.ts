import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  draftDropped,
  draftEdited,
  draftRedone,
  draftRestored,
  draftsLoaded,
  draftsSlice,
  draftUndone,
  type DraftsState,
} from './draftsSlice.ts';

const { reducer, getInitialState } = draftsSlice;
const edit = (value: unknown, field?: string) =>
  draftEdited({ key: 'plan', kind: 'plan', name: 'Saturday', path: '/plan', at: '2026-11-24T16:00:00.000Z', before: 0, value, field });
const after = (...actions: Parameters<typeof reducer>[1][]): DraftsState => actions.reduce(reducer, getInitialState());
const now = (s: DraftsState): unknown => s.byKey.plan?.present;

describe('a draft', () => {
  it('goes back to how it began and forward again, step by step, whatever was done', () => {
    fc.assert(
      fc.property(fc.array(fc.integer(), { minLength: 1, maxLength: 30 }), (values) => {
        const made = after(...values.map((v) => edit(v)));
        const back = values.reduce((s) => reducer(s, draftUndone('plan')), made);
        expect(now(back)).toBe(0);
        expect(now(values.reduce((s) => reducer(s, draftRedone('plan')), back))).toBe(values.at(-1));
        // one step too far changes nothing
        expect(reducer(back, draftUndone('plan'))).toEqual(back);
      }),
    );
  });
  it('takes back letters typed into one field in one step', () => {
    const typed = after(edit('S', 'name'), edit('So', 'name'), edit('Sou', 'name'), edit('Soup!', 'portions'));
    expect(now(reducer(typed, draftUndone('plan')))).toBe('Sou');
    expect(now(reducer(reducer(typed, draftUndone('plan')), draftUndone('plan')))).toBe(0);
  });
  it('has nothing to bring back once something else was done', () => {
    const s = after(edit(1), edit(2), draftUndone('plan'), edit(3), draftRedone('plan'));
    expect(now(s)).toBe(3);
  });
  it('that was touched before this device had read what it kept stays as it is; the others come', () => {
    const kept = { kind: 'plan' as const, name: 'Friday', path: '/plan', at: '2026-11-23T16:00:00.000Z', present: 9 };
    const s = after(edit(1), draftsLoaded({ plan: kept, other: kept }));
    expect([s.ready, now(s), s.byKey.other?.present]).toEqual([true, 1, 9]);
  });
  it('is gone once it is kept or dropped', () => expect(after(edit(1), draftDropped('plan')).byKey).toEqual({}));
  it('put aside comes back as it was, unless something was begun in its place', () => {
    const made = after(edit(1), edit(2));
    const draft = made.byKey.plan!;
    const gone = reducer(made, draftDropped('plan'));
    expect(reducer(gone, draftRestored({ key: 'plan', draft })).byKey).toEqual(made.byKey);
    const anew = reducer(gone, edit(7));
    expect(now(reducer(anew, draftRestored({ key: 'plan', draft })))).toBe(7);
  });
});
