import { defineConfig } from 'vitest/config';

/** Nothing here judges speed: a slow machine is waited for, six times as slow as usual as well. What takes longer is stuck. */
const STUCK = 600_000;

// Files share what they import (`isolate: false`): read once a worker, not once a file.
export default defineConfig({
  test: {
    // Half of a server test waits for PostgreSQL: two share a machine of two cores well.
    maxWorkers: 2,
    projects: [
      {
        test: {
          name: 'unit',
          isolate: false,
          testTimeout: STUCK,
          include: [
            'core/**/*.test.ts',
            'words/**/*.test.ts',
            'contract/**/*.test.ts',
            'reading/**/*.test.ts',
            'web/**/*.test.ts',
            'demo/**/*.test.ts',
            'scripts/{arrows,kernels}.test.ts',
            'scripts/measure/**/*.test.ts',
          ],
        },
      },
      {
        test: {
          name: 'server',
          isolate: false,
          include: ['server/**/*.test.ts', 'scripts/{start,postgres}/**/*.test.ts'],
          globalSetup: ['server/testing/throwaway-cluster.ts'],
          testTimeout: STUCK,
          hookTimeout: STUCK,
        },
      },
    ],
  },
});
