import { defineConfig } from '@playwright/test';
import { existsSync } from 'node:fs';
import { chromiumArgs } from './scripts/server.mjs';

const executablePath = [process.env.TAMBO_CHROMIUM, '/usr/bin/chromium', '/usr/bin/chromium-browser'].find((f) => f && existsSync(f));

/** Every test starts its own server, database and clock over the built app. */
export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  // cleared at each start, and nothing else beside it
  outputDir: 'test-results/browser',
  workers: 3,
  fullyParallel: true,
  timeout: 180_000,
  expect: { timeout: 10_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/results.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 20_000,
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    launchOptions: { ...(executablePath && { executablePath }), args: chromiumArgs },
  },
});
