import type { KitchenAnswer, StoreAnswer } from '../core/queries/index.ts';
import { expect, getJson, ready, settled, test } from './base.ts';

const kitchen = (server: Parameters<typeof getJson>[0]) => getJson<KitchenAnswer>(server, '/kitchen');

test('a form half filled in is there after a reload and from Today, put aside and brought back, and says what is wrong at its field', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/kitchen?tab=containers`);
  await page.getByRole('button', { name: 'Change Tub 500 ml' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Fill to').fill('4,5x');
  await sheet.getByLabel('How many').fill('31');
  await page.waitForTimeout(400);
  await page.reload();
  // the sheet stands in the address, what was typed on the device
  await expect(sheet.getByLabel('Fill to')).toHaveValue('4,5x');
  await expect(sheet.getByLabel('How many')).toHaveValue('31');
  await page.goto(server.address);
  await expect(page.getByText('Tub 500 ml is half made')).toBeVisible();
  await page.getByRole('button', { name: 'Put Tub 500 ml aside' }).click();
  await expect(page.getByText('half made')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('link', { name: 'Go on' }).click();

  await sheet.getByRole('button', { name: 'Keep' }).click();
  await expect(sheet.getByText('More than 0 and at most 30,000 ml')).toBeVisible();
  await expect(sheet.getByLabel('Fill to')).toBeFocused();
  await sheet.getByLabel('Fill to').fill('600');
  await sheet.getByRole('button', { name: 'Keep' }).click();
  await expect(sheet.getByText('At most to the brim: leave room for the ice')).toBeVisible();
  await sheet.getByLabel('Fill to').fill('420');
  await sheet.getByRole('button', { name: 'Keep' }).click();
  await settled(page);
  const tub = (await kitchen(server)).containers.find((c) => c.container.name === 'Tub 500 ml')!.container;
  expect(tub).toMatchObject({ fillMl: 420, owned: 31 });
  await expect(page.getByText('half made')).toHaveCount(0);
});

test('a meal half logged is there after a reload, is gone on with from Today, and is no longer half made once it is logged', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/eat?log=tonight`);
  const marit = page.getByRole('dialog').getByRole('group', { name: 'Marit' });
  const before = await marit.textContent();
  await marit.getByRole('button', { name: 'Marit: less' }).click();
  const said = (await marit.textContent())!;
  expect(said).not.toBe(before);
  await page.waitForTimeout(400);
  await page.reload();
  await expect(marit).toHaveText(said);
  await page.goto(server.address);
  await expect(page.getByText('Who ate Coconut red-lentil pot is half made')).toBeVisible();
  await page.getByRole('link', { name: 'Go on' }).click();
  await expect(marit).toHaveText(said);
  await page.getByRole('button', { name: 'Log it' }).click();
  await settled(page);
  await page.goto(server.address);
  await ready(page);
  await expect(page.getByText('half made')).toHaveCount(0);
});

const forms = [
  '/kitchen?tab=containers&edit=new',
  '/kitchen?tab=gear&edit=new-pot',
  '/kitchen?tab=gear&edit=new-oven',
  '/kitchen?tab=places&edit=new',
  '/kitchen?tab=eaters&edit=new',
  '/kitchen?tab=household',
  '/kitchen?tab=larder&i=leek',
  '/kitchen?tab=figures&t=blanch&edit=kohlrabi_c',
];

for (const url of forms)
  test(`every field of a form is reached and left by keys alone: ${url}`, async ({ page, server }) => {
    await page.goto(server.address + url);
    await ready(page);
    const form = page.locator('form').filter({ has: page.getByRole('button', { name: 'Keep', exact: true }) });
    await expect(form).toBeVisible();
    const wanted = await form.locator('input:visible, select:visible, textarea:visible').count();
    expect(wanted).toBeGreaterThan(3);
    const seen = new Set<string>();
    for (let i = 0; i < 200; i += 1) {
      await page.keyboard.press('Tab');
      const at = await page.evaluate(() => {
        const e = document.activeElement;
        const inForm = [...document.querySelectorAll('form')].find((f) => f.textContent.includes('Keep') && f.contains(e));
        const fields = inForm ? [...inForm.querySelectorAll('input, select, textarea')] : [];
        const named =
          e instanceof HTMLInputElement || e instanceof HTMLSelectElement
            ? (e.labels?.length ?? 0) > 0 || e.hasAttribute('aria-label')
            : true;
        return { n: e ? fields.indexOf(e) : -1, named, keep: inForm !== undefined && e?.textContent === 'Keep' };
      });
      expect(at.named).toBe(true);
      if (at.n >= 0) seen.add(String(at.n));
      if (at.keep) break;
    }
    // nobody is caught in a field on the way to the button
    await expect(page.getByRole('button', { name: 'Keep', exact: true })).toBeFocused();
    expect(seen.size).toBe(wanted);
  });

test('a pile is carried to another shelf by keys and by hand, and put back by undo', async ({ page, server }) => {
  const packs = async (name: string) =>
    (await getJson<StoreAnswer>(server, '/store')).packs.filter((p) => p.name === name && p.status === 'frozen');
  await page.goto(`${server.address}/store`);
  await ready(page);
  const pile = page.getByRole('button', { name: /^Seeded rye rolls: 3 packs/ });
  const before = await packs('Seeded rye rolls');
  await pile.focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('status').filter({ hasText: 'Over Kitchen box, top shelf' })).toBeAttached();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('status').filter({ hasText: 'Over Kitchen box, middle' })).toBeAttached();
  await page.keyboard.press('Space');
  await settled(page);
  const moved = await packs('Seeded rye rolls');
  expect(new Set(moved.map((p) => p.zoneId)).size).toBe(1);
  expect(moved[0]!.zoneId).not.toBe(before[0]!.zoneId);
  await page.getByRole('button', { name: 'Undo' }).click();
  await settled(page);
  expect((await packs('Seeded rye rolls')).map((p) => p.zoneId)).toEqual(before.map((p) => p.zoneId));

  // Enter opens a pile, a pull with the pointer carries it
  const soup = page.getByRole('button', { name: /^Beet and horseradish soup: 1 pack/ });
  await soup.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Selected pack' })).toContainText('Beet and horseradish soup');
  const from = (await soup.boundingBox())!;
  const to = (await page.getByText('left basket', { exact: true }).boundingBox())!;
  await page.mouse.move(from.x + 20, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(from.x - 60, from.y + 40, { steps: 4 });
  await page.mouse.move(to.x + 30, to.y + 30, { steps: 8 });
  await page.mouse.up();
  await settled(page);
  await expect(page.getByRole('region', { name: 'Selected pack' })).toContainText('left basket');
});

test('a table is sorted by its heads, says so, and keeps what it lists', async ({ page, server }) => {
  await page.goto(`${server.address}/kitchen?tab=figures&t=blanch`);
  const table = page.getByRole('table', { name: 'Blanching minutes' });
  const head = table.getByRole('columnheader', { name: /Water min/ });
  await expect(head).toHaveAttribute('aria-sort', 'none');
  const first = () => table.getByRole('row').nth(1).getByRole('cell').nth(4).innerText();
  await head.getByRole('button').click();
  await expect(head).toHaveAttribute('aria-sort', 'ascending');
  const least = await first();
  await head.getByRole('button').press('Enter');
  await expect(head).toHaveAttribute('aria-sort', 'descending');
  expect(await first()).not.toBe(least);
  // so many a page, and the rest on the next
  await expect(table.getByRole('row')).toHaveCount(26);
  await page.getByRole('button', { name: 'Page 2' }).click();
  await expect(page.getByText(/^26 to \d+ of \d+\srows$/)).toBeVisible();
});

/** 320 px, and 200 and 150 % at 1280 (WCAG 1.4.10). */
for (const width of [320, 640, 853])
  test(`no page scrolls sideways at ${width} px`, async ({ page, server }) => {
    test.setTimeout(240_000);
    await page.setViewportSize({ width, height: 720 });
    const { packs } = await getJson<StoreAnswer>(server, '/store');
    const tabs = ['eaters', 'gear', 'containers', 'places', 'larder', 'figures', 'household', 'data', 'device'];
    const urls = [
      '/',
      '/recipes',
      '/recipes/new',
      '/recipes/recipe_stew',
      '/plan?new=1',
      '/shop',
      '/cook',
      '/pack',
      '/store',
      `/p/${packs[0]!.code}`,
    ];
    const more = ['/eat', '/eat?log=1', '/history', '/welcome?step=2', ...tabs.map((t) => `/kitchen?tab=${t}`)];
    const wide: string[] = [];
    for (const url of [...urls, ...more]) {
      await page.goto(server.address + url);
      await ready(page);
      const over = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
      if (over > 0) wide.push(`${url}: ${over} px`);
    }
    expect(wide).toEqual([]);
  });
