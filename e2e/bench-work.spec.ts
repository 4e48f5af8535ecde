import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { expect, fresh, test, WHOLE } from './bench.ts';

test('what was typed survives a refusal and a reload', async ({ page }) => {
  await page.goto('/shelf/new');
  await page.getByLabel('Price').fill('abc');
  await page.getByLabel('Opened on').fill('2999-01-01');
  await page.getByLabel('Note').fill('from the market');
  await page.getByRole('button', { name: 'Save the product' }).click();
  await expect(page.getByText('A product needs a name.').first()).toBeVisible();
  await expect(page.getByText('The price must be a number.').first()).toBeVisible();
  await expect(page.getByText('This date is in the future. Give today or earlier.').first()).toBeVisible();
  await expect(page.getByLabel('Price')).toHaveValue('abc');
  await expect(page.getByLabel('Name')).toHaveAttribute('aria-invalid', 'true');
  await page.reload();
  await expect(page.getByLabel('Note')).toHaveValue('from the market');
  await page.getByRole('button', { name: 'Discard what I typed' }).click();
  await expect(page.getByLabel('Note')).toHaveValue('');
});

test('ingredients of over a megabyte get a sentence and stay where they are', { tag: '@soak' }, async ({
  page,
}) => {
  await page.goto('/shelf/new');
  await page.getByLabel('Name').fill('Endless Gel');
  await page.getByLabel('Gel or jelly').check();
  await page.getByLabel('Ingredients, as on the label').fill('Aqua, '.repeat(200_000));
  // More than the server takes in one request. A field of that length takes its time to be laid out.
  await page.getByRole('button', { name: 'Save the product' }).click({ timeout: 180_000 });
  await expect(page.getByText(/longer than any label/).first()).toBeVisible();
  expect(
    await page
      .getByLabel('Ingredients, as on the label')
      .evaluate((field: HTMLTextAreaElement) => field.value.length),
  ).toBe(1_200_000);
  await page.getByRole('button', { name: 'Discard what I typed' }).click();
});

test('what stands on a page stays there when the server answers no more, and says how old it is', {
  tag: '@soak',
}, async ({ page }) => {
  await page.goto('/shelf');
  const product = page.getByRole('link', { name: 'Kelp Fold Gel' }).first();
  await expect(product).toBeVisible();
  await page.route('**/api/**', (route) => route.abort());
  await expect(async () => {
    // Whoever comes back to a page has it asked for anew.
    await page.evaluate(() => window.dispatchEvent(new Event('visibilitychange')));
    await expect(page.getByText(/does not answer. This stands here as it was: /)).toBeVisible({
      timeout: 2000,
    });
  }).toPass();
  await expect(product).toBeVisible();
  await page.unroute('**/api/**');
  // Signed out elsewhere it stays too, with the way back.
  await page.route('**/api/**', (route) =>
    route.fulfill({ status: 401, json: { status: 401, detail: 'No.' } }),
  );
  await expect(async () => {
    await page.evaluate(() => window.dispatchEvent(new Event('visibilitychange')));
    await expect(page.getByRole('link', { name: 'Sign in' })).toBeVisible({ timeout: 2000 });
  }).toPass();
  await expect(product).toBeVisible();
  await page.unroute('**/api/**');
  await expect(async () => {
    await page.evaluate(() => window.dispatchEvent(new Event('visibilitychange')));
    await expect(page.getByText(/This stands here as it was/)).toHaveCount(0, { timeout: 2000 });
  }).toPass();
});

test.describe(() => {
  test.use({ breaks: true });
  test('what the server fails to read again stays on the page, and says how old it is', async ({ page }) => {
    const again = () => page.evaluate(() => window.dispatchEvent(new Event('visibilitychange')));
    const failed = page.getByText(/failed as it read this again. This stands here as it was: /);
    const fail = (what: string) =>
      page.route(what, (route) => route.fulfill({ status: 500, json: { status: 500, detail: 'It broke.' } }));
    const board = ['/board', page.getByRole('columnheader').first(), '**/api/wearers/*/file'] as const;
    for (const [at, stands, path] of [
      ['/shelf', page.getByRole('link', { name: 'Kelp Fold Gel' }).first(), '**/api/shelf'] as const,
      ...(WHOLE ? [board] : []),
    ]) {
      await page.goto(at);
      await expect(stands).toBeVisible();
      await fail(path);
      await expect(async () => {
        await again();
        await expect(failed).toBeVisible({ timeout: 8000 });
      }).toPass();
      await expect(stands).toBeVisible();
      await expect(page.getByRole('alert')).toHaveCount(0);
      await page.unroute(path);
      await expect(async () => {
        await again();
        await expect(failed).toHaveCount(0, { timeout: 2000 });
      }).toPass();
    }
  });
});

test('what was typed survives a server that does not answer', async ({ page }) => {
  await page.goto('/shelf/new');
  await page.getByLabel('Name').fill('Heath Foam');
  await page.getByLabel('Mousse or foam').check();
  await page.route('**/api/products/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Save the product' }).click();
  await expect(page.getByText(/server does not answer/).first()).toBeVisible();
  await expect(page.getByLabel('Name')).toHaveValue('Heath Foam');
  await page.unroute('**/api/products/**');
  await page.getByRole('button', { name: 'Save the product' }).click();
  await expect(page.getByRole('link', { name: 'Heath Foam' })).toBeVisible();
});

test('a routine is begun from the starter, reordered by keyboard and by drag, and duplicated', async ({
  page,
}) => {
  await page.goto('/routines');
  await page.getByLabel('Start from a template').selectOption('Wash-and-go');
  await expect(page.getByRole('heading', { level: 1, name: 'Wash-and-go, template' })).toBeVisible();
  const names = () =>
    page
      .getByRole('button', { name: /^Move / })
      .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')));
  expect((await names())[1]).toBe('Move Cleanse, step 2');
  await page.getByRole('button', { name: 'Move Cleanse, step 2', exact: true }).focus();
  await page.keyboard.press('Space');
  await page.waitForTimeout(150);
  await page.keyboard.press('ArrowUp');
  await page.waitForTimeout(300);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Move Cleanse, step 1', exact: true })).toBeVisible();
  const from = (await page.getByRole('button', { name: 'Move Rinse, step 4', exact: true }).boundingBox())!;
  const to = (await page.getByRole('button', { name: /^Move .*, step 3$/ }).boundingBox())!;
  await page.mouse.move(from.x + 10, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x + 10, from.y - 10, { steps: 4 });
  await page.mouse.move(to.x + 10, to.y + 4, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: 'Move Rinse, step 3', exact: true })).toBeVisible();
  // A drag swallows the click that may end it, for a twentieth of a second.
  await page.waitForTimeout(200);
  await page.getByRole('button', { name: 'Remove Rinse, step 3' }).click();
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByRole('button', { name: 'Move Rinse, step 3', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Duplicate Hold, step 6' }).click();
  await page.getByRole('button', { name: 'Save the routine' }).click();
  await page.getByRole('button', { name: 'Duplicate Wash-and-go, template' }).first().click();
  await expect(page.getByRole('heading', { level: 1, name: 'Wash-and-go, template, copy' })).toBeVisible();
});

test('a plan that cannot be is refused at its fields', async ({ page }) => {
  await page.goto('/trials/new/plan');
  await page.getByRole('button', { name: 'Save the plan and randomise' }).click();
  await expect(page.getByText('Ask the trial’s question in a sentence.').first()).toBeVisible();
  await expect(page.getByText('Choose whose hair is tested.').first()).toBeVisible();
  await page.getByLabel('Whose hair').selectOption('Ines Falkenrath');
  await page.getByLabel('Routine', { exact: true }).selectOption('Coast wash-and-go');
  await page.getByRole('checkbox', { name: /^Hold/ }).check();
  for (const arm of [/Option A/, /Option B/])
    await page.getByRole('group', { name: arm }).getByLabel('Gel or foam (hold)').selectOption('Anvil Gel');
  await page.getByLabel('In a sentence').fill('Anvil against itself?');
  // Something is wrong in what lies folded: it is open.
  await page.getByLabel('Judged on day').fill('9');
  await page.getByRole('button', { name: 'Save the plan and randomise' }).click();
  await expect(page.getByText(/uses the same as/).first()).toBeVisible();
  await expect(
    page.getByText('The hair is worn 5 days; it cannot be judged on day 9.').first(),
  ).toBeVisible();
});

test('old links and broken files get a sentence', async ({ page }) => {
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'There is no such page.' })).toBeVisible();
  await page.goto('/shelf/0192d5a0-0000-7000-8000-000000000000');
  await expect(page.getByText(/Sabor has no such product/)).toBeVisible();
  await page.goto('/trials/0192d5a0-0000-7000-8000-000000000000');
  await expect(page.getByText(/Sabor has no such trial/)).toBeVisible();
  await page.goto('/data');
  await expect(page.getByText(/This Sabor holds data already/)).toBeVisible();
});

test('what two tabs change of one record is put together, or chosen side by side', async ({
  page,
  context,
}) => {
  const open = async (tab: typeof page) => {
    await tab.goto('/shelf');
    await tab.getByRole('link', { name: 'Plum Stone Oil' }).click();
    await tab.getByRole('link', { name: 'Edit', exact: true }).click();
    await expect(tab.getByLabel('Price')).not.toHaveValue('');
  };
  const other = await context.newPage();
  await open(page);
  await open(other);
  await other.getByLabel('Price').fill('21');
  await other.getByLabel('Note').fill('from the market');
  await other.getByRole('button', { name: 'Save the product' }).click();
  await expect(other.getByText('Plum Stone Oil is saved.', { exact: true })).toBeVisible();
  // Another field: put together without a word.
  await page.getByLabel('Size').fill('80');
  await page.getByLabel('Price').fill('19');
  await page.getByRole('button', { name: 'Save the product' }).click();
  await expect(page.getByText(/Nothing was overwritten/)).toBeVisible();
  const price = page.getByRole('group', { name: 'Price' });
  await expect(price.getByRole('radio', { name: 'Here 19' })).toBeChecked();
  await price.getByRole('radio', { name: 'Elsewhere 21' }).check();
  await page.getByRole('button', { name: 'Take these' }).click();
  await expect(page.getByLabel('Price')).toHaveValue('21');
  await page.getByRole('button', { name: 'Save the product' }).click();
  await expect(page.getByText('Plum Stone Oil is saved.', { exact: true })).toBeVisible();
  await open(other);
  await expect(other.getByLabel('Price')).toHaveValue('21');
  await expect(other.getByLabel('Size')).toHaveValue('80');
  await expect(other.getByLabel('Note')).toHaveValue('from the market');
});

test('a nightly backup goes to a folder that is chosen, and is tried out', { tag: '@soak' }, async ({
  page,
}) => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-nights-'));
  await page.goto(`${await fresh('?empty')}/data`);
  await page.getByLabel('Folder for backups').fill('nights');
  await page.getByRole('button', { name: 'Save folder' }).click();
  await expect(page.getByText('Give the whole path of the folder, from / on.')).toBeVisible();
  await page.getByLabel('Folder for backups').fill(folder);
  await page.getByRole('button', { name: 'Save folder' }).click();
  await expect(page.getByText(/Nothing written yet/)).toBeVisible();
  await page.getByRole('button', { name: 'Back up now' }).click();
  // It is written, read into a database of its own, and written again.
  await expect(page.getByText(/read back and found the same. 1 kept/)).toBeVisible({ timeout: 120_000 });
  expect(readdirSync(folder)).toEqual([expect.stringMatching(/^sabor \d{4}-\d\d-\d\d\.zip$/)]);
  await page.getByLabel('Folder for backups').fill('');
  await page.getByRole('button', { name: 'Save folder' }).click();
  await expect(page.getByText('nothing is backed up by itself')).toBeVisible();
  rmSync(folder, { recursive: true });
});

test('the bench is walked by keyboard', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('heading', { name: 'Today' }).waitFor();
  await page.keyboard.press('?');
  const help = page.getByRole('dialog', { name: 'Keys and help' });
  await help.getByRole('link', { name: /what the words mean/ }).click();
  await expect(page.getByRole('heading', { name: 'Help' })).toBeVisible();
  await page.getByLabel('Find a word').fill('glides');
  await expect(page.getByText('No word here holds “glides”.')).toBeVisible();
  await page.getByLabel('Find a word').fill('glide');
  await expect(page.getByRole('definition')).toHaveText(
    'How easily fingers and comb glide through wet hair.',
  );
  await page.getByRole('heading', { name: 'Help' }).click();
  await page.keyboard.press('?');
  await expect(help).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('b');
  await page.keyboard.press('s');
  await expect(page.getByRole('heading', { name: 'Shelf', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Heads' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Heads' })).toBeVisible();
});
