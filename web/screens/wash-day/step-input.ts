import { type WashStep, WashStepInput } from '@sabor/contract/wash-day';
import type * as v from 'valibot';

/** A step as it is set: without what only the plan says and what is told beside it. */
export function inputOf(step: WashStep): WashStepInput {
  const known = Object.keys(WashStepInput.entries) as (keyof typeof WashStepInput.entries)[];
  return Object.fromEntries(known.map((key) => [key, step[key]])) as v.InferInput<typeof WashStepInput>;
}
