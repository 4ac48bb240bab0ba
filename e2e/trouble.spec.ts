import type { FrameAnswer, KitchenAnswer } from '../core/queries/index.ts';
import { stateOf } from '../core/contract/index.ts';
import { cpSync, mkdtempSync, openSync, rmSync, statSync, writeSync, closeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { startServer } from '../scripts/server.mjs';
import { expect, getJson, seriousFaults, settled, test } from './base.ts';

test('the same setting changed on two devices: both are kept, the cook chooses on one page', async ({ page, server, browser }) => {
  const other = await browser.newPage();
  await page.goto(`${server.address}/kitchen?tab=household`);
  await other.goto(`${server.address}/kitchen?tab=household`);
  for (const [p, at] of [
    [page, '19:15'],
    [other, '17:30'],
  ] as const)
    await p.getByLabel('Dinner at').fill(at);
  await page.getByRole('button', { name: /^Keep/ }).click();
  await settled(page);
  await other.getByRole('button', { name: /^Keep/ }).click();
  await settled(other);
  await expect(other.getByText('was changed in two places')).toBeVisible();
  await page.reload();
  await page.getByRole('link', { name: 'Choose' }).click();
  await expect(page.getByRole('heading', { name: 'To settle' })).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  const row = page.getByRole('row', { name: /dinner at/ });
  await expect(row).toContainText('19:15');
  await expect(row).toContainText('17:30');
  await page.getByRole('button', { name: /Take the one from/ }).click();
  await expect(page.getByText('All is settled')).toBeVisible();
  expect((await getJson<KitchenAnswer>(server, '/kitchen')).household.dinnerAt).toBe('17:30');
  await other.close();
});

test('guests and absences of one evening from two devices stand together', async ({ page, server, browser }) => {
  const other = await browser.newPage();
  await page.goto(server.address);
  await other.goto(server.address);
  await page.getByRole('button', { name: '+ guest' }).click();
  await other.getByRole('button', { name: /^Joaquim dines here tonight/ }).click();
  await settled(page);
  await settled(other);
  await page.reload();
  await expect(page.getByRole('button', { name: '1 guest tonight: one less' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Joaquim is not here tonight/ })).toBeVisible();
  expect((await getJson<FrameAnswer>(server, '/frame')).clashes).toEqual([]);
  await other.close();
});

test('a session taken off here and changed there waits for the cook, who may leave it or take it off', async ({ page, server }) => {
  const frame = await getJson<FrameAnswer>(server, '/frame');
  const { session } = await getJson<{ session: { id: string; name: string } }>(server, `/sessions/${frame.open[0]!.id}`);
  const send = (writeId: string, data: unknown) =>
    page.request.post(`${server.address}/api/writes`, {
      data: {
        writeId,
        device: writeId,
        instant: frame.now,
        label: 'Saturday',
        changes: [{ table: 'session', id: session.id, data, from: stateOf(session) }],
      },
    });
  await send('phone', { ...session, name: 'Long Saturday' });
  await send('laptop', null);
  await page.goto(`${server.address}/settle`);
  await expect(page.getByRole('heading', { name: 'Long Saturday' })).toBeVisible();
  await page.getByRole('button', { name: 'Keep what stands here' }).click();
  await expect(page.getByText('All is settled')).toBeVisible();
  await page.goto(`${server.address}/plan/${session.id}`);
  await expect(page.getByRole('heading', { name: 'Long Saturday' }).first()).toBeVisible();
});

test('a damaged household is mended in the browser: nothing is taken in meanwhile, the copy is looked at, what waits is sent', async ({
  page,
  lived,
}) => {
  const folder = mkdtempSync(path.join(tmpdir(), 'tambo-damaged-'));
  cpSync(lived, folder, { recursive: true });
  const env = { TAMBO_DEMO: '1', TAMBO_NOW: '2026-11-24T16:00:00.000Z' };
  const whole = await startServer({ env, folder });
  await page.request.post(`${whole.address}/api/backup`, { data: {} });
  await expect.poll(async () => (await getJson<{ copies: unknown[] }>(whole, '/backups')).copies.length, { timeout: 30_000 }).toBe(1);
  await whole.stop();
  const file = path.join(folder, 'demo.sqlite');
  const { size } = statSync(file);
  const at = openSync(file, 'r+');
  writeSync(at, Buffer.alloc(Math.floor(size / 3), 0x5a), 0, undefined, Math.floor(size / 3));
  closeSync(at);
  const server = await startServer({ env, folder });
  await page.goto(server.address);
  await expect(page.getByRole('heading', { name: 'The household’s file is damaged' })).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Look at it' }).click();
  await expect(page.getByText('This copy is whole: The house above the yard')).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Put this copy in place' }).click();
  await expect(page.getByRole('heading', { name: 'Tuesday, 24 November' })).toBeVisible();
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
});
