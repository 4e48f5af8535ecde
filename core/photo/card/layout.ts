import type { KeyOf } from '../../vocabulary.ts';

/** A rectangle on a card, mm from its top left corner. */
export interface Patch {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** What is printed on a card, mm. Source of the sizes: methods.md 4; where each thing stands is our own choice. */
export interface CardLayout {
  label: string;
  width: number;
  height: number;
  /** Numbers in the dictionary ARUCO_MIP_36h12, and the top left corner of each black square of side `marker`. */
  markers: readonly { id: number; x: number; y: number }[];
  marker: number;
  /** Greys from dark to light, as sRGB bytes. */
  greys: readonly (Patch & { byte: number })[];
  /** A dark square turned by five degrees about its middle; null where there is no room for one. */
  slanted: { x: number; y: number; side: number } | null;
  /** A rule for the user to check the print by; `length` mm. */
  rule: { x: number; y: number; length: number };
}

const GREYS = [40, 80, 120, 160, 200, 235] as const;
const square = (x: number, y: number, side: number): Patch => ({ x, y, width: side, height: side });

/** The cards Sabor prints. */
export const CARDS = {
  stand: {
    label: 'stand card',
    width: 170,
    height: 130,
    marker: 30,
    markers: [
      { id: 0, x: 6, y: 6 },
      { id: 1, x: 134, y: 6 },
      { id: 2, x: 6, y: 94 },
      { id: 3, x: 134, y: 94 },
    ],
    greys: GREYS.map((byte, i) => ({ ...square(43 + 14 * i, 10, 14), byte })),
    slanted: { x: 85, y: 54, side: 32 },
    rule: { x: 35, y: 86, length: 100 },
  },
  small: {
    label: 'small card',
    width: 85,
    height: 54,
    marker: 12,
    markers: [
      { id: 8, x: 4, y: 4 },
      { id: 9, x: 69, y: 4 },
      { id: 10, x: 4, y: 38 },
      { id: 11, x: 69, y: 38 },
    ],
    greys: [GREYS[0], GREYS[2], GREYS[5]].map((byte, i) => ({ ...square(26 + 11 * i, 5, 11), byte })),
    slanted: { x: 42.5, y: 27, side: 14 },
    rule: { x: 22.5, y: 46, length: 40 },
  },
} as const satisfies Record<string, CardLayout>;
export type CardKind = KeyOf<typeof CARDS>;

/** How far the square for sharpness is turned, radians. */
export const SLANT = (5 * Math.PI) / 180;

/** The corners of a card's slanted square, mm, one after the other. */
export function slantedCorners({
  x,
  y,
  side,
}: NonNullable<CardLayout['slanted']>): { x: number; y: number }[] {
  const [c, s] = [Math.cos(SLANT), Math.sin(SLANT)];
  return [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([across, down]) => ({
    x: x + (side / 2) * (across! * c - down! * s),
    y: y + (side / 2) * (across! * s + down! * c),
  }));
}
