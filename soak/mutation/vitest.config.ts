import { defineConfig } from 'vitest/config';

/** Tests that mutants of core are run against: `npm run mutate`. Simulations of power would take days against each of them. */
export default defineConfig({
  test: {
    include: ['core/**/*.test.ts', 'contract/**/*.test.ts'],
    exclude: ['core/inference/power.test.ts'],
  },
});
