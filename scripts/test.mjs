// `npm test`: every check there is, on a machine with nothing but Node.js 20. Ends with one line of true totals.
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, statfsSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { installDependencies, root } from './install.mjs';
import { stage } from './stages.mjs';

const totals = { passed: 0, failed: 0 };
const bin = (name) => path.join(root, 'node_modules', '.bin', name);

/** Where the databases of the tests lie for their short life: in memory, where there is room for them, or on disk. */
const MEMORY = '/dev/shm';
const ROOM = 3e9;
if (!process.env.TMPDIR && existsSync(MEMORY)) {
  const { bavail, bsize } = statfsSync(MEMORY);
  if (bavail * bsize > ROOM && os.freemem() > ROOM) process.env.TMPDIR = MEMORY;
}
const reports = mkdtempSync(path.join(os.tmpdir(), 'sabor-reports-'));

/**
 * Runs one of the checks to its end: whether it went well. What it says is told once it is through, so that several can run side
 * by side.
 */
async function run(name, command, args, env = {}) {
  const check = spawn(command, args, { cwd: root, env: { ...process.env, ...env } });
  const said = [];
  for (const stream of [check.stdout, check.stderr]) stream.on('data', (chunk) => said.push(chunk));
  const fine = await new Promise((resolve) => {
    check.on('error', () => resolve(false));
    check.on('close', (code) => resolve(code === 0));
  });
  console.log(`\n── ${name}\n${Buffer.concat(said)}`);
  return fine;
}

/** A check that is whole or not: counts as one. */
async function gate(name, command, args) {
  totals[(await run(name, command, args)) ? 'passed' : 'failed']++;
}

/** So many of a run's slowest tests are told: where its time goes. */
const SLOWEST = 8;
function tellSlowest(tests) {
  for (const { ms, name } of tests.toSorted((a, b) => b.ms - a.ms).slice(0, SLOWEST))
    console.log(`${(ms / 1000).toFixed(1).padStart(7)} s  ${name}`);
}

/** What went wrong is told once more at the end, where whoever reads the last lines alone finds it. */
const LINES = 12;
function tellFailed(tests) {
  for (const { name, errors } of tests)
    for (const error of errors)
      console.log(`failed: ${name}\n${error.split('\n').slice(0, LINES).join('\n')}`);
}

/** Every test of a Playwright report, with how long it took and what it says went wrong. */
const browserTests = (suites) =>
  suites.flatMap(({ specs = [], suites: inner = [] }) => [
    ...specs.map(({ title, file, tests }) => {
      const results = tests.flatMap((test) => test.results);
      return {
        name: `${file} ${title}`,
        ms: results.reduce((sum, { duration }) => sum + duration, 0),
        errors: results.flatMap(({ errors }) => errors.map(({ message }) => message ?? '')),
      };
    }),
    ...browserTests(inner),
  ]);

/** Test runners count their own tests; a runner that fails without a failed test counts as one failure. */
async function suite(name, command, args, report, count, testsOf, env) {
  const fine = await run(name, command, args, env);
  const told = existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')) : null;
  const { passed, failed } = told ? count(told) : { passed: 0, failed: 0 };
  if (told) {
    const tests = testsOf(told);
    tellSlowest(tests);
    tellFailed(tests);
  }
  totals.passed += passed;
  totals.failed += !fine && failed === 0 ? 1 : failed;
  if (fine && passed === 0) totals.failed++;
}

async function gates() {
  await gate('lint', bin('biome'), ['check', '.']);
  await gate('types', process.execPath, ['scripts/types.mjs']);
  await gate('arrows between rooms', process.execPath, ['--import', 'tsx', 'scripts/arrows.ts']);
}

/** Ends well when a script beside this one does. */
const script = (name) =>
  new Promise((resolve, reject) => {
    const told = () => reject(new Error(`${name} failed.`));
    spawn(process.execPath, [`scripts/${name}`], { cwd: root, stdio: 'inherit' })
      .on('error', told)
      .on('exit', (code) => (code === 0 ? resolve() : told()));
  });

// What Debian brings is waited for by the tests alone.
const programs = script('programs.mjs');
programs.catch(() => {});
try {
  await stage('Dependencies', installDependencies);
  const { register } = await import('tsx/esm/api');
  register();
  const { buildWeb } = await import('./start/build.ts');
  // Either leaves half of two processors idle: side by side they take little longer than one.
  await Promise.all([programs, stage('Web application', buildWeb), gates()]);
} catch {
  // Nobody leaves while packages are being installed.
  await programs.catch(() => {});
  console.log('\n0 passed, 1 failed');
  process.exit(1);
}

const vitest = path.join(reports, 'vitest.json');
const vitests = suite(
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
  ({ testResults }) =>
    testResults.map(({ name, startTime, endTime, message, assertionResults }) => ({
      name: path.relative(root, name),
      ms: endTime - startTime,
      errors: [
        message ?? '',
        ...assertionResults.flatMap(({ failureMessages }) => failureMessages ?? []),
      ].filter(Boolean),
    })),
);
const playwright = path.join(reports, 'playwright.json');
const playwrights = suite(
  'browser tests',
  bin('playwright'),
  ['test'],
  playwright,
  ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }),
  ({ suites }) => browserTests(suites),
  {
    SABOR_E2E_REPORT: playwright,
  },
);
// Each begins and ends with one process at work: side by side they keep two processors at it.
await Promise.all([vitests, playwrights]);
rmSync(reports, { recursive: true, force: true });

console.log(`\n${totals.passed} passed, ${totals.failed} failed`);
process.exit(totals.failed === 0 ? 0 : 1);
