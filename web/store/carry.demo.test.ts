import type { Active, Over } from '@dnd-kit/core';
import { expect, it } from 'vitest';
import type { PackBrief } from '#core/queries';
import { demoPlaces } from '../../server/demo/kitchen.ts';
import { carriedOf, sayCarrying, spotUnder, type Carried, type Spotted } from './carrying.ts';

const carried: Carried = { name: 'Gratin', packs: [{ packId: 'a' }, { packId: 'b' }] as PackBrief[] };
const [place] = demoPlaces;
const zone = place!.zones[1]!;
const active = { data: { current: carried } } as unknown as Active;
const over = { data: { current: { placeId: place!.id, zoneId: zone.id } satisfies Spotted } } as unknown as Over;

it('says what is carried, over which shelf, and where it was put down or that it stayed', () => {
  const { announcements: say, screenReaderInstructions } = sayCarrying(demoPlaces);
  const event = { active, over } as never;
  const nowhere = { active, over: null } as never;
  const where = `${place!.name}, ${zone.name}`;
  expect(say.onDragStart(event)).toMatch(/^2\spacks of Gratin lifted\..*Escape leaves it where it was\.$/);
  expect(say.onDragOver(event)).toBe(`Over ${where}`);
  expect(say.onDragOver(nowhere)).toBe('Over no shelf');
  expect(say.onDragEnd(event)).toMatch(new RegExp(`^2\\spacks of Gratin put down in ${where}$`));
  for (const says of [say.onDragEnd(nowhere), say.onDragCancel(event)]) expect(says).toMatch(/^2\spacks of Gratin stays where it was$/);
  expect(screenReaderInstructions.draggable).toContain('Enter opens it');
});

it('carries nothing when nothing was lifted, and goes nowhere without a shelf', () => {
  expect(carriedOf({ active })).toBe(carried);
  expect(carriedOf({ active: { data: { current: undefined } } as unknown as Active })).toBeUndefined();
  expect(spotUnder({ over: null })).toBeUndefined();
  expect(spotUnder({ over })).toEqual({ placeId: place!.id, zoneId: zone.id });
});
