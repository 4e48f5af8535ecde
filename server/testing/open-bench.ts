import type { RequestListener } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Problem } from '@sabor/contract/problem';
import type { Express } from 'express';
import { pino } from 'pino';
import { v7 } from 'uuid';
import { createApp } from '../app.ts';
import { migrate } from '../db/migrate.ts';
import { type Db, openPool } from '../db/pool.ts';
import { asServer, makeServerRole } from '../db/server-role.ts';
import type { Door } from '../network/door.ts';

/** What the server is known by in clusters that are thrown away. */
const SERVER_PASSWORD = 'thrown away';

export interface Answer<T> {
  status: number;
  body: T;
  headers: Headers;
}

/** A Sabor of its own: a fresh database behind the real application on a free port. */
export interface TestBench {
  /** The database, as its owner. */
  db: Db;
  /** The application’s own connections to it. */
  own: Db;
  url: string;
  /** The whole application, for what has to know all of its routes. */
  app: Express;
  ask: <T = Problem>(
    method: string,
    path: string,
    body?: unknown,
    headers?: Record<string, string>,
  ) => Promise<Answer<T>>;
  close: () => Promise<void>;
}

/**
 * Copies a database nobody is connected to, file by file where PostgreSQL can be asked to (from 15 on; before it did nothing
 * else): half the work of putting every page on record first, which only matters where a crash must lose nothing.
 */
export async function copyDatabase(admin: Db, name: string, template: string): Promise<void> {
  const { rows } = await admin.query<{ version: number }>(
    `select current_setting('server_version_num')::int as version`,
  );
  const byFile = rows[0]!.version >= 150_000 ? ' strategy file_copy' : '';
  await admin.query(`create database ${name} template ${template}${byFile}`);
}

/** A pool on a new database of the cluster at `databaseUrl`: empty, or a copy of `template`, where nobody is connected. */
export async function freshDatabase(databaseUrl: string, template?: string): Promise<Db> {
  const server = new URL(databaseUrl);
  const name = `test_${v7().replaceAll('-', '')}`;
  const admin = openPool(server.href);
  await (template ? copyDatabase(admin, name, template) : admin.query(`create database ${name}`));
  await admin.end();
  server.pathname = `/${name}`;
  return openPool(server.href);
}

/** Leaves a database, so that it can be copied from; gives its name. */
export async function leave(db: Db): Promise<string> {
  const { rows } = await db.query<{ name: string }>('select current_database() as name');
  await db.end();
  return rows[0]!.name;
}

/** Makes a database with the newest schema in the cluster at `databaseUrl`, to be copied from; gives its name. */
export async function makeTemplate(databaseUrl: string): Promise<string> {
  const db = await freshDatabase(databaseUrl);
  await migrate(db);
  await makeServerRole(db, SERVER_PASSWORD);
  return leave(db);
}

/**
 * A Sabor of its own on a fresh database of the cluster at `databaseUrl`: a copy of `template`, or one brought up to the
 * newest schema by every migration.
 */
export async function openBenchOn(
  databaseUrl: string,
  webRoot: string | null = null,
  template?: string,
  doorFor?: (answer: RequestListener) => Door,
): Promise<TestBench> {
  const db = await freshDatabase(databaseUrl, template);
  if (!template) {
    await migrate(db);
    await makeServerRole(db, SERVER_PASSWORD);
  }
  // The application works with the rights it has in earnest; what a test does to its database it does as its owner.
  const asItself = openPool(asServer(db.options.connectionString!, SERVER_PASSWORD));
  const door = doorFor?.((request, response) => app(request, response));
  const app: Express = createApp({
    db: asItself,
    log: pino({ level: 'silent' }),
    webRoot,
    ...(door ? { door } : {}),
    checkAnswers: true,
  });
  const listening = app.listen(0, '127.0.0.1');
  // A test that is busy with something else for five seconds must not meet a connection that is just being closed.
  listening.keepAliveTimeout = 120_000;
  await new Promise((resolve) => listening.once('listening', resolve));
  const url = `http://127.0.0.1:${(listening.address() as AddressInfo).port}`;
  return {
    db,
    own: asItself,
    url,
    app,
    ask: async <T>(method: string, path: string, body?: unknown, headers: Record<string, string> = {}) => {
      const response = await fetch(`${url}${path}`, {
        method,
        headers: { ...(body === undefined ? {} : { 'Content-Type': 'application/json' }), ...headers },
        ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
      });
      const text = await response.text();
      const json = response.headers.get('content-type')?.includes('json');
      return {
        status: response.status,
        body: (json ? JSON.parse(text) : text) as T,
        headers: response.headers,
      };
    },
    close: async () => {
      await door?.close();
      const closed = new Promise((resolve) => listening.close(resolve));
      // What a test broke off is not waited for as long as a kept connection would be.
      const late = setTimeout(() => listening.closeAllConnections(), 5000);
      await closed;
      clearTimeout(late);
      await asItself.end();
      await db.end();
    },
  };
}
