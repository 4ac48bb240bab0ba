import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import react from '@vitejs/plugin-react';
import { build } from 'esbuild';
import { defineConfig, type Plugin } from 'vite';

const root = import.meta.dirname;
const shell = /\.(js|css|html|woff2|wasm|svg|png|webmanifest)$/;
const hashed = /-[\w-]{8}\.\w+$/;
const digest = (content: string | Uint8Array): string => createHash('sha256').update(content).digest('hex').slice(0, 16);

/** Bundles the service worker with the list of everything the app is made of, so that it starts without a connection. */
function serviceWorker(): Plugin {
  return {
    name: 'service-worker',
    apply: 'build',
    generateBundle: {
      order: 'post',
      async handler(_options, bundle) {
        const built = Object.values(bundle)
          .filter((f) => shell.test(f.fileName))
          .map((f) => ({
            url: `/${f.fileName}`,
            revision: hashed.test(f.fileName) ? null : digest(f.type === 'chunk' ? f.code : f.source),
          }));
        // files of public/ are copied beside the bundle
        const folder = path.join(root, 'web/public');
        const copied = readdirSync(folder).map((f) => ({ url: `/${f}`, revision: digest(readFileSync(path.join(folder, f))) }));
        const { outputFiles } = await build({
          entryPoints: [path.join(root, 'web/sw.ts')],
          bundle: true,
          write: false,
          minify: true,
          format: 'iife',
          define: { 'self.__WB_MANIFEST': JSON.stringify([...built, ...copied]), 'process.env.NODE_ENV': '"production"' },
        });
        this.emitFile({ type: 'asset', fileName: 'sw.js', source: outputFiles[0]?.text ?? '' });
      },
    },
  };
}

/** The household's pages, and the small one that a device sees before it is trusted, or for one evening. */
const pages = ['index.html', 'guest.html'].map((p) => path.join(root, 'web', p));

/** The page: built into dist/web, served by the server; in development the API is proxied. */
export default defineConfig({
  root: 'web',
  publicDir: 'public',
  plugins: [react(), serviceWorker()],
  build: { outDir: '../dist/web', emptyOutDir: true, target: 'es2022', chunkSizeWarningLimit: 900, rollupOptions: { input: pages } },
  server: { port: 5173, proxy: { '/api': 'http://127.0.0.1:4173' } },
  worker: { format: 'es' },
});
