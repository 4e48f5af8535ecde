import type { CameFrom } from '../basin/came-from.ts';
import type { StyleMeant } from '../basin/style-meant.ts';
import type { Felt } from '../felt/felt.ts';
import type { EventKind } from '../outcomes/events.ts';
import type { SettingFact } from '../step/compare.ts';
import type { Mark } from '../step/marks.ts';
import type { SettingKey } from '../step/settings.ts';
import type { Slot } from '../step/slots.ts';
import type { HairState, Run, Side } from './run.ts';

/** The kinds of difference there can be between two sides, as rules name them. */
export const DIFFERENCE_KINDS = {
  head: { label: 'another head' },
  missing: { label: 'a step missing' },
  added: { label: 'a step added' },
  moved: { label: 'a step moved' },
  product: { label: 'another product' },
  dose: { label: 'another amount' },
  'dose-unsure': { label: 'an amount that cannot be shown' },
  'not-recorded': { label: 'not recorded' },
  minutes: { label: 'longer or shorter' },
  wetness: { label: 'wetness' },
  technique: { label: 'technique' },
  tool: { label: 'tool' },
  heat: { label: 'heat' },
  sections: { label: 'sections' },
  'dry-fraction': { label: 'how far it was dried' },
  setting: { label: 'a setting' },
  mark: { label: 'something that happened at a step' },
  'dew-point': { label: 'dew point' },
  wind: { label: 'wind' },
  outdoors: { label: 'hours outdoors' },
  'build-up': { label: 'build-up' },
  protein: { label: 'protein load' },
  state: { label: 'state of the hair' },
  before: { label: 'how the hair came to the wash' },
  'came-from': { label: 'what the hair came out of' },
  'entered-later': { label: 'when it was written down' },
  'style-meant': { label: 'what it was meant to be worn as' },
  bottle: { label: 'age of a bottle' },
  sleep: { label: 'sleep protection' },
  event: { label: 'what happened while worn' },
  judged: { label: 'day it was judged' },
  rater: { label: 'who rated' },
  blind: { label: 'blinding' },
  stake: { label: 'the tester’s stake' },
} as const;
export type DifferenceKind = keyof typeof DIFFERENCE_KINDS;

/** What in particular differs, as facts: `a` and `b` are what the two sides have. */
export type DifferenceFact =
  | { what: 'heads' }
  | { what: 'setting'; fact: SettingFact }
  | { what: 'moved' }
  /** A step that stands on one side alone. */
  | { what: 'alone'; on: 'a' | 'b'; added: boolean; productId: string | null }
  | { what: 'mark'; on: 'a' | 'b'; mark: Mark }
  /** Dew point in °C, wind in m/s, hours out of doors, grams of residue or protein, day of wear. */
  | { what: 'measure'; a: number; b: number }
  /** Whole days since; null for never. */
  | { what: 'since'; state: HairState; a: number | null; b: number | null }
  /** It happened between this wash day and the one before. */
  | { what: 'changed'; state: HairState; days: number }
  | { what: 'bottle'; productId: string; a: number; b: number }
  | { what: 'before'; quality: Felt; a: number; b: number }
  | { what: 'came-from'; a: CameFrom; b: CameFrom }
  | { what: 'entered-later'; later: 'a' | 'b' }
  | { what: 'style-meant'; a: StyleMeant; b: StyleMeant }
  | { what: 'nights'; covered: boolean; a: number; b: number }
  | { what: 'event'; event: EventKind; a: number; b: number }
  | { what: 'rater'; a: string; b: string }
  | { what: 'blind'; on: 'a' | 'b' }
  | { what: 'stakes'; a: Run['stakes']; b: Run['stakes'] };

export interface Difference {
  kind: DifferenceKind;
  /** Stays the same as long as the difference does; what an overrule names. */
  key: string;
  fact: DifferenceFact;
  a: Side;
  b: Side;
  /** How large, in the kind's own unit: a ratio for doses and minutes, °C, m/s, hours, grams, days, nights. */
  size: number;
  slot: Slot | null;
  /** What in particular: a setting, a state of the hair, an event. */
  detail: SettingKey | HairState | EventKind | Mark | Felt | null;
  /** It may come from the arms themselves, which are not the same here. */
  ofArm: boolean;
  /** It is the same on both halves of a wash day, and so favours neither. */
  shared?: boolean;
}
