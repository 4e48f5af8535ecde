import type { Dose } from '../doses/dose.ts';
import { WETNESS, type Wetness } from '../step/choices.ts';
import type { StepSettings } from '../step/settings.ts';
import type { KeyOf } from '../vocabulary.ts';

/** What to try next time, in one tap at the step where it comes to mind. */
export const IDEAS = {
  less: { label: 'less' },
  more: { label: 'more' },
  wetter: { label: 'wetter' },
  drier: { label: 'drier' },
  longer: { label: 'longer' },
  shorter: { label: 'shorter' },
  'other-role': { label: 'other role' },
  'other-order': { label: 'other order' },
  'after-clarify': { label: 'after a clarify' },
} as const;
export type Idea = KeyOf<typeof IDEAS>;

/** How much one idea moves a dose or the minutes. Model assumption: clearly more than the usual tolerance of a fifth. */
const STEP_UP = 1.5;

const scaled = (dose: Dose | null, by: number): Dose | null => {
  if (dose === null || dose.kind === 'unknown') return null;
  const to = (x: number) => Number((x * by).toPrecision(2));
  return dose.kind === 'exact'
    ? { ...dose, amount: to(dose.amount) }
    : { ...dose, from: to(dose.from), to: to(dose.to) };
};

const WETTEST_FIRST = Object.keys(WETNESS) as Wetness[];
const shifted = (wetness: Wetness | null, by: 1 | -1): Wetness | null =>
  wetness === null ? null : (WETTEST_FIRST[WETTEST_FIRST.indexOf(wetness) + by] ?? null);

/**
 * What an idea sets otherwise in its step, as an arm of a later trial; empty where the idea is not a setting of this one
 * step (another role, another order, after a clarify) or the step does not set what it would change.
 */
export function ideaAsArm(
  idea: Idea,
  step: Pick<StepSettings, 'dose' | 'wetness' | 'minutes'>,
): Partial<Pick<StepSettings, 'dose' | 'wetness' | 'minutes'>> {
  const dose = (by: number) => {
    const to = scaled(step.dose, by);
    return to === null ? {} : { dose: to };
  };
  const wetness = (by: 1 | -1) => {
    const to = shifted(step.wetness, by);
    return to === null ? {} : { wetness: to };
  };
  const minutes = (by: number) =>
    step.minutes === null ? {} : { minutes: Number((step.minutes * by).toPrecision(2)) };
  switch (idea) {
    case 'less':
      return dose(1 / STEP_UP);
    case 'more':
      return dose(STEP_UP);
    case 'wetter':
      return wetness(-1);
    case 'drier':
      return wetness(1);
    case 'longer':
      return minutes(STEP_UP);
    case 'shorter':
      return minutes(1 / STEP_UP);
    default:
      return {};
  }
}
