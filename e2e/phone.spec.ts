import { type Browser, type BrowserContext, chromium as engine, type Page } from '@playwright/test';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { chromium } from '../playwright.config.ts';
import { expect, PHONE, test } from './bench.ts';
import { earlierToday } from './earlier.ts';
import { makeTrial } from './make-trial.ts';
import { wire } from './wire.ts';

/** A browser of its own, as a phone that trusts Sabor's certificate. */
let phones: Browser;
test.beforeAll(async () => {
  phones = await engine.launch({ ...chromium, args: [...chromium.args, '--ignore-certificate-errors'] });
});
test.afterAll(() => phones.close());

const newPhone = (by: { proxy?: { server: string; bypass: string } } = {}): Promise<BrowserContext> =>
  phones.newContext({ viewport: PHONE, locale: 'en-GB', serviceWorkers: 'allow', hasTouch: true, ...by });

/** What a camera reads on the laptop's screen. */
async function scanned(laptop: Page): Promise<string> {
  const code = laptop.getByRole('img', { name: 'Code to scan with the phone’s camera' });
  const { data, info } = await sharp(await code.screenshot())
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return jsQR(new Uint8ClampedArray(data), info.width, info.height)!.data;
}

test('a phone is let in by the code on the screen, conducts, is signed out and in again, and nothing is missing', async ({
  page: laptop,
}) => {
  await laptop.goto('/data');
  await laptop.getByRole('link', { name: 'Let my phone in' }).click();
  await expect(laptop.getByText('Shut: Sabor answers on this machine alone')).toBeVisible();
  await laptop.getByLabel('Your name').fill('Noor Halvorsen');
  await laptop.getByRole('button', { name: 'Add', exact: true }).click();
  await laptop.getByRole('button', { name: 'Open the door' }).click();
  await expect(laptop.getByText(/^https:\/\/127\.0\.0\.2:\d+$/)).toBeVisible();
  await laptop.getByRole('button', { name: 'Let a device in for Noor Halvorsen' }).click();
  await expect(laptop.getByRole('timer')).toHaveText(/^Good for one device, and for [45]:\d\d more\.$/);
  const link = await scanned(laptop);
  expect(link).toMatch(/^https:\/\/127\.0\.0\.2:\d+\/sign-in#[0-9A-Z]{5}-[0-9A-Z]{5}$/);

  // A stranger on the same network gets the page to sign in, and no more.
  const strangers = await newPhone();
  const stranger = await strangers.newPage();
  const { origin } = new URL(link);
  await stranger.goto(`${origin}/trials`);
  await expect(stranger.getByRole('heading', { name: 'Sign in to Sabor' })).toBeVisible();
  await expect(stranger).toHaveURL(`${origin}/sign-in`);
  await expect(stranger.getByRole('navigation')).toHaveCount(0);

  const phone = await newPhone();
  const page = await phone.newPage();
  await page.goto(link);
  await expect(page.getByRole('heading', { name: 'Welcome, Noor Halvorsen' })).toBeVisible();
  await expect(page).toHaveURL(`${origin}/welcome`);
  await expect(page.getByText('Opening without the laptop works')).toBeVisible({ timeout: 180_000 });
  await expect(laptop.getByText('A device came in by this code. It is spent.')).toBeVisible();
  // The code is spent.
  await stranger.goto(link);
  await expect(stranger.getByRole('alert')).toHaveText(/^This code is not good any more/);

  // Half a wash day, by the phone.
  const trial = await makeTrial(laptop, 'Conducted by phone?');
  await page.goto(`${origin}/trials/${trial}`);
  await page.getByRole('button', { name: 'Start wash day 1' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(page.getByRole('heading', { name: 'Detangle' })).toBeVisible();
  const [day] = /(?<=wash-days\/)[^/?]+/.exec(page.url())!;
  const done = () => page.getByRole('button', { name: /^Done( ·|$)/ }).click();
  await done();
  await expect(page.getByText('All of it is on the server.')).toBeVisible();
  // The network goes, and meanwhile the laptop signs the phone out.
  await phone.setOffline(true);
  await done();
  await expect(page.getByText(/The server does not answer. 1 tap kept on this phone/)).toBeVisible();
  await laptop.goto('/phone');
  const device = laptop.getByRole('listitem').filter({ hasText: 'signed in until' }).last();
  await device.getByRole('button', { name: /^Sign out/ }).click();
  await expect(laptop.getByText('has to sign in again')).toBeVisible();
  await phone.setOffline(false);
  await page.getByRole('button', { name: 'Try now' }).click();
  await expect(
    page.getByText(/1 tap kept on this phone, not taken yet: Sabor does not know this device/),
  ).toBeVisible();
  await laptop.getByRole('button', { name: 'Let a device in for Noor Halvorsen' }).click();
  const again = await scanned(laptop);
  await page.getByRole('status', { name: 'What is sent' }).getByRole('link', { name: 'Sign in' }).click();
  await page.getByLabel('The code').fill(again.split('#')[1]!.toLowerCase().replace('-', ' '));
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Welcome, Noor Halvorsen' })).toBeVisible();
  await page.goto(`${origin}/wash-days/${day}?step=2`);
  await expect(page.getByText('All of it is on the server.')).toBeVisible();
  const { steps } = await (await laptop.request.get(`/api/wash-days/${day}`)).json();
  expect(steps.map(({ status }: { status: string }) => status).slice(0, 3)).toEqual([
    'done',
    'done',
    'waiting',
  ]);

  // What is told otherwise later is on record, with what it was.
  for (const note of ['windy', 'windy, then calm'])
    await laptop.request.patch(`/api/wash-days/${day}`, { data: { note } });
  await laptop.goto(`/trials/${trial}`);
  await laptop.getByText('On record: changes since the first wash day').click();
  const change = laptop.getByRole('listitem').filter({ hasText: 'A wash day was changed' });
  await expect(change).toContainText('note: windy → windy, then calm');
  await expect(change).toContainText('on the laptop');
  await laptop.goto('/phone');

  // Struck out, it is not known, and what it kept of the answers goes with its sign-out.
  await page.goto(`${origin}/welcome`);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in to Sabor' })).toBeVisible();
  expect(await page.evaluate(() => caches.keys())).toEqual([]);
  await laptop.getByText('What happened at the door').click();
  const lately = laptop.getByRole('group').filter({ hasText: 'What happened at the door' });
  await expect(lately.getByRole('listitem').filter({ hasText: /^Signed in, Noor Halvorsen, / })).toHaveCount(
    2,
  );
  await expect(lately.getByRole('listitem').first()).toContainText('Signed out, Noor Halvorsen');
  await laptop.getByRole('button', { name: 'Shut the door' }).click();
  await expect(laptop.getByText('Shut: Sabor answers on this machine alone')).toBeVisible();
  await expect(strangers.request.get(`${origin}/sign-in`)).rejects.toThrow('ECONNREFUSED');
  await Promise.all([phone.close(), strangers.close()]);
});

test('a passphrase guards who is let in; a helper gets what the table of rights says', {
  tag: '@soak',
}, async ({ page: laptop }) => {
  await laptop.goto('/phone');
  await laptop.getByLabel(/^(Your name|Somebody else)$/).fill('Ines Oyelaran');
  await laptop.getByLabel('What they may do').selectOption('helper');
  await expect(laptop.getByText(/^A helper conducts wash days, rates/)).toBeVisible();
  await laptop.getByRole('button', { name: 'Add', exact: true }).click();
  await laptop.getByLabel('A passphrase, some words long').fill('fern');
  await laptop.getByRole('button', { name: 'Set it' }).click();
  await expect(laptop.getByRole('alert')).toHaveText('Take ten characters at least: a few words are good.');
  await laptop.getByLabel('A passphrase, some words long').fill('fern under slow rain');
  await laptop.getByRole('button', { name: 'Set it' }).click();
  await expect(laptop.getByText('Type it to let somebody in.', { exact: false })).toBeVisible();
  await laptop.getByRole('button', { name: 'Open the door' }).click();
  await expect(laptop.getByText(/^https:/)).toBeVisible();
  await laptop.reload();
  const letIn = laptop.getByRole('button', { name: 'Let a device in for Ines Oyelaran' });
  await letIn.click();
  await expect(laptop.getByRole('alert')).toHaveText(
    'Who may come in is guarded by a passphrase: type it first.',
  );
  await laptop.getByLabel('The passphrase').fill('fern under slow rain');
  await letIn.click();
  const phone = await newPhone();
  const page = await phone.newPage();
  await page.goto(await scanned(laptop));
  await expect(page.getByRole('heading', { name: 'Welcome, Ines Oyelaran' })).toBeVisible();
  await page.getByRole('link', { name: 'To Today', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  const asked = (method: string, path: string) =>
    page.evaluate(async ([how, to]) => (await fetch(`/api${to}`, { method: how! })).status, [
      method,
      path,
    ] as const);
  expect(await asked('GET', '/today')).toBe(200);
  expect(await asked('GET', '/backup.zip')).toBe(403);
  expect(await asked('GET', '/access')).toBe(403);
  expect(await asked('POST', '/trials/01990000-0000-7000-8000-000000000000/end')).toBe(403);
  await phone.close();
});

test('a rater looks without knowing, the network gone or not; a wearer has their own page, and their no holds', {
  tag: '@soak',
}, async ({ page: laptop }) => {
  // Hair that was finished twenty minutes ago, of an option nobody here is told.
  const trial = await makeTrial(laptop, 'Looked at by others?');
  const { wearerId } = await (await laptop.request.get(`/api/trials/${trial}`)).json();
  const { name: head, timeZone } = await (await laptop.request.get(`/api/wearers/${wearerId}`)).json();
  const ago = (minutes: number) => earlierToday(minutes, timeZone);
  const day = crypto.randomUUID();
  const tell = async (method: 'put' | 'post' | 'patch', path: string, data: object) =>
    (await laptop.request[method](`/api${path}`, { data })).json();
  await tell('put', `/wash-days/${day}`, { trialId: trial, startedAt: ago(120) });
  await tell('post', `/wash-days/${day}/taps`, {
    device: 'phone',
    taps: [{ kind: 'finish', id: crypto.randomUUID(), at: ago(60) }],
  });
  await tell('patch', `/wash-days/${day}`, {
    washedAt: ago(110),
    dryAt: ago(30),
    revealAt: ago(20),
  });

  await laptop.goto('/phone');
  const letIn = async (name: string, role: string) => {
    await laptop.getByLabel(/^(Your name|Somebody else)$/).fill(name);
    await laptop.getByLabel('What they may do').selectOption(role);
    if (role === 'wearer') await laptop.getByLabel('Whose head').selectOption({ label: head });
    await laptop.getByRole('button', { name: 'Add', exact: true }).click();
    if (await laptop.getByRole('button', { name: 'Open the door' }).isVisible())
      await laptop.getByRole('button', { name: 'Open the door' }).click();
    // The passphrase of the test before guards the list.
    const guard = laptop.getByLabel('The passphrase');
    if ((await guard.count()) > 0 && (await guard.inputValue()) === '') {
      await guard.fill('fern under slow rain');
      await laptop.getByRole('button', { name: 'Add', exact: true }).click();
    }
    await laptop.getByRole('button', { name: `Let a device in for ${name}` }).click();
    const phone = await newPhone();
    const page = await phone.newPage();
    await page.goto(await scanned(laptop));
    await laptop.getByRole('button', { name: 'Put the code away' }).click();
    return { phone, page };
  };
  const { phone: raters, page: rater } = await letIn('Wim Aster', 'rater');
  await expect(rater.getByRole('heading', { name: 'Hair to look at' })).toBeVisible();
  await expect(rater.getByRole('navigation', { name: 'Bench' })).toHaveCount(0);
  await rater.getByRole('link', { name: `${head}: Finished hair, day 1` }).click();
  await rater.getByRole('button', { name: 'Rate 7' }).click();
  const checkIns = async () => (await (await laptop.request.get(`/api/wash-days/${day}`)).json()).checkIns;
  await expect.poll(async () => (await checkIns())[0]?.rater).toBe('Wim Aster');
  await raters.setOffline(true);
  await rater.getByRole('button', { name: 'Rate 3' }).click();
  await expect(rater.getByRole('status', { name: 'What is sent' })).toContainText('One answer on the way.');
  await raters.setOffline(false);
  await expect(rater.getByRole('status', { name: 'What is sent' })).toHaveCount(0);
  const [look] = await checkIns();
  expect(new Set(look.ratings.map(({ value }: { value: number }) => value))).toEqual(new Set([7, 3]));
  // Whatever else is gone to leads back to the own page.
  await rater.goto(rater.url().replace(/\/own.*/, '/trials'));
  await expect(rater.getByRole('link', { name: `${head}: Finished hair, day 1` })).toContainText('looked at');

  const { phone: wearers, page: wearer } = await letIn('Somebody at home', 'wearer');
  await expect(wearer.getByRole('heading', { name: 'Your hair' })).toBeVisible();
  await wearer.getByRole('button', { name: 'No to “Pictures and films are taken”' }).click();
  await expect(wearer.getByText(/^Somebody at home said no on /)).toBeVisible();
  await expect(wearer.getByText('Add a picture of', { exact: false })).toHaveCount(0);
  await laptop.goto(`/heads/${wearerId}`);
  await laptop.getByText('Consent to pictures').click();
  await expect(laptop.getByText(/^Somebody at home said no on /)).toBeVisible();
  await Promise.all([raters.close(), wearers.close()]);
});

test('a wash day is prepared on the phone, begun where there is no network, and arrives whole', {
  tag: '@soak',
}, async ({ page: laptop }) => {
  const ago = (hours: number) => new Date(Date.now() - hours * 3_600_000).toISOString();
  const trial = await makeTrial(laptop, 'Washed in the hills?');
  const first = crypto.randomUUID();
  const tell = (method: 'put' | 'post' | 'patch', path: string, data: object) =>
    laptop.request[method](`/api${path}`, { data });
  await tell('put', `/wash-days/${first}`, { trialId: trial, startedAt: ago(50) });
  await tell('post', `/wash-days/${first}/taps`, {
    device: 'phone',
    taps: [{ kind: 'finish', id: crypto.randomUUID(), at: ago(49) }],
  });
  await tell('patch', `/wash-days/${first}`, { washedAt: ago(49.8), dryAt: ago(48.9), revealAt: ago(48.8) });

  await laptop.goto('/phone');
  await laptop.getByLabel(/^(Your name|Somebody else)$/).fill('Runa Vester');
  await laptop.getByLabel('What they may do').selectOption('tester');
  const guard = laptop.getByLabel('The passphrase');
  if ((await guard.count()) > 0) await guard.fill('fern under slow rain');
  await laptop.getByRole('button', { name: 'Add', exact: true }).click();
  if (await laptop.getByRole('button', { name: 'Open the door' }).isVisible())
    await laptop.getByRole('button', { name: 'Open the door' }).click();
  await laptop.getByRole('button', { name: 'Let a device in for Runa Vester' }).click();
  const { proxy, cut, mend, close } = await wire();
  const phone = await newPhone({ proxy });
  const page = await phone.newPage();
  await page.goto(await scanned(laptop));
  await expect(page.getByText('Opening without the laptop works')).toBeVisible({ timeout: 180_000 });
  const { origin } = new URL(page.url());
  await page.goto(`${origin}/trials/${trial}`);
  await page.getByText('A wash day without the network').click();
  await page.getByRole('button', { name: 'Prepare the next wash day here' }).click();
  await expect(page.getByText(/^Wash day 2 lies on this device in its envelope/)).toBeVisible();
  // Elsewhere it cannot be begun meanwhile, and what is in it shows nowhere.
  const refused = await tell('put', `/wash-days/${crypto.randomUUID()}`, {
    trialId: trial,
    startedAt: ago(0),
  });
  expect((await refused.json()).detail).toMatch(
    /^Wash day 2 was prepared on .* \(Runa Vester\) and waits there/,
  );

  await cut(phone);
  await page.goto(`${origin}/trials/${trial}`);
  // What stands there is old, and says so.
  await expect(page.getByText(/does not answer. This stands here as it was: \w{3} \d+ \w{3}/)).toBeVisible();
  const begin = page.getByRole('button', { name: 'Open it and begin wash day 2' });
  await expect(begin).toBeDisabled();
  await page.getByLabel('How the last wear ended').selectOption('washed-looks');
  await begin.click();
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(page.getByRole('heading', { name: 'Detangle' })).toBeVisible();
  await page.getByRole('button', { name: /^Done( ·|$)/ }).click();
  await expect(page.getByText(/The server does not answer. 1 tap kept on this phone/)).toBeVisible();
  // Closed and opened again it is begun still.
  await page.goto(`${origin}/trials/${trial}`);
  await page.getByRole('link', { name: 'Go on with it' }).click();
  await expect(page).toHaveURL(/\/wash-days\//);
  await page.getByRole('button', { name: /^Done( ·|$)/ }).click();
  const [day] = /(?<=wash-days\/)[^/?]+/.exec(page.url())!;
  expect((await laptop.request.get(`/api/wash-days/${day}`)).status()).toBe(404);
  await mend(phone);
  await expect(page.getByText('All of it is on the server.')).toBeVisible();
  const arrived = await (await laptop.request.get(`/api/wash-days/${day}`)).json();
  expect(arrived.steps.map(({ status }: { status: string }) => status).slice(0, 3)).toEqual([
    'done',
    'done',
    'waiting',
  ]);
  expect((await (await laptop.request.get(`/api/wash-days/${first}`)).json()).wearEnd.kind).toBe(
    'washed-looks',
  );
  await laptop.goto(`/trials/${trial}`);
  await laptop.getByText('On record: changes since the first wash day').click();
  await expect(laptop.getByRole('listitem').filter({ hasText: 'Envelope opened' })).toContainText(
    'Runa Vester',
  );
  await phone.close();
  close();
});
