import type { SessionView } from '../core/session/index.ts';
import type { RecipeAnswer, SessionsAnswer } from '../core/queries/index.ts';
import { expect, getJson, settled, test } from './base.ts';

const stew = '/recipes/recipe_stew';
const size = (page: import('@playwright/test').Page) => page.getByRole('region', { name: 'Size' });
const amount = (page: import('@playwright/test').Page, name: RegExp) =>
  page.getByRole('region', { name: 'What goes in' }).getByRole('row', { name }).getByRole('cell').nth(1);

test('Scaling: every way to say how much, on the page and in its address', async ({ page, server }) => {
  await page.goto(server.address + stew);
  await page.getByRole('textbox', { name: 'Portions' }).fill('17');
  await expect(size(page)).toContainText('17 portions');
  await page.waitForURL(/portions=17/);

  await page.getByRole('button', { name: 'Litres', exact: true }).click();
  await page.getByRole('textbox', { name: 'Litres' }).fill('8,5');
  await expect(size(page)).toContainText('21¼ portions');
  await expect(size(page)).toContainText('8.5');

  await page.getByRole('button', { name: 'Grams', exact: true }).click();
  await page.getByRole('textbox', { name: 'Grams' }).fill('4120');
  await expect(size(page)).toContainText('10 portions');

  await page.getByRole('button', { name: 'Who eats it' }).click();
  const asked = page.getByRole('region', { name: 'Scale to' }).getByRole('status');
  const all = Number((await asked.innerText()).split(' ')[0]);
  await page.getByRole('button', { name: 'Joaquim', exact: true }).click();
  await expect.poll(async () => Number((await asked.innerText()).split(' ')[0])).toBeLessThan(all);
  await expect(asked).not.toContainText('Joaquim');
  await page.getByRole('button', { name: '1 week' }).click();
  await expect(size(page)).toContainText(`${(await asked.innerText()).split(' ')[0]} portions`);

  // what is on hand, as bought: one eats all of an aubergine but its cap and skin
  await page.getByRole('button', { name: 'What I have' }).click();
  await expect(page.getByText('Until then the amounts are as written')).toBeVisible();
  await page.getByRole('textbox', { name: 'How much I have' }).fill('2.4');
  await expect(size(page)).toContainText('Your aubergine sets the limit');
  await expect(amount(page, /Aubergine/)).toHaveText(/1\.9|2(\.0)?\d? ?kg|1\.97/);
  await page.getByRole('button', { name: 'and of another' }).click();
  await page.getByRole('combobox', { name: 'Of what' }).nth(1).selectOption({ label: 'olive oil' });
  await page.getByRole('textbox', { name: 'How much I have' }).nth(1).fill('60');
  await expect(size(page)).toContainText('Your olive oil sets the limit');
  await expect(size(page)).toContainText('× 1');

  // what fills a pot
  await page.getByRole('button', { name: 'What fills a pot' }).click();
  await page.getByRole('button', { name: 'Big pot, 9 L' }).click();
  await expect(size(page)).toContainText('The Big pot sets the limit: filled to three quarters');
  await expect(page.getByRole('region', { name: 'What it goes through' })).toContainText('6.75 L at the fullest');
  await page.waitForURL(/by=vessel/);
  const shared = page.url();
  await page.goto(`${server.address}/recipes`);
  await page.goto(shared);
  await expect(size(page)).toContainText('The Big pot sets the limit');

  // cubes
  await page.goto(`${server.address}/recipes/recipe_millet`);
  await page.getByRole('button', { name: 'Cubes' }).click();
  await page.getByRole('textbox', { name: 'Cubes' }).fill('84');
  await expect(size(page)).toContainText('× 2');
});

test('Scaling: what cannot be cooked is said in words, and nothing is shown to cook by', async ({ page, server }) => {
  await page.goto(server.address + stew);
  const alert = page.getByRole('region', { name: 'Scale to' }).getByRole('alert');
  for (const [typed, says] of [
    ['0', '0 cannot be cooked'],
    ['-4', '-4 cannot be cooked'],
    ['30000', 'at most 2000 portions'],
    ['plenty', 'cannot be cooked'],
  ] as const) {
    await page.getByRole('textbox', { name: 'Portions' }).fill(typed);
    await expect(alert).toContainText(says);
    await expect(page.getByRole('region', { name: 'What goes in' })).toBeHidden();
  }
  await page.getByRole('textbox', { name: 'Portions' }).fill('6');
  await expect(page.getByRole('region', { name: 'What goes in' })).toBeVisible();

  // a pot that does not hold one portion
  const { gear } = await getJson<RecipeAnswer>(server, '/recipes/recipe_stew');
  await page.goto(`${server.address}/kitchen?tab=gear`);
  await page.getByRole('button', { name: 'Add a pot' }).click();
  await page.getByLabel('Name').fill('Egg pan');
  await page.getByLabel('Holds to the brim (L)').fill('0.4');
  await page.getByRole('button', { name: 'Keep' }).click();
  await settled(page);
  await page.goto(server.address + stew);
  await page.getByRole('button', { name: 'What fills a pot' }).click();
  await page.getByRole('button', { name: 'Egg pan, 0.4 L' }).click();
  await expect(alert).toContainText('Egg pan does not hold one portion of this');
  expect((await getJson<RecipeAnswer>(server, '/recipes/recipe_stew')).gear.equipment.length).toBe(gear.equipment.length + 1);
});

test('Scaling: measures switch at once, grams and cups stand side by side, and every figure says why', async ({ page, server }) => {
  await page.goto(server.address + stew);
  await expect(amount(page, /Onions/)).toHaveText(/450.g/);
  await page.getByRole('radiogroup', { name: 'Measures' }).getByText('cups').click();
  await expect(amount(page, /Onions/)).toHaveText(/cups?$/);
  await page.getByRole('radiogroup', { name: 'Measures' }).getByText('lb and pints').click();
  await expect(amount(page, /Onions/)).toHaveText(/1 lb|16 oz/);
  await page.getByRole('radiogroup', { name: 'Measures' }).getByText('both').click();
  const row = page.getByRole('region', { name: 'What goes in' }).getByRole('row', { name: /Onions/ });
  await expect(row.getByRole('cell').nth(1)).toHaveText(/450.g/);
  await expect(row.getByRole('cell').nth(2)).toHaveText(/cup/);
  await row.getByRole('button', { name: /^Why/ }).click();
  await expect(page.getByText('grows with the portions', { exact: false })).toBeVisible();
  await expect(page.getByText('Exactly', { exact: false })).toBeVisible();

  // the household's own measures are the page's first
  await page.goto(`${server.address}/kitchen?tab=household`);
  await page.getByLabel('Measures').selectOption({ label: 'US cups and pounds' });
  await page.getByRole('button', { name: 'Keep' }).click();
  await settled(page);
  await page.goto(server.address + stew);
  await expect(amount(page, /Onions/)).toHaveText(/cups?$/);
  // and so are the list's, the cook's and the packs'
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const id = sessions.find((s) => s.day > '2026-11-24')!.id;
  await page.goto(`${server.address}/shop/${id}`);
  await expect(page.getByText(/\d lb/).first()).toBeVisible();
  await expect(page.getByText(/\d\.?\d*.kg/)).toHaveCount(0);
  await page.goto(`${server.address}/pack/${id}`);
  await expect(page.getByRole('heading', { name: /quarts? to pack|cups? to pack/ })).toBeVisible();
});

test('Scaling: two plates come out before the salt, and the plan and the cook hear of it', async ({ page, server }) => {
  await page.goto(`${server.address}${stew}?portions=12`);
  const portion = page.getByRole('region', { name: 'One portion' });
  await portion.getByRole('button', { name: 'Portions without salt: more' }).click();
  await portion.getByRole('button', { name: 'Portions without salt: more' }).click();
  await expect(portion).toContainText('First: dip out 800 ml. Then salt the other 10 with 20 g fine salt');
  await expect(amount(page, /Fine salt/)).toContainText('20 g');
  await page.getByRole('button', { name: /^Change it in/ }).click();
  await expect(page.getByText('2 dipped out before the salt')).toBeVisible();
  await page.getByRole('button', { name: 'Save and open the list' }).click();
  await settled(page);
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const view = await getJson<SessionView>(server, `/sessions/${sessions.find((s) => s.day > '2026-11-24')!.id}`);
  expect(view.tasks.some((t) => t.detail.includes('first dip out 2 without salt; then for the rest 20'))).toBe(true);
});

test('Scaling: a line grows otherwise from now on, a note becomes an amount, and both can be taken back', async ({ page, server }) => {
  await page.goto(server.address + stew);
  const before = await getJson<RecipeAnswer>(server, '/recipes/recipe_stew');
  const row = page.getByRole('region', { name: 'What goes in' }).getByRole('row', { name: /Fine salt/ });
  await row.getByRole('button', { name: /^Why/ }).click();
  await page.getByLabel('It grows').selectOption({ label: 'as a share of the weighed rest' });
  await settled(page);
  await expect(row).toContainText('share of the rest');
  await expect(amount(page, /Fine salt/)).toHaveText(/12.g/);

  await page.getByRole('textbox', { name: 'Note for next time' }).fill('use 300 ml water');
  await page.getByRole('button', { name: 'Note it' }).click();
  await settled(page);
  const next = page.getByRole('region', { name: 'Next time' });
  await expect(next.getByText('“use 300 ml water”')).toBeVisible();
  await expect(next.getByRole('textbox', { name: 'New amount of water' }).last()).toHaveValue('300');
  await next.getByRole('button', { name: 'Take it up' }).last().click();
  await settled(page);
  await expect(amount(page, /Water/)).toHaveText(/300.ml/);
  const after = await getJson<RecipeAnswer>(server, '/recipes/recipe_stew');
  expect(after.revision.id).not.toBe(before.revision.id);
  expect(after.recipe.notes?.find((n) => n.text === 'use 300 ml water')?.doneIn).toBe(after.revision.id);

  await page.getByRole('button', { name: 'Undo' }).click();
  await settled(page);
  await expect(amount(page, /Water/)).toHaveText(/350.ml/);
});

test('Bases: a dish says what it draws, the base what its dishes ask, and the plan what is missing', async ({ page, server }) => {
  await page.goto(`${server.address}/recipes/recipe_meatballs?portions=12`);
  await expect(page.getByRole('region', { name: 'Draws from' })).toContainText('Tomato and fennel base');
  await page.goto(`${server.address}/recipes/recipe_base`);
  const by = page.getByRole('region', { name: 'Drawn by' });
  await by.getByRole('textbox', { name: 'Portions of Turkey and barley meatballs' }).fill('24');
  await by.getByRole('textbox', { name: 'Portions packed by itself' }).fill('6');
  // 24 of 6 draw 1.8 L, 12 portions of 150 ml, and six more are packed
  await expect(by.getByRole('status')).toContainText('18 portions to make');
  await by.getByRole('button', { name: 'Scale to that' }).click();
  await expect(size(page)).toContainText('18 portions of 150 ml');

  await page.goto(`${server.address}/plan?new=1`);
  await page.getByRole('textbox', { name: 'Find a recipe' }).or(page.getByLabel('Find a recipe')).first().fill('meatballs');
  await page.getByRole('button', { name: 'Add Turkey and barley meatballs' }).click();
  await page.getByRole('textbox', { name: /Portions of Turkey/ }).fill('60');
  // the fit of the sixty, not of what stood there before
  await expect(page.getByText(/30\S* drawn by .*not enough yet/)).toBeVisible();
  await page.getByRole('button', { name: /Cook .* of it too/ }).click();
  await expect(page.getByText('not enough yet')).toBeHidden();
});

test('Lines: one is added, changed to draw from a recipe of one’s own, and a circle is refused by name', async ({ page, server }) => {
  await page.goto(`${server.address}/recipes/recipe_soup`);
  await page.getByRole('textbox', { name: 'Add a line' }).first().fill('250 ml stock');
  await expect(page.getByText('read as stock')).toBeVisible();
  await page.getByRole('button', { name: 'Add', exact: true }).first().click();
  await expect(page.getByText('stock goes in too')).toBeVisible();
  await settled(page);
  const soup = await getJson<RecipeAnswer>(server, '/recipes/recipe_soup');
  const line = soup.revision.lines.at(-1)!;
  expect(line).toMatchObject({ amount: '250', unit: 'ml', item: { type: 'ingredient', id: 'stock' } });

  const change = async (row: RegExp, to: string, own: string): Promise<void> => {
    await page
      .getByRole('region', { name: 'What goes in' })
      .getByRole('row', { name: row })
      .last()
      .getByRole('button', { name: /^Why/ })
      .click();
    await page.getByRole('button', { name: 'change this line' }).click();
    const field = page.getByRole('combobox', { name: /^Ingredient for/ });
    await field.fill(to);
    await page.getByRole('option', { name: own }).click();
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
  };
  await change(/stock/i, 'barley broth', 'Roast-bone barley broth, from your own');
  await settled(page);
  await expect(page.getByRole('region', { name: 'Draws from' })).toContainText('Roast-bone barley broth');
  expect((await getJson<RecipeAnswer>(server, '/recipes/recipe_soup')).drawn.map((r) => r.recipeId)).toEqual(['recipe_broth']);

  // the base may not draw from what draws from it
  await page.goto(`${server.address}/recipes/recipe_base`);
  await change(/Onions/, 'meatballs', 'Turkey and barley meatballs, from your own');
  await expect(
    page.getByText('That would go in a circle: Tomato and fennel base, from Turkey and barley meatballs, from Tomato and fennel base.'),
  ).toBeVisible();
  expect((await getJson<RecipeAnswer>(server, '/recipes/recipe_base')).drawn).toEqual([]);
});
