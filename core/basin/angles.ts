import type { KeyOf } from '../vocabulary.ts';

/** Fixed angles from which hair is photographed, so that one day lies over another. */
export const ANGLES = {
  front: { label: 'front', says: 'face forward, chin level' },
  left: { label: 'left', says: 'the left side, ear to the middle' },
  right: { label: 'right', says: 'the right side, ear to the middle' },
  back: { label: 'back', says: 'from behind, hair let fall' },
  crown: { label: 'crown', says: 'from above' },
  'close-up': { label: 'close-up', says: 'hair filling the frame in soft light, small card on it' },
} as const;
export type Angle = KeyOf<typeof ANGLES>;
