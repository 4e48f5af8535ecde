import { DOSE_SCOPES } from '@sabor/core/doses/dose';
import { MEASURES } from '@sabor/core/doses/measures';
import { extraProblem } from '@sabor/core/step/extra';
import {
  COMMON_KEYS,
  type CommonKey,
  type Extra,
  type ExtraKey,
  isCommon,
  SETTINGS,
  type Setting,
  type SettingKey,
  type StepSettings,
} from '@sabor/core/step/settings';
import { SLOTS } from '@sabor/core/step/slots';
import * as v from 'valibot';
import { asStored, eachOnce, id, kept, name, note, oneOf, positive, whole } from './fields.ts';

const amount = positive('The amount', 500);
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
      const known = Object.hasOwn(SETTINGS, key) && !isCommon(key as SettingKey);
      const message = known
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

/** The schema of a setting that every step can have, by its row in the settings table. */
function common(key: CommonKey): v.GenericSchema {
  const setting: Setting = SETTINGS[key];
  const { label, noun = label.toLowerCase() } = setting;
  switch (setting.kind) {
    case 'product':
      return id;
    case 'dose':
      return Dose;
    case 'number':
      return setting.whole ? whole(label, setting.least, setting.most) : positive(label, setting.most);
    case 'choice':
      return oneOf(setting.options, `a ${noun}`);
    default:
      throw new Error(`${key} cannot be a setting every step has.`);
  }
}

/** What a step can set, each null for not set, and `extra` for what only some slots have. */
export const settings = {
  ...(Object.fromEntries(COMMON_KEYS.map((key) => [key, v.nullable(common(key))])) as unknown as {
    [K in CommonKey]: v.NullableSchema<v.GenericSchema<NonNullable<StepSettings[K]>>, undefined>;
  }),
  extra,
};

/** What a trial does with a step: keep it as planned, put it under test, or let it vary. */
export const STEP_PARTS = {
  held: { label: 'kept the same' },
  tested: { label: 'tested' },
  free: { label: 'may vary' },
} as const;

export const StepInput = v.object({
  id,
  slot: oneOf(SLOTS, 'a step'),
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
export const Routine = v.strictObject({ ...asStored(RoutineInput.entries), ...kept });
export type Routine = v.InferOutput<typeof Routine>;
