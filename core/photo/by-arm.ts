import type { Angle } from '../basin/angles.ts';
import { studentQuantile } from '../inference/student-t.ts';
import { mean } from '../middle.ts';
import { type Unlike, unlike } from './guard.ts';
import { CLOSE_MEASURES, matters, PHOTO_MEASURES, type PhotoMeasure, WHOLE_MEASURES } from './measures.ts';
import type { Refusal } from './refusals.ts';
import { type PictureError, pictureError } from './repeat.ts';
import { isShotAgain, mostAlike, readIn, type Shot, volumes, type Zone } from './shots.ts';

/** From where options are seen: one angle of the whole head, each half from its own side, or front and side together. */
export type View = Angle | 'own side' | 'front and side';

/** One measure from one view, option by option. */
export interface ArmsInPictures {
  measure: PhotoMeasure;
  view: View;
  /** Where on the head, from near. */
  zone: Zone | null;
  /** For each option its wash days with a value, by position, and their mean. */
  arms: { days: { position: number; value: number }[]; mean: number | null }[];
  /** The picture's own error, over all sets of pictures of unchanged hair. */
  error: PictureError | null;
  /** Wash days with pictures left out because they are not like the others; whether that leaves the day without any. */
  unlike: { position: number; why: Unlike[]; whole: boolean }[];
  /** Wash days where it was refused. */
  refused: { position: number; why: Refusal }[];
}

/** Shots of one wash day from one angle by the hair they show: those within twenty minutes of the first show the same. */
export function shotsTogether(shots: readonly Shot[]): Shot[][] {
  const sets: Shot[][] = [];
  for (const shot of shots.toSorted((a, b) => a.at - b.at)) {
    const same = sets.find(
      ([first]) =>
        first!.position === shot.position &&
        first!.angle === shot.angle &&
        first!.zone?.key === shot.zone?.key &&
        first!.arm === shot.arm &&
        isShotAgain(first!.at, shot.at),
    );
    if (same) same.push(shot);
    else sets.push([shot]);
  }
  return sets;
}

/** One measure over the shots of one view; null where no shot has a value. */
function inView(
  measure: PhotoMeasure,
  view: View,
  shots: readonly Shot[],
  arms: number,
): ArmsInPictures | null {
  const typical = mostAlike(shots.filter((shot) => shot.taken && readIn(shot, measure) !== null));
  if (!typical) return null;
  const apart = new Map(
    shots.map((shot) => [shot.id, shot.taken ? unlike(typical.taken!, shot.taken) : []] as const),
  );
  const like = shots.filter((shot) => apart.get(shot.id)!.length === 0);
  const error = pictureError(
    measure,
    shotsTogether(like).map((set) => set.flatMap((shot) => readIn(shot, measure) ?? [])),
  );
  const positions = [...new Set(shots.map(({ position }) => position))].sort((a, b) => a - b);
  const ofArm = (arm: number) => {
    const days = positions.flatMap((position) => {
      const value = mean(
        like
          .filter((shot) => shot.arm === arm && shot.position === position)
          .flatMap((shot) => readIn(shot, measure) ?? []),
      );
      return value === null ? [] : [{ position, value }];
    });
    return { days, mean: mean(days.map(({ value }) => value)) };
  };
  const found = Array.from({ length: arms }, (_, arm) => ofArm(arm));
  return {
    measure,
    view,
    zone: shots[0]!.zone,
    arms: found,
    error,
    unlike: positions.flatMap((position) => {
      const here = shots.filter((shot) => shot.position === position);
      const why = here.flatMap(({ id }) => apart.get(id)!);
      return why.length > 0
        ? [
            {
              position,
              why: [...new Map(why.map((one) => [one.kind, one])).values()],
              whole: here.every(({ id }) => apart.get(id)!.length > 0),
            },
          ]
        : [];
    }),
    refused: positions.flatMap((position) => {
      const here = shots.filter((shot) => shot.position === position);
      const why = here.flatMap(({ readings }) => readings.find((one) => one.measure === measure)?.why ?? []);
      const none = here.every((shot) => readIn(shot, measure) === null);
      return none && why[0] ? [{ position, why: why[0] }] : [];
    }),
  };
}

/**
 * What measured photographs of one stage say of the options of a trial, view by view: means of wash days, beside the
 * picture's own error. Described, never tested. In half-head designs each half is read from its own
 * side, and from behind and the front where pictures were split at the parting. Pictures that are
 * not like most others of their view are left out and named (methods.md 4, "pairs").
 */
export function picturesByArm(shots: readonly Shot[], arms: number, halves: boolean): ArmsInPictures[] {
  const views: { view: View; of: Shot[] }[] = halves
    ? [
        { view: 'own side', of: shots.filter(({ angle }) => angle === 'left' || angle === 'right') },
        ...(['back', 'front'] as const).map((angle) => ({
          view: angle,
          of: shots.filter((shot) => shot.angle === angle && shot.half !== null),
        })),
      ]
    : (['back', 'left', 'right', 'front'] as const).map((angle) => ({
        view: angle,
        of: shots.filter((shot) => shot.angle === angle),
      }));
  const found = views.flatMap(({ view, of }) =>
    WHOLE_MEASURES.map((measure) => inView(measure, view, of, arms)),
  );
  if (!halves) found.push(inView('volume', 'front and side', volumes(shots), arms));
  const near = shots.filter(({ angle }) => angle === 'close-up');
  for (const key of new Set(near.map(({ zone }) => zone?.key))) {
    const here = near.filter(({ zone }) => zone?.key === key);
    found.push(...CLOSE_MEASURES.map((measure) => inView(measure, 'close-up', here, arms)));
  }
  return found.filter((one) => one !== null);
}

/** How far two options' means lie apart, and how far pictures alone would put them, 95 times in 100. */
export interface ApartInPictures {
  /** Second less first, in the measure's unit. */
  difference: number;
  /** What the picture's own error alone reaches, in the measure's unit; null where it is not known. */
  most: number | null;
  /** How far wash days of one and the same of the two lie apart, in the measure's unit; null where each has one. */
  within: number | null;
  /** From which difference on it is worth switching for, in the measure's unit; the same whichever comes first. */
  worth: number;
}

/**
 * Two options' means beside the picture's own error: t(df, .975)·S_w·√(1/n₁ + 1/n₂), on logarithms for sizes. It is the
 * picture's error alone, not the wash day's. Null where one has no value. Source: methods.md 4, for two single pictures;
 * means of n by the usual rule for the error of a mean.
 */
export function apartInPictures(
  { measure, arms, error }: Pick<ArmsInPictures, 'measure' | 'arms' | 'error'>,
  first: number,
  second: number,
): ApartInPictures | null {
  const [a, b] = [arms[first], arms[second]];
  if (!a || !b || a.mean === null || b.mean === null) return null;
  const difference = b.mean - a.mean;
  const ranges = [a, b].flatMap(({ days }) => {
    const values = days.map(({ value }) => value);
    return values.length > 1 ? [Math.max(...values) - Math.min(...values)] : [];
  });
  const within = ranges.length > 0 ? Math.max(...ranges) : null;
  const worth = matters(measure, (a.mean + b.mean) / 2);
  if (!error) return { difference, most: null, within, worth };
  const apart =
    studentQuantile(0.975, error.freedom) * error.sd * Math.sqrt(1 / a.days.length + 1 / b.days.length);
  const most =
    PHOTO_MEASURES[measure].kind === 'ratio' ? Math.min(a.mean, b.mean) * Math.expm1(apart) : apart;
  return { difference, most, within, worth };
}
