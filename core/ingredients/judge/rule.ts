import type { Damage, Density, Pattern, Porosity, Strand } from '../../hair/traits.ts';
import type { School } from '../../hair/wishes.ts';
import type { Role } from '../../shelf/products.ts';
import type { Selector } from './select.ts';

export const EFFECTS = {
  for: { label: 'speaks for it' },
  against: { label: 'speaks against it' },
  note: { label: 'worth knowing' },
  /** Not for this tool: what a licensed professional does. */
  professional: { label: 'for a licensed professional' },
  forbids: { label: 'do not use' },
} as const;
export type Effect = keyof typeof EFFECTS;

/** Cautions that no wearer's own weight turns down or off. */
export const alwaysOn = (effect: Effect): boolean => effect === 'forbids' || effect === 'professional';

/** When a rule speaks. Everything that is named must hold; what is left out does not matter. */
export interface Condition {
  /** Ingredients that must be there; at least this expected share of them together, in %. */
  has?: Selector;
  atLeast?: number;
  /** At most this expected share. */
  under?: number;
  /** Ingredients of which there must be none, of any of these kinds. */
  lacks?: Selector | readonly Selector[];
  /** A second kind that must be there too. */
  and?: Selector;
  leaveOn?: boolean;
  roles?: readonly Role[];
  notRoles?: readonly Role[];
  porosity?: readonly Porosity[];
  strand?: readonly Strand[];
  density?: readonly Density[];
  pattern?: readonly Pattern[];
  damage?: readonly Damage[];
  /** Dew point foreseen, °C. */
  dewUnder?: number;
  dewFrom?: number;
  /** What the hair has been through. */
  history?: readonly ('colour' | 'lifted' | 'heat')[];
  child?: boolean;
  hardWater?: boolean;
  /** What the stretch test last called for. */
  stretch?: readonly ('protein' | 'balanced' | 'moisture')[];
  /** What the stretch test must not have called for; without a test it speaks. */
  notStretch?: readonly ('protein' | 'balanced' | 'moisture')[];
  scalp?: readonly ('sensitive' | 'flakes' | 'oily')[];
  wantsHold?: boolean;
  dislikes?: readonly string[];
  market?: 'eu' | 'us';
}

/** One rule of practice. `says` may name what it found as {what}. */
export interface Rule {
  id: string;
  says: string;
  when: Condition;
  effect: Effect;
  strength: 1 | 2 | 3;
  /** Whose rule it is; null for everybody's. */
  schools: readonly School[] | null;
  source: string;
}

/** Kinds a condition wants none of. */
export const lackedIn = ({ lacks }: Condition): readonly Selector[] =>
  lacks === undefined ? [] : Array.isArray(lacks) ? (lacks as readonly Selector[]) : [lacks as Selector];

export const PRACTICE = 'common practice, no source';
