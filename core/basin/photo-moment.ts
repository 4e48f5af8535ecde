import type { Slot } from '../step/slots.ts';

/** Steps before which the styled hair still is wet: looked over, dried or left to dry. */
const DRYING: readonly Slot[] = ['wet-check', 'dry', 'set'];
/** Steps that end the cast. */
const BREAKING: readonly Slot[] = ['break-cast', 'separate'];

/**
 * What is worth a photograph just before the step at `place` (0 for the first; the number of steps for the end of the
 * routine): the wet hair before it first dries, the cast before it is broken; null where neither is at hand.
 */
export function photoMoment(steps: readonly { slot: Slot }[], place: number): 'wet' | 'cast' | null {
  const firstOf = (slots: readonly Slot[], from: number) => {
    const at = steps.findIndex(({ slot }, i) => i >= from && slots.includes(slot));
    return at < 0 ? steps.length : at;
  };
  // Drying before the last product goes on (a half-dry for a mask, a pre-wash) is not the styled hair's.
  const styled = steps.findLastIndex(
    ({ slot }) => slot === 'leave-in' || slot === 'emollient' || slot === 'hold' || slot === 'second-coat',
  );
  const rinsed = steps.findLastIndex(({ slot }) => slot === 'rinse' || slot === 'cleanse');
  const from = Math.max(styled, rinsed) + 1;
  if (from === 0) return null;
  const wet = firstOf(DRYING, from);
  const dried = firstOf(['dry', 'set'], from);
  if (place === wet) return 'wet';
  return dried < steps.length && place === firstOf(BREAKING, dried) ? 'cast' : null;
}
