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

/** Debian's Chromium without a window comes first: it does the same in two thirds of the time. */
const browserNames = ['chromium-headless-shell', 'chromium', 'chromium-browser', 'google-chrome'];

/** The first program of these names on the path. */
function onPath(names) {
  const folders = [...(process.env.PATH ?? '').split(':'), '/usr/bin'];
  return names.flatMap((name) => folders.map((d) => path.join(d, name))).find((f) => existsSync(f));
}

/** The browser that the tests, pictures and benches run in. */
export function findChromium() {
  const { TAMBO_CHROMIUM: own } = process.env;
  return own && existsSync(own) ? own : onPath(browserNames);
}

/** Longer than a fetch of some 100 MB takes, shorter than anybody waits for what is not needed. */
const aptMs = 180_000;

/** Installs a package with apt, as root or with sudo; false where neither can, or no network answers. */
function aptInstall(name) {
  const asRoot = process.getuid?.() === 0;
  if (!asRoot && spawnSync('sudo', ['-n', 'true']).status !== 0) return false;
  const soon = ['-o', 'Acquire::http::Timeout=15', '-o', 'Acquire::Retries=1'];
  const apt = (args) =>
    asRoot
      ? run('apt-get', [...soon, ...args], { timeout: aptMs, env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } })
      : run('sudo', ['-n', 'apt-get', ...soon, ...args], { timeout: aptMs });
  apt(['update', '-qq']);
  return apt(['install', '-y', '-qq', '--no-install-recommends', name]).status === 0;
}

/** Chromium from the path, else by apt as root or with sudo, else the exact command to type. */
export function ensureChromium() {
  const found = findChromium();
  if (found && (process.env.TAMBO_CHROMIUM || path.basename(found) === browserNames[0])) return found;
  console.log('Installing Chromium for the browser tests (once)...');
  if (aptInstall(browserNames[0]) || (!found && aptInstall('chromium'))) return findChromium();
  if (found) return found;
  console.error(
    'The browser tests need Chromium. Type this once, then run the command again:\n  sudo apt-get update && sudo apt-get install -y chromium',
  );
  process.exit(1);
}

/** What puts an authority among those that a browser in a test trusts. */
export const findCertutil = () => onPath(['certutil']);

/** The same from the path, else by apt; where neither is to be had the tests say so and their browsers know the household by its key alone. */
export function ensureCertutil() {
  if (findCertutil()) return;
  console.log('Installing certutil for the tests of the home network (once)...');
  aptInstall('libnss3-tools');
  if (!findCertutil())
    console.log(
      'certutil could not be installed: in the tests of the home network the browser is told the household’s key instead of trusting its authority.',
    );
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
