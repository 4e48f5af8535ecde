import { median } from '../../middle.ts';
import { lineThrough } from '../card/edge.ts';
import type { Point } from '../plane.ts';

/** A curl read from the places where it turns back. */
export interface Curl {
  /** Radius of the centre line and rise of one turn, mm. */
  radius: number;
  pitch: number;
  /** Its length hung out beside its length at rest: √(1 + (2πR/P)²). */
  index: number;
  turns: number;
  /** From its first to its last crest at rest, and how long that is hung out, mm. */
  rest: number;
  stretched: number;
}

export type CurlTrouble = 'few turns' | 'much hidden' | 'too coarse' | 'crests in a row';
export type CurlRead = { curl: Curl; trouble: null } | { curl: null; trouble: CurlTrouble };

/** Least turns and pixels of radius, and most crests that may be hidden, as a share. Source: methods.md 4. */
const LEAST_TURNS = 2;
const LEAST_RADIUS = 3;
const MOST_HIDDEN = 0.35;
/** So many curls make a picture's value. Source: methods.md 4. */
const LEAST_CURLS = 5;

/** The two sides of a zigzag, in the order of the places: each lies on the side its neighbours do not, unless one is hidden. */
function sidesOf(crests: readonly Point[]): (1 | -1)[] | null {
  const axis = lineThrough(crests);
  const off = crests.map(({ x, y }) => axis.nx * x + axis.ny * y - axis.c);
  if (off.some((value) => value === 0)) return null;
  return off.map((value) => (value > 0 ? 1 : -1));
}

/** Least squares of values on whole numbers: where they begin and how far apart they are. */
function spaced(steps: readonly number[], values: readonly number[]): { from: number; by: number } {
  const n = steps.length;
  const [ms, mv] = [steps, values].map((all) => all.reduce((a, b) => a + b, 0) / n) as [number, number];
  const by =
    steps.reduce((sum, step, i) => sum + (step - ms) * (values[i]! - mv), 0) /
    steps.reduce((sum, step) => sum + (step - ms) ** 2, 0);
  return { from: mv - by * ms, by };
}

/**
 * A curl from its crests: the places, in turn down the curl, where the middle of the strand turns back, now on one side, now
 * on the other. They lie on two lines a diameter apart, half a rise after one another; two in a row on one side say that one
 * between them is hidden. `crests` in pixels. The curl is taken to hang in the picture's plane: one that leans 25° out of it
 * reads a rise 9 % short, and crests alone do not tell. Source: methods.md 4, the projected helix at its turning places.
 */
export function curlFrom(crests: readonly Point[], pxPerMm: number): CurlRead {
  const none = (trouble: CurlTrouble): CurlRead => ({ curl: null, trouble });
  if (crests.length < 2 * LEAST_TURNS + 1) return none('few turns');
  const sides = sidesOf(crests);
  if (!sides) return none('crests in a row');
  const steps: number[] = [0];
  for (let i = 1; i < sides.length; i++) steps.push(steps[i - 1]! + (sides[i] === sides[i - 1] ? 2 : 1));
  const hidden = steps.at(-1)! + 1 - crests.length;
  if (sides.every((side) => side === sides[0])) return none('crests in a row');
  if (hidden / (steps.at(-1)! + 1) > MOST_HIDDEN) return none('much hidden');
  // Both sides' places, each about its own middle, lie along one way.
  const about = ([1, -1] as const).map((side) => {
    const own = crests.filter((_, i) => sides[i] === side);
    const x = own.reduce((sum, at) => sum + at.x, 0) / own.length;
    const y = own.reduce((sum, at) => sum + at.y, 0) / own.length;
    return { own, x, y };
  });
  const axis = lineThrough(about.flatMap(({ own, x, y }) => own.map((at) => ({ x: at.x - x, y: at.y - y }))));
  const [one, other] = about as [(typeof about)[number], (typeof about)[number]];
  const radiusPx = Math.abs(axis.nx * (one.x - other.x) + axis.ny * (one.y - other.y)) / 2;
  if (radiusPx < LEAST_RADIUS) return none('too coarse');
  const along = crests.map(({ x, y }) => -axis.ny * x + axis.nx * y);
  const half = Math.abs(spaced(steps, along).by);
  const turns = steps.at(-1)! / 2;
  const [radius, pitch] = [radiusPx / pxPerMm, (2 * half) / pxPerMm];
  const index = Math.sqrt(1 + ((2 * Math.PI * radius) / pitch) ** 2);
  const rest = turns * pitch;
  return { curl: { radius, pitch, index, turns, rest, stretched: rest * index }, trouble: null };
}

/** A picture's own curl: the median over its tagged curls. Source: methods.md 4. */
export function curlsTogether(curls: readonly Curl[]): { radius: number; index: number } | null {
  if (curls.length < LEAST_CURLS) return null;
  return {
    radius: median(curls.map(({ radius }) => radius)),
    index: median(curls.map(({ index }) => index)),
  };
}
