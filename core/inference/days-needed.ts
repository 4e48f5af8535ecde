import { daysOffered, MOST_DAYS } from '../trial/designs.ts';
import { type PowerPlan, reachesPower, type SetLimits } from './power.ts';
import { reach } from './reach.ts';

/** Power that a number of wash days is to reach. */
const POWER = 0.8;
const TRIALS = 500;
const LIMITS: SetLimits = { exactUpTo: 1000, samples: 999 };
const SEED = 20_261;

/** How many wash days it takes; null is more than a plan here holds. */
export interface DaysNeeded {
  /** With the noise as uncertain as it is. */
  usual: number | null;
  /** If the noise is just what was seen, and if it is twice that. */
  ifRight: number | null;
  ifTwice: number | null;
}

/** The fewest wash days of a design at which a plan finds `difference` with 80 %; null over {@link MOST_DAYS}. */
function fewest(plan: PowerPlan, difference: number): number | null {
  const offered = daysOffered(plan.design, plan.arms).filter(
    (days) => reach(plan.design, plan.arms, days, plan.looks, plan.alpha).decides,
  );
  const enough = (days: number) => reachesPower({ ...plan, days }, difference, POWER, TRIALS, SEED, LIMITS);
  let [low, high] = [0, offered.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (enough(offered[middle]!)) high = middle;
    else low = middle + 1;
  }
  return offered[low] ?? null;
}

/**
 * How many wash days a design needs to see `difference` with 80 % power, by simulating the whole plan: its scheme, looks,
 * scale, missing days and the uncertainty of its noise. It comes from the noise and the difference one would notice, never
 * from the effect seen (methods.md 3). Throws a RangeError without either.
 */
export function daysNeeded(plan: Omit<PowerPlan, 'days'>, difference: number): DaysNeeded {
  const { sd } = plan.noise;
  if (!(sd >= 0) || !(difference > 0))
    throw new RangeError('Needs a standard deviation and a difference that matters.');
  const whole = { ...plan, days: MOST_DAYS };
  const as = (noise: PowerPlan['noise']) => fewest({ ...whole, noise }, difference);
  const ifRight = as({ sd, freedom: null });
  return {
    usual: plan.noise.freedom === null ? ifRight : as(plan.noise),
    ifRight,
    ifTwice: as({ sd: 2 * sd, freedom: null }),
  };
}
