import type { Difference } from './difference.ts';
import { groundDifferences } from './ground-differences.ts';
import type { Run } from './run.ts';
import { stepDifferences } from './step-differences.ts';

/**
 * Everything that differs between two sides and was to be held, as facts: steps, doses within tolerance, weather,
 * the state of the hair, what happened in wear, who rated. What the two arms set differently on purpose is left out.
 */
export function differencesOf(a: Run, b: Run): Difference[] {
  return [...groundDifferences(a, b), ...stepDifferences(a, b)];
}

/** What one side did otherwise than its own plan. */
export const departuresOf = (run: Run, plan: Run): Difference[] =>
  stepDifferences(run, { ...plan, arm: run.arm }, 'plan');
