import { describe, expect, it } from 'vitest';
import type { z } from 'zod';
import {
  containerSchema,
  eaterSchema,
  equipmentSchema,
  ingredientRowSchema,
  placeSchema,
  readForm,
  revisionSchema,
  typedLike,
  typedOf,
} from '#core/contract';
import { ingredientRows } from '#core/kitchen/data';
import { demoContainers, demoEquipment, demoEaters, demoPlaces } from '../../server/demo/kitchen.ts';

const documents = [
  ['eaters', eaterSchema, demoEaters('2026-11-24', '2026-11-28')],
  ['gear', equipmentSchema, demoEquipment],
  ['containers', containerSchema, demoContainers],
  ['cold places', placeSchema, demoPlaces],
  ['ingredients', ingredientRowSchema, ingredientRows],
] as [string, z.ZodObject, readonly { id: string }[]][];

describe('opening a form and keeping it', () => {
  it.each(documents)('changes nothing: %s', (_, schema, list) => {
    expect(list.length).toBeGreaterThan(2);
    for (const document of list) {
      const typed = typedOf(schema, document);
      const read = readForm(schema, typed);
      expect(read, document.id).toMatchObject({ ok: true });
      // a list that was empty and may be missing is missing; nothing else moves
      if (read.ok)
        expect(JSON.parse(JSON.stringify(read.value, sorted)), document.id).toEqual(JSON.parse(JSON.stringify(document, sorted)));
      // as it comes back from the device
      expect(typedLike(schema, JSON.parse(JSON.stringify(typed))), document.id).toEqual(typed);
    }
  });
  it('shows no number that a cook did not type', () => {
    for (const [, schema, list] of documents)
      for (const document of list)
        for (const text of Object.values(typedOf(schema, document) as Record<string, unknown>))
          if (typeof text === 'string') expect(text).not.toMatch(/NaN|undefined|^\d[\d.]*e[+-]?\d|\.\d{9}/);
  });
});

/** Keys in one order, empty lists and groups left out: what a form cannot tell apart. */
function sorted(_key: string, value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(
        ([, v]) =>
          !(Array.isArray(v) && v.length === 0) && v !== false && !(typeof v === 'object' && v !== null && Object.keys(v).length === 0),
      )
      .toSorted(([a], [b]) => a.localeCompare(b)),
  );
}

it('a dose is whole or is told what it lacks', () => {
  const dose = revisionSchema.shape.dose.unwrap();
  const typed = typedOf(dose, { amount: 1, unit: 'tbsp', noSalt: true });
  expect(readForm(dose, typed)).toEqual({ ok: true, value: { amount: 1, unit: 'tbsp', noSalt: true } });
  expect(readForm(dose, { ...typed, insteadOf: { ingredientId: 'garlic', count: '' } })).toMatchObject({
    errors: { 'insteadOf.count': 'more than 0 and at most 1000' },
  });
});
