import { readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium, type Browser, type Page } from '@playwright/test';
import type { RunningServer } from '../server.mjs';
import { chromiumArgs } from '../server.mjs';
import { findChromium } from '../setup.mjs';
import { five, note, wait } from './figures.ts';

const root = path.resolve(import.meta.dirname, '../..');
const look = { viewport: { width: 1280, height: 800 }, locale: 'en-GB' };

// as text: a compiled function would carry helpers that the page does not know
const paintedScript = `
  const look = () => {
    if (document.querySelector('section[aria-label="Eat first"] li')) requestAnimationFrame(() => requestAnimationFrame(() => { document.documentElement.dataset.painted = String(performance.now()); }));
    else requestAnimationFrame(look);
  };
  requestAnimationFrame(look);`;

async function painted(page: Page): Promise<number> {
  await page.locator('html[data-painted]').waitFor({ state: 'attached' });
  return Number(await page.locator('html').getAttribute('data-painted'));
}

/** Rows in one of the device's stores, read on the page. */
const rows = (page: Page, store: string): Promise<number> =>
  page.evaluate(
    `new Promise((resolve) => { const open = indexedDB.open('tambo'); open.onsuccess = () => { const db = open.result;
      if (!db.objectStoreNames.contains('${store}')) { db.close(); resolve(0); return; }
      const c = db.transaction('${store}').objectStore('${store}').count(); c.onsuccess = () => { db.close(); resolve(c.result); }; }; })`,
  );

async function firstVisit(browser: Browser, address: string): Promise<void> {
  const scripts = new Set<string>();
  const at = await five(async () => {
    const context = await browser.newContext(look);
    const page = await context.newPage();
    // what is brought in before Today stands; the service worker fetches the rest for later
    page.on('response', (r) => {
      if (r.request().resourceType() === 'script' && !r.request().serviceWorker()) scripts.add(new URL(r.url()).pathname);
    });
    await page.addInitScript(paintedScript);
    await page.goto(address);
    const ms = await painted(page);
    await context.close();
    return ms;
  });
  note('Today painted with real data, fresh browser, the same store', at, 1500, 'ms');
  const initial = [...scripts].filter((s) => !s.includes('local-'));
  const bytes = initial.reduce((sum, s) => sum + gzipSync(readFileSync(path.join(root, 'dist/web', s))).length, 0);
  note(`Initial JavaScript, gzipped (${initial.length} files)`, bytes / 1000, 300, 'kB');
}

/** Entries that waited: put into the queue as the page does, sent when the network is back. */
async function queued(page: Page, packId: string, many: number, name: string, targetMs: number): Promise<void> {
  await page.context().setOffline(true);
  await page.evaluate(
    `new Promise((resolve) => { const open = indexedDB.open('tambo'); open.onsuccess = () => { const db = open.result; const tx = db.transaction('queue', 'readwrite');
      for (let n = 0; n < ${many}; n += 1) tx.objectStore('queue').add({ kind: 'event', label: 'bench', body: { id: 'bench-offline-${many}-' + n, type: 'moved', subjects: ['${packId}'],
        instant: new Date(Date.parse('2026-11-24T15:00:00.000Z') + n).toISOString(), device: 'offline', counter: n, version: 1, data: { placeId: 'place_shed', zoneId: n % 2 ? 'shed_left' : 'shed_right' } } });
      tx.oncomplete = () => { db.close(); resolve(); }; }; })`,
  );
  await page.reload();
  await painted(page);
  await page.getByText(`${many} entries wait`).waitFor();
  const from = performance.now();
  await page.context().setOffline(false);
  while ((await rows(page, 'queue')) > 0) await wait(20);
  note(name, performance.now() - from, targetMs, 'ms');
}

async function offline(browser: Browser, address: string): Promise<void> {
  const context = await browser.newContext(look);
  const page = await context.newPage();
  await page.addInitScript(paintedScript);
  await page.goto(address);
  await painted(page);
  for (let i = 0; i < 200; i += 1) {
    if ((await page.evaluate('navigator.serviceWorker.controller?.state')) === 'activated' && (await rows(page, 'kept')) > 0) break;
    await wait(100);
  }
  await context.setOffline(true);
  note(
    'Today painted on a second visit, offline',
    await five(async () => {
      await page.reload();
      return painted(page);
    }),
    1000,
    'ms',
  );

  const { packId } = ((await (await fetch(`${address}/api/store`)).json()) as { packs: { packId: string }[] }).packs[0] ?? { packId: '' };
  await queued(page, packId, 1000, '1,000 queued entries synced', 3000);
  await queued(page, packId, 10_000, '10,000 queued entries synced, after a week away', 15_000);
  await context.close();
}

/** What a browser shows and when. */
export async function inBrowser(server: RunningServer): Promise<void> {
  const browser = await chromium.launch({ executablePath: findChromium() ?? '/usr/bin/chromium', args: chromiumArgs });
  await firstVisit(browser, server.address);
  await offline(browser, server.address);
  await browser.close();
}
