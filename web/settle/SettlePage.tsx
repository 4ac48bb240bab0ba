import { Anchor, Button, Card, Group, Stack, Table, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { clockOf, countOf, dayOf, sayWeekday } from '#core/kitchen';
import type { ClashBrief, Unreadable } from '#core/queries';
import { useFrameQuery } from '../sync/api.ts';
import { useCommands, type NewChange } from '../sync/commands.ts';
import { device } from '../sync/device.ts';
import { Empty, PageHead, Waiting, Page } from '../ui/ui.tsx';
import { documentWords, fieldOf, valueOf } from './words.ts';

/** One document that two devices changed differently: both beside each other, and one tap for each. */
function Clash({ clash, zone }: { clash: ClashBrief; zone: string }) {
  const { write } = useCommands();
  const { table, rowId, here, mine, id } = clash;
  const name = clash.name ?? documentWords[table];
  const other = clash.device === device ? 'this device' : 'another device';
  const keep = (data: unknown, says: string): void =>
    void write([{ table, id: rowId, data, was: here } as NewChange], says, { settles: id });
  return (
    <Card aria-label={name}>
      <Title order={2}>{name}</Title>
      <Text inherit c="dimmed">
        {documentWords[table]}, changed in two places: “{clash.label}” came from {other} on {sayWeekday(dayOf(clash.at, zone))} at{' '}
        {clockOf(clash.at, zone)}, made before it had heard of the other change. Both are kept until you choose.
      </Text>
      <Table mt={10}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>What differs</Table.Th>
            <Table.Th>Stands here now</Table.Th>
            <Table.Th>From {other}</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {clash.differences.slice(0, 12).map((d) => (
            <Table.Tr key={d.path}>
              <Table.Td>{fieldOf(d.names)}</Table.Td>
              <Table.Td>{here === null ? 'taken off' : valueOf(d.here)}</Table.Td>
              <Table.Td>{mine === null ? 'taken off' : valueOf(d.mine)}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      {clash.differences.length > 12 && (
        <Text size="xs" c="dimmed">
          and {clash.differences.length - 12} more
        </Text>
      )}
      <Group mt={14}>
        <Button variant="outline" onClick={() => keep(here, `${name} stays as it is here`)}>
          {here === null ? 'Leave it taken off' : 'Keep what stands here'}
        </Button>
        <Button onClick={() => keep(mine, `${name}: the other version stands`)}>
          {mine === null ? 'Take it off' : `Take the one from ${other}`}
        </Button>
      </Group>
    </Card>
  );
}

/** One document that cannot be read: what is known of it, and the ways on. */
function Broken({ broken, zone }: { broken: Unreadable; zone: string }) {
  const { undo, write } = useCommands();
  const name = broken.name ?? documentWords[broken.table];
  const { last } = broken;
  return (
    <Card aria-label={name}>
      <Title order={2}>{name}</Title>
      <Text inherit c="dimmed">
        {documentWords[broken.table]}. It cannot be read, so it is left out everywhere; nothing of it is lost. What is wrong: {broken.why}.
      </Text>
      {last && (
        <Text size="xs" c="dimmed">
          Last changed by “{last.label}” on {sayWeekday(dayOf(last.at, zone))} at {clockOf(last.at, zone)}.
        </Text>
      )}
      <Group mt={14}>
        {last && <Button onClick={() => void undo({ kind: 'write', writeId: last.writeId })}>Take that change back</Button>}
        {broken.table === 'session' && (
          <Button component={Link} variant="outline" to={`/plan/${broken.id}`}>
            Open it
          </Button>
        )}
        {broken.table !== 'household' && broken.table !== 'recipe_revision' && (
          <Button
            variant="outline"
            onClick={() => void write([{ table: broken.table, id: broken.id, data: null, was: null } as NewChange], `${name} is taken off`)}
          >
            Take it off
          </Button>
        )}
        <Anchor component={Link} to="/history">
          All changes
        </Anchor>
      </Group>
    </Card>
  );
}

/** What the household has to be asked about: two versions of one thing, and what cannot be read. */
export function SettlePage() {
  const { data, error, refetch } = useFrameQuery();
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const zone = data.household.timeZone;
  const count = data.clashes.length + data.unreadable.length;
  return (
    <Page>
      <PageHead title="To settle" lead={count === 0 ? 'Nothing waits for you.' : `${countOf(count, 'thing')} to settle, nothing lost.`} />
      {count === 0 && (
        <Empty title="All is settled" text="When two devices change one thing differently, or something cannot be read, you find it here.">
          <Button component={Link} to="/">
            To Today
          </Button>
        </Empty>
      )}
      <Stack>
        {data.clashes.map((c) => (
          <Clash key={c.id} clash={c} zone={zone} />
        ))}
        {data.unreadable.map((u) => (
          <Broken key={`${u.table} ${u.id}`} broken={u} zone={zone} />
        ))}
      </Stack>
    </Page>
  );
}
