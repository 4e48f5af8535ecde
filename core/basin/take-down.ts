import type { KeyOf } from '../vocabulary.ts';

/** How dry hair is judged to be, by hand. Percent of the way from soaking to fully dry. */
export const DRY_STOPS = {
  75: { label: '75 %', says: 'cool inside, no water when squeezed' },
  80: { label: '80 %', says: 'roots dry, lengths cool' },
  90: { label: '90 %', says: 'only the thickest parts are cool' },
  100: { label: 'dry', says: 'warm all through' },
} as const;

/** What can be done with a set that is not dry. */
export const TAKE_DOWN = {
  wait: {
    label: 'Wait',
    says: 'Nothing is lost; the dry time is longer, which counts as the option’s own.',
  },
  'spot-dry': {
    label: 'Spot-dry first',
    says: 'Low heat on the damp parts; recorded as a change of heat on this day.',
  },
  loose: {
    label: 'Wear it loose now',
    says: 'Hair that leaves its set damp sets again in another shape: definition, frizz, volume and hold of this day are broken for comparison.',
  },
  redo: {
    label: 'Redo as another style',
    says: 'Another technique: this wash day no longer tests what was planned. It stays on record; its place comes up again if you abandon it.',
  },
} as const;
export type TakeDown = KeyOf<typeof TAKE_DOWN>;

/** Whether a set may be taken down: dry, or as dry as its plan asks for within five points. */
export const mayTakeDown = (dryPercent: number, stopAt: number | null): boolean =>
  dryPercent >= Math.min(100, stopAt ?? 100) - 5 && (stopAt !== null || dryPercent >= 100);
