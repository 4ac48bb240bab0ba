import { Button, Group, Text } from '@mantine/core';
import { Link } from 'react-router';
import { countOf, listOf } from '#core/kitchen';
import type { SessionParts } from '#core/queries';
import { useMeasures } from '../sync/measures.ts';
import { Asks } from '../ui/Asks.tsx';
import { Rows } from '../ui/Rows.tsx';

type Begun = SessionParts['plan']['begun'];

/** Before cooked dishes go from a plan: what was done of them, and what becomes of it. */
export function BegunAsks({
  dishes,
  sessionId,
  onGo,
  onLeave,
}: {
  dishes: Begun;
  sessionId: string;
  onGo: () => void;
  onLeave: () => void;
}) {
  const { sayVolume } = useMeasures();
  const inPot = dishes.filter((d) => d.toPackMl > 0 && d.packs === 0);
  const said = (d: Begun[number]): string =>
    listOf([
      ...(d.work > 0 ? [`${countOf(d.work, 'piece')} of work begun or done`] : []),
      ...(d.weighed ? ['weighed'] : []),
      ...(d.packs > 0 ? [`${countOf(d.packs, 'pack')} filled`] : []),
      ...(d.toPackMl > 0 && d.packs === 0 ? [`${sayVolume(Math.round(d.toPackMl / 50) * 50)} in the pot`] : []),
    ]);
  const [first] = dishes;
  return (
    <Asks
      title={dishes.length === 1 && first ? `${first.name} was begun` : `${countOf(dishes.length, 'dish', 'dishes')} were begun`}
      onLeave={onLeave}
    >
      <Rows>
        {dishes.map((d) => (
          <li key={d.batchId}>
            <b className="grow">{d.name}</b>
            <Text span size="xs" c="dimmed">
              {said(d)}
            </Text>
          </li>
        ))}
      </Rows>
      <Text my={12}>
        Off the plan, nothing more is bought, cooked or packed of {dishes.length === 1 ? 'it' : 'them'}. Packs stay in the store and what
        was done stays in History; put back on the plan, it all counts again.
      </Text>
      <Group>
        {inPot.length > 0 && (
          <Button component={Link} to={`/pack/${sessionId}`}>
            Pack what is in the pot first
          </Button>
        )}
        <Button variant={inPot.length > 0 ? 'outline' : 'filled'} onClick={onGo}>
          {inPot.length > 0 ? 'It is eaten or gone: off the plan' : 'Off the plan'}
        </Button>
      </Group>
    </Asks>
  );
}
