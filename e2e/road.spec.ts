import path from 'node:path';
import { a4Grid21, labelSpots } from '../core/pack/index.ts';
import type { EatAnswer, FrameAnswer, LabelsAnswer, SessionsAnswer, StoreAnswer } from '../core/queries/index.ts';
import { expect, getJson, moveClock, looked, settled, test } from './base.ts';
import { readPdf } from './pdf.ts';

const sample = (name: string): string => path.join(import.meta.dirname, 'samples', name);

test('the whole road: a recipe file in, planned, bought, cooked, weighed, packed, labelled, stored, eaten to the last portion', async ({
  page,
  server,
}) => {
  const before = await getJson<FrameAnswer>(server, '/frame');

  await test.step('a saved page is read, checked and kept', async () => {
    await page.goto(`${server.address}/recipes`);
    await page.getByRole('link', { name: 'Bring in recipes' }).first().click();
    await page.getByLabel('Recipe file').setInputFiles(sample('saved-page.html'));
    await expect(page.getByLabel('Name of the recipe')).toHaveValue('Squash and butter bean pot');
    await expect(page.getByText('a handful of lovage, chopped')).toBeVisible();
    await expect(page.getByText('nutrition', { exact: true })).toBeVisible();
    await expect(page.getByLabel('Makes')).toHaveValue('4 bowls');
    await page.getByLabel('Makes').fill('6 bowls of 400 ml');
    // left in the middle, it waits as it is
    await page.waitForTimeout(400);
    await page.goto(`${server.address}/recipes`);
    await expect(page.getByText('Squash and butter bean pot is half made')).toBeVisible();
    await page.getByRole('link', { name: 'Go on' }).click();
    await expect(page.getByLabel('Makes')).toHaveValue('6 bowls of 400 ml');
    await page.getByRole('group', { name: 'Kind' }).getByRole('button', { name: 'meal' }).click();
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Squash and butter bean pot' })).toBeVisible();
  });

  await test.step('it scales, and absurd counts are refused in words', async () => {
    const portions = page.getByRole('textbox', { name: 'Portions' });
    await portions.fill('0');
    await expect(page.getByText('0 cannot be cooked.')).toBeVisible();
    await portions.fill('99999');
    await expect(page.getByText('at most 2000 portions')).toBeVisible();
    await portions.fill('9');
    await expect(page.getByRole('cell', { name: /^1\.8 kg/ })).toBeVisible();
  });

  await test.step('it is planned', async () => {
    const id = page.url().split('/recipes/')[1]!.split('?')[0]!;
    await page.goto(`${server.address}/plan?add=${id}&portions=9`);
    await page.getByLabel('Name').fill('Squash evening');
    await page.getByLabel('Day', { exact: true }).selectOption('2026-11-25');
    await expect(page.getByRole('heading', { name: 'It fits', exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Plan it and make the list' }).click();
    await expect(page.getByRole('heading', { name: 'Shop' })).toBeVisible();
  });

  const sessionId = page.url().split('/shop/')[1]!;
  await moveClock(server, '2026-11-25T15:00:00.000Z');

  await test.step('everything is ticked off', async () => {
    const open = page.getByRole('checkbox', { checked: false });
    await expect(open.first()).toBeVisible();
    const onTheDay = await page.getByRole('region', { name: 'For the day it is eaten' }).getByRole('checkbox').count();
    for (let left = await open.count(); left > onTheDay; left = await open.count()) {
      await open.first().click();
      await expect(open).toHaveCount(left - 1);
    }
    await settled(page);
    await expect(page.getByText('Everything for Wed')).toBeVisible();
    await page.getByRole('link', { name: 'Cook' }).last().click();
  });

  await test.step('the work is done in order', async () => {
    await expect(page).toHaveURL(new RegExp(`/cook/${sessionId}`));
    for (let i = 0; i < 20; i += 1) {
      const card = page.getByRole('region', { name: 'Do now' });
      await expect(card.or(page.getByText('Every task is done')).first()).toBeVisible();
      if (!(await card.isVisible())) break;
      const title = await card.getByRole('heading').textContent();
      const start = card.getByRole('button', { name: 'Start', exact: true });
      if (await start.isVisible()) {
        await start.click();
        await expect(card.getByRole('button', { name: '5 more min' })).toBeVisible();
        await settled(page);
      }
      await card.getByRole('button', { name: 'Done', exact: true }).click();
      // a clock that has only just begun asks whether it is really over
      const early = page.getByRole('button', { name: 'It is done' });
      await looked(page);
      if (await early.isVisible()) await early.click();
      await expect(page.getByRole('region', { name: 'Do now' }).getByRole('heading', { name: title!, exact: true })).toHaveCount(0);
      await settled(page);
    }
    await expect(page.getByText('Every task is done')).toBeVisible();
    await expect(page.getByText(/under 21 °C by/)).toBeVisible();
    await page.getByRole('main').getByRole('link', { name: 'Pack' }).first().click();
  });

  await test.step('the pot is weighed, a tub tells the density, the containers are filled', async () => {
    await page.getByLabel('Pot and food, grams').fill('100');
    await expect(page.getByText('less than the empty pot')).toBeVisible();
    await page.getByLabel('Pot and food, grams').fill('6844');
    await page.getByLabel('its food weighs, grams').fill('447');
    await expect(page.getByText('3.74 kg of food, 3.6 L.')).toBeVisible();
    await page.getByRole('button', { name: 'Take this' }).click();
    await expect(page.getByText('Measured, 3.74 kg')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Fill' })).toContainText('Tub 1 L');
    await page.getByRole('button', { name: /^Filled: / }).click();
    await expect(page.getByRole('heading', { name: /packs of Squash/ })).toBeVisible();
    await page.getByRole('button', { name: /put away$/ }).click();
    await expect(page.getByText('away', { exact: true }).first()).toBeVisible();
  });

  const labels = await getJson<LabelsAnswer>(server, `/labels/${sessionId}`);
  await test.step('the PDF holds each label at its place, and its codes can be read', async () => {
    await page.goto(`${server.address}/pack/${sessionId}/labels`);
    await page.getByRole('radio', { name: 'Label 20' }).click();
    const href = await page.getByRole('link', { name: 'Open the PDF' }).getAttribute('href');
    const pdf = await readPdf(new Uint8Array(await (await fetch(server.address + href!)).arrayBuffer()));
    expect(pdf).toHaveLength(Math.ceil((19 + labels.labels.length) / 21));
    const spots = labelSpots(labels.labels.length, 20, a4Grid21);
    for (const [i, label] of labels.labels.entries()) {
      const spot = spots[i]!;
      const sheet = pdf[spot.page]!;
      expect(sheet.widthMm).toBeCloseTo(210, 1);
      expect(sheet.heightMm).toBeCloseTo(297, 1);
      const mine = sheet.texts.filter((t) => t.x >= spot.x && t.x < spot.x + 63.5 && t.y >= spot.y && t.y < spot.y + 38.1);
      const said = mine
        .map((t) => t.text)
        .join(' ')
        .replace(/[\s\u00A0]+/g, ' ');
      expect(said.replace(/ /g, '')).toContain(label.name.replace(/ /g, ''));
      expect(said).toContain(label.code);
      expect(said.replace(/ /g, '')).toContain(label.bestBy!.replace(/[\s\u00A0]/g, ''));
      expect(said).toContain('Allergens not checked:');
      for (const t of mine) expect(t.x + t.width, t.text).toBeLessThanOrEqual(spot.x + 63.5 - 1.9);
      expect(mine.find((t) => t.text.includes(label.name.split(' ')[0]!))!.sizePt).toBeGreaterThanOrEqual(11);
      expect(
        mine.find((t) => t.text.replace(/\u00A0/g, ' ').includes(label.bestBy!.replace(/\u00A0/g, ' ')))!.sizePt,
      ).toBeGreaterThanOrEqual(10);
      if (i < 3) expect(sheet.qr({ x: spot.x + 42, y: spot.y, size: 21 })).toBe(`/p/${label.code}`);
    }
    await page.getByRole('button', { name: 'Printed and stuck on' }).click();
    await expect(page.getByText('5 packs, all labelled.')).toBeVisible();
    const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
    expect(sessions.find((s) => s.id === sessionId)!.state.stage).toBe('stored');
  });

  await test.step('the store, the strip and Today agree on what is there', async () => {
    await page.goto(`${server.address}/store`);
    await page.getByLabel('Find packs').fill(labels.labels[0]!.code.toLowerCase());
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Squash and butter bean pot' })).toBeVisible();
    const store = await getJson<StoreAnswer>(server, '/store');
    const frame = await getJson<FrameAnswer>(server, '/frame');
    expect(store.dinners).toBe(frame.supplies.dinners.count);
    expect(frame.supplies.dinners.runway.left).toBeGreaterThan(before.supplies.dinners.runway.left);
  });

  await test.step('it is eaten to the last portion, and what is left is said', async () => {
    for (const label of labels.labels) {
      await page.goto(`${server.address}/eat?log=${label.packId}`);
      const dialog = page.getByRole('dialog');
      await expect(dialog.getByRole('heading', { name: 'Squash and butter bean pot' })).toBeVisible();
      const stays = dialog.getByText(/stays?: where/);
      for (let i = 0; i < 30 && (await stays.isVisible()); i += 1) await dialog.getByRole('button', { name: 'Joaquim: more' }).click();
      await dialog.getByRole('button', { name: 'Log it' }).click();
      await expect(dialog).toBeHidden();
      await settled(page);
    }
    const eat = await getJson<EatAnswer>(server, '/eat');
    expect(eat.eatFirst.some((p) => p.name.startsWith('Squash'))).toBe(false);
    expect(eat.recent.filter((r) => r.name.startsWith('Squash')).reduce((s, r) => s + r.portions, 0)).toBe(9);
    await page.goto(server.address);
    await expect(page.getByText(/cook by \d+/)).toBeVisible();
    await expect(page.getByText(/^last to about/).first()).toBeVisible();
  });

  await test.step('the last log is undone from history', async () => {
    const eaten = (await getJson<EatAnswer>(server, '/eat')).recent.filter((r) => r.name.startsWith('Squash')).length;
    await page.goto(`${server.address}/history`);
    await page
      .getByRole('button', { name: /^Take back: Squash and butter bean pot: eaten/ })
      .first()
      .click();
    await settled(page);
    await expect
      .poll(async () => (await getJson<EatAnswer>(server, '/eat')).recent.filter((r) => r.name.startsWith('Squash')).length)
      .toBe(eaten - 1);
  });
});
