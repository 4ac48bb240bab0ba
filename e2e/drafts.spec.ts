import { expect, getJson, ready, test } from './base.ts';
import type { SessionsAnswer } from '../core/queries/index.ts';

const upcoming = async (server: Parameters<typeof getJson>[0]): Promise<string> =>
  (await getJson<SessionsAnswer>(server, '/sessions')).sessions.find((s) => s.day > '2026-11-24')!.id;

test('a plan half made is there after a reload, from another page and with the browser shut, until it is kept', async ({
  page,
  server,
  context,
}) => {
  const id = await upcoming(server);
  const asked: string[] = [];
  await page.goto(`${server.address}/plan/${id}`);
  await ready(page);
  await expect(page.getByRole('heading', { name: /It fits|It does not fit/ })).toBeVisible();
  page.on('request', (r) => {
    if (/\/api\/(sessions|plan)/.test(r.url())) asked.push(r.url());
  });
  const portions = page.getByRole('textbox', { name: /^Portions of/ }).first();
  const before = await portions.inputValue();
  await portions.fill('400');
  await expect(page.getByRole('heading', { name: 'It does not fit yet' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('Sunday of stews');
  expect(asked).toEqual([]);
  await page.waitForTimeout(400);
  await page.reload();
  await expect(page.getByText('You left this half made.')).toBeVisible();
  await expect(portions).toHaveValue('400');
  await page.close();
  const other = await context.newPage();
  await other.goto(`${server.address}/plan`);
  await expect(other.getByText('Sunday of stews')).toBeVisible();
  await other.getByRole('link', { name: 'Go on' }).click();
  const again = other.getByRole('textbox', { name: /^Portions of/ }).first();
  await expect(again).toHaveValue('400');
  // letters of one field are one step
  await again.fill('40');
  await again.fill('41');
  await other.getByRole('button', { name: 'Step back' }).click();
  await expect(again).toHaveValue('400');
  await other.getByRole('button', { name: 'Step forward' }).click();
  await expect(again).toHaveValue('41');
  await other.getByRole('button', { name: 'As it was before' }).click();
  await expect(again).toHaveValue(before);
  await other.getByRole('button', { name: 'Step back' }).click();
  await expect(again).toHaveValue('41');
  await other.getByRole('button', { name: 'Save and open the list' }).click();
  await expect(other.getByRole('heading', { name: 'Shop' })).toBeVisible();
  await other.goto(`${server.address}/plan`);
  await ready(other);
  await expect(other.getByText('half made')).toHaveCount(0);
  expect((await getJson<{ session: { name: string } }>(server, `/sessions/${id}/plan`)).session.name).toBe('Sunday of stews');
});

test('a plan is checked without a connection too, with what was filled here since', async ({ page, server, context }) => {
  const id = await upcoming(server);
  await page.goto(`${server.address}/plan/${id}`);
  await expect(page.getByRole('heading', { name: 'It fits' })).toBeVisible();
  await context.setOffline(true);
  await page
    .getByRole('textbox', { name: /^Portions of/ })
    .first()
    .fill('400');
  await expect(page.getByRole('heading', { name: 'It does not fit yet' })).toBeVisible();
  await context.setOffline(false);
});

test('a line of the count is there after a reload, and gone once it is kept', async ({ page, server }) => {
  await page.goto(`${server.address}/store/count`);
  const line = page.getByLabel('What it is, how many, about when, where');
  await line.fill('leek soup 4 oct shed left');
  await page.waitForTimeout(400);
  await page.reload();
  await expect(line).toHaveValue('leek soup 4 oct shed left');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('4 packs counted, 1 line')).toBeVisible();
  await expect(line).toHaveValue('');
  await page.reload();
  await expect(line).toHaveValue('');
});
