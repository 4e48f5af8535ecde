import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { sheetSvg } from '@sabor/core/photo/card/as-svg';
import { PDFDocument } from 'pdf-lib';
import sharp from 'sharp';
import { expect, PHONE, test, WHOLE } from './bench.ts';
import { beginDay, makeTrial } from './make-trial.ts';

const read = (page: Page, name: string) =>
  expect(page.getByRole('article', { name, exact: true })).toContainText(/frizz halo\s*\d\.\d\d mm/, {
    timeout: 180_000,
  });

const FILES = {
  file: 'gels 5 day 1 back.jpg',
  other: 'gels 1 day 1 back.jpg',
  again: 'gels 1 day 1 back shot 2.jpg',
};
const choose = (page: Page, name: string) =>
  page.getByLabel('A picture of the whole head').setInputFiles(`demo/photographs/${name}`);
const howFar = (page: Page) => page.getByRole('region', { name: 'How far apart' });

/** Two heads lie on the bench, measured. */
async function layTwo(page: Page): Promise<void> {
  await page.goto('/photo-bench');
  for (const name of [FILES.file, FILES.other]) {
    await choose(page, name);
    await read(page, name);
  }
}

test('frizz of two heads is measured, and one picture of each tells nothing of how far apart', async ({
  page,
}) => {
  // Under its built name too, this worker alone may compile WebAssembly.
  const worker = page.waitForResponse(/photo\.worker/);
  await layTwo(page);
  expect((await worker).headers()['content-security-policy']).toContain("'wasm-unsafe-eval'");
  await expect(howFar(page)).toContainText('is not known yet: shoot again to tell');
  await expect(howFar(page)).not.toContainText(/More|Less/);
});

test('two heads are told apart once the same hair was shot again', { tag: '@soak' }, async ({ page }) => {
  const { other, again } = FILES;
  const apart = howFar(page);
  await layTwo(page);
  await choose(page, again);
  await read(page, again);
  const same = page.getByRole('article', { name: again }).getByRole('checkbox');
  await same.check();
  const far = /More frizz halo, by 0\.\d+ mm: shooting twice alone differs by up to 0\.\d+ mm\./;
  await expect(apart).toContainText(far);
  // Not the same hair after all: it is a look of its own, and nothing is known of the error again.
  await same.uncheck();
  await expect(apart).toContainText('is not known yet');
  await page.getByRole('button', { name: `Remove ${again}` }).click();
  await page.getByRole('button', { name: `Remove ${other}` }).click();
  await expect(page.getByRole('article')).toHaveCount(1);
  await page.getByText('No camera at hand? Draw a made-up head').click();
  await page.getByLabel('Frizz', { exact: true }).selectOption('much frizz');
  await page.getByRole('button', { name: 'Draw it' }).click();
  await read(page, 'Made-up 1: dark curl, much frizz');
  await page.getByRole('button', { name: 'Shoot it again' }).click();
  await read(page, 'Made-up 1: dark curl, much frizz, shot 2');
  await expect(page.getByRole('article', { name: /shot 2/ }).getByRole('checkbox')).toBeChecked();
  await expect(apart).toContainText(far);
});

test('hair from near is read, and a tagged curl tells its index and shrinkage', { tag: '@soak' }, async ({
  page,
}) => {
  await page.goto('/photo-bench');
  await page.getByText('No camera at hand? Draw a made-up head').click();
  await page.getByLabel('Seen', { exact: true }).selectOption('from near');
  await page.getByRole('button', { name: 'Draw it' }).click();
  const near = page.getByRole('article', { name: /from near$/ });
  await expect(near).toContainText(/clump contrast\s*\d\.\d\d/, { timeout: 180_000 });
  await expect(near).toContainText(/smoothness of run\s*0\.\d\d/);
  await expect(near).toContainText('Tag five curls at least');
  await near.getByRole('button', { name: 'Tag a curl' }).click();
  await expect(near.getByRole('button', { name: 'Keep this curl' })).toBeDisabled();
  const picture = near.getByRole('img', { name: /as taken$/ });
  const at = (await picture.boundingBox())!;
  // Ten millimetres to each side of a line, a crest every twelve.
  const mm = at.width / 100;
  for (let i = 0; i < 5; i++)
    await page.mouse.click(at.x + (50 + (i % 2 ? 10 : -10)) * mm, at.y + (62 + 12 * i) * mm);
  await near.getByRole('button', { name: 'Keep this curl' }).click();
  const curl = near.getByRole('listitem').filter({ hasText: 'Curl 1' });
  // √(1 + (2π·10/24)²) = 2.80, so that 48 mm at rest are 134 hung out.
  await expect(curl).toContainText(/index 2\.[78]\d, radius (9\.\d|10\.\d) mm/, { timeout: 180_000 });
  await expect(curl).toContainText(/shrinkage 6[345] %/);
  // One that leans: its rise is longer than it is seen, by the cosine; too far, and it is told.
  const lean = curl.getByRole('slider', { name: 'Curl 1 leans' });
  await lean.fill('19');
  await lean.press('ArrowRight');
  await expect(curl).toContainText(/index 2\.6\d/, { timeout: 180_000 });
  await lean.fill('29');
  await lean.press('ArrowRight');
  await expect(curl).toContainText('It leans more than 25°', { timeout: 180_000 });
  await curl.getByRole('button', { name: /^Remove/ }).click();
  await expect(near.getByText('Curl 1')).toHaveCount(0);
});

test('what is no picture, and a picture without a card, are told in a sentence; what stands below a line is left out', async ({
  page,
}) => {
  await page.setViewportSize(PHONE);
  await page.goto('/photo-bench');
  const choose = (name: string, buffer: Buffer) =>
    page.getByLabel('A picture of the whole head').setInputFiles({ name, mimeType: 'image/png', buffer });
  await choose('letter.png', Buffer.from('Dear'));
  await expect(page.getByRole('alert')).toHaveText('This file is not a picture that this browser can read.');
  const grey = await sharp({ create: { width: 600, height: 400, channels: 3, background: '#999' } })
    .png()
    .toBuffer();
  await choose('wall.png', grey);
  const wall = page.getByRole('article', { name: 'wall.png' });
  await expect(wall).toContainText('The card is not found in this picture.');
  await wall.getByRole('slider', { name: /Leave out what is below/ }).focus();
  await page.keyboard.press('Home');
  await expect(wall).toContainText('The card is not found in this picture.');
  await page.getByLabel('The card’s rule really measures').fill('12');
  await expect(page.getByText('In millimetres, near 100. Until then 100 is taken.')).toBeVisible();
});

test('cards come out of the printer at their own size: a PDF of the paper’s size, and an SVG', async ({
  page,
}) => {
  await page.goto('/photo-bench');
  const got = async (button: string) => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: button }).click(),
    ]);
    return { name: file.suggestedFilename(), bytes: readFileSync(await file.path()) };
  };
  const pdf = await got('Download PDF');
  expect(pdf.name).toBe('sabor stand card, A4.pdf');
  const [sheet] = (await PDFDocument.load(pdf.bytes)).getPages();
  expect((sheet!.getWidth() * 25.4) / 72).toBeCloseTo(210, 3);
  expect((sheet!.getHeight() * 25.4) / 72).toBeCloseTo(297, 3);
  await page.getByLabel('What', { exact: true }).selectOption('test sheet');
  await page.getByLabel('Paper').selectOption('Letter');
  const svg = await got('Download SVG');
  expect(svg.name).toBe('sabor test sheet, Letter.svg');
  expect(svg.bytes.toString()).toContain('width="215.9mm" height="279.4mm"');
});

test('a stored photograph that its camera turned is measured upright', { tag: '@soak' }, async ({
  browser,
  page,
}) => {
  const trials = await (await page.request.get('/api/trials')).json();
  const id = crypto.randomUUID();
  const planned = trials.find(({ status }: { status: string }) => status === 'planned').id;
  await page.request.put(`/api/wash-days/${id}`, {
    data: { trialId: planned, startedAt: new Date().toISOString() },
  });
  // A card, printed, lying on its side as its camera kept it.
  const desk = await browser.newPage({ viewport: { width: 1200, height: 1697 } });
  await desk.setContent(
    `<style>body{margin:0}svg{display:block;width:1200px;height:auto}</style>${sheetSvg('stand', 'a4')}`,
  );
  const lying = await sharp(await desk.screenshot())
    .rotate(270)
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
  await desk.close();
  await page.goto(`/wash-days/${id}/photographs/wet`);
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'From a file, back' }).click(),
  ]);
  await chooser.setFiles({ name: 'card.jpg', mimeType: 'image/jpeg', buffer: lying });
  await page.getByRole('link', { name: 'Measure back' }).click();
  const picture = page.getByRole('article', { name: /back$/ });
  // 1,200 pixels over 210 mm; there is no hair on a sheet of paper.
  await expect(picture).toContainText('5.7 pixels a millimetre');
  const { width, height } = (await picture.getByRole('img').boundingBox())!;
  expect(height).toBeGreaterThan(width);
  // What was measured stands upright as well, not the shown copy alone.
  const [, , wide, tall] = (await picture.locator('svg').last().getAttribute('viewBox'))!
    .split(' ')
    .map(Number);
  expect(tall).toBeGreaterThan(wide!);
});

test('the page reads in a photograph what the command line read in it', { tag: '@soak' }, async ({
  page,
}) => {
  const ask = async (path: string) => (await page.request.get(`/api${path}`)).json();
  const trials = (await ask('/trials')) as { id: string; question: string; wearerId: string }[];
  const { wearerId } = trials.find(({ question }) => question.startsWith('Which gel keeps'))!;
  const all = (await ask(`/wearers/${wearerId}/photographs`)) as { id: string; angle: string; day: number }[];
  const { id } = all.find(({ angle, day }) => angle === 'left' && day === 1)!;
  const reading = async () => {
    const { photograph } = await ask(`/photographs/${id}`);
    return photograph.measured as {
      measuredAt: string;
      taken: { way: string } | null;
      readings: { measure: string; value: number | null }[];
    };
  };
  // The demo's photographs were read from their files (`scripts/draw-demo.ts`), decoded by sharp.
  const before = await reading();
  await page.goto(`/photo-bench?photograph=${id}`);
  const kept = () =>
    expect(page.getByRole('article')).toContainText('Kept with its wash day.', { timeout: 180_000 });
  await kept();
  /** Lengths stand to what they were as asked, areas as its square. */
  const stand = (now: Awaited<ReturnType<typeof reading>>, asked: number) => {
    for (const [measure, dimensions] of [
      ['halo', 1],
      ['silhouette', 2],
    ] as const) {
      const [a, b] = [before, now].map(
        ({ readings }) => readings.find((one) => one.measure === measure)!.value!,
      );
      expect(b! / a! / asked ** dimensions).toBeGreaterThan(0.99);
      expect(b! / a! / asked ** dimensions).toBeLessThan(1.01);
    }
  };
  // Looking at it keeps no other reading; another rule does, and so does the first one again.
  expect(await reading()).toEqual(before);
  const wall = await sharp({ create: { width: 600, height: 400, channels: 3, background: '#999' } })
    .png()
    .toBuffer();
  const rule = page.getByLabel('The card’s rule really measures');
  await rule.fill('101');
  await expect(page.getByRole('article')).toContainText('by a rule of 101 mm', { timeout: 180_000 });
  await kept();
  const larger = await reading();
  expect(larger.measuredAt).not.toBe(before.measuredAt);
  stand(larger, 1.01);
  await rule.fill('100');
  await expect(page.getByRole('article')).not.toContainText('by a rule', { timeout: 180_000 });
  await expect
    .poll(async () => (await reading()).measuredAt, { timeout: 180_000 })
    .not.toBe(larger.measuredAt);
  // Told from the wall by its colour it is another reading, kept as one.
  for (const way of ['colour', 'silhouette']) {
    await page.getByRole('article').getByLabel('How hair is told from the wall').selectOption(way);
    await expect.poll(async () => (await reading()).taken?.way, { timeout: 180_000 }).toBe(way);
  }
  await page.getByText('A wall that is not even?').click();
  await page
    .getByLabel('An empty frame of the same place')
    .setInputFiles({ name: 'wall.png', mimeType: 'image/png', buffer: wall });
  await expect(page.getByRole('article')).toContainText('not of this picture’s size', { timeout: 180_000 });
  await expect(page.getByRole('article')).toContainText('What is kept with its wash day stays as it was.');
  expect((await reading()).readings.find(({ measure }) => measure === 'halo')!.value).not.toBeNull();
  await page.getByRole('button', { name: 'Remove the empty frame' }).click();
  await kept();
  const after = await reading();
  expect(after.measuredAt).not.toBe(before.measuredAt);
  stand(after, 1);
});

test('a half-head seen from behind is read half by half, split where its parting is put', {
  tag: '@soak',
}, async ({ page }) => {
  const trial = await makeTrial(page, 'Left or right?', ['Anvil Gel', 'Kelp Fold Gel'], 4, {
    design: 'half',
  });
  const id = await beginDay(page, trial);
  await page.goto(`/wash-days/${id}/photographs/wet`);
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'From a file, back' }).click(),
  ]);
  await chooser.setFiles('demo/photographs/gels 5 day 1 back.jpg');
  await page.getByRole('link', { name: 'Measure back' }).click();
  const halves = page.getByRole('region', { name: 'Half by half' });
  await expect(page.getByRole('article')).toContainText('down the middle of the hair', { timeout: 180_000 });
  const row = halves.getByRole('row', { name: /silhouette/ });
  const sizes = async () =>
    (await row.getByRole('cell').allTextContents()).map((text) => Number(text.replace(/ .*/, '')));
  const [left, right] = await sizes();
  expect(left! / right!).toBeGreaterThan(0.85);
  expect(left! / right!).toBeLessThan(1.18);
  for (const name of ['Parting, at the top', 'Parting, at the foot']) {
    const end = halves.getByRole('slider', { name });
    for (let i = 0; i < 2; i++) await end.press('ArrowLeft');
    await expect(page.getByRole('article')).not.toContainText('down the middle', { timeout: 180_000 });
    await expect(page.getByRole('article')).toContainText('Kept with its wash day.', { timeout: 180_000 });
    // What the hand holds stays under it while the halves are read anew.
    await expect(end).toBeFocused();
  }
  const [less, more] = await sizes();
  expect(less).toBeLessThan(left!);
  expect(more).toBeGreaterThan(right!);
  // Opened again it lies where it was put, and nobody calls it a guess.
  await page.reload();
  await expect(halves).toBeVisible({ timeout: 180_000 });
  expect(await sizes()).toEqual([less, more]);
  await expect(page.getByRole('article')).not.toContainText('down the middle');
});

test('whatever a tired hand chooses is answered in a sentence, and what lay there before stays', async ({
  page,
}) => {
  const demo = readFileSync('demo/photographs/gels 5 day 1 back.jpg');
  const plain = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: '#9aa' } });
  const frames = () =>
    Promise.all(
      ['#fff', '#000'].map((background) =>
        sharp({ create: { width: 300, height: 300, channels: 3, background } })
          .png()
          .toBuffer(),
      ),
    );
  const noCard = 'The card is not found in this picture.';
  const noPicture = 'This file is not a picture that this browser can read.';
  type Case = [name: string, bytes: Buffer, says: string | RegExp];
  /** What is read from its first pixel to its last, what is large, and rarer kinds of files: in the soak. */
  const long = async (): Promise<Case[]> => [
    ['grey.jpg', await sharp(demo).greyscale().jpeg().toBuffer(), /frizz halo/],
    ['large.png', await plain(8000, 7000).png({ compressionLevel: 1 }).toBuffer(), 'over 50 million pixels'],
    ['panorama.jpg', await plain(12_000, 700).jpeg().toBuffer(), noCard],
    ['cmyk.jpg', await plain(400, 300).toColourspace('cmyk').jpeg().toBuffer(), noCard],
    ['sixteen.png', await plain(400, 300).toColourspace('rgb16').png().toBuffer(), noCard],
    [
      'moving.gif',
      await sharp(await frames(), { join: { animated: true } })
        .gif()
        .toBuffer(),
      noCard,
    ],
    ['screenshot.png', await page.screenshot(), noCard],
  ];
  const cases: Case[] = [
    ['mirrored.jpg', await sharp(demo).flop().jpeg().toBuffer(), 'This picture is mirrored'],
    [
      'cut short.jpg',
      demo.subarray(0, 40_000),
      new RegExp(`${noCard}|${noPicture}|half covered|shadow|wall`),
    ],
    ['empty.jpg', Buffer.alloc(0), noPicture],
    ['letter.txt', Buffer.from('Dear curls'), noPicture],
    ...(WHOLE ? await long() : []),
  ];
  await page.goto('/photo-bench');
  for (const [name, buffer, says] of cases) {
    await page
      .getByLabel('A picture of the whole head')
      .setInputFiles({ name, mimeType: 'image/jpeg', buffer });
    await expect(page.getByRole('article', { name, exact: true })).toContainText(says, { timeout: 180_000 });
  }
  await expect(page.getByRole('article')).toHaveCount(cases.length);
});
