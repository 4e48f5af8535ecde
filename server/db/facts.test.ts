import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, afterEach, beforeAll, describe, expect, inject, it } from 'vitest';
import { readBackup, writeBackup } from '../resources/backup/file.ts';
import { openBench, type TestBench } from '../testing/bench.ts';
import { olderDatabase } from '../testing/older-schema.ts';
import { freshDatabase } from '../testing/open-bench.ts';
import { migrate } from './migrate.ts';
import type { Db } from './pool.ts';

const open: Db[] = [];
const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-facts-'));
afterEach(async () => {
  for (const db of open.splice(0)) await db.end();
});
afterAll(() => rmSync(folder, { recursive: true }));

async function emptyDatabase(): Promise<Db> {
  const db = await freshDatabase(inject('databaseUrl'));
  open.push(db);
  return db;
}

const id = (n: number) => `0192d5a0-0000-7000-8000-${String(n).padStart(12, '0')}`;

/** A database of the last schema that kept doses in columns of their own and changes of a promise as words. */
async function asBefore(version = 15, sql?: string): Promise<Db> {
  const db = await olderDatabase(inject('databaseUrl'), version, sql);
  open.push(db);
  await db.query(`
    insert into wearer (id, name, time_zone) values ('${id(1)}', 'Una', 'UTC');
    insert into routine (id, wearer_id, name, is_plan) values ('${id(2)}', '${id(1)}', 'Plan', true);
    insert into step (id, routine_id, position, slot, dose_kind, dose_low, dose_high, dose_measure, dose_per) values
      ('${id(20)}', '${id(2)}', 0, 'cleanse', null, null, null, null, null),
      ('${id(21)}', '${id(2)}', 1, 'condition', 'exact', 12.5, 12.5, 'g', 'head'),
      ('${id(22)}', '${id(2)}', 2, 'leave-in', 'range', 1, 2, 'pea', 'section'),
      ('${id(23)}', '${id(2)}', 3, 'hold', 'unknown', null, null, null, null);
    insert into trial (id, wearer_id, plan_id, question, design, primary_outcome, line_value, matters, wash_days, wear_days, seed)
      values ('${id(3)}', '${id(1)}', '${id(2)}', 'Which?', 'complete', 'frizz', 4, 1, 8, 3, 1);
    insert into arm (id, trial_id, position, name) values ('${id(4)}', '${id(3)}', 0, 'A');
    insert into arm_step (arm_id, step_id, dose_kind, dose_low, dose_high, dose_measure, dose_per)
      values ('${id(4)}', '${id(23)}', 'exact', 10, 10, 'ml', 'head');
    insert into amendment (id, trial_id, wash_days_done, field, was, becomes, reason) values
      ('${id(30)}', '${id(3)}', 1, 'primary', 'frizz', 'scalp comfort', 'r'),
      ('${id(31)}', '${id(3)}', 1, 'cadenceDays', 'none', '4', 'r'),
      ('${id(32)}', '${id(3)}', 1, 'line', '4', '3.5', 'r'),
      ('${id(33)}', '${id(3)}', 2, 'question', 'Which?', 'Which one?', 'r'),
      ('${id(34)}', '${id(3)}', 2, 'oil, cream or custard', 'Oil, 2 drops', 'Oil, 3 drops', 'r');
  `);
  return db;
}

async function holdsFacts(db: Db): Promise<void> {
  const steps = await db.query('select dose from step order by position');
  expect(steps.rows.map(({ dose }) => dose)).toEqual([
    null,
    { kind: 'exact', amount: 12.5, measure: 'g', per: 'head' },
    { kind: 'range', from: 1, to: 2, measure: 'pea', per: 'section' },
    { kind: 'unknown' },
  ]);
  const arms = await db.query('select dose from arm_step');
  expect(arms.rows).toEqual([{ dose: { kind: 'exact', amount: 10, measure: 'ml', per: 'head' } }]);
  const amendments = await db.query('select slot, changes from amendment order by id');
  const ofTrial = (setting: string, was: unknown, becomes: unknown) => ({
    slot: null,
    changes: [{ setting, was, becomes }],
  });
  expect(amendments.rows).toEqual([
    ofTrial('primary', 'frizz', 'scalp'),
    ofTrial('cadenceDays', null, 4),
    ofTrial('line', 4, 3.5),
    ofTrial('question', 'Which?', 'Which one?'),
    { slot: 'emollient', changes: [{ setting: 'told', was: 'Oil, 2 drops', becomes: 'Oil, 3 drops' }] },
  ]);
}

describe('doses and changes of a promise as they were kept before', () => {
  it('become facts where a folder is upgraded', async () => {
    const db = await asBefore();
    await migrate(db);
    await holdsFacts(db);
  });

  it('become facts where the folder has to be built anew', { tags: 'soak' }, async () => {
    const former = new URL('../testing/former/011.cd2a2a036c800f802030c1cb4720ffa6.sql', import.meta.url);
    const db = await asBefore(11, readFileSync(former, 'utf8'));
    await migrate(db);
    await holdsFacts(db);
  });

  it('become facts where a backup of that time is read in', async () => {
    const file = path.join(folder, 'before.zip');
    await writeBackup(await asBefore(), file);
    const db = await emptyDatabase();
    await migrate(db);
    await readBackup(db, file);
    await holdsFacts(db);
  });
});

describe('a dose in the database', () => {
  let bench: TestBench;
  beforeAll(async () => {
    bench = await openBench();
    await bench.db.query('insert into routine (id, name) values ($1, $2)', [id(1), 'R']);
  });
  afterAll(() => bench.close());

  it.each([
    { kind: 'exact', amount: 0, measure: 'g', per: 'head' },
    { kind: 'exact', amount: 1, measure: 'bucket', per: 'head' },
    { kind: 'exact', amount: 1, measure: 'g', per: 'foot' },
    { kind: 'exact', amount: 1, per: 'head' },
    { kind: 'range', from: 2, to: 1, measure: 'g', per: 'head' },
    { kind: 'range', from: 1, measure: 'g', per: 'head' },
    { kind: 'some' },
    {},
  ])('is never %j', async (dose) => {
    await expect(
      bench.db.query(
        `insert into step (id, routine_id, position, slot, dose) values ($1, $2, 0, 'hold', $3)`,
        [id(2), id(1), JSON.stringify(dose)],
      ),
    ).rejects.toMatchObject({ code: '23514' });
  });
});
