import type { Density } from '../traits.ts';

/** Density classes by ponytail circumference in mm, upper limits exclusive (2 and 4 inches). Common practice, no source. */
export const PONYTAIL_LIMITS_MM = { low: 50, medium: 100 } as const;

/** Cross-section in mm² of a round ponytail of the given circumference in mm: C²/4π. */
export const crossSection = (circumferenceMm: number): number => circumferenceMm ** 2 / (4 * Math.PI);

/** The class of a ponytail. Throws a RangeError for a circumference that is not positive or over 400 mm. */
export function densityClass(circumferenceMm: number): Density {
  if (!(circumferenceMm > 0 && circumferenceMm <= 400))
    throw new RangeError('A ponytail measures up to 400 mm around. Check the reading.');
  if (circumferenceMm < PONYTAIL_LIMITS_MM.low) return 'low';
  return circumferenceMm < PONYTAIL_LIMITS_MM.medium ? 'medium' : 'high';
}
