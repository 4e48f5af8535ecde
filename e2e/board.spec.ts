import { expect, test } from './bench.ts';

test('a tester reads which hold is first, opens a pair that never met, and turns a wish', async ({
  page,
}) => {
  await page.goto('/board');
  const standings = page.getByRole('region', { name: 'Who is first' });
  await expect(standings.getByRole('listitem').first()).toContainText(/first in (over )?\d+ of 100/);
  const rows = standings.getByRole('listitem');
  await expect(rows.filter({ hasText: 'Anvil Gel' }).first()).toContainText('2 trials, 8 wash days');
  await expect(page.getByRole('region', { name: 'Left out' })).toContainText('found it broken');

  // Two that no trial held: known through others, and the plan that would set them side by side.
  await page.getByLabel('How is').selectOption({ label: 'Bramble Cream' });
  await page.getByLabel('known against').selectOption({ label: 'Kelp Fold Gel' });
  await page.getByRole('button', { name: 'Open the pair' }).click();
  const pair = page.getByRole('region', { name: 'Bramble Cream against Kelp Fold Gel' });
  await expect(pair).toContainText('No trial held both; they are known through Sedge Jelly, Anvil Gel.');
  await expect(pair).toContainText(/Over all: Bramble Cream −\d\.\d \(/);
  await expect(
    pair.getByRole('link', { name: 'Plan the trial that sets them side by side' }),
  ).toHaveAttribute('href', /products=/);
  await pair.getByRole('button', { name: 'Close' }).click();
  await expect(pair).toHaveCount(0);

  // The two gels were tried on another head as well.
  await page.getByLabel('How is').selectOption({ label: 'Kelp Fold Gel' });
  await page.getByLabel('known against').selectOption({ label: 'Anvil Gel' });
  await page.getByRole('button', { name: 'Open the pair' }).click();
  const gels = page.getByRole('region', { name: 'Kelp Fold Gel against Anvil Gel' });
  await expect(gels).toContainText('Side by side in 1 trial, 8 wash days');
  await gels.getByText('On other heads').click();
  await expect(gels.getByRole('row', { name: /^Tomasz.*4A.*\(.* to .*1 trial$/ })).toBeVisible();
  await expect(gels.getByRole('row', { name: /^Pip.*not known on this head$/ })).toBeVisible();
  await expect(gels).toContainText('Two heads are listed, not averaged');
  await gels.getByRole('button', { name: 'Close' }).click();

  // Softness alone: the cream, which loses everywhere else.
  await expect(rows.first()).not.toContainText('Bramble Cream');
  for (const wish of ['Definition', 'Little frizz', 'Hold', 'Length'])
    await page.getByRole('slider', { name: wish, exact: true }).fill('0');
  await page.getByRole('slider', { name: 'Softness' }).fill('8');
  await expect(rows.first()).toContainText('Bramble Cream');
  await page.getByRole('button', { name: 'Back to the profile’s wishes' }).click();
  await expect(rows.first()).not.toContainText('Bramble Cream');

  await page.getByText('All numbers').click();
  const table = page.getByRole('region', { name: 'All numbers, thing by thing' });
  await page.getByLabel('Set against').selectOption({ label: 'Anvil Gel' });
  await expect(table.getByRole('row', { name: /^Kelp Fold Gel/ })).toContainText(/\+\d\.\d \(/);
  await table.getByRole('button', { name: 'Hold', exact: true }).click();
  await expect(table.getByRole('row').nth(1)).toContainText('Kelp Fold Gel');
  // Without the weakened trials the foam is known by nothing any more.
  await page.getByLabel(/Count weakened trials/).click();
  await expect(page.getByLabel(/Count weakened trials/)).not.toBeChecked();
  await expect(rows.filter({ hasText: 'Brine Foam' })).toHaveCount(1);
  await expect(standings).toContainText('Not tried on this head');
});

test('a head without finished trials is told what to do, and one trial alone is an island', async ({
  page,
}) => {
  await page.goto('/board');
  await page.getByLabel('Head').selectOption({ label: 'Pip Marlowe-Okoro' });
  await expect(page.getByRole('heading', { name: 'No finished trial yet' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Not on the board' })).toContainText('not over yet');
  await page.getByLabel('Head').selectOption({ label: 'Tomasz Adeyinka-Holm' });
  await expect(page.getByRole('region', { name: 'Who is first' })).toContainText('Spindrift');
});

test('how long it stays good is promised as the main result of a new trial', async ({ page }) => {
  await page.goto('/trials/new/plan');
  await page.getByLabel('Main result').selectOption({ label: 'How many days it stays good' });
  await page.getByLabel('Good by which outcome').selectOption({ label: 'Frizz' });
  await expect(
    page.getByText(/good enough up to \d.*1 day worth switching for.*counted to day/),
  ).toBeVisible();
});
