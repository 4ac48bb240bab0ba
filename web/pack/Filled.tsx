import { Badge, Box, Button, Card, Group, Stack, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { markLabelled, putAway } from '#core/commands';
import type { Place } from '#core/contract';
import { countOf, sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import type { PackedBatch } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { KindMark } from '../draw/KindMark.tsx';
import { datedAs } from '../ui/packWords.ts';
import { SpotSelect, type Spot } from '../ui/SpotSelect.tsx';
import { Columns } from '../ui/Columns.tsx';
import { Rows } from '../ui/Rows.tsx';

/** Packs of this dish once filled: put away together, labels next. */
export function Filled({ b, places, sessionId }: { b: PackedBatch; places: readonly Place[]; sessionId: string }) {
  const { log } = useCommands();
  const cold = places.filter((p) => p.kind === 'freezer' || p.kind === 'chest');
  const preferred = cold.find((p) => p.prefers.includes(b.revision.kind)) ?? cold[0];
  const [at, setAt] = useState<Spot>({ placeId: preferred?.id ?? '', zoneId: preferred?.zones[0]?.id ?? '' });
  const loose = b.packs.filter((p) => !p.placeId && p.left > 0);
  const unlabelled = b.packs.filter((p) => !p.labelled);
  const put = (): void => {
    void log(putAway(loose, at), `${b.revision.name}: put away`);
  };
  return (
    <Columns align="start" parts={[1.4, 1]} mt={14}>
      <Card aria-label="Packs">
        <Title order={2}>
          {countOf(b.packs.length, 'pack')} of {b.revision.name}
        </Title>
        <Rows data-columns>
          {b.packs.map((p) => (
            <li key={p.packId}>
              <KindMark kind={p.kind} size={22} />
              <Box className="grow">
                <Link className="main" to={`/p/${p.code}`}>
                  {p.code}
                </Link>
                <Text component="div" size="xs" c="dimmed">
                  {sayPortions(p.portions)} {portionName(p.kind, p.portions)}, {datedAs(p)}
                </Text>
              </Box>
              {p.labelled ? null : <Badge color="tomato">no label</Badge>}
              {p.placeId ? <Badge color="leaf">away</Badge> : null}
            </li>
          ))}
        </Rows>
      </Card>
      <Stack>
        {loose.length > 0 && (
          <Card aria-label="Put away">
            <Title order={2}>Put them away</Title>
            <Text c="dimmed" mb={8} fz={15}>
              Cold first: under 5 °C, then in one layer.
            </Text>
            <Group>
              <SpotSelect label="Where to" places={cold} spot={at} onChoose={setAt} />
              <Button disabled={cold.length === 0} onClick={put}>
                {countOf(loose.length, 'pack')} put away
              </Button>
            </Group>
          </Card>
        )}
        <Card aria-label="Labels">
          <Title order={2}>Labels</Title>
          {unlabelled.length === 0 ? (
            <p>Every pack has its label.</p>
          ) : (
            <>
              <Text inherit mb={10}>
                {countOf(unlabelled.length, 'pack')} without one.
              </Text>
              <Group>
                <Button component={Link} to={`/pack/${sessionId}/labels`}>
                  Print labels
                </Button>
                <Button
                  variant="outline"
                  onClick={() =>
                    void log(
                      unlabelled.map((p) => markLabelled(p, 'hand')),
                      'Written by hand',
                    )
                  }
                >
                  Written by hand
                </Button>
              </Group>
            </>
          )}
        </Card>
      </Stack>
    </Columns>
  );
}
