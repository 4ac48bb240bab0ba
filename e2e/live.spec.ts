import type { SessionsAnswer, StoreAnswer } from '#core/queries';
import { expect, getJson, settled, test } from './base.ts';

test('what one device logs shows on another by itself, on the list, at the worktop and on Today', async ({ page, browser, server }) => {
  const other = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const { id } = sessions.find((s) => s.day > '2026-11-24')!;
  for (const p of [page, other]) {
    await p.goto(`${server.address}/shop/${id}`);
    await expect(p.getByRole('checkbox').first()).toBeVisible();
  }
  // both are told from now on
  await page.waitForTimeout(2000);
  const line = page.getByRole('checkbox').first();
  const name = (await line.getAttribute('aria-label')) ?? '';
  const there = other.getByRole('checkbox', { name, exact: true });
  await expect(there).not.toBeChecked();
  await line.click();
  await settled(page);
  await expect(there).toBeChecked({ timeout: 15_000 });

  await other.goto(`${server.address}/cook/${id}`);
  await page.goto(`${server.address}/worktop/${id}`);
  const first = page.getByRole('button', { name: /^Done|Already done/ }).first();
  await expect(first).toBeVisible();
  await page.waitForTimeout(2000);
  const before = await other.getByRole('heading', { level: 1 }).innerText();
  await first.click();
  await settled(page);
  await expect(other.getByRole('heading', { level: 1 })).not.toHaveText(before, { timeout: 15_000 });

  // and back: a dinner logged on the phone leaves Today of the computer
  await page.goto(server.address);
  await expect(page.getByRole('link', { name: 'Log tonight’s dinner' })).toBeVisible();
  await page.waitForTimeout(2000);
  await other.goto(`${server.address}/eat?log=tonight`);
  await other.getByRole('button', { name: 'Log it' }).click();
  await settled(other);
  await expect(page.getByText('Tonight’s dinner is written down.')).toBeVisible({ timeout: 15_000 });
  await other.context().close();
});

test('where the server cannot tell, the page asks; a page that was away hears what it missed', async ({ page, browser, server }) => {
  const other = await (await browser.newContext()).newPage();
  await other.route('**/api/live', (route) => route.abort());
  await other.goto(`${server.address}/store`);
  await expect(other.getByRole('heading', { level: 1 })).toBeVisible();
  const { packs } = await getJson<StoreAnswer>(server, '/store');
  const pack = packs.find((p) => p.status === 'frozen' && packs.filter((x) => x.name === p.name).length === 1) ?? packs[0]!;
  await other.goto(`${server.address}/p/${pack.code}`);
  await other.waitForTimeout(1500);
  await page.goto(`${server.address}/p/${pack.code}`);
  await page
    .getByRole('button', { name: /^Take it out|^Out of the freezer|fridge/i })
    .first()
    .click();
  await settled(page);
  await expect(other.getByText(/in the fridge|thawing/i).first()).toBeVisible({ timeout: 30_000 });
  await other.context().close();
});
