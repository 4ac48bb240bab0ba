import { Anchor, Box, Button, Card, Group, Text, TextInput, Title } from '@mantine/core';
import { useState } from 'react';
import type { WritableOf } from '#core/contract';
import { clockOf, dayOf, sayWeekday } from '#core/kitchen';
import type { DeletedThing } from '#core/queries';
import { useDeletedQuery } from '../sync/api.ts';
import { useCommands, type NewChange } from '../sync/commands.ts';
import { documentWords } from '../settle/words.ts';
import { Rows } from '../ui/Rows.tsx';

/** Shown at once; the rest is found by its name. */
const shownAtOnce = 12;

/** What was taken away: it lies here as it was, and comes back whole. */
export function TakenAway({ zone }: { zone: string }) {
  const { data } = useDeletedQuery();
  const { write } = useCommands();
  const [q, setQ] = useState('');
  const [all, setAll] = useState(false);
  const found = (data ?? []).filter((d) => `${d.name} ${documentWords[d.table]}`.toLowerCase().includes(q.toLowerCase()));
  const back = (d: DeletedThing): void =>
    void write(
      [{ table: d.table, id: d.id, data: d.data as WritableOf<typeof d.table>, was: null } as NewChange],
      `${d.name || documentWords[d.table]} is back`,
    );
  return (
    <Card aria-label="Taken away" mt={16}>
      <Group justify="space-between" align="baseline" mb={8}>
        <Title order={2}>Taken away</Title>
        {(data?.length ?? 0) > 0 && (
          <TextInput
            type="search"
            placeholder="Name"
            aria-label="Find what was taken away"
            value={q}
            onChange={(e) => setQ(e.currentTarget.value)}
          />
        )}
      </Group>
      {found.length === 0 ? (
        <Text c="dimmed">{data?.length ? 'Nothing of that name.' : 'Nothing was taken away. What is, lies here as it was.'}</Text>
      ) : (
        <Rows>
          {found.slice(0, all ? undefined : shownAtOnce).map((d) => (
            <li key={`${d.table} ${d.id}`}>
              <Box className="grow">
                <b>{d.name || documentWords[d.table]}</b>
                <Text component="div" size="sm" c="dimmed">
                  {documentWords[d.table]}, {sayWeekday(dayOf(d.at, zone))} {clockOf(d.at, zone)}
                </Text>
              </Box>
              <Button variant="outline" size="sm" aria-label={`Bring back ${d.name || documentWords[d.table]}`} onClick={() => back(d)}>
                Bring back
              </Button>
            </li>
          ))}
        </Rows>
      )}
      {!all && found.length > shownAtOnce && (
        <Anchor component="button" type="button" size="sm" onClick={() => setAll(true)}>
          {found.length - shownAtOnce} more
        </Anchor>
      )}
    </Card>
  );
}
