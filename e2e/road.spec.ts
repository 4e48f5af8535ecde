import { expect, lookAndEnd, runWashDay, test } from './bench.ts';

/**
 * The whole road on screens alone: shelf, head, routine, trial, wash days, wear, comparison. In the soak; among the tests of every
 * change the whole job (`entire-job.spec.ts`) goes the same way.
 */
test('a tester takes an own two-arm trial from shelf to comparison', { tag: '@soak' }, async ({ page }) => {
  await page.goto('/shelf');
  for (const [name, price] of [
    ['Marsh Gel', '12,50'],
    ['Dune Gel', '20'],
  ] as const) {
    await page.getByRole('link', { name: 'Add a product' }).click();
    await page.getByLabel('Name').fill(name);
    await page.getByLabel('Gel or jelly').check();
    await page.getByLabel('Size').fill('200');
    await page.getByLabel('Price').fill(price);
    await page.getByLabel('Ingredients, as on the label').fill('Aqua, PVP, 1,2-Hexanediol');
    await expect(page.getByText('Split into 3 items')).toBeVisible();
    await page.getByRole('button', { name: 'Save the product' }).click();
    await expect(page.getByRole('link', { name })).toBeVisible();
  }
  await expect(page.getByRole('row', { name: /Marsh Gel/ })).toContainText('EUR 6.25');

  await page.getByRole('link', { name: 'Heads' }).click();
  await page.getByRole('link', { name: 'Add a wearer' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Quilla Brandt');
  await page.getByLabel('Porosity, whole head').selectOption('low');
  await page.getByRole('button', { name: /^Front hairline, left/ }).click();
  await page.getByLabel('Porosity', { exact: true }).selectOption('high');
  await expect(
    page.getByRole('button', { name: 'Front hairline, left: high, its own, chosen' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Add a zone of your own' }).click();
  await page.getByLabel('Its name').fill('Cowlick');
  await page.getByRole('button', { name: 'Tag a curl' }).click();
  const curl = page.getByRole('group', { name: 'Tagged curl 1' });
  await curl.getByLabel('Name').fill('Crown curl');
  await curl.getByLabel('Stretched').fill('300');
  await curl.getByLabel('Resting').fill('180');
  await expect(curl.getByText('40 % shrinkage')).toBeVisible();
  await page.getByRole('button', { name: 'Save the wearer' }).click();
  await expect(page.getByRole('link', { name: 'Quilla Brandt' })).toBeVisible();

  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: 'Write a routine' }).click();
  await page.getByLabel('Name').fill('Quick gel day');
  for (const slot of ['Cleanse', 'Hold', 'Dry', 'Break the cast']) {
    await page.getByLabel('Next step').selectOption(slot);
    await page.getByRole('button', { name: 'Add this step' }).click();
  }
  await page.getByRole('button', { name: /^Hold/ }).click();
  await page.getByLabel('Amount', { exact: true }).selectOption('this much');
  await page.getByLabel('How much').fill('10');
  await page.getByLabel('Measure').selectOption('ml');
  await page.getByRole('button', { name: 'Save the routine' }).click();
  await expect(page.getByRole('link', { name: 'Quick gel day', exact: true })).toBeVisible();

  await page.getByRole('link', { name: 'Trials' }).click();
  await page.getByRole('link', { name: 'Plan a trial' }).click();
  await page.getByLabel('In a sentence').fill('Marsh or Dune on Quilla?');
  await page.getByLabel('Whose hair').selectOption('Quilla Brandt');
  await page.getByLabel('Routine', { exact: true }).selectOption('Quick gel day');
  // What the routine leaves open is asked for at once.
  await expect(page.getByText('Not named yet: cleanse.')).toBeVisible();
  await page.getByLabel('Cleanse: product').selectOption('Low Tide Shampoo');
  await expect(page.getByText('Not named yet')).toHaveCount(0);
  await page.getByRole('checkbox', { name: /Hold/ }).check();
  const [armA, armB] = [
    page.getByRole('group', { name: /Option A/ }),
    page.getByRole('group', { name: /Option B/ }),
  ];
  await armA.getByLabel('Gel or foam (hold)').selectOption('Marsh Gel');
  await armB.getByLabel('Gel or foam (hold)').selectOption('Dune Gel');
  await expect(armB.getByLabel('Name shown')).toHaveValue('Dune Gel');
  await page.getByLabel('Wash days, all options together').selectOption('4 wash days');
  await expect(page.getByRole('region', { name: 'What this plan can show' })).toContainText(
    '4 wash days can only hint: an option has fewer than three of them.',
  );
  await page.getByLabel('Days worn after each').fill('1');
  await page.getByRole('button', { name: 'Save the plan and randomise' }).click();
  await expect(page.getByRole('heading', { name: 'Marsh or Dune on Quilla?' })).toBeVisible();
  await expect(page.getByRole('table', { name: 'Planned and actual wash days' })).toContainText(
    'Dune Gel, 10 ml',
  );
  await expect(page.getByRole('list', { name: '0 of 4 wash days opened' })).toBeVisible();

  for (let n = 1; n <= 4; n++) {
    await runWashDay(page, n, { temperature: String(10 + n), humidity: '80' });
    const dune = await page.getByText('Dune Gel').first().isVisible();
    await lookAndEnd(page, dune ? 8 : 5, dune ? 2 : 4);
    await expect(page.getByRole('heading', { name: 'Marsh or Dune on Quilla?' })).toBeVisible();
  }
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await page.getByRole('button', { name: 'Show the outcomes' }).click();
  await expect(
    page.getByRole('heading', {
      name: 'These wash days can only hint at which gives more definition.',
    }),
  ).toBeVisible();
  await expect(
    page.getByText(/Dune Gel scored 3\.0 higher than Marsh Gel in definition on day 1/).first(),
  ).toBeVisible();
  const definition = page.getByRole('row', { name: /^Definition/ }).first();
  await expect(definition).toContainText('5.0');
  await expect(definition).toContainText('8.0');
  await expect(definition).toContainText('+3.0');
  await page.getByRole('heading', { name: 'How long it lasts, and what it costs' }).scrollIntoViewIfNeeded();
  await expect(
    page.getByRole('region', { name: 'Good days and cost' }).getByRole('row', { name: /^▲? ?Dune Gel/ }),
  ).toContainText('EUR 1.00');
  await expect(
    page.getByText('This plan could not settle it: an option has fewer than 3 wash days.'),
  ).toBeVisible();
});
