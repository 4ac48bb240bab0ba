import { Card, Group, Text } from '@mantine/core';
import { sayDay, sayPortions } from '#core/kitchen';
import type { Supply } from '#core/session';
import { Why } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';

export function SupplyCard({
  supply,
  mark,
  name,
  today,
}: {
  supply: Supply;
  today: string;
  mark: 'meal' | 'puree' | 'broth';
  name: string;
}) {
  const r = supply.runway;
  return (
    <Card aria-label={name}>
      <Group justify="space-between" align="baseline" mb={8}>
        <Group wrap="nowrap" component="span" gap={8}>
          <KindMark kind={mark} size={20} />
          <span>{name}</span>
        </Group>
        <Why label={name}>
          {sayPortions(r.left)} units in store. Eaten so far: {Math.round(r.rate.k * 100)} % of what was asked for ({r.rate.loggedDays} days
          with a log, the last four weeks weigh most). The dates are the 10, 50 and 90 % points of what may come.
        </Why>
      </Group>
      <div>
        <Text span variant="big">
          {supply.count}
        </Text>
        <Text span variant="unit">
          {supply.unit}
        </Text>
      </div>
      <Text c="dimmed" fz={15}>
        {supply.says}
        {r.cookBy && r.parPortions > 0 ? (r.cookBy > today ? `. Cook by ${sayDay(r.cookBy)}` : '. Time to cook again') : ''}
      </Text>
    </Card>
  );
}
