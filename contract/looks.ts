import { ANGLES } from '@sabor/core/basin/angles';
import { CLIPS } from '@sabor/core/basin/clip';
import { PLACES, SIDES } from '@sabor/core/hair/zones';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { STAGES } from '@sabor/core/outcomes/stages';
import * as v from 'valibot';
import { CheckIn, lookParts } from './check-in.ts';
import { Consents } from './consent.ts';
import { id, oneOf } from './fields.ts';

/** A look at the hair by somebody who knows nothing of what was used. May be sent twice; ratings given replace those they name. */
export const LookInput = v.object(lookParts);
export type LookInput = v.InferOutput<typeof LookInput>;

/** A look that waits, or was begun by whoever asks. What was used, and what others rated, is not in it. */
const WaitingLook = v.strictObject({
  washDayId: id,
  wearerId: id,
  /** The wash day's own date. */
  washedOn: v.string(),
  stage: oneOf(STAGES, 'a stage'),
  day: v.nullable(v.number()),
  /** What it is judged by. */
  main: oneOf(OUTCOMES, 'an outcome'),
  /** The zones that count. */
  counting: v.array(id),
  /** What whoever asks said of it already; null where that is nothing. */
  said: v.nullable(v.pick(CheckIn, ['id', 'at', 'note', 'ratings'])),
});
export type WaitingLook = v.InferOutput<typeof WaitingLook>;

/** What a rater, or a wearer of one head, is told. */
export const Looks = v.strictObject({
  heads: v.array(
    v.strictObject({
      id,
      name: v.string(),
      timeZone: v.string(),
      zones: v.array(
        v.strictObject({
          id,
          place: oneOf(PLACES, 'a place'),
          side: oneOf(SIDES, 'a side'),
          ownName: v.nullable(v.string()),
        }),
      ),
    }),
  ),
  looks: v.array(WaitingLook),
});
export type Looks = v.InferOutput<typeof Looks>;

const seen = { id, takenAt: v.string(), stage: oneOf(STAGES, 'a stage'), day: v.nullable(v.number()) };
/** What is kept of a wearer's own head that only they and the tester see. */
export const Own = v.strictObject({
  consents: Consents,
  pictures: v.array(v.strictObject({ ...seen, angle: oneOf(ANGLES, 'an angle') })),
  clips: v.array(v.strictObject({ ...seen, kind: oneOf(CLIPS, 'what it shows') })),
});
export type Own = v.InferOutput<typeof Own>;
