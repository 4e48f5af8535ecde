import { defineConfig } from 'vitest/config';

/** Tests that mutants of core are run against: `npm run mutate`. */
export default defineConfig({
  test: { include: ['core/**/*.test.ts', 'contract/**/*.test.ts'] },
});
