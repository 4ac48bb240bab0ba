import { Box, Card, Text, Title } from '@mantine/core';
import { memo } from 'react';
import type { Revision } from '#core/contract';
import { sayMinutes } from '#core/kitchen';
import type { Passage } from '#core/recipe';
import { Rows } from '../ui/Rows.tsx';

/** The method, with hands and waiting at this size. */
export const StepsCard = memo(function StepsCard({ revision, passage }: { revision: Revision; passage: Passage | undefined }) {
  return (
    <Card data-later aria-label="Steps" id="method">
      <Title order={2}>Steps</Title>
      <Rows component="ol">
        {revision.steps.map((s, i) => {
          const waits = Math.round(s.waitMin + (passage?.waits[s.id] ?? 0));
          const hands = Math.round(s.handsOnMin + (passage?.hands[s.id] ?? 0));
          const moved = waits !== s.waitMin || hands !== s.handsOnMin;
          return (
            <li key={s.id} data-top>
              <Text span variant="mid" c="var(--rim)" miw={26}>
                {i + 1}
              </Text>
              <Box className="grow">
                <Box fz={17}>{s.text}</Box>
                <Text component="div" c="dimmed" fz={15}>
                  {sayMinutes(hands)} of hands{s.handsOnPerKgMin ? ` and ${s.handsOnPerKgMin} min a kilo` : ''}
                  {waits > 0 ? `, ${sayMinutes(waits)} by itself` : ''}
                  {moved
                    ? ` at this size (written: ${sayMinutes(s.handsOnMin)}${s.waitMin > 0 ? ` and ${sayMinutes(s.waitMin)}` : ''})`
                    : ''}
                  {s.guess ? ' (guessed)' : ''}.{s.cue && <b> Done when: {s.cue}.</b>}
                </Text>
              </Box>
            </li>
          );
        })}
      </Rows>
    </Card>
  );
});
