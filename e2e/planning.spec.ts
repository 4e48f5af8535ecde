import { expect, test } from './bench.ts';
import { makeTrial } from './make-trial.ts';

test('three arms are planned, told what they can reach, and drawn as three ribbons', {
  tag: '@soak',
}, async ({ page }) => {
  await page.goto('/trials/new/plan');
  await page.getByLabel('In a sentence').fill('Three ways to hold?');
  await page.getByLabel('Whose hair').selectOption('Ines Falkenrath');
  await page.getByLabel('Routine', { exact: true }).selectOption('Coast wash-and-go');
  await page.getByRole('checkbox', { name: /^Hold/ }).check();
  await page.getByRole('button', { name: 'Add an option' }).click();
  for (const [arm, product] of [
    [/Option A/, 'Anvil Gel'],
    [/Option B/, 'Kelp Fold Gel'],
    [/Option C/, 'Sedge Jelly'],
  ] as const)
    await page.getByRole('group', { name: arm }).getByLabel('Gel or foam (hold)').selectOption(product);
  const reach = page.getByRole('region', { name: 'What this plan can show' });
  await expect(reach).toContainText('12 wash days can be enough to settle it');
  await page.getByRole('button', { name: 'Save the plan and randomise' }).click();
  const table = page.getByRole('table', { name: 'Planned and actual wash days' });
  for (const name of ['Anvil Gel, 12 g', 'Kelp Fold Gel, 12 g', 'Sedge Jelly, 12 g'])
    await expect(table).toContainText(name);
  await expect(
    page.getByRole('list', { name: '0 of 12 wash days opened' }).getByRole('listitem'),
  ).toHaveCount(12);
});

test('a plan can be changed until it begins: dose against dose, zones, outcome', async ({ page }) => {
  const trial = await makeTrial(page, 'To be changed?');
  await page.goto(`/trials/${trial}`);
  await page.getByRole('link', { name: 'Change the plan' }).click();
  const second = page.getByRole('group', { name: /Option B/ });
  await second.getByLabel('Gel or foam (hold)').selectOption('Anvil Gel');
  await second.getByLabel('Amount', { exact: true }).selectOption('this much');
  await second.getByLabel('How much').fill('20');
  await second.getByLabel('Measure').selectOption('g');
  await second.getByLabel('Name shown').fill('Anvil, plenty');
  await page.getByLabel('Main result').selectOption('Frizz');
  await page.getByText('The numbers:').click();
  await expect(page.getByText('at most')).toBeVisible();
  await page.getByLabel('Good enough').fill('4');
  await page.getByRole('button', { name: /^Nape, left/ }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Zones that count: 5')).toBeVisible();
  await page.getByRole('button', { name: 'Save the plan and randomise' }).click();
  await expect(page.getByText('frizz up to 4')).toBeVisible();
  await expect(page.getByRole('table', { name: 'Planned and actual wash days' })).toContainText(
    'Anvil Gel, 20 g',
  );
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await page.goto(`/trials/${trial}/plan`);
  await expect(page.getByText(/What was planned before the first wash day is locked/)).toBeVisible();
});

test('a plan judged by what is measured speaks in its unit, and ratings keep to their scale', {
  tag: '@soak',
}, async ({ page }) => {
  const trial = await makeTrial(page, 'Less of a halo?');
  await page.goto(`/trials/${trial}`);
  await page.getByRole('link', { name: 'Change the plan' }).click();
  await page.getByLabel('Main result').selectOption('Frizz halo, measured in pictures');
  await expect(page.getByText('good enough up to 1 mm · 0.4 mm worth switching for')).toBeVisible();
  await page.getByText('The numbers:').click();
  await page.getByLabel('A difference worth switching for').fill('0.25');
  await page.getByRole('button', { name: 'Save the plan and randomise' }).click();
  await expect(page.getByText('frizz halo up to 1 mm')).toBeVisible();
  await expect(page.getByText('0.25 mm')).toBeVisible();
  // Back to a rating: its limits begin anew, and end at ten.
  await page.getByRole('link', { name: 'Change the plan' }).click();
  await page.getByLabel('Main result').selectOption('Frizz');
  await expect(page.getByText('1 point worth switching for')).toBeVisible();
  await page.getByText('The numbers:').click();
  await page.getByLabel('Good enough').fill('40');
  await page.getByRole('button', { name: 'Save the plan and randomise' }).click();
  await expect(page.getByText('The good-enough value cannot be over 10.').first()).toBeVisible();
});

test('an arm taken out comes back with undo', { tag: '@soak' }, async ({ page }) => {
  await page.goto('/trials/new/plan');
  await page.getByLabel('Routine', { exact: true }).selectOption('Coast wash-and-go');
  await page.getByRole('checkbox', { name: /^Hold/ }).check();
  await page.getByRole('button', { name: 'Add an option' }).click();
  await page
    .getByRole('group', { name: /Option C/ })
    .getByLabel('Name shown')
    .fill('The third');
  await page
    .getByRole('group', { name: /Option C/ })
    .getByRole('button', { name: 'Remove this option' })
    .click();
  await expect(page.getByRole('group', { name: /Option C/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByRole('group', { name: /Option C/ }).getByLabel('Name shown')).toHaveValue(
    'The third',
  );
});

test('a head is drawn, edited by keyboard, and keeps what trials rest on', async ({ page }) => {
  await page.goto('/heads');
  await page.getByRole('link', { name: 'Tomasz Adeyinka-Holm' }).click();
  await page.getByRole('link', { name: 'Change the head' }).click();
  await expect(page.getByRole('heading', { name: 'Head map' })).toBeVisible();
  await page.getByRole('button', { name: /^Crown, left/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Crown, left', exact: true })).toBeVisible();
  await page.getByLabel('Density', { exact: true }).selectOption('high');
  await page.getByLabel('Show').selectOption('Density');
  await expect(page.getByRole('button', { name: 'Crown, left: high, its own, chosen' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove' }).first().click();
  await page.getByRole('button', { name: 'Save the wearer' }).click();
  await expect(
    page.getByText('A tagged curl that readings or trials rest on cannot be removed. Keep it.').first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Discard what I typed' }).click();
  await page.getByLabel('Under age').check();
  await page.getByRole('button', { name: 'Save the wearer' }).click();
  await expect(page.getByText('A wearer under age needs a guardian who consents.').first()).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'Caution' })).toContainText('paediatric');
  await page.getByRole('button', { name: 'Discard what I typed' }).click();
});

test('a resting length over the stretched one is refused beside its field', { tag: '@soak' }, async ({
  page,
}) => {
  await page.goto('/heads/new');
  await page.getByLabel('Name', { exact: true }).fill('Long Rest');
  await page.getByRole('button', { name: 'Tag a curl' }).click();
  const curl = page.getByRole('group', { name: 'Tagged curl 1' });
  await curl.getByLabel('Name').fill('Odd curl');
  await curl.getByLabel('Stretched').fill('200');
  await curl.getByLabel('Resting').fill('250');
  await page.getByRole('button', { name: 'Save the wearer' }).click();
  await expect(
    curl.getByText('A curl cannot rest longer than it stretches. Check both lengths.'),
  ).toBeVisible();
  await expect(curl.getByLabel('Resting')).toHaveValue('250');
  await page.getByRole('button', { name: 'Discard what I typed' }).click();
});

test('a plan begins with a question: seven choices, filled in, undone, simulated, saved', async ({
  page,
}) => {
  await page.goto('/trials/new/plan');
  const begin = page.getByRole('region', { name: 'Begin with a question' });
  await begin.getByRole('button', { name: 'Which of two …' }).click();
  await begin.getByRole('button', { name: 'Fill in the plan' }).click();
  await expect(begin.getByText('Choose the step that is tested.')).toBeVisible();
  await begin.getByLabel('In which routine').selectOption('Coast wash-and-go');
  const step = begin.getByLabel('At which step');
  const hold = await step.getByRole('option', { name: /^Hold/ }).getAttribute('value');
  await step.selectOption(hold);
  await begin.getByLabel('One product').selectOption('Anvil Gel');
  await begin.getByLabel('The other').selectOption('Anvil Gel');
  await expect(begin.getByText('Choose two different products.')).toBeVisible();
  await begin.getByLabel('The other').selectOption('Kelp Fold Gel');
  await begin.getByRole('button', { name: 'Fill in the plan' }).click();
  await expect(begin).toHaveCount(0);
  await expect(page.getByRole('heading', { name: 'The question' })).toBeFocused();
  await expect(page.getByLabel('In a sentence')).toHaveValue(
    'Which does better as hold: Anvil Gel or Kelp Fold Gel?',
  );
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(begin).toBeVisible();
  await begin.getByRole('button', { name: 'How much of …' }).click();
  await begin.getByLabel('In which routine').selectOption('Coast wash-and-go');
  await begin.getByLabel('At which step').selectOption({ index: 1 });
  await begin.getByRole('button', { name: 'Fill in the plan' }).click();
  await page.getByLabel('Whose hair').selectOption('Ines Falkenrath');
  await page.getByRole('button', { name: 'Simulate this plan' }).click();
  const power = page.getByRole('region', { name: 'How many wash days?' });
  await expect(power.getByRole('img', { name: /^Power by true difference/ })).toBeVisible({
    timeout: 180_000,
  });
  await expect(power.getByText(/A difference of 1 is found with \d+ %/)).toBeVisible();
  await expect(power.getByText(/\d+ wash days are about \d+ weeks and EUR/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the plan and randomise' }).click();
  await expect(page.getByRole('heading', { name: /^Is .* enough, or does it take .*\?$/ })).toBeVisible();
});

test('a planned trial is tried with sample ratings, which are marked, change nothing and go with one tap', async ({
  page,
}) => {
  const id = await makeTrial(page, 'What will it look like?', ['Anvil Gel', 'Kelp Fold Gel'], 12);
  const stored = async () => (await page.request.get(`/api/trials/${id}`)).text();
  const before = await stored();
  await page.goto(`/trials/${id}`);
  await page.getByRole('link', { name: 'Try it with sample ratings' }).click();
  const banner = page.getByRole('region', { name: 'Sample ratings' });
  await expect(banner).toContainText('made up, and stored nowhere');
  await expect(banner).toContainText('Anvil Gel is 1.5 points better than Kelp Fold Gel in definition');
  await expect(page.getByRole('heading', { name: /^Anvil Gel /, level: 1 })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Over the days' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Readings as CSV' })).toHaveCount(0);
  await banner.getByRole('button', { name: 'Another sample' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await banner.getByRole('link', { name: 'Take the sample away' }).click();
  await expect(page.getByRole('button', { name: 'Start wash day 1' })).toBeVisible();
  expect(await stored()).toBe(before);
});
