import { Anchor, Badge, Card, Group, SegmentedControl, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Place } from '#core/contract';
import { countOf, sayDay, sayPortions } from '#core/kitchen';
import type { PackBrief } from '#core/queries';
import { portionName } from '#core/session';
import { pilesOf } from '#core/store';
import { KindMark } from '../draw/KindMark.tsx';
import { DataTable, type Column } from '../ui/DataTable.tsx';
import { DueTag } from '../ui/ui.tsx';
import { amountOf, placeName } from '../ui/packWords.ts';
import type { PackPile } from './Freezer.tsx';

interface Props {
  packs: readonly PackBrief[];
  of: number;
  places: readonly Place[];
  chosen: PackBrief | undefined;
  onChoose: (p: PackBrief) => void;
  onAll: () => void;
}

const whereOf = (places: readonly Place[], p: PackBrief): string =>
  p.status === 'fridge' ? (p.cold === 'thawing' ? 'thawing' : 'in the fridge') : placeName(places, p);

/** Rows that stand below the freezers at once. */
const pageSize = 15;

/** What nobody dated stands before all that is dated. */
const day = (p: { due: { day?: string } } | undefined): string => p?.due.day ?? '';

const named = (kind: PackBrief['kind'], name: string, onClick: () => void) => (
  <Group gap={6} wrap="nowrap" component="span">
    <KindMark kind={kind} size={18} />
    <Anchor component="button" type="button" td="none" c="var(--ink)" fw={700} ta="left" onClick={onClick}>
      {name}
    </Anchor>
  </Group>
);

/** All that is in store: by dish, or every pack; sorted by a tap, some a page. */
export function StoreList({ packs, of, places, chosen, onChoose, onAll }: Props) {
  const [by, setBy] = useState('dish');
  const filtered = packs.length < of;
  const choose = (p: PackBrief | undefined) => () => p && onChoose(p);
  const dishes: readonly Column<PackPile>[] = [
    { key: 'dish', head: 'dish', by: (p) => p.name, cell: (p) => named(p.kind, p.name, choose(p.packs[0])) },
    { key: 'packs', head: 'packs', align: 'right', by: (p) => p.packs.length, cell: (p) => p.packs.length },
    {
      key: 'inside',
      head: 'in all',
      align: 'right',
      by: (p) => p.left,
      cell: (p) => `${sayPortions(p.left)}\u00A0${portionName(p.kind, p.left)}`,
    },
    {
      key: 'first',
      head: 'first by',
      align: 'right',
      by: (p) => day(p.packs[0]),
      cell: (p) => (
        <>
          {p.soonest && sayDay(p.soonest)} {p.packs[0] && <DueTag due={p.packs[0].due} />}
        </>
      ),
    },
    {
      key: 'where',
      head: 'where',
      cell: (p) => (
        <Text span c="dimmed" fz={14}>
          {[...new Set(p.packs.map((x) => whereOf(places, x)))].join('; ')}
        </Text>
      ),
    },
  ];
  const singles: readonly Column<PackBrief>[] = [
    {
      key: 'pack',
      head: 'pack',
      by: (p) => p.name,
      cell: (p) => (
        <>
          {named(p.kind, p.name, choose(p))} {!p.labelled && <Badge color="tomato">no label</Badge>}
        </>
      ),
    },
    { key: 'code', head: 'code', by: (p) => p.code, cell: (p) => <Link to={`/p/${p.code}`}>{p.code}</Link> },
    { key: 'inside', head: 'inside', align: 'right', by: (p) => p.left, cell: amountOf },
    {
      key: 'where',
      head: 'where',
      by: (p) => whereOf(places, p),
      cell: (p) => (
        <Text span c="dimmed" fz={14}>
          {whereOf(places, p)}
        </Text>
      ),
    },
    {
      key: 'by',
      head: 'best by',
      align: 'right',
      by: day,
      cell: (p) => (
        <>
          {p.due.day !== undefined && sayDay(p.due.day)} <DueTag due={p.due} />
        </>
      ),
    },
  ];
  return (
    <Card aria-label="Packs as a list">
      <Group justify="space-between" mb={8}>
        <Title order={2}>
          {filtered
            ? `${countOf(packs.length, 'pack')} of ${of}`
            : by === 'dish'
              ? 'By dish, the soonest first'
              : 'All packs, the soonest first'}
        </Title>
        <SegmentedControl
          aria-label="Listed by"
          value={by}
          onChange={setBy}
          data={[
            { value: 'dish', label: 'by dish' },
            { value: 'pack', label: 'every pack' },
          ]}
        />
      </Group>
      {packs.length === 0 ? (
        <Text inherit c="dimmed">
          Nothing matches.{' '}
          <Anchor component="button" type="button" onClick={onAll}>
            Show all
          </Anchor>
        </Text>
      ) : by === 'dish' ? (
        <DataTable
          key="dishes"
          label="Dishes in store"
          columns={dishes}
          rows={pilesOf(packs, 'dish')}
          rowKey={(p) => p.key}
          pageSize={pageSize}
        />
      ) : (
        <DataTable
          key="packs"
          label="Packs in store"
          columns={singles}
          rows={packs}
          rowKey={(p) => p.packId}
          chosen={chosen?.packId}
          pageSize={pageSize}
        />
      )}
    </Card>
  );
}
