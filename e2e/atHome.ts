import { chromium, type Browser, type BrowserContext, type BrowserContextOptions, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { HomeAnswer } from '../core/contract/index.ts';
import { chromiumArgs, startServer, type RunningServer } from '../scripts/server.mjs';
import { findChromium } from '../scripts/setup.mjs';
import { expect, test as base } from './base.ts';

export const passphrase = 'leek dill barley plum rye';

/** Names of the household stand on loopback, as a home's network would answer them. */
const names = ['our-kitchen.local', 'galley.local'];
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

/** A home folder of its own for a browser, in which it trusts an authority the way that browser does; nobody's own store is touched. */
function homeFolder(certPem?: string): string {
  const home = mkdtempSync(path.join(tmpdir(), 'tambo-home-'));
  if (certPem === undefined) return home;
  const store = path.join(home, '.pki/nssdb');
  mkdirSync(store, { recursive: true });
  const file = path.join(home, 'authority.pem');
  writeFileSync(file, certPem);
  execFileSync('certutil', ['-N', '--empty-password', '-d', `sql:${store}`]);
  execFileSync('certutil', ['-A', '-n', 'tambo', '-t', 'C,,', '-i', file, '-d', `sql:${store}`]);
  return home;
}

export const test = base.extend<{ atHome: AtHome }, { livedHome: string }>({
  // the server of the other tests is not opened: this one is a household's own
  livedHome: [async ({ lived }, use) => use(lived), { scope: 'worker' }],
  atHome: async ({ livedHome }, use) => {
    const folder = mkdtempSync(path.join(tmpdir(), 'tambo-'));
    execFileSync('cp', ['-r', `${livedHome}/.`, folder]);
    const env = {
      TAMBO_DEMO: '1',
      TAMBO_NOW: '2026-11-24T16:00:00.000Z',
      TAMBO_HOME_ADDRESSES: '127.0.0.1',
      TAMBO_HOME_PORT: '0',
      TAMBO_HOME_QUIET: '1',
    };
    const server = await startServer({ env, folder });
    const at = async <T>(p: string, body?: object): Promise<T> => {
      const res = await fetch(
        `${server.address}/api${p}`,
        body && { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) },
      );
      return (await res.json()) as T;
    };
    const opened = await at<HomeAnswer>('/home/open', { name: 'our-kitchen', passphrase });
    const [url = ''] = opened.urls;
    const { authority } = JSON.parse(readFileSync(path.join(server.data, 'access.json'), 'utf8')) as { authority: { certPem: string } };
    const homes = [homeFolder(authority.certPem), homeFolder()];
    const browsers: Browser[] = [];
    const launch = async (home: string): Promise<Browser> => {
      const executablePath = findChromium();
      const browser = await chromium.launch({
        ...(executablePath && { executablePath }),
        args: [
          ...chromiumArgs,
          '--use-fake-device-for-media-stream',
          '--use-fake-ui-for-media-stream',
          `--host-resolver-rules=${names.map((n) => `MAP ${n} 127.0.0.1`).join(',')}`,
        ],
        env: { ...(process.env as Record<string, string>), HOME: home },
      });
      browsers.push(browser);
      return browser;
    };
    let trusting: Browser | undefined;
    await use({
      server,
      at,
      url,
      home: () => at<HomeAnswer>('/home'),
      device: async (options = phoneSize) => {
        trusting ??= await launch(homes[0]!);
        const context = await trusting.newContext(options);
        return { context, page: await context.newPage() };
      },
      stranger: async () => (await launch(homes[1]!)).newPage(),
      comeIn: async (page, called, p = '/') => {
        await page.goto(url + p);
        await page.getByLabel('Passphrase', { exact: true }).fill(passphrase);
        await page.getByLabel('What it is called here').fill(called);
        await page.getByRole('button', { name: 'Come in' }).click();
        await expect(page.getByRole('heading', { name: 'Come in' })).toBeHidden({ timeout: 30_000 });
      },
    });
    for (const b of browsers) await b.close();
    await server.stop();
    for (const h of [...homes, folder]) rmSync(h, { recursive: true, force: true });
  },
});

export { expect };
