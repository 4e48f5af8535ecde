// The main process reads TypeScript too: it makes the cluster of the server tests.
import 'tsx';
import { defineConfig, type TestProjectInlineConfiguration } from 'vitest/config';

/** Nothing here judges speed: a slow machine is waited for, six times as slow as usual as well. What takes longer is stuck. */
const STUCK = 600_000;

/**
 * Modules are Node.js's own, read by tsx, and not a runner's, which looks up every import in a table at each use: what goes
 * through a photograph's pixels takes an eighth to a quarter longer there. Files share what they import: read once a worker,
 * not once a file.
 */
const project: TestProjectInlineConfiguration['test'] = {
  isolate: false,
  testTimeout: STUCK,
  hookTimeout: STUCK,
  // What is long and seldom breaks is run in the soak alone (docs/decisions/015).
  tags: [{ name: 'soak', description: 'Long: run by npm run soak:whole.' }],
  ...(process.env.SABOR_WHOLE === 'yes' ? {} : { tagsFilter: ['!soak'] }),
  experimental: { viteModuleRunner: false, nodeLoader: false },
  execArgv: ['--import', 'tsx'],
};

export default defineConfig({
  test: {
    // Half of a server test waits for PostgreSQL: two share a machine of two cores well.
    maxWorkers: 2,
    projects: [
      {
        test: {
          ...project,
          name: 'unit',
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
          ...project,
          name: 'server',
          include: ['server/**/*.test.ts', 'scripts/{start,postgres}/**/*.test.ts'],
          globalSetup: ['server/testing/throwaway-cluster.ts'],
        },
      },
    ],
  },
});
