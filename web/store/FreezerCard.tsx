import { Badge, Card, Group, Text, Title } from '@mantine/core';
import type { Place } from '#core/contract';
import { countOf } from '#core/kitchen';
import type { PackBrief } from '#core/queries';
import type { PlaceRoom } from '#core/store';
import { Cutaway } from '../draw/Cutaway.tsx';
import { useMeasures } from '../sync/measures.ts';

export function FreezerCard({
  f,
  data,
  match,
  filtered,
  selected,
  onSelect,
}: {
  f: { place: Place; room: PlaceRoom };
  data: readonly PackBrief[];
  match: (p: PackBrief) => boolean;
  filtered: boolean;
  selected: string | undefined;
  onSelect: (p: PackBrief) => void;
}) {
  const { sayVolume } = useMeasures();
  const packs = data.filter((p) => p.placeId === f.place.id && p.status === 'frozen');
  return (
    <Card aria-label={f.place.name}>
      <Group justify="space-between" align="baseline" mb={8}>
        <div>
          <Title order={2} m={0}>
            {f.place.name}, {f.place.litres} L
          </Title>
          <Text component="div" c="dimmed" fz={15}>
            {f.place.note ? `${f.place.note}. ` : ''}
            {countOf(packs.length, 'pack')}, {sayVolume(Math.round(f.room.freeMl / 100) * 100)} free
          </Text>
        </div>
        <Badge color="rim">{f.place.temperatureC} °C</Badge>
      </Group>
      <Cutaway place={f.place} room={f.room} packs={packs} selected={selected} dim={(p) => filtered && !match(p)} onSelect={onSelect} />
      <Text size="xs" c="dimmed" mt={6}>
        {f.place.kind === 'chest' ? 'From above' : 'From the front'}, to scale: a tile’s area is its pack’s volume. Pale saffron is due
        within two weeks; a broken edge breaks easily.
      </Text>
    </Card>
  );
}
