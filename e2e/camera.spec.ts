import { expect, PHONE, test, WHOLE } from './bench.ts';
import { beginDay, makeTrial } from './make-trial.ts';

test('a newcomer photographs with the simulated camera, is led back to the same distance, and reads how far days are apart', async ({
  page,
}) => {
  test.setTimeout(900_000);
  await page.setViewportSize(PHONE);
  const days: string[] = [];
  const asked = [
    ['Smooth?', 30],
    ['Frizzy?', 0],
  ] as const;
  // The second one is led back to the distance of the first.
  for (const [question, hoursAgo] of WHOLE ? asked : asked.slice(0, 1)) {
    const trial = await makeTrial(
      page,
      question,
      ['Anvil Gel', 'Kelp Fold Gel'],
      8,
      {},
      'Tomasz Adeyinka-Holm',
    );
    days.push(await beginDay(page, trial, hoursAgo));
  }
  const shoot = async (frizz: string) => {
    await page.getByRole('button', { name: 'Camera, back' }).click();
    const camera = page.getByRole('region', { name: 'Camera, back' });
    await camera.getByRole('button', { name: 'Simulated camera' }).click();
    await camera.getByLabel('Frizz').selectOption(frizz);
    await expect(camera.getByRole('status').first()).toContainText('Card found', { timeout: 180_000 });
    await camera.getByRole('button', { name: 'Take it' }).click();
    await expect(camera).toHaveCount(0, { timeout: 180_000 });
  };
  const taken = page.getByRole('img', { name: 'back, taken' });
  await page.goto(`/wash-days/${days[0]}/photographs/wet`);
  await shoot('little');
  await expect(taken).toHaveCount(1);
  // Taken, it is read as any on the bench is (`photo-bench.spec.ts`).
  if (!WHOLE) return;
  await shoot('little');
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
  await shoot('much');
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
