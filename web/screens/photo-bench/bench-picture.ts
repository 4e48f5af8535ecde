import type { FiledPhotograph, PhotographMeasured } from '@sabor/contract/photograph';
import { ANGLES } from '@sabor/core/basin/angles';
import type { Orientation } from '@sabor/core/basin/photograph-size';
import type { Simulated } from '@sabor/core/made-up/simulated';
import { stageLabel } from '@sabor/core/outcomes/stages';
import type { Laid } from '@sabor/core/photo/carry';
import type { Way } from '@sabor/core/photo/guard';
import { CLOSE_MEASURES, WHOLE_MEASURES } from '@sabor/core/photo/measures';
import { isSplitAngle } from '@sabor/core/photo/parting';
import type { Point } from '@sabor/core/photo/plane';
import { dayName } from '@sabor/words/day-name';
import type { Brought, MeasuredPicture } from '../../workers/photo.ts';

/** A picture on the bench, measured or on its way. */
export interface BenchPicture {
  id: string;
  name: string;
  url: string;
  file: Blob;
  /** How its pixels have to be turned beyond what the file says. */
  orientation: Orientation;
  /** Where it is stored, when it is a photograph of a wash day. */
  filed: FiledPhotograph | null;
  /** What it was drawn from, where it is made up. */
  madeUp: Simulated | null;
  /** What the rule of its card really measures. */
  ruleMm: number;
  /** Areas of what is no hair, as shares of the upright picture. */
  leftOut: Point[][];
  /** Those areas were laid here from another picture from this angle, and nobody has moved them since. */
  laid: boolean;
  /** Hair from near: the width of a curl it is read by and tagged curls, as shares; null for a whole head. */
  near: { curlWidth: number; curls: Point[][]; leans: number[] } | null;
  /** How hair is told from the wall. */
  way: Way;
  /** Where the parting runs, as shares, once it was said. */
  parting: Point[] | null;
  /** It was laid here from another picture from this angle, and nobody has moved it since. */
  partingLaid: boolean;
  /** The same hair as the picture before it, shot again. */
  again: boolean;
  state: /** `last`: what was read in it before. */
    | { kind: 'measuring'; last: MeasuredPicture | null }
    | { kind: 'read'; read: MeasuredPicture; kept: 'no' | 'yes' | 'failed' | 'not asked' }
    | { kind: 'failed'; why: string };
}

/** All below a share of the height, as an area; what the slider draws. */
export const allBelow = (from: number): Point[] => [
  { x: 0, y: from },
  { x: 1, y: from },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
];
/** Where such an area begins; null for any other. */
export const belowOf = (area: readonly Point[]): number | null =>
  area.length === 4 && area.every(({ x, y }, i) => x === (i === 1 || i === 2 ? 1 : 0) && (i < 2 || y === 1))
    ? area[0]!.y
    : null;

/** Places of a picture as shares of it. */
const inShares = (points: readonly Point[], { width, height }: MeasuredPicture): Point[] =>
  points.map(({ x, y }) => ({ x: x / width, y: y / height }));

/** Where the card of a read picture stands; null where none was found. */
export const standing = (read: MeasuredPicture): Laid | null =>
  read.card && { card: inShares(read.card.corners, read), aspect: read.width / read.height };

/** What was last read in a picture, though it is being read anew. */
export const lastRead = ({ state }: Pick<BenchPicture, 'state'>): MeasuredPicture | null =>
  state.kind === 'read' ? state.read : state.kind === 'measuring' ? state.last : null;

/**
 * What the last picture of this head from here brings to one that is read for the first time: what was left out in it, and
 * where its parting was put, as far as neither was said here. Null where it brings nothing.
 */
export function broughtTo(picture: BenchPicture): Brought | null {
  const { filed, near, leftOut, parting } = picture;
  const before = filed && !near && !filed.photograph.measured ? filed.before : null;
  if (!before) return null;
  const brought = {
    leftOut: leftOut.length === 0 ? before.leftOut : [],
    parting: splitOf(picture) && !parting ? before.parting : null,
  };
  return brought.leftOut.length > 0 || brought.parting
    ? { ...brought, card: before.card, aspect: before.aspect }
    : null;
}

/** "Wash day 3, day 1, back". */
export const pictureName = (filed: FiledPhotograph) =>
  [
    dayName(filed, filed.position),
    stageLabel(filed.photograph.stage, filed.photograph.day),
    ANGLES[filed.photograph.angle].label,
  ].join(', ');

/**
 * Whether a stored photograph was measured just so before: looking at it again keeps no other reading, and takes none from
 * it that rests on an empty frame which is not here. `beside`: it is read beside an empty frame now.
 */
export const isKnown = (
  { filed, ruleMm, leftOut, near, way, parting }: BenchPicture,
  beside: boolean,
  isSplit: boolean,
): boolean => {
  const before = filed?.photograph.measured;
  const of = (curlWidth: number | null, curls: unknown, leans: readonly number[], out: unknown) =>
    JSON.stringify([curlWidth, curls, leans.some((lean) => lean !== 0) ? leans : [], out]);
  return (
    before != null &&
    before.ruleMm === ruleMm &&
    (before.taken === null || before.taken.way === way) &&
    !beside &&
    // Measured before halves were told apart, it is read once more.
    isSplit === (before.parting !== null) &&
    (parting === null || JSON.stringify(parting) === JSON.stringify(before.parting)) &&
    of(before.curlWidth, before.curls, before.leans, before.leftOut) ===
      of(near?.curlWidth ?? null, near?.curls ?? [], near?.leans ?? [], leftOut)
  );
};

/** What was read in a picture, as it is kept with its photograph. */
export const measuredOf = (picture: BenchPicture, read: MeasuredPicture): PhotographMeasured => ({
  measuredAt: new Date().toISOString(),
  ruleMm: picture.ruleMm,
  leftOut: picture.leftOut,
  taken: read.taken && read.card && { card: inShares(read.card.corners, read), ...read.taken },
  thinnest: read.thinnest,
  widths: [...read.widths],
  notes: [...read.notes],
  curlWidth: picture.near?.curlWidth ?? null,
  curls: picture.near?.curls ?? [],
  leans: picture.near?.leans ?? [],
  parting: read.halves?.parting ?? null,
  readings: ([null, 'left', 'right'] as const).flatMap((half) => {
    const readings = half ? read.halves?.[half] : read.readings;
    return (picture.near ? CLOSE_MEASURES : WHOLE_MEASURES).flatMap((measure) => {
      const reading = readings?.[measure];
      return reading ? [{ measure, half, ...reading }] : [];
    });
  }),
});

/** Photographs of a half-head's wash day that show both halves are split at the parting. */
export const splitOf = ({ filed, parting }: BenchPicture) => {
  const angle = filed?.halves ? filed.photograph.angle : null;
  return angle && isSplitAngle(angle) ? { angle, parting } : null;
};
