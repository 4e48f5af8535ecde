import type { ListedPhotograph } from '@sabor/contract/photograph';
import type { Point } from '@sabor/core/photo/plane';
import { AS_IT_IS, applied, type Similarity, similarity, undone } from '@sabor/core/photo/similarity';

/** One pan and zoom for every picture on the table; in heights of the first picture. */
export interface View {
  zoom: number;
  x: number;
  y: number;
}
export const WHOLE: View = { zoom: 1, x: 0, y: 0 };
const ZOOM = { least: 0.5, most: 12 };

/** Two places tapped in a picture, in heights of the picture. */
export type TwoPoints = readonly Point[];

/** The same view, larger or smaller about a place of the pane. */
export function zoomed(view: View, by: number, about: Point): View {
  const zoom = Math.min(ZOOM.most, Math.max(ZOOM.least, view.zoom * by));
  const factor = zoom / view.zoom;
  return { zoom, x: about.x - factor * (about.x - view.x), y: about.y - factor * (about.y - view.y) };
}

/** Corners of a picture's card in heights of the picture. */
const cardOf = ({ card, aspect }: ListedPhotograph) =>
  card?.map(({ x, y }) => ({ x: x * aspect, y })) ?? null;

/** How pictures come to lie over the first: by two points tapped in each, else by the card in each, else as they are. */
export function alignment(
  pictures: readonly ListedPhotograph[],
  points: ReadonlyMap<string, TwoPoints>,
): { by: 'points' | 'card' | 'nothing'; each: Similarity[] } {
  const [first] = pictures;
  if (!first) return { by: 'nothing', each: [] };
  const of = (
    places: readonly (readonly Point[] | null | undefined)[],
    least: number,
  ): Similarity[] | null => {
    if (places.some((one) => !one || one.length < least)) return null;
    const found = places.map((one) => similarity(one!, places[0]!));
    return found.every((one) => one !== null) ? (found as Similarity[]) : null;
  };
  const tapped = of(
    pictures.map(({ id }) => points.get(id)),
    2,
  );
  if (tapped) return { by: 'points', each: tapped };
  const carded = of(pictures.map(cardOf), 4);
  if (carded) return { by: 'card', each: carded };
  return { by: 'nothing', each: pictures.map(() => AS_IT_IS) };
}

/** The place of a picture, in its heights, that shows at a place of a pane (in heights of the pane). */
export const placeIn = (view: View, laid: Similarity, at: Point): Point =>
  undone(laid, { x: (at.x - view.x) / view.zoom, y: (at.y - view.y) / view.zoom });

/** Where a place of a picture shows in a pane. */
export function shownAt(view: View, laid: Similarity, at: Point): Point {
  const { x, y } = applied(laid, at);
  return { x: view.x + view.zoom * x, y: view.y + view.zoom * y };
}

/**
 * What a picture's brightness is multiplied by to stand at that of the first one, by the greys of the cards: the step in EV
 * on the display's scale (exponent about 2.2). Null where one was not measured.
 */
export function brightnessTo(first: ListedPhotograph, other: ListedPhotograph): number | null {
  if (first.exposure === null || other.exposure === null) return null;
  return 2 ** ((first.exposure - other.exposure) / 2.2);
}
