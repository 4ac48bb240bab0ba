import { describe, expect, it } from 'vitest';
import { quickestMs } from '../../kitchen/fixtures.ts';
import { readPasted, readRecipeFile, type FileRecipe } from './index.ts';

const readAll = (text: string): FileRecipe[] => {
  const read = readRecipeFile(text);
  if (!read.ok) throw new Error(`${read.why}: ${read.detail}`);
  return read.recipes;
};
const script = (json: string, around = ''): string =>
  `<!doctype html><html><head><script type="application/ld+json">${json}</script></head><body>${around}</body></html>`;
const soup = {
  '@context': 'https://schema.org',
  '@type': 'Recipe',
  name: 'Leek soup',
  recipeIngredient: ['4 leeks', '1 l stock'],
  recipeInstructions: 'Simmer.',
};
const json = JSON.stringify(soup);

describe('JSON-LD as it stands in the wild', () => {
  it.each([
    ['a byte order mark', `\uFEFF${json}`],
    ['an HTML comment', script(`<!-- ${json} -->`)],
    ['CDATA', script(`<![CDATA[${json}]]>`)],
    ['CDATA behind a comment mark', script(`//<![CDATA[\n${json}\n//]]>`)],
    ['CDATA in a block comment', script(`/*<![CDATA[*/${json}/*]]>*/`)],
    ['both, one in the other', script(`<!-- //<![CDATA[\n${json}\n//]]> -->`)],
    ['a semicolon at its end', script(`${json};`)],
    ['entities for its quotes', script(json.replaceAll('"', '&quot;'))],
    ['a broken line within a text', script(json.replace('Simmer.', 'Simmer\n gently.'))],
    ['a comma too many', script(json.replace('"1 l stock"]', '"1 l stock",]'))],
    ['a type with its address', script(json.replace('"Recipe"', '"https://schema.org/Recipe"'))],
    ['several types', script(json.replace('"Recipe"', '["NewsArticle","Recipe"]'))],
    ['a graph', script(JSON.stringify({ '@graph': [{ '@type': 'WebSite' }, soup] }))],
    ['an array', script(JSON.stringify([{ '@type': 'Organization' }, soup]))],
    ['a page that is about it', script(JSON.stringify({ '@type': 'WebPage', mainEntity: soup }))],
    [
      'an expanded form',
      script(
        JSON.stringify({
          '@type': 'http://schema.org/Recipe',
          'http://schema.org/name': [{ '@value': 'Leek soup' }],
          'http://schema.org/recipeIngredient': [{ '@list': ['4 leeks', '1 l stock'] }],
        }),
      ),
    ],
    [
      'references by id',
      script(
        JSON.stringify({
          '@graph': [
            { ...soup, recipeIngredient: [{ '@id': '#a' }, { '@id': '#b' }] },
            { '@id': '#a', name: '4 leeks' },
            { '@id': '#b', name: '1 l stock' },
          ],
        }),
      ),
    ],
    ['the same twice', script(json) + script(json)],
  ])('in %s', (_, page) => {
    const read = readAll(page);
    expect(read.map((r) => [r.name, r.lines])).toEqual([['Leek soup', ['4 leeks', '1 l stock']]]);
  });
  it.each([
    ['one text of many lines', '4 leeks\n1 l stock', ['4 leeks', '1 l stock']],
    ['a list in markup', '<ul><li>4 leeks</li><li>1 l stock</li></ul>', ['4 leeks', '1 l stock']],
    ['sections', [{ '@type': 'HowToSection', name: 'Base', itemListElement: ['4 leeks', '1 l stock'] }], ['Base:', '4 leeks', '1 l stock']],
    [
      'supplies',
      [
        { '@type': 'HowToSupply', name: 'leeks', requiredQuantity: { value: 4 } },
        { '@type': 'HowToSupply', name: 'stock', requiredQuantity: { value: 1, unitText: 'l' } },
      ],
      ['4 leeks', '1 l stock'],
    ],
    [
      'amounts beside names',
      [
        { name: 'leeks', amount: '4' },
        { name: 'stock', amount: '1 l' },
      ],
      ['4 leeks', '1 l stock'],
    ],
    [
      'list items',
      [
        { '@type': 'ListItem', item: '4 leeks' },
        { '@type': 'ListItem', item: { name: '1 l stock' } },
      ],
      ['4 leeks', '1 l stock'],
    ],
    ['entities, once and twice', ['4 leeks &amp; greens', '1 l cr&amp;egrave;me'], ['4 leeks & greens', '1 l crème']],
  ])('reads ingredients as %s', (_, recipeIngredient, lines) =>
    expect(readAll(JSON.stringify({ ...soup, recipeIngredient }))[0]?.lines).toEqual(lines),
  );
  it.each([
    ['a text of sentences', 'Chop. Simmer.', ['Chop. Simmer.']],
    ['numbered in one text', '1. Chop. 2. Simmer.', ['Chop.', 'Simmer.']],
    ['an ordered list', '<ol><li>Chop.</li><li>Simmer.</li></ol>', ['Chop.', 'Simmer.']],
    [
      'an item list',
      {
        '@type': 'ItemList',
        itemListElement: [
          { '@type': 'ListItem', item: { '@type': 'HowToStep', text: 'Chop.' } },
          { '@type': 'ListItem', item: 'Simmer.' },
        ],
      },
      ['Chop.', 'Simmer.'],
    ],
    [
      'directions within a step',
      [
        {
          '@type': 'HowToStep',
          itemListElement: [
            { '@type': 'HowToDirection', text: 'Chop.' },
            { '@type': 'HowToTip', text: 'Small.' },
          ],
        },
        { '@type': 'HowToStep', text: 'Simmer.' },
      ],
      ['Chop. Small.', 'Simmer.'],
    ],
    [
      'sections of steps',
      [{ '@type': 'HowToSection', name: 'Base', itemListElement: [{ '@type': 'HowToStep', text: 'Chop.' }] }],
      ['Chop.'],
    ],
  ])('reads steps as %s', (_, recipeInstructions, steps) =>
    expect(readAll(JSON.stringify({ ...soup, recipeInstructions }))[0]?.steps.map((s) => s.text)).toEqual(steps),
  );
  it('keeps each duration, where it comes from, and what it is about', () =>
    expect(
      readAll(
        JSON.stringify({
          ...soup,
          prepTime: 'PT20M',
          cookTime: 'PT1H',
          author: { name: 'Someone' },
          url: 'https://example.org/soup',
          description: 'Mild.',
          keywords: 'winter, soup',
          recipeCategory: ['Soup'],
        }),
      )[0],
    ).toMatchObject({
      prepMin: 20,
      cookMin: 60,
      totalMin: 80,
      source: 'Someone, https://example.org/soup',
      note: 'Mild.',
      tags: ['winter', 'soup', 'Soup'],
    }));
  it('finds several recipes of a page, and says when one was broken', () => {
    const read = readAll(
      script(JSON.stringify([soup, { ...soup, name: 'Leek pie' }])) + script(json.replace('Leek soup', 'Leek stew').slice(0, -20)),
    );
    expect(read.map((r) => r.name)).toEqual(['Leek soup', 'Leek pie', 'Leek stew']);
    expect(read[2]?.notUnderstood[0]?.field).toBe('file');
  });
  it('reads a page that marks its recipe up in place, and one that marks nothing', () => {
    const marked = `<div itemscope itemtype="https://schema.org/Recipe"><h1 itemprop="name">Leek soup</h1><time itemprop="prepTime" datetime="PT20M">20 min</time>
      <ul><li itemprop="recipeIngredient">4 leeks</li><li itemprop="recipeIngredient">1 l stock</li></ul><ol itemprop="recipeInstructions"><li>Chop.</li><li>Simmer.</li></ol></div>`;
    expect(readAll(`<html><body>${marked}</body></html>`)[0]).toMatchObject({
      name: 'Leek soup',
      lines: ['4 leeks', '1 l stock'],
      prepMin: 20,
      steps: [{ text: 'Chop.' }, { text: 'Simmer.' }],
    });
    const plain =
      '<html><head><title>A page</title></head><body><nav><a>Home</a></nav><h1>Leek soup</h1><h2>Ingredients</h2><ul><li>4 leeks</li><li>1 l stock</li></ul><h2>Method</h2><ol><li>Chop.</li><li>Simmer.</li></ol><script>alert(1)</script></body></html>';
    expect(readAll(plain)[0]).toMatchObject({
      name: 'Leek soup',
      lines: ['4 leeks', '1 l stock'],
      steps: [{ text: 'Chop.' }, { text: 'Simmer.' }],
    });
  });
});

describe('pasted text', () => {
  const [title, makes, lines, steps] = [
    'Leek soup',
    'Serves 4',
    ['4 leeks, sliced', '1 l stock', 'salt'],
    ['Sweat the leeks for 8 minutes.', 'Simmer in the stock for 20 minutes.'],
  ] as const;
  const story = 'We made this every winter when I was small, and everybody had seconds of it.';
  it.each([
    ['with headings', [title, makes, '', 'Ingredients', ...lines, '', 'Method', ...steps]],
    ['without headings', [title, makes, '', ...lines, '', ...steps]],
    ['with the method first', [title, makes, 'Method', ...steps, 'Ingredients', ...lines]],
    ['with a story before', [title, story, makes, 'Ingredients:', ...lines, 'Instructions:', ...steps]],
    [
      'numbered and bulleted',
      [title, makes, 'INGREDIENTS', ...lines.map((l) => `• ${l}`), 'METHOD', ...steps.map((s, i) => `${i + 1}. ${s}`)],
    ],
    [
      'in Markdown',
      [
        `# ${title}`,
        `**${makes}**`,
        '## Ingredients',
        ...lines.map((l) => `- ${l}`),
        '## Method',
        ...steps.map((s, i) => `${i + 1}. ${s}`),
      ],
    ],
    ['with columns of a page', [title, makes, 'Ingredients', '4\tleeks, sliced', '1 l\tstock', 'salt', 'Method', ...steps]],
    ['with amounts above their foods', [title, makes, 'Ingredients', '4', 'leeks, sliced', '1 l', 'stock', 'salt', 'Method', ...steps]],
    ['from a phone, with blank lines everywhere', [title, makes, 'Ingredients', ...lines, 'Method', ...steps].flatMap((l) => [l, ''])],
    ['with carriage returns', [[title, makes, 'Ingredients', ...lines, 'Method', ...steps].join('\r\n')]],
  ])('%s', (_, text) => {
    const [read] = readPasted(text.join('\n'));
    expect(read).toMatchObject({ name: title, yieldText: makes, lines, steps: steps.map((s) => ({ text: s })) });
  });
  it('in German, French, Italian and Spanish headings', () => {
    for (const [a, b] of [
      ['Zutaten', 'Zubereitung'],
      ['Ingrédients', 'Préparation'],
      ['Ingredienti', 'Preparazione'],
      ['Ingredientes', 'Elaboración'],
    ])
      expect(readPasted([title, a, '200 g Mehl', '3 EL Öl', b, 'Alles mischen.'].join('\n'))[0]).toMatchObject({
        lines: ['200 g Mehl', '3 EL Öl'],
        steps: [{ text: 'Alles mischen.' }],
      });
  });
  it('keeps the story to be shown, times and notes apart, parts as headings', () => {
    const [read] = readPasted(
      [title, story, 'Prep time: 20 min', 'Ingredients', 'For the base:', ...lines, 'Method', ...steps, 'Notes', 'Freezes well.'].join(
        '\n',
      ),
    );
    expect(read).toMatchObject({ prepMin: 20, note: 'Freezes well.', lines: ['For the base:', ...lines] });
    expect(read?.notUnderstood[0]?.value).toContain('every winter');
  });
  it('several in one text, and none where there is none', () => {
    expect(readPasted(`# One\n\n2 eggs\n100 g oats\n\nMix.\n\n# Two\n\n3 eggs\n50 g rye\n\nBake.`).map((r) => r.name)).toEqual([
      'One',
      'Two',
    ]);
    expect(readPasted('Dear all,\n\nplease bring chairs on Sunday.\n\nYours')).toEqual([]);
  });
});

describe('tables', () => {
  it('a row a recipe, by whatever its columns are called', () =>
    expect(readAll('Title;Serves;Ingredients;Directions\nSoup;4;"4 leeks\n1 l stock";"Chop.\nSimmer."\n')[0]).toMatchObject({
      name: 'Soup',
      yieldText: '4',
      lines: ['4 leeks', '1 l stock'],
      steps: [{ text: 'Chop.' }, { text: 'Simmer.' }],
    }));
  it('a row an ingredient', () =>
    expect(readAll('Recipe,Amount,Unit,Ingredient\nSoup,4,,leeks\nSoup,1,l,stock\nPie,3,,eggs\n').map((r) => [r.name, r.lines])).toEqual([
      ['Soup', ['4 leeks', '1 l stock']],
      ['Pie', ['3 eggs']],
    ]));
  it('what has no column of ours is shown', () =>
    expect(readAll('name,ingredients,stars\nSoup,"4 leeks\n1 l stock",5\n')[0]?.notUnderstood).toEqual([{ field: 'stars', value: '5' }]));
});

describe('hostile files', () => {
  it.each([
    ['a page of a million words', `<html><body>${'<p>word</p>'.repeat(30_000)}</body></html>`],
    ['nothing but ingredients', '1 2/3 cup x\n'.repeat(12_000)],
    ['a line without end', `${' '.repeat(900_000)}x`],
    ['brackets', '['.repeat(400_000)],
    ['tags never closed', '<div>'.repeat(150_000)],
    ['a table as wide as it is long', `name,ingredients\n${'a,"b\nc",'.repeat(80_000)}`],
    ['quotes', '"'.repeat(600_000)],
    ['headings alone', 'Ingredients\n'.repeat(12_000)],
  ])('%s: answered in good time, whatever comes of it', (_, text) => {
    expect(quickestMs(5000, performance, () => readRecipeFile(text))).toBeLessThan(5000);
  });
});
