import { expect, PHONE, test } from './bench.ts';
import { copyHead, makeTrial } from './make-trial.ts';

test('the week stands on the calendar: what is due opens at its control, what was missed is offered', async ({
  page,
}) => {
  await copyHead(page, 'Ines Falkenrath', 'Kalina Day');
  const trial = await makeTrial(
    page,
    'On the calendar?',
    ['Anvil Gel', 'Kelp Fold Gel'],
    8,
    { cadenceDays: 4 },
    'Kalina Day',
  );
  const id = crypto.randomUUID();
  // Yesterday about noon, whatever the hour is now: its second day is today.
  const noon = new Date();
  noon.setUTCHours(-12, 0, 0, 0);
  const later = (hours: number) => new Date(noon.getTime() + hours * 3_600_000).toISOString();
  const begun = await page.request.put(`/api/wash-days/${id}`, {
    data: { trialId: trial, startedAt: later(0) },
  });
  expect(begun.ok()).toBe(true);
  await page.request.post(`/api/wash-days/${id}/taps`, {
    data: { device: 'phone', taps: [{ id: crypto.randomUUID(), at: later(1), kind: 'finish' }] },
  });
  await page.request.patch(`/api/wash-days/${id}`, { data: { dryAt: later(2), revealAt: later(2) } });
  await page.goto('/');
  await page.getByRole('link', { name: 'Calendar', exact: true }).click();
  await page.getByLabel('By', { exact: true }).selectOption('week');
  const agenda = page.getByRole('region', { name: 'Day by day' });
  await expect(agenda.getByRole('link', { name: /Check-in, day 2: On the calendar\?/ })).toBeVisible();
  // The next wash day of the trial, four days after its last.
  await page.getByRole('button', { name: 'The next week' }).click();
  await page.getByRole('button', { name: 'Today' }).click();
  await page.getByLabel('By', { exact: true }).selectOption('month');
  await agenda.getByRole('link', { name: /Check-in, day 2: On the calendar\?/ }).click();
  await expect(page.getByRole('heading', { name: 'Day 2', exact: true })).toBeVisible();

  await page.setViewportSize(PHONE);
  await page.goto('/calendar?span=week');
  await expect(page.getByText(/missed in this week/).or(page.getByText('Day by day'))).not.toHaveCount(0);
  await page.getByLabel('Remind me').selectOption('at 9:00');
  const href = await page.getByRole('link', { name: 'Download the file' }).getAttribute('href');
  const file = await (await page.request.get(href!)).text();
  expect(file).toContain('BEGIN:VCALENDAR');
  expect(file.replaceAll('\r\n ', '')).toContain(`UID:check-in-${id}-2@sabor`);
});

test('a planned trial is put on a day, moved, and taken back', async ({ page }) => {
  await copyHead(page, 'Ines Falkenrath', 'Marta Move');
  await makeTrial(page, 'Which day?', ['Anvil Gel', 'Kelp Fold Gel'], 8, { cadenceDays: 4 }, 'Marta Move');
  await page.goto('/calendar');
  const none = page.getByRole('region', { name: 'Planned, on no day yet' });
  await none.getByRole('button', { name: 'Put on a day … Wash day 1: Which day?' }).click();
  await none.getByLabel('Move to').fill('1 Jan 2020');
  await none.getByRole('button', { name: 'Move it' }).click();
  await expect(none.getByText('That day has passed. Choose today or a later one.')).toBeVisible();
  await none.getByLabel('Move to').fill('today');
  await none.getByRole('button', { name: 'Move it' }).click();
  const agenda = page.getByRole('region', { name: 'Day by day' });
  const row = (day: string) =>
    agenda
      .getByRole('listitem')
      .filter({ hasText: new RegExp(`^${day}`) })
      .getByRole('link', { name: /^Wash day 1: Which day\?/ });
  await expect(row('Today')).toBeVisible();
  await page.goto('/');
  await expect(page.getByText(/planned and not begun\. On the calendar for \w{3} \d/)).toBeVisible();
  await page.goto('/calendar');
  await agenda.getByRole('button', { name: 'Move to … Wash day 1: Which day?' }).click();
  await agenda.getByLabel('Move to').fill('tomorrow');
  await agenda.getByRole('button', { name: 'Move it' }).click();
  await expect(row('Today')).toHaveCount(0);
  // What comes next stands on Today with its date.
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(
    page
      .getByRole('region', { name: 'Next', exact: true })
      .getByRole('link', { name: /^Wash day 1: Which day\?/ }),
  ).toBeVisible();
  await page.goBack();
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(row('Today')).toBeVisible();
});

test('reminds on this device of what comes due while the page lies in the background, once', {
  tag: '@soak',
}, async ({ browser, baseURL }) => {
  const own = await browser.newContext({
    permissions: ['notifications'],
    serviceWorkers: 'block',
    locale: 'en-GB',
  });
  const desk = await own.newPage();
  // What the browser would show outside the page, and whether somebody looks at it, are the test's.
  await desk.addInitScript(() => {
    const shown: string[] = [];
    Object.assign(globalThis, { shown });
    class Shown {
      static readonly permission = 'granted';
      static readonly requestPermission = async () => 'granted';
      constructor(title: string, { body }: { body: string }) {
        shown.push(`${title}: ${body}`);
      }
    }
    Object.assign(globalThis, { Notification: Shown });
    Object.defineProperty(document, 'visibilityState', {
      get: () => (globalThis as { seen?: string }).seen ?? 'visible',
    });
  });
  await desk.goto(`${baseURL}/calendar`);
  await desk.getByRole('button', { name: 'Remind me on this device' }).click();
  await expect(desk.getByRole('button', { name: 'Stop reminding on this device' })).toBeVisible();
  // The second day of the wash day above waits for its look; the page is left lying in the background.
  const told = async () => {
    await desk.evaluate(() => {
      Object.assign(globalThis, { seen: 'hidden' });
      document.dispatchEvent(new Event('visibilitychange'));
    });
    return desk.evaluate(() => (globalThis as unknown as { shown: string[] }).shown);
  };
  await expect
    .poll(async () => (await told()).filter((one) => /Kalina Day: check-in due/.test(one)), {
      timeout: 180_000,
    })
    .toHaveLength(1);
  const all = await told();
  await desk.waitForTimeout(500);
  expect(await told()).toEqual(all);
  await own.close();
});
