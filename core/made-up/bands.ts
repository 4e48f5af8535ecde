import { homographyBetween, inverted, projected } from '../photo/card/homography.ts';
import { CARDS, type CardKind } from '../photo/card/layout.ts';
import type { Plane, Point } from '../photo/plane.ts';
import { fillRows } from '../photo/polygon.ts';
import { cardLight } from './card-print.ts';

/** What the camera's lens is given: linear light, red, green and blue. */
export type Light = readonly [Plane, Plane, Plane];

/** So many rows of a frame are drawn at once: the band they make in the enlarged one fits beside the processor. */
const BAND_ROWS = 10;

/** A drawn band: rows `top` to `top + rows` of the enlarged frame, three channels. */
export interface Band {
  top: number;
  rows: number;
  width: number;
  /** Columns in which anything is drawn; of a pixel beside them, only its first place is read. */
  from: number;
  to: number;
  data: Float32Array;
}

/** Draws one piece of a strand, each pixel by the share of it that is covered across. */
export function drawPiece(
  { top, rows, width, data }: Band,
  ends: Float32Array,
  colours: Float32Array,
  i: number,
): void {
  // Scalars all through: this runs for every piece of every strand.
  let x0 = ends[5 * i]!;
  let y0 = ends[5 * i + 1]! - top;
  let x1 = ends[5 * i + 2]!;
  let y1 = ends[5 * i + 3]! - top;
  const half = ends[5 * i + 4]!;
  const r = colours[3 * i]!;
  const g = colours[3 * i + 1]!;
  const b = colours[3 * i + 2]!;
  const steep = Math.abs(y1 - y0) >= Math.abs(x1 - x0);
  if (steep ? y0 > y1 : x0 > x1) {
    const x = x0;
    const y = y0;
    x0 = x1;
    y0 = y1;
    x1 = x;
    y1 = y;
  }
  const long = Math.sqrt((x1 - x0) * (x1 - x0) + (y1 - y0) * (y1 - y0));
  if (long < 1e-6) return;
  const main = steep ? y1 - y0 : x1 - x0;
  const slope = (steep ? x1 - x0 : y1 - y0) / main;
  const thick = (half * long) / main;
  const start = steep ? y0 : x0;
  const base = steep ? x0 : y0;
  const most = (steep ? width : rows) - 1;
  const across = steep ? 3 : 3 * width;
  const along = steep ? 3 * width : 3;
  const until = Math.min((steep ? rows : width) - 1, Math.floor((steep ? y1 : x1) - 0.5 + 1e-9));
  for (let m = Math.max(0, Math.ceil(start - 0.5)); m <= until; m++) {
    const at = base + slope * (m + 0.5 - start);
    const low = at - thick;
    const high = at + thick;
    const last = Math.min(most, Math.floor(high));
    for (let n = Math.max(0, Math.floor(low)); n <= last; n++) {
      const k = m * along + n * across;
      if (n >= low && n + 1 <= high) {
        data[k] = r;
        data[k + 1] = g;
        data[k + 2] = b;
        continue;
      }
      const share = Math.min(n + 1, high) - Math.max(n, low);
      if (share <= 0) continue;
      const rest = 1 - share;
      data[k] = data[k]! * rest + r * share;
      data[k + 1] = data[k + 1]! * rest + g * share;
      data[k + 2] = data[k + 2]! * rest + b * share;
    }
  }
}

/** Columns of the enlarged frame that pieces and shapes have in a band, in whole pixels of the frame; `shapes` null for all. */
function columnsOf(
  band: { top: number; rows: number },
  { width, n }: { width: number; n: number },
  list: readonly number[],
  ends: Float32Array,
  shapes: readonly (readonly Point[])[] | null,
): { from: number; to: number } {
  if (!shapes) return { from: 0, to: width * n };
  let [left, right] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const i of list) {
    const [a, b, wide] = [ends[5 * i]!, ends[5 * i + 2]!, 2 * ends[5 * i + 4]!];
    left = Math.min(left, a - wide, b - wide);
    right = Math.max(right, a + wide, b + wide);
  }
  for (const shape of shapes) {
    const ys = shape.map(({ y }) => y);
    if (Math.max(...ys) < band.top - 1 || Math.min(...ys) > band.top + band.rows + 1) continue;
    for (const { x } of shape) {
      left = Math.min(left, x);
      right = Math.max(right, x);
    }
  }
  const from = Math.max(0, Math.floor(left / n) - 1);
  const to = Math.min(width, Math.ceil(right / n) + 1);
  return from < to ? { from: from * n, to: to * n } : { from: 0, to: 0 };
}

/**
 * A frame drawn `n` times as large in both directions, band by band, and averaged. `paint` fills a band with its ground and
 * draws the pieces that touch it, in their order; `shapes` are what else it draws, where that does not fill the frame. `progress`
 * is told the share that is done.
 */
export function inBands(
  { width, height }: { width: number; height: number },
  n: number,
  pieces: { count: number; ends: Float32Array; order?: Int32Array },
  paint: (own: Band, list: readonly number[]) => void,
  {
    shapes = null,
    progress,
  }: { shapes?: readonly (readonly Point[])[] | null; progress?: ((share: number) => void) | undefined } = {},
): Light {
  const wide = width * n;
  const [red, green, blue] = [0, 1, 2].map(() => new Float32Array(width * height)) as [
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  const bandRows = BAND_ROWS * n;
  const bands = Math.ceil(height / BAND_ROWS);
  // Which pieces touch which band, in the order they are drawn.
  const touched: number[][] = Array.from({ length: bands }, () => []);
  for (let k = 0; k < pieces.count; k++) {
    const i = pieces.order?.[k] ?? k;
    const [a, b, h] = [pieces.ends[5 * i + 1]!, pieces.ends[5 * i + 3]!, pieces.ends[5 * i + 4]! * 2];
    const first = Math.max(0, Math.floor((Math.min(a, b) - h) / bandRows));
    const last = Math.min(bands - 1, Math.floor((Math.max(a, b) + h) / bandRows));
    for (let band = first; band <= last; band++) touched[band]!.push(i);
  }
  const data = new Float32Array(3 * bandRows * wide);
  for (let band = 0; band < bands; band++) {
    const rows = Math.min(BAND_ROWS, height - band * BAND_ROWS) * n;
    const top = band * bandRows;
    const { from, to } = columnsOf({ top, rows }, { width, n }, touched[band]!, pieces.ends, shapes);
    paint({ top, rows, width: wide, from, to, data }, touched[band]!);
    for (let y = 0; y < rows / n; y++)
      for (let x = 0; x < width; x++) {
        const i = (band * BAND_ROWS + y) * width + x;
        const start = 3 * (y * n * wide + x * n);
        if (x * n < from || x * n >= to) {
          red[i] = data[start]!;
          green[i] = data[start + 1]!;
          blue[i] = data[start + 2]!;
          continue;
        }
        let r = 0;
        let g = 0;
        let b = 0;
        for (let dy = 0; dy < n; dy++) {
          let k = start + 3 * dy * wide;
          for (let dx = 0; dx < n; dx++, k += 3) {
            r += data[k]!;
            g += data[k + 1]!;
            b += data[k + 2]!;
          }
        }
        red[i] = r / (n * n);
        green[i] = g / (n * n);
        blue[i] = b / (n * n);
      }
    progress?.((band + 1) / bands);
  }
  return [red, green, blue].map((data) => ({ width, height, data })) as unknown as Light;
}

/** The stretches of a band's rows that lie in a shape of the enlarged frame: whole places, `to` past the last. */
function stretches(
  own: Band,
  shape: readonly Point[],
  take: (y: number, from: number, to: number) => void,
): void {
  fillRows(
    shape.map(({ x, y }) => ({ x, y: y - own.top - 0.5 })),
    own.rows,
    (y, from, to) => take(y, Math.max(0, Math.ceil(from - 0.5)), Math.min(own.width, Math.ceil(to - 0.5))),
  );
}

/** Fills a shape in a band with one colour. */
export function fillBand(own: Band, shape: readonly Point[], [r, g, b]: readonly number[]): void {
  const { data } = own;
  stretches(own, shape, (y, from, to) => {
    for (let k = 3 * (y * own.width + from); k < 3 * (y * own.width + to); k += 3) {
      data[k] = r!;
      data[k + 1] = g!;
      data[k + 2] = b!;
    }
  });
}

/** Draws a card that lies in the enlarged frame with these corners. */
export function drawCard(own: Band, kind: CardKind, corners: readonly Point[], gain: number): void {
  const { width, height } = CARDS[kind];
  const onCard = inverted(
    homographyBetween(
      [
        { x: 0, y: 0 },
        { x: width, y: 0 },
        { x: width, y: height },
        { x: 0, y: height },
      ],
      corners,
    ),
  );
  const print = cardLight(kind);
  stretches(own, corners, (y, from, to) => {
    for (let x = from; x < to; x++) {
      const at = projected(onCard, { x: x + 0.5, y: own.top + y + 0.5 });
      const light = print(at.x, at.y) * gain;
      const k = 3 * (y * own.width + x);
      own.data[k] = light;
      own.data[k + 1] = light;
      own.data[k + 2] = light;
    }
  });
}
