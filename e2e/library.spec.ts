import type { EatAnswer, RecipeBrief, RecordAnswer } from '#core/queries';
import { expect, getJson, seriousFaults, settled, test } from './base.ts';

test('the library is narrowed by words and ways, by keyboard, and the search stands in the address', async ({ page, server }) => {
  await page.goto(`${server.address}/recipes`);
  const search = page.getByLabel('Search recipes');
  await search.fill('not celery');
  await expect(page.getByRole('status')).toHaveText(/^\d+ of \d+$/);
  const before = Number(/^(\d+)/.exec(await page.getByRole('status').innerText())![1]);
  await page.getByRole('button', { name: 'Narrow it' }).press('Enter');
  const milk = page.getByRole('group', { name: 'Free of' }).getByRole('button', { name: /^milk/ });
  const left = Number(/\((\d+)\)/.exec(await milk.innerText())![1]);
  expect(left).toBeLessThan(before);
  await milk.press('Enter');
  await expect(page.getByRole('status')).toHaveText(new RegExp(`^${left} of`));
  await expect(milk).toHaveAttribute('aria-pressed', 'true');
  expect(await seriousFaults(page)).toEqual([]);
  await page.getByText('Table', { exact: true }).click();
  await expect(page.getByRole('table', { name: 'Recipes' }).getByRole('row')).toHaveCount(left + 1);
  expect(await seriousFaults(page)).toEqual([]);
  // it is there again from the address alone
  await page.goto(page.url());
  await expect(page.getByRole('status')).toHaveText(new RegExp(`^${left} of`));
  await expect(page.getByRole('button', { name: 'Narrowed by 1' })).toBeVisible();
});

test('from what is there: the least missing first', async ({ page, server }) => {
  await page.goto(`${server.address}/recipes?have=aubergine,onion`);
  await expect(page.getByRole('status')).toHaveText(/^\d+ of \d+$/);
  await expect(page.getByText(/\d+ missing|nothing missing/).first()).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('what a cook asks is answered: leeks without milk, for the big pot, not had since summer', async ({ page, server }) => {
  await page.goto(`${server.address}/recipes?starters=1`);
  const shelf = page.getByRole('region', { name: 'Recipes that come with Tambo' });
  await shelf.getByRole('button', { name: /^Tick all/ }).click();
  await shelf.getByRole('button', { name: /^Take \d+/ }).click();
  await settled(page);
  await expect(shelf).toContainText(/Only what fits .*\(0 of \d+\)|are yours already/);
  await page.goto(`${server.address}/recipes`);
  await page.getByLabel('Search recipes').fill('leeks without milk');
  await page.getByRole('button', { name: 'Narrow it' }).click();
  await page
    .getByRole('group', { name: 'Big pot' })
    .getByRole('button', { name: /^2 litres/ })
    .click();
  await page
    .getByRole('group', { name: 'Made' })
    .getByRole('button', { name: /^not for/ })
    .click();
  const found = page.getByRole('heading', { level: 3 });
  await expect(found.first()).toBeVisible();
  const recipes = await getJson<RecipeBrief[]>(server, '/recipes');
  for (const name of await found.allInnerTexts()) {
    const brief = recipes.find((r) => r.recipe.name === name.trim())!;
    expect(brief.holds.join(' '), name).toMatch(/leek/i);
    expect(brief.contains, name).not.toContain('al_milk');
    expect(brief.litres ?? 0, name).toBeGreaterThanOrEqual(2);
    expect((brief.lastMade ?? '') < '2026-08-27', name).toBe(true);
  }
});

test('several recipes at once: on a list, tagged, planned and put away, each taken back in one tap', async ({ page, server }) => {
  await page.goto(`${server.address}/recipes`);
  await page.getByRole('button', { name: 'Choose several' }).press('Enter');
  for (const name of ['Beet and horseradish soup', 'Coconut red-lentil pot'])
    await page.getByRole('checkbox', { name: `Choose ${name}` }).press('Space');
  const acts = page.getByRole('region', { name: 'With those chosen' });
  await expect(acts.getByRole('status')).toHaveText(/2.recipes chosen/);
  expect(await seriousFaults(page)).toEqual([]);

  await acts.getByRole('button', { name: 'Put on a list' }).click();
  await page.getByRole('textbox', { name: 'Name of a new list' }).fill('before the trip');
  await page.keyboard.press('Enter');
  const chip = page.getByRole('group', { name: 'Lists' }).getByRole('button', { name: 'before the trip 2' });
  await chip.click();
  await expect(page.getByRole('heading', { level: 3 })).toHaveCount(2);
  await expect(page).toHaveURL(/list=/);

  await acts.getByRole('button', { name: 'Tag', exact: true }).click();
  await page.getByRole('textbox', { name: 'Tag for them' }).fill('harbour');
  await page.keyboard.press('Enter');
  await settled(page);
  const tagged = async () => (await getJson<RecipeBrief[]>(server, '/recipes')).filter((r) => r.tags.includes('harbour')).length;
  await expect.poll(tagged).toBe(2);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(tagged).toBe(0);

  await acts.getByRole('button', { name: 'Put away' }).click();
  await settled(page);
  const there = async () =>
    (await getJson<RecipeBrief[]>(server, '/recipes')).filter((r) => /^(?:Beet and|Coconut red)/.test(r.recipe.name)).length;
  await expect.poll(there).toBe(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(there).toBe(2);

  // the list keeps them, and they can be planned together
  await page.getByRole('button', { name: 'Choose several' }).click();
  await acts.getByRole('button', { name: 'All 2 shown' }).click();
  await acts.getByRole('button', { name: 'Plan them' }).click();
  await expect(page.getByRole('heading', { name: 'Plan a session' })).toBeVisible();
  await expect(page.getByRole('textbox', { name: /^Portions of/ })).toHaveCount(2);
});

test('how it was is one tap after a meal, and stands in the recipe’s record', async ({ page, server }) => {
  const { howWasIt } = await getJson<EatAnswer>(server, '/eat');
  const dish = howWasIt[0]!;
  const eater = dish.eaters[0]!;
  await page.goto(`${server.address}/eat`);
  const card = page.getByRole('region', { name: 'How was it?' });
  await expect(card).toContainText(dish.name);
  expect(await seriousFaults(page)).toEqual([]);
  const four = card.getByRole('button', { name: `${dish.name}, ${eater.name}: four stars` });
  await four.dblclick();
  await settled(page);
  // it stays where it was tapped, until the page is left
  await expect(four).toHaveAttribute('aria-pressed', 'true');
  const times = async () =>
    (await getJson<RecordAnswer>(server, `/recipes/${dish.recipeId}/record`)).eaters.find((e) => e.eaterId === eater.id)!;
  const once = (await times()).times;
  expect(await times()).toMatchObject({ stars: 4 });
  // mended there and back again: each counts
  for (const stars of ['two', 'four']) await card.getByRole('button', { name: `${dish.name}, ${eater.name}: ${stars} stars` }).click();
  await settled(page);
  await expect.poll(async () => (await times()).times).toBe(once + 2);
  expect(await times()).toMatchObject({ stars: 4 });
  await page.goto(`${server.address}/recipes/${dish.recipeId}`);
  const record = page.getByRole('region', { name: 'Its record' });
  await expect(record.getByRole('button', { name: `${eater.name}: four stars` })).toHaveAttribute('aria-pressed', 'true');
  await expect(record.getByRole('table', { name: 'Times it was made' })).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
});

test('a dish that comes with Tambo is taken and planned in one tap, with what it draws from', async ({ page, server }) => {
  await page.goto(`${server.address}/plan?new=1`);
  await page.getByRole('searchbox', { name: 'Find a recipe' }).fill('brown lentil');
  await page.getByRole('button', { name: 'Take and add Brown lentil soup with lemon' }).click();
  await expect(page.getByRole('textbox', { name: 'Portions of Brown lentil soup with lemon' })).toBeVisible();
  await expect(page.getByText(/drawn by Brown lentil soup/)).toBeVisible();
  const names = (await getJson<RecipeBrief[]>(server, '/recipes')).map((r) => r.recipe.name);
  expect(names).toContain('Onion, carrot and celery base');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test('the library is searched, narrowed and chosen from without scrolling sideways', async ({ page, server }) => {
    await page.goto(`${server.address}/recipes`);
    await page.getByLabel('Search recipes').fill('barley');
    await page.getByRole('button', { name: 'Narrow it' }).click();
    await expect(page.getByRole('status').first()).toHaveText(/^\d+ of \d+$/);
    await page.getByRole('button', { name: 'Narrow it' }).click();
    await page.getByRole('button', { name: 'Choose several' }).click();
    await page
      .getByRole('checkbox', { name: /^Choose/ })
      .first()
      .check();
    await expect(page.getByRole('region', { name: 'With those chosen' })).toContainText('chosen');
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await seriousFaults(page)).toEqual([]);
  });
});
