import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { pino } from 'pino';
import { startCluster } from '../scripts/postgres/cluster.ts';
import { createApp } from '../server/app.ts';
import { attack } from '../server/fuzz/attack.ts';
import { routesOf } from '../server/fuzz/routes.ts';
import { openBenchOn } from '../server/testing/open-bench.ts';
import { diskFull } from './reliability/disk-full.ts';
import { killsInFirstStart, killsInMigrations, killsWithWrites, type Row } from './reliability/kills.ts';
import { largeBackup } from './reliability/large-backup.ts';
import { throughDoor } from './reliability/through-door.ts';

/**
 * `npm run soak:reliability`: the attack on what is kept, repeated: kills, a full disk, hostile requests, a gigabyte out and
 * in. Writes its table into docs/reliability.md; `npm run soak:reliability -- fuzz` runs one part alone and changes its row alone.
 */

async function fuzz(requests: number): Promise<Row> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-soak-fuzz-'));
  const cluster = await startCluster(folder, true);
  const bench = await openBenchOn(cluster.url);
  try {
    const routes = routesOf(createApp({ db: bench.db, log: pino({ level: 'silent' }), webRoot: null }));
    const faults: string[] = [];
    const byStatus: Record<string, number> = {};
    for (let part = 0; part < 4; part++) {
      const found = await attack(bench, routes, requests / 4, (Date.now() % 1e6) + part);
      faults.push(...found.faults);
      for (const [status, n] of Object.entries(found.byStatus))
        byStatus[status] = (byStatus[status] ?? 0) + n;
    }
    const statuses = Object.entries(byStatus).map(([status, n]) => `${status}: ${n.toLocaleString('en')}`);
    return {
      what: `${requests.toLocaleString('en')} hostile requests to ${routes.length} routes, made from the contract`,
      came: `${statuses.join(', ')}; ${faults.length} in the five hundreds or giving something away${faults.length ? ` — ${faults[0]}` : ''}`,
      well: faults.length === 0,
    };
  } finally {
    await bench.close();
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

const PARTS: Record<string, () => Promise<Row>> = {
  kills: () => killsWithWrites(100),
  migrations: () => killsInMigrations(4),
  first: () => killsInFirstStart(16),
  disk: diskFull,
  fuzz: () => fuzz(20_000),
  door: () => throughDoor(20_000),
  backup: () => largeBackup(100),
};

const asked = process.argv.slice(2);
const unknown = asked.find((name) => !Object.hasOwn(PARTS, name));
if (unknown) {
  console.error(`There is no part “${unknown}”. There are: ${Object.keys(PARTS).join(', ')}.`);
  process.exit(1);
}
const rows = new Map<string, Row>();
for (const [name, run] of Object.entries(PARTS)) {
  if (asked.length && !asked.includes(name)) continue;
  const row = await run();
  rows.set(name, row);
  console.log(`${row.well ? '✓' : '✗'} ${row.what}: ${row.came}`);
}
/** The table with the rows of this run in it; those of other runs stay. */
function tableOf(old: string): string {
  const lines = new Map(
    old.split('\n').flatMap((line) => {
      const name = /^\| (\w+) \|/.exec(line)?.[1];
      return name && Object.hasOwn(PARTS, name) ? [[name, line] as const] : [];
    }),
  );
  for (const [name, { what, came, well }] of rows)
    lines.set(
      name,
      `| ${name} | ${what} | ${came.replaceAll('|', '\\|')} | ${well ? 'held' : '**broke**'} |`,
    );
  const known = Object.keys(PARTS).flatMap((name) => lines.get(name) ?? []);
  return ['| part | what was done | what came of it | |', '|---|---|---|---|', ...known].join('\n');
}
const file = new URL('../docs/reliability.md', import.meta.url);
const text = readFileSync(file, 'utf8');
writeFileSync(
  file,
  text.replace(
    /(<!-- soak -->\n)([\s\S]*?)(<!-- \/soak -->)/,
    (_, begin, old, end) => `${begin}${tableOf(old)}\n${end}`,
  ),
);
process.exit([...rows.values()].every(({ well }) => well) ? 0 : 1);
