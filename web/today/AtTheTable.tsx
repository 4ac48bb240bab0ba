import { Box, Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import { invite, sayAtHome } from '#core/commands';
import { countOf, isPresent, listOf } from '#core/kitchen';
import type { TodayAnswer } from '#core/queries';
import { AllergenChips } from '../form/AllergenChips.tsx';
import { useFrameQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';

/** Who dines at home tonight, each with one tap; guests beside them. Plates and runway follow everywhere. */
export function AtTheTable({ data }: { data: TodayAnswer }) {
  const frame = useFrameQuery().data;
  const household = frame?.household;
  const [open, setOpen] = useState(false);
  const { log } = useCommands();
  const { today, tableSeen: seen } = data;
  const { guests } = data.view.tonight;
  if (!household) return null;
  const diners = data.eaters.filter((e) => e.stage !== 'baby');
  const must = data.guests?.allergens ?? [];
  const keepGuests = (plates: number, allergens: readonly string[], says: string): void =>
    void log([invite(household.id, today, plates, allergens, seen)], says);
  const setGuests = (plates: number): void =>
    keepGuests(plates, must, plates === 0 ? 'No guests tonight' : plates === 1 ? 'One guest tonight' : `${plates} guests tonight`);
  const namesOf = (ids: readonly string[]): string => listOf(ids.map((a) => frame?.allergenNames[a] ?? a));
  return (
    <div>
      <Group gap={8} className="chips" role="group" aria-label="At the table tonight">
        {diners.map((e) => {
          const there = isPresent(e.presence, today, 'dinner');
          return (
            <Button
              variant={there ? 'light' : 'chip'}
              h="var(--hit-chip)"
              px={12}
              key={e.id}
              aria-pressed={there}
              aria-label={`${e.name} ${there ? 'dines here tonight' : 'is not here tonight'}`}
              onClick={() =>
                void log([sayAtHome(e.id, today, 'dinner', !there, seen)], there ? `${e.name} not tonight` : `${e.name} is there tonight`)
              }
            >
              {there ? (
                e.name
              ) : (
                <Text span inherit td="line-through" c="dimmed">
                  {e.name}
                </Text>
              )}
            </Button>
          );
        })}
        {guests > 0 && (
          <Button
            variant="light"
            h="var(--hit-chip)"
            px={12}
            aria-label={`${guests} ${guests === 1 ? 'guest' : 'guests'} tonight: one less`}
            onClick={() => setGuests(guests - 1)}
          >
            {guests} {guests === 1 ? 'guest' : 'guests'} −
          </Button>
        )}
        <Button variant="chip" onClick={() => setGuests(guests + 1)}>
          + guest
        </Button>
        {guests > 0 && (
          <Button variant="chip" aria-expanded={open} onClick={() => setOpen(!open)}>
            {must.length > 0 ? `guests: no ${namesOf(must)}` : 'a guest’s allergy'}
          </Button>
        )}
      </Group>
      {guests > 0 && open && (
        <Box mt={8}>
          <Text size="xs" c="dimmed">
            What {guests === 1 ? 'the guest' : `one of ${countOf(guests, 'guest')}`} must not eat, this evening only.
          </Text>
          <AllergenChips
            label="What a guest must not eat tonight"
            value={must}
            onChange={(a) => keepGuests(guests, a, a.length > 0 ? `Guests tonight: no ${namesOf(a)}` : 'No allergy among the guests')}
          />
        </Box>
      )}
    </div>
  );
}
