import { Box, Button, Group, Text, Title } from '@mantine/core';
import type { DocumentTable } from '#core/contract';
import type { KitchenAnswer } from '#core/queries';
import { useCommands, type NewChange } from '../sync/commands.ts';
import { usualContainers, usualGear, usualPlaces, type Owned } from './usual.ts';

interface Shelf {
  title: string;
  table: Extract<DocumentTable, 'equipment' | 'container' | 'place'>;
  offers: readonly Owned<{ id: string; name: string }>[];
  have: readonly { id: string; name: string }[];
}

/** Step 2: pots, freezers and containers by one-tap presets; a second tap takes one away again. */
export function WhatYouOwn({ kitchen }: { kitchen: KitchenAnswer }) {
  const { write } = useCommands();
  const shelves: Shelf[] = [
    { title: 'Freezers', table: 'place', offers: usualPlaces, have: kitchen.places.map((p) => p.place) },
    { title: 'To cook with', table: 'equipment', offers: usualGear, have: kitchen.equipment },
    {
      title: 'To pack in',
      table: 'container',
      offers: usualContainers(kitchen.presets),
      have: kitchen.containers.map((c) => c.container),
    },
  ];
  const nameOf = (o: Owned<{ id: string; name: string }>): string => o.make().name;
  const owned = (s: Shelf, o: Owned<{ id: string; name: string }>) => s.have.find((h) => h.name === nameOf(o));
  const change = (s: Shelf, o: Owned<{ id: string; name: string }>): NewChange => {
    const data = o.make();
    return { table: s.table, id: data.id, data, was: null } as NewChange;
  };
  const tap = (s: Shelf, o: Owned<{ id: string; name: string }>): void => {
    const there = owned(s, o);
    void write(
      [there ? ({ table: s.table, id: there.id, data: null, was: there } as unknown as NewChange) : change(s, o)],
      there ? `${o.name}: taken away` : o.name,
    );
  };
  const usual = (): void => {
    const wanted = shelves.flatMap((s) =>
      s.offers.filter((o) => !owned(s, o) && (s.table !== 'place' || o.id === 'box')).map((o) => change(s, o)),
    );
    if (wanted.length > 0) void write(wanted, 'The usual kitchen');
  };
  return (
    <>
      <Group mb={6}>
        <Text className="grow" inherit c="dimmed">
          Tap what you have. Counts and sizes are common ones; put them right in Kitchen.
        </Text>
        <Button variant="outline" onClick={usual}>
          Take the usual
        </Button>
      </Group>
      {shelves.map((s) => (
        <Box component="section" mt={12} key={s.table} aria-label={s.title}>
          <Title order={3} mb={8}>
            {s.title}
          </Title>
          <Group gap={8} className="chips wrapchips">
            {s.offers.map((o) => (
              <Button variant="chip" key={o.id} aria-pressed={owned(s, o) !== undefined} onClick={() => tap(s, o)}>
                {o.name}
              </Button>
            ))}
          </Group>
          {s.have.some((h) => !s.offers.some((o) => nameOf(o) === h.name)) && (
            <Text size="xs" c="dimmed" mt={6}>
              Also yours:{' '}
              {s.have
                .filter((h) => !s.offers.some((o) => nameOf(o) === h.name))
                .map((h) => h.name)
                .join(', ')}
              .
            </Text>
          )}
        </Box>
      ))}
    </>
  );
}
