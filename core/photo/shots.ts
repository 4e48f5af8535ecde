import type { Angle } from '../basin/angles.ts';
import { type Taken, unlike } from './guard.ts';
import type { PhotoMeasure } from './measures.ts';
import type { Refusal } from './refusals.ts';
import { volumeIndex } from './volume.ts';

/** A place on the head that is seen from near; in half-head designs both halves' places of one name are one. */
export interface Zone {
  key: string;
  label: string;
}

/** A measured photograph as a comparison of options reads it. */
export interface Shot {
  id: string;
  /** Of its wash day in the trial, from 0. */
  position: number;
  arm: number;
  angle: Angle;
  /** Where on the head hair is seen from near: what is compared has the same; null for whole heads. */
  zone: Zone | null;
  /** The half it shows alone; null where it shows both, or what a whole head wears. */
  half: 'left' | 'right' | null;
  /** When it was taken, ms. */
  at: number;
  taken: Taken | null;
  widths: readonly number[];
  readings: readonly { measure: PhotoMeasure; value: number | null; why: Refusal | null }[];
}

/** Pictures of unchanged hair are taken within so long, ms. Source: methods.md 4, "re-shoots". */
const SAME_HAIR = 20 * 60_000;

/** Whether two pictures of one wash day and angle, taken then, show the same hair. */
export const isShotAgain = (first: number, again: number): boolean => Math.abs(again - first) <= SAME_HAIR;

/** The value of a measure in a shot; null where it has none. */
export const readIn = ({ readings }: Shot, measure: PhotoMeasure) =>
  readings.find((one) => one.measure === measure)?.value ?? null;

/** The shot that the most others are like enough to be compared with, the earliest of several; undefined where there is none. */
export function mostAlike(shots: readonly Shot[]): Shot | undefined {
  const alike = (one: Shot) => shots.filter((other) => unlike(one.taken!, other.taken!).length === 0).length;
  const counted = shots.map((shot) => ({ shot, alike: alike(shot) }));
  return counted.toSorted(
    (a, b) => b.alike - a.alike || a.shot.at - b.shot.at || (a.shot.id < b.shot.id ? -1 : 1),
  )[0]?.shot;
}

/**
 * The volume of each wash day seen from front or back and from a side, the same two views on all of them; the second
 * picture of one view goes with the second of the other. Shots that carry no width say nothing.
 */
export function volumes(shots: readonly Shot[]): Shot[] {
  const seen = shots
    .filter(({ widths, taken }) => widths.length > 0 && taken)
    .toSorted((a, b) => a.at - b.at);
  const days = (angle: Angle) =>
    new Set(seen.flatMap((one) => (one.angle === angle ? one.position : []))).size;
  const oftener = (a: Angle, b: Angle) => (days(b) > days(a) ? b : a);
  const [over, side] = [oftener('back', 'front'), oftener('left', 'right')];
  return [...new Set(seen.map(({ position }) => position))].flatMap((position) => {
    const from = (angle: Angle) => seen.filter((one) => one.position === position && one.angle === angle);
    const sides = from(side);
    return from(over).flatMap((front, i) => {
      const beside = sides[i];
      if (!beside || unlike(front.taken!, beside.taken!).length > 0) return [];
      const value = volumeIndex(front.widths, beside.widths) / 1000;
      return [{ ...front, readings: [{ measure: 'volume' as const, value, why: null }] }];
    });
  });
}
