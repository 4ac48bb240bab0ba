import { expect, seriousFaults, test } from './base.ts';

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
