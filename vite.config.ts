import { defineConfig } from 'vite';
import react from '@vitejs/plugin-react';

/** The page: built into dist/web, served by the server; in development the API is proxied. */
export default defineConfig({
  root: 'web',
  publicDir: 'public',
  plugins: [react()],
  build: { outDir: '../dist/web', emptyOutDir: true, target: 'es2022', chunkSizeWarningLimit: 900 },
  server: { port: 5173, proxy: { '/api': 'http://127.0.0.1:4173' } },
  worker: { format: 'es' },
});
