import type { Gravity } from '@sabor/core/fairness/gravity';
import type { SettingKey, SettingValue } from '@sabor/core/step/settings';
import type { Slot } from '@sabor/core/step/slots';
import * as v from 'valibot';
import { id, note, oneOf } from './fields.ts';
import { fields, PlanStepInput } from './trial.ts';

/** Something promised that was changed after the first wash day, with its reason. */
export interface Amendment {
  id: string;
  at: string;
  washDaysDone: number;
  /** The step it changed; null for the trial itself. */
  slot: Slot | null;
  changes: Change[];
  reason: string;
}

/** One thing that was changed: a field of the trial, or a setting of the step. */
export type Change =
  | { setting: Amendable | SettingKey; was: SettingValue; becomes: SettingValue }
  /** As it was told by an earlier Sabor, which kept no more than the words. */
  | { setting: 'told'; was: string; becomes: string };

/** A difference the tester judged otherwise than the rules. Without a wash day it stands for the trial's arms. */
export interface Overrule {
  id: string;
  washDayId: string | null;
  difference: string;
  gravity: Gravity;
  reason: string;
  at: string;
}

export const OverruleInput = v.object({
  id,
  washDayId: v.nullable(id),
  difference: v.pipe(v.string('Say which difference.'), v.nonEmpty('Say which difference.')),
  gravity: v.picklist(['breaks', 'weakens', 'note'], 'Say what it is instead.'),
  reason: v.pipe(note, v.trim(), v.nonEmpty('Say why; it stays on record.')),
});
export type OverruleInput = v.InferInput<typeof OverruleInput>;

export const AMENDABLE = {
  question: { label: 'the question' },
  primary: { label: 'the main result' },
  onDay: { label: 'the day it is judged on' },
  line: { label: 'the good-enough value' },
  matters: { label: 'the difference worth switching for' },
  wearDays: { label: 'the days of wear' },
  cadenceDays: { label: 'the days from wash to wash' },
} as const;
export type Amendable = keyof typeof AMENDABLE;

export const AmendmentInput = v.pipe(
  v.object({
    id,
    field: oneOf(AMENDABLE, 'what is changed'),
    becomes: v.union([v.string(), v.number()], 'Say what it becomes.'),
    reason: v.pipe(note, v.trim(), v.nonEmpty('Say why the promise is changed; it stays on record.')),
  }),
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return;
    const { field, becomes } = dataset.value;
    const result = v.safeParse(fields.entries[field], becomes);
    if (!result.success)
      addIssue({
        message: result.issues[0].message,
        path: [{ type: 'object', origin: 'value', input: dataset.value, key: 'becomes', value: becomes }],
      });
  }),
);
export type AmendmentInput = v.InferInput<typeof AmendmentInput>;

/** A held step of the plan as it is from now on, changed on record. */
export const StepAmendmentInput = v.object({
  id,
  step: PlanStepInput,
  reason: v.pipe(note, v.trim(), v.nonEmpty('Say why the promise is changed; it stays on record.')),
});
export type StepAmendmentInput = v.InferInput<typeof StepAmendmentInput>;
