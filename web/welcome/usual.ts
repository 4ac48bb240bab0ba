import type { Container, Equipment, Place } from '#core/contract';
import type { ReferenceRow } from '#core/kitchen';
import { newId } from '../sync/device.ts';
import { fromPreset } from '../kitchen/presets.ts';

/** What kitchens usually own, to be taken with one tap and put right later. Sizes of pots and freezers are common ones (kitchen estimate). */

export interface Owned<T> {
  id: string;
  name: string;
  make: () => T;
}

const gear = (id: string, name: string, rest: Omit<Equipment, 'id' | 'name'>): Owned<Equipment> => ({
  id,
  name,
  make: () => ({ id: newId(), name, ...rest }),
});

export const usualGear: readonly Owned<Equipment>[] = [
  gear('hob', 'Hob, 4 rings', { kind: 'hob', count: 4 }),
  gear('oven', 'Oven', { kind: 'oven', count: 1 }),
  gear('pot9', 'Big pot, 9 L', { kind: 'pot', count: 1, litres: 9 }),
  gear('pot5', 'Pot, 5 L', { kind: 'pot', count: 1, litres: 5 }),
  gear('pot2', 'Saucepan, 2 L', { kind: 'pot', count: 1, litres: 2 }),
  gear('pan', 'Frying pan', { kind: 'pan', count: 1, litres: 3 }),
  gear('blender', 'Blender, 1.5 L', { kind: 'blender', count: 1, litres: 1.5 }),
  gear('processor', 'Food processor, 2 L', { kind: 'processor', count: 1, litres: 2 }),
  gear('microwave', 'Microwave', { kind: 'microwave', count: 1 }),
  gear('scale', 'Kitchen scale', { kind: 'scale', count: 1 }),
];

const freezer = (id: string, name: string, kind: Place['kind'], litres: number, zones: readonly string[]): Owned<Place> => ({
  id,
  name: `${name}, ${litres} L`,
  make: () => ({
    id: newId(),
    name,
    kind,
    litres,
    temperatureC: -18,
    zones: zones.map((zone) => ({ id: newId(), name: zone, litres: Math.round(litres / zones.length) })),
    prefers: [],
  }),
});

export const usualPlaces: readonly Owned<Place>[] = [
  freezer('box', 'Freezer box', 'freezer', 70, ['top', 'middle', 'drawer']),
  freezer('upright', 'Upright freezer', 'freezer', 200, ['first', 'second', 'third', 'fourth', 'fifth']),
  freezer('chest', 'Chest freezer', 'chest', 200, ['left basket', 'middle', 'right basket']),
];

const boxes: readonly (readonly [presetId: string, owned: number])[] = [
  ['tub500', 10],
  ['tub1000', 10],
  ['bag_1L', 30],
  ['bag_3L', 15],
  ['pan_loaf2', 6],
  ['jar_pint', 6],
  ['tray30', 2],
];

/** Containers from the reference rows that this household's server knows. */
export const usualContainers = (presets: readonly ReferenceRow[]): Owned<Container>[] =>
  boxes.flatMap(([presetId, owned]) => {
    const row = presets.find((p) => p.id === presetId);
    const made = row && fromPreset(row);
    return made?.name && made.shape
      ? [
          {
            id: presetId,
            name: `${owned} × ${made.name}`,
            make: () => ({ id: newId(), owned, presetId, microwave: 'unknown', ...made }) as Container,
          },
        ]
      : [];
  });
