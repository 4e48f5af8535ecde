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
import { demoSource } from '../../../scripts/start/demo.ts';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { loadBackup } from '../backup/load.ts';

let bench: TestBench;
let ines: Wearer;
beforeAll(async () => {
  bench = await openBench();
  await loadBackup(bench.db, demoSource(new Date()));
  ines = (await get<Wearer[]>('/wearers')).find(({ name }) => name.startsWith('Ines'))!;
});
afterAll(() => bench.close());

const get = async <T>(path: string) => (await bench.ask<T>('GET', `/api${path}`)).body;
const board = () => get<OwnBoard>(`/wearers/${ines.id}/board`);

describe('a head’s board', () => {
  it('is what a page would put together from the trials themselves', async () => {
    const { products } = await get<Shelf>('/shelf');
    const file = await get<HairFile>(`/wearers/${ines.id}/file`);
    const days = await get<LedgerWashDay[]>(`/wearers/${ines.id}/ledger`);
    const ground = groundOfDays(days, products, 'eu', new Formulas());
    const own = (await get<Trial[]>('/trials')).filter(({ wearerId }) => wearerId === ines.id);
    const { trials, waiting } = await board();
    expect(trials.length).toBeGreaterThan(5);
    for (const { id } of own) {
      const trial = await get<TrialDetail>(`/trials/${id}`);
      const found = forBoard({ trial, wearer: ines, file, shelf: products, ground });
      if (found.trial) expect(trials.find((one) => one.id === id)).toEqual(found.trial);
      else expect(waiting).toContainEqual({ id, question: trial.question, why: found.why });
    }
    expect(trials.length + waiting.length).toBe(own.length);
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

  it('of nobody is refused in words', async () => {
    const { status } = await bench.ask('GET', `/api/wearers/${crypto.randomUUID()}/board`);
    expect(status).toBe(404);
  });
});
