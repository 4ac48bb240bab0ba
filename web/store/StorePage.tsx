import { Anchor, Badge, Box, Button, Card, Group, Stack, Table, Text, TextInput, Title } from '@mantine/core';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { putAway, takeOut } from '#core/commands';
import { allKinds, countOf, sayDay, sayNear } from '#core/kitchen';
import type { PackBrief } from '#core/queries';
import { useStoreQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { DueTag, Empty, NotFor, PageHead, Waiting, Page } from '../ui/ui.tsx';
import { PastCard } from '../eat/PastCard.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { ColdLine, pullFor } from './ColdLine.tsx';
import { SpotSelect } from '../ui/SpotSelect.tsx';
import { amountOf, placeName } from '../ui/packWords.ts';
import { FindByCode } from './FindByCode.tsx';
import { FreezerCard } from './FreezerCard.tsx';
import { useMeasures } from '../sync/measures.ts';
import { Note } from '../ui/Note.tsx';
import { Columns } from '../ui/Columns.tsx';

/** The store: each freezer to scale with its packs, filtered by kind, name and the span brushed on the strip; a pack opens, moves, comes out. */
export function StorePage() {
  const { sayMass, sayVolume } = useMeasures();
  const { data, error, refetch } = useStoreQuery();
  const [params, setParams] = useSearchParams();
  const [selected, setSelected] = useState<string>();
  const { log } = useCommands();
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const q = params.get('q') ?? '';
  const kind = params.get('kind') ?? '';
  const from = params.get('from');
  const to = params.get('to');
  const set = (key: string, value: string): void =>
    setParams(
      (p) => {
        if (value) p.set(key, value);
        else p.delete(key);
        return p;
      },
      { replace: true },
    );
  const filtered = q !== '' || kind !== '' || from !== null;
  const match = (p: PackBrief): boolean =>
    (!kind || p.kind === kind) &&
    (!from || !to || (p.due.day !== undefined && p.due.day >= from && p.due.day <= to)) &&
    `${p.name} ${p.code}`.toLowerCase().includes(q.toLowerCase());
  const places = data.places.map((p) => p.place);
  const freezers = data.places.filter((p) => p.place.kind === 'freezer' || p.place.kind === 'chest');
  const shown = data.packs.filter(match);
  const pack = data.packs.find((p) => p.packId === selected) ?? shown[0];
  const loose = data.packs.filter((p) => p.status === 'unplaced');
  const freeMl = freezers.reduce((s, f) => s + f.room.freeMl, 0);
  const move = (to: { placeId: string; zoneId: string }): void => {
    if (pack) void log(putAway([pack], to), `${pack.name} is in ${placeName(places, to)}`);
  };
  if (data.packs.length === 0 && data.past.length === 0)
    return (
      <Page>
        <PageHead title="Store" />
        <Empty
          title="An empty freezer"
          text="Packs stand here once a session is packed and put away. Plan one, or fill what you cook tonight."
        >
          <Group wrap="nowrap" justify="center">
            <Button component={Link} to="/store/count">
              Count what is in it
            </Button>
            <Button component={Link} variant="outline" to="/plan">
              Plan a session
            </Button>
          </Group>
        </Empty>
      </Page>
    );
  const drawn = (kind: 'freezer' | 'chest') =>
    freezers
      .filter((f) => f.place.kind === kind)
      .map((f) => (
        <FreezerCard
          key={f.place.id}
          f={f}
          data={data.packs}
          match={match}
          filtered={filtered}
          selected={pack?.packId}
          onSelect={(p) => setSelected(p.packId)}
        />
      ));
  return (
    <Page>
      <PageHead
        title="Store"
        lead={`${countOf(data.packs.length, 'pack')}, ${countOf(data.dinners, 'dinner')}, ${sayVolume(Math.round(freeMl / 1000) * 1000)} free${data.probable.length > 0 ? `; ${data.probable.length} probably eaten` : ''}.`}
      >
        <FindByCode />
        <Button component={Link} variant="outline" to="/store/count" title="Key n">
          Count packs in
        </Button>
      </PageHead>
      <PastCard packs={data.past.map((p) => ({ ...p, eatBy: p.due.day ?? data.today }))} today={data.today} />
      <Group mb={14}>
        <TextInput
          w={230}
          type="search"
          placeholder="Name or code"
          aria-label="Filter packs"
          value={q}
          onChange={(e) => set('q', e.currentTarget.value)}
        />
        <Group gap={8} className="chips" role="group" aria-label="Kind">
          {allKinds
            .filter((k) => data.packs.some((p) => p.kind === k))
            .map((k) => (
              <Button variant="chip" key={k} aria-pressed={kind === k} onClick={() => set('kind', kind === k ? '' : k)}>
                <KindMark kind={k} size={16} color={kind === k ? 'var(--on-rim)' : undefined} /> {k}
              </Button>
            ))}
        </Group>
        {from && to && (
          <Button
            variant="chip"
            className="on"
            onClick={() =>
              setParams(
                (p) => {
                  p.delete('from');
                  p.delete('to');
                  return p;
                },
                { replace: true },
              )
            }
          >
            due {sayDay(from)} to {sayDay(to)} ✕
          </Button>
        )}
      </Group>
      {loose.length > 0 && (
        <Note tone="warn" mb={14}>
          {countOf(loose.length, 'pack')} filled and not put away:{' '}
          {loose
            .map((p) => `${p.name} ${p.code}`)
            .slice(0, 4)
            .join(', ')}
          . Select one below and choose its place.
        </Note>
      )}
      <Columns align="start" parts={[0.78, 1.3]}>
        <Stack>
          {drawn('freezer')}
          {pack && (
            <Card aria-label="Selected pack" style={{ position: 'sticky', top: 80 }}>
              <Group wrap="nowrap" align="flex-start">
                <KindMark kind={pack.kind} size={40} />
                <Box className="grow">
                  <Title order={2} m={0}>
                    {pack.name}
                  </Title>
                  <Text component="div" c="dimmed" fz={15}>
                    {pack.code}, {amountOf(pack)}, {sayMass(Math.round(pack.massG * (pack.left / pack.portions)))},{' '}
                    {placeName(places, pack)}
                  </Text>
                </Box>
                <DueTag due={pack.due} />
              </Group>
              <ColdLine pack={pack} today={data.today} />
              <NotFor says={pack.notFor} />
              <Group mt={12} gap={8}>
                <Button component={Link} to={`/eat?log=${pack.packId}`}>
                  Eaten
                </Button>
                {pack.status === 'frozen' && (
                  <Button
                    variant="outline"
                    onClick={() =>
                      void log(takeOut([pack], pullFor(pack)), `${pack.name} is in the fridge, for ${sayNear(pullFor(pack), data.today)}`)
                    }
                  >
                    Take out
                  </Button>
                )}
                <SpotSelect label="Move to" prompt="Move to..." places={places} onChoose={move} />
                <Button component={Link} variant="outline" to={`/p/${pack.code}`}>
                  Open
                </Button>
              </Group>
            </Card>
          )}
        </Stack>
        <Stack>
          {drawn('chest')}
          <Card aria-label="Packs as a list">
            <Group justify="space-between" align="baseline" mb={8}>
              <h2>{filtered ? `${countOf(shown.length, 'pack')} of ${data.packs.length}` : 'All packs, the soonest first'}</h2>
            </Group>
            {shown.length === 0 ? (
              <Text inherit c="dimmed">
                Nothing matches.{' '}
                <Anchor component="button" type="button" onClick={() => setParams({}, { replace: true })}>
                  Show all
                </Anchor>
              </Text>
            ) : (
              <Box style={{ maxHeight: 640, overflow: 'auto' }} tabIndex={0} role="region" aria-label="Packs, the soonest due first">
                <Table>
                  <Table.Thead>
                    <Table.Tr>
                      <Table.Th>pack</Table.Th>
                      <Table.Th>code</Table.Th>
                      <Table.Th ta="right">inside</Table.Th>
                      <Table.Th>where</Table.Th>
                      <Table.Th ta="right">best by</Table.Th>
                    </Table.Tr>
                  </Table.Thead>
                  <Table.Tbody>
                    {shown.map((p) => (
                      <Table.Tr key={p.packId} style={p.packId === pack?.packId ? { background: 'var(--pale)' } : undefined}>
                        <Table.Td miw={250}>
                          <KindMark kind={p.kind} size={18} />{' '}
                          <Anchor
                            component="button"
                            td="none"
                            c="var(--ink)"
                            fw={700}
                            type="button"
                            style={{ display: 'inline' }}
                            onClick={() => setSelected(p.packId)}
                          >
                            {p.name}
                          </Anchor>
                          {!p.labelled && (
                            <>
                              {' '}
                              <Badge color="tomato">no label</Badge>
                            </>
                          )}
                        </Table.Td>
                        <Table.Td>
                          <Link to={`/p/${p.code}`}>{p.code}</Link>
                        </Table.Td>
                        <Table.Td ta="right">{amountOf(p)}</Table.Td>
                        <Table.Td fz={14} c="dimmed">
                          {p.status === 'fridge' ? (p.cold === 'thawing' ? 'thawing' : 'in the fridge') : placeName(places, p)}
                        </Table.Td>
                        <Table.Td ta="right">
                          {p.due.day === undefined ? '' : sayDay(p.due.day)} <DueTag due={p.due} />
                        </Table.Td>
                      </Table.Tr>
                    ))}
                  </Table.Tbody>
                </Table>
              </Box>
            )}
          </Card>
        </Stack>
      </Columns>
    </Page>
  );
}
