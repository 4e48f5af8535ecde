// `npm test`: every check there is, on a machine with nothing but Node.js 20. Ends with one line of true totals.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { installChromium, installDependencies, root } from './install.mjs';
import { stage } from './stages.mjs';

const totals = { passed: 0, failed: 0 };
const bin = (name) => path.join(root, 'node_modules', '.bin', name);
const reports = mkdtempSync(path.join(os.tmpdir(), 'sabor-reports-'));

function run(name, command, args, env = {}) {
  console.log(`\n── ${name}`);
  return (
    spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } }).status === 0
  );
}

/** A check that is whole or not: counts as one. */
function gate(name, command, args) {
  totals[run(name, command, args) ? 'passed' : 'failed']++;
}

/** Test runners count their own tests; a runner that fails without a failed test counts as one failure. */
function suite(name, command, args, report, count, env) {
  const fine = run(name, command, args, env);
  const { passed, failed } = existsSync(report)
    ? count(JSON.parse(readFileSync(report, 'utf8')))
    : { passed: 0, failed: 0 };
  totals.passed += passed;
  totals.failed += !fine && failed === 0 ? 1 : failed;
  if (fine && passed === 0) totals.failed++;
}

try {
  await stage('Dependencies', installDependencies);
  const { register } = await import('tsx/esm/api');
  register();
  const { ensurePostgres } = await import('./postgres/binaries.ts');
  await stage('PostgreSQL', ensurePostgres);
  await stage('Chromium', installChromium);
  const { buildWeb } = await import('./start/build.ts');
  await stage('Web application', buildWeb);
} catch {
  console.log('\n0 passed, 1 failed');
  process.exit(1);
}

gate('lint', bin('biome'), ['check', '.']);
gate('types', process.execPath, ['scripts/types.mjs']);
gate('arrows between rooms', process.execPath, ['--import', 'tsx', 'scripts/arrows.ts']);
const vitest = path.join(reports, 'vitest.json');
suite(
  'unit and server tests',
  bin('vitest'),
  ['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${vitest}`],
  vitest,
  (report) => ({
    passed: report.numPassedTests,
    failed:
      report.numFailedTests +
      report.testResults.filter((file) => file.status === 'failed' && file.assertionResults.length === 0)
        .length,
  }),
);
const playwright = path.join(reports, 'playwright.json');
suite(
  'browser tests',
  bin('playwright'),
  ['test'],
  playwright,
  ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }),
  {
    SABOR_E2E_REPORT: playwright,
  },
);
rmSync(reports, { recursive: true, force: true });

console.log(`\n${totals.passed} passed, ${totals.failed} failed`);
process.exit(totals.failed === 0 ? 0 : 1);
