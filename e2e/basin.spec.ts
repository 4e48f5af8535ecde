import { expect, expectApart, PHONE, test } from './bench.ts';
import { makeTrial } from './make-trial.ts';

test.use({ viewport: PHONE });

/** On the demo's planned trial, so that the other tests find theirs as they left it. */
test('a wash day by thumb: accept, change, skip, undo, reload, abandon', async ({ page }) => {
  await page.goto('/trials');
  await page.getByRole('link', { name: /Heron Mist weigh Pip/ }).click();
  await page.getByRole('button', { name: 'Start wash day 1' }).click();

  await page.getByLabel('Temperature').fill('40');
  await page.getByLabel('Humidity').fill('140');
  await page.getByRole('button', { name: 'To the first step' }).click();
  await expect(page.getByText('The humidity in % cannot be over 100.')).toBeVisible();
  await expect(page.getByLabel('Humidity')).toHaveValue('140');
  await page.getByLabel('Temperature').fill('12.5');
  await page.getByLabel('Humidity').fill('84');
  await expect(page.getByText('Dew point 9.9 °C')).toBeVisible();
  await expect(page.getByText(/over 70 % it takes up water steeply/)).toBeVisible();
  await page.getByLabel('Wind').fill('9');
  await expect(page.getByText('Wind 9 m/s: Beaufort 5, fresh breeze.')).toBeVisible();
  await page.getByRole('button', { name: 'To the first step' }).click();

  await expect(page.getByRole('heading', { name: 'Detangle' })).toBeVisible();
  for (const name of [/^Done ·/, /^Back$/, /^Skip …$/, /^Change$/, /^Start 5 min$/]) {
    const box = (await page.getByRole('button', { name }).boundingBox())!;
    expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(64);
    expect(box.y + box.height).toBeLessThanOrEqual(PHONE.height);
  }
  await page.getByRole('button', { name: 'Start 5 min' }).click();
  await expect(page.getByRole('timer')).toHaveText(/^4:5\d$/);
  // What is said of it covers neither the buttons nor the line among them.
  const differs = page.getByText(/^If done now: 0\.\d min instead of 5\.$/);
  await expect(differs).toBeVisible();
  const said = page.getByRole('listitem').filter({ hasText: 'Detangle: 5 min begun.' });
  await expectApart(said, differs, page.getByRole('button', { name: /^Done ·/ }), page.getByRole('timer'));
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Detangle' })).toBeVisible();
  await expect(page.getByRole('timer')).toHaveText(/^4:\d\d$/);
  await expect(differs).toBeVisible();
  await page.getByRole('button', { name: /^Done( ·|$)/ }).click();

  await expect(page.getByRole('heading', { name: 'Cleanse' })).toBeFocused();
  // What can hurt is read without a finger on the page, also while what was just done is told.
  const done = page.getByRole('listitem').filter({ hasText: 'Detangle: done.' });
  const undo = (await done.getByRole('button', { name: 'Undo' }).boundingBox())!;
  expect(Math.min(undo.width, undo.height)).toBeGreaterThanOrEqual(64);
  const caution = page.getByRole('list', { name: 'Cautions' });
  await expect(caution).toBeInViewport({ ratio: 1 });
  await expectApart(done, caution);
  await expectApart(caution, page.getByRole('button', { name: /^Done ·/ }));
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByLabel('How much').fill('abc');
  await page.getByRole('button', { name: 'Done like this' }).click();
  await expect(page.getByText('The amount must be a number.')).toBeVisible();
  await expect(page.getByLabel('How much')).toHaveValue('abc');
  await page.getByLabel('How much').fill('5');
  await page.getByLabel('Note or reason').fill('lots of wax');
  await page.getByRole('button', { name: 'Done like this' }).click();

  await expect(page.getByRole('heading', { name: 'Condition' })).toBeVisible();
  // What was just done is told above what is being changed, too.
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await expectApart(
    page.getByRole('listitem').filter({ hasText: 'Cleanse: done, with changes.' }),
    page.getByRole('heading', { name: 'What was really done' }),
    page.getByRole('heading', { name: 'Condition' }),
    page.getByRole('button', { name: 'Done like this' }),
  );
  await page.getByRole('button', { name: 'Back to the step' }).click();
  await page.getByRole('button', { name: 'Skip …' }).click();
  await page.getByRole('button', { name: 'not needed' }).click();
  await expect(page.getByRole('heading', { name: 'Rinse' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByRole('heading', { name: 'Condition' })).toBeVisible();
  await expect(page.getByText('skipped', { exact: false })).toHaveCount(0);

  await page.getByRole('button', { name: '2: Cleanse, done' }).click();
  await expect(page.getByRole('list', { name: 'Changes from plan' })).toContainText(
    '5 pumps instead of 3 pumps.',
  );
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Cleanse' })).toBeVisible();

  await page.getByRole('button', { name: /^Notes/ }).click();
  await page.getByRole('button', { name: 'Abandon this wash day' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Abandon this wash day' }).click();
  await expect(page.getByText('Say why this wash day is abandoned; it stays on record.')).toBeVisible();
  await page.getByLabel('What happened').fill('The boiler failed.');
  await page.getByRole('dialog').getByRole('button', { name: 'Abandon this wash day' }).click();
  await expect(page.getByText('The boiler failed.')).toBeVisible();
});

test('a check-in by thumb: zones, numbers, undo, keys', async ({ page }) => {
  await page.goto(`/trials/${await makeTrial(page, 'By thumb?')}`);
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await page.getByRole('link', { name: 'Exit (all saved)' }).click();
  await page.getByRole('link', { name: 'Continue wash day 1' }).click();
  await expect(page.getByRole('heading', { name: 'The air' })).toBeVisible();
  await page.goto(`${page.url().split('?')[0]}?step=end`);
  await page.getByRole('button', { name: 'Finish the routine' }).click();
  await page.getByRole('button', { name: 'Dry now', exact: true }).click();
  await page.getByRole('button', { name: 'Hair finished now' }).click();
  await page.getByRole('link', { name: 'Check in: Finished hair, day 1' }).click();

  await page.getByRole('button', { name: 'go on by itself' }).click();
  for (const value of [0, 5, 10]) {
    const box = (await page.getByRole('button', { name: `Rate ${value}`, exact: true }).boundingBox())!;
    expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(64);
    expect(box.y + box.height).toBeLessThanOrEqual(PHONE.height);
  }
  await expect(page.getByText('Every clump separate and whole from root to end.')).toBeVisible();
  const tops = async () => [
    (await page.getByRole('button', { name: 'Rate 0' }).boundingBox())!.y,
    (await page.getByRole('button', { name: 'Rate 10' }).boundingBox())!.y,
  ];
  const before = await tops();
  await page.getByRole('button', { name: 'Rate 7', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Crown, right: 7' })).toBeVisible();
  // What was said of it hides nothing that the next number is told by, and the numbers stay where they were.
  const rated = page.getByRole('listitem').filter({ hasText: 'Undo' });
  await expectApart(
    rated,
    page.getByText('Every clump separate and whole'),
    page.getByRole('button', { name: 'Rate 0' }),
  );
  expect(await tops()).toEqual(before);
  await page.getByRole('button', { name: /^Crown, left/ }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('4');
  await expect(page.getByRole('button', { name: 'Crown, left: 4' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Crown, right: 7' })).toBeVisible();
  // Ten can be typed: a 1 waits for its nought.
  await page.keyboard.press('1');
  await page.keyboard.press('0');
  await expect(page.getByRole('button', { name: 'Crown, left: 10' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByRole('button', { name: 'Crown, left: 4' })).toBeVisible();
  await page.keyboard.press('1');
  await expect(page.getByRole('button', { name: 'Crown, left: 1', exact: true })).toBeVisible();
  await page.keyboard.press('7');
  await expect(page.getByRole('button', { name: 'Crown, left: 7' })).toBeVisible();
  await page.getByRole('button', { name: '½ points' }).click();
  await page.getByRole('button', { name: 'Rate 6.5' }).click();
  await expect(page.getByRole('button', { name: 'Crown, left: 6.5' })).toBeVisible();
  // Curls are the last of the round.
  await page.getByRole('button', { name: /^Curl length/ }).click();
  await page.getByLabel('Crown curl, resting').fill('999');
  await expect(page.getByText(/A curl cannot rest longer than it stretches/)).toBeVisible();
  await page.getByLabel('Crown curl, resting').fill('95');
  await page.getByRole('textbox', { name: 'Note' }).fill('dry by noon');
  await page.getByLabel('Looked at').focus();
  const stored = async () => {
    const [id] = /(?<=wash-days\/)[^/]+/.exec(page.url())!;
    return (await (await page.request.get(`/api/wash-days/${id}`)).json()).checkIns[0];
  };
  await expect.poll(async () => (await stored()).note).toBe('dry by noon');
  await expect.poll(async () => (await stored()).curls.length).toBe(1);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Note' })).toHaveValue('dry by noon');
  await page.getByRole('button', { name: /^Curl length/ }).click();
  await expect(page.getByLabel('Crown curl, resting')).toHaveValue('95');
  await page.getByRole('button', { name: /^Definition/ }).click();
  await expect(page.getByRole('button', { name: 'Crown, left: 6.5' })).toBeVisible();
});
