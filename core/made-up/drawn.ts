import type { Point } from '../photo/plane.ts';
import { type Band, drawCard, drawPiece, fillBand, inBands, type Light } from './bands.ts';
import { CLOTHES, cardCorners, skinOf } from './figure.ts';
import { COLOURS, type Point3, type Strand } from './head.ts';
import { type Frame, type Scene, seenThrough } from './scene.ts';
import { outlineFrom, turned } from './view.ts';

/** How much more is drawn in each direction than the picture has pixels. Source: methods.md 4. */
const SUPERSAMPLING = 4;
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

/** No piece lies further from the axis than so many mm, and no head has so many pieces: a key of the two fits in 53 bits. */
const DEEPEST = 500;
const MOST_PIECES = 2 ** 23;

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
  const layerOf = (i: number) => (i < lying ? 1 : depth[i]! < 0 ? 0 : 2);
  // Layer, depth in steps of a hundred-thousandth of a millimetre and number in one key each, which sort as plain numbers.
  const keys = Float64Array.from(depth, (z, i) => {
    const steps = Math.round((z + DEEPEST) * 1e5);
    return (layerOf(i) * 2 * DEEPEST * 1e5 + steps) * MOST_PIECES + i;
  }).sort();
  const order = Array.from(keys, (key) => key % MOST_PIECES);
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
  // The wall's light at a place is a sum and a product of what its column and its row give: told once for each.
  const unevenBy = (size: number, at: (share: number) => number) =>
    Float64Array.from({ length: size }, (_, i) => at((i + 0.5) / size - 0.5));
  const across = unevenBy(width, (u) => 0.5 * u - 0.9 * u * u);
  const down = unevenBy(height, (v) => 0.35 * v - 0.9 * v * v + 0.1);
  const shadowBy = (size: number, from: number) =>
    Float64Array.from({ length: size }, (_, i) => Math.exp(-(((i - from) / frame.pxPerMm / 260) ** 2)));
  const [shadowAcross, shadowDown] = [shadowBy(width, middle.x), shadowBy(height, middle.y)];
  const paint = (own: Band, list: readonly number[]) => {
    const { rows } = own;
    const first = own.top / n;
    for (let y = 0; y < rows / n; y++) {
      const [light, shadow] = [1 + scene.uneven * down[first + y]!, scene.shadow * shadowDown[first + y]!];
      const start = 3 * y * n * wide;
      for (let x = 0; x < width; x++) {
        const value = wall * (light + scene.uneven * across[x]!) * (1 - shadow * shadowAcross[x]!);
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
    if (card) drawCard(own, card.kind, corners, 0.92);
    let at = 0;
    for (; at < list.length && list[at]! < pieces.under; at++)
      drawPiece(own, pieces.ends, pieces.colours, list[at]!);
    if (scene.head) {
      if (skins[0])
        fillBand(
          own,
          skins[0],
          scene.skin.map((v) => v * dim * 0.8),
        );
      fillBand(
        own,
        clothes,
        scene.clothes.map((v) => v * dim),
      );
      fillBand(own, shape, ground);
      if (skins[1])
        fillBand(
          own,
          skins[1],
          scene.skin.map((v) => v * dim),
        );
    }
    for (; at < list.length; at++) drawPiece(own, pieces.ends, pieces.colours, list[at]!);
  };
  const shapes = [shape, ...skins, clothes, corners].filter(({ length }) => length > 0);
  return inBands(frame, n, pieces, paint, { shapes, progress });
}
