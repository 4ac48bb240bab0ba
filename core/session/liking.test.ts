import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { TamboEvent } from '#core/contract';
import { likedOf, ratingsOf } from './index.ts';

const same = (id: string): string => id;
let counter = 0;
const said = (recipeId: string, eaterId: string, stars: number, at: number): TamboEvent => ({
  id: `r${(counter += 1)}`,
  type: 'rated',
  subjects: [recipeId, eaterId],
  instant: new Date(Date.UTC(2026, 10, 1) + at * 60_000).toISOString(),
  device: 'phone',
  counter,
  version: 1,
  data: { recipeId, eaterId, stars, day: '2026-11-01' },
});
const back = (of: TamboEvent, at: number): TamboEvent => ({
  ...of,
  id: `u${(counter += 1)}`,
  type: 'undone',
  instant: new Date(Date.UTC(2026, 10, 1) + at * 60_000).toISOString(),
  counter,
  data: { eventId: of.id },
});

describe('how a dish is liked', () => {
  it('goes by the newest word of each eater', () => {
    const events = [said('stew', 'osk', 5, 1), said('stew', 'osk', 2, 9), said('stew', 'mio', 5, 3), said('soup', 'mio', 1, 4)];
    expect(likedOf(ratingsOf(events, same)).get('stew')).toMatchObject({
      stars: 3.5,
      by: [
        { stars: 2, times: 2 },
        { stars: 5, times: 1 },
      ],
    });
  });
  it('is what it was before once a word is taken back, and the page has seen that', () => {
    const first = said('stew', 'osk', 5, 1);
    const second = said('stew', 'osk', 1, 2);
    const undo = back(second, 3);
    expect(ratingsOf([first, second, undo], same)).toMatchObject([{ stars: 5, times: 1, seen: undo.id }]);
    const all = back(first, 4);
    expect(likedOf(ratingsOf([first, second, undo, all], same)).size).toBe(0);
    // the taking back of a taking back
    expect(ratingsOf([first, second, undo, back(undo, 5)], same)).toMatchObject([{ stars: 1, times: 2 }]);
  });
  it('counts for the recipe that it became one with', () =>
    expect(ratingsOf([said('old', 'osk', 4, 1)], (id) => (id === 'old' ? 'new' : id))).toMatchObject([{ recipeId: 'new', stars: 4 }]));
  it('is the same in whatever order the words came in, and between the least and the most that was said', () => {
    const one = fc.tuple(fc.constantFrom('osk', 'mio', 'marit'), fc.integer({ min: 1, max: 5 }), fc.integer({ min: 0, max: 500 }));
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 12 }), (list) => {
        const events = list.map(([eater, stars, at]) => said('stew', eater, stars, at));
        const liked = likedOf(ratingsOf(events, same)).get('stew')!;
        const other = likedOf(ratingsOf(events.toReversed(), same)).get('stew')!;
        expect(other.stars).toBe(liked.stars);
        expect(liked.stars).toBeGreaterThanOrEqual(Math.min(...list.map(([, s]) => s)) - 0.05);
        expect(liked.stars).toBeLessThanOrEqual(Math.max(...list.map(([, s]) => s)) + 0.05);
        expect(liked.by.reduce((n, r) => n + r.times, 0)).toBe(events.length);
      }),
    );
  });
});
