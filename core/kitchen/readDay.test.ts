import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, sayDay, sayDayYear, sayLongDay } from './day.ts';
import { readDay } from './readDay.ts';

const today = '2026-11-24';
const british = { today, locale: 'en-GB' };

describe('a day as it is typed', () => {
  it.each([
    ['3/12/2026', '2026-12-03'],
    ['13.12.26', '2026-12-13'],
    ['3-12-2026', '2026-12-03'],
    ['3 12 26', '2026-12-03'],
    ['3 Dec', '2026-12-03'],
    ['3rd of December', '2026-12-03'],
    ['Dec 3', '2026-12-03'],
    ['December 3rd, 2027', '2027-12-03'],
    ['Thu 3 Dec', '2026-12-03'],
    ['4 jan', '2027-01-04'],
    ['24/11', '2026-11-24'],
    ['23/11', '2027-11-23'],
    ['29 Feb', '2028-02-29'],
    ['2026-12-03', '2026-12-03'],
  ])('%s is %s', (text, day) => expect(readDay(text, british)).toBe(day));
  it.each(['', 'soon', '31/11/2026', '30 Feb', '13/13', '3 Foo', '0/1', '3/12/1', 'Ma 3', '2026-13-01'])('“%s” is no day', (text) =>
    expect(readDay(text, british)).toBeUndefined(),
  );
  it('is read in the household’s own order, and never the other way round', () => {
    expect(readDay('3/12/2026', { today, locale: 'en-US' })).toBe('2026-03-12');
    expect(readDay('13/12/2026', { today, locale: 'en-US' })).toBeUndefined();
    expect(readDay('3.12.', { today, locale: 'de-DE' })).toBe('2026-12-03');
  });
  it('a birthday has been', () => {
    expect(readDay('4 Jan', { ...british, year: 'last' })).toBe('2026-01-04');
    expect(readDay('25/11', { ...british, year: 'last' })).toBe('2025-11-25');
  });
  it('reads back what the pages say', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 364 }), (n) => {
        const day = addDays(today, n);
        expect(readDay(sayDayYear(day), british)).toBe(day);
        expect(readDay(sayDay(day), british)).toBe(day);
        expect(readDay(sayLongDay(day), british)).toBe(day);
      }),
    );
  });
});
