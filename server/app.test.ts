import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from './testing/bench.ts';

let bench: TestBench;
let webRoot: string;
beforeAll(async () => {
  webRoot = mkdtempSync(path.join(os.tmpdir(), 'sabor-web-'));
  mkdirSync(path.join(webRoot, 'assets'));
  writeFileSync(
    path.join(webRoot, 'index.html'),
    '<meta property="csp-nonce" nonce="__SABOR_NONCE__"><p>page</p>',
  );
  for (const name of ['a-1.js', 'lost-1.js', 'photo.worker-B_1-x.js', 'board.worker-1.js'])
    writeFileSync(path.join(webRoot, 'assets', name), 'export {}');
  bench = await openBench(webRoot);
});
afterAll(async () => {
  await bench.close();
  rmSync(webRoot, { recursive: true, force: true });
});

/** Status of a request with headers of its own, which fetch does not allow. */
function statusWith(headers: Record<string, string>, path = '/api/shelf'): Promise<number> {
  const { port } = new URL(bench.url);
  return new Promise((resolve, reject) => {
    const asked = request({ host: '127.0.0.1', port, path, headers }, (response) => {
      response.resume();
      resolve(response.statusCode ?? 0);
    });
    asked.on('error', reject);
    asked.end();
  });
}

describe('the server', () => {
  it('says it is well after asking the database', async () => {
    expect(await bench.ask('GET', '/healthz')).toMatchObject({ status: 200, body: { status: 'ok' } });
  });

  it('lets nothing from elsewhere into its pages', async () => {
    const { headers, body } = await bench.ask<string>('GET', '/trials/anything');
    const policy = headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toMatch(/unsafe|https?:|\*/);
    const nonce = /'nonce-([^']+)'/.exec(policy)?.[1];
    expect(body).toContain(`nonce="${nonce}"`);
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('x-powered-by')).toBeNull();
  });

  it('lets the worker that reads pictures alone compile WebAssembly', async () => {
    const policyOf = async (path: string) =>
      (await bench.ask('GET', path)).headers.get('content-security-policy');
    const own = await policyOf('/assets/photo.worker-B_1-x.js');
    expect(own).toContain("script-src 'self' 'wasm-unsafe-eval';");
    expect(own).toContain("default-src 'none'");
    for (const path of ['/', '/assets/a-1.js', '/assets/board.worker-1.js', '/assets/photo.worker-none.js'])
      expect(await policyOf(path)).not.toContain('wasm');
  });

  it('gives each page a nonce of its own, and keeps hashed assets for a year', async () => {
    const nonce = async () => (await bench.ask<string>('GET', '/')).headers.get('content-security-policy');
    expect(await nonce()).not.toBe(await nonce());
    expect((await bench.ask('GET', '/assets/a-1.js')).headers.get('cache-control')).toContain('immutable');
    expect((await bench.ask('GET', '/assets/none.js')).status).toBe(404);
  });

  it('outlives a file that a newer build took away', async () => {
    rmSync(path.join(webRoot, 'assets', 'lost-1.js'));
    await expect(bench.ask('GET', '/assets/lost-1.js')).rejects.toThrow();
    expect((await bench.ask('GET', '/assets/a-1.js')).status).toBe(200);
  });

  it('answers only to this machine’s own names', async () => {
    expect(await statusWith({ host: 'evil.example' })).toBe(403);
    expect(await statusWith({ host: 'evil.example:4870' })).toBe(403);
    expect(await statusWith({ host: `localhost:${new URL(bench.url).port}` })).toBe(200);
  });

  it('takes changes only from its own pages', async () => {
    const settings = { volume: 'ml', length: 'mm', temperature: 'c', currency: 'EUR' };
    expect(
      (await bench.ask('PATCH', '/api/settings', settings, { origin: 'http://elsewhere.example' })).status,
    ).toBe(403);
    expect((await bench.ask('PATCH', '/api/settings', settings, { origin: bench.url })).status).toBe(200);
  });

  it('gives other sites’ pages nothing, downloads included; a link of theirs may open a page', async () => {
    const from = (site: string, mode: string, path: string) =>
      statusWith({ 'sec-fetch-site': site, 'sec-fetch-mode': mode }, path);
    for (const site of ['cross-site', 'same-site']) {
      expect(await from(site, 'no-cors', '/api/shelf.csv')).toBe(403);
      expect(await from(site, 'navigate', '/api/backup.zip')).toBe(403);
      expect(await from(site, 'navigate', '/trials')).toBe(200);
    }
    expect(await from('same-origin', 'cors', '/api/shelf')).toBe(200);
    expect(await from('none', 'navigate', '/api/shelf.csv')).toBe(200);
  });

  it('answers errors as problem details', async () => {
    const { status, headers, body } = await bench.ask('GET', '/api/nothing/here');
    expect(status).toBe(404);
    expect(headers.get('content-type')).toContain('application/problem+json');
    expect(body).toMatchObject({ status: 404, title: 'Not found' });
    expect((await bench.ask('PATCH', '/api/settings', '{"volume":')).body.detail).toBe(
      'This is not JSON that Sabor can read.',
    );
  });

  it('limits what it reads', async () => {
    const { status, body } = await bench.ask('PATCH', '/api/settings', { currency: 'x'.repeat(2_000_000) });
    expect(status).toBe(413);
    expect(body.detail).toContain('more than Sabor takes at once');
  });

  it('says so when the database is gone, without a stack trace', async () => {
    const lost = await openBench();
    await lost.own.end();
    const { status, body } = await lost.ask('GET', '/api/shelf');
    expect(status).toBe(500);
    expect(body.detail).toBe('Sabor could not do this. What you typed is still here; try again.');
    expect((await lost.ask('GET', '/healthz')).status).toBe(503);
    await lost.close().catch(() => {});
  });
});
