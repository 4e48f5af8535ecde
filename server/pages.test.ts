import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, get, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { brotliDecompressSync, gunzipSync } from 'node:zlib';
import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { compressBelow } from '../scripts/start/compress.ts';
import { createApp } from './app.ts';
import { migrate } from './db/migrate.ts';
import type { Db } from './db/pool.ts';
import { freshDatabase } from './testing/open-bench.ts';

const SCRIPT = `console.log(${JSON.stringify('curl '.repeat(500))});`;
const webRoot = mkdtempSync(path.join(os.tmpdir(), 'sabor-pages-'));
let db: Db;
let server: Server;

function ask(
  url: string,
  encodings: string,
  more: Record<string, string> = {},
): Promise<{ answer: IncomingMessage; bytes: Buffer }> {
  const { port } = server.address() as AddressInfo;
  return new Promise((resolve, reject) => {
    get(
      { host: '127.0.0.1', port, path: url, headers: { 'Accept-Encoding': encodings, ...more } },
      (answer) => {
        const pieces: Buffer[] = [];
        answer.on('data', (piece: Buffer) => pieces.push(piece));
        answer.once('end', () => resolve({ answer, bytes: Buffer.concat(pieces) }));
      },
    ).once('error', reject);
  });
}

beforeAll(async () => {
  mkdirSync(path.join(webRoot, 'assets'));
  writeFileSync(
    path.join(webRoot, 'index.html'),
    '<head><title>Sabor</title><meta nonce="__SABOR_NONCE__"></head>',
  );
  writeFileSync(
    path.join(webRoot, 'pages.json'),
    JSON.stringify([{ path: 'trials/:id', asks: ['/trials/:id'], files: ['assets/trial-1.js'] }]),
  );
  writeFileSync(path.join(webRoot, 'assets', 'index-abc123.js'), SCRIPT);
  writeFileSync(path.join(webRoot, 'offline.js'), SCRIPT);
  compressBelow(webRoot);
  db = await freshDatabase(inject('databaseUrl'));
  await migrate(db);
  server = createServer(createApp({ db, log: pino({ level: 'silent' }), webRoot, checkAnswers: true }));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
});
afterAll(async () => {
  server.closeAllConnections();
  server.close();
  await db.end();
  rmSync(webRoot, { recursive: true });
});

describe('the pages', () => {
  it('come packed at build: brotli where it is taken, gzip else, plain for neither', async () => {
    const brotli = await ask('/assets/index-abc123.js', 'gzip, br');
    expect(brotli.answer.headers).toMatchObject({
      'content-encoding': 'br',
      'content-type': expect.stringMatching(/javascript/),
      'cache-control': expect.stringMatching(/max-age=31536000.*immutable/),
      vary: expect.stringMatching(/Accept-Encoding/i),
    });
    expect(brotliDecompressSync(brotli.bytes).toString()).toBe(SCRIPT);
    const gzip = await ask('/assets/index-abc123.js', 'gzip');
    expect(gzip.answer.headers['content-encoding']).toBe('gzip');
    expect(gunzipSync(gzip.bytes).toString()).toBe(SCRIPT);
    const plain = await ask('/assets/index-abc123.js', 'identity');
    expect(plain.answer.headers['content-encoding']).toBeUndefined();
    expect(plain.bytes.toString()).toBe(SCRIPT);
  });

  it('are asked for anew where their names do not change', async () => {
    const { answer } = await ask('/offline.js', 'br');
    expect(answer.headers['cache-control']).toMatch(/max-age=0|no-cache/);
    const page = await ask('/trials/some', 'identity');
    expect(page.answer.headers['cache-control']).toBe('no-store');
    expect(page.bytes.toString()).toMatch(/nonce="[\w+/=]{20,}"/);
  });

  it('name the files of their screen where somebody opens them, and not where they are kept for later', async () => {
    const opened = await ask('/trials/some', 'identity', { 'Sec-Fetch-Dest': 'document' });
    expect(opened.bytes.toString()).toContain(
      '<link rel="modulepreload" crossorigin href="/assets/trial-1.js"><link rel="preload" as="fetch" crossorigin href="/api/trials/some"></head>',
    );
    // By way of the worker that keeps pages.
    const beside = await ask('/trials/some', 'identity', {
      'Sec-Fetch-Dest': 'empty',
      'Sabor-Opened': 'yes',
    });
    expect(beside.bytes.toString()).toContain('href="/assets/trial-1.js"');
    const kept = await ask('/trials/some', 'identity', { 'Sec-Fetch-Dest': 'empty' });
    expect(kept.bytes.toString()).not.toContain('preload');
  });

  it.each([
    '/assets/gone.js',
    '/assets/../../package.json',
    '/assets/%2e%2e/%2e%2e/app.ts',
    '/assets/.hidden',
  ])('are no door to other files: %s', async (url) => {
    const { answer, bytes } = await ask(url, 'identity');
    expect(answer.statusCode === 404 || bytes.toString().includes('<title>Sabor</title>')).toBe(true);
    expect(bytes.toString()).not.toContain('createApp');
  });
});

describe('answers', () => {
  it('are packed where they are long, and left alone where they are short', async () => {
    for (let i = 0; i < 80; i++)
      await db.query('insert into line (id, name, note) values (gen_random_uuid(), $1, $2)', [
        `Line ${i}`,
        'made up '.repeat(10),
      ]);
    const long = await ask('/api/shelf', 'gzip, br');
    expect(long.answer.headers['content-encoding']).toBe('br');
    expect(JSON.parse(brotliDecompressSync(long.bytes).toString()).lines).toHaveLength(80);
    const short = await ask('/api/settings', 'gzip, br');
    expect(short.answer.headers['content-encoding']).toBeUndefined();
  });

  it('that are files and streams are not', async () => {
    const zip = await ask('/api/backup.zip', 'gzip, br');
    expect(zip.answer.headers['content-encoding']).toBeUndefined();
    expect(zip.bytes.subarray(0, 2).toString()).toBe('PK');
  });
});
