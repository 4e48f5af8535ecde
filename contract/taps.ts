import { IDEAS } from '@sabor/core/basin/ideas';
import { FELT } from '@sabor/core/felt/felt';
import { PLACES } from '@sabor/core/hair/zones';
import { EVENTS } from '@sabor/core/outcomes/events';
import { PARTS_OF_DAY, STAGES } from '@sabor/core/outcomes/stages';
import { MARK_REASONS, MARKS, PAUSE_REASONS, SKIP_REASONS } from '@sabor/core/step/marks';
import { SLOTS } from '@sabor/core/step/slots';
import * as v from 'valibot';
import { eventParts, FeltReadings, Ratings } from './check-in.ts';
import { id, moment, nearDate, note, number, oneOf, pastMoment, whole } from './fields.ts';
import { settings } from './routine.ts';
import { STEP_STATUSES, WashDay, WashDayChange } from './wash-day.ts';

/** What may be said of a step in one tap; what is left out stays as it is. */
export const StepSet = v.partial(
  v.object({
    status: oneOf(STEP_STATUSES, 'done or skipped'),
    startedAt: v.nullable(pastMoment),
    doneAt: v.nullable(pastMoment),
    skipReason: v.nullable(oneOf(SKIP_REASONS, 'why it was skipped')),
    ...settings,
    note,
  }),
);
export type StepSet = v.InferInput<typeof StepSet>;

/** What is left out of an event's tap stays as it was. */
const saidOfEvent = {
  how: v.optional(eventParts.how.wrapped),
  productId: v.optional(eventParts.productId.wrapped),
  dose: v.optional(eventParts.dose.wrapped),
  tool: v.optional(eventParts.tool.wrapped),
  spoiledAt: v.optional(eventParts.spoiledAt.wrapped),
  came: v.optional(eventParts.came.wrapped),
};

const tap = { id, at: pastMoment };
const ofStep = { ...tap, stepId: id };

/**
 * One tap during the wash. It carries its own id and moment, is kept on the phone first, and may reach the server late,
 * twice, or after a tap of another device: what counts for each thing it sets is the tap with the latest moment.
 */
export const Tap = v.variant('kind', [
  v.object({ ...ofStep, kind: v.literal('step'), set: StepSet }),
  /** A step the plan does not have. */
  v.object({
    ...ofStep,
    kind: v.literal('add-step'),
    slot: oneOf(SLOTS, 'a step'),
    position: number('The place in the day', -1000, 1000),
  }),
  v.object({ ...ofStep, kind: v.literal('take-out') }),
  v.object({ ...tap, kind: v.literal('day'), set: WashDayChange }),
  v.object({
    ...ofStep,
    kind: v.literal('pause'),
    pauseId: id,
    from: pastMoment,
    /** Null while it lasts. */
    to: v.nullable(pastMoment),
    reason: oneOf(PAUSE_REASONS, 'a reason'),
  }),
  v.object({
    ...ofStep,
    kind: v.literal('mark'),
    markId: id,
    mark: oneOf(MARKS, 'what happened'),
    reason: oneOf(MARK_REASONS, 'a reason'),
    note: v.optional(note, ''),
    /** Places it is about, where not all. */
    places: v.optional(v.pipe(v.array(oneOf(PLACES, 'a place')), v.maxLength(9)), []),
    /** True takes it back. */
    gone: v.optional(v.boolean(), false),
  }),
  v.object({
    ...ofStep,
    kind: v.literal('in-hand'),
    quality: oneOf(FELT, 'a reading'),
    /** Place among its five words, from 0; null takes it away. */
    value: v.nullable(whole('A reading in the hand', 0, 4)),
  }),
  v.pipe(
    v.object({
      ...ofStep,
      kind: v.literal('idea'),
      ideaId: id,
      idea: oneOf(IDEAS, 'an idea'),
      /** The step that is to be added. */
      slot: v.optional(v.nullable(oneOf(SLOTS, 'a step')), null),
      /** The product that is to be used instead, where one is meant. */
      productId: v.optional(v.nullable(id), null),
      gone: v.optional(v.boolean(), false),
    }),
    v.check(
      ({ idea, productId }) => productId === null || idea === 'other-product',
      'Only another product is named.',
    ),
    v.check(({ idea, slot }) => (idea === 'add-step') === (slot !== null), 'Say which step is to be added.'),
  ),
  v.object({
    ...ofStep,
    kind: v.literal('weighing'),
    phase: v.picklist(['before', 'after'], 'Say whether it was weighed before or after.'),
    /** Null takes it back. */
    grams: v.nullable(number('The weight in grams', 0, 20_000)),
  }),
  /** Ratings of a look at the hair; `lookedAt` is the moment of the look, which may be earlier. */
  v.pipe(
    v.object({
      ...tap,
      kind: v.literal('rate'),
      checkInId: id,
      stage: oneOf(STAGES, 'a stage'),
      day: v.nullable(whole('The day', 1, 60)),
      part: v.optional(oneOf(PARTS_OF_DAY, 'a part of the day'), 'first'),
      lookedAt: pastMoment,
      ratings: Ratings,
      felt: v.optional(FeltReadings, []),
      /** Left out, they stay as they were. */
      note: v.optional(note),
      rater: v.optional(v.pipe(v.string(), v.trim(), v.maxLength(80, 'Keep the name under 80 characters.'))),
    }),
    v.check(
      ({ stage, day }) => (stage === 'wear') === (day !== null),
      'Days are counted from the finished hair; earlier check-ins have none.',
    ),
    v.check(
      ({ stage, part }) => stage === 'wear' || part === 'first',
      'Only days worn have several check-ins.',
    ),
  ),
  /** What happened to the hair on a day of wear, or protects it that night. */
  v.object({
    ...tap,
    kind: v.literal('event'),
    eventId: id,
    event: oneOf(EVENTS, 'what happened'),
    on: nearDate,
    zoneIds: v.optional(v.pipe(v.array(id), v.maxLength(60))),
    note: v.optional(note),
    ...saidOfEvent,
    gone: v.optional(v.boolean(), false),
  }),
  v.object({ ...tap, kind: v.literal('finish') }),
]);
export type Tap = v.InferInput<typeof Tap>;
export type HeardTap = v.InferOutput<typeof Tap>;

type Said<T> = T extends { id: string; at: string } ? Omit<T, 'id' | 'at'> & { at?: string } : never;
/** A tap before it has its id and, usually, its moment. */
export type NewTap = Said<Tap>;

export const TAP_LIMIT = 500;

/** What a device sends: its taps in their order. Each is checked by itself, so that a bad one holds up no other. */
export const TapsInput = v.object({
  device: v.pipe(
    v.string('Say which device this is.'),
    v.regex(/^[\w -]{1,60}$/, 'A device’s name is letters, numbers and hyphens.'),
  ),
  /** The device's own time as it sends, so that a clock that is wrong is noticed. */
  now: v.optional(moment),
  /** The database the taps were made for. */
  database: v.optional(id),
  taps: v.pipe(v.array(v.unknown()), v.maxLength(TAP_LIMIT, `Send at most ${TAP_LIMIT} taps at once.`)),
});

export const TapsHeard = v.strictObject({
  day: WashDay,
  /** Taps that are stored or were refused; the device need not send them again. */
  heard: v.array(v.string()),
  refused: v.array(v.strictObject({ id: v.string(), detail: v.string() })),
  /** By how much the device's clock is ahead, ms; 0 where it is right. */
  clockAheadMs: v.number(),
});
export type TapsHeard = v.InferOutput<typeof TapsHeard>;

/** A tap the server could not take, and why. */
export type RefusedTap = TapsHeard['refused'][number];
