import { execFile, spawn } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { promisify } from 'node:util';
import { v7 } from 'uuid';
import { chromium as debian } from '../playwright.config.ts';
import { bareBrowser } from './bare-browser.ts';

const run = promisify(execFile);
/** Fetched when it is asked for: too large to be installed with Sabor, whose tests do not need it. */
const LIGHTHOUSE = 'lighthouse@12';
const CATEGORIES = ['performance', 'accessibility', 'best-practices', 'seo'] as const;

interface Report {
  categories: Record<(typeof CATEGORIES)[number], { score: number | null }>;
  audits: Record<string, { numericValue?: number }>;
  /** Lighthouse's own measure of how fast the machine was meanwhile; it trusts scores from 1,000 on. */
  environment: { benchmarkIndex: number };
}

/** Lighthouse's own slowdown, which makes a middling phone of a fast desktop. */
const USUAL_SLOWDOWN = 4;

/**
 * The slowdown that makes a middling phone of a machine of this speed: straight lines between (150, 1), (800, 2), (1300, 3)
 * and (2000, 6). Source: Lighthouse's CPU throttling calculator, from memory; its docs ask for such a calibration.
 */
function slowdownFor(benchmarkIndex: number): number {
  const at = [
    [150, 1],
    [800, 2],
    [1300, 3],
    [2000, 6],
  ] as const;
  for (let i = 1; i < at.length; i++) {
    const [[x0, y0], [x1, y1]] = [at[i - 1]!, at[i]!];
    if (benchmarkIndex <= x1 || i === at.length - 1)
      return Math.max(1, y0 + ((y1 - y0) * (benchmarkIndex - x0)) / (x1 - x0));
  }
  return USUAL_SLOWDOWN;
}

/** Lighthouse 12 as on a phone, its processor slowed so many times; null where it cannot be fetched. */
async function lighthouse(url: string, slowdown: number): Promise<Report | null> {
  const out = path.join(os.tmpdir(), `sabor-lighthouse-${v7()}.json`);
  try {
    await run(
      'npx',
      [
        '--yes',
        LIGHTHOUSE,
        url,
        '--quiet',
        '--output=json',
        `--output-path=${out}`,
        `--only-categories=${CATEGORIES.join(',')}`,
        `--throttling.cpuSlowdownMultiplier=${slowdown.toFixed(2)}`,
        `--chrome-flags=--headless=new ${debian.args.join(' ')}`,
      ],
      { env: { ...process.env, CHROME_PATH: debian.executablePath }, timeout: 180_000 },
    );
    return JSON.parse(readFileSync(out, 'utf8')) as Report;
  } catch {
    return null;
  } finally {
    rmSync(out, { force: true });
  }
}

/** One run swings by a third on a shared machine: the middle of so many is what is told. */
const LIGHTHOUSE_RUNS = 3;
const OPENINGS = 7;
const middle = (all: readonly number[]) =>
  all.toSorted((a, b) => a - b)[Math.floor(all.length / 2)] ?? Number.NaN;

async function several<T>(times: number, work: () => Promise<T>): Promise<T[]> {
  const found: T[] = [];
  for (let i = 0; i < times; i++) found.push(await work());
  return found;
}

/**
 * The longest task of a page's first four seconds, ms, at a processor slowed so many times, as a user's browser has it: one that
 * is listened to notes where every script stands, which adds to React's start alone a third of what is asked here. Source: W3C
 * Long Tasks.
 */
async function longestTask(url: string, rate: number): Promise<number> {
  const browser = await bareBrowser({ width: 390, height: 844 });
  try {
    await browser.before(`
      window.longest = 0;
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) longest = Math.max(longest, duration);
      }).observe({ type: 'longtask', buffered: true });`);
    await browser.slow(rate);
    await browser.go(url);
    await new Promise((resolve) => setTimeout(resolve, 4000));
    const found = await browser.value('window.longest');
    if (typeof found !== 'number') throw new Error(`${url} did not tell its longest task.`);
    return found;
  } finally {
    await browser.close();
  }
}

/** Today, conductor and comparison of the demo, as a phone meets them. */
export async function benchPages(): Promise<void> {
  const port = 4893;
  const url = `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, ['--import', 'tsx', 'e2e/serve.ts', String(port)], {
    stdio: 'ignore',
    // As it is served to users: answers are held against the contract in tests alone.
    env: { ...process.env, SABOR_UNCHECKED: '1' },
  });
  try {
    const ask = async (path: string, init?: RequestInit) => (await fetch(`${url}/api${path}`, init)).json();
    let trials: { id: string; status: string }[] | null = null;
    for (let tries = 0; trials === null && tries < 120; tries++) {
      trials = await ask('/trials').catch(() => null);
      if (trials === null) await new Promise((resolve) => setTimeout(resolve, 1000));
    }
    if (trials === null) throw new Error('The server for the pages did not start.');
    const of = (status: string) => trials.find((trial) => trial.status === status)!.id;
    const day = v7();
    await ask(`/wash-days/${day}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ trialId: of('planned'), startedAt: new Date().toISOString() }),
    });
    const { steps } = (await ask(`/wash-days/${day}`)) as { steps: { id: string }[] };
    console.log(
      `\nPages as a phone meets them (${LIGHTHOUSE}, the processor slowed as far as makes a middling phone of it)`,
    );
    for (const [name, at] of [
      ['Today', '/'],
      ['conductor', `/wash-days/${day}?step=${steps[0]!.id}`],
      ['comparison', `/trials/${of('finished')}/compare`],
    ] as const) {
      const unset = await lighthouse(url + at, USUAL_SLOWDOWN);
      const slowdown = slowdownFor(unset?.environment.benchmarkIndex ?? 0);
      const reports = (await several(LIGHTHOUSE_RUNS, () => lighthouse(url + at, slowdown))).filter(
        (report) => report !== null,
      );
      const score = (key: (typeof CATEGORIES)[number]) =>
        Math.round(100 * middle(reports.map((report) => report.categories[key].score ?? 0)));
      const scores = reports.length
        ? CATEGORIES.map((key) => `${key} ${score(key)}`).join(', ')
        : 'Lighthouse could not be fetched';
      const paint = middle(
        reports.map(({ audits }) => audits['largest-contentful-paint']?.numericValue ?? Number.NaN),
      );
      const speed = middle(reports.map(({ environment }) => environment.benchmarkIndex));
      const longest = async (times: number) =>
        middle(await several(OPENINGS, () => longestTask(url + at, times))).toFixed(0);
      const plain = Math.round(100 * (unset?.categories.performance.score ?? Number.NaN));
      console.log(
        `${name.padEnd(12)} ${scores} (machine at ${Math.round(speed)}, slowed ${slowdown.toFixed(1)} times; slowed ${USUAL_SLOWDOWN} times performance ${plain}); largest paint ${(paint / 1000).toFixed(1)} s; longest task ${await longest(slowdown)} ms, slowed ${USUAL_SLOWDOWN} times ${await longest(USUAL_SLOWDOWN)} ms`,
      );
    }
  } finally {
    server.kill('SIGTERM');
  }
}

if (process.argv[1]?.endsWith('pages.ts')) await benchPages();
