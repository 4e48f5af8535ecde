/** Why a measure of a photograph may not be given. */
export const PHOTO_REFUSALS = [
  'no card',
  'two cards',
  'card covered',
  'card bent',
  'picture mirrored',
  'greys uneven',
  'too bright',
  'picture soft',
  'no hair',
  'fills the frame',
  'no backdrop',
  'backdrop uneven',
  'hair like the backdrop',
  'hair lit',
  'too noisy',
  'little free outline',
  'edge not clear',
  'from film',
  'too coarse',
  'too dense',
  'little hair',
  'clumps not clear',
  'few curls',
  'frames differ',
] as const;
export type Refusal = (typeof PHOTO_REFUSALS)[number];

/** What limits a reading without refusing it. */
export const PHOTO_NOTES = [
  'coarse',
  'nothing masked',
  'empty frame',
  'parting guessed',
  'coarse from near',
  'all taken for hair',
] as const;
export type Note = (typeof PHOTO_NOTES)[number];
