import { useDraggable, useDroppable } from '@dnd-kit/core';
import { Badge, Card, Group, Text, Title } from '@mantine/core';
import type { CSSProperties } from 'react';
import type { Place } from '#core/contract';
import { countOf, sayDay } from '#core/kitchen';
import type { PackBrief } from '#core/queries';
import { pilesOf, zoneFreeMl, type Pile as PileOf, type PlaceRoom } from '#core/store';
import { Pile, sayEach } from '../draw/Pile.tsx';
import c from '../draw/Pile.module.css';
import { useMeasures } from '../sync/measures.ts';
import type { Carried } from './carrying.ts';

/** Piles drawn on a shelf; the rest is in the list. */
const mostPiles = 12;

export type PackPile = PileOf<PackBrief>;

interface Shared {
  /** The pile that is open. */
  isChosen: (pile: PackPile) => boolean;
  onChoose: (pile: PackPile) => void;
  /** What a search leaves out. */
  dim: (pile: PackPile) => boolean;
}

/** A pile that can be carried to another shelf, with the pointer or by Space and arrows. */
function Carriable({ pile, isChosen, onChoose, dim }: Shared & { pile: PackPile }) {
  const { setNodeRef, attributes, listeners, isDragging } = useDraggable({
    id: pile.key,
    data: { name: pile.name, packs: pile.packs } satisfies Carried,
  });
  const { role: _role, 'aria-pressed': _pressed, ...props } = attributes;
  const when = pile.soonest === undefined ? 'date not known' : `the first by ${sayDay(pile.soonest)}`;
  const planned = pile.packs.some((p) => p.planned) ? ', planned' : '';
  return (
    <Pile
      pile={pile}
      chosen={isChosen(pile)}
      dim={dim(pile)}
      label={`${pile.name}: ${countOf(pile.packs.length, 'pack')} of ${sayEach(pile)}, ${when}${planned}`}
      onChoose={() => onChoose(pile)}
      drag={{ ref: setNodeRef, props: { ...props, ...listeners }, moving: isDragging }}
    />
  );
}

/** A shelf or basket: what lies on it, and what is free in words; empty it is small. */
function Zone({ place, zone, packs, ...shared }: Shared & { place: Place; zone: Place['zones'][number]; packs: readonly PackBrief[] }) {
  const { sayVolume } = useMeasures();
  const { setNodeRef, isOver } = useDroppable({ id: `${place.id} ${zone.id}`, data: { placeId: place.id, zoneId: zone.id } });
  const piles = pilesOf(packs, 'spot');
  const free = Math.round(zoneFreeMl(place, zone, packs) / 1000) * 1000;
  const total = place.zones.reduce((s, z) => s + z.litres, 0);
  return (
    <div ref={setNodeRef} className={c.zone} data-over={isOver || undefined} style={{ '--share': zone.litres / total } as CSSProperties}>
      <Group justify="space-between" gap={6} fz={14} c="dimmed" mb={piles.length > 0 ? 4 : 0}>
        <span>{zone.name}</span>
        <span>{free > 0 ? `${sayVolume(free)} free` : 'full'}</span>
      </Group>
      <div className={c.piles}>
        {piles.slice(0, mostPiles).map((pile) => (
          <Carriable key={pile.key} pile={pile} {...shared} />
        ))}
      </div>
      {piles.length > mostPiles && (
        <Text size="xs" c="dimmed" mt={6}>
          and {countOf(piles.length - mostPiles, 'dish', 'dishes')} more, in the list
        </Text>
      )}
    </div>
  );
}

/** A freezer with its shelves, or a chest from above with its baskets: packs of one dish as a pile, larger the more room its packs take. */
export function Freezer({ place, room, packs, ...shared }: Shared & { place: Place; room: PlaceRoom; packs: readonly PackBrief[] }) {
  const { sayVolume } = useMeasures();
  const here = packs.filter((p) => p.placeId === place.id && p.status === 'frozen');
  const known = new Set(place.zones.map((z) => z.id));
  return (
    <Card aria-label={place.name}>
      <Group justify="space-between" align="baseline" mb={8} wrap="nowrap">
        <div>
          <Title order={2} m={0}>
            {place.name}, {place.litres} L
          </Title>
          <Text c="dimmed" fz={15}>
            {place.note ? `${place.note}. ` : ''}
            {countOf(here.length, 'pack')}, {sayVolume(Math.round(room.freeMl / 1000) * 1000)} free
            {place.kind === 'chest' ? '; from above' : ''}
          </Text>
        </div>
        <Badge color="rim">{place.temperatureC} °C</Badge>
      </Group>
      <div className={c.body} data-chest={place.kind === 'chest' || undefined}>
        {place.zones.map((zone, i) => (
          <Zone
            key={zone.id}
            place={place}
            zone={zone}
            // a pack whose basket is gone stands in the first one
            packs={here.filter((p) => p.zoneId === zone.id || (i === 0 && !known.has(p.zoneId ?? '')))}
            {...shared}
          />
        ))}
      </div>
    </Card>
  );
}
