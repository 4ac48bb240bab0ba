import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ldBlocks, textOfMarkup } from './html.ts';
import { minutesOf } from './duration.ts';
import { readRecipeFile } from './read.ts';

describe('text of markup', () => {
  it.each([
    ['Chop the onion.', 'Chop the onion.'],
    ['  two\t spaces\u00A0 more ', 'two spaces more'],
    ['Salt &amp; pepper', 'Salt & pepper'],
    ['180&deg;C, &frac12; tsp, cr&egrave;me fra&icirc;che', '180°C, ½ tsp, crème fraîche'],
    ['&#189; cup, &#x00BD; cup', '½ cup, ½ cup'],
    ['<p>First.</p><p>Second.</p>', 'First.\nSecond.'],
    ['First.<br>Second.<br/>Third.', 'First.\nSecond.\nThird.'],
    ['<ul><li>one</li><li>two</li></ul>', 'one\ntwo'],
    ['<b>bold</b> and <a href="x">linked</a>', 'bold and linked'],
    ['oven at < 200 and > 100', 'oven at < 200 and > 100'],
    ['<style>p { color: red }</style>Stir<script>alert(1)</script>.', 'Stir .'],
    ['5 &lt; 6', '5 < 6'],
    ['&unknown; stays', '&unknown; stays'],
    ['&#99999999;', '\uFFFD'],
    ['', ''],
  ])('%j is %j', (markup, text) => expect(textOfMarkup(markup)).toBe(text));

  const word = fc.stringMatching(/^[a-zà-ÿ]{1,9}$/);
  const tag = fc.constantFrom('b', 'i', 'em', 'span', 'a', 'p', 'li', 'div');
  it('keeps every word in its order and no tag, however it is wrapped', () =>
    fc.assert(
      fc.property(fc.array(fc.tuple(word, tag, fc.boolean()), { minLength: 1, maxLength: 30 }), (list) => {
        const markup = list.map(([w, t, wrapped]) => (wrapped ? `<${t} class="x">${w}</${t}>` : w)).join(' ');
        const text = textOfMarkup(markup);
        expect(text.split(/\s+/)).toEqual(list.map(([w]) => w));
        expect(text).not.toMatch(/[<>]|^\s|\s$| {2}|\n\n/);
      }),
    ));
});

describe('scripts of a saved page', () => {
  it.each([
    ['<script type="application/ld+json">{"a":1}</script>', ['{"a":1}']],
    ["<SCRIPT TYPE='application/LD+JSON' id=x>{}</SCRIPT>", ['{}']],
    ['<script type=application/ld+json>[1]</script><script>no</script>', ['[1]']],
    ['<script type="application/ld+json"><!-- {"a":1} --></script>', ['{"a":1}']],
    ['<script type="application/ld+json">{"a":"<b>&amp;</b>"}</script>', ['{"a":"<b>&amp;</b>"}']],
    ['<script type="application/ld+json">{"a":1}', ['{"a":1}']],
    ['<!-- <script type="application/ld+json">{}</script> -->', []],
    ['<p>nothing</p>', []],
  ])('%j', (page, blocks) => expect(ldBlocks(page)).toEqual(blocks));
});

describe('a recipe with more than a recipe holds', () => {
  const many = (n: number, text: string): string[] => Array.from({ length: n }, (_, i) => `${text} ${i + 1}`);
  it('is read as far as there is room, and the rest is named', () => {
    const read = readRecipeFile(
      JSON.stringify({
        '@type': 'Recipe',
        name: 'Big',
        recipeIngredient: many(130, '1 leek'),
        recipeInstructions: many(90, 'Chop it.'),
        recipeYield: '9'.repeat(40),
      }),
    );
    if (!read.ok) throw new Error(read.detail);
    const [recipe] = read.recipes;
    expect(recipe?.lines).toHaveLength(120);
    expect(recipe?.steps).toHaveLength(80);
    expect(recipe?.servings).toBeUndefined();
    expect(recipe?.notUnderstood).toEqual([
      { field: 'recipeIngredient', value: '10 more lines, from “1 leek 121” on' },
      { field: 'recipeInstructions', value: '10 more steps, from “Chop it. 81” on' },
    ]);
  });
});

describe('minutes of a duration', () => {
  it.each([
    ['PT1H30M', 90],
    ['P1D', 1440],
    ['PT90S', 2],
    ['1 hour 20 minutes', 80],
    ['10-15 min', 15],
    ['1,5 h', 90],
    ['soon', undefined],
    [45, undefined],
    ['9'.repeat(50_000), undefined],
  ])('%j is %s', (text, minutes) => expect(minutesOf(text)).toBe(minutes));
});
