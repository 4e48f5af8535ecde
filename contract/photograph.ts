import { ANGLES, type Angle } from '@sabor/core/basin/angles';
import { STAGES, type Stage } from '@sabor/core/outcomes/stages';
import * as v from 'valibot';
import { id, oneOf, pastMoment, whole } from './fields.ts';

/** Largest photograph that is stored, bytes. */
export const PHOTOGRAPH_LIMIT = 12_000_000;
/** A photograph is sent in pieces of so many bytes, so that a lost connection loses little. */
export const PIECE = 262_144;

export const PhotographInput = v.pipe(
  v.object({
    id,
    washDayId: id,
    stage: oneOf(STAGES, 'a stage'),
    day: v.nullable(whole('The day of wear', 1, 60)),
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
      'Only days of wear are counted; wet and cast have none.',
    ),
    ['day'],
  ),
);
export type PhotographInput = v.InferOutput<typeof PhotographInput>;

/** A photograph as its wash day lists it; `received` bytes of `size` are stored. */
export interface Photograph {
  id: string;
  stage: Stage;
  day: number | null;
  angle: Angle;
  takenAt: string;
  width: number;
  height: number;
  size: number;
  received: number;
}

/** How much of a photograph the server has. */
export interface PhotographReceived {
  received: number;
  size: number;
}

/** The last whole photograph of a head from each angle, to line the next one up by. */
export type Ghosts = Partial<Record<Angle, string>>;
