import { expect, it } from 'vitest';
import type { Place } from '#core/contract';
import { spotsOf } from './SpotSelect.tsx';

const place = (id: string, kind: Place['kind'], ...zones: string[]): Place => ({
  id,
  name: id,
  kind,
  litres: 100,
  temperatureC: -18,
  zones: zones.map((z) => ({ id: z, name: z, litres: 50 })),
  prefers: [],
});

it('packs are put on the shelves of freezers alone, whatever signs their ids have', () => {
  const places = [
    place('shed|old', 'chest', 'left', 'a|b'),
    place('fridge', 'fridge', 'top'),
    place('box', 'freezer'),
    place('hall', 'freezer', 'top'),
  ];
  expect(spotsOf(places)).toEqual([
    { placeId: 'shed|old', zoneId: 'left' },
    { placeId: 'shed|old', zoneId: 'a|b' },
    { placeId: 'hall', zoneId: 'top' },
  ]);
});
