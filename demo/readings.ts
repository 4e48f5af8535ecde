import type { Place } from '@sabor/core/hair/zones';
import type { Outcome } from '@sabor/core/outcomes/outcomes';
import { type Random, standardNormal } from '@sabor/core/random';

/** Of each outcome the demo rates, what zones differ by. */
const ZONE_OFFSET = {
  definition: { hairline: -1.0, crown: -0.4, side: 0.3, back: 0.6 },
  frizz: { hairline: 1.1, crown: 0.6, side: -0.2, back: -0.6 },
  volume: { hairline: -0.3, crown: 0.4, side: 0.1, back: -0.2 },
  shine: { hairline: -0.3, crown: 0.2 },
  softness: { hairline: -0.3, back: 0.3 },
  hold: { hairline: -0.4, back: 0.2 },
  scalp: { hairline: -0.3 },
} satisfies Partial<Record<Outcome, Partial<Record<Place, number>>>>;
export type Rated = keyof typeof ZONE_OFFSET;
export const RATED = Object.keys(ZONE_OFFSET) as Rated[];

/**
 * How the demo's hair behaves: a truth per arm, and noise of the kind real wash days have. All numbers are invented.
 * A reading = start + zone + decay·(day − 1) + this wash day's own luck + the rater's wobble. It does not mind the
 * weather, which is the simulated station's and so differs with the day on which the demo is loaded.
 */
export interface HairTruth {
  start: Record<Rated, number>;
  /** Change per day of wear. */
  perDay: Record<Rated, number>;
}

const WASH_DAY_SD = 0.45;
const RATER_SD = 0.55;

/** Where chance comes from. The scalp has its own stream: it was rated from a later version on, and moved nothing else. */
export interface Lots {
  hair: Random;
  scalp: Random;
}

const lotOf = (lots: Lots, outcome: Rated) => (outcome === 'scalp' ? lots.scalp : lots.hair);

/** One wash day's luck: a number per outcome that every reading of that day shares. */
export function washDayLuck(lots: Lots): Record<Rated, number> {
  return Object.fromEntries(
    RATED.map((outcome) => [outcome, WASH_DAY_SD * standardNormal(lotOf(lots, outcome))]),
  ) as Record<Rated, number>;
}

/** A rating 0…10 in halves. */
export function rate(
  truth: HairTruth,
  luck: Record<Rated, number>,
  outcome: Rated,
  place: Place,
  day: number,
  lots: Lots,
): number {
  const value =
    truth.start[outcome] +
    ((ZONE_OFFSET[outcome] as Partial<Record<Place, number>>)[place] ?? 0) +
    truth.perDay[outcome] * (day - 1) +
    luck[outcome] +
    RATER_SD * standardNormal(lotOf(lots, outcome));
  return Math.min(10, Math.max(0, Math.round(value * 2) / 2));
}
