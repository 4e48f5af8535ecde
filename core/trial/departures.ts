import { MARK_REASONS, MARKS, type Mark, type MarkReason } from '../basin/marks.ts';
import { DOSE_TOLERANCE, doseHeld, doseLabel } from '../doses/dose.ts';
import { type ExtraKey, extraWords, sameExtra } from '../routine/extras.ts';
import { HEATS, TECHNIQUES, TOOLS, WETNESS } from '../routine/settings.ts';
import type { StepSettings } from '../routine/step.ts';

/** A held setting that was not held, or cannot be shown to have been. */
export interface Departure {
  setting: keyof StepSettings | 'step';
  kind: 'departed' | 'cannot show';
  says: string;
}

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

const named = (table: Readonly<Record<string, { label: string }>>, key: string | null) =>
  key === null ? 'not set' : (table[key]?.label ?? key);

/** Every departure of a step from its plan, in a sentence each. `productName` turns a product's id into its name. */
export function departures(step: StepRecord, productName: (id: string) => string): Departure[] {
  if (step.status === 'waiting') return [];
  const { planned } = step;
  if (planned === null)
    return step.status === 'done'
      ? [{ setting: 'step', kind: 'departed', says: 'Added: not in the plan.' }]
      : [];
  if (planned.part === 'free') return [];
  if (step.status === 'skipped')
    return planned.optional || planned.skipped
      ? []
      : [{ setting: 'step', kind: 'departed', says: 'Skipped.' }];
  if (planned.skipped)
    return [{ setting: 'step', kind: 'departed', says: 'Done, though this arm leaves it out.' }];
  const tolerance = planned.tolerance ?? DOSE_TOLERANCE;
  const found: Departure[] = [];
  const product = (id: string | null) => (id === null ? 'no product' : productName(id));
  if (planned.productId !== step.productId)
    found.push({
      setting: 'productId',
      kind: 'departed',
      says: `${product(step.productId)} instead of ${product(planned.productId)}.`,
    });
  const dose = doseHeld(planned, step, tolerance);
  if (dose !== 'held')
    found.push({
      setting: 'dose',
      kind: dose,
      says:
        dose === 'departed'
          ? `${doseLabel(step.dose)} instead of ${doseLabel(planned.dose)}.`
          : `${doseLabel(step.dose)} cannot show that ${doseLabel(planned.dose)} was held within ${Math.round(tolerance * 100)} %.`,
    });
  if (planned.minutes !== null && planned.minutes > 0) {
    if (step.minutes === null)
      found.push({
        setting: 'minutes',
        kind: 'cannot show',
        says: `Minutes not recorded; ${planned.minutes} planned.`,
      });
    else if (Math.abs(step.minutes / planned.minutes - 1) > tolerance + 1e-9)
      found.push({
        setting: 'minutes',
        kind: 'departed',
        says: `${Math.round(step.minutes * 10) / 10} min instead of ${planned.minutes}.`,
      });
  }
  const choices = [
    ['wetness', WETNESS],
    ['technique', TECHNIQUES],
    ['tool', TOOLS],
    ['heat', HEATS],
  ] as const;
  for (const [setting, table] of choices)
    if (planned[setting] !== null && planned[setting] !== step[setting])
      found.push({
        setting,
        kind: 'departed',
        says: `${named(table, step[setting])} instead of ${named(table, planned[setting])}.`,
      });
  for (const key of Object.keys(planned.extra) as ExtraKey[])
    if (!sameExtra(key, planned.extra[key], step.extra[key], tolerance))
      found.push({
        setting: 'extra',
        kind: 'departed',
        says:
          step.extra[key] === undefined
            ? `Not ${extraWords(key, planned.extra[key])}.`
            : `${extraWords(key, step.extra[key])} instead of ${extraWords(key, planned.extra[key])}.`,
      });
  for (const { mark, reason } of step.marks ?? []) {
    const { label } = MARKS[mark];
    const why = reason === 'untold' ? '' : ` (${MARK_REASONS[reason].label})`;
    found.push({
      setting: 'step',
      kind: 'departed',
      says: `${label[0]!.toUpperCase()}${label.slice(1)}${why}.`,
    });
  }
  return found;
}
