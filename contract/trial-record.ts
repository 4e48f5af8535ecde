import { MEASURES } from '@sabor/core/doses/measures';
import type { Reach } from '@sabor/core/inference/reach';
import { SLOTS } from '@sabor/core/step/slots';
import { TRIAL_STATUSES } from '@sabor/core/trial/statuses';
import * as v from 'valibot';
import { asStored, date, id, kept, oneOf } from './fields.ts';
import { Amendment, Overrule } from './promise.ts';
import { Dose } from './routine.ts';
import { fields, GuessInput } from './trial.ts';
import { DOSES_FELT, WashDay } from './wash-day.ts';

/** Arms of a wash day's two halves; the same twice for a whole head. */
export const Lot = v.strictObject({ left: id, right: id });
export type Lot = v.InferOutput<typeof Lot>;

/** What a helper fills into the bottle with a code. */
export const KeyEntry = v.strictObject({
  code: v.number(),
  name: v.string(),
  fills: v.array(
    v.strictObject({
      slot: oneOf(SLOTS, 'a step'),
      product: v.nullable(v.string()),
      dose: v.nullable(Dose),
    }),
  ),
});
export type KeyEntry = v.InferOutput<typeof KeyEntry>;

/** Doses of a product tried on one head, oldest first, as its run-ins went. */
export const DoseRun = v.strictObject({
  productId: id,
  measure: oneOf(MEASURES, 'a measure'),
  tried: v.array(v.strictObject({ amount: v.number(), felt: oneOf(DOSES_FELT, 'how it felt') })),
});
export type DoseRun = v.InferOutput<typeof DoseRun>;

const LookReach = v.strictObject({
  days: v.number(),
  alpha: v.number(),
  oneApartP: v.number(),
  decides: v.boolean(),
});
const Attainable = v.strictObject({
  sequences: v.number(),
  smallestP: v.number(),
  last: LookReach,
  first: v.nullable(LookReach),
  decides: v.boolean(),
}) satisfies v.GenericSchema<unknown, Reach>;

const stored = asStored(fields.entries);

/** A trial as lists show it. */
export const Trial = v.strictObject({
  ...kept,
  id,
  wearerId: stored.wearerId,
  wearerName: v.string(),
  question: stored.question,
  design: stored.design,
  routineName: stored.routineName,
  status: oneOf(TRIAL_STATUSES, 'a status'),
  primary: stored.primary,
  /** One for a wash day by itself. */
  washDays: v.number(),
  wearDays: stored.wearDays,
  blind: stored.blind,
  createdAt: v.string(),
  startedAt: v.nullable(v.string()),
  endedAt: v.nullable(v.string()),
  arms: v.array(v.strictObject({ id, name: v.string() })),
  /** Arms by position; null where still sealed. */
  allocation: v.array(v.nullable(Lot)),
  /** Wash days run or under way, abandoned ones left out. */
  washDaysDone: v.number(),
  /** What its plan can reach. */
  attainable: Attainable,
  /** Arms go by codes until the key is opened: in the order of those, or of two factors that begin with the lowest. */
  masked: v.boolean(),
  /** A wash day by itself, with nothing under test. */
  logged: v.boolean(),
  /** The panel over several heads it belongs to, and which row of the panel's squares it took. */
  panelId: v.nullable(id),
  panelRow: v.nullable(v.number()),
});
export type Trial = v.InferOutput<typeof Trial>;

export const Guess = v.strictObject({
  /** The arm is null for "no idea"; hidden as its name while masked. */
  ...GuessInput.entries,
  washDayId: id,
  /** Known once the key is open. */
  right: v.nullable(v.boolean()),
});
export type Guess = v.InferOutput<typeof Guess>;

export const TrialDetail = v.strictObject({
  ...Trial.entries,
  ...stored,
  washDays: Trial.entries.washDays,
  alpha: v.number(),
  endReason: v.nullable(v.string()),
  /** The seed the allocation was drawn from, once nothing is sealed any more. */
  seed: v.nullable(v.number()),
  /** Code on the bottle of each arm, by its id; empty until a blind trial begins. */
  codes: v.record(v.string(), v.number()),
  /** While masked, what is under test, in alphabetical order. */
  underTest: v.array(v.string()),
  lookedAt: v.nullable(v.string()),
  keyOpenedAt: v.nullable(v.string()),
  outcomesShownAt: v.nullable(v.string()),
  /** From when on it is to be run again, and why; null where nobody asked for that. */
  retest: v.nullable(v.strictObject({ from: date, why: v.string() })),
  washDayRecords: v.array(WashDay),
  amendments: v.array(Amendment),
  overrules: v.array(Overrule),
  guesses: v.array(Guess),
});
export type TrialDetail = v.InferOutput<typeof TrialDetail>;
