import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { AllocationError, balancedComplete } from '@sabor/core/trial/allocation';
import * as v from 'valibot';
import { id, name, note, number, oneOf, positive, whole } from './fields.ts';
import { Dose, StepInput } from './routine.ts';
import type { WashDay } from './wash-day.ts';

/** What a trial does with a step: keep it as planned, put it under test, or let it vary. */
export const STEP_PARTS = {
  held: { label: 'held' },
  tested: { label: 'tested' },
  free: { label: 'free' },
} as const;

export const PlanStepInput = v.object({
  ...StepInput.entries,
  part: oneOf(STEP_PARTS, 'held, tested or free'),
});

export const ArmInput = v.object({
  id,
  name: name('An arm'),
  /** What this arm uses in each tested step; a null dose keeps the plan's. */
  steps: v.array(v.object({ stepId: id, productId: v.nullable(id), dose: v.nullable(Dose) })),
});

/** The sentence against a number of wash days for so many arms, or null when it can be allocated. */
export function washDaysProblem(arms: number, washDays: number): string | null {
  try {
    balancedComplete(arms, washDays);
    return null;
  } catch (error) {
    if (error instanceof AllocationError) return error.message;
    throw error;
  }
}

const fields = v.object({
  id,
  wearerId: v.pipe(v.string('Choose whose hair is tested.'), v.uuid('Choose whose hair is tested.')),
  question: v.pipe(
    v.string('Ask the trial’s question in a sentence.'),
    v.trim(),
    v.nonEmpty('Ask the trial’s question in a sentence.'),
    v.maxLength(300, 'Keep the question under 300 characters.'),
  ),
  routineName: name('The routine'),
  plan: v.pipe(v.array(PlanStepInput), v.minLength(1, 'Choose a routine with at least one step.')),
  arms: v.pipe(
    v.array(ArmInput),
    v.minLength(2, 'A comparison needs at least two arms.'),
    v.maxLength(6, 'Six arms are the most one head can carry.'),
  ),
  primary: oneOf(OUTCOMES, 'the primary outcome'),
  line: number('The wearer’s line', 0, 10),
  matters: positive('The smallest difference that matters', 10),
  washDays: whole('The number of wash days', 2, 40),
  wearDays: whole('The days of wear', 1, 14),
  weights: v.pipe(
    v.array(v.object({ zoneId: id, weight: positive('A zone’s weight', 100) })),
    v.minLength(1, 'Choose at least one zone that counts.'),
  ),
});

type Fields = v.InferOutput<typeof fields>;

/** What is wrong across a trial's fields, with the path of the field to mend. */
function faults(trial: Fields): { path: (string | number)[]; message: string }[] {
  const found: { path: (string | number)[]; message: string }[] = [];
  const tested = trial.plan.filter((step) => step.part === 'tested');
  if (tested.length === 0) found.push({ path: ['plan'], message: 'Mark at least one step as tested.' });
  for (const [i, arm] of trial.arms.entries())
    for (const step of tested) {
      const at = arm.steps.findIndex((own) => own.stepId === step.id);
      if (at < 0 || arm.steps[at]!.productId === null)
        found.push({
          path: ['arms', i, 'steps'],
          message: `Choose what ${arm.name} uses in every tested step.`,
        });
    }
  const alike = (arm: Fields['arms'][number]) =>
    JSON.stringify(
      tested.map((step) => {
        const own = arm.steps.find((candidate) => candidate.stepId === step.id);
        return [own?.productId, own?.dose ?? step.dose];
      }),
    );
  for (const [i, arm] of trial.arms.entries()) {
    const twin = trial.arms.slice(0, i).find((other) => alike(other) === alike(arm));
    if (twin && tested.length > 0)
      found.push({
        path: ['arms', i, 'steps'],
        message: `${arm.name} uses the same as ${twin.name}. Give it another product or dose.`,
      });
    if (trial.arms.slice(0, i).some((other) => other.name.toLowerCase() === arm.name.toLowerCase()))
      found.push({ path: ['arms', i, 'name'], message: 'Two arms go by this name. Change one.' });
  }
  const problem = trial.arms.length < 2 ? null : washDaysProblem(trial.arms.length, trial.washDays);
  if (problem) found.push({ path: ['washDays'], message: problem });
  return found;
}

export const TrialInput = v.pipe(
  fields,
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return;
    for (const { path, message } of faults(dataset.value))
      addIssue({
        message,
        path: path.map((key) => ({
          type: 'unknown',
          origin: 'value',
          input: dataset.value,
          key,
          value: null,
        })) as [v.IssuePathItem, ...v.IssuePathItem[]],
      });
  }),
);
export type TrialInput = v.InferInput<typeof TrialInput>;

export const EndTrialInput = v.object({
  reason: v.pipe(note, v.trim(), v.nonEmpty('Say why the trial ends before its planned wash days.')),
});

export const TRIAL_STATUSES = {
  planned: { label: 'planned' },
  running: { label: 'under way' },
  finished: { label: 'finished' },
  ended: { label: 'ended early' },
} as const;
export type TrialStatus = keyof typeof TRIAL_STATUSES;

/** How much of a plan's set there is to test against. */
export interface Attainable {
  /** How many ways the arms could fall. */
  sequences: number;
  smallestP: number;
  decides: boolean;
}

export type PlanStep = v.InferOutput<typeof PlanStepInput>;
export type Arm = v.InferOutput<typeof ArmInput>;

export type Trial = Fields & {
  status: TrialStatus;
  alpha: number;
  attainable: Attainable;
  createdAt: string;
  startedAt: string | null;
  endedAt: string | null;
  endReason: string | null;
  archivedAt: string | null;
  wearerName: string;
  /** Arm ids by position; null where still sealed. */
  allocation: (string | null)[];
  /** The seed the allocation was drawn from, once nothing is sealed any more. */
  seed: number | null;
  /** Wash days run or under way, abandoned ones left out. */
  washDaysDone: number;
};

export type TrialDetail = Trial & { washDayRecords: WashDay[] };
