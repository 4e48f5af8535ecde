import { normals, type Random, seededRandom } from '../random.ts';

/** Kinds of made-up hair. Sizes are the trade's own orders of magnitude: common practice, no source. */
export const CURLS = {
  wave: { label: 'wave', radius: 7, pitch: 70 },
  curl: { label: 'curl', radius: 9, pitch: 32 },
  coil: { label: 'coil', radius: 4, pitch: 11 },
} as const;
export type CurlKind = keyof typeof CURLS;

/** Colours of made-up hair: light it sends back, linear red, green and blue, and how much passes through one strand. */
export const COLOURS = {
  dark: { label: 'dark', light: [0.021, 0.014, 0.011], through: 0.02 },
  brown: { label: 'brown', light: [0.075, 0.042, 0.024], through: 0.03 },
  light: { label: 'light', light: [0.34, 0.23, 0.12], through: 0.07 },
  grey: { label: 'grey', light: [0.25, 0.25, 0.26], through: 0.05 },
} as const;
export type HairColour = keyof typeof COLOURS;

/** A made-up head, everything in mm; every number may be chosen apart from the others. */
export interface HeadPlan {
  seed: number;
  curl: CurlKind;
  colour: HairColour;
  /** Half the hair's width and depth at its widest. */
  halfWidth: number;
  halfDepth: number;
  /** From the axis up to the top of the hair, and down to its hem. */
  top: number;
  hem: number;
  /** Radius and rise a turn of a curl's centre line. */
  radius: number;
  pitch: number;
  /** How wide a clump is. */
  clump: number;
  /** How far strands leave their clump's run: 0 none, 1 much. */
  disorder: number;
  /** Strands that stand off, over the whole head, and how far they reach on average. */
  flyaways: number;
  reach: number;
  /** Thickness of a strand. */
  strand: number;
}

/** A usual head of a kind, as a plan to change. */
export const usualHead = (curl: CurlKind, colour: HairColour, seed: number): HeadPlan => ({
  seed,
  curl,
  colour,
  halfWidth: curl === 'coil' ? 135 : 118,
  halfDepth: curl === 'coil' ? 130 : 122,
  top: curl === 'coil' ? 165 : 142,
  hem: curl === 'coil' ? 95 : 150,
  radius: CURLS[curl].radius,
  pitch: CURLS[curl].pitch,
  clump: curl === 'coil' ? 5 : curl === 'curl' ? 11 : 15,
  disorder: 0.25,
  flyaways: 900,
  reach: 7,
  strand: 0.075,
});

export interface Point3 {
  x: number;
  y: number;
  z: number;
}

/** One strand: places along it, x right, y down, z towards the face, from the turning axis. */
export interface Strand {
  /** x, y, z of each place in turn. */
  path: Float32Array;
  /** How light it is beside the others. */
  shade: number;
  /** Of the hair that lies, or standing off it. */
  off: boolean;
}

/** The closed shape strands lie on: how far its surface is from the axis, for an angle and a height. */
export interface Body {
  plan: HeadPlan;
  /** Surface at an angle about the axis (0 to the right, a quarter turn to the face) and a share of the height. */
  surface: (angle: number, share: number) => Point3;
  /** How far down it reaches at an angle. */
  hem: (angle: number) => number;
}

const TAU = 2 * Math.PI;

/** How wide the shape is at a share of its height, of its widest. */
function outlineOf(curl: CurlKind): (share: number) => number {
  if (curl === 'coil') return (share) => Math.max(0, 1 - Math.abs(2 * share - 1) ** 2.3) ** 0.5;
  const widest = curl === 'curl' ? 0.62 : 0.55;
  return (share) => {
    if (share < widest) return Math.max(0, 1 - ((widest - share) / widest) ** 2.4) ** 0.5;
    const below = (share - widest) / (1 - widest);
    // The hem is rounded off.
    return (1 - 0.12 * below ** 2) * Math.max(0, 1 - below ** 14) ** 0.5;
  };
}

/** How many bays a shape has around and along it, and how deep they are, mm. */
const BAYS = {
  wave: { around: 16, along: 4, deep: 1.6 },
  curl: { around: 22, along: 9, deep: 2.4 },
  coil: { around: 34, along: 16, deep: 1.8 },
} as const;

/** The closed shape of a plan's hair: a rounded form with shallow bays between its clumps. */
export function bodyOf(plan: HeadPlan): Body {
  const random = seededRandom(plan.seed * 7919 + 1);
  const profile = outlineOf(plan.curl);
  const { around, along, deep } = BAYS[plan.curl];
  const waves = Array.from({ length: 6 }, (_, i) => ({
    around: Math.round(around * (0.5 + 0.2 * i)) * (i % 2 ? 1 : -1),
    along: along * (0.5 + random.unit()),
    phase: random.unit() * TAU,
  }));
  const tips = [4, 7, 11].map((k) => ({ k, phase: random.unit() * TAU }));
  const tall = plan.top + plan.hem;
  // Asked for every place of every strand: plain loops.
  const raggedAt = (angle: number): number => {
    if (plan.curl === 'coil') return 0;
    let sum = 0;
    for (const { k, phase } of tips) sum += Math.cos(k * angle + phase);
    return 7 * sum;
  };
  return {
    plan,
    hem: (angle) => -plan.top + tall + raggedAt(angle),
    surface: (angle, share) => {
      let bays = 0;
      for (const { around, along, phase } of waves)
        bays += Math.cos(around * angle + along * share * TAU + phase);
      const wide = profile(Math.min(1, Math.max(0, share)));
      const bump = wide + (deep * bays * Math.min(1, 3 * wide)) / plan.halfWidth / 3;
      return {
        x: plan.halfWidth * bump * Math.cos(angle),
        // Clumps end at different heights.
        y: -plan.top + share * tall + raggedAt(angle) * share ** 6,
        z: plan.halfDepth * bump * Math.sin(angle),
      };
    },
  };
}

const minus = (a: Point3, b: Point3): Point3 => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });
const cross = (a: Point3, b: Point3): Point3 => ({
  x: a.y * b.z - a.z * b.y,
  y: a.z * b.x - a.x * b.z,
  z: a.x * b.y - a.y * b.x,
});
const unit = (a: Point3): Point3 => {
  const long = Math.hypot(a.x, a.y, a.z) || 1;
  return { x: a.x / long, y: a.y / long, z: a.z / long };
};

/** Outward direction of the shape at a place. */
function outward(body: Body, angle: number, share: number): Point3 {
  const e = 1e-3;
  const at = body.surface(angle, share);
  const around = minus(body.surface(angle + e, share), at);
  const down = minus(body.surface(angle, Math.min(0.999, share + e)), at);
  const n = unit(cross(down, around));
  return n.x * at.x + n.z * at.z + n.y * 0.01 * at.y >= 0 ? n : { x: -n.x, y: -n.y, z: -n.z };
}

/** Strands of the hair that lies, clump by clump, seen from all sides. */
function lying(body: Body, random: Random): Strand[] {
  const { plan } = body;
  const gauss = normals(random);
  const tall = plan.top + plan.hem;
  const clumps = Math.round((5.2 * tall) / plan.clump) * 3;
  const strands: Strand[] = [];
  for (let c = 0; c < clumps; c++) {
    const angle = random.unit() * TAU;
    const layer = random.unit();
    const from = 0.01 + 0.6 * random.unit() ** 1.4;
    const long = (0.25 + 0.5 * random.unit()) * tall;
    const wide = plan.clump * (0.55 + 0.8 * random.unit());
    const phase = random.unit() * TAU;
    const hand = random.unit() < 0.5 ? -1 : 1;
    const shade = 0.62 + 0.6 * random.unit();
    const drift = gauss() * 0.12;
    const radius = plan.radius * (0.8 + 0.4 * random.unit());
    const pitch = plan.pitch * (0.85 + 0.3 * random.unit());
    const depth = 0.998 - 0.12 * layer;
    const number = Math.max(5, Math.round(wide * 1.7));
    const step = Math.min(4, pitch / 9);
    for (let s = 0; s < number; s++) {
      const [u, v] = [(gauss() * wide) / 4.2, (gauss() * wide) / 4.2];
      const out = plan.disorder * 2.2;
      const [wander, wander2] = [gauss() * out, gauss() * out];
      const own = phase + gauss() * 0.9 * plan.disorder;
      const end = long * (0.86 + 0.16 * random.unit());
      const places: number[] = [];
      for (let t = 0; t <= end; t += step) {
        const share = from + t / tall;
        if (share > 0.985) break;
        const a = angle + drift * (t / tall) + (u / plan.halfWidth) * (1 + 0.2 * Math.sin(t / 40));
        const at = body.surface(a, share);
        // Ends hang no lower than the shape does there.
        const low = body.hem(a) - 1;
        // The run of a clump winds about its line, less where it leaves the scalp.
        const grown = Math.min(1, t / 30);
        const turn = own + (hand * TAU * t) / pitch;
        const off = radius * grown;
        const inwards = depth - (0.016 * v) / Math.max(4, plan.clump) + (wander2 * t) / (tall * 160);
        const side = off * Math.cos(turn) + (wander * t) / tall;
        const deep = off * Math.sin(turn);
        const r = Math.hypot(at.x, at.z) || 1;
        const [nx, nz] = [at.x / r, at.z / r];
        places.push(
          at.x * inwards + nx * (deep - off) - nz * side,
          Math.min(at.y + u * 0.15 + 0.35 * deep, low),
          at.z * inwards + nz * (deep - off) + nx * side,
        );
      }
      if (places.length >= 9)
        strands.push({
          path: Float32Array.from(places),
          shade: shade * (0.82 + 0.36 * random.unit()) * (1 - 0.35 * layer),
          off: false,
        });
    }
  }
  return strands;
}

/** Strands that stand off the shape. */
function standingOff(body: Body, random: Random): Strand[] {
  const { plan } = body;
  const gauss = normals(random);
  return Array.from({ length: plan.flyaways }, () => {
    const angle = random.unit() * TAU;
    const share = 0.015 + 0.95 * random.unit();
    const start = body.surface(angle, share);
    const n = outward(body, angle, share);
    const lean = unit({ x: gauss(), y: gauss() + 0.2, z: gauss() });
    const tilt = 0.35 + 0.85 * random.unit();
    const way = unit({ x: n.x + tilt * lean.x, y: n.y + tilt * lean.y, z: n.z + tilt * lean.z });
    const long = Math.min(55, -plan.reach * 1.55 * Math.log(1 - 0.999 * random.unit()) + 1.5);
    const side = unit(cross(way, { x: 0.2, y: 1, z: 0.1 }));
    const up = cross(side, way);
    const radius = plan.radius * (0.06 + 0.22 * random.unit());
    const pitch = plan.pitch * (0.6 + 0.6 * random.unit());
    const phase = random.unit() * TAU;
    const bend = (gauss() * 0.5 + 0.35) / 60;
    const places: number[] = [];
    // From a little under the surface, so that none floats.
    for (let t = -3; t <= long + 0.01; t += 1.2) {
      const grown = Math.max(0, t) / (Math.max(0, t) + 3);
      const turn = phase + (TAU * t) / pitch;
      const [a, b] = [
        radius * grown * (Math.cos(turn) - Math.cos(phase)),
        radius * grown * (Math.sin(turn) - Math.sin(phase)),
      ];
      places.push(
        start.x + way.x * t + side.x * a + up.x * b,
        start.y + way.y * t + side.y * a + up.y * b + bend * Math.max(0, t) ** 2,
        start.z + way.z * t + side.z * a + up.z * b,
      );
    }
    return { path: Float32Array.from(places), shade: 0.8 + 0.4 * random.unit(), off: true };
  });
}

/** A made-up head of hair: the closed shape, the strands on it and the strands off it. The same plan gives the same head. */
export interface MadeUpHead {
  plan: HeadPlan;
  body: Body;
  lying: readonly Strand[];
  off: readonly Strand[];
}

export function madeUpHead(plan: HeadPlan): MadeUpHead {
  const body = bodyOf(plan);
  return {
    plan,
    body,
    lying: lying(body, seededRandom(plan.seed * 104_729 + 2)),
    off: standingOff(body, seededRandom(plan.seed * 15_485_863 + 3)),
  };
}
