import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dipped, ladled, sayMeasureError } from './index.ts';

describe('measuring what is too heavy for the scale', () => {
  it('a ruler: depth times the area of the pot', () => {
    const r = dipped({ depthMm: 100, pot: { diameterMm: 200, heightMm: 150 } });
    expect(r.ok && r.measured.ml).toBeCloseTo(Math.PI * 1000, 6);
  });
  it('lies within what a wet ruler leaves, and grows with the depth', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 149 }), fc.integer({ min: 120, max: 400 }), (depthMm, diameterMm) => {
        const pot = { diameterMm, heightMm: 150 };
        const [a, b] = [dipped({ depthMm, pot }), dipped({ depthMm: depthMm + 1, pot })];
        if (!a.ok || !b.ok) throw new Error('not measured');
        expect(a.measured.low).toBeLessThan(a.measured.ml);
        expect(a.measured.high).toBeGreaterThan(a.measured.ml);
        expect(b.measured.ml).toBeGreaterThan(a.measured.ml);
      }),
    );
  });
  it('ladles: so many times what one holds', () =>
    expect(ladled({ ladles: 31, ladleMl: 200 })).toMatchObject({ ok: true, measured: { ml: 6200 } }));
  it.each([
    ['nothing', dipped({ depthMm: 0, pot: { diameterMm: 200 } }), 'notPositive'],
    ['a negative depth', dipped({ depthMm: -3, pot: { diameterMm: 200 } }), 'notPositive'],
    ['a pot without a diameter', dipped({ depthMm: 30, pot: {} }), 'noDiameter'],
    ['a ruler longer than the pot', dipped({ depthMm: 200, pot: { diameterMm: 200, heightMm: 150 } }), 'deeperThanPot'],
    ['more than its litres', dipped({ depthMm: 200, pot: { diameterMm: 200, litres: 4 } }), 'deeperThanPot'],
    ['no ladle', ladled({ ladles: 3, ladleMl: 0 }), 'noLadle'],
    ['an absurd count', ladled({ ladles: 5000, ladleMl: 100 }), 'tooMany'],
  ])('refuses %s in words', (_, r, why) => {
    expect(r).toMatchObject({ ok: false, why });
    if (!r.ok) expect(sayMeasureError(r.why).length).toBeGreaterThan(10);
  });
});
