import type { Comparison } from '@sabor/core/compare/comparison';
import type { TrialRecord } from '@sabor/core/compare/trial-record';
import type { DaysNeeded } from '@sabor/core/inference/days-needed';
import type { PanelReach, PanelResult } from '@sabor/core/trial/panel';
import { type Remote, wrap } from 'comlink';
import type { ComparisonWorker } from './comparison.worker.ts';

/** Work off the page's thread; the worker ends with it. */
async function inWorker<T>(work: (api: Remote<ComparisonWorker>) => Promise<T>): Promise<T> {
  const worker = new Worker(new URL('./comparison.worker.ts', import.meta.url), { type: 'module' });
  try {
    return await work(wrap<ComparisonWorker>(worker));
  } finally {
    worker.terminate();
  }
}

export const compareInWorker = (record: TrialRecord): Promise<Comparison> =>
  inWorker((api) => api.compareTrial(record));

/** How many wash days it would take; simulates the plan, so it comes after the comparison. */
export const daysNeededInWorker = (record: TrialRecord, comparison: Comparison): Promise<DaysNeeded | null> =>
  inWorker((api) => api.daysNeededAfter(record, comparison));

export const panelInWorker = (
  rows: readonly (readonly number[])[],
  values: readonly (readonly (number | null)[])[],
  arms: number,
  better: 'higher' | 'lower',
): Promise<PanelResult> => inWorker((api) => api.panelTest(rows, values, arms, better));

export const panelReachInWorker = (arms: number, heads: number): Promise<PanelReach> =>
  inWorker((api) => api.panelReach(arms, heads));
