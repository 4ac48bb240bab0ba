import { Button, Card, Group, Text } from '@mantine/core';
import { memo, useMemo } from 'react';
import type { LibraryQuery, RecipeBrief } from '#core/queries';
import { latelyDays, longDays, seasons } from '#core/queries';
import { useFindQuery } from '../../sync/api.ts';
import { Columns } from '../../ui/Columns.tsx';
import { IngredientField } from '../../form/IngredientField.tsx';
import type { Library } from './useLibrary.ts';

interface Way {
  label: string;
  /** What it sets in the address; the same again takes it back. */
  key: string;
  value: string;
  part: Partial<LibraryQuery>;
}

const groups: readonly (readonly [name: string, ways: readonly Way[]])[] = [
  ['Hands', [20, 40, 60].map((n) => ({ label: `up to ${n} min`, key: 'hands', value: String(n), part: { handsMin: n } }))],
  ['First to last', [60, 120, 240].map((n) => ({ label: `up to ${n / 60} h`, key: 'whole', value: String(n), part: { wholeMin: n } }))],
  ['Portions', [8, 12, 20].map((n) => ({ label: `${n} or more`, key: 'portions', value: String(n), part: { portions: n } }))],
  ['Big pot', [2, 4].map((n) => ({ label: `${n} litres or more`, key: 'litres', value: String(n), part: { litres: n } }))],
  ['Season', seasons.map((s) => ({ label: s, key: 'season', value: s, part: { season: s } }))],
  ['Stars', [3, 4, 5].map((n) => ({ label: n === 5 ? '5' : `${n} or more`, key: 'stars', value: String(n), part: { stars: n } }))],
  [
    'Freezer',
    [
      { label: 'some in store', key: 'store', value: 'in', part: { store: 'in' } },
      { label: 'none in store', key: 'store', value: 'out', part: { store: 'out' } },
      { label: 'nothing freezes badly', key: 'freezes', value: '1', part: { freezes: true } },
    ],
  ],
  [
    'Made',
    [
      { label: `in the last ${latelyDays / 7} weeks`, key: 'made', value: 'lately', part: { made: 'lately' } },
      { label: `not for ${longDays / 30} months`, key: 'made', value: 'long', part: { made: 'long' } },
      { label: 'never', key: 'made', value: 'never', part: { made: 'never' } },
    ],
  ],
];

/** Groups with many ways take a row of their own. */
const wideGroups: ReadonlySet<string> = new Set(['Free of', 'Tags']);

/** Tags offered: those borne most. */
const mostTags = 10;

/** Ways to narrow, each with how many it would leave. */
export const LibraryFilters = memo(function LibraryFilters({
  library,
  briefs,
  allergenNames,
}: {
  library: Library;
  briefs: readonly RecipeBrief[];
  allergenNames: Readonly<Record<string, string>>;
}) {
  const { params, query, set } = library;
  const held = useMemo(() => {
    const count = new Map<string, number>();
    for (const b of briefs) for (const c of b.contains) count.set(c, (count.get(c) ?? 0) + 1);
    return [...count]
      .filter(([code]) => allergenNames[code] !== undefined)
      .toSorted((a, b) => b[1] - a[1])
      .map(([code]) => code)
      .slice(0, 8);
  }, [briefs, allergenNames]);
  const tags = useMemo(() => {
    const count = new Map<string, number>();
    for (const b of briefs)
      for (const t of b.tags) if (!(seasons as readonly string[]).includes(t.toLowerCase())) count.set(t, (count.get(t) ?? 0) + 1);
    return [...count]
      .toSorted((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]))
      .map(([t]) => t)
      .slice(0, mostTags);
  }, [briefs]);
  const free = query.free ?? [];
  const toggled = (code: string): string[] => (free.includes(code) ? free.filter((c) => c !== code) : [...free, code]);
  const all: readonly (readonly [string, readonly (Way & { on: boolean })[]])[] = [
    [
      'Free of',
      [
        { label: 'what anyone here must not eat', key: 'all', value: '1', part: { forAll: true }, on: query.forAll === true },
        ...held.map((code) => ({
          label: allergenNames[code] ?? code,
          key: 'free',
          value: toggled(code).join(','),
          part: { free: [...free, code] },
          on: free.includes(code),
        })),
      ],
    ],
    ...(tags.length > 0
      ? [['Tags', tags.map((t) => ({ label: t, key: 'tag', value: t, part: { tag: t }, on: query.tag === t }))] as const]
      : []),
    ...groups.map(([name, ways]) => [name, ways.map((w) => ({ ...w, on: params.get(w.key) === w.value }))] as const),
  ];
  const left = library.counts(Object.fromEntries(all.flatMap(([name, ways]) => ways.map((w) => [`${name} ${w.label}`, w.part] as const))));
  /** What would leave nothing is not offered; what is on can be taken back. */
  const offered = all
    .map(([name, ways]) => [name, ways.filter((w) => w.on || (left[`${name} ${w.label}`] ?? 0) > 0)] as const)
    .filter(([, ways]) => ways.length > 0);
  const wide = offered.filter(([name]) => wideGroups.has(name));
  const short = offered.filter(([name]) => !wideGroups.has(name));
  const row = ([name, ways]: (typeof offered)[number]) => (
    <Group key={name} gap={8} mb={8} wrap="nowrap" align="start">
      <Text w={110} fw={600} flex="none" mt={6}>
        {name}
      </Text>
      <Group gap={8} className="chips" role="group" aria-label={name}>
        {ways.map((w) => (
          <Button
            key={w.label}
            variant="chip"
            aria-pressed={w.on}
            onClick={() => set({ [w.key]: w.key === 'free' ? w.value : w.on ? '' : w.value })}
          >
            {w.label} {w.on ? '' : `(${left[`${name} ${w.label}`] ?? 0})`}
          </Button>
        ))}
      </Group>
    </Group>
  );
  const have = query.have ?? [];
  const known = useFindQuery(undefined, { skip: have.length === 0 }).data ?? [];
  const nameOf = (id: string): string =>
    known.find((e) => e.to.endsWith(`with=${encodeURIComponent(id)}`))?.name.toLowerCase() ?? id.replace(/_/g, ' ');
  return (
    <Card aria-label="Narrow the library" mb={14}>
      {wide.map(row)}
      <Columns least={460} gap={0}>
        {short.map(row)}
      </Columns>
      <Group gap={8} className="chips wrapchips" role="group" aria-label="From what is there">
        <Text w={130} fw={600}>
          From what I have
        </Text>
        <IngredientField
          key={have.join()}
          named="A food that is there"
          name=""
          width={220}
          onPick={(item) => set({ have: [...new Set([...have, item.id])].join(',') })}
        />
        {have.map((id) => (
          <Button key={id} variant="chip" aria-pressed onClick={() => set({ have: have.filter((h) => h !== id).join(',') })}>
            {nameOf(id)} ✕
          </Button>
        ))}
        <Text size="sm" c="dimmed">
          {have.length === 0 ? 'What needs least beside it comes first; what is in the freezer counts as there.' : ''}
        </Text>
      </Group>
    </Card>
  );
});
