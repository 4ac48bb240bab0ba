/** `npm start`: the household's own data, no demo. */
import { ensureBuilt, ensureInstalled, runServer } from './setup.mjs';

ensureInstalled();
await ensureBuilt();
const asked = new Set(process.argv.slice(2));
process.exitCode = await runServer({
  ...(asked.has('--take-copy') && { TAMBO_MEND: 'copy' }),
  ...(asked.has('--put-aside') && { TAMBO_MEND: 'aside' }),
  ...(asked.has('--look') && { TAMBO_LOOK: '1' }),
  ...(asked.has('--home') && { TAMBO_HOME: '1' }),
  ...(asked.has('--new-passphrase') && { TAMBO_NEW_PASSPHRASE: '1' }),
});
