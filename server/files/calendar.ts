import ICAL from 'ical.js';
import type { Day } from '#core/contract';
import { addDays, dayOf, daysBetween } from '#core/kitchen';

/** An entry of a calendar file that covers whole days. */
export interface CalendarEntry {
  uid: string;
  from: Day;
  /** Last day, included. */
  to: Day;
  label: string;
}

export interface CalendarRead {
  entries: CalendarEntry[];
  /** Entries that are no days away, by name, with why. */
  leftOut: { label: string; why: 'short' | 'past' | 'noStart' | 'cancelled' | 'unread' }[];
}

export type CalendarResult = { ok: true; read: CalendarRead } | { ok: false; why: 'notCalendar' | 'empty'; detail: string };

/** A repeated entry is followed this far; nobody plans meals beyond. */
const horizonDays = 400;
/** More repetitions than this are not looked at: sixty years of every day, and a second of what repeats each second. */
const mostTimes = 22_000;
/** More days away than this of one entry are not kept. */
const mostFound = 400;
/** A timed entry this long is a day away rather than an appointment. */
const dayMs = 20 * 3600_000;

const pad = (n: number): string => String(n).padStart(2, '0');
const dayText = (t: ICAL.Time): Day => `${t.year}-${pad(t.month)}-${pad(t.day)}`;

/** First and last day of one occurrence, in the household's zone; undefined for what is shorter than a day. */
function daysOf(start: ICAL.Time, end: ICAL.Time, zone: string): { from: Day; to: Day } | undefined {
  if (start.isDate) {
    // the end of a whole-day entry is the first day that is free again
    const last = end.compare(start) > 0 ? addDays(dayText(end), -1) : dayText(start);
    return { from: dayText(start), to: last };
  }
  const [a, b] = [start.toJSDate(), end.toJSDate()];
  if (b.getTime() - a.getTime() < dayMs) return undefined;
  return { from: dayOf(a.toISOString(), zone), to: dayOf(new Date(b.getTime() - 1).toISOString(), zone) };
}

function occurrences(event: ICAL.Event, from: Day, until: Day, zone: string): { from: Day; to: Day }[] | 'short' | 'past' {
  if (!event.isRecurring()) {
    const days = daysOf(event.startDate, event.endDate, zone);
    if (!days) return 'short';
    return days.to < from ? 'past' : [days];
  }
  const found: { from: Day; to: Day }[] = [];
  let short = false;
  const times = event.iterator();
  for (let n = 0; n < mostTimes; n += 1) {
    const next = times.next() as ICAL.Time | null;
    if (!next || dayText(next) > until) break;
    const one = event.getOccurrenceDetails(next);
    const days = daysOf(one.startDate, one.endDate, zone);
    if (!days) short = true;
    else if (days.to >= from) found.push(days);
    if (found.length >= mostFound) break;
  }
  return found.length > 0 ? found : short ? 'short' : 'past';
}

/** What a part of a file says; a rule or a date that makes no sense spoils its own entry only. */
function readable<T>(make: () => T): T | 'unread' {
  try {
    return make();
  } catch {
    return 'unread';
  }
}

/**
 * Reads an iCalendar file into days away: whole-day entries and those of 20 hours and more, repeated ones a year ahead.
 * Nothing is dropped: what is no day away is named with the reason.
 * @param from the first day that still matters
 */
export function readCalendar(text: string, from: Day, zone: string): CalendarResult {
  if (!/BEGIN:VCALENDAR/i.test(text)) return { ok: false, why: 'notCalendar', detail: 'no calendar in it' };
  let root: ICAL.Component;
  try {
    root = new ICAL.Component(ICAL.parse(text) as ConstructorParameters<typeof ICAL.Component>[0]);
  } catch (error) {
    return { ok: false, why: 'notCalendar', detail: error instanceof Error ? error.message.slice(0, 120) : 'not readable' };
  }
  const until = addDays(from, horizonDays);
  const entries: CalendarEntry[] = [];
  const leftOut: CalendarRead['leftOut'] = [];
  for (const component of root.getAllSubcomponents('vevent')) {
    const event = new ICAL.Event(component);
    const label = (event.summary || 'no title').slice(0, 80);
    if (!component.hasProperty('dtstart')) leftOut.push({ label, why: 'noStart' });
    else if (component.getFirstPropertyValue('status') === 'CANCELLED') leftOut.push({ label, why: 'cancelled' });
    else {
      const found = readable(() => occurrences(event, from, until, zone));
      if (typeof found === 'string') leftOut.push({ label, why: found });
      else
        for (const [i, days] of found.entries())
          if (daysBetween(days.from, days.to) >= 0 && days.from <= until)
            entries.push({ uid: `${event.uid || label}${found.length > 1 ? `#${i}` : ''}`.slice(0, 200), ...days, label });
    }
  }
  if (entries.length === 0 && leftOut.length === 0) return { ok: false, why: 'empty', detail: 'no entries' };
  return { ok: true, read: { entries: entries.toSorted((a, b) => a.from.localeCompare(b.from)), leftOut } };
}
