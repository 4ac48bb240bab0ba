import { Anchor, Badge, Box, Button, Card, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { useState } from 'react';
import { countOf } from '#core/kitchen';
import { backAgain } from '#core/store';
import type { KitchenAnswer } from '#core/queries';
import { KindMark } from '../draw/KindMark.tsx';
import { ContainerShelf } from './ContainerShelf.tsx';
import { ContainerForm } from './ContainerForm.tsx';
import { FewerForm } from './FewerForm.tsx';
import { useCommands } from '../sync/commands.ts';
import { PlaceForm } from './PlaceForm.tsx';
import { useMeasures } from '../sync/measures.ts';
import { Empty } from '../ui/ui.tsx';
import { Bar } from '../ui/Bar.tsx';
import { useOpened } from '../form/useOpened.ts';
import { Columns } from '../ui/Columns.tsx';

export function Containers({ data }: { data: KitchenAnswer }) {
  const editing = useOpened();
  const { write } = useCommands();
  const [less, setLess] = useState<string>();
  const kindOf = (id: string | undefined) => data.containers.find((c) => c.container.id === id)?.container;
  const container = kindOf(editing.id);
  const fewer = kindOf(less);
  return (
    <>
      <Card aria-label="What you can pack in">
        <Group justify="space-between" align="baseline" mb={8}>
          <Title order={2}>What you can pack in</Title>
          <Text span inherit c="dimmed">
            side by side at one scale; free now, and what the next session wants
          </Text>
        </Group>
        {data.containers.length === 0 ? (
          <Text inherit c="dimmed">
            Nothing yet. Add tubs, bags and pans; common ones are one tap.
          </Text>
        ) : (
          <ContainerShelf
            list={data.containers}
            onEdit={(c) => editing.open(c.id)}
            onFewer={(c) => setLess(c.id)}
            onBack={(c, loan) =>
              void write(
                [{ table: 'container', id: c.id, data: backAgain(c, loan.id), was: c }],
                `${c.name}: ${countOf(loan.count, 'one', 'of them')} back from ${loan.to}`,
              )
            }
          />
        )}
        <Box mt={14}>
          <Button variant="outline" onClick={() => editing.open('new')}>
            Add a container
          </Button>
        </Box>
      </Card>
      {fewer && <FewerForm container={fewer} onClose={() => setLess(undefined)} />}
      {(container ?? editing.id === 'new') && (
        <ContainerForm
          key={editing.id}
          container={container}
          presets={data.presets}
          materials={data.materials}
          figures={data.figures}
          onClose={editing.close}
        />
      )}
    </>
  );
}

export function Places({ data }: { data: KitchenAnswer }) {
  const { sayVolume } = useMeasures();
  const editing = useOpened();
  const open = data.places.find((p) => p.place.id === editing.id)?.place;
  return (
    <>
      <Columns least={330}>
        {data.places.map(({ place, room }) => (
          <Card key={place.id} aria-label={place.name}>
            <Group justify="space-between" align="baseline" mb={8}>
              <Title order={2}>{place.name}</Title>
              <Badge color="rim">{place.temperatureC} °C</Badge>
            </Group>
            <div>
              <Text span variant="big">
                {place.litres}
              </Text>
              <Text span variant="unit">
                L
                {place.kind === 'freezer' || place.kind === 'chest'
                  ? `, ${sayVolume(Math.round(room.freeMl / 1000) * 1000)} of it free`
                  : ''}
              </Text>
            </div>
            <Text c="dimmed" fz={15} mt={4}>
              {place.zones.map((z) => z.name).join(', ')}. {place.note ?? ''}
            </Text>
            {(place.freezingKgPerDay !== undefined || place.levelPlaces !== undefined) && (
              <Text c="dimmed" fz={15}>
                {[
                  place.freezingKgPerDay !== undefined ? `freezes ${place.freezingKgPerDay} kg a day` : '',
                  place.levelPlaces !== undefined ? countOf(place.levelPlaces, 'level place') : '',
                ]
                  .filter(Boolean)
                  .join(', ')}
              </Text>
            )}
            <Group gap={8} mt={4}>
              {place.trust === 'some' && <Badge color="saffron">trusted so far</Badge>}
              {place.trust === 'little' && <Badge color="tomato">trusted little</Badge>}
              {place.prefers.map((k) => (
                <Group wrap="nowrap" component="span" gap={4} key={k}>
                  <KindMark kind={k} size={16} />{' '}
                  <Text span size="xs" c="dimmed">
                    {k}
                  </Text>
                </Group>
              ))}
            </Group>
            {(place.kind === 'freezer' || place.kind === 'chest') && (
              <Bar mt={8} label={`${Math.round((room.usedMl / room.usableMl) * 100)} % full`} share={room.usedMl / room.usableMl} />
            )}
            <Group wrap="nowrap" mt={10}>
              <Anchor component="button" size="xs" type="button" onClick={() => editing.open(place.id)}>
                change
              </Anchor>
              {room.packs > 0 && (
                <Anchor component={Link} size="xs" to="/store">
                  {countOf(room.packs, 'pack')} in it
                </Anchor>
              )}
            </Group>
          </Card>
        ))}
        <Empty title="Another cold place" text="A freezer, a chest, a fridge with a shelf to thaw on.">
          <Button variant="outline" onClick={() => editing.open('new')}>
            Add one
          </Button>
        </Empty>
      </Columns>
      {(open ?? editing.id === 'new') && <PlaceForm key={editing.id} place={open} onClose={editing.close} />}
    </>
  );
}
