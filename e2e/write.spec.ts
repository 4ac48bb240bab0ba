import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { AwayRecipe, RecipeAnswer, RecipeBrief } from '../core/queries/index.ts';
import { expect, getJson, settled, test } from './base.ts';

/** A page as it is copied: roads, tools, a story, amounts in columns, notes. */
const messy = `Home > Recipes > Weeknights
Print Pin Jump to Recipe

Harissa lamb with giant couscous

I first made this one rainy Sunday when nothing else was in the house.

Prep Time: 15 mins
Cook Time: 1 hour 10 mins
Servings: 6 people

Ingredients
1x 2x 3x
▢ 900 g diced lamb shoulder
▢ 2 x 400 g tins chopped tomatoes
▢ 3 tbsp harissa
▢ 1 lb 2 oz carrots, cut into 2 cm chunks
▢ 250 g giant couscous
▢ Salt and pepper
▢ small handful of mint, leaves torn, to serve

Instructions
1. Brown the lamb in two lots, 10 minutes.
2. Add everything but the couscous and simmer for 1 hour, lid ajar.
3. Stir in the couscous for the last 12 minutes.

Notes
Freezes well without the mint.`;

const recipes = (server: { address: string }): Promise<RecipeBrief[]> => getJson<RecipeBrief[]>(server as never, '/recipes');
const idOf = (url: string): string => /\/recipes\/(?:write\/)?([^/?]+)/.exec(url)?.[1] ?? '';

test('a recipe is written by keyboard alone, every line read or asked about, and kept', async ({ page, server }) => {
  await page.goto(`${server.address}/recipes/write`);
  await expect(page.getByLabel('Name of the recipe')).toBeFocused();
  const type = page.keyboard.type.bind(page.keyboard);
  const press = page.keyboard.press.bind(page.keyboard);
  await type('White bean and kale soup');
  for (let i = 0; i < 12 && !(await page.getByLabel('Line 1', { exact: true }).evaluate((e) => e === document.activeElement)); i += 1)
    await press('Tab');
  const lines = [
    '2 big leeks, sliced thin',
    '1 lb 4 oz cannellini beans, soaked',
    '3 carrots + 2 sticks celery',
    'salt and pepper',
    '1e9 kg kale',
  ];
  for (const [i, line] of lines.entries()) {
    await type(line);
    if (i < lines.length - 1) await press('Enter');
  }
  await expect(page.getByRole('alert')).toContainText('1e9 kg kale');
  await expect(page.getByRole('button', { name: 'Keep', exact: true })).toBeDisabled();
  // the amount is mended in place, and a letter too many taken back
  await press('Home');
  for (let i = 0; i < 3; i += 1) await press('Delete');
  await type('500 g');
  await press('Delete');
  await press('Delete');
  await press('Delete');
  await expect(page.getByLabel('Line 5', { exact: true })).toHaveValue('500 g kale');
  // the last line goes to the top, and Enter and Backspace undo each other
  await press('Alt+ArrowUp');
  await expect(page.getByLabel('Line 4', { exact: true })).toHaveValue('500 g kale');
  await press('Enter');
  await press('Backspace');
  await expect(page.getByLabel('Line 6', { exact: true })).toHaveCount(0);
  await press('Control+z');
  await press('Control+z');
  await press('Control+z');
  await expect(page.getByLabel('Line 5', { exact: true })).toHaveValue('500 g kale');
  await press('Control+Shift+Z');
  await expect(page.getByLabel('Line 4', { exact: true })).toHaveValue('500 g kale');
  // on by arrows into the method
  await page.getByLabel('Line 5', { exact: true }).press('End');
  await press('ArrowDown');
  await expect(page.getByLabel('Step 1', { exact: true })).toBeFocused();
  await type('Simmer the beans for 90 minutes.');
  await press('Enter');
  await type('Sweat the leeks, then everything for 20 minutes.');
  await page.getByLabel('Makes').focus();
  await type('3 litres');
  await expect(page.getByText('3 L in all')).toBeVisible();
  await page.getByRole('button', { name: 'Keep', exact: true }).focus();
  await press('Enter');
  await expect(page.getByRole('heading', { name: 'White bean and kale soup' })).toBeVisible();
  await settled(page);
  const { revision } = await getJson<RecipeAnswer>(server, `/recipes/${idOf(page.url())}`);
  expect(revision.lines.map((l) => [l.amount, l.unit, l.name, l.formText])).toEqual([
    ['2', 'piece', 'leek', 'sliced thin'],
    ['20', 'oz', expect.stringContaining('cannellini'), 'soaked'],
    ['3', 'piece', 'carrot', undefined],
    ['2', 'stick', 'celery', undefined],
    ['500', 'g', 'kale', undefined],
    [undefined, undefined, 'table salt', undefined],
    [undefined, undefined, 'black pepper', undefined],
  ]);
  expect(revision.lines[2]!.textId).toBe(revision.lines[3]!.textId);
  expect([revision.servings * revision.serving.amount, revision.serving.unit]).toEqual([3000, 'ml']);
});

test('a messy page is pasted, its unclear lines mended beside their source, left and taken up again', async ({ page, server }) => {
  await page.goto(`${server.address}/recipes/new`);
  await page.getByRole('button', { name: 'Paste a recipe' }).click();
  await page.getByLabel('The recipe as text').fill(messy);
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByLabel('Name of the recipe')).toHaveValue('Harissa lamb with giant couscous');
  await expect(page.getByLabel('Makes')).toHaveValue('6 people');
  await expect(page.getByLabel('Step 3', { exact: true })).toHaveValue('Stir in the couscous for the last 12 minutes.');
  await expect(page.getByRole('button', { name: /^800 g/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^510 g carrot/ })).toBeVisible();
  // the story is shown, not dropped
  await expect(page.getByRole('region', { name: 'Not understood' })).toContainText('rainy Sunday');
  // a food nobody knew becomes one of the household's, in place
  await page.getByRole('button', { name: /3 tbsp harissa: correct it/ }).click();
  await page.getByRole('button', { name: 'Make it a food' }).click();
  const sheet = page.getByRole('dialog', { name: 'A food of yours' });
  await sheet.getByRole('button', { name: 'none of them' }).click();
  await sheet.getByRole('button', { name: 'Keep this food' }).click();
  await settled(page);
  await expect(page.getByRole('button', { name: /3 tbsp harissa: correct it/ })).not.toContainText('not known');
  // left in the middle
  await page.waitForTimeout(400);
  await page.goto(`${server.address}/recipes`);
  await page.getByRole('link', { name: 'Go on' }).click();
  await expect(page.getByRole('button', { name: /3 tbsp harissa: correct it/ })).not.toContainText('not known');
  await page.getByRole('group', { name: 'Kind' }).getByRole('button', { name: 'meal' }).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Harissa lamb with giant couscous' })).toBeVisible();
  await settled(page);
  const { revision } = await getJson<RecipeAnswer>(server, `/recipes/${idOf(page.url())}`);
  expect(revision.lines.at(-1)).toMatchObject({ unit: 'handful', moment: 'cookDay' });
  expect(revision.times).toEqual({ prepMin: 15, cookMin: 70, totalMin: 85 });
});

test.describe('a folder of recipes', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'tambo-folder-'));
  test.beforeAll(() => {
    mkdirSync(path.join(folder, 'inner'));
    writeFileSync(path.join(folder, 'one.txt'), 'Plum jam\n\n1 kg plums, stoned\n800 g sugar\n\nBoil for 20 minutes.');
    writeFileSync(
      path.join(folder, 'inner', 'two.md'),
      '# Oat bars\n\n## Ingredients\n\n- 300 g oats\n- 2 tbsp honey\n\n## Method\n\n1. Bake 25 min.\n',
    );
    writeFileSync(path.join(folder, 'three.csv'), 'name,servings,ingredients,method\nRye crisps,8,"200 g rye flour\n1 tsp salt",Bake.\n');
    writeFileSync(path.join(folder, 'empty.html'), '<html><body><p>Nothing to eat here.</p></body></html>');
    writeFileSync(path.join(folder, 'photo.jpg'), 'no recipe');
    // a script in a title, and ten megabytes of page around one recipe
    const node = JSON.stringify({
      '@type': 'Recipe',
      name: 'Big <script>window.hacked = 1</script>soup',
      recipeYield: '4',
      recipeIngredient: ['4 leeks', '1 l stock'],
    }).replaceAll('</', String.raw`<\/`);
    writeFileSync(
      path.join(folder, 'big.html'),
      `<html><script type="application/ld+json"><!-- //<![CDATA[\n${node}\n//]]> --></script><body>${'<p>word</p>'.repeat(900_000)}</body></html>`,
    );
  });
  test.afterAll(() => rmSync(folder, { recursive: true, force: true }));

  test('is read beside the page, kept in one tap, and told when it comes again', async ({ page, server }) => {
    const before = await recipes(server);
    await page.goto(`${server.address}/recipes/new`);
    await page.getByLabel('Folder of recipes').setInputFiles(folder);
    await expect(page.getByText('4 recipes to look over')).toBeVisible({ timeout: 20_000 });
    await expect(page.getByRole('alert')).toContainText('empty.html holds no recipe');
    await expect(page.getByText('Big soup')).toBeVisible();
    expect(await page.evaluate(() => 'hacked' in window)).toBe(false);
    await page.getByRole('button', { name: 'Keep all 4' }).click();
    await page.waitForURL(/\/recipes$/);
    await settled(page);
    const after = await recipes(server);
    expect(after).toHaveLength(before.length + 4);
    // nothing of them was looked at: they are asked about before they are planned
    expect(after.find((r) => r.recipe.name === 'Plum jam')).toMatchObject({ canPlan: false });
    await page.goto(`${server.address}/recipes/new`);
    await page.getByLabel('Recipe file').setInputFiles([path.join(folder, 'one.txt'), path.join(folder, 'three.csv')]);
    await expect(page.getByText('you have Plum jam')).toBeVisible();
  });
});

test('a kept recipe is mended; what changed stands side by side, and goes back', async ({ page, server }) => {
  const [stew] = (await recipes(server)).filter((r) => r.recipe.id === 'recipe_stew');
  const asked = async (): Promise<RecipeAnswer> => getJson<RecipeAnswer>(server, '/recipes/recipe_stew');
  const first = await asked();
  await page.goto(`${server.address}/recipes/recipe_stew`);
  await page.getByRole('link', { name: 'Edit', exact: true }).click();
  await page.getByLabel('Line 2', { exact: true }).fill('600 g onions, diced');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('heading', { name: stew!.recipe.name })).toBeVisible();
  await settled(page);
  const second = await asked();
  expect(second.revision.id).not.toBe(first.revision.id);
  expect(second.revision.lines[1]).toMatchObject({ amount: '600', unit: 'g', item: { id: 'onion' }, form: 'diced' });
  // everything else is as it was, steps and their minutes too
  expect(second.revision.lines.filter((_, i) => i !== 1)).toEqual(first.revision.lines.filter((_, i) => i !== 1));
  expect(second.revision.steps).toEqual(first.revision.steps);
  await page.getByRole('button', { name: `More for ${stew!.recipe.name}` }).click();
  await page.getByRole('menuitem', { name: 'What changed, and when' }).click();
  const table = page.getByRole('region', { name: 'Side by side' });
  await expect(table.getByRole('row')).toHaveCount(2);
  await expect(table).toContainText('450 g onions, diced');
  await expect(table).toContainText('600 g onions, diced');
  await page.getByRole('button', { name: 'Make it as it was before' }).click();
  await settled(page);
  expect((await asked()).revision.id).toBe(first.revision.id);
});

test('two lines that draw on each other are refused by name, and nothing written is lost', async ({ page, server }) => {
  const all = await recipes(server);
  const answers = await Promise.all(all.map((r) => getJson<RecipeAnswer>(server, `/recipes/${r.recipe.id}`)));
  const drawing = answers.find((a) => a.drawn.length > 0)!;
  const base = drawing.drawn[0]!;
  await page.goto(`${server.address}/recipes/${base.recipeId}/edit`);
  await page.getByRole('button', { name: 'Another line' }).click();
  await page.keyboard.type(`200 ml ${drawing.revision.name}`);
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('circle');
  await expect(page.getByLabel(/^Line \d+$/).last()).toHaveValue(`200 ml ${drawing.revision.name}`);
});

test('a recipe is copied, put away, brought back, and two that are one become one', async ({ page, server }) => {
  const more = (name: string) => page.getByRole('button', { name: `More for ${name}` });
  await page.goto(`${server.address}/recipes/recipe_stew`);
  const { recipe, portionsInStore } = await getJson<RecipeAnswer>(server, '/recipes/recipe_stew');
  await more(recipe.name).click();
  await page.getByRole('menuitem', { name: 'Copy it' }).click();
  await expect(page.getByRole('heading', { name: `${recipe.name}, another way` })).toBeVisible();
  await settled(page);
  const copy = idOf(page.url());
  await more(`${recipe.name}, another way`).click();
  await page.getByRole('menuitem', { name: 'Put it away' }).click();
  await page.waitForURL(/\/recipes$/);
  await settled(page);
  expect((await recipes(server)).some((r) => r.recipe.id === copy)).toBe(false);
  await page.getByRole('link', { name: 'Put away' }).click();
  await page.getByRole('button', { name: `Bring back ${recipe.name}, another way` }).click();
  await settled(page);
  expect((await recipes(server)).some((r) => r.recipe.id === copy)).toBe(true);
  // the first becomes the copy: its packs count there, its address leads there
  await page.goto(`${server.address}/recipes/recipe_stew`);
  await more(recipe.name).click();
  await page.getByRole('menuitem', { name: 'It is the same as …' }).click();
  await expect(page.getByRole('combobox', { name: 'The recipe that stays' })).toHaveValue(`${recipe.name}, another way`);
  await page.getByRole('button', { name: 'They are one' }).click();
  await expect(page.getByRole('heading', { name: `${recipe.name}, another way` })).toBeVisible();
  await settled(page);
  await page.goto(`${server.address}/recipes/recipe_stew`);
  await page.waitForURL(new RegExp(`/recipes/${copy}$`));
  expect((await getJson<RecipeAnswer>(server, `/recipes/${copy}`)).portionsInStore).toBe(portionsInStore);
  expect(await getJson<AwayRecipe[]>(server, '/recipes/away')).toEqual([
    expect.objectContaining({ leadsTo: `${recipe.name}, another way` }),
  ]);
});

test('recipes go out in three formats and come back as they were', async ({ page, server }) => {
  const all = await recipes(server);
  for (const format of ['json', 'md', 'csv']) {
    const file = await (await fetch(`${server.address}/api/recipes/file/${format}`)).text();
    await page.goto(`${server.address}/recipes/new`);
    await page.getByLabel('Recipe file').setInputFiles({ name: `all.${format}`, mimeType: 'text/plain', buffer: Buffer.from(file) });
    await expect(page.getByText(`${all.length} recipes to look over`)).toBeVisible();
    // all of them are known already, by name
    await expect(page.getByText(/^you have /)).toHaveCount(all.length);
    await page.getByRole('button', { name: 'Leave them all' }).click();
  }
});

test('a picture and stars are kept with a recipe', async ({ page, server }) => {
  await page.goto(`${server.address}/recipes/recipe_stew/edit`);
  await page.getByRole('button', { name: 'Notes, tags, heating, stars, picture' }).click();
  await page.getByLabel('Picture', { exact: true }).setInputFiles(path.join(import.meta.dirname, '../docs/screenshots/method.png'));
  // it is shown as soon as this device has sent it
  await expect(page.locator('img[src^="/api/pictures/"]')).toBeVisible();
  await page.getByRole('radio', { name: '4 of 5 stars' }).focus();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Picture' }).getByRole('img')).toBeVisible();
  await settled(page);
  const { recipe } = await getJson<RecipeAnswer>(server, '/recipes/recipe_stew');
  expect(recipe.rating).toBe(4);
  const picture = await fetch(`${server.address}/api/pictures/${recipe.pictureId}`);
  expect(picture.headers.get('content-type')).toBe('image/jpeg');
  expect((await picture.arrayBuffer()).byteLength).toBeLessThan(150_000);
});
