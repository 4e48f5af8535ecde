import { rmSync } from 'node:fs';
import { v7 } from 'uuid';
import { startCluster } from '../../scripts/postgres/cluster.ts';
import { openPool } from '../../server/db/pool.ts';
import { MIGRATIONS, makeOlder } from '../../server/testing/older-schema.ts';
import { newFolder, pause, Sabor } from './sabor.ts';

export interface Row {
  what: string;
  came: string;
  well: boolean;
}

/** Writers that go on through everything and remember what was acknowledged. */
function writers(sabor: Sabor, count: number) {
  const acknowledged: string[] = [];
  let going = true;
  const one = async () => {
    while (going) {
      const id = v7();
      // Sent again under its id until it is acknowledged, as a phone does.
      for (let status = 0; going && status !== 204; ) {
        ({ status } = await sabor.ask('PUT', `/lines/${id}`, { name: `Line ${id}`, note: 'x' }));
        if (status === 204) acknowledged.push(id);
        else await pause(20);
      }
    }
  };
  const done = Promise.all(Array.from({ length: count }, one));
  return {
    acknowledged,
    stop: async () => {
      going = false;
      await done;
    },
  };
}

/** Kills server or database, again and again, with writes under way; then counts what was acknowledged. */
export async function killsWithWrites(times: number): Promise<Row> {
  const folder = newFolder('kills');
  const sabor = await Sabor.on(folder);
  let failures = 0;
  let crashes = 0;
  let slowest = 0;
  await sabor.start();
  const writing = writers(sabor, 6);
  try {
    for (let time = 0; time < times; time++) {
      await pause(150 + (time % 7) * 130);
      if (time % 2 === 0) {
        // The database alone: the server stays and starts it again.
        const pid = sabor.postmaster;
        if (pid) process.kill(pid, 'SIGKILL');
        await pause(400);
        if (!sabor.alive()) crashes++;
      } else {
        const pid = sabor.postmaster;
        await sabor.kill();
        // Now and then both at once.
        if (time % 4 === 1 && pid) process.kill(pid, 'SIGKILL');
      }
      const began = performance.now();
      if (!sabor.alive() && !(await sabor.start())) failures++;
      for (let wait = 0; wait < 300 && (await sabor.ask('GET', '/settings')).status !== 200; wait++)
        await pause(50);
      slowest = Math.max(slowest, performance.now() - began);
    }
    await writing.stop();
    const { body } = await sabor.ask('GET', '/shelf');
    const stored = (body as { lines: { id: string }[] }).lines.map(({ id }) => id);
    const there = new Set(stored);
    const lost = writing.acknowledged.filter((id) => !there.has(id)).length;
    const doubled = stored.length - there.size;
    return {
      what: `${times} kills of server, database or both, six writers under way`,
      came: `${writing.acknowledged.length.toLocaleString('en')} writes acknowledged, ${lost} lost, ${doubled} doubled; ${failures} starts failed, the server went along with its database ${crashes} times; back within ${(slowest / 1000).toFixed(1)} s`,
      well: lost === 0 && doubled === 0 && failures === 0 && crashes === 0,
    };
  } finally {
    await writing.stop();
    await sabor.close();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Kills the start while it brings a folder of each older schema up to date; the next start must finish it. */
export async function killsInMigrations(each: number): Promise<Row> {
  let kills = 0;
  let during = 0;
  const broken: string[] = [];
  for (let version = 1; version < MIGRATIONS.length; version++)
    for (let time = 0; time < each; time++) {
      const folder = newFolder('migration');
      const cluster = await startCluster(folder);
      const db = openPool(cluster.url);
      await makeOlder(db, version);
      await db.query("insert into line (id, name) values (gen_random_uuid(), 'Tidewrack')");
      await db.end();
      await cluster.stop();
      const sabor = await Sabor.on(folder);
      try {
        sabor.launch();
        while (!sabor.said.includes('✓ Database') && sabor.alive()) await pause(2);
        await pause((time * 900) / each);
        if (!sabor.said.includes('✓ Schema')) during++;
        await sabor.kill();
        kills++;
        const well = await sabor.start();
        const { body } = well ? await sabor.ask('GET', '/shelf') : { body: null };
        const names = (body as { lines: { name: string }[] } | null)?.lines.map(({ name }) => name) ?? [];
        if (names.join() !== 'Tidewrack') broken.push(`${version}: ${sabor.said.slice(-200)}`);
      } finally {
        await sabor.close();
        rmSync(folder, { recursive: true, force: true });
      }
    }
  return {
    what: `${kills} kills of a start that upgrades schemas 1 to ${MIGRATIONS.length - 1}`,
    came: `${during} fell before the schema was told; ${kills - broken.length} of ${kills} folders start again with their rows${broken.length ? ` — ${broken[0]}` : ''}`,
    well: broken.length === 0,
  };
}

/** Kills a first start anywhere; the next one must make the folder whole. */
export async function killsInFirstStart(times: number): Promise<Row> {
  let well = 0;
  for (let time = 0; time < times; time++) {
    const folder = newFolder('first');
    const sabor = await Sabor.on(folder);
    try {
      sabor.launch();
      await pause(600 + (time * 4000) / times);
      await sabor.kill();
      if (await sabor.start()) well++;
    } finally {
      await sabor.close();
      rmSync(folder, { recursive: true, force: true });
    }
  }
  return {
    what: `${times} kills spread over a first start`,
    came: `${well} of ${times} folders start afterwards`,
    well: well === times,
  };
}
