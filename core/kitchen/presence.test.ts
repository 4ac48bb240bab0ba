import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysFrom } from './day.ts';
import { testEater } from './fixtures.ts';
import { demand, isPresent, withGuests, withPresence } from './presence.ts';

const today = '2026-11-24';
const someDay = fc.integer({ min: 0, max: 40 }).map((n) => addDays(today, n));

describe('one evening’s exception', () => {
  it('moves that dinner alone, and saying what is usual takes it away', () => {
    fc.assert(
      fc.property(someDay, fc.boolean(), (day, present) => {
        const osk = testEater('osk', {
          presence: { ...testEater('osk').presence, away: [{ from: addDays(today, 5), to: addDays(today, 9) }] },
        });
        const said = withPresence(osk, day, 'dinner', present);
        expect(isPresent(said.presence, day, 'dinner')).toBe(present);
        for (const other of daysFrom(today, 41).filter((d) => d !== day))
          expect(isPresent(said.presence, other, 'dinner')).toBe(isPresent(osk.presence, other, 'dinner'));
        const back = withPresence(said, day, 'dinner', isPresent(osk.presence, day, 'dinner'));
        expect(back.presence.exceptions).toEqual([]);
      }),
    );
  });
});

describe('guests', () => {
  it('ask for a plate each on their day, beside the eaters', () => {
    fc.assert(
      fc.property(someDay, fc.integer({ min: 0, max: 9 }), (day, plates) => {
        const table = [testEater('osk', { appetite: 0.8 }), testEater('joaquim')];
        const visits = withGuests([], day, plates, today);
        for (const d of daysFrom(today, 41)) {
          const asked = demand(table, d, visits);
          expect(asked.guests).toBe(d === day ? plates : 0);
          expect(asked.quarters).toBe(asked.eaters.reduce((s, e) => s + e.quarters, 0) + 4 * asked.guests);
        }
      }),
    );
  });
  it('are counted once for a dinner, and past visits are let go', () => {
    const visits = withGuests([{ day: '2026-11-20', meal: 'dinner', plates: 3 }], today, 2, today);
    expect(withGuests(visits, today, 4, today)).toEqual([{ day: today, meal: 'dinner', plates: 4 }]);
    expect(withGuests(visits, today, 0, today)).toEqual([]);
  });
  it('keep what one of them must not eat while more come and go, until they are gone', () => {
    const said = withGuests([], today, 1, today, ['al_treenut']);
    const more = withGuests(said, today, 3, today);
    expect(more).toEqual([{ day: today, meal: 'dinner', plates: 3, allergens: ['al_treenut'] }]);
    expect(withGuests(more, today, 3, today, [])).toEqual([{ day: today, meal: 'dinner', plates: 3 }]);
    expect(withGuests(withGuests(more, today, 0, today), today, 1, today)).toEqual([{ day: today, meal: 'dinner', plates: 1 }]);
  });
});
