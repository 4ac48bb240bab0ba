import { Box, Button, Group, Modal, SimpleGrid, Stack, Text } from '@mantine/core';
import { useMemo } from 'react';
import type { Step, Writing } from '#core/contract';
import { compose, readAgain, type ReadingContext } from '#core/recipe';
import { Rows } from '../../ui/Rows.tsx';
import { sayStepMinutes, stepName } from './sayStep.ts';

/** Steps as a list: what each takes, when, and how long. */
function StepList({ title, steps, lineNames }: { title: string; steps: readonly Step[]; lineNames: ReadonlyMap<string, string> }) {
  const numberOf = (id: string): number => steps.findIndex((s) => s.id === id) + 1;
  return (
    <Box>
      <Text fw={700}>{title}</Text>
      <Rows>
        {steps.map((s, i) => (
          <li key={s.id} data-top>
            <Box className="grow">
              <b>{stepName(s, i)}</b>
              <Text size="sm" c="dimmed">
                {s.moment === 'eve' ? 'The evening before. ' : s.moment === 'serve' ? 'On the day of eating. ' : ''}
                {sayStepMinutes(s)}.{s.uses.length > 0 ? ` Takes ${s.uses.map((u) => lineNames.get(u.lineId) ?? '').join(', ')}.` : ''}
                {s.after.length > 0 ? ` After ${s.after.map(numberOf).join(', ')}.` : ' After nothing.'}
              </Text>
            </Box>
          </li>
        ))}
      </Rows>
    </Box>
  );
}

/** What the method would be if it were read anew, beside what it is: looked at before it is taken. */
export function ReadAgain({
  writing,
  steps,
  reading,
  onTake,
  onClose,
}: {
  writing: Writing;
  steps: readonly Step[];
  reading: ReadingContext;
  onTake: (next: Writing) => void;
  onClose: () => void;
}) {
  const next = useMemo(() => readAgain(writing), [writing]);
  const { revision } = useMemo(() => compose(next, reading), [next, reading]);
  const names = new Map(revision.lines.map((l) => [l.id, l.name]));
  const same =
    JSON.stringify(revision.steps.map((s) => [s.text, s.uses, s.after, s.waitMin])) ===
    JSON.stringify(steps.map((s) => [s.text, s.uses, s.after, s.waitMin]));
  return (
    <Modal opened onClose={onClose} title="Read the method again" size={980} closeButtonProps={{ 'aria-label': 'Close' }}>
      <Stack>
        <Text c="dimmed">
          {same
            ? 'Read anew it comes out as it is.'
            : 'What you said of a step yourself stays. Nothing changes until you take it, and Undo brings the old steps back.'}
        </Text>
        <SimpleGrid cols={{ base: 1, sm: 2 }}>
          <StepList title="As it is kept" steps={steps} lineNames={names} />
          <StepList title="Read anew" steps={revision.steps} lineNames={names} />
        </SimpleGrid>
        <Group>
          <Button disabled={same} onClick={() => onTake(next)}>
            Take the new reading
          </Button>
          <Button variant="outline" onClick={onClose}>
            Leave it as it is
          </Button>
        </Group>
      </Stack>
    </Modal>
  );
}
