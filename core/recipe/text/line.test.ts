import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readLine } from './line.ts';
import { readNumber } from './number.ts';

describe('numbers as written', () => {
  it.each([
    ['1 1/2 cups', '3/2'],
    ['1½ tsp', '3/2'],
    ['½', '1/2'],
    ['3/4 tsp', '3/4'],
    ['1,5 kg', '3/2'],
    ['1,200 g', '1200'],
    ['0.75', '3/4'],
    ['two eggs', '2'],
    ['half a lemon', '1/2'],
    ['2 ⅓', '7/3'],
    ['1\u20442', '1/2'],
  ])('%s', (text, amount) => expect(readNumber(text)?.amount).toBe(amount));
  it.each(['onion', '', '1/0 cup', 'antelope'])('"%s" is no number', (text) => expect(readNumber(text)).toBeUndefined());
});

describe('ingredient lines', () => {
  it.each([
    ['500 g aubergine, cut into 2 cm cubes', { amount: '500', unit: 'g', name: 'aubergine', form: 'cubed', sizeMm: 20 }],
    ['2 x 400 g tins chopped tomatoes', { amount: '800', unit: 'g', name: 'tomatoes', form: 'chopped', note: '2 of 400 g' }],
    ['1 (400 g) tin chickpeas, drained', { amount: '400', unit: 'g', name: 'chickpeas', form: 'drained' }],
    ['2-3 onions, finely diced', { amount: '2', amountTo: '3', unit: 'piece', name: 'onions', form: 'diced' }],
    ['1 ½ cups rolled oats', { amount: '3/2', unit: 'cup', name: 'rolled oats' }],
    ['500g/1lb 2oz plain flour', { amount: '500', unit: 'g', name: 'plain flour' }],
    ['1 cup (240 ml) whole milk', { amount: '1', unit: 'cup', name: 'whole milk' }],
    ['4 cloves of garlic, crushed', { amount: '4', unit: 'piece', name: 'garlic', form: 'minced' }],
    ['a pinch of salt', { amount: '1', unit: 'pinch', name: 'salt' }],
    ['1,5 kg Kartoffeln', { amount: '3/2', unit: 'kg', name: 'Kartoffeln' }],
    ['about 2 tbsp. olive oil', { amount: '2', unit: 'tbsp', name: 'olive oil' }],
    ['1 to 2 tsp smoked paprika', { amount: '1', amountTo: '2', unit: 'tsp', name: 'smoked paprika' }],
    ['▢ 3 large eggs', { amount: '3', unit: 'piece', name: 'eggs', note: 'large' }],
    ['1 pint stock', { amount: '1', unit: 'ukPint', name: 'stock' }],
  ])('%s', (text, expected) => expect(readLine(text)).toMatchObject(expected));
  it('tells headings apart', () => expect(readLine('For the sauce:')).toMatchObject({ heading: 'For the sauce' }));
  it('marks what is to taste and keeps a line without an amount', () => {
    const line = readLine('Salt and black pepper, to taste');
    expect(line.toTaste).toBe(true);
    expect(line.amount).toBeUndefined();
    expect(line.name).toBe('Salt and black pepper');
  });
  it('never drops what was written, whatever it is', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (text) => {
        const line = readLine(text);
        expect(line.written).toBe(text);
        if (text.trim()) expect(typeof line.name).toBe('string');
      }),
    );
  });
});
