/**
 * `npm run mutate -- --mutate 'core/fairness/**'`: changes the code in every small way there is, and looks whether a test
 * notices. Takes hours for all of core; not part of `npm test`.
 */
export default {
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'soak/mutation/vitest.config.ts' },
  coverageAnalysis: 'perTest',
  mutate: [
    'core/{inference,trial,fairness,compare,ingredients/judge}/**/*.ts',
    '!core/**/*.test.ts',
    '!core/**/*.fixture.ts',
    // Held to closed forms by simulations that are not run here.
    '!core/inference/{power,days-needed}.ts',
  ],
  // Wording is read in the browser; a sentence with another letter in it is no fault of the logic.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignorePatterns: ['web/dist', 'bench/dist', 'docs', 'e2e', 'soak/mutation/node_modules'],
  // What runs once at import cannot be told apart test by test; the rules' own tables are broken one by one in every-rule.test.ts.
  ignoreStatic: true,
  concurrency: 2,
  timeoutMS: 6_000,
  reporters: ['clear-text', 'json'],
  jsonReporter: { fileName: '.stryker-tmp/report.json' },
  clearTextReporter: { allowColor: false, reportTests: false, logTests: false },
  tempDirName: '.stryker-tmp',
};
