import type { FrameAnswer, PackAnswer, SessionsAnswer, StoreAnswer } from '../core/queries/index.ts';
import { expect, getJson, settled, test } from './base.ts';
import { firstCount } from './samples/firstCount.ts';

test.use({ demo: false });

test('an empty install becomes a household with sixty packs and a planned Saturday', async ({ page, server }) => {
  await page.goto(server.address);
  await expect(page).toHaveURL(/\/welcome/);

  // who eats: a name and what they are
  await page.getByLabel('Name').fill('Ines');
  await page.getByRole('button', { name: '+ adult' }).click();
  await page.getByLabel('Name').fill('Bo');
  await page.getByRole('button', { name: '+ child' }).click();
  await expect(page.getByRole('list', { name: 'At the table' }).getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'Next' }).click();

  // what you own: the usual, and a chest
  await page.getByRole('button', { name: 'Take the usual' }).click();
  await page.getByRole('button', { name: 'Chest freezer, 200 L' }).click();
  await expect(page.getByRole('button', { name: 'Chest freezer, 200 L' })).toHaveAttribute('aria-pressed', 'true');
  await settled(page);

  // a step can be left and taken up later
  await page.getByRole('link', { name: 'Leave it for now' }).click();
  await expect(page.getByText('Still open: what is in the freezer and a first session')).toBeVisible();
  await page.getByRole('link', { name: 'Go on' }).click();

  // the first count, by keyboard
  const field = page.getByLabel('What it is, how many, about when, where');
  await expect(field).toBeFocused();
  let presses = 0;
  let packs = 0;
  for (const line of firstCount) {
    await page.keyboard.type(line.typed);
    await page.keyboard.press('Enter');
    presses += line.typed.length + 1;
    packs += line.packs;
    await expect(page.getByRole('region', { name: 'Counted' }).getByRole('heading')).toHaveText(new RegExp(`^${packs}\\spacks counted`));
  }
  expect(packs).toBe(60);
  expect(presses).toBeLessThan(400);
  await settled(page);

  const store = await getJson<StoreAnswer>(server, '/store');
  expect(store.packs).toHaveLength(60);
  expect(new Set(store.packs.map((p) => p.kind)).size).toBe(8);
  expect(new Set(store.packs.map((p) => p.placeId)).size).toBe(2);
  const zones = new Map(store.places.flatMap((p) => p.place.zones.map((z) => [z.id, z.name] as const)));
  for (const line of firstCount) {
    const mine = store.packs.filter((p) => p.name === line.name);
    expect(mine, line.typed).toHaveLength(line.packs);
    for (const p of mine) {
      expect(p.kind, line.typed).toBe(line.kind);
      expect(p.made, line.typed).toEqual(line.made && { earliest: line.made[0], latest: line.made[1] });
      expect(zones.get(p.zoneId ?? ''), line.typed).toBe(line.zone);
    }
  }
  // nobody knows what is in them, and the label says so
  const one = await getJson<PackAnswer>(server, `/packs/${store.packs[0]!.code}`);
  expect(one.allergens.join()).toContain('not checked');

  // the first session
  await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('checkbox', { name: 'Smoky aubergine and chickpea stew' }).click();
  await page.getByRole('button', { name: 'Plan 1 dish' }).click();
  await expect(page).toHaveURL(/\/plan\//);
  await settled(page);
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  expect(sessions[0]).toMatchObject({ day: '2026-11-28', dishes: ['Smoky aubergine and chickpea stew'] });
  expect((await getJson<FrameAnswer>(server, '/frame')).setup).toEqual({ eaters: true, gear: true, packs: true, session: true });
  await page.goto(server.address);
  await expect(page.getByRole('region', { name: 'Set up' })).toBeHidden();
  await expect(page.getByRole('region', { name: 'Eat first' }).getByRole('listitem').first()).toBeVisible();
});

test('a counted line is taken back, and a line that is not understood stays in the field', async ({ page, server }) => {
  await page.goto(`${server.address}/welcome?step=2`);
  await page.getByRole('button', { name: 'Freezer box, 70 L' }).click();
  await settled(page);
  await page.goto(`${server.address}/store/count`);
  const packs = async () => (await getJson<StoreAnswer>(server, '/store')).packs.length;
  const field = page.getByLabel('What it is, how many, about when, where');
  await field.fill('stew 4 garage');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('neither a date nor a place');
  await expect(field).toHaveValue('stew 4 garage');
  await field.fill('stew 4 oct');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Where does it stand?');
  await field.fill('stew 4 oct top');
  await page.keyboard.press('Enter');
  await expect.poll(packs).toBe(4);
  await page.getByRole('button', { name: 'Take back Stew' }).click();
  await expect.poll(packs).toBe(0);
});

test('a kit is a whole dish or a part of one: its name makes one likely, the cook says', async ({ page, server }) => {
  await page.goto(`${server.address}/welcome?step=2`);
  await page.getByRole('button', { name: 'Chest freezer, 200 L' }).click();
  await settled(page);
  await page.goto(`${server.address}/store/count`);
  const field = page.getByLabel('What it is, how many, about when, where');
  const whole = page.getByRole('button', { name: /^a whole dish/ });
  await field.fill('mince 3 oct chest');
  await expect(whole).toHaveAttribute('aria-pressed', 'false');
  await field.press('Enter');
  await field.fill('kit curry 2 oct chest');
  await expect(whole).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: /^a part of one/ }).click();
  await field.press('Enter');
  // the next line is asked anew
  await field.fill('kit bake 2 oct chest');
  await expect(whole).toHaveAttribute('aria-pressed', 'true');
  await field.press('Enter');
  const packs = async () => (await getJson<StoreAnswer>(server, '/store')).packs;
  await expect.poll(async () => (await packs()).length).toBe(7);
  expect((await packs()).map((p) => [p.name, p.dinner])).toEqual(
    expect.arrayContaining([
      ['Mince', false],
      ['Curry', false],
      ['Bake', true],
    ]),
  );
});
