import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { clockSchema, daySchema } from './basics.ts';
import { containerSchema, eaterSchema, equipmentSchema, householdSchema, placeSchema } from './kitchen.ts';
import { ingredientRowSchema, priceSchema } from './reference.ts';
import { readForm, typedOf } from './typed.ts';
import { bare, inUnit, sayIssue, schemaAt, shownOf } from './words.ts';

const said = (schema: z.ZodObject, value: unknown): string[] => {
  const parsed = schema.safeParse(value);
  return parsed.success ? [] : parsed.error.issues.map((issue) => sayIssue(schema, issue));
};

describe('what a value must be', () => {
  it.each([
    ['both bounds', z.number().min(2).max(7), 'from 2 to 7'],
    ['whole', z.number().int().min(1).max(60), 'a whole number from 1 to 60'],
    ['above nothing', z.number().positive().max(5000), 'more than 0 and at most 5000'],
    ['below alone', z.number().min(3), 'at least 3'],
    ['above alone', z.number().positive(), 'more than 0'],
    ['at most alone', z.number().max(12), 'at most 12'],
    ['no bound', z.number(), 'a figure'],
    ['a unit', inUnit(z.number().min(1).max(20_000), { unit: 'ml' }), 'from 1 to 20,000 ml'],
    ['a share as percent', inUnit(z.number().min(0.1).max(1), { unit: '%', times: 100 }), 'from 10 to 100 %'],
    ['money in coins', inUnit(z.number().int().min(0).max(100_000), { times: 0.01 }), 'from 0 to 1000'],
    ['cold', inUnit(z.number().min(-60).max(40), { unit: '°C' }), 'from -60 to 40 °C'],
    ['one that may be missing', inUnit(z.number().positive().max(9), { unit: 'kg' }).optional(), 'more than 0 and at most 9 kg'],
  ])('is said with its bounds: %s', (_, n, words) => {
    const schema = z.object({ n });
    for (const value of ['x', Number.NaN]) expect(said(schema, { n: value })).toEqual([words]);
  });
  it.each([
    ['an empty name', z.string().min(1).max(80), '', 'a name or a word'],
    ['a missing one', z.string(), undefined, 'a name or a word'],
    ['one too long', z.string().max(3), 'abcd', 'at most 3 characters'],
    ['no shelf', z.array(z.string()).min(1), [], 'at least 1 of them'],
    ['too many', z.array(z.string()).max(1), ['a', 'b'], 'at most 1 of them'],
    ['a word that is none of them', z.enum(['tub', 'bag']), 'box', 'one of tub, bag'],
    ['no day', daySchema, 'soon', 'a day such as 3 Dec 2026'],
    ['no hour', clockSchema, '25:00', 'hours and minutes such as 18:30'],
  ])('is said in a cook’s words: %s', (_, v, value, words) => {
    expect(said(z.object({ v }), { v: value })).toEqual([words]);
  });
});

describe('a field by its path', () => {
  it('is found in groups, lists and what may be missing', () => {
    expect(shownOf(schemaAt(equipmentSchema, ['marks', 'pulseMl'])!)).toEqual({ unit: 'ml', times: undefined });
    expect(shownOf(schemaAt(placeSchema, ['zones', 0, 'litres'])!).unit).toBe('L');
    expect(shownOf(schemaAt(placeSchema, ['usableShare'])!)).toEqual({ unit: '%', times: 100 });
    expect(schemaAt(placeSchema, ['zones', 0, 'colour'])).toBeUndefined();
    expect(schemaAt(placeSchema, ['name', 'first'])).toBeUndefined();
    expect(bare(z.string().optional().nullable())).toBeInstanceOf(z.ZodString);
  });
  it('keeps its unit over the whole contract: what is called by a unit is shown in it', () => {
    const units = { Ml: 'ml', Mm: 'mm', G: 'g', C: '°C', Days: 'days' } as const;
    for (const schema of [containerSchema, equipmentSchema, placeSchema, householdSchema] as z.ZodObject[])
      for (const [key, field] of Object.entries(schema.shape)) {
        const unit = Object.entries(units).find(([end]) => key.endsWith(end))?.[1];
        if (unit && bare(field) instanceof z.ZodNumber) expect(shownOf(field).unit, key).toBe(unit);
      }
  });
});

describe('a figure as a cook types it', () => {
  const price = typedOf(priceSchema, { amount: 1, unit: 'g', cents: 100 });
  const cents = (text: string): unknown => {
    const read = readForm(priceSchema, { ...price, cents: text });
    return read.ok ? read.value.cents : read.errors.cents;
  };
  it('in coins is never a part of the smallest one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1_000_000 }), (n) => {
        expect(cents((n / 100).toFixed(2))).toBe(n);
        expect(cents((n / 100).toFixed(2).replace('.', ','))).toBe(n);
      }),
    );
    expect(cents('1.999')).toBe(200);
  });
  it.each(['', ' ', '1 000', '1’000', '£2', 'two', '1..2', '1e9', '-1', 'NaN'])('is asked for anew rather than guessed: “%s”', (text) => {
    expect(cents(text)).toBe('from 0 to 10,000');
  });
  it.each([
    [' 2.5 ', 250],
    ['2,5', 250],
    ['.5', 50],
    ['007', 700],
    ['+3', 300],
    ['4.', 400],
  ])('is taken from %s', (text, n) => expect(cents(text)).toBe(n));
  it('of an ingredient is empty where nothing is known, never 0 or 1', () => {
    const row = {
      id: 'x',
      name: 'Sorrel',
      otherNames: [],
      aisle: 'greens',
      density: {},
      contains: [],
      mayHold: [],
      allergenCheck: 'unknown' as const,
      source: 'OWN',
      conf: 'confirm' as const,
    };
    const typed = typedOf(ingredientRowSchema, row);
    expect([typed.pieceG, typed.ediblePct, typed.density.chopped]).toEqual(['', '', '']);
    const read = readForm(ingredientRowSchema, typed);
    expect(read).toMatchObject({ ok: true });
    expect(read.ok && ['pieceG', 'ediblePct', 'keepDaysLow', 'prices'].filter((key) => key in read.value)).toEqual([]);
  });
  it('of a group stays with its group', () => {
    const typed = typedOf(eaterSchema, { name: 'Pip', stage: 'baby', presence: { weekly: {}, away: [], exceptions: [] } });
    expect(typed.baby).toEqual({ mealsPerDay: '', cubesPerMeal: '' });
    const read = readForm(eaterSchema, { ...typed, id: 'pip', appetite: '1', baby: { mealsPerDay: '2', cubesPerMeal: '' } });
    expect(read).toEqual({ ok: false, errors: { 'baby.cubesPerMeal': 'a whole number from 1 to 12' } });
  });
});
