import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import { BENCH, expect, fresh, PHONE, test, WHOLE } from './bench.ts';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface Violation {
  id: string;
  impact: string;
  nodes: { html: string }[];
}

test.describe.configure({ mode: 'parallel' });

/** All of axe-core's rules but the one that takes half of its time. */
const NO_COLOURS = { rules: { 'color-contrast': { enabled: false } } };

/** What axe-core finds wrong, of all its rules or as its options say; what it calls minor is let be. */
async function violations(page: Page, only: object = {}, within = 'html'): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe);
  // Colours on their way from one to another are neither.
  await page.evaluate(() =>
    Promise.allSettled(document.getAnimations().map((animation) => animation.finished)),
  );
  const found = await page.evaluate(
    async ([only, within]) => {
      const { axe } = window as unknown as {
        axe: { run: (within: string, options: object) => Promise<{ violations: Violation[] }> };
      };
      const options = { resultTypes: ['violations'], ...only };
      return (await axe.run(within, options)).violations;
    },
    [only, within] as const,
  );
  return found
    .filter(({ impact }) => impact !== 'minor')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`);
}

/** What a value that was not turned into words leaves on a page. */
const SLIPS = /\[object |\b(undefined|NaN|Infinity|null)\b/;

/** Every screen of the demo, by its address and a heading that shows once it is there. */
async function screens(page: Page): Promise<[string, RegExp][]> {
  const trials = (await (await page.request.get('/api/trials')).json()) as {
    id: string;
    status: string;
    blind: boolean;
  }[];
  const blind = trials.find(({ blind }) => blind)!;
  const finished = trials.find(({ status }) => status === 'finished')!;
  const detail = await (await page.request.get(`/api/trials/${finished.id}`)).json();
  const wearers = (await (await page.request.get('/api/wearers')).json()) as { id: string }[];
  const routines = (await (await page.request.get('/api/routines')).json()) as { id: string }[];
  const shelf = await (await page.request.get('/api/shelf')).json();
  const { places } = (await (await page.request.get('/api/weather')).json()) as {
    places: { id: string; station: string | null }[];
  };
  const verdicts = (await (await page.request.get('/api/verdicts')).json()) as { id: string; name: string }[];
  const washDay = detail.washDayRecords[0].id as string;
  return [
    ['/', /^Today$/],
    ['/phone', /^Let my phone in$/],
    ['/welcome', /^This is the laptop itself$/],
    ['/sign-in', /^Sign in to Sabor$/],
    ['/shelf', /^Shelf$/],
    ['/shelf/new', /^A new product$/],
    [`/shelf/${shelf.products[0].id}`, /^From the label$/],
    [`/shelf/${shelf.products[0].id}/edit`, new RegExp(shelf.products[0].name)],
    [`/verdicts/${verdicts[0]!.id}`, new RegExp(verdicts[0]!.name)],
    [`/verdicts/${verdicts[0]!.id}?anew`, /^What will stand beside it$/],
    ['/heads', /^Heads$/],
    [`/heads/${wearers[0]!.id}`, /^Evidence$/],
    [`/heads/${wearers[0]!.id}?part=measured`, /^Measured$/],
    [`/heads/${wearers[0]!.id}?part=history`, /^History$/],
    [`/heads/${wearers[0]!.id}?part=care`, /^Care due$/],
    [`/heads/${wearers[0]!.id}?part=drying`, /^Drying$/],
    [`/heads/${wearers[0]!.id}?part=wishes`, /^Wishes$/],
    [`/heads/${wearers[0]!.id}?part=verdicts`, /^Verdicts$/],
    ['/verdicts/new?way', /^On a technique, tool or style$/],
    [`/heads/${wearers[0]!.id}/edit`, /Head map/],
    ['/routines', /^Routines$/],
    [`/routines/${routines[0]!.id}`, /Coast wash-and-go/],
    ['/trials', /^Trials$/],
    [`/trials/${finished.id}`, /step by step/],
    ['/trials/new/plan', /^Plan a trial$/],
    [`/trials/${trials.find(({ status }) => status === 'planned')!.id}/plan`, /^Before it starts$/],
    [`/trials/${finished.id}/compare`, /Over the days/],
    [`/trials/${finished.id}/report`, /^Take it away$/],
    [`/trials/${trials.find(({ status }) => status === 'planned')!.id}/sample`, /Over the days/],
    [`/wash-days/${washDay}`, /What was done/],
    [`/wash-days/${washDay}/look/day-1`, /^Finished hair, day 1$/],
    [`/wash-days/${washDay}/photographs/day-1`, /^Photographs: Finished hair, day 1$/],
    [`/trials/${trials.find(({ status }) => status === 'running')!.id}/lay-out`, /^Lay out for wash day/],
    [`/side-by-side?a=${finished.id}`, /^Step by step$/],
    [`/trials/${blind.id}`, /^Blind$/],
    [`/trials/${blind.id}/codes`, /^The key$/],
    ['/shelf/import', /^Products from a file$/],
    ['/shelf/buying', /^What runs out$/],
    ['/wash-days', /^Wash days$/],
    ['/calendar', /^Day by day$/],
    ['/calendar?span=week', /^Day by day$/],
    ['/wash-days/new', /^Log a wash day$/],
    ['/wash-days/import', /^Import wash days$/],
    ['/shelf/mixes', /^Flaxseed gel$/],
    ['/screen', /^Screen$/],
    [`/screen/label?product=${shelf.products[0].id}`, /^How much of what$/],
    [`/heads/${wearers[0]!.id}?part=build-up`, /^Build-up$/],
    ['/weather', /^Weather$/],
    ['/weather/new', /^Add a place$/],
    [`/weather/${places.find(({ station }) => station)!.id}`, /^The week ahead$/],
    [`/weather/${places[0]!.id}/edit`, /^Usual months$/],
    ['/help', /^What the words mean$/],
    ['/photo-bench', /^Print a card$/],
    ['/light-table', /^Photographs$/],
    ['/board', /^Who is first$/],
    ['/board?head=several', /^Kelp Fold Gel against Anvil Gel$/],
    ['/data', /^Data$/],
  ];
}

/** Goes to an address within the page that is open, as its links do; the page itself is loaded once. */
async function visit(page: Page, path: string, heading?: string | RegExp): Promise<void> {
  const named = heading ? page.getByRole('heading', { name: heading }) : null;
  // The screen that is left may have a heading of that name too.
  await named?.evaluateAll((all) => {
    for (const one of all) one.setAttribute('data-left', '');
  });
  await page.evaluate((path) => {
    history.pushState({}, '', path);
    dispatchEvent(new PopStateEvent('popstate', { state: {} }));
  }, path);
  await named?.and(page.locator(':not([data-left])')).first().waitFor();
}

/** Widths at which a page must not scroll sideways, beside those of bench and phone: small phones, a laptop's 200 % zoom, tablets, a wide screen. */
const WIDTHS = [360, 640, 768, 1024, 1920];

/** A page that never is wider than its window; a chart follows its place a moment later. */
async function staysWithin(page: Page, path: string, widths: readonly number[]): Promise<void> {
  for (const width of widths) {
    if (page.viewportSize()!.width !== width) await page.setViewportSize({ width, height: 800 });
    await expect
      .soft(async () =>
        expect(
          await page.evaluate(() => document.documentElement.scrollWidth),
          `${path} at ${width}`,
        ).toBeLessThanOrEqual(width),
      )
      .toPass({ timeout: 60_000 });
  }
}

/**
 * axe-core takes as long as all else a test does. The soak has it look at every page at the bench and at a phone, and tries every
 * width; among the tests of every change it looks at every fourth page at the bench, at another fourth at a phone, and tries the
 * smallest width and, on every second page, one more: by turns, so that next to each other all that pages share is seen in each
 * way.
 */
const looks = (nth: number) =>
  WHOLE
    ? { bench: true, phone: true, widths: WIDTHS }
    : {
        bench: nth % 4 === 0,
        phone: nth % 4 === 2,
        widths: nth % 2 ? [360, nth % 4 === 1 ? 640 : 1920] : [360],
      };

/** The screens are walked in parts, side by side. */
const PARTS = 4;
for (let part = 0; part < PARTS; part++)
  test(`axe finds nothing on any screen, nothing scrolls sideways at any width nor at twice its size, ${part + 1} of ${PARTS}`, async ({
    page,
  }) => {
    await page.goto('/help');
    const own = (await screens(page)).filter((_, i) => i % PARTS === part);
    for (const [nth, [path, heading]] of own.entries()) {
      const look = looks(nth + part);
      await page.emulateMedia({ colorScheme: 'light' });
      await page.setViewportSize(BENCH);
      await visit(page, path, heading);
      if (look.bench) expect.soft(await violations(page), `${path} at the bench`).toEqual([]);
      expect.soft(await page.locator('body').textContent(), path).not.toMatch(SLIPS);
      await staysWithin(page, path, [BENCH.width]);
      // A phone's page is the same in the dark but for its colours, and in the light it has those of the bench.
      if (look.phone) {
        await page.emulateMedia({ colorScheme: 'dark' });
        await page.setViewportSize(PHONE);
        expect.soft(await violations(page), `${path} at a phone, in the dark`).toEqual([]);
        await staysWithin(page, path, [PHONE.width]);
      }
      await staysWithin(page, path, look.widths);
    }
  });

test('a trial with a long question does not run off the side of a phone', async ({ page }) => {
  await page.goto('/help');
  await page.setViewportSize(PHONE);
  const trials = (await (await page.request.get('/api/trials')).json()) as { id: string; question: string }[];
  for (const { id, question } of trials.sort((a, b) => b.question.length - a.question.length).slice(0, 2)) {
    await visit(page, `/trials/${id}`, question);
    await staysWithin(page, question, [PHONE.width]);
  }
});

test('axe finds nothing in the conductor', async ({ page }) => {
  const trials = (await (await page.request.get('/api/trials')).json()) as { id: string; status: string }[];
  const planned = trials.find(({ status }) => status === 'planned')!;
  const id = crypto.randomUUID();
  const started = await page.request.put(`/api/wash-days/${id}`, {
    data: { trialId: planned.id, startedAt: new Date().toISOString() },
  });
  const open = started.ok()
    ? id
    : (await (await page.request.get(`/api/trials/${planned.id}`)).json()).washDayRecords.at(-1).id;
  const steps = (await (await page.request.get(`/api/wash-days/${open}`)).json()).steps as { id: string }[];
  // A small phone, a usual one, and a tablet on its side.
  for (const viewport of [
    { width: 360, height: 640 },
    PHONE,
    ...(WHOLE ? [{ width: 1024, height: 600 }] : []),
  ]) {
    await page.setViewportSize(viewport);
    for (const step of ['air', 'end', steps[2]!.id]) {
      await page.goto(`/wash-days/${open}?step=${step}`);
      await page.getByRole('heading').first().waitFor();
      if (WHOLE || viewport === PHONE) expect(await violations(page), step).toEqual([]);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth);
      expect(wide, `${step} at ${viewport.width}`).toBeLessThanOrEqual(viewport.width);
      for (const name of ['Done', 'Keep it, go on', 'Finish the routine', 'To the first step']) {
        const button = page.getByRole('button', { name });
        if ((await button.count()) === 0) continue;
        const box = (await button.boundingBox())!;
        expect(box.y + box.height, `${name} at ${viewport.height}`).toBeLessThanOrEqual(viewport.height);
        expect(box.height).toBeGreaterThanOrEqual(64);
      }
      // The step itself: what is over it comes after, and one tap away. Laid out as on any phone, it is looked at on one.
      const notes = page.getByRole('button', { name: /^Notes/ });
      if ((await notes.count()) === 0) continue;
      const foot = page.getByRole('button', { name: /^(Back|Skip …|Change|Notes.*)$/ });
      expect(await foot.count(), 'beside the one that matters').toBeLessThan(5);
      if (viewport !== PHONE) continue;
      await notes.click();
      for (const part of await page.getByRole('group', { name: 'Notes on' }).getByRole('button').all()) {
        await part.click();
        expect(await violations(page), `${step} ${await part.textContent()}`).toEqual([]);
      }
      await page.getByRole('button', { name: 'Back to the step' }).click();
      await page.getByRole('button', { name: 'Change', exact: true }).click();
      await page.getByRole('heading', { name: 'What was really done' }).waitFor();
      expect(await violations(page), `${step} changed`).toEqual([]);
    }
  }
});

test('axe finds nothing in dialogs, opened lists, explained words and refused sheets', {
  tag: '@soak',
}, async ({ page }) => {
  const trials = (await (await page.request.get('/api/trials')).json()) as { id: string; question: string }[];
  // By its name: the test before may have begun a wash day of another one.
  const running = trials.find(({ question }) => question.startsWith('Foam or jelly'))!.id;
  const sound = async (what: string) => expect.soft(await violations(page), what).toEqual([]);
  const button = (name: string | RegExp) => page.getByRole('button', { name }).first();
  const dialogs: [string, string | RegExp][] = [
    ['/', 'Keys and help'],
    ['/', 'Search'],
    ['/shelf', 'Add a line'],
    [`/trials/${running}`, 'End the trial early'],
    [`/trials/${running}`, 'Change the plan (goes on record)'],
    [`/trials/${running}`, 'Change a step (goes on record)'],
    [`/trials/${running}`, 'Enter a past one'],
  ];
  await page.goto('/help');
  for (const viewport of [BENCH, PHONE]) {
    await page.setViewportSize(viewport);
    for (const [path, name] of dialogs) {
      await visit(page, path);
      await button(name).click();
      await page.getByRole('dialog').waitFor();
      // What lies behind a dialog is dimmed and out of reach.
      expect
        .soft(await violations(page, undefined, '[role=dialog]'), `${name} at ${viewport.width}`)
        .toEqual([]);
      await page.keyboard.press('Escape');
      await expect(page.getByRole('dialog')).toHaveCount(0);
    }
  }
  await page.setViewportSize(BENCH);

  // Everything that can be refused, refused at once; a list and a calendar open, a word explained.
  for (const path of ['/shelf/new', '/heads/new', '/routines/new', '/trials/new/plan', '/weather/new']) {
    await visit(page, path, /./);
    await button(/^Save the/).click();
    await page.getByRole('alert').first().waitFor();
    await sound(`${path} refused`);
  }
  await page.goto('/trials/new/plan');
  await button('Which of two …').click();
  await page.getByText('The numbers:').click();
  await page.getByText('Choose what is asked').click();
  await button('one outcome').click();
  await page.getByRole('note').waitFor();
  await sound('the plan unfolded');
  await page.goto('/wash-days/new');
  await button('Calendar').click();
  await page.getByRole('grid').waitFor();
  await sound('a calendar of days');
  await page.goto('/nowhere');
  await page.getByRole('heading', { name: 'There is no such page.' }).waitFor();
  await sound('no such page');
  await page.route('**/api/shelf', (route) => route.abort());
  await page.goto('/shelf');
  await page.getByRole('alert').first().waitFor({ timeout: 20_000 });
  await sound('a shelf that does not come');
});

test('axe finds nothing on an empty Sabor', async ({ page }) => {
  const empty = await fresh('?empty');
  await page.goto(`${empty}/help`);
  for (const [nth, path] of [
    '/',
    '/shelf',
    '/shelf/buying',
    '/heads',
    '/weather',
    '/screen',
    '/routines',
    '/trials',
    '/trials/new/plan',
    '/wash-days',
    '/calendar',
    '/board',
    '/data',
  ].entries()) {
    const { bench, phone } = looks(nth);
    await page.setViewportSize(bench ? BENCH : PHONE);
    await visit(page, path, /./);
    if (bench) expect.soft(await violations(page), `${path} empty at the bench`).toEqual([]);
    if (!phone) continue;
    await page.setViewportSize(PHONE);
    expect.soft(await violations(page, bench ? NO_COLOURS : {}), `${path} empty at a phone`).toEqual([]);
  }
});

/**
 * Bytes a page takes over the wire as they are sent: page, scripts and styles. Fonts, answers and the workers that reckon beside
 * the page are not counted; a worker’s size was told in some runs and not in others. `last`: what is drawn when all has come.
 */
async function sentFor(page: Page, path: string, heading: string | RegExp, last?: string): Promise<number> {
  // What is fetched once a page has settled (web/ui/undo.tsx) is no part of opening it; on a slow machine it comes meanwhile.
  await page.addInitScript(() => {
    const { setTimeout } = window;
    Object.assign(window, {
      setTimeout: (work: () => void, ms?: number) => (ms === 3000 ? 0 : setTimeout(work, ms)),
    });
  });
  const sizes: Promise<number>[] = [];
  page.on('requestfinished', (request) => {
    if (!/\.woff2$|\/api\/|\.worker-/.test(request.url()))
      // What is still on its way when the page closes has no size, and was not part of what is counted.
      sizes.push(
        request.sizes().then(
          ({ responseBodySize }) => responseBodySize,
          () => 0,
        ),
      );
  });
  await page.goto(path);
  await page.getByRole('heading', { name: heading }).first().waitFor();
  if (last) await page.locator(last).first().waitFor();
  await page.waitForLoadState('networkidle');
  expect(sizes.length).toBeGreaterThan(3);
  return (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0);
}

test('what the first screen is made of is compiled as it comes in', async ({ page }) => {
  const large: string[] = [];
  page.on('response', async (response) => {
    if (!/\/assets\/.*\.js$/.test(response.url())) return;
    const text = await response.text();
    if (text.length > 50_000) large.push(text.slice(0, 40));
  });
  await page.goto('/');
  await page.getByRole('heading', { name: 'Today' }).first().waitFor();
  await expect.poll(() => large.length).toBeGreaterThan(1);
  for (const begins of large) expect(begins).toMatch(/^\/\/# allFunctionsCalledOnLoad\n/);
});

test('the first screen takes under 165 kB as sent', async ({ page }) => {
  expect(await sentFor(page, '/', 'Today')).toBeLessThan(165_000);
});

test('a comparison takes under 250 kB as sent, its chart included', async ({ page }) => {
  const trials = (await (await page.request.get('/api/trials')).json()) as { id: string; question: string }[];
  // The one that Today offers: a long page, whose later parts are fetched as they come into view.
  const finished = trials.find(({ question }) => question.includes('stage doors'))!;
  expect(await sentFor(page, `/trials/${finished.id}/compare`, 'Over the days', 'canvas')).toBeLessThan(
    250_000,
  );
});
