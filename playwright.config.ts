import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';
import { CHROMIUMS } from './scripts/install.mjs';

/** Where the server of the browser tests listens, the one that gives each file its own. */
export const E2E_PORT = Number(process.env.SABOR_E2E_PORT ?? 4879);

/** In the soak (SABOR_WHOLE=yes) what is long is walked whole (docs/decisions/015). */
export const WHOLE = process.env.SABOR_WHOLE === 'yes';

/** Debian's Chromium, and nothing it would reach for outside this machine. */
export const chromium = {
  executablePath: CHROMIUMS.find((path) => existsSync(path)) ?? CHROMIUMS[0]!,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

export default defineConfig({
  testDir: 'e2e',
  ...(WHOLE ? {} : { grepInvert: /@soak/ }),
  outputDir: 'e2e/results',
  timeout: 600_000,
  // Nothing here judges speed: a slow machine is waited for.
  expect: { timeout: 60_000 },
  // A browser test waits now and then, for the server or for what a page shows: three keep two processors at work.
  workers: Number(process.env.SABOR_E2E_WORKERS ?? 3),
  retries: 0,
  reporter: process.env.SABOR_E2E_REPORT
    ? [['line'], ['json', { outputFile: process.env.SABOR_E2E_REPORT }]]
    : 'line',
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // Kept pages would answer for the server under test; the tests of working without it let them in.
    serviceWorkers: 'block',
    launchOptions: chromium,
    trace: 'off',
    // A file's tests hand their page on, its storage emptied: a page of its own would read and compile all scripts anew each time.
    reuseContext: true,
    actionTimeout: 60_000,
  },
  webServer: {
    command: `node --import tsx e2e/serve.ts ${E2E_PORT}`,
    url: `http://127.0.0.1:${E2E_PORT}/healthz`,
    timeout: 120_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 15_000 },
  },
});
