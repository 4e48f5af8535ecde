import { dewPoint } from '@sabor/core/climate/dew-point';
import type { Place } from '@sabor/core/hair/zones';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import type { Random } from '@sabor/core/trial/random';

/**
 * How the demo's hair behaves: a truth per arm, and noise of the kind real wash days have. All numbers are invented.
 * A reading = start + zone + decay·(day − 1) + weather + this wash day's own luck + the rater's wobble.
 */
export interface HairTruth {
  start: Record<Outcome, number>;
  /** Change per day of wear. */
  perDay: Record<Outcome, number>;
}

const ZONE_OFFSET: Record<Outcome, Partial<Record<Place, number>>> = {
  definition: { hairline: -1.0, crown: -0.4, side: 0.3, back: 0.6 },
  frizz: { hairline: 1.1, crown: 0.6, side: -0.2, back: -0.6 },
  volume: { hairline: -0.3, crown: 0.4, side: 0.1, back: -0.2 },
  shine: { hairline: -0.3, crown: 0.2 },
  softness: { hairline: -0.3, back: 0.3 },
  hold: { hairline: -0.4, back: 0.2 },
};

/** Points per °C of dew point over 9 °C. */
const WEATHER: Record<Outcome, number> = {
  definition: -0.05,
  frizz: 0.09,
  volume: 0.02,
  shine: 0,
  softness: 0,
  hold: -0.05,
};

const WASH_DAY_SD = 0.45;
const RATER_SD = 0.55;

/** A standard normal number (Box–Muller). */
export function normal(random: Random): number {
  const u = 1 - random.unit();
  return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * random.unit());
}

export interface Air {
  temperatureC: number;
  humidity: number;
}

/** A damp coast: mild, seldom dry. */
export function coastAir(random: Random): Air {
  const temperatureC = Math.round((11 + 3.5 * normal(random)) * 10) / 10;
  const humidity = Math.min(98, Math.max(48, Math.round(80 + 10 * normal(random))));
  return { temperatureC, humidity };
}

/** Mean wind on that coast in m/s: mostly a breeze, now and then more. */
export const coastWind = (random: Random): number => Math.round(10 * (1 + 11 * random.unit() ** 2)) / 10;

/** One wash day's luck: a number per outcome that every reading of that day shares. */
export function washDayLuck(random: Random): Record<Outcome, number> {
  return Object.fromEntries(
    (Object.keys(OUTCOMES) as Outcome[]).map((outcome) => [outcome, WASH_DAY_SD * normal(random)]),
  ) as Record<Outcome, number>;
}

/** A rating 0…10 in halves. */
export function rate(
  truth: HairTruth,
  luck: Record<Outcome, number>,
  air: Air,
  outcome: Outcome,
  place: Place,
  day: number,
  random: Random,
): number {
  const dew = dewPoint(air.temperatureC, air.humidity) ?? 0;
  const value =
    truth.start[outcome] +
    (ZONE_OFFSET[outcome][place] ?? 0) +
    truth.perDay[outcome] * (day - 1) +
    WEATHER[outcome] * (dew - 9) +
    luck[outcome] +
    RATER_SD * normal(random);
  return Math.min(10, Math.max(0, Math.round(value * 2) / 2));
}
