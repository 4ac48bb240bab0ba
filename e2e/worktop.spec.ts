import type { SessionView } from '../core/session/index.ts';
import type { SessionsAnswer } from '../core/queries/index.ts';
import { addMinutes } from '../core/kitchen/index.ts';
import { bringUp, expect, getJson, moveClock, roastMinutes, settled, test } from './base.ts';

test.use({ viewport: { width: 1180, height: 820 } });

/** A tablet with the voices given; what it says and how often it sounds is written on the page. As text: a compiled function would carry helpers that the page does not know. */
const tablet = (voices: string): string => `
  const root = () => document.documentElement.dataset;
  window.SpeechSynthesisUtterance = class { constructor(text) { this.text = text; } };
  Object.defineProperty(window, 'speechSynthesis', { value: { getVoices: () => ${voices}, cancel() {}, speak(u) { root().said = u.text; } } });
  const param = { setValueAtTime() {}, exponentialRampToValueAtTime() {} };
  window.AudioContext = class {
    currentTime = 0; destination = {};
    resume() { return Promise.resolve(); }
    createGain() { return { gain: param, connect: (x) => x }; }
    createOscillator() { return { frequency: {}, connect: (x) => x, start() { root().notes = String(Number(root().notes ?? 0) + 1); }, stop() {} }; }
  };`;

async function begin(server: Parameters<typeof getJson>[0]) {
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const { id } = sessions.find((s) => s.day > '2026-11-24')!;
  await moveClock(server, '2026-11-28T09:00:00.000Z');
  return { id, cook: await bringUp(server, id, 'Roast the bones') };
}

test('two cooks side by side; clocks run, ring by name on a local voice, and are quieted', async ({ page, server }) => {
  await page.addInitScript(tablet(`[{ lang: 'en-GB', localService: true, name: 'Local' }]`));
  const { id, cook } = await begin(server);
  await page.goto(`${server.address}/worktop/${id}`);
  const roaster = page.getByRole('region', { name: cook });
  const other = page.getByRole('region', { name: cook === 'Joaquim' ? 'Neighbour' : 'Joaquim' });
  await expect(roaster.getByRole('heading')).toBeVisible();
  expect(await roaster.getByRole('heading').innerText()).not.toBe(await other.getByRole('heading').innerText());
  await page.getByRole('button', { name: 'Turn alarms on' }).click();

  // the bones go into the oven and mind themselves
  await expect(roaster.getByRole('heading')).toHaveText('Roast the bones until they are dark.');
  await roaster.getByRole('button', { name: 'Start', exact: true }).click();
  await roaster.getByRole('button', { name: 'It minds itself' }).click();
  const clock = page.getByRole('contentinfo').getByRole('listitem').filter({ hasText: 'roast the bones' });
  const minutes = await roastMinutes(server, id);
  await expect(clock).toContainText(String(minutes));
  await settled(page);

  // readable from two metres: the figure stands at least 40 px high
  const size = await clock.locator('b').evaluate((el) => parseFloat(getComputedStyle(el).fontSize));
  expect(size).toBeGreaterThanOrEqual(40);

  await moveClock(server, addMinutes('2026-11-28T09:01:00.000Z', minutes));
  await page.reload();
  await page
    .getByRole('button', { name: 'Turn alarms on' })
    .or(page.getByRole('button', { name: /Quiet the alarm/ }))
    .first()
    .waitFor();
  await expect(page.getByRole('button', { name: /Quiet the alarm: Roast-bone barley broth/ })).toBeVisible();
  await expect(clock).toContainText('look');
  await expect(roaster.getByText('First:')).toBeVisible();
});

test('an alarm speaks whose it is; without a local voice it is a tone; more time stops it', async ({ browser, server }) => {
  const { id, cook } = await begin(server);
  const view = await getJson<SessionView>(server, `/sessions/${id}`);
  const bones = view.tasks.find((t) => t.title.startsWith('Roast the bones'))!;
  const minutes = bones.handsOnMin + bones.waitMin;
  for (const [voices, heard] of [
    [`[{ lang: 'en-GB', localService: true, name: 'Local' }]`, 'voice'],
    [`[{ lang: 'en-GB', localService: false, name: 'Network' }]`, 'tone'],
  ] as const) {
    const context = await browser.newContext({ viewport: { width: 1180, height: 820 }, locale: 'en-GB', timezoneId: 'Europe/London' });
    const page = await context.newPage();
    await page.addInitScript(tablet(voices));
    await moveClock(server, heard === 'voice' ? '2026-11-28T09:00:00.000Z' : '2026-11-28T11:00:00.000Z');
    await page.goto(`${server.address}/worktop/${id}`);
    await page.getByRole('button', { name: 'Turn alarms on' }).click();
    const bench = page.getByRole('region').filter({ has: page.getByRole('heading', { name: bones.title }) });
    if (heard === 'voice') await bench.getByRole('button', { name: 'Start', exact: true }).click();
    else await bench.getByRole('button', { name: '5 more min' }).click();
    await settled(page);
    await expect(page.getByRole('button', { name: /Quiet the alarm/ })).toBeHidden();
    // the page follows the server's clock with its next answer
    await moveClock(server, heard === 'voice' ? addMinutes('2026-11-28T09:01:00.000Z', minutes) : '2026-11-28T11:06:00.000Z');
    await page.evaluate(() => window.dispatchEvent(new Event('online')));
    await expect(page.getByRole('button', { name: /Quiet the alarm/ })).toBeVisible({ timeout: 40_000 });
    const root = page.locator('html');
    if (heard === 'voice') {
      await expect(root).toHaveAttribute(
        'data-said',
        new RegExp(`^${cook}\\. Roast-bone barley broth: roast the bones until they are dark\\. Look now\\.`),
      );
      await expect(root).not.toHaveAttribute('data-notes', /./);
    } else {
      await expect(root).toHaveAttribute('data-notes', /./);
      await expect(root).not.toHaveAttribute('data-said', /./);
    }
    await page.getByRole('button', { name: /Quiet the alarm/ }).click();
    await expect(page.getByRole('button', { name: 'Alarms are on' })).toBeVisible();
    await context.close();
  }
});
