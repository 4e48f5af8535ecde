import type { CardKind } from '../photo/card/layout.ts';
import type { Point } from '../photo/plane.ts';
import type { MadeUpHead, Point3 } from './head.ts';
import { USUAL_DISTANCE } from './view.ts';

/** Where the camera stands and what its frame takes in. */
export interface Frame {
  width: number;
  height: number;
  /** Pixels a millimetre in the plane of the head's axis. */
  pxPerMm: number;
  /** From the camera to the axis, mm. */
  distance: number;
  /** Where the axis' middle lies in the frame, as shares of width and height. */
  middle: Point;
  /** How far the camera looks down, and is turned about its own line of sight, degrees. */
  tilt: number;
  roll: number;
}

/** What stands before the camera. */
export interface Scene {
  head: MadeUpHead | null;
  /** How far the head is turned, degrees: see VIEWS. */
  turn: number;
  card: { kind: CardKind; x: number; y: number } | null;
  /** Hair unlit before a lit wall, or lit from the front before a grey one. */
  light: 'from behind' | 'from the front';
  /** What the wall gives back of red, green and blue, beside white. */
  wall: readonly [number, number, number];
  /** Light of skin and clothes, linear red, green and blue. */
  skin: readonly [number, number, number];
  clothes: readonly [number, number, number];
  /** How uneven the wall's light is, a share of it from edge to edge; and how dark the head's own shadow on it. */
  uneven: number;
  shadow: number;
}

export const USUAL_FRAME: Frame = {
  width: 1500,
  height: 1750,
  pxPerMm: 2.5,
  distance: USUAL_DISTANCE,
  middle: { x: 0.38, y: 0.46 },
  tilt: 0,
  roll: 0,
};

export const USUAL_SCENE: Omit<Scene, 'head'> = {
  turn: 180,
  card: { kind: 'stand', x: 196, y: 20 },
  light: 'from behind',
  wall: [1, 0.995, 0.985],
  skin: [0.2, 0.12, 0.08],
  clothes: [0.05, 0.05, 0.06],
  uneven: 0.12,
  shadow: 0.01,
};

/** From a place of the scene (x right, y down, z to the camera; from the axis' middle) to the frame's pixels. */
export function seenThrough(frame: Frame): (at: Point3) => Point {
  const [tilt, roll] = [frame.tilt, frame.roll].map((degrees) => (degrees * Math.PI) / 180) as [
    number,
    number,
  ];
  const [ct, st, cr, sr] = [Math.cos(tilt), Math.sin(tilt), Math.cos(roll), Math.sin(roll)];
  const focal = frame.pxPerMm * frame.distance;
  return ({ x, y, z }) => {
    const down = y * ct + z * st;
    const near = z * ct - y * st;
    const factor = focal / (frame.distance - near);
    const [u, v] = [x * factor, down * factor];
    return {
      x: frame.middle.x * frame.width + u * cr - v * sr,
      y: frame.middle.y * frame.height + u * sr + v * cr,
    };
  };
}
