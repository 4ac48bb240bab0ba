import { useRef, useState } from 'react';
import type { Presence } from '#core/contract';
import { countOf, daysBetween, sayDayYear } from '#core/kitchen';
import type { CalendarAnswer } from '#core/queries';
import { sayError, useReadCalendarMutation } from '../sync/api.ts';
import { notReadable } from '../ui/readable.ts';
import { Field, Toggle } from './fields.tsx';

type Away = Presence['away'];
const whyNot: Readonly<Record<CalendarAnswer['leftOut'][number]['why'], string>> = {
  short: 'shorter than a day',
  past: 'over',
  noStart: 'no date',
  cancelled: 'called off',
  unread: 'with a date or rule that cannot be read',
};

const span = (a: { from: string; to: string }): string =>
  a.from === a.to ? sayDayYear(a.from) : `${sayDayYear(a.from)} to ${sayDayYear(a.to)}`;

/** Entries of a calendar file: which of them mean away is the cook's to say. */
function FromFile({ read, onTake, onClose }: { read: CalendarAnswer; onTake: (away: Away) => void; onClose: () => void }) {
  const [off, setOff] = useState<readonly string[]>([]);
  const taken = read.entries.filter((e) => !off.includes(e.uid));
  return (
    <div className="note">
      <b>{countOf(read.entries.length, 'entry', 'entries')} of whole days</b>
      <div className="chips" style={{ margin: '8px 0', maxHeight: 190, overflow: 'auto' }}>
        {read.entries.map((e) => (
          <Toggle key={e.uid} on={!off.includes(e.uid)} onChange={(on) => setOff(on ? off.filter((u) => u !== e.uid) : [...off, e.uid])}>
            {e.label}, {span(e)}
          </Toggle>
        ))}
      </div>
      {read.leftOut.length > 0 && (
        <p className="sub">
          Left out:{' '}
          {read.leftOut
            .slice(0, 12)
            .map((l) => `${l.label} (${whyNot[l.why]})`)
            .join(', ')}
          {read.leftOut.length > 12 ? ` and ${read.leftOut.length - 12} more` : ''}.
        </p>
      )}
      <div className="row">
        <button
          type="button"
          className="btn s"
          disabled={taken.length === 0}
          onClick={() => onTake(taken.map(({ uid, from, to, label }) => ({ uid, from, to, label })))}
        >
          Away on {taken.length === read.entries.length ? 'all of these' : 'the chosen ones'}
        </button>
        <button type="button" className="link" onClick={onClose}>
          none
        </button>
      </div>
    </div>
  );
}

/** Days away: typed, or read from a calendar file; reading the same file again replaces its own entries. */
export function AwayDays({ away, today, onChange }: { away: Away; today: string; onChange: (away: Away) => void }) {
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [read, setRead] = useState<CalendarAnswer>();
  const [problem, setProblem] = useState('');
  const [readCalendar] = useReadCalendarMutation();
  const file = useRef<HTMLInputElement>(null);
  const last = to || from;
  const bad =
    from !== '' && last < from
      ? 'The last day comes after the first.'
      : from !== '' && daysBetween(from, last) > 400
        ? 'More than 400 days: check the year.'
        : '';
  const shown = away.map((a, i) => ({ a, i })).filter(({ a }) => a.to >= today);
  const open = async (f: File): Promise<void> => {
    const tooLarge = notReadable(f);
    setProblem(tooLarge ?? '');
    if (tooLarge) return;
    const answer = await readCalendar({ text: await f.text(), fileName: f.name });
    if ('data' in answer && answer.data) setRead(answer.data);
    else setProblem(sayError(answer.error).message);
    if (file.current) file.current.value = '';
  };
  return (
    <div>
      <span className="lab">Days away</span>
      {shown.length > 0 && (
        <ul className="rows" style={{ maxHeight: 170, overflow: 'auto' }}>
          {shown
            .toSorted((x, y) => x.a.from.localeCompare(y.a.from))
            .map(({ a, i }) => (
              <li key={`${a.from}${a.uid ?? i}`}>
                <span className="grow">
                  {span(a)} <span className="sub">{a.label}</span>
                </span>
                <button
                  type="button"
                  className="link s"
                  onClick={() => onChange(away.filter((_, n) => n !== i))}
                  aria-label={`Not away ${span(a)}`}
                >
                  take out
                </button>
              </li>
            ))}
        </ul>
      )}
      <div className="row wrap" style={{ alignItems: 'flex-end' }}>
        <Field label="From" type="date" width={160} value={from} onChange={setFrom} />
        <Field label="to, that day too" type="date" width={160} value={to} onChange={setTo} />
        <button
          type="button"
          className="btn o s"
          disabled={from === '' || bad !== ''}
          onClick={() => {
            onChange([...away, { from, to: last }]);
            setFrom('');
            setTo('');
          }}
        >
          Add
        </button>
        <button type="button" className="link" onClick={() => file.current?.click()}>
          from a calendar file
        </button>
        <input
          ref={file}
          type="file"
          accept=".ics,text/calendar"
          aria-label="Calendar file"
          className="sr"
          tabIndex={-1}
          onChange={(e) => {
            const f = e.currentTarget.files?.[0];
            if (f) void open(f);
          }}
        />
      </div>
      {(bad || problem) && (
        <p className="note bad" role="alert">
          {bad || problem}
        </p>
      )}
      {read && (
        <FromFile
          read={read}
          onClose={() => setRead(undefined)}
          onTake={(entries) => {
            const uids = new Set(entries.map((e) => e.uid));
            onChange([...away.filter((a) => !a.uid || !uids.has(a.uid)), ...entries].slice(0, 400));
            setRead(undefined);
          }}
        />
      )}
    </div>
  );
}
