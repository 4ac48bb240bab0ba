import { Anchor, Box, Card, Checkbox, Text, Title } from '@mantine/core';
import { memo } from 'react';
import { listOf, sayMinutes } from '#core/kitchen';
import type { TaskView } from '#core/session';
import type { SessionParts } from '#core/queries';
import { Columns } from '../ui/Columns.tsx';
import { Rows } from '../ui/Rows.tsx';
import { kindOf, dishOf } from './words.ts';
import type { TaskActions } from './taskActions.ts';

interface Props {
  view: SessionParts['cook'];
  at: (min: number) => string;
  actions: TaskActions;
}

/** One task of a list, with its number in the score. */
function TaskRow({ task: t, n, view, at, actions, names }: Props & { task: TaskView; n: number; names: ReadonlyMap<string, string> }) {
  const state = t.log?.state;
  const over = state === 'done' || state === 'skipped';
  const after = t.after.map((a) => (names.get(a) ?? '').split(/[.,;:]/)[0]).slice(0, 2);
  return (
    <Box component="li" c={over ? 'dimmed' : undefined}>
      <Checkbox
        aria-label={`${t.title}: done`}
        checked={state === 'done'}
        onChange={() => (state === 'done' ? actions.reopen(t) : actions.done(t))}
      />
      <Text span inherit fw={700} miw={24} c={`var(--kind-${kindOf(view, t)})`}>
        {n}
      </Text>
      <Box className="grow">
        <div style={over ? { textDecoration: 'line-through' } : undefined}>{t.title}</div>
        <Text component="div" size="xs" c="dimmed">
          {t.detail || dishOf(view, t)}
          {t.standsIn && !over ? `; ${listOf(t.standsIn)}` : ''}
          {state === 'skipped' ? ' (skipped)' : ''}
          {after.length > 0 && !state ? `; after: ${after.join(', ')}` : ''}
          {t.washMin !== undefined && !state ? `; first wash what it is done on, ${sayMinutes(t.washMin)}` : ''}
          {t.anotherDay ? '; another day, after the wait' : ''}
        </Text>
      </Box>
      {over && (
        <Anchor component="button" type="button" size="xs" aria-label={`Take up again: ${t.title}`} onClick={() => actions.reopen(t)}>
          take up again
        </Anchor>
      )}
      <Text span inherit c="dimmed" ta="right">
        {sayMinutes(t.handsOnMin)}
        {t.startMin !== undefined && !state ? <b> {at(t.startMin)}</b> : null}
      </Text>
    </Box>
  );
}

/** Each cook's work in order, numbered as in the score. */
export const TaskLists = memo(function TaskLists(props: Props) {
  const { view } = props;
  const { cooks } = view.session;
  const first = cooks[0]?.id;
  const names = new Map(view.tasks.map((t) => [t.id, t.title]));
  return (
    <Card aria-label="All tasks">
      <Columns parts={cooks.length > 1 ? [1, 1] : [1]} align="start" gap={28}>
        {cooks.map(({ id, name }) => {
          const mine = view.tasks.filter((t) => (t.cookId ?? first) === id);
          const rests = view.rests.filter((r) => r.cookId === id).toSorted((a, b) => a.startMin - b.startMin);
          return (
            <div key={id}>
              <Title order={2}>{cooks.length > 1 ? name : 'In order'}</Title>
              {rests.length > 0 && (
                <Text size="sm" c="dimmed">
                  Breaks: {rests.map((r) => `${r.name} ${props.at(r.startMin)} to ${props.at(r.endMin)}`).join(', ')}
                </Text>
              )}
              {mine.length === 0 && (
                <Text inherit c="dimmed">
                  Nothing yet.
                </Text>
              )}
              <Rows component="ol">
                {mine.map((t, i) => (
                  <TaskRow key={t.id} task={t} n={i + 1} names={names} {...props} />
                ))}
              </Rows>
            </div>
          );
        })}
      </Columns>
    </Card>
  );
});
