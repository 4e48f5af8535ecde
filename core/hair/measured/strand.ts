import type { Strand } from '../traits.ts';

/** Strand classes by diameter in micrometres, upper limits exclusive. Common practice, no source. */
export const STRAND_LIMITS_UM = { fine: 60, medium: 80 } as const;

/** The class of a strand of `micrometres` across. Throws a RangeError outside 10…200 µm, which no hair is. */
export function strandClass(micrometres: number): Strand {
  if (!(micrometres >= 10 && micrometres <= 200))
    throw new RangeError('A hair is between 10 and 200 micrometres across. Check the reading.');
  if (micrometres < STRAND_LIMITS_UM.fine) return 'fine';
  return micrometres < STRAND_LIMITS_UM.medium ? 'medium' : 'coarse';
}
