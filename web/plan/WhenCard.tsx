import { Card, Checkbox, Stack, TextInput } from '@mantine/core';
import type { Session } from '#core/contract';
import { daysFrom, sayWeekday } from '#core/kitchen';
import { Field, Pick } from '../form/fields.tsx';
import { Columns } from '../ui/Columns.tsx';
import { readBreaks, readQuiet, type PlanDraft } from './planDraft.ts';

const halfHours = Array.from({ length: 34 }, (_, i) => `${String(5 + Math.floor(i / 2)).padStart(2, '0')}:${i % 2 === 0 ? '00' : '30'}`);
/** Three months ahead. */
const daysAhead = 84;

/** How often hands are called away, by how many times as long the work takes then (kitchen estimate: 1.6 with children about). */
const calls: readonly (readonly [string, string])[] = [
  ['1', 'hardly'],
  ['1.3', 'now and then, 1.3 times as long'],
  ['1.6', 'children about, 1.6 times as long'],
];

/** A list of choices with the one that stands, should it be none of them. */
const withOwn = (list: readonly (readonly [string, string])[], own: string, says = own): readonly (readonly [string, string])[] =>
  list.some(([value]) => value === own) ? list : [[own, says], ...list];

/** When a session is, who is there, when hands and machines rest, and what is asked of the order of work. */
export function WhenCard({
  plan,
  session,
  today,
  edit,
}: {
  plan: PlanDraft;
  /** What the plan comes to as it stands. */
  session: Session;
  today: string;
  edit: (plan: PlanDraft, what?: string) => void;
}) {
  const times = halfHours.map((t) => [t, t] as const);
  const days = daysFrom(today, daysAhead).map((d) => [d, sayWeekday(d)] as const);
  const badBreaks = readBreaks(plan.breaks, session.cooks).bad;
  return (
    <Card aria-label="When">
      <Stack gap={12}>
        <Columns parts={['minmax(0, 1fr)', 'auto', 'auto', 'auto']} align="end" gap={14}>
          <TextInput label="Name" value={plan.name} onChange={(e) => edit({ ...plan, name: e.currentTarget.value }, 'name')} />
          <Pick
            label="Day"
            least={128}
            options={withOwn(days, plan.day, sayWeekday(plan.day))}
            value={plan.day}
            onChange={(day) => edit({ ...plan, day })}
          />
          <Pick
            label="Start"
            least={92}
            options={withOwn(times, plan.startAt)}
            value={plan.startAt}
            onChange={(startAt) => edit({ ...plan, startAt })}
          />
          <Pick
            label="Done by"
            options={withOwn([['', 'when it is done'], ...times], plan.finishBy)}
            value={plan.finishBy}
            onChange={(finishBy) => edit({ ...plan, finishBy })}
          />
        </Columns>
        <Columns parts={[1.7, 1]} align="end" gap={14}>
          <Field
            label="Who cooks"
            unit="hours follow: Ana 10:30-13:00"
            value={plan.cooks}
            onChange={(cooks) => edit({ ...plan, cooks }, 'cooks')}
          />
          <Field
            label="Quiet hours"
            unit="such as 13:00-14:30"
            value={plan.quiet}
            error={
              plan.quiet.trim() === '' || readQuiet(plan.quiet)
                ? undefined
                : 'From and until, such as 13:00-14:30. Nothing is kept quiet yet.'
            }
            onChange={(quiet) => edit({ ...plan, quiet }, 'quiet')}
          />
        </Columns>
        <Columns parts={[1.7, 1]} align="end" gap={14}>
          <Field
            label="Breaks"
            unit="Lunch 12:30-13:00, Feed the baby 12:00-12:20 Ana"
            value={plan.breaks}
            error={
              badBreaks.length === 0
                ? undefined
                : `“${badBreaks.join('”, “')}”: from and until, such as 12:30-13:00, and behind them nobody or one who cooks. The others are kept.`
            }
            onChange={(breaks) => edit({ ...plan, breaks }, 'breaks')}
          />
          <Pick
            label="Called away"
            options={withOwn(calls, plan.interruptions, `${plan.interruptions} times as long`)}
            value={plan.interruptions}
            onChange={(interruptions) => edit({ ...plan, interruptions })}
          />
        </Columns>
        <Checkbox
          label="Raw meat and fish last on the boards"
          checked={plan.cleanFirst}
          onChange={(e) => edit({ ...plan, cleanFirst: e.currentTarget.checked })}
        />
      </Stack>
    </Card>
  );
}
