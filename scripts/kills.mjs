/** `npm run kills [-- N]`: ends a built server 1,000 times (or N) in the middle of its work and counts what was lost. About a quarter of an hour. */
import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { ensureBuilt, ensureInstalled, root } from './setup.mjs';

ensureInstalled();
await ensureBuilt();
const { status } = spawnSync(
  process.execPath,
  [
    path.join(root, 'node_modules/vitest/vitest.mjs'),
    'run',
    '--project',
    'server',
    'server/kill.test.ts',
    '--reporter=verbose',
    '--sequence.concurrent',
  ],
  { cwd: root, stdio: 'inherit', env: { ...process.env, TAMBO_KILLS: process.argv[2] ?? '1000' } },
);
process.exitCode = status ?? 1;
