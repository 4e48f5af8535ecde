import { boxOf } from './box.ts';
import type { Point } from './plane.ts';
import type { Outline } from './silhouette.ts';

/** A half of a head, as its wearer has it. */
export type Half = 'left' | 'right';
/** Angles at which a picture shows both halves of a head, and its outline can be split at the parting. */
export type SplitAngle = 'back' | 'front';
export const isSplitAngle = (angle: string): angle is SplitAngle => angle === 'back' || angle === 'front';

/** Where the parting runs in a picture: a place of it above, and one below. */
export type Parting = readonly [top: Point, foot: Point];

/**
 * The half a place lies on, as the wearer has it: seen from behind their left is at the left, from the front at the right.
 * What lies on the line itself is taken for the right of the picture.
 */
export function halfAt([top, foot]: Parting, angle: SplitAngle): (x: number, y: number) => Half {
  const [dx, dy] = [foot.x - top.x, foot.y - top.y];
  return (x, y) => {
    const atLeft = dx * (y - top.y) - dy * (x - top.x) > 0;
    return atLeft === (angle === 'back') ? 'left' : 'right';
  };
}

/** Straight down the middle of the hair, which is somewhere, in the picture's own pixels: where the parting is taken to be until it is said. */
export function middleParting({
  core,
  left,
  top,
  step,
}: Pick<Outline, 'core' | 'left' | 'top' | 'step'>): Parting {
  const { left: from, top: first, width, height } = boxOf(core)!;
  const x = (from + (width - 1) / 2 + left + 0.5) * step - 0.5;
  const down = (y: number) => (y + top + 0.5) * step - 0.5;
  return [
    { x, y: down(first) },
    { x, y: down(first + height - 1) },
  ];
}

/** Whether a pixel of the outline's own grid lies on a half. */
export function onHalf(
  { core, left, top, step }: Pick<Outline, 'core' | 'left' | 'top' | 'step'>,
  parting: Parting,
  angle: SplitAngle,
  half: Half,
): (i: number) => boolean {
  const of = halfAt(parting, angle);
  const { width, height } = core;
  // Asked for every pixel time and again: known once for each.
  const on = new Uint8Array(width * height);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++)
      if (of((x + left + 0.5) * step - 0.5, (y + top + 0.5) * step - 0.5) === half) on[i] = 1;
  return (i) => on[i] === 1;
}
