import { Anchor, Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import { containerSchema, readForm, typedOf, type Container, type Figures, type Typed } from '#core/contract';
import type { ReferenceRow } from '#core/kitchen';
import { ScaleReader } from '../devices/ScaleReader.tsx';
import { Field, FieldGroup, Pick, Toggle } from '../form/fields.tsx';
import { FormSheet } from '../form/FormSheet.tsx';
import { countOf } from '#core/kitchen';
import { useKitchenQuery } from '../sync/api.ts';
import { newId } from '../sync/device.ts';
import { Asks } from '../ui/Asks.tsx';
import { headspaceOf } from '#core/pack';
import { useMeasures } from '../sync/measures.ts';
import { fromPreset } from './presets.ts';
import { useDocumentForm } from './useDocumentForm.ts';

/** What holds many small ones rather than one. */
const celled = new Set(['tray', 'mould']);

/** Shapes that food is heated in; bags and foil never are. */
const mayGoIn = new Set(['tub', 'jar', 'box', 'pan']);

const shapes = [
  ['tub', 'tub'],
  ['bag', 'bag'],
  ['pan', 'pan'],
  ['jar', 'jar'],
  ['tray', 'cube tray'],
  ['mould', 'pop mould'],
  ['box', 'lunchbox'],
] as const;

const seals = [
  ['lid', 'a lid'],
  ['screw', 'a screw lid'],
  ['zip', 'a zip'],
  ['crimp', 'a crimped edge'],
  ['heat', 'a heat seal'],
  ['none', 'nothing'],
] as const;

const materials = [
  ['m_pp', 'plastic tub'],
  ['m_pe_bag', 'freezer bag'],
  ['m_foil', 'foil'],
  ['m_jar', 'glass jar, straight'],
  ['m_silicone_tray', 'silicone'],
  ['m_glass_boro', 'borosilicate glass'],
  ['m_ceramic', 'stoneware'],
  ['m_metal_pan', 'metal tin'],
] as const;

const microwaves = [
  ['unknown', 'not known'],
  ['yes', 'yes, it is marked'],
  ['no', 'no'],
] as const;

const heatWords = [
  ['freezer', 'in the freezer'],
  ['freezerToOven', 'from there to the oven'],
  ['freezerToMicrowave', 'to the microwave'],
  ['freezerToHob', 'to the hob'],
] as const;

const blank = (): Container => ({
  id: newId(),
  name: '',
  shape: 'tub',
  brimMl: 500,
  fillMl: 430,
  heightMm: 64,
  widthMm: 108,
  footMm: 92,
  depthMm: 108,
  cells: 14,
  owned: 6,
  oneUse: false,
  seal: 'lid',
  materialId: 'm_pp',
  microwave: 'unknown',
});

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

/** What the table of headspace leaves free under a lid of this shape and size. */
function Headspace({ typed, figures, onTake }: { typed: Typed<Container>; figures: Figures; onTake: (ml: number) => void }) {
  const { sayVolume } = useMeasures();
  const read = readForm(containerSchema, { ...typed, id: 'x', name: 'x' });
  const found = read.ok ? headspaceOf(read.value, figures) : undefined;
  if (!read.ok || !found) return null;
  return (
    <Text size="xs" c="dimmed">
      The table of headspace leaves {found.mm}&nbsp;mm under the lid for food that runs: about {sayVolume(found.ml)} go in (NCHFP).{' '}
      {found.ml !== read.value.fillMl && (
        <Anchor component="button" type="button" size="xs" onClick={() => onTake(found.ml)}>
          fill to that
        </Anchor>
      )}
    </Text>
  );
}

/** A container: one tap from a common one, then how many; every figure may be corrected. */
export function ContainerForm({
  container,
  presets,
  materials: bears,
  figures,
  onClose,
}: {
  container: Container | undefined;
  presets: readonly ReferenceRow[];
  materials: Readonly<Record<string, ReferenceRow>>;
  figures: Figures;
  onClose: () => void;
}) {
  const holding = useKitchenQuery().data?.containers.find((c) => c.container.id === container?.id)?.holding ?? 0;
  const [asking, setAsking] = useState<{ go: () => void }>();
  const { form, remove } = useDocumentForm({
    table: 'container',
    tab: 'containers',
    schema: containerSchema,
    stored: container,
    blank,
    together: (c) => (c.fillMl > c.brimMl ? { fillMl: 'at most to the brim: leave room for the ice' } : undefined),
    finish: ({ cells, ...c }) => ({
      ...c,
      footMm: Math.min(c.footMm, c.widthMm),
      ...(celled.has(c.shape) && cells !== undefined && { cells }),
    }),
    says: (c) => `${c.name}: ${c.owned}`,
    goneSays: (name) => `${name} is gone`,
    first: (after, go) => {
      if (after !== null || holding === 0) go();
      else setAsking({ go });
    },
    onClose,
  });
  const { values, field, set } = form;
  const [reading, setReading] = useState(false);
  const cells = celled.has(values.shape);
  if (asking)
    return (
      <Asks title={`${countOf(holding, 'pack')} ${holding === 1 ? 'is' : 'are'} in it`} onLeave={() => setAsking(undefined)}>
        <Text mb={12}>They stay as they are, in a container without a name. It comes back whole from Taken away.</Text>
        <Button onClick={asking.go}>Take it away all the same</Button>
      </Asks>
    );
  return (
    <FormSheet form={form} title={container?.name ?? 'A container'} onClose={onClose} onRemove={remove}>
      {!container && (
        <FieldGroup label="Common ones">
          <Group gap={8} className="chips" mah={150} style={{ overflow: 'auto' }}>
            {presets.map((p) => (
              <Toggle
                key={p.id}
                value={values.presetId === p.id}
                onChange={() => {
                  const { id: _id, owned: _owned, ...typed } = typedOf(containerSchema, { ...blank(), ...fromPreset(p), presetId: p.id });
                  set(typed);
                }}
              >
                {fromPreset(p).name ?? p.id}
              </Toggle>
            ))}
          </Group>
        </FieldGroup>
      )}
      <Group align="flex-start">
        <Field label="Name" {...field('name')} />
        <Field label="How many" width={100} {...field('owned')} />
      </Group>
      <Group align="flex-start">
        <Field label={cells ? 'One cell to the brim' : 'To the brim or seal'} width={150} {...field('brimMl')} />
        <Field label="Fill to" width={110} {...field('fillMl')} />
        <Field label="Inner width" width={120} {...field('widthMm')} />
        <Field label="Inner height" width={120} {...field('heightMm')} />
        <Field label="Empty weight" width={120} {...field('tareG')} />
        <Field label="One costs" width={100} {...field('costCents')} />
        {cells && <Field label="Cells" width={90} {...field('cells')} />}
      </Group>
      <div>
        <Anchor component="button" type="button" aria-expanded={reading} onClick={() => setReading(!reading)}>
          weigh an empty one
        </Anchor>
        {reading && <ScaleReader onTake={(g) => set({ tareG: String(g) })} takes="That is its weight" />}
      </div>
      <Headspace typed={values} figures={figures} onTake={(fillMl) => set({ fillMl: String(fillMl) })} />
      <Bears row={bears[values.materialId]} />
      <Group align="flex-end">
        <Pick label="Shape" options={shapes} {...field('shape')} />
        <Pick label="Closes with" options={seals} {...field('seal')} />
        <Pick label="Material" options={materials} {...field('materialId')} />
        {mayGoIn.has(values.shape) && <Pick label="Into a microwave" options={microwaves} {...field('microwave')} />}
        <Toggle {...field('oneUse')}>used once</Toggle>
      </Group>
    </FormSheet>
  );
}
