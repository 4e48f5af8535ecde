import { gaussian } from '../gaussian.ts';
import { emptyPlane, type Mask, type Plane, sampleAt } from '../plane.ts';
import { shrunk } from '../resample.ts';

/** A picture's light on the grid it is read on. */
export interface CloseGrid {
  light: Plane;
  /** Pixels a millimetre of this grid, and how many of the picture's pixels one of its is. */
  pxPerMm: number;
  step: number;
}

/** Hair from near, on the grid it is read on. */
export interface CloseHair {
  /** Natural logarithm of linear luminance; what is no hair holds the mean of the hair near it. */
  log: Plane;
  /** The same less its local mean, over its local standard deviation; 0 where there is no hair. */
  even: Plane;
  /** That local standard deviation. */
  spread: Plane;
  hair: Mask;
  pxPerMm: number;
}

/** The finest grid hair is read on: 512 pixels for a patch of 48 mm. What a finer picture shows beyond is not asked for. */
export const FINEST = 512 / 48;
/** The standard deviation of the surroundings a place is compared with, mm; the grid they are read on, px/mm. Judged. */
const AROUND = 12;
const COARSE = 0.5;
/** Light under which a byte of sRGB tells nothing apart, and the least spread a place is divided by. Judged. */
const DARKEST = 3e-4;
const LEAST_SPREAD = 0.02;

/** A plane of blocks read between their middles on a grid `1 / by` times as fine. */
function stretched(plane: Plane, width: number, height: number, by: number): Plane {
  const out = emptyPlane(width, height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      out.data[y * width + x] = sampleAt(plane, (x + 0.5) * by - 0.5, (y + 0.5) * by - 0.5);
  return out;
}

/** A picture's linear luminance on a grid no finer than {@link FINEST}. */
export function closeGrid(light: Plane, pictureScale: number): CloseGrid {
  const small = shrunk(light, Math.min(1, FINEST / pictureScale));
  const step = light.width / small.width;
  return { light: small, pxPerMm: pictureScale / step, step };
}

/** Natural logarithm of linear luminance, of what a byte of sRGB can tell apart. */
export const logLight = ({ width, height, data }: Plane): Plane => ({
  width,
  height,
  data: data.map((value) => Math.log(Math.max(value, DARKEST))),
});

/**
 * Hair lit from the front, made even: its log luminance less what its surroundings of some 12 mm are, over how much these
 * vary. Gains of light and of the camera drop out of it. `masked` is what is no hair, of the picture's size. Source:
 * methods.md 4, "locally normalised log luminance"; the width of the surroundings is judged.
 */
export function closeHair({ light, pxPerMm, step }: CloseGrid, masked: Mask): CloseHair {
  const { width, height } = light;
  const hair: Mask = { width, height, data: new Uint8Array(width * height).fill(1) };
  for (let y = 0; y < masked.height; y++) {
    const row = Math.min(height - 1, Math.floor(y / step)) * width;
    for (let x = 0; x < masked.width; x++)
      if (masked.data[y * masked.width + x]) hair.data[row + Math.min(width - 1, Math.floor(x / step))] = 0;
  }
  const log = logLight(light);
  // Sums over blocks of the coarse grid: hair, its light, and its light squared.
  const by = Math.min(1, COARSE / pxPerMm);
  const [wide, tall] = [Math.ceil(width * by), Math.ceil(height * by)];
  const [share, sums, squares] = [emptyPlane(wide, tall), emptyPlane(wide, tall), emptyPlane(wide, tall)];
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      if (!hair.data[i]) continue;
      const block = Math.floor(y * by) * wide + Math.floor(x * by);
      const value = log.data[i]!;
      share.data[block]! += 1;
      sums.data[block]! += value;
      squares.data[block]! += value * value;
    }
  const sigma = AROUND * pxPerMm * by;
  const about = gaussian(share, sigma);
  const per = (plane: Plane): Plane => ({
    ...plane,
    data: gaussian(plane, sigma).data.map((sum, i) => (about.data[i]! > 1e-3 ? sum / about.data[i]! : 0)),
  });
  const [mean, square] = [per(sums), per(squares)];
  const spreadSmall = {
    ...mean,
    data: mean.data.map((m, i) => Math.sqrt(Math.max(LEAST_SPREAD ** 2, square.data[i]! - m * m))),
  };
  const [middle, spread] = [stretched(mean, width, height, by), stretched(spreadSmall, width, height, by)];
  const even = emptyPlane(width, height);
  for (let i = 0; i < even.data.length; i++) {
    if (hair.data[i]) even.data[i] = (log.data[i]! - middle.data[i]!) / spread.data[i]!;
    else log.data[i] = middle.data[i]!;
  }
  return { log, even, spread, hair, pxPerMm };
}
