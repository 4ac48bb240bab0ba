import { Group, Text } from '@mantine/core';
import { useState } from 'react';
import { kindSchema, type Place } from '#core/contract';
import { usableShareOf } from '#core/store';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import { Field, numberOf, Pick, Sheet, Toggle } from './fields.tsx';

/** A cold place with its baskets or shelves. */
export function PlaceForm({ place, onClose }: { place: Place | undefined; onClose: () => void }) {
  const { write } = useCommands();
  const [was] = useState(place ?? null);
  const [p, setP] = useState<Place>(
    place ?? {
      id: newId(),
      name: '',
      kind: 'freezer',
      litres: 70,
      temperatureC: -18,
      zones: [
        { id: newId(), name: 'top', litres: 35 },
        { id: newId(), name: 'drawer', litres: 35 },
      ],
      prefers: [],
    },
  );
  const [t, setT] = useState({
    litres: String(p.litres),
    temp: String(p.temperatureC),
    zones: p.zones.map((z) => z.name).join(', '),
    kg: p.freezingKgPerDay === undefined ? '' : String(p.freezingKgPerDay),
    level: p.levelPlaces === undefined ? '' : String(p.levelPlaces),
    share: String(Math.round(usableShareOf(p) * 100)),
  });
  const freezes = p.kind === 'freezer' || p.kind === 'chest';
  const litres = numberOf(t.litres) ?? 0;
  const temp = numberOf(t.temp);
  const names = t.zones
    .split(',')
    .map((z) => z.trim())
    .filter(Boolean);
  const problems = [
    ...(p.name.trim() ? [] : ['Give it a name.']),
    ...(litres > 0 && litres <= 2000 ? [] : ['How many litres does it hold?']),
    ...(temp !== undefined && temp >= -60 && temp <= 40 ? [] : ['How cold is it, in °C?']),
    ...(t.kg.trim() === '' || (numberOf(t.kg) ?? 0) > 0 ? [] : ['Kilos it freezes in a day: a figure above 0, or leave it empty.']),
    ...(t.level.trim() === '' || Number.isInteger(numberOf(t.level) ?? NaN) ? [] : ['Level places: a whole number.']),
    ...((numberOf(t.share) ?? 0) >= 10 && (numberOf(t.share) ?? 0) <= 100 ? [] : ['Packs can fill between 10 and 100 % of its litres.']),
    ...(names.length > 0 ? [] : ['Name at least one shelf or basket.']),
  ];
  const save = (): void => {
    const zones = names.map((name, i) => ({
      id: p.zones[i]?.id ?? newId(),
      name,
      litres:
        names.length === p.zones.length && litres === p.litres ? (p.zones[i]?.litres ?? litres / names.length) : litres / names.length,
    }));
    const { freezingKgPerDay: _k, levelPlaces: _l, usableShare: _u, ...rest } = p;
    const share = (numberOf(t.share) ?? 0) / 100;
    const kg = numberOf(t.kg);
    const level = numberOf(t.level);
    const data: Place = {
      ...rest,
      name: p.name.trim(),
      litres,
      temperatureC: temp ?? -18,
      zones,
      ...(kg !== undefined && { freezingKgPerDay: kg }),
      ...(level !== undefined && { levelPlaces: level }),
      // only what differs from the usual share of its kind is the household's own
      ...(Math.abs(share - usableShareOf({ kind: p.kind })) > 0.004 && { usableShare: share }),
    };
    void write([{ table: 'place', id: p.id, data, was }], `${p.name} is noted`);
    onClose();
  };
  return (
    <Sheet
      title={place ? place.name : 'A cold place'}
      problems={problems}
      onSave={save}
      onClose={onClose}
      onRemove={
        place &&
        (() => {
          void write([{ table: 'place', id: p.id, data: null, was }], `${p.name} is gone`);
          onClose();
        })
      }
    >
      <Group align="flex-start">
        <Field label="Name" value={p.name} onChange={(name) => setP({ ...p, name })} />
        <Pick
          label="Kind"
          value={p.kind}
          options={[
            ['freezer', 'freezer'],
            ['chest', 'chest freezer'],
            ['fridge', 'fridge'],
            ['coolRoom', 'cool room'],
            ['shelf', 'shelf'],
          ]}
          onChange={(kind) => setP({ ...p, kind })}
        />
      </Group>
      <Group align="flex-start">
        <Field label="Litres" type="number" width={100} value={t.litres} onChange={(v) => setT({ ...t, litres: v })} />
        <Field label="Temperature" unit="°C" type="number" width={130} value={t.temp} onChange={(v) => setT({ ...t, temp: v })} />
        <Field label="Packs can fill" unit="%" type="number" width={120} value={t.share} onChange={(v) => setT({ ...t, share: v })} />
        <Field label="Shelves or baskets, with commas" value={t.zones} onChange={(v) => setT({ ...t, zones: v })} />
      </Group>
      {freezes && (
        <Group align="flex-start">
          <Field label="Freezes in a day" unit="kg" type="number" width={150} value={t.kg} onChange={(v) => setT({ ...t, kg: v })} />
          <Field
            label="Places where a tray lies level"
            type="number"
            width={210}
            value={t.level}
            onChange={(v) => setT({ ...t, level: v })}
          />
          <Pick
            label="How far you trust it"
            value={p.trust ?? 'full'}
            options={[
              ['full', 'fully'],
              ['some', 'so far: it is old, or opened often'],
              ['little', 'little: nothing dear in it'],
            ]}
            onChange={(trust) => setP({ ...p, trust })}
          />
        </Group>
      )}
      {freezes && (
        <div>
          <Text fz={15} fw={600} mb={3}>
            Meant for
          </Text>
          <Group gap={8} className="chips">
            {kindSchema.options.map((k) => (
              <Toggle
                key={k}
                on={p.prefers.includes(k)}
                onChange={(on) => setP({ ...p, prefers: on ? [...p.prefers, k] : p.prefers.filter((x) => x !== k) })}
              >
                {k}
              </Toggle>
            ))}
          </Group>
        </div>
      )}
      <Field label="What to know about it" value={p.note ?? ''} onChange={(note) => setP({ ...p, note })} />
    </Sheet>
  );
}
