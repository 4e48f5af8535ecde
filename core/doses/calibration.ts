import { studentQuantile } from '../inference/student-t.ts';
import type { Spread } from './dose.ts';

/** Repeats a calibration asks for. Common practice, no source. */
export const REPEATS = 10;
/** Fewest that say anything about a spread. */
export const FEWEST_REPEATS = 3;

export interface Calibration {
  n: number;
  /** Mean and standard deviation of one measure, grams. */
  mean: number;
  sd: number;
  /** 95 % interval of the mean, grams. Source: Student's t, as in the NIST/SEMATECH e-Handbook 1.3.5.2. */
  ofMean: readonly [number, number];
  /** Within which the next single measure falls in 95 of 100: a prediction interval, grams, never under 0. */
  ofOne: readonly [number, number];
  /** Whether one measure shows that a dose was held within a fifth: its prediction interval is narrower than that. */
  showsHeld: boolean;
}

/** What weighed repeats of one measure say, in grams; null for fewer than three or for no spread of positive weights. */
export function calibrate(grams: readonly number[], tolerance = 0.2): Calibration | null {
  const n = grams.length;
  if (n < FEWEST_REPEATS || grams.some((g) => !(g > 0) || !Number.isFinite(g))) return null;
  const mean = grams.reduce((sum, g) => sum + g, 0) / n;
  const sd = Math.sqrt(grams.reduce((sum, g) => sum + (g - mean) ** 2, 0) / (n - 1));
  const t = studentQuantile(0.975, n - 1);
  const about = (half: number): [number, number] => [Math.max(0, mean - half), mean + half];
  const ofOne = about(t * sd * Math.sqrt(1 + 1 / n));
  return {
    n,
    mean,
    sd,
    ofMean: about((t * sd) / Math.sqrt(n)),
    ofOne,
    showsHeld: ofOne[0] >= mean * (1 - tolerance) && ofOne[1] <= mean * (1 + tolerance),
  };
}

/** One measure of a product in ml, low to high, as its weighing has it (1 g taken as 1 ml); null without enough weights. */
export function calibratedSpread(grams: readonly number[]): Spread | null {
  const found = calibrate(grams);
  return found && { low: found.ofOne[0], usual: found.mean, high: found.ofOne[1] };
}
