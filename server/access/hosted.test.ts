import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { hostedFromEnvironment } from '../../scripts/start/hosted.ts';
import { createApp } from '../app.ts';
import { Live } from '../db/live.ts';
import type { Db } from '../db/pool.ts';
import { freshDatabase } from '../testing/open-bench.ts';
import { sampleWashDay } from '../testing/samples.ts';
import { behindProxy, originProblem } from './hosted.ts';
import { invite, savePerson } from './people.ts';

const ORIGIN = 'https://sabor.example';
let db: Db;
/** Two processes on one database would be these two servers. */
const servers: Server[] = [];
const lives: Live[] = [];
beforeAll(async () => {
  db = await freshDatabase(inject('databaseUrl'), inject('template'));
  for (let i = 0; i < 2; i++) {
    const live = new Live(db.options.connectionString!);
    await live.open();
    lives.push(live);
    const app = createApp({
      db,
      live,
      log: pino({ level: 'silent' }),
      webRoot: null,
      hosted: { origin: ORIGIN, proxies: 'loopback' },
      checkAnswers: true,
    });
    const server = createServer(behindProxy(ORIGIN, app));
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    servers.push(server);
  }
});
afterAll(async () => {
  for (const live of lives) await live.close();
  for (const server of servers) await new Promise((resolve) => server.close(resolve));
  await db.end();
});

/** What a proxy passes on to one of the two, for somebody at `from`. */
const ask = (
  at: 0 | 1,
  method: string,
  path: string,
  {
    body,
    headers = {},
    from = '203.0.113.5',
  }: { body?: unknown; headers?: Record<string, string>; from?: string } = {},
) =>
  new Promise<{ status: number; headers: Record<string, string | string[] | undefined>; text: string }>(
    (resolve, reject) => {
      const said = body === undefined ? '' : JSON.stringify(body);
      const going = request(
        {
          host: '127.0.0.1',
          port: (servers[at]!.address() as AddressInfo).port,
          method,
          path,
          headers: {
            host: 'sabor.example',
            'x-forwarded-for': from,
            ...(method === 'GET' ? {} : { origin: ORIGIN }),
            ...(said
              ? { 'content-type': 'application/json', 'content-length': Buffer.byteLength(said) }
              : {}),
            ...headers,
          },
        },
        (answer) => {
          let text = '';
          answer.on('data', (part) => (text += part));
          answer.once('end', () => resolve({ status: answer.statusCode!, headers: answer.headers, text }));
        },
      );
      going.once('error', reject);
      going.end(said);
    },
  );
const codeFor = async (name: string) => {
  const id = v7();
  await savePerson(db, { id, name, role: 'tester', wearerId: null });
  return (await invite(db, id, [ORIGIN])).code;
};

describe('behind a proxy', () => {
  it('everybody signs in, this machine too, and only by the name people open', async () => {
    expect((await ask(0, 'GET', '/api/trials')).status).toBe(401);
    for (const host of ['127.0.0.1', 'localhost', 'other.example', 'sabor.example.evil.example'])
      expect((await ask(0, 'GET', '/api/trials', { headers: { host } })).status).toBe(403);
    expect((await ask(0, 'GET', '/api/access')).status).toBe(401);
    const { headers } = await ask(0, 'GET', '/api/me');
    expect(headers['strict-transport-security']).toBe('max-age=31536000');
  });

  it('two servers on one database know the same people, and count tries together', async () => {
    const code = await codeFor('Noor');
    const said = { code, device: v7(), called: 'Phone' };
    const signed = await ask(0, 'POST', '/api/sign-in', { body: said });
    expect(signed.status).toBe(200);
    const cookie = (signed.headers['set-cookie'] as string[])[0]!.split(';')[0]!;
    for (const at of [0, 1] as const)
      expect((await ask(at, 'GET', '/api/trials', { headers: { cookie } })).status).toBe(200);
    // What one wrote the other reads.
    const line = v7();
    const put = await ask(0, 'PUT', `/api/lines/${line}`, {
      body: { name: 'Tidewrack' },
      headers: { cookie },
    });
    expect(put.status).toBe(204);
    expect((await ask(1, 'GET', '/api/shelf', { headers: { cookie } })).text).toContain('Tidewrack');
    await db.query('delete from sign_in_try');
    const wrong = { ...said, code: '0000000000' };
    for (let i = 0; i < 10; i++)
      expect((await ask((i % 2) as 0 | 1, 'POST', '/api/sign-in', { body: wrong })).status).toBe(403);
    expect((await ask(0, 'POST', '/api/sign-in', { body: wrong })).status).toBe(429);
    expect((await ask(1, 'POST', '/api/sign-in', { body: wrong })).status).toBe(429);
    // Somebody elsewhere is not shut out by it; a proxy's word is taken, nobody else's.
    const elsewhere = await ask(1, 'POST', '/api/sign-in', { body: wrong, from: '203.0.113.77' });
    expect(elsewhere.status).toBe(403);
    expect((await ask(0, 'POST', '/api/sign-out', { headers: { cookie } })).status).toBe(204);
    expect((await ask(1, 'GET', '/api/trials', { headers: { cookie } })).status).toBe(401);
  });

  it('what one of two processes is told, a screen that follows it at the other hears at once', async () => {
    await db.query('delete from sign_in_try');
    const signed = await ask(0, 'POST', '/api/sign-in', {
      body: { code: await codeFor('Follower'), device: v7(), called: 'A phone' },
    });
    const cookie = [signed.headers['set-cookie']].flat()[0]!.split(';')[0]!;
    const say = (at: 0 | 1, method: string, path: string, body?: unknown) =>
      ask(at, method, `/api${path}`, { body, headers: { cookie } });
    // The bench of samples, through one of the two.
    const { day } = await sampleWashDay({
      ask: async (method: string, path: string, body?: unknown) => {
        const { status, text } = await ask(0, method, path, { body, headers: { cookie } });
        return { status, body: JSON.parse(text) };
      },
    } as never);
    const pulseAt = async (at: 0 | 1, since = '') =>
      JSON.parse((await say(at, 'GET', `/wash-days/${day.id}/pulse${since}`)).text);
    const { pulse, waited } = await pulseAt(1);
    expect(waited).toBe(false);
    const following = pulseAt(1, `?since=${encodeURIComponent(pulse)}`);
    const began = Date.now();
    await say(0, 'PATCH', `/wash-days/${day.id}`, { note: 'told to the first' });
    const heard = await following;
    expect(heard).toMatchObject({ waited: true });
    expect(heard.pulse).not.toBe(pulse);
    expect(Date.now() - began).toBeLessThan(20_000);
    // Who knows an older state is answered without waiting.
    expect((await pulseAt(0, `?since=${encodeURIComponent(pulse)}`)).pulse).toBe(heard.pulse);
    expect((await say(1, 'GET', `/wash-days/${v7()}/pulse?since=1`)).status).toBe(404);
  });

  it('no header makes somebody the laptop', async () => {
    for (const headers of [
      { 'x-forwarded-host': '127.0.0.1' },
      { forwarded: 'for=127.0.0.1;host=localhost' },
      { 'x-real-ip': '127.0.0.1' },
      { 'x-forwarded-proto': 'http' },
    ])
      expect((await ask(0, 'GET', '/api/access', { headers })).status).toBe(401);
  });
});

describe('the environment', () => {
  it('puts no Sabor open on a network', () => {
    expect(hostedFromEnvironment({})).toEqual({ listen: '127.0.0.1', hosted: null });
    for (const SABOR_LISTEN of ['0.0.0.0', '::', '192.168.1.5'])
      expect(() => hostedFromEnvironment({ SABOR_LISTEN })).toThrow(/could read and change everything/);
    expect(hostedFromEnvironment({ SABOR_ORIGIN: ORIGIN, SABOR_LISTEN: '0.0.0.0' })).toEqual({
      listen: '0.0.0.0',
      hosted: { origin: ORIGIN, proxies: 'loopback' },
    });
  });

  it('takes an address that people can open, written plainly', () => {
    expect(originProblem(ORIGIN)).toBeNull();
    expect(originProblem('https://sabor.example:8443')).toBeNull();
    expect(originProblem('http://sabor.example')).toMatch(/https/);
    expect(originProblem('https://sabor.example/')).toMatch(/^Write it as https:\/\/sabor\.example,/);
    expect(originProblem('https://Sabor.example/bench')).toMatch(/^Write it as https:\/\/sabor\.example,/);
    expect(originProblem('sabor')).toBe('It is no address.');
    expect(() => hostedFromEnvironment({ SABOR_ORIGIN: 'http://sabor.example' })).toThrow(
      /not the address people open/,
    );
  });
});
