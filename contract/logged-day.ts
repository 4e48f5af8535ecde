import * as v from 'valibot';
import { id, name, pastMoment } from './fields.ts';
import { StepInput } from './routine.ts';

/** A wash day that belongs to no trial: of a head, by a routine or by steps of its own, begun at a moment that has come. */
export const LogWashDay = v.object({
  /** The wash day's own id: sent twice it is made once. */
  id,
  wearerId: v.pipe(v.string('Choose whose hair it was.'), v.uuid('Choose whose hair it was.')),
  name: name('A wash day'),
  startedAt: pastMoment,
  steps: v.pipe(
    v.array(StepInput),
    v.minLength(1, 'Choose a routine with one step at least.'),
    v.maxLength(60, 'Sixty steps are the most a wash day can hold.'),
  ),
});
export type LogWashDay = v.InferInput<typeof LogWashDay>;

/** A wash day as lists over all heads show it. */
export const ListedDay = v.strictObject({
  id,
  trialId: id,
  wearerId: id,
  wearerName: v.string(),
  /** The trial's question, or the name of a wash day by itself. */
  name: v.string(),
  /** It belongs to no trial. */
  logged: v.boolean(),
  /** Its number in its trial, from 1. */
  number: v.number(),
  localDate: v.string(),
  startedAt: v.string(),
  status: v.picklist(['under way', 'worn', 'finished', 'abandoned']),
  enteredLater: v.boolean(),
});
export type ListedDay = v.InferOutput<typeof ListedDay>;
