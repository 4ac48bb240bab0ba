import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredientFinder } from '#core/kitchen';
import { ingredientRows, withForeignNames } from '#core/kitchen/data';
import { composeLines } from '#core/recipe';

const finder = ingredientFinder(withForeignNames(ingredientRows));
const recipes = [
  'Onion, carrot and celery base',
  'Celery base',
  'White sauce in portions',
  'Tomato base (roasted)',
  'Gran\u2019s 5-spice paste',
  'Stock',
].map((name) => ({ id: name, name }));
const one = (text: string) => {
  const [row] = composeLines([{ id: 'a', text }], { finder, recipes });
  if (!row || !('foods' in row)) throw new Error('no line');
  return row.foods.map((f) => f.line);
};

describe('a line that draws from a recipe of one\u2019s own', () => {
  it.each([
    ['300 g onion, carrot and celery base', 'Onion, carrot and celery base', '300', 'g'],
    ['300 g Onion, Carrot and Celery Base (see above)', 'Onion, carrot and celery base', '300', 'g'],
    ['500 ml tomato base (roasted), thawed', 'Tomato base (roasted)', '500', 'ml'],
    ['6 portions of white sauce in portions', 'White sauce in portions', '6', 'piece'],
    ['2 tbsp gran\u2019s 5-spice paste', 'Gran\u2019s 5-spice paste', '2', 'tbsp'],
    ['200 g celery base', 'Celery base', '200', 'g'],
  ])('%s', (text, name, amount, unit) => {
    const lines = one(text);
    expect(lines).toHaveLength(1);
    expect(lines[0]).toMatchObject({ item: { type: 'recipe', id: name }, name, amount, unit, written: text });
  });
  it.each(['300 g onions, carrot and celery', 'celery basement, 2 kg'])('names none where the whole name does not stand: %s', (text) =>
    expect(one(text).some((l) => l.item.type === 'recipe')).toBe(false),
  );
  it('is found by any name a cook gives, whatever stands in it', () => {
    const word = fc.constantFrom('Gran', 'and', 'roast', 'of', 'the', 'sauce', 'No. 2', '(hot)', 'tomato,', 'base', 'salt', '\u00bd');
    fc.assert(
      fc.property(fc.array(word, { minLength: 2, maxLength: 5 }), (parts) => {
        const name = `Our ${parts.join(' ')}`;
        const [row] = composeLines([{ id: 'a', text: `250 g ${name}` }], { finder, recipes: [{ id: 'own', name }] });
        expect(row && 'foods' in row && row.foods[0]?.line).toMatchObject({
          item: { type: 'recipe', id: 'own' },
          amount: '250',
          unit: 'g',
        });
      }),
    );
  });
});
