import { expect, test } from './bench.ts';

test('a tester writes a verdict, is stopped from saying more than the figures, and says it anew', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Read the comparison' }).first().click();
  await page.getByRole('heading', { name: 'The wash days as they were run' }).scrollIntoViewIfNeeded();
  await page.getByRole('link', { name: 'Write the verdict on Kelp Fold Gel' }).click();
  await expect(page.getByRole('heading', { name: 'Kelp Fold Gel', level: 1 })).toBeVisible();
  // What travels with it is there before a word is written.
  const rests = page.getByRole('region', { name: 'What it rests on' });
  await expect(rests).toContainText('To declare: gift.');
  await expect(rests).toContainText('Not rated blind.');
  await expect(rests).toContainText('Decided by a trial: ahead of Anvil Gel in definition.');
  await expect(page.getByRole('textbox', { name: 'How much' })).toHaveValue('12');

  await page.getByLabel('Score out of ten').fill('8.5');
  await page
    .getByLabel('Why', { exact: true })
    .fill('More defined than Anvil Gel, and as good as Brine Foam.');
  await page.getByLabel('Buy again').selectOption({ label: 'yes' });
  await page.getByText(/^Claims of the label/).click();
  await expect(page.getByText(/By what was read: kept. Read from its list/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the verdict' }).click();
  const beside = page.getByRole('region', { name: 'It says more than the figures' });
  await expect(beside).toContainText('That two are as good was not shown: Brine Foam.');
  await expect(beside).not.toContainText('cannot tell it from Anvil Gel');

  // The words changed, nothing stands in the way any more.
  await page.getByLabel('Why', { exact: true }).fill('More defined than Anvil Gel.');
  await expect(page.getByRole('region', { name: 'What will stand beside it' })).not.toContainText('as good');
  await page.getByRole('button', { name: 'Save the verdict' }).click();
  await expect(page.getByText('8.5')).toBeVisible();
  await expect(page.getByRole('list', { name: 'What it rests on' })).toContainText('gift');

  await page.getByRole('link', { name: 'Say it anew' }).click();
  await page.getByLabel('Cause').selectOption({ label: 'it was the amount' });
  await page.getByLabel('Score out of ten').fill('6');
  await page.reload();
  await expect(page.getByLabel('Cause')).toHaveValue('dose-error');
  await expect(page.getByLabel('Score out of ten')).toHaveValue('6');
  await page.getByLabel('Why', { exact: true }).fill('The best there is.');
  await page.getByRole('button', { name: 'Save the verdict' }).click();
  // It may stand so, with its sentence beside it wherever it goes.
  await page.getByRole('button', { name: 'Save with these sentences beside it' }).click();
  await expect(page.getByText('cannot tell it from all others of its step')).toBeVisible();
  const before = page.getByRole('region', { name: 'What was said before' });
  await expect(before).toContainText('8.5');
  await page.getByRole('link', { name: 'The product' }).click();
  await expect(page.getByRole('region', { name: 'Verdicts' })).toContainText('1 earlier saying');
  await expect(page.getByRole('region', { name: 'What the trials say' })).toContainText(
    'Hold on Oluchi Brandvold',
  );
});

test('without a trial a verdict is an impression, hearsay enters no figure, and what was left open comes back', {
  tag: '@soak',
}, async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('Its verdict left this open: How it does in damp air.')).toBeVisible();
  await page.goto('/shelf');
  await page.getByRole('link', { name: 'Plum Stone Oil' }).click();
  await page.getByRole('link', { name: 'Write a verdict' }).click();
  await page.getByLabel('On whose head').selectOption({ label: 'Ines Falkenrath' });
  await page.getByLabel('In which step').selectOption({ label: 'Cream or oil' });
  await expect(page.getByRole('region', { name: 'What will stand beside it' })).toContainText(
    'An impression',
  );
  await page.getByLabel('Score out of ten').fill('11');
  await page.getByLabel('Why', { exact: true }).fill('Smells of the orchard.');
  await page.getByRole('button', { name: 'Save the verdict' }).click();
  await expect(page.getByText('The score cannot be over 10.').first()).toBeVisible();
  await page.getByLabel('Score out of ten').fill('7');
  await page.getByRole('button', { name: 'Save the verdict' }).click();
  await expect(page.getByText('An impression: no finished trial stands behind it.')).toBeVisible();

  await page.getByRole('link', { name: 'The product' }).click();
  await page.getByText('Add what somebody said').click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Whoever said it needs a name.').first()).toBeVisible();
  await page.getByLabel('Who').fill('Odalys');
  await page.getByLabel('What was said').fill('Too heavy for me.');
  await page.getByRole('button', { name: 'Keep it' }).click();
  const heard = page.getByRole('region', { name: 'What others say' });
  await expect(heard).toContainText('“Too heavy for me.”');
  await heard.getByRole('button', { name: 'Remove' }).click();
  await expect(heard).not.toContainText('Too heavy');
});

test('a whole line is judged by the trials that held all of it', { tag: '@soak' }, async ({ page }) => {
  const wearers = (await (await page.request.get('/api/wearers')).json()) as { id: string; name: string }[];
  const maren = wearers.find(({ name }) => name.startsWith('Maren'))!.id;
  await page.goto(`/board?head=${maren}&role=line&by=definition`);
  const standings = page.getByRole('region', { name: 'Who is first' });
  await expect(standings.getByText('Tidewrack', { exact: true })).toBeVisible();
  // What mixes two lines is neither of them.
  await expect(standings.getByRole('link', { name: 'write a verdict' })).toHaveCount(2);
  await standings
    .getByRole('listitem')
    .filter({ has: page.getByText('Tidewrack', { exact: true }) })
    .getByRole('link', { name: 'write a verdict' })
    .click();
  await expect(page.getByRole('heading', { name: 'Tidewrack', level: 1 })).toBeVisible();
  const rests = page.getByRole('region', { name: 'What it rests on' });
  await expect(rests).toContainText('To declare: gift.');
  await expect(rests).toContainText('1 trial, 4 wash days with it, on one head; seen to day 2.');
  await page.getByLabel('Score out of ten').fill('8');
  await page.getByLabel('Why', { exact: true }).fill('It lasts five days.');
  await page.getByRole('button', { name: 'Save the verdict' }).click();
  await expect(page.getByRole('region', { name: 'It says more than the figures' })).toContainText(
    'It was seen to day 2, not to day 5.',
  );
  await page.getByLabel('Why', { exact: true }).fill('The gel of it does the work.');
  await page.getByRole('button', { name: 'Save the verdict' }).click();
  await expect(page.getByText('Verdict · Whole line on Maren Castell-Yoon')).toBeVisible();
});

test('a technique gets a verdict of its own: an impression that says so, found again on its head', {
  tag: '@soak',
}, async ({ page }) => {
  const wearers = (await (await page.request.get('/api/wearers')).json()) as { id: string; name: string }[];
  const tomasz = wearers.find(({ name }) => name.startsWith('Tomasz'))!.id;
  await page.goto(`/heads/${tomasz}?part=verdicts`);
  await page.getByRole('link', { name: 'Verdict on a technique, tool or style' }).click();
  await page.getByLabel('Technique').selectOption('praying hands');
  await page.getByLabel('In which step').selectOption('Hold');
  await expect(page.getByRole('heading', { name: 'Praying hands (technique)', level: 1 })).toBeVisible();
  // Nothing is bought, dosed or claimed of a way of doing it.
  for (const name of ['The amount that worked', 'Would you buy it again?'])
    await expect(page.getByRole('heading', { name })).toHaveCount(0);
  await page.getByLabel('Score out of ten').fill('7.5');
  await page.getByLabel('Why', { exact: true }).fill('Quick, and the clumps stay whole.');
  await page.getByLabel('Do it again', { exact: true }).selectOption('yes');
  // Whoever comes back to the window has the list read again: it may hold the verdict before its sheet hears it is saved.
  await page.route('**/api/verdicts/*', async (route) => {
    const answer = await route.fetch();
    const list = page.waitForResponse('**/api/verdicts');
    const back = setInterval(
      () => void page.evaluate(() => dispatchEvent(new Event('visibilitychange'))).catch(() => {}),
      300,
    );
    await list;
    clearInterval(back);
    await route.fulfill({ response: answer });
  });
  await page.getByRole('button', { name: 'Save the verdict' }).click();
  await expect(page.getByText('Would do it again')).toBeVisible();
  await expect(page.getByText('An impression: no finished trial stands behind it.').first()).toBeVisible();
  await page.goto(`/heads/${tomasz}?part=verdicts`);
  const entry = page.getByRole('listitem').filter({ hasText: 'Praying hands (technique)' });
  await expect(entry).toContainText('7.5 of 10');
  await expect(entry).toContainText('an impression');
  // Asked for again, it is said anew.
  await page.goto(`/verdicts/new?head=${tomasz}&step=hold&way=technique%20praying`);
  await expect(page.getByText('Said anew: what was said before stays, with its date.')).toBeVisible();
});
