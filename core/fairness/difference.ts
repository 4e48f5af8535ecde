import type { Mark } from '../basin/marks.ts';
import type { EventKind } from '../outcomes/events.ts';
import type { ExtraKey } from '../routine/extras.ts';
import type { Slot } from '../routine/slots.ts';
import type { HairState } from './run.ts';

/** The kinds of difference there can be between two sides, as rules name them. */
export const DIFFERENCE_KINDS = {
  head: { label: 'another head' },
  missing: { label: 'a step missing' },
  added: { label: 'a step added' },
  moved: { label: 'a step moved' },
  product: { label: 'another product' },
  dose: { label: 'another dose' },
  'dose-unsure': { label: 'a dose that cannot be shown' },
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
  bottle: { label: 'age of a bottle' },
  sleep: { label: 'sleep protection' },
  event: { label: 'what happened in wear' },
  judged: { label: 'day it was judged' },
  rater: { label: 'who rated' },
  blind: { label: 'blinding' },
  stake: { label: 'the tester’s stake' },
} as const;
export type DifferenceKind = keyof typeof DIFFERENCE_KINDS;

export interface Difference {
  kind: DifferenceKind;
  /** Stays the same as long as the difference does; what an overrule names. */
  key: string;
  /** The sentence. Told only when asked for: comparing all wash days with each other finds thousands nobody reads. */
  says: () => string;
  /** How large, in the kind's own unit: a ratio for doses and minutes, °C, m/s, hours, grams, days, nights. */
  size: number;
  slot: Slot | null;
  /** What in particular: an extra setting, a state of the hair, an event. */
  detail: ExtraKey | HairState | EventKind | Mark | null;
  /** It may come from the arms themselves, which are not the same here. */
  ofArm: boolean;
  /** It is the same on both halves of a wash day, and so favours neither. */
  shared?: boolean;
}

/** A product's name by its id. */
export type Names = (productId: string) => string;

/** A number in a sentence, without trailing noughts. */
export const round = (x: number, digits = 1) => String(Number(x.toFixed(digits)));
