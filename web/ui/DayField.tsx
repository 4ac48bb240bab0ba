import { DateInput } from '@mantine/dates';
import '@mantine/dates/styles.layer.css';
import 'dayjs/locale/en-gb';
import { useState } from 'react';
import { readDay, sayDayYear, type DayReading } from '#core/kitchen';
import { selectFrame } from '../sync/selectors.ts';
import { useAppSelector } from '../sync/store.ts';

interface Props {
  label: string;
  /** `YYYY-MM-DD`; empty while no day is chosen. */
  value: string;
  onChange: (day: string) => void;
  /** A day without its year is the next one, or the last one. */
  year?: DayReading['year'];
  w?: number;
  /** Whether there may be none. */
  clearable?: boolean;
  /** What is wrong with it beside not being a day. */
  error?: string | undefined;
  'data-path'?: string | undefined;
}

const names = { nextMonth: 'Next month', previousMonth: 'Previous month', nextYear: 'Next year', previousYear: 'Previous year' };

/** A day, typed in the household's own order or chosen from a calendar; what is no day stays as it is typed, and says so. */
export function DayField({ label, value, onChange, year = 'next', w = 170, clearable = true, error, 'data-path': path }: Props) {
  const frame = useAppSelector(selectFrame);
  const [typed, setTyped] = useState('');
  const [bad, setBad] = useState(false);
  const [open, setOpen] = useState(false);
  const read = (text: string): string | undefined =>
    readDay(text, { today: frame?.today ?? '2026-01-01', locale: frame?.household.locale ?? 'en-GB', year });
  const noDay = typed.trim() !== '' && read(typed) === undefined;
  return (
    <DateInput
      label={label}
      w={w}
      value={value === '' ? null : value}
      onChange={(day) => {
        setTyped('');
        setBad(false);
        onChange(day ?? '');
      }}
      onInput={(e) => setTyped(e.currentTarget.value)}
      onBlur={() => setBad(noDay)}
      error={bad ? 'Not a day: type it as 3 Dec 2026' : error}
      data-path={path}
      dateParser={(text) => read(text) ?? null}
      valueFormat={sayDayYear}
      // what is a day is shown in full; what is none stays as it was typed
      fixOnBlur={!noDay}
      clearable={clearable}
      clearButtonProps={{ 'aria-label': `No ${label.toLowerCase()}` }}
      locale="en-gb"
      weekendDays={[]}
      hideOutsideDates
      ariaLabels={names}
      // the first Escape closes the calendar alone, not the sheet it stands in
      data-mantine-stop-propagation={open || undefined}
      popoverProps={{ onOpen: () => setOpen(true), onClose: () => setOpen(false), onChange: setOpen }}
    />
  );
}
