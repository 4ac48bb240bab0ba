import type { SessionParts, SessionsAnswer } from '#core/queries';
import type { RunningServer } from '../scripts/server.mjs';
import { expect, getJson, seriousFaults, settled, test } from './base.ts';

/** The next session of the demo: seven dishes, two cooks. */
async function next(server: RunningServer): Promise<{ id: string; cook: () => Promise<SessionParts['cook']> }> {
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const { id } = sessions.find((s) => s.day > '2026-11-24')!;
  return { id, cook: () => getJson<SessionParts['cook']>(server, `/sessions/${id}/cook`) };
}

const makespan = async (cook: () => Promise<SessionParts['cook']>): Promise<number> => (await cook()).schedule!.makespanMin;

test('a shorter order is looked for while one watches, taken when one says so, kept on every page, and taken back', async ({
  page,
  server,
}) => {
  const { id, cook } = await next(server);
  const before = await makespan(cook);
  await page.goto(`${server.address}/cook/${id}`);
  const card = page.getByRole('region', { name: 'Order of work' });
  await card.getByRole('button', { name: 'Look for a shorter order' }).click();
  await expect(card.getByRole('button', { name: 'Stop' })).toBeVisible();
  await expect(card.getByText(/Better by/)).toBeVisible({ timeout: 40_000 });
  expect(await makespan(cook), 'nothing is taken unasked').toBe(before);
  expect(await seriousFaults(page)).toEqual([]);
  await card.getByRole('button', { name: 'Take it' }).dblclick();
  await settled(page);
  await expect.poll(() => makespan(cook)).toBeLessThan(before);
  const taken = await cook();
  expect(taken.session.order!.placed).toHaveLength(taken.tasks.length);
  await page.goto(`${server.address}/worktop/${id}`);
  const first = taken.tasks.filter((t) => t.startMin === 0).map((t) => t.title);
  for (const title of first) await expect(page.getByRole('heading', { name: title })).toBeVisible();
  await page.goto(`${server.address}/history`);
  await page.goto(`${server.address}/cook/${id}`);
  await expect(page.getByText('This order was taken and stands on every page and device.')).toBeVisible();
});

test('a search is stopped, and hands over the best so far', async ({ page, server }) => {
  const { id } = await next(server);
  await page.goto(`${server.address}/cook/${id}`);
  const card = page.getByRole('region', { name: 'Order of work' });
  await card.getByRole('button', { name: 'Look for a shorter order' }).click();
  await card.getByRole('button', { name: 'Stop' }).click();
  await expect(card.getByText(/Better by|No shorter order was found/)).toBeVisible({ timeout: 20_000 });
});

test('a task is carried by keys, the rest moves along; where it may not stand it says why and stays', async ({ page, server }) => {
  const { id, cook } = await next(server);
  await page.goto(`${server.address}/cook/${id}`);
  const score = page.getByRole('region', { name: 'Score of the session' });
  const before = await cook();
  // one that nothing waits for soon
  const last = before.tasks.find((t) => t.id.startsWith('prep:') && t.startMin! > 30)!;
  const block = score.getByRole('button', { name: new RegExp(`^\\d+\\. ${last.title.slice(0, 12)}`) }).first();
  await block.focus();
  await page.keyboard.press('Space');
  // the sensor listens from the next turn on; after that keys may come as fast as they like
  await page.waitForTimeout(200);
  for (let k = 0; k < 3; k += 1) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await expect(page.getByRole('status').getByText(/stands at .*the rest moved along/)).toBeVisible({ timeout: 20_000 });
  await settled(page);
  const after = await cook();
  expect(after.session.order!.pinned).toEqual([last.id]);
  const now = after.tasks.find((t) => t.id === last.id)!;
  expect(Math.abs(now.startMin! - last.startMin! - 15)).toBeLessThanOrEqual(2);
  expect(now.pinned).toBe(true);

  const strain = score.getByRole('button', { name: /Strain it through/ });
  const box = (await strain.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 400, box.y + 8, { steps: 6 });
  await page.mouse.up();
  await expect(score.getByRole('alert')).toContainText('cannot stand at');
  await expect(score.getByRole('alert')).toContainText('It comes after “Keep it barely moving”.');
  expect((await cook()).session.order!.pinned).toEqual([last.id]);
  await score.getByRole('button', { name: 'Let the pinned go' }).click();
  await settled(page);
  await expect.poll(async () => (await cook()).session.order!.pinned).toEqual([]);
});

test('a helper who comes later shortens the day; done by four and quiet hours are kept and said', async ({ page, server }) => {
  const { id, cook } = await next(server);
  const before = await makespan(cook);
  await page.goto(`${server.address}/plan/${id}`);
  const who = page.getByRole('textbox', { name: /Who cooks/ });
  await who.fill(`${await who.inputValue()}, Grandad 10:00-13:00`);
  await page.getByRole('combobox', { name: 'Done by' }).selectOption('16:00');
  await page.getByRole('textbox', { name: /Quiet hours/ }).fill('13.00 to 14.30');
  await page.getByRole('button', { name: 'Save and open the list' }).click();
  await settled(page);
  const after = await cook();
  expect(after.session).toMatchObject({ finishBy: '16:00', quiet: ['13:00', '14:30'] });
  expect(after.session.cooks.at(-1)).toMatchObject({ name: 'Grandad', from: '10:00', until: '13:00' });
  // the quiet hours hold the machines up meanwhile, and a first order is no proof
  expect(after.schedule!.makespanMin).toBeLessThanOrEqual(before * 1.05);
  await page.goto(`${server.address}/cook/${id}`);
  await expect(page.getByText(/To be done by 16:00 four times in five, start by \d\d:\d\d\./)).toBeVisible();
  for (const t of after.tasks.filter((x) => x.cook === 'Grandad')) {
    expect(t.startMin).toBeGreaterThanOrEqual(60);
    expect(t.startMin! + t.handsOnMin).toBeLessThanOrEqual(240);
  }
  for (const t of after.tasks.filter((x) => x.needs.some((n) => n.kind === 'blender')))
    expect(t.endMin! <= 240 || t.startMin! >= 330).toBe(true);
});

test('the score folds by dishes and comes closer; on paper there are the lists, and on a phone it reads', async ({ page, server }) => {
  const { id, cook } = await next(server);
  await page.goto(`${server.address}/cook/${id}`);
  const score = page.getByRole('region', { name: 'Score of the session' });
  await expect(score.locator('svg').getByText('Ice bath')).toBeVisible();
  await score.getByRole('button', { name: 'By dishes' }).click();
  await expect(score.locator('svg').getByText('Ice bath')).toBeHidden();
  const width = async (): Promise<number> => (await score.locator('svg').boundingBox())!.width;
  const whole = await width();
  await score.getByRole('button', { name: 'Closer' }).click();
  expect(await width()).toBeGreaterThan(whole * 1.3);
  const prep = page.getByRole('region', { name: 'Prep list' });
  const { tasks } = await cook();
  await expect(prep.getByRole('checkbox')).toHaveCount(tasks.filter((t) => t.prep).length);
  await page.emulateMedia({ media: 'print' });
  await expect(score).toBeHidden();
  await expect(page.getByRole('region', { name: 'All tasks' })).toBeVisible();
  await expect(prep).toBeVisible();
  await page.emulateMedia({ media: 'screen' });
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await seriousFaults(page)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
