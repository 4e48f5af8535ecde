import { DOSE_TOLERANCE } from '../doses/dose.ts';
import { compareSettings, type Measured, type SettingFact } from './compare.ts';
import { isChange, type Mark, type MarkReason } from './marks.ts';
import type { StepSettings } from './settings.ts';
import { calibratedFor, NEVER_WEIGHED, type Weighed } from './weighed.ts';

/** What was to be held in a step and was not, or cannot be shown to have been. */
export type Departure = { verdict: SettingFact['verdict'] } & (
  | { what: 'setting'; fact: SettingFact; tolerance: number }
  | { what: 'added' | 'skipped' | 'not left out' }
  | { what: 'mark'; mark: Mark; reason: MarkReason }
);

export type StepStatus = 'waiting' | 'done' | 'skipped';

/** What was really done in a step: its settings, and whether it was done at all. */
export interface StepRecord extends StepSettings {
  status: StepStatus;
  /** Null for a step that the plan does not have. */
  planned: PlannedSettings | null;
  /** What went otherwise at it, told in one tap. */
  marks?: readonly { mark: Mark; reason: MarkReason }[];
}

/** A step's settings as planned for one arm, and what the plan asks of it. */
export interface PlannedSettings extends StepSettings {
  /** A free step may differ. */
  part?: 'held' | 'tested' | 'free';
  /** Leaving it out is no departure. */
  optional?: boolean;
  /** This arm leaves the step out. */
  skipped?: boolean;
  /** How far dose and minutes may be off, as a share. */
  tolerance?: number;
}

/** A step's settings with what weighing says of its dose's measure. */
export const measured = (settings: StepSettings, weighed: Weighed): Measured => ({
  ...settings,
  calibrated: calibratedFor(weighed, settings.productId, settings.dose),
});

/** Every departure of a step from its plan, in the order of the settings, marks last. */
export function departures(step: StepRecord, weighed: Weighed = NEVER_WEIGHED): Departure[] {
  if (step.status === 'waiting') return [];
  const { planned } = step;
  const whole = (what: 'added' | 'skipped' | 'not left out'): Departure[] => [{ verdict: 'departed', what }];
  if (planned === null) return step.status === 'done' ? whole('added') : [];
  if (planned.part === 'free') return [];
  if (step.status === 'skipped') return planned.optional || planned.skipped ? [] : whole('skipped');
  if (planned.skipped) return whole('not left out');
  const tolerance = planned.tolerance ?? DOSE_TOLERANCE;
  const facts = compareSettings(measured(step, weighed), measured(planned, weighed), tolerance, 'plan');
  return [
    ...facts.map((fact): Departure => ({ verdict: fact.verdict, what: 'setting', fact, tolerance })),
    // A word on how the amount turned out judges what was done; it changes nothing of it.
    ...(step.marks ?? [])
      .filter(({ mark }) => isChange(mark))
      .map(({ mark, reason }): Departure => ({ verdict: 'departed', what: 'mark', mark, reason })),
  ];
}
