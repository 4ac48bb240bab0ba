import { describe, expect, it } from 'vitest';
import { actId, doneBefore, forgetDone, noteDone, noteUndone, writeIntent } from './intents.ts';

const tick = (over: Partial<Parameters<typeof actId>[0]> = {}) =>
  actId({
    type: 'ticked',
    subjects: ['s1'],
    seen: 'e0',
    data: { sessionId: 's1', key: 'salt', amount: 1, unit: 'g', how: 'bought' },
    ...over,
  });

describe('an act', () => {
  it('is the same from a second tap, another when something was seen meanwhile or it is about something else', () => {
    expect(tick()).toBe(tick());
    expect(tick({ seen: 'e1' })).not.toBe(tick());
    expect(tick({ data: { sessionId: 's1', key: 'flour', amount: 1, unit: 'g', how: 'bought' } })).not.toBe(tick());
  });
  it('that sets a value is another with another value; one that counts is not', () => {
    expect(tick({ data: { sessionId: 's1', key: 'salt', amount: 1, unit: 'g', how: 'haveIt' } })).not.toBe(tick());
    const eaten = (portions: number) =>
      actId({
        type: 'eaten',
        subjects: ['p1'],
        seen: 'e0',
        data: { day: '2026-11-24', meal: 'dinner', shares: [{ eaterId: 'a', portions }], guests: 0, rest: 'none' },
      });
    expect(eaten(1)).toBe(eaten(2));
  });
  it('after an undo made here is another intent', () => {
    const before = tick({ subjects: ['s9'] });
    noteUndone(['s9'], 'u1');
    expect(tick({ subjects: ['s9'] })).not.toBe(before);
    // the page has seen the undo: no longer anything special
    expect(tick({ subjects: ['s9'], seen: 'u1' })).toBe(tick({ subjects: ['s9'], seen: 'u1' }));
  });
  it('is known once done: the same again, or otherwise; a refused one may be tried again', () => {
    expect(doneBefore('x', { portions: 1 })).toBe('no');
    noteDone('x', { portions: 1, code: 'AAAAA' });
    expect(doneBefore('x', { portions: 1, code: 'BBBBB' })).toBe('same');
    expect(doneBefore('x', { portions: 2 })).toBe('otherwise');
    forgetDone('x');
    expect(doneBefore('x', { portions: 1 })).toBe('no');
  });
});

describe('a write of documents', () => {
  const change = (name: string) => [{ table: 'place', id: 'p', data: { id: 'p', name } }];
  it('is one write for the same documents from the same state, and another once they changed', () => {
    const first = writeIntent(change('shed'), '7');
    expect(first.again).toBe(false);
    expect(writeIntent(change('shed'), '7')).toEqual({ writeId: first.writeId, again: true });
    expect(writeIntent(change('shed'), '8').again).toBe(false);
  });
  it('there and back again is three writes', () => {
    const ids = ['a', 'b', 'a'].map((n) => writeIntent([{ table: 'place', id: 'q', data: { name: n } }] as never, '7').writeId);
    expect(new Set(ids).size).toBe(3);
  });
});
