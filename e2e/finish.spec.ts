import { readFileSync, writeFileSync } from 'node:fs';
import type { SessionView } from '../core/session/index.ts';
import type { EatAnswer, FrameAnswer, SessionsAnswer, StoreAnswer } from '../core/queries/index.ts';
import { expect, getJson, ready, settled, test } from './base.ts';
import type { Page } from '@playwright/test';

test('keys: a sheet lists them, the finder goes anywhere, u takes back, and single letters can be switched off', async ({
  page,
  server,
}) => {
  await page.goto(server.address);
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  // keys act once the household has said that it wants them
  await expect(async () => {
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible({ timeout: 500 });
  }).toPass();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.keyboard.press('7');
  await expect(page).toHaveURL(/\/store$/);
  await page.keyboard.press('n');
  await expect(page).toHaveURL(/\/store\/count/);
  await expect(page.getByLabel('What it is, how many, about when, where')).toBeFocused();

  // the finder: a dish, a code, what to do
  const finder = page.getByRole('combobox', { name: /Find a recipe/ });
  await page.keyboard.press('Control+k');
  await expect(finder).toBeFocused();
  await page.keyboard.type('gratin');
  await expect(page.getByRole('option').first()).toContainText('Leek and mustard gratin');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/recipes\/recipe_gratin/);
  const { packs } = await getJson<StoreAnswer>(server, '/store');
  const { code, name } = packs[3]!;
  await page.keyboard.press('k');
  await expect(page.getByRole('combobox', { name: 'Code on the lid' })).toBeFocused();
  await page.keyboard.type(`${code.slice(0, 2).toLowerCase()} ${code.slice(2).toLowerCase()}`);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(new RegExp(`/p/${code}`));
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
  await page.keyboard.press('Control+k');
  await expect(finder).toBeFocused();
  await page.keyboard.type('back up');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Back up', exact: true })).toBeVisible();

  // u takes back what was just done
  await page.keyboard.press('1');
  const frozen = async () => (await getJson<StoreAnswer>(server, '/store')).packs.filter((p) => p.status === 'fridge').length;
  const before = await frozen();
  await page.getByRole('button', { name: 'They’re in the fridge' }).click();
  await settled(page);
  expect(await frozen()).toBe(before + 2);
  await page.keyboard.press('u');
  await settled(page);
  await expect.poll(frozen).toBe(before);

  await page.goto(`${server.address}/kitchen?tab=device`);
  await page.getByRole('button', { name: 'Off', exact: true }).click();
  await settled(page);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Off', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await page.locator('body').press('7');
  await expect(page).toHaveURL(/kitchen/);
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('dialog')).toBeVisible();
});

test('History brings back what was taken back', async ({ page, server }) => {
  await page.goto(`${server.address}/history`);
  const first = page.getByRole('button', { name: /^Take back: .*planned for/ }).first();
  const name = (await first.getAttribute('aria-label'))!;
  await first.click();
  await settled(page);
  await page
    .getByRole('button', { name: name.replace('Take back', 'Bring back') })
    .first()
    .click();
  await settled(page);
  await expect(page.getByRole('button', { name }).first()).toBeVisible();
});

test('a backup comes down in one tap and is put in place after a look; a bad one says what is wrong', async ({ page, server }, info) => {
  await page.goto(`${server.address}/kitchen?tab=data`);
  const download = page.waitForEvent('download', { timeout: 60_000 });
  await page.getByRole('button', { name: 'Back up now' }).click();
  const file = info.outputPath('household.zip');
  await (await download).saveAs(file);
  await expect(page.getByText('made by hand')).toBeVisible();

  // cut off
  const whole = readFileSync(file);
  writeFileSync(info.outputPath('cut.zip'), whole.subarray(0, whole.length / 2));
  await page.getByLabel('Backup file').setInputFiles(info.outputPath('cut.zip'));
  await expect(page.getByRole('alert')).toContainText('Nothing was changed here');

  // something happens, then the copy is looked at and put in place
  const { packs } = await getJson<StoreAnswer>(server, '/store');
  await page.goto(`${server.address}/p/${packs[0]!.code}`);
  await page.getByRole('combobox', { name: 'Move to' }).selectOption({ label: 'Kitchen box, middle' });
  await settled(page);
  await page.goto(`${server.address}/kitchen?tab=data`);
  await page.getByLabel('Backup file').setInputFiles(file);
  await expect(page.getByText('1 entry logged here is not in this copy')).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Put this copy in place' }).click();
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible({ timeout: 30_000 });
  const back = (await getJson<StoreAnswer>(server, '/store')).packs.find((p) => p.packId === packs[0]!.packId)!;
  expect(back.zoneId).toBe(packs[0]!.zoneId);
  await page.goto(`${server.address}/kitchen?tab=data`);
  await expect(page.getByText('made before a restore')).toBeVisible();
});

test('on a phone everything to tap is made for a thumb', async ({ page, server }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const { packs } = await getJson<StoreAnswer>(server, '/store');
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const next = sessions.find((x) => x.day > '2026-11-24')!;
  for (const url of [
    '/',
    `/shop/${next.id}`,
    `/cook/${next.id}`,
    `/pack/${next.id}`,
    '/store',
    '/eat',
    '/eat?log=tonight',
    `/p/${packs[0]!.code}`,
    '/store/count',
  ]) {
    await page.goto(server.address + url);
    await ready(page);
    // a freezer's tiles are drawn to scale; the same packs stand below it in rows
    const small = await page.evaluate(() =>
      [...document.querySelectorAll('a[href], button, input, select')]
        .filter((e) => !e.closest('svg, .sr, .skip'))
        .map((e) => ({ name: (e.getAttribute('aria-label') ?? e.textContent ?? '').trim().slice(0, 40), r: e.getBoundingClientRect() }))
        .filter(({ r }) => r.width > 0 && r.height > 0 && (r.width < 47 || r.height < 47))
        .map(({ name, r }) => `${name} ${Math.round(r.width)}x${Math.round(r.height)}`),
    );
    expect(small, url).toEqual([]);
  }
});

/** Goes on with Tab until the thing with this name has the focus, as somebody without a mouse does. */
async function tabTo(page: Page, name: RegExp, most = 160): Promise<void> {
  const says: string[] = [];
  for (let i = 0; i < most; i += 1) {
    await page.keyboard.press('Tab');
    const at = await page.evaluate(() => {
      const el = document.activeElement;
      if (!el || el === document.body) return '';
      return (
        el.getAttribute('aria-label') ??
        (el.id ? document.querySelector(`label[for="${el.id}"]`)?.textContent : null) ??
        el.textContent ??
        ''
      );
    });
    if (name.test(at.trim())) return;
    says.push(at.trim().slice(0, 30));
  }
  throw new Error(`Tab never reached ${name}: ${says.slice(-40).join(' | ')}`);
}

test('the road is walked without a mouse', async ({ page, server }) => {
  await page.goto(server.address);
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  const keys = page.keyboard;
  await keys.press('3');
  await expect(page).toHaveURL(/\/plan$/);
  await keys.press('n');
  await expect(page).toHaveURL(/new=1/);
  await expect(page.getByRole('heading', { name: 'Plan a session' })).toBeVisible();
  await tabTo(page, /^Add Beet and horseradish soup/);
  await keys.press('Enter');
  await tabTo(page, /^Plan it and make the list$/, 240);
  await keys.press('Enter');
  await expect(page).toHaveURL(/\/shop\//);
  const id = /\/shop\/([^?]+)/.exec(page.url())![1]!;
  const view = () => getJson<SessionView>(server, `/sessions/${id}`);
  await settled(page);
  await expect(page.getByRole('checkbox').first()).toBeVisible();
  await tabTo(page, /^[^,]+, .*\d/);
  await keys.press('Space');
  await settled(page);
  expect((await view()).list.flatMap((s) => s.lines).filter((l) => l.ticked)).toHaveLength(1);

  await page.goto(`${server.address}/cook/${id}`);
  await expect(page.getByRole('heading', { name: /tasks?, about/ })).toBeVisible();
  await tabTo(page, /^(Done|Already done)$/);
  await keys.press('Enter');
  await settled(page);
  expect((await view()).tasks.filter((t) => t.log?.state === 'done')).toHaveLength(1);

  await page.goto(`${server.address}/pack/${id}`);
  await tabTo(page, /^Filled: \d+/);
  await keys.press('Enter');
  await expect(page.getByRole('region', { name: 'Put away' })).toBeVisible();
  await tabTo(page, /put away$/);
  await keys.press('Enter');
  await settled(page);
  await tabTo(page, /^Written by hand$/, 240);
  await keys.press('Enter');
  await settled(page);
  const packs = (await view()).batches[0]!.packs;
  expect(packs.length).toBeGreaterThan(0);
  expect(packs.every((p) => p.placeId && p.labelled)).toBe(true);

  await page.locator('body').press('e');
  await expect(page.getByRole('dialog')).toBeVisible();
  await expect(page.getByLabel('Which pack')).toBeFocused();
  await keys.type(packs[0]!.code.toLowerCase());
  await tabTo(page, new RegExp(` ${packs[0]!.code}, `));
  await keys.press('Enter');
  await expect(page.getByRole('button', { name: 'Log it' })).toBeVisible();
  await tabTo(page, /^Log it$/);
  await keys.press('Enter');
  await settled(page);
  expect((await getJson<EatAnswer>(server, '/eat')).recent[0]!.name).toBe('Beet and horseradish soup');
  expect((await getJson<FrameAnswer>(server, '/frame')).open.length).toBeGreaterThan(0);
});
