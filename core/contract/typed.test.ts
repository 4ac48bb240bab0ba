import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { z } from 'zod';
import { olderTub } from './fixtures.ts';
import { containerSchema, eaterSchema, equipmentSchema, householdSchema, placeSchema } from './kitchen.ts';
import { ingredientRowSchema, priceSchema } from './reference.ts';
import { readForm, typedLike, typedOf } from './typed.ts';

const tub = containerSchema.parse({ ...olderTub, microwave: 'unknown', costCents: 35 });
const pot = equipmentSchema.parse({ id: 'pot', name: 'Pot', kind: 'pot', count: 1, litres: 9.5, fillShare: 0.85, marks: { pureeMl: 900 } });
const anna = eaterSchema.parse({
  id: 'anna',
  name: 'Anna',
  stage: 'adult',
  appetite: 1.25,
  allergens: ['milk'],
  needs: [],
  presence: { weekly: { mon: ['dinner'] }, rota: { firstDay: '2026-11-02', daysOn: 14, daysOff: 14 }, away: [], exceptions: [] },
});

const wrong = <S extends z.ZodObject>(schema: S, document: z.output<S>, typed: object): Record<string, string> => {
  const read = readForm(schema, { ...typedOf(schema, document), ...typed });
  if (read.ok) throw new Error('was taken');
  return read.errors;
};

describe('a document in a form', () => {
  it.each([
    ['a container', containerSchema, tub],
    ['a pot', equipmentSchema, pot],
    ['an eater', eaterSchema, anna],
  ] as [string, z.ZodObject, object][])('is read back as it was: %s', (_, schema, document) => {
    const typed = typedOf(schema, document);
    expect(readForm(schema, typed)).toEqual({ ok: true, value: document });
    expect(typedLike(schema, JSON.parse(JSON.stringify(typed)))).toEqual(typed);
  });

  it('shows a share in percent and money in whole coins', () => {
    expect(typedOf(equipmentSchema, pot).fillShare).toBe('85');
    expect(typedOf(containerSchema, tub).costCents).toBe('0.35');
    expect(readForm(containerSchema, { ...typedOf(containerSchema, tub), costCents: '1,5' })).toMatchObject({ value: { costCents: 150 } });
  });

  it('leaves away what is empty, and a whole group of empty fields', () => {
    const read = readForm(equipmentSchema, {
      ...typedOf(equipmentSchema, pot),
      litres: ' ',
      marks: { pulseMl: '', pureeMl: '', hotMl: '' },
    });
    expect(read).toMatchObject({ ok: true });
    expect(read.ok && Object.keys(read.value)).toEqual(['id', 'name', 'kind', 'count', 'fillShare']);
  });

  it('keeps a no that stands alone in its group', () => {
    const schema = householdSchema.pick({ reminders: true });
    const never = { reminders: { askDinner: false } };
    expect(readForm(schema, typedOf(schema, never))).toEqual({ ok: true, value: never });
  });

  it('says what a field must be with its own bounds and unit', () => {
    expect(wrong(containerSchema, tub, { brimMl: '4,5x', owned: '2.5', name: ' ' })).toEqual({
      brimMl: 'more than 0 and at most 30,000 ml',
      owned: 'a whole number from 0 to 2000',
      name: 'a name or a word',
    });
    expect(wrong(equipmentSchema, pot, { fillShare: '5' })).toEqual({ fillShare: 'from 10 to 100 %' });
    expect(wrong(eaterSchema, anna, { appetite: '' })).toEqual({ appetite: 'from 0.1 to 3 plates' });
    expect(wrong(placeSchema, { id: 'p', name: 'P', kind: 'freezer', litres: 1, temperatureC: -18, zones: [], prefers: [] }, {})).toEqual({
      zones: 'at least 1 of them',
    });
  });

  it.each(['1e3', '0x10', 'Infinity', '1,2,3', '--1', '½'])('takes no figure from %s', (text) => {
    expect(wrong(containerSchema, tub, { brimMl: text })).toHaveProperty('brimMl');
  });

  it('keeps every figure that a document can hold', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 1, noNaN: true }), fc.integer({ min: 0, max: 100_000 }), (share, cents) => {
        const rounded = Number(share.toPrecision(10));
        expect(readForm(equipmentSchema, typedOf(equipmentSchema, { ...pot, fillShare: rounded }))).toMatchObject({
          value: { fillShare: rounded },
        });
        expect(readForm(containerSchema, typedOf(containerSchema, { ...tub, costCents: cents }))).toMatchObject({
          value: { costCents: cents },
        });
      }),
    );
  });

  it('knows a shape of before from today’s', () => {
    expect(typedLike(containerSchema, { name: 'Tub' })).toBeUndefined();
    expect(typedLike(priceSchema, null)).toBeUndefined();
    expect(typedLike(householdSchema, 'Household')).toBeUndefined();
    expect(typedLike(ingredientRowSchema, [])).toBeUndefined();
  });
});
