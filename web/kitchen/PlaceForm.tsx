import { Group } from '@mantine/core';
import { kindSchema, placeSchema, type Place } from '#core/contract';
import { usableShareOf } from '#core/store';
import { Chips, Field, ListField, Pick } from '../form/fields.tsx';
import { FormSheet } from '../form/FormSheet.tsx';
import { newId } from '../sync/device.ts';
import { shelved } from './shelves.ts';
import { useDocumentForm } from './useDocumentForm.ts';

const kinds = [
  ['freezer', 'freezer'],
  ['chest', 'chest freezer'],
  ['fridge', 'fridge'],
  ['coolRoom', 'cool room'],
  ['shelf', 'shelf'],
] as const;

const trusts = [
  ['full', 'fully'],
  ['some', 'so far: it is old, or opened often'],
  ['little', 'little: nothing dear in it'],
] as const;

const blank = (): Place => ({
  id: newId(),
  name: '',
  kind: 'freezer',
  litres: 70,
  temperatureC: -18,
  zones: [
    { id: newId(), name: 'top', litres: 35 },
    { id: newId(), name: 'drawer', litres: 35 },
  ],
  trust: 'full',
  prefers: [],
});

/** A cold place with its baskets or shelves. */
export function PlaceForm({ place, onClose }: { place: Place | undefined; onClose: () => void }) {
  const { form, remove } = useDocumentForm({
    table: 'place',
    tab: 'places',
    schema: placeSchema,
    stored: place,
    blank: () => ({ ...blank(), usableShare: usableShareOf(place ?? { kind: 'freezer' }) }),
    finish: ({ usableShare, ...p }) => ({
      ...p,
      // as they were measured, while neither they nor the whole has changed; else alike
      zones:
        p.zones.length === place?.zones.length && p.litres === place.litres
          ? p.zones
          : p.zones.map((z) => ({ ...z, litres: p.litres / p.zones.length })),
      // only what differs from the usual share of its kind is the household's own
      ...(usableShare !== undefined && Math.abs(usableShare - usableShareOf({ kind: p.kind })) > 0.004 && { usableShare }),
    }),
    says: (p) => `${p.name} is noted`,
    goneSays: (name) => `${name} is gone`,
    onClose,
  });
  const { values, field, set } = form;
  const freezes = values.kind === 'freezer' || values.kind === 'chest';
  const zoneError = Object.entries(form.errors).find(([path]) => path.startsWith('zones'))?.[1];
  return (
    <FormSheet form={form} title={place?.name ?? 'A cold place'} onClose={onClose} onRemove={remove}>
      <Group align="flex-start">
        <Field label="Name" {...field('name')} />
        <Pick label="Kind" options={kinds} {...field('kind')} />
      </Group>
      <Group align="flex-start">
        <Field label="Holds" width={110} {...field('litres')} />
        <Field label="Temperature" width={140} {...field('temperatureC')} />
        <Field label="Packs can fill" width={130} {...field('usableShare')} />
        <ListField
          label="Shelves or baskets, with commas"
          value={values.zones.map((z) => z.name)}
          error={zoneError}
          data-path="zones"
          onChange={(names) => set({ zones: shelved(names, form.initial.typed.zones, values.zones) })}
        />
      </Group>
      {freezes && (
        <Group align="flex-start">
          <Field label="Freezes in a day" width={160} {...field('freezingKgPerDay')} />
          <Field label="Places where a tray lies level" width={230} {...field('levelPlaces')} />
          <Pick label="How far you trust it" options={trusts} {...field('trust')} />
        </Group>
      )}
      {freezes && <Chips label="Meant for" options={kindSchema.options.map((k) => [k, k] as const)} {...field('prefers')} />}
      <Field label="What to know about it" {...field('note')} />
    </FormSheet>
  );
}
