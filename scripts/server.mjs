/** Starts the built server on a folder and clock of its own, for pictures, benches and browser tests. */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const root = path.resolve(import.meta.dirname, '..');

/** Resolves once health answers; `stop` ends it and, unless kept, removes its folder. */
export async function startServer({ env = {}, folder, keep = false } = {}) {
  const data = folder ?? mkdtempSync(path.join(tmpdir(), 'tambo-'));
  const started = performance.now();
  const child = spawn(process.execPath, [path.join(root, 'dist/server/main.js')], {
    cwd: root,
    env: { ...process.env, TAMBO_DATA: data, TAMBO_PORT: '0', ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  const address = await new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error(`The server did not start in 60 s: ${said}`)), 60_000);
    child.stdout.on('data', (chunk) => {
      said += chunk;
      const m = /http:\/\/127\.0\.0\.1:\d+/.exec(said);
      if (m) {
        clearTimeout(timer);
        resolve(m[0]);
      }
    });
    child.on('exit', (code) => reject(new Error(`The server ended with ${code}: ${said}`)));
  });
  for (;;) {
    const ok = await fetch(`${address}/api/health`).then(
      (r) => r.ok,
      () => false,
    );
    if (ok) break;
    await new Promise((r) => setTimeout(r, 5));
  }
  const readyMs = performance.now() - started;
  const stop = async (signal = 'SIGTERM') => {
    if (child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((resolve) => child.on('exit', resolve));
    child.kill(signal);
    await gone;
    if (!keep && !folder) rmSync(data, { recursive: true, force: true });
  };
  return { address, data, child, readyMs, stop };
}

export const chromiumArgs = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--font-render-hinting=none',
];
