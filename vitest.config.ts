import { defineConfig } from 'vitest/config';

/** A thorough run makes many more cases of each law. */
const slow = { testTimeout: process.env.TAMBO_THOROUGH ? 420_000 : 120_000, hookTimeout: 120_000 };

/** Unit tests beside the core, API tests over a real temporary database, tests of what is built; `*.demo.test.ts` are tests of the page over the demo household. Thorough runs set TAMBO_THOROUGH=1. */
export default defineConfig({
  test: {
    coverage: {
      provider: 'v8',
      include: ['core/**/*.ts'],
      exclude: ['core/**/*.test.ts', 'core/**/fixtures.ts', 'core/**/*.rows.ts', 'core/**/index.ts'],
      reporter: ['text-summary', 'json-summary'],
      reportsDirectory: 'test-results/coverage',
      thresholds: { lines: 90, branches: 85 },
    },
    projects: [
      // pure functions leave nothing behind: one module graph serves them all
      {
        test: {
          ...slow,
          name: 'core',
          include: ['core/**/*.test.ts', 'web/**/*.test.ts'],
          exclude: ['**/*.demo.test.ts'],
          pool: 'threads',
          isolate: false,
          maxWorkers: 1,
        },
      },
      {
        test: {
          ...slow,
          name: 'server',
          include: ['server/**/*.test.ts', 'lint/**/*.test.ts', 'web/**/*.demo.test.ts'],
          pool: 'forks',
          isolate: false,
          maxWorkers: 2,
          // after the core when both run, which has another number of workers
          sequence: { groupOrder: 1 },
        },
      },
    ],
  },
});
