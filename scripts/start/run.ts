import { randomBytes } from 'node:crypto';
import { mkdirSync, rmSync } from 'node:fs';
import { createServer, get, type RequestListener, type Server } from 'node:http';
import os from 'node:os';
import path from 'node:path';
import { pino } from 'pino';
import { behindProxy } from '../../server/access/hosted.ts';
import { isOpen } from '../../server/access/people.ts';
import { createApp } from '../../server/app.ts';
import { Live } from '../../server/db/live.ts';
import { type Db, openPool } from '../../server/db/pool.ts';
import { asServer, grantServer, makeServerRole } from '../../server/db/server-role.ts';
import { networkDoor } from '../../server/network/door.ts';
import { isEmpty } from '../../server/resources/backup/load.ts';
import { Nightly } from '../../server/resources/backup/nightly.ts';
import { readDemoState, saveDemoState } from '../../server/resources/settings/store.ts';
import { readStations } from '../../server/resources/weather/store.ts';
import { root } from '../install.mjs';
import { ensurePostgres } from '../postgres/binaries.ts';
import { type Cluster, startCluster } from '../postgres/cluster.ts';
import { Stop, stage, tellNoMore } from '../stages.mjs';
import { buildWeb, webRoot } from './build.ts';
import { dataFolder, lockFolder } from './data-folder.ts';
import { loadDemo, resetToDemo } from './demo.ts';
import { hostedFromEnvironment } from './hosted.ts';
import { upgradePostgres, upgradeSchema } from './upgrade.ts';

const DEFAULT_PORT = 4870;
const USAGE = 'npm start [-- --empty]   ·   npm run dev   ·   npm run demo:reset';

interface Options {
  empty: boolean;
  dev: boolean;
  demoReset: boolean;
}

function options(args: string[]): Options {
  const unknown = args.find((arg) => !['--empty', '--dev', '--demo-reset'].includes(arg));
  if (unknown) throw new Stop(`Sabor does not know ${unknown}.`, USAGE);
  return {
    empty: args.includes('--empty'),
    dev: args.includes('--dev'),
    demoReset: args.includes('--demo-reset'),
  };
}

function portFromEnvironment(name: string, usual: number): number {
  const text = process.env[name] ?? String(usual);
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(
      `${name}=${text} is not a port.`,
      `Give a number from 1 to 65535:  ${name}=5000 npm start`,
    );
  return port;
}

/** Whether it is a Sabor that answers on this port. */
function isSabor(port: number): Promise<boolean> {
  return new Promise((resolve) => {
    const asking = get({ host: '127.0.0.1', port, path: '/healthz', timeout: 2_000 }, (answer) => {
      let text = '';
      answer.on('data', (chunk) => (text += chunk));
      answer.once('end', () => resolve(text.includes('Sabor')));
    });
    asking.once('timeout', () => asking.destroy());
    asking.once('error', () => resolve(false));
    asking.once('close', () => resolve(false));
  });
}

async function listen(server: Server, port: number, address: string): Promise<void> {
  try {
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject);
      server.listen(port, address, resolve);
    });
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    const another = `PORT=${port + 1} SABOR_DATA=<folder> npm start`;
    if (code === 'EADDRINUSE')
      throw (await isSabor(port))
        ? new Stop(
            `A Sabor is already running on port ${port}:  http://127.0.0.1:${port}`,
            `Use that one, or start a second with its own port and folder:  ${another}`,
          )
        : new Stop(
            `Port ${port} is taken by another program.`,
            `Choose another:  PORT=${port + 1} npm start`,
          );
    if (code === 'EACCES')
      throw new Stop(
        `Port ${port} needs rights this user does not have.`,
        'Choose one over 1023:  PORT=4870 npm start',
      );
    throw error;
  }
}

/** What is done when Sabor stops, last begun first; each at most once. */
class Closing {
  private steps: { name: string; close: () => unknown }[] = [];
  private begun = false;

  add(name: string, close: () => unknown): void {
    this.steps.unshift({ name, close });
  }

  async run(): Promise<void> {
    if (this.begun) return;
    this.begun = true;
    for (const { name, close } of this.steps)
      try {
        await close();
      } catch (error) {
        console.error(`  ✗ ${name}: ${(error as Error).message}`);
      }
  }
}

async function demoData(db: Db, { empty, demoReset }: Options, folder: string | null): Promise<string> {
  if (demoReset) {
    const kept = await resetToDemo(db, folder ? path.join(folder, 'before-demo-reset') : null);
    return kept ? `restored; what was there is kept in ${kept}` : 'restored';
  }
  if (!(await isEmpty(db))) return empty ? 'this folder already holds data, which is kept' : 'data kept';
  const state = await readDemoState(db);
  if (empty) {
    await saveDemoState(db, 'declined');
    return 'left out, begins empty';
  }
  if (state === 'declined') return 'left out, as chosen before';
  await loadDemo(db);
  return 'loaded';
}

/**
 * The address by which the server works with its database: in Sabor's own cluster as a role that cannot change what is on
 * record. With a database of somebody's own it is the one that was given, with the rights it needs where its owner is named too.
 */
async function notAsOwner(owner: Db, url: string, isOwn: boolean): Promise<string> {
  if (isOwn) {
    const password = randomBytes(24).toString('hex');
    await makeServerRole(owner, password);
    return asServer(url, password);
  }
  const { username } = new URL(url);
  if (process.env.SABOR_OWNER_URL && username) await grantServer(owner, decodeURIComponent(username));
  return url;
}

async function begin(chosen: Options, closing: Closing): Promise<void> {
  const port = portFromEnvironment('PORT', DEFAULT_PORT);
  const folder = process.env.DATABASE_URL ? null : dataFolder();
  let url = process.env.DATABASE_URL ?? '';
  let answer: RequestListener = (_request, response) =>
    void response.writeHead(503).end('Sabor is starting.');
  const { listen: address, hosted } = hostedFromEnvironment();
  const asAsked: RequestListener = (request, response) => answer(request, response);
  const server = createServer(hosted ? behindProxy(hosted.origin, asAsked) : asAsked);
  if (!chosen.demoReset)
    await stage('Address', async () => {
      await listen(server, port, address);
      return `${address}:${port}${hosted ? `, for ${hosted.origin}` : ''}`;
    });
  if (folder) {
    await stage('PostgreSQL', () => ensurePostgres());
    await stage('Database', async () => {
      closing.add('lock', lockFolder(folder));
      const moved = await upgradePostgres(folder);
      const cluster: Cluster = await startCluster(folder);
      closing.add('database', () => cluster.stop());
      url = cluster.url;
      return `running, data in ${folder}${moved ? `; ${moved}` : ''}`;
    });
  }
  const owner = openPool(process.env.SABOR_OWNER_URL ?? url);
  try {
    await stage('Schema', () => upgradeSchema(owner, folder ?? dataFolder()));
    url = await notAsOwner(owner, url, folder !== null);
  } finally {
    await owner.end();
  }
  const db = openPool(url);
  closing.add('connections', () => db.end());
  const live = new Live(url);
  closing.add('changes heard', () => live.close());
  await live.open();
  await stage('Demo scenario', () => demoData(db, chosen, folder));
  if (chosen.demoReset) return;
  if (!chosen.dev) await stage('Web application', buildWeb);
  const log = pino({ level: process.env.SABOR_LOG ?? 'warn' }, pino.destination(2));
  const poll = () => readStations(db, new Date()).catch((error) => log.error(error, 'weather stations'));
  await poll();
  const polling = setInterval(() => void poll(), 10 * 60_000);
  closing.add('weather stations', async () => clearInterval(polling));
  const scratch = folder ? path.join(folder, 'scratch') : os.tmpdir();
  if (folder) {
    // An upload that a kill cut short.
    rmSync(scratch, { recursive: true, force: true });
    mkdirSync(scratch, { mode: 0o700 });
  }
  const nightly = new Nightly(db);
  const nights = setInterval(() => void nightly.ifDue(), 10 * 60_000);
  closing.add('nightly backup', () => clearInterval(nights));
  void nightly.ifDue();
  const door =
    folder && !chosen.dev && !hosted
      ? networkDoor({
          folder: path.join(folder, 'network'),
          port: portFromEnvironment('SABOR_NETWORK_PORT', port + 2),
          answer: (request, response) => answer(request, response),
        })
      : undefined;
  answer = createApp({
    db,
    live,
    log,
    webRoot: chosen.dev ? null : webRoot,
    scratch,
    nightly,
    ...(door ? { door } : {}),
    ...(hosted ? { hosted } : {}),
    checkAnswers: chosen.dev,
  });
  if (door) {
    closing.add('door to the network', () => door.close());
    if (await isOpen(db))
      await stage('Door to the network', async () => {
        await door.open();
        const { addresses, trouble } = await door.state();
        return trouble ?? `open at ${addresses.join(', ')}`;
      });
  }
  closing.add('server', async () => {
    const closed = new Promise((resolve) => server.close(resolve));
    server.closeIdleConnections();
    // Streams never end by themselves; what is being answered has a moment to be.
    setTimeout(() => server.closeAllConnections(), 500).unref();
    await closed;
  });
  if (chosen.dev) {
    const { createServer: createVite } = await import('vite');
    const vite = await createVite({
      root: path.join(root, 'web'),
      server: {
        port: port + 1,
        proxy: {
          '/api': {
            target: `http://127.0.0.1:${port}`,
            headers: { origin: `http://127.0.0.1:${port}` },
            changeOrigin: true,
          },
        },
      },
    });
    await vite.listen();
    closing.add('vite', () => vite.close());
    console.log(`\nSabor is ready, with hot reload:  ${vite.resolvedUrls?.local[0]}\n`);
  } else if (hosted)
    console.log(
      `\nSabor is ready:  ${hosted.origin}\nLet people in:  SABOR_ORIGIN=${hosted.origin} npm run let-in -- NAME\nCtrl-C stops it.\n`,
    );
  else console.log(`\nSabor is ready:  http://127.0.0.1:${port}\nCtrl-C stops it.\n`);
}

/** Everything after the dependencies: database, schema, demo data, web application, server. */
export async function run(args: string[]): Promise<void> {
  const closing = new Closing();
  let stopping = false;
  const stop = async (code: number) => {
    if (stopping) return;
    stopping = true;
    tellNoMore();
    setTimeout(() => process.exit(code || 1), 20_000).unref();
    await closing.run();
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop(0));
  try {
    const chosen = options(args);
    await begin(chosen, closing);
    if (chosen.demoReset) await stop(0);
  } catch (error) {
    // What it stood on is being closed under it; the stop itself ends the process.
    if (stopping) return;
    await closing.run();
    throw error;
  }
}
