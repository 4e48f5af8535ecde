import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { EMPTY_SETTINGS } from '@sabor/core/step/step';
// @ts-expect-error The reference implementation of the standard comes without types.
import { Package } from 'datapackage';
import Papa from 'papaparse';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { KEPT_APART } from '../../db/tables.ts';
import { openDemoBench, openLightBench, type TestBench } from '../../testing/bench.ts';
import { unzipped } from '../../testing/zips.ts';
import { writeBackup } from './file.ts';

let bench: TestBench;
const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-package-'));
beforeAll(async () => {
  bench = await openLightBench();
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
      // Tables, and the photographs and clips, each a file.
      expect(resource.tabular).toBe(!/^(photograph|clip)-/.test(resource.name));
      if (resource.tabular) rows += (await resource.read({ relations: true })).length;
      else files++;
    }
    const { rows: counted } = await bench.db.query(
      "select sum((xpath('/row/n/text()', query_to_xml(format('select count(*) as n from %I', relname), true, true, '')))[1]::text::int) as n from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r' and relname <> 'schemaversion' and relname <> all($1)",
      [KEPT_APART],
    );
    expect(rows).toBe(counted[0].n);
    expect(files).toBe((await bench.db.query('select from photograph union all select from clip')).rowCount);
    expect(files).toBeGreaterThan(0);
  });

  it('with every table and column told in words, and a licence named', async () => {
    const text = await readFile(path.join(folder, 'codebook.csv'), 'utf8');
    const { data } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
    expect(data.length).toBeGreaterThan(400);
    expect(data.filter(({ holds }) => !holds).map(({ table, column }) => `${table}.${column}`)).toEqual([]);
    expect(data.find(({ column }) => column === 'size_ml')!.unit).toBe('ml');
    const described = JSON.parse(await readFile(path.join(folder, 'datapackage.json'), 'utf8'));
    expect(described.licenses).toHaveLength(1);
    expect(await readFile(path.join(folder, 'README.txt'), 'utf8')).toContain('No licence is given');
  });
});

describe('a part of it', () => {
  let made = 0;
  async function part(asked: string, of = bench) {
    const answer = await fetch(`${of.url}/api/part.zip?${asked}`);
    expect(answer.status).toBe(200);
    const files = await unzipped(Buffer.from(await answer.arrayBuffer()));
    const into = path.join(folder, `part ${made++}`);
    for (const [name, content] of files) {
      mkdirSync(path.dirname(path.join(into, name)), { recursive: true });
      writeFileSync(path.join(into, name), content);
    }
    const rows = (table: string) =>
      Papa.parse<Record<string, string>>(files.get(`data/${table}.csv`)!.toString(), {
        header: true,
        skipEmptyLines: true,
      }).data;
    return { files, rows, into };
  }
  const idOf = async (table: 'wearer' | 'line', name: string) =>
    (await bench.db.query<{ id: string }>(`select id from ${table} where name like $1`, [`${name}%`]))
      .rows[0]!.id;

  it('of a head is a valid package, whole for that head, and names no other', async () => {
    const head = await idOf('wearer', 'Ines');
    // A spreadsheet brings the name of its file along.
    for (const [wearer, fileName] of [
      [head, 'Ines 2024.csv'],
      [await idOf('wearer', 'Tomasz'), 'Tomasz Adeyinka-Holm 2024.csv'],
    ] as const) {
      const day = {
        ...{ line: 2, wearerId: wearer, name: 'Old', ratings: [], ended: null, note: '' },
        ...{ startedAt: '2024-01-07T18:00:00Z', finishedAt: '2024-01-07T22:00:00Z' },
        ...{ temperatureC: null, humidity: null, shedHairs: null },
        steps: [{ ...EMPTY_SETTINGS, slot: 'rinse', note: '' }],
      };
      const reading = {
        ...{ columns: ['date'], order: null, headId: wearer, routineId: null, timeOfDay: '18:00' },
        ...{ finishedAfterHours: 4, scale: { from: 0, to: 10 }, only: '', meant: {} },
      };
      const body = { fileName, headings: ['Date'], reading, days: [day] };
      expect((await bench.ask('PUT', `/api/day-imports/${v7()}`, body)).body).toMatchObject({ stored: 1 });
    }
    const { files, rows, into } = await part(`head=${head}`);
    const loaded = await Package.load(path.join(into, 'datapackage.json'));
    expect(loaded.errors).toEqual([]);
    for (const resource of loaded.resources as Resource[])
      if (resource.tabular) await resource.read({ relations: true });
    expect(rows('wearer').map(({ name }) => name)).toEqual(['Ines Falkenrath']);
    expect(rows('day_import').map((row) => row.file_name)).toEqual(['Ines 2024.csv']);
    const { rows: own } = await bench.db.query(
      `select count(*) as n from reading r join check_in c on c.id = r.check_in_id
       join wash_day d on d.id = c.wash_day_id join trial t on t.id = d.trial_id where t.wearer_id = $1`,
      [head],
    );
    expect(rows('reading')).toHaveLength(own[0].n);
    const names = (await bench.db.query<{ name: string }>('select name from wearer')).rows;
    for (const [name, content] of files)
      for (const other of names.filter((one) => !one.name.startsWith('Ines')))
        expect(`${name} ${content.toString('latin1')}`).not.toContain(other.name.split(' ').at(-1));
    for (const of of ['photographs/', 'clips/'])
      expect([...files.keys()].some((name) => name.startsWith(of))).toBe(true);
    const bare = await part(`head=${head}&pictures=no`);
    expect([...bare.files.keys()].some((name) => /^(photographs|clips)\//.test(name))).toBe(false);
    expect(bare.rows('photograph').length).toBe(rows('photograph').length);
  });

  it('of a line, or of a span, keeps the trials and wash days it asks for', { tags: 'soak' }, async () => {
    const demo = await openDemoBench();
    const { rows } = await part(`line=${await idOf('line', 'Quillet')}&pictures=no`, demo);
    const kept = rows('trial').map(({ question }) => question);
    expect(kept).toContain('Does the cheap foam do for Ines’s matinees?');
    expect(kept).not.toContain('Does Oluchi need the stronger gel?');
    const day = rows('wash_day')
      .map(({ started_at }) => started_at!.slice(0, 10))
      .sort()[1]!;
    const span = await part(`from=${day}&to=${day}&pictures=no`, demo);
    expect(span.rows('wash_day').length).toBeGreaterThan(0);
    for (const { started_at } of span.rows('wash_day')) expect(started_at).toContain(day);
    await demo.close();
  });

  it('is refused in words where it is asked for wrongly, and by a Sabor that would bring it in', async () => {
    for (const asked of ['head=all', 'from=2026-02-30', 'from=2026-03-01&to=2026-02-01', `head=${"'"}or 1=1`])
      expect((await fetch(`${bench.url}/api/part.zip?${asked}`)).status).toBe(422);
    const { into } = await part('pictures=no');
    const described = JSON.parse(await readFile(path.join(into, 'datapackage.json'), 'utf8'));
    expect(described.sabor.format).toBe('sabor part');
  });
});
