import { chromium, type Browser } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { createHash, X509Certificate } from 'node:crypto';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromiumArgs } from '../scripts/server.mjs';
import { findCertutil, findChromium } from '../scripts/setup.mjs';

/** Names of the household stand on loopback, as a home's network would answer them. */
const names = ['our-kitchen.local', 'galley.local'];

/** A home folder of its own for a browser, in which it trusts an authority the way that browser does; nobody's own store is touched. */
function homeFolder(certPem?: string): string {
  const home = mkdtempSync(path.join(tmpdir(), 'tambo-home-'));
  const certutil = findCertutil();
  if (certPem === undefined || certutil === undefined) return home;
  const store = path.join(home, '.pki/nssdb');
  mkdirSync(store, { recursive: true });
  const file = path.join(home, 'authority.pem');
  writeFileSync(file, certPem);
  execFileSync(certutil, ['-N', '--empty-password', '-d', `sql:${store}`]);
  execFileSync(certutil, ['-A', '-n', 'tambo', '-t', 'C,,', '-i', file, '-d', `sql:${store}`]);
  return home;
}

/** Where a machine has no certutil and cannot get it, a browser is told the authority's key at its start. */
const knownByKey = (certPem: string | undefined): string[] => {
  if (certPem === undefined || findCertutil() !== undefined) return [];
  const spki = new X509Certificate(certPem).publicKey.export({ type: 'spki', format: 'der' });
  return [`--ignore-certificate-errors-spki-list=${createHash('sha256').update(spki).digest('base64')}`];
};

/** A browser of a home; given the household's authority it trusts it, without it is a stranger's. */
export async function homeBrowser(certPem?: string): Promise<{ browser: Browser; close: () => Promise<void> }> {
  const executablePath = findChromium();
  const home = homeFolder(certPem);
  const browser = await chromium.launch({
    ...(executablePath && { executablePath }),
    args: [
      ...chromiumArgs,
      ...knownByKey(certPem),
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--host-resolver-rules=${names.map((n) => `MAP ${n} 127.0.0.1`).join(',')}`,
    ],
    env: { ...(process.env as Record<string, string>), HOME: home },
  });
  return {
    browser,
    close: async () => {
      await browser.close();
      rmSync(home, { recursive: true, force: true });
    },
  };
}

/** Its home network is this computer alone, on any port, without a word to the network. */
export const homeEnv = { TAMBO_HOME_ADDRESSES: '127.0.0.1', TAMBO_HOME_PORT: '0', TAMBO_HOME_QUIET: '1' };
