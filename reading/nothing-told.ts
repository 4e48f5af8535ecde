import type { StepTold } from '@sabor/contract/wash-day';

/** A step that nothing has been told of. */
export const NOTHING_TOLD: StepTold = {
  pauses: [],
  marks: [],
  inHand: {},
  ideas: [],
  weighed: { before: null, after: null },
  usedBefore: true,
};
