import { chiSquareOf, normals, type Random, seededRandom } from '../random.ts';
import { DESIGNS, type Design, oneActs, schemeOf } from '../trial/designs.ts';
import { type DayNumbers, deciderOf } from './decide.ts';
import { layOut } from './effects.ts';
import { firstLookAfter, reach } from './reach.ts';
import { referenceOf } from './reference-set.ts';

/** How the main result is rated. The scale's steps and ends cost power; null in a plan leaves both out. */
export interface RatedScale {
  /** Ratings go in steps of this many points. */
  step: number;
  /** Zones that make one number: of the head, in half-heads of each half. */
  zones: number;
  /** Where the arms that do not differ stand on the scale, 0 to 10. */
  level: number;
}

/** What a simulated trial is like. Differences, noise, drift and bias are in points of the main result. */
export interface PowerPlan {
  design: Design;
  arms: number;
  days: number;
  looks: 1 | 2;
  alpha: number;
  better: 'higher' | 'lower';
  noise: {
    /** SD between wash days of one arm; in half-heads that of left less right. */
    sd: number;
    /** Degrees of freedom it was learned with; null for an assumption taken as it is. */
    freedom: number | null;
  };
  scale: RatedScale | null;
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

/** A world in which wash days differ by their noise alone, and every one gets its number, on a scale without steps or ends. */
export const NOISE_ALONE = {
  scale: null,
  weatherSd: 0,
  drift: 0,
  bias: 0,
  lag: 0,
  carryOver: 0,
  missing: 0,
} as const satisfies Partial<PowerPlan>;

export interface PowerPoint {
  difference: number;
  /** Share of simulated trials that named an arm. */
  power: number;
  /** 95 % interval of that share from the number of simulations (Wilson 1927). */
  low: number;
  high: number;
}

/** SD between the zones of one head on one day, beyond the day's own luck. Model assumption. */
export const ZONE_SD = 0.8;
/** Sequences beyond which a reference set is sampled, and how many then. */
export interface SetLimits {
  exactUpTo: number;
  samples: number;
}
const USUAL_LIMITS: SetLimits = { exactUpTo: 5000, samples: 1999 };

/** True effect of each arm: the last stands `difference` over the others; in two factors the first factor's second level. */
const effectsOf = ({ design, arms }: PowerPlan, difference: number): number[] =>
  oneActs(design, arms).map((acts) => acts * difference);

/** A number a day as the tester's ratings would give it: each zone rounded to the scale's steps and cut at its ends. */
function rater(scale: RatedScale | null, normal: () => number): (latent: number) => number {
  if (scale === null) return (latent) => latent;
  const { step, zones, level } = scale;
  return (latent) => {
    let sum = 0;
    for (let zone = 0; zone < zones; zone++) {
      const felt = level + latent + ZONE_SD * normal();
      sum += Math.min(10, Math.max(0, Math.round(felt / step) * step));
    }
    return sum / zones;
  };
}

/**
 * Draws a plan's trials one after the other: `run(difference)` gives whether the trial named an arm, by the very
 * decision a real trial's verdict takes ({@link deciderOf}).
 */
function simulator(
  plan: PowerPlan,
  random: Random,
  { exactUpTo, samples } = USUAL_LIMITS,
): (difference: number) => boolean {
  const { design, arms, days, better, scale, noise } = plan;
  const scheme = schemeOf(design, arms, days);
  const able = reach(design, arms, days, plan.looks, plan.alpha);
  const normal = normals(random);
  const decide = deciderOf(design, arms, referenceOf(design, arms, days, exactUpTo, samples), better);
  const { halves } = DESIGNS[design];
  const rate = rater(scale, normal);
  // What zones add to a day's number is part of the noise that was learned from such numbers.
  const zoneVariance = scale === null ? 0 : ((halves ? 2 : 1) * ZONE_SD ** 2) / scale.zones;
  const fresh = Math.sqrt(1 - plan.lag ** 2);
  const last = arms - 1;
  const left = new Float64Array(days);
  const right = new Float64Array(days);
  const numbers: DayNumbers = { left, right: halves ? right : null };

  function ratings(own: ReturnType<typeof layOut>, effects: readonly number[]): void {
    const spread =
      noise.freedom === null
        ? noise.sd
        : noise.sd * Math.sqrt(noise.freedom / chiSquareOf(normal, noise.freedom));
    const sd = Math.sqrt(Math.max(0, spread ** 2 - zoneVariance) + (halves ? 0 : plan.weatherSd ** 2));
    let luck = sd * normal();
    for (let day = 0; day < days; day++) {
      luck = plan.lag * luck + fresh * sd * normal();
      const [l, r] = [own.plus[day]!, own.minus[day]!];
      const behind = (arm: number | undefined) => (day > 0 && arm === last ? plan.carryOver : 0);
      const [wasLeft, wasRight] = [own.plus[day - 1], own.minus[day - 1]];
      const lost = plan.missing > 0 && random.unit() < plan.missing;
      if (halves) {
        // Both halves share the day; half-heads bear it, but for the ends of the scale.
        const shared = scale === null ? 0 : spread * normal();
        left[day] = rate(shared + effects[l]! + behind(wasLeft) + plan.bias / 2 + luck / 2);
        right[day] = rate(shared + effects[r]! + behind(wasRight) - plan.bias / 2 - luck / 2);
      } else
        left[day] = rate(effects[l]! + behind(wasLeft) + (plan.drift * day) / Math.max(1, days - 1) + luck);
      if (lost) left[day] = Number.NaN;
    }
  }

  return (difference) => {
    const own = layOut(design, [scheme.sample(random)]);
    ratings(own, effectsOf(plan, better === 'higher' ? difference : -difference));
    if (able.first?.decides) {
      const upTo = firstLookAfter(days);
      const early: DayNumbers = {
        left: left.map((value, day) => (day < upTo ? value : Number.NaN)),
        right: halves ? right : null,
      };
      if (decide(own, early, upTo, able.first.alpha, true).standing === 'decided') return true;
    }
    return able.decides && decide(own, numbers, days, able.last.alpha, true).standing === 'decided';
  };
}

/** 95 % interval of a share. Source: Wilson (1927), J. Am. Stat. Assoc. 22, 209–212. */
export function wilson(hits: number, n: number): { low: number; high: number } {
  const z = 1.959964;
  const share = hits / n;
  const centre = (share + (z * z) / (2 * n)) / (1 + (z * z) / n);
  const reached = (z / (1 + (z * z) / n)) * Math.sqrt((share * (1 - share)) / n + (z * z) / (4 * n * n));
  return { low: Math.max(0, centre - reached), high: Math.min(1, centre + reached) };
}

/**
 * Power of a plan by simulation: `trials` made-up trials for each true difference, each drawn, rated on the scale, with
 * its missing days, and read as a real trial is: enough looks an arm, the test on the plan's own set, the bound for
 * missing days. An SD that was learned is drawn anew for each trial from what its degrees of freedom allow.
 * A plan that cannot decide has no power. Source: methods.md 3. Throws an AllocationError where the plan cannot be.
 */
export function simulatePower(
  plan: PowerPlan,
  differences: readonly number[],
  trials: number,
  seed: number,
  progress: (share: number) => void = () => {},
  limits = USUAL_LIMITS,
): PowerPoint[] {
  const run = simulator(plan, seededRandom(seed), limits);
  return differences.map((difference, i) => {
    let hits = 0;
    for (let trial = 0; trial < trials; trial++) if (run(difference)) hits++;
    progress((i + 1) / differences.length);
    return { difference, power: hits / trials, ...wilson(hits, trials) };
  });
}

/**
 * Whether a plan finds `difference` with at least `power` in `trials` made-up trials: as {@link simulatePower}, but it stops
 * as soon as the rest cannot change the answer. Throws as that does.
 */
export function reachesPower(
  plan: PowerPlan,
  difference: number,
  power: number,
  trials: number,
  seed: number,
  limits = USUAL_LIMITS,
): boolean {
  const run = simulator(plan, seededRandom(seed), limits);
  const enough = Math.ceil(power * trials);
  let hits = 0;
  for (let trial = 0; trial < trials; trial++) {
    if (run(difference)) hits++;
    if (hits >= enough || hits + trials - trial - 1 < enough) break;
  }
  return hits >= enough;
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

/** Differences, in standard deviations of the noise, at which a plan's power is looked at for {@link differenceFound}. */
const STEPS_OF_SD = Array.from({ length: 20 }, (_, i) => 0.4 + 0.2 * i);

/**
 * The difference a plan finds with 80 %, in standard deviations of its noise (whole heads: between wash days of an arm;
 * half-heads: of left less right); null where it finds none up to 4.2. Nothing missing, an unbounded scale without steps.
 */
export function differenceFound(
  design: Design,
  arms: number,
  days: number,
  looks: 1 | 2,
  alpha: number,
  trials = 800,
): number | null {
  if (!reach(design, arms, days, looks, alpha).decides) return null;
  const plan: PowerPlan = {
    ...NOISE_ALONE,
    ...{ design, arms, days, looks, alpha, better: 'higher' },
    noise: { sd: 1, freedom: null },
  };
  const run = simulator(plan, seededRandom(11));
  const points: PowerPoint[] = [];
  for (const difference of STEPS_OF_SD) {
    let hits = 0;
    for (let trial = 0; trial < trials; trial++) if (run(difference)) hits++;
    points.push({ difference, power: hits / trials, ...wilson(hits, trials) });
    if (hits / trials >= 0.8) return detectable(points);
  }
  return null;
}
