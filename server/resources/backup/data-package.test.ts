import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
// @ts-expect-error The reference implementation of the standard comes without types.
import { Package } from 'datapackage';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoSource } from '../../../scripts/start/demo.ts';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { unzipped } from '../../testing/zips.ts';
import { writeBackup } from './file.ts';
import { loadBackup } from './load.ts';

let bench: TestBench;
const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-package-'));
beforeAll(async () => {
  bench = await openBench();
  await loadBackup(bench.db, demoSource(new Date()));
  const file = path.join(folder, 'backup.zip');
  await writeBackup(bench.db, file);
  for (const [name, content] of await unzipped(await readFile(file))) {
    mkdirSync(path.dirname(path.join(folder, name)), { recursive: true });
    writeFileSync(path.join(folder, name), content);
  }
});
afterAll(async () => {
  await bench.close();
  rmSync(folder, { recursive: true });
});

interface Resource {
  name: string;
  tabular: boolean;
  read: (options: object) => Promise<unknown[]>;
}

// Source: the reference implementation of the Frictionless standards in JavaScript (npm datapackage 1.1), which holds the
// description against the published profiles, and every cell against its field's type, words and keys.
describe('a backup is a data package that other programs read', () => {
  it('with a valid description, every row cast by its schema, every reference found', async () => {
    const loaded = await Package.load(path.join(folder, 'datapackage.json'));
    expect(loaded.errors).toEqual([]);
    expect(loaded.valid).toBe(true);
    let [rows, files] = [0, 0];
    for (const resource of loaded.resources as Resource[]) {
      // Tables, and the photographs, each a file.
      expect(resource.tabular).toBe(!resource.name.startsWith('photograph-'));
      if (resource.tabular) rows += (await resource.read({ relations: true })).length;
      else files++;
    }
    const { rows: counted } = await bench.db.query(
      "select sum((xpath('/row/n/text()', query_to_xml(format('select count(*) as n from %I', relname), true, true, '')))[1]::text::int) as n from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r' and relname <> 'schemaversion'",
    );
    expect(rows).toBe(counted[0].n);
    expect(files).toBe((await bench.db.query('select from photograph')).rowCount);
    expect(files).toBeGreaterThan(0);
  });
});
