import { Anchor, Button, NativeSelect, TextInput } from '@mantine/core';
import type { Container, Kind } from '#core/contract';
import { portionName } from '#core/session';
import { Rows } from '../ui/Rows.tsx';
import { readRow, type MixRow } from './ownMix.ts';

/** Rows of so many packs with so much in each, in one kind of container or in something with no name. */
export function MixRows({
  rows,
  kind,
  containers,
  onChange,
}: {
  rows: readonly MixRow[];
  kind: Kind;
  containers: readonly Pick<Container, 'id' | 'name'>[];
  onChange: (rows: readonly MixRow[]) => void;
}) {
  const put = (i: number, part: Partial<MixRow>): void => onChange(rows.map((r, k) => (k === i ? { ...r, ...part } : r)));
  return (
    <>
      <Rows aria-label="Into">
        {rows.map((row, i) => {
          const bad = readRow(row) === undefined;
          return (
            <li key={i}>
              <TextInput
                w={90}
                label="Packs"
                inputMode="numeric"
                aria-label={`Packs, row ${i + 1}`}
                value={row.packs}
                error={bad}
                onChange={(e) => put(i, { packs: e.currentTarget.value })}
              />
              <TextInput
                w={120}
                label={`${portionName(kind, 2)} each`}
                inputMode="decimal"
                aria-label={`Portions each, row ${i + 1}`}
                value={row.each}
                error={bad}
                onChange={(e) => put(i, { each: e.currentTarget.value })}
              />
              <NativeSelect
                className="grow"
                label="In"
                aria-label={`Container, row ${i + 1}`}
                value={row.containerId}
                data={[{ value: '', label: 'something with no name' }, ...containers.map((c) => ({ value: c.id, label: c.name }))]}
                onChange={(e) => put(i, { containerId: e.currentTarget.value })}
              />
              {rows.length > 1 && (
                <Anchor
                  component="button"
                  type="button"
                  size="sm"
                  aria-label={`Leave out row ${i + 1}`}
                  onClick={() => onChange(rows.filter((_, k) => k !== i))}
                >
                  leave out
                </Anchor>
              )}
            </li>
          );
        })}
      </Rows>
      <Button variant="outline" size="sm" onClick={() => onChange([...rows, { containerId: '', packs: '1', each: '1' }])}>
        And another size
      </Button>
    </>
  );
}
