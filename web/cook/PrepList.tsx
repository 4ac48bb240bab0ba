import { Box, Card, Checkbox, Group, Text, Title } from '@mantine/core';
import { memo } from 'react';
import { countOf, listOf, sayMinutes } from '#core/kitchen';
import type { TaskView } from '#core/session';
import type { SessionParts } from '#core/queries';
import { useMeasures } from '../sync/measures.ts';
import { Rows } from '../ui/Rows.tsx';
import { kindOf } from './words.ts';
import type { TaskActions } from './taskActions.ts';

/** What is to be cut, once for all dishes, in the order of the board: clean before raw; how much goes to each dish. */
export const PrepList = memo(function PrepList({ view, actions }: { view: SessionParts['cook']; actions: TaskActions }) {
  const { sayMass } = useMeasures();
  const preps = view.tasks
    .filter((t) => t.prep)
    .toSorted((a, b) => a.cleanliness - b.cleanliness || (a.startMin ?? -1) - (b.startMin ?? -1));
  if (preps.length === 0) return null;
  const bowls = preps.reduce((sum, t) => sum + (t.shares?.length ?? 1), 0);
  const saves = preps.reduce((sum, t) => sum + (t.savesMin ?? 0), 0);
  const done = (t: TaskView): boolean => t.log?.state === 'done' || t.log?.state === 'skipped';
  const eve = preps.filter((t) => t.ahead !== 'day' && !t.log);
  return (
    <Card aria-label="Prep list">
      <Group justify="space-between" align="baseline">
        <Title order={2}>Prep list</Title>
        <Text size="sm" c="dimmed">
          {countOf(bowls, 'bowl')} to set out
          {saves > 0 ? `; cutting once for all dishes saves about ${sayMinutes(saves)}` : ''}
        </Text>
      </Group>
      {eve.length > 0 && (
        <Text size="sm" mt={4}>
          May be cut the evening before: {listOf([...new Set(eve.map((t) => t.prep?.name ?? t.title))])}. Covered, in the fridge at 4 °C or
          under
          {eve.some((t) => t.cleanliness >= 5) ? ', raw meat and fish apart and lowest' : ''}
          {eve.some((t) => t.prep?.ingredientId === 'garlic') ? '; garlic dry, never under oil' : ''}.
        </Text>
      )}
      <Rows data-columns>
        {preps.map((t, i) => (
          <Box component="li" key={t.id} c={done(t) ? 'dimmed' : undefined}>
            <Checkbox
              aria-label={`${t.title}: prepared`}
              checked={t.log?.state === 'done'}
              onChange={() => (done(t) ? actions.reopen(t) : actions.done(t))}
            />
            <Box className="grow">
              <div style={done(t) ? { textDecoration: 'line-through' } : undefined}>
                {t.title}, <b>{sayMass(Math.round(t.prep?.massG ?? 0))}</b>
                {t.pieces !== undefined && `, about ${t.pieces}`}
                {t.bowl &&
                  t.bowl.loads > 1 &&
                  `; in the ${t.bowl.name.toLowerCase()} ${t.bowl.loads} loads of ${sayMass(Math.round(t.bowl.eachG / 10) * 10)}`}
              </div>
              <Text component="div" size="xs" c="dimmed">
                {(t.shares ?? []).map((s, k) => (
                  <span key={s.batchId}>
                    {k > 0 && ', '}
                    <Text span inherit c={`var(--kind-${kindOf(view, { ...t, batchIds: [s.batchId] })})`} fw={600}>
                      {sayMass(Math.round(s.massG))}
                    </Text>{' '}
                    {s.recipe}
                  </span>
                ))}
                {i > 0 && t.cleanliness >= 5 && preps[i - 1]!.cleanliness < 5
                  ? '. Raw: last on the board, then wash it with detergent.'
                  : ''}
                {t.holds && '. Not for everybody at the table: after the rest on the board.'}
                {t.ahead === 'water' && !done(t) && '. The evening before: under cold water, in the fridge.'}
                {t.ahead === 'day' && !done(t) && '. Only on the day: it browns or wilts.'}
              </Text>
            </Box>
            <Text span inherit c="dimmed">
              {sayMinutes(t.handsOnMin)}
            </Text>
          </Box>
        ))}
      </Rows>
    </Card>
  );
});
