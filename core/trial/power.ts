import { DESIGNS, type Design, HALF_PAIRS, schemeOf } from './designs.ts';
import { type Random, seededRandom } from './random.ts';

/** What a simulated trial is like. Differences, noise, drift and bias are in points of the primary outcome. */
export interface PowerPlan {
  design: Design;
  arms: number;
  days: number;
  /** Level of the last look; with two looks `firstAlpha` is that of the one half-way. */
  alpha: number;
  firstAlpha: number | null;
  noise: {
    /** SD between wash days of one arm; in half-heads that of left less right. */
    sd: number;
    /** Degrees of freedom it was learned with; null for an assumption taken as it is. */
    freedom: number | null;
  };
  /** Further SD from the weather of each wash day; nothing in half-heads, whose halves share it. */
  weatherSd: number;
  /** Change from the first wash day to the last that no arm causes: season, growth, habit. */
  drift: number;
  /** Left's own bias against right, in half-heads. */
  bias: number;
  /** Share of the last wash day's own luck that is still there on the next, whatever the arm: 0 to under 1. */
  lag: number;
  /** What the arm that differs leaves behind for the next wash day: carry-over of that arm, which a lot cannot undo. */
  carryOver: number;
  /** Chance that a wash day ends without its number. */
  missing: number;
}

export interface PowerPoint {
  difference: number;
  /** Share of simulated trials in which the planned test decided. */
  power: number;
  /** 95 % interval of that share from the number of simulations (Wilson 1927). */
  low: number;
  high: number;
}

/** Sequences beyond which a reference set is sampled. */
const EXACT_LIMIT = 1000;
/** Sampled sequences where the set is larger: p is then (b + 1)/(B + 1). */
const SAMPLED = 999;
const TIES = 1e-9;

/** A reference set of a design's lot, laid out for speed: the arm each day adds to, and the one it takes from. */
interface Reference {
  count: number;
  days: number;
  plus: Int8Array;
  minus: Int8Array;
  exact: boolean;
}

function sidesOf(design: Design, code: number): [number, number] {
  if (!DESIGNS[design].halves) return [code, -1];
  return design === 'half-three' ? [...HALF_PAIRS[code]!] : [code, 1 - code];
}

function referenceOf(plan: PowerPlan, random: Random): Reference {
  const scheme = schemeOf(plan.design, plan.arms, plan.days);
  const exact = scheme.size <= EXACT_LIMIT;
  const sequences = exact
    ? [...scheme.enumerate()]
    : Array.from({ length: SAMPLED }, () => scheme.sample(random));
  const plus = new Int8Array(sequences.length * plan.days);
  const minus = new Int8Array(sequences.length * plan.days);
  sequences.forEach((sequence, s) => {
    sequence.forEach((code, day) => {
      const [left, right] = sidesOf(plan.design, code);
      plus[s * plan.days + day] = left;
      minus[s * plan.days + day] = right;
    });
  });
  return { count: sequences.length, days: plan.days, plus, minus, exact };
}

/** The statistic of every design, as `designStatistic` has it, without allocating. NaN values are days left out. */
function statistic(
  values: Float64Array,
  plus: Int8Array,
  minus: Int8Array,
  from: number,
  days: number,
  arms: number,
  factorial: boolean,
  sums: Float64Array,
  counts: Int32Array,
): number {
  for (let a = 0; a < arms; a++) {
    sums[a] = 0;
    counts[a] = 0;
  }
  for (let day = 0; day < days; day++) {
    const value = values[day]!;
    if (Number.isNaN(value)) continue;
    const p = plus[from + day]!;
    sums[p]! += value;
    counts[p]!++;
    const m = minus[from + day]!;
    if (m >= 0) {
      sums[m]! -= value;
      counts[m]!++;
    }
  }
  if (factorial) {
    const [a, b, c, d] = [
      sums[0]! / counts[0]!,
      sums[1]! / counts[1]!,
      sums[2]! / counts[2]!,
      sums[3]! / counts[3]!,
    ];
    return Math.max(Math.abs(c + d - a - b), Math.abs(b + d - a - c));
  }
  let least = Number.POSITIVE_INFINITY;
  let most = Number.NEGATIVE_INFINITY;
  for (let a = 0; a < arms; a++) {
    const effect = sums[a]! / counts[a]!;
    if (Number.isNaN(effect)) return Number.NaN;
    if (effect < least) least = effect;
    if (effect > most) most = effect;
  }
  return most - least;
}

/** Standard normal numbers, two at a time (Box & Muller 1958). */
function normals(random: Random): () => number {
  let spare: number | null = null;
  return () => {
    if (spare !== null) {
      const kept = spare;
      spare = null;
      return kept;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - random.unit()));
    const angle = 2 * Math.PI * random.unit();
    spare = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
}

/** True effect of each arm: the last stands `difference` over the others; in two factors the first factor's second level. */
const effectsOf = (plan: PowerPlan, difference: number): number[] =>
  Array.from({ length: plan.arms }, (_, arm) =>
    plan.design === 'factorial' ? (arm >= 2 ? difference : 0) : arm === plan.arms - 1 ? difference : 0,
  );

/** A simulator of one plan; `share(difference, trials)` gives how often the planned test decides. */
function simulator(plan: PowerPlan, seed: number) {
  const random = seededRandom(seed);
  const normal = normals(random);
  const reference = referenceOf(plan, random);
  const scheme = schemeOf(plan.design, plan.arms, plan.days);
  const { halves } = DESIGNS[plan.design];
  const factorial = plan.design === 'factorial';
  const values = new Float64Array(plan.days);
  const half = new Float64Array(plan.days);
  const sums = new Float64Array(plan.arms);
  const counts = new Int32Array(plan.arms);
  const own = { plus: new Int8Array(plan.days), minus: new Int8Array(plan.days) };
  const { freedom, sd } = plan.noise;
  const last = plan.arms - 1;
  const fresh = Math.sqrt(1 - plan.lag ** 2);

  const chiSquare = (df: number) => {
    let sum = 0;
    for (let i = 0; i < df; i++) sum += normal() ** 2;
    return sum;
  };

  const decides = (at: Float64Array, alpha: number): boolean => {
    const seen = statistic(at, own.plus, own.minus, 0, plan.days, plan.arms, factorial, sums, counts);
    if (Number.isNaN(seen)) return false;
    const size = reference.exact ? reference.count : reference.count + 1;
    const most = Math.floor(alpha * size + TIES) - (reference.exact ? 0 : 1);
    let atLeast = 0;
    for (let s = 0; s < reference.count; s++) {
      const one = statistic(
        at,
        reference.plus,
        reference.minus,
        s * plan.days,
        plan.days,
        plan.arms,
        factorial,
        sums,
        counts,
      );
      // A sequence that leaves an arm without a number cannot speak against the one that was drawn.
      if (!(one < seen - TIES) && ++atLeast > most) return false;
    }
    return true;
  };

  const one = (effects: readonly number[]): boolean => {
    const sequence = scheme.sample(random);
    const spread = freedom === null ? sd : sd * Math.sqrt(freedom / chiSquare(freedom));
    const noise = Math.hypot(spread, halves ? 0 : plan.weatherSd);
    let luck = noise * normal();
    for (let day = 0; day < plan.days; day++) {
      const [left, right] = sidesOf(plan.design, sequence[day]!);
      own.plus[day] = left;
      own.minus[day] = right;
      const effect = right < 0 ? effects[left]! : effects[left]! - effects[right]!;
      const residue =
        (day > 0 && own.plus[day - 1] === last ? 1 : 0) - (day > 0 && own.minus[day - 1] === last ? 1 : 0);
      luck = plan.lag * luck + fresh * noise * normal();
      const trend = halves ? 0 : (plan.drift * day) / Math.max(1, plan.days - 1);
      values[day] = effect + plan.carryOver * residue + trend + (halves ? plan.bias : 0) + luck;
      if (plan.missing > 0 && random.unit() < plan.missing) values[day] = Number.NaN;
    }
    if (plan.firstAlpha !== null) {
      const upTo = Math.ceil(plan.days / 2);
      for (let day = 0; day < plan.days; day++) half[day] = day < upTo ? values[day]! : Number.NaN;
      if (decides(half, plan.firstAlpha)) return true;
    }
    return decides(values, plan.alpha);
  };

  return {
    share: (difference: number, trials: number): PowerPoint => {
      const effects = effectsOf(plan, difference);
      let hits = 0;
      for (let i = 0; i < trials; i++) if (one(effects)) hits++;
      return { difference, power: hits / trials, ...wilson(hits, trials) };
    },
  };
}

/** 95 % interval of a share. Source: Wilson (1927), J. Am. Stat. Assoc. 22, 209–212. */
export function wilson(hits: number, n: number): { low: number; high: number } {
  const z = 1.959964;
  const share = hits / n;
  const centre = (share + (z * z) / (2 * n)) / (1 + (z * z) / n);
  const reach = (z / (1 + (z * z) / n)) * Math.sqrt((share * (1 - share)) / n + (z * z) / (4 * n * n));
  return { low: Math.max(0, centre - reach), high: Math.min(1, centre + reach) };
}

/**
 * Power of a plan by simulation: `trials` made-up trials for each true difference, each drawn, run and tested as the
 * plan says (randomisation test on the plan's own lot, exact where it has up to 1,000 sequences). An SD that was learned
 * is drawn anew for each trial from what its degrees of freedom allow. Throws an AllocationError where the plan cannot be.
 * Source: methods.md 3.
 */
export function simulatePower(
  plan: PowerPlan,
  differences: readonly number[],
  trials: number,
  seed: number,
  progress: (share: number) => void = () => {},
): PowerPoint[] {
  const { share } = simulator(plan, seed);
  return differences.map((difference, i) => {
    const point = share(difference, trials);
    progress((i + 1) / differences.length);
    return point;
  });
}

/** The smallest difference a plan sees with this power, between the simulated ones; null where none reaches it. */
export function detectable(points: readonly PowerPoint[], power = 0.8): number | null {
  const sorted = points.toSorted((a, b) => a.difference - b.difference);
  for (let i = 0; i < sorted.length; i++) {
    const [here, before] = [sorted[i]!, sorted[i - 1]];
    if (here.power < power) continue;
    if (!before) return here.difference;
    const along = (power - before.power) / (here.power - before.power);
    return before.difference + along * (here.difference - before.difference);
  }
  return null;
}
