import { OUTCOMES } from '../outcomes/outcomes.ts';

/** What a wearer may want of a wash day: the rated outcomes, and length, which shrinkage takes away. */
export const WISHES = { ...OUTCOMES, length: { label: 'Length', says: 'little shrinkage' } } as const;
export type Wish = keyof typeof WISHES;

/** What a wearer does not want to feel or smell. */
export const DISLIKES = {
  scent: { label: 'scent' },
  crunch: { label: 'crunch' },
  tack: { label: 'tack' },
  greasy: { label: 'greasy feel' },
  flakes: { label: 'flakes' },
  drip: { label: 'drips' },
} as const;
export type Dislike = keyof typeof DISLIKES;

/** Why an ingredient is kept away from a wearer. */
export const AVOIDED = {
  allergy: { label: 'allergy', says: 'known, or told by a doctor' },
  banned: { label: 'not wanted', says: 'by choice' },
} as const;
export type AvoidedWhy = keyof typeof AVOIDED;

/** Schools of practice: named sets of rules that testers hold to. None is right for everybody. */
export const SCHOOLS = {
  free: {
    label: 'without sulfates and silicones',
    says: 'no sulfates, no silicones at all, mild lather or co-wash',
  },
  'wash-off': {
    label: 'water-soluble only',
    says: 'silicones and butters as long as the cleanser lifts them',
  },
  lather: { label: 'shampoo often', says: 'a real lather, twice if need be; build-up is the enemy' },
  scalp: { label: 'scalp-focused', says: 'the scalp decides how and how often to cleanse' },
  label: { label: 'follow the label', says: 'directions to the letter before anything else' },
} as const;
export type School = keyof typeof SCHOOLS;

/** How a head is cut. */
export const CUTS = {
  'one-length': { label: 'one length' },
  layered: { label: 'layered' },
  rounded: { label: 'rounded' },
  tapered: { label: 'tapered' },
  undercut: { label: 'undercut' },
  short: { label: 'short all over' },
} as const;
export type Cut = keyof typeof CUTS;

/** Where the hair parts as a rule, seen by the wearer. */
export const PARTINGS = {
  left: { label: 'on the left' },
  middle: { label: 'in the middle' },
  right: { label: 'on the right' },
  none: { label: 'none' },
} as const;
export type Parting = keyof typeof PARTINGS;

/** What a scalp is like, where it matters to a cleanser. */
export const SCALPS = {
  sensitive: { label: 'sensitive' },
  flakes: { label: 'flaky' },
  oily: { label: 'oily' },
  dry: { label: 'dry' },
} as const;

/** Weights as shares of one, in the order of {@link WISHES}; empty when nothing was weighed. */
export function wishShares(weights: Partial<Record<Wish, number>>): { wish: Wish; share: number }[] {
  const total = Object.values(weights).reduce((sum, weight) => sum + weight, 0);
  if (total <= 0) return [];
  return (Object.keys(WISHES) as Wish[])
    .filter((wish) => (weights[wish] ?? 0) > 0)
    .map((wish) => ({ wish, share: weights[wish]! / total }))
    .sort((a, b) => b.share - a.share);
}
