import { differenceFound, type PowerPlan, type PowerPoint, simulatePower } from '@sabor/core/inference/power';
import { ALPHA, type Reach, reach } from '@sabor/core/inference/reach';
import type { Design } from '@sabor/core/trial/designs';
import { expose } from 'comlink';

export interface PowerAnswer {
  /** Power over true differences, the noise as learned or assumed. */
  curve: PowerPoint[];
  /** The same at the ends of what the noise may be; empty where it is taken as it is. */
  ends: PowerPoint[][];
  /** Power for the difference that matters, with other numbers of wash days. */
  byDays: { days: number; point: PowerPoint }[];
}

/** Runs every simulation a plan asks for, telling how far it is. */
function power(
  plan: PowerPlan,
  differences: readonly number[],
  ends: readonly number[],
  others: readonly number[],
  matters: number,
  trials: number,
  seed: number,
  progress: (share: number) => void,
): PowerAnswer {
  const parts = 1 + ends.length + others.length / differences.length;
  let done = 0;
  const told = (share: number) => progress(Math.min(1, (done + share) / parts));
  const curve = simulatePower(plan, differences, trials, seed, told);
  done++;
  const band = ends.map((sd) => {
    const points = simulatePower(
      { ...plan, noise: { sd, freedom: null } },
      differences,
      Math.ceil(trials / 4),
      seed,
      told,
    );
    done++;
    return points;
  });
  const byDays = others.map((days) => {
    const [point] = simulatePower({ ...plan, days }, [matters], Math.ceil(trials / 2), seed);
    done += 1 / differences.length;
    told(0);
    return { days, point: point! };
  });
  return { curve, ends: band, byDays };
}

/** The difference a plan finds four times in five, in standard deviations of its noise. */
const found = (design: Design, arms: number, days: number, looks: 1 | 2) =>
  differenceFound(design, arms, days, looks, ALPHA);

/** What a design can reach with each of several numbers of wash days. */
const reaches = (design: Design, arms: number, days: readonly number[], looks: 1 | 2): Reach[] =>
  days.map((n) => reach(design, arms, n, looks));

const api = { power, found, reaches };
export type PowerWorker = typeof api;

expose(api);
