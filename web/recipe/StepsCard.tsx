import { Box, Card, Group, Skeleton, Text, Title } from '@mantine/core';
import { memo, useState } from 'react';
import type { Revision } from '#core/contract';
import { sayMinutes } from '#core/kitchen';
import { handsAt, type Passage } from '#core/recipe';
import { Either } from '../ui/Either.tsx';
import { Rows } from '../ui/Rows.tsx';
import { aside } from '../ui/aside.tsx';

/** The method, with hands and waiting at this size. */
const MethodTime = aside(async () => ({ default: (await import('../draw/MethodTime.tsx')).MethodTime }), <Skeleton height={180} />);

export const StepsCard = memo(function StepsCard({
  revision,
  passage,
  factor = 1,
}: {
  revision: Revision;
  passage: Passage | undefined;
  /** Times the written size. */
  factor?: number;
}) {
  const [view, setView] = useState<'words' | 'time'>('words');
  return (
    <Card data-later aria-label="Steps" id="method">
      <Group justify="space-between" mb={6}>
        <Title order={2}>Steps</Title>
        {revision.steps.length > 1 && (
          <Either name="Show the steps as" value={view} onChange={setView} ways={{ words: 'Words', time: 'Time' }} />
        )}
      </Group>
      {view === 'time' && <MethodTime steps={revision.steps} />}
      {view === 'words' && (
        <Rows component="ol">
          {revision.steps.map((s, i) => {
            const waits = Math.round(s.waitMin + (passage?.waits[s.id] ?? 0));
            const hands = Math.round(handsAt(s, factor) + (passage?.hands[s.id] ?? 0));
            const moved = waits !== s.waitMin || hands !== s.handsOnMin;
            return (
              <li key={s.id} data-top>
                <Text span variant="mid" c="var(--rim)" miw={26}>
                  {i + 1}
                </Text>
                <Box className="grow">
                  <Box fz={17}>{s.text}</Box>
                  <Text component="div" c="dimmed" fz={15}>
                    {s.moment === 'eve' ? 'The evening before: ' : s.moment === 'serve' ? 'On the day of eating: ' : ''}
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
      )}
    </Card>
  );
});
