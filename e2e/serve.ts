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
import { migrate } from '../server/db/migrate.ts';
import { type Db, openPool } from '../server/db/pool.ts';

/**
 * The real server with the demo in it, for browser tests and pictures, on a throwaway database. Asked for `/fresh`, it
 * gives the address of a server of its own with a database of its own, copied from the demo; `/fresh?bare` gives the
 * database's address alone.
 */
const port = Number(process.argv[2]);
const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-e2e-'));
const cluster = await startCluster(folder, true);
const admin = openPool(cluster.url);
await admin.query('create database demo');
const template = openPool(cluster.url.replace(/postgres$/, 'demo'));
await migrate(template);
await loadDemo(template);
await template.end();
await buildWeb();

const pools: Db[] = [];
const servers: Server[] = [];
let databases = 0;
/** Copies come one after the other: a template that is being copied cannot be copied. */
let copying: Promise<unknown> = Promise.resolve();

async function freshDatabase(): Promise<string> {
  const name = `bench_${++databases}`;
  const made = copying.then(() => admin.query(`create database ${name} template demo`));
  copying = made.catch(() => {});
  await made;
  const url = cluster.url.replace(/postgres$/, name);
  // A copy is a Sabor of its own: taps kept for one are not taken by another.
  const db = openPool(url);
  await db.query(`update setting set value = to_jsonb(gen_random_uuid()::text) where key = 'database'`);
  await db.end();
  return url;
}

async function freshServer(at = 0): Promise<string> {
  const db = openPool(await freshDatabase());
  pools.push(db);
  const app = createApp({
    db,
    log: pino({ level: 'silent' }),
    webRoot,
    checkAnswers: process.env.SABOR_UNCHECKED === undefined,
  });
  const server = createServer((request, response) => {
    if (at === 0 || !request.url?.startsWith('/fresh')) return app(request, response);
    (request.url === '/fresh?bare' ? freshDatabase() : freshServer()).then(
      (address) => response.end(address),
      (error: Error) => response.writeHead(500).end(error.message),
    );
  });
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
  await Promise.all([admin, ...pools].map((pool) => pool.end()));
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
  process.exit(0);
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
