import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { pino } from 'pino';
import { startCluster } from '../scripts/postgres/cluster.ts';
import { buildWeb, webRoot } from '../scripts/start/build.ts';
import { loadDemo } from '../scripts/start/demo.ts';
import { createApp } from '../server/app.ts';
import { Live } from '../server/db/live.ts';
import { migrate } from '../server/db/migrate.ts';
import { type Db, openPool } from '../server/db/pool.ts';
import { asServer, makeServerRole } from '../server/db/server-role.ts';
import { type Door, networkDoor } from '../server/network/door.ts';
import { copyDatabase } from '../server/testing/open-bench.ts';

/**
 * The real server with the demo in it, for browser tests and pictures, on a throwaway database. Asked for `/fresh`, it
 * gives the address of a server of its own with a database of its own, copied from the demo (`/fresh?empty`: of a Sabor
 * that holds nothing yet); `/fresh?bare` gives the database's address alone. Each of these servers lets days pass when
 * asked for `/pass?days=1`: all moments told so far are that much longer ago.
 */
const port = Number(process.argv[2]);
const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-e2e-'));
const cluster = await startCluster(folder, true);
const admin = openPool(cluster.url);
await admin.query('create database empty');
const empty = openPool(cluster.url.replace(/postgres$/, 'empty'));
await migrate(empty);
await makeServerRole(empty, 'thrown away');
await empty.end();
await admin.query('create database demo template empty');
const template = openPool(cluster.url.replace(/postgres$/, 'demo'));
await loadDemo(template);
await template.end();
await buildWeb();

const pools: Db[] = [];
const servers: Server[] = [];
const doors: Door[] = [];
const lives: Live[] = [];
/** Where the doors to the network of these servers are. */
const DOOR_ADDRESS = '127.0.0.2';
let databases = 0;
/** Copies come one after the other: a template that is being copied cannot be copied. */
let copying: Promise<unknown> = Promise.resolve();

async function freshDatabase(template = 'demo'): Promise<string> {
  const name = `bench_${++databases}`;
  const made = copying.then(() => copyDatabase(admin, name, template));
  copying = made.catch(() => {});
  await made;
  const url = cluster.url.replace(/postgres$/, name);
  // A copy is a Sabor of its own: taps kept for one are not taken by another.
  const db = openPool(url);
  await db.query(`update setting set value = to_jsonb(gen_random_uuid()::text) where key = 'database'`);
  await db.end();
  return url;
}

/** Everything told of wash days so far is so many days longer ago. */
async function letPass(db: Db, days: number): Promise<void> {
  const { rows } = await db.query<{ table: string; column: string; type: string }>(
    `select table_name as table, column_name as column, data_type as type from information_schema.columns
     where table_schema = 'public' and data_type in ('timestamp with time zone', 'date')
       and table_name in ('trial', 'wash_day', 'wash_step', 'step_pause', 'check_in', 'event', 'photograph', 'day_outdoors', 'wash_tap')`,
  );
  for (const { table, column, type } of rows)
    await db.query(
      `set sabor.unrecorded = 'on';
       update ${table} set ${column} = ${column} - ${type === 'date' ? days : `interval '${days} days'`};
       set sabor.unrecorded = 'off'`,
    );
}

async function freshServer(at = 0, template?: string): Promise<string> {
  const owner = openPool(await freshDatabase(template));
  const url = asServer(owner.options.connectionString!, 'thrown away');
  const db = openPool(url);
  pools.push(owner, db);
  const live = new Live(url);
  await live.open();
  lives.push(live);
  // A door of its own on this machine's loop: nobody else comes by it.
  const door = networkDoor({
    folder: path.join(folder, 'network'),
    port: 0,
    addresses: () => [DOOR_ADDRESS],
    answer: (request, response) => app(request, response),
  });
  doors.push(door);
  const app = createApp({
    db,
    live,
    log: pino({ level: 'silent' }),
    webRoot,
    door,
    checkAnswers: process.env.SABOR_UNCHECKED === undefined,
  });
  const server = createServer((request, response) => {
    const days = /^\/pass\?days=(\d+)$/.exec(request.url ?? '')?.[1];
    const answer = days
      ? letPass(owner, Number(days))
      : at !== 0 && request.url?.startsWith('/fresh')
        ? request.url === '/fresh?bare'
          ? freshDatabase()
          : freshServer(0, request.url === '/fresh?empty' ? 'empty' : 'demo')
        : null;
    if (!answer) return app(request, response);
    answer.then(
      (address) => response.end(address ?? 'passed'),
      (error: Error) => response.writeHead(500).end(error.message),
    );
  });
  // A test that asks again after five seconds must not meet a connection that is just being closed.
  server.keepAliveTimeout = 120_000;
  servers.push(server);
  await new Promise<void>((resolve) => server.listen(at, '127.0.0.1', resolve));
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
}

await freshServer(port);

let stopping = false;
async function stop() {
  if (stopping) return;
  stopping = true;
  for (const server of servers) {
    server.closeAllConnections();
    server.close();
  }
  await Promise.all([...doors, ...lives].map((one) => one.close()));
  await Promise.all([admin, ...pools].map((pool) => pool.end()));
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
  process.exit(0);
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
