import { v7 } from 'uuid';
import type { Db } from '../server/db/pool.ts';
import { readHairFile } from '../server/resources/hair-files/store.ts';
import { storeBatch } from '../server/resources/weather/store.ts';
import { onThrowaway } from './throwaway.ts';

const HOUR = 3_600_000;
const YEARS = 10;
const HOURS = YEARS * 365 * 24;
const AT_ONCE = 5000;

async function milliseconds(work: () => Promise<unknown>, times: number): Promise<number> {
  await work();
  const began = performance.now();
  for (let i = 0; i < times; i++) await work();
  return (performance.now() - began) / times;
}

/** Ten years of one head: a wash every six days with its clocks, tests, measures and events, at one place. */
async function liveTenYears(db: Db, placeId: string): Promise<string> {
  const wearerId = v7();
  const [routineId, trialId, armId] = [v7(), v7(), v7()];
  await db.query(`insert into wearer (id, name, time_zone) values ($1, 'Old Head', 'UTC')`, [wearerId]);
  await db.query(`insert into stay (id, wearer_id, locality_id, from_on) values ($1, $2, $3, '2015-01-01')`, [
    v7(),
    wearerId,
    placeId,
  ]);
  await db.query(`insert into routine (id, name, is_plan) values ($1, 'plan', true)`, [routineId]);
  await db.query(
    `insert into trial (id, wearer_id, plan_id, question, primary_outcome, line_value, matters, wash_days, wear_days, seed)
     values ($1, $2, $3, 'q', 'definition', 6, 1, 700, 3, 1)`,
    [trialId, wearerId, routineId],
  );
  await db.query(`insert into arm (id, trial_id, position, name) values ($1, $2, 0, 'a')`, [armId, trialId]);
  await db.query(
    `insert into wash_day (id, trial_id, position, arm_id, started_at, washed_at, dry80_at, dry_at)
     select gen_random_uuid(), $1, n, $2, t, t, t + interval '1 hour', t + interval '2 hours'
     from generate_series(0, 599) n, lateral (select '2016-01-01'::timestamptz + n * interval '6 days' as t) x`,
    [trialId, armId],
  );
  await db.query(
    `insert into wash_step (id, wash_day_id, position, slot, status, technique, tool, heat)
     select gen_random_uuid(), d.id, n, s, 'done', case s when 'hold' then 'scrunch' end,
       case s when 'dry' then 'diffuser' end, case s when 'dry' then 'low' end
     from wash_day d, unnest(array['cleanse', 'condition', 'hold', 'dry']) with ordinality as x(s, n)`,
  );
  await db.query(
    `insert into hair_event (id, wearer_id, kind, happened_on)
     select gen_random_uuid(), $1, (array['trim', 'clarify', 'protein-light', 'deep-condition', 'swim'])[1 + n % 5],
       '2016-01-01'::date + n * 3 from generate_series(0, 1199) n`,
    [wearerId],
  );
  await db.query(
    `insert into hair_test (id, wearer_id, kind, value, tested_on)
     select gen_random_uuid(), $1, 'bead', 30 + n % 90, '2016-01-01'::date + n * 12 from generate_series(0, 299) n`,
    [wearerId],
  );
  await db.query('analyze');
  return wearerId;
}

/** What only a database in use can tell, each beside a peer in the same run. */
export const benchStore = (): Promise<void> =>
  onThrowaway(async (db) => {
    const placeId = v7();
    await db.query(`insert into locality (id, name, time_zone) values ($1, 'Bench', 'UTC')`, [placeId]);
    const first = Date.UTC(2016, 0, 1);
    const rows = Array.from({ length: HOURS }, (_, i): [string, number, number, number, null] => [
      new Date(first + i * HOUR).toISOString(),
      10 + (i % 20),
      60 + (i % 30),
      3,
      null,
    ]);
    const began = performance.now();
    const batch = { id: v7(), placeId, source: 'csv' as const, name: 'ten years' };
    for (let i = 0; i < HOURS; i += AT_ONCE)
      await storeBatch(db, { ...batch, rows: rows.slice(i, i + AT_ONCE) });
    const ours = performance.now() - began;
    const peerBegan = performance.now();
    await db.query(
      `create temp table peer as select '2016-01-01'::timestamptz + n * interval '1 hour' as at, 10.0 as t, 60.0 as h,
         3.0 as w, null::numeric as g from generate_series(0, $1) n`,
      [HOURS - 1],
    );
    await db.query('alter table peer add primary key (at)');
    const peer = performance.now() - peerBegan;
    console.log(
      `${`${HOURS.toLocaleString('en')} hourly readings stored once`.padEnd(54)} ${`${(ours / 1000).toFixed(1)} s`.padStart(10)}   ${(peer / ours).toFixed(2).padStart(7)} × PostgreSQL making the same rows itself`,
    );
    const wearerId = await liveTenYears(db, placeId);
    const file = await milliseconds(() => readHairFile(db, wearerId), 20);
    const plain = await milliseconds(
      () =>
        Promise.all([
          db.query('select * from hair_event where wearer_id = $1', [wearerId]),
          db.query('select * from hair_test where wearer_id = $1', [wearerId]),
          db.query('select d.*, s.* from wash_day d join wash_step s on s.wash_day_id = d.id'),
        ]),
      20,
    );
    console.log(
      `${'a hair file with ten years of history'.padEnd(54)} ${`${file.toFixed(0)} ms`.padStart(10)}   ${(plain / file).toFixed(2).padStart(7)} × its rows read plainly`,
    );
  });
