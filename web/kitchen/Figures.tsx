import { Anchor, Badge, Box, Card, Group, NativeSelect, Text, TextInput, VisuallyHidden } from '@mantine/core';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { z } from 'zod';
import { isReadCell, referenceTables, unreadCells, type ReferenceTable } from '#core/contract';
import { capital, countOf, referenceOnly, tableReaders, type ReferenceRow } from '#core/kitchen';
import { sources } from '#core/kitchen/data';
import { useReferenceQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { Waiting, Why } from '../ui/ui.tsx';
import { Field } from '../form/fields.tsx';
import { FormSheet } from '../form/FormSheet.tsx';
import { useContractForm } from '../form/useContractForm.ts';
import { useOpened } from '../form/useOpened.ts';
import { DataTable, type Column } from '../ui/DataTable.tsx';
import { Note } from '../ui/Note.tsx';

const tableNames: Readonly<Record<Exclude<ReferenceTable, 'ingredient'>, string>> = {
  life: 'How long things last',
  keep: 'Keeping fresh things',
  zone: 'Places to keep',
  washing: 'Wash now or later',
  blanch: 'Blanching minutes',
  blanch_rule: 'How to blanch',
  puree: 'Purees',
  pressure: 'Pressure and microwave',
  thickness_step: 'Thinner and thicker',
  trim: 'Trim',
  cooked: 'Cooked weight',
  density: 'Weight by volume',
  texture: 'Textures in the freezer',
  seasoning: 'Seasonings in the freezer',
  freezing: 'What freezing does',
  scrap: 'Scraps for broth',
  broth: 'Broths',
  hazard: 'Hazards',
  hot_blending: 'Hot blending and steam',
  clock: 'Clocks',
  setpoint: 'Temperatures',
  portion: 'Portions',
  headspace: 'Headspace',
  bag: 'Bags',
  tub: 'Tubs, jars and trays',
  pan: 'Foil pans',
  material: 'Materials',
  space: 'Freezer room',
  reheat: 'Reheating',
  thaw: 'Thawing',
  thickness: 'Thicker packs',
  allergen: 'Allergens',
  hidden_allergen: 'Hidden allergens',
};

const skipped = new Set(['id', 'source', 'conf', 'refRows']);
const said = (value: unknown): string =>
  typeof value === 'object' && value !== null && 'low' in value
    ? `${String((value as { low: number }).low)}-${String((value as { high?: number }).high)}`
    : String(value);

/** `waterMin` as a head: water min. */
const headOf = (column: string): string =>
  capital(
    column
      .replace(/([A-Z])/g, ' $1')
      .toLowerCase()
      .replace(/ pct$/, ' %')
      .replace(/ c$/, ' °C'),
  );

function columnsOf(rows: readonly { row: ReferenceRow }[]): string[] {
  const seen = new Set(rows.flatMap(({ row }) => Object.keys(row)));
  return [...seen].filter((c) => !skipped.has(c));
}

const isRange = (value: unknown): value is object => typeof value === 'object' && value !== null;

/** A row as a form edits it: numbers stay numbers, ranges and words are typed as words. */
const formOf = (columns: readonly string[], row: ReferenceRow) =>
  z.object(
    Object.fromEntries(
      columns.map((c) => [
        c,
        typeof row[c] === 'number'
          ? z.number().optional()
          : isRange(row[c])
            ? z
                .string()
                .regex(/^\d+(?:[.,]\d+)?\s*-\s*\d+(?:[.,]\d+)?$/, 'two figures such as 3-4')
                .optional()
            : z.string().max(800).optional(),
      ]),
    ),
  );

const rangeOf = (text: string): { low: number; high: number } => {
  const [low = 0, high = 0] = text.split('-').map((x) => Number(x.replace(',', '.')));
  return { low, high };
};

function RowForm({
  table,
  row,
  columns,
  state,
  onClose,
}: {
  table: ReferenceTable;
  row: ReferenceRow;
  columns: readonly string[];
  state: string;
  onClose: () => void;
}) {
  const { write } = useCommands();
  const id = `${table}:${row.id}`;
  const put = (next: Record<string, unknown> | null, says: string): void => {
    const data = next && { id, table, row: { ...next, id: row.id, source: row.source, conf: row.conf } };
    void write([{ table: 'reference', id, data, was: null }], says);
    form.drop();
    onClose();
  };
  const [schema] = useState(() => formOf(columns, row));
  const form = useContractForm({
    schema,
    was: null,
    blank: Object.fromEntries(columns.flatMap((c) => (row[c] === undefined ? [] : [[c, isRange(row[c]) ? said(row[c]) : row[c]]]))),
    draftKey: `figure ${id}`,
    name: () => `A figure: ${said(row[columns[0] ?? 'id'] ?? row.id)}`,
    path: `/kitchen?tab=figures&t=${table}&edit=${encodeURIComponent(row.id)}`,
    together: (value) => Object.fromEntries(unreadCells(table, { ...value, id: row.id }).map((c) => [c.column, c.message])),
    onKeep: (value) =>
      put(
        Object.fromEntries(Object.entries(value).map(([c, v]) => [c, isRange(row[c]) ? rangeOf(String(v)) : v])),
        'Your own figure is kept; what ships stays beside it',
      ),
  });
  return (
    <FormSheet form={form} title={String(row[columns[0] ?? 'id'] ?? row.id)} onClose={onClose}>
      {state === 'edited' && (
        <Note>
          Changed here.{' '}
          <Anchor component="button" type="button" onClick={() => put(null, 'As it was shipped')}>
            Set back to what ships
          </Anchor>
        </Note>
      )}
      <Group align="flex-start">
        {columns.map((c) => (
          <Field
            key={c}
            label={headOf(c)}
            {...(isReadCell(table, row.id, c) && { unit: 'reckoned with' })}
            width={(form.values[c] ?? '').length > 24 ? 560 : 190}
            {...form.field(c)}
          />
        ))}
      </Group>
      <Text size="xs" c="dimmed">
        Shipped from {row.source}. A safety figure is the body’s own: change it only to what your local rules say.
      </Text>
    </FormSheet>
  );
}

const mostColumns = 6;

type Row = { row: ReferenceRow; state: string };

/** Where a row comes from, spelled out by a tap, and whether it is the household's own or wants to be checked. */
function Source({ row, state }: Row) {
  const codes = row.source.split(/[;,] ?/).filter(Boolean);
  return (
    <Group gap={8}>
      <Why label={`Source ${codes.join(', ')}`} says={codes.join(', ')}>
        {codes.map((s) => (
          <p key={s}>
            <b>{s}</b>: {sources[s] ?? 'named in the row'}.
          </p>
        ))}
      </Why>
      {state !== 'shipped' && <Badge color="leaf">yours</Badge>}
      {row.conf === 'confirm' && <Badge color="saffron">check yours</Badge>}
    </Group>
  );
}

type Named = keyof typeof tableNames;
const named = (tables: readonly ReferenceTable[]): Named[] =>
  tables.filter((t): t is Named => t !== 'ingredient').toSorted((a, b) => tableNames[a].localeCompare(tableNames[b]));
const readBy = (how: 'computes' | 'shown'): Named[] => named(referenceTables.filter((t) => tableReaders[t]?.how === how));

/** Tables by what they are for. */
const groups: readonly (readonly [string, readonly Named[]])[] = [
  ['Tambo reckons with these', readBy('computes')],
  ['Shown with each food', readBy('shown')],
  ['To look things up only', named(referenceOnly)],
];

/** Every shipped figure with its source; a household may keep its own beside it, and set it back row by row. */
export function Figures() {
  const [params, setParams] = useSearchParams();
  const [q, setQ] = useState('');
  const editing = useOpened();
  const asked = params.get('t');
  const table = (referenceTables.find((t) => t === asked && t !== 'ingredient') ?? 'blanch') as keyof typeof tableNames;
  const { data, error, refetch, isFetching } = useReferenceQuery(table);
  const rows = useMemo(() => {
    const words = q.toLowerCase().split(/\s+/).filter(Boolean);
    return (data?.rows ?? []).filter(({ row }) => {
      const text = Object.values(row).map(said).join(' ').toLowerCase();
      return words.every((w) => text.includes(w));
    });
  }, [data, q]);
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const reader = tableReaders[table];
  const columns = columnsOf(data.rows);
  const shown: readonly Column<Row>[] = [
    ...columns.slice(0, mostColumns).map((c, i): Column<Row> => ({
      key: c,
      head: headOf(c),
      by: ({ row }) => (typeof row[c] === 'number' ? row[c] : said(row[c] ?? '')),
      cell: ({ row }) => (i === 0 ? <b>{said(row[c] ?? '')}</b> : said(row[c] ?? '–')),
    })),
    { key: 'source', head: 'Source', cell: (r) => <Source {...r} /> },
    {
      key: 'change',
      head: '',
      align: 'right',
      cell: ({ row, state }) =>
        (reader || state !== 'shipped') && (
          <Anchor
            component="button"
            size="xs"
            type="button"
            onClick={() => editing.open(row.id)}
            aria-label={`Change ${said(row[columns[0] ?? 'id'] ?? row.id)}`}
          >
            change
          </Anchor>
        ),
    },
  ];
  const open = data.rows.find((r) => r.row.id === editing.id);
  return (
    <Card aria-label="Figures">
      <Group gap={10}>
        <Group wrap="nowrap" component="label" gap={8}>
          <VisuallyHidden>Table</VisuallyHidden>
          <NativeSelect
            aria-label="Table"
            value={table}
            onChange={(e) => setParams({ tab: 'figures', t: e.currentTarget.value }, { replace: true })}
          >
            {groups.map(([label, tables]) => (
              <optgroup key={label} label={label}>
                {tables.map((id) => (
                  <option key={id} value={id}>
                    {tableNames[id]}
                  </option>
                ))}
              </optgroup>
            ))}
          </NativeSelect>
        </Group>
        <TextInput
          flex={1}
          miw={190}
          type="search"
          placeholder="Search this table"
          aria-label="Search this table"
          value={q}
          onChange={(e) => setQ(e.currentTarget.value)}
        />
        <Text span size="xs" c="dimmed" role="status">
          {isFetching && data.table !== table ? 'One moment' : countOf(rows.length, 'row')}
        </Text>
      </Group>
      <Text c="dimmed" mt={8}>
        {reader
          ? `A change here moves ${reader.says}.`
          : 'Reference only: nothing is worked out from this table, so there is nothing to change. Figures that Tambo reckons with itself stand where they are used, with their source.'}
      </Text>
      <Box mt={12} style={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label={tableNames[table]}>
        <DataTable key={table} label={tableNames[table]} columns={shown} rows={rows} rowKey={({ row }) => row.id} />
      </Box>
      {open && (
        <RowForm key={open.row.id + open.state} table={table} row={open.row} columns={columns} state={open.state} onClose={editing.close} />
      )}
    </Card>
  );
}
