import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testEater } from '../kitchen/fixtures.ts';
import { eatenAsPlanned, usualHelpings } from './asPlanned.ts';

const at = { day: '2026-11-24', meal: 'dinner' as const };
const table = [testEater('osk', { appetite: 0.8 }), testEater('joaquim', { appetite: 1.3 })];
const baby = testEater('pip', { stage: 'baby', baby: { mealsPerDay: 2, cubesPerMeal: 3 } });
const packs = (left: number[], kind = 'meal') => left.map((n, i) => ({ packId: `p${i}`, kind, left: n }));

describe('a meal as planned', () => {
  it('gives each who is at home their own plate', () => {
    expect([...usualHelpings(packs([2, 2]), table, at.day)]).toEqual([
      ['osk', 0.75],
      ['joaquim', 1.25],
    ]);
    const away = { ...table[1]!, presence: { ...table[1]!.presence, away: [{ from: at.day, to: at.day }] } };
    expect([...usualHelpings(packs([2]), [table[0]!, away], at.day)]).toEqual([
      ['osk', 0.75],
      ['joaquim', 0],
    ]);
  });
  it('gives a puree to the baby alone and leaves the cubes frozen', () => {
    const meal = eatenAsPlanned(packs([12], 'puree'), [...table, baby], 0, at);
    expect(meal).toEqual([{ packId: 'p0', data: { ...at, shares: [{ eaterId: 'pip', portions: 3 }], guests: 0, rest: 'freezer' } }]);
  });
  it('logs nothing when nobody was there', () => expect(eatenAsPlanned(packs([2]), [], 0, at)).toEqual([]));
  it('deals out what was eaten, never more than there was', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 0, max: 6 }),
        fc.array(fc.integer({ min: 1, max: 8 }), { maxLength: 4 }),
        (quarters, guests, appetites) => {
          const served = packs(quarters.map((q) => q / 4));
          const eaters = appetites.map((a, i) => testEater(`e${i}`, { appetite: a / 4 }));
          const meal = eatenAsPlanned(served, eaters, guests, at);
          const taken = meal.reduce((s, m) => s + m.data.guests + m.data.shares.reduce((t, x) => t + x.portions, 0), 0);
          const held = served.reduce((s, p) => s + p.left, 0);
          const wanted = appetites.reduce((s, a) => s + a / 4, 0) + guests;
          expect(taken).toBeCloseTo(Math.min(held, wanted), 9);
          for (const m of meal) {
            const pack = served.find((p) => p.packId === m.packId)!;
            const here = m.data.guests + m.data.shares.reduce((t, x) => t + x.portions, 0);
            expect(here).toBeLessThanOrEqual(pack.left + 1e-9);
            expect(m.data.rest === 'none').toBe(Math.abs(here - pack.left) < 1e-9);
          }
        },
      ),
    );
  });
});
