import { ANGLES } from '@sabor/core/basin/angles';
import { ORIENTATIONS, PHOTOGRAPH_LIMIT } from '@sabor/core/basin/photograph-size';
import { STAGES } from '@sabor/core/outcomes/stages';
import { WAYS } from '@sabor/core/photo/guard';
import { PHOTO_MEASURES } from '@sabor/core/photo/measures';
import { PHOTO_NOTES, PHOTO_REFUSALS } from '@sabor/core/photo/refusals';
import * as v from 'valibot';
import { id, number, oneOf, pastMoment, whole } from './fields.ts';

export const PhotographInput = v.pipe(
  v.object({
    id,
    washDayId: id,
    stage: oneOf(STAGES, 'a stage'),
    day: v.nullable(whole('The day', 1, 60)),
    angle: oneOf(ANGLES, 'an angle'),
    takenAt: pastMoment,
    /** Where on the head hair is seen from near; null where that is not said, and for the whole head. */
    zoneId: v.optional(v.nullable(id), null),
    /** A frame of the camera's film, not a picture it took. */
    film: v.optional(v.boolean(), false),
    type: v.picklist(['image/jpeg', 'image/png', 'image/webp'], 'A photograph is a JPEG, PNG or WebP file.'),
    width: whole('The width in pixels', 1, 20_000),
    height: whole('The height in pixels', 1, 20_000),
    size: v.pipe(
      v.number('Give the size of the photograph.'),
      v.integer('Give the size of the photograph.'),
      v.minValue(1, 'This photograph is empty.'),
      v.maxValue(PHOTOGRAPH_LIMIT, 'This photograph is over 16 MB, even made smaller. Take it again.'),
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
  v.forward(
    v.partialCheck(
      [['angle'], ['zoneId']],
      ({ angle, zoneId }) => zoneId === null || angle === 'close-up',
      'Only a close-up shows one zone.',
    ),
    ['zoneId'],
  ),
);
export type PhotographInput = v.InferOutput<typeof PhotographInput>;

/** A place in an upright picture, as shares of its width and height; what is carried there may lie beside it. */
const place = v.strictObject({
  x: number('A place across the picture', -10, 10),
  y: number('A place down the picture', -10, 10),
});
export const cardCorners = v.pipe(v.array(place), v.length(4, 'A card has four corners.'));

/** Polygons of what is no hair. */
const leftOut = v.pipe(
  v.array(
    v.pipe(
      v.array(place),
      v.minLength(3, 'Three corners at least.'),
      v.maxLength(200, 'Two hundred corners at most.'),
    ),
  ),
  v.maxLength(20, 'Twenty areas at most.'),
);

/** A measure of one picture: its value in the measure's unit, or why there is none. */
const PhotoReading = v.pipe(
  v.strictObject({
    measure: oneOf(PHOTO_MEASURES, 'a measure'),
    /** The half of the head it is of, where the picture was split at the parting; null of all that is seen. */
    half: v.optional(v.nullable(v.picklist(['left', 'right'], 'A half is left or right.')), null),
    value: v.nullable(v.pipe(v.number('Give what was read.'), v.finite())),
    why: v.nullable(v.picklist(PHOTO_REFUSALS, 'Say why it was not read.')),
  }),
  v.check(({ value, why }) => (value === null) !== (why === null), 'A reading has a value, or says why not.'),
  v.check(({ measure }) => measure !== 'volume', 'This is not read in one picture.'),
);

/** Places where tagged curls turn back, each curl's from its top down, as shares of the upright picture. */
const curls = v.pipe(
  v.array(v.pipe(v.array(place), v.minLength(2), v.maxLength(60, 'Sixty places a curl at most.'))),
  v.maxLength(30, 'Thirty curls at most.'),
);

const parting = v.pipe(v.array(place), v.length(2, 'A parting has two places.'));

/** What was read in a photograph, and under what it was taken. */
export const PhotographMeasuredInput = v.strictObject({
  measuredAt: pastMoment,
  /** What the printed rule of 100 mm really measures. */
  ruleMm: number('The card’s rule', 50, 150),
  leftOut,
  /** As the card tells it; null where none was found. */
  taken: v.nullable(
    v.strictObject({
      /** From its top left round. */
      card: cardCorners,
      pxPerMm: number('Pixels a millimetre', 0.01, 1000),
      edgeMm: v.nullable(number('The edge', 0.0001, 1000)),
      tilt: number('The tilt', 0, 90),
      exposure: number('The exposure', -30, 30),
      kelvin: v.pipe(v.number(), v.finite()),
      clipped: v.boolean(),
      way: v.optional(oneOf(WAYS, 'a way'), 'silhouette'),
    }),
  ),
  /** Thinnest hair the picture can count, mm. */
  thinnest: v.nullable(number('The thinnest hair', 0.0001, 1000)),
  /** Width of the hair in each band of 5 mm from its top down, mm: half of a volume. */
  widths: v.pipe(v.array(number('A width', 0, 10_000)), v.maxLength(120)),
  notes: v.array(v.picklist(PHOTO_NOTES)),
  /** The width of a curl directions were gathered by, mm, and tagged curls: in hair from near. */
  curlWidth: v.optional(v.nullable(number('The width of a curl', 1, 100)), null),
  curls: v.optional(curls, []),
  /** How far each of those leans out of the picture's plane, degrees, in their order; 0 where it is not said. */
  leans: v.optional(
    v.pipe(v.array(number('The lean', -90, 90)), v.maxLength(30, 'Thirty curls at most.')),
    [],
  ),
  /** Where the parting runs, above and below, as shares of the upright picture; null where the picture was not split. */
  parting: v.optional(v.nullable(parting), null),
  readings: v.pipe(
    v.array(PhotoReading),
    v.check(
      (all) => new Set(all.map(({ measure, half }) => `${measure} ${half}`)).size === all.length,
      'Each measure is read once.',
    ),
  ),
});
export type PhotographMeasured = v.InferOutput<typeof PhotographMeasuredInput>;

/** A photograph as its wash day lists it; `received` bytes of `size` are stored. */
const { washDayId: _day, type: _type, ...listed } = PhotographInput.entries;
export const Photograph = v.strictObject({
  ...listed,
  received: v.number(),
  /** How its own pixels are turned; the copy that pages show stands upright. */
  orientation: v.picklist(ORIENTATIONS),
  /** What was read in it; null until it is measured. */
  measured: v.nullable(PhotographMeasuredInput),
});
export type Photograph = v.InferOutput<typeof Photograph>;

/** A stored photograph with where it belongs, as the photo bench takes it up. */
export const FiledPhotograph = v.strictObject({
  photograph: Photograph,
  washDayId: id,
  wearerId: id,
  /** Of its wash day in its trial, from 0. */
  position: v.number(),
  question: v.string(),
  logged: v.boolean(),
  /** Its trial wears two options on the two halves of the head. */
  halves: v.boolean(),
  /** The width of a curl by which this head's hair from near is read there, mm: fixed with the first picture of the place. */
  curlWidth: v.nullable(v.number()),
  /**
   * What was left out in the last measured picture of this head from this angle, of the same zone from near, where its
   * parting was put, null where nobody put it, and where its card stood.
   */
  before: v.nullable(
    v.strictObject({
      id,
      leftOut,
      parting: v.nullable(parting),
      ruleMm: v.number(),
      card: cardCorners,
      /** Its width beside its height, upright. */
      aspect: v.number(),
    }),
  ),
});
export type FiledPhotograph = v.InferOutput<typeof FiledPhotograph>;

/** A whole photograph of a head as the light table lists it; whatever is under test is not named. */
export const ListedPhotograph = v.strictObject({
  id,
  washDayId: id,
  position: v.number(),
  question: v.string(),
  logged: v.boolean(),
  stage: PhotographInput.entries.stage,
  day: PhotographInput.entries.day,
  angle: PhotographInput.entries.angle,
  takenAt: v.string(),
  /** Its width beside its height, upright. */
  aspect: v.number(),
  /** Corners of its card, and how it was lit beside what was printed, EV; null where it is not measured. */
  card: v.nullable(cardCorners),
  exposure: v.nullable(v.number()),
  /** Thickness of its halo, mm; from near, its clump contrast. */
  halo: v.nullable(v.number()),
  contrast: v.nullable(v.number()),
});
export type ListedPhotograph = v.InferOutput<typeof ListedPhotograph>;

/** How much of a photograph the server has. */
export const PhotographReceived = v.strictObject({ received: v.number(), size: v.number() });
export type PhotographReceived = v.InferOutput<typeof PhotographReceived>;

/** The last whole photograph of a head from each angle, to line the next one up by. */
export const Ghosts = v.record(
  oneOf(ANGLES, 'an angle'),
  v.strictObject({
    id,
    /** How many mm of the card's plane it is wide; null where it is not measured. */
    frameMm: v.nullable(v.number()),
  }),
);
export type Ghosts = v.InferOutput<typeof Ghosts>;
