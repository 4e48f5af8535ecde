import type { FairnessRule } from './rule.ts';
import { GROUND_RULES } from './rules-of-ground.ts';
import { STEP_RULES } from './rules-of-steps.ts';

/** Every rule of fairness. The first that speaks of a difference decides; a new rule is a new row. */
export const FAIRNESS_RULES: readonly FairnessRule[] = [...STEP_RULES, ...GROUND_RULES];
