import type { Page } from '@playwright/test';
import { expect, expectApart, openNotes, PHONE, test } from './bench.ts';
import { copyHead, makeTrial } from './make-trial.ts';

test.use({ viewport: PHONE });

/** A trial on a head of its own: other tests write allergies and histories into those of the demo. */
async function ownTrial(page: Page, question: string): Promise<string> {
  await copyHead(page, 'Tomasz Adeyinka-Holm', `Head for “${question}”`);
  return makeTrial(page, question, undefined, 8, {}, `Head for “${question}”`);
}

const idOf = (url: string) => /(?<=wash-days\/)[^/?]+/.exec(url)![0];

test('a step by knuckle: meanwhile, pause, in the hand, went otherwise, next time, scale', async ({
  page,
}) => {
  await page.goto(`/trials/${await ownTrial(page, 'By knuckle?')}`);
  await page.getByRole('link', { name: 'Lay out' }).click();
  await expect(page.getByRole('heading', { name: 'Lay out for wash day 1' })).toBeVisible();
  await expect(page.getByRole('checkbox', { name: /Kelp Fold Gel/ })).toBeVisible();
  await expect(page.getByRole('checkbox', { name: 'diffuser' })).toBeVisible();
  await page.getByRole('button', { name: 'Not here' }).first().click();
  await expect(page.getByText(/Another product here (weakens|breaks) this day’s comparison/)).toBeVisible();
  await page.getByLabel('To be through by').fill('late');
  await expect(page.getByText('Give a time of day, such as 21:00.')).toBeVisible();
  await page.getByLabel('To be through by').fill('22:00');
  await page.goBack();

  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  const id = idOf(page.url());
  const stored = async () => (await page.request.get(`/api/wash-days/${id}`)).json();

  // Two clocks at once, one of them paused for the door.
  await page.getByRole('button', { name: 'Start 5 min' }).click();
  await page.getByRole('button', { name: 'Pause' }).click();
  await expect(page.getByText('paused').first()).toBeVisible();
  await page.getByRole('button', { name: 'the door' }).click();
  await page.getByRole('button', { name: 'Go on', exact: true }).click();
  await page.getByRole('button', { name: 'Next step meanwhile' }).click();
  await expect(page.getByRole('heading', { name: 'Cleanse' })).toBeVisible();
  await page.getByRole('button', { name: 'Start 3 min' }).click();
  const clocks = page.getByRole('list', { name: 'Clocks running meanwhile' });
  await expect(clocks.getByRole('button', { name: /Detangle 4:\d\d/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('timer')).toHaveText(/^2:\d\d$/);
  await clocks.getByRole('button', { name: /Detangle/ }).click();
  await expect(page.getByRole('heading', { name: 'Detangle' })).toBeVisible();

  await openNotes(page, 'How it applies');
  await page.getByRole('button', { name: 'glides' }).click();
  const twenty = page.getByRole('button', { name: 'about 20 more' });
  await twenty.click();
  // What is said of it lies over nothing that is tapped next.
  const said = page.getByRole('listitem').filter({ hasText: 'About 20 hairs.' });
  await expectApart(said, twenty);
  const told = page.getByText(/ordinary for|how long ago it was/);
  await told.scrollIntoViewIfNeeded();
  await expectApart(said, told);
  await expect(page.getByText('Shed hairs: about 20')).toBeVisible();
  await twenty.click();
  await expect(page.getByText('Shed hairs: about 40')).toBeVisible();
  await expect(page.getByText(/50–100 a day are ordinary/)).toBeVisible();
  await openNotes(page, 'Changed something');
  await page.getByRole('button', { name: 'interrupted', exact: true }).click();
  await page.getByRole('button', { name: 'called away' }).click();
  await page.getByRole('button', { name: 'other tool' }).click();
  await page.getByRole('button', { name: 'fingers', exact: true }).click();
  await expect(page.getByText('on dry hair · fingers')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByText('on dry hair · wide comb')).toBeVisible();
  await openNotes(page, 'Next time');
  await page.getByRole('button', { name: 'shorter', exact: true }).click();
  await page.getByLabel('Product instead:').selectOption('Heron Mist');
  const instead = page.getByRole('button', { name: 'other product: Heron Mist', exact: true });
  await expect(instead).toHaveAttribute('aria-pressed', 'true');
  await instead.click();
  await expect(instead).toHaveCount(0);
  await page.getByLabel('Product instead:').selectOption('Heron Mist');
  await expect(instead).toBeVisible();
  await page.getByRole('button', { name: /^Done( ·|$)/ }).click();
  await expect(page.getByRole('heading', { name: 'Cleanse' })).toBeVisible();
  await page.getByRole('button', { name: /^Done( ·|$)/ }).click();

  // The bottle on the scale before and after.
  await expect(page.getByRole('heading', { name: 'Condition' })).toBeVisible();
  await openNotes(page, 'Weigh');
  await page.getByRole('button', { name: 'the bottle', exact: true }).click();
  await expect(page.getByText('g · moving')).toBeVisible();
  await expect(page.getByText('g · at rest')).toBeVisible();
  await page.getByRole('button', { name: /^Bottle before/ }).click();
  await page.getByRole('button', { name: 'the bottle, used' }).click();
  await expect(page.getByText('g · moving')).toBeVisible();
  await expect(page.getByText('g · at rest')).toBeVisible();
  await page.getByRole('button', { name: /^Bottle after/ }).click();
  await expect(page.getByText(/^Used: 1[45]\.\d g$/)).toBeVisible();

  await expect.poll(async () => (await stored()).steps[2].weighed.after).not.toBeNull();
  const [detangle, cleanse, condition] = (await stored()).steps;
  expect(detangle.pauses).toMatchObject([{ reason: 'door' }]);
  expect(detangle.pauses[0].to).not.toBeNull();
  expect(detangle).toMatchObject({ status: 'done', inHand: { slip: 4 }, tool: 'wide-comb' });
  expect(detangle.marks).toMatchObject([{ mark: 'interrupted', reason: 'called' }]);
  expect(detangle.ideas).toMatchObject([{ idea: 'shorter' }, { idea: 'other-product' }]);
  expect(cleanse.startedAt).not.toBeNull();
  expect(condition.dose.measure).toBe('g');
  expect((await stored()).shedHairs).toBe(40);

  await page.goto(`/wash-days/${id}?step=end`);
  await page
    .getByRole('group', { name: /Effort/ })
    .getByRole('button', { name: 'some' })
    .click();
  await page
    .getByRole('group', { name: /Patience/ })
    .getByRole('button', { name: 'ran out' })
    .click();
  await expect(page.getByText('The day in figures')).toBeVisible();
  await page.getByRole('button', { name: 'Finish the routine' }).click();
  await expect(page.getByRole('heading', { name: 'The day in figures' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Check-ins' })).toBeVisible();
  await expect(page.getByRole('definition').filter({ hasText: 'ran out' })).toBeVisible();

  await page.getByLabel('More about “interrupted”').fill('The courier, twice.');
  await page.getByLabel('More about “interrupted”').blur();
  await expect.poll(async () => (await stored()).steps[0].marks[0].note).toBe('The courier, twice.');
  await page.getByRole('button', { name: 'Bonnet', exact: true }).click();
  await expect
    .poll(async () => (await stored()).events.map(({ kind }: { kind: string }) => kind))
    .toEqual(['bonnet']);

  // The idea waits on the trial's page as an arm of a later one.
  const day = await stored();
  await page.goto(`/trials/${day.trialId}`);
  await page.getByRole('link', { name: /^Plan a trial of it.*Heron Mist/ }).click();
  await expect(page.getByLabel('In a sentence')).toHaveValue('Is Heron Mist better at the detangle?');
  await page.goto(`/trials/${day.trialId}`);
  await page.getByRole('link', { name: /^Plan a trial of it.*shorter/ }).click();
  await expect(page.getByLabel('In a sentence')).toHaveValue('Is shorter better at the detangle?');
  await expect(page.getByRole('group', { name: 'Option A' }).getByLabel('Name shown')).toHaveValue(
    'As it was',
  );
});

test('a set that is not dry is stopped at take-down, and may wait, go early or be said dry', {
  tag: '@soak',
}, async ({ page }) => {
  const id = await ownTrial(page, 'Twists overnight?');
  await page.goto(`/trials/${id}`);
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  const day = idOf(page.url());
  const stored = async () => (await page.request.get(`/api/wash-days/${day}`)).json();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByLabel('Did something the plan does not have, before this step?').selectOption('Set');
  await expect(page.getByRole('heading', { name: 'Set' })).toBeVisible();
  await page.getByRole('button', { name: /^Done( ·|$)/ }).click();
  await expect(page.getByRole('heading', { name: 'How dry is it?' })).toBeVisible();
  await page.getByRole('button', { name: /^80 %/ }).click();
  await expect(page.getByRole('heading', { name: 'Stop: it is 80 % dry' })).toBeVisible();
  await expect(page.getByText(/are broken for comparison/)).toBeVisible();
  await page.getByRole('button', { name: /^Wait/ }).click();
  await expect(page.getByRole('button', { name: /^Done( ·|$)/ })).toBeVisible();
  await page.getByRole('button', { name: /^Done( ·|$)/ }).click();
  await page.getByRole('button', { name: /^90 %/ }).click();
  await page.getByRole('button', { name: /^Wear it loose now/ }).click();
  await expect(page.getByRole('heading', { name: 'Detangle' })).toBeVisible();
  await expect
    .poll(async () => (await stored()).steps[0])
    .toMatchObject({ status: 'done', extra: { stopAt: 90 }, marks: [{ mark: 'early' }] });
});

test('photographs from fixed angles: sent, seen again as a ghost, taken away', async ({ page }) => {
  const trial = await ownTrial(page, 'On film?');
  await page.goto(`/trials/${trial}`);
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(page.getByRole('heading', { name: 'Detangle' })).toBeVisible();
  const id = idOf(page.url());
  await page.goto(`/wash-days/${id}/photographs/wet`);
  const picture = await page.screenshot();
  const choose = async (angle: string, buffer: Buffer) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: `From a file, ${angle}` }).click(),
    ]);
    await chooser.setFiles({ name: 'hair.png', mimeType: 'image/png', buffer });
  };
  await choose('back', Buffer.from('this is no picture'));
  await expect(page.getByText('This file is not a picture that this browser can read.')).toBeVisible();
  await choose('back', picture);
  await expect(page.getByRole('img', { name: 'back, taken' })).toBeVisible();
  const { photographs } = await (await page.request.get(`/api/wash-days/${id}`)).json();
  expect(photographs).toMatchObject([{ angle: 'back', stage: 'wet', width: 390, height: 844 }]);
  const bytes = await (await page.request.get(`/api/photographs/${photographs[0].id}/image`)).body();
  expect(bytes.subarray(0, 2)).toEqual(Buffer.from([0xff, 0xd8]));
  expect(bytes.includes('Exif')).toBe(false);

  await page.getByRole('link', { name: 'Measure back' }).click();
  await expect(page.getByRole('article', { name: 'Wash day 1, Wet, back' })).toContainText(
    'The card is not found in this picture.',
  );
  await page.goto(`/wash-days/${id}/photographs/cast`);
  await expect(page.getByRole('img', { name: 'back, last time' })).toBeVisible();
  await page.getByRole('button', { name: 'Camera, back' }).click();
  await expect(
    page
      .getByRole('alert')
      .or(page.getByAltText(/to line up by/))
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.goto(`/wash-days/${id}/photographs/wet`);
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByRole('img', { name: 'back, taken' })).toHaveCount(0);
});

test('two devices on one wash day come to the same, and say so', { tag: '@soak' }, async ({
  page,
  browser,
}) => {
  const trial = await ownTrial(page, 'Two phones?');
  await page.goto(`/trials/${trial}`);
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await page.getByRole('button', { name: /^Done( ·|$)/ }).click();
  await expect(page.getByRole('heading', { name: 'Cleanse' })).toBeVisible();
  const other = await (await browser.newContext({ viewport: { width: 1024, height: 640 } })).newPage();
  await other.goto(page.url());
  await other.getByRole('button', { name: 'Skip …' }).click();
  await other.getByRole('button', { name: 'no time' }).click();
  await expect(other.getByRole('heading', { name: 'Condition' })).toBeVisible();
  await expect(page.getByText(/Another device has a hand in this day too/)).toBeVisible();
  await expect(page.getByRole('button', { name: '2: Cleanse, skipped' })).toBeVisible();
  await page
    .getByRole('button', { name: /^Done( ·|$)/ })
    .or(page.getByRole('button', { name: 'Keep it, go on' }))
    .click();
  await expect(other.getByRole('button', { name: '2: Cleanse, done' })).toBeVisible();
  await other.context().close();
});

test('ten pumps weighed once show that a dose was held', { tag: '@soak' }, async ({ page }) => {
  await page.goto('/shelf');
  await page.getByRole('link', { name: 'Kelp Fold Gel' }).click();
  await page.getByLabel('Weigh a measure').selectOption('pump');
  for (const grams of ['1.5', '1,52', '1.49', '1.51']) {
    await page.getByLabel('Or type grams').fill(grams);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
  }
  await page.getByLabel('Or type grams').fill('much');
  await expect(page.getByText('Grams over 0.')).toBeVisible();
  await page.getByLabel('Or type grams').fill('');
  // Whatever lay on the scale before is taken off first.
  await page.getByRole('button', { name: 'nothing', exact: true }).click();
  await page.getByRole('button', { name: 'Set to nought' }).click();
  await page.getByRole('button', { name: 'one pump more' }).click();
  await page.getByRole('button', { name: /^Take [12]\.\d\d g$/ }).click();
  await expect(page.getByText(/Narrow enough to show that an amount stayed/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep these 5' }).click();
  await expect(page.getByText(/One pump is 1\.\d\d g on average/)).toBeVisible();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByText(/One pump is/)).toHaveCount(0);
});
