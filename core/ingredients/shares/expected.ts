import { chainMeans, type Density, densityOf } from './chain.ts';
import type { Bounds } from './intervals.ts';
import type { Typical } from './typical.ts';

/** Halvings by which a tilt is found, and how near to its sum in % it comes. */
const HALVINGS = 30;
const CLOSE = 0.01;
/** Largest tilt, for each % of a share. */
const STEEPEST = 64;

const sumOf = (shares: readonly number[]) => shares.reduce((sum, share) => sum + share, 0);

/** The tilt at which shares add up to `target`, or as near to it as bounds and order let them. */
function tiltTo(sumAt: (theta: number) => number, target: number): number {
  let [low, high] = sumAt(0) > target ? [-STEEPEST, 0] : [0, STEEPEST];
  // Gentle tilts are far the commonest: feel for the scale first.
  for (let near = 0.01; near < STEEPEST; near *= 4) {
    if (low < 0 && sumAt(-near) <= target) {
      low = -near;
      break;
    }
    if (high > 0 && sumAt(near) >= target) {
      high = near;
      break;
    }
  }
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    const sum = sumAt(middle);
    if (Math.abs(sum - target) < CLOSE) return middle;
    if (sum < target) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
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
  if (total - sum > first.high + CLOSE) found = at(tiltTo(sumAt, total - first.high));
  else if (total - sum < least - CLOSE) {
    // The first needs its least, or its lead: what it keeps moves with the second.
    const over = (theta: number) => {
      const { means } = at(theta);
      return sumAt(theta) + Math.max(first.low, (means[0] ?? 0) > 1 ? means[0]! : 0);
    };
    found = at(tiltTo(over, total));
  }
  return [total - sumOf(found.means) - sumOf(found.apart), ...found.means, ...found.apart];
}
