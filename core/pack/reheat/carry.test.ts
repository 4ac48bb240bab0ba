import { describe, expect, it } from 'vitest';
import { reheatRows } from '../data/index.ts';
import { carriedHeat } from './carry.ts';

const oldIds = [
  ...new Set(
    reheatRows.flatMap((r) =>
      String((r as { refRows?: string }).refRows ?? '')
        .split(';')
        .filter(Boolean),
    ),
  ),
];

describe('an edit of the older reheating table', () => {
  it('has rows that took the place of many of its rows', () => expect(oldIds.length).toBeGreaterThan(40));
  it('carries minutes, one stage or two, and standing', () => {
    for (const id of oldIds.slice(0, 30)) {
      const carried = carriedHeat(id, { minutes: '25-35', restMin: '2' }, reheatRows);
      expect(carried.length, id).toBeGreaterThan(0);
      for (const c of carried) expect(c.edited).toEqual({ min1Low: 25, min1High: 35, restMin: 2 });
    }
  });
  it('carries a heat to what is heated in an oven, with the fan 20 lower, and a second stage to what has one', () => {
    const byId = new Map(reheatRows.map((r) => [r.id, r as { ovenC?: unknown; min2Low?: unknown }]));
    for (const id of oldIds)
      for (const c of carriedHeat(id, { tempC: '190', minutes: '6 + 4–5' }, reheatRows)) {
        const row = byId.get(c.id)!;
        expect('ovenC' in c.edited).toBe(row.ovenC !== undefined);
        if (row.ovenC !== undefined) expect(c.edited).toMatchObject({ ovenC: 190, fanC: 170 });
        expect('min2Low' in c.edited).toBe(row.min2Low !== undefined);
        expect(c.edited.min1Low).toBe(6);
      }
  });
  it.each([
    ['no row took its place', 'rt_never_was', { minutes: '10' }],
    ['nothing can be read as a figure', oldIds[0]!, { minutes: 'until hot', tempC: 'moderate' }],
    ['nothing of it is heat', oldIds[0]!, { stir: 'often' }],
  ])('is left behind where %s', (_, id, edit) => expect(carriedHeat(id, edit, reheatRows)).toEqual([]));
});
