import { Button, Group, Modal, Text } from '@mantine/core';
import { sayMinutes } from '#core/kitchen';
import { leftOf, shortTitle } from '#core/session';
import type { TaskActions } from './taskActions.ts';

/** Asks once whether a clock that has only just begun is really over. */
export function DoneEarly({ actions, now }: { actions: TaskActions; now: string }) {
  const { early, answerEarly } = actions;
  if (!early) return null;
  return (
    <Modal
      opened
      onClose={() => answerEarly(false)}
      title={`${shortTitle(early.title)}: done already?`}
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      <Text mb={14}>
        Its clock has {sayMinutes(Math.max(1, leftOf(early, now)))} left of{' '}
        {sayMinutes(early.handsOnMin + early.waitMin + (early.log?.extraMin ?? 0))}.
      </Text>
      <Group>
        <Button size="lg" data-autofocus onClick={() => answerEarly(false)}>
          Let it run
        </Button>
        <Button size="lg" variant="outline" onClick={() => answerEarly(true)}>
          It is done
        </Button>
      </Group>
    </Modal>
  );
}
