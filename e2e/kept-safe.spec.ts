import { expect, openNotes, PHONE, test } from './bench.ts';
import { copyHead, makeTrial } from './make-trial.ts';

test.use({ viewport: PHONE });

const problem = (status: number, detail: string) => ({
  status,
  contentType: 'application/problem+json',
  body: JSON.stringify({ type: 'about:blank', title: 'No', status, detail }),
});

test('taps stay on the phone whatever is answered, and go in halves where they are too many', async ({
  page,
}) => {
  await copyHead(page, 'Tomasz Adeyinka-Holm', 'Head of many taps');
  await page.goto(
    `/trials/${await makeTrial(page, 'Too many at once?', undefined, 8, {}, 'Head of many taps')}`,
  );
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(page.getByText('All of it is on the server.')).toBeVisible();
  const [id] = /(?<=wash-days\/)[^/?]+/.exec(page.url())!;
  let answer: ReturnType<typeof problem> | null = problem(403, 'Sign in first.');
  const sizes: number[] = [];
  await page.route('**/taps', async (route) => {
    const { taps } = route.request().postDataJSON() as { taps: unknown[] };
    if (answer) return route.fulfill(answer);
    sizes.push(taps.length);
    return taps.length > 2 ? route.fulfill(problem(413, 'Too much.')) : route.continue();
  });
  await openNotes(page, 'Changed something');
  await page.getByRole('button', { name: 'interrupted', exact: true }).click();
  await expect(page.getByText(/1 tap kept on this phone, not taken yet: Sign in first./)).toBeVisible();
  await openNotes(page, 'Next time');
  for (const idea of ['leave it out', 'other place', 'longer', 'after a clarify'])
    await page.getByRole('button', { name: idea, exact: true }).click();
  for (const status of [401, 404, 429]) {
    answer = problem(status, `Answer ${status}.`);
    await page.getByRole('button', { name: 'Try now' }).click();
    await expect(page.getByText(`5 taps kept on this phone, not taken yet: Answer ${status}.`)).toBeVisible();
  }
  await page.reload();
  await expect(page.getByText(/5 taps kept on this phone/)).toBeVisible();
  answer = null;
  await expect(page.getByText('All of it is on the server.')).toBeVisible({ timeout: 180_000 });
  expect(sizes[0]).toBe(5);
  expect(Math.min(...sizes)).toBeLessThan(3);
  const day = await (await page.request.get(`/api/wash-days/${id}`)).json();
  expect(day.steps[0].ideas).toHaveLength(4);
  expect(day.steps[0].marks).toHaveLength(1);
});

test('whoever goes elsewhere while something is being saved stays there', { tag: '@soak' }, async ({
  page,
}) => {
  let answer = () => {};
  const held = new Promise<void>((resolve) => {
    answer = resolve;
  });
  await page.route('**/api/routines/*', async (route) => {
    await held;
    await route.continue();
  });
  await page.goto('/routines');
  await page.getByRole('link', { name: 'Coast wash-and-go', exact: true }).click();
  await page.getByLabel('Note').fill('Said on the way out.');
  await page.getByRole('button', { name: 'Save the routine' }).click();
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await page.getByRole('link', { name: 'Trials', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Trials', exact: true })).toBeVisible();
  answer();
  await expect(page.getByText('Coast wash-and-go is saved.', { exact: true })).toBeVisible();
  await expect(page).toHaveURL(/\/trials$/);
});

test('a picture that the phone could not keep says so while it waits', { tag: '@soak' }, async ({ page }) => {
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (...given) {
      if (this.name === 'photos') throw new DOMException('The disk is full.', 'QuotaExceededError');
      return put.apply(this, given);
    };
  });
  await page.route('**/api/photographs/**', (route) => route.abort());
  await copyHead(page, 'Tomasz Adeyinka-Holm', 'Head of a full phone');
  await page.goto(
    `/trials/${await makeTrial(page, 'On a full phone?', undefined, 8, {}, 'Head of a full phone')}`,
  );
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(page.getByRole('heading', { name: 'Detangle' })).toBeVisible();
  const [id] = /(?<=wash-days\/)[^/?]+/.exec(page.url())!;
  await page.goto(`/wash-days/${id}/photographs/wet`);
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'From a file, back' }).click(),
  ]);
  await chooser.setFiles({ name: 'hair.png', mimeType: 'image/png', buffer: await page.screenshot() });
  await expect(page.getByText(/Not kept on this phone: its store is full or closed/)).toBeVisible();
  await page.unroute('**/api/photographs/**');
  await expect(page.getByRole('img', { name: 'back, taken' })).toBeVisible();
});
