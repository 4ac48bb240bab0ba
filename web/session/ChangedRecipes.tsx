import { Button, Card, Group, List, Table, Text, Title } from '@mantine/core';
import { listOf, sayMinutes } from '#core/kitchen';
import { declineRevisions, withRevisions } from '#core/queries';
import { useChangesQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { Note } from '../ui/Note.tsx';

/** Recipes that were changed since a session was planned: what that would change here, taken or left in one tap. */
export default function ChangedRecipes({ sessionId }: { sessionId: string }) {
  const { data } = useChangesQuery(sessionId);
  const { write } = useCommands();
  if (!data || data.dishes.length === 0) return null;
  const { session, dishes, lines, minutes, undone } = data;
  const names = listOf(dishes.map((d) => d.name));
  const bought = lines.filter((l) => l.ticked);
  return (
    <Card mb={16} data-tone="saffron" aria-label="Changed since it was planned">
      <Title order={2}>{names}: changed since this was planned</Title>
      <List my={8}>
        {dishes.flatMap((d) =>
          d.differences
            .slice(0, 6)
            .map((x) => (
              <List.Item key={`${d.batchId} ${x.before ?? ''} ${x.after ?? ''}`}>
                {x.before === undefined
                  ? `New: ${x.after ?? ''}`
                  : x.after === undefined
                    ? `Gone: ${x.before}`
                    : `${x.after}, was ${x.before}`}
              </List.Item>
            )),
        )}
      </List>
      {lines.length > 0 && (
        <Table aria-label="What it changes on the list" mb={8}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>To buy</Table.Th>
              <Table.Th ta="right">as planned</Table.Th>
              <Table.Th ta="right">as it is now</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {lines.map((l) => (
              <Table.Tr key={l.key}>
                <Table.Td>{l.name}</Table.Td>
                <Table.Td ta="right">{l.before ?? 'none'}</Table.Td>
                <Table.Td ta="right">{l.after ?? 'none'}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
      <Text c="dimmed" mb={10}>
        {minutes.after === minutes.before
          ? 'As much work as before.'
          : `${sayMinutes(minutes.after)} of hands, ${sayMinutes(minutes.before)} as planned.`}{' '}
        What was ticked, cooked and packed stays.
      </Text>
      {bought.length > 0 && <Note tone="warn">In the basket or at home already: {listOf(bought.map((l) => l.name))}.</Note>}
      {undone.length > 0 && <Note tone="warn">Done already, and no part of it any more: {listOf(undone)}.</Note>}
      <Group mt={10}>
        <Button
          onClick={() =>
            void write(
              [{ table: 'session', id: session.id, data: withRevisions(session, dishes), was: session }],
              `${session.name} takes ${names} as it is now`,
            )
          }
        >
          Take it as it is now
        </Button>
        <Button
          variant="outline"
          onClick={() =>
            void write(
              [{ table: 'session', id: session.id, data: declineRevisions(session, dishes), was: session }],
              `${names} stays as it was planned`,
            )
          }
        >
          Leave it as planned
        </Button>
      </Group>
    </Card>
  );
}
