import { describe, expect, it } from 'vitest';
import { containerSchema } from '#core/contract';
import { bagRows, panRows, tubRows } from '#core/kitchen/data';
import { fromPreset } from './presets.ts';

describe('a container from a common shape', () => {
  it.each([...tubRows, ...bagRows, ...panRows].map((row) => [row.id, row] as const))('%s can be kept as it is', (_, row) => {
    const made = fromPreset(row);
    const read = containerSchema.safeParse({ id: 'c', owned: 4, microwave: 'unknown', oven: false, ...made });
    expect(read.success ? undefined : read.error.issues.map((i) => `${i.path.join('.')}: ${i.message}`)).toBeUndefined();
    expect(made.shape).toBe(row.shape);
    expect(made.fillMl!).toBeLessThanOrEqual(made.brimMl!);
  });
});
