import { createHash } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Backup } from '@sabor/contract/backup';
import type { Today } from '@sabor/contract/today';
import type { Trial } from '@sabor/contract/trial-record';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoBackup } from '../../../demo/scenario.ts';
import { TRIALS } from '../../../demo/trials.ts';
import { SCHEMA } from '../../db/migrate.ts';
import { KEPT_APART, TABLE_NAMES } from '../../db/tables.ts';
import { LIGHT, openBench, openDemoBench, openLightBench, type TestBench } from '../../testing/bench.ts';
import { unzipped, zipped } from '../../testing/zips.ts';
import { readBackup, restores, writeBackup } from './file.ts';
import { loadBackup } from './load.ts';
import { jsonSource } from './read-json.ts';
import type { BackupSource } from './source.ts';

/** What is sent again and again is short, and without pictures: a trial that runs, and one that is planned. */
const FEW = TRIALS.slice(1, LIGHT);
const lightSource = (): BackupSource => ({
  ...jsonSource(demoBackup(new Date(), FEW)),
  tables: new Set(TABLE_NAMES),
});

let full: TestBench;
let light: TestBench;
const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-backups-'));
const demoFile = path.join(folder, 'demo.zip');
const lightFile = path.join(folder, 'light.zip');
beforeAll(async () => {
  full = await openLightBench();
  await writeBackup(full.db, demoFile);
  light = await openBench();
  await loadBackup(light.db, lightSource());
  await writeBackup(light.db, lightFile);
});
afterAll(async () => {
  await full.close();
  await light.close();
  rmSync(folder, { recursive: true });
});

/** The same as a Sabor before the zips wrote it: all its tables, in JSON. */
const olderFile = (): Backup => {
  const backup = demoBackup(new Date(), FEW);
  for (const table of TABLE_NAMES) backup.tables[table] ??= [];
  return backup;
};

async function send(bench: TestBench, body: Buffer | string, headers: Record<string, string> = {}) {
  const response = await fetch(`${bench.url}/api/import`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/octet-stream', ...headers },
    body: body as BodyInit,
  });
  const text = await response.text();
  return { status: response.status, detail: text ? (JSON.parse(text).detail as string) : '' };
}

describe('a backup', () => {
  it('goes out by the page, into an empty Sabor, and comes out the same to the byte', async () => {
    const response = await fetch(`${full.url}/api/backup.zip`);
    expect(response.headers.get('content-disposition')).toMatch(/sabor backup \d{4}-\d\d-\d\d\.zip/);
    const bytes = Buffer.from(await response.arrayBuffer());
    expect(bytes.equals(readFileSync(demoFile))).toBe(true);
    const empty = await openBench();
    expect(await send(empty, bytes)).toEqual({ status: 204, detail: '' });
    const again = path.join(folder, 'again.zip');
    await writeBackup(empty.db, again);
    expect(readFileSync(again).equals(bytes)).toBe(true);
    const { body } = await empty.ask<Trial[]>('GET', '/api/trials');
    expect(body).toEqual((await full.ask<Trial[]>('GET', '/api/trials')).body);
    await empty.close();
  });

  it('holds every table there is, a file each, with its rows, size and checksum', async () => {
    const { rows } = await full.db.query(
      "select tablename as name from pg_tables where schemaname = 'public' and tablename <> 'schemaversion'",
    );
    expect(rows.map(({ name }) => name).sort()).toEqual([...TABLE_NAMES, ...KEPT_APART].sort());
    const files = await unzipped(readFileSync(demoFile));
    const { resources, sabor } = JSON.parse(files.get('datapackage.json')!.toString());
    expect(sabor).toEqual({ format: 'sabor backup', schema: SCHEMA });
    // Pieces of a picture on its way come again from their phone; copies for pages are made again.
    const names: string[] = resources.map(({ name }: { name: string }) => name);
    expect(names.filter((name) => !/^(photograph|clip)-/.test(name))).toEqual(
      TABLE_NAMES.filter((name) => name !== 'photograph_piece' && name !== 'photograph_copy'),
    );
    for (const { path: name, rows, bytes, hash } of resources) {
      const content = files.get(name)!;
      expect(content.length).toBe(bytes);
      expect(hash).toBe(`sha256:${createHash('sha256').update(content).digest('hex')}`);
      if (/^(photographs|clips)\//.test(name)) continue;
      const table = name.slice('data/'.length, -'.csv'.length);
      expect((await full.db.query(`select count(*) as n from ${table}`)).rows[0].n).toBe(rows);
    }
  });

  it('of an older Sabor (JSON) is still read', async () => {
    const empty = await openBench();
    expect(await send(empty, JSON.stringify(olderFile()))).toEqual({ status: 204, detail: '' });
    const { body } = await empty.ask<Trial[]>('GET', '/api/trials');
    expect(body).toHaveLength(FEW.length);
    await empty.close();
  });

  it('does not go into a Sabor that holds something, a place or a name of its own included, and is not even read', async () => {
    expect((await send(full, 'nothing of the kind')).status).toBe(409);
    const place = await openBench();
    await place.db.query(
      "insert into locality (id, name, time_zone) values (gen_random_uuid(), 'Shore', 'UTC')",
    );
    expect((await send(place, 'nothing of the kind')).detail).toContain('empty Sabor');
    await place.close();
  });

  it('waits for another that comes at the same time, and is refused then', async () => {
    const empty = await openBench();
    const bytes = readFileSync(lightFile);
    const answers = await Promise.all([send(empty, bytes), send(empty, bytes)]);
    expect(answers.map(({ status }) => status).sort()).toEqual([204, 409]);
    expect((await empty.ask<Trial[]>('GET', '/api/trials')).body).toHaveLength(FEW.length);
    await empty.close();
  });

  it('that was cut short, packed again or is something else changes nothing and says so', async () => {
    const empty = await openBench();
    const bytes = readFileSync(lightFile);
    expect((await send(empty, bytes.subarray(0, bytes.length - 900))).detail).toContain('its end is missing');
    expect((await send(empty, 'a letter')).detail).toContain('neither a backup as Sabor writes it');
    expect((await send(empty, bytes, { 'Content-Encoding': 'gzip' })).status).toBe(415);
    expect(
      (await send(empty, await zipped(new Map([['letter.txt', Buffer.from('Dear')]])))).detail,
    ).toContain('no datapackage.json');
    const older = olderFile();
    expect((await send(empty, JSON.stringify({ ...older, format: 'x' }))).detail).toBe(
      'This file is not a Sabor backup.',
    );
    expect((await send(empty, JSON.stringify({ ...older, schema: 999 }))).detail).toContain('newer Sabor');
    expect((await send(empty, JSON.stringify({ ...older, schema: -1 }))).detail).toContain('which version');
    expect(
      (await send(empty, JSON.stringify({ ...older, tables: { ...older.tables, planet: [] } }))).detail,
    ).toContain('does not know: planet');
    const { reading: _, ...rest } = older.tables;
    expect((await send(empty, JSON.stringify({ ...older, tables: rest }))).detail).toContain(
      'its part “reading” is missing',
    );
    expect((await empty.ask<Today>('GET', '/api/today')).body.empty).toBe(true);
    await empty.close();
  });

  it('is tried out in a database beside, which is gone afterwards', { tags: 'soak' }, async () => {
    expect(await restores(light.db, lightFile)).toBe(true);
    // Another test may be trying one out at this moment.
    await expect
      .poll(
        async () =>
          (await light.db.query("select from pg_database where datname like 'restore_test%'")).rowCount,
        { timeout: 60_000 },
      )
      .toBe(0);
  });
});

describe('an edited backup is refused with the line that is wrong', () => {
  let empty: TestBench;
  let files: Map<string, Buffer>;
  beforeAll(async () => {
    empty = await openBench();
    files = await unzipped(readFileSync(lightFile));
    // As someone who edits leaves it: without checksums.
    const package_ = JSON.parse(files.get('datapackage.json')!.toString());
    for (const resource of package_.resources)
      for (const key of ['hash', 'bytes', 'rows']) delete resource[key];
    files.set('datapackage.json', Buffer.from(JSON.stringify(package_)));
  });
  afterAll(() => empty.close());

  /** Edits one file of the backup and gives what Sabor says to it. */
  async function said(file: string, edit: (text: string) => string): Promise<string> {
    const edited = edit(files.get(file)!.toString());
    expect(edited).not.toBe(files.get(file)!.toString());
    const { status, detail } = await send(empty, await zipped(new Map(files).set(file, Buffer.from(edited))));
    expect(status).toBe(422);
    const { rows } = await empty.db.query(
      'select (select count(*) from line) + (select count(*) from wearer) as n',
    );
    expect(rows[0].n).toBe(0);
    return detail;
  }
  const cellOfLine = (line: number, was: RegExp, becomes: string) => (text: string) =>
    text
      .split('\n')
      .map((one, i) => (i === line - 1 ? one.replace(was, becomes) : one))
      .join('\n');

  const EDITS: [string, string, (text: string) => string, string][] = [
    [
      'an unknown time zone',
      'wearer',
      cellOfLine(3, /Europe\/Dublin/, 'Europe/Atlantis'),
      'Line 3 of “data/wearer.csv” in this backup cannot be read in: “time_zone”: Sabor does not know this time zone.',
    ],
    [
      'a place of no time zone',
      'locality',
      cellOfLine(2, /[A-Z]\w+\/\w+/, 'Nowhere'),
      'Line 2 of “data/locality.csv”',
    ],
    [
      'a moment without end',
      'wash_day',
      cellOfLine(4, /\d{4}-\d\d-\d\dT[^,]*/, 'infinity'),
      'Line 4 of “data/wash_day.csv” in this backup cannot be read in: “started_at” is not a moment',
    ],
    [
      'a moment before time',
      'wash_day',
      cellOfLine(4, /\d{4}-\d\d-\d\dT[^,]*/, '-infinity'),
      'is not a moment',
    ],
    [
      'a moment of another age',
      'check_in',
      cellOfLine(2, /\d{4}-\d\d-\d\dT/, '9999-01-01T'),
      'is not a moment',
    ],
    [
      'a price that is no number',
      'product',
      cellOfLine(2, /,\d+\.\d\d,EUR/, ',NaN,EUR'),
      '“price” is not a number.',
    ],
    [
      'a reading that is no number',
      'reading',
      cellOfLine(9, /,(\d+\.\d{4}),/, ',Infinity,'),
      'Line 9 of “data/reading.csv” in this backup cannot be read in: “value” is not a number.',
    ],
    [
      'a word Sabor does not know',
      'wash_step',
      (text) => text.replace(/,fingers,|,wide-comb,|,diffuser,|,shirt,|,dry,|,cleanse,/, ',scrubbed,'),
      'which Sabor does not know',
    ],
    [
      'an id of something else',
      'check_in',
      cellOfLine(5, /,[0-9a-f-]{36},/, ',00000000-0000-4000-8000-000000000000,'),
      'Line 5 of “data/check_in.csv” in this backup cannot be read in: it names something that is not in this backup.',
    ],
    ['a row twice', 'line', (text) => `${text}${text.split('\n')[1]}\n`, 'it is there twice.'],
    [
      'a value out of its range',
      'weather_reading',
      cellOfLine(2, /Z,[^,]+,[^,]+,/, 'Z,20,140,'),
      'contradict each other, or lie outside',
    ],
    [
      'a cell of several lines, and a wrong one after it',
      'line',
      (text) => {
        const [head, first, ...rest] = text.split('\n');
        const long = first!.replace(/^([^,]+),[^,]*/, '$1,"one\r\ntwo\nthree"');
        return [head, long, first!.replace(/^[^,]+/, 'no id'), ...rest].join('\n');
      },
      'Line 5 of “data/line.csv” in this backup cannot be read in: “id” is not an id.',
    ],
    [
      'a broken list of roles',
      'product',
      cellOfLine(2, /"\[""/, '"[[""'),
      'Line 2 of “data/product.csv” in this backup cannot be read',
    ],
    [
      'too few columns',
      'line',
      (text) => `${text}abc\n`,
      'cannot be read: its columns or quotes do not add up.',
    ],
    [
      'a column more',
      'line',
      (text) => text.replace('id,', 'id,colour,'),
      'has a column Sabor does not know: colour',
    ],
    [
      'a column less',
      'bottle',
      (text) =>
        text
          .split('\n')
          .map((one) => one.split(',').slice(0, 4).join(','))
          .join('\n'),
      'its column “created_at” is missing',
    ],
    [
      'settings that are none',
      'setting',
      (text) => text.replace(/demo,"?""?declined"?""?|demo,.*|database,.*/, 'preferences,"{""volume"": 3}"'),
      'not one Sabor can use',
    ],
  ];
  for (const [i, [wrong, table, edit, expected]] of EDITS.entries())
    it(wrong, { tags: i % 3 ? ['soak'] : [] }, async () => {
      expect(await said(`data/${table}.csv`, edit)).toContain(expected);
    });

  it('a file left out, or changed behind its checksum', async () => {
    const without = new Map(files);
    without.delete('data/reading.csv');
    expect((await send(empty, await zipped(without))).detail).toContain('“data/reading.csv” is missing');
    const whole = await unzipped(readFileSync(lightFile));
    const text = whole.get('data/line.csv')!.toString();
    const changed = new Map(whole).set('data/line.csv', Buffer.from(text.replace(/[a-z] [a-z]/, 'x y')));
    expect((await send(empty, await zipped(changed))).detail).toContain('its checksum differs');
    const package_ = JSON.parse(files.get('datapackage.json')!.toString());
    package_.resources = package_.resources.filter(({ name }: { name: string }) => name !== 'reading');
    const fewer = new Map(files).set('datapackage.json', Buffer.from(JSON.stringify(package_)));
    expect((await send(empty, await zipped(fewer))).detail).toContain('its part “reading” is missing');
  });

  it('but one whose rows another program put in quotes, or saved with a mark and other line ends, goes in', async () => {
    const kind = new Map(files);
    for (const name of ['data/line.csv', 'data/bottle.csv'])
      kind.set(name, Buffer.from(`\uFEFF${kind.get(name)!.toString().replaceAll('\n', '\r\n')}`));
    const other = await openBench();
    expect(await send(other, await zipped(kind))).toEqual({ status: 204, detail: '' });
    await other.close();
  });
});

describe('photographs in a backup', () => {
  it('are files of their own, and come back as they were', { tags: 'soak' }, async () => {
    const bench = await openBench();
    await loadBackup(bench.db, lightSource());
    const { rows } = await bench.db.query('select id from wash_day limit 1');
    const pictures = [3_000_000, 1].map((size) => Buffer.alloc(size, 7));
    for (const [i, bytes] of pictures.entries())
      await bench.db.query(
        `insert into photograph (id, wash_day_id, stage, angle, taken_at, type, width, height, size, bytes)
         values ($1, $2, 'wet', 'front', now(), 'image/png', 10, 10, $3, $4)`,
        [`0192d5a0-0000-7000-8000-00000000000${i}`, rows[0].id, bytes.length, bytes],
      );
    await bench.db.query(
      `insert into product_picture (id, product_id, shows, type, size, bytes)
       select '0192d5a0-0000-7000-8000-00000000000b', id, 'label', 'image/jpeg', 9, $1 from product limit 1`,
      [Buffer.from('a picture')],
    );
    await bench.db.query(
      `insert into memo (id, told_at, type, seconds, size, bytes)
       values ('0192d5a0-0000-7000-8000-00000000000c', now(), 'audio/webm', 3, 7, $1)`,
      [Buffer.from('a voice')],
    );
    await bench.db.query(
      `insert into clip (id, wash_day_id, stage, kind, taken_at, type, seconds, size, bytes)
       values ('0192d5a0-0000-7000-8000-00000000000d', $1, 'wet', 'turn', now(), 'video/webm', 6.5, 6, $2)`,
      [rows[0].id, Buffer.from('a film')],
    );
    // One still on its way.
    await bench.db.query(
      `insert into photograph (id, wash_day_id, stage, angle, taken_at, type, width, height, size)
       values ('0192d5a0-0000-7000-8000-00000000000a', $1, 'wet', 'back', now(), 'image/png', 10, 10, 500)`,
      [rows[0].id],
    );
    const file = path.join(folder, 'pictures.zip');
    await writeBackup(bench.db, file);
    expect(readFileSync(file).length).toBeLessThan(3_000_000 + readFileSync(lightFile).length + 20_000);
    const other = await openBench();
    await readBackup(other.db, file);
    const back = await other.db.query('select bytes, size from photograph order by id');
    expect(back.rows.map(({ bytes }) => bytes?.length ?? null)).toEqual([3_000_000, 1, null]);
    expect(back.rows[0].bytes.equals(pictures[0])).toBe(true);
    const memos = await other.db.query('select bytes, seconds from memo');
    expect(memos.rows.map(({ bytes, seconds }) => [bytes.toString(), seconds])).toEqual([['a voice', 3]]);
    const clips = await other.db.query('select bytes, seconds from clip');
    expect(clips.rows.map(({ bytes, seconds }) => [bytes.toString(), seconds])).toEqual([['a film', 6.5]]);
    const labels = await other.db.query('select bytes, shows from product_picture');
    expect(labels.rows.map(({ bytes, shows }) => `${shows} ${bytes}`)).toEqual(['label a picture']);
    expect(await restores(bench.db, file)).toBe(true);
    await other.close();
    await bench.close();
  });
});

describe('a download that is broken off', () => {
  it('lets its connection go, however often', { tags: 'soak' }, async () => {
    const bench = await openBench();
    await bench.db.query(
      "insert into line (id, name, note) select gen_random_uuid(), n::text, (select string_agg(gen_random_uuid()::text, '') from generate_series(1, 90) m where n > 0) from generate_series(1, 5000) n",
    );
    // One more than there are connections.
    for (let time = 0; time < 11; time++) {
      const stop = new AbortController();
      const response = await fetch(`${bench.url}/api/backup.zip`, { signal: stop.signal });
      await response.body!.getReader().read();
      stop.abort();
    }
    expect((await bench.ask('GET', '/api/settings')).status).toBe(200);
    for (let wait = 0; wait < 100 && bench.db.totalCount > bench.db.idleCount; wait++)
      await new Promise((resolve) => setTimeout(resolve, 50));
    expect(bench.db.totalCount).toBe(bench.db.idleCount);
    await bench.close();
  });
});

describe('the demo scenario', () => {
  it('is the same for the same moment', { tags: 'soak' }, () => {
    const now = new Date();
    expect(demoBackup(now)).toEqual(demoBackup(now));
  });

  it('fits at any hour and any date, the future never touched', async () => {
    for (const moment of ['2028-02-29T00:01:00Z', '2026-12-31T23:59:00Z']) {
      const latest = JSON.stringify(demoBackup(new Date(moment)).tables)
        .match(/\d{4}-\d\d-\d\dT[\d:.]+Z/g)!
        .sort()
        .at(-1)!;
      expect(latest < moment).toBe(true);
    }
  });

  it('has a finished, a running and a planned trial, and one abandoned wash day', async () => {
    const demo = await openDemoBench();
    const trials = (await demo.ask<Trial[]>('GET', '/api/trials')).body;
    expect(trials.map(({ status }) => status).sort()).toEqual([
      ...Array<string>(15).fill('finished'),
      'planned',
      'running',
    ]);
    const { due } = (await demo.ask<Today>('GET', '/api/today')).body;
    expect(due.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['start wash day', 'read']));
    const { rows } = await demo.db.query(
      'select abandon_reason from wash_day where abandoned_at is not null',
    );
    expect(rows).toHaveLength(1);
    await demo.close();
  });
});
