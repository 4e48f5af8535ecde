import { mean } from '../../middle.ts';
import type { FoundCard } from '../card/find.ts';
import { projected } from '../card/homography.ts';
import { CARDS } from '../card/layout.ts';
import { gaussian } from '../gaussian.ts';
import { emptyPlane, type Plane } from '../plane.ts';
import { BANDS, bandWeights, energiesOf } from './contrast.ts';
import { powerOfTwo } from './fourier.ts';
import { type CloseGrid, logLight } from './hair.ts';

/** What grain alone does to log luminance, for a light. */
export interface Grain {
  /** Variance of white grain that would pass the strands' band as this one does. */
  variance: (log: number) => number;
  /** Mean square of each direction's slope after smoothing for {@link slopesOf}. */
  slope: (log: number) => number;
}

/** No grain: what is drawn without a camera. */
export const NO_GRAIN: Grain = { variance: () => 0, slope: () => 0 };

/** Over how many millimetres slopes are smoothed: standard deviation. Judged: a strand or two. */
export const SLOPE_MM = 0.15;
/** Room to a grey's edge that is not read, mm. */
const ROOM = 1.5;

/** Slopes across and down of a plane smoothed by `sigma` pixels. */
export function slopesOf(plane: Plane, sigma: number): { across: Plane; down: Plane } {
  const { width, height, data } = gaussian(plane, sigma);
  const [across, down] = [emptyPlane(width, height), emptyPlane(width, height)];
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x;
      across.data[i] = (data[i + 1]! - data[i - 1]!) / 2;
      down.data[i] = (data[i + width]! - data[i - width]!) / 2;
    }
  return { across, down };
}

/** A square part of a plane about a place. */
function cutAt({ width, height, data }: Plane, x: number, y: number, side: number): Plane | null {
  const [left, top] = [Math.round(x - side / 2), Math.round(y - side / 2)];
  if (left < 0 || top < 0 || left + side > width || top + side > height) return null;
  const out = emptyPlane(side, side);
  for (let row = 0; row < side; row++)
    out.data.set(data.subarray((top + row) * width + left, (top + row) * width + left + side), row * side);
  return out;
}

/** Mean square of slopes about their own mean, of both directions, a few pixels from a square's edge. */
function slopeIn(square: Plane, sigma: number): number {
  const { across, down } = slopesOf(square, sigma);
  const room = Math.ceil(3 * sigma) + 1;
  const variance = ({ width, height, data }: Plane) => {
    const values: number[] = [];
    for (let y = room; y < height - room; y++)
      for (let x = room; x < width - room; x++) values.push(data[y * width + x]!);
    const middle = mean(values) ?? 0;
    return mean(values.map((value) => (value - middle) ** 2)) ?? 0;
  };
  return (variance(across) + variance(down)) / 2;
}

/** A value between known ones, by the logarithm of it; beyond the first and the last it is theirs. */
const between = (known: readonly { at: number; value: number }[]) => (at: number) => {
  const least = 1e-12;
  const after = known.findIndex((one) => one.at > at);
  if (after === -1) return known.at(-1)!.value;
  if (after === 0) return known[0]!.value;
  const [a, b] = [known[after - 1]!, known[after]!];
  const t = (at - a.at) / (b.at - a.at);
  return Math.exp((1 - t) * Math.log(Math.max(a.value, least)) + t * Math.log(Math.max(b.value, least)));
};

/**
 * The grain of a picture by its card's greys, whose print is even: for each what is left of it in the band of strands and in
 * smoothed slopes, and between their lights what lies between. Null where no grey can be read. Ours: methods.md 4 asks for
 * noise to be taken off, and does not say where it is read.
 */
export function grainOf({ light, pxPerMm, step }: CloseGrid, card: FoundCard): Grain | null {
  const log = logLight(light);
  const greys: { at: number; variance: number; slope: number }[] = [];
  for (const { x, y, width, height } of CARDS[card.kind].greys) {
    // Whatever way the card is turned, this square lies within the grey.
    const side = Math.floor(((Math.min(width, height) - 2 * ROOM) / Math.SQRT2) * pxPerMm);
    const middle = projected(card.toPicture, { x: x + width / 2, y: y + height / 2 });
    const square =
      side < 24 ? null : cutAt(log, (middle.x + 0.5) / step - 0.5, (middle.y + 0.5) / step - 0.5, side);
    if (!square) continue;
    const size = powerOfTwo(side);
    const weights = bandWeights(BANDS.strands, size, pxPerMm);
    const white = (mean(Array.from(weights)) ?? 0) || 1;
    const { energies } = energiesOf(
      side,
      (u, v) => square.data[v * side + u]!,
      () => true,
      [weights],
      size,
    );
    greys.push({
      at: mean(Array.from(square.data))!,
      variance: energies[0]! / white,
      slope: slopeIn(square, SLOPE_MM * pxPerMm),
    });
  }
  if (greys.length === 0) return null;
  greys.sort((a, b) => a.at - b.at);
  return {
    variance: between(greys.map(({ at, variance }) => ({ at, value: variance }))),
    slope: between(greys.map(({ at, slope }) => ({ at, value: slope }))),
  };
}
