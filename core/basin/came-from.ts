import type { KeyOf } from '../vocabulary.ts';

/** What the hair comes out of as its wash begins. */
export const CAME_FROM = {
  loose: { label: 'worn loose' },
  bun: { label: 'bun or puff' },
  tail: { label: 'ponytail' },
  twists: { label: 'twists' },
  braids: { label: 'braids' },
  cornrows: { label: 'cornrows' },
  locs: { label: 'locs' },
  straightened: { label: 'straightened' },
  wig: { label: 'under a wig' },
} as const;
export type CameFrom = KeyOf<typeof CAME_FROM>;

/** What held it until then. */
export const FASTENED = {
  not: { label: 'not fastened' },
  clips: { label: 'clips' },
  scrunchie: { label: 'soft band' },
  elastic: { label: 'tight elastic' },
  pins: { label: 'pins' },
  thread: { label: 'thread' },
  glue: { label: 'glue or tape' },
} as const;
export type Fastened = KeyOf<typeof FASTENED>;

/** Longest a style is kept in as far as is told, days. */
export const STYLE_DAYS_MOST = 365;
