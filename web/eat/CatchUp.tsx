import { Button, Card, Group, Text, Title } from '@mantine/core';
import { sayWeekday } from '#core/kitchen';
import type { EatAnswer } from '#core/queries';

/** Evenings lately of which nothing was written down: a forgotten dinner is logged for its own day. */
export function CatchUp({ data, onLog }: { data: EatAnswer; onLog: (day: string) => void }) {
  if (data.quiet.length === 0) return null;
  return (
    <Card aria-label="Forgot to log">
      <Title order={2}>Forgot to log?</Title>
      <Text c="dimmed" fz={15} mb={8}>
        Nothing is written down for these evenings. What was fresh or out can be said too, and is not asked again.
      </Text>
      <Group gap={8} className="chips wrapchips">
        {data.quiet.toReversed().map((day) => (
          <Button variant="chip" key={day} onClick={() => onLog(day)}>
            {sayWeekday(day)}
          </Button>
        ))}
      </Group>
    </Card>
  );
}
