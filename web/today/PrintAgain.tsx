import { Badge, Box, Card, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { countOf } from '#core/kitchen';
import type { TodayAnswer } from '#core/queries';
import { NotFor } from '../ui/ui.tsx';
import { Rows } from '../ui/Rows.tsx';

/** Packs whose label no longer tells the truth about allergies, a dish to a row; each code leads to its label. */
export function PrintAgain({ count, packs }: TodayAnswer['printAgain']) {
  if (count === 0) return null;
  const dishes = new Map<string, TodayAnswer['printAgain']['packs']>();
  for (const p of packs) {
    const key = `${p.name} ${p.notFor.join()}`;
    dishes.set(key, [...(dishes.get(key) ?? []), p]);
  }
  return (
    <Card mb={16} aria-label="Print again" data-tone="tomato">
      <Title order={2}>{countOf(count, 'label')} to print again</Title>
      <Text inherit c="dimmed">
        What is known of allergies has changed since they were printed. Do not serve by these labels.
      </Text>
      <Rows>
        {[...dishes].map(([key, same]) => (
          <li key={key}>
            <Box className="grow">
              <b>{same[0]?.name}</b>
              <NotFor says={same[0]?.notFor ?? []} />
            </Box>
            <Group component="span" gap={6}>
              {same.map((p) => (
                <Badge
                  key={p.packId}
                  color="tomato"
                  component={Link}
                  to={`/p/${p.code}`}
                  aria-label={`Print the label of ${p.name}, ${p.code}, again`}
                >
                  {p.code}
                </Badge>
              ))}
            </Group>
          </li>
        ))}
      </Rows>
    </Card>
  );
}
