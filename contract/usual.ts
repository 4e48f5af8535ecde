import type { Usual } from '@sabor/core/board/usual';
import { DOSE_SCOPES } from '@sabor/core/doses/dose';
import { MEASURES } from '@sabor/core/doses/measures';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { STAGES } from '@sabor/core/outcomes/stages';
import { SLOTS } from '@sabor/core/step/slots';
import * as v from 'valibot';
import { id, oneOf, whole } from './fields.ts';

/** What is asked for: a head's usual numbers at one stage or day worn, a trial left out. */
export const UsualInput = v.pipe(
  v.object({
    stage: oneOf(STAGES, 'a stage'),
    day: v.nullable(whole('A day worn', 1, 60)),
    without: v.nullable(id),
  }),
  v.check(
    ({ stage, day }) => (stage === 'wear') === (day !== null),
    'A day worn has its number, another stage has none.',
  ),
);

/** The wash day that is left out of a head's usual minutes and amounts. */
export const UsualDayInput = v.object({ without: v.nullable(id) });

const band = { low: v.number(), high: v.number(), middle: v.number(), days: v.number() };
export const UsualBand = v.variant('known', [
  v.strictObject({ known: v.literal('band'), ...band, products: v.number() }),
  v.strictObject({ known: v.literal('one product'), ...band, product: v.string() }),
  v.strictObject({ known: v.literal('too few'), days: v.number() }),
]) satisfies v.GenericSchema<unknown, Usual>;

/** Where one outcome usually lies on a zone, or over the zones that were rated; a product goes by its name. */
export const UsualOfZone = v.strictObject({
  outcome: oneOf(OUTCOMES, 'an outcome'),
  zoneId: v.nullable(id),
  usual: UsualBand,
});
export type UsualOfZone = v.InferOutput<typeof UsualOfZone>;

/** Where a whole head's minutes, shed hairs and amounts usually lie, from its earlier wash days. */
export const UsualDay = v.strictObject({
  dry: UsualBand,
  handsOn: UsualBand,
  shed: UsualBand,
  /** Of each product at each step, in the measure it was dosed by. */
  doses: v.array(
    v.strictObject({
      productId: id,
      slot: oneOf(SLOTS, 'a step'),
      measure: oneOf(MEASURES, 'a measure'),
      per: oneOf(DOSE_SCOPES, 'a scope'),
      usual: UsualBand,
    }),
  ),
});
export type UsualDay = v.InferOutput<typeof UsualDay>;
