/** Shares in % as cells on a log scale: 24 under the 1 % line from a thousandth up, 48 over it. The line is an edge. */
const UNDER = 24;
const OVER = 48;
export const CELLS = UNDER + OVER;
/** The first cell over the line. */
export const LINE_CELL = UNDER;

const LEAST = 1e-3;
/** Edges of the cells in %, the lowest and the highest among them. */
export const EDGES: Float64Array = Float64Array.from({ length: CELLS + 1 }, (_, g) =>
  g <= UNDER ? LEAST ** (1 - g / UNDER) : 100 ** ((g - UNDER) / OVER),
);
EDGES[0] = 0;

/** What a whole cell stands for. */
export const MIDDLES: Float64Array = Float64Array.from({ length: CELLS }, (_, g) =>
  g === 0 ? EDGES[1]! / 2 : Math.sqrt(EDGES[g]! * EDGES[g + 1]!),
);
