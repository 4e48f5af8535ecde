import type { WearEvent } from '@sabor/contract/check-in';
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

/** What an event tells beside its kind and day, of which nothing has been told. */
export const PLAIN_EVENT: Omit<WearEvent, 'id' | 'washDayId' | 'kind' | 'on'> = {
  note: '',
  zoneIds: [],
  how: null,
  productId: null,
  dose: null,
  tool: null,
  spoiledAt: null,
  announced: false,
  came: null,
};
