/** What every command needs first, with Node's own modules only: packages, Chromium, a fresh build. */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';

export const root = path.resolve(import.meta.dirname, '..');
const stamp = path.join(root, 'node_modules', '.tambo-installed');

const run = (command, args, options = {}) => spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });

export function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major > 20 || (major === 20 && minor >= 19)) return;
  console.error(`Tambo needs Node.js 20.19 or later; this is ${process.versions.node}.`);
  process.exit(1);
}

/** Installs packages when node_modules is missing or older than the lock file. */
export function ensureInstalled() {
  checkNode();
  const lock = createHash('sha256')
    .update(readFileSync(path.join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing packages (once, about a minute)...');
  const { status } = run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  if (status !== 0) {
    console.error('The packages could not be installed. Check the network, then run: npm ci');
    process.exit(1);
  }
  writeFileSync(stamp, lock);
}

const chromiumPlaces = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

export function findChromium() {
  if (process.env.TAMBO_CHROMIUM && existsSync(process.env.TAMBO_CHROMIUM)) return process.env.TAMBO_CHROMIUM;
  const onPath = (process.env.PATH ?? '').split(':').map((d) => path.join(d, 'chromium'));
  return [...onPath, ...chromiumPlaces].find((f) => existsSync(f));
}

/** Chromium from the path, else by apt as root or with sudo, else the exact command to type. */
export function ensureChromium() {
  const found = findChromium();
  if (found) return found;
  const asRoot = process.getuid?.() === 0;
  const sudo = !asRoot && spawnSync('sudo', ['-n', 'true']).status === 0;
  if (asRoot || sudo) {
    console.log('Installing Chromium for the browser tests (once)...');
    const apt = (args) =>
      asRoot
        ? run('apt-get', args, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } })
        : run('sudo', ['-n', 'apt-get', ...args]);
    apt(['update', '-qq']);
    apt(['install', '-y', '-qq', '--no-install-recommends', 'chromium']);
    const now = findChromium();
    if (now) return now;
  }
  console.error(
    'The browser tests need Chromium. Type this once, then run the command again:\n  sudo apt-get update && sudo apt-get install -y chromium',
  );
  process.exit(1);
}

const newest = (folder) =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile())
    .reduce((t, e) => Math.max(t, statSync(path.join(e.parentPath, e.name)).mtimeMs), 0);

/** Builds page and server into dist/ when something in them is newer. */
export async function ensureBuilt() {
  const mark = path.join(root, 'dist', '.built');
  const since = Math.max(
    ...['core', 'server', 'web', 'scripts'].map((f) => newest(path.join(root, f))),
    statSync(path.join(root, 'package-lock.json')).mtimeMs,
    statSync(path.join(root, 'vite.config.ts')).mtimeMs,
  );
  if (existsSync(mark) && statSync(mark).mtimeMs > since) return;
  console.log('Building...');
  const { buildAll } = await import('./build.mjs');
  rmSync(path.join(root, 'dist'), { recursive: true, force: true });
  mkdirSync(path.join(root, 'dist'), { recursive: true });
  await buildAll();
  writeFileSync(mark, '');
}

/** Runs the built server and hands signals on; resolves with its exit code. */
export async function runServer(env) {
  const { spawn } = await import('node:child_process');
  const child = spawn(process.execPath, [path.join(root, 'dist/server/main.js')], {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  return new Promise((resolve) => child.on('exit', (code) => resolve(code ?? 0)));
}
