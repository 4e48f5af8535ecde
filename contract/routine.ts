import { DOSE_SCOPES } from '@sabor/core/doses/dose';
import { MEASURES } from '@sabor/core/doses/measures';
import { EXTRAS, type Extra, type ExtraKey, extraProblem } from '@sabor/core/routine/extras';
import { HEATS, TECHNIQUES, TOOLS, WETNESS } from '@sabor/core/routine/settings';
import { SLOTS } from '@sabor/core/routine/slots';
import * as v from 'valibot';
import { eachOnce, id, name, note, oneOf, positive, whole } from './fields.ts';

const amount = positive('The dose', 500);
const measured = {
  measure: oneOf(MEASURES, 'a measure'),
  per: oneOf(DOSE_SCOPES, 'per section or whole head'),
};

export const Dose = v.variant('kind', [
  v.object({ kind: v.literal('exact'), amount, ...measured }),
  v.pipe(
    v.object({ kind: v.literal('range'), from: amount, to: amount, ...measured }),
    v.forward(
      v.partialCheck([['from'], ['to']], ({ from, to }) => from <= to, 'The range runs from less to more.'),
      ['to'],
    ),
  ),
  v.object({ kind: v.literal('unknown') }),
]);

/** Settings that only some slots have; each value is checked against its own setting. */
const extra = v.pipe(
  v.custom<Extra>(
    (value) => typeof value === 'object' && value !== null && !Array.isArray(value),
    'Settings go by their names.',
  ),
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return;
    for (const [key, value] of Object.entries(dataset.value)) {
      const message = Object.hasOwn(EXTRAS, key)
        ? extraProblem(key as ExtraKey, value)
        : 'Sabor knows no such setting. Leave it out.';
      if (message)
        addIssue({
          message,
          path: [{ type: 'object', origin: 'value', input: dataset.value, key, value }],
        });
    }
  }),
);

export const settings = {
  productId: v.nullable(id),
  dose: v.nullable(Dose),
  sections: v.nullable(whole('The number of sections', 1, 40)),
  wetness: v.nullable(oneOf(WETNESS, 'a wetness')),
  minutes: v.nullable(positive('The minutes', 2880)),
  technique: v.nullable(oneOf(TECHNIQUES, 'a technique')),
  tool: v.nullable(oneOf(TOOLS, 'a tool')),
  heat: v.nullable(oneOf(HEATS, 'a heat')),
  extra,
};

export const StepInput = v.object({
  id,
  slot: oneOf(SLOTS, 'a slot'),
  ...settings,
  note: v.optional(note, ''),
});
export type StepInput = v.InferInput<typeof StepInput>;

export const RoutineInput = v.object({
  id,
  wearerId: v.nullable(id),
  name: name('A routine'),
  note: v.optional(note, ''),
  steps: v.pipe(
    v.array(StepInput),
    v.maxLength(60, 'Sixty steps are the most a wash day can hold.'),
    eachOnce(({ id }) => id, 'Each step stands once.'),
  ),
});
export type RoutineInput = v.InferInput<typeof RoutineInput>;

export type Step = v.InferOutput<typeof StepInput>;
export type Routine = v.InferOutput<typeof RoutineInput> & { archivedAt: string | null; version: number };
