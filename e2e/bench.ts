import { test as base, type Locator, type Page, expect as playwrights } from '@playwright/test';
import { E2E_PORT, WHOLE } from '../playwright.config.ts';

/**
 * Playwright's own, but for the commonest of its checks: where that finds nothing yet, it writes out the whole page at each look,
 * to tell it should the test fail. What is waited for is looked for alone; what does not come is told as ever.
 */
export const expect = playwrights.extend({
  async toBeVisible(locator: Locator, options?: { timeout?: number }) {
    const state = this.isNot ? 'hidden' : 'visible';
    try {
      await locator.waitFor({ state, timeout: options?.timeout ?? this.timeout });
    } catch {
      const told = playwrights(locator);
      await (this.isNot ? told.not : told).toBeVisible({ timeout: 1 });
    }
    return { pass: !this.isNot, message: () => '' };
  },
});

/** Asks the server of the tests for something fresh: the address of a bench of its own, full or empty, or of a bare database. */
export async function fresh(what: '' | '?bare' | '?empty' = ''): Promise<string> {
  const answer = await fetch(`http://127.0.0.1:${E2E_PORT}/fresh${what}`);
  const address = await answer.text();
  if (!answer.ok) throw new Error(address);
  return address;
}

/** Benches by test file. */
const benches = new Map<string, Promise<string>>();
const benchOf = (file: string) => {
  if (!benches.has(file)) benches.set(file, fresh());
  return benches.get(file)!;
};

/**
 * Each test file works on a server and a database of its own, copied from the demo; its tests share them, in order. Every
 * browser test also fails on an error in the console: a blocked resource, a crash, a warning of React’s.
 */
export const test = base.extend<{ quiet: undefined; breaks: boolean }>({
  /** Answers of this test break as a server's do, in the five hundreds: the browser tells so in the console. */
  breaks: [false, { option: true }],
  // biome-ignore lint/correctness/noEmptyPattern: Playwright reads what a fixture needs from this pattern
  baseURL: async ({}, use, { file }) => use(await benchOf(file)),
  quiet: [
    async ({ page, breaks }, use) => {
      const told = breaks ? /status of [45]\d\d|ERR_FAILED/ : /status of 4\d\d|ERR_FAILED/;
      const noise: string[] = [];
      page.on('pageerror', (error) => noise.push(error.message));
      page.on('console', (message) => {
        if (message.type() === 'error' && !told.test(message.text())) noise.push(message.text());
      });
      await use(undefined);
      expect(noise).toEqual([]);
    },
    { auto: true },
  ],
});
export { WHOLE };

export const PHONE = { width: 390, height: 844 };
export const BENCH = { width: 1280, height: 800 };

/** The first, a message that may be gone a moment later, say, lies over none of the others. */
export async function expectApart(first: Locator, ...others: Locator[]): Promise<void> {
  const a = (await first.boundingBox())!;
  for (const other of others) {
    const b = (await other.boundingBox())!;
    const [across, down] = [
      a.x < b.x + b.width && b.x < a.x + a.width,
      a.y < b.y + b.height && b.y < a.y + a.height,
    ];
    expect(across && down, String(other)).toBe(false);
  }
}

/** Runs a wash day from its start button to the end of the routine, every step as planned. */
export async function runWashDay(
  page: Page,
  n: number,
  air: { temperature: string; humidity: string },
): Promise<void> {
  await page.getByRole('button', { name: `Start wash day ${n}` }).click();
  await page.getByLabel('Temperature').fill(air.temperature);
  await page.getByLabel('Humidity').fill(air.humidity);
  await page.getByRole('button', { name: 'To the first step' }).click();
  for (let step = 1; ; step++) {
    const through = page.getByRole('heading', { name: 'The routine is through' });
    await expect(page.getByText(`Step ${step} of`).or(through)).toBeVisible();
    if (await through.isVisible()) break;
    await page.getByRole('button', { name: /^Done( ·|$)/ }).click();
  }
  await page.getByRole('button', { name: 'Finish the routine' }).click();
  await expect(page.getByRole('heading', { name: 'Check-ins' })).toBeVisible();
}

/** Rates every counting zone on day 1 for the first two outcomes, then ends the wear. */
export async function lookAndEnd(page: Page, definition: number, frizz: number): Promise<void> {
  await page.getByRole('link', { name: 'Check in: Finished hair, day 1' }).click();
  await page.getByRole('button', { name: `Rate ${definition}`, exact: true }).click();
  // The next outcome follows by itself.
  await expect(page.getByRole('button', { name: 'Frizz', exact: true, pressed: true })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Definition\s*, rated$/ })).toBeVisible();
  await page.getByRole('button', { name: `Rate ${frizz}`, exact: true }).click();
  await expect(page.getByRole('button', { name: /^Frizz\s*, rated$/ })).toBeVisible();
  await page.getByRole('link', { name: /^Wash day/ }).click();
  await page.getByRole('button', { name: 'Save how it ended' }).click();
}

/** Opens the notes over a step, and one part of them. */
export async function openNotes(page: Page, part: string): Promise<void> {
  const parts = page.getByRole('group', { name: 'Notes on' });
  // Notes that were open as a step ended close with it, perhaps in this very moment: they are opened again then.
  await expect(async () => {
    if (!(await parts.isVisible()))
      await page.getByRole('button', { name: /^Notes/ }).click({ timeout: 5000 });
    await parts.getByRole('button', { name: new RegExp(`^${part}`) }).click({ timeout: 5000 });
  }).toPass({ timeout: 60_000 });
}
