import type { KeyOf } from '../vocabulary.ts';

/** What the hair of a wash day is meant to be worn as. */
export const STYLES_MEANT = {
  'wash-and-go': { label: 'wash and go' },
  'twist-out': { label: 'twist-out' },
  'braid-out': { label: 'braid-out' },
  coils: { label: 'coils' },
  'rod-set': { label: 'rod set' },
  stretched: { label: 'stretched' },
  'blown-out': { label: 'blown out' },
  up: { label: 'bun, puff or tail' },
  'kept-in': { label: 'twists or braids kept in' },
} as const;
export type StyleMeant = KeyOf<typeof STYLES_MEANT>;

/** What is accepted for the style's sake, and so is no failing of it. */
export const ACCEPTED = {
  shrinkage: { label: 'shrinkage' },
  frizz: { label: 'some frizz' },
  flat: { label: 'little volume' },
  undefined: { label: 'loose definition' },
  cast: { label: 'a cast left in' },
  heavy: { label: 'weight or coating' },
  dry: { label: 'less moisture' },
  slow: { label: 'long drying' },
  short: { label: 'few days worn' },
} as const;
export type Accepted = KeyOf<typeof ACCEPTED>;
