import { describe, expect, it } from 'vitest';
import { closed, shown, toastSlice, type UndoWay } from './toastSlice.ts';

const way: UndoWay = { kind: 'events', events: [{ id: 'e1', subjects: ['p1'] }] };
const after = (...actions: Parameters<typeof toastSlice.reducer>[1][]) => actions.reduce(toastSlice.reducer, toastSlice.getInitialState());

describe('what was just done', () => {
  it('is replaced by what is done next', () => expect(after(shown({ text: 'a' }), shown({ text: 'b' })).current?.text).toBe('b'));
  it('closes by its own number only, so that a late timer does not take the next one away', () => {
    const one = after(shown({ text: 'a' }));
    const two = toastSlice.reducer(one, shown({ text: 'b' }));
    expect(toastSlice.reducer(two, closed(one.current!.id)).current?.text).toBe('b');
    expect(toastSlice.reducer(two, closed(two.current!.id)).current).toBeUndefined();
  });
  it('can be taken back by a key after its toast has gone, and not twice', () => {
    const s = after(shown({ text: 'a', undo: way }), closed(1));
    expect(s.last).toEqual(way);
    expect(toastSlice.reducer(s, shown({ text: 'Taken back' })).last).toBeUndefined();
  });
});
