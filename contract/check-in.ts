import { EVENTS } from '@sabor/core/outcomes/events';
import { OUTCOMES, RATING_RANGE } from '@sabor/core/outcomes/outcomes';
import { STAGES } from '@sabor/core/outcomes/stages';
import * as v from 'valibot';
import { eachOnce, id, note, number, oneOf, pastDate, pastMoment, positive, whole } from './fields.ts';
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

export const CurlReadingInput = v.object({
  curlId: id,
  /** Null takes the reading away. */
  restingMm: v.nullable(positive('The resting length', 2000)),
});
export type CurlReadingInput = v.InferInput<typeof CurlReadingInput>;

/** A dated look at the hair. May be sent twice; ratings and lengths given replace those they name. */
export const CheckInInput = v.pipe(
  v.object({
    id,
    washDayId: id,
    stage: oneOf(STAGES, 'a stage'),
    day: v.nullable(whole('The day', 1, 60)),
    at: pastMoment,
    /** Left out, the note stays as it was. */
    note: v.optional(note),
    /** Who rated, where it was not the tester. Left out, it stays. */
    rater: v.optional(v.pipe(v.string(), v.trim(), v.maxLength(80, 'Keep the name under 80 characters.'))),
    ratings: v.optional(Ratings, []),
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
      'Days are counted from the finished hair; wet and cast have none.',
    ),
    ['day'],
  ),
);
export type CheckInInput = v.InferInput<typeof CheckInInput>;

export const EventInput = v.object({
  id,
  washDayId: id,
  kind: oneOf(EVENTS, 'what happened'),
  on: pastDate,
  note: v.optional(note, ''),
  /** Zones it happened to, where not the whole head: a spot refresh ends the wash-day product's test there. */
  zoneIds: v.optional(v.pipe(v.array(id), v.maxLength(60)), []),
});
export type EventInput = v.InferInput<typeof EventInput>;

export type WearEvent = v.InferOutput<typeof EventInput>;

export const CheckIn = v.strictObject({
  id,
  washDayId: id,
  stage: oneOf(STAGES, 'a stage'),
  day: v.nullable(v.number()),
  at: v.string(),
  note: v.string(),
  /** Empty where the tester rated. */
  rater: v.string(),
  /** The reading nearest to the look at the wearer's place. */
  air: v.nullable(AttachedAir),
  ratings: v.array(
    v.strictObject({ outcome: oneOf(OUTCOMES, 'an outcome'), zoneId: v.nullable(id), value: v.number() }),
  ),
  curls: v.array(v.strictObject({ curlId: id, restingMm: v.number(), stretchedMm: v.number() })),
});
export type CheckIn = v.InferOutput<typeof CheckIn>;
