import type { NewTap, Tap, TapsHeard } from '@sabor/contract/taps';
import type { WashDay } from '@sabor/contract/wash-day';
import { v7 } from 'uuid';
import type { Answer, TestBench } from './bench.ts';

/** Taps one thing during the wash, as a phone does; gives the server's answer. Throws where the tap was refused. */
export async function tap(bench: TestBench, washDayId: string, said: NewTap): Promise<Answer<TapsHeard>> {
  const one = { at: new Date().toISOString(), ...said, id: v7() } as Tap;
  const answer = await bench.ask<TapsHeard>('POST', `/api/wash-days/${washDayId}/taps`, {
    device: 'phone',
    taps: [one],
  });
  const [refused] = answer.body.refused ?? [];
  if (refused) throw new Error(refused.detail);
  return answer;
}

type Set = Extract<NewTap, { kind: 'step' }>['set'];

/** Says something of a step. */
export const tapStep = async (
  bench: TestBench,
  washDayId: string,
  stepId: string,
  set: Set,
): Promise<WashDay> => (await tap(bench, washDayId, { kind: 'step', stepId, set })).body.day;

/** Ends the routine. */
export const tapFinish = async (bench: TestBench, washDayId: string): Promise<WashDay> =>
  (await tap(bench, washDayId, { kind: 'finish' })).body.day;
