/** `npm start`: the household's own data, no demo. */
import { ensureBuilt, ensureInstalled, runServer } from './setup.mjs';

ensureInstalled();
await ensureBuilt();
process.exitCode = await runServer({});
