import { expect, test } from './bench.ts';

const hours = (n: number) => new Date(Date.now() - n * 3_600_000);

test('a place is added, its station read, and a wearer’s next wash day is told its air', async ({ page }) => {
  await page.goto('/weather/new');
  await page.getByLabel('Name').fill('Quarrel Sands');
  await page.getByRole('button', { name: 'Time zone' }).click();
  await page.getByRole('combobox', { name: 'Type to search' }).fill('lisb');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Time zone')).toHaveText(/^Europe\/Lisbon/);
  await page.getByLabel('Simulated weather station').selectOption({ label: 'sticky heat' });
  await page.getByRole('button', { name: 'Fill in twelve months' }).click();
  await page.getByLabel('January, daily high').fill('1');
  await page.getByRole('button', { name: 'Save the place' }).click();
  await expect(page.getByText('The high cannot lie under the low.').first()).toBeVisible();
  await page.getByLabel('January, daily high').fill('14');
  await page.getByRole('button', { name: 'Save the place' }).click();
  await expect(page.getByRole('heading', { name: 'Quarrel Sands' })).toBeVisible();
  await expect(page.getByText('Simulated station: made-up weather, playing sticky heat')).toBeVisible();
  await expect(page.getByText(/^Now: .* °C · \d+ % humidity · dew point 2\d\.\d °C, humid/)).toBeVisible();
  await page.goto('/weather');
  await page.getByLabel('Wearer').selectOption('Pip Marlowe-Okoro');
  await page.getByLabel('At', { exact: true }).selectOption('Quarrel Sands');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText(/^Pip Marlowe-Okoro is at Quarrel Sands from/)).toBeVisible();
  await page.goto('/');
  await expect(page.getByText(/^Now at Quarrel Sands: [23]\d\.\d °C/)).toBeVisible();
  await page.goto('/weather');
  const moved = page.getByRole('listitem').filter({ hasText: 'at Quarrel Sands' });
  await moved.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(moved).toHaveCount(0);
  await page.getByRole('button', { name: 'Archive Quarrel Sands' }).click();
});

test('a weather file is named column by column, told row by row, stored once and taken back', async ({
  page,
}) => {
  await page.goto('/weather');
  await page.getByRole('link', { name: 'Brackwell Downs' }).click();
  await page.getByRole('tab', { name: 'From a file' }).click();
  const rows = Array.from({ length: 30 }, (_, i) => `${String((i % 24) + 0).padStart(2, '0')}:00`).map(
    (time, i) => `0${i < 24 ? 3 : 4}/05/2025 ${time};50,0;${i === 4 ? 'wet' : 80}`,
  );
  rows.splice(10, 3);
  rows.push(rows[0]!);
  await page.getByLabel('Hourly readings, CSV').setInputFiles({
    name: 'shed.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(rows.join('\n')),
  });
  await expect(page.getByText('28 rows, and no headings: say what each column holds.')).toBeVisible();
  await expect(page.getByText('Say which column holds the date and time.')).toBeVisible();
  await page.getByLabel('What Column 1 holds').selectOption('date and time');
  await page.getByLabel('What Column 2 holds').selectOption('temperature, °F');
  await page.getByLabel('What Column 3 holds').selectOption('relative humidity, %');
  await expect(page.getByText('Say whether its dates put the day or the month first.')).toBeVisible();
  await page.getByLabel('Dates such as 03/04').selectOption('day first: 3 April');
  await page.getByRole('button', { name: 'Read 28 rows' }).click();
  const report = page.getByRole('region', { name: 'What the file holds' });
  await expect(
    report.getByText(
      /^26 readings can be stored.* 2 rows were not taken\. 4 readings are missing in 2 gaps\./,
    ),
  ).toBeVisible();
  await report.getByText('Row by row').click();
  await expect(report.getByText('Line 5: “wet” is no number.')).toBeVisible();
  await expect(report.getByText('Line 28: The same hour as line 1; the first was taken.')).toBeVisible();
  await report.getByRole('button', { name: 'Store 26 readings' }).click();
  await expect(report.getByText('26 of 26 sent, 26 new.')).toBeVisible();
  await page.getByLabel('Up to').fill('2025-05-04');
  await expect(page.getByText(/10\.0 °C · 80 % humidity · dew point 6\.7 °C/).first()).toBeVisible();
  await report.getByRole('button', { name: 'Undo this import' }).click();
  await expect(page.getByText('No readings in these days')).toBeVisible();
});

test('METAR reports are pasted, each answered for, and can be undone', { tag: '@soak' }, async ({ page }) => {
  await page.goto('/weather');
  await page.getByRole('link', { name: 'Brackwell Downs' }).click();
  await page.getByRole('tab', { name: 'METAR reports' }).click();
  await page
    .getByLabel('METAR reports, as many as you like')
    .fill('METAR YUDO 101630Z 24004MPS 0600 17/16 Q1018=\nMETAR YUDO 101700Z 24004MPS 06');
  await page.getByLabel('Month').fill('2025-06');
  await page.getByRole('button', { name: 'Read the reports' }).click();
  await expect(page.getByText('2 reports, 1 read, 1 new.')).toBeVisible();
  await expect(page.getByText(/16:30 UTC: 17\.0 °C · 94 % humidity · dew point 16\.0 °C/)).toBeVisible();
  await expect(
    page.getByText('Not taken. Temperature or dew point is missing. Is the report cut off?'),
  ).toBeVisible();
  await page
    .getByRole('button', { name: 'Undo what was just done' })
    .or(page.getByRole('button', { name: 'Undo' }).last())
    .first()
    .click();
  await expect(page.getByRole('button', { name: 'Remove 1 pasted report' })).toHaveCount(0);
});

test('a reading by hand is checked field by field and stored', { tag: '@soak' }, async ({ page }) => {
  await page.goto('/weather');
  await page.getByRole('link', { name: 'Brackwell Downs' }).click();
  // The station's own readings stand on the full hour.
  const at = `${hours(2000).toISOString().slice(0, 14)}17`;
  await page.getByLabel('Read at (clock at Brackwell Downs)').fill(at);
  await page.getByLabel('Temperature', { exact: true }).fill('12');
  await page.getByLabel('Humidity').fill('180');
  await page.getByRole('button', { name: 'Store the reading' }).click();
  await expect(page.getByText('The humidity in % cannot be over 100.')).toBeVisible();
  await page.getByLabel('Humidity').fill('80');
  await page.getByRole('button', { name: 'Store the reading' }).click();
  await expect(page.getByText('The reading is stored.', { exact: true })).toBeVisible();
  await page.getByLabel('Read at (clock at Brackwell Downs)').fill(at);
  await page.getByLabel('Temperature', { exact: true }).fill('13');
  await page.getByLabel('Humidity').fill('70');
  await page.getByRole('button', { name: 'Store the reading' }).click();
  await expect(
    page.getByText('This place already has a reading of that moment; it is left as it is.'),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Remove Read at/ }).click();
  await expect(page.getByRole('button', { name: /^Remove Read at/ })).toHaveCount(0);
});

test('dew-point bands take the tester’s own limits and words, in order', { tag: '@soak' }, async ({
  page,
}) => {
  await page.goto('/weather');
  await page.getByLabel('Band 2, under').fill('1');
  await page.getByRole('button', { name: 'Save the bands' }).click();
  await expect(page.getByText('Each limit must lie over the one before it.')).toBeVisible();
  await page.getByLabel('Band 2, under').fill('20');
  await page.getByLabel('Band 3, under').fill('25');
  await page.getByLabel('Band 2 is called').fill('my mild');
  await page.getByRole('button', { name: 'Save the bands' }).click();
  await expect(page.getByText('The bands are saved.', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Ostrel Harbour' }).click();
  await expect(page.getByText(/dew point .* °C, my mild/).first()).toBeVisible();
  await page.goto('/weather');
  await page.getByRole('button', { name: 'Back to the usual bands' }).click();
  await expect(page.getByLabel('Band 2 is called')).toHaveValue('a bit dry');
});

test('a wash day is stamped with its weather, day by day, and takes the hours outdoors', async ({ page }) => {
  const trials = (await (await page.request.get('/api/trials')).json()) as { id: string; question: string }[];
  const finished = trials.find(({ question }) => question.startsWith('Which gel keeps Ines'))!;
  await page.goto(`/trials/${finished.id}`);
  await page.getByRole('link', { name: /^8 · / }).click();
  await expect(page.getByText(/^Ostrel Harbour, \d\d:00: .* % humidity, wind/)).toBeVisible();
  const wear = page.getByRole('region', { name: 'Weather while worn' });
  await expect(wear.getByRole('listitem')).toHaveCount(8);
  await page.goto(`/trials/${finished.id}/compare`);
  await expect(page.getByRole('table', { name: /Weather under the curve/ }).getByRole('row')).toHaveCount(3);
});
