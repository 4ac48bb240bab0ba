import type { Browser, BrowserContext, BrowserContextOptions, Page } from '@playwright/test';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { HomeAnswer } from '../core/contract/index.ts';
import { startServer, type RunningServer } from '../scripts/server.mjs';
import { expect, test as base } from './base.ts';
import { homeBrowser, homeEnv } from './trusting.ts';

export const passphrase = 'leek dill barley plum rye';

const phoneSize = { viewport: { width: 390, height: 844 }, hasTouch: true } as const;

/** A household that stands open to its home network, and browsers that do or do not trust it. */
export interface AtHome {
  server: RunningServer;
  /** Asks at the computer. */
  at<T>(path: string, body?: object): Promise<T>;
  home(): Promise<HomeAnswer>;
  /** A device of the home, its browser trusting the household. */
  device(options?: BrowserContextOptions): Promise<{ context: BrowserContext; page: Page }>;
  /** One that was not told to. */
  stranger(): Promise<Page>;
  /** Opens the household on a device and comes in. */
  comeIn(page: Page, called: string, path?: string): Promise<void>;
  url: string;
}

export const test = base.extend<{ opened: boolean; atHome: AtHome }, { livedHome: string }>({
  /** It stands open already when a test begins. */
  opened: [true, { option: true }],
  // the server of the other tests is not opened: this one is a household's own
  livedHome: [async ({ lived }, use) => use(lived), { scope: 'worker' }],
  atHome: async ({ livedHome, opened }, use) => {
    const folder = mkdtempSync(path.join(tmpdir(), 'tambo-'));
    cpSync(livedHome, folder, { recursive: true });
    const env = {
      TAMBO_DEMO: '1',
      TAMBO_NOW: '2026-11-24T16:00:00.000Z',
      ...homeEnv,
    };
    const server = await startServer({ env, folder });
    const at = async <T>(p: string, body?: object): Promise<T> => {
      const res = await fetch(
        `${server.address}/api${p}`,
        body && { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) },
      );
      return (await res.json()) as T;
    };
    const [url = ''] = opened ? (await at<HomeAnswer>('/home/open', { name: 'our-kitchen', passphrase })).urls : [];
    const authority = (): string =>
      (JSON.parse(readFileSync(path.join(server.data, 'demo.access.json'), 'utf8')) as { authority: { certPem: string } }).authority
        .certPem;
    const closing: (() => Promise<void>)[] = [];
    const launch = async (certPem?: string): Promise<Browser> => {
      const { browser, close } = await homeBrowser(certPem);
      closing.push(close);
      return browser;
    };
    let trusting: Browser | undefined;
    await use({
      server,
      at,
      url,
      home: () => at<HomeAnswer>('/home'),
      device: async (options = phoneSize) => {
        trusting ??= await launch(authority());
        const context = await trusting.newContext(options);
        return { context, page: await context.newPage() };
      },
      stranger: async () => (await launch()).newPage(),
      comeIn: async (page, called, p = '/') => {
        await page.goto(url + p);
        await page.getByLabel('Passphrase', { exact: true }).fill(passphrase);
        await page.getByLabel('What it is called here').fill(called);
        await page.getByRole('button', { name: 'Come in' }).click();
        await expect(page.getByRole('heading', { name: 'Come in' })).toBeHidden({ timeout: 30_000 });
      },
    });
    for (const close of closing) await close();
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  },
});

export { expect };
