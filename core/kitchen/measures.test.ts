import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Unit } from '#core/contract';
import { fromNumber, measureIn, sayMassIn, sayVolumeIn, spoonsAndCups, type MeasureInput } from './index.ts';

const input = (amount: string, unit: Unit, over: Partial<MeasureInput> = {}): MeasureInput => ({
  quantity: { amount, unit },
  pour: false,
  cap: 0.05,
  scaleStepG: 1,
  ...over,
});
const plain = (text: string): string => text.replace(/\u00A0/g, ' ');
const said = (system: 'metric' | 'us' | 'uk', i: MeasureInput): string => plain(measureIn(system, i).text);

describe('what a cook measures out', () => {
  it.each([
    ['metric', input('918', 'g'), '920 g'],
    ['metric', input('2240', 'g'), '2.25 kg'],
    ['metric', input('3/2', 'g', { gPerMl: 0.4 }), '¾ tsp'],
    ['metric', input('1/2', 'g'), 'a pinch'],
    ['metric', input('7', 'ml', { pour: true }), '7 ml'],
    ['metric', input('37/5', 'ml', { pour: true }), '1½ tsp'],
    ['metric', input('1020', 'ml', { pour: true }), '1.02 L'],
    ['metric', input('2', 'cup', { gPerMl: 0.53 }), '265 g'],
    ['metric', input('2', 'cup'), '2 cups'],
    ['metric', input('4', 'tbsp', { pour: true }), '4 tbsp'],
    ['us', input('320', 'g', { gPerMl: 0.68 }), '2 cups'],
    ['us', input('320', 'g'), '11 oz'],
    ['us', input('900', 'g', { gPerMl: 0.9, weighOnly: true }), '2 lb'],
    ['us', input('1', 'l', { pour: true, cap: 0.02 }), '4¼ cups'],
    ['us', input('4', 'l', { pour: true }), '4¼ quarts'],
    ['us', input('266', 'ml', { pour: true, cap: 0.02 }), '1 cup + 2 tbsp'],
    ['uk', input('900', 'g'), '2 lb'],
    ['uk', input('568', 'ml', { pour: true }), '1 pint'],
    ['uk', input('190', 'ml', { pour: true }), '⅓ pint'],
    ['uk', input('200', 'ml', { pour: true }), '7 fl oz'],
    ['uk', input('15', 'ml', { pour: true }), '1 tbsp'],
  ] as const)('%s: %o is %s', (system, i, text) => expect(said(system, i)).toBe(text));

  it('counts pieces to the quarter, or whole', () => {
    expect(said('metric', input('17/8', 'piece'))).toBe('2¼');
    expect(said('metric', input('1/8', 'piece', { whole: true }))).toBe('1');
  });
  it('a third of a cup tripled is one cup', () => expect(spoonsAndCups(250, 0, 'metric')?.text).toBe('1 cup'));
  it('never says nothing, and stays within the cap when spoons or cups are named', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.3, max: 12_000, noNaN: true }),
        fc.constantFrom(0.05, 0.02),
        fc.constantFrom('metric' as const, 'us' as const),
        (ml, cap, set) => {
          const m = spoonsAndCups(ml, cap, set);
          if (m) expect(Math.abs(m.error)).toBeLessThanOrEqual(cap + 1e-9);
        },
      ),
    );
  });
  it('finds some measure for any amount in any system, with the error it tells', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 30_000, noNaN: true }),
        fc.constantFrom<Unit>('g', 'ml', 'tsp', 'cup', 'oz', 'usCup'),
        fc.constantFrom('metric' as const, 'us' as const, 'uk' as const),
        fc.option(fc.double({ min: 0.1, max: 1.6, noNaN: true }), { nil: undefined }),
        fc.boolean(),
        (n, unit, system, gPerMl, pour) => {
          const m = measureIn(system, input(fromNumber(n), unit, { gPerMl, pour }));
          expect(m.text.length).toBeGreaterThan(0);
          expect(m.text).not.toMatch(/NaN|undefined|^0 /);
          expect(m.error).toBeGreaterThanOrEqual(-0.6);
        },
      ),
    );
  });
  it.each([
    ['metric', 1650, '1.65 kg', '1.65 L'],
    ['us', 907.2, '2 lb', '3¾ cups + 1½ tbsp'],
    ['uk', 1136.5, '2 lb 8 oz', '2 pints'],
  ] as const)('%s: %d is said as %s and %s', (units, n, mass, volume) => {
    expect(plain(sayMassIn(units, n))).toBe(mass);
    expect(plain(sayVolumeIn(units, n))).toBe(volume);
  });
  it('refuses a negative amount in words', () => expect(() => measureIn('metric', input('-1', 'g'))).toThrow(/0 or more/));
});
