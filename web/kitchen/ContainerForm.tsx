import { Anchor, Box, Group, Text } from '@mantine/core';
import { useState } from 'react';
import type { Container } from '#core/contract';
import type { ReferenceRow } from '#core/kitchen';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import { ScaleReader } from '../devices/ScaleReader.tsx';
import { Field, numberOf, Pick, Sheet, Toggle } from './fields.tsx';
import { fromPreset } from './presets.ts';

/** What holds many small ones rather than one. */
const celled = new Set<Container['shape']>(['tray', 'mould']);

/** Shapes that food is heated in; bags and foil never are. */
const mayGoIn = new Set<Container['shape']>(['tub', 'jar', 'box', 'pan']);

const materials: readonly (readonly [string, string])[] = [
  ['m_pp', 'plastic tub'],
  ['m_pe_bag', 'freezer bag'],
  ['m_foil', 'foil'],
  ['m_jar', 'glass jar, straight'],
  ['m_silicone_tray', 'silicone'],
  ['m_glass_boro', 'borosilicate glass'],
  ['m_ceramic', 'stoneware'],
  ['m_metal_pan', 'metal tin'],
];

const heatWords = [
  ['freezer', 'in the freezer'],
  ['freezerToOven', 'from there to the oven'],
  ['freezerToMicrowave', 'to the microwave'],
  ['freezerToHob', 'to the hob'],
] as const;

/** What its material bears, by the table; the maker's word comes first. */
function Bears({ row }: { row: ReferenceRow | undefined }) {
  if (!row) return null;
  const said = heatWords.flatMap(([column, words]) => (row[column] === undefined ? [] : [`${words}: ${String(row[column])}`]));
  return (
    <Text size="xs" c="dimmed">
      {String(row.material)}, {said.join('; ')}
      {row.note ? `. ${String(row.note)}` : ''}. Makers’ marks come first ({row.source}).
    </Text>
  );
}

/** A container: one tap from a common one, then how many; every figure may be corrected. */
export function ContainerForm({
  container,
  presets,
  materials: bears,
  onClose,
}: {
  container: Container | undefined;
  presets: readonly ReferenceRow[];
  materials: Readonly<Record<string, ReferenceRow>>;
  onClose: () => void;
}) {
  const { write } = useCommands();
  const [was] = useState(container ?? null);
  const [c, setC] = useState<Container>(
    container ?? {
      id: newId(),
      name: '',
      shape: 'tub',
      brimMl: 500,
      fillMl: 430,
      heightMm: 64,
      widthMm: 108,
      footMm: 92,
      depthMm: 108,
      owned: 6,
      oneUse: false,
      materialId: 'm_pp',
      microwave: 'unknown',
    },
  );
  const [t, setT] = useState({
    brim: String(c.brimMl),
    fill: String(c.fillMl),
    owned: String(c.owned),
    tare: c.tareG === undefined ? '' : String(c.tareG),
    w: String(c.widthMm),
    h: String(c.heightMm),
    cells: String(c.cells ?? 14),
    cost: c.costCents === undefined ? '' : String(c.costCents / 100),
  });
  const [reading, setReading] = useState(false);
  const preset = (row: ReferenceRow): void => {
    const next = { ...c, ...fromPreset(row), presetId: row.id };
    setC(next);
    setT({ ...t, brim: String(next.brimMl), fill: String(next.fillMl), w: String(next.widthMm), h: String(next.heightMm) });
  };
  const brim = numberOf(t.brim) ?? 0;
  const fill = numberOf(t.fill) ?? 0;
  const owned = numberOf(t.owned) ?? -1;
  const problems = [
    ...(c.name.trim() ? [] : ['Give it a name.']),
    ...(brim > 0 ? [] : ['How much does it hold to the brim or seal?']),
    ...(fill > 0 && fill <= brim ? [] : ['The fill lies above 0 and at most at the brim: leave room for the ice.']),
    ...(owned >= 0 && Number.isInteger(owned) ? [] : ['How many are there? A whole number.']),
    ...((numberOf(t.w) ?? 0) > 0 && (numberOf(t.h) ?? 0) > 0 ? [] : ['Give its inner width and height in mm.']),
  ];
  const save = (): void => {
    const { tareG: _t, cells: _c, costCents: _m, ...rest } = c;
    const cost = numberOf(t.cost);
    const tare = numberOf(t.tare);
    const data: Container = {
      ...rest,
      name: c.name.trim(),
      brimMl: brim,
      fillMl: fill,
      owned,
      widthMm: numberOf(t.w) ?? c.widthMm,
      heightMm: numberOf(t.h) ?? c.heightMm,
      footMm: Math.min(c.footMm, numberOf(t.w) ?? c.footMm),
      ...(tare !== undefined && tare >= 0 && { tareG: tare }),
      ...(cost !== undefined && cost >= 0 && { costCents: Math.round(cost * 100) }),
      ...(celled.has(c.shape) && { cells: Math.max(1, Math.round(numberOf(t.cells) ?? 14)) }),
    };
    void write([{ table: 'container', id: data.id, data, was }], `${data.name}: ${data.owned}`);
    onClose();
  };
  return (
    <Sheet
      title={container ? container.name : 'A container'}
      problems={problems}
      onSave={save}
      onClose={onClose}
      onRemove={
        container &&
        (() => {
          void write([{ table: 'container', id: c.id, data: null, was }], `${c.name} is gone`);
          onClose();
        })
      }
    >
      {!container && (
        <div>
          <Text fz={15} fw={600} mb={3}>
            Common ones
          </Text>
          <Group gap={8} className="chips" style={{ maxHeight: 150, overflow: 'auto' }}>
            {presets.map((p) => (
              <Toggle key={p.id} on={c.presetId === p.id} onChange={() => preset(p)}>
                {fromPreset(p).name ?? p.id}
              </Toggle>
            ))}
          </Group>
        </div>
      )}
      <Group align="flex-start">
        <Field label="Name" value={c.name} onChange={(name) => setC({ ...c, name })} />
        <Field label="How many" type="number" width={100} value={t.owned} onChange={(v) => setT({ ...t, owned: v })} />
      </Group>
      <Group align="flex-start">
        <Field
          label={celled.has(c.shape) ? 'One cell to the brim' : 'To the brim or seal'}
          unit="ml"
          type="number"
          width={150}
          value={t.brim}
          onChange={(v) => setT({ ...t, brim: v })}
        />
        <Field label="Fill to" unit="ml" type="number" width={110} value={t.fill} onChange={(v) => setT({ ...t, fill: v })} />
        <Field label="Inner width" unit="mm" type="number" width={120} value={t.w} onChange={(v) => setT({ ...t, w: v })} />
        <Field label="Inner height" unit="mm" type="number" width={120} value={t.h} onChange={(v) => setT({ ...t, h: v })} />
        <Field label="Empty weight" unit="g" type="number" width={120} value={t.tare} onChange={(v) => setT({ ...t, tare: v })} />
        <Field label="One costs" type="number" width={100} value={t.cost} onChange={(v) => setT({ ...t, cost: v })} />
        {celled.has(c.shape) && <Field label="Cells" type="number" width={90} value={t.cells} onChange={(v) => setT({ ...t, cells: v })} />}
      </Group>
      <div>
        <Anchor component="button" type="button" aria-expanded={reading} onClick={() => setReading(!reading)}>
          weigh an empty one
        </Anchor>
        {reading && <ScaleReader onTake={(g) => setT({ ...t, tare: String(g) })} takes="That is its weight" />}
      </div>
      <Bears row={bears[c.materialId]} />
      <Group>
        <Pick
          label="Shape"
          value={c.shape}
          options={[
            ['tub', 'tub'],
            ['bag', 'bag'],
            ['pan', 'pan'],
            ['jar', 'jar'],
            ['tray', 'cube tray'],
            ['mould', 'pop mould'],
            ['box', 'lunchbox'],
          ]}
          onChange={(shape) => setC({ ...c, shape })}
        />
        <Pick
          label="Closes with"
          value={c.seal ?? 'lid'}
          options={[
            ['lid', 'a lid'],
            ['screw', 'a screw lid'],
            ['zip', 'a zip'],
            ['crimp', 'a crimped edge'],
            ['heat', 'a heat seal'],
            ['none', 'nothing'],
          ]}
          onChange={(seal) => setC({ ...c, seal })}
        />
        <Pick label="Material" value={c.materialId} options={materials} onChange={(materialId) => setC({ ...c, materialId })} />
        {mayGoIn.has(c.shape) && (
          <Pick
            label="Into a microwave"
            value={c.microwave}
            options={[
              ['unknown', 'not known'],
              ['yes', 'yes, it is marked'],
              ['no', 'no'],
            ]}
            onChange={(microwave) => setC({ ...c, microwave })}
          />
        )}
        <Box style={{ alignSelf: 'flex-end' }}>
          <Toggle on={c.oneUse} onChange={(oneUse) => setC({ ...c, oneUse })}>
            used once
          </Toggle>
        </Box>
      </Group>
    </Sheet>
  );
}
