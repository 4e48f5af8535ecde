import type { CameFrom } from '../basin/came-from.ts';
import type { StyleMeant } from '../basin/style-meant.ts';
import type { Felt } from '../felt/felt.ts';
import type { EventKind } from '../outcomes/events.ts';
import type { Stake } from '../shelf/products.ts';
import type { Measured } from '../step/compare.ts';
import type { Mark } from '../step/marks.ts';
import type { Slot } from '../step/slots.ts';

/** A step that was done, or is planned, on one side of a comparison. */
export interface RunStep {
  /** The plan's step; null for one the plan does not have. */
  key: string | null;
  slot: Slot;
  part: 'held' | 'tested' | 'free';
  optional: boolean;
  tolerance: number;
  settings: Measured;
  /** The code on its bottle, while its product is hidden. */
  code: number | null;
  /** What this step was to be on its own side; null for a step nobody planned, or in a plan itself. */
  planned: Measured | null;
  /** What went otherwise at it, told in one tap. */
  marks: readonly Mark[];
}

/** How a side of a comparison is called. */
export type Side =
  | { is: 'wash day'; number: number; half: Half | null }
  /** The wash day that is spoken of, or one of its halves. */
  | { is: 'this day'; half: Half | null }
  | { is: 'plan' | 'own plan' }
  | { is: 'arm' | 'wash days of arm'; arm: string };
export type Half = 'left' | 'right';

/** Care and changes that hair carries on from day to day. Counted in whole days since the last of each. */
export const HAIR_STATES = {
  clarify: { label: 'clarified' },
  'protein-intense': { label: 'treated with protein' },
  'deep-condition': { label: 'deep conditioned' },
  colour: { label: 'coloured' },
  bleach: { label: 'bleached' },
  relaxer: { label: 'relaxed' },
  heat: { label: 'styled with heat' },
  'blow-out': { label: 'blown out straight' },
  trim: { label: 'trimmed' },
  'big-cut': { label: 'cut' },
  'braids-out': { label: 'out of braids' },
} as const;
export type HairState = keyof typeof HAIR_STATES;

/** Everything that stands on one side of a comparison: a wash day, one half of it, or what was planned for it. */
export interface Run {
  side: Side;
  washDayId: string | null;
  wearerId: string;
  half: Half | null;
  arm: string | null;
  /** Done steps, in the order they were done. */
  steps: readonly RunStep[];
  /** Mean dew point in °C and strongest wind in m/s up to the day that is judged. */
  dewPointC: number | null;
  windMs: number | null;
  outdoorHours: number | null;
  /** Grams of residue and of protein the hair carried when the wash began. */
  buildUp: number | null;
  protein: number | null;
  /** Days since each at the wash; null for never or not known. */
  since: Readonly<Partial<Record<HairState, number>>>;
  /** Days since the oldest bottle used was opened, by product id. */
  bottleDays: Readonly<Record<string, number>>;
  /** The state the hair came in, each a place among five words, and what it came out of. */
  before: Readonly<Partial<Record<Felt, number>>>;
  cameFrom: CameFrom | null;
  /** Written down hours after it began, from memory. */
  enteredLater: boolean;
  /** What it was meant to be worn as. */
  styleMeant: StyleMeant | null;
  /** Events up to the day that is judged, and nights among them. */
  events: Readonly<Partial<Record<EventKind, number>>>;
  nights: number;
  /** Days of wear up to the check-in that is judged; null without one. */
  judgedOn: number | null;
  rater: string;
  blind: boolean;
  /** How the tester stands to the products under test here, where it has to be disclosed. */
  stakes: readonly { productId: string; stake: Stake }[];
}

/** A wash day, or one of its halves, beside what was planned for it. */
export interface RunPlan {
  run: Run;
  plan: Run;
}
