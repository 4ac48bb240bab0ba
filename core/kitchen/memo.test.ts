import { describe, expect, it } from 'vitest';
import { createMemo, noMemo } from './memo.ts';

describe('a memo', () => {
  it('works out once for the same objects and name, and again for any other', () => {
    const memo = createMemo();
    const [stew, soup, table] = [{}, {}, {}];
    let made = 0;
    const weigh = (from: readonly object[], name = 'weighed') => memo(from, name, () => (made += 1));
    expect([weigh([stew, table]), weigh([stew, table])]).toEqual([1, 1]);
    expect(weigh([soup, table])).toBe(2);
    expect(weigh([stew, soup])).toBe(3);
    expect(weigh([stew])).toBe(4);
    expect(weigh([stew, table], 'flow')).toBe(5);
    expect(weigh([stew, table])).toBe(1);
  });
  it('remembers that there is nothing, and not what went wrong', () => {
    const memo = createMemo();
    let asked = 0;
    const none = () => memo([memo], 'none', () => void (asked += 1));
    expect([none(), none(), asked]).toEqual([undefined, undefined, 1]);
    const wrong = () =>
      memo([memo], 'wrong', () => {
        throw new RangeError('no');
      });
    expect(wrong).toThrow('no');
    expect(wrong).toThrow('no');
  });
  it('that remembers nothing works out each time', () => {
    let made = 0;
    const next = () => noMemo([], 'n', () => (made += 1));
    expect([next(), next()]).toEqual([1, 2]);
  });
});
