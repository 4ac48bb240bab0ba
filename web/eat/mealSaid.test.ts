import { describe, expect, it } from 'vitest';
import type { PackBrief } from '#core/queries';
import { dishSums, mealActs, type MealSaid } from './mealSaid.ts';

const pack = (packId: string, left: number): PackBrief => ({ packId, left, seen: `s-${packId}`, kind: 'puree' }) as PackBrief;
const packs = new Map(['a', 'b', 'c'].map((id) => [id, pack(id, 3)]));
const meal = (dishes: MealSaid['dishes']): MealSaid => ({ day: '2026-11-20', meal: 'lunch', dishes });
const dish = (packIds: string[], eaten: Record<string, number>, over: Partial<MealSaid['dishes'][number]> = {}) => ({
  packIds,
  eaten,
  guests: 0,
  rest: 'freezer' as const,
  ...over,
});

describe('a meal written down', () => {
  it('of three cubes of three dishes is three entries', () => {
    const acts = mealActs(meal(['a', 'b', 'c'].map((id) => dish([id], { pip: 1 }))), (id) => packs.get(id));
    expect(acts.map((a) => [a.subjects[0], a.data])).toEqual(
      ['a', 'b', 'c'].map((id) => [
        id,
        { day: '2026-11-20', meal: 'lunch', shares: [{ eaterId: 'pip', portions: 1 }], guests: 0, rest: 'freezer' },
      ]),
    );
  });
  it('empties one pack before the next, and leaves out those nobody took from', () => {
    const acts = mealActs(meal([dish(['a', 'b', 'c'], { osk: 3, mio: 1 })]), (id) => packs.get(id));
    expect(acts.map((a) => a.subjects[0])).toEqual(['a', 'b']);
    expect(acts[0]!.data).toMatchObject({ rest: 'none' });
  });
  it('bins the rest where that is said, though nobody ate', () => {
    const acts = mealActs(meal([dish(['a'], {}, { rest: 'binned' })]), (id) => packs.get(id));
    expect(acts).toHaveLength(1);
    expect(acts[0]!.data).toMatchObject({ shares: [], rest: 'binned' });
  });
  it('knows what stays and what is too much', () => {
    expect(dishSums([pack('a', 3)], dish(['a'], { osk: 1 }, { guests: 1 }))).toEqual({ held: 3, total: 2, over: false, stays: 1 });
    expect(dishSums([pack('a', 3)], dish(['a'], { osk: 4 })).over).toBe(true);
  });
});
