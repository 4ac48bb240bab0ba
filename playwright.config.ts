import { defineConfig } from '@playwright/test';
import { chromiumArgs } from './scripts/server.mjs';
import { findChromium } from './scripts/setup.mjs';

const executablePath = findChromium();

/** Every test starts its own server, database and clock over the built app. */
export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  // cleared at each start, and nothing else beside it
  outputDir: 'test-results/browser',
  workers: 3,
  fullyParallel: true,
  timeout: 180_000,
  expect: { timeout: 20_000 },
  // a machine that stood still for half a minute is no fault of Tambo; `npm test` names what passed only then, and fails when it is more than a test or two
  retries: 1,
  reporter: [['list'], ['json', { outputFile: 'test-results/results.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 30_000,
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    launchOptions: { ...(executablePath && { executablePath }), args: chromiumArgs },
  },
});
