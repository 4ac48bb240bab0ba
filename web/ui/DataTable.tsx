import { Box, Group, Pagination, Table, Text, UnstyledButton } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { countOf } from '#core/kitchen';
import { tableRows } from './tableRows.ts';
import c from './DataTable.module.css';

/** One column: a new one is a line in a list of these. */
export interface Column<Row> {
  key: string;
  head: string;
  cell: (row: Row) => ReactNode;
  /** What it is sorted by; without it the head is no button. */
  by?: (row: Row) => string | number;
  align?: 'right';
}

interface Props<Row> {
  label: string;
  columns: readonly Column<Row>[];
  /** In the order they come in until a head is tapped. */
  rows: readonly Row[];
  rowKey: (row: Row) => string;
  /** The row that is open. */
  chosen?: string | undefined;
  pageSize?: number;
}

type Sort = { key: string; down: boolean } | undefined;

/** A table of many rows: sorted by a tap on a head, twenty-five a page, one card a row on a phone. */
export function DataTable<Row>({ label, columns, rows, rowKey, chosen, pageSize = 25 }: Props<Row>) {
  const [sort, setSort] = useState<Sort>();
  const [page, setPage] = useState(1);
  const {
    shown,
    from,
    page: at,
    pages,
  } = tableRows(rows, { by: columns.find((x) => x.key === sort?.key)?.by, down: sort?.down }, page, pageSize);
  const turn = (key: string): void => {
    setSort((was) => (was?.key !== key ? { key, down: false } : was.down ? undefined : { key, down: true }));
    setPage(1);
  };
  return (
    <>
      <Table className={c.table} aria-label={label}>
        <Table.Thead>
          <Table.Tr>
            {columns.map((x) => (
              <Table.Th
                key={x.key}
                ta={x.align}
                aria-sort={x.by && (sort?.key !== x.key ? 'none' : sort.down ? 'descending' : 'ascending')}
              >
                {x.by ? (
                  <UnstyledButton className={c.head} onClick={() => turn(x.key)}>
                    {x.head}
                    <span aria-hidden>{sort?.key !== x.key ? '' : sort.down ? ' ▾' : ' ▴'}</span>
                  </UnstyledButton>
                ) : (
                  x.head
                )}
              </Table.Th>
            ))}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {shown.map((row) => {
            const key = rowKey(row);
            return (
              <Table.Tr key={key} bg={key === chosen ? 'var(--pale)' : undefined}>
                {columns.map((x) => (
                  <Table.Td key={x.key} ta={x.align} data-head={x.head}>
                    <div>{x.cell(row)}</div>
                  </Table.Td>
                ))}
              </Table.Tr>
            );
          })}
        </Table.Tbody>
      </Table>
      {pages > 1 && (
        <Group justify="space-between" mt={10}>
          <Text size="xs" c="dimmed" role="status">
            {from + 1} to {from + shown.length} of {countOf(rows.length, 'row')}
          </Text>
          <Box component="nav" aria-label={`Pages of ${label}`}>
            <Pagination
              value={at}
              total={pages}
              onChange={setPage}
              siblings={1}
              getControlProps={(control) => ({ 'aria-label': { first: 'First', previous: 'Before', next: 'Next', last: 'Last' }[control] })}
              getItemProps={(n) => ({ 'aria-label': `Page ${n}` })}
            />
          </Box>
        </Group>
      )}
    </>
  );
}
