import { CARDS } from '../photo/card/layout.ts';
import type { Mask, Point } from '../photo/plane.ts';
import { fillRows } from '../photo/polygon.ts';
import { type Frame, type Scene, seenThrough } from './scene.ts';
import { outlineFrom } from './view.ts';

/** Outlines of neck and face, and of clothes, in the plane of the axis, mm. */
export function skinOf(turn: number): Point[][] {
  const face = Math.cos((turn * Math.PI) / 180) > 0.5;
  const ellipse = (x: number, y: number, a: number, b: number) =>
    Array.from({ length: 64 }, (_, i) => ({
      x: x + a * Math.cos((i / 64) * 2 * Math.PI),
      y: y + b * Math.sin((i / 64) * 2 * Math.PI),
    }));
  const neck = [
    { x: -52, y: 60 },
    { x: 52, y: 60 },
    { x: 58, y: 200 },
    { x: -58, y: 200 },
  ];
  return face ? [neck, ellipse(0, 28, 66, 92)] : [neck];
}
export const CLOTHES: readonly Point[] = [
  ...[-1, 1].flatMap((side) => {
    const shoulder = Array.from({ length: 33 }, (_, i) => {
      const t = i / 32;
      return { x: side * (56 + 152 * t), y: 176 + 62 * t ** 1.7 + 40 * Math.max(0, t - 0.8) ** 2 * 25 };
    });
    return side < 0 ? [{ x: -222, y: 640 }, ...shoulder.reverse()] : [...shoulder, { x: 222, y: 640 }];
  }),
];

/** What is no hair, as somebody paints it over the picture: the card, and the neck and clothes under the hair. */
export function maskOf(scene: Scene, frame: Frame): Mask {
  const { width, height } = frame;
  const data = new Uint8Array(width * height);
  const see = seenThrough(frame);
  const fill = (polygon: readonly Point[], value = 1) =>
    fillRows(
      polygon.map(({ x, y }) => see({ x, y, z: 0 })),
      height,
      (y, from, to) => {
        const [a, b] = [Math.max(0, Math.round(from)), Math.min(width, Math.round(to))];
        if (b > a) data.fill(value, y * width + a, y * width + b);
      },
    );
  if (scene.card) fill(cardCorners(scene.card, 6));
  if (scene.head) {
    // Skin and clothes, as far as no hair lies over them; the face stands before it.
    const [neck, face] = skinOf(scene.turn);
    fill(neck!);
    fill(CLOTHES);
    fill(outlineFrom(scene.head.body, scene.turn, frame.distance), 0);
    if (face) fill(face);
  }
  return { width, height, data };
}

export const cardCorners = ({ kind, x, y }: NonNullable<Scene['card']>, room = 0): Point[] => {
  const { width, height } = CARDS[kind];
  return [
    { x: x - room, y: y - room },
    { x: x + width + room, y: y - room },
    { x: x + width + room, y: y + height + room },
    { x: x - room, y: y + height + room },
  ];
};
