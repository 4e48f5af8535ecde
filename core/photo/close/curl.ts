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

export type CurlTrouble = 'few turns' | 'much hidden' | 'too coarse' | 'crests in a row' | 'leans away';
export type CurlRead = ({ curl: Curl; trouble: null } | { curl: null; trouble: CurlTrouble }) & {
  /** The middle of the strand as the fitted helix is seen, pixels; empty where none could be fitted. */
  path: readonly Point[];
};

/** Least turns and pixels of radius, and most crests that may be hidden, as a share. Source: methods.md 4. */
const LEAST_TURNS = 2;
const LEAST_RADIUS = 3;
const MOST_HIDDEN = 0.35;
/** A curl that leans further out of the picture's plane is refused, degrees. Source: methods.md 4. */
const MOST_LEAN = 25;
/** Places a turn is drawn by. */
const PLACES_A_TURN = 24;
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
 * between them is hidden. `crests` in pixels. Crests alone do not tell how far a curl leans out of the picture's plane: the
 * path of the helix is given with it, and `lean` (degrees, either way) says at which it lies on the strand. A lean shortens
 * the rise that is seen by its cosine, and lets the path swing along the axis. Source: methods.md 4, the projected helix
 * x = R cos(t+φ), y = (P cos θ/2π)t + R sin θ sin(t+φ).
 */
export function curlFrom(crests: readonly Point[], pxPerMm: number, lean = 0): CurlRead {
  const none = (trouble: CurlTrouble): CurlRead => ({ curl: null, trouble, path: [] });
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
  const across = ({ x, y }: Point) => axis.nx * x + axis.ny * y;
  const first = sides[0] === 1 ? one : other;
  const middle = (across(one) + across(other)) / 2;
  /** From the axis to the first crest's side: the radius, with its sign. */
  const swing = across(first) - middle;
  if (Math.abs(swing) < LEAST_RADIUS) return none('too coarse');
  const along = crests.map(({ x, y }) => -axis.ny * x + axis.nx * y);
  const { from, by } = spaced(steps, along);
  const last = steps.at(-1)!;
  const theta = (lean * Math.PI) / 180;
  const path = Array.from({ length: (last * PLACES_A_TURN) / 2 + 1 }, (_, i): Point => {
    const t = (2 * Math.PI * i) / PLACES_A_TURN;
    const [u, v] = [
      middle + swing * Math.cos(t),
      from + (by * t) / Math.PI + Math.sign(by) * Math.abs(swing) * Math.sin(theta) * Math.sin(t),
    ];
    return { x: axis.nx * u - axis.ny * v, y: axis.ny * u + axis.nx * v };
  });
  if (Math.abs(lean) > MOST_LEAN) return { curl: null, trouble: 'leans away', path };
  const turns = last / 2;
  const [radius, pitch] = [Math.abs(swing) / pxPerMm, (2 * Math.abs(by)) / pxPerMm / Math.cos(theta)];
  const index = Math.sqrt(1 + ((2 * Math.PI * radius) / pitch) ** 2);
  const rest = turns * pitch;
  return { curl: { radius, pitch, index, turns, rest, stretched: rest * index }, trouble: null, path };
}

/** A picture's own curl: the median over its tagged curls. Source: methods.md 4. */
export function curlsTogether(curls: readonly Curl[]): { radius: number; index: number } | null {
  if (curls.length < LEAST_CURLS) return null;
  return {
    radius: median(curls.map(({ radius }) => radius)),
    index: median(curls.map(({ index }) => index)),
  };
}
