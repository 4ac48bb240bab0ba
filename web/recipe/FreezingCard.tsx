import { Badge, Box, Card, Text, Title } from '@mantine/core';
import { memo } from 'react';
import type { FreezeFlag } from '#core/recipe';
import { capital } from '#core/kitchen';
import { Why } from '../ui/ui.tsx';
import { Rows } from '../ui/Rows.tsx';

const placeWords: Readonly<Record<FreezeFlag['place'], string>> = {
  inside: 'freeze it with the dish',
  onTheDay: 'add it on the day',
  beside: 'serve it beside',
};

/** What freezes badly or changes, each with a way round. */
export const FreezingCard = memo(function FreezingCard({ flags, keeps }: { flags: readonly FreezeFlag[]; keeps: string }) {
  return (
    <Card data-later aria-label="Freezing">
      <Title order={2}>How it freezes</Title>
      <p>Keeps {keeps}.</p>
      {flags.length === 0 ? (
        <Text size="xs" c="dimmed">
          Nothing in it is known to freeze badly.
        </Text>
      ) : (
        <Rows mt={6}>
          {flags
            .toSorted((a, b) => Number(b.fitness === 'badly') - Number(a.fitness === 'badly'))
            .map((f) => (
              <li key={f.lineId}>
                <Box className="grow">
                  <b>{capital(f.name)}</b>{' '}
                  <Badge color={f.fitness === 'badly' ? 'tomato' : 'saffron'}>
                    {f.fitness === 'badly' ? placeWords[f.place] : 'changes'}
                  </Badge>
                  <Text component="div" c="dimmed" fz={15}>
                    {capital(f.what)}. {capital(f.advice)}.
                  </Text>
                </Box>
                <Why label={`freezing ${f.name}`}>
                  About quality, not safety: frozen steadily it does not go off, it changes. Source: {f.source}.
                </Why>
              </li>
            ))}
        </Rows>
      )}
    </Card>
  );
});
