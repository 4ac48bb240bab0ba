import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nearerOffset } from './clock.ts';

describe('the offset to the server’s clock', () => {
  it('is never further off than that of the quickest answer, whatever was on its way for how long', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: -3_600_000, max: 3_600_000 }),
        fc.array(fc.integer({ min: 0, max: 4000 }), { minLength: 1 }),
        (truth, delays) => {
          const offset = delays.map((d) => truth - d).reduce((held, told) => nearerOffset(held, told));
          expect(truth - offset).toBe(Math.min(...delays));
        },
      ),
    ));

  it('is what the first answer says, also on a device whose clock goes before', () => expect(nearerOffset(undefined, -2000)).toBe(-2000));

  it('follows a clock that was set anew, forward and back', () => {
    expect(nearerOffset(100, 3_600_100)).toBe(3_600_100);
    expect(nearerOffset(3_600_100, 100)).toBe(100);
  });
});
