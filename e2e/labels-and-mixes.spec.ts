import type { Page } from '@playwright/test';
import { expect, test } from './bench.ts';

/** A picture as a phone sends it: lines of text on white, or a shape without any. */
async function picture(page: Page, lines: readonly string[]): Promise<Buffer> {
  const bytes = await page.evaluate(async (lines) => {
    const canvas = new OffscreenCanvas(1200, 420);
    const pen = canvas.getContext('2d')!;
    pen.fillStyle = '#fff';
    pen.fillRect(0, 0, 1200, 420);
    pen.fillStyle = '#222';
    pen.font = '34px sans-serif';
    for (const [i, line] of lines.entries()) pen.fillText(line, 30, 80 + i * 70);
    if (lines.length === 0) {
      pen.beginPath();
      pen.moveTo(300, 100);
      pen.lineTo(400, 20);
      pen.lineTo(480, 110);
      pen.arc(600, 210, 190, 0, 6);
      pen.fill();
    }
    return [...new Uint8Array(await (await canvas.convertToBlob()).arrayBuffer())];
  }, lines);
  return Buffer.from(bytes);
}

test('a label’s list is read off its photograph, corrected item by item, and kept', { tag: '@soak' }, async ({
  page,
}) => {
  await page.goto('/shelf');
  await page.getByRole('link', { name: 'Add a product' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Gorse Cream');
  await page.getByRole('checkbox', { name: 'Cream or custard' }).check();
  const field = page.getByLabel('Read the list off a photograph');
  const file = (buffer: Buffer) => ({ name: 'label.png', mimeType: 'image/png', buffer });
  await field.setInputFiles(file(await picture(page, [])));
  await expect(page.getByText(/No ingredient list can be read in this picture/)).toBeVisible({
    timeout: 30_000,
  });
  await field.setInputFiles({ name: 'cat.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('meow') });
  await expect(page.getByText('This file is not a picture that this browser can read.')).toBeVisible({
    timeout: 30_000,
  });
  await field.setInputFiles(
    file(
      await picture(page, [
        'Ingredients: Aqua, Cetearyl Alcohol, Behentrimonium',
        'Chloride, Glyzerin, Panthenol, Parfum.',
      ]),
    ),
  );
  const read = page.getByRole('group', { name: /Read from the picture: 6 items/ });
  await expect(read).toBeVisible();
  await read.getByRole('button', { name: 'Mend item 4 to Glycerin' }).click();
  await read.getByRole('textbox', { name: 'Item 6' }).fill('Linalool');
  await read.getByRole('button', { name: 'Use this list' }).click();
  await expect(page.getByLabel('Ingredients, as on the label')).toHaveValue(
    'Aqua, Cetearyl Alcohol, Behentrimonium Chloride, Glycerin, Panthenol, Linalool',
  );
  await page.getByRole('button', { name: 'Save the product' }).click();
  await page.getByRole('link', { name: 'Gorse Cream' }).click();
  await page.getByLabel('Add one of the bottle').setInputFiles(file(await picture(page, ['Gorse Cream'])));
  await expect(page.getByRole('img', { name: 'bottle of Gorse Cream' })).toBeVisible();
  await page.getByRole('button', { name: /^Remove the picture of the bottle/ }).click();
  await expect(page.getByRole('img', { name: 'bottle of Gorse Cream' })).toHaveCount(0);
});

test('a home mix is kept once, refused where it would hold itself, and taken over into a step', async ({
  page,
}) => {
  await page.goto('/shelf/mixes');
  const make = async (name: string, parts: readonly (readonly [string, string])[]) => {
    await page.getByRole('button', { name: 'Add a home mix' }).click();
    await page.getByRole('textbox', { name: 'Name', exact: true }).fill(name);
    for (const [i, [part, amount]] of parts.entries()) {
      await page.getByRole('textbox', { name: `Name ${i + 1}` }).fill(part);
      await page.getByRole('textbox', { name: `Amount ${i + 1}` }).fill(amount);
    }
  };
  await make('Seed gel', [
    ['flaxseed', '1'],
    ['water', '9'],
  ]);
  await page.getByRole('button', { name: 'Save the home mix' }).click();
  await expect(page.getByRole('heading', { name: 'Seed gel', exact: true })).toBeVisible();
  await make('Light gel', [
    ['?', '1'],
    ['water', '1'],
  ]);
  await page.getByLabel('Part 1 from the shelf').selectOption('Seed gel (home mix)');
  await page.getByRole('button', { name: 'Save the home mix' }).click();
  await expect(page.getByText('In a step: 5 flaxseed : 95 water')).toBeVisible();
  await page.getByRole('button', { name: 'Change Seed gel' }).click();
  await page.getByLabel('Part 2 from the shelf').selectOption('Light gel (home mix)');
  await page.getByRole('button', { name: 'Save the home mix' }).click();
  await expect(
    page.getByText('A home mix cannot hold itself: Seed gel, which holds Light gel, which holds Seed gel.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Not now' }).click();

  await page.goto('/routines/new');
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('With a mix');
  await page.getByLabel('Next step').selectOption('Hold');
  await page.getByRole('button', { name: 'Add this step' }).click();
  await page.getByRole('button', { name: /^Hold/ }).click();
  await page.getByLabel('or one you keep').selectOption('Seed gel');
  await expect(page.getByRole('textbox', { name: 'Amount 2' })).toHaveValue('9');
  await page.getByText(/^More settings/).click();
  await page.getByRole('button', { name: 'Another product elsewhere' }).click();
  const beside = page.getByRole('group', { name: 'Another product elsewhere' });
  await beside.getByLabel('Product beside, 1').selectOption({ index: 2 });
  await page.getByRole('button', { name: 'Save the routine' }).click();
  await expect(page.getByText('Say where the other product goes, one place at least.').first()).toBeVisible();
  await beside.getByRole('checkbox', { name: 'Roots' }).check();
  await page.getByRole('button', { name: 'Save the routine' }).click();
  await page.getByRole('link', { name: 'With a mix', exact: true }).click();
  await expect(page.getByText(/home mix of 1 flaxseed : 9 water/)).toBeVisible();
  await expect(page.getByText(/beside it .*at roots/)).toBeVisible();
});
