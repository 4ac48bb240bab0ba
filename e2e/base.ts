import { test as base, expect, type Page } from '@playwright/test';
import { startServer, type RunningServer } from '../scripts/server.mjs';

export { expect };

/** The demo household on a Tuesday afternoon, on a server of its own; page errors fail the test. */
export const test = base.extend<{ demo: boolean; server: RunningServer; errors: string[] }>({
  demo: [true, { option: true }],
  server: async ({ demo }, use) => {
    const server = await startServer({ env: { ...(demo && { TAMBO_DEMO: '1' }), TAMBO_NOW: '2026-11-24T16:00:00.000Z' } });
    await use(server);
    await server.stop();
  },
  errors: [
    async ({ page }, use) => {
      const errors: string[] = [];
      page.on('pageerror', (e) => errors.push(e.message));
      page.on('console', (m) => {
        if (m.type() === 'error' && !/ERR_|Failed to load resource/.test(m.text())) errors.push(m.text());
      });
      await use(errors);
      expect(errors).toEqual([]);
    },
    { auto: true },
  ],
});

/** Moves the server's clock; the page follows with its next answer. */
export async function moveClock(server: RunningServer, now: string): Promise<void> {
  const res = await fetch(`${server.address}/api/test/clock`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ now }),
  });
  expect(res.status).toBe(200);
}

export async function getJson<T>(server: RunningServer, path: string): Promise<T> {
  return (await (await fetch(`${server.address}/api${path}`)).json()) as T;
}

/** Waits until everything that was done has reached the server. */
export async function settled(page: Page): Promise<void> {
  // a tap is kept on the device a moment after it, and only then can it be seen to be gone
  await page.waitForTimeout(200);
  await page.waitForFunction(async () => {
    const open = indexedDB.open('tambo', 1);
    return new Promise<boolean>((resolve) => {
      open.onsuccess = () => {
        const db = open.result;
        if (!db.objectStoreNames.contains('queue')) return resolve(true);
        const count = db.transaction('queue').objectStore('queue').count();
        count.onsuccess = () => {
          db.close();
          resolve(count.result === 0);
        };
      };
      open.onerror = () => resolve(false);
    });
  });
}
