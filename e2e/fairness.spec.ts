import { expect, test } from './bench.ts';
import { copyHead, makeTrial, runByApi, wearByApi } from './make-trial.ts';

const GELS = ['Anvil Gel', 'Kelp Fold Gel'];
/** On a head whose drying history no other test reads. */
const TOMASZ = 'Tomasz Adeyinka-Holm';

test('a three-arm half-head is planned blind, told what it can reach, and its codes are printed', {
  tag: '@soak',
}, async ({ page }) => {
  await page.goto('/trials/new/plan');
  await page.getByLabel('In a sentence').fill('Which hold keeps Tomasz defined?');
  await page.getByLabel('Whose hair').selectOption('Tomasz Adeyinka-Holm');
  await page.getByLabel('Design', { exact: true }).selectOption('half-head, three options');
  await expect(page.getByText('Three stylers against each other within single wash days.')).toBeVisible();
  await page.getByLabel('Wash days, all options together').selectOption('6 wash days');
  await page.getByLabel('Routine', { exact: true }).selectOption('Coast wash-and-go');
  await page.getByRole('checkbox', { name: /^Hold/ }).check();
  for (const [arm, product] of [
    [/Option A/, 'Anvil Gel'],
    [/Option B/, 'Kelp Fold Gel'],
    [/Option C/, 'Sedge Jelly'],
  ] as const)
    await page.getByRole('group', { name: arm }).getByLabel('Gel or foam (hold)').selectOption(product);
  await page.getByLabel(/^Blind: a helper/).check();
  await page.getByLabel('Cleanse is').selectOption('free');
  await page.getByLabel('Optional: towel-scrunch').check();
  await expect(page.getByRole('region', { name: 'What this plan can show' })).toContainText(
    '6 wash days can only hint, however large the difference.',
  );
  await page.getByRole('button', { name: 'Save the plan and randomise' }).click();
  await page.getByRole('link', { name: 'Code labels' }).click();
  await expect(page.getByRole('region', { name: 'Labels' }).getByText(/^\d{3}/)).toHaveCount(3);
  await expect(page.getByText('Anvil Gel')).toHaveCount(0);
  await page.getByRole('button', { name: 'I am the helper: show the key' }).click();
  await expect(page.getByRole('row', { name: /Anvil Gel Hold: Anvil Gel, 6 g each time/ })).toBeVisible();
});

test('a blind half-head shows its side and its bottle’s code, and nothing of what is in it', async ({
  page,
}) => {
  const id = await makeTrial(
    page,
    'Blind halves?',
    GELS,
    8,
    {
      design: 'half',
      blind: true,
    },
    TOMASZ,
  );
  await page.goto(`/trials/${id}`);
  // Sealed as it begins, the trial has other ids for its options; the page still has the old ones for a while.
  await page.getByRole('button', { name: 'Start wash day 1' }).waitFor();
  const before = await (await page.request.get(`/api/trials/${id}`)).text();
  // A device without the network has nothing else: it says so, and waits for the server.
  let away = true;
  await page.route(`**/api/trials/${id}`, async (route) => {
    if (away)
      return route.fulfill({
        body: before,
        contentType: 'application/json',
        headers: { 'Sabor-Kept': new Date().toUTCString() },
      });
    await new Promise((later) => setTimeout(later, 1500));
    await route.continue();
  });
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await expect(
    page.getByRole('heading', { name: /^This blind trial was sealed since this device last heard of it/ }),
  ).toBeVisible();
  away = false;
  await page.getByRole('button', { name: 'Try again' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  const steps = page.getByRole('navigation', { name: 'Steps' });
  await steps.getByRole('button', { name: /: Hold left,/ }).click();
  await expect(page.getByText('left half')).toBeVisible();
  await expect(page.getByText(/^bottle \d{3}$/)).toBeVisible();
  await expect(page.getByText('6 g')).toBeVisible();
  await steps.getByRole('button', { name: /: Hold right,/ }).click();
  await expect(page.getByText('right half')).toBeVisible();
  for (const name of ['Anvil Gel', 'Kelp Fold Gel']) await expect(page.getByText(name)).toHaveCount(0);
  await page.goto(`/trials/${id}`);
  await expect(page.getByText('Under test: Anvil Gel, Kelp Fold Gel.')).toBeVisible();
  await expect(page.getByRole('row', { name: /1 · Code \d{3} \| Code \d{3}/ })).toBeVisible();
});

test('the slip is judged before the outcomes are shown, and closed after', async ({ page }) => {
  const id = await makeTrial(page, 'Fair or not?', GELS, 8, {}, TOMASZ);
  const day = await runByApi(page, id, { dry: { minutes: 55 } });
  await page.goto(`/wash-days/${day}`);
  await page.getByLabel('Dry', { exact: true }).waitFor();
  await page.goto(`/trials/${id}/compare`);
  await expect(page.getByRole('heading', { name: 'Was it fair? Judge before you look.' })).toBeVisible();
  const item = page.getByRole('listitem').filter({ hasText: '55 min on the day, 30 min in the plan' });
  await expect(item).toBeVisible();
  await item.getByRole('button', { name: 'Judge differently' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('It is').selectOption('breaks');
  await dialog.getByRole('button', { name: 'Put it on record' }).click();
  await expect(dialog.getByText('Say why; it stays on record.')).toBeVisible();
  await dialog.getByLabel('Because').fill('The dryer was on hot by mistake.');
  await dialog.getByRole('button', { name: 'Put it on record' }).click();
  const broken = page.getByRole('region', { name: 'Fairness check: breaks' });
  await expect(broken.getByText('The dryer was on hot by mistake.')).toBeVisible();
  await broken.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('region', { name: 'Fairness check: breaks' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Show the outcomes' }).click();
  await expect(page.getByText('The outcomes have been shown; the check stays as it is.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Judge differently' })).toHaveCount(0);
});

test('the demo holds a clean, a weakened and a broken trial', { tag: '@soak' }, async ({ page }) => {
  const trials = (await (await page.request.get('/api/trials')).json()) as { id: string; question: string }[];
  const standing = async (question: RegExp) => {
    const trial = trials.find((one) => question.test(one.question))!;
    await page.goto(`/trials/${trial.id}/compare`);
    return page.getByRole('heading', { name: /^Fairness check/ });
  };
  await expect(await standing(/Spindrift or Bramble Cream/)).toHaveText('Fairness check clean');
  await expect(page.getByText(/The rater guessed \d+ of 16 right/)).toBeVisible();
  await expect(await standing(/Which gel keeps Ines/)).toHaveText('Fairness check weakened');
  await expect(await standing(/Three holds on two halves/)).toHaveText('Fairness check broken in parts');
  await expect(page.getByRole('heading', { name: 'Without what is broken' })).toBeVisible();
});

test('any two wash days are laid side by side, step by step, with a slip', { tag: '@soak' }, async ({
  page,
}) => {
  await page.goto('/side-by-side');
  await page
    .getByLabel('Left: trial')
    .selectOption({ label: 'Which gel keeps Ines’s curls defined through a week of damp stage doors?' });
  await page.getByLabel('Left: wash day').selectOption({ index: 0 });
  await page.getByLabel('Right: wash day').selectOption({ index: 4 });
  const slip = page.getByRole('region', { name: /^Fairness check/ }).first();
  await expect(slip.getByText(/Fallow Mask on wash day 5/)).toBeVisible();
  const table = page.getByRole('region', { name: 'Steps and ground' });
  await expect(table.getByRole('row', { name: /^Condition/ })).toContainText('Fallow Mask');
  await page.getByLabel('For', { exact: true }).selectOption('Softness');
  await expect(page.getByRole('region', { name: 'Fairness check: breaks' })).toContainText('Fallow Mask');
  await page
    .getByLabel('Right: trial')
    .selectOption({ label: 'Foam or jelly for Tomasz: which one survives four nights of dancing?' });
  await expect(page.getByRole('region', { name: 'Fairness check: breaks' })).toContainText('on two heads');
});

test('a promise is amended on record', async ({ page }) => {
  const id = await makeTrial(page, 'Amended?', GELS, 8, {}, TOMASZ);
  await runByApi(page, id);
  await page.goto(`/trials/${id}`);
  await page.getByRole('button', { name: 'Change the plan (goes on record)' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('What changes').selectOption('the days worn');
  await dialog.getByLabel('Becomes').fill('3');
  await dialog.getByLabel('Because').fill('A show was moved.');
  await dialog.getByRole('button', { name: 'Put it on record' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'the days worn was' })).toContainText(
    'A show was moved.',
  );
});

test('a trial is run on several heads as a panel, and put together when all are through', async ({
  page,
}) => {
  await copyHead(page, TOMASZ, 'Second head');
  const id = await makeTrial(page, 'On every head?', GELS, 2, { wearDays: 1 }, TOMASZ);
  await page.goto(`/trials/${id}`);
  await page.getByText('Run it on several heads').click();
  await page.getByLabel('Second head').check();
  await page.getByLabel('Pip Marlowe-Okoro').check();
  await page.getByRole('button', { name: 'Draw the panel for 3 heads' }).click();
  await expect(page.getByRole('alert')).toContainText('2 options take 2 heads, or a multiple of that');
  await page.getByLabel('Pip Marlowe-Okoro').uncheck();
  await expect(
    page.getByText('2 heads can only hint, however large the difference. More heads change that.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Draw the panel for 2 heads' }).click();
  await page.getByRole('link', { name: 'Open panel' }).click();
  await expect(page.getByText('A panel over 2 heads')).toBeVisible();
  await expect(page.getByRole('row', { name: /Second head/ })).toContainText('0 of 2');
  await expect(
    page.getByText('The test waits until every head is through and every key open.'),
  ).toBeVisible();

  const trials = (await (await page.request.get('/api/trials')).json()) as {
    id: string;
    panelId: string | null;
    arms: { id: string; name: string }[];
  }[];
  for (const trial of trials.filter(({ panelId }) => panelId && page.url().includes(panelId))) {
    for (let n = 0; n < 2; n++) {
      const day = await runByApi(page, trial.id);
      const { armId } = await (await page.request.get(`/api/wash-days/${day}`)).json();
      const arm = trial.arms.find(({ id: known }) => known === armId)!.name;
      await wearByApi(page, day, arm === 'Kelp Fold Gel' ? 8 : 5);
    }
    await page.request.post(`/api/trials/${trial.id}/outcomes`);
  }
  await page.reload();
  await expect(page.getByRole('region', { name: 'What the panel says' })).toContainText(
    'A panel of so few heads can only hint, however large the difference.',
  );
  await expect(page.getByRole('row', { name: /^Mean/ })).toContainText('5.0');
  await expect(page.getByRole('row', { name: /^Mean/ })).toContainText('8.0');
});
