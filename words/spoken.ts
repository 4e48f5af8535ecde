import { TECHNIQUES, WETNESS } from '@sabor/core/step/choices';
import type { StepSettings } from '@sabor/core/step/settings';
import { SLOTS, type Slot } from '@sabor/core/step/slots';
import { doseInWords } from './dose.ts';
import { capital, counted } from './numbers.ts';

type Half = 'left' | 'right' | null;

/** A step as it is read out: side first, then what to do, with what, how much, how wet. */
export function spokenStep(
  step: Pick<StepSettings, 'dose' | 'wetness' | 'technique' | 'minutes'> & {
    slot: Slot;
    half: Half;
    code: number | null;
  },
  productName: string | null,
): string {
  const parts = [
    step.half && `${step.half} half`,
    SLOTS[step.slot].label,
    step.code !== null ? `bottle ${String(step.code).split('').join(' ')}` : productName,
    step.dose && step.dose.kind !== 'unknown' && doseInWords(step.dose),
    step.wetness && `on ${WETNESS[step.wetness].label} hair`,
    step.technique && TECHNIQUES[step.technique].label,
    step.minutes !== null && counted(step.minutes, 'minute'),
  ];
  return `${capital(parts.filter(Boolean).join(', '))}.`;
}

/** The step whose timer has run out, as it is read out. */
export const spokenOver = (slot: Slot, half: Half): string =>
  `${capital(half ? `${half} half, ${SLOTS[slot].label}` : SLOTS[slot].label)}: time is up.`;
