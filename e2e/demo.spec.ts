import { expect, test } from './bench.ts';

test('a newcomer reads the demo trial’s comparison from the first screen', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await page.getByRole('link', { name: 'Read the comparison' }).first().click();
  await expect(
    page.getByRole('heading', { name: 'Kelp Fold Gel gave more definition than Anvil Gel.' }),
  ).toBeVisible();
  await expect(
    page.getByText(
      /Of the 70 orders that could have been drawn, 2\.9 % show a difference at least this wide: p = \.029\./,
    ),
  ).toBeVisible();
  await expect(
    page.getByText('It rests on these wash days: 4 of Anvil Gel and 4 of Kelp Fold Gel.'),
  ).toBeVisible();
  await page.getByRole('heading', { name: 'How long it lasts, and what it costs' }).scrollIntoViewIfNeeded();
  await expect(page.getByText('still good on day 6, no longer on day 7').first()).toBeVisible();
  const good = page.getByRole('region', { name: 'Wash days still good, day by day' });
  await expect(good.getByRole('row', { name: /Kelp Fold Gel/ })).toContainText(/\d of 4/);
  await expect(page.getByRole('list', { name: 'How much longer' })).toContainText(
    /Kelp Fold Gel stayed good \d\.\d days longer than Anvil Gel by day 7 \(9\d/,
  );
  await expect(page.getByText(/To declare: Kelp Fold Gel \(gift\)/)).toBeVisible();
  await expect(page.getByRole('img', { name: /^Definition by day/ })).toBeVisible();
  const volume = page.getByRole('row', { name: /^Volume/ });
  await expect(volume.getByText(/^−\d\.\d$/).first()).toBeVisible();
  await page.getByRole('heading', { name: 'The wash days as they were run' }).scrollIntoViewIfNeeded();
  await expect(page.getByRole('listitem').filter({ hasText: 'dry: 41 min instead of 30.' })).toBeVisible();
  await expect(
    page.getByRole('table', { name: 'Actual wash days, aligned step by step' }).getByRole('row'),
  ).toHaveCount(10);
  await page.getByRole('combobox', { name: /^Outcome/ }).selectOption('Volume');
  await expect(page.getByRole('img', { name: /^Volume by day/ })).toBeVisible();
});

test('the running trial keeps its lot sealed and its test shut', async ({ page }) => {
  await page.goto('/trials');
  await page.getByRole('link', { name: /Foam or jelly for Tomasz/ }).click();
  await expect(page.getByText(/Which option a wash day has shows when it begins/)).toBeVisible();
  await expect(
    page.getByText('The call was moved two hours forward', { exact: false }).first(),
  ).toBeVisible();
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await page.getByRole('button', { name: 'Show the outcomes' }).click();
  await expect(page.getByRole('heading', { name: 'Too early: 3 of 8 wash days are in.' })).toBeVisible();
  await expect(page.getByText(/p [=<]/)).toHaveCount(0);
});

test('a plan that can only describe is called that', { tag: '@soak' }, async ({ page }) => {
  await page.goto('/trials');
  const trial = page.getByRole('listitem').filter({ hasText: 'Heron Mist weigh Pip' });
  await expect(trial.getByText('can only hint')).toBeVisible();
  await trial.getByRole('link', { name: /Heron Mist/ }).click();
  await expect(
    page.getByText('6 wash days can only hint, however large the difference. More wash days change that.'),
  ).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'Caution' })).toContainText('under age');
});

test('readings leave as CSV, everything as one zip', async ({ page }) => {
  await page.goto('/data');
  const csv = page.waitForEvent('download');
  await page.getByRole('link', { name: /^Readings: Which gel keeps Ines/ }).click();
  expect((await csv).suggestedFilename()).toMatch(/^sabor readings .*\.csv$/);
  const trial = page.waitForEvent('download');
  await page.getByRole('link', { name: /^All of it for a statistician: Which gel keeps Ines/ }).click();
  expect((await trial).suggestedFilename()).toBe('sabor trial.zip');
  await page.getByText('A part of it, to pass on').click();
  await page.getByLabel('Head', { exact: true }).selectOption('Maren Castell-Yoon');
  await page.getByLabel('Washed from').fill('never');
  await page.keyboard.press('Tab');
  await expect(page.getByText('Sabor cannot read this date.', { exact: false })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Save this part' })).toHaveCount(0);
  await page.getByLabel('Washed from').fill('');
  const part = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save this part' }).click();
  expect((await part).suggestedFilename()).toMatch(/^sabor part .*\.zip$/);
  const zip = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Everything, as one zip' }).click();
  expect((await zip).suggestedFilename()).toMatch(/^sabor backup .*\.zip$/);
});

test('a product is archived and brought back, with undo', { tag: '@soak' }, async ({ page }) => {
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Archive Plum Stone Oil' }).click();
  await expect(page.getByRole('link', { name: 'Plum Stone Oil' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByRole('link', { name: 'Plum Stone Oil' })).toBeVisible();
});

test('units follow the tester’s preference everywhere', async ({ page }) => {
  await page.goto('/data');
  await page.getByLabel('Volumes in').selectOption('US fluid ounces');
  await page.getByLabel('Temperatures in').selectOption('degrees Fahrenheit');
  await page.getByRole('navigation').getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByText('8.45 fl oz').first()).toBeVisible();
  // A heat limit is as the label has it: the protectant guards up to 180 °C.
  await page.getByRole('link', { name: 'Spindrift Leave-in' }).click();
  await expect(page.getByText('356 °F')).toBeVisible();
  await page.getByRole('link', { name: 'Edit', exact: true }).click();
  await page.getByLabel('Heat limit, by the label').fill('450');
  await page.getByRole('button', { name: 'Save the product' }).click();
  await expect(page.getByText('450 °F')).toBeVisible();
  const trials = (await (await page.request.get('/api/trials')).json()) as { id: string; question: string }[];
  await page.goto(`/side-by-side?a=${trials.find(({ question }) => question.includes('stage doors'))!.id}`);
  await expect(page.getByRole('row', { name: /^Dew point/ })).toContainText(/\d °F.*\d °F/);
  await expect(page.getByText('°C')).toHaveCount(0);
  await page.goto('/data');
  await page.getByLabel('Volumes in').selectOption('millilitres');
  await page.getByLabel('Temperatures in').selectOption('degrees Celsius');
  await expect(page.getByLabel('Volumes in')).toHaveValue('ml');
});

test('a line is added, renamed, and put away once nothing of it stands on the shelf', {
  tag: '@soak',
}, async ({ page }) => {
  await page.goto('/shelf');
  await expect(page.getByRole('button', { name: 'Archive Tidewrack' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Add a line' }).click();
  await page.getByRole('button', { name: 'Save the line' }).click();
  await expect(page.getByText('A line needs a name.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('Gorse');
  await page.getByRole('button', { name: 'Save the line' }).click();
  const line = page.getByRole('region', { name: 'Gorse' });
  await line.getByRole('button', { name: /^Change / }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Gorse Hill');
  await page.getByRole('button', { name: 'Save the line' }).click();
  await page.getByRole('button', { name: 'Archive Gorse Hill' }).click();
  await expect(page.getByRole('heading', { name: 'Gorse Hill' })).toHaveCount(0);
  await page.getByRole('button', { name: /^Archived: \d/ }).click();
  await page.getByRole('button', { name: 'Bring back Gorse Hill' }).click();
  await page.getByRole('button', { name: 'Back to the shelf' }).click();
  await expect(page.getByRole('heading', { name: 'Gorse Hill' })).toBeVisible();
});
