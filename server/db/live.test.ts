import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../testing/bench.ts';
import { sampleWashDay } from '../testing/samples.ts';
import { Live } from './live.ts';

let bench: TestBench;
let live: Live;
beforeAll(async () => {
  bench = await openBench();
  live = new Live(bench.db.options.connectionString!);
  await live.open();
});
afterAll(async () => {
  await live.close();
  await bench.close();
});

const never = new AbortController().signal;
/** Whether somebody who waits is let go before they would give up. */
const heard = async (id: string, change: () => Promise<unknown>): Promise<boolean> => {
  const began = Date.now();
  const change_ = live.next(id, 20_000, never);
  await change();
  await change_;
  return Date.now() - began < 19_000;
};

describe('changes of wash days', () => {
  it('are heard whoever made them: by a form, a tap, a picture, hours outdoors, the trial', async () => {
    const { day } = await sampleWashDay(bench);
    const at = new Date().toISOString();
    const photo = '01990000-0000-7000-8000-000000000001';
    for (const change of [
      () => bench.ask('PATCH', `/api/wash-days/${day.id}`, { note: 'by a window' }),
      () =>
        bench.ask('POST', `/api/wash-days/${day.id}/taps`, {
          device: 'phone',
          taps: [{ id: '01990000-0000-7000-8000-000000000002', at, kind: 'day', set: { strain: 1 } }],
        }),
      () =>
        bench.ask('PUT', `/api/photographs/${photo}`, {
          washDayId: day.id,
          stage: 'wet',
          day: null,
          angle: 'front',
          takenAt: at,
          type: 'image/jpeg',
          width: 8,
          height: 8,
          size: 10,
        }),
      () =>
        bench.ask('PUT', `/api/wash-days/${day.id}/outdoors/${day.localDate}`, {
          outdoorHours: 1,
          indoorHours: 2,
        }),
      () => bench.db.query('update trial set question = question where id = $1', [day.trialId]),
      () =>
        bench.db.query(
          `insert into photograph_measured (photograph_id, measured_at, rule_mm) values ('${photo}', now(), 100)`,
        ),
    ])
      expect(await heard(day.id, change)).toBe(true);
  });

  it('let nobody go who waits for another day, and whoever leaves or has waited long enough', async () => {
    const [one, other] = [(await sampleWashDay(bench)).day, (await sampleWashDay(bench)).day];
    let gone = false;
    const stop = new AbortController();
    const waiting = live.next(one.id, 20_000, stop.signal).then(() => (gone = true));
    expect(await heard(other.id, () => bench.ask('PATCH', `/api/wash-days/${other.id}`, { note: 'x' }))).toBe(
      true,
    );
    expect(gone).toBe(false);
    stop.abort();
    await waiting;
    await live.next(one.id, 20, never);
    await live.next(one.id, 20_000, AbortSignal.abort());
  });

  it('let all go when their connection is lost, and are heard again afterwards', async () => {
    const { day } = await sampleWashDay(bench);
    const cut = () =>
      bench.db.query(
        `select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and query ilike 'listen %'`,
      );
    expect(await heard(day.id, cut)).toBe(true);
    expect(live.hears).toBe(false);
    await expect.poll(() => live.hears, { timeout: 120_000 }).toBe(true);
    expect(await heard(day.id, () => bench.ask('PATCH', `/api/wash-days/${day.id}`, { note: 'again' }))).toBe(
      true,
    );
  });

  it('are not told one by one while a backup is read in', async () => {
    const { day } = await sampleWashDay(bench);
    // That the day was made may still be on its way.
    let asked: number;
    do {
      asked = Date.now();
      await live.next(day.id, 1000, never);
    } while (Date.now() - asked < 900);
    const client = await bench.db.connect();
    const waiting = live.next(day.id, 500, never);
    const began = Date.now();
    await client.query('begin');
    await client.query(`set local sabor.unrecorded = 'on'`);
    await client.query(`update wash_day set note = 'read in' where id = $1`, [day.id]);
    await client.query('commit');
    client.release();
    await waiting;
    expect(Date.now() - began).toBeGreaterThan(450);
  });
});
