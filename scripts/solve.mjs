/**
 * `npm run solve -- FILE SECONDS SEED`: the makespan of a job shop. The file holds `{"jobs": [[[machine from 0, minutes], ...], ...]}`;
 * prints the makespan that was found, a bound that no schedule beats, and the milliseconds it took.
 */
import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { ensureInstalled, root } from './setup.mjs';

ensureInstalled();
const { status } = spawnSync(process.execPath, ['--import', 'tsx', path.join(root, 'scripts/bench/solve.ts'), ...process.argv.slice(2)], {
  stdio: 'inherit',
});
process.exit(status ?? 1);
