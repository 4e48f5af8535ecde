import type { Page } from '@playwright/test';
import { expect, PHONE, test } from './bench.ts';
import { beginDay, makeTrial } from './make-trial.ts';

/** A fresh trial of a head with its first wash day begun so long ago; gives that day. */
const begin = async (page: Page, question: string, hoursAgo: number, head: string) =>
  beginDay(page, await makeTrial(page, question, undefined, 8, {}, head), hoursAgo);

/** Takes a picture of the simulated head, once the camera has found its card. */
async function shoot(page: Page, frizz: string): Promise<void> {
  await page.getByRole('button', { name: 'Camera, back' }).click();
  const camera = page.getByRole('region', { name: 'Camera, back' });
  await camera.getByRole('button', { name: 'Simulated camera' }).click();
  await camera.getByLabel('Frizz').selectOption(frizz);
  await expect(camera.getByRole('status').first()).toContainText('Card found', { timeout: 180_000 });
  await camera.getByRole('button', { name: 'Take it' }).click();
  await expect(camera).toHaveCount(0, { timeout: 180_000 });
}

// What it is read as, and how, is held by the files of the demo (`photo-bench.spec.ts`).
test('a newcomer photographs with the simulated camera', async ({ page }) => {
  await page.setViewportSize(PHONE);
  await page.goto(`/wash-days/${await begin(page, 'Seen?', 3, 'Ines Falkenrath')}/photographs/wet`);
  await shoot(page, 'little');
  await expect(page.getByRole('img', { name: 'back, taken' })).toHaveCount(1);
});

test('a newcomer is led back to the same distance, and reads how far days are apart', {
  tag: '@soak',
}, async ({ page }) => {
  test.setTimeout(900_000);
  await page.setViewportSize(PHONE);
  const head = 'Tomasz Adeyinka-Holm';
  const days = [await begin(page, 'Smooth?', 30, head), await begin(page, 'Frizzy?', 0, head)];
  const taken = page.getByRole('img', { name: 'back, taken' });
  await page.goto(`/wash-days/${days[0]}/photographs/wet`);
  await shoot(page, 'little');
  await expect(taken).toHaveCount(1);
  await shoot(page, 'little');
  await expect(taken).toHaveCount(2);
  await page.getByRole('link', { name: 'Measure back' }).first().click();
  const [first, last] = [page.getByRole('article').first(), page.getByRole('article').last()];
  await expect(last).toContainText('Kept with its wash day.', { timeout: 180_000 });
  // Once in one picture: the other gets it by its card.
  await first.getByRole('slider', { name: /Leave out what is below/ }).fill('0.7');
  await first.getByRole('slider', { name: /Leave out what is below/ }).press('ArrowUp');
  await expect(last).toContainText('laid by the card', { timeout: 180_000 });
  await expect(first).not.toContainText('Nothing is left out', { timeout: 180_000 });
  await expect(last).toContainText(/frizz halo\s*−?\d\.\d\d mm/, { timeout: 180_000 });
  await expect(last).toContainText('Kept with its wash day.', { timeout: 180_000 });

  await page.goto(`/wash-days/${days[1]}/photographs/wet`);
  await page.getByRole('button', { name: 'Camera, back' }).click();
  await page.getByRole('button', { name: 'Simulated camera' }).click();
  await page.getByText('Spoil or change the picture').click();
  await page.getByLabel('Distance').selectOption('near');
  await expect(page.getByText(/^\s*Step back: last time showed \d+ % more/)).toBeVisible({
    timeout: 180_000,
  });
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await shoot(page, 'much');
  await page.getByRole('link', { name: 'Measure back' }).click();
  await expect(page.getByRole('article').first()).toContainText('laid by the card', { timeout: 180_000 });
  await page.getByRole('button', { name: /Add the picture before it/ }).click();
  const apart = page.getByRole('region', { name: 'How far apart' });
  await expect(apart).toContainText('is not known yet: shoot again', { timeout: 180_000 });
  // With the shot taken of the same hair, the picture's own error is known.
  await page.getByRole('button', { name: /Add the picture before it/ }).click();
  await expect(apart).toContainText(/Less frizz halo, by \d\.\d\d mm: shooting twice alone differs/, {
    timeout: 180_000,
  });
});
