import { spawn, spawnSync } from 'node:child_process';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openPool } from '../../server/db/pool.ts';
import { postgresVersions } from '../install.mjs';
import { upgradePostgres } from '../start/upgrade.ts';
import { owner } from './binaries.ts';
import { type Cluster, clusterPaths, startCluster } from './cluster.ts';
import { run } from './postmaster.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-cluster-'));
});
const made = mkdtempSync(path.join(os.tmpdir(), 'sabor-cluster-made-'));
beforeAll(async () => {
  await (await startCluster(made)).stop();
});
afterAll(() => rmSync(made, { recursive: true, force: true }));
/** The folder as an earlier start of Sabor left it, stopped: a copy, owners and rights as they were. */
const madeBefore = () => spawnSync('cp', ['-a', `${made}/.`, folder]);
const started: Cluster[] = [];
afterEach(async () => {
  for (const cluster of started.splice(0)) await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
});

async function begin(at = folder): Promise<Cluster> {
  const cluster = await startCluster(at);
  started.push(cluster);
  return cluster;
}

async function ask<T>(cluster: Cluster, sql: string): Promise<T[]> {
  const db = openPool(cluster.url);
  try {
    return (await db.query(sql)).rows as T[];
  } finally {
    await db.end();
  }
}

const write = (cluster: Cluster) => ask(cluster, 'create table kept (n int); insert into kept values (7)');
const isKept = async (cluster: Cluster) =>
  expect(await ask(cluster, 'select n from kept')).toEqual([{ n: 7 }]);

describe('a cluster', () => {
  it('has data checksums, and an older one without gets them', async () => {
    const cluster = await begin();
    await write(cluster);
    expect(await ask(cluster, 'show data_checksums')).toEqual([{ data_checksums: 'on' }]);
    await cluster.stop();
    run('pg_checksums', ['--disable', '-D', clusterPaths(folder).data]);
    const again = await begin();
    expect(await ask(again, 'show data_checksums')).toEqual([{ data_checksums: 'on' }]);
    await isKept(again);
  });

  for (const how of ['gone', 'empty'])
    it(`is never removed: a password file that is ${how} is set anew, running or not`, {
      tags: how === 'empty' ? ['soak'] : [],
    }, async () => {
      const lose = () =>
        how === 'gone'
          ? rmSync(path.join(folder, 'password'))
          : writeFileSync(path.join(folder, 'password'), '');
      madeBefore();
      const cluster = await begin();
      await write(cluster);
      await cluster.stop();
      lose();
      const again = await begin();
      await isKept(again);
      // As a killed Sabor leaves it: the database runs on.
      again.leave();
      started.length = 0;
      lose();
      const third = await begin();
      await isKept(third);
      expect(statSync(path.join(folder, 'password')).mode & 0o777).toBe(0o600);
    });

  it('starts behind a pid file that a power cut left: of another living process, empty, or garbage', {
    tags: 'soak',
  }, async () => {
    madeBefore();
    const cluster = await begin();
    await write(cluster);
    await cluster.stop();
    const { data } = clusterPaths(folder);
    // A process of the user PostgreSQL runs as.
    const other = spawn('sleep', ['300'], { ...owner(), stdio: 'ignore', cwd: '/' });
    for (const content of [`${other.pid}\n${data}\n1\n5432\n\n127.0.0.1\n\nready\n`, '', 'garbage\n']) {
      writeFileSync(path.join(data, 'postmaster.pid'), content);
      const again = await begin();
      await isKept(again);
      await again.stop();
    }
    other.kill();
  });

  it('comes back by itself when it is killed, on the same port', async () => {
    madeBefore();
    const cluster = await begin();
    await write(cluster);
    const before = cluster.pid();
    process.kill(before, 'SIGKILL');
    for (let wait = 0; wait < 300 && cluster.pid() === before; wait++)
      await new Promise((resolve) => setTimeout(resolve, 100));
    expect(cluster.pid()).not.toBe(before);
    await isKept(cluster);
  });

  it('is not made in place: what a kill left of the making is begun anew', async () => {
    const { home, data } = clusterPaths(folder);
    mkdirSync(`${data}.making`, { recursive: true });
    writeFileSync(path.join(`${data}.making`, 'PG_VERSION'), '15\n');
    await begin();
    expect(readdirSync(home)).not.toContain('data.making');
  });

  it('half made in place by an earlier Sabor is moved aside, not removed', { tags: 'soak' }, async () => {
    const { home, data } = clusterPaths(folder);
    mkdirSync(data, { recursive: true });
    writeFileSync(path.join(data, 'PG_VERSION'), `${postgresVersions()[0]}\n`);
    writeFileSync(path.join(folder, 'new-password'), 'x');
    await begin();
    expect(readdirSync(home).some((name) => name.startsWith('data.unfinished-'))).toBe(true);
  });

  it('lives in a folder with quotes and blanks in its name, whose rights stay the user’s', {
    tags: 'soak',
  }, async () => {
    chmodSync(folder, 0o711);
    const odd = path.join(folder, `my "hair" it's`);
    mkdirSync(odd, { mode: 0o700 });
    await write(await begin(odd));
    // As root the postgres user must come through; nobody may look in.
    expect(statSync(odd).mode & 0o777).toBe(owner() ? 0o711 : 0o700);
  });

  it('says what is wrong with settings that cannot be read, and with damaged files', async () => {
    madeBefore();
    const cluster = await begin();
    await write(cluster);
    await cluster.stop();
    const { data } = clusterPaths(folder);
    const conf = path.join(data, 'postgresql.conf');
    const good = readFileSync(conf);
    writeFileSync(conf, `${good}\nshared_buffers = many\n`);
    await expect(startCluster(folder)).rejects.toThrow('settings in the data folder were changed');
    writeFileSync(conf, good);
    const control = path.join(data, 'global', 'pg_control');
    const whole = readFileSync(control);
    writeFileSync(control, Buffer.alloc(whole.length));
    await expect(startCluster(folder)).rejects.toMatchObject({
      message: expect.stringContaining('files are damaged'),
      remedy: expect.stringContaining('last backup'),
    });
    writeFileSync(control, whole);
    await isKept(await begin());
  });

  it('of another user is not touched', async () => {
    madeBefore();
    const cluster = await begin();
    await cluster.stop();
    const { data } = clusterPaths(folder);
    chmodSync(data, 0o777);
    await expect(startCluster(folder)).rejects.toThrow('belongs to another user, or is closed to this one');
    chmodSync(data, 0o700);
  });
});

describe('another PostgreSQL', () => {
  const [version] = postgresVersions();

  it('is refused with the way out where the old one’s programs are gone', async () => {
    madeBefore();
    writeFileSync(path.join(clusterPaths(folder).data, 'PG_VERSION'), '12\n');
    await expect(upgradePostgres(folder)).rejects.toMatchObject({
      message: expect.stringContaining('were written by PostgreSQL 12'),
      remedy: expect.stringContaining('postgresql-12'),
    });
    writeFileSync(path.join(clusterPaths(folder).data, 'PG_VERSION'), `${version}\n`);
  });

  // This machine has one version; the way is the same: out by the old programs, in by the new.
  it('takes the data over by way of a backup, the old ones kept', { tags: 'soak' }, async () => {
    madeBefore();
    const cluster = await begin();
    const db = openPool(cluster.url);
    const { migrate } = await import('../../server/db/migrate.ts');
    await migrate(db);
    await db.query("insert into line (id, name) values (gen_random_uuid(), 'Tidewrack')");
    await db.end();
    await cluster.stop();
    expect(await upgradePostgres(folder)).toBe(null);
    const said = await upgradePostgres(folder, { from: version!, to: version! });
    expect(said).toContain(`the old data stay in ${clusterPaths(folder).data}-of-${version}`);
    expect(existsSync(`${clusterPaths(folder).data}-of-${version}`)).toBe(true);
    // A kill between the two renames.
    const { data, home } = clusterPaths(folder);
    renameSync(data, path.join(home, 'moving'));
    expect(await upgradePostgres(folder)).toContain('was finished');
    const moved = await begin();
    expect(await ask(moved, 'select name from line')).toEqual([{ name: 'Tidewrack' }]);
  });
});
