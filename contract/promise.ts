import { SETTINGS, type SettingValue } from '@sabor/core/step/settings';
import { SLOTS } from '@sabor/core/step/slots';
import { keysOf } from '@sabor/core/vocabulary';
import * as v from 'valibot';
import { id, note, oneOf } from './fields.ts';
import { fields, PlanStepInput } from './trial.ts';

export const OverruleInput = v.object({
  id,
  washDayId: v.nullable(id),
  difference: v.pipe(v.string('Say which difference.'), v.nonEmpty('Say which difference.')),
  gravity: v.picklist(['breaks', 'weakens', 'note'], 'Say what it is instead.'),
  reason: v.pipe(note, v.trim(), v.nonEmpty('Say why; it stays on record.')),
});
export type OverruleInput = v.InferInput<typeof OverruleInput>;

/** A difference the tester judged otherwise than the rules. Without a wash day it stands for the trial's arms. */
export const Overrule = v.strictObject({ ...OverruleInput.entries, at: v.string() });
export type Overrule = v.InferOutput<typeof Overrule>;

export const AMENDABLE = {
  question: { label: 'the question' },
  primary: { label: 'the main result' },
  onDay: { label: 'the day it is judged on' },
  line: { label: 'the good-enough value' },
  matters: { label: 'the difference worth switching for' },
  wearDays: { label: 'the days worn' },
  cadenceDays: { label: 'the days from wash to wash' },
} as const;
export type Amendable = keyof typeof AMENDABLE;

const value = v.custom<SettingValue>((found) => found !== undefined);
/** One thing that was changed: a field of the trial, or a setting of the step. */
export const Change = v.variant('setting', [
  v.strictObject({
    setting: v.picklist([...keysOf(AMENDABLE), ...keysOf(SETTINGS)]),
    was: value,
    becomes: value,
  }),
  /** As it was told by an earlier Sabor, which kept no more than the words. */
  v.strictObject({ setting: v.literal('told'), was: v.string(), becomes: v.string() }),
]);
export type Change = v.InferOutput<typeof Change>;

/** Something promised that was changed after the first wash day, with its reason. */
export const Amendment = v.strictObject({
  id,
  at: v.string(),
  washDaysDone: v.number(),
  /** The step it changed; null for the trial itself. */
  slot: v.nullable(oneOf(SLOTS, 'a step')),
  changes: v.array(Change),
  reason: v.string(),
});
export type Amendment = v.InferOutput<typeof Amendment>;

export const AmendmentInput = v.pipe(
  v.object({
    id,
    field: oneOf(AMENDABLE, 'what is changed'),
    becomes: v.union([v.string(), v.number()], 'Say what it becomes.'),
    reason: v.pipe(note, v.trim(), v.nonEmpty('Say why the plan is changed; it stays on record.')),
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
  reason: v.pipe(note, v.trim(), v.nonEmpty('Say why the plan is changed; it stays on record.')),
});
export type StepAmendmentInput = v.InferInput<typeof StepAmendmentInput>;
