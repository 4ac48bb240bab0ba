/** `npm run demo`: installs what is missing, builds, and serves the demo household. `-- --reset` starts it over. */
import { rmSync } from 'node:fs';
import path from 'node:path';
import { ensureBuilt, ensureInstalled, root, runServer } from './setup.mjs';

ensureInstalled();
await ensureBuilt();
const folder = path.resolve(root, process.env.TAMBO_DATA ?? 'data');
if (process.argv.includes('--reset'))
  for (const name of ['demo.sqlite', 'demo.sqlite-wal', 'demo.sqlite-shm', 'demo.access.json'])
    rmSync(path.join(folder, name), { force: true });
process.exitCode = await runServer({ TAMBO_DEMO: '1', TAMBO_DATA: folder });
