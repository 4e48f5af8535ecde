import type { WornDay as CoreWornDay } from '@sabor/core/board/by-way';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import * as v from 'valibot';
import { date, id } from './fields.ts';

/** A number by day of wear. */
export const byDay = v.array(v.strictObject({ day: v.number(), value: v.number() }));
/** Each outcome's number by day of wear. */
export const byOutcome = v.strictObject(
  Object.fromEntries(Object.keys(OUTCOMES).map((key) => [key, v.optional(byDay)])) as {
    [K in Outcome]: v.OptionalSchema<typeof byDay, undefined>;
  },
);

/** A worn wash day of a head, or one half of it, of a trial or by itself, with how it was done. */
export const WornDay = v.strictObject({
  washDayId: id,
  half: v.nullable(v.picklist(['left', 'right'])),
  on: date,
  dewPointC: v.nullable(v.number()),
  rated: byOutcome,
  worn: byOutcome,
  washedOn: v.nullable(v.number()),
  over: v.boolean(),
  wearDays: v.number(),
  ways: v.strictObject({
    technique: v.nullable(v.string()),
    drying: v.nullable(v.string()),
    style: v.nullable(v.string()),
    night: v.nullable(v.string()),
  }),
});
export type WornDay = CoreWornDay;
