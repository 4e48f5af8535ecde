import { expect, PHONE, test } from './bench.ts';
import { makeTrial, runByApi } from './make-trial.ts';

test('a step the plan does not have is added, shown as a departure, and taken out again', async ({
  page,
}) => {
  const trial = await makeTrial(page, 'With a second coat?');
  await page.setViewportSize(PHONE);
  await page.goto(`/trials/${trial}`);
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await page.getByRole('button', { name: '7: Towel-scrunch, waiting' }).click();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByLabel(/Did something the plan does not have/).selectOption('Second layer');
  await expect(page.getByRole('heading', { name: 'Second layer' })).toBeVisible();
  await expect(page.getByText('Step 7 of 11 · not in the plan')).toBeVisible();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByLabel('Product').selectOption('Brine Foam');
  await page.getByRole('button', { name: 'Done like this' }).click();
  await page.getByRole('button', { name: '7: Second layer, done' }).click();
  await expect(page.getByRole('list', { name: 'Changes from plan' })).toContainText(
    'Added: not in the plan.',
  );
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByRole('button', { name: 'Remove this step' }).click();
  await expect(page.getByRole('button', { name: '7: Towel-scrunch, waiting' })).toBeVisible();
});

test('steps can be corrected after the routine, and the ribbon follows', async ({ page }) => {
  const trial = await makeTrial(page, 'Corrected later?');
  const day = await runByApi(page, trial);
  await page.goto(`/wash-days/${day}`);
  await expect(page.getByText('No change from the plan.')).toBeVisible();
  await page.getByRole('link', { name: 'Correct the steps' }).click();
  await page.getByRole('button', { name: '8: Dry, done' }).click();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByLabel('Heat').selectOption('high');
  await page.getByLabel('Note or reason').fill('in a hurry');
  await page.getByRole('button', { name: 'Done like this' }).click();
  // Leaving the page must not overtake what was tapped.
  await expect
    .poll(async () => {
      const { steps } = await (await page.request.get(`/api/wash-days/${day}`)).json();
      return steps.some(({ heat }: { heat: string | null }) => heat === 'high');
    })
    .toBe(true);
  await page.goto(`/wash-days/${day}`);
  await expect(page.getByRole('list', { name: 'Changes from plan' })).toContainText(
    'dry: Heat high instead of low. “in a hurry”',
  );
});

test('events are set and taken back with a tap; clocks refuse the wrong order', async ({ page }) => {
  const trial = await makeTrial(page, 'Windy?');
  const day = await runByApi(page, trial);
  await page.goto(`/wash-days/${day}`);
  const wind = page.getByRole('button', { name: 'Wind' });
  await wind.click();
  await expect(wind).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByLabel('Where: wind')).toBeVisible();
  await wind.click();
  await expect(wind).toHaveAttribute('aria-pressed', 'false');
  await page.getByLabel('Dry', { exact: true }).fill('2020-01-01T10:00');
  await expect(page.getByText(/Dry cannot come before the wash/)).toBeVisible();
  await page.getByLabel('Temperature').fill('40');
  await page.getByLabel('Humidity').fill('140');
  await page.getByRole('button', { name: 'Save the air' }).click();
  await expect(page.getByText('The humidity in % cannot be over 100.')).toBeVisible();
  await page.getByLabel('Humidity').fill('60');
  await page.getByRole('button', { name: 'Save the air' }).click();
  await expect(page.getByRole('button', { name: 'Save the air' })).toHaveCount(0);
  await expect(page.getByText(/Dew point 30\.\d °C, humid/)).toBeVisible();
});

test('the end of wear can be undone at once', { tag: '@soak' }, async ({ page }) => {
  const trial = await makeTrial(page, 'Ended too soon?');
  const day = await runByApi(page, trial);
  await page.goto(`/wash-days/${day}`);
  await page.getByLabel('How it ended').selectOption('Washed: scalp itched');
  await page.getByRole('button', { name: 'Save how it ended' }).click();
  await expect(page.getByRole('button', { name: 'Start wash day 2' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByRole('link', { name: 'Wash day 1' })).toBeVisible();
});

test('the next wash day waits for the wear of the last', { tag: '@soak' }, async ({ page }) => {
  const trial = await makeTrial(page, 'One at a time?');
  await runByApi(page, trial);
  const answer = await page.request.put(`/api/wash-days/${crypto.randomUUID()}`, {
    data: { trialId: trial, startedAt: new Date().toISOString() },
  });
  expect((await answer.json()).detail).toContain('still being worn');
  await page.goto(`/trials/${trial}`);
  await expect(page.getByRole('button', { name: /^Start wash day/ })).toHaveCount(0);
});

test('a trial is ended early with its reason, and described without a p', { tag: '@soak' }, async ({
  page,
}) => {
  const trial = await makeTrial(page, 'Cut short?');
  const day = await runByApi(page, trial);
  await page.goto(`/wash-days/${day}/look/day-1`);
  await page.getByRole('button', { name: 'Rate 6', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Definition\s*, rated$/ })).toBeVisible();
  await page.goto(`/trials/${trial}`);
  await page.getByRole('button', { name: 'End the trial early' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'End the trial early' }).click();
  await expect(page.getByText('Say why the trial ends before its planned wash days.')).toBeVisible();
  await page.getByLabel('Why it ends').fill('The season was cancelled.');
  await page.getByRole('dialog').getByRole('button', { name: 'End the trial early' }).click();
  await expect(page.getByText('The season was cancelled.')).toBeVisible();
  await expect(page.getByText(/whole heads, complete” from seed \d+/)).toBeVisible();
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await page.getByRole('button', { name: 'Show the outcomes' }).click();
  await expect(
    page.getByRole('heading', {
      name: 'These wash days can only hint at which gives more definition.',
    }),
  ).toBeVisible();
  await expect(
    page.getByText('The trial ended before its planned wash days, so no p is given.'),
  ).toBeVisible();
});
