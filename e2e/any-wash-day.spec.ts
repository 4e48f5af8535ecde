import { expect, PHONE, test } from './bench.ts';
import { copyHead, makeTrial } from './make-trial.ts';

test('yesterday’s wash is logged from the sofa, counts in the care due, and is marked as entered later', async ({
  page,
}) => {
  await copyHead(page, 'Ines Falkenrath', 'Nura Past');
  await page.setViewportSize(PHONE);
  await page.goto('/');
  let taps = 0;
  const press = async (name: string) => {
    await page.getByRole('button', { name, exact: true }).click();
    taps++;
  };
  await page.getByRole('link', { name: 'Log a wash day' }).click();
  await page.getByLabel('Whose hair').selectOption('Nura Past');
  await page.getByLabel('Routine').selectOption('Coast wash-and-go');
  taps += 5;
  const began = page.getByRole('textbox', { name: 'It began' });
  await began.fill('tomorrow 18:30');
  await began.blur();
  await press('Enter it');
  await expect(page.getByText(/in the future|has not come|future/i).first()).toBeVisible();
  await began.fill('yesterday 12:30');
  await began.blur();
  await press('Enter it');
  await expect(page.getByRole('heading', { name: 'Coast wash-and-go, afterwards' })).toBeVisible();
  const steps = page.getByRole('checkbox');
  const all = await steps.count();
  expect(all).toBeGreaterThan(4);
  // One step was left out, one was otherwise.
  await page.getByRole('checkbox', { name: /^Condition, step \d+, was done$/ }).uncheck();
  const hold = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('checkbox', { name: /^Hold, step \d+, was done$/ }) });
  await hold.getByRole('button', { name: /^What differed at Hold/ }).click();
  await hold.getByLabel('Technique').selectOption('scrunch');
  await press('Enter the wash day');
  taps += 4;
  await expect(page.getByRole('heading', { name: /^Coast wash-and-go, / })).toBeVisible();
  await expect(page.getByText('entered later', { exact: true })).toBeVisible();
  expect(taps).toBeLessThan(20);
  await expect(page.getByText(/Skipped/).first()).toBeVisible();

  await page.goto('/wash-days');
  const row = page.getByRole('listitem').filter({ hasText: 'Nura Past' });
  await expect(row).toContainText('by itself');
  await expect(row).toContainText('entered later');
  await page.goto('/trials');
  await expect(page.getByText('Nura Past')).toHaveCount(0);

  // The same again within the hour is one wash told twice.
  await page.goto('/wash-days/new');
  await page.getByLabel('Whose hair').selectOption('Nura Past');
  await page.getByRole('textbox', { name: 'It began' }).fill('yesterday 13:00');
  await page.getByRole('textbox', { name: 'It began' }).blur();
  await page.getByRole('button', { name: 'Enter it', exact: true }).click();
  await expect(page.getByText(/Another wash day of this head begins within an hour/).first()).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'It began' })).toHaveValue(/13:00/);
});

test('a wash day by itself is conducted step by step from a routine', { tag: '@soak' }, async ({ page }) => {
  await copyHead(page, 'Tomasz Adeyinka-Holm', 'Nils Now');
  await page.goto('/routines');
  await page.getByRole('link', { name: 'Log a wash day by Coast wash-and-go' }).click();
  await page.getByLabel('Whose hair').selectOption('Nils Now');
  await page.getByRole('button', { name: 'Start the wash' }).click();
  await expect(page.getByText('Coast wash-and-go').first()).toBeVisible();
  await page.getByRole('link', { name: 'Enter it in one sheet' }).click();
  await page.getByRole('button', { name: 'Enter the wash day' }).click();
  await expect(page.getByText('being worn').first()).toBeVisible();
  await expect(page.getByText('entered later')).toHaveCount(0);
  await page.goto('/');
  await expect(page.getByText('Wash day of Nils Now', { exact: false }).first()).toBeVisible();
});

test('a wash day of a trial that is past is entered in one sheet, with its own start', async ({ page }) => {
  await copyHead(page, 'Ines Falkenrath', 'Past Trial');
  const trial = await makeTrial(page, 'Entered later?', ['Anvil Gel', 'Kelp Fold Gel'], 8, {}, 'Past Trial');
  await page.goto(`/trials/${trial}`);
  await page.getByRole('button', { name: 'Enter a past one' }).click();
  await page.getByRole('button', { name: 'Enter it', exact: true }).click();
  await expect(page.getByText('Say when it began: a date and a time.')).toBeVisible();
  await page.getByRole('textbox', { name: 'It began' }).fill('yesterday 09:00');
  await page.getByRole('textbox', { name: 'It began' }).blur();
  await page.getByRole('button', { name: 'Enter it', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Wash day 1, afterwards' })).toBeVisible();
  await page.getByRole('textbox', { name: 'It began' }).fill('yesterday 08:00');
  await page.getByRole('textbox', { name: 'It began' }).blur();
  await page.getByRole('button', { name: 'Enter the wash day' }).click();
  await expect(page.getByText('entered later', { exact: true })).toBeVisible();
});
