import { CAME_FROM, FASTENED, STYLE_DAYS_MOST } from '@sabor/core/basin/came-from';
import { IDEAS } from '@sabor/core/basin/ideas';
import { ACCEPTED, STYLES_MEANT } from '@sabor/core/basin/style-meant';
import { WIND_LIMIT } from '@sabor/core/climate/beaufort';
import { AIR_RANGE_C } from '@sabor/core/climate/saturation';
import { FELT } from '@sabor/core/felt/felt';
import { PLACES } from '@sabor/core/hair/zones';
import { WEAR_ENDS } from '@sabor/core/outcomes/events';
import { MARK_REASONS, MARKS, PAUSE_REASONS, SKIP_REASONS } from '@sabor/core/step/marks';
import { SLOTS } from '@sabor/core/step/slots';
import * as v from 'valibot';
import { CheckIn, WearEvent } from './check-in.ts';
import { asStored, eachOnce, id, moment, note, number, oneOf, pastMoment, whole } from './fields.ts';
import { Photograph } from './photograph.ts';
import { STEP_PARTS, settings } from './routine.ts';
import { AttachedAir, DayAir } from './weather.ts';

export const STEP_STATUSES = {
  waiting: { label: 'waiting' },
  done: { label: 'done' },
  skipped: { label: 'skipped' },
} as const;

const air = {
  temperatureC: v.nullable(number('The air temperature', AIR_RANGE_C.lowest, AIR_RANGE_C.highest)),
  humidity: v.nullable(number('The humidity in %', 0, 100)),
  windMs: v.nullable(number('The wind in m/s', 0, WIND_LIMIT)),
};

/** Begins the next allocated wash day of a trial. May be sent twice. */
export const StartWashDay = v.object({
  id,
  trialId: id,
  startedAt: pastMoment,
  /** It was begun from its envelope, without the network. */
  prepared: v.optional(v.boolean(), false),
  /** The device's own time as it sends, so that a clock that is wrong is noticed. */
  now: v.optional(moment),
  /** How the last wear ended, where that was asked as this one began. */
  wearEnd: v.optional(v.nullable(oneOf(WEAR_ENDS, 'how it ended')), null),
});
export type StartWashDay = v.InferInput<typeof StartWashDay>;

export const DOSES_FELT = {
  little: { label: 'too little' },
  right: { label: 'right' },
  much: { label: 'too much' },
} as const;
export type DoseFelt = keyof typeof DOSES_FELT;

/** What may be changed about a wash day at any time; what is left out stays. */
export const WashDayChange = v.partial(
  v.object({
    ...air,
    startedAt: pastMoment,
    washedAt: v.nullable(pastMoment),
    dry80At: v.nullable(pastMoment),
    dry90At: v.nullable(pastMoment),
    dryAt: v.nullable(pastMoment),
    revealAt: v.nullable(pastMoment),
    note,
    doseFelt: v.nullable(oneOf(DOSES_FELT, 'what the amount felt like')),
    /** How hard it was on arms and back, and on patience: 0 not at all, 4 never again. */
    strain: v.nullable(whole('The strain', 0, 4)),
    patience: v.nullable(whole('The patience', 0, 4)),
    shedHairs: v.nullable(whole('The shed hairs', 0, 20_000)),
    shedCounted: v.boolean('Say whether the hairs were counted or estimated.'),
    /** What the hair came out of as the wash began, what held it, and for how many days. */
    cameFrom: v.nullable(oneOf(CAME_FROM, 'what it came out of')),
    fastened: v.nullable(oneOf(FASTENED, 'what held it')),
    styleDays: v.nullable(whole('The days it was kept in', 0, STYLE_DAYS_MOST)),
    /** What it is meant to be worn as, and what is accepted for that. */
    styleMeant: v.nullable(oneOf(STYLES_MEANT, 'the style that is meant')),
    accepts: v.pipe(
      v.array(oneOf(ACCEPTED, 'what is accepted')),
      eachOnce((key) => key, 'Accept each once.'),
    ),
  }),
);
export type WashDayChange = v.InferInput<typeof WashDayChange>;

export const WashStepInput = v.object({
  id,
  slot: oneOf(SLOTS, 'a step'),
  /** Where in the day it stands. */
  position: number('The place in the day', -1000, 1000),
  status: oneOf(STEP_STATUSES, 'done or skipped'),
  ...settings,
  note: v.optional(note, ''),
  startedAt: v.nullable(pastMoment),
  doneAt: v.nullable(pastMoment),
  /** Why it was skipped; null where that was not said, as for a step nobody reached. */
  skipReason: v.optional(v.nullable(oneOf(SKIP_REASONS, 'why it was skipped')), null),
});
export type WashStepInput = v.InferInput<typeof WashStepInput>;

export const AbandonInput = v.object({
  reason: v.pipe(note, v.trim(), v.nonEmpty('Say why this wash day is abandoned; it stays on record.')),
});

export const WearEndInput = v.object({
  kind: oneOf(WEAR_ENDS, 'how it ended'),
  at: pastMoment,
});

/** What hand, scale and clock told of a step, beside its settings. */
const told = {
  /** Times its clock stood still; `to` is null while it does. */
  pauses: v.array(
    v.strictObject({
      id,
      from: v.string(),
      to: v.nullable(v.string()),
      reason: oneOf(PAUSE_REASONS, 'a reason'),
    }),
  ),
  marks: v.array(
    v.strictObject({
      id,
      mark: oneOf(MARKS, 'a mark'),
      reason: oneOf(MARK_REASONS, 'a reason'),
      note: v.string(),
      /** Places it is about; none for all of them. */
      places: v.array(oneOf(PLACES, 'a place')),
      at: v.string(),
    }),
  ),
  /** Readings in the hand, as places among their five words. */
  inHand: v.record(oneOf(FELT, 'a reading'), v.number()),
  /** `slot`: the step that is to be added; `productId`: the product that is to be used instead. */
  ideas: v.array(
    v.strictObject({
      id,
      idea: oneOf(IDEAS, 'an idea'),
      slot: v.nullable(oneOf(SLOTS, 'a step')),
      productId: v.nullable(id),
      at: v.string(),
    }),
  ),
  /** Grams of the bottle on the scale. */
  weighed: v.strictObject({ before: v.nullable(v.number()), after: v.nullable(v.number()) }),
  /** Its product has been on this head before, or a patch test of it stayed clear; true where that is hidden or there is none. */
  usedBefore: v.boolean(),
};
const StepTold = v.strictObject(told);
export type StepTold = v.InferOutput<typeof StepTold>;

const half = v.nullable(v.picklist(['left', 'right']));
export const WashStep = v.strictObject({
  ...asStored(WashStepInput.entries),
  ...told,
  planStepId: v.nullable(id),
  /** The half it is for, where the arms differ from left to right. */
  half,
  /** The plan's settings with the arm's own in them; null for a step the plan does not have. */
  planned: v.nullable(
    v.strictObject({
      ...settings,
      part: oneOf(STEP_PARTS, 'a part'),
      optional: v.boolean(),
      tolerance: v.number(),
      /** The arm leaves this step out. */
      skipped: v.boolean(),
    }),
  ),
  /** The code on the bottle, while the trial is blind; its product is then hidden. */
  code: v.nullable(v.number()),
});
export type WashStep = v.InferOutput<typeof WashStep>;

export const WashDay = v.strictObject({
  id,
  /** The database it stands in. */
  database: id,
  trialId: id,
  wearerId: id,
  position: v.number(),
  /** The arm on the whole head, or on its left half. */
  armId: id,
  /** The arm on the right half; null for a whole head. */
  rightArmId: v.nullable(id),
  /** What the dose felt like, in a find your amount. */
  doseFelt: v.nullable(oneOf(DOSES_FELT, 'what the amount felt like')),
  strain: v.nullable(v.number()),
  patience: v.nullable(v.number()),
  /** Hairs shed that day, counted one by one or estimated. */
  shedHairs: v.nullable(v.number()),
  shedCounted: v.boolean(),
  cameFrom: v.nullable(oneOf(CAME_FROM, 'what it came out of')),
  fastened: v.nullable(oneOf(FASTENED, 'what held it')),
  styleDays: v.nullable(v.number()),
  styleMeant: v.nullable(oneOf(STYLES_MEANT, 'the style that is meant')),
  accepts: v.array(oneOf(ACCEPTED, 'what is accepted')),
  status: v.picklist(['under way', 'worn', 'finished', 'abandoned']),
  startedAt: v.string(),
  /** It came to Sabor hours after it began: minutes and amounts are from memory. */
  enteredLater: v.boolean(),
  /** The wash day's own date in the wearer's time zone. */
  localDate: v.string(),
  washedAt: v.nullable(v.string()),
  /** When the hair was judged 80 % and 90 % dry, where that was noted. */
  dry80At: v.nullable(v.string()),
  dry90At: v.nullable(v.string()),
  dryAt: v.nullable(v.string()),
  revealAt: v.nullable(v.string()),
  routineDoneAt: v.nullable(v.string()),
  temperatureC: v.nullable(v.number()),
  humidity: v.nullable(v.number()),
  /** Mean wind in m/s. */
  windMs: v.nullable(v.number()),
  /** The reading nearest to the wash at the wearer's place; null where none was near. */
  air: v.nullable(AttachedAir),
  /** Its own date and each day after, to the end of its wear. */
  days: v.array(DayAir),
  note: v.string(),
  abandonReason: v.nullable(v.string()),
  wearEnd: v.nullable(v.strictObject({ kind: WearEndInput.entries.kind, at: v.string() })),
  steps: v.array(WashStep),
  checkIns: v.array(CheckIn),
  events: v.array(WearEvent),
  /** The last tap of each device that had a hand in it, latest first. */
  devices: v.array(
    v.strictObject({
      device: v.string(),
      at: v.string(),
      /** What it and its person are called, where it was let in; null for a window of this machine. */
      called: v.nullable(v.string()),
    }),
  ),
  photographs: v.array(Photograph),
  /** How many taps the server has stored of it: a day with fewer is an older one. */
  tapsHeard: v.number(),
});
export type WashDay = v.InferOutput<typeof WashDay>;

/** The air of a wash day, as far as it is known. */
export type Air = Pick<WashDay, 'temperatureC' | 'humidity' | 'windMs'>;

/** A word for the state of a wash day. `waited`: the answer was kept back until there was another, or for as long as it may be. */
export const Pulse = v.strictObject({ pulse: v.string(), waited: v.boolean() });
export type Pulse = v.InferOutput<typeof Pulse>;
