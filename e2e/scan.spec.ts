import { chromium } from '@playwright/test';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import QRCode from 'qrcode';
import type { StoreAnswer } from '#core/queries';
import { chromiumArgs, type RunningServer } from '../scripts/server.mjs';
import { findChromium } from '../scripts/setup.mjs';
import { expect, getJson, seriousFaults, settled, test } from './base.ts';

const frozen = async (server: RunningServer) =>
  (await getJson<StoreAnswer>(server, '/store')).packs.find((p) => p.status === 'frozen' && p.kind === 'meal')!;

/** A film of a code on a lid, in greys, as a camera gives it: 640 x 480, a few frames. */
function filmOf(text: string, file: string): void {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const [width, height, module] = [640, 480, 8];
  const [left, top] = [(width - modules.size * module) >> 1, (height - modules.size * module) >> 1];
  const grey = Buffer.alloc(width * height, 205);
  for (let y = 0; y < modules.size * module; y += 1)
    for (let x = 0; x < modules.size * module; x += 1)
      if (modules.data[Math.floor(y / module) * modules.size + Math.floor(x / module)]) grey[(top + y) * width + left + x] = 40;
  const colour = Buffer.alloc((width * height) / 2, 128);
  const frame = Buffer.concat([Buffer.from('FRAME\n'), grey, colour]);
  writeFileSync(
    file,
    Buffer.concat([Buffer.from(`YUV4MPEG2 W${width} H${height} F10:1 Ip A1:1 C420\n`), ...Array.from({ length: 5 }, () => frame)]),
  );
}

test('a pack’s code is read from a picture; another code, and a picture without one, say so; typed it does as well', async ({
  page,
  server,
}) => {
  const pack = await frozen(server);
  await page.goto(`${server.address}/scan`);
  await expect(page.getByText(/no camera|cannot be used|may not use/i)).toBeVisible();
  const picture = (text: string) => QRCode.toBuffer(text, { width: 640 });
  const open = page.locator('input[type=file]');
  await open.setInputFiles({ name: 'lid.png', mimeType: 'image/png', buffer: await picture('https://somewhere.example/menu') });
  await expect(page.getByText('not one of a pack')).toBeVisible();
  await open.setInputFiles({ name: 'wall.png', mimeType: 'image/png', buffer: await page.screenshot() });
  await expect(page.getByText('No code was found in that picture')).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  await open.setInputFiles({ name: 'lid.png', mimeType: 'image/png', buffer: await picture(`/p/${pack.code}`) });
  await expect(page).toHaveURL(new RegExp(`/p/${pack.code}$`));
  await expect(page.getByRole('heading', { name: pack.name })).toBeVisible();

  await page.goto(`${server.address}/scan`);
  await page.getByLabel('Or type its five signs').fill(pack.code.toLowerCase());
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: pack.name })).toBeVisible();
});

test('held before a phone’s camera a lid’s code brings up the pack, which is then taken out', async ({ server }) => {
  const pack = await frozen(server);
  const folder = mkdtempSync(path.join(tmpdir(), 'tambo-film-'));
  const film = path.join(folder, 'lid.y4m');
  filmOf(`https://kitchen.example/p/${pack.code}`, film);
  const executablePath = findChromium();
  const browser = await chromium.launch({
    ...(executablePath && { executablePath }),
    args: [
      ...chromiumArgs,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 }, locale: 'en-GB', timezoneId: 'Europe/London' });
    await page.goto(server.address);
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('link', { name: 'Read a code' }).click();
    await expect(page).toHaveURL(new RegExp(`/p/${pack.code}$`), { timeout: 20_000 });
    await page
      .getByRole('button', { name: /^Take (it )?out|to the fridge|Out of the freezer/i })
      .first()
      .click();
    await settled(page);
    const after = (await getJson<StoreAnswer>(server, '/store')).packs.find((p) => p.code === pack.code)!;
    expect(after.status).not.toBe('frozen');
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true, force: true });
  }
});
