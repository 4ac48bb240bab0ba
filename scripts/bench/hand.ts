import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium, type Page } from '@playwright/test';
import { chromiumArgs, type RunningServer } from '../server.mjs';
import { findChromium } from '../setup.mjs';
import { note, p95 } from './figures.ts';
import { keyScript } from './scaling.ts';

const root = path.resolve(import.meta.dirname, '../..');

/** In the page: the moment at which an act shows, counted from the click or key that began it. */
export const shownScript = `
  window.began = 0;
  addEventListener('pointerdown', (e) => { window.began = e.timeStamp; }, true);
  addEventListener('keydown', (e) => { window.began = e.timeStamp; }, true);
  window.shows = (what) => new Promise((resolve) => {
    const look = () => what() ? requestAnimationFrame(() => { const c = new MessageChannel(); c.port1.onmessage = () => resolve(performance.now() - window.began); c.port2.postMessage(0); }) : setTimeout(look, 1);
    look();
  });`;

/** The styles of the whole app, packed. */
export function styles(): void {
  const folder = path.join(root, 'dist/web/assets');
  const packed = readdirSync(folder)
    .filter((f) => f.endsWith('.css'))
    .reduce((sum, f) => sum + gzipSync(readFileSync(path.join(folder, f))).length, 0);
  note('All styles, gzipped', packed / 1000, 30, 'kB', 1);
}

const heading = (text: string): string => `window.shows(() => document.querySelector('main h1')?.textContent.startsWith('${text}'))`;

/** From station to station once their data and code are there. */
async function pageToPage(page: Page): Promise<number[]> {
  const stations = [
    ['Recipes', 'Recipes'],
    ['Store', 'Store'],
    ['Eat', 'Eat'],
    ['Plan', 'Plan'],
    ['Kitchen', 'Kitchen'],
  ] as const;
  const times: number[] = [];
  for (let round = 0; round < 11; round += 1)
    for (const [link, head] of stations) {
      const nav = page.getByRole('navigation', { name: 'Stations', exact: true }).getByRole('link', { name: link });
      const shown = page.evaluate(heading(head)) as Promise<number>;
      await nav.click();
      // the first two rounds bring code and data
      const ms = await shown;
      if (round > 1) times.push(ms);
      await page.waitForTimeout(80);
    }
  return times;
}

/** A key in every field of a form, several times. */
async function typeInForms(page: Page, address: string): Promise<number[]> {
  const times: number[] = [];
  for (const url of [
    '/kitchen?tab=containers&edit=new',
    '/kitchen?tab=eaters&edit=new',
    '/kitchen?tab=household',
    '/kitchen?tab=larder&i=leek',
    '/kitchen?tab=places&edit=new',
  ]) {
    await page.goto(address + url);
    const fields = page.locator('form:has(button[type=submit]) input[type=text], form:has(button[type=submit]) input:not([type])');
    await fields.first().waitFor();
    await page.waitForTimeout(400);
    await page.evaluate('window.keyTimes.length = 0');
    for (let i = 0; i < Math.min(6, await fields.count()); i += 1) {
      await fields.nth(i).focus();
      for (const key of ['1', '2', 'Backspace']) {
        await page.keyboard.press(key);
        await page.waitForTimeout(50);
      }
    }
    times.push(...((await page.evaluate('window.keyTimes')) as number[]));
  }
  return times;
}

/** The longest piece of work of the page itself while a shorter order is looked for beside it, in milliseconds; 0 when none is over 50. */
async function whileLooking(page: Page, server: RunningServer): Promise<number> {
  const { sessions } = (await (await fetch(`${server.address}/api/sessions`)).json()) as {
    sessions: { id: string; state: { next?: string } }[];
  };
  await page.goto(`${server.address}/cook/${sessions[0]!.id}`);
  const card = page.getByRole('region', { name: 'Order of work' });
  await card.waitFor();
  await page.waitForTimeout(1500);
  await page.evaluate(
    'window.long = []; new PerformanceObserver((l) => window.long.push(...l.getEntries().map((e) => e.duration))).observe({ type: "longtask" })',
  );
  await card.getByRole('button', { name: 'Look for a shorter order' }).click();
  await card.getByText(/Better by|No shorter/).waitFor({ timeout: 60_000 });
  return Math.max(0, ...((await page.evaluate('window.long')) as number[]));
}

/** What the hand feels: from page to page, a key in a form. */
export async function byHand(server: RunningServer): Promise<void> {
  styles();
  const browser = await chromium.launch({ executablePath: findChromium() ?? '/usr/bin/chromium', args: chromiumArgs });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  await page.addInitScript(keyScript);
  await page.addInitScript(shownScript);
  await page.goto(server.address);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.waitForTimeout(1500);
  const turns = await pageToPage(page);
  note(`From page to page with a warm store, click to the new page, p95 of ${turns.length}`, p95(turns), 150, 'ms', 1);
  const keys = await typeInForms(page, server.address);
  if (keys.length < 50) throw new Error(`only ${keys.length} keys were seen`);
  note(`A key in a form, to the next frame, p95 of ${keys.length}`, p95(keys), 50, 'ms', 1);
  note(
    'While a shorter order of the big Saturday is looked for, the longest task of the page (none is counted under 50)',
    await whileLooking(page, server),
    50,
    'ms',
  );
  await browser.close();
}

/** A table of two thousand rows: opened, sorted, filtered. */
export async function longTable(address: string, rows: number): Promise<void> {
  const browser = await chromium.launch({ executablePath: findChromium() ?? '/usr/bin/chromium', args: chromiumArgs });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  await page.addInitScript(shownScript);
  await page.goto(`${address}/store`);
  const list = page.getByRole('region', { name: 'Packs as a list' });
  await list.waitFor();
  await page.waitForTimeout(1500);
  const opened: number[] = [];
  const sorted: number[] = [];
  const filtered: number[] = [];
  const table = `document.querySelector('table[aria-label="Packs in store"]')`;
  for (let i = 0; i < 5; i += 1) {
    const shown = page.evaluate(`window.shows(() => ${table})`) as Promise<number>;
    await list.getByText('every pack').click();
    opened.push(await shown);
    const turned = page.evaluate(`window.shows(() => ${table}.querySelector('th[aria-sort=ascending]'))`) as Promise<number>;
    await list.getByRole('button', { name: 'code' }).click();
    sorted.push(await turned);
    const field = page.getByRole('searchbox', { name: /^Find packs/ });
    await field.focus();
    const found = page.evaluate(
      `window.shows(() => /of ${rows}/.test(document.querySelector('section[aria-label="Packs as a list"] h2')?.textContent))`,
    ) as Promise<number>;
    await page.keyboard.press('z');
    filtered.push(await found);
    await field.fill('');
    await list.getByText('by dish').click();
    await page.waitForTimeout(200);
  }
  const middle = (l: number[]): number => l.toSorted((a, b) => a - b)[2] ?? 0;
  note(`A table of ${rows.toLocaleString('en-GB')} packs opens, median of 5`, middle(opened), 500, 'ms');
  note('The same sorts', middle(sorted), 300, 'ms');
  note('The same filters at a letter', middle(filtered), 300, 'ms');
  await browser.close();
}
