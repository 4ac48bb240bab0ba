import { describe, expect, it } from 'vitest';
import { readCalendar } from './calendar.ts';

const file = (...events: string[]): string =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//test//EN',
    ...events.flatMap((e) => ['BEGIN:VEVENT', ...e.split('|'), 'END:VEVENT']),
    'END:VCALENDAR',
    '',
  ].join('\r\n');
const read = (...events: string[]) => {
  const r = readCalendar(file(...events), '2026-11-24', 'Europe/London');
  if (!r.ok) throw new Error(r.why);
  return r.read;
};

describe('a calendar file as days away', () => {
  it('takes whole days, the last one included', () =>
    expect(read('UID:a|SUMMARY:Aboard|DTSTART;VALUE=DATE:20261206|DTEND;VALUE=DATE:20261220').entries).toEqual([
      { uid: 'a', label: 'Aboard', from: '2026-12-06', to: '2026-12-19' },
    ]));
  it('takes one day without an end', () =>
    expect(read('UID:a|SUMMARY:Day out|DTSTART;VALUE=DATE:20261206').entries[0]).toMatchObject({ from: '2026-12-06', to: '2026-12-06' }));
  it('takes the day in the household’s zone for what has hours', () =>
    expect(read('UID:a|SUMMARY:Trip|DTSTART:20260630T233000Z|DTEND:20261202T100000Z').entries[0]).toMatchObject({
      from: '2026-07-01',
      to: '2026-12-02',
    }));
  it('follows repeats, without the excepted ones', () => {
    const r = read(
      'UID:w|SUMMARY:Away|DTSTART;VALUE=DATE:20261130|DTEND;VALUE=DATE:20261202|RRULE:FREQ=WEEKLY;COUNT=4|EXDATE;VALUE=DATE:20261207',
    );
    expect(r.entries.map((e) => e.from)).toEqual(['2026-11-30', '2026-12-14', '2026-12-21']);
    expect(new Set(r.entries.map((e) => e.uid)).size).toBe(3);
  });
  it('does not follow an endless repeat beyond a year', () =>
    expect(read('UID:w|SUMMARY:Away|DTSTART;VALUE=DATE:20200101|RRULE:FREQ=DAILY').entries.length).toBeLessThan(420));
  it.each(['19990101', '20101201', '20240229'])('takes what has repeated every day since %s as away now, not as over', (since) => {
    const { entries, leftOut } = read(`UID:o|SUMMARY:Away|DTSTART;VALUE=DATE:${since}|RRULE:FREQ=DAILY`);
    expect(leftOut).toEqual([]);
    expect(entries[0]?.from).toBe('2026-11-24');
  });
  it.each([
    ['an appointment', 'UID:a|SUMMARY:Dentist|DTSTART:20261206T090000Z|DTEND:20261206T100000Z', 'short'],
    ['what is over', 'UID:a|SUMMARY:Summer|DTSTART;VALUE=DATE:20260701|DTEND;VALUE=DATE:20260710', 'past'],
    ['what was called off', 'UID:a|SUMMARY:Fair|STATUS:CANCELLED|DTSTART;VALUE=DATE:20261206', 'cancelled'],
  ])('names %s and leaves it out', (_, event, why) => expect(read(event)).toMatchObject({ entries: [], leftOut: [{ why }] }));
  it.each([
    ['a recipe', '{"@type":"Recipe"}'],
    ['half a file', 'BEGIN:VCALENDAR\r\nBEGIN:VEV'],
    ['nothing', ''],
  ])('refuses %s in words', (_, text) => expect(readCalendar(text, '2026-11-24', 'UTC')).toMatchObject({ ok: false }));
});
