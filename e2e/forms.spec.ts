import type { KitchenAnswer, LarderAnswer, RecipeAnswer, StoreAnswer } from '../core/queries/index.ts';
import { expect, getJson, settled, test } from './base.ts';

test('a cold place gets another shelf, the ones before stay who they are, and no shelf at all is refused in words', async ({
  page,
  server,
}) => {
  const place = async () => (await getJson<KitchenAnswer>(server, '/kitchen')).places.find((p) => p.place.name === 'Kitchen box')!.place;
  const before = await place();
  await page.goto(`${server.address}/kitchen?tab=places`);
  await page.getByRole('region', { name: 'Kitchen box' }).getByRole('button', { name: 'change' }).click();
  const sheet = page.getByRole('dialog');
  const shelves = sheet.getByLabel('Shelves or baskets, with commas');
  await shelves.fill(' , ');
  await sheet.getByRole('button', { name: 'Keep' }).click();
  await expect(sheet.getByText('At least 1 of them')).toBeVisible();
  await expect(shelves).toBeFocused();
  await shelves.fill('top shelf, middle, drawer, door ,');
  await sheet.getByLabel('Holds (L)').fill('80,5');
  await sheet.getByLabel('Packs can fill (%)').fill('5');
  await sheet.getByRole('button', { name: 'Keep' }).click();
  await expect(sheet.getByText('From 10 to 100 %')).toBeVisible();
  await sheet.getByLabel('Packs can fill (%)').fill('60');
  await sheet.getByRole('button', { name: 'Keep' }).click();
  await settled(page);
  const after = await place();
  expect(after).toMatchObject({ litres: 80.5, usableShare: 0.6 });
  expect(after.zones.map((z) => z.name)).toEqual(['top shelf', 'middle', 'drawer', 'door']);
  expect(after.zones.slice(0, before.zones.length).map((z) => z.id)).toEqual(before.zones.map((z) => z.id));
  expect(after.zones.reduce((s, z) => s + z.litres, 0)).toBeCloseTo(80.5, 6);
  // the packs stand where they stood
  const { packs } = await getJson<StoreAnswer>(server, '/store');
  expect(packs.filter((p) => p.placeId === after.id).every((p) => after.zones.some((z) => z.id === p.zoneId))).toBe(true);
  await page.getByRole('button', { name: 'Undo' }).click();
  await settled(page);
  expect(await place()).toEqual(before);
});

test('a price is noted once however often it is tapped, and two prices are two', async ({ page, server }) => {
  const prices = async () => (await getJson<LarderAnswer>(server, '/larder')).rows.find((r) => r.id === 'millet')!.prices ?? [];
  const before = (await prices()).length;
  await page.goto(`${server.address}/kitchen?tab=larder&i=millet`);
  const card = page.getByRole('region', { name: 'Millet' });
  const add = card.getByRole('button', { name: 'Add', exact: true });
  await add.click();
  await expect(card.getByLabel('A pack of')).toBeFocused();
  await card.getByLabel('A pack of').fill('500');
  await card.getByLabel('costs (GBP)').fill('1,85');
  await add.dblclick();
  await settled(page);
  expect(await prices()).toHaveLength(before + 1);
  expect((await prices())[0]).toMatchObject({ amount: 500, unit: 'g', cents: 185 });
  await card.getByLabel('A pack of').fill('1000');
  await card.getByLabel('costs (GBP)').fill('3.2');
  await add.click();
  await settled(page);
  expect((await prices()).map((p) => p.cents).slice(0, 2)).toEqual([320, 185]);
});

test('a dose is told what it lacks, stands in for a food that is found by another name, and is half made until it is kept', async ({
  page,
  server,
}) => {
  const recipes = await getJson<{ recipe: { id: string; kind: string } }[]>(server, '/recipes');
  const { id } = recipes.find((r) => r.recipe.kind === 'aromatic')!.recipe;
  await page.goto(`${server.address}/recipes/${id}`);
  const card = page.getByRole('region', { name: 'Dose' });
  await card.getByRole('button', { name: /change|say how much to take/ }).click();
  await card.getByLabel('for so much liquid').fill('');
  await card.getByLabel('or in place of').fill('');
  await card.getByRole('button', { name: 'Keep' }).click();
  const lacks = card.getByText(/For so much liquid, or in place of|More than 0/).first();
  await expect(lacks).toBeVisible();
  await card.getByLabel('So much of it').fill('1,5');
  await card.getByLabel('or in place of').fill('3');
  await card.getByRole('combobox', { name: 'of what' }).fill('eggplant');
  await page.locator('[role=option]').first().click();
  await page.waitForTimeout(400);
  await page.goto(`${server.address}/recipes`);
  await page.goto(server.address);
  await expect(page.getByText(/^Dose of .* is half made/)).toBeVisible();
  await page.getByRole('link', { name: 'Go on' }).click();
  await card.getByRole('button', { name: /change|say how much to take/ }).click();
  await expect(card.getByLabel('So much of it')).toHaveValue('1,5');
  await card.getByRole('button', { name: 'Keep' }).click();
  await settled(page);
  const { dose } = (await getJson<RecipeAnswer>(server, `/recipes/${id}`)).revision;
  expect(dose).toMatchObject({ amount: 1.5, insteadOf: { count: 3 } });
  expect(dose!.perMl).toBeUndefined();
});

test('a code that may be one opens its page from the search of the store, a word filters', async ({ page, server }) => {
  const { packs } = await getJson<StoreAnswer>(server, '/store');
  await page.goto(`${server.address}/store`);
  const field = page.getByRole('searchbox', { name: /^Find packs/ });
  await field.fill('bread');
  await field.press('Enter');
  await expect(page).toHaveURL(/\/store/);
  const [pack] = packs;
  const last = pack!.code[4] === '2' ? '3' : '2';
  await field.fill(pack!.code.slice(0, 4).toLowerCase() + last);
  await field.press('Enter');
  await expect(page.getByRole('link', { name: pack!.code })).toBeVisible();
});
