import { readFileSync } from 'node:fs';
import AxeBuilder from 'axe-core';
import { expect, test } from './bench.ts';

test('a finished trial leaves as a PDF, one web page that asks for nothing, and plain text', async ({
  page,
  context,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Read the comparison' }).first().click();
  await page.getByRole('heading', { name: 'The wash days as they were run' }).scrollIntoViewIfNeeded();
  await page.getByRole('link', { name: 'Make a report' }).click();
  const preview = page.getByRole('article', { name: 'Preview' });
  await expect(preview).toContainText('Kelp Fold Gel gave more definition than Anvil Gel.');
  await expect(preview).toContainText('To declare: Kelp Fold Gel (gift).');
  // The surname is in it only where it was asked for.
  await expect(preview).toContainText('A trial on one head, Ines’s');
  await expect(preview).not.toContainText('Falkenrath');
  await page.getByLabel('The wearer goes by').selectOption({ label: 'full name' });
  await expect(preview).toContainText('Falkenrath');
  await page.getByLabel('The wearer goes by').selectOption({ label: 'initials' });
  await expect(page.getByRole('region', { name: 'What is not on record' })).toContainText(
    'It was not rated blind.',
  );
  await expect(preview).not.toContainText('It stands in no public register');

  // A picture is in it only when put there.
  await expect(preview.getByRole('img', { name: /wash day 1, day 1/ })).toHaveCount(0);
  await page
    .getByRole('checkbox', { name: /^Wash day 1, finished hair, day 1/ })
    .first()
    .check();
  await expect(preview.getByRole('img', { name: /wash day 1, day 1/ })).toBeVisible();
  await page.getByRole('checkbox', { name: 'Was it fair' }).uncheck();
  await expect(preview.getByRole('heading', { name: 'Was it fair' })).toHaveCount(0);

  const taken = async (button: string) => {
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name: button, exact: true }).click();
    const download = await waiting;
    return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
  };
  const pdf = await taken('PDF');
  expect(pdf.name).toMatch(/^which-gel-keeps-ines.*\.pdf$/);
  expect(pdf.bytes.subarray(0, 8).toString()).toBe('%PDF-1.7');
  // A card is a PNG of its size, by its header, and nothing of a camera is in it.
  await page.getByLabel('Picture card').selectOption({ label: 'tall, 1080 × 1920' });
  const card = await taken('Save the card');
  expect(card.name).toMatch(/\.tall\.png$/);
  expect(card.bytes.subarray(1, 4).toString()).toBe('PNG');
  expect([card.bytes.readUInt32BE(16), card.bytes.readUInt32BE(20)]).toEqual([1080, 1920]);
  expect(card.bytes.includes('eXIf')).toBe(false);
  const text = (await taken('Plain text')).bytes.toString();
  expect(text).toContain('To declare: Kelp Fold Gel (gift).');
  expect(text).toContain('[Picture: ');
  const html = (await taken('Web page, one file')).bytes.toString();
  const away = await context.newPage();
  const asked: string[] = [];
  away.on('request', (request) => asked.push(request.url()));
  await away.setContent(html);
  await expect(away.getByRole('heading', { level: 2 }).first()).toHaveText(
    'Kelp Fold Gel gave more definition than Anvil Gel.',
  );
  await expect(away.getByText('To declare: Kelp Fold Gel (gift).')).toBeVisible();
  expect(asked.filter((url) => !url.startsWith('data:'))).toEqual([]);
  // The page's own rule lets nothing but its style in: axe is put there by hand.
  await away.evaluate(AxeBuilder.source);
  const found = await away.evaluate(async () => {
    const { violations } = await (
      window as unknown as { axe: { run: () => Promise<{ violations: { id: string }[] }> } }
    ).axe.run();
    return violations.map(({ id }) => id);
  });
  expect(found).toEqual([]);
});

test('a verdict and a board leave as reports too', { tag: '@soak' }, async ({ page }) => {
  const verdicts = (await (await page.request.get('/api/verdicts')).json()) as { id: string; name: string }[];
  await page.goto(`/verdicts/${verdicts.find(({ name }) => name === 'Sedge Jelly')!.id}`);
  await page.getByRole('link', { name: 'Report' }).click();
  const said = page.getByRole('article', { name: 'Preview' });
  await expect(said).toContainText('Sedge Jelly: 6.5 of 10');
  await expect(said).toContainText('The tester bought the product.');
  const text = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Plain text' }).click();
  expect(readFileSync(await (await text).path(), 'utf8')).toContain('To declare: Sedge Jelly was bought');
  await page.goto('/board');
  await page.getByRole('button', { name: 'Report of this board' }).click();
  const preview = page.getByRole('article', { name: 'Preview' });
  await expect(preview).toContainText(/Kelp Fold Gel, first in \d+ of 100/);
  await expect(preview).toContainText('Such an order is no test');
  await expect(preview).toContainText('To declare: Kelp Fold Gel (gift).');
  await expect(preview).not.toContainText('Falkenrath');
  const pdf = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PDF', exact: true }).click();
  expect((await pdf).suggestedFilename()).toBe('hold-products-against-products.pdf');
  await page.getByRole('button', { name: 'Back to the board' }).click();
  await expect(page.getByRole('heading', { name: 'Who is first' })).toBeVisible();
});
