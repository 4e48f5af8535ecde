import type { KeyOf } from '../vocabulary.ts';

/**
 * Outcomes a tester rates 0–10, each with a sentence at 0, 5 and 10 (methods.md 5). The sentences are our own
 * wording of common practice, no source. `better`: which way the scale is usually wanted; the wearer's priorities decide.
 */
export const OUTCOMES = {
  definition: {
    label: 'Definition',
    says: 'separate, continuous clumps from root to end',
    better: 'higher',
    anchors: {
      0: 'No clump can be followed; a cloud.',
      5: 'Clumps in the lengths, roots and ends undone.',
      10: 'Every clump separate and whole from root to end.',
    },
  },
  frizz: {
    label: 'Frizz',
    says: 'stray hairs outside the clumps',
    better: 'lower',
    anchors: {
      0: 'Not one stray hair against the light.',
      5: 'A halo at arm’s length, clumps still clear.',
      10: 'Strays hide the clumps.',
    },
  },
  volume: {
    label: 'Volume',
    says: 'body at roots and sides',
    better: 'higher',
    anchors: {
      0: 'Flat to the head, scalp lines show.',
      5: 'Roots lift a finger’s width, sides soft.',
      10: 'As large as this hair can stand.',
    },
  },
  shine: {
    label: 'Shine',
    says: 'light thrown back along the clumps',
    better: 'higher',
    anchors: {
      0: 'Dull and chalky in any light.',
      5: 'Shines in bends under direct light.',
      10: 'Clear bands of light in any room.',
    },
  },
  softness: {
    label: 'Softness',
    says: 'by hand, dry',
    better: 'higher',
    anchors: { 0: 'Straw; snags the fingers.', 5: 'Smooth along, rough against.', 10: 'Silk both ways.' },
  },
  hold: {
    label: 'Hold',
    says: 'how well the shape survives a shake and a scrunch',
    better: 'higher',
    anchors: {
      0: 'Falls out at a touch.',
      5: 'Springs back but loosens.',
      10: 'Unchanged after shaking the head.',
    },
  },
  scalp: {
    label: 'Scalp comfort',
    says: 'no itch, sting or tightness; felt, not seen',
    better: 'higher',
    anchors: {
      0: 'Burns or hurts: wash it out.',
      5: 'Tight or itchy now and then.',
      10: 'Nothing felt at all; clean and calm.',
    },
  },
} as const;
export type Outcome = KeyOf<typeof OUTCOMES>;

export const RATING_RANGE = { lowest: 0, highest: 10 } as const;
