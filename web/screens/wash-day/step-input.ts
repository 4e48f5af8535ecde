import type { WashStep, WashStepInput } from '@sabor/contract/wash-day';

/** A step as it is sent back: without what only the plan says. */
export function inputOf({ planStepId: _, planned: __, ...step }: WashStep): WashStepInput {
  return step;
}
