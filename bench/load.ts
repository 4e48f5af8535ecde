import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { chromium } from '@playwright/test';
import express, { type Express } from 'express';
import { pino } from 'pino';
import { v7 } from 'uuid';
import { chromium as debian } from '../playwright.config.ts';
import { startCluster } from '../scripts/postgres/cluster.ts';
import { buildWeb, webRoot } from '../scripts/start/build.ts';
import { createApp } from '../server/app.ts';
import { migrate } from '../server/db/migrate.ts';
import { type Db, openPool } from '../server/db/pool.ts';
import { fillShelf, liveTenYears } from './ten-years.ts';

const ms = (x: number) => `${x.toFixed(x < 10 ? 1 : 0)} ms`;

async function times(work: () => Promise<unknown>, n: number): Promise<number[]> {
  await work();
  const found: number[] = [];
  for (let i = 0; i < n; i++) {
    const began = performance.now();
    await work();
    found.push(performance.now() - began);
  }
  return found.sort((a, b) => a - b);
}

const share = (sorted: readonly number[], part: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))]!;

/** What each page asks for, and the plain select of the same rows it is held against. */
const asked = (ids: Awaited<ReturnType<typeof liveTenYears>>): [string, string][] => {
  const day = `where d.id = '${ids.washDayId}'`;
  const trial = `where d.trial_id = '${ids.trialId}'`;
  const ofDays = (where: string) =>
    `select (select json_agg(d) from wash_day d ${where}),
       (select json_agg(s) from wash_step s join wash_day d on d.id = s.wash_day_id ${where}),
       (select json_agg(r) from reading r join check_in c on c.id = r.check_in_id join wash_day d on d.id = c.wash_day_id ${where}),
       (select json_agg(w) from wash_day d join trial t on t.id = d.trial_id join stay y on y.wearer_id = t.wearer_id
          join weather_reading w on w.locality_id = y.locality_id and w.at between d.started_at - interval '1 day'
            and least(coalesce(d.wear_ended_at, now()), d.started_at + interval '10 days') + interval '1 day' ${where})`;
  const all = (tables: string[]) =>
    `select ${tables.map((t) => `(select json_agg(t) from ${t} t)`).join(', ')}`;
  return [
    ['/settings', all(['setting'])],
    [
      '/shelf',
      `${all(['line', 'product', 'bottle', 'calibration'])}, (select json_agg(n) from (select product_id, count(*) from (
         select product_id from step union all select product_id from arm_step union all select product_id from wash_step) s
         group by product_id) n)`,
    ],
    ['/wearers', all(['wearer', 'zone', 'curl'])],
    [
      `/wearers/${ids.wearerId}`,
      `select (select json_agg(z) from zone z where wearer_id = '${ids.wearerId}')`,
    ],
    [
      `/wearers/${ids.wearerId}/file`,
      `select (select json_agg(t) from hair_test t where wearer_id = '${ids.wearerId}'), (select json_agg(t) from hair_event t where wearer_id = '${ids.wearerId}'),
         (select json_agg(d) from wash_day d join trial t on t.id = d.trial_id where t.wearer_id = '${ids.wearerId}'),
         (select json_agg(s) from wash_step s join wash_day d on d.id = s.wash_day_id join trial t on t.id = d.trial_id where t.wearer_id = '${ids.wearerId}')`,
    ],
    [
      `/wearers/${ids.wearerId}/ledger`,
      `select (select json_agg(s) from wash_step s join wash_day d on d.id = s.wash_day_id join trial t on t.id = d.trial_id where t.wearer_id = '${ids.wearerId}')`,
    ],
    [`/wearers/${ids.wearerId}/ghosts`, 'select json_agg(p) from photograph p'],
    ['/routines', `select (select json_agg(r) from routine r where not is_plan)`],
    [
      '/trials',
      `${all(['trial', 'arm', 'allocation'])}, (select json_agg(n) from (select trial_id, count(*) from wash_day group by trial_id) n)`,
    ],
    [`/trials/${ids.trialId}`, ofDays(trial)],
    [`/trials/${ids.trialId}/readings.csv`, ofDays(trial)],
    [`/wash-days/${ids.washDayId}`, ofDays(day)],
    [
      '/today',
      all([
        'trial',
        'arm',
        'arm_step',
        'trial_zone',
        'allocation',
        'step',
        'product',
        'bottle',
        'hair_event',
      ]),
    ],
    [
      '/weather',
      `${all(['locality', 'stay'])}, (select count(*) from weather_reading), (select min(at) from weather_reading), (select max(at) from weather_reading)`,
    ],
    [
      `/places/${ids.placeId}/weather?from=${new Date(Date.now() - 31 * 86_400_000).toISOString()}&to=${new Date().toISOString()}`,
      `select json_agg(w) from weather_reading w where locality_id = '${ids.placeId}' and at > now() - interval '31 days'`,
    ],
    [
      `/places/${ids.placeId}/weather?from=${new Date(Date.now() - 365 * 86_400_000).toISOString()}&to=${new Date().toISOString()}`,
      `select json_agg(w) from weather_reading w where locality_id = '${ids.placeId}' and at > now() - interval '365 days'`,
    ],
    ['/shelf.csv', all(['product', 'line'])],
    ['/own-ingredients', all(['own_ingredient'])],
    ['/backups', all(['line'])],
  ];
};

/** A bare server that answers each plain select with its rows and does nothing else: what the road itself costs. */
function plainly(db: Db, selects: readonly string[]): Express {
  const app = express().disable('x-powered-by').disable('etag');
  app.get('/:n', async (request, response) => {
    response.json((await db.query(selects[Number(request.params.n)]!)).rows);
  });
  return app;
}

async function everyGet(url: string, db: Db, ids: Awaited<ReturnType<typeof liveTenYears>>): Promise<void> {
  const selects = asked(ids);
  const bare = createServer(
    plainly(
      db,
      selects.map(([, sql]) => sql),
    ),
  );
  await new Promise<void>((resolve) => bare.listen(0, '127.0.0.1', resolve));
  const bareUrl = `http://127.0.0.1:${(bare.address() as AddressInfo).port}`;
  for (const [n, [route, sql]] of selects.entries()) {
    const found = await times(async () => {
      const response = await fetch(`${url}/api${route}`);
      if (!response.ok) throw new Error(`${route}: ${response.status} ${await response.text()}`);
      await response.arrayBuffer();
    }, 20);
    const peer = await times(() => db.query(sql), 20);
    const sent = await times(async () => (await fetch(`${bareUrl}/${n}`)).arrayBuffer(), 20);
    // What another page would wait while this one is answered, eight at once.
    let longest = 0;
    let going = true;
    const other = (async () => {
      while (going) {
        const began = performance.now();
        await (await fetch(`${url}/api/settings`)).arrayBuffer();
        longest = Math.max(longest, performance.now() - began);
      }
    })();
    await Promise.all([1, 2].map(async () => (await fetch(`${url}/api${route}`)).arrayBuffer()));
    going = false;
    await other;
    const name = route
      .replaceAll(/[0-9a-f]{8}-[0-9a-f-]{27}/g, ':id')
      .replace(
        /\?from=(.*)&to=(.*)/,
        (_, from, to) => `?${Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000)} days`,
      );
    console.log(
      `GET ${name.padEnd(40)} p50 ${ms(share(found, 0.5)).padStart(8)}   p95 ${ms(share(found, 0.95)).padStart(8)}   ${(share(found, 0.5) / share(peer, 0.5)).toFixed(1).padStart(6)} × its rows read, ${(share(found, 0.5) / share(sent, 0.5)).toFixed(1)} × read and sent plainly   another waits ${ms(longest)}`,
    );
  }
  bare.closeAllConnections();
  bare.close();
}

async function taps(url: string, ids: Awaited<ReturnType<typeof liveTenYears>>): Promise<void> {
  const day = (await (await fetch(`${url}/api/wash-days/${ids.washDayId}`)).json()) as {
    steps: { id: string }[];
  };
  for (const n of [1, 20, 200, 500]) {
    const batch = Array.from({ length: n }, () => ({
      id: v7(),
      at: new Date().toISOString(),
      kind: 'step',
      stepId: day.steps[0]!.id,
      set: { note: 'x' },
    }));
    const began = performance.now();
    const response = await fetch(`${url}/api/wash-days/${ids.washDayId}/taps`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ device: 'bench', taps: batch }),
    });
    await response.json();
    console.log(`${`${n} taps at once`.padEnd(54)} ${ms(performance.now() - began).padStart(10)}`);
  }
}

/** How long pages take to their heading, in a browser. */
async function pages(url: string, ids: Awaited<ReturnType<typeof liveTenYears>>): Promise<void> {
  const browser = await chromium.launch(debian);
  const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  for (const [at, heading] of [
    ['/', 'Today'],
    ['/shelf', 'Shelf'],
    ['/trials', 'Trials'],
    [`/trials/${ids.trialId}`, 'Question 10'],
  ] as const) {
    const found = await times(async () => {
      await page.goto(`${url}${at}`);
      await page.getByRole('heading', { name: heading }).first().waitFor();
    }, 5);
    console.log(
      `${`${heading} of ten years, to its heading`.padEnd(54)} ${ms(share(found, 0.5)).padStart(10)}`,
    );
  }
  await browser.close();
}

/** Lists as long as they get: 5,000 products, and 2,000 wash days behind the trials. */
const LONGEST_SHELF = 5000;
async function longLists(url: string): Promise<void> {
  const browser = await chromium.launch(debian);
  const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  const tell = (what: string, found: readonly number[]) =>
    console.log(`${what.padEnd(54)} ${ms(share(found, 0.5)).padStart(10)}`);
  const card = page.getByRole('link', { name: /^Product/ });
  tell(
    `Shelf of ${LONGEST_SHELF.toLocaleString('en')} products, to its first product`,
    await times(async () => {
      await page.goto(`${url}/shelf`);
      await card.first().waitFor();
    }, 5),
  );
  const filter = page.getByLabel('Search this list');
  tell(
    'the same, filtered by a name',
    await times(async () => {
      await filter.fill('');
      await card.nth(2).waitFor();
      await filter.fill('Product 117 no. 9');
      await card.nth(1).waitFor({ state: 'detached' });
      await card.first().waitFor();
    }, 5),
  );
  tell(
    'Trials with 2,000 wash days, to the first trial',
    await times(async () => {
      await page.goto(`${url}/trials`);
      await page
        .getByRole('link', { name: /^Question/ })
        .first()
        .waitFor();
    }, 5),
  );
  await browser.close();
}

/** Ten years of data behind the server: every page's question, taps, and pages. */
export async function benchLoad(part: 'all' | 'lists' = 'all'): Promise<void> {
  // The server lists its files as it begins.
  await buildWeb();
  const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-load-'));
  const cluster = await startCluster(folder, true);
  const db = openPool(cluster.url);
  const log = pino({ level: 'silent' });
  const server = createServer(createApp({ db, log, webRoot }));
  try {
    await migrate(db);
    const ids = await liveTenYears(db);
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
    if (part === 'all') {
      await everyGet(url, db, ids);
      await taps(url, ids);
      await pages(url, ids);
    }
    await fillShelf(db, LONGEST_SHELF);
    await longLists(url);
  } finally {
    server.closeAllConnections();
    server.close();
    await db.end();
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

if (process.argv[1]?.endsWith('load.ts')) await benchLoad('lists');
