import { useDraggable } from '@dnd-kit/core';
import { Badge, Box, Button, Card, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { putAway, takeOut } from '#core/commands';
import type { Place } from '#core/contract';
import { countOf, sayDay, sayNear, sayPortions } from '#core/kitchen';
import type { PackBrief } from '#core/queries';
import { portionName } from '#core/session';
import { KindMark } from '../draw/KindMark.tsx';
import { useCommands } from '../sync/commands.ts';
import { useMeasures } from '../sync/measures.ts';
import { DueTag, NotFor } from '../ui/ui.tsx';
import { placeName } from '../ui/packWords.ts';
import { SpotSelect, type Spot } from '../ui/SpotSelect.tsx';
import { ColdLine, pullFor } from './ColdLine.tsx';
import type { PackPile } from './Freezer.tsx';
import type { Carried } from './carrying.ts';

/** One pack of the pile: its code and date; chosen by a tap, carried to a shelf by itself. */
function PackChip({ pack, on, onChoose }: { pack: PackBrief; on: boolean; onChoose: () => void }) {
  const { setNodeRef, attributes, listeners, isDragging } = useDraggable({
    id: `pack ${pack.packId}`,
    data: { name: pack.name, packs: [pack] } satisfies Carried,
  });
  const { role: _role, 'aria-pressed': _pressed, ...props } = attributes;
  return (
    <Button ref={setNodeRef} {...props} {...listeners} variant="chip" aria-pressed={on} opacity={isDragging ? 0.5 : 1} onClick={onChoose}>
      <span>
        {pack.code}{' '}
        <Text span inherit fw={400}>
          {pack.due.day === undefined ? 'no date' : sayDay(pack.due.day)}
        </Text>
      </span>
    </Button>
  );
}

/** A pile fanned out: every pack with its code and date, the chosen one eaten, taken out, moved or opened; all of it moved at once. */
export function PileCard({
  pile,
  pack,
  places,
  today,
  onChoose,
}: {
  pile: PackPile;
  pack: PackBrief;
  places: readonly Place[];
  today: string;
  onChoose: (p: PackBrief) => void;
}) {
  const { sayMass } = useMeasures();
  const { log } = useCommands();
  const n = pile.packs.length;
  const move = (packs: readonly PackBrief[]) => (to: Spot) =>
    void log(putAway(packs, to), `${packs.length > 1 ? `${packs.length} packs of ${pile.name}` : pile.name} in ${placeName(places, to)}`);
  const mass = Math.round(pack.massG * (pack.left / pack.portions));
  return (
    <Card aria-label="Selected pack">
      <Group wrap="nowrap" align="flex-start">
        <KindMark kind={pile.kind} size={40} />
        <Box className="grow">
          <Title order={2} m={0}>
            {pile.name}
          </Title>
          <Text c="dimmed" fz={15}>
            {n > 1 ? `${countOf(n, 'pack')}, ${sayPortions(pile.left)} ${portionName(pile.kind, pile.left)}; ` : ''}
            {pack.code}: {sayPortions(pack.left)} {portionName(pack.kind, pack.left)}, {sayMass(mass)}, {placeName(places, pack)}
          </Text>
        </Box>
        <DueTag due={pack.due} />
      </Group>
      {n > 1 && (
        <Group gap={6} mt={8} className="chips wrapchips" role="group" aria-label={`Packs of ${pile.name}`}>
          {pile.packs.map((p) => (
            <PackChip key={p.packId} pack={p} on={p.packId === pack.packId} onChoose={() => onChoose(p)} />
          ))}
        </Group>
      )}
      {!pack.labelled && <Badge color="tomato">no label</Badge>}
      <ColdLine pack={pack} today={today} />
      <NotFor says={pack.notFor} />
      <Group mt={12} gap={8}>
        <Button component={Link} to={`/eat?log=${pack.packId}`}>
          Eaten
        </Button>
        {pack.status === 'frozen' && (
          <Button
            variant="outline"
            onClick={() => void log(takeOut([pack], pullFor(pack)), `${pack.name} is in the fridge, for ${sayNear(pullFor(pack), today)}`)}
          >
            Take out
          </Button>
        )}
        <SpotSelect label="Move to" prompt={n > 1 ? 'Move this one to...' : 'Move to...'} places={places} onChoose={move([pack])} />
        {n > 1 && <SpotSelect label="Move all to" prompt={`Move all ${n} to...`} places={places} onChoose={move(pile.packs)} />}
        <Button component={Link} variant="outline" to={`/p/${pack.code}`}>
          Open
        </Button>
      </Group>
    </Card>
  );
}
