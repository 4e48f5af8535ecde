import { expect, test } from './bench.ts';

test('a tester reads which hold is first, opens a pair that never met, and turns a wish', async ({
  page,
}) => {
  await page.goto('/board');
  const standings = page.getByRole('region', { name: 'Who is first' });
  await expect(standings.getByRole('listitem').first()).toContainText(/first in (over )?\d+ of 100/);
  const rows = standings.getByRole('listitem');
  await expect(rows.filter({ hasText: 'Anvil Gel' }).first()).toContainText('3 trials, 12 wash days');
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
  await expect(gels).toContainText(/Over 5 heads: Kelp Fold Gel \+\d\.\d .* against Anvil Gel/);
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
  // Without the weakened trials the foam has no number any more, and is not called untried.
  await page.getByLabel(/Count weakened trials/).click();
  await expect(page.getByLabel(/Count weakened trials/)).not.toBeChecked();
  await expect(rows.filter({ hasText: 'Brine Foam' })).toHaveCount(0);
  await expect(standings).toContainText(/Without a number here: .*Brine Foam/);
  await expect(standings).not.toContainText('Not tried on this head');
});

test('what is in view orders anew among itself, and the address keeps it', { tag: '@soak' }, async ({
  page,
}) => {
  await page.goto('/board');
  const rows = page.getByRole('region', { name: 'Who is first' }).getByRole('listitem');
  await expect(rows.filter({ hasText: 'Kelp Fold Gel' })).not.toHaveCount(0);
  await page.getByText('In view: all 6').click();
  await page.getByRole('combobox', { name: /^Kind/ }).selectOption({ label: 'Mousse or foam' });
  await expect(page.getByText('In view: 2 of 6')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Who is first' })).not.toContainText('Kelp Fold Gel');
  await expect(rows.first()).toContainText(/first in (over )?\d+ of 100/);
  await page.reload();
  await expect(page.getByText('In view: 2 of 6')).toBeVisible();
  await page.getByRole('combobox', { name: /^Line/ }).selectOption({ label: 'Marrowby' });
  await expect(page.getByRole('heading', { name: 'Nothing of this board is in view' })).toBeVisible();
  await page.getByRole('button', { name: 'All of it' }).click();
  await page.getByLabel('Screened as').selectOption({ label: 'do not use' });
  await expect(page.getByText(/In view: \d of 6|Nothing of this board/).first()).toBeVisible();

  // All wash days by how they were done, and two ways that disagree.
  await page.getByRole('button', { name: 'All of it' }).click();
  await page.getByRole('combobox', { name: /^Gather by/ }).selectOption({ label: 'How it was dried' });
  const ways = page.getByRole('region', { name: 'How it was dried' });
  await expect(ways.getByRole('row', { name: /^In the air/ })).toContainText('8 wash days');
  await page.getByLabel('Order by').selectOption({ label: 'Definition' });
  await page.getByLabel('How is').selectOption({ label: 'Brine Foam' });
  await page.getByLabel('known against').selectOption({ label: 'Anvil Gel' });
  await page.getByRole('button', { name: 'Open the pair' }).click();
  await expect(page.getByRole('region', { name: 'Brine Foam against Anvil Gel' })).toContainText(/disagree/);
});

test('over several heads each answers for itself, beside its traits', { tag: '@soak' }, async ({ page }) => {
  await page.goto('/board');
  await page.getByLabel('Head').selectOption({ label: 'Several heads' });
  await expect(page.getByRole('heading', { name: 'Kelp Fold Gel against Anvil Gel' })).toBeVisible();
  await expect(page.getByText(/On the next such head it may lie anywhere from/)).toBeVisible();
  const gels = page.getByRole('table', { name: /^Kelp Fold Gel against Anvil Gel/ });
  await expect(gels.getByRole('row')).toHaveCount(5);
  await expect(gels.getByRole('row').last()).toContainText('4B');
  await page.getByRole('combobox', { name: /^By/ }).selectOption({ label: 'Good days' });
  await expect(page.getByText('they are listed, not averaged').first()).toBeVisible();
  await gels.getByRole('link', { name: /^Dario/ }).click();
  await expect(page.getByRole('region', { name: 'Kelp Fold Gel against Anvil Gel' })).toBeVisible();
});

test('a head without finished trials is told what to do, and one trial alone is an island', {
  tag: '@soak',
}, async ({ page }) => {
  await page.goto('/board');
  await page.getByLabel('Head').selectOption({ label: 'Pip Marlowe-Okoro' });
  await expect(page.getByRole('heading', { name: 'No finished trial yet' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Not on the board' })).toContainText('not over yet');
  await page.getByLabel('Head').selectOption({ label: 'Tomasz Adeyinka-Holm' });
  await expect(page.getByRole('region', { name: 'Who is first' })).toContainText('Spindrift');
  await page.getByLabel('Step').selectOption({ label: 'Hold (1 trial)' });
  await expect(page.getByRole('region', { name: 'Who is first' })).toContainText('Not tried on this head');
});

test('how long it stays good is promised as the main result of a new trial', async ({ page }) => {
  await page.goto('/trials/new/plan');
  await page.getByLabel('Main result').selectOption({ label: 'How many days it stays good' });
  await page.getByLabel('Good by which outcome').selectOption({ label: 'Frizz' });
  await expect(
    page.getByText(/good enough up to \d.*1 day worth switching for.*counted to day/),
  ).toBeVisible();
});
