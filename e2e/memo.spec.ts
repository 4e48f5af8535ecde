import { chromium } from '../playwright.config.ts';
import { BENCH, expect, openNotes, PHONE, test } from './bench.ts';
import { makeTrial } from './make-trial.ts';

test.use({
  launchOptions: {
    ...chromium,
    args: [...chromium.args, '--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream'],
  },
});

test('a note is told from anywhere, in words or by voice, waits on Today, and is done with one tap', async ({
  page,
}) => {
  const trial = await makeTrial(page, 'What was noted?');
  await page.goto(`/trials/${trial}`);
  await page.getByRole('heading', { name: 'What was noted?' }).waitFor();
  await page.keyboard.press('n');
  const dialog = page.getByRole('dialog', { name: 'A note' });
  await dialog.getByRole('button', { name: 'Keep the note' }).click();
  await expect(dialog.getByText('Say something, in words or by voice.')).toBeVisible();
  await dialog.getByLabel('Note in words').fill('The tap water smells of chlorine today.');
  await expect(dialog.getByLabel('About this trial')).toBeChecked();
  await dialog.getByRole('button', { name: 'Keep the note' }).click();
  await expect(page.getByText('The note is kept; it waits on Today.', { exact: true })).toBeVisible();
  const notes = page.getByRole('region', { name: 'Notes' });
  await expect(notes).toContainText('The tap water smells of chlorine today.');

  // By voice, with wet hands, over the step; the server away meanwhile.
  await page.setViewportSize(PHONE);
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await openNotes(page, 'A note');
  await page.getByRole('button', { name: 'Record a voice memo' }).click();
  await expect(page.getByRole('timer').last()).toHaveText('0:02');
  await page.getByLabel('Note in words').fill('and it squeaks');
  // The step is done before the note is kept: what was said and typed is there at the next.
  await page.getByRole('button', { name: /^Done( ·|$)/ }).click();
  await expect(page.getByText('Step 2 of 10')).toBeVisible();
  await openNotes(page, 'A note');
  await expect(page.getByText(/^Recorded: 0:0[23]$/)).toBeVisible();
  await expect(page.getByLabel('Note in words')).toHaveValue('and it squeaks');
  await page.route('**/api/memos/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Keep the note' }).click();
  await page.reload();
  await page.setViewportSize(BENCH);
  await page.goto('/');
  await expect(notes).toContainText('it goes as soon as the server answers');
  await page.unroute('**/api/memos/**');
  const voice = notes.getByRole('listitem').filter({ hasText: 'by voice' });
  await expect(voice).toContainText(/0:0[23] by voice · Ines Falkenrath, \w{3} \d/, {
    timeout: 15_000,
  });
  await expect(voice).toContainText('and it squeaks');
  const [memo] = (await (await page.request.get('/api/memos')).json()) as { id: string; sound: object }[];
  expect(memo!.sound).toMatchObject({ type: 'audio/webm' });
  const sound = await page.request.get(`/api/memos/${memo!.id}/sound`);
  expect((await sound.body()).length).toBeGreaterThan(500);
  await voice.getByRole('button', { name: /^Done/ }).click();
  await expect(voice).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(voice).toHaveCount(1);
  await voice.getByRole('button', { name: /^Remove/ }).click();
  await expect(voice).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(voice).toHaveCount(1);
  const again = await page.request.get(`/api/memos/${memo!.id}/sound`);
  expect((await again.body()).equals(await sound.body())).toBe(true);
  await voice.getByRole('link', { name: /Ines Falkenrath/ }).click();
  await expect(page.getByRole('heading', { name: 'Cleanse' })).toBeVisible();
});

test('a voice memo of an hour stops after ten minutes, says so, and is there', { tag: '@soak' }, async ({
  page,
}) => {
  await page.clock.install();
  await page.goto('/');
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByRole('button', { name: 'Record a voice memo' }).click();
  // The microphone keeps its own time: it is running, and has said something, before the clock is turned.
  await expect(page.getByRole('timer').last()).toBeVisible();
  await page.waitForTimeout(1500);
  await page.clock.fastForward('01:00:00');
  await page.clock.runFor(1000);
  await expect(page.getByText('Ten minutes are kept. Begin another for what comes after.')).toBeVisible();
  await expect(page.getByText('Recorded: 10:00')).toBeVisible();
});
