import { Button, Group, Text } from '@mantine/core';
import { Link, useParams, useSearchParams } from 'react-router';
import { closePacking } from '#core/commands';
import { clockOf, quarterDown, sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import { useFrameQuery, useKitchenQuery, useSessionPackQuery, useSessionsQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { Empty, PageHead, Waiting, Why, Page } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { SessionHeader } from '../session/SessionHeader.tsx';
import { Filling } from './Filling.tsx';
import { Filled } from './Filled.tsx';
import { useMeasures } from '../sync/measures.ts';

/** Pack: weigh what came out, choose from what is free, fill to the line, label, put away; dish by dish. */
export function PackPage() {
  const { sayMass, sayVolume } = useMeasures();
  const { id = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const { data, error, refetch } = useSessionPackQuery(id);
  const kitchen = useKitchenQuery().data;
  const frame = useFrameQuery().data;
  const sessions = useSessionsQuery().data;
  const { log } = useCommands();
  if (!data || !kitchen || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const brief = sessions?.sessions.find((s) => s.id === id);
  const b = data.batches.find((x) => x.batch.id === params.get('dish')) ?? data.batches.find((x) => !x.flags.packed) ?? data.batches[0];
  if (!b)
    return (
      <Page>
        <Empty title="Nothing to pack" text="This session has no dishes.">
          <Button component={Link} to={`/plan/${id}`}>
            Open the plan
          </Button>
        </Empty>
      </Page>
    );
  const places = kitchen.places.map((p) => p.place);
  const weighed = b.yield.how === 'weighed';
  const inGrams = b.lot.measure === 'g' && b.revision.cubeMl === undefined;
  return (
    <Page>
      {brief && <SessionHeader brief={brief} here={`/pack/${id}`} />}
      <Group gap={8} mb={12} className="chips" role="group" aria-label="Dish">
        {data.batches.map((x) => (
          <Button
            variant="chip"
            key={x.batch.id}
            aria-pressed={x.batch.id === b.batch.id}
            onClick={() => setParams({ dish: x.batch.id }, { replace: true })}
          >
            <KindMark kind={x.revision.kind} size={16} color={x.batch.id === b.batch.id ? 'var(--on-rim)' : undefined} /> {x.revision.name}
            {x.flags.packed ? ' ✓' : ''}
          </Button>
        ))}
      </Group>
      <PageHead
        title={
          <Group wrap="nowrap" component="span" gap={14}>
            <KindMark kind={b.revision.kind} size={38} />
            {b.flags.packed ? `${b.revision.name}: packed` : `${b.revision.name}: ${sayVolume(Math.round(b.toPackMl))} to pack`}
          </Group>
        }
        lead={`${weighed ? `Measured, ${sayMass(Math.round(b.yield.g))}` : 'Not weighed yet, as planned'}: ${sayPortions(quarterDown(b.yield.portions))} ${portionName(b.revision.kind, quarterDown(b.yield.portions))} of ${inGrams ? sayMass(Math.round(b.yield.portionG)) : sayVolume(Math.round(b.yield.portionMl))}${b.yield.how === 'weighed' ? ` (${sayPortions(b.batch.portions)} planned)` : ''}.${b.tonightMl > 0 ? ` ${sayVolume(Math.round(b.tonightMl))} went on the table.` : ''}`}
      >
        {!b.flags.packed && b.packs.length > 0 && (
          <Button
            variant="outline"
            onClick={() =>
              void log([closePacking({ sessionId: id, batchId: b.batch.id, seen: b.seen })], `${b.revision.name}: that was all`)
            }
          >
            That was all
          </Button>
        )}
        <Button component={Link} variant="outline" to={`/pack/${id}/labels`}>
          Labels
        </Button>
      </PageHead>
      {!b.flags.packed && b.toPackMl > 0 && (
        <Filling
          key={b.batch.id + String(b.yield.how)}
          b={b}
          view={data}
          onFilled={() => setParams({ dish: b.batch.id }, { replace: true })}
        />
      )}
      {b.packs.length > 0 && <Filled b={b} places={places} sessionId={id} />}
      <Text size="xs" c="dimmed" mt={14}>
        Now {clockOf(frame.now, frame.household.timeZone)}.{' '}
        <Why label="what counts as packed">
          A dish is packed when filled packs, what was eaten from the pot and what was thrown away make up what came out, or when you say
          that was all. Less than one portion is tonight’s.
        </Why>
      </Text>
    </Page>
  );
}
