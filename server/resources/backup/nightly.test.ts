import { chmodSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { BackupState, NightlyBackup } from '@sabor/contract/backup';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { readBackup } from './file.ts';
import { chooseFolder, letGo, Nightly } from './nightly.ts';

const nights = (from: string, count: number) =>
  Array.from({ length: count }, (_, i) =>
    new Date(Date.parse(from) + i * 86_400_000).toISOString().slice(0, 10),
  );

describe('what is kept', () => {
  it('is the last seven nights, and the first of each month for a year', () => {
    const all = nights('2025-01-10', 500);
    const gone = new Set(letGo(all));
    const kept = all.filter((night) => !gone.has(night));
    expect(kept.slice(-7)).toEqual(all.slice(-7));
    expect(kept.slice(0, -7)).toEqual([
      '2025-06-01',
      '2025-07-01',
      '2025-08-01',
      '2025-09-01',
      '2025-10-01',
      '2025-11-01',
      '2025-12-01',
      '2026-01-01',
      '2026-02-01',
      '2026-03-01',
      '2026-04-01',
      '2026-05-01',
    ]);
  });

  it('night after night is the same as all at once', () => {
    let kept: string[] = [];
    for (const night of nights('2025-01-10', 500)) {
      kept.push(night);
      const gone = new Set(letGo(kept));
      kept = kept.filter((one) => !gone.has(one));
    }
    expect(kept).toHaveLength(19);
    expect(letGo(['2026-05-02', '2026-05-03'])).toEqual([]);
  });
});

describe('the nightly backup', () => {
  let bench: TestBench;
  let folder: string;
  beforeAll(async () => {
    bench = await openBench();
    await bench.ask('PUT', '/api/lines/0192d5a0-0000-7000-8000-000000000001', { name: 'Tidewrack' });
  });
  beforeEach(() => {
    folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-nights-'));
  });
  afterEach(() => rmSync(folder, { recursive: true, force: true }));
  afterAll(() => bench.close());
  const night = new Date(2026, 4, 20, 3, 30);

  it('is made once a night when its hour has come, can be read back, and lets the oldest go', async () => {
    await chooseFolder(bench.db, folder);
    for (const old of nights('2026-04-01', 30)) writeFileSync(path.join(folder, `sabor ${old}.zip`), 'x');
    writeFileSync(path.join(folder, 'mine.zip'), 'x');
    const nightly = new Nightly(bench.db);
    await nightly.ifDue(new Date(2026, 4, 20, 2, 59));
    expect(readdirSync(folder)).not.toContain('sabor 2026-05-20.zip');
    await nightly.ifDue(night);
    const files = readdirSync(folder);
    expect(files).toContain('sabor 2026-05-20.zip');
    expect(files).toContain('mine.zip');
    expect(files).toContain('sabor 2026-04-01.zip');
    expect(files.filter((name) => name.startsWith('sabor 2026-04'))).toHaveLength(7);
    expect(await nightly.state()).toMatchObject({ folder, kept: 8, problem: null });
    const other = await openBench();
    await readBackup(other.db, path.join(folder, 'sabor 2026-05-20.zip'));
    expect((await other.db.query('select name from line')).rows).toEqual([{ name: 'Tidewrack' }]);
    await other.close();
  });

  it('says what is wrong with the folder, and goes on the next time', async () => {
    const inner = path.join(folder, 'inner');
    await chooseFolder(bench.db, inner);
    const nightly = new Nightly(bench.db);
    rmSync(inner, { recursive: true });
    writeFileSync(inner, 'a file in its place');
    await nightly.ifDue(night);
    expect((await nightly.state()).problem).not.toBe(null);
    rmSync(inner);
    await nightly.ifDue(night);
    expect((await nightly.state()).problem).toBe('The backup folder is gone.');
    mkdirSync(inner);
    await nightly.ifDue(night);
    expect(await nightly.state()).toMatchObject({ kept: 1, problem: null });
  });

  it('is chosen and made at once through the page; a path that is none is refused', async () => {
    const put = (to: string | null) => bench.ask<NightlyBackup>('PUT', '/api/backups', { folder: to });
    expect((await put('nights')).status).toBe(422);
    expect((await put('/proc/none')).status).toBe(422);
    expect((await put(folder)).body).toEqual({ folder, last: null, kept: 0, problem: null });
    const made = await bench.ask<NightlyBackup>('POST', '/api/backups/now');
    expect(made.body).toMatchObject({ kept: 1, problem: null });
    expect((await bench.ask<BackupState>('GET', '/api/backups')).body.empty).toBe(false);
    chmodSync(folder, 0o700);
    expect((await put(null)).body.folder).toBe(null);
  });
});
