import { chainMeans, type Density, densityOf } from './chain.ts';
import type { Bounds } from './intervals.ts';
import type { Typical } from './typical.ts';

/** Steps by which a tilt is found, and how near to its sum in % it comes. */
const STEPS = 40;
const CLOSE = 0.01;
/** Largest tilt, for each % of a share. */
const STEEPEST = 64;

const sumOf = (shares: readonly number[]) => shares.reduce((sum, share) => sum + share, 0);

/**
 * The tilt at which shares add up to `target`, or as near to it as bounds and order let them; `atNought` is their sum
 * without one. Regula falsi with the weight of an end that stays twice halved (the Illinois rule: Dowell & Jarratt 1971,
 * BIT 11, 168–174, from memory), halving the stretch outright every third step.
 */
function tiltTo(sumAt: (theta: number) => number, target: number, atNought: number): number {
  const way = atNought > target ? -1 : 1;
  // Both ends, and how far each is from the target; the near one starts without a tilt.
  let [near, off] = [0, atNought - target];
  let [far, over] = [way * STEEPEST, Number.NaN];
  // Gentle tilts are far the commonest: feel for the scale first.
  for (let theta = 0.02; theta < STEEPEST; theta *= 4) {
    const gap = sumAt(way * theta) - target;
    if (Math.abs(gap) < CLOSE) return way * theta;
    if (Math.sign(gap) === way || gap === 0) {
      [far, over] = [way * theta, gap];
      break;
    }
    [near, off] = [way * theta, gap];
  }
  let stayed: 'near' | 'far' | null = null;
  for (let i = 0; i < STEPS; i++) {
    const straight = near - (off * (far - near)) / (over - off);
    const theta = Number.isNaN(straight) || i % 3 === 2 ? (near + far) / 2 : straight;
    const gap = sumAt(theta) - target;
    if (Math.abs(gap) < CLOSE) return theta;
    if (Math.sign(gap) === Math.sign(off)) {
      [near, off] = [theta, gap];
      if (stayed === 'far') over /= 2;
      stayed = 'far';
    } else {
      [far, over] = [theta, gap];
      if (stayed === 'near') off /= 2;
      stayed = 'near';
    }
  }
  return (near + far) / 2;
}

/**
 * Expected shares in %, chain first, then off-chain (methods.md 2): over the whole feasible set, every place of the 1 %
 * line at once, with typical shares as the prior and the first item taking what is left. `chain` and `off` are the
 * possible intervals of {@link shareIntervals}. Exact on a log grid but for the total, which the others are tilted to where
 * they would leave the first outside its own interval or behind the second. Nothing is drawn, so a list always gives the
 * same. Checked against seeded sampling of the same model.
 */
export function expectedShares(
  chain: readonly Bounds[],
  off: readonly Bounds[],
  typical: readonly Typical[],
  total = 100,
): number[] {
  const [first, ...rest] = chain;
  const aside: Density[] = off.map((bounds, i) => densityOf(bounds, typical[chain.length + i]!));
  const others: Density[] = rest.map((bounds, i) => densityOf(bounds, typical[i + 1]!));
  const at = (theta: number) => ({
    means: chainMeans(others, theta),
    apart: aside.flatMap((one) => chainMeans([one], theta)),
  });
  const sumAt = (theta: number) => {
    const { means, apart } = at(theta);
    return sumOf(means) + sumOf(apart);
  };
  let found = at(0);
  if (!first) return found.apart;
  const sum = sumOf(found.means) + sumOf(found.apart);
  const least = Math.max(first.low, found.means[0] !== undefined && found.means[0] > 1 ? found.means[0] : 0);
  if (total - sum > first.high + CLOSE) found = at(tiltTo(sumAt, total - first.high, sum));
  else if (total - sum < least - CLOSE) {
    // The first needs its least, or its lead: what it keeps moves with the second.
    const withFirst = ({ means, apart }: typeof found) =>
      sumOf(means) + sumOf(apart) + Math.max(first.low, (means[0] ?? 0) > 1 ? means[0]! : 0);
    found = at(tiltTo((theta) => withFirst(at(theta)), total, withFirst(found)));
  }
  return [total - sumOf(found.means) - sumOf(found.apart), ...found.means, ...found.apart];
}
