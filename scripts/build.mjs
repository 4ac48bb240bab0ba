/** Builds the page (Vite) and the server (esbuild) into dist/. */
import { cpSync } from 'node:fs';
import path from 'node:path';
import { build as bundle } from 'esbuild';
import { build as buildPage } from 'vite';

const root = path.resolve(import.meta.dirname, '..');

export async function buildServer() {
  await bundle({
    entryPoints: [path.join(root, 'server/main.ts'), path.join(root, 'server/files/job.ts')],
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    outdir: path.join(root, 'dist/server'),
    sourcemap: true,
    logLevel: 'warning',
    // native, or reads its own data files
    external: ['better-sqlite3', 'pino', 'pino-http', 'pdfkit', 'yazl', 'yauzl', '@zxcvbn-ts/core', '@zxcvbn-ts/language-common'],
    banner: { js: "import{createRequire as __cr}from'node:module';const require=__cr(import.meta.url);" },
  });
  cpSync(path.join(root, 'server/db/migrations'), path.join(root, 'dist/migrations'), { recursive: true });
}

export async function buildAll() {
  await buildPage({ configFile: path.join(root, 'vite.config.ts'), logLevel: 'warn' });
  await buildServer();
}

if (process.argv[1] === import.meta.filename) await buildAll();
