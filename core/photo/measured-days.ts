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

/** The shots a promised measure is read in: from behind, each half from its own side, or from near. */
function promisedShots(measure: PhotoMeasure, shots: readonly Shot[], halves: boolean): readonly Shot[] {
  if (measure === 'volume') return halves ? [] : volumes(shots);
  if ((CLOSE_MEASURES as readonly PhotoMeasure[]).includes(measure))
    return shots.filter(({ angle }) => angle === 'close-up');
  return shots.filter(({ angle, half }) =>
    halves ? half !== null && angle !== 'close-up' : angle === 'back',
  );
}

/**
 * A measure as a trial's main result reads it, a number a wash day (in half-heads a half) and day worn: whole heads from
 * behind, each half from its own side, clumps and curls from near, places meant over each other. Pictures that are not like
 * most others of the trial are left out, whatever option they show. `looks` are the shots of each day worn. Source: methods.md
 * 4, "pairs"; which view counts is our own choice.
 */
export function measuredDays(
  measure: PhotoMeasure,
  looks: readonly { day: number; shots: readonly Shot[] }[],
  halves: boolean,
): MeasuredDay[] {
  const seen = looks.flatMap(({ day, shots }) =>
    promisedShots(measure, shots, halves).flatMap((shot) => {
      const value = readIn(shot, measure);
      return value === null || !shot.taken ? [] : [{ day, shot, value }];
    }),
  );
  const typical = mostAlike(seen.map(({ shot }) => shot));
  if (!typical) return [];
  const groups = new Map<string, typeof seen>();
  for (const one of seen) {
    if (unlike(typical.taken!, one.shot.taken!).length > 0) continue;
    const key = `${one.shot.position} ${halves ? one.shot.half : ''} ${one.day}`;
    groups.set(key, [...(groups.get(key) ?? []), one]);
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
