import type { Point } from './plane.ts';
import { applied, similarity } from './similarity.ts';

/**
 * Polygons of one picture brought to where they lie in another, by the card that stands in both: moved, turned and sized
 * as its corners are. Places of both pictures in the same unit on both axes. Null where the corners say nothing.
 */
export function carried(
  polygons: readonly (readonly Point[])[],
  from: readonly Point[],
  to: readonly Point[],
): Point[][] | null {
  const found = similarity(from, to);
  return found && polygons.map((polygon) => polygon.map((at) => applied(found, at)));
}

/** A picture as what is drawn in another is laid by it: its card's corners as shares of it, and its width beside its height. */
export interface Laid {
  card: readonly Point[];
  aspect: number;
}

/** {@link carried} for places told as shares of their pictures; null also where there is nothing to lay. */
export function laidFrom(drawn: readonly (readonly Point[])[], before: Laid, here: Laid): Point[][] | null {
  if (drawn.length === 0) return null;
  const round = (points: readonly Point[], by: number) => points.map(({ x, y }) => ({ x: x * by, y }));
  const brought = carried(
    drawn.map((area) => round(area, before.aspect)),
    round(before.card, before.aspect),
    round(here.card, here.aspect),
  );
  return brought?.map((area) => round(area, 1 / here.aspect)) ?? null;
}
