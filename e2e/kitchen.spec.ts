import type { SessionView } from '../core/session/index.ts';
import type { KitchenAnswer, LarderAnswer, RecipeAnswer, ReferenceAnswer, SessionsAnswer, TodayAnswer } from '../core/queries/index.ts';
import { expect, getJson, moveClock, settled, test } from './base.ts';

const ics = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'PRODID:-//harbour//EN',
  'BEGIN:VEVENT',
  'UID:refit@yard',
  'SUMMARY:Refit course',
  'DTSTART;VALUE=DATE:20261210',
  'DTEND;VALUE=DATE:20261213',
  'END:VEVENT',
  'BEGIN:VEVENT',
  'UID:tooth@yard',
  'SUMMARY:Dentist',
  'DTSTART:20261211T090000Z',
  'DTEND:20261211T093000Z',
  'END:VEVENT',
  'END:VCALENDAR',
  '',
].join('\r\n');

test('Kitchen: days away typed and from a calendar file, one meal cleared, four weeks follow', async ({ page, server }) => {
  const plates = async (day: string): Promise<number> => {
    const { weeks } = await getJson<KitchenAnswer>(server, '/kitchen');
    return weeks.quarters[weeks.days.indexOf(day)]!;
  };
  const [tenth, first] = [await plates('2026-12-10'), await plates('2026-12-01')];
  await page.goto(`${server.address}/kitchen`);
  await page.getByRole('region', { name: 'Change' }).getByRole('button', { name: 'Osk' }).click();
  await page.getByLabel('Calendar file').setInputFiles({ name: 'osk.ics', mimeType: 'text/calendar', buffer: Buffer.from(ics) });
  await expect(page.getByText('1 entry of whole days')).toBeVisible();
  await expect(page.getByText('Dentist (shorter than a day)')).toBeVisible();
  await page.getByRole('button', { name: 'Away on all of these' }).click();
  await expect(page.getByText('Refit course')).toBeVisible();
  await page.getByRole('button', { name: 'Keep' }).click();
  await settled(page);
  expect(await plates('2026-12-10')).toBe(tenth - 3);
  expect(await plates('2026-12-13')).toBeGreaterThan(0);

  await page.getByLabel('One meal of').selectOption({ label: 'Osk' });
  await page.getByLabel('on', { exact: true }).selectOption('2026-12-01');
  await page.getByRole('button', { name: 'Osk is not here for it' }).click();
  await settled(page);
  expect(await plates('2026-12-01')).toBe(first - 3);

  // a file that is none is refused in words
  await page.getByRole('region', { name: 'Change' }).getByRole('button', { name: 'Osk' }).click();
  await page.getByLabel('Calendar file').setInputFiles({ name: 'list.txt', mimeType: 'text/plain', buffer: Buffer.from('eggs, milk') });
  await expect(page.getByText('This is not a calendar file')).toBeVisible();

  // days are typed in the household's order; what is none stays as it was typed, and the first Escape closes the calendar alone
  const [from, to] = [page.getByRole('textbox', { name: 'From' }), page.getByRole('textbox', { name: 'to, that day too' })];
  await from.fill('3/12');
  await from.press('Tab');
  await expect(from).toHaveValue(/3.Dec.2026/);
  await to.fill('soon');
  await to.press('Tab');
  await expect(page.getByText('Not a day: type it as')).toBeVisible();
  await expect(to).toHaveValue('soon');
  await to.fill('5 dec');
  await expect(page.getByRole('button', { name: 'Next month' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Next month' })).toBeHidden();
  await expect(page.getByText('Not a day: type it as')).toBeHidden();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('button', { name: 'Keep' }).click();
  await settled(page);
  expect(await plates('2026-12-04')).toBeLessThan(await plates('2026-12-02'));
});

test('Kitchen: an ingredient is found by another name, changed, weighed, priced, set back; one of our own is added', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/kitchen?tab=larder`);
  await page.getByLabel('Search ingredients').fill('eggplant');
  await page.getByRole('button', { name: /^Aubergine/ }).click();
  const card = page.getByRole('region', { name: 'aubergine' });
  await card.getByLabel('Eaten of what is bought (%)').fill('90');
  await card.getByRole('button', { name: 'Keep' }).click();
  await settled(page);
  const row = async () => (await getJson<LarderAnswer>(server, '/larder')).rows.find((r) => r.id === 'aubergine')!;
  expect((await row()).ediblePct).toBe(90);

  // an impossible figure is said, and the last good one stays
  await card.getByLabel('Eaten of what is bought (%)').fill('140');
  await card.getByRole('button', { name: 'Keep' }).click();
  await expect(card.getByText('From 1 to 100 %')).toBeVisible();
  await expect(card.getByLabel('Eaten of what is bought (%)')).toBeFocused();
  expect((await row()).ediblePct).toBe(90);
  await card.getByRole('button', { name: 'As it was before' }).click();
  await expect(card.getByLabel('Eaten of what is bought (%)')).toHaveValue('90');
  await page.reload();
  await page.getByLabel('Search ingredients').fill('eggplant');
  await card.getByRole('button', { name: 'Set back to what ships' }).click();
  await settled(page);
  expect((await row()).ediblePct).toBe(82);

  await card.getByLabel('Bought (g)').fill('500');
  await card.getByLabel('Left to cook with (g)').fill('475');
  await expect(card.getByText('95 % usable')).toBeVisible();
  await card.getByRole('button', { name: 'Note it' }).click();
  await settled(page);
  // three parts of what ships, one of what was weighed
  const learned = (await getJson<RecipeAnswer>(server, '/recipes/recipe_stew')).rows.find((r) => r.id === 'aubergine')!;
  expect(learned.ediblePct).toBeCloseTo((3 * 82 + 95) / 4, 1);

  // the fields are free again, and the next weighing is another one
  await expect(card.getByLabel('Bought (g)')).toHaveValue('');
  await card.getByLabel('Bought (g)').fill('400');
  await card.getByLabel('Left to cook with (g)').fill('300');
  await card.getByRole('button', { name: 'Note it' }).click();
  await settled(page);
  expect((await getJson<LarderAnswer>(server, '/larder')).trims.aubergine).toMatchObject({ runs: 2 });

  await page.getByLabel('Search ingredients').fill('galangal');
  await page.getByRole('button', { name: 'Add one of your own' }).click();
  await page.getByRole('region', { name: 'galangal' }).getByRole('button', { name: 'Add it' }).click();
  await settled(page);
  expect((await getJson<LarderAnswer>(server, '/larder')).rows.find((r) => r.name === 'galangal')).toMatchObject({
    allergenCheck: 'unknown',
  });
});

test('Kitchen: a figure is changed beside what ships and set back row by row', async ({ page, server }) => {
  await page.goto(`${server.address}/kitchen?tab=figures&t=blanch`);
  await page.getByLabel('Search this table').fill('kohlrabi cubes');
  await page.getByRole('button', { name: 'Change kohlrabi' }).click();
  await page.getByLabel('Water min').fill('1.5');
  await page.getByRole('button', { name: 'Keep' }).click();
  await settled(page);
  const state = async () => (await getJson<ReferenceAnswer>(server, '/reference/blanch')).rows.find((r) => r.row.id === 'kohlrabi_c')!;
  expect(await state()).toMatchObject({ state: 'edited', row: { waterMin: 1.5 } });
  await page.getByRole('button', { name: 'Change kohlrabi' }).click();
  await page.getByRole('button', { name: 'Set back to what ships' }).click();
  await settled(page);
  expect(await state()).toMatchObject({ state: 'shipped', row: { waterMin: 1 } });
});

test('Pack: a pot too heavy for the scale is dipped with a ruler, or ladled; the stand-in scale is read when it rests', async ({
  page,
  server,
}) => {
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const id = sessions.find((s) => s.day > '2026-11-24')!.id;
  const made = async () => (await getJson<SessionView>(server, `/sessions/${id}`)).batches[0]!.yield;
  await page.goto(`${server.address}/pack/${id}`);
  const card = page.getByRole('region', { name: 'Weigh' });
  await card.getByRole('button', { name: 'Read the scale' }).click();
  await card.getByLabel('Grams on the stand-in scale').fill('9200');
  await card.getByRole('button', { name: 'g, put it on' }).click();
  await expect(card.getByText('A full pot is too heavy for it')).toBeVisible();
  await card.getByLabel('Grams on the stand-in scale').fill('4200');
  await card.getByRole('button', { name: 'g, put it on' }).click();
  await expect(card.getByText('at rest')).toBeVisible({ timeout: 10_000 });
  await card.getByRole('button', { name: 'Into the field' }).click();
  await expect(card.getByLabel('Pot and food, grams')).toHaveValue(/^42\d\d$|^4[12]\d\d$/);

  await card.getByText('With a ruler').click();
  await card.getByLabel('Depth of the food, mm').fill('900');
  await expect(card.getByText('That is deeper than this pot')).toBeVisible();
  await card.getByLabel('Depth of the food, mm').fill('90');
  // 26 cm across and 9 cm deep
  await expect(card.getByText('About 4.78 L')).toBeVisible();
  await card.getByRole('button', { name: 'Take this' }).click();
  await settled(page);
  expect(await made()).toMatchObject({ how: 'weighed', ml: 4780 });

  await page.getByRole('button', { name: 'Weigh again' }).click();
  await card.getByText('In ladles').click();
  await card.getByLabel('Ladles', { exact: true }).fill('23.5');
  await card.getByLabel('One ladle holds, ml').fill('200');
  await card.getByRole('button', { name: 'Take this' }).click();
  await settled(page);
  expect((await made()).ml).toBe(4700);
  // what came out stands for the next time it is scaled
  await moveClock(server, '2026-11-24T16:10:00.000Z');
  const recipe = await getJson<RecipeAnswer>(server, '/recipes/recipe_stew');
  expect(recipe.runs[0]).toMatchObject({ sessionId: id, weighed: 4700, unit: 'ml' });
});

test('Cook by feel: pinches and pours survive a reload and become a recipe that is compared next time', async ({ page, server }) => {
  await page.goto(`${server.address}/recipes/feel`);
  const put = async (name: string, pick: RegExp, how: () => Promise<void>): Promise<void> => {
    await page.getByRole('textbox', { name: 'Ingredient' }).fill(name);
    await page.getByRole('button', { name: pick }).first().click();
    await how();
  };
  const grams = (n: string) => async () => {
    await page.getByLabel('or a figure').fill(n);
    await page.getByRole('button', { name: 'g in' }).click();
  };
  await put('black pep', /^black pepper$/, async () => {
    await page.getByRole('button', { name: 'a turn' }).click();
    await page.getByRole('button', { name: 'a turn' }).click();
  });
  await put('red lentil', /^red lentil$/, grams('300'));
  await page.reload();
  const pot = page.getByRole('region', { name: 'In the pot' });
  await expect(pot).toContainText('2 turns');
  await expect(pot).toContainText('300 g');
  await page.getByLabel('What is it?').fill('Harbour lentils');
  await page.getByLabel('Empty (g)').fill('2450');
  await page.getByLabel('Full at the end (g)').fill('4050');
  await page.getByRole('button', { name: 'Keep as a recipe' }).click();
  await settled(page);
  await expect(page.getByRole('heading', { name: 'Harbour lentils' })).toBeVisible();
  await expect(size4(page)).toContainText('4 portions of 400 g');

  await page.goto(`${server.address}/recipes/feel`);
  await page.getByRole('button', { name: 'Harbour lentils again' }).click();
  await put('black pep', /^black pepper$/, async () => {
    for (let i = 0; i < 3; i += 1) await page.getByRole('button', { name: 'a turn' }).click();
  });
  await put('red lentil', /^red lentil$/, grams('300'));
  await put('tomato', /^tomato$/, grams('120'));
  await expect(page.getByText('Against last time: black pepper +1 turn, red lentil 0, +120 g tomato.')).toBeVisible();
});

const size4 = (page: import('@playwright/test').Page) => page.getByRole('region', { name: 'Size' });

test('Kitchen: reminders keep their hours, a wrong hour is refused, and the question of the evening can be left out', async ({
  page,
  server,
}) => {
  const takeOut = async () => (await getJson<TodayAnswer>(server, '/today')).view.takeOut.map((t) => t.by.slice(11, 16));
  expect(await takeOut()).not.toContain('07:30');
  await page.goto(`${server.address}/kitchen?tab=household`);
  const keep = page.getByRole('button', { name: 'Keep' });
  await page.getByLabel('Take out at').fill('25:00');
  await keep.click();
  await expect(page.getByText('Hours and minutes such as 18:30')).toBeVisible();
  await expect(page.getByLabel('Take out at')).toBeFocused();
  expect((await getJson<KitchenAnswer>(server, '/kitchen')).household.reminders?.takeOutAt).not.toBe('25:00');
  await page.getByLabel('Take out at').fill('07:30');
  await page.getByLabel('Ask if dinner was as planned').selectOption('never');
  await keep.click();
  await expect.poll(async () => new Set(await takeOut())).toEqual(new Set(['07:30']));

  // at nine the question would stand there, as it does again once it is wanted
  await moveClock(server, '2026-11-24T21:00:00.000Z');
  await page.goto(server.address);
  await expect(page.getByRole('link', { name: 'Log tonight’s dinner' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'This evening' })).toBeHidden();
  await page.goto(`${server.address}/kitchen?tab=household`);
  await page.getByLabel('Ask if dinner was as planned').selectOption('yes');
  await keep.click();
  await settled(page);
  await page.goto(server.address);
  await expect(page.getByRole('region', { name: 'This evening' })).toBeVisible();
});
