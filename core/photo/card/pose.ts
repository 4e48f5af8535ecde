import type { Point } from '../plane.ts';
import { type Homography, inverted, projected } from './homography.ts';
import { CARDS, type CardKind } from './layout.ts';

/** How a card stands before the camera. */
export interface Pose {
  /** How far it is turned out of the picture's plane, degrees. */
  tilt: number;
  /** Pixels that a millimetre across the line of sight has, where the picture is read: see `towardsMiddle`. */
  pxPerMm: number;
}

interface Usual {
  /** From how far the card is taken, mm, and how far that strays, as a logarithm. */
  distance: number;
  strays: number;
  /**
   * Where its scale is read: so far from its own middle towards the picture's. A camera that looks down or aside sees a
   * head that stands in the card's plane at another distance than the card; a card that leans by itself tells nothing of
   * the head. Which of them it is cannot be seen. One that stands does not lean often; one that lies on hair does.
   */
  towardsMiddle: number;
}

/** All judged. */
const USUAL: Readonly<Record<CardKind, Usual>> = {
  stand: { distance: 1350, strays: 0.3, towardsMiddle: 2 / 3 },
  small: { distance: 450, strays: 0.4, towardsMiddle: 0 },
};
/** Distances tried: so many each way, up to three times as far as they stray. */
const STEPS = 60;
/**
 * How far a card's two sides seem off one length and a right angle for reasons that are not its pose: a lens that bends
 * lines, a picture cut off its middle. Judged.
 */
const SEEMS_OFF = 0.01;

/**
 * The pose of a card whose projection from mm to pixels is `card`, in a picture whose optical axis is at `axis`. What the
 * card loses of its scale towards one side is the sine of its tilt over its distance, so the distance is needed: the one
 * at which its two sides are of one length and square to each other, held near the usual one, since a card that stands
 * nearly upright tells it badly. How much longer one side looks than the other does not do: beside the picture's middle
 * that grows with how far aside the card stands, and the scale with it. Source: Zhang (2000), IEEE Transactions on Pattern
 * Analysis and Machine Intelligence 22, 1330–1334, 3.1, for the two conditions; the prior is our own.
 */
export function poseOf(card: Homography, axis: Point, kind: CardKind): Pose {
  const { distance: usual, strays, towardsMiddle } = USUAL[kind];
  const middle = { x: CARDS[kind].width / 2, y: CARDS[kind].height / 2 };
  const at = projected(card, middle);
  /** How far a place of the card's plane is away, in one unit. */
  const away = ({ x, y }: Point) => card[6] * x + card[7] * y + card[8];
  const w = away(middle);
  const [leanX, leanY] = [card[6] / w, card[7] / w];
  // The card's two sides from its middle, px a mm, as they would look with the optical axis at 0.
  const x = { x: card[0] / w - axis.x * leanX, y: card[3] / w - axis.y * leanX };
  const y = { x: card[1] / w - axis.x * leanY, y: card[4] / w - axis.y * leanY };
  const from = { x: at.x - axis.x, y: at.y - axis.y };
  const area =
    (x.x - leanX * from.x) * (y.y - leanY * from.y) - (y.x - leanY * from.x) * (x.y - leanX * from.y);

  /** The scale at a distance, and how little that distance fits. */
  const fitted = (distance: number) => {
    let scale = Math.sqrt(Math.abs(area));
    let [across, down] = [1, 1];
    // What is lost by leaning is the square of something small: four rounds leave nothing to gain.
    for (let round = 0; round < 4; round++) {
      const focal = scale * distance;
      across = Math.hypot(x.x / focal, x.y / focal, leanX) * distance;
      down = Math.hypot(y.x / focal, y.y / focal, leanY) * distance;
      scale *= Math.sqrt(across * down);
    }
    const turned = (x.x * y.x + x.y * y.y) / (scale * distance) ** 2 + leanX * leanY;
    const cost =
      (Math.log(across / down) / SEEMS_OFF) ** 2 +
      ((turned * distance ** 2) / (across * down) / SEEMS_OFF) ** 2 +
      (Math.log(distance / usual) / strays) ** 2;
    return { distance, scale, cost };
  };
  const tried = Array.from({ length: 2 * STEPS + 1 }, (_, i) =>
    fitted(usual * Math.exp((3 * strays * (i - STEPS)) / STEPS)),
  );
  const { distance, scale } = tried.reduce((best, one) => (one.cost < best.cost ? one : best));
  const sine = Math.min(1, distance * Math.hypot(leanX, leanY));
  const read = projected(inverted(card), {
    x: at.x - towardsMiddle * from.x,
    y: at.y - towardsMiddle * from.y,
  });
  return { tilt: (180 / Math.PI) * Math.asin(sine), pxPerMm: (scale * w) / away(read) };
}
