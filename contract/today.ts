import { IDEAS } from '@sabor/core/basin/ideas';
import type { AirFacts } from '@sabor/core/climate/air-ahead';
import { CARE } from '@sabor/core/hair/care-kinds';
import { HAIR_EVENTS } from '@sabor/core/hair/history';
import { EVENTS } from '@sabor/core/outcomes/events';
import { STAGES } from '@sabor/core/outcomes/stages';
import { SLOTS } from '@sabor/core/step/slots';
import * as v from 'valibot';
import { date, id, oneOf } from './fields.ts';

/** A wash day of a trial that something is due of. */
const ofTrial = {
  trialId: id,
  question: v.string(),
  wearerName: v.string(),
  /** The wash day's number, from 1, and how many are planned. */
  number: v.number(),
  of: v.number(),
};
const ofDay = { ...ofTrial, washDayId: id };

/** What waits for the tester, most pressing first. */
export const Due = v.variant('kind', [
  v.strictObject({ kind: v.picklist(['continue wash day', 'end wear']), ...ofDay }),
  /** `on`: the day it was moved to. */
  v.strictObject({ kind: v.literal('start wash day'), begun: v.boolean(), on: v.nullable(date), ...ofTrial }),
  v.strictObject({
    kind: v.literal('check-in'),
    stage: oneOf(STAGES, 'a stage'),
    day: v.nullable(v.number()),
    ...ofDay,
  }),
  /** Something announced for a day worn, whose day has come: what came of it is asked. */
  v.strictObject({ kind: v.literal('announced'), event: oneOf(EVENTS, 'what happens'), on: date, ...ofDay }),
  /** A step planned for a day worn that has come. */
  v.strictObject({
    kind: v.literal('later step'),
    stepId: id,
    slot: oneOf(SLOTS, 'a step'),
    half: v.nullable(v.picklist(['left', 'right'])),
    ...ofDay,
  }),
  /** What protects the hair tonight; `setWaits` where a set goes on drying. */
  v.strictObject({ kind: v.literal('night'), setWaits: v.boolean(), ...ofDay }),
  /** A finished trial: to be read, and then judged; `written` of its products have a verdict on this head. */
  v.strictObject({
    kind: v.literal('read'),
    trialId: id,
    question: v.string(),
    written: v.number(),
    products: v.number(),
  }),
  /** Something a verdict left open, whose day has come. */
  v.strictObject({
    kind: v.literal('left open'),
    verdictId: id,
    name: v.string(),
    wearerName: v.string(),
    what: v.string(),
    due: date,
  }),
  v.strictObject({
    kind: v.literal('care'),
    wearerId: id,
    wearerName: v.string(),
    /** Each kind of care that is due, the days it is overdue, and what called for it before its time. */
    care: v.array(
      v.strictObject({
        kind: oneOf(CARE, 'a kind of care'),
        over: v.number(),
        calledBy: v.nullable(oneOf(HAIR_EVENTS, 'what happened')),
      }),
    ),
  }),
  /** What bothers a head and is not solved. */
  v.strictObject({
    kind: v.literal('problems'),
    wearerId: id,
    wearerName: v.string(),
    problems: v.array(v.strictObject({ what: v.string(), since: date })),
  }),
  /** A product on the inner arm whose outcome is not yet said; `over` once its hours have passed. */
  v.strictObject({
    kind: v.literal('patch test'),
    wearerId: id,
    wearerName: v.string(),
    productName: v.string(),
    until: v.string(),
    timeZone: v.string(),
    over: v.boolean(),
  }),
  /** A bottle near or past the last day of its period after opening. */
  v.strictObject({
    kind: v.literal('bottle'),
    productId: id,
    productName: v.string(),
    last: date,
    past: v.boolean(),
  }),
]);
export type Due = v.InferOutput<typeof Due>;

const celsius = v.number();
const span = { lowC: celsius, highC: celsius };
const Air = v.strictObject({
  now: v.nullable(
    v.strictObject({
      temperatureC: celsius,
      humidity: v.number(),
      regain: v.nullable(v.number()),
      windMs: v.nullable(v.number()),
    }),
  ),
  usual: v.nullable(v.strictObject({ ...span, humidity: v.number() })),
  dewPoint: v.nullable(v.strictObject({ celsius, label: v.string(), says: v.string() })),
  next: v.nullable(v.strictObject(span)),
  met: v.nullable(v.strictObject({ ...span, apart: v.nullable(v.picklist(['drier', 'damper'])) })),
}) satisfies v.GenericSchema<unknown, AirFacts>;

/** What the air means for a wash day that waits or is under way. */
export const AirForWashDay = v.strictObject({
  trialId: id,
  question: v.string(),
  wearerName: v.string(),
  /** Null while Sabor does not know where the wearer is. */
  place: v.nullable(v.strictObject({ id, name: v.string() })),
  /** Null where nothing is known of it. */
  air: v.nullable(Air),
});
export type AirForWashDay = v.InferOutput<typeof AirForWashDay>;

/** What waits to be tried; `ref` is what it is put aside by. */
export const ToTry = v.variant('kind', [
  v.strictObject({
    kind: v.literal('retest'),
    ref: id,
    trialId: id,
    question: v.string(),
    wearerName: v.string(),
    why: v.string(),
  }),
  v.strictObject({
    kind: v.literal('formula'),
    ref: id,
    trialId: id,
    question: v.string(),
    wearerName: v.string(),
    productName: v.string(),
    until: date,
  }),
  v.strictObject({
    kind: v.literal('idea'),
    ref: id,
    trialId: id,
    wearerName: v.string(),
    at: oneOf(SLOTS, 'a step'),
    idea: oneOf(IDEAS, 'an idea'),
    /** The step that is to be added. */
    slot: v.nullable(oneOf(SLOTS, 'a step')),
    /** The product that is to be used instead. */
    productName: v.nullable(v.string()),
    on: date,
    /** Whether a trial can be planned of it as it is. */
    plannable: v.boolean(),
  }),
  v.strictObject({
    kind: v.literal('untried'),
    ref: id,
    productId: id,
    productName: v.string(),
    lineName: v.string(),
  }),
]);
export type ToTry = v.InferOutput<typeof ToTry>;

export const Today = v.strictObject({
  due: v.array(Due),
  toTry: v.array(ToTry),
  /** Which steps towards a first comparison are done. */
  road: v.strictObject({
    products: v.boolean(),
    wearer: v.boolean(),
    place: v.boolean(),
    routine: v.boolean(),
    trial: v.boolean(),
    compared: v.boolean(),
  }),
  air: v.array(AirForWashDay),
  /** True when this Sabor still holds nothing of its own. */
  empty: v.boolean(),
  demo: v.boolean(),
});
export type Today = v.InferOutput<typeof Today>;
