import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Day, EventOf, Guests } from '#core/contract';
import { addDays, daysFrom } from './day.ts';
import { testEater } from './fixtures.ts';
import { demand, isPresent, withSaid, type SaidOfTable } from './presence.ts';

const today = '2026-11-24';
const someDay = fc.integer({ min: 0, max: 40 }).map((n) => addDays(today, n));

let counter = 0;
const said = (
  e: { type: 'invited'; data: EventOf<'invited'>['data'] } | { type: 'atHome'; data: EventOf<'atHome'>['data'] },
  subject: string,
): SaidOfTable => {
  counter += 1;
  return {
    id: `t${counter}`,
    subjects: [subject],
    instant: '2026-11-24T16:00:00.000Z',
    device: 'd',
    counter,
    version: 1,
    ...e,
  } as SaidOfTable;
};
const home = (eaterId: string, day: Day, is: boolean): SaidOfTable =>
  said({ type: 'atHome', data: { day, meal: 'dinner', home: is } }, eaterId);
const invited = (day: Day, plates: number, allergens: string[] = []): SaidOfTable =>
  said({ type: 'invited', data: { day, meal: 'dinner', plates, allergens } }, 'household');

describe('one evening’s word', () => {
  it('moves that dinner of that eater alone, and the newest word wins', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(someDay, fc.boolean()), { maxLength: 8 }), (words) => {
        const osk = testEater('osk', {
          presence: { ...testEater('osk').presence, away: [{ from: addDays(today, 5), to: addDays(today, 9) }] },
        });
        const joaquim = testEater('joaquim');
        const [after, other] = withSaid(
          {},
          [osk, joaquim],
          words.map(([day, is]) => home('osk', day, is)),
        ).eaters;
        for (const day of daysFrom(today, 41)) {
          const word = words.findLast(([d]) => d === day)?.[1];
          expect(isPresent(after!.presence, day, 'dinner')).toBe(word ?? isPresent(osk.presence, day, 'dinner'));
          expect(isPresent(other!.presence, day, 'dinner')).toBe(isPresent(joaquim.presence, day, 'dinner'));
        }
      }),
    );
  });
  it('goes before an exception that the eater’s own document holds', () => {
    const presence = { ...testEater('osk').presence, exceptions: [{ day: today, meal: 'dinner' as const, present: false }] };
    const [osk] = withSaid({}, [testEater('osk', { presence })], [home('osk', today, true)]).eaters;
    expect(isPresent(osk!.presence, today, 'dinner')).toBe(true);
  });
});

describe('guests', () => {
  it('ask for a plate each on their day, beside the eaters', () => {
    fc.assert(
      fc.property(someDay, fc.integer({ min: 0, max: 9 }), (day, plates) => {
        const table = [testEater('osk', { appetite: 0.8 }), testEater('joaquim')];
        const { household } = withSaid<{ guests?: Guests[] }>({}, table, [invited(day, plates)]);
        for (const d of daysFrom(today, 41)) {
          const asked = demand(table, d, household.guests);
          expect(asked.guests).toBe(d === day ? plates : 0);
          expect(asked.quarters).toBe(asked.eaters.reduce((s, e) => s + e.quarters, 0) + 4 * asked.guests);
        }
      }),
    );
  });
  it('are counted once for a dinner: the newest word, also over what the household’s document holds', () => {
    const before = { guests: [{ day: today, meal: 'dinner' as const, plates: 3 }] };
    const guests = (...words: SaidOfTable[]) => withSaid(before, [], words).household.guests;
    expect(guests(invited(today, 2), invited(today, 4, ['al_treenut']))).toEqual([
      { day: today, meal: 'dinner', plates: 4, allergens: ['al_treenut'] },
    ]);
    expect(guests(invited(today, 0))).toEqual([]);
    expect(guests(invited('2026-11-25', 1))).toHaveLength(2);
    expect(guests()).toEqual(before.guests);
  });
});
