import { Anchor, Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import { equipmentSchema, readForm, type Equipment, type Figures } from '#core/contract';
import { countOf } from '#core/kitchen';
import type { KitchenAnswer } from '#core/queries';
import { bowlUsable, brimMlOf, potUsable } from '#core/recipe';
import { Field, numberOf, Pick, Toggle } from '../form/fields.tsx';
import { FormSheet } from '../form/FormSheet.tsx';
import { newId } from '../sync/device.ts';
import { useMeasures, type Measures } from '../sync/measures.ts';
import { Asks } from '../ui/Asks.tsx';
import { fieldLabels, gearKinds, kindOf, ofItsKind } from './gearKinds.ts';
import { useDocumentForm } from './useDocumentForm.ts';

const heats = [
  ['', 'not said'],
  ['gas', 'gas'],
  ['ceramic', 'ceramic or plates'],
  ['induction', 'induction'],
] as const;

/** Litres from a ruler: a round pot is a cylinder. */
function measuredLitres(diameterMm: number | undefined, heightMm: number | undefined): number | undefined {
  const ml = diameterMm && heightMm ? brimMlOf({ diameterMm, heightMm }) : undefined;
  return ml === undefined ? undefined : Math.round(ml / 100) / 10;
}

/** What it may be filled to, as the figures stand now. */
function fillText(e: Equipment, { sayVolume }: Measures, figures: Figures): string | undefined {
  if (e.kind === 'pot') {
    const u = potUsable(e);
    return u && `Filled to ${sayVolume(Math.round(u.ml / 50) * 50)} at most when stirred.`;
  }
  if (e.kind === 'processor' || e.kind === 'blender') {
    const [puree, hot] = [bowlUsable(e, 'puree', figures), bowlUsable(e, 'hot', figures)];
    return puree && hot
      ? `Purees ${sayVolume(Math.round(puree.ml / 10) * 10)} cold, ${sayVolume(Math.round(hot.ml / 10) * 10)} hot with the vent open.`
      : undefined;
  }
  return undefined;
}

/** A pot, bowl, oven or whatever else the work needs, with what the arithmetic asks of its kind. */
export function GearForm({
  gear,
  kind: first = 'pot',
  data,
  onClose,
}: {
  gear: Equipment | undefined;
  kind?: Equipment['kind'];
  data: KitchenAnswer;
  onClose: () => void;
}) {
  const measures = useMeasures();
  const [asking, setAsking] = useState<{ go: () => void }>();
  const { figures } = data;
  const dishes = gear ? (data.gearUse[gear.kind] ?? 0) : 0;
  const others = data.equipment.filter((e) => e.kind === gear?.kind && e.id !== gear.id && e.count > 0).length;
  const { form, remove } = useDocumentForm({
    table: 'equipment',
    tab: 'gear',
    fresh: `new-${first}`,
    schema: equipmentSchema,
    stored: gear,
    blank: () => ({ id: newId(), name: kindOf(first).name, kind: first, count: 1 }),
    together: (e) => {
      const ruler = measuredLitres(e.diameterMm, e.heightMm);
      return ruler !== undefined && e.litres !== undefined && (e.litres > ruler * 1.25 || e.litres < ruler * 0.75)
        ? { litres: `${e.litres} L and a cylinder of ${ruler} L do not agree: check the litres or the two lengths` }
        : undefined;
    },
    finish: ofItsKind,
    says: (e) => `${e.name} is noted`,
    goneSays: (name) => `${name} is gone`,
    first: (after, go) => {
      if (after !== null || dishes === 0 || others > 0) go();
      else setAsking({ go });
    },
    onClose,
  });
  const { values, field, set } = form;
  const kind = gearKinds.find((k) => k.kind === values.kind)?.kind ?? first;
  const k = kindOf(kind);
  const ruler = measuredLitres(numberOf(values.diameterMm), numberOf(values.heightMm));
  const now = readForm(equipmentSchema, values);
  const says = now.ok ? fillText(ofItsKind(now.value), measures, figures) : undefined;
  if (asking && gear)
    return (
      <Asks title={`${gear.name} is the only one`} onLeave={() => setAsking(undefined)}>
        <Text mb={12}>
          {countOf(dishes, 'dish', 'dishes')} of yours {dishes === 1 ? 'asks' : 'ask'} for {kindOf(gear.kind).name.toLowerCase()}. Without
          one, their work is planned as if there were enough of it. It comes back whole from Taken away.
        </Text>
        <Button onClick={asking.go}>Take it away all the same</Button>
      </Asks>
    );
  return (
    <FormSheet form={form} title={gear?.name ?? `Add: ${k.name.toLowerCase()}`} onClose={onClose} onRemove={remove}>
      <Group align="flex-start">
        {!gear && (
          <Pick
            label="What is it"
            value={kind}
            options={gearKinds.map((g) => [g.kind, g.name.toLowerCase()] as const)}
            onChange={(to) => set({ kind: to, ...(values.name === k.name && { name: kindOf(to).name }) })}
          />
        )}
        <Field label="Name" {...field('name')} />
        {kind === 'hob' && <Pick label="Heats by" options={heats} {...field('heat')} />}
      </Group>
      <Group align="flex-start">
        {k.fields.map((f) => (
          <Field
            key={f}
            label={f === 'count' ? k.count : f === 'watts' && kind === 'hob' ? 'Power, one burner' : fieldLabels[f].label}
            width={fieldLabels[f].width}
            {...field(f)}
          />
        ))}
      </Group>
      {values.litres.trim() === '' && ruler !== undefined && k.fields.includes('litres') && (
        <Anchor component="button" type="button" onClick={() => set({ litres: String(ruler) })}>
          {ruler} L by the ruler: use that
        </Anchor>
      )}
      {kind === 'oven' && <Toggle {...field('fan')}>baked with its fan: labels say 20 °C less</Toggle>}
      {kind === 'microwave' && (
        <Text size="xs" c="dimmed">
          Its watts stand on the door frame or in its booklet. Without them 700 W are taken.
        </Text>
      )}
      {says && (
        <Text size="xs" c="dimmed">
          {says}
        </Text>
      )}
    </FormSheet>
  );
}
