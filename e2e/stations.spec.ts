import path from 'node:path';
import type { SessionView } from '../core/session/index.ts';
import type {
  EatAnswer,
  FrameAnswer,
  KitchenAnswer,
  LabelsAnswer,
  SessionsAnswer,
  StoreAnswer,
  TodayAnswer,
} from '../core/queries/index.ts';
import { addMinutes } from '../core/kitchen/index.ts';
import { bringUp, expect, getJson, moveClock, roastMinutes, settled, test } from './base.ts';

/** The time on the kitchen clock so many minutes after nine, in winter. */
const clockAfter = (minutes: number): string => addMinutes('2026-11-28T09:00:00.000Z', minutes).slice(11, 16);

const upcoming = async (server: { address: string }): Promise<string> => {
  const { sessions } = (await (await fetch(`${server.address}/api/sessions`)).json()) as SessionsAnswer;
  return sessions.find((s) => s.day > '2026-11-24')!.id;
};

/** A session that is behind us, with its packs. */
const finished = async (server: { address: string }): Promise<string> => {
  const { sessions } = (await (await fetch(`${server.address}/api/sessions`)).json()) as SessionsAnswer;
  return sessions.find((s) => s.day < '2026-11-24')!.id;
};

test('Today: packs go to the fridge by one tap, and a doubtful one is settled', async ({ page, server }) => {
  await page.goto(server.address);
  const before = await getJson<TodayAnswer>(server, '/today');
  await page.getByRole('button', { name: 'They’re in the fridge' }).click();
  await settled(page);
  const after = await getJson<TodayAnswer>(server, '/today');
  expect(after.view.fridge.length).toBe(before.view.fridge.length + 2);
  expect(after.view.takeOut.length).toBe(before.view.takeOut.length - 2);

  const doubtful = before.view.probable.packs[0]!;
  await page.getByRole('link', { name: 'Settle' }).click();
  await page.getByRole('button', { name: 'As planned' }).click();
  await settled(page);
  const eat = await getJson<EatAnswer>(server, '/eat');
  expect(eat.probable).toHaveLength(0);
  expect(eat.recent.some((r) => r.name === doubtful.name && r.day === doubtful.planned!.day)).toBe(true);
});

test('Today: who is at the table, guests, and dinner as planned are one tap each', async ({ page, server }) => {
  await page.goto(server.address);
  const plates = async () => (await getJson<TodayAnswer>(server, '/today')).view.tonight.quarters;
  const before = await plates();
  await page.getByRole('button', { name: 'Joaquim dines here tonight' }).click();
  await settled(page);
  expect(await plates()).toBeLessThan(before);
  await page.getByRole('button', { name: 'Joaquim is not here tonight' }).click();
  await page.getByRole('button', { name: '+ guest' }).click();
  await settled(page);
  expect(await plates()).toBe(before + 4);
  await page.getByRole('button', { name: '1 guest tonight: one less' }).click();
  await settled(page);
  expect(await plates()).toBe(before);

  // once an evening
  await moveClock(server, '2026-11-24T19:10:00.000Z');
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Was dinner as planned?' })).toBeVisible();
  await page.getByRole('region', { name: 'This evening' }).getByRole('button', { name: 'Yes' }).click();
  await settled(page);
  const after = await getJson<TodayAnswer>(server, '/today');
  expect(after.view.tonight.logged).toBe(true);
  await expect(page.getByRole('heading', { name: 'Was dinner as planned?' })).toBeHidden();
  const eat = await getJson<EatAnswer>(server, '/eat');
  const tonight = eat.recent.filter((r) => r.day === '2026-11-24' && r.meal === 'dinner' && !r.name.includes('puree'));
  expect(tonight.reduce((s, r) => s + r.portions, 0)).toBe(before / 4);
});

test('Eat: tonight is logged in two taps, whole portions and quarters go to whom they went', async ({ page, server }) => {
  const before = await getJson<FrameAnswer>(server, '/frame');
  await page.goto(server.address);
  await page.getByRole('link', { name: 'Log tonight’s dinner' }).click();
  await page.getByRole('button', { name: 'Log it' }).click();
  await settled(page);
  const eat = await getJson<EatAnswer>(server, '/eat');
  expect(eat.tonightLogged).toBe(true);
  const tonight = eat.recent.filter((r) => r.day === '2026-11-24' && r.meal === 'dinner' && r.name !== 'Quince and oat puree');
  expect(tonight.reduce((s, r) => s + r.portions, 0)).toBe(3);
  expect(tonight.map((r) => r.who).join()).toContain('Joaquim');
  expect(eat.supplies.dinners.runway.left).toBe(before.supplies.dinners.runway.left - 3);
  expect(eat.fridge.some((p) => p.left === 1)).toBe(true);
  await page.goto(server.address);
  await expect(page.getByText('Tonight’s dinner is written down.')).toBeVisible();
});

test('Eat: a pack is put on an evening and taken off again', async ({ page, server }) => {
  await page.goto(`${server.address}/eat`);
  const first = page
    .getByRole('region', { name: 'Eat first' })
    .getByRole('combobox', { name: /^Evening for / })
    .first();
  await first.selectOption('2026-11-29');
  await settled(page);
  const on = async () => (await getJson<EatAnswer>(server, '/eat')).evenings.find((e) => e.day === '2026-11-29')!.packs.length;
  expect(await on()).toBe(1);
  await page.getByRole('button', { name: 'Take everything off Sun 29 Nov' }).click();
  await settled(page);
  expect(await on()).toBe(0);
});

test('Plan: the fit follows what is typed, and a half-typed number is kept', async ({ page, server }) => {
  await page.goto(`${server.address}/plan/${await upcoming(server)}`);
  const stew = page.getByLabel('Portions of Smoky aubergine and chickpea stew');
  await stew.fill('120');
  await expect(page.getByRole('heading', { name: 'It does not fit yet' })).toBeVisible();
  await expect(page.getByText(/find no container\./).first()).toBeVisible();
  await expect(page.getByText(/Ways out:/).first()).toBeVisible();
  await stew.fill('0');
  await expect(page.getByRole('alert').filter({ hasText: 'The rest is kept.' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save and open the list' })).toBeDisabled();
  await expect(stew).toHaveValue('0');
  await stew.fill('12');
  await expect(page.getByRole('heading', { name: 'It fits', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Remove Roast-bone barley broth' }).click();
  await page.getByRole('button', { name: 'Save and open the list' }).click();
  await settled(page);
  const view = await getJson<SessionView>(server, `/sessions/${await upcoming(server)}`);
  expect(view.batches.map((b) => b.revision.name)).not.toContain('Roast-bone barley broth');
  expect(view.list.flatMap((s) => s.lines).map((l) => l.name)).not.toContain('beef bones');
});

test('Plan: a session is taken off and put back by undo', async ({ page, server }) => {
  const id = await upcoming(server);
  await page.goto(`${server.address}/plan/${id}`);
  await page.getByRole('button', { name: 'Take it off the plan' }).click();
  await settled(page);
  expect((await fetch(`${server.address}/api/sessions/${id}`)).status).toBe(404);
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await settled(page);
  await expect.poll(async () => (await fetch(`${server.address}/api/sessions/${id}`)).status).toBe(200);
});

test('Cook: a clock runs on, is given more time, and says when it is up', async ({ page, server }) => {
  const id = await upcoming(server);
  await moveClock(server, '2026-11-28T09:00:00.000Z');
  const minutes = await roastMinutes(server, id);
  const cook = await bringUp(server, id, 'Roast the bones');
  await page.goto(`${server.address}/cook/${id}`);
  const now = page.getByRole('region', { name: 'Do now' });
  // each device shows whose it is
  await page.getByRole('button', { name: cook === 'Joaquim' ? 'Neighbour' : 'Joaquim', exact: true }).click();
  await expect(now.getByRole('heading', { name: 'Roast the bones until they are dark.' })).toBeHidden();
  await page.getByRole('button', { name: cook, exact: true }).click();
  await expect(now.getByRole('heading', { name: 'Roast the bones until they are dark.' })).toBeVisible();
  await now.getByRole('button', { name: 'Start', exact: true }).click();
  await settled(page);
  await moveClock(server, '2026-11-28T09:10:00.000Z');
  await page.reload();
  const running = page.getByRole('region', { name: 'Running' });
  await expect(running).toContainText(`until ${clockAfter(minutes)}`);
  await moveClock(server, addMinutes('2026-11-28T09:00:30.000Z', minutes + 1));
  await page.reload();
  await expect(running).toContainText('look now');
  await running.getByRole('button', { name: 'Done' }).click();
  await settled(page);
  const view = await getJson<SessionView>(server, `/sessions/${id}`);
  const roast = view.tasks.find((t) => t.title.startsWith('Roast the bones'))!;
  expect(roast.log).toMatchObject({ state: 'done' });
  expect(roast.log!.actualMin).toBeGreaterThanOrEqual(minutes);
});

test('Pack: an option is chosen, packs are filled, put away and marked by hand', async ({ page, server }) => {
  const id = await upcoming(server);
  await page.goto(`${server.address}/pack/${id}`);
  await page.getByRole('radio', { name: /All in singles/ }).click();
  await expect(page.getByRole('region', { name: 'Fill' })).toContainText('12 × Tub 500 ml');
  await page.getByRole('button', { name: 'Filled: 12 packs' }).click();
  await expect(page.getByRole('heading', { name: '12 packs of Smoky aubergine and chickpea stew' })).toBeVisible();
  await page.getByRole('combobox', { name: 'Where to' }).selectOption({ label: 'Shed chest, left basket' });
  await page.getByRole('button', { name: '12 packs put away' }).click();
  await page.getByRole('button', { name: 'Written by hand' }).click();
  await settled(page);
  const view = await getJson<SessionView>(server, `/sessions/${id}`);
  const stew = view.batches.find((b) => b.revision.name.startsWith('Smoky'))!;
  expect(stew.stage).toBe('stored');
  expect(stew.packs.every((p) => p.zoneId === 'shed_left' && p.labelled === 'hand')).toBe(true);
  expect(stew.packs[0]!.cautions).toContain('Not for Osk (2 g salt)');
  expect((await getJson<KitchenAnswer>(server, '/kitchen')).containers.find((c) => c.container.id === 'tub_500')!.free).toBe(12);
});

test('Pack: a portion larger than every container names the nearest', async ({ page, server }) => {
  await page.goto(`${server.address}/recipes/new`);
  await page.getByLabel('Recipe file').setInputFiles(path.join(import.meta.dirname, 'samples', 'text-steps.json'));
  await expect(page.getByText('Simmer the parsnips and ginger in the stock for 25 minutes.')).toBeVisible();
  await page.getByLabel('One serving').fill('2.5 l');
  await page.getByRole('group', { name: 'Kind' }).getByRole('button', { name: 'meal' }).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.waitForURL(/\/recipes\/[0-9A-Z]{26}$/);
  await settled(page);
  await page.goto(`${server.address}/plan?add=${page.url().split('/recipes/')[1]!.split('?')[0]!}&portions=3`);
  await expect(page.getByText(/larger than every container; the nearest is Zip bag 3 L/)).toBeVisible();
});

test('Store: filters by kind and name, and a pack binned with a reason comes back by undo', async ({ page, server }) => {
  await page.goto(`${server.address}/store`);
  const list = page.getByRole('region', { name: 'Packs as a list' });
  const rows = list.locator('tbody tr');
  await expect(rows.first()).toBeVisible();
  const dishes = await rows.count();
  await list.getByText('every pack').click();
  expect(await rows.count()).toBeGreaterThan(dishes);
  const all = await rows.count();
  await page.getByRole('group', { name: 'Kind' }).getByRole('button', { name: 'puree' }).click();
  const { packs } = await getJson<StoreAnswer>(server, '/store');
  await expect(rows).toHaveCount(packs.filter((p) => p.kind === 'puree').length);
  await page.getByLabel('Find packs').fill('quince drawer');
  await expect(rows).toHaveCount(packs.filter((p) => p.name.startsWith('Quince')).length);
  await page.getByLabel('Find packs').fill('nothing like it');
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(rows).toHaveCount(all);

  const pack = packs.find((p) => p.kind === 'base')!;
  await page.goto(`${server.address}/p/${pack.code}`);
  await page.getByLabel('Reason for binning').fill('freezer burn');
  await page.getByRole('button', { name: 'Bin it' }).click();
  await settled(page);
  await expect(page.getByText('Empty: discarded.')).toBeVisible();
  expect((await getJson<StoreAnswer>(server, '/store')).packs.some((p) => p.packId === pack.packId)).toBe(false);
  await page.getByRole('button', { name: /^Take back: .* binned, freezer burn/ }).click();
  await settled(page);
  await expect.poll(async () => (await getJson<StoreAnswer>(server, '/store')).packs.some((p) => p.packId === pack.packId)).toBe(true);
});

test('Kitchen: who is away changes the plates everywhere', async ({ page, server }) => {
  const before = await getJson<FrameAnswer>(server, '/frame');
  await page.goto(`${server.address}/kitchen`);
  await page.getByRole('button', { name: 'Osk', exact: true }).click();
  for (const day of ['mon', 'tue', 'wed', 'thu', 'fri', 'sat']) await page.getByRole('checkbox', { name: `dinner on ${day}` }).click();
  await page.getByRole('button', { name: 'Keep' }).click();
  await settled(page);
  const kitchen = await getJson<KitchenAnswer>(server, '/kitchen');
  expect(kitchen.weeks.present.eater_osk!.every((d) => !d.dinner)).toBe(true);
  expect((await getJson<FrameAnswer>(server, '/frame')).supplies.dinners.count).toBeGreaterThan(before.supplies.dinners.count);
  await page.getByRole('tab', { name: 'Pots and heat' }).click();
  await page.getByRole('checkbox', { name: 'Microwave' }).click();
  await settled(page);
  const view = await getJson<SessionView>(server, `/sessions/${await upcoming(server)}`);
  const { labels } = await getJson<LabelsAnswer>(server, `/labels/${await finished(server)}`);
  expect(view.batches.length).toBeGreaterThan(0);
  expect(JSON.stringify(labels.map((l) => l.heat))).not.toContain('icrowave');
});
