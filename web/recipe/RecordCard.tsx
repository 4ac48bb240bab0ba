import { Anchor, Box, Card, Group, Stack, Table, Text, Title } from '@mantine/core';
import { memo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { countOf, listOf, sayDayYear, sayMinutes, sayNear, sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import type { MadeRun, RecipeAnswer, RecordAnswer } from '#core/queries';
import { useRecordQuery } from '../sync/api.ts';
import { useMeasures } from '../sync/measures.ts';
import { Columns } from '../ui/Columns.tsx';
import { DataTable, type Column } from '../ui/DataTable.tsx';
import { Rows } from '../ui/Rows.tsx';
import { Stars } from '../ui/Stars.tsx';
import { useRate } from '../ui/useRate.ts';
import { Why } from '../ui/ui.tsx';
import c from './Recipe.module.css';

/** A part of the record under its own small head. */
const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <Box component="section" aria-label={title}>
    <Title order={3} fz={17} mb={4}>
      {title}
    </Title>
    {children}
  </Box>
);

const timesOf = (n: number): string => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);

const off = (is: number, planned: number): string => {
  const pct = Math.round((is / planned - 1) * 100);
  return pct === 0 ? 'as planned' : `${Math.abs(pct)} % ${pct < 0 ? 'under' : 'over'}`;
};

function Runs({ record }: { record: RecordAnswer }) {
  const { sayMass, sayVolume } = useMeasures();
  const amount = (n: number, unit: 'g' | 'ml'): string => (unit === 'g' ? sayMass(n) : sayVolume(n));
  const columns: readonly Column<MadeRun>[] = [
    {
      key: 'day',
      head: 'Made',
      cell: (r) => (
        <Anchor component={Link} to={`/plan/${r.sessionId}`} title={r.session}>
          {sayDayYear(r.day)}
        </Anchor>
      ),
    },
    { key: 'planned', head: 'Portions planned', cell: (r) => sayPortions(r.planned), align: 'right' },
    { key: 'packed', head: 'Packed', cell: (r) => sayPortions(r.packed), align: 'right' },
    {
      key: 'out',
      head: 'Came out',
      cell: (r) => (r.weighed ? amount(r.weighed.weighed, r.weighed.unit) : 'not weighed'),
      align: 'right',
    },
    {
      key: 'yield',
      head: 'Against the plan',
      cell: (r) => (r.weighed ? off(r.weighed.weighed, r.weighed.planned) : ''),
      align: 'right',
    },
    {
      key: 'took',
      head: 'Took',
      cell: (r) => (r.minutes ? sayMinutes(r.minutes.took) : 'not timed'),
      align: 'right',
    },
    {
      key: 'minutes',
      head: 'As written',
      cell: (r) =>
        r.minutes && (
          <>
            {sayMinutes(r.minutes.planned)}{' '}
            <Why label={`minutes of ${sayDayYear(r.day)}`}>
              {r.minutes.timed} of {countOf(r.minutes.of, 'piece')} of work were timed; both figures are of those, hands and waiting
              together. Work for several dishes counts in equal parts.
            </Why>
          </>
        ),
      align: 'right',
    },
  ];
  return (
    <DataTable label="Times it was made" columns={columns} rows={record.runs} rowKey={(r) => `${r.sessionId} ${r.day}`} pageSize={8} />
  );
}

/** What became of a recipe: runs against the plan, who liked it, where its packs stand, what it goes with. */
export const RecordCard = memo(function RecordCard({ data }: { data: RecipeAnswer }) {
  const { data: record } = useRecordQuery(data.recipe.id);
  const rate = useRate();
  if (!record) return null;
  const { kind, name } = data.revision;
  return (
    <Card className={c.record} aria-label="Its record" mt={16}>
      <Group justify="space-between" align="baseline" mb={8}>
        <Title order={2}>Its record</Title>
        <Text c="dimmed">
          {record.timesMade === 0
            ? 'Not made here yet.'
            : `Made ${timesOf(record.timesMade)}${record.runs[0] ? `, last ${sayNear(record.runs[0].day, data.today)}` : ''}.`}
        </Text>
      </Group>
      {record.runs.length > 0 && <Runs record={record} />}
      <Columns parts={[1, 1, 1]} align="start" mt={16}>
        <Part title="Who likes it">
          {record.eaters.length === 0 ? (
            <Text c="dimmed">Nobody eats here yet.</Text>
          ) : (
            <Stack gap={6}>
              {record.eaters.map((e) => (
                <Group key={e.eaterId} justify="space-between" gap="0 8px">
                  <span>{e.name}</span>
                  <Stars
                    label={e.name}
                    value={e.stars ?? 0}
                    onChange={(stars) =>
                      rate({ recipeId: data.recipe.id, name, day: data.today }, { id: e.eaterId, name: e.name, seen: e.seen }, stars)
                    }
                  />
                </Group>
              ))}
              <Text size="sm" c="dimmed">
                {record.stars === undefined
                  ? 'Nobody has said yet.'
                  : `${record.stars} of 5 at this table; each counts once, by what they said last.`}
              </Text>
            </Stack>
          )}
        </Part>
        <Part title="In store">
          {record.stands.length === 0 ? (
            <Text c="dimmed">None.</Text>
          ) : (
            <Table>
              <Table.Tbody>
                {record.stands.map((s) => (
                  <Table.Tr key={`${s.placeId ?? ''} ${s.zone}`}>
                    <Table.Td>{s.zone ? `${s.place}, ${s.zone}` : s.place}</Table.Td>
                    <Table.Td ta="right">{countOf(s.packs, 'pack')}</Table.Td>
                    <Table.Td ta="right">
                      {sayPortions(s.portions)} {portionName(kind, s.portions)}
                    </Table.Td>
                  </Table.Tr>
                ))}
              </Table.Tbody>
            </Table>
          )}
        </Part>
        <Part title="Goes with">
          {record.pairs.length === 0 ? (
            <Text c="dimmed">Nothing that shared its cutting yet.</Text>
          ) : (
            <Rows>
              {record.pairs.map((p) => (
                <li key={p.recipeId} data-tight>
                  <Box className="grow">
                    <Anchor component={Link} to={`/recipes/${p.recipeId}`}>
                      {p.name}
                    </Anchor>
                    <Text component="div" size="sm" c="dimmed">
                      {timesOf(p.times)} in one session
                      {p.shares.length > 0 ? `, ${listOf(p.shares.slice(0, 3))} cut once for both` : ''}
                    </Text>
                  </Box>
                </li>
              ))}
            </Rows>
          )}
        </Part>
      </Columns>
    </Card>
  );
});
