import { DENSITIES, PATTERNS, POROSITIES, STRANDS } from '../hair/traits.ts';
import { SLOTS } from '../step/slots.ts';
import type { KeyOf } from '../vocabulary.ts';

/** What a verdict is said of something in: a step, or the whole line. */
export const VERDICT_STEPS = { ...SLOTS, line: { label: 'Whole line' } } as const;
export type VerdictStep = KeyOf<typeof VERDICT_STEPS>;

/** Why a verdict was said, or said anew. */
export const CAUSES = {
  first: { label: 'first verdict' },
  'more-trials': { label: 'tested again' },
  'seen-longer': { label: 'seen longer' },
  'dose-error': { label: 'it was the amount' },
  'formula-changed': { label: 'formula changed' },
  other: { label: 'another cause' },
} as const;
export type Cause = KeyOf<typeof CAUSES>;

export const BUY_AGAIN = {
  yes: { label: 'yes' },
  offer: { label: 'on offer' },
  no: { label: 'no' },
  open: { label: 'not sure yet' },
} as const;
export type BuyAgain = KeyOf<typeof BUY_AGAIN>;

/** What became of a label's claim. */
export const CLAIM_STATES = {
  kept: { label: 'kept' },
  'not-kept': { label: 'not kept' },
  'cannot-tell': { label: 'cannot tell' },
  'not-tested': { label: 'not tested' },
} as const;
export type ClaimState = KeyOf<typeof CLAIM_STATES>;

export const LENGTHS = {
  short: { label: 'short' },
  shoulder: { label: 'to the shoulder' },
  long: { label: 'long' },
} as const;
export type Length = KeyOf<typeof LENGTHS>;

/** Stretched length up to which hair counts as short, and as to the shoulder, in mm. Common practice, no source. */
const LENGTH_MM = { short: 150, shoulder: 350 } as const;
export const lengthOf = (mm: number): Length =>
  mm <= LENGTH_MM.short ? 'short' : mm <= LENGTH_MM.shoulder ? 'shoulder' : 'long';

/** By what a verdict says whom a product suits. */
export const SUITS = {
  pattern: { label: 'Pattern', options: PATTERNS },
  strand: { label: 'Strand', options: STRANDS },
  density: { label: 'Density', options: DENSITIES },
  porosity: { label: 'Porosity', options: POROSITIES },
  length: { label: 'Length', options: LENGTHS },
  experience: {
    label: 'Experience',
    options: { beginner: { label: 'beginners' }, practised: { label: 'practised hands' } },
  },
  transitioning: {
    label: 'Growing out',
    options: { yes: { label: 'growing out of straightening or heat' }, no: { label: 'not growing out' } },
  },
} as const;
export type Suits = KeyOf<typeof SUITS>;

/** Whom it suits or does not, each by a trait, and whether that was tested on such a head or is a guess. */
export interface ForWhom {
  trait: Suits;
  value: string;
  suits: boolean;
  how: 'tested' | 'guess';
}

/** A claim of the label or its line, and what became of it. */
export interface ClaimVerdict {
  claim: string;
  state: ClaimState;
  /** What it rests on, in the tester's words. */
  because: string;
  /** Where Sabor proposed what became of it: what it was, so that another answer can be seen. */
  proposed: ClaimState | null;
}

/** How it stands to another product, as the tester says it. */
export interface Against {
  productId: string;
  says: 'better' | 'as good' | 'worse';
}
