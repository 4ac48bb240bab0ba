import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { idSchema } from './basics.ts';
import { intentId } from './intent.ts';

describe('the id of an intent', () => {
  const parts = fc.array(fc.string(), { minLength: 1, maxLength: 6 });
  it('is the same for the same parts, another for others, and always an id', () => {
    fc.assert(
      fc.property(parts, parts, (a, b) => {
        const id = intentId(...a);
        expect(idSchema.safeParse(id).success).toBe(true);
        expect(intentId(...a)).toBe(id);
        expect(intentId(...b) === id).toBe(JSON.stringify(a) === JSON.stringify(b));
      }),
    );
  });
  it('tells apart parts that only join to the same text', () => {
    expect(intentId('ab', 'c')).not.toBe(intentId('a', 'bc'));
    expect(intentId('a', '')).not.toBe(intentId('a'));
  });
  it('has 26 signs that say nothing twice over ten thousand intents', () => {
    const ids = new Set(Array.from({ length: 10_000 }, (_, i) => intentId('phone', 'eaten', `p${i}`)));
    expect(ids.size).toBe(10_000);
    for (const id of ids) expect(id).toMatch(/^[0-9a-hjkmnp-tv-z]{26}$/);
  });
});
