import { GROUPS } from '@sabor/core/ingredients/facts';
import * as v from 'valibot';
import { date, id, number, oneOf } from './fields.ts';

/** A name the dictionary does not know, as the tester classified it. */
export const OwnIngredientInput = v.pipe(
  v.object({
    name: v.pipe(
      v.string('Give the name as the label writes it.'),
      v.trim(),
      v.nonEmpty('Give the name as the label writes it.'),
      v.maxLength(200, 'Keep the name under 200 characters.'),
      v.toLowerCase(),
    ),
    /** INCI name of a known ingredient it behaves like. */
    likeName: v.nullable(
      v.pipe(v.string(), v.trim(), v.maxLength(200, 'Keep the name under 200 characters.')),
    ),
    group: v.nullable(oneOf(GROUPS, 'a group')),
  }),
  v.forward(
    v.partialCheck(
      [['likeName'], ['group']],
      ({ likeName, group }) => (likeName === null) !== (group === null),
      'Say either what it is like, or its group.',
    ),
    ['group'],
  ),
);
export type OwnIngredientInput = v.InferInput<typeof OwnIngredientInput>;
export type OwnIngredient = v.InferOutput<typeof OwnIngredientInput>;

export const RuleWeightInput = v.object({ weight: number('The weight of a rule', 0, 3) });

/** What wash days have put on a head: every product used, in order, with its grams where the dose was measured. */
export const LedgerWashDay = v.strictObject({
  on: date,
  armId: id,
  trialId: id,
  steps: v.array(v.strictObject({ productId: id, grams: v.nullable(v.number()) })),
});
export type LedgerWashDay = v.InferOutput<typeof LedgerWashDay>;
