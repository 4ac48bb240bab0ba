/** `npm run demo`: installs what is missing, builds, and serves the demo household. `-- --reset` starts it over. */
import { rmSync } from 'node:fs';
import path from 'node:path';
import { ensureBuilt, ensureInstalled, root, runServer } from './setup.mjs';

ensureInstalled();
await ensureBuilt();
const folder = path.resolve(root, process.env.TAMBO_DATA ?? 'data');
if (process.argv.includes('--reset'))
  for (const end of ['', '-wal', '-shm']) rmSync(path.join(folder, `demo.sqlite${end}`), { force: true });
process.exitCode = await runServer({ TAMBO_DEMO: '1', TAMBO_DATA: folder });
