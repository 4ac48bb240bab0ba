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
});
