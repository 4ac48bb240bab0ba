import { Group } from '@mantine/core';
import { useState } from 'react';
import { kindSchema, placeSchema, type Place } from '#core/contract';
import type { PackBrief, StoreAnswer } from '#core/queries';
import { homeless, usableShareOf } from '#core/store';
import { Chips, Field, ListField, Pick } from '../form/fields.tsx';
import { FormSheet } from '../form/FormSheet.tsx';
import { api, useKitchenQuery, useStoreQuery } from '../sync/api.ts';
import { newId } from '../sync/device.ts';
import { useAppDispatch } from '../sync/store.ts';
import { Asks } from '../ui/Asks.tsx';
import { WhereTo } from './WhereTo.tsx';
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
  const dispatch = useAppDispatch();
  // asked for as the form opens, so that it is known when something goes
  useStoreQuery();
  const places = useKitchenQuery().data?.places.map((p) => p.place) ?? [];
  const [asking, setAsking] = useState<'unknown' | { packs: PackBrief[]; after: Place | undefined; go: () => void }>();
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
    first: (after, go) => {
      const ask = (stored: StoreAnswer): void => {
        const packs = place ? homeless([...stored.packs, ...stored.probable, ...stored.past], place, after ?? undefined) : [];
        if (packs.length === 0) go();
        else setAsking({ packs, after: after ?? undefined, go });
      };
      // nothing goes before it is known what stands there
      if (!place) go();
      else
        void dispatch(api.endpoints.store.initiate())
          .unwrap()
          .then(ask, () => setAsking('unknown'));
    },
    onClose,
  });
  const { values, field, set } = form;
  const freezes = values.kind === 'freezer' || values.kind === 'chest';
  const zoneError = Object.entries(form.errors).find(([path]) => path.startsWith('zones'))?.[1];
  if (asking === 'unknown')
    return (
      <Asks title="It is not known what stands there" onLeave={() => setAsking(undefined)}>
        Tambo does not answer just now. Nothing was changed; try again when it is back.
      </Asks>
    );
  if (asking && place)
    return (
      <WhereTo
        packs={asking.packs}
        places={places.flatMap((p) => (p.id !== place.id ? [p] : asking.after ? [asking.after] : []))}
        what={asking.after ? 'Their basket' : place.name}
        onDone={asking.go}
        onLeave={() => setAsking(undefined)}
      />
    );
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
