import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Place } from '#core/contract';
import { countLine, type CountContext, type CountedLine } from './countLine.ts';

const shed = {
  id: 'shed',
  name: 'Shed chest',
  zones: [
    { id: 'left', name: 'left basket', litres: 60 },
    { id: 'right', name: 'right basket', litres: 60 },
  ],
} as Place;
const context: CountContext = {
  today: '2026-11-24',
  places: [shed],
  dishes: [{ recipeId: 'r1', name: 'Smoky aubergine stew', kind: 'meal', lifeRow: 'stew_meat', portionMl: 400 }],
};
const read = (text: string): CountedLine => {
  const r = countLine(text, context);
  if (!r.ok) throw new Error(`${text}: ${r.why}`);
  return r.line;
};
const packMl = (l: CountedLine): number => Math.round(l.portionsEach * l.mlEach);

describe('a count line as a cook writes it', () => {
  it.each<[string, Partial<CountedLine>]>([
    ['soup 3 15/10', { name: 'Soup', packs: 3, made: { earliest: '2026-10-15', latest: '2026-10-15' } }],
    ['soup 3 2026-11-01', { packs: 3, made: { earliest: '2026-11-01', latest: '2026-11-01' } }],
    ['soup 3 shed left 15.10.', { packs: 3, zoneId: 'left', made: { earliest: '2026-10-15', latest: '2026-10-15' } }],
    ['stew 3 bags oct', { name: 'Stew', packs: 3, made: { earliest: '2026-10-01', latest: '2026-10-31' } }],
    ['stew 2 tubs shed left', { packs: 2, zoneId: 'left' }],
    ['stew 2 x 3', { packs: 2, portionsEach: 3 }],
    ['stew 2x3 oct', { packs: 2, portionsEach: 3 }],
    ['stew 3 tubs of 2', { packs: 3, portionsEach: 2 }],
    ['stew 2 bags of 4 portions, oct', { packs: 2, portionsEach: 4 }],
    ['pea puree 40 cubes', { name: 'Pea puree', kind: 'puree', packs: 1, portionsEach: 40 }],
    ['pea puree 2 bags of 20 cubes', { packs: 2, portionsEach: 20 }],
    ['ginger 24 cubes oct', { kind: 'aromatic', packs: 1, portionsEach: 24 }],
    ['2 chicken curry', { name: 'Chicken curry', kind: 'meal', packs: 2 }],
    [
      '2 chicken curry oct shed right',
      { name: 'Chicken curry', packs: 2, zoneId: 'right', made: { earliest: '2026-10-01', latest: '2026-10-31' } },
    ],
    ['3 bags leek soup sep', { name: 'Leek soup', packs: 3, made: { earliest: '2026-09-01', latest: '2026-09-30' } }],
    ['3 bags of leek soup', { name: 'Leek soup', packs: 3 }],
    ['4 x 500 ml chicken stock', { name: 'Chicken stock', kind: 'broth', packs: 4 }],
    ['rolls 12', { name: 'Rolls', kind: 'bread', packs: 1, portionsEach: 12 }],
    ['12 rye rolls shed', { name: 'Rye rolls', packs: 1, portionsEach: 12, placeId: 'shed' }],
    ['rolls 2 bags', { packs: 2, portionsEach: 6 }],
    ['rolls 2x8', { packs: 2, portionsEach: 8 }],
    ['loaf 2', { kind: 'bread', packs: 2 }],
    ['loaves 2', { kind: 'bread', packs: 2 }],
    ['meals 4', { kind: 'meal', packs: 4 }],
    ['kits pork 2', { name: 'Pork', kind: 'kit', packs: 2 }],
    ['broths fish 3', { name: 'Fish', kind: 'broth', packs: 3 }],
    ['casseroles 2 oct', { packs: 2, lifeRow: 'casserole_baked' }],
    ['stew two oct', { packs: 2, made: { earliest: '2026-10-01', latest: '2026-10-31' } }],
    ['smoky stew 2', { recipeId: 'r1', packs: 2 }],
    ['stew 1', { packs: 1 }],
  ])('%s', (typed, meant) => expect(read(typed)).toMatchObject(meant));
  it.each([
    ['chicken stock 4 x 500 ml', 4, 500],
    ['chicken stock 4x500ml sep', 4, 500],
    ['mince 500 g', 1, 500],
    ['mince 2 x 500g', 2, 500],
    ['soup 1.5 kg', 1, 1500],
    ['soup 2 x 0,75 l', 2, 750],
    ['stock 3 bags of 1 litre', 3, 1000],
  ])('%s is %i packs of %i ml', (typed, packs, ml) => {
    expect(read(typed).packs).toBe(packs);
    expect(packMl(read(typed))).toBe(ml);
    expect(Number.isInteger(read(typed).portionsEach * 4)).toBe(true);
  });
  it.each([
    ['? soup', /how many.*soup/i],
    ['soup', /how many/i],
    ['12', /what is it/i],
    ['soup 3 31/2', /31\/2/],
    ['soup 99', /40/],
    ['4 x 500 ml', /what is it/i],
    ['soup 0', /1 to 40/],
    ['pea puree 900 cubes', /500/],
    ['', /say what/i],
  ])('%s is asked about in words', (typed, words) => {
    const r = countLine(typed, context);
    expect(r.ok ? '' : r.why).toMatch(words);
  });
  it('takes any number first or last alike', () => {
    const name = fc.constantFrom('leek soup', 'stew', 'chicken curry', 'beans', 'plums');
    const tail = fc.constantFrom('', ' oct', ' shed left', ' last spring shed right', ' 3 weeks ago', ' 15/10');
    fc.assert(
      fc.property(name, fc.integer({ min: 1, max: 40 }), tail, (what, n, after) => {
        expect(countLine(`${n} ${what}${after}`, context)).toEqual(countLine(`${what} ${n}${after}`, context));
      }),
    );
  });
});
