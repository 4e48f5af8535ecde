/** Largest photograph that is stored, bytes, and most pixels it may have: it is kept as the camera wrote it. Source: methods.md 4. */
export const PHOTOGRAPH_LIMIT = 16_000_000;
export const PHOTOGRAPH_PIXELS = 50_000_000;
/** Longest side of the copy that pages show, pixels. Source: methods.md 4. */
export const COPY_SIDE = 1600;
/** Largest picture of a product that is stored, bytes. */
export const PRODUCT_PICTURE_LIMIT = 12_000_000;
/** A photograph is sent in pieces of so many bytes, so that a lost connection loses little. */
export const PIECE = 262_144;

/**
 * How a picture's pixels have to be turned to stand upright, as cameras note it: 1 not at all, 3 by half a turn, 6 and 8 by
 * a quarter to the right and to the left; 2, 4, 5 and 7 are mirrored as well. Source: Exif 3.0 (CIPA DC-008), tag 0x0112.
 */
export const ORIENTATIONS = [1, 2, 3, 4, 5, 6, 7, 8] as const;
export type Orientation = (typeof ORIENTATIONS)[number];

/** What brings pixels upright: first mirrored left to right, then turned to the right by so many degrees. Source: Exif 3.0, tag 0x0112. */
export const UPRIGHT: Readonly<Record<Orientation, { mirrored: boolean; turn: 0 | 90 | 180 | 270 }>> = {
  1: { mirrored: false, turn: 0 },
  2: { mirrored: true, turn: 0 },
  3: { mirrored: false, turn: 180 },
  4: { mirrored: true, turn: 180 },
  5: { mirrored: true, turn: 270 },
  6: { mirrored: false, turn: 90 },
  7: { mirrored: true, turn: 90 },
  8: { mirrored: false, turn: 270 },
};
