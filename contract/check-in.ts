import { FELT, FELT_RANGE } from '@sabor/core/felt/felt';
import { EVENT_CAME, EVENT_HOW, EVENTS } from '@sabor/core/outcomes/events';
import { OUTCOMES, RATING_RANGE } from '@sabor/core/outcomes/outcomes';
import { PARTS_OF_DAY, STAGES } from '@sabor/core/outcomes/stages';
import { TOOLS } from '@sabor/core/step/choices';
import * as v from 'valibot';
import {
  asStored,
  eachOnce,
  id,
  nearDate,
  note,
  number,
  oneOf,
  pastMoment,
  positive,
  whole,
} from './fields.ts';
import { Dose } from './routine.ts';
import { AttachedAir } from './weather.ts';

export const RatingInput = v.object({
  outcome: oneOf(OUTCOMES, 'an outcome'),
  zoneId: v.nullable(id),
  /** Null takes the rating away. */
  value: v.nullable(number('A rating', RATING_RANGE.lowest, RATING_RANGE.highest)),
});
export type RatingInput = v.InferInput<typeof RatingInput>;

/** Ratings of one look, each zone and outcome once. */
export const Ratings = v.pipe(
  v.array(RatingInput),
  v.maxLength(400),
  eachOnce(({ outcome, zoneId }) => `${outcome} ${zoneId}`, 'Rate each outcome of a zone once.'),
);

export const FeltInput = v.object({
  quality: oneOf(FELT, 'a reading'),
  zoneId: v.nullable(id),
  /** Place among its five words, from 0; null takes it away. */
  value: v.nullable(whole('A reading in five words', FELT_RANGE.lowest, FELT_RANGE.highest)),
});
export type FeltInput = v.InferInput<typeof FeltInput>;

/** Readings in five words of one look, each zone and reading once. */
export const FeltReadings = v.pipe(
  v.array(FeltInput),
  v.maxLength(400),
  eachOnce(({ quality, zoneId }) => `${quality} ${zoneId}`, 'Give each reading of a zone once.'),
);

export const CurlReadingInput = v.object({
  curlId: id,
  /** Null takes the reading away. */
  restingMm: v.nullable(positive('The resting length', 2000)),
});
export type CurlReadingInput = v.InferInput<typeof CurlReadingInput>;

/** What a look at the hair says by eye and by hand. */
export const lookParts = {
  id,
  washDayId: id,
  stage: oneOf(STAGES, 'a stage'),
  day: v.nullable(whole('The day', 1, 60)),
  /** Which check-in of its day it is. */
  part: v.optional(oneOf(PARTS_OF_DAY, 'a part of the day'), 'first'),
  at: pastMoment,
  /** Left out, the note stays as it was. */
  note: v.optional(note),
  ratings: v.optional(Ratings, []),
};

/** A dated look at the hair. May be sent twice; ratings and lengths given replace those they name. */
export const CheckInInput = v.pipe(
  v.object({
    ...lookParts,
    /** Who rated, where it was not the tester. Left out, it stays. */
    rater: v.optional(v.pipe(v.string(), v.trim(), v.maxLength(80, 'Keep the name under 80 characters.'))),
    felt: v.optional(FeltReadings, []),
    curls: v.optional(
      v.pipe(
        v.array(CurlReadingInput),
        v.maxLength(12),
        eachOnce(({ curlId }) => curlId, 'Measure each curl once.'),
      ),
      [],
    ),
  }),
  v.forward(
    v.partialCheck(
      [['stage'], ['day']],
      ({ stage, day }) => (stage === 'wear') === (day !== null),
      'Days are counted from the finished hair; earlier check-ins have none.',
    ),
    ['day'],
  ),
  v.forward(
    v.partialCheck(
      [['stage'], ['part']],
      ({ stage, part }) => stage === 'wear' || part === 'first',
      'Only days worn have several check-ins.',
    ),
    ['part'],
  ),
);
export type CheckInInput = v.InferInput<typeof CheckInInput>;

/** What only some events tell; what is left out of a change stays. */
export const eventParts = {
  how: v.optional(v.nullable(oneOf(EVENT_HOW, 'how it was')), null),
  productId: v.optional(v.nullable(id), null),
  dose: v.optional(v.nullable(Dose), null),
  tool: v.optional(v.nullable(oneOf(TOOLS, 'a tool')), null),
  /** When it was said to have spoiled where it happened; null where it did not. */
  spoiledAt: v.optional(v.nullable(pastMoment), null),
  came: v.optional(v.nullable(oneOf(EVENT_CAME, 'what it came to')), null),
};

export const EventInput = v.object({
  id,
  washDayId: id,
  kind: oneOf(EVENTS, 'what happened'),
  /** Its day; one to come is announced. */
  on: nearDate,
  note: v.optional(note, ''),
  /** Zones it happened to, where not the whole head: a spot refresh ends the wash-day product's test there. */
  zoneIds: v.optional(v.pipe(v.array(id), v.maxLength(60)), []),
  ...eventParts,
});
export type EventInput = v.InferInput<typeof EventInput>;

export const WearEvent = v.strictObject({
  ...asStored(EventInput.entries),
  /** It was set before its day. */
  announced: v.boolean(),
});
export type WearEvent = v.InferOutput<typeof WearEvent>;

export const CheckIn = v.strictObject({
  id,
  washDayId: id,
  stage: oneOf(STAGES, 'a stage'),
  day: v.nullable(v.number()),
  part: oneOf(PARTS_OF_DAY, 'a part of the day'),
  at: v.string(),
  note: v.string(),
  /** Empty where the tester rated. */
  rater: v.string(),
  /** The reading nearest to the look at the wearer's place. */
  air: v.nullable(AttachedAir),
  ratings: v.array(
    v.strictObject({ outcome: oneOf(OUTCOMES, 'an outcome'), zoneId: v.nullable(id), value: v.number() }),
  ),
  felt: v.array(
    v.strictObject({ quality: oneOf(FELT, 'a reading'), zoneId: v.nullable(id), value: v.number() }),
  ),
  curls: v.array(v.strictObject({ curlId: id, restingMm: v.number(), stretchedMm: v.number() })),
});
export type CheckIn = v.InferOutput<typeof CheckIn>;
