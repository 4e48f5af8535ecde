import { CLIP_SECONDS_AT_MOST, CLIP_TYPES, CLIPS } from '@sabor/core/basin/clip';
import { STAGES } from '@sabor/core/outcomes/stages';
import * as v from 'valibot';
import { id, oneOf, pastMoment, whole } from './fields.ts';

/** What goes with a clip whose film is sent with it. */
export const ClipInput = v.pipe(
  v.object({
    id,
    washDayId: id,
    stage: oneOf(STAGES, 'a stage'),
    day: v.nullable(whole('The day', 1, 60)),
    kind: oneOf(CLIPS, 'what it shows'),
    takenAt: pastMoment,
    seconds: v.pipe(
      v.number('Say how long it runs.'),
      v.gtValue(0, 'This clip is empty.'),
      v.maxValue(CLIP_SECONDS_AT_MOST, 'A clip runs 8 seconds at most. Cut it, or take a shorter one.'),
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
export type ClipInput = v.InferOutput<typeof ClipInput>;

/** A clip of a head as it is listed; whatever is under test is not named. */
export const ListedClip = v.strictObject({
  ...ClipInput.entries,
  takenAt: v.string(),
  type: v.picklist(CLIP_TYPES),
  /** Of its wash day in its trial, from 0. */
  position: v.number(),
  question: v.string(),
  logged: v.boolean(),
});
export type ListedClip = v.InferOutput<typeof ListedClip>;
