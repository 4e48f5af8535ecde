import { expect, test } from './bench.ts';

test('a product new to a head goes on the arm from its plan, waits on Today, and stops the trial if the skin reacts', async ({
  page,
}) => {
  const question = 'Does Heron Mist weigh Pip’s waves down less than Spindrift does?';
  await page.goto('/trials');
  await page.getByRole('link', { name: question }).click();
  await page.getByRole('link', { name: 'Change the plan' }).click();
  const patches = page.getByRole('region', { name: 'Patch tests of 48 hours' });
  await patches.getByRole('button', { name: /^Put it on the arm now.*Heron Mist/ }).click();
  await expect(patches.getByText(/on the arm until/)).toBeVisible();
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(page.getByText(/On Pip Marlowe-Okoro’s inner arm until/)).toBeVisible();
  await page.getByRole('link', { name: /^See the patch test/ }).click();
  await expect(page.getByRole('heading', { name: 'Patch tests' })).toBeFocused();
  await expect(page.getByRole('button', { name: /^No reaction.*Heron Mist/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Start its 48 hours' }).click();
  await expect(page.getByText('Choose the product that goes on the arm.')).toBeVisible();
  await page.getByRole('button', { name: /^It reacted.*Heron Mist/ }).click();
  await expect(page.getByText('It reacted', { exact: true })).toBeVisible();
  await page.goto('/trials');
  await page.getByRole('link', { name: question }).click();
  await page.getByRole('button', { name: /^Start wash day 1/ }).click();
  await expect(
    page.getByText(/^Heron Mist made Pip Marlowe-Okoro’s skin react in a patch test/),
  ).toBeVisible();
});
