import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { chromium as browserType, type Page } from '@playwright/test';
import { chromium } from '../../playwright.config.ts';
import { root } from '../install.mjs';
import { freePort } from '../postgres/cluster.ts';

const BENCH = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
const folder = path.join(root, 'docs', 'screenshots');

interface Picture {
  name: string;
  size: typeof BENCH;
  whole?: boolean;
  /** Brings the page to the view. */
  go: (page: Page, base: string) => Promise<unknown>;
}

const open = (route: string) => (page: Page, base: string) => page.goto(base + route);

async function trialId(page: Page, base: string, status: string, question = ''): Promise<string> {
  const trials = (await (await page.request.get(`${base}/api/trials`)).json()) as {
    id: string;
    status: string;
    question: string;
  }[];
  return trials.find((trial) => trial.status === status && trial.question.includes(question))!.id;
}

/** The demo's photographs from an angle, of the trial of two gels, in the order they were taken. */
async function picturesFrom(
  angle: 'back' | 'close-up',
  page: Page,
  base: string,
): Promise<{ id: string; head: string; position: number }[]> {
  const ask = async (path: string) => (await page.request.get(`${base}/api${path}`)).json();
  const { wearerId } = await ask(`/trials/${await trialId(page, base, 'finished', 'Which gel')}`);
  const all = (await ask(`/wearers/${wearerId}/photographs`)) as {
    id: string;
    angle: string;
    takenAt: string;
    position: number;
  }[];
  return all
    .filter((one) => one.angle === angle)
    .sort((a, b) => Date.parse(a.takenAt) - Date.parse(b.takenAt))
    .map(({ id, position }) => ({ id, position, head: wearerId }));
}

async function startRunning(page: Page, base: string): Promise<void> {
  await page.goto(`${base}/trials/${await trialId(page, base, 'running')}`);
  const begin = page.getByRole('button', { name: /^Start wash day/ });
  await begin
    .or(page.getByRole('link', { name: /^Continue wash day/ }))
    .first()
    .click();
  await page.waitForURL('**/wash-days/**');
}

/** The same, past its first step: where an earlier picture left it, or just begun. */
async function pastFirstStep(page: Page, base: string): Promise<void> {
  await startRunning(page, base);
  const later = page.getByRole('button', { name: 'Later' });
  await later
    .or(page.getByText(/^Step \d+ of/))
    .first()
    .waitFor();
  if (await later.isVisible()) {
    await later.click();
    await page.getByRole('button', { name: /^Done( ·|$)/ }).click();
  }
  await page.getByText('Step 2 of').waitFor();
}

const PICTURES: readonly Picture[] = [
  { name: 'today', size: BENCH, go: open('/') },
  { name: 'shelf', size: BENCH, go: open('/shelf') },
  {
    name: 'board',
    size: BENCH,
    go: async (page, base) => {
      await page.goto(`${base}/board`);
      await page.getByRole('heading', { name: 'What would turn it' }).waitFor();
    },
  },
  {
    name: 'hair-file',
    size: BENCH,
    whole: true,
    go: async (page, base) => {
      await page.goto(`${base}/heads`);
      await page.getByRole('link', { name: 'Ines Falkenrath' }).click();
      await page.getByRole('button', { name: /^Front hairline, left/ }).click();
    },
  },
  {
    name: 'report',
    size: BENCH,
    go: async (page, base) => {
      await page.goto(base);
      await page.getByRole('link', { name: 'Read the comparison' }).first().click();
      await page.getByRole('heading', { name: 'The wash days as they were run' }).scrollIntoViewIfNeeded();
      await page.getByRole('link', { name: 'Make a report' }).click();
      await page.getByRole('article', { name: 'Preview' }).waitFor();
    },
  },
  {
    name: 'screen',
    size: BENCH,
    go: async (page, base) => {
      await page.goto(`${base}/screen`);
      await page.getByRole('list', { name: 'Products screened' }).waitFor();
    },
  },
  {
    name: 'verdict',
    size: BENCH,
    whole: true,
    go: async (page, base) => {
      await page.goto(base);
      await page.getByRole('link', { name: 'Read the comparison' }).first().click();
      await page.getByRole('heading', { name: 'The wash days as they were run' }).scrollIntoViewIfNeeded();
      await page.getByRole('link', { name: 'Write the verdict on Kelp Fold Gel' }).click();
      await page.getByLabel('Score out of ten').fill('8.5');
      await page
        .getByLabel('Why', { exact: true })
        .fill('The best gel for damp evenings. More defined than Anvil Gel, and as good as Brine Foam.');
      await page.getByText(/^Claims of the label/).click();
      await page.getByRole('button', { name: 'Save the verdict' }).click();
      await page.getByRole('heading', { name: 'It says more than the figures' }).waitFor();
    },
  },
  {
    name: 'photo-bench',
    size: BENCH,
    whole: true,
    go: async (page, base) => {
      const [first, again, , other] = await picturesFrom('back', page, base);
      const [near] = await picturesFrom('close-up', page, base);
      const ids = [first, again, other, near].map((one) => `photograph=${one!.id}`);
      await page.goto(`${base}/photo-bench?${ids.join('&')}`);
      for (const n of [0, 1, 2, 3])
        await page
          .getByRole('article')
          .nth(n)
          .getByText('Kept with its wash day')
          .waitFor({ timeout: 90_000 });
    },
  },
  { name: 'calendar', size: BENCH, go: open('/calendar') },
  {
    name: 'plan',
    size: BENCH,
    whole: true,
    go: async (page, base) => {
      await page.goto(`${base}/trials/new/plan`);
      await page.getByLabel('In a sentence').fill('Which of three holds keeps Tomasz defined?');
      await page.getByLabel('Whose hair').selectOption('Tomasz Adeyinka-Holm');
      await page.getByLabel('Design', { exact: true }).selectOption('half-head, three options');
      await page.getByLabel('Routine', { exact: true }).selectOption('Coast wash-and-go');
      await page.getByRole('checkbox', { name: /^Hold/ }).check();
      for (const [arm, product] of [
        [/Option A/, 'Anvil Gel'],
        [/Option B/, 'Kelp Fold Gel'],
        [/Option C/, 'Sedge Jelly'],
      ] as const)
        await page.getByRole('group', { name: arm }).getByLabel('Gel or foam (hold)').selectOption(product);
      await page.getByRole('button', { name: 'Simulate this plan' }).click();
      await page.getByText(/fewest of these|None of these/).waitFor({ timeout: 60_000 });
    },
  },
  {
    name: 'trial',
    size: BENCH,
    whole: true,
    go: async (page, base) =>
      page.goto(`${base}/trials/${await trialId(page, base, 'finished', 'Three holds')}`),
  },
  {
    name: 'comparison',
    size: BENCH,
    whole: true,
    go: async (page, base) => {
      await page.goto(`${base}/trials/${await trialId(page, base, 'finished', 'Which gel')}/compare`);
      // What is fetched once it is nearly in view.
      await page.getByRole('heading', { name: 'How long it lasts, and what it costs' }).waitFor();
      await page.evaluate(`(async () => {
        for (let y = 0; y < document.body.scrollHeight; y += 400) {
          scrollTo(0, y);
          await new Promise((next) => setTimeout(next, 200));
        }
      })()`);
      await page.getByRole('heading', { name: 'In words, option by option' }).waitFor();
      await page.getByRole('row', { name: /^frizz halo, from behind/ }).waitFor();
      await page.getByRole('heading', { level: 1 }).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'light-table',
    size: BENCH,
    go: async (page, base) => {
      const all = await picturesFrom('back', page, base);
      const wear = all.filter(({ position }) => position === 7);
      await page.goto(
        `${base}/light-table?${[`head=${wear[0]!.head}`, ...wear.map(({ id }) => `photograph=${id}`)].join('&')}`,
      );
      await page.getByText('Laid by the card').waitFor();
    },
  },
  {
    name: 'lay-out',
    size: PHONE,
    go: async (page, base) => {
      await page.goto(`${base}/trials/${await trialId(page, base, 'running')}/lay-out`);
      await page.getByRole('checkbox', { name: /Sedge Jelly/ }).waitFor();
      await page.getByRole('checkbox', { name: /Low Tide/ }).check();
      await page.getByRole('button', { name: 'Not here' }).nth(1).click();
    },
  },
  {
    name: 'basin-step',
    size: PHONE,
    go: async (page, base) => {
      await startRunning(page, base);
      await page.getByRole('button', { name: 'Later' }).click();
      await page.getByRole('button', { name: /^Done( ·|$)/ }).click();
      await page.getByText('Step 2 of').waitFor();
      await page.getByRole('button', { name: 'Start 3 min' }).click();
      await page.getByRole('timer').waitFor();
      await page.reload();
      await page.getByRole('timer').waitFor();
    },
  },
  {
    name: 'basin-hand',
    size: PHONE,
    go: async (page, base) => {
      await pastFirstStep(page, base);
      const start = page.getByRole('button', { name: 'Start 3 min' });
      const meanwhile = page.getByRole('button', { name: 'Next step meanwhile' });
      await start.or(meanwhile).first().waitFor();
      if (await start.isVisible()) await start.click();
      await meanwhile.click();
      await page.getByText('Step 3 of').waitFor();
      await page.getByRole('button', { name: /^Notes/ }).click();
      await page.getByRole('button', { name: 'glides' }).click();
      await page.getByRole('button', { name: 'even', exact: true }).click();
      await page.getByText('All of it is on the server.').waitFor();
      // Without the message about the last tap.
      await page.reload();
      await page.getByRole('button', { name: /^Notes/ }).click();
    },
  },
  {
    name: 'basin-check-in',
    size: PHONE,
    go: async (page, base) => {
      await pastFirstStep(page, base);
      const through = page.getByRole('heading', { name: 'The routine is through' });
      for (let step = 2; !(await through.isVisible()); step++) {
        await page.getByText(`Step ${step} of`).waitFor();
        await page.getByRole('button', { name: /^Done( ·|$)/ }).click();
        await page
          .getByText(`Step ${step + 1} of`)
          .or(through)
          .waitFor();
      }
      await page.getByRole('button', { name: 'Finish the routine' }).click();
      await page.getByRole('link', { name: 'Check in: Finished hair, day 1' }).click();
      await page.getByRole('button', { name: 'go on by itself' }).click();
      await page.getByRole('button', { name: 'Rate 7', exact: true }).click();
      await page.getByRole('button', { name: 'Crown, left: 7' }).click();
      await page.getByRole('button', { name: 'Rate 5', exact: true }).click();
      await page.getByRole('button', { name: 'Crown, left: 5' }).waitFor();
      await page.reload();
      await page.getByRole('button', { name: 'Crown, left: 5' }).waitFor();
    },
  },
  {
    name: 'wash-day',
    size: BENCH,
    whole: true,
    go: async (page, base) => {
      const trial = await trialId(page, base, 'finished');
      const { washDayRecords } = (await (await page.request.get(`${base}/api/trials/${trial}`)).json()) as {
        washDayRecords: { id: string }[];
      };
      await page.goto(`${base}/wash-days/${washDayRecords[0]!.id}`);
      await page.getByRole('heading', { name: /What was done/ }).waitFor();
    },
  },
  {
    name: 'own',
    size: PHONE,
    // A rater's device, let in by a code: hair that waits, and nothing of what was used on it.
    go: async (page, base) => {
      const tell = async (method: 'put' | 'post' | 'patch', path: string, data: object) => {
        const answer = await page.request[method](`${base}/api${path}`, { data });
        return answer.status() === 204 ? null : answer.json();
      };
      const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();
      const day = crypto.randomUUID();
      const trial = await trialId(page, base, 'planned');
      await tell('put', `/wash-days/${day}`, { trialId: trial, startedAt: ago(120) });
      const taps = [{ kind: 'finish', id: crypto.randomUUID(), at: ago(60) }];
      await tell('post', `/wash-days/${day}/taps`, { device: 'phone', taps });
      await tell('patch', `/wash-days/${day}`, { washedAt: ago(110), dryAt: ago(30), revealAt: ago(20) });
      await tell('put', '/access/open', { open: true });
      const person = crypto.randomUUID();
      await tell('put', `/people/${person}`, { name: 'Wim Aster', role: 'rater' });
      const { links } = await tell('post', `/people/${person}/invitations`, {});
      await page.goto(links[0]);
      await page.getByRole('link', { name: /day 1/ }).click();
      await page.getByRole('button', { name: 'Rate 7' }).click();
    },
  },
];

async function answers(base: string): Promise<void> {
  for (let wait = 0; wait < 300; wait++) {
    if (
      await fetch(`${base}/healthz`).then(
        (response) => response.ok,
        () => false,
      )
    )
      return;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  throw new Error('The server for the pictures did not start.');
}

/** Takes pictures anew from a throwaway Sabor with the demo in it: those named, or every one. */
export async function takePictures(names: readonly string[] = []): Promise<void> {
  const wanted = PICTURES.filter(({ name }) => names.length === 0 || names.includes(name));
  mkdirSync(folder, { recursive: true });
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, ['--import', 'tsx', 'e2e/serve.ts', String(port)], {
    cwd: root,
    stdio: 'inherit',
  });
  // The door’s certificate is its own authority’s.
  const browser = await browserType.launch({
    ...chromium,
    args: [...chromium.args, '--ignore-certificate-errors'],
  });
  try {
    await answers(base);
    for (const { name, size, whole, go } of wanted) {
      const page = await browser.newPage({ viewport: size, locale: 'en-GB', reducedMotion: 'reduce' });
      page.setDefaultTimeout(15_000);
      await go(page, base);
      await page.getByRole('heading').first().waitFor();
      // A wash day that is followed always has a question under way.
      await page.waitForLoadState('networkidle', { timeout: 3000 }).catch(() => {});
      // A page that still fetches is no picture of it.
      await page.getByText(/^Fetching .* …$/).waitFor({ state: 'detached' });
      await page.evaluate('document.fonts.ready');
      await page.waitForTimeout(300);
      await page.screenshot({ path: path.join(folder, `${name}.png`), fullPage: whole ?? false });
      await page.close();
      console.log(`  ✓ ${name}.png`);
    }
  } finally {
    await browser.close();
    server.kill('SIGTERM');
    await new Promise((resolve) => server.once('exit', resolve));
  }
}
