import type { Angle } from '../basin/angles.ts';
import type { KeyOf } from '../vocabulary.ts';

/** How a measure of a photograph is told apart: by difference, or by ratio (sizes, whose error grows with them). */
type Kind = 'plain' | 'ratio';

/**
 * What is read in a photograph: its unit, how it is compared, and the smallest difference that matters, as an amount and
 * as a share (the larger of the two counts). Source of the differences: methods.md 4, assumed there.
 */
export const PHOTO_MEASURES = {
  halo: { label: 'frizz halo', unit: 'mm', kind: 'plain', matters: { amount: 0.4, share: 0.2 } },
  silhouette: { label: 'silhouette', unit: 'cm²', kind: 'ratio', matters: { amount: 0, share: 0.04 } },
  volume: { label: 'volume index', unit: 'cm³', kind: 'ratio', matters: { amount: 0, share: 0.06 } },
  strays: { label: 'flyaways', unit: 'per 100 mm', kind: 'plain', matters: { amount: 3, share: 0.25 } },
  'clump-contrast': { label: 'clump contrast', unit: '', kind: 'plain', matters: { amount: 0.35, share: 0 } },
  coherence: { label: 'smoothness of run', unit: '', kind: 'plain', matters: { amount: 0.05, share: 0 } },
  'clump-width': { label: 'clump width', unit: 'mm', kind: 'ratio', matters: { amount: 0, share: 0.15 } },
  'curl-radius': { label: 'curl radius', unit: 'mm', kind: 'ratio', matters: { amount: 0, share: 0.08 } },
  'curl-index': { label: 'curl index', unit: '', kind: 'ratio', matters: { amount: 0, share: 0.08 } },
} as const satisfies Record<
  string,
  { label: string; unit: string; kind: Kind; matters: { amount: number; share: number } }
>;
export type PhotoMeasure = KeyOf<typeof PHOTO_MEASURES>;

/** What is read in one picture of a whole head; the volume takes two of one look. */
export const WHOLE_MEASURES = ['halo', 'silhouette', 'strays'] as const satisfies readonly PhotoMeasure[];

/** What is read in one picture of hair from near. */
export const CLOSE_MEASURES = [
  'clump-contrast',
  'coherence',
  'clump-width',
  'curl-radius',
  'curl-index',
] as const satisfies readonly PhotoMeasure[];

/** How a picture is framed, by its angle. */
export const isFromNear = (angle: Angle): boolean => angle === 'close-up';

/** What is read in a picture from an angle. */
export const measuresOf = (angle: Angle): readonly PhotoMeasure[] =>
  isFromNear(angle) ? CLOSE_MEASURES : WHOLE_MEASURES;

/** The smallest difference that matters about a value, in its unit. */
export function matters(measure: PhotoMeasure, value: number): number {
  const { amount, share } = PHOTO_MEASURES[measure].matters;
  return Math.max(amount, share * Math.abs(value));
}
