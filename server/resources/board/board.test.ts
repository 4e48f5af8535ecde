import type { OwnBoard } from '@sabor/contract/board';
import type { HairFile } from '@sabor/contract/hair-file';
import type { LedgerWashDay } from '@sabor/contract/ingredients';
import type { Shelf } from '@sabor/contract/shelf';
import type { Trial, TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { forBoard } from '@sabor/reading/board-of';
import { Formulas } from '@sabor/reading/formulas';
import { groundOfDays } from '@sabor/reading/ground';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDemoBench, type TestBench } from '../../testing/bench.ts';

let bench: TestBench;
let ines: Wearer;
beforeAll(async () => {
  bench = await openDemoBench();
  ines = (await get<Wearer[]>('/wearers')).find(({ name }) => name.startsWith('Ines'))!;
});
afterAll(() => bench.close());

const get = async <T>(path: string) => (await bench.ask<T>('GET', `/api${path}`)).body;
const board = () => get<OwnBoard>(`/wearers/${ines.id}/board`);

describe('a head’s board', () => {
  /** Holds the server's answer against what the trials themselves come to. */
  async function mustBeWhole(): Promise<OwnBoard> {
    const { products } = await get<Shelf>('/shelf');
    const wearer = await get<Wearer>(`/wearers/${ines.id}`);
    const file = await get<HairFile>(`/wearers/${ines.id}/file`);
    const days = await get<LedgerWashDay[]>(`/wearers/${ines.id}/ledger`);
    const ground = groundOfDays(days, products, 'eu', new Formulas());
    const own = (await get<Trial[]>('/trials')).filter(({ wearerId }) => wearerId === ines.id);
    const found = await board();
    for (const { id } of own) {
      const trial = await get<TrialDetail>(`/trials/${id}`);
      const alone = forBoard({ trial, wearer, file, shelf: products, ground });
      if (alone.trial) expect(found.trials.find((one) => one.id === id)).toEqual(alone.trial);
      else expect(found.waiting).toContainEqual({ id, question: trial.question, why: alone.why });
    }
    expect(found.trials.length + found.waiting.length).toBe(own.length);
    return found;
  }

  it('is what a page would put together from the trials themselves, whatever was written since', async () => {
    const first = await mustBeWhole();
    expect(first.trials.length).toBeGreaterThan(5);
    const { id } = first.trials[0]!;
    const day = `(select id from wash_day where trial_id = '${id}' order by position limit 1)`;
    let before = first;
    for (const [written, seen] of [
      [
        `update wash_step set done_at = done_at + interval '20 min' where slot = 'dry' and wash_day_id = ${day}`,
        true,
      ],
      // All that does not show on the board at once.
      [
        `update wash_day set temperature_c = 31, humidity = 80, wind_ms = 1 where id = ${day};
        insert into overrule (id, trial_id, wash_day_id, difference, gravity, reason)
        select gen_random_uuid(), '${id}', ${day}, 'none', 'note', 'judged';
        insert into hair_event (id, wearer_id, kind, happened_on) select gen_random_uuid(), '${ines.id}', 'colour', current_date - 200;
        update wearer set note = 'seen' where id <> '${ines.id}'`,
        false,
      ],
      [`update product set price = price * 2`, true],
    ] as const) {
      await bench.db.query(written);
      const now = await mustBeWhole();
      if (seen) expect(now, written).not.toEqual(before);
      before = now;
    }
  });

  it('is made anew once anything was written, and keeps blind and unopened trials shut', async () => {
    const before = await board();
    expect(await board()).toEqual(before);
    const [first] = before.trials;
    await bench.db.query(`update trial set outcomes_shown_at = null where id = $1`, [first!.id]);
    const shut = await board();
    expect(shut.waiting).toContainEqual({ id: first!.id, question: first!.question, why: 'unopened' });
    expect(JSON.stringify(shut.trials)).not.toContain(first!.id);
    await bench.db.query(`update trial set outcomes_shown_at = now() where id = $1`, [first!.id]);
    expect(await board()).toEqual(before);
  });

  it('tells of a way what it sets otherwise, so that it can be judged by itself', async () => {
    const [first] = (await board()).trials;
    const { rows } = await bench.db.query<{ id: string; plan: string }>(
      `select a.id, t.plan_id as plan from arm a join trial t on t.id = a.trial_id where t.id = $1 order by a.position`,
      [first!.id],
    );
    // One product in all options, worked in by hand in two ways.
    await bench.db.query(
      `update step set part = case when slot = 'hold' then 'tested' else 'held' end where routine_id = $1`,
      [rows[0]!.plan],
    );
    await bench.db.query(`delete from arm_step where arm_id = any($1::uuid[])`, [rows.map(({ id }) => id)]);
    for (const [i, { id, plan }] of rows.entries())
      await bench.db.query(
        `insert into arm_step (arm_id, step_id, skipped, settings)
         select $1, id, false, jsonb_build_object('technique', $3::text) from step where routine_id = $2 and slot = 'hold'`,
        [id, plan, i === 0 ? 'praying' : 'scrunch'],
      );
    const now = (await board()).trials.find(({ id }) => id === first!.id)!;
    expect(now.arms.map(({ kind, ways }) => [kind, ways])).toEqual([
      ['way', [['technique', 'praying']]],
      ['way', [['technique', 'scrunch']]],
    ]);
  });

  it('of nobody is refused in words', async () => {
    const { status } = await bench.ask('GET', `/api/wearers/${crypto.randomUUID()}/board`);
    expect(status).toBe(404);
  });
});
