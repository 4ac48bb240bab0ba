import { defineConfig } from 'vitest/config';

/** Unit tests beside the core, API tests over a real temporary database. Thorough runs set TAMBO_THOROUGH=1. */
export default defineConfig({
  test: {
    include: ['core/**/*.test.ts', 'server/**/*.test.ts', 'web/**/*.test.ts', 'lint/**/*.test.ts', 'e2e/**/*.test.ts'],
    testTimeout: 60_000,
    hookTimeout: 60_000,
    pool: 'forks',
  },
});
