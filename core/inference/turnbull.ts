/** A moment known to lie in (low, high], or at low exactly where high is low; high is Infinity where it was never seen. */
export interface Between {
  low: number;
  high: number;
}

/** Probability that a curve puts somewhere within (low, high]; where in it, the data leave open. */
export interface Mass extends Between {
  mass: number;
}

/** Largest gradient at which the likelihood counts as at its maximum. Source: methods.md 6. */
const GRADIENT = 1 + 1e-6;
const ROUNDS = 200_000;

/** The innermost intervals: a beginning with no other end or beginning before the end that follows it. */
function innermost(seen: readonly Between[]): Between[] {
  // At one moment a closed beginning comes first, then ends, then open beginnings.
  const ends = seen.flatMap(({ low, high }) => [
    { at: low, order: low === high ? 0 : 2, begins: true },
    { at: high, order: 1, begins: false },
  ]);
  ends.sort((a, b) => a.at - b.at || a.order - b.order);
  const found: Between[] = [];
  for (let i = 1; i < ends.length; i++)
    if (ends[i - 1]!.begins && !ends[i]!.begins) found.push({ low: ends[i - 1]!.at, high: ends[i]!.at });
  return found;
}

const holds = (outer: Between, inner: Between) =>
  inner.low >= outer.low &&
  inner.high <= outer.high &&
  // An exact moment at an open beginning lies outside.
  !(inner.low === inner.high && inner.low === outer.low && outer.high > outer.low);

/**
 * The non-parametric maximum-likelihood curve of interval-censored moments, as masses on the innermost intervals, those
 * without mass left out; empty without data. Self-consistency (EM) until the largest gradient is at most 1 + 1e-6.
 * Source: Turnbull (1976), J. R. Stat. Soc. B 38, 290–295; methods.md 6. Throws a RangeError where high lies under low.
 */
export function turnbull(seen: readonly Between[]): Mass[] {
  if (seen.some(({ low, high }) => !(high >= low))) throw new RangeError('A moment ends before it begins.');
  const support = innermost(seen);
  const within = seen.map((one) => support.flatMap((inner, j) => (holds(one, inner) ? [j] : [])));
  let mass = support.map(() => 1 / support.length);
  for (let round = 0; round < ROUNDS; round++) {
    const gradient = support.map(() => 0);
    for (const own of within) {
      const share = own.reduce((sum, j) => sum + mass[j]!, 0);
      for (const j of own) gradient[j]! += 1 / (share * seen.length);
    }
    if (Math.max(...gradient) <= GRADIENT) break;
    mass = mass.map((m, j) => m * gradient[j]!);
  }
  return support.flatMap((inner, j) => (mass[j]! > 1e-9 ? [{ ...inner, mass: mass[j]! }] : []));
}

/**
 * The mean moment up to `upTo`, every later one counted as that: at the lowest and the highest that the open stretches
 * leave, and in the middle. Source: methods.md 6.
 */
export function restrictedMean(
  curve: readonly Mass[],
  upTo: number,
): { low: number; middle: number; high: number } {
  let [low, high] = [0, 0];
  for (const { low: from, high: to, mass } of curve) {
    low += mass * Math.min(from, upTo);
    high += mass * Math.min(to, upTo);
  }
  return { low, middle: (low + high) / 2, high };
}
