import { MARK_REASONS, MARKS, type Mark, type MarkReason } from '../basin/marks.ts';
import { DOSE_TOLERANCE, doseLabel } from '../doses/dose.ts';
import { type ExtraKey, extraWords } from '../routine/extras.ts';
import type { StepSettings } from '../routine/step.ts';
import { CHOICES, compareSettings, type SettingFact } from '../step/compare.ts';
import { calibratedFor, NEVER_WEIGHED, type Weighed } from '../step/weighed.ts';

/** A held setting that was not held, or cannot be shown to have been. */
export interface Departure {
  setting: keyof StepSettings | 'step';
  /** Which of the extra settings, or what happened at the step; null for a setting every step has. */
  detail: ExtraKey | Mark | null;
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

/** Every departure of a step from its plan, in a sentence each. `productName` turns a product's id into its name. */
export function departures(
  step: StepRecord,
  productName: (id: string) => string,
  weighed: Weighed = NEVER_WEIGHED,
): Departure[] {
  if (step.status === 'waiting') return [];
  const { planned } = step;
  const whole = (says: string): Departure[] => [{ setting: 'step', detail: null, kind: 'departed', says }];
  if (planned === null) return step.status === 'done' ? whole('Added: not in the plan.') : [];
  if (planned.part === 'free') return [];
  if (step.status === 'skipped') return planned.optional || planned.skipped ? [] : whole('Skipped.');
  if (planned.skipped) return whole('Done, though this arm leaves it out.');
  const tolerance = planned.tolerance ?? DOSE_TOLERANCE;
  const measured = (settings: StepSettings) => ({
    ...settings,
    calibrated: calibratedFor(weighed, settings.productId, settings.dose),
  });
  const facts = compareSettings(measured(step), measured(planned), tolerance, 'plan');
  return [
    ...facts.map(
      (fact): Departure => ({
        setting: fact.setting,
        detail: fact.extra,
        kind: fact.verdict,
        says: saysOf(fact, step, planned, tolerance, productName),
      }),
    ),
    ...(step.marks ?? []).map(({ mark, reason }): Departure => {
      const { label } = MARKS[mark];
      const why = reason === 'untold' ? '' : ` (${MARK_REASONS[reason].label})`;
      return {
        setting: 'step',
        detail: mark,
        kind: 'departed',
        says: `${label[0]!.toUpperCase()}${label.slice(1)}${why}.`,
      };
    }),
  ];
}

const rounded = (minutes: number) => Math.round(minutes * 10) / 10;

/** One departure in a sentence. */
function saysOf(
  { setting, extra, verdict }: SettingFact,
  step: StepSettings,
  planned: StepSettings,
  tolerance: number,
  productName: (id: string) => string,
): string {
  const product = (id: string | null) => (id === null ? 'no product' : productName(id));
  const choice = CHOICES.find(([key]) => key === setting);
  if (choice) {
    const [key, table] = choice;
    const named = (value: string | null) =>
      value === null ? 'not set' : ((table as Record<string, { label: string }>)[value]?.label ?? value);
    return verdict === 'departed'
      ? `${named(step[key])} instead of ${named(planned[key])}.`
      : `Not recorded whether ${named(planned[key])}.`;
  }
  switch (setting) {
    case 'productId':
      return `${product(step.productId)} instead of ${product(planned.productId)}.`;
    case 'dose':
      return verdict === 'departed'
        ? `${doseLabel(step.dose)} instead of ${doseLabel(planned.dose)}.`
        : `${doseLabel(step.dose)} cannot show that ${doseLabel(planned.dose)} was held within ${Math.round(tolerance * 100)} %.`;
    case 'minutes':
      return step.minutes === null
        ? `Minutes not recorded; ${planned.minutes} planned.`
        : `${rounded(step.minutes)} min instead of ${planned.minutes}.`;
    case 'sections':
      return `${step.sections} sections instead of ${planned.sections}.`;
    default: {
      const [x, y] = [step.extra[extra!], planned.extra[extra!]];
      if (verdict === 'cannot show') return `Not recorded: ${extraWords(extra!, y)}.`;
      if (y === undefined || y === false) return `${extraWords(extra!, x)}, which was not planned.`;
      return x === undefined || x === false
        ? `Not ${extraWords(extra!, y)}.`
        : `${extraWords(extra!, x)} instead of ${extraWords(extra!, y)}.`;
    }
  }
}
