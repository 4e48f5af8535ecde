import { doseLabel } from '../doses/dose.ts';
import { TECHNIQUES, WETNESS } from '../routine/settings.ts';
import { SLOTS, type Slot } from '../routine/slots.ts';
import type { StepSettings } from '../routine/step.ts';

/** A step as it is read out: side first, then what to do, with what, how much, how wet. */
export function spokenStep(
  step: Pick<StepSettings, 'dose' | 'wetness' | 'technique' | 'minutes'> & {
    slot: Slot;
    half: 'left' | 'right' | null;
    code: number | null;
  },
  productName: string | null,
): string {
  const parts = [
    step.half && `${step.half} half`,
    SLOTS[step.slot].label,
    step.code !== null ? `bottle ${String(step.code).split('').join(' ')}` : productName,
    step.dose && step.dose.kind !== 'unknown' && doseLabel(step.dose),
    step.wetness && `on ${WETNESS[step.wetness].label} hair`,
    step.technique && TECHNIQUES[step.technique].label,
    step.minutes !== null && `${step.minutes} minutes`,
  ];
  return `${parts.filter(Boolean).join(', ')}.`;
}

/** The slot of a timer that has run out, as it is read out. */
export const spokenOver = (slot: Slot, half: 'left' | 'right' | null): string =>
  `${half ? `${half} half, ` : ''}${SLOTS[slot].label}: time is up.`;
