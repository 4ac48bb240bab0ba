import { describe, expect, it } from 'vitest';
import { isNews } from './live.ts';

const shown = { storeId: 'a', asOf: '4 100' };

describe('what the server tells of a household', () => {
  it.each([
    ['something was logged', { storeId: 'a', asOf: '4 101' }, shown, 0, true],
    ['something was written', { storeId: 'a', asOf: '5 100' }, shown, 0, true],
    ['another household was put in place', { storeId: 'b', asOf: '4 100' }, shown, 0, true],
    ['what is shown already', shown, shown, 0, false],
    ['while one’s own entries are on their way, which ask anew once they are answered', { storeId: 'a', asOf: '4 101' }, shown, 2, false],
    ['before anything is shown', { storeId: 'a', asOf: '4 101' }, undefined, 0, false],
  ] as const)('%s', (_, told, seen, waiting, news) => expect(isNews(told, seen, waiting)).toBe(news));
});
