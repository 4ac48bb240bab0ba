import type { Page } from '@playwright/test';
import path from 'node:path';
import type { FrameAnswer, SessionsAnswer, StoreAnswer } from '../core/queries/index.ts';
import type { RunningServer } from '../scripts/server.mjs';
import { expect, getJson, ready, seriousFaults, settled, test } from './base.ts';

const sample = (name: string): string => path.join(import.meta.dirname, 'samples', name);

const thorough = process.env.TAMBO_THOROUGH !== undefined;

/** How a page is looked at: it is visited once and switched in place. A thorough run looks in all four ways. */
const looks = [
  { name: 'light, at a table', colorScheme: 'light', width: 1280, height: 800 },
  { name: 'dark, on a phone', colorScheme: 'dark', width: 390, height: 844 },
  ...(thorough
    ? ([
        { name: 'dark, at a table', colorScheme: 'dark', width: 1280, height: 800 },
        { name: 'light, on a phone', colorScheme: 'light', width: 390, height: 844 },
      ] as const)
    : []),
] as const;

/** Every page, in four parts that run side by side. */
const parts = 4;

async function allPages(server: RunningServer): Promise<string[]> {
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const { packs } = await getJson<StoreAnswer>(server, '/store');
  const next = sessions.find((s) => s.day > '2026-11-24')!;
  const done = sessions.find((s) => s.day < '2026-11-24')!;
  return [
    '/',
    '/recipes',
    '/recipes/recipe_stew?portions=17',
    '/recipes/recipe_stew?by=vessel&v=gear_pot9&units=both&unsalted=2',
    '/recipes/recipe_base?by=have&v=&units=us',
    '/recipes/recipe_meatballs?by=eaters&v=&days=21&every=3',
    '/recipes/feel',
    '/recipes/new',
    '/recipes/recipe_stew/edit',
    '/recipes/recipe_stew/revisions',
    '/recipes/away',
    '/plan',
    '/plan?new=1',
    `/plan/${next.id}`,
    `/shop/${next.id}`,
    `/cook/${next.id}`,
    `/worktop/${next.id}`,
    `/pack/${next.id}`,
    `/pack/${done.id}/labels`,
    `/pack/${done.id}/sheet`,
    '/store',
    '/store/count',
    `/p/${packs[0]!.code}`,
    '/p/AAAAA',
    '/eat',
    '/eat?log=1',
    '/eat?log=tonight',
    '/kitchen',
    '/kitchen?tab=gear',
    '/kitchen?tab=containers',
    '/kitchen?tab=places',
    '/kitchen?tab=larder&i=leek',
    '/kitchen?tab=figures&t=blanch',
    '/kitchen?tab=household',
    '/kitchen?tab=containers&edit=new',
    '/kitchen?tab=eaters&edit=new',
    '/kitchen?tab=data',
    '/kitchen?tab=device',
    '/welcome?step=1',
    '/welcome?step=2',
    '/welcome?step=3',
    '/welcome?step=4',
    '/history',
    '/settle',
    '/nowhere',
  ];
}

/** Goes to an address as a link does: the app and what looks at it are brought in once. */
async function visit(page: Page, address: string, url: string): Promise<void> {
  if (!page.url().startsWith(address)) return void (await page.goto(address + url));
  await page.evaluate(async (to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
    // the way there begins with the next frame
    await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
  }, url);
  await expect.poll(() => page.evaluate(() => document.querySelector('[aria-busy=true]') === null)).toBe(true);
}

for (let part = 0; part < parts; part += 1)
  test(`no page has a serious accessibility fault, and none scrolls sideways: part ${part + 1} of ${parts}`, async ({ page, server }) => {
    test.setTimeout(300_000);
    const faults: string[] = [];
    const heads = new Set<string | null>();
    const urls = (await allPages(server)).filter((_, i) => i % parts === part);
    expect(urls.length).toBeGreaterThan(5);
    for (const [i, url] of urls.entries()) {
      await page.emulateMedia({ colorScheme: looks[0].colorScheme, reducedMotion: 'reduce' });
      await page.setViewportSize(looks[0]);
      await visit(page, server.address, url);
      for (const [l, look] of looks.entries()) {
        await page.emulateMedia({ colorScheme: look.colorScheme, reducedMotion: 'reduce' });
        await page.setViewportSize(look);
        await ready(page);
        heads.add(await page.evaluate(() => document.querySelector('main')?.innerText.slice(0, 2000) ?? null));
        const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        if (wide > 0) faults.push(`${url}, ${look.name}: ${wide} px too wide`);
        // each address in one of the looks a day, in all of them in thorough runs
        if (process.env.TAMBO_THOROUGH === undefined && l !== i % looks.length) continue;
        for (const v of await seriousFaults(page)) faults.push(`${url}, ${look.name}: ${v}`);
      }
    }
    expect(faults).toEqual([]);
    // none stood there twice under another address
    expect(heads.size).toBeGreaterThanOrEqual(urls.length);
  });

test('on paper there is the sheet alone, and nothing to tap', async ({ page, server }) => {
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const done = sessions.find((s) => s.day < '2026-11-24')!;
  const next = sessions.find((s) => s.day > '2026-11-24')!;
  await page.emulateMedia({ media: 'print' });
  for (const url of [`/pack/${done.id}/sheet`, `/shop/${next.id}`, `/cook/${next.id}`]) {
    await page.goto(server.address + url);
    await ready(page);
    await expect(page.locator('main section').first()).toBeVisible();
    for (const role of ['button', 'navigation'] as const) await expect(page.getByRole(role), url).toHaveCount(0);
  }
});

test('a lost connection keeps what is entered and sends it once when it is back', async ({ page, server, context }) => {
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const next = sessions.find((s) => s.day > '2026-11-24')!;
  await page.goto(`${server.address}/shop/${next.id}`);
  const first = page.getByRole('checkbox', { checked: false }).first();
  await expect(first).toBeVisible();
  await context.setOffline(true);
  const name = await first.getAttribute('aria-label');
  await first.click();
  await expect(page.getByRole('checkbox', { name: name! })).toBeChecked();
  await expect(page.getByText('No connection, kept here.')).toBeVisible();
  await context.setOffline(false);
  await settled(page);
  await expect(page.getByText('No connection, kept here.')).toBeHidden();
  await page.reload();
  await expect(page.getByRole('checkbox', { name: name! })).toBeChecked();
});

test('what was just done is taken back from its toast', async ({ page, server }) => {
  await page.goto(`${server.address}/store`);
  await page
    .getByRole('region', { name: 'Selected pack' })
    .getByRole('combobox', { name: 'Move to' })
    .selectOption({ label: 'Kitchen box, middle' });
  await settled(page);
  const moved = (await getJson<StoreAnswer>(server, '/store')).packs.filter((p) => p.zoneId === 'box_middle').length;
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await settled(page);
  await expect
    .poll(async () => (await getJson<StoreAnswer>(server, '/store')).packs.filter((p) => p.zoneId === 'box_middle').length)
    .toBe(moved - 1);
});

test('bad files say what is wrong and lose nothing', async ({ page, server }) => {
  await page.goto(`${server.address}/recipes/new`);
  await page.getByLabel('Recipe file').setInputFiles(sample('broken.json'));
  // what could be read of it is there, and that it was broken is said
  await expect(page.getByRole('alert')).toContainText('cut off or broken');
  await expect(page.getByLabel('Line 1', { exact: true })).toHaveValue('1 onion');
  await page.goto(`${server.address}/recipes/new`);
  await page.getByLabel('Recipe file').setInputFiles(sample('array.json'));
  await expect(page.getByText('2 recipes to look over')).toBeVisible();
  await expect(page.getByText('Oat flatbreads')).toBeVisible();
  await page.getByRole('button', { name: 'Look at Green lentil base' }).click();
  await expect(page.getByLabel('Makes')).toHaveValue('8 ladles');
});

test('a code that matches no pack offers the near one', async ({ page, server }) => {
  const { packs } = await getJson<StoreAnswer>(server, '/store');
  const { code } = packs[0]!;
  await page.goto(`${server.address}/p/${code.slice(0, 4)}0`);
  await page.getByRole('link', { name: code }).click();
  await expect(page.getByRole('heading', { name: packs[0]!.name })).toBeVisible();
});

test('the strip walks by arrow keys and its brush filters the store', async ({ page, server }) => {
  await page.goto(server.address);
  const frame = await getJson<FrameAnswer>(server, '/frame');
  const strip = page.getByRole('group', { name: /packs by best-by day/ });
  const first = strip.getByRole('link').first();
  await first.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(new RegExp(`/p/(${frame.strip.map((m) => m.code).join('|')})`));
  const box = (await strip.boundingBox())!;
  await page.mouse.move(box.x + 60, box.y + 20);
  await page.mouse.down();
  await page.mouse.move(box.x + 300, box.y + 20, { steps: 4 });
  await page.mouse.up();
  await expect(page).toHaveURL(/\/store\?from=2026-11-2\d&to=2027/);
});

test.describe('without demo data', () => {
  test.use({ demo: false });
  test('an empty kitchen teaches the next step and can be set up', async ({ page, server }) => {
    await page.goto(`${server.address}/kitchen`);
    await page.getByRole('button', { name: 'Add the first' }).click();
    await page.getByLabel('Name').fill('Ines');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByRole('img', { name: /Ines at dinner on 28 of 28 days/ })).toBeVisible();
    await page.getByRole('tab', { name: 'Containers' }).click();
    await page.getByRole('button', { name: 'Add a container' }).click();
    await page.getByRole('button', { name: 'Tub 1000 ml' }).click();
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText('fill to 870 ml')).toBeVisible();
    await page.getByRole('tab', { name: 'Cold places' }).click();
    await page.getByRole('button', { name: 'Add one' }).click();
    await page.getByLabel('Name').fill('Small freezer');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByRole('heading', { name: 'Small freezer' })).toBeVisible();
    await page.goto(`${server.address}/store`);
    await expect(page.getByRole('heading', { name: 'An empty freezer' })).toBeVisible();
  });
});
