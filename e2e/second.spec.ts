import type { EatAnswer, KitchenAnswer, PackAnswer, SessionsAnswer, StoreAnswer, TodayAnswer } from '#core/queries';
import type { SessionView } from '#core/session';
import { bringUp, expect, getJson, moveClock, seriousFaults, settled, test } from './base.ts';

const dinners = async (server: Parameters<typeof getJson>[0]): Promise<number> =>
  (await getJson<TodayAnswer>(server, '/today')).supplies.dinners.count;
const frozenMeal = async (server: Parameters<typeof getJson>[0]) =>
  (await getJson<StoreAnswer>(server, '/store')).packs.find(
    (p) => p.kind === 'meal' && p.status === 'frozen' && p.left === 2 && p.labelled,
  )!;

test('a pack is corrected in place, by keyboard: everywhere at once, its label printed again, taken back in its story', async ({
  page,
  server,
}) => {
  const pack = await frozenMeal(server);
  await page.goto(`${server.address}/p/${pack.code}`);
  await page.getByRole('button', { name: 'Correct it' }).press('Enter');
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('textbox', { name: 'Name' }).fill('Leek and barley pot');
  await sheet.getByRole('textbox', { name: 'Made' }).fill('1 Nov 2026');
  await page.keyboard.press('Tab');
  await expect(sheet.getByRole('textbox', { name: 'Best by' })).not.toHaveValue('');
  await sheet.getByRole('textbox', { name: /^Why/ }).fill('wrong lid');
  expect(await seriousFaults(page)).toEqual([]);
  await page.keyboard.press('Enter');
  await settled(page);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Leek and barley pot');
  await expect(page.getByText('It was corrected since this label was printed.')).toBeVisible();
  await page.goto(`${server.address}/store?q=${pack.code}`);
  await expect(page.getByRole('main').getByText('Leek and barley pot').locator('visible=true').first()).toBeVisible();
  await page.goto(`${server.address}/p/${pack.code}`);
  await page.getByRole('button', { name: /^Take back: .*called/ }).click();
  await settled(page);
  await expect(page.getByRole('heading', { level: 1 })).toContainText(pack.name);
  await expect(page.getByText('It was corrected since')).toBeHidden();
});

test('a pack is packed anew, as many dinners as before, and taken back whole; a lot is withdrawn in one act', async ({ page, server }) => {
  const before = await dinners(server);
  const pack = await frozenMeal(server);
  await page.goto(`${server.address}/p/${pack.code}`);
  await page.getByRole('button', { name: 'Pack it anew' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('textbox', { name: 'Portions each, row 1' }).fill('1,5');
  await expect(sheet.getByRole('status')).toContainText('more than there is');
  await sheet.getByRole('textbox', { name: 'Portions each, row 1' }).fill('1');
  expect(await seriousFaults(page)).toEqual([]);
  await sheet.getByRole('button', { name: /^Pack 2/ }).dblclick();
  await settled(page);
  await expect(page.getByText('Empty: repacked')).toBeVisible();
  expect(await dinners(server)).toBe(before);
  await page.getByRole('button', { name: /^Take back: .*packed anew/ }).click();
  await settled(page);
  await expect(page.getByText('Empty: repacked')).toBeHidden();
  expect(await dinners(server)).toBe(before);

  const lot = (await getJson<PackAnswer>(server, `/packs/${pack.code}`)).lot;
  await page.getByRole('button', { name: 'Withdraw the whole lot' }).click();
  await page.getByRole('textbox', { name: 'Why the lot is withdrawn' }).fill('not cooled in time');
  await page.getByRole('button', { name: `Bin all ${lot.length}` }).click();
  await settled(page);
  for (const p of lot) expect((await getJson<PackAnswer>(server, `/packs/${p.code}`)).pack.left, p.code).toBe(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await settled(page);
  await expect.poll(() => dinners(server)).toBe(before);
});

test('some of a pack is given away', async ({ page, server }) => {
  const pack = await frozenMeal(server);
  await page.goto(`${server.address}/p/${pack.code}`);
  await page.getByRole('textbox', { name: 'How much' }).fill('3');
  await expect(page.getByRole('button', { name: 'Give it away' })).toBeDisabled();
  await page.getByRole('textbox', { name: 'How much' }).fill('0,5');
  await page.getByRole('textbox', { name: 'Reason for binning' }).fill('the neighbour');
  await page.getByRole('button', { name: 'Give it away' }).click();
  await settled(page);
  expect((await getJson<PackAnswer>(server, `/packs/${pack.code}`)).pack).toMatchObject({ left: 1.5, sums: { given: 0.5 } });
});

test('a meal of several dishes is one, and what was logged wrong is changed on its own day', async ({ page, server }) => {
  await page.goto(`${server.address}/eat?log=tonight`);
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('button', { name: 'And another dish' }).click();
  await sheet
    .getByRole('button', { name: /^Carrot-millet puree/ })
    .first()
    .click();
  await expect(sheet.getByRole('region')).toHaveCount(2);
  expect(await seriousFaults(page)).toEqual([]);
  await sheet.getByRole('button', { name: 'Log it' }).click();
  await settled(page);
  const eaten = (await getJson<EatAnswer>(server, '/eat')).recent.filter((r) => r.day === '2026-11-24');
  expect(new Set(eaten.map((r) => r.name)).size).toBe(2);

  const puree = eaten.find((r) => r.name.startsWith('Carrot'))!;
  const before = (await getJson<PackAnswer>(server, `/packs/${puree.packId}`)).pack.left;
  await page
    .getByRole('button', { name: /^Change: Carrot-millet puree/ })
    .first()
    .click();
  await sheet.getByRole('textbox', { name: 'Day' }).fill('20 Nov 2026');
  await page.keyboard.press('Tab');
  await sheet.getByRole('group', { name: 'Pip' }).or(sheet.getByRole('region')).getByRole('button', { name: 'Pip: less' }).click();
  await sheet.getByRole('button', { name: 'Keep it so' }).click();
  await settled(page);
  const after = (await getJson<EatAnswer>(server, '/eat')).recent.find((r) => r.packId === puree.packId && r.day === '2026-11-20')!;
  expect(after.portions).toBe(puree.portions - 1);
  expect((await getJson<PackAnswer>(server, `/packs/${puree.packId}`)).pack.left).toBe(before + 1);
});

test('an evening without a plan is asked about, and what was fresh or out is not asked again', async ({ page, server }) => {
  const { quiet } = await getJson<EatAnswer>(server, '/eat');
  await page.goto(`${server.address}/eat`);
  await page.getByRole('region', { name: 'Forgot to log' }).getByRole('button').first().click();
  await page.getByRole('dialog').getByRole('button', { name: 'eaten out' }).click();
  await settled(page);
  expect((await getJson<EatAnswer>(server, '/eat')).quiet).toHaveLength(quiet.length - 1);

  await moveClock(server, '2026-11-26T20:30:00.000Z');
  await page.goto(server.address);
  const card = page.getByRole('region', { name: 'This evening' });
  await expect(card).toContainText('What was for dinner?');
  expect(await seriousFaults(page)).toEqual([]);
  await card.getByRole('button', { name: 'Cooked fresh' }).click();
  await settled(page);
  await expect(card).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(card).toBeVisible();
});

test('a task done ten seconds in is asked about once, and one skipped by mistake is taken up again', async ({ page, server }) => {
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const { id } = sessions.find((s) => s.day > '2026-11-24')!;
  await moveClock(server, '2026-11-28T09:00:00.000Z');
  const cook = await bringUp(server, id, 'Roast the bones');
  await page.goto(`${server.address}/cook/${id}`);
  await page.getByRole('button', { name: cook, exact: true }).click();
  const now = page.getByRole('region', { name: 'Do now' });
  await now.getByRole('button', { name: 'Start', exact: true }).click();
  await settled(page);
  await now.getByRole('button', { name: 'Done', exact: true }).click();
  const asks = page.getByRole('dialog');
  await expect(asks).toContainText('done already?');
  expect(await seriousFaults(page)).toEqual([]);
  await asks.getByRole('button', { name: 'Let it run' }).click();
  const roast = async () =>
    (await getJson<SessionView>(server, `/sessions/${id}`)).tasks.find((t) => t.title.startsWith('Roast the bones'))!;
  expect((await roast()).log?.state).toBe('running');
  await now.getByRole('button', { name: 'Skip' }).click();
  await settled(page);
  expect((await roast()).log?.state).toBe('skipped');
  await page.getByRole('button', { name: /^Take up again: Roast the bones/ }).click();
  await settled(page);
  expect((await roast()).log).toBeUndefined();
  await expect(now.getByRole('heading', { name: 'Roast the bones until they are dark.' })).toBeVisible();
});

test('a basket that goes asks where its packs go; what was taken away comes back whole', async ({ page, server }) => {
  await page.goto(`${server.address}/kitchen?tab=places`);
  const { places } = await getJson<KitchenAnswer>(server, '/kitchen');
  const withPacks = (await getJson<StoreAnswer>(server, '/store')).packs.map((p) => p.placeId);
  const { place } = places.find((p) => withPacks.includes(p.place.id))!;
  await page.goto(`${server.address}/kitchen?tab=places&edit=${place.id}`);
  await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click();
  const asks = page.getByRole('dialog');
  await expect(asks).toContainText('Where do they go?');
  expect(await seriousFaults(page)).toEqual([]);
  await asks.getByRole('button', { name: 'Leave it as it was' }).click();
  expect((await getJson<KitchenAnswer>(server, '/kitchen')).places.some((p) => p.place.id === place.id)).toBe(true);
  await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click();
  await asks.getByRole('combobox', { name: 'Where they go' }).selectOption({ index: 1 });
  await asks.getByRole('button', { name: 'Move them and go on' }).click();
  await settled(page);
  const after = await getJson<StoreAnswer>(server, '/store');
  expect(after.packs.filter((p) => p.placeId === place.id)).toEqual([]);
  await page.goto(`${server.address}/kitchen?tab=data`);
  await page.getByRole('button', { name: `Bring back ${place.name}` }).click();
  await settled(page);
  expect((await getJson<KitchenAnswer>(server, '/kitchen')).places.find((p) => p.place.id === place.id)?.place).toEqual(place);
});

test('packs of an own mix are filled in what has no name', async ({ page, server }) => {
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const { id } = sessions.find((s) => s.day > '2026-11-24')!;
  await page.goto(`${server.address}/pack/${id}`);
  await page.getByRole('radio', { name: 'An own mix' }).click();
  await page.getByRole('textbox', { name: 'Packs, row 1' }).fill('3');
  await page.getByRole('textbox', { name: 'Portions each, row 1' }).fill('1,5');
  expect(await seriousFaults(page)).toEqual([]);
  await page.getByRole('button', { name: /^Filled: 3/ }).dblclick();
  await settled(page);
  const packs = (await getJson<StoreAnswer>(server, '/store')).packs.filter((p) => p.portions === 1.5);
  expect(packs).toHaveLength(3);
});
