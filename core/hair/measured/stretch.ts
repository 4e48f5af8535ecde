import { seededRandom, standardNormal } from '../../random.ts';

/** Lengths in mm of one wet strand: at rest, gently stretched, and let go again. */
export interface StretchTest {
  wetMm: number;
  stretchedMm: number;
  releasedMm: number;
}

export const STRETCH_CALLS = {
  protein: { label: 'needs protein', says: 'stretches far and does not come back' },
  balanced: { label: 'balanced', says: 'stretches and comes back' },
  moisture: { label: 'needs moisture', says: 'hardly stretches' },
} as const;
export type StretchCall = keyof typeof STRETCH_CALLS;

/**
 * Limits of the trade's reading: a strand that stretches by less than `little` wants moisture; one that stretches by
 * `far` or more and gives back less than `back` of it wants protein. Trade belief, no source.
 */
export const STRETCH_LIMITS = { little: 0.1, far: 0.3, back: 0.85 } as const;

/** How well a hand and a ruler measure a wet strand, standard deviation in mm. Model assumption. */
export const RULER_SD_MM = 1.5;

const ROUNDS = 4000;

/** Extension as a share of the wet length. */
export const extension = ({ wetMm, stretchedMm }: StretchTest): number => stretchedMm / wetMm - 1;

/** Recovery: the share of the stretch that was given back; 1 when there was no stretch to give back. */
export const recovery = ({ wetMm, stretchedMm, releasedMm }: StretchTest): number =>
  stretchedMm === wetMm ? 1 : (stretchedMm - releasedMm) / (stretchedMm - wetMm);

function call(test: StretchTest): StretchCall {
  if (extension(test) < STRETCH_LIMITS.little) return 'moisture';
  return extension(test) >= STRETCH_LIMITS.far && recovery(test) < STRETCH_LIMITS.back
    ? 'protein'
    : 'balanced';
}

/**
 * A stretch test as the trade reads it, with how often the same hair would be called each way when measured again with
 * that ruler (seeded simulation). Throws a RangeError for lengths that cannot be: not positive, stretched under wet,
 * released over stretched.
 */
export function readStretch(
  test: StretchTest,
  seed = 1,
): { call: StretchCall; chances: Record<StretchCall, number> } {
  const { wetMm, stretchedMm, releasedMm } = test;
  if (!(wetMm > 0 && stretchedMm > 0 && releasedMm > 0))
    throw new RangeError('All three lengths must be more than 0.');
  if (stretchedMm < wetMm) throw new RangeError('A stretched strand cannot be shorter than it was at rest.');
  if (releasedMm > stretchedMm)
    throw new RangeError('A strand cannot be longer let go than it was stretched.');
  const random = seededRandom(seed);
  const error = () => RULER_SD_MM * standardNormal(random);
  const counts: Record<StretchCall, number> = { protein: 0, balanced: 0, moisture: 0 };
  for (let round = 0; round < ROUNDS; round++) {
    const again = {
      wetMm: wetMm + error(),
      stretchedMm: stretchedMm + error(),
      releasedMm: releasedMm + error(),
    };
    counts[call(again)]++;
  }
  const share = (key: StretchCall) => counts[key] / ROUNDS;
  return {
    call: call(test),
    chances: { protein: share('protein'), balanced: share('balanced'), moisture: share('moisture') },
  };
}
