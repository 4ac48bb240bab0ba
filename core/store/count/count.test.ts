import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Place } from '#core/contract';
import { addDays } from '#core/kitchen';
import { countLine, type CountContext } from './countLine.ts';
import { sayVague, vagueDate } from './vagueDate.ts';

const today = '2026-11-24'; // a Tuesday

describe('a date as a cook remembers it', () => {
  it.each([
    ['yesterday', '2026-11-23', '2026-11-23'],
    ['today', '2026-11-24', '2026-11-24'],
    ['sat', '2026-11-21', '2026-11-21'],
    ['tuesday', '2026-11-17', '2026-11-17'],
    ['last week', '2026-11-16', '2026-11-22'],
    ['last month', '2026-10-01', '2026-10-31'],
    ['last year', '2025-01-01', '2025-12-31'],
    ['3 weeks ago', '2026-10-31', '2026-11-06'],
    ['a month ago', '2026-10-10', '2026-11-09'],
    ['2 days ago', '2026-11-22', '2026-11-22'],
    ['oct', '2026-10-01', '2026-10-31'],
    ['about October', '2026-10-01', '2026-10-31'],
    ['early oct', '2026-10-01', '2026-10-10'],
    ['mid oct', '2026-10-11', '2026-10-20'],
    ['late october', '2026-10-21', '2026-10-31'],
    ['nov', '2026-11-01', '2026-11-24'],
    ['last november', '2025-11-01', '2025-11-30'],
    ['dec', '2025-12-01', '2025-12-31'],
    ['feb 2024', '2024-02-01', '2024-02-29'],
    ['12 oct', '2026-10-12', '2026-10-12'],
    ['oct 12', '2026-10-12', '2026-10-12'],
    ['28 dec', '2025-12-28', '2025-12-28'],
    ['12 oct 2025', '2025-10-12', '2025-10-12'],
    ['last spring', '2026-03-01', '2026-05-31'],
    ['last autumn', '2025-09-01', '2025-11-30'],
    ['autumn', '2026-09-01', '2026-11-24'],
    ['winter', '2025-12-01', '2026-02-28'],
    ['summer 2025', '2025-06-01', '2025-08-31'],
    ['2025', '2025-01-01', '2025-12-31'],
    ['15/10', '2026-10-15', '2026-10-15'],
    ['15.10.', '2026-10-15', '2026-10-15'],
    ['15/10/25', '2025-10-15', '2025-10-15'],
    ['28/12', '2025-12-28', '2025-12-28'],
    ['2026-11-01', '2026-11-01', '2026-11-01'],
    ['10/2025', '2025-10-01', '2025-10-31'],
    ['2026-10', '2026-10-01', '2026-10-31'],
    ['?', '2025-11-24', '2026-11-24'],
  ])('%s', (text, earliest, latest) => expect(vagueDate(text.split(' '), today)).toEqual({ earliest, latest }));

  it.each(['shed', 'left', '31 feb', 'oct 2027', '0 weeks ago', 'ma', '', '4', '31/2', '2027-01-01', '13/2025', '1/1/27'])(
    '%s is none',
    (text) => expect(vagueDate(text.split(' '), today)).toBeUndefined(),
  );

  it('is in order and never in the future, on any day', () => {
    const phrases = ['yesterday', 'sun', 'last week', '5 weeks ago', 'oct', 'late feb', '30 nov', 'last spring', 'winter', '2026', '?'];
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1500 }), fc.constantFrom(...phrases), (n, phrase) => {
        const day = addDays('2026-01-01', n);
        const d = vagueDate(phrase.split(' '), day);
        if (!d) return;
        expect(d.earliest <= d.latest && d.latest <= day).toBe(true);
      }),
    );
  });

  it.each([
    ['yesterday', '23\u00a0Nov\u00a02026'],
    ['oct', 'October\u00a02026'],
    ['nov', 'November\u00a02026'],
    ['2025', '2025'],
    ['last spring', '1\u00a0Mar to 31\u00a0May\u00a02026'],
    ['winter', '1\u00a0Dec\u00a02025 to 28\u00a0Feb\u00a02026'],
    ['?', 'not known'],
  ])('%s says itself', (text, says) => expect(sayVague(vagueDate(text.split(' '), today)!)).toBe(says));
});

const places: Place[] = [
  {
    id: 'box',
    name: 'Kitchen box',
    kind: 'freezer',
    litres: 70,
    temperatureC: -18,
    prefers: [],
    zones: [
      { id: 'box_top', name: 'top shelf', litres: 30 },
      { id: 'box_drawer', name: 'drawer', litres: 40 },
    ],
  },
  {
    id: 'shed',
    name: 'Shed chest',
    kind: 'chest',
    litres: 200,
    temperatureC: -20,
    prefers: [],
    zones: [
      { id: 'shed_left', name: 'left basket', litres: 100 },
      { id: 'shed_right', name: 'right basket', litres: 100 },
    ],
  },
];
const context: CountContext = {
  today,
  places,
  dishes: [{ recipeId: 'r_stew', name: 'Smoky aubergine and chickpea stew', kind: 'meal', lifeRow: 'chilli_bean', portionMl: 400 }],
};
const read = (text: string, over: Partial<CountContext> = {}) => {
  const r = countLine(text, { ...context, ...over });
  if (!r.ok) throw new Error(r.why);
  return r.line;
};

describe('a line of a first count', () => {
  it('reads name, number, vague date and place, with or without commas, in either order', () => {
    const want = {
      name: 'Stew',
      kind: 'meal',
      packs: 4,
      placeId: 'shed',
      zoneId: 'shed_left',
      made: { earliest: '2026-10-01', latest: '2026-10-31' },
    };
    for (const text of [
      'stew, 4, about October, shed left',
      'stew 4 oct shed left',
      'stew 4 sl oct',
      'Stew 4 left oct',
      'stew, 4, sh le, october',
    ])
      expect(read(text), text).toMatchObject(want);
  });
  it('keeps to the place of the line before until another is said', () => {
    const place = { placeId: 'shed', zoneId: 'shed_right' };
    expect(read('peas 2 sep', { place })).toMatchObject(place);
    expect(read('peas 2 sep shed', { place })).toMatchObject(place);
    expect(read('peas 2 sep box', { place })).toMatchObject({ placeId: 'box', zoneId: 'box_top' });
    expect(read('peas 2', {}).placeId).toBeUndefined();
  });
  it.each([
    ['leek soup 2', 'meal'],
    ['kit turkey 2', 'kit'],
    ['tomato sauce 3', 'base'],
    ['carrot puree 5', 'puree'],
    ['fish stock 2', 'broth'],
    ['ginger cubes 1', 'aromatic'],
    ['dried mushrooms 1', 'dried'],
    ['rye rolls 2', 'bread'],
    ['something odd 2', 'meal'],
  ])('knows the kind of %s', (text, kind) => expect(read(text).kind).toBe(kind));
  it('takes a dish of the household by the beginnings of its words', () =>
    expect(read('smoky aub 2')).toMatchObject({ recipeId: 'r_stew', name: 'Smoky aubergine and chickpea stew', guess: 'recipe' }));
  it('takes portions of each pack', () => expect(read('stew 4x2.5')).toMatchObject({ packs: 4, portionsEach: 2.5 }));
  it('leaves an unknown date unknown', () => {
    expect(read('stew 4').made).toBeUndefined();
    expect(read('stew 4 ?').made).toBeUndefined();
  });
  it.each([
    ['', 'Say what it is'],
    ['stew', 'How many packs'],
    ['stew 60', 'From 1 to 40'],
    ['stew 4 garage', 'neither a date nor a place'],
  ])('says what is missing in “%s”', (text, why) => {
    const r = countLine(text, context);
    expect(r.ok ? '' : r.why).toContain(why);
  });
  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 40 }), (text) => {
        const r = countLine(text, context);
        if (r.ok) expect(r.line.packs).toBeGreaterThan(0);
        else expect(r.why.length).toBeGreaterThan(5);
      }),
    );
  });
});
