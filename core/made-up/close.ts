import type { CardKind } from '../photo/card/layout.ts';
import type { Point } from '../photo/plane.ts';
import { normals, seededRandom } from '../random.ts';
import { drawCard, drawPiece, inBands, type Light } from './bands.ts';
import { cardCorners } from './figure.ts';
import { COLOURS, type HairColour } from './head.ts';
import { skyOver } from './near-light.ts';

/** Made-up hair from near, hanging, everything in mm; every number may be chosen apart from the others. */
export interface ClosePlan {
  seed: number;
  colour: HairColour;
  /** Width of a clump. */
  clump: number;
  /** How far a clump's strands spread beside that width: 1 is bound, 2 loose. */
  loose: number;
  /** How far strands leave their clump's run, standard deviation of their angle to it, degrees. */
  stray: number;
  /** Radius and rise a turn of a clump's centre line; no radius is straight. */
  radius: number;
  pitch: number;
  strand: number;
}

export const USUAL_CLOSE: ClosePlan = {
  seed: 1,
  colour: 'brown',
  clump: 6,
  loose: 1.2,
  stray: 4,
  radius: 5,
  pitch: 40,
  strand: 0.08,
};

/** What the camera takes in from near, mm and pixels; the card lies on the hair. */
export interface CloseFrame {
  width: number;
  height: number;
  pxPerMm: number;
  card: { kind: CardKind; x: number; y: number } | null;
  /** Where on the hair the frame begins, mm; nobody holds a camera twice at the same place. */
  from?: Point;
}

/** So far beyond the frame hair goes on to both sides, mm: as far as a frame may begin elsewhere. */
const MARGIN = 30;
/** So far beside the frame hair still stands in the light of what is in it, mm; strands stray from their clump as far. */
const NEAR_BY = 8;

/** Centre lines of the clumps: where each hangs, how it turns and how deep it lies. */
function clumpsOf(plan: ClosePlan, wide: number) {
  const clumps: {
    x: number;
    wide: number;
    phase: number;
    depth: number;
    drift: number;
    shade: number;
    hand: number;
    coarse: number;
  }[] = [];
  // Two layers behind the first, so that no ground shows; of the last, strands stand for their neighbours too.
  for (const [layer, depth] of [-2.2, -1.1, 0].entries()) {
    const random = seededRandom(plan.seed * 6151 + 4 + layer);
    const gauss = normals(random);
    for (let x = -MARGIN; x < wide + MARGIN; ) {
      const own = plan.clump * Math.exp(0.16 * gauss());
      clumps.push({
        x: x + own / 2,
        wide: own,
        phase: random.unit() * 2 * Math.PI,
        depth: depth * plan.clump + 0.15 * plan.clump * gauss(),
        drift: 0.03 * gauss(),
        shade: Math.exp(0.12 * gauss()),
        hand: random.unit() < 0.5 ? -1 : 1,
        coarse: layer === 0 ? 2 : 1,
      });
      x += own * 0.98;
    }
  }
  return clumps;
}

/** Multiples of it spread evenly between whole numbers, however many they are. */
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * Pieces of strands in the enlarged frame: their ends and half their thickness, how deep they lie (mm), how dark each is by
 * itself and how much it shines.
 */
export function strandPieces(
  plan: ClosePlan,
  { width, height, pxPerMm, from = { x: 0, y: 0 } }: CloseFrame,
  enlarged: number,
) {
  const [wide, tall] = [width / pxPerMm, height / pxPerMm];
  const scale = pxPerMm * enlarged;
  const half = (1.25 * plan.strand * scale) / 2;
  // Clumps too far beside the frame to be seen in it or to stand in its light are left out.
  const beside = (own: number, drift: number) =>
    NEAR_BY + plan.radius + (own * plan.loose) / 2 + Math.abs(drift) * (tall + 12);
  const clumps = clumpsOf(plan, wide).flatMap((clump, n) => {
    const reach = beside(clump.wide, clump.drift);
    if (clump.x < from.x - reach || clump.x > from.x + wide + reach) return [];
    const number = Math.round(((clump.wide / plan.strand) * 1.9) / clump.coarse);
    return { ...clump, n, number };
  });
  const step = Math.min(1.2, plan.pitch / 24);
  const along = Math.ceil((tall + 8) / step) + 1;
  const count = along * clumps.reduce((sum, { number }) => sum + number, 0);
  const depths = new Float32Array(count);
  const ends = new Float32Array(5 * count);
  const [shades, shines] = [new Float32Array(count), new Float32Array(count)];
  let at = 0;
  for (const clump of clumps) {
    // Each clump has its own luck, so that the same hair is drawn wherever a frame begins.
    const random = seededRandom(plan.seed * 7793 + 101 * clump.n + 11);
    const gauss = normals(random);
    for (let s = 0; s < clump.number; s++) {
      // Within the clump's round section, as far as its strands keep to it.
      const spread = (clump.wide / 2) * plan.loose * Math.sqrt(random.unit());
      const angle = random.unit() * 2 * Math.PI;
      const [u, v] = [spread * Math.cos(angle), spread * Math.sin(angle)];
      const long = 9 + 9 * random.unit();
      const amplitude =
        (Math.abs(gauss()) * Math.tan((plan.stray * Math.PI) / 180) * Math.SQRT2 * long) / (2 * Math.PI);
      const phase = random.unit() * 2 * Math.PI;
      const shade = clump.shade * Math.exp(0.22 * gauss());
      const xAt = (y: number, turn: number) =>
        scale *
        (clump.x -
          from.x +
          clump.drift * y +
          plan.radius * Math.cos(turn) +
          u +
          amplitude * Math.sin((2 * Math.PI * y) / long + phase));
      const turnAt = (y: number) => clump.hand * ((2 * Math.PI * y) / plan.pitch) + clump.phase;
      // A piece is of one light: ends that lay side by side would draw edges across the hair.
      let y = from.y - 4 - step * ((s * GOLDEN) % 1);
      let x = xAt(y, turnAt(y));
      for (let k = 0; k < along; k++, at++) {
        const next = y + step;
        const turn = turnAt(next);
        const to = xAt(next, turn);
        // A strand shines where it lies across the lamps' light.
        const lean = plan.radius * 0.6 * ((2 * Math.PI) / plan.pitch) * Math.cos(turn) - 0.12;
        depths[at] = clump.depth + v + 0.6 * plan.radius * Math.sin(turn);
        ends[5 * at] = x;
        ends[5 * at + 1] = (y - from.y) * scale;
        ends[5 * at + 2] = to;
        ends[5 * at + 3] = (next - from.y) * scale;
        ends[5 * at + 4] = half * clump.coarse;
        shades[at] = shade;
        shines[at] = Math.exp(-((lean / 0.16) ** 2));
        [x, y] = [to, next];
      }
    }
  }
  return { count, ends, depths, shades, shines };
}

/** Which piece is drawn when: by depth in four thousand layers, deepest first; those that see no sky are not. */
function byDepth(depths: Float32Array, sky: Float32Array): Int32Array {
  const LAYERS = 4000;
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const depth of depths) {
    if (depth < low) low = depth;
    if (depth > high) high = depth;
  }
  const layer = (depth: number) =>
    Math.min(LAYERS - 1, Math.floor(((depth - low) / (high - low || 1)) * LAYERS));
  const starts = new Int32Array(LAYERS + 1);
  let seen = 0;
  for (let i = 0; i < depths.length; i++) {
    if (sky[i] === 0) continue;
    starts[layer(depths[i]!) + 1]!++;
    seen++;
  }
  for (let k = 0; k < LAYERS; k++) starts[k + 1]! += starts[k]!;
  const order = new Int32Array(seen);
  for (let i = 0; i < depths.length; i++) if (sky[i]! > 0) order[starts[layer(depths[i]!)]!++] = i;
  return order;
}

/** How bright a strand is that sees the whole sky, over its colour, and how bright what shines. Judged by eye. */
const LIGHT = 1.5;
const SHINE = 0.05;

/** The light of made-up hair from near in soft light from the front, before any camera. Source: methods.md 4, "known truth". */
export function drawnClose(
  plan: ClosePlan,
  frame: CloseFrame,
  { supersampling: n = 3, progress }: { supersampling?: number; progress?: (share: number) => void } = {},
): Light {
  const pieces = strandPieces(plan, frame, n);
  const { count, ends, depths, shades, shines } = pieces;
  const sky = skyOver(pieces, frame.width / frame.pxPerMm, frame.height / frame.pxPerMm, frame.pxPerMm * n);
  const order = byDepth(depths, sky);
  const colour = COLOURS[plan.colour].light;
  const colours = new Float32Array(3 * count);
  for (let i = 0; i < count; i++) {
    const light = shades[i]! * sky[i]!;
    for (let c = 0; c < 3; c++) colours[3 * i + c] = light * (LIGHT * colour[c]! + SHINE * shines[i]!);
  }
  const [red, green, blue] = COLOURS[plan.colour].light.map((value) => value * 0.06) as [
    number,
    number,
    number,
  ];
  const corners = cornersIn(frame).map(({ x, y }) => ({ x: x * n, y: y * n }));
  return inBands(
    frame,
    n,
    { count: order.length, ends, order },
    (own, list) => {
      const { data } = own;
      for (let k = 0; k < 3 * own.rows * own.width; k += 3) {
        data[k] = red;
        data[k + 1] = green;
        data[k + 2] = blue;
      }
      for (const i of list) drawPiece(own, ends, colours, i);
      if (frame.card) drawCard(own, frame.card.kind, corners, 0.92);
    },
    { progress },
  );
}

const cornersIn = ({ card, pxPerMm }: CloseFrame): Point[] =>
  card ? cardCorners(card).map(({ x, y }) => ({ x: x * pxPerMm, y: y * pxPerMm })) : [];

/** Where the middle of a clump's run turns back, in its frame's pixels, from the top down: what somebody who tags a curl clicks. */
export function crestsOf(plan: ClosePlan, frame: CloseFrame, clump: number): Point[] {
  const { from = { x: 0, y: 0 }, pxPerMm } = frame;
  const own = clumpsOf(plan, frame.width / pxPerMm).filter(
    ({ depth, x }) => depth > -0.5 * plan.clump && x > from.x,
  )[clump];
  if (!own || plan.radius === 0) return [];
  const crests: Point[] = [];
  const low = from.y + frame.height / pxPerMm;
  // Turning places of R cos(±2πy/P + φ): where that angle is a whole number of half turns.
  const at = (k: number) => ((k * Math.PI - own.phase) * plan.pitch * own.hand) / (2 * Math.PI);
  for (let k = -200; k <= 200; k++) {
    const y = at(k);
    if (y < from.y || y > low) continue;
    crests.push({
      x: (own.x - from.x + own.drift * y + plan.radius * (k % 2 === 0 ? 1 : -1)) * pxPerMm,
      y: (y - from.y) * pxPerMm,
    });
  }
  return crests.sort((a, b) => a.y - b.y);
}
