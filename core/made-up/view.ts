import type { Point } from '../photo/plane.ts';
import type { Body, Point3 } from './head.ts';

/** From where a head is seen: how far it is turned about its axis, degrees (0 from the front, 90 its left side, 180 its back). */
export const VIEWS = {
  front: { label: 'front', turn: 0 },
  left: { label: 'left', turn: 90 },
  back: { label: 'back', turn: 180 },
  right: { label: 'right', turn: 270 },
} as const;
export type View = keyof typeof VIEWS;

/** A place of a head turned by so many degrees, as it is seen: x right, y down, z towards the camera. */
export function turned({ x, y, z }: Point3, degrees: number): Point3 {
  const angle = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return { x: x * c + z * s, y, z: z * c - x * s };
}

/** From how far a head is looked at unless it is said otherwise, mm. Source: methods.md 4, 1.2–1.5 m. */
export const USUAL_DISTANCE = 1350;

/** Where a place is seen in the plane of the axis, from `distance` mm before it: what is nearer seems larger. */
export function seenFrom({ x, y, z }: Point3, distance: number): Point {
  const factor = distance / (distance - z);
  return { x: x * factor, y: y * factor };
}

/** Heights the outline is told at, mm. */
const STEP = 0.5;

/**
 * The outline of the closed shape as it is seen from `distance` mm, in the plane of the axis, mm, from its top clockwise:
 * the furthest places to the right and to the left at each height.
 */
export function outlineFrom(body: Body, turn: number, distance = USUAL_DISTANCE): Point[] {
  const key = `${turn} ${distance}`;
  const own = known.get(body) ?? new Map<string, Point[]>();
  known.set(body, own);
  const outline = own.get(key) ?? tracedFrom(body, turn, distance);
  own.set(key, outline);
  return outline;
}

/** Outlines that were told before: picture, mask and truth of one head ask for the same. */
const known = new WeakMap<Body, Map<string, Point[]>>();

function tracedFrom(body: Body, turn: number, distance: number): Point[] {
  const ANGLES = 360;
  const SHARES = 900;
  const rows = new Map<number, { most: number; least: number }>();
  for (let a = 0; a < ANGLES; a++)
    for (let i = 0; i <= SHARES; i++) {
      const { x, y } = seenFrom(turned(body.surface((a / ANGLES) * 2 * Math.PI, i / SHARES), turn), distance);
      const row = Math.round(y / STEP);
      const own = rows.get(row);
      if (!own) rows.set(row, { most: x, least: x });
      else if (x > own.most) own.most = x;
      else if (x < own.least) own.least = x;
    }
  const order = [...rows.keys()].sort((a, b) => a - b);
  const side = (of: 'most' | 'least') => order.map((row) => ({ x: rows.get(row)![of], y: row * STEP }));
  return [...side('most'), ...side('least').reverse()];
}

/** Area of a polygon. */
export function areaOf(polygon: readonly Point[]): number {
  let twice = 0;
  polygon.forEach((a, i) => {
    const b = polygon[(i + 1) % polygon.length]!;
    twice += a.x * b.y - b.x * a.y;
  });
  return Math.abs(twice) / 2;
}
