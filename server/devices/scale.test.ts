import { describe, expect, it } from 'vitest';
import { addMs } from '#core/kitchen';
import { SimulatedScale } from './scale.ts';

const start = '2026-11-24T16:00:00.000Z';
const after = (ms: number): string => addMs(start, ms);

describe('the stand-in scale', () => {
  it('swings when something is put on, then settles on it', () => {
    const scale = new SimulatedScale(1);
    scale.put(2450, start);
    expect(scale.read(after(150))).toMatchObject({ stable: false });
    expect(scale.read(after(2500))).toMatchObject({ grams: 2450, stable: true, overload: false });
  });
  it('takes what lies on it as nothing', () => {
    const scale = new SimulatedScale(1);
    scale.put(1150, start);
    scale.tare(after(2500));
    expect(scale.read(after(2600)).grams).toBe(0);
    scale.put(1650, after(3000));
    expect(scale.read(after(6000)).grams).toBe(500);
  });
  it('drifts a little with the minutes, and no further than three grams', () => {
    const scale = new SimulatedScale(1);
    scale.tare(start);
    expect(scale.read(after(240_000)).grams).toBe(2);
    expect(scale.read(after(3_600_000)).grams).toBe(3);
  });
  it('says that a full pot is too heavy rather than a figure', () => {
    const scale = new SimulatedScale(1);
    scale.put(9000, start);
    expect(scale.read(after(3000))).toMatchObject({ overload: true, stable: false, grams: 0 });
  });
  it('shows the steps of the household’s scale', () => {
    const scale = new SimulatedScale(0.1);
    scale.put(12.34, start);
    expect(scale.read(after(3000)).grams).toBeCloseTo(12.3, 6);
  });
});
