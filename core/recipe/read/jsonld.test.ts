import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minutesOf, readRecipeFile } from './index.ts';

const recipe = (extra: object) =>
  JSON.stringify({
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: 'Harbour fish stew',
    recipeIngredient: ['500 g white fish', '2 onions'],
    ...extra,
  });
const first = (text: string) => {
  const r = readRecipeFile(text);
  if (!r.ok) throw new Error(r.detail);
  return r.recipes[0]!;
};

describe('recipe files', () => {
  it.each([
    ['text', 'Soften the onions.\nAdd the fish.', 2],
    ['numbered text', '1. Soften the onions. 2. Add the fish.', 2],
    ['strings', ['Soften the onions.', 'Add the fish.'], 2],
    [
      'HowToStep',
      [
        { '@type': 'HowToStep', text: 'Soften the onions.' },
        { '@type': 'HowToStep', name: 'Add the fish.' },
      ],
      2,
    ],
    [
      'HowToSection',
      [
        { '@type': 'HowToSection', name: 'Base', itemListElement: [{ '@type': 'HowToStep', text: 'Soften the onions.' }] },
        { '@type': 'HowToSection', name: 'Fish', itemListElement: ['Add the fish.'] },
      ],
      2,
    ],
  ])('reads steps as %s', (_, recipeInstructions, n) => {
    const r = first(recipe({ recipeInstructions }));
    expect(r.steps).toHaveLength(n);
    expect(r.steps[0]!.text).toContain('Soften the onions');
  });
  it.each([
    ['4', 4],
    [4, 4],
    ['Serves 4 to 6', 4],
    [['6', '6 portions'], 6],
    [{ '@type': 'QuantitativeValue', value: 8, unitText: 'bowls' }, 8],
    ['a potful', undefined],
  ])('reads a yield of %j', (recipeYield, servings) => expect(first(recipe({ recipeYield })).servings).toBe(servings));
  it.each([
    ['array', (r: string) => `[{"@type":"WebPage"},${r}]`],
    ['@graph', (r: string) => `{"@context":"https://schema.org","@graph":[{"@type":"Thing"},${r}]}`],
    ['inside a page node', (r: string) => `{"@type":"WebPage","mainEntity":${r}}`],
    [
      'a saved page',
      (r: string) =>
        `<html><head><script type="application/ld+json">{"@type":"Organization"}</script><script type='application/ld+json'>${r}</script></head></html>`,
    ],
  ])('finds it in an %s', (_, wrap) => expect(first(wrap(recipe({}))).name).toBe('Harbour fish stew'));
  it('keeps what it does not know', () =>
    expect(first(recipe({ nutrition: { calories: '300' } })).notUnderstood[0]).toMatchObject({ field: 'nutrition' }));
  it('cleans tags and entities', () =>
    expect(first(recipe({ recipeInstructions: '<p>Heat to 180&deg;C &amp; wait.</p>' })).steps[0]!.text).toBe('Heat to 180°C & wait.'));
  it('sums the times', () => expect(first(recipe({ prepTime: 'PT20M', cookTime: 'PT1H' })).totalMin).toBe(80));
  it.each([
    ['', 'empty'],
    ['{"@type":', 'notJson'],
    ['{"@type":"Event"}', 'noRecipe'],
    ['<html>hello</html>', 'noRecipe'],
  ])('says why %j holds none', (text, why) => expect(readRecipeFile(text)).toMatchObject({ ok: false, why }));
  it('does not throw on anything', () => {
    fc.assert(
      fc.property(fc.json(), (json) => {
        readRecipeFile(json);
      }),
    );
    fc.assert(
      fc.property(fc.string(), (text) => {
        readRecipeFile(text);
      }),
    );
  });
  it.each([
    ['PT1H30M', 90],
    ['P1DT2H', 1560],
    ['45 minutes', 45],
    ['1 hour 20 min', 80],
    ['soon', undefined],
  ])('%s', (text, min) => expect(minutesOf(text)).toBe(min));
});
