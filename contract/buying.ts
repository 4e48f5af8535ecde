import { REACH_FROM } from '@sabor/core/shelf/buying';
import * as v from 'valibot';
import { date, id, oneOf } from './fields.ts';

/** What runs out when, and what was used up; nothing behind the code of a blind trial is counted. */
export const Buying = v.strictObject({
  runsOut: v.array(
    v.strictObject({
      productId: id,
      left: v.number(),
      perWeek: v.number(),
      on: date,
      from: oneOf(REACH_FROM, 'what it rests on'),
    }),
  ),
  spent: v.array(
    v.strictObject({
      month: v.string(),
      wearerId: id,
      lineId: v.nullable(id),
      currency: v.string(),
      amount: v.number(),
      uses: v.number(),
    }),
  ),
  /** Uses without a price, a size or a known amount. */
  untold: v.number(),
  /** The first day that is counted. */
  since: date,
});
export type Buying = v.InferOutput<typeof Buying>;
