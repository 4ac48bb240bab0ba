/** `npm run dev`: the server under tsx with the demo data, the page under Vite on http://127.0.0.1:5173. */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { ensureInstalled, root } from './setup.mjs';

ensureInstalled();
const children = [
  spawn(process.execPath, ['--watch', '--import', 'tsx', 'server/main.ts'], {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, TAMBO_DEMO: '1', TAMBO_DEV: '1', TAMBO_PORT: '4173', TAMBO_DATA: process.env.TAMBO_DATA ?? 'data/dev' },
  }),
  spawn(process.execPath, [path.join(root, 'node_modules/vite/bin/vite.js'), '--host', '127.0.0.1'], { cwd: root, stdio: 'inherit' }),
];
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => children.forEach((c) => c.kill(signal)));
