import type { Comparison, TrialRecord } from '@sabor/core/compare/comparison';
import { wrap } from 'comlink';

interface Remote {
  compareTrial(record: TrialRecord): Comparison;
}

/** Runs the comparison off the page's thread; the worker ends with the work. */
export async function compareInWorker(record: TrialRecord): Promise<Comparison> {
  const worker = new Worker(new URL('./comparison.worker.ts', import.meta.url), { type: 'module' });
  try {
    return await wrap<Remote>(worker).compareTrial(record);
  } finally {
    worker.terminate();
  }
}
