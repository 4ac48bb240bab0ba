import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysFrom, demand } from '#core/kitchen';
import { testEater } from '../kitchen/fixtures.ts';
import { demandOver } from './index.ts';

const everyDay = testEater('osk').presence;
const marit = testEater('marit', { presence: { ...everyDay, rota: { firstDay: '2026-11-29', daysOn: 14, daysOff: 14 } } });
const table = [testEater('osk', { appetite: 0.8 }), testEater('joaquim', { appetite: 1.3 }), marit];

describe('demand over a span', () => {
  it('is the sum of its days, and two spans in a row are the long one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 60 }), (a, b) => {
        const long = demandOver(table, '2026-11-24', a + b);
        expect(long.quarters).toBe(demandOver(table, '2026-11-24', a).quarters + demandOver(table, addDays('2026-11-24', a), b).quarters);
        expect(long.days.reduce((s, d) => s + d.quarters, 0)).toBe(long.quarters);
      }),
    );
  });
  it('falls by Marit’s plate while she is aboard', () => {
    const span = demandOver(table, '2026-11-24', 28);
    expect(span.days.filter((d) => d.quarters === 12)).toHaveLength(14);
    expect(span.days.filter((d) => d.quarters === 8)).toHaveLength(14);
  });
  it('follows one evening’s exception and nobody else’s', () => {
    const away = { ...table[1]!, presence: { ...everyDay, exceptions: [{ day: '2026-11-25', meal: 'dinner' as const, present: false }] } };
    for (const day of daysFrom('2026-11-24', 4))
      expect(demand([table[0]!, away], day).eaters.map((e) => e.eaterId)).toEqual(day === '2026-11-25' ? ['osk'] : ['osk', 'joaquim']);
  });
  it('grows with an appetite, by whole quarters, and never falls under one quarter', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 3, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (appetite, more) => {
        const asks = (a: number) => demandOver([testEater('osk', { appetite: a })], '2026-11-24', 1).quarters;
        expect(Number.isInteger(asks(appetite))).toBe(true);
        expect(asks(appetite)).toBeGreaterThanOrEqual(1);
        expect(Math.abs(asks(appetite) - 4 * appetite)).toBeLessThanOrEqual(appetite < 0.125 ? 1 : 0.5);
        expect(asks(appetite + more)).toBeGreaterThanOrEqual(asks(appetite));
      }),
    );
  });
  it('lays no plate for a baby, whose meals stand beside', () => {
    const pia = testEater('pia', {
      stage: 'baby',
      baby: { mealsPerDay: 3, cubesPerMeal: 2 },
    });
    const span = demandOver([...table, pia], '2026-11-24', 7);
    expect(span.quarters).toBe(demandOver(table, '2026-11-24', 7).quarters);
    expect(span.babyMeals).toBe(span.days.reduce((s, d) => s + d.babyMeals, 0));
    expect(span.babyMeals).toBe(21);
  });
  it('counts a guest as a whole plate on that dinner alone', () => {
    const visits = [{ day: '2026-11-26', meal: 'dinner' as const, plates: 3 }];
    const gain = demandOver(table, '2026-11-24', 5, visits).days.map(
      (d, i) => d.quarters - demandOver(table, '2026-11-24', 5).days[i]!.quarters,
    );
    expect(gain).toEqual([0, 0, 12, 0, 0]);
  });
  it('asks for nothing where nobody sits, over no days, or while they are away', () => {
    expect(demandOver([], '2026-11-24', 7).quarters).toBe(0);
    expect(demandOver(table, '2026-11-24', 0)).toEqual({ days: [], quarters: 0, babyMeals: 0 });
    const gone = testEater('osk', { presence: { ...everyDay, away: [{ from: '2026-11-25', to: '2026-11-27' }] } });
    expect(demandOver([gone], '2026-11-24', 5).days.map((d) => d.quarters)).toEqual([4, 0, 0, 0, 4]);
  });
});
