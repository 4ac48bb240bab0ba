import type { SessionView } from '../core/session/index.ts';
import type { EatAnswer, FrameAnswer, HistoryAnswer, SessionsAnswer, StoreAnswer, TodayAnswer } from '../core/queries/index.ts';
import { expect, getJson, keptHere, settled, test } from './base.ts';

test.use({ onDevice: true, viewport: { width: 390, height: 844 }, hasTouch: true });

test('the road is walked on a phone with the network off for half of it', async ({ page, server, context }) => {
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const next = sessions.find((s) => s.day > '2026-11-24')!;
  const before = await getJson<StoreAnswer>(server, '/store');
  await page.goto(server.address);
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  await keptHere(page);

  await context.setOffline(true);
  await page.reload();
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  await expect(page.getByText('No connection, kept here.')).toBeVisible();

  // Eat: two taps from Today
  await page.getByRole('link', { name: 'Log tonight’s dinner' }).click();
  await page.getByRole('button', { name: 'Log it' }).click();
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(page.getByText('Tonight’s dinner is written down.')).toBeVisible();

  // Shop: the first open line
  await page.goto(`${server.address}/shop/${next.id}`);
  const line = page.getByRole('checkbox', { checked: false }).first();
  const name = (await line.getAttribute('aria-label'))!;
  await line.click();
  await expect(page.getByRole('checkbox', { name })).toBeChecked();

  // Cook: the first task is done without its clock
  await page.goto(`${server.address}/cook/${next.id}`);
  await expect(page.getByRole('heading', { name: /tasks, about/ })).toBeVisible();
  await page
    .getByRole('region', { name: 'Do now' })
    .getByRole('button', { name: /^(Done|Already done)$/ })
    .click();
  await expect(page.getByRole('heading', { name: /tasks to go/ })).toBeVisible();

  // Pack: a dish filled with codes kept on the device, put away
  await page.goto(`${server.address}/pack/${next.id}`);
  await page.getByRole('button', { name: /^Filled: \d+ packs?/ }).click();
  await expect(page.getByRole('region', { name: 'Packs' })).toBeVisible();
  await page.getByRole('button', { name: /put away/ }).click();
  await expect(page.getByRole('region', { name: 'Packs' }).getByText('away').first()).toBeVisible();

  // Store: one is moved, the page knows it
  await page.goto(`${server.address}/store`);
  const offlineCount = await page.getByText(/^\d+\spacks\sof/).innerText();
  await expect(page.getByText(/entries wait/)).toBeVisible();
  // reloading loses nothing
  await page.reload();
  await expect(page.getByText(/^\d+\spacks\sof/)).toHaveText(offlineCount);

  await context.setOffline(false);
  await settled(page);
  await expect(page.getByText('No connection, kept here.')).toBeHidden({ timeout: 40_000 });
  await expect(page.getByText(/^\d+\spacks\sof/)).toHaveText(offlineCount);

  const after = await getJson<StoreAnswer>(server, '/store');
  const view = await getJson<SessionView>(server, `/sessions/${next.id}`);
  const filled = view.batches.flatMap((b) => b.packs);
  expect(filled.length).toBeGreaterThan(0);
  expect(new Set(filled.map((p) => p.code)).size).toBe(filled.length);
  expect(filled.every((p) => p.placeId)).toBe(true);
  const eaten = before.packs.length + filled.length - after.packs.length;
  expect(eaten).toBeGreaterThan(0);
  expect(offlineCount).toMatch(new RegExp(`^${after.packs.length}\\spacks`));
  expect((await getJson<TodayAnswer>(server, '/today')).view.tonight.logged).toBe(true);
  expect(view.list.flatMap((s) => s.lines).filter((l) => l.ticked).length).toBeGreaterThan(6);
});

test('two phones that were apart converge and count nothing twice', async ({ browser, server }) => {
  const open = async () => {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, locale: 'en-GB', timezoneId: 'Europe/London' });
    const page = await context.newPage();
    await page.goto(server.address);
    await keptHere(page);
    return { context, page };
  };
  const [a, b] = [await open(), await open()];
  const before = await getJson<EatAnswer>(server, '/eat');
  const dish = before.evenings[0]!.packs.filter((p) => p.kind === 'meal');
  for (const { context } of [a, b]) await context.setOffline(true);
  // the same dinner is eaten on both
  for (const { page } of [a, b]) {
    await page.getByRole('link', { name: 'Log tonight’s dinner' }).click();
    await page.getByRole('button', { name: 'Log it' }).click();
    await page.getByRole('link', { name: 'Today', exact: true }).click();
    await expect(page.getByText('Tonight’s dinner is written down.')).toBeVisible();
  }
  for (const { context, page } of [a, b]) {
    await context.setOffline(false);
    await settled(page);
  }
  const after = await getJson<StoreAnswer>(server, '/store');
  const left = dish.map((p) => after.packs.find((x) => x.packId === p.packId)?.left ?? 0);
  expect(left.every((n) => n >= 0)).toBe(true);
  const frame = await getJson<FrameAnswer>(server, '/frame');
  for (const { page } of [a, b]) {
    await page.reload();
    await expect(page.getByRole('link', { name: /dinners/ }).first()).toContainText(`${frame.supplies.dinners.count}dinners`);
  }
  for (const { context } of [a, b]) await context.close();
});

test('a device whose clock is an hour wrong logs at the household’s time, without a connection too', async ({ page, server, context }) => {
  // as text: a compiled function would carry helpers that the page does not know
  await page.addInitScript(`
    const real = Date.now;
    Date.now = () => real() - 3_600_000;
    const Real = Date;
    globalThis.Date = class extends Real { constructor(...a) { if (a.length === 0) super(real() - 3_600_000); else super(...a); } static now() { return real() - 3_600_000; } };`);
  await page.goto(server.address);
  await keptHere(page);
  await context.setOffline(true);
  await page.reload();
  await page.getByRole('link', { name: 'Log tonight’s dinner' }).click();
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByText('Tonight is written down.')).toBeVisible();
  await context.setOffline(false);
  await settled(page);
  const { entries } = await getJson<HistoryAnswer>(server, '/history?limit=5');
  const { now } = await getJson<FrameAnswer>(server, '/frame');
  expect(entries[0]!.says).toContain('eaten');
  const off = Date.parse(now) - Date.parse(entries[0]!.at);
  expect(off).toBeGreaterThanOrEqual(0);
  expect(off).toBeLessThan(5 * 60_000);
});

test('a device without room left says so, and what is entered still arrives', async ({ page, server }) => {
  await page.addInitScript(`IDBObjectStore.prototype.add = () => { throw new DOMException('full', 'QuotaExceededError'); };`);
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const next = sessions.find((s) => s.day > '2026-11-24')!;
  await page.goto(`${server.address}/shop/${next.id}`);
  const ticked = async () =>
    (await getJson<SessionView>(server, `/sessions/${next.id}`)).list.flatMap((s) => s.lines).filter((l) => l.ticked).length;
  const before = await ticked();
  await page.route('**/api/events', (route) => route.abort());
  await page.getByRole('checkbox', { checked: false }).first().click();
  await expect(page.getByRole('alert').filter({ hasText: 'no room left' })).toBeVisible();
  await page.unroute('**/api/events');
  await expect.poll(ticked, { timeout: 30_000 }).toBe(before + 1);
  await expect(page.getByRole('alert').filter({ hasText: 'no room left' })).toBeHidden();
});
