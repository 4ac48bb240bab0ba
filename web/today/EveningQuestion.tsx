import { Box, Button, Card, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { eat, eatOtherwise } from '#core/commands';
import { eatenAsPlanned } from '#core/eat';
import { isDinner } from '#core/kitchen';
import { otherwise } from '#core/session';
import type { TodayAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { NotFor } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';

/** Once an evening: as planned, or changed. Unanswered, the packs count as probably eaten tomorrow. */
export function EveningQuestion({ data, dish }: { data: TodayAnswer; dish: string }) {
  const { log } = useCommands();
  const packs = data.view.tonight.packs.filter(isDinner);
  const asPlanned = (): void => {
    const byId = new Map(packs.map((p) => [p.packId, p]));
    const meal = eatenAsPlanned(packs, data.eaters, data.view.tonight.guests, { day: data.today, meal: 'dinner' });
    void log(
      meal.map((m) => eat(byId.get(m.packId) ?? m, m.data)),
      `${dish}: eaten as planned`,
    );
  };
  return (
    <Card mb={16} data-tone="saffron" aria-label="This evening">
      <Group wrap="nowrap">
        <KindMark kind={packs[0]?.kind ?? 'meal'} size={34} />
        <Box className="grow">
          <Title order={2}>Was dinner as planned?</Title>
          <Text inherit c="dimmed">
            {dish}, for everybody at the table tonight.
          </Text>
          <NotFor says={data.view.tonight.notFor} />
        </Box>
        <Button size="lg" onClick={asPlanned}>
          Yes
        </Button>
        <Button component={Link} variant="outline" size="lg" to="/eat?log=tonight">
          Changed
        </Button>
      </Group>
    </Card>
  );
}

/** An evening of which nothing was planned is asked about too, once: it may have been fresh, out, or from the freezer after all. */
export function WhatWasIt({ data, householdId }: { data: TodayAnswer; householdId: string }) {
  const { log } = useCommands();
  return (
    <Card mb={16} data-tone="saffron" aria-label="This evening">
      <Group>
        <Box className="grow">
          <Title order={2}>What was for dinner?</Title>
          <Text inherit c="dimmed">
            Nothing was planned from the freezer.
          </Text>
        </Box>
        <Button component={Link} to="/eat?log=1">
          From the freezer
        </Button>
        {(['fresh', 'out', 'none'] as const).map((how) => (
          <Button
            key={how}
            variant="outline"
            onClick={() => void log([eatOtherwise(householdId, data.today, how, data.tableSeen)], `Dinner today: ${otherwise[how]}`)}
          >
            {how === 'fresh' ? 'Cooked fresh' : how === 'out' ? 'Eaten out' : 'None'}
          </Button>
        ))}
      </Group>
    </Card>
  );
}
