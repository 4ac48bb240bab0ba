import { describe, expect, it } from 'vitest';
import type { TodayAnswer } from '#core/queries';
import { amountOf, placeName } from '../ui/packWords.ts';
import { dishes } from './dishes.ts';

type Ordered = TodayAnswer['view']['eatFirst'][number];
const item = (packId: string, name: string, left: number, day = '2026-12-01', over: object = {}): Ordered =>
  ({ pack: { packId, name, left, kind: 'meal', ...over }, due: { day, daysLeft: 7, reason: 'bestBy' } }) as unknown as Ordered;

describe('packs of one dish', () => {
  it('that are due on one day stand as one line with all that is left', () => {
    const lines = dishes([item('a', 'Stew', 2), item('b', 'Stew', 1.5), item('c', 'Pie', 2), item('d', 'Stew', 2, '2026-12-09')]);
    expect(lines.map((l) => [l.first.pack.packId, l.packs, l.left])).toEqual([
      ['a', 2, 3.5],
      ['c', 1, 2],
      ['d', 1, 2],
    ]);
  });
  it('stand apart when one of them is planned', () =>
    expect(
      dishes([item('a', 'Stew', 2), item('b', 'Stew', 2, '2026-12-01', { planned: { day: '2026-11-25', meal: 'dinner' } })]),
    ).toHaveLength(2));
  it('of different recipes with one name stay apart', () =>
    expect(
      dishes([item('a', 'Stew', 2, '2026-12-01', { recipeId: 'r1' }), item('b', 'Stew', 2, '2026-12-01', { recipeId: 'r2' })]),
    ).toHaveLength(2));
});

describe('what a pack holds and where it stands, in words', () => {
  const places = [{ id: 'shed', name: 'Shed chest', zones: [{ id: 'left', name: 'left basket' }] }] as unknown as Parameters<
    typeof placeName
  >[0];
  it.each([
    [{ kind: 'meal', left: 1 }, '1\u00a0portion'],
    [{ kind: 'meal', left: 2.5 }, '2½\u00a0portions'],
    [{ kind: 'puree', left: 12 }, '12\u00a0cubes'],
  ])('%o', (p, says) => expect(amountOf(p)).toBe(says));
  it.each([
    [{ placeId: 'shed', zoneId: 'left' }, 'Shed chest, left basket'],
    [{ placeId: 'shed', zoneId: 'gone' }, 'Shed chest'],
    [{ placeId: 'gone' }, 'not put away'],
    [{}, 'not put away'],
  ])('%o stands: %s', (p, says) => expect(placeName(places, p)).toBe(says));
});
