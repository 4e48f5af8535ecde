import type { PowerPlan } from '@sabor/core/inference/power';
import type { Reach } from '@sabor/core/inference/reach';
import type { Design } from '@sabor/core/trial/designs';
import { proxy, type Remote, wrap } from 'comlink';
import type { PowerAnswer, PowerWorker } from './power.worker.ts';

/** A simulation under way off the page's thread; `cancel` ends it at once. */
export function powerInWorker(
  plan: PowerPlan,
  asked: {
    differences: readonly number[];
    ends: readonly number[];
    others: readonly number[];
    matters: number;
    trials: number;
    seed: number;
  },
  progress: (share: number) => void,
): { answer: Promise<PowerAnswer>; cancel: () => void } {
  const worker = new Worker(new URL('./power.worker.ts', import.meta.url), { type: 'module' });
  const { differences, ends, others, matters, trials, seed } = asked;
  const answer = wrap<PowerWorker>(worker)
    .power(plan, differences, ends, others, matters, trials, seed, proxy(progress))
    .finally(() => worker.terminate());
  return { answer, cancel: () => worker.terminate() };
}

async function inWorker<T>(work: (api: Remote<PowerWorker>) => Promise<T>): Promise<T> {
  const worker = new Worker(new URL('./power.worker.ts', import.meta.url), { type: 'module' });
  try {
    return await work(wrap<PowerWorker>(worker));
  } finally {
    worker.terminate();
  }
}

/** The difference a plan finds four times in five, in standard deviations of its noise; null where it finds none. */
export const foundInWorker = (
  design: Design,
  arms: number,
  days: number,
  looks: 1 | 2,
): Promise<number | null> => inWorker((api) => api.found(design, arms, days, looks));

/** What a design can reach with each of several numbers of wash days; half a second for the larger ones. */
export const reachesInWorker = (
  design: Design,
  arms: number,
  days: readonly number[],
  looks: 1 | 2,
): Promise<Reach[]> => inWorker((api) => api.reaches(design, arms, days, looks));
