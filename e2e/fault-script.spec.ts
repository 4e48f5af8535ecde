import { type ChildProcess, spawn } from 'node:child_process';
import { type Page, test } from '@playwright/test';
import { seededRandom } from '@sabor/core/random';
import { E2E_PORT } from '../playwright.config.ts';
import { bundled } from '../scripts/bundle.mjs';
import { openPool } from '../server/db/pool.ts';
import { expect, fresh, openNotes, PHONE } from './bench.ts';
import { makeTrial } from './make-trial.ts';

/**
 * The written fault script of the basin: while one wash day is tapped through, the server is killed fifty times at random
 * points, the network is cut for stretches and the page reloaded at random. Afterwards the stored day must be what was
 * tapped: nothing missing, nothing twice.
 */
const PORT = E2E_PORT + 1;
/** Fifty in the soak; fewer among the tests of every change, where the later steps are tapped through without notes. */
const KILLS = Number(process.env.SABOR_KILLS ?? 3);
const NOTED_STEPS = KILLS > 3 ? Number.POSITIVE_INFINITY : 3;

test.use({ viewport: PHONE, serviceWorkers: 'allow', baseURL: `http://127.0.0.1:${PORT}` });

let database: string;
let server: ChildProcess | null = null;

async function startServer(url = database): Promise<void> {
  const child = spawn(process.execPath, [await bundled('e2e/one-server.ts'), url, String(PORT)], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  server = child;
  await new Promise<void>((resolve) => child.stdout!.once('data', () => resolve()));
}

async function killServer(): Promise<void> {
  const child = server;
  server = null;
  if (!child) return;
  const gone = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGKILL');
  await gone;
}

test.beforeAll(async () => {
  database = await fresh('?bare');
  await startServer();
});
test.afterAll(killServer);

/** Waits until the page has been given to the worker that keeps it for times without a server. */
const keptForOffline = (page: Page) =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    if (!navigator.serviceWorker.controller)
      await new Promise((resolve) =>
        navigator.serviceWorker.addEventListener('controllerchange', resolve, { once: true }),
      );
  });

test('kills, cut stretches and reloads lose nothing and double nothing', async ({ page, context }) => {
  const random = seededRandom(20_265_431);
  await page.goto('/');
  await keptForOffline(page);
  await page.goto(`/trials/${await makeTrial(page, 'Through thick and thin?')}`);
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(page.getByRole('heading', { name: 'Detangle' })).toBeVisible();
  const [id] = /(?<=wash-days\/)[^/?]+/.exec(page.url())!;
  const before = await (await page.request.get(`/api/wash-days/${id}`)).json();

  let kills = 0;
  let reloads = 0;
  let cuts = 0;
  let starting: Promise<void> | null = null;
  /** Something goes wrong, or does not, at a random moment near the tap just made. */
  const trouble = async () => {
    await page.waitForTimeout(random.below(120));
    if (!starting && kills < KILLS && random.below(3) > 0) {
      kills++;
      await killServer();
      starting = startServer().finally(() => {
        starting = null;
      });
    }
    if (random.below(9) === 0) {
      cuts++;
      await context.setOffline(true);
      await page.waitForTimeout(200 + random.below(900));
      await context.setOffline(false);
    }
    if (random.below(8) === 0) {
      reloads++;
      await page.reload();
      await expect(
        page.getByText(/^Step \d+ of/).or(page.getByRole('heading', { name: 'The routine is through' })),
      ).toBeVisible();
    }
  };

  let taps = 0;
  const expected: Record<string, { marks: string[]; ideas: string[] }> = {};
  const open = (name: string) => openNotes(page, name);
  const tap = async (name: string) => {
    await page.getByRole('button', { name, exact: true }).click();
    taps++;
    await trouble();
  };
  const note = async (want: { marks: string[]; ideas: string[] }) => {
    for (const [label, mark] of [
      ['interrupted', 'interrupted'],
      ['dried, re-wet', 'dried-rewet'],
    ] as const) {
      await open('Changed something');
      await tap(label);
      want.marks.push(mark);
    }
    for (const [label, idea] of [
      ['leave it out', 'leave-out'],
      ['other place', 'other-place'],
      ['after a clarify', 'after-clarify'],
    ] as const) {
      await open('Next time');
      await tap(label);
      want.ideas.push(idea);
    }
    // Taken back again: it must not come back.
    await open('Next time');
    await tap('other place');
    want.ideas.splice(1, 1);
  };
  for (const [at, step] of before.steps.entries()) {
    const want = { marks: [] as string[], ideas: [] as string[] };
    expected[step.id] = want;
    if (at < NOTED_STEPS) await note(want);
    await page.getByRole('button', { name: /^Done( ·|$)/ }).click();
    taps++;
    await trouble();
    // The notes of the step before still stand there for a moment: what is opened now is the next one's.
    await expect(
      page.getByText(`Step ${at + 2} of`).or(page.getByRole('heading', { name: 'The routine is through' })),
    ).toBeVisible();
  }
  // However the moments fell, each kind of trouble has come three times.
  while (kills < KILLS || reloads < 3 || cuts < 3) {
    await (starting ?? Promise.resolve());
    await trouble();
  }
  await (starting ?? Promise.resolve());
  if (!server) await startServer();
  await page.goto(`/wash-days/${id}?step=end`);
  await expect(page.getByText('All of it is on the server.')).toBeVisible({ timeout: 180_000 });

  const after = await (await page.request.get(`/api/wash-days/${id}`)).json();
  expect(after.steps.map(({ id: stepId }: { id: string }) => stepId)).toEqual(Object.keys(expected));
  for (const step of after.steps) {
    expect(step.status).toBe('done');
    const want = expected[step.id]!;
    expect(step.marks.map(({ mark }: { mark: string }) => mark).sort()).toEqual([...want.marks].sort());
    expect(step.ideas.map(({ idea }: { idea: string }) => idea).sort()).toEqual([...want.ideas].sort());
  }
  // Order kept: steps were done one after the other.
  const done = after.steps.map(({ doneAt }: { doneAt: string }) => Date.parse(doneAt));
  expect([...done].sort((a, b) => a - b)).toEqual(done);
  const db = openPool(database);
  const { rows } = await db.query('select count(*)::int as n, count(refused)::int as refused from wash_tap');
  await db.end();
  expect(rows[0]).toEqual({ n: taps, refused: 0 });
  expect(kills).toBe(KILLS);
  expect(reloads).toBeGreaterThan(2);
  expect(cuts).toBeGreaterThan(2);
});

test('a first visit during the wash opens again without the server', { tag: '@soak' }, async ({
  page,
  browser,
}) => {
  if (!server) await startServer();
  await page.goto(`/trials/${await makeTrial(page, 'Seen before?')}`);
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(page.getByRole('heading', { name: 'Detangle' })).toBeVisible();
  const phone = await browser.newContext({
    viewport: PHONE,
    serviceWorkers: 'allow',
    baseURL: `http://127.0.0.1:${PORT}`,
  });
  const first = await phone.newPage();
  await first.goto(page.url());
  await expect(first.getByRole('heading', { name: 'Detangle' })).toBeVisible();
  await keptForOffline(first);
  // The trial, its head, the shelf and the settings are kept as they were heard.
  const heard = () =>
    first.evaluate(async () => {
      const all = await Promise.all(
        (await caches.keys()).map(async (name) => (await caches.open(name)).keys()),
      );
      return all.flat().filter(({ url }) => url.includes('/api/')).length;
    });
  await expect.poll(heard, { timeout: 180_000 }).toBeGreaterThanOrEqual(4);
  await killServer();
  await first.reload();
  await expect(first.getByRole('heading', { name: 'Detangle' })).toBeVisible();
  await first.getByRole('button', { name: /^Done( ·|$)/ }).click();
  await expect(first.getByText(/The server does not answer. 1 tap kept on this phone/)).toBeVisible();
  await startServer();
  await expect(first.getByText('All of it is on the server.')).toBeVisible();
  await phone.close();
});

test('taps wait for their own Sabor: another’s data on the same address neither takes nor loses them', {
  tag: '@soak',
}, async ({ page }) => {
  const another = await fresh('?bare');
  if (!server) await startServer();
  await page.goto('/');
  await keptForOffline(page);
  await page.goto(`/trials/${await makeTrial(page, 'Whose taps are these?')}`);
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(page.getByText('All of it is on the server.')).toBeVisible();
  const [id] = /(?<=wash-days\/)[^/?]+/.exec(page.url())!;
  await killServer();
  await openNotes(page, 'Changed something');
  await page.getByRole('button', { name: 'interrupted', exact: true }).click();
  await page.getByRole('button', { name: /^Done( ·|$)/ }).click();
  await expect(page.getByText(/The server does not answer. 2 taps kept on this phone/)).toBeVisible();
  await startServer(another);
  await expect(
    page.getByText(/2 taps kept on this phone, not taken yet: These taps belong to another Sabor/),
  ).toBeVisible();
  await killServer();
  await startServer();
  await expect(page.getByText('All of it is on the server.')).toBeVisible();
  const day = await (await page.request.get(`/api/wash-days/${id}`)).json();
  expect(day.steps[0]).toMatchObject({ status: 'done', marks: [{ mark: 'interrupted' }] });
});

test('a whole half-head wash day from one hand, the server gone in the middle, is found complete after', {
  tag: '@soak',
}, async ({ page, context }) => {
  if (!server) await startServer();
  await page.goto('/');
  await keptForOffline(page);
  await page.goto(
    `/trials/${await makeTrial(page, 'An hour in the cellar?', undefined, 8, { design: 'half' })}`,
  );
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(page.getByRole('heading', { name: 'Detangle' })).toBeVisible();
  const [id] = /(?<=wash-days\/)[^/?]+/.exec(page.url())!;
  for (let n = 1; ; n++) {
    if (n === 3) {
      await context.setOffline(true);
      await killServer();
    }
    const through = page.getByRole('heading', { name: 'The routine is through' });
    await expect(page.getByText(`Step ${n} of`).or(through)).toBeVisible();
    if (await through.isVisible()) break;
    if (n === 5) {
      await page.reload();
      await expect(page.getByText(`Step ${n} of`)).toBeVisible();
    }
    if (n === 6) await expect(page.getByText(/left half$/).first()).toBeVisible();
    await page.getByRole('button', { name: /^Done( ·|$)/ }).click();
  }
  await page.getByRole('button', { name: 'much', exact: true }).first().click();
  await expect(page.getByText(/The server does not answer\. \d+ taps kept on this phone/)).toBeVisible();
  await page.getByRole('button', { name: 'Finish the routine' }).click();
  await expect(page.getByRole('heading', { name: 'Check-ins' })).toBeVisible();
  await startServer();
  await context.setOffline(false);
  await expect
    .poll(
      async () => {
        const day = await (await page.request.get(`/api/wash-days/${id}`)).json();
        return `${day.status} ${day.strain} ${day.steps.filter(({ status }: { status: string }) => status === 'done').length}/${day.steps.length}`;
      },
      { timeout: 40_000 },
    )
    .toMatch(/^worn 3 (\d+)\/\1$/);
});
