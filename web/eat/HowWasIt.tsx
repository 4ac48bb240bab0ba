import { Box, Card, Group, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { sayNear } from '#core/kitchen';
import type { HowWasIt as Asked } from '#core/queries';
import { KindMark } from '../draw/KindMark.tsx';
import { Rows } from '../ui/Rows.tsx';
import { Stars } from '../ui/Stars.tsx';
import { useRate } from '../ui/useRate.ts';

/** Dishes that stood here when the page was opened stay until it is left, so that nothing moves under a second tap; new ones come below. */
function together(before: readonly Asked[], now: readonly Asked[]): readonly Asked[] {
  const fresh = now.filter((n) => !before.some((b) => b.recipeId === n.recipeId && b.day === n.day));
  return fresh.length === 0 ? before : [...before, ...fresh];
}

/** How the last meals were, one tap an eater; whoever has said it is not asked again for a while. */
export default function HowWasIt({ asked, today }: { asked: readonly Asked[]; today: string }) {
  const rate = useRate();
  const [before, setBefore] = useState(asked);
  const shown = together(before, asked);
  if (shown !== before) setBefore(shown);
  const [said, setSaid] = useState<Readonly<Record<string, number>>>({});
  return (
    <Card aria-label="How was it?">
      <Title order={2}>How was it?</Title>
      <Rows>
        {shown.map((dish) => (
          <li key={`${dish.recipeId} ${dish.day}`}>
            <KindMark kind={dish.kind} size={24} />
            <Box className="grow">
              <b>{dish.name}</b>
              <Text component="div" size="xs" c="dimmed">
                {dish.meal} {sayNear(dish.day, today)}
              </Text>
            </Box>
            <Group gap={18} justify="flex-end">
              {dish.eaters.map((e) => (
                <Group key={e.id} gap="0 8px" justify="flex-end">
                  <Text span inherit>
                    {e.name}
                  </Text>
                  <Stars
                    label={`${dish.name}, ${e.name}`}
                    value={said[`${dish.recipeId} ${e.id}`] ?? 0}
                    onChange={(stars) => {
                      setSaid({ ...said, [`${dish.recipeId} ${e.id}`]: stars });
                      rate(dish, e, stars);
                    }}
                  />
                </Group>
              ))}
            </Group>
          </li>
        ))}
      </Rows>
    </Card>
  );
}
