import { mean } from '../middle.ts';
import { unlike } from './guard.ts';
import { CLOSE_MEASURES, type PhotoMeasure } from './measures.ts';
import { mostAlike, readIn, type Shot, volumes } from './shots.ts';

/** A measure on one wash day, or one half of it, at one day worn. */
export interface MeasuredDay {
  position: number;
  half: Shot['half'];
  day: number;
  /** When the first of its pictures was taken, ms. */
  at: number;
  value: number;
}

/** From where a half is seen: from its own side, or with the other one in one picture. */
const viewOf = ({ angle }: Shot) => (angle === 'left' || angle === 'right' ? 'own side' : angle);

/** Of views of halves, the one that most wash days and halves show; the own side before others that show as many. */
function fromOneView(shots: readonly Shot[]): readonly Shot[] {
  const views = (['own side', 'back', 'front'] as const).map((view) => {
    const of = shots.filter((shot) => viewOf(shot) === view);
    return { of, days: new Set(of.map(({ position, half }) => `${position} ${half}`)).size };
  });
  return views.toSorted((a, b) => b.days - a.days)[0]!.of;
}

/** The shots a promised measure is read in: from behind, each half from one view, or from near. */
function promisedShots(measure: PhotoMeasure, shots: readonly Shot[], halves: boolean): readonly Shot[] {
  if (measure === 'volume') return halves ? [] : volumes(shots);
  if ((CLOSE_MEASURES as readonly PhotoMeasure[]).includes(measure))
    return shots.filter(({ angle }) => angle === 'close-up');
  return shots.filter(({ angle, half }) =>
    halves ? half !== null && angle !== 'close-up' : angle === 'back',
  );
}

/** The places that every day shows; where none is, the one that most days show, the first by its key of several. */
function placesShown(
  shown: readonly { day: string; place: string | undefined }[],
): ReadonlySet<string | undefined> {
  const days = new Set(shown.map(({ day }) => day)).size;
  const counted = [...new Set(shown.map(({ place }) => place))]
    .map((place) => ({
      place,
      days: new Set(shown.flatMap((one) => (one.place === place ? one.day : []))).size,
    }))
    .toSorted((a, b) => b.days - a.days || ((a.place ?? '') < (b.place ?? '') ? -1 : 1));
  const always = counted.filter((one) => one.days === days);
  return new Set((always.length > 0 ? always : counted.slice(0, 1)).map(({ place }) => place));
}

/**
 * A measure as a trial's main result reads it, a number a wash day (in half-heads a half) and day worn: whole heads from
 * behind, each half from its own side (or from behind or the front,
 * where more of them are seen split at the parting), clumps and curls from near, at the places that every such wash day shows, else at the
 * one that most show: a day is never compared by another place. Pictures that are not like
 * most others of the trial are left out, whatever option they show. `looks` are the shots of each day worn. Source: methods.md
 * 4, "pairs"; which view counts is our own choice.
 */
export function measuredDays(
  measure: PhotoMeasure,
  looks: readonly { day: number; shots: readonly Shot[] }[],
  halves: boolean,
): MeasuredDay[] {
  const read = looks.flatMap(({ day, shots }) =>
    promisedShots(measure, shots, halves).flatMap((shot) => {
      const value = readIn(shot, measure);
      return value === null || !shot.taken ? [] : [{ day, shot, value }];
    }),
  );
  const isNear = (CLOSE_MEASURES as readonly PhotoMeasure[]).includes(measure);
  const view = halves && !isNear ? new Set(fromOneView(read.map(({ shot }) => shot))) : null;
  const seen = read.filter(({ shot }) => !view || view.has(shot));
  const typical = mostAlike(seen.map(({ shot }) => shot));
  if (!typical) return [];
  const dayOf = ({ shot, day }: (typeof seen)[number]) =>
    `${shot.position} ${halves ? shot.half : ''} ${day}`;
  const like = seen.filter(({ shot }) => unlike(typical.taken!, shot.taken!).length === 0);
  const places = placesShown(like.map((one) => ({ day: dayOf(one), place: one.shot.zone?.key })));
  const groups = new Map<string, typeof seen>();
  for (const one of like) {
    if (!places.has(one.shot.zone?.key)) continue;
    groups.set(dayOf(one), [...(groups.get(dayOf(one)) ?? []), one]);
  }
  return [...groups.values()].map((group) => {
    const [{ shot, day }] = group as [(typeof seen)[number]];
    const zones = [...new Set(group.map(({ shot: { zone } }) => zone?.key))];
    const means = zones.map(
      (key) => mean(group.filter(({ shot: { zone } }) => zone?.key === key).map(({ value }) => value))!,
    );
    return {
      position: shot.position,
      half: halves ? shot.half : null,
      day,
      at: Math.min(...group.map((one) => one.shot.at)),
      value: mean(means)!,
    };
  });
}
