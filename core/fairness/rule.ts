import type { Outcome } from '../outcomes/outcomes.ts';
import type { Slot } from '../step/slots.ts';
import type { Difference, DifferenceKind } from './difference.ts';
import type { Gravity } from './gravity.ts';

/** What a difference does to a comparison, by outcome; a rule speaks where everything it names holds. */
export interface FairnessRule {
  id: string;
  when: {
    kind?: DifferenceKind;
    slots?: readonly Slot[];
    details?: readonly string[];
    /** Smallest size it speaks from. */
    from?: number;
    /** True: the two halves of one wash day. False: different wash days. */
    halves?: boolean;
    /** It is the same on both halves. */
    shared?: boolean;
    /** The difference may come from the arms themselves. */
    ofArm?: boolean;
  };
  /** By outcome; `other` for those not named. */
  does: Partial<Record<Outcome, Gravity>> & { other: Gravity };
  because: string;
  source: string;
}

export const PRACTICE = 'common practice, no source';
export const METHODS = 'methods.md 3';
export const MODEL = 'model assumption';

/** What a comparison of shape cannot bear, and what it bears badly. */
export const SHAPED = { definition: 'breaks', frizz: 'breaks', volume: 'breaks', hold: 'breaks' } as const;
export const SHAPED_WEAK = {
  definition: 'weakens',
  frizz: 'weakens',
  volume: 'weakens',
  hold: 'weakens',
} as const;

/** Whether a rule speaks of a difference. */
export const speaksOf = ({ when }: FairnessRule, difference: Difference, halves: boolean): boolean =>
  (when.kind === undefined || when.kind === difference.kind) &&
  (when.shared === undefined || when.shared === (difference.shared ?? false)) &&
  (when.slots === undefined || (difference.slot !== null && when.slots.includes(difference.slot))) &&
  (when.details === undefined || (difference.detail !== null && when.details.includes(difference.detail))) &&
  (when.from === undefined || difference.size >= when.from - 1e-9) &&
  (when.halves === undefined || when.halves === halves) &&
  (when.ofArm === undefined || when.ofArm === difference.ofArm);
