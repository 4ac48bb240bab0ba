import type { FrameAnswer, KitchenAnswer } from '../core/queries/index.ts';
import { stateOf } from '../core/contract/index.ts';
import { expect, getJson, settled, test } from './base.ts';

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
