import { readFileSync } from 'node:fs';
import { expect, test } from './bench.ts';

const sheet = (rows: string[]) => ({
  name: 'old notebook.csv',
  mimeType: 'text/csv',
  buffer: Buffer.from(rows.join('\n')),
});
const HEADINGS = 'Date;Styler;Definition;Frizz control;Days worn;Remarks';

test('an own spreadsheet of old wash days comes in: columns named, names explained, rows told, taken back', async ({
  page,
}) => {
  await page.goto('/wash-days');
  await page.getByRole('link', { name: 'Import a spreadsheet' }).click();
  const file = page.getByLabel('Spreadsheet or calendar file');
  await file.setInputFiles(
    sheet([
      HEADINGS,
      '07/01/2024;Anvil Gel;4;5;3;soft',
      '14/01/2024;Blue jar;2;1;2;',
      '32/01/2024;Anvil Gel;3;3;3;',
      '28/01/2024;kelp fold gel;5;4;2;=best',
    ]),
  );
  await expect(page.getByText('4 rows.')).toBeVisible();
  // Headings and numbers are guessed; dates past the twelfth say which comes first.
  await expect(page.getByLabel('What Frizz control holds')).toHaveValue('turned-frizz');
  await expect(page.getByLabel('Ratings run from')).toHaveValue('1');
  await expect(page.getByText('Say whose wash days these are.')).toBeVisible();
  await page.getByLabel('Whose wash days').selectOption('Tomasz Adeyinka-Holm');
  // A field that is wrong is told there, not by every row.
  await page.getByLabel('Time of day').fill('25:99');
  await expect(page.getByText('Give the time of day as 18:00.').first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Read 4 rows' })).toHaveCount(0);
  await page.getByLabel('Time of day').fill('18:00');
  await page.getByRole('button', { name: 'Read 4 rows' }).click();
  const holds = page.getByRole('region', { name: 'What the file holds' });
  await expect(holds.getByText('2 wash days can be stored')).toBeVisible();
  await expect(holds.getByText('Line 4: There is no such day.')).toBeVisible();
  await expect(holds.getByText(/^Line 3: Nothing on the shelf goes by “Blue jar”/)).toBeVisible();
  await expect(
    holds.getByText('Line 2: Sun 7 Jan 2024 · Tomasz Adeyinka-Holm · Anvil Gel · definition 7.5, frizz 0'),
  ).toBeVisible();
  const meant = holds.getByLabel('“Blue jar” (1 row)');
  await meant.selectOption(
    await meant.getByRole('option', { name: /Anvil Gel/ }).evaluate((one: HTMLOptionElement) => one.value),
  );
  await expect(holds.getByText('3 wash days can be stored')).toBeVisible();
  const [report] = await Promise.all([
    page.waitForEvent('download'),
    holds.getByRole('button', { name: 'Save the whole report as CSV' }).click(),
  ]);
  expect(readFileSync((await report.path())!, 'utf8')).toContain('4,There is no such day.');
  await holds.getByRole('button', { name: 'Store 3 wash days' }).click();
  await expect(holds.getByText('3 of 3 sent, 3 new.')).toBeVisible();
  await holds.getByRole('link', { name: 'To the wash days' }).click();
  await page.getByLabel('Search this list').fill('2024-01');
  await expect(page.getByRole('listitem').filter({ hasText: 'entered later' })).toHaveCount(3);

  // The next file with these headings is read as this one was, names and all.
  await page.goto('/wash-days/import');
  await file.setInputFiles(sheet([HEADINGS, '07/01/2024;Anvil Gel;4;5;3;', '05/02/2024;Blue jar;2;2;1;']));
  await expect(page.getByText('Read as the last file with these headings was.')).toBeVisible();
  await expect(page.getByLabel('Whose wash days')).toHaveValue(/.+/);
  await page.getByRole('button', { name: 'Read 2 rows' }).click();
  await holds.getByRole('button', { name: 'Store 2 wash days' }).click();
  await expect(
    holds.getByText('2 of 2 sent, 1 new; the others were there already and stay as they were.'),
  ).toBeVisible();
  await holds.getByRole('button', { name: 'Undo this import' }).click();
  await expect(page.getByText('Those wash days are out again.', { exact: true })).toBeVisible();

  await page.getByRole('button', { name: 'Remove the wash days of old notebook.csv' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Remove 3 wash days' }).click();
  await expect(page.getByText('3 wash days are removed.', { exact: true })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Imported before' })).toHaveCount(0);
});

test('a workbook of another program comes in by its sheet; what is none gets a sentence', async ({
  page,
}) => {
  await page.goto('/wash-days/import');
  const file = page.getByLabel('Spreadsheet or calendar file');
  await file.setInputFiles('web/workers/fixtures/old.xls');
  await expect(page.getByText(/of the old .xls kind. Save it as XLSX or CSV/)).toBeVisible();
  await file.setInputFiles({ name: 'empty.csv', mimeType: 'text/csv', buffer: Buffer.from('Date;Gel\n') });
  await expect(page.getByText(/holds no rows under its headings/)).toBeVisible();
  await file.setInputFiles('web/workers/fixtures/gnumeric.xlsx');
  await page.getByRole('combobox', { name: /^Sheet/ }).selectOption({ label: 'Wash days (3 rows)' });
  await page.getByLabel('Whose wash days').selectOption('Tomasz Adeyinka-Holm');
  await page.getByRole('button', { name: 'Read 3 rows' }).click();
  const holds = page.getByRole('region', { name: 'What the file holds' });
  await expect(holds.getByText('2 wash days can be stored')).toBeVisible();
  await expect(holds.getByText('Line 7: “true” is no number (frizz rating).')).toBeVisible();
  await expect(
    holds.getByText(/Line 4: Sun 1 Mar · Tomasz Adeyinka-Holm · Anvil Gel · frizz 3.5/),
  ).toBeVisible();
});

test('a calendar’s file comes in by the word its entries share', { tag: '@soak' }, async ({ page }) => {
  await page.goto('/wash-days/import');
  await page.getByLabel('Spreadsheet or calendar file').setInputFiles({
    name: 'calendar.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(
      [
        'BEGIN:VCALENDAR',
        'VERSION:2.0',
        'BEGIN:VEVENT',
        'UID:1',
        'DTSTART;VALUE=DATE:20240303',
        'RRULE:FREQ=WEEKLY;COUNT=3',
        'SUMMARY:Wash day\\, at last',
        'DESCRIPTION:Anvil Gel',
        'END:VEVENT',
        'BEGIN:VEVENT',
        'UID:2',
        'DTSTART:20240305T090000Z',
        'SUMMARY:Dentist',
        'END:VEVENT',
        'END:VCALENDAR',
      ].join('\r\n'),
    ),
  });
  await expect(page.getByText('4 rows.')).toBeVisible();
  await page.getByLabel('What Description holds').selectOption('products, each by its role');
  await page.getByLabel('Whose wash days').selectOption('Tomasz Adeyinka-Holm');
  await page.getByLabel('Only rows with').fill('wash');
  await page.getByRole('button', { name: 'Read 4 rows' }).click();
  const holds = page.getByRole('region', { name: 'What the file holds' });
  await expect(
    holds.getByText(
      '3 wash days can be stored, Sun 3 Mar 2024 to Sun 17 Mar 2024. Every row was read. 1 row without that word left out.',
    ),
  ).toBeVisible();
});
