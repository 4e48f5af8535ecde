import { homographyBetween, inverted, projected } from '../photo/card/homography.ts';
import { CARDS, type CardKind } from '../photo/card/layout.ts';
import type { Plane, Point } from '../photo/plane.ts';
import { fillRows } from '../photo/polygon.ts';
import { cardLight } from './card-print.ts';
import { CLOTHES, cardCorners, skinOf } from './figure.ts';
import { COLOURS, type Point3, type Strand } from './head.ts';
import { type Frame, type Scene, seenThrough } from './scene.ts';
import { outlineFrom, turned } from './view.ts';

/** What the camera's lens is given: linear light, red, green and blue. */
export type Light = readonly [Plane, Plane, Plane];

/** How much more is drawn in each direction than the picture has pixels. Source: methods.md 4. */
const SUPERSAMPLING = 4;
const BAND_ROWS = 10;
const WALL = { 'from behind': 0.8, 'from the front': 0.42 } as const;
const LAMPS: Record<Scene['light'], readonly { to: Point3; power: number }[]> = {
  'from behind': [{ to: { x: -0.2, y: -0.55, z: 0.81 }, power: 0.12 }],
  'from the front': [
    { to: { x: -0.62, y: -0.48, z: 0.62 }, power: 1.15 },
    { to: { x: 0.62, y: -0.48, z: 0.62 }, power: 0.95 },
    { to: { x: 0, y: -0.95, z: 0.3 }, power: 0.5 },
  ],
};

/** Pieces of strands as they are drawn, furthest first. */
interface Pieces {
  count: number;
  /** x and y of both ends, and half the thickness, in drawn pixels. */
  ends: Float32Array;
  colours: Float32Array;
  /** How many lie under the closed shape: these are drawn before it. */
  under: number;
}

function piecesOf(scene: Scene, frame: Frame, scale: number): Pieces {
  const { head, turn, light } = scene;
  if (!head) return { count: 0, ends: new Float32Array(), colours: new Float32Array(), under: 0 };
  const { plan } = head;
  const see = seenThrough(frame);
  const colour = COLOURS[plan.colour];
  const lamps = LAMPS[light];
  const wall = WALL[light];
  // Light that comes from everywhere.
  const around = light === 'from behind' ? 0.08 : 0.22;
  const front = Math.cos((turn * Math.PI) / 180) > 0.5;
  const depth: number[] = [];
  const raw: number[] = [];
  const add = (strand: Strand) => {
    const { path, shade, off } = strand;
    const places = path.length / 3;
    let before: { at: Point3; seen: Point } | null = null;
    for (let i = 0; i < places; i++) {
      const own = { x: path[3 * i]!, y: path[3 * i + 1]!, z: path[3 * i + 2]! };
      const at = turned(own, turn);
      const inFace = front && at.z > 0 && (at.x / 66) ** 2 + ((at.y - 28) / 92) ** 2 < 1;
      // Of the hair that lies, only the near side shows.
      if ((!off && at.z < -0.25 * plan.halfDepth) || inFace) {
        before = null;
        continue;
      }
      const seen = see(at);
      if (before) {
        const t = { x: at.x - before.at.x, y: at.y - before.at.y, z: at.z - before.at.z };
        const long = Math.hypot(t.x, t.y, t.z) || 1;
        let [matt, shine] = [around, 0];
        for (const { to, power } of lamps) {
          const along = (t.x * to.x + t.y * to.y + t.z * to.z) / long;
          const sine = Math.sqrt(Math.max(0, 1 - along * along));
          const view = t.z / long;
          matt += power * 0.75 * sine;
          shine += power * Math.max(0, sine * Math.sqrt(Math.max(0, 1 - view * view)) - along * view) ** 26;
        }
        const r = Math.hypot(at.x / plan.halfWidth, at.z / plan.halfDepth) || 1;
        const rim = (1 - Math.min(1, Math.abs(at.z / plan.halfDepth / r))) ** 5;
        const passes = scene.wall.map((share) => colour.through * wall * share * (off ? 1 : 0.5 * rim));
        // What lies deeper is darker.
        const sunk = off ? 1 : Math.min(1, 0.4 + 0.62 * Math.max(0, (r - 0.82) / 0.16));
        depth.push((at.z + before.at.z) / 2);
        raw.push(
          before.seen.x * scale,
          before.seen.y * scale,
          seen.x * scale,
          seen.y * scale,
          ...[0, 1, 2].map((k) => shade * sunk * (colour.light[k]! * matt + 0.05 * shine) + passes[k]!),
        );
      }
      before = { at, seen };
    }
  };
  for (const strand of head.lying) add(strand);
  const lying = depth.length;
  for (const strand of head.off) add(strand);
  // Strands off the hair's far side, the hair that lies, then strands off its near side; each furthest first.
  const layers = depth.map((z, i) => (i < lying ? 1 : z < 0 ? 0 : 2));
  const order = Array.from(depth, (_, i) => i).sort(
    (a, b) => layers[a]! - layers[b]! || depth[a]! - depth[b]!,
  );
  const half = (plan.strand * frame.pxPerMm * scale) / 2;
  const ends = new Float32Array(5 * order.length);
  const colours = new Float32Array(3 * order.length);
  let under = 0;
  order.forEach((from, to) => {
    for (let k = 0; k < 4; k++) ends[5 * to + k] = raw[7 * from + k]!;
    // A drawn strand of hair that lies stands for its neighbours too.
    ends[5 * to + 4] = from < lying ? half * 2.1 : half;
    for (let k = 0; k < 3; k++) colours[3 * to + k] = raw[7 * from + 4 + k]!;
    if (from >= lying && depth[from]! < 0) under++;
  });
  return { count: order.length, ends, colours, under };
}

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
function fillBand(own: Band, shape: readonly Point[], [r, g, b]: readonly number[]): void {
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
      const k = 3 * (y * own.width + x);
      own.data.fill(print(at.x, at.y) * gain, k, k + 3);
    }
  });
}

/**
 * The light of a scene in a frame before any camera: drawn four times as large in both directions, then averaged. `progress`
 * is told the share that is done. Source: methods.md 4, "known truth".
 */
export function drawn(
  scene: Scene,
  frame: Frame,
  {
    supersampling = SUPERSAMPLING,
    progress,
  }: { supersampling?: number; progress?: (share: number) => void } = {},
): Light {
  const n = supersampling;
  const wide = frame.width * n;
  const see = seenThrough(frame);
  const { width, height } = frame;
  const pieces = piecesOf(scene, frame, n);
  const flat = (polygon: readonly Point[]) =>
    polygon.map(({ x, y }) => {
      const at = see({ x, y, z: 0 });
      return { x: at.x * n, y: at.y * n };
    });
  const shape = scene.head ? flat(outlineFrom(scene.head.body, scene.turn, frame.distance)) : [];
  const skins = scene.head ? skinOf(scene.turn).map(flat) : [];
  const clothes = scene.head ? flat(CLOTHES) : [];
  const dim = scene.light === 'from behind' ? 0.35 : 1;
  const wall = WALL[scene.light];
  const [red, green, blue] = scene.wall;
  const ground = scene.head ? COLOURS[scene.head.plan.colour].light.map((v) => v * 0.16 * dim) : [];
  const card = scene.card;
  const corners = card ? flat(cardCorners(card)) : [];
  const middle = see({ x: 0, y: 0, z: 0 });
  const paint = (own: Band, list: readonly number[]) => {
    const { rows } = own;
    const first = own.top / n;
    for (let y = 0; y < rows / n; y++) {
      const v = (first + y + 0.5) / height - 0.5;
      const start = 3 * y * n * wide;
      for (let x = 0; x < width; x++) {
        const u = (x + 0.5) / width - 0.5;
        const away = ((x - middle.x) ** 2 + (first + y - middle.y) ** 2) / frame.pxPerMm ** 2;
        const value =
          wall *
          (1 + scene.uneven * (0.5 * u + 0.35 * v - 0.9 * (u * u + v * v) + 0.1)) *
          (1 - scene.shadow * Math.exp(-away / 260 ** 2));
        const places = x * n >= own.from && x * n < own.to ? n : 1;
        for (let k = start + 3 * x * n; k < start + 3 * (x * n + places); k += 3) {
          own.data[k] = value * red;
          own.data[k + 1] = value * green;
          own.data[k + 2] = value * blue;
        }
      }
      for (let dy = 1; dy < n; dy++)
        own.data.copyWithin(start + 3 * (dy * wide + own.from), start + 3 * own.from, start + 3 * own.to);
    }
    const fill = (polygon: readonly Point[], colour: readonly number[]) => fillBand(own, polygon, colour);
    if (card) drawCard(own, card.kind, corners, 0.92);
    let at = 0;
    for (; at < list.length && list[at]! < pieces.under; at++)
      drawPiece(own, pieces.ends, pieces.colours, list[at]!);
    if (scene.head) {
      if (skins[0])
        fill(
          skins[0],
          scene.skin.map((v) => v * dim * 0.8),
        );
      fill(
        clothes,
        scene.clothes.map((v) => v * dim),
      );
      fill(shape, ground);
      if (skins[1])
        fill(
          skins[1],
          scene.skin.map((v) => v * dim),
        );
    }
    for (; at < list.length; at++) drawPiece(own, pieces.ends, pieces.colours, list[at]!);
  };
  const shapes = [shape, ...skins, clothes, corners].filter(({ length }) => length > 0);
  return inBands(frame, n, pieces, paint, { shapes, progress });
}
