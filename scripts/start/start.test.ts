import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { createServer } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { invite, savePerson } from '../../server/access/people.ts';
import { openPool } from '../../server/db/pool.ts';
import { makeOlder } from '../../server/testing/older-schema.ts';
import { sampleWashDay } from '../../server/testing/samples.ts';
import { unzipped } from '../../server/testing/zips.ts';
import { root } from '../install.mjs';
import { binaries, owner } from '../postgres/binaries.ts';
import { freePort, startCluster } from '../postgres/cluster.ts';

const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-start-'));
let port = 0;

interface Run {
  child: ChildProcess;
  said: () => string;
  exit: Promise<number | null>;
}

function start(args: string[] = [], env: Record<string, string> = {}): Run {
  const child = spawn(process.execPath, ['scripts/start.mjs', ...args], {
    cwd: root,
    env: { ...process.env, SABOR_DATA: folder, PORT: String(port), DATABASE_URL: '', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  for (const stream of [child.stdout!, child.stderr!]) stream.on('data', (text) => (said += text));
  return { child, said: () => said, exit: new Promise((resolve) => child.once('exit', resolve)) };
}

async function ready(run: Run): Promise<void> {
  for (let wait = 0; wait < 600; wait++) {
    if (run.said().includes('Sabor is ready')) return;
    if (run.child.exitCode !== null) break;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(run.said());
}

const api = async <T>(route: string, init?: RequestInit) =>
  (await (await fetch(`http://127.0.0.1:${port}/api${route}`, init)).json()) as T;
const clusterRuns = () =>
  spawnSync(path.join(binaries(), 'pg_ctl'), ['status', '-D', path.join(folder, 'postgres', 'data')], {
    cwd: '/',
    ...owner(),
  }).status === 0;
const addLine = (name: string) =>
  fetch(`http://127.0.0.1:${port}/api/lines/0192d5a0-0000-7000-8000-00000000000${name.length}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ name }),
  });
const lines = async () => (await api<{ lines: { name: string }[] }>('/shelf')).lines.map(({ name }) => name);

beforeAll(async () => {
  port = await freePort();
});
afterAll(() => {
  if (clusterRuns())
    spawnSync(
      path.join(binaries(), 'pg_ctl'),
      ['stop', '-m', 'immediate', '-D', path.join(folder, 'postgres', 'data')],
      { cwd: '/', ...owner() },
    );
  rmSync(folder, { recursive: true, force: true });
});

describe('npm start', () => {
  it('stops at once on Ctrl-C while it loads, says nothing of a failure, and leaves nothing half', {
    tags: 'soak',
  }, async () => {
    const run = start();
    for (let wait = 0; wait < 600 && !run.said().includes('✓ Schema'); wait++)
      await new Promise((resolve) => setTimeout(resolve, 100));
    expect(run.said()).not.toContain('✓ Demo scenario');
    run.child.kill('SIGINT');
    expect(await run.exit).toBe(0);
    expect(run.said()).not.toMatch(/✗|Error|calling end/);
    expect(clusterRuns()).toBe(false);
  });

  it('names its stages, loads the demo into an empty folder, and stops cleanly on Ctrl-C', async () => {
    const run = start();
    await ready(run);
    for (const stage of [
      'Dependencies',
      'Address',
      'PostgreSQL',
      'Database',
      'Schema',
      'Demo scenario',
      'Web application',
    ])
      expect(run.said()).toContain(`✓ ${stage}`);
    expect(await lines()).toHaveLength(3);
    expect((await addLine('Mine')).status).toBe(204);

    // Meanwhile another says who has the folder, or folder and port.
    const second = start([], { PORT: String(await freePort()) });
    const same = start();
    expect(await second.exit).toBe(1);
    expect(second.said()).toContain('Another Sabor');
    expect(await same.exit).toBe(1);
    expect(same.said()).toContain(`A Sabor is already running on port ${port}:  http://127.0.0.1:${port}`);

    run.child.kill('SIGINT');
    expect(await run.exit).toBe(0);
    expect(clusterRuns()).toBe(false);
    expect(existsSync(path.join(folder, 'sabor.pid'))).toBe(false);
  });

  const postmaster = () =>
    Number(readFileSync(path.join(folder, 'postgres', 'data', 'postmaster.pid'), 'utf8').split('\n')[0]);

  it('keeps what was entered, through a kill -9 of server and database', async () => {
    const first = start();
    await ready(first);
    expect(await lines()).toContain('Mine');
    expect((await addLine('Later')).status).toBe(204);
    const database = postmaster();
    first.child.kill('SIGKILL');
    process.kill(database, 'SIGKILL');
    await first.exit;
    const second = start();
    await ready(second);
    expect(await lines()).toEqual(expect.arrayContaining(['Mine', 'Later']));
    second.child.kill('SIGTERM');
    expect(await second.exit).toBe(0);
    expect(clusterRuns()).toBe(false);
  });

  it('takes over a database that outlived its server', { tags: 'soak' }, async () => {
    const first = start();
    await ready(first);
    expect((await addLine('Kept')).status).toBe(204);
    first.child.kill('SIGKILL');
    await first.exit;
    expect(clusterRuns()).toBe(true);
    const second = start();
    await ready(second);
    expect(await lines()).toContain('Kept');
    second.child.kill('SIGTERM');
    expect(await second.exit).toBe(0);
    expect(clusterRuns()).toBe(false);
  });

  it('says who has the port, and the way out', async () => {
    const other = createServer((socket) => socket.destroy());
    await new Promise<void>((resolve) => other.listen(port, '127.0.0.1', resolve));
    const taken = start();
    expect(await taken.exit).toBe(1);
    expect(taken.said()).toContain(`Port ${port} is taken by another program.`);
    expect(taken.said()).toContain(`PORT=${port + 1} npm start`);
    await new Promise((resolve) => other.close(resolve));
  });

  it('stops at once with a stream open, and takes over a lock that names a process of another time', {
    tags: 'soak',
  }, async () => {
    writeFileSync(path.join(folder, 'sabor.pid'), `${process.pid} 1`);
    const run = start();
    await ready(run);
    const stream = await fetch(`http://127.0.0.1:${port}/api/scale/stream`);
    const reader = stream.body!.getReader();
    await reader.read();
    const began = Date.now();
    run.child.kill('SIGINT');
    expect(await run.exit).toBe(0);
    expect(Date.now() - began).toBeLessThan(10_000);
    expect(clusterRuns()).toBe(false);
    expect(existsSync(path.join(folder, 'sabor.pid'))).toBe(false);
    await reader.cancel().catch(() => {});
  });

  it('goes on when the database is killed under it: 503 in words, then as before', {
    tags: 'soak',
  }, async () => {
    const run = start();
    await ready(run);
    for (let time = 0; time < 3; time++) {
      const statuses = new Set<number>();
      const writing = Array.from({ length: 20 }, (_, i) =>
        addLine(`${'x'.repeat((i % 9) + 1)}`).then(({ status }) => statuses.add(status)),
      );
      process.kill(postmaster(), 'SIGKILL');
      await Promise.all(writing);
      expect([...statuses].every((status) => status === 204 || status === 503)).toBe(true);
      let answer = await fetch(`http://127.0.0.1:${port}/api/shelf`);
      for (let wait = 0; wait < 200 && answer.status !== 200; wait++) {
        expect(answer.status).toBe(503);
        expect(((await answer.json()) as { detail: string }).detail).toContain('not answering just now');
        await new Promise((resolve) => setTimeout(resolve, 100));
        answer = await fetch(`http://127.0.0.1:${port}/api/shelf`);
      }
      expect(answer.status).toBe(200);
    }
    expect(run.child.exitCode).toBe(null);
    run.child.kill('SIGINT');
    expect(await run.exit).toBe(0);
    expect(clusterRuns()).toBe(false);
  });

  it('brings a folder of an older schema up to date, a backup written first', { tags: 'soak' }, async () => {
    const old = mkdtempSync(path.join(os.tmpdir(), 'sabor-older-'));
    try {
      const cluster = await startCluster(old);
      const db = openPool(cluster.url);
      await makeOlder(db, 8);
      await db.query("insert into line (id, name) values (gen_random_uuid(), 'Tidewrack')");
      await db.end();
      await cluster.stop();
      const run = start([], { SABOR_DATA: old });
      await ready(run);
      const kept = /from version 8 to \d+; what was there is kept in (.*\.zip)/.exec(run.said())![1]!;
      expect((await unzipped(readFileSync(kept))).get('data/line.csv')!.toString()).toContain(',Tidewrack,');
      expect(await lines()).toEqual(['Tidewrack']);
      run.child.kill('SIGINT');
      await run.exit;
    } finally {
      rmSync(old, { recursive: true, force: true });
    }
  });

  it('refuses a port that is none, an option it does not know, and a database that does not answer', {
    tags: 'soak',
  }, async () => {
    const port = start([], { PORT: 'eighty' });
    expect(await port.exit).toBe(1);
    expect(port.said()).toContain('PORT=eighty is not a port.');
    const option = start(['--fast']);
    expect(await option.exit).toBe(1);
    expect(option.said()).toContain('does not know --fast');
    const inFile = start([], { SABOR_DATA: path.join(root, 'package.json', 'data') });
    expect(await inFile.exit).toBe(1);
    expect(inFile.said()).toContain('is a file, or lies in one, and no folder.');
    expect(inFile.said()).not.toContain('    at ');
    const far = start([], { DATABASE_URL: `postgresql://nobody@127.0.0.1:${await freePort()}/none` });
    expect(await far.exit).toBe(1);
    expect(far.said()).toContain('The database does not answer');
  });

  it('uses the database it is pointed at, and makes none of its own', { tags: 'soak' }, async () => {
    const unused = mkdtempSync(path.join(os.tmpdir(), 'sabor-unused-'));
    const run = start(['--empty'], { DATABASE_URL: inject('databaseUrl'), SABOR_DATA: unused });
    await ready(run);
    expect(run.said()).not.toContain('✓ PostgreSQL');
    expect((await addLine('Elsewhere')).status).toBe(204);
    expect(await lines()).toEqual(['Elsewhere']);
    run.child.kill('SIGINT');
    expect(await run.exit).toBe(0);
    expect(readdirSync(unused)).toEqual([]);
    rmSync(unused, { recursive: true });
  });

  it('runs twice on one database behind a proxy: signed in at one it is at the other, which hears at once of what the first is told', {
    tags: 'soak',
  }, async () => {
    const url = inject('databaseUrl');
    const at = [await freePort(), await freePort()];
    const unused = mkdtempSync(path.join(os.tmpdir(), 'sabor-twice-'));
    const hosted = { DATABASE_URL: url, SABOR_DATA: unused, SABOR_ORIGIN: 'https://sabor.example' };
    const runs: Run[] = [];
    for (const own of at) {
      // One after the other, as a machine would bring them up.
      const run = start(['--empty'], { ...hosted, PORT: String(own) });
      runs.push(run);
      await ready(run);
    }
    const db = openPool(url);
    const person = v7();
    await savePerson(db, { id: person, name: 'Noor Halvorsen', role: 'tester', wearerId: null });
    const { code } = await invite(db, person, ['https://sabor.example']);
    let cookie = '';
    const ask = async (process: 0 | 1, method: string, to: string, body?: unknown) => {
      const said = body === undefined ? '' : JSON.stringify(body);
      return new Promise<{ status: number; body: never }>((resolve, reject) => {
        // Not by fetch, which lets nobody say whom it asks.
        const going = request(
          {
            ...{ host: '127.0.0.1', port: at[process]!, method, path: `/api${to}` },
            headers: {
              ...{ host: 'sabor.example', origin: 'https://sabor.example', cookie },
              ...(said ? { 'content-type': 'application/json' } : {}),
            },
          },
          (answer) => {
            let text = '';
            answer.on('data', (part) => (text += part));
            answer.once('end', () => {
              const given = answer.headers['set-cookie']?.[0]?.split(';')[0];
              if (given) cookie = given;
              resolve({ status: answer.statusCode!, body: (text ? JSON.parse(text) : null) as never });
            });
          },
        );
        going.once('error', reject);
        going.end(said);
      });
    };
    expect((await ask(0, 'POST', '/sign-in', { code, device: 'x', called: 'A phone' })).status).toBe(200);
    expect((await ask(1, 'GET', '/me')).body).toMatchObject({ person: { name: 'Noor Halvorsen' } });
    const { day } = await sampleWashDay({
      ask: (method: string, to: string, body?: unknown) => ask(0, method, to.replace('/api', ''), body),
    } as never);
    const pulse = async (since = '') =>
      (await ask(1, 'GET', `/wash-days/${day.id}/pulse${since}`)).body as { pulse: string };
    const known = (await pulse()).pulse;
    const following = pulse(`?since=${encodeURIComponent(known)}`);
    await ask(0, 'PATCH', `/wash-days/${day.id}`, { note: 'told to the first' });
    expect(await following).toMatchObject({ waited: true });
    expect((await following).pulse).not.toBe(known);
    // One of them gone, the other goes on.
    runs[0]!.child.kill('SIGINT');
    expect(await runs[0]!.exit).toBe(0);
    expect((await ask(1, 'GET', `/wash-days/${day.id}`)).body).toMatchObject({ note: 'told to the first' });
    runs[1]!.child.kill('SIGINT');
    expect(await runs[1]!.exit).toBe(0);
    await db.end();
    rmSync(unused, { recursive: true });
  });

  it('begins empty when asked to, and stays so; the demo comes back on demand, what was there kept in a file', {
    tags: 'soak',
  }, async () => {
    const fresh = mkdtempSync(path.join(os.tmpdir(), 'sabor-empty-'));
    const env = { SABOR_DATA: fresh };
    try {
      const run = start(['--empty'], env);
      await ready(run);
      expect(await lines()).toEqual([]);
      run.child.kill('SIGINT');
      await run.exit;
      const again = start([], env);
      await ready(again);
      expect(await lines()).toEqual([]);
      await addLine('Own');
      again.child.kill('SIGINT');
      await again.exit;
      const reset = start(['--demo-reset'], env);
      expect(await reset.exit).toBe(0);
      const kept = /kept in (.*\.zip)/.exec(reset.said())![1]!;
      expect((await unzipped(readFileSync(kept))).get('data/line.csv')!.toString()).toContain(',Own,');
      const demo = start([], env);
      await ready(demo);
      expect(await lines()).toHaveLength(3);
      demo.child.kill('SIGINT');
      await demo.exit;
    } finally {
      rmSync(fresh, { recursive: true, force: true });
    }
  });
});
