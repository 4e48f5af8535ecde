import type { School } from '../../hair/wishes.ts';
import type { FormulaItem } from '../formula.ts';
import type { Effect } from './rule.ts';

/** Why a formula is judged as it is, by a rule or a caution. */
export interface Reason {
  ruleId: string;
  says: string;
  effect: Effect;
  /** What it weighs in the verdict. */
  weight: number;
  strength: 1 | 2 | 3;
  items: readonly FormulaItem[];
  /** Zones it holds for; empty for the whole head. */
  where: readonly string[];
  /** Whether the list makes sure of the share the rule asks for, or only makes it likely. */
  sure: boolean;
  schools: readonly School[] | null;
  source: string;
}
