import type { Comparison, TrialRecord } from '@sabor/core/compare/comparison';
import type { PanelResult } from '@sabor/core/trial/panel';
import { type Remote, wrap } from 'comlink';

interface Api {
  compareTrial(record: TrialRecord): Comparison;
  panelTest(
    rows: readonly (readonly number[])[],
    values: readonly (readonly (number | null)[])[],
    arms: number,
    seed: number,
  ): PanelResult;
}

/** Work off the page's thread; the worker ends with it. */
async function inWorker<T>(work: (api: Remote<Api>) => Promise<T>): Promise<T> {
  const worker = new Worker(new URL('./comparison.worker.ts', import.meta.url), { type: 'module' });
  try {
    return await work(wrap<Api>(worker));
  } finally {
    worker.terminate();
  }
}

export const compareInWorker = (record: TrialRecord): Promise<Comparison> =>
  inWorker((api) => api.compareTrial(record));

export const panelInWorker = (
  rows: readonly (readonly number[])[],
  values: readonly (readonly (number | null)[])[],
  arms: number,
  seed: number,
): Promise<PanelResult> => inWorker((api) => api.panelTest(rows, values, arms, seed));
