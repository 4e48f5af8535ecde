import type { Idea } from '@sabor/core/basin/ideas';
import type { InHand } from '@sabor/core/basin/in-the-hand';
import { WIND_LIMIT } from '@sabor/core/climate/beaufort';
import { AIR_RANGE_C } from '@sabor/core/climate/saturation';
import { WEAR_ENDS } from '@sabor/core/outcomes/events';
import type { Mark, MarkReason, PauseReason } from '@sabor/core/step/marks';
import { SLOTS } from '@sabor/core/step/slots';
import * as v from 'valibot';
import type { CheckIn, WearEvent } from './check-in.ts';
import { id, note, number, oneOf, pastMoment, whole } from './fields.ts';
import type { Photograph } from './photograph.ts';
import { type Step, settings } from './routine.ts';
import type { STEP_PARTS } from './trial.ts';
import type { AttachedAir, DayAir } from './weather.ts';

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
export const StartWashDay = v.object({ id, trialId: id, startedAt: pastMoment });
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
    washedAt: v.nullable(pastMoment),
    dry80At: v.nullable(pastMoment),
    dry90At: v.nullable(pastMoment),
    dryAt: v.nullable(pastMoment),
    revealAt: v.nullable(pastMoment),
    note,
    doseFelt: v.nullable(oneOf(DOSES_FELT, 'what the dose felt like')),
    /** How hard it was on arms and back, and on patience: 0 not at all, 4 never again. */
    strain: v.nullable(whole('The strain', 0, 4)),
    patience: v.nullable(whole('The patience', 0, 4)),
    shedHairs: v.nullable(whole('The shed hairs', 0, 20_000)),
    shedCounted: v.boolean('Say whether the hairs were counted or estimated.'),
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
});
export type WashStepInput = v.InferInput<typeof WashStepInput>;

export const AbandonInput = v.object({
  reason: v.pipe(note, v.trim(), v.nonEmpty('Say why this wash day is abandoned; it stays on record.')),
});

export const WearEndInput = v.object({
  kind: oneOf(WEAR_ENDS, 'how the wear ended'),
  at: pastMoment,
});

/** What hand, scale and clock told of a step, beside its settings. */
export interface StepTold {
  /** Times its clock stood still; `to` is null while it does. */
  pauses: { id: string; from: string; to: string | null; reason: PauseReason }[];
  marks: { id: string; mark: Mark; reason: MarkReason; note: string; at: string }[];
  /** Readings in the hand, as places among their five words. */
  inHand: Partial<Record<InHand, number>>;
  ideas: { id: string; idea: Idea; at: string }[];
  /** Grams of the bottle on the scale. */
  weighed: { before: number | null; after: number | null };
  /** Its product has been on this head before; true where that is hidden or there is none. */
  usedBefore: boolean;
}

/** A step that nothing has been told of. */
export const NOTHING_TOLD: StepTold = {
  pauses: [],
  marks: [],
  inHand: {},
  ideas: [],
  weighed: { before: null, after: null },
  usedBefore: true,
};

export type WashStep = v.InferOutput<typeof WashStepInput> &
  StepTold & {
    planStepId: string | null;
    /** The half it is for, where the arms differ from left to right. */
    half: 'left' | 'right' | null;
    /** The plan's settings with the arm's own in them; null for a step the plan does not have. */
    planned:
      | (Omit<Step, 'id' | 'slot' | 'note'> & {
          part: keyof typeof STEP_PARTS;
          optional: boolean;
          tolerance: number;
          /** The arm leaves this step out. */
          skipped: boolean;
        })
      | null;
    /** The code on the bottle, while the trial is blind; its product is then hidden. */
    code: number | null;
  };

export interface WashDay {
  id: string;
  /** The database it stands in. */
  database: string;
  trialId: string;
  wearerId: string;
  position: number;
  /** The arm on the whole head, or on its left half. */
  armId: string;
  /** The arm on the right half; null for a whole head. */
  rightArmId: string | null;
  /** What the dose felt like, in a find your amount. */
  doseFelt: DoseFelt | null;
  strain: number | null;
  patience: number | null;
  /** Hairs shed that day, counted one by one or estimated. */
  shedHairs: number | null;
  shedCounted: boolean;
  status: 'under way' | 'worn' | 'finished' | 'abandoned';
  startedAt: string;
  /** The wash day's own date in the wearer's time zone. */
  localDate: string;
  washedAt: string | null;
  /** When the hair was judged 80 % and 90 % dry, where that was noted. */
  dry80At: string | null;
  dry90At: string | null;
  dryAt: string | null;
  revealAt: string | null;
  routineDoneAt: string | null;
  temperatureC: number | null;
  humidity: number | null;
  /** Mean wind in m/s. */
  windMs: number | null;
  /** The reading nearest to the wash at the wearer's place; null where none was near. */
  air: AttachedAir | null;
  /** Its own date and each day after, to the end of its wear. */
  days: DayAir[];
  note: string;
  abandonReason: string | null;
  wearEnd: v.InferOutput<typeof WearEndInput> | null;
  steps: WashStep[];
  checkIns: CheckIn[];
  events: WearEvent[];
  /** The last tap of each device that had a hand in it, latest first. */
  devices: { device: string; at: string }[];
  photographs: Photograph[];
  /** How many taps the server has stored of it: a day with fewer is an older one. */
  tapsHeard: number;
}

/** The air of a wash day, as far as it is known. */
export type Air = Pick<WashDay, 'temperatureC' | 'humidity' | 'windMs'>;
