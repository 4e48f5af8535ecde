import { studentQuantile } from '../inference/student-t.ts';
import { matters, PHOTO_MEASURES, type PhotoMeasure } from './measures.ts';

/** The picture's own error, from hair photographed again unchanged. */
export interface PictureError {
  /** Standard deviation of one picture, in the measure's unit or, for sizes, of its logarithm. */
  sd: number;
  /** Pictures less sets. */
  freedom: number;
  /** What two pictures of the same hair differ by at most, 95 times in 100; a ratio less one for sizes. */
  most: number;
}

/**
 * The picture's own error of a measure over sets of pictures, each set of one unchanged head of hair; sets of one picture
 * say nothing. Null where none has two, or a size is not over 0. With one set of five pictures `most` is 3.93 standard
 * deviations, with one of ten 3.20. Source: methods.md 4; the within-subject deviation and repeatability of Bland & Altman
 * (1996), BMJ 312, 744, with t for the normal quantile.
 */
export function pictureError(
  measure: PhotoMeasure,
  sets: readonly (readonly number[])[],
): PictureError | null {
  const ratio = PHOTO_MEASURES[measure].kind === 'ratio';
  let [squares, freedom] = [0, 0];
  for (const set of sets) {
    if (set.length < 2) continue;
    if (set.some((value) => !Number.isFinite(value) || (ratio && value <= 0))) return null;
    const values = ratio ? set.map(Math.log) : set;
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    squares += values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
    freedom += values.length - 1;
  }
  if (freedom === 0) return null;
  const sd = Math.sqrt(squares / freedom);
  const apart = studentQuantile(0.975, freedom) * Math.SQRT2 * sd;
  return { sd, freedom, most: ratio ? Math.expm1(apart) : apart };
}

/** How two pictures' values lie to each other. */
export interface Told {
  /** Second less first, in the measure's unit. */
  difference: number;
  /** Whether shooting twice alone would differ as much; null where the picture's error is not known. */
  same: boolean | null;
  /** From which difference on it is worth switching for, in the measure's unit; the same whichever comes first. */
  worth: number;
}

/** Two values of a measure beside the picture's own error. */
export function tellApart(measure: PhotoMeasure, a: number, b: number, error: PictureError | null): Told {
  const difference = b - a;
  const worth = matters(measure, (a + b) / 2);
  if (!error) return { difference, same: null, worth };
  const apart =
    PHOTO_MEASURES[measure].kind === 'ratio' ? Math.max(a, b) / Math.min(a, b) - 1 : Math.abs(difference);
  return { difference, same: apart <= error.most, worth };
}
