import type { WashStep, WashStepInput } from '@sabor/contract/wash-day';

/** A step as it is set: without what only the plan says and what is told beside it. */
export function inputOf(step: WashStep): WashStepInput {
  const {
    pauses: _pauses,
    marks: _marks,
    inHand: _inHand,
    ideas: _ideas,
    weighed: _weighed,
    usedBefore: _used,
    planStepId: _planStep,
    half: _half,
    planned: _planned,
    code: _code,
    ...input
  } = step;
  return input;
}
