import { nonNegative } from './nnls.ts';

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
const ROUNDS = 500;
/** Rounds of self-consistency before the first step: they empty most of what will be empty. */
const WARM = 12;
/** Mass that is none. */
const LEAST = 1e-7;

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

/** Moments that were seen alike, once each, with the share of all that they are. */
function alike(seen: readonly Between[]): (Between & { share: number })[] {
  const found = new Map<string, Between & { share: number }>();
  for (const { low, high } of seen) {
    const key = `${low} ${high}`;
    const one = found.get(key);
    if (one) one.share += 1 / seen.length;
    else found.set(key, { low, high, share: 1 / seen.length });
  }
  return [...found.values()];
}

/**
 * The non-parametric maximum-likelihood curve of interval-censored moments, as masses on the innermost intervals, those
 * without mass left out; empty without data. The likelihood's quadratic at the masses so far gives the next ones, with a step
 * that shortens while it does not help, until the largest gradient is at most 1 + 1e-6; moments seen alike count
 * together. Source: Turnbull (1976), J. R. Stat. Soc. B 38, 290–295; Wang (2008), Comput. Stat. Data Anal. 52,
 * 2388–2402 (constrained Newton); methods.md 6. Throws a RangeError where high lies under low.
 */
export function turnbull(seen: readonly Between[]): Mass[] {
  if (seen.some(({ low, high }) => !(high >= low))) throw new RangeError('A moment ends before it begins.');
  const kinds = alike(seen);
  const support = innermost(kinds);
  const m = support.length;
  // What a kind holds of the support are neighbours: from first to before end.
  const first = kinds.map((one) => support.findIndex((inner) => holds(one, inner)));
  const end = kinds.map((one, i) => {
    let at = first[i]!;
    while (at < m && holds(one, support[at]!)) at++;
    return at;
  });
  /** Each kind's probability. */
  const chances = (mass: Float64Array): Float64Array => {
    const upTo = new Float64Array(m + 1);
    for (let j = 0; j < m; j++) upTo[j + 1] = upTo[j]! + mass[j]!;
    return Float64Array.from(kinds, (_, i) => upTo[end[i]!]! - upTo[first[i]!]!);
  };
  const gradientAt = (all: Float64Array): Float64Array => {
    const steps = new Float64Array(m + 1);
    for (const [i, { share }] of kinds.entries()) {
      steps[first[i]!]! += share / all[i]!;
      steps[end[i]!]! -= share / all[i]!;
    }
    const gradient = new Float64Array(m);
    let sum = 0;
    for (let j = 0; j < m; j++) gradient[j] = sum += steps[j]!;
    return gradient;
  };
  const logLikelihood = (all: Float64Array) =>
    kinds.reduce((sum, { share }, i) => sum + share * Math.log(all[i]!), 0);
  const consistent = (mass: Float64Array, gradient: Float64Array) => mass.map((p, j) => p * gradient[j]!);

  let mass = new Float64Array(m).fill(1 / m);
  let all = chances(mass);
  for (let round = 0; round < WARM; round++) {
    mass = consistent(mass, gradientAt(all));
    all = chances(mass);
  }
  for (let round = 0; round < ROUNDS; round++) {
    const gradient = gradientAt(all);
    if (!(Math.max(...gradient) > GRADIENT)) break;
    const places = worthFreeing(mass, gradient);
    const k = places.length;
    // With masses adding up to one, the quadratic is the sum of squares of S·q − 2, S being within over chance.
    const gram = new Float64Array(k * k).fill(1);
    for (const [i, { share }] of kinds.entries()) {
      const row = places.map((j) => (j >= first[i]! && j < end[i]! ? 1 / all[i]! : 0) - 2);
      for (let a = 0; a < k; a++) {
        const by = share * row[a]!;
        for (let b = 0; b < k; b++) gram[a * k + b]! += by * row[b]!;
      }
    }
    const next = nonNegative(gram, new Float64Array(k).fill(1), k);
    const sum = next.reduce((a, b) => a + b, 0);
    const way = mass.map((p) => -p);
    for (const [a, j] of places.entries()) way[j]! += next[a]! / sum;
    const before = logLikelihood(all);
    const rise = way.reduce((total, d, j) => total + d * gradient[j]!, 0);
    let step = 1;
    for (; step > 1e-6; step /= 2) {
      const tried = mass.map((p, j) => Math.max(0, p + step * way[j]!));
      const then = chances(tried);
      if (!(logLikelihood(then) >= before + (step * rise) / 3)) continue;
      [mass, all] = [tried, then];
      break;
    }
    if (step <= 1e-6) {
      // Self-consistency never falls.
      mass = consistent(mass, gradient);
      all = chances(mass);
    }
  }
  // Self-consistency once more: what is known exactly has just its share.
  mass = consistent(mass, gradientAt(all));
  return support.flatMap((inner, j) => (mass[j]! > 1e-9 ? [{ ...inner, mass: mass[j]! }] : []));
}

/** Places that a next step may give mass: those that have some, and between any two of them the one that promises most. */
function worthFreeing(mass: Float64Array, gradient: Float64Array): number[] {
  const found: number[] = [];
  let best = -1;
  const gap = () => {
    if (best >= 0 && gradient[best]! > 1) found.push(best);
    best = -1;
  };
  for (let j = 0; j < mass.length; j++)
    if (mass[j]! > LEAST) {
      gap();
      found.push(j);
    } else if (best < 0 || gradient[j]! > gradient[best]!) best = j;
  gap();
  return found;
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
