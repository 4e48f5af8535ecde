import { median } from '../middle.ts';
/** One sample of a scale: milliseconds on any steady clock, grams. */
export interface ScaleSample {
  ms: number;
  grams: number;
}

export interface StableRules {
  /** How long the plate must have been at rest, ms. */
  restMs: number;
  /** How many samples at least in that time. */
  least: number;
  /** Widest spread in it, grams, from its lowest to its highest. */
  spreadGrams: number;
  /** Steepest slope in it, grams a second. */
  slope: number;
}

/** For a kitchen scale that shows tenths of a gram and sends ten samples a second. Model assumption. */
export const KITCHEN_SCALE: StableRules = { restMs: 900, least: 6, spreadGrams: 0.6, slope: 0.25 };

/** Least-squares slope of grams on seconds. */
function slopeOf(samples: readonly ScaleSample[]): number {
  const n = samples.length;
  const t = samples.reduce((sum, { ms }) => sum + ms, 0) / n / 1000;
  const g = samples.reduce((sum, { grams }) => sum + grams, 0) / n;
  let [above, below] = [0, 0];
  for (const { ms, grams } of samples) {
    above += (ms / 1000 - t) * (grams - g);
    below += (ms / 1000 - t) ** 2;
  }
  return below === 0 ? 0 : above / below;
}

/**
 * The reading a scale has come to rest at, in grams (the median of the rest), or null while it moves. `samples` oldest
 * first, as far as they are kept. At rest: long enough, enough samples without a gap, narrow, and level.
 */
export function stableReading(
  samples: readonly ScaleSample[],
  rules: StableRules = KITCHEN_SCALE,
): number | null {
  const last = samples.at(-1);
  if (!last) return null;
  const from = last.ms - rules.restMs;
  const rest = samples.filter(({ ms }) => ms >= from);
  const before = samples.length > rest.length;
  if (rest.length < rules.least || (!before && last.ms - samples[0]!.ms < rules.restMs)) return null;
  for (let i = 1; i < rest.length; i++) if (rest[i]!.ms - rest[i - 1]!.ms > rules.restMs / 2) return null;
  const grams = rest.map((sample) => sample.grams);
  if (Math.max(...grams) - Math.min(...grams) > rules.spreadGrams) return null;
  if (Math.abs(slopeOf(rest)) > rules.slope) return null;
  return median(grams);
}

/** Grams used between two weighings, or a sentence why they cannot be that. */
export function gramsUsed(
  before: number | null,
  after: number | null,
): { grams: number } | { problem: string } | null {
  if (before === null || after === null) return null;
  const grams = before - after;
  if (grams < -0.5)
    return { problem: 'The bottle weighs more than before. Weigh it again, without lid or water on it.' };
  return { grams: Math.max(0, Math.round(grams * 10) / 10) };
}
