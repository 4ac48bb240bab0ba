import { describe, expect, it } from 'vitest';
import { kindSchema, type Container, type LifeSnapshot } from '#core/contract';
import { groupOf, isCounted, isDinner, isDinnerKind, mayHold } from './kinds.ts';
import { datesFor } from './lives.ts';

describe('what is a dinner', () => {
  it.each(kindSchema.options)('%s counts towards one supply at most, and only dinners are dinners', (kind) => {
    expect(isDinnerKind(kind)).toBe(groupOf(kind) === 'dinner');
    expect(isDinner({ kind })).toBe(kind === 'meal' || kind === 'kit');
    if (isCounted(kind)) expect(isDinner({ kind })).toBe(false);
  });
  it('raw mince is a part of one, whatever its mark', () => {
    expect(isDinner({ kind: 'kit', whole: false })).toBe(false);
    expect(isDinner({ kind: 'kit', whole: true })).toBe(true);
    expect(isDinner({ kind: 'meal', whole: false })).toBe(true);
  });
});

describe('what may go into what', () => {
  const shapes: Container['shape'][] = ['tub', 'bag', 'pan', 'jar', 'tray', 'mould', 'box'];
  const allowed = (dish: { cubes: boolean; pan: boolean }) => shapes.filter((shape) => mayHold({ shape }, dish));
  it('broth may lie flat in a bag as well as stand in what closes', () =>
    expect(allowed({ cubes: false, pan: false })).toEqual(['tub', 'bag', 'jar', 'box']));
  it('cubes go loose into bags, a bake into its pan, nothing stays in a tray', () => {
    expect(allowed({ cubes: true, pan: false })).toEqual(['bag']);
    expect(allowed({ cubes: false, pan: true })).toEqual(['pan']);
  });
});

describe('how long it keeps', () => {
  const life = (months: number, monthsHigh: number): LifeSnapshot => ({
    rowId: 'x',
    part: 'x',
    months,
    monthsHigh,
    fridgeDays: 2,
    source: 'KIT',
  });
  it.each([
    [1, 2, '2026-02-28', '2026-03-31'],
    [1.5, 2, '2026-03-15', '2026-03-31'],
    [0.5, 1.5, '2026-02-15', '2026-03-15'],
    [3, 3, '2026-04-30', '2026-04-30'],
  ])('%f to %f months from 31 Jan', (months, high, bestBy, limit) =>
    expect(datesFor(life(months, high), '2026-01-31')).toEqual({ bestBy, limit }),
  );
});
