import { execFile, spawn } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { promisify } from 'node:util';
import { chromium } from '@playwright/test';
import { v7 } from 'uuid';
import { chromium as debian } from '../playwright.config.ts';

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

/** Lighthouse 12 as on a phone, its own throttling; null where it cannot be fetched. */
async function lighthouse(url: string): Promise<Report | null> {
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

/** One run swings by a third on a shared machine: the middle of several is what is told. */
const RUNS = 5;
const middle = (all: readonly number[]) =>
  all.toSorted((a, b) => a - b)[Math.floor(all.length / 2)] ?? Number.NaN;

async function several<T>(work: () => Promise<T>): Promise<T[]> {
  const found: T[] = [];
  for (let i = 0; i < RUNS; i++) found.push(await work());
  return found;
}

/** The longest task of a page's first four seconds, ms, at a processor slowed four times. Source: W3C Long Tasks. */
async function longestTask(url: string): Promise<number> {
  const browser = await chromium.launch(debian);
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  await page.addInitScript(() => {
    const found: number[] = [];
    Object.assign(window, { found });
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) found.push(duration);
    }).observe({ type: 'longtask', buffered: true });
  });
  await page.goto(url);
  await page.waitForTimeout(4000);
  const found = await page.evaluate(() => (window as unknown as { found: number[] }).found);
  await browser.close();
  return Math.max(0, ...found);
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
    console.log(`\nPages as a phone meets them (${LIGHTHOUSE}; long tasks at a processor slowed four times)`);
    for (const [name, at] of [
      ['Today', '/'],
      ['conductor', `/wash-days/${day}?step=${steps[0]!.id}`],
      ['comparison', `/trials/${of('finished')}/compare`],
    ] as const) {
      const reports = (await several(() => lighthouse(url + at))).filter((report) => report !== null);
      const score = (key: (typeof CATEGORIES)[number]) =>
        Math.round(100 * middle(reports.map((report) => report.categories[key].score ?? 0)));
      const scores = reports.length
        ? CATEGORIES.map((key) => `${key} ${score(key)}`).join(', ')
        : 'Lighthouse could not be fetched';
      const paint = middle(
        reports.map(({ audits }) => audits['largest-contentful-paint']?.numericValue ?? Number.NaN),
      );
      const speed = middle(reports.map(({ environment }) => environment.benchmarkIndex));
      const longest = middle(await several(() => longestTask(url + at)));
      console.log(
        `${name.padEnd(12)} ${scores} (machine at ${Math.round(speed)}); largest paint ${(paint / 1000).toFixed(1)} s; longest task ${longest.toFixed(0)} ms`,
      );
    }
  } finally {
    server.kill('SIGTERM');
  }
}

if (process.argv[1]?.endsWith('pages.ts')) await benchPages();
