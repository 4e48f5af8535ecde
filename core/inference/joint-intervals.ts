import { type Design, designOf } from '../trial/designs.ts';
import { armPattern, contrastOf, contrastsOf, layOut, reckoningOf, withGaps } from './effects.ts';
import type { Interval } from './inversion-interval.ts';
import { mostAt, referenceOf, shareOf, TIES } from './reference-set.ts';

/** Sequences beyond which one fixed sample stands for the set, the drawn one in it. Source: methods.md 3. */
const EXACT_UP_TO = 1000;
const SAMPLES = 999;
/** Points of the grid along each shift. Source: methods.md 3. */
const GRID = 61;
/** Farthest shift that is searched, in points of a 0–10 scale; a side that reaches it is open. */
const FARTHEST = 20;
/** Changes of the grid's span before it is taken as it is. */
const REFINEMENTS = 8;

/** What a shift of one in each of two directions adds to each day's number: arms 1 and 2 of three, or two factors. */
function directions(design: Design, codes: readonly number[]): [number[], number[]] {
  const { factors } = designOf(design);
  if (factors) {
    const [first, second] = factors;
    return [codes.map((code) => first[code]! - 0.5), codes.map((code) => second[code]! - 0.5)];
  }
  return [armPattern(design, codes, 1), armPattern(design, codes, 2)];
}

/**
 * Intervals of all contrasts of three arms (or of two factors' main effects) that hold together: for every vector of
 * shifts the shifts are taken out, the statistic is the largest |contrast|, p comes from the trial's own set, and a
 * contrast's interval is its range over all vectors that are not rejected at `alpha`. In the order of
 * {@link contrastsOf}; null where an arm cannot be told. A side at the edge of the search is open (infinite).
 * Source: methods.md 3 (joint intervals of three arms; residuals are never permuted). Throws a RangeError for other designs.
 */
export function jointIntervals(
  design: Design,
  values: readonly (number | null)[],
  codes: readonly number[],
  arms: number,
  alpha: number,
): (Interval | null)[] {
  const { factors } = designOf(design);
  if (arms !== 3 && !factors) throw new RangeError('Joint intervals are for three arms.');
  const contrasts = contrastsOf(design, arms);
  const nothing = contrasts.map(() => null);
  const { effects } = reckoningOf(design, arms);
  const own = layOut(design, [codes]);
  const numbers = withGaps(values);
  const estimate = contrasts.map((weights) => contrastOf(weights, effects(numbers, own, 0)));
  if (estimate.some(Number.isNaN)) return nothing;
  const reference = referenceOf(design, arms, codes.length, EXACT_UP_TO, SAMPLES);
  const [first, second] = directions(design, codes);
  const gapped = (pattern: readonly number[]) =>
    Float64Array.from(pattern, (x, day) => (Number.isNaN(numbers[day]!) ? Number.NaN : x));
  const series = [numbers, gapped(first), gapped(second)];

  // Every contrast of every sequence is linear in the shifts: y − δ₁p − δ₂q gives C(y) − δ₁C(p) − δ₂C(q).
  const K = contrasts.length;
  const linear = new Float64Array(reference.count * K * 3);
  let told = 0;
  for (let s = 0; s < reference.count; s++) {
    const parts = series.map((one) => Float64Array.from(effects(one, reference, s)));
    if (Number.isNaN(parts[0]![0]!) || parts[0]!.some(Number.isNaN)) continue;
    contrasts.forEach((weights, k) => {
      parts.forEach((part, i) => {
        linear[(told * K + k) * 3 + i] = contrastOf(weights, part);
      });
    });
    told++;
  }
  const always = reference.count - told;
  const most = mostAt(reference, alpha);
  if (most < 0 || always > most) return nothing;
  // How each contrast moves with the two shifts when they are really there.
  const direction: [number, number][] = factors
    ? [
        [1, 0],
        [0, 1],
      ]
    : contrasts.map((weights) => [weights[1]!, weights[2]!]);

  const kept = (u: number, v: number): boolean => {
    let observed = 0;
    for (let k = 0; k < K; k++)
      observed = Math.max(observed, Math.abs(estimate[k]! - u * direction[k]![0] - v * direction[k]![1]));
    const bound = observed - TIES;
    let extreme = always;
    for (let s = 0; s < told; s++) {
      for (let k = 0; k < K; k++) {
        const at = (s * K + k) * 3;
        const shown = linear[at]! - u * linear[at + 1]! - v * linear[at + 2]!;
        if (!(Math.abs(shown) < bound)) {
          extreme++;
          break;
        }
      }
      if (extreme > most) return true;
    }
    return false;
  };

  // The first two contrasts are the two directions themselves.
  const centre = [estimate[0]!, estimate[1]!] as const;
  const seen = values.flatMap((value) => value ?? []);
  let reach = Math.min(FARTHEST, Math.max(0.5, Math.max(...seen) - Math.min(...seen)));
  let low = estimate.slice();
  let high = estimate.slice();
  for (let round = 0; round < REFINEMENTS; round++) {
    const step = (2 * reach) / (GRID - 1);
    low = estimate.slice();
    high = estimate.slice();
    let [edge, widest] = [false, 0];
    for (let i = 0; i < GRID; i++)
      for (let j = 0; j < GRID; j++) {
        const [du, dv] = [-reach + i * step, -reach + j * step];
        const [u, v] = [centre[0] + du, centre[1] + dv];
        if (!kept(u, v)) continue;
        edge ||= i === 0 || j === 0 || i === GRID - 1 || j === GRID - 1;
        widest = Math.max(widest, Math.abs(du), Math.abs(dv));
        for (let k = 0; k < K; k++) {
          const at = u * direction[k]![0] + v * direction[k]![1];
          // The end lies between the last point that is kept and the next that is not: half a step on.
          low[k] = Math.min(low[k]!, at - step / 2);
          high[k] = Math.max(high[k]!, at + step / 2);
        }
      }
    if (edge && reach < FARTHEST) reach = Math.min(FARTHEST, reach * 2);
    else if (!edge && widest < reach / 2) reach = Math.max(1.3 * widest, 2 * step);
    else {
      if (edge)
        for (let k = 0; k < K; k++) {
          if (low[k]! < estimate[k]! - reach) low[k] = Number.NEGATIVE_INFINITY;
          if (high[k]! > estimate[k]! + reach) high[k] = Number.POSITIVE_INFINITY;
        }
      break;
    }
  }
  const level =
    1 -
    shareOf(
      { exact: true, count: reference.exact ? reference.count : reference.count + 1 },
      most + (reference.exact ? 0 : 1),
    );
  // A set that rejects no shift says nothing of that pair.
  return contrasts.map((_, k) =>
    low[k] === Number.NEGATIVE_INFINITY && high[k] === Number.POSITIVE_INFINITY
      ? null
      : { low: low[k]!, high: high[k]!, level },
  );
}
