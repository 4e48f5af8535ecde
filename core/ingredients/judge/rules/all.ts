import type { Rule } from '../rule.ts';
import { cleansingRules } from './cleansing.ts';
import { moistureRules } from './moisture.ts';
import { safetyRules } from './safety.ts';
import { strengthRules } from './strength.ts';
import { weightRules } from './weight.ts';

/** Every rule of practice Sabor knows. */
export const RULES: readonly Rule[] = [
  ...safetyRules,
  ...cleansingRules,
  ...strengthRules,
  ...moistureRules,
  ...weightRules,
];
