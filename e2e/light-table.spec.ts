import type { Page } from '@playwright/test';
import { expect, PHONE, test } from './bench.ts';

const tableOf = (page: Page) => page.getByRole('region', { name: 'On the light table' });

/** From a finished trial's comparison its pictures are laid on the table. */
async function layThem(page: Page): Promise<void> {
  const trials = (await (await page.request.get('/api/trials')).json()) as { id: string; question: string }[];
  const { id } = trials.find(({ question }) => question.startsWith('Which gel keeps'))!;
  await page.goto(`/trials/${id}/compare`);
  await page.getByRole('heading', { name: 'How long it lasts, and what it costs' }).scrollIntoViewIfNeeded();
  const pictures = page.getByRole('region', { name: 'In pictures', exact: true });
  const halo = pictures.getByRole('rowgroup').filter({ hasText: 'frizz halo, from behind' });
  await expect(halo).toContainText('4 wash days');
  await expect(halo).toContainText(
    /More frizz halo with Anvil Gel, by 0\.\d\d mm: .* But wash days of one option/,
  );
  await expect(pictures).toContainText('Wash day 7 left out, beside the others: One was taken 9 % closer');
  await pictures.getByRole('link', { name: 'Lay them on the light table' }).click();
  await expect(tableOf(page).getByRole('img').nth(1)).toBeVisible();
}

test('two options’ pictures lie on the light table at one scale, moved together, and over each other', async ({
  page,
}) => {
  await layThem(page);
  const table = tableOf(page);
  const [left, right] = [table.getByRole('img').first(), table.getByRole('img').nth(1)];
  await expect(table).toContainText('Laid by the card');
  await expect(table).toContainText('Brightness matched');
  const where = async () => Promise.all([left, right].map(async (one) => (await one.boundingBox())!));
  const before = await where();
  await page.mouse.move(before[0]!.x + 100, before[0]!.y + 200);
  await page.mouse.down();
  await page.mouse.move(before[0]!.x + 160, before[0]!.y + 170, { steps: 4 });
  await page.mouse.up();
  const after = await where();
  for (const i of [0, 1]) {
    expect(after[i]!.x - before[i]!.x).toBeCloseTo(60, 0);
    expect(after[i]!.y - before[i]!.y).toBeCloseTo(-30, 0);
  }
  await table.getByRole('group', { name: /^Pictures/ }).press('+');
  await expect.poll(async () => (await where())[1]!.height / before[1]!.height).toBeCloseTo(1.25, 2);
  await table.getByRole('button', { name: 'Wipe' }).click();
  await table.getByRole('slider').fill('0.2');
  await expect(table.getByRole('img')).toHaveCount(2);
  await table.getByRole('button', { name: 'One at a time' }).click();
  await expect(table.getByRole('img')).toHaveCount(1);
  await expect(table).toContainText('1 of 2');
  await table.getByRole('group', { name: /^Pictures/ }).press('ArrowRight');
  await expect(table).toContainText('2 of 2');
  await page.getByRole('button', { name: /^Wash day 8: 4 days$/ }).click();
  await expect(table.getByRole('img')).toHaveCount(4);
  await expect(table).toContainText('Wash day 8, day 7, back · halo 1.00 mm');

  // The demo’s clips of one wash day of each option: both are seen while they play, on a phone too.
  await page.setViewportSize(PHONE);
  const clips = page.getByRole('region', { name: 'Clips in step' });
  await clips.getByLabel('What hair does').selectOption('scrunch');
  const films = ['Wash day 7, finished hair, day 1', 'Wash day 8, finished hair, day 1'].map((name) =>
    clips.getByLabel(name, { exact: true }),
  );
  await clips.getByRole('button', { name: 'Play both' }).click();
  const time = (of: (typeof films)[number]) => of.evaluate((film) => (film as HTMLVideoElement).currentTime);
  await expect.poll(async () => Math.min(...(await Promise.all(films.map(time))))).toBeGreaterThan(0.5);
  const [first, second] = await Promise.all(films.map(async (film) => (await film.boundingBox())!));
  expect(first!.y).toBe(second!.y);
  expect(first!.x + first!.width).toBeLessThanOrEqual(second!.x);
  // One is heard at a time.
  const muted = () =>
    clips.locator('video').evaluateAll((all) => all.map((film) => (film as HTMLVideoElement).muted));
  expect(await muted()).toEqual([false, true]);
  await clips.getByLabel('Sound').selectOption('none');
  expect(await muted()).toEqual([true, true]);
});

test('on the light table what was read is drawn over the pictures, with its numbers', {
  tag: '@soak',
}, async ({ page }) => {
  await layThem(page);
  const table = tableOf(page);
  await table.getByRole('button', { name: 'Draw what was read' }).click();
  await expect(table.getByText(/frizz halo \d\.\d\d mm · silhouette \d+ cm²/)).toHaveCount(2, {
    timeout: 180_000,
  });
  await table.getByRole('button', { name: 'Pictures alone' }).click();
  await expect(table.getByText(/silhouette/)).toHaveCount(0);
});
