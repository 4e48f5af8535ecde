import type { Page } from '@playwright/test';
import { v7 } from 'uuid';
import { expect, PHONE, test } from './bench.ts';
import { beforeNoonYesterday } from './earlier.ts';
import { makeTrial, runByApi } from './make-trial.ts';

/** Waits until the server has all that was tapped: what ends the trial must not overtake it. */
const heard = (page: Page, day: string, ratings: number) =>
  expect
    .poll(async () => {
      const { checkIns } = await (await page.request.get(`/api/wash-days/${day}`)).json();
      return checkIns.flatMap((look: { ratings: unknown[] }) => look.ratings).length;
    })
    .toBe(ratings);

/** A wash day of yesterday whose hair was finished an hour later: today is its second day. */
async function wornSinceYesterday(page: Page, trialId: string): Promise<string> {
  const id = v7();
  const { wearerId } = await (await page.request.get(`/api/trials/${trialId}`)).json();
  const { timeZone } = await (await page.request.get(`/api/wearers/${wearerId}`)).json();
  const at = (hours: number) => beforeNoonYesterday(hours, timeZone);
  const day = await (
    await page.request.put(`/api/wash-days/${id}`, { data: { trialId, startedAt: at(2) } })
  ).json();
  const taps: object[] = day.steps.map((step: { id: string }) => ({
    id: v7(),
    at: at(1.5),
    kind: 'step',
    stepId: step.id,
    set: { status: 'done', doneAt: at(1.5) },
  }));
  taps.push({ id: v7(), at: at(1), kind: 'finish' });
  await page.request.post(`/api/wash-days/${id}/taps`, { data: { device: 'phone', taps } });
  const dated = await page.request.patch(`/api/wash-days/${id}`, {
    data: { washedAt: at(1.8), dryAt: at(1), revealAt: at(0.5) },
  });
  if (!dated.ok()) throw new Error(await dated.text());
  return id;
}

test('what day 2 told in nine taps stands by option in the comparison, in the fairness check and in CSV', async ({
  page,
}) => {
  const trial = await makeTrial(page, 'Told on day 2?', ['Anvil Gel', 'Kelp Fold Gel'], 8, {
    design: 'half',
    onDay: 2,
  });
  const day = await wornSinceYesterday(page, trial);
  await page.setViewportSize(PHONE);
  await page.goto('/');
  let taps = 0;
  const tap = async (name: string | RegExp, where: Pick<Page, 'getByRole'> = page) => {
    await where.getByRole('button', { name, exact: typeof name === 'string' }).click();
    taps++;
  };
  const due = page.getByRole('listitem').filter({ hasText: 'Told on day 2?' }).first();
  await due.getByRole('link', { name: /Check in/ }).click();
  taps++;
  await expect(page.getByRole('heading', { name: 'Day 2', exact: true })).toBeVisible();
  const group = (name: string) => page.getByRole('group', { name, exact: true });
  await tap('Covered');
  await tap('left half', group('Where: Covered'));
  await tap('light', group('Cast'));
  await tap('none', group('Flakes'));
  await tap('Edges redone');
  await tap('Anvil Gel', group('Product: Edges redone'));
  await tap('1 pea', group('Amount: Edges redone'));
  await tap('Nothing else needed');
  expect(taps).toBeLessThan(10);
  await expect(group('Cast').getByRole('button', { name: 'light' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'same both sides' }).click();
  await page.getByRole('button', { name: 'Rate 6', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Crown, left: 6' })).toBeVisible();
  await heard(page, day, 4);

  await page.reload();
  await expect(group('Flakes').getByRole('button', { name: 'none' })).toHaveAttribute('aria-pressed', 'true');
  await page.goto(`/wash-days/${day}`);
  await expect(page.getByRole('listitem').filter({ hasText: /covered, left half/ })).toContainText(
    'edges redone, Anvil Gel, 1 pea',
  );

  await page.request.post(`/api/trials/${trial}/end`, { data: { reason: 'Enough seen.' } });
  await page.request.post(`/api/trials/${trial}/outcomes`);
  await page.goto(`/trials/${trial}/compare`);
  await page.getByRole('heading', { name: 'How long it lasts, and what it costs' }).scrollIntoViewIfNeeded();
  const table = page.getByRole('region', { name: 'Readings in words', exact: true });
  await expect(
    table.getByRole('row', { name: /^Cast, day 2 wished: light light 1 wash day light 1 wash day$/ }),
  ).toBeVisible();
  await expect(table.getByRole('row', { name: /^Flakes, day 2 none/ })).toBeVisible();
  await expect(
    table.getByRole('row', { name: /^Edges redone while worn 1 day, on 1 of 1 wash day/ }),
  ).toBeVisible();
  await expect(table.getByRole('row', { name: /^Nothing needed while worn/ })).toBeVisible();
  await expect(
    page.getByText(/Covered: once on the left half.*, not on the right half/).first(),
  ).toBeVisible();

  const csv = await (await page.request.get(`/api/trials/${trial}/readings.csv`)).text();
  for (const row of [
    /Day 2,2,.*,Cast,.*,light/,
    /Worn,2,.*,Edges redone,Whole head,.*1 pea/,
    /Worn,2,.*,Covered,/,
  ])
    expect(csv).toMatch(row);
});

test('a side that was spoiled before its rating is left out, with its count; marked after, it counts', {
  tag: '@soak',
}, async ({ page }) => {
  const trial = await makeTrial(
    page,
    'Spoiled?',
    ['Anvil Gel', 'Kelp Fold Gel'],
    8,
    {
      design: 'half',
      onDay: 2,
    },
    'Tomasz Adeyinka-Holm',
  );
  const day = await wornSinceYesterday(page, trial);
  await page.goto(`/wash-days/${day}/look/day-2`);
  await page.getByRole('button', { name: 'Wind', exact: true }).click();
  await page
    .getByRole('group', { name: 'Where: Wind', exact: true })
    .getByRole('button', { name: 'right half' })
    .click();
  await page.getByRole('button', { name: /^It spoiled the hair there/ }).click();
  await page.getByRole('button', { name: 'same both sides' }).click();
  await page.getByRole('button', { name: 'Rate 7', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Crown, left: 7' })).toBeVisible();
  await heard(page, day, 4);
  await page.request.post(`/api/trials/${trial}/end`, { data: { reason: 'Enough seen.' } });
  await page.request.post(`/api/trials/${trial}/outcomes`);
  await page.goto(`/trials/${trial}/compare`);
  await expect(page.getByRole('list', { name: 'Left out because it was spoiled' })).toHaveText(
    'Wash day 1, right half: wind, not judged from day 2 on, nor is its other half.',
  );
});

test('what was done and happened on the day before is said again in one tap, and taken back in one', async ({
  page,
}) => {
  const trial = await makeTrial(page, 'Again?', ['Anvil Gel', 'Kelp Fold Gel'], 8);
  const day = await wornSinceYesterday(page, trial);
  await page.goto(`/wash-days/${day}`);
  const on = page.getByLabel('On', { exact: true });
  await on.fill('yesterday');
  await on.blur();
  await page.getByRole('button', { name: 'Rain', exact: true }).click();
  await page.getByRole('button', { name: 'Bonnet', exact: true }).click();
  const again = page.getByRole('button', { name: /^As on .*: rain, bonnet$/ });
  await expect(again).toHaveCount(0);
  await on.fill('today');
  await on.blur();
  await again.click();
  await expect(page.getByRole('button', { name: 'Bonnet', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(page.getByRole('button', { name: 'Rain', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(again).toHaveCount(0);
  await page
    .getByRole('listitem')
    .filter({ hasText: /^As on/ })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(again).toBeVisible();
});

test('a set on mixed rods with its own way at the nape is planned, conducted and compared without a note', {
  tag: '@soak',
}, async ({ page }) => {
  await page.goto('/routines');
  await page.getByRole('link', { name: 'Write a routine' }).click();
  await page.getByLabel('Name').fill('Rod set');
  for (const slot of ['Hold', 'Set', 'Set']) {
    await page.getByLabel('Next step').selectOption(slot);
    await page.getByRole('button', { name: 'Add this step' }).click();
  }
  const steps = page.getByRole('button', { name: /^Set/ });
  await steps.first().click();
  await page.getByLabel('medium (about 13 mm)').check();
  await page.getByLabel('large (about 19 mm)').check();
  await page.getByLabel('Technique').selectOption('rods');
  await steps.last().click();
  await page.getByLabel('Nape').check();
  await page.getByLabel('small (about 9 mm)').check();
  await page.getByLabel('Tension').selectOption('easy');
  await page.getByLabel('How ends are finished').selectOption('twirled');
  await page.getByText(/^More settings/).click();
  await page.getByLabel('Rod width').fill('2000');
  await page.getByRole('button', { name: 'Save the routine' }).click();
  await expect(page.getByText('Rod width runs from 2 to 100 mm (0.08 to 3.93 in).').first()).toBeVisible();
  await page.getByLabel('Rod width').fill('9');
  await page.getByRole('button', { name: 'Save the routine' }).click();
  await expect(page.getByRole('link', { name: 'Rod set', exact: true })).toBeVisible();

  const trial = await makeTrial(
    page,
    'On rods?',
    ['Anvil Gel', 'Kelp Fold Gel'],
    8,
    {},
    'Tomasz Adeyinka-Holm',
    'Rod set',
  );
  const day = await runByApi(page, trial, {
    // The first of the two sets, all but the nape, went otherwise.
    set: { extra: { rods: ['small'] } },
  });
  await page.goto(`/wash-days/${day}`);
  const changes = page.getByRole('list', { name: 'Changes from plan' });
  await expect(changes).toContainText(
    'Rods small (about 9 mm) instead of rods medium (about 13 mm), large (about 19 mm)',
  );
  await expect(changes).toContainText(/[Nn]ape/);
  await expect(page.getByText('Set', { exact: true }).first()).toBeVisible();
});

test('a trial judged by a reading in words names the option that came nearer to the word wanted', {
  tag: '@soak',
}, async ({ page }) => {
  const clumps: Record<string, readonly number[]> = {
    'Anvil Gel': [2, 2, 2, 2],
    'Kelp Fold Gel': [4, 0, 4, 0],
  };
  const trial = await makeTrial(page, 'Whose clumps are medium?', ['Anvil Gel', 'Kelp Fold Gel'], 8);
  await page.goto(`/trials/${trial}/plan`);
  await page.getByLabel('Main result').selectOption('Clump size, in words');
  await page.getByLabel('The word that is wanted').selectOption('medium');
  await expect(page.getByLabel('Good enough')).toHaveValue('7.5');
  await expect(page.getByLabel('A difference worth switching for')).toHaveValue('2.5');
  await page.getByRole('button', { name: 'Save the plan' }).click();
  await expect(page.getByText('clump size near medium, from 7.5')).toBeVisible();
  const left = new Map(Object.entries(clumps).map(([name, words]) => [name, [...words]]));
  for (let i = 0; i < 8; i++) {
    const id = await runByApi(page, trial);
    const at = new Date().toISOString();
    await page.request.patch(`/api/wash-days/${id}`, { data: { dryAt: at, revealAt: at } });
    const day = await (await page.request.get(`/api/wash-days/${id}`)).json();
    const detail = await (await page.request.get(`/api/trials/${trial}`)).json();
    const arm = detail.arms.find((one: { id: string }) => one.id === day.armId).name;
    const value = left.get(arm)!.shift()!;
    if (i === 0) {
      // Asked first, of every check-in.
      await page.goto(`/wash-days/${id}/look/day-1`);
      await page
        .getByRole('group', { name: 'Clump size', exact: true })
        .getByRole('button')
        .nth(value)
        .click();
      await expect
        .poll(async () => {
          const { checkIns } = await (await page.request.get(`/api/wash-days/${id}`)).json();
          return checkIns.flatMap((look: { felt: unknown[] }) => look.felt).length;
        })
        .toBeGreaterThan(0);
    } else {
      const taps = [
        {
          ...{ id: v7(), at: new Date().toISOString(), kind: 'rate', checkInId: v7(), stage: 'wear', day: 1 },
          ...{
            lookedAt: new Date().toISOString(),
            ratings: [],
            felt: [{ quality: 'clumps', zoneId: null, value }],
          },
        },
      ];
      await page.request.post(`/api/wash-days/${id}/taps`, { data: { device: 'phone', taps } });
    }
    await page.request.post(`/api/wash-days/${id}/end-wear`, {
      data: { kind: 'washed-schedule', at: new Date().toISOString() },
    });
  }
  await page.request.post(`/api/trials/${trial}/outcomes`);
  await page.goto(`/trials/${trial}/compare`);
  await expect(
    page.getByRole('heading', {
      name: 'Anvil Gel came nearer to the wanted clump size (medium) than Kelp Fold Gel.',
    }),
  ).toBeVisible();
  await expect(
    page.getByText('The test is of nearness to the wanted clump size (medium) alone'),
  ).toBeVisible();
  const table = page.getByRole('region', { name: 'Outcomes, option by option' });
  await expect(table.getByRole('row', { name: /^Clump size: medium main · more is wanted/ })).toBeVisible();
});

test('a check-in of a half-head takes sixteen taps for all seven outcomes, a later day eight', {
  tag: '@soak',
}, async ({ page }) => {
  const trial = await makeTrial(page, 'In sixteen taps?', ['Anvil Gel', 'Kelp Fold Gel'], 8, {
    design: 'half',
    onDay: 2,
  });
  const day = await wornSinceYesterday(page, trial);
  await page.setViewportSize(PHONE);
  await page.goto(`/wash-days/${day}`);
  let taps = 0;
  const tap = async (name: string) => {
    await page.getByRole('button', { name, exact: true }).click();
    taps++;
  };
  await page
    .getByRole('link', { name: /: Finished hair, day 1$/ })
    .last()
    .click();
  taps++;
  const outcomes = ['Definition', 'Frizz', 'Volume', 'Shine', 'Softness', 'Hold', 'Scalp comfort'];
  for (const outcome of outcomes) {
    await expect(page.getByRole('button', { name: outcome, exact: true, pressed: true })).toBeVisible();
    await tap('Left 7');
    await tap('Right 5');
    await expect(page.getByRole('button', { name: new RegExp(`^${outcome}\\s*, rated$`) })).toBeVisible();
  }
  await page.getByRole('link', { name: 'Finish check-in' }).click();
  taps++;
  expect(taps).toBeLessThanOrEqual(16);
  console.log(`half-head check-in, seven outcomes: ${taps} taps`);
  await heard(page, day, 28);

  taps = 0;
  await page
    .getByRole('link', { name: /: Day 2$/ })
    .last()
    .click();
  taps++;
  await expect(page.getByText(/the day before/)).toHaveCount(0);
  await tap('Left 6');
  await expect(page.getByText('the day before 7.0')).toBeVisible();
  await tap('Right 6');
  await page.getByRole('link', { name: 'Finish check-in' }).click();
  taps++;
  expect(taps).toBeLessThanOrEqual(8);
  console.log(`half-head check-in of a later day: ${taps} taps`);
  await heard(page, day, 32);
});

test('a check-in of a whole head takes twelve taps at most for all seven outcomes and its curls', {
  tag: '@soak',
}, async ({ page }) => {
  const trial = await makeTrial(page, 'In twelve taps?');
  const day = await wornSinceYesterday(page, trial);
  await page.setViewportSize(PHONE);
  await page.goto(`/wash-days/${day}`);
  let taps = 1;
  await page
    .getByRole('link', { name: /: Finished hair, day 1$/ })
    .last()
    .click();
  for (const outcome of ['Definition', 'Frizz', 'Volume', 'Shine', 'Softness', 'Hold', 'Scalp comfort']) {
    await expect(page.getByRole('button', { name: outcome, exact: true, pressed: true })).toBeVisible();
    await page.getByRole('button', { name: 'Rate 7', exact: true }).click();
    taps++;
  }
  // The curls come by themselves, last of the round.
  await page.getByLabel('Crown curl, resting').fill('95');
  await page.getByRole('link', { name: 'Finish check-in' }).click();
  taps++;
  expect(taps).toBeLessThanOrEqual(12);
  console.log(`whole-head check-in, seven outcomes and a curl: ${taps} taps and a number`);
  await expect
    .poll(async () => {
      const { checkIns } = await (await page.request.get(`/api/wash-days/${day}`)).json();
      return checkIns.map(({ ratings, curls }: { ratings: unknown[]; curls: unknown[] }) => [
        ratings.length,
        curls.length,
      ]);
    })
    .toEqual([[28, 1]]);
});
