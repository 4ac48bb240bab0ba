import axe from 'axe-core';
import { test as base, expect, type Page } from '@playwright/test';
import { cpSync, existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { ulid } from 'ulid';
import type { SessionParts } from '../core/queries/index.ts';
import type { SessionView } from '../core/session/index.ts';
import { startServer, type RunningServer } from '../scripts/server.mjs';
import { onePlaceMs } from '../web/ui/oneTap.ts';
import { homeEnv } from './trusting.ts';

export { expect };

/** What the browser itself notes of requests that were cut off on purpose, and of a service worker asked for by a page that is being left. */
const harmless = /ERR_|Failed to load resource|An unknown error occurred when fetching the script/;

const now = '2026-11-24T16:00:00.000Z';
// a test that opens the home network opens it to this computer alone
const demoEnv = { TAMBO_DEMO: '1', TAMBO_NOW: now, ...homeEnv };

const livedFolder = path.join(import.meta.dirname, '../test-results/browser/lived');

/** The demo's data folder as it stands at a moment: made by whichever worker asks first, waited for by the others. */
async function livedDemo(until: string): Promise<string> {
  const folder = path.join(livedFolder, until.replace(/\W/g, ''));
  const ready = path.join(folder, 'ready');
  if (existsSync(ready)) return folder;
  mkdirSync(livedFolder, { recursive: true });
  try {
    mkdirSync(folder);
  } catch {
    await expect.poll(() => existsSync(ready), { timeout: 60_000 }).toBe(true);
    return folder;
  }
  await (await startServer({ env: { ...demoEnv, TAMBO_NOW: until }, folder })).stop();
  writeFileSync(ready, '');
  return folder;
}

/** The demo household on a Tuesday afternoon, on a server of its own; page errors fail the test. */
export const test = base.extend<
  { demo: boolean; onDevice: boolean; server: RunningServer; errors: string[] },
  { livedUntil: string; lived: string; demoServer: RunningServer }
>({
  demo: [true, { option: true }],
  // the app is brought onto the device only where a test is about that: it costs each fresh browser as much as the page itself
  onDevice: [false, { option: true }],
  context: async ({ context, onDevice }, use) => {
    if (!onDevice) await context.addInitScript(() => delete (Navigator.prototype as { serviceWorker?: unknown }).serviceWorker);
    await use(context);
  },
  livedUntil: [now, { option: true, scope: 'worker' }],
  // the demo's eight weeks are lived once for each moment they end at; each test has a copy of its own
  lived: [async ({ livedUntil }, use) => use(await livedDemo(livedUntil)), { scope: 'worker' }],
  // one server for all demo tests of a worker; each test begins with the household as it was lived
  demoServer: [
    async ({ lived }, use) => {
      const folder = mkdtempSync(path.join(tmpdir(), 'tambo-'));
      cpSync(lived, folder, { recursive: true });
      const server = await startServer({ env: { ...demoEnv, TAMBO_TEST_HOUSEHOLD: lived }, folder });
      await use(server);
      await server.stop();
      rmSync(folder, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  server: async ({ demo, demoServer }, use) => {
    if (demo) {
      await postTest(demoServer, 'household', now);
      return use(demoServer);
    }
    const server = await startServer({ env: { TAMBO_NOW: now, ...homeEnv } });
    await use(server);
    await server.stop();
  },
  errors: [
    async ({ page }, use) => {
      const errors: string[] = [];
      page.on('pageerror', (e) => errors.push(e.message));
      page.on('console', (m) => {
        if (m.type() === 'error' && !harmless.test(m.text())) errors.push(m.text());
      });
      await use(errors);
      expect(errors).toEqual([]);
    },
    { auto: true },
  ],
});

async function postTest(server: RunningServer, door: string, at: string): Promise<void> {
  const res = await fetch(`${server.address}/api/test/${door}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ now: at }),
  });
  expect(res.status).toBe(200);
}

/** Moves the server's clock; the page follows with its next answer. */
export const moveClock = (server: RunningServer, to: string): Promise<void> => postTest(server, 'clock', to);

export async function getJson<T>(server: RunningServer, path: string): Promise<T> {
  return (await (await fetch(`${server.address}/api${path}`)).json()) as T;
}

/** Waits until a page stands: its parts are there and nothing on it waits for an answer any more. */
export async function ready(page: Page): Promise<void> {
  await page.waitForFunction(
    () => document.querySelector('main') !== null && document.querySelector('.mantine-Skeleton-root') === null,
    undefined,
    { timeout: 30_000 },
  );
  // what was switched is drawn with the next frame
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
  // colours that fade over have faded
  await page.waitForFunction(
    () => !document.getAnimations().some((a) => a.playState === 'running' && Number.isFinite(a.effect?.getComputedTiming().endTime)),
    undefined,
    { timeout: 20_000 },
  );
}

/** Rows in one of the device's stores; none while it has not been made. */
const countOf = (page: Page, name: string): Promise<number> =>
  page.evaluate(async (store) => {
    const open = indexedDB.open('tambo');
    return new Promise<number>((resolve, reject) => {
      open.onerror = () => reject(new Error('no device store'));
      open.onsuccess = () => {
        const db = open.result;
        if (!db.objectStoreNames.contains(store)) {
          db.close();
          return resolve(0);
        }
        const count = db.transaction(store).objectStore(store).count();
        count.onsuccess = () => {
          db.close();
          resolve(count.result);
        };
      };
    });
  }, name);

/** Looks at what a tap has drawn, for as long as a person would: a tap on the same spot sooner is taken for the one before. */
export const looked = (page: Page): Promise<void> =>
  page.evaluate(
    (ms) => new Promise<void>((done) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, ms)))),
    onePlaceMs + 50,
  );

/** Waits until everything that was done has reached the server. */
export async function settled(page: Page): Promise<void> {
  // a tap is kept on the device a moment after it, and only then can it be seen to be gone
  await looked(page);
  await expect.poll(() => countOf(page, 'queue'), { timeout: 40_000 }).toBe(0);
}

/** Waits until the app and the household stand on the device, so that it goes on without a connection. */
export async function keptHere(page: Page): Promise<void> {
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller?.state), { timeout: 20_000 }).toBe('activated');
  await expect.poll(() => countOf(page, 'kept'), { timeout: 20_000 }).toBe(1);
}

/** How long the bones roast in the planned session: hands and oven, by how long they took the last time. */
export async function roastMinutes(server: RunningServer, sessionId: string): Promise<number> {
  const { tasks } = await getJson<SessionView>(server, `/sessions/${sessionId}`);
  const task = tasks.find((t) => t.title.startsWith('Roast the bones'));
  return (task?.handsOnMin ?? 0) + (task?.waitMin ?? 0);
}

/** Faults that axe calls serious or critical, by all of its rules; it is brought into a page once. */
export const seriousFaults = async (page: Page): Promise<string[]> => {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  return page.evaluate(async () => {
    const { violations } = await (window as unknown as { axe: typeof axe }).axe.run(document, { resultTypes: ['violations'] });
    return violations
      .filter((v) => v.impact === 'serious' || v.impact === 'critical')
      .map(
        (v) =>
          `${v.id} ${v.nodes
            .map((n) => n.target.join(' '))
            .slice(0, 3)
            .join(' | ')}`,
      );
  });
};

/** Brings a task up next in its cook's hands, by logging as done what the order has before it; whose it is. */
export async function bringUp(server: RunningServer, sessionId: string, title: string): Promise<string> {
  for (let round = 0; round < 8; round += 1) {
    const { tasks } = await getJson<SessionParts['cook']>(server, `/sessions/${sessionId}/cook`);
    const task = tasks.find((t) => t.title.startsWith(title))!;
    const before = tasks.filter((t) => t.cookId === task.cookId && !t.log && (t.startMin ?? Infinity) < task.startMin!);
    if (before.length === 0) return task.cook!;
    const { now } = await getJson<{ now: string }>(server, '/health');
    const done = before.map((t, counter) => ({
      id: ulid(),
      type: 'taskDone',
      subjects: [sessionId],
      instant: now,
      device: 'another',
      counter,
      version: 1,
      data: { sessionId, taskId: t.id, what: t.title.slice(0, 100), ...(t.prep && { prep: t.prep }) },
    }));
    const res = await fetch(`${server.address}/api/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(done),
    });
    expect(res.status).toBe(200);
  }
  throw new Error(`“${title}” does not come up`);
}
