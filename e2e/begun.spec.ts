import type { FrameAnswer, KitchenAnswer, PackAnswer, RecipeAnswer, SessionsAnswer, StoreAnswer } from '#core/queries';
import type { SessionView } from '#core/session';
import { expect, getJson, seriousFaults, settled, test } from './base.ts';

const phone = { width: 390, height: 844 };

for (const [where, viewport] of [
  ['at a table', { width: 1280, height: 800 }],
  ['on a phone', phone],
] as const)
  test(`${where}: a pack stands elsewhere and keeps like something else, a tub is lent and comes back, nobody leaves unasked`, async ({
    page,
    server,
  }) => {
    await page.setViewportSize(viewport);
    const pack = (await getJson<StoreAnswer>(server, '/store')).packs.find((p) => p.kind === 'meal' && p.status === 'frozen')!;
    const before = (await getJson<PackAnswer>(server, `/packs/${pack.code}`)).pack;
    await page.goto(`${server.address}/p/${pack.code}?correct=1`);
    const sheet = page.getByRole('dialog');
    const stands = sheet.getByRole('combobox', { name: 'Stands in' });
    const at = await stands.evaluate((list: HTMLSelectElement) => list.selectedOptions[0]!.textContent);
    await stands.selectOption({ label: at === 'Kitchen box, middle' ? 'Kitchen box, top shelf' : 'Kitchen box, middle' });
    await sheet.getByRole('combobox', { name: 'Keeps like' }).selectOption({ index: 0 });
    expect(await seriousFaults(page)).toEqual([]);
    await sheet.getByRole('button', { name: 'Keep' }).click();
    await settled(page);
    const now = async () => (await getJson<PackAnswer>(server, `/packs/${pack.code}`)).pack;
    await expect.poll(async () => (await now()).zoneId).not.toBe(before.zoneId);
    expect((await now()).life.rowId).not.toBe(before.life.rowId);
    expect((await now()).left).toBe(before.left);

    const tubs = async () => (await getJson<KitchenAnswer>(server, '/kitchen')).containers.find((c) => c.container.name === 'Tub 500 ml')!;
    const free = (await tubs()).free;
    await page.goto(`${server.address}/kitchen?tab=containers`);
    await page.getByRole('button', { name: 'Fewer of Tub 500 ml: broken or lent' }).click();
    await sheet.getByRole('textbox', { name: 'How many' }).fill('2');
    await sheet.getByRole('combobox', { name: 'What became of them' }).selectOption('lent');
    await sheet.getByRole('button', { name: 'Keep' }).click();
    await expect(sheet.getByText('Who has them?')).toBeVisible();
    await sheet.getByRole('textbox', { name: 'To whom' }).fill('the yard');
    expect(await seriousFaults(page)).toEqual([]);
    await sheet.getByRole('button', { name: 'Keep' }).dblclick();
    await settled(page);
    await expect.poll(async () => (await tubs()).free).toBe(free - 2);
    await page.getByRole('button', { name: 'Tub 500 ml, back from the yard' }).click();
    await settled(page);
    await expect.poll(async () => (await tubs()).free).toBe(free);

    const [eater] = (await getJson<KitchenAnswer>(server, '/kitchen')).eaters;
    await page.goto(`${server.address}/kitchen?tab=eaters&edit=${eater!.id}`);
    await sheet.getByRole('button', { name: 'Remove' }).click();
    await expect(sheet.getByText(/of the next four weeks/)).toBeVisible();
    expect(await seriousFaults(page)).toEqual([]);
    await sheet.getByRole('button', { name: 'Leave it as it was' }).click();
    expect((await getJson<KitchenAnswer>(server, '/kitchen')).eaters.map((e) => e.id)).toContain(eater!.id);
  });

test('a count closed half-way goes on where it was, and is done when it is said', async ({ page, server }) => {
  await page.goto(`${server.address}/store/count`);
  const field = page.getByRole('textbox', { name: /^What it is/ });
  const place = (await getJson<KitchenAnswer>(server, '/kitchen')).places.find(
    ({ place: p }) => p.kind === 'chest' || p.kind === 'freezer',
  )!.place;
  const word = place.name.toLowerCase().split(' ')[0]!;
  await field.fill(`barley pot 3 oct ${word} ${place.zones[0]!.name}`);
  await field.press('Enter');
  await expect(page.getByText('3 packs of barley pot', { exact: false }).first()).toBeVisible();
  await field.fill('leek soup 2');
  await settled(page);
  await page.reload();
  await expect(field).toHaveValue('leek soup 2');
  await expect(page.getByText('3 packs counted, 1 line')).toBeVisible();
  await field.press('Enter');
  await expect(page.getByText('5 packs counted, 2 lines')).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'The count is done' }).click();
  await expect(page.getByText(/packs counted/)).toBeHidden();
  expect(
    (await getJson<StoreAnswer>(server, '/store')).packs.filter((p) => /barley pot|leek soup/i.test(p.name)).length,
  ).toBeGreaterThanOrEqual(5);
});

test('a dish that was begun does not leave a plan without a question, and comes back as it was', async ({ page, server }) => {
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const id = sessions.find((s) => s.state.counts.packed < s.state.batches)!.id;
  const view = await getJson<SessionView>(server, `/sessions/${id}`);
  const task = view.tasks.find((t) => t.batchIds.length === 1 && t.after.length === 0)!;
  const name = view.batches.find((b) => b.batch.id === task.batchIds[0])!.revision.name;
  await page.request.post(`${server.address}/api/events`, {
    data: [
      {
        id: 'begun1',
        type: 'taskDone',
        subjects: [id],
        instant: (await getJson<FrameAnswer>(server, '/frame')).now,
        device: 'test',
        counter: 1,
        version: 1,
        data: { sessionId: id, taskId: task.id },
      },
    ],
  });
  await page.goto(`${server.address}/plan/${id}`);
  await page.getByRole('button', { name: `Remove ${name}` }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet).toContainText(`${name} was begun`);
  await expect(sheet).toContainText('1 piece of work begun or done');
  expect(await seriousFaults(page)).toEqual([]);
  await sheet.getByRole('button', { name: 'Leave it as it was' }).click();
  await expect(page.getByRole('button', { name: `Remove ${name}` })).toBeVisible();
  await page.getByRole('button', { name: `Remove ${name}` }).click();
  await sheet.getByRole('button', { name: 'Off the plan' }).click();
  await expect(page.getByRole('button', { name: `Remove ${name}` })).toBeHidden();
  await page.getByRole('button', { name: 'Step back' }).click();
  await expect(page.getByRole('button', { name: `Remove ${name}` })).toBeVisible();
});

test('a figure that is changed is worked with at once, and one that cannot be read is refused at its field', async ({ page, server }) => {
  const said = async (): Promise<string> => {
    return JSON.stringify((await getJson<RecipeAnswer>(server, `/recipes/recipe_stew`)).heat.sample);
  };
  const before = await said();
  expect(before).toContain('75');
  await page.goto(`${server.address}/kitchen?tab=figures&t=setpoint&edit=reheat_uk`);
  const field = page.getByRole('dialog').getByRole('textbox', { name: /^Temp °C/ });
  await field.fill('hot');
  await page.getByRole('dialog').getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('dialog').getByText(/degrees Celsius, as in 75/)).toBeVisible();
  await field.fill('80');
  await page.getByRole('dialog').getByRole('button', { name: 'Keep' }).click();
  await settled(page);
  await expect.poll(said).toContain('80');
});
