import { chromium } from '../playwright.config.ts';
import { expect, PHONE, test, WHOLE } from './bench.ts';
import { beginDay, makeTrial } from './make-trial.ts';

test.use({
  launchOptions: {
    ...chromium,
    args: [...chromium.args, '--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream'],
  },
});

test('clips are filmed with sound; those of two wash days play in step, sought together', async ({
  page,
}) => {
  await page.setViewportSize(PHONE);
  const days: string[] = [];
  // The demo's clips play in step in every run (`light-table.spec.ts`).
  for (const hoursAgo of WHOLE ? [30, 0] : [0])
    days.push(await beginDay(page, await makeTrial(page, `Bounce of ${hoursAgo}?`), hoursAgo));
  for (const [i, day] of days.entries()) {
    await page.goto(`/wash-days/${day}/photographs/wet`);
    // The first is stopped by hand; the second, of a made-up head, ends by itself when it has its eight seconds.
    if (i > 0) await page.getByLabel('No camera at hand? Film a made-up head').check();
    await page.getByRole('button', { name: 'Film a bounce' }).click();
    if (i === 0) {
      await expect(page.getByRole('timer')).toHaveText(/^[1-7] s$/);
      await page.getByRole('button', { name: 'Stop', exact: true }).click();
    }
    await expect(page.getByLabel('Clip, bounce')).toHaveCount(1, { timeout: 180_000 });
  }
  // What is no film is told, and nothing is lost by it.
  const chosen = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'From a file, turn' }).click();
  await (await chosen).setFiles({ name: 'note.mp4', mimeType: 'video/mp4', buffer: Buffer.from('Dear') });
  await expect(page.getByRole('alert')).toHaveText('This file is not a film that this browser can play.');
  await expect(page.getByLabel('Clip, bounce')).toHaveCount(1);
  if (!WHOLE) return;

  await page.getByRole('region', { name: 'Short clips' }).getByRole('link', { name: 'light table' }).click();
  const clips = page.getByRole('region', { name: 'Clips in step' });
  await clips.getByRole('button', { name: 'Play both' }).click();
  const films = clips.locator('video');
  await expect(films).toHaveCount(2);
  const times = () => films.evaluateAll((all) => all.map((film) => (film as HTMLVideoElement).currentTime));
  await expect.poll(async () => Math.min(...(await times()))).toBeGreaterThan(0.4);
  await clips.getByRole('button', { name: 'Pause both' }).click();
  // Each at its own time, the shorter held on its last picture.
  const [left, right] = await times();
  const shorter = await films.evaluateAll((all) =>
    Math.min(...all.map((film) => (film as HTMLVideoElement).seekable.end(0))),
  );
  expect(Math.abs(Math.min(left!, shorter) - Math.min(right!, shorter))).toBeLessThan(0.5);
  const where = clips.getByRole('slider', { name: 'Second' });
  await where.fill('1');
  await expect.poll(async () => (await times()).map((at) => at.toFixed(1))).toEqual(['1.0', '1.0']);
});
