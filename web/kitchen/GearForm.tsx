import { Anchor, Group, Text } from '@mantine/core';
import { useState } from 'react';
import type { Equipment } from '#core/contract';
import { bowlUsable, brimMlOf, potUsable } from '#core/recipe';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import { Field, numberOf, Pick, Sheet, Toggle } from './fields.tsx';
import { fieldLabels, gearKinds, kindOf, type FieldKey } from './gearKinds.ts';
import { useMeasures, type Measures } from '../sync/measures.ts';

const text = (n: number | undefined, by = 1): string => (n === undefined ? '' : String(Number((n * by).toFixed(2))));

const typedFrom = (e: Equipment | undefined): Record<FieldKey, string> => ({
  count: text(e?.count ?? 1),
  litres: text(e?.litres),
  diameter: text(e?.diameterMm),
  height: text(e?.heightMm),
  tare: text(e?.tareG),
  watts: text(e?.watts),
  width: text(e?.widthMm),
  depth: text(e?.depthMm),
  kg: text(e?.kg),
  fillShare: text(e?.fillShare, 100),
  pulse: text(e?.marks?.pulseMl),
  puree: text(e?.marks?.pureeMl),
  hot: text(e?.marks?.hotMl),
});

/** Litres from a ruler: a round pot is a cylinder. */
function measuredLitres(t: Record<FieldKey, string>): number | undefined {
  const d = numberOf(t.diameter);
  const h = numberOf(t.height);
  const ml = d && h ? brimMlOf({ diameterMm: d, heightMm: h }) : undefined;
  return ml === undefined ? undefined : Math.round(ml / 100) / 10;
}

/** What it may be filled to, as the figures stand now. */
function fillText(kind: Equipment['kind'], e: Equipment, { sayVolume }: Measures): string | undefined {
  if (kind === 'pot') {
    const u = potUsable(e);
    return u && `Filled to ${sayVolume(Math.round(u.ml / 50) * 50)} at most when stirred.`;
  }
  if (kind === 'processor' || kind === 'blender') {
    const [puree, hot] = [bowlUsable(e, 'puree'), bowlUsable(e, 'hot')];
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
  onClose,
}: {
  gear: Equipment | undefined;
  kind?: Equipment['kind'];
  onClose: () => void;
}) {
  const measures = useMeasures();
  const { write } = useCommands();
  const [was] = useState(gear ?? null);
  const [kind, setKind] = useState<Equipment['kind']>(gear?.kind ?? first);
  const [name, setName] = useState(gear?.name ?? '');
  const [heat, setHeat] = useState<NonNullable<Equipment['heat']> | 'unknown'>(gear?.heat ?? 'unknown');
  const [fan, setFan] = useState(gear?.fan ?? false);
  const [id] = useState(() => gear?.id ?? newId());
  const [t, setT] = useState(() => typedFrom(gear));
  const k = kindOf(kind);
  const bad = k.fields.filter((f) => t[f].trim() !== '' && !((numberOf(t[f]) ?? -1) > (f === 'count' ? -1 : 0)));
  const share = numberOf(t.fillShare);
  const num = (f: FieldKey): number | undefined => (k.fields.includes(f) ? numberOf(t[f]) : undefined);
  const made = (): Equipment => {
    const marks = { pulseMl: num('pulse'), pureeMl: num('puree'), hotMl: num('hot') };
    const set = Object.fromEntries(Object.entries(marks).filter(([, v]) => v !== undefined));
    return {
      id,
      name: name.trim() || k.name,
      kind,
      count: Math.round(num('count') ?? gear?.count ?? 1),
      ...Object.fromEntries(
        (
          [
            ['litres', num('litres')],
            ['diameterMm', num('diameter')],
            ['heightMm', num('height')],
            ['tareG', num('tare')],
            ['watts', num('watts')],
            ['widthMm', num('width')],
            ['depthMm', num('depth')],
            ['kg', num('kg')],
          ] as const
        ).filter(([, v]) => v !== undefined && v > 0),
      ),
      ...(share !== undefined && k.fields.includes('fillShare') && { fillShare: share / 100 }),
      ...(Object.keys(set).length > 0 && { marks: set }),
      ...(kind === 'hob' && heat !== 'unknown' && { heat }),
      ...(kind === 'oven' && fan && { fan }),
      ...(gear?.note && { note: gear.note }),
    };
  };
  const ruler = measuredLitres(t);
  const litres = numberOf(t.litres);
  const problems = [
    ...bad.map((f) => `${fieldLabels[f].label}: a figure above 0, or leave it empty.`),
    ...(share !== undefined && (share < 10 || share > 100) ? ['The own limit lies between 10 and 100 % of the brim.'] : []),
    ...(ruler !== undefined && litres !== undefined && k.fields.includes('diameter') && (litres > ruler * 1.25 || litres < ruler * 0.75)
      ? [`${litres} L and a cylinder of ${ruler} L do not agree: check the litres or the two lengths.`]
      : []),
  ];
  const says = bad.length === 0 ? fillText(kind, made(), measures) : undefined;
  return (
    <Sheet
      title={gear ? gear.name : `Add: ${k.name.toLowerCase()}`}
      problems={problems}
      onClose={onClose}
      onSave={() => {
        const e = made();
        void write([{ table: 'equipment', id: e.id, data: e, was }], `${e.name} is noted`);
        onClose();
      }}
      onRemove={
        gear &&
        (() => {
          void write([{ table: 'equipment', id: gear.id, data: null, was }], `${gear.name} is gone`);
          onClose();
        })
      }
    >
      <Group align="flex-start">
        {!gear && (
          <Pick
            label="What is it"
            value={kind}
            options={gearKinds.map((g) => [g.kind, g.name.toLowerCase()] as const)}
            onChange={setKind}
          />
        )}
        <Field label="Name" value={name} onChange={setName} />
        {kind === 'hob' && (
          <Pick
            label="Heats by"
            value={heat}
            options={[
              ['unknown', 'not said'],
              ['gas', 'gas'],
              ['ceramic', 'ceramic or plates'],
              ['induction', 'induction'],
            ]}
            onChange={setHeat}
          />
        )}
      </Group>
      <Group align="flex-start">
        {k.fields.map((f) => {
          const l = fieldLabels[f];
          return (
            <Field
              key={f}
              label={f === 'count' ? k.count : f === 'watts' && kind === 'hob' ? 'Power, one burner' : l.label}
              {...(l.unit && { unit: l.unit })}
              type="number"
              width={l.width}
              value={t[f]}
              onChange={(v) => setT({ ...t, [f]: v })}
            />
          );
        })}
      </Group>
      {litres === undefined && ruler !== undefined && k.fields.includes('litres') && (
        <Anchor component="button" type="button" onClick={() => setT({ ...t, litres: String(ruler) })}>
          {ruler} L by the ruler: use that
        </Anchor>
      )}
      {kind === 'oven' && (
        <Toggle on={fan} onChange={setFan}>
          baked with its fan: labels say 20 °C less
        </Toggle>
      )}
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
    </Sheet>
  );
}
