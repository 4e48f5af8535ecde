import { ANGLES } from '@sabor/core/basin/angles';
import { PHOTOGRAPH_LIMIT } from '@sabor/core/basin/photograph-size';
import { STAGES } from '@sabor/core/outcomes/stages';
import * as v from 'valibot';
import { id, oneOf, pastMoment, whole } from './fields.ts';

export const PhotographInput = v.pipe(
  v.object({
    id,
    washDayId: id,
    stage: oneOf(STAGES, 'a stage'),
    day: v.nullable(whole('The day', 1, 60)),
    angle: oneOf(ANGLES, 'an angle'),
    takenAt: pastMoment,
    type: v.picklist(['image/jpeg', 'image/png', 'image/webp'], 'A photograph is a JPEG, PNG or WebP file.'),
    width: whole('The width in pixels', 1, 20_000),
    height: whole('The height in pixels', 1, 20_000),
    size: v.pipe(
      v.number('Give the size of the photograph.'),
      v.integer('Give the size of the photograph.'),
      v.minValue(1, 'This photograph is empty.'),
      v.maxValue(PHOTOGRAPH_LIMIT, 'This photograph is over 12 MB, even made smaller. Take it again.'),
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
export type PhotographInput = v.InferOutput<typeof PhotographInput>;

/** A photograph as its wash day lists it; `received` bytes of `size` are stored. */
const { washDayId: _day, type: _type, ...listed } = PhotographInput.entries;
export const Photograph = v.strictObject({ ...listed, received: v.number() });
export type Photograph = v.InferOutput<typeof Photograph>;

/** How much of a photograph the server has. */
export const PhotographReceived = v.strictObject({ received: v.number(), size: v.number() });
export type PhotographReceived = v.InferOutput<typeof PhotographReceived>;

/** The last whole photograph of a head from each angle, to line the next one up by. */
export const Ghosts = v.record(oneOf(ANGLES, 'an angle'), v.string());
export type Ghosts = v.InferOutput<typeof Ghosts>;
