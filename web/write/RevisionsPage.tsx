import { Button, Card, Group, NativeSelect, Table, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Revision } from '#core/contract';
import { countOf, dayOf, sayDayYear } from '#core/kitchen';
import { differences, type Difference } from '#core/recipe';
import { useRevisionsQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { Columns } from '../ui/Columns.tsx';
import { Empty, Page, PageHead, Waiting } from '../ui/ui.tsx';
import { RecipeSheet } from '../draw/RecipeSheet.tsx';

const partNames: Readonly<Record<Difference['part'], string>> = {
  name: 'Name',
  makes: 'Makes',
  lines: 'Ingredients',
  steps: 'Method',
  keeping: 'Keeps like',
  words: 'Words',
};

/** Revisions of a recipe side by side: what one says otherwise than the other, and the way back to it. */
export function RevisionsPage() {
  const { id = '' } = useParams();
  const { currentData: data, error, refetch } = useRevisionsQuery(id);
  const [chosen, setChosen] = useState<{ older?: string; newer?: string }>({});
  const { write } = useCommands();
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const { recipe, revisions, timeZone: zone } = data;
  const nameOf = (r: Revision): string => {
    const at = new Date(r.madeAt).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: zone });
    return `${sayDayYear(dayOf(r.madeAt, zone))}, ${at}${r.id === recipe.revisionId ? ' (as it is now)' : ''}`;
  };
  const newer = revisions.find((r) => r.id === chosen.newer) ?? revisions.find((r) => r.id === recipe.revisionId) ?? revisions[0];
  const older = revisions.find((r) => r.id === chosen.older) ?? revisions.find((r) => r.id !== newer?.id);
  const found = older && newer ? differences(older, newer) : [];
  const options = revisions.map((r) => ({ value: r.id, label: nameOf(r) }));
  const back = (to: Revision): void =>
    void write(
      [{ table: 'recipe', id: recipe.id, data: { ...recipe, revisionId: to.id, name: to.name, kind: to.kind }, was: recipe }],
      `${recipe.name} is as it was on ${sayDayYear(dayOf(to.madeAt, zone))}`,
    );
  return (
    <Page>
      <PageHead
        title={`${recipe.name}: what changed`}
        lead={`${countOf(revisions.length, 'revision')}. What was cooked by one keeps it for good.`}
      >
        <Button component={Link} variant="outline" to={`/recipes/${id}`}>
          Back to the recipe
        </Button>
      </PageHead>
      {!older || !newer ? (
        <Empty
          title="Written once"
          drawing={<RecipeSheet />}
          text="It has not been changed since. Each change stands here beside the one before."
        />
      ) : (
        <Card aria-label="Side by side">
          <Columns parts={[1, 1]}>
            <NativeSelect
              label="Before"
              value={older.id}
              data={options}
              onChange={(e) => setChosen({ ...chosen, older: e.currentTarget.value })}
            />
            <NativeSelect
              label="After"
              value={newer.id}
              data={options}
              onChange={(e) => setChosen({ ...chosen, newer: e.currentTarget.value })}
            />
          </Columns>
          {found.length === 0 ? (
            <Text mt={14}>Nothing that counts is different between these two.</Text>
          ) : (
            <Table mt={14} layout="fixed">
              <Table.Thead>
                <Table.Tr>
                  <Table.Th w={110}>part</Table.Th>
                  <Table.Th>before</Table.Th>
                  <Table.Th>after</Table.Th>
                </Table.Tr>
              </Table.Thead>
              <Table.Tbody>
                {found.map((d, i) => (
                  <Table.Tr key={`${d.part} ${d.before ?? ''} ${d.after ?? ''}`}>
                    <Table.Td>{found[i - 1]?.part === d.part ? '' : <b>{partNames[d.part]}</b>}</Table.Td>
                    <Table.Td>
                      {d.before === undefined ? (
                        <Text span c="dimmed">
                          not there
                        </Text>
                      ) : (
                        <Text span td={d.after === undefined ? 'line-through' : undefined}>
                          {d.before}
                        </Text>
                      )}
                    </Table.Td>
                    <Table.Td>
                      {d.after === undefined ? (
                        <Text span c="dimmed">
                          gone
                        </Text>
                      ) : (
                        <b>{d.after}</b>
                      )}
                    </Table.Td>
                  </Table.Tr>
                ))}
              </Table.Tbody>
            </Table>
          )}
          {older.id !== recipe.revisionId && (
            <Group mt={14}>
              <Button variant="outline" onClick={() => back(older)}>
                Make it as it was before
              </Button>
              <Title order={3} fw={400} fz={15} c="dimmed">
                Nothing is lost by it: both stay here.
              </Title>
            </Group>
          )}
        </Card>
      )}
    </Page>
  );
}
