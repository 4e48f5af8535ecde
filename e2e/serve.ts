import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import os from 'node:os';
import path from 'node:path';
import { pino } from 'pino';
import { startCluster } from '../scripts/postgres/cluster.ts';
import { buildWeb, webRoot } from '../scripts/start/build.ts';
import { loadDemo } from '../scripts/start/demo.ts';
import { createApp } from '../server/app.ts';
import { migrate } from '../server/db/migrate.ts';
import { openPool } from '../server/db/pool.ts';

/** The real server on a throwaway database with the demo in it, for browser tests and pictures. */
const port = Number(process.argv[2]);
const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-e2e-'));
const cluster = await startCluster(folder, true);
const db = openPool(cluster.url);
await migrate(db);
await loadDemo(db);
await buildWeb();
const server = createServer(createApp({ db, log: pino({ level: 'silent' }), webRoot }));
server.listen(port, '127.0.0.1');

let stopping = false;
async function stop() {
  if (stopping) return;
  stopping = true;
  server.closeAllConnections();
  server.close();
  await db.end();
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
  process.exit(0);
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
