/** `npm run bench`: measures the figures and writes docs/bench.md. */
import { spawnSync } from 'node:child_process';
import { ensureBuilt, ensureChromium, ensureInstalled, root } from './setup.mjs';

ensureInstalled();
const chromium = ensureChromium();
await ensureBuilt();
const { status } = spawnSync(process.execPath, ['--import', 'tsx', 'scripts/bench/main.ts'], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, TAMBO_CHROMIUM: chromium },
});
process.exitCode = status ?? 1;
