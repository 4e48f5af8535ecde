import { type Design, designOf, oneActs, schemeOf } from '../trial/designs.ts';
import { dueBy, FEWEST_LOOKS } from './decide.ts';
import { reckoningOf, type Sides } from './effects.ts';
import { extremes, type Reference, referenceOf, shareOf } from './reference-set.ts';

/** Level of a single look. */
export const ALPHA = 0.05;
/** Levels of two promised looks. Source: methods.md 3. */
export const LOOKS = { first: 0.01, last: 0.04 } as const;

/** The wash days that are in at the first of two looks. */
export const firstLookAfter = (days: number): number => Math.ceil(days / 2);

/** The level of the last look of a trial with so many looks. */
export const lastAlpha = (looks: 1 | 2, alpha = ALPHA): number =>
  looks === 2 ? Math.min(alpha, LOOKS.last) : alpha;

/** What one look of a plan can reach. */
export interface LookReach {
  /** Wash days that are in by then. */
  days: number;
  alpha: number;
  /** The p of a trial without noise in which one arm stands apart from equal others (two factors: one of them acts). */
  oneApartP: number;
  /** Whether that is at or under the look's level; never where an arm has too few looks by then. */
  decides: boolean;
}

/** What a plan can reach, before it starts. */
export interface Reach {
  /** How many ways its arms can fall. */
  sequences: number;
  /** The smallest p its statistic can give, whatever the numbers. */
  smallestP: number;
  last: LookReach;
  /** Null where one look was promised. */
  first: LookReach | null;
  /** Whether its last look can decide; else it can only describe. */
  decides: boolean;
}

/** Sets enumerated to see what a plan can reach; beyond, a sample tells p to a few thousandths. */
const EXACT_UP_TO = 20_000;
const SAMPLES = 4_999;
/** Drawn sequences whose p is taken the median of. */
const DRAWN = 15;

/**
 * The smallest p a design's statistic can reach on its own set, whatever the numbers. Sequences that only rename arms,
 * mirror sides, or move the arms between the two extremes about, tie and count together. Checked against enumeration.
 * Source: methods.md 3 (the smallest p is the smallest the statistic can reach on the set).
 */
export function smallestP(design: Design, arms: number, days: number): number {
  const { size } = schemeOf(design, arms, days);
  return size === 1 ? 1 : designOf(design).smallestP(arms, days, size);
}

/** The median p without noise, one arm apart, over drawn sequences, when the first `upTo` days are in. */
function oneApart(design: Design, arms: number, days: number, upTo: number, reference: Reference): number {
  const reckoning = reckoningOf(design, arms);
  const drawn = Math.min(DRAWN, reference.count);
  const acts = oneActs(design, arms);
  const ps = Array.from({ length: drawn }, (_, i) => {
    const s = Math.floor((i * reference.count) / drawn);
    const from = s * days;
    const own: Sides = {
      count: 1,
      days,
      plus: reference.plus.slice(from, from + days),
      minus: reference.minus.slice(from, from + days),
    };
    if (dueBy(own, arms, upTo).some((n) => n < FEWEST_LOOKS)) return 1;
    const values = Float64Array.from({ length: days }, (_, day) =>
      day >= upTo ? Number.NaN : acts[own.plus[day]!]! - (own.minus[day]! >= 0 ? acts[own.minus[day]!]! : 0),
    );
    const observed = reckoning.statistic(values, own, 0);
    return Number.isNaN(observed) ? 1 : shareOf(reference, extremes(reckoning, values, reference, observed));
  }).sort((a, b) => a - b);
  return ps[Math.floor((ps.length - 1) / 2)]!;
}

const known = new Map<string, Reach>();

/**
 * What a plan can reach. "Can decide" means that one arm apart from equal others is found when there is no noise: the
 * median p of such trials is at or under the look's level (methods.md 3). Before-and-after plans, plans of one arm and
 * plans that leave an arm under three looks cannot. Throws an AllocationError where arms and days do not go together.
 */
export function reach(design: Design, arms: number, days: number, looks: 1 | 2 = 1, alpha = ALPHA): Reach {
  const key = `${design} ${arms} ${days} ${looks} ${alpha}`;
  const found = known.get(key);
  if (found) return found;
  const { size } = schemeOf(design, arms, days);
  const lot = size > 1;
  const reference = lot ? referenceOf(design, arms, days, EXACT_UP_TO, SAMPLES) : null;
  const look = (upTo: number, level: number): LookReach => {
    const p = reference ? oneApart(design, arms, days, upTo, reference) : 1;
    return { days: upTo, alpha: level, oneApartP: p, decides: p <= level };
  };
  const last = look(days, lastAlpha(looks, alpha));
  const answer: Reach = {
    sequences: size,
    smallestP: smallestP(design, arms, days),
    last,
    first: looks === 2 ? look(firstLookAfter(days), LOOKS.first) : null,
    decides: last.decides,
  };
  known.set(key, answer);
  return answer;
}
