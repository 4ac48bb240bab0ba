import { Anchor, Button, FileButton, Group, Text } from '@mantine/core';
import { useRef, useState } from 'react';
import type { Presence, Typed } from '#core/contract';
import { countOf, daysBetween, sayDayYear } from '#core/kitchen';
import type { CalendarAnswer } from '#core/queries';
import { sayError, useReadCalendarMutation } from '../sync/api.ts';
import { notReadable } from '../ui/readable.ts';
import { Toggle } from '../form/fields.tsx';
import { Note } from '../ui/Note.tsx';
import { Rows } from '../ui/Rows.tsx';
import { DayField } from '../ui/DayField.tsx';

type Away = Typed<Presence>['away'];
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
    <Note>
      <b>{countOf(read.entries.length, 'entry', 'entries')} of whole days</b>
      <Group gap={8} my={8} className="chips" style={{ maxHeight: 190, overflow: 'auto' }}>
        {read.entries.map((e) => (
          <Toggle key={e.uid} value={!off.includes(e.uid)} onChange={(on) => setOff(on ? off.filter((u) => u !== e.uid) : [...off, e.uid])}>
            {e.label}, {span(e)}
          </Toggle>
        ))}
      </Group>
      {read.leftOut.length > 0 && (
        <Text size="xs" c="dimmed">
          Left out:{' '}
          {read.leftOut
            .slice(0, 12)
            .map((l) => `${l.label} (${whyNot[l.why]})`)
            .join(', ')}
          {read.leftOut.length > 12 ? ` and ${read.leftOut.length - 12} more` : ''}.
        </Text>
      )}
      <Group wrap="nowrap">
        <Button
          size="sm"
          disabled={taken.length === 0}
          onClick={() => onTake(taken.map(({ uid, from, to, label }) => ({ uid, from, to, label })))}
        >
          Away on {taken.length === read.entries.length ? 'all of these' : 'the chosen ones'}
        </Button>
        <Anchor component="button" type="button" onClick={onClose}>
          none
        </Anchor>
      </Group>
    </Note>
  );
}

/** Days away: typed, or read from a calendar file; reading the same file again replaces its own entries. */
export function AwayDays({ away, today, onChange }: { away: Away; today: string; onChange: (away: Away) => void }) {
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [read, setRead] = useState<CalendarAnswer>();
  const [problem, setProblem] = useState('');
  const [readCalendar] = useReadCalendarMutation();
  const taken = useRef<() => void>(null);
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
    taken.current?.();
  };
  return (
    <div>
      <Text fz={15} fw={600} mb={3}>
        Days away
      </Text>
      {shown.length > 0 && (
        <Rows mah={170}>
          {shown
            .toSorted((x, y) => x.a.from.localeCompare(y.a.from))
            .map(({ a, i }) => (
              <li key={`${a.from}${a.uid || i}`}>
                <Text className="grow" span inherit>
                  {span(a)}{' '}
                  <Text span size="xs" c="dimmed">
                    {a.label}
                  </Text>
                </Text>
                <Anchor
                  component="button"
                  size="xs"
                  type="button"
                  onClick={() => onChange(away.filter((_, n) => n !== i))}
                  aria-label={`Not away ${span(a)}`}
                >
                  take out
                </Anchor>
              </li>
            ))}
        </Rows>
      )}
      <Group align="flex-end">
        <DayField label="From" value={from} onChange={setFrom} />
        <DayField label="to, that day too" value={to} onChange={setTo} />
        <Button
          variant="outline"
          size="sm"
          disabled={from === '' || bad !== ''}
          onClick={() => {
            onChange([...away, { from, to: last, label: '', uid: '' }]);
            setFrom('');
            setTo('');
          }}
        >
          Add
        </Button>
        <FileButton
          resetRef={taken}
          accept=".ics,text/calendar"
          inputProps={{ 'aria-label': 'Calendar file' }}
          onChange={(f) => f && void open(f)}
        >
          {(props) => (
            <Anchor component="button" type="button" {...props}>
              from a calendar file
            </Anchor>
          )}
        </FileButton>
      </Group>
      {(bad || problem) && (
        <Note tone="bad" role="alert">
          {bad || problem}
        </Note>
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
