import { describe, expect, it } from 'vitest';
import type { Point } from '../plane.ts';
import { homographyBetween } from './homography.ts';
import { CARDS, type CardKind } from './layout.ts';
import { poseOf } from './pose.ts';

/** The optical axis of a picture of 4,000 × 3,000 pixels. */
const AXIS = { x: 1999.5, y: 1499.5 };
const FOCAL = 3000;

interface Stand {
  kind?: CardKind;
  /** Where the card's middle is before the camera, mm to the right, below and away. */
  at: readonly [number, number, number];
  /** How far it is turned out of the picture's plane, about which line in that plane, and within its own, degrees. */
  tilt: number;
  about: number;
  turn?: number;
}

/** A card through a pinhole: its places turned by Rodrigues' formula, moved, divided by how far they are away. */
function seen({ kind = 'stand', at, tilt, about, turn = 0 }: Stand, astray: readonly Point[] = []) {
  const [t, a, r] = [tilt, about, turn].map((degrees) => (degrees * Math.PI) / 180) as [
    number,
    number,
    number,
  ];
  const { width, height } = CARDS[kind];
  const places = [0, 1].flatMap((i) => [0, 1].map((j) => ({ x: i * width, y: j * height })));
  const pictured = places.map((place, i) => {
    const [px, py] = [place.x - width / 2, place.y - height / 2];
    const [x, y] = [px * Math.cos(r) - py * Math.sin(r), px * Math.sin(r) + py * Math.cos(r)];
    // About the axis k = (cos a, sin a, 0): v cos t + (k × v) sin t + k (k·v)(1 − cos t).
    const along = (x * Math.cos(a) + y * Math.sin(a)) * (1 - Math.cos(t));
    const turned = {
      x: x * Math.cos(t) + Math.cos(a) * along,
      y: y * Math.cos(t) + Math.sin(a) * along,
      z: (Math.cos(a) * y - Math.sin(a) * x) * Math.sin(t),
    };
    const away = at[2] + turned.z;
    return {
      x: AXIS.x + (FOCAL * (at[0] + turned.x)) / away + (astray[i]?.x ?? 0),
      y: AXIS.y + (FOCAL * (at[1] + turned.y)) / away + (astray[i]?.y ?? 0),
    };
  });
  return poseOf(homographyBetween(places, pictured), AXIS, kind);
}

/** How far the card's plane is away, mm, at a place a share of the way from the picture's middle to the card's. */
function awayAt({ at, tilt, about }: Stand, share: number) {
  const [t, a] = [(tilt * Math.PI) / 180, (about * Math.PI) / 180];
  const normal = [Math.sin(a) * Math.sin(t), -Math.cos(a) * Math.sin(t), Math.cos(t)] as const;
  const through = normal[0] * at[0] + normal[1] * at[1] + normal[2] * at[2];
  return through / ((share * (normal[0] * at[0] + normal[1] * at[1])) / at[2] + normal[2]);
}

const EVERYWHERE: readonly (readonly [number, number])[] = [
  [0, 0],
  [500, 0],
  [-550, 380],
  [200, -420],
  [-300, -100],
];
const ABOUT = [0, 45, 90, 200, 310];

describe('how a card stands', () => {
  it('is told wherever it is seen in the picture, about whatever line it is turned', () => {
    for (const [x, y] of EVERYWHERE)
      for (const about of ABOUT)
        for (const tilt of [0, 3, 7, 10, 15, 25]) {
          const stand: Stand = { at: [x, y, 1350], tilt, about, turn: 8 };
          const pose = seen(stand);
          expect(pose.tilt).toBeCloseTo(tilt, 1);
          expect(pose.pxPerMm / (FOCAL / awayAt(stand, 1 / 3))).toBeCloseTo(1, 3);
          const lying = { ...stand, kind: 'small', at: [x / 5, y / 5, 450] } as const;
          expect(seen(lying).tilt).toBeCloseTo(tilt, 1);
          expect(seen(lying).pxPerMm / (FOCAL / 450)).toBeCloseTo(1, 3);
        }
  });

  it('from nearer or further is told about as well; the scale is not touched', () => {
    for (const away of [1000, 1200, 1600, 1900])
      for (const about of ABOUT) {
        const pose = (tilt: number) => seen({ at: [-380, 150, away], tilt, about });
        expect(pose(0).tilt).toBeCloseTo(0, 6);
        // A small tilt tells no distance: it is at most as far off as the distance is from the usual one.
        const off = 7 * (1350 / away);
        expect(pose(7).tilt).toBeGreaterThan(Math.min(7, off) - 0.1);
        expect(pose(7).tilt).toBeLessThan(Math.max(7, off) + 0.1);
        // A large one does.
        expect(Math.abs(pose(20).tilt - 20)).toBeLessThan(1.2);
        for (const tilt of [0, 7, 20]) {
          const there = awayAt({ at: [-380, 150, away], tilt, about }, 1 / 3);
          expect(Math.abs(pose(tilt).pxPerMm / (FOCAL / there) - 1)).toBeLessThan(0.005);
        }
      }
  });

  it('of a small card from near likewise', () => {
    for (const away of [350, 450, 600]) {
      expect(seen({ kind: 'small', at: [60, -40, away], tilt: 0, about: 0 }).tilt).toBeCloseTo(0, 6);
      expect(
        Math.abs(seen({ kind: 'small', at: [60, -40, away], tilt: 15, about: 70 }).tilt - 15),
      ).toBeLessThan(1.5);
    }
  });

  it('is not thrown off by corners a tenth of a pixel astray', () => {
    const astray = [
      { x: 0.1, y: -0.1 },
      { x: -0.1, y: -0.1 },
      { x: -0.1, y: 0.1 },
      { x: 0.1, y: 0.1 },
    ];
    for (const tilt of [0, 5, 10]) {
      const pose = seen({ at: [-400, 200, 1350], tilt, about: 20 }, astray);
      expect(Math.abs(pose.tilt - tilt)).toBeLessThan(0.7);
    }
  });
});
