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
