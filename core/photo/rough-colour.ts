import { median } from '../middle.ts';
import { filled, largestPiece } from './components.ts';
import { opened } from './disc.ts';
import { distanceTo } from './distance.ts';
import { countOf, inverse, type Mask } from './plane.ts';
import type { Surface } from './quadratic.ts';
import {
  FILLS,
  fitBackdrop,
  LEAST_HAIR,
  logOf,
  MOST_VARIED,
  OPENING,
  type OutlineTrouble,
  type Rough,
  ringAround,
  roughly,
} from './rough-hair.ts';

/** How deep inside hair its own colour is read, mm. Source: methods.md 4, "coverage", colour way. */
const CORE = { from: 5, to: 15 };
/** Hair and wall nearer to each other than this share of the wall's light are alike. Judged. */
const LEAST_APART = 0.25;

/** Light of the hair in one channel: a share of the backdrop's there, or its own whatever the backdrop. */
export interface Inside {
  share: number;
  own: number;
}

/**
 * Coverage of pixel `i` by hair before a wall: (B−I)·(B−F)/|B−F|², over as many channels as there are; by one it is
 * (1 − I/B)/(1 − F/B). Source: methods.md 4.
 */
export function coverageOf(
  lights: readonly Float32Array[],
  walls: readonly Float32Array[],
  inside: readonly Inside[],
  i: number,
): number {
  let [shared, whole] = [0, 0];
  for (let c = 0; c < lights.length; c++) {
    const wall = walls[c]![i]!;
    const apart = wall * (1 - inside[c]!.share) - inside[c]!.own;
    shared += (wall - lights[c]![i]!) * apart;
    whole += apart * apart;
  }
  return shared / whole;
}

export interface RoughInColour {
  /** The logarithm of the backdrop's light in each channel, beside the empty frame's where there is one. */
  backdrop: readonly Surface[];
  /** Root mean square of what the fitted backdrop leaves, as a share of its light. */
  residual: number;
  /** The hair's own light, channel by channel. */
  inside: readonly Inside[];
  hair: Mask;
}

/** Of the channels and their sum, the hair that stands out most by one light alone. */
function byOneLight(
  logs: readonly Float32Array[],
  out: Mask,
  scale: number,
): Rough | { trouble: OutlineTrouble } {
  let best: Rough | null = null;
  let trouble: OutlineTrouble = 'no hair';
  const sum = logs[0]!.map((_, i) =>
    logOf(logs.reduce((all, log) => all + Math.exp(log[i]!), 0) / logs.length),
  );
  for (const log of [...logs, sum]) {
    const found = roughly(log, out, scale, true);
    if ('trouble' in found) trouble = trouble === 'no hair' ? found.trouble : trouble;
    else if (!best || Math.abs(Math.log(found.inside)) > Math.abs(Math.log(best.inside))) best = found;
  }
  return best ?? { trouble };
}

/**
 * Hair roughly told from its wall by colour: first by the one light it stands out in most, then twice by how far each pixel
 * lies from the wall's colour to the hair's. `lights` are linear, on a coarse grid of `scale` pixels a millimetre; `empty` the
 * same of the frame without a head. Source: methods.md 4, "coverage", colour way.
 */
export function roughlyInColour(
  lights: readonly Float32Array[],
  empty: readonly Float32Array[] | null,
  out: Mask,
  scale: number,
): RoughInColour | { trouble: OutlineTrouble } {
  const { width, height } = out;
  const none = (trouble: OutlineTrouble) => ({ trouble });
  const beside = (c: number, i: number) => (empty ? Math.max(1e-5, empty[c]![i]!) : 1);
  const logs = lights.map((light, c) => light.map((value, i) => logOf(value / beside(c, i))));
  const first = byOneLight(logs, out, scale);
  if ('trouble' in first) return first;
  let { hair } = first;
  for (let round = 0; ; round++) {
    const ring = ringAround(hair, out, scale);
    if (!ring) return none('no backdrop');
    const fits = logs.map((log) => fitBackdrop(log, ring, width, height));
    if (fits.some((fit) => fit === null)) return none('no backdrop');
    const walls = fits.map((fit, c) => fit!.surface.map((value, i) => Math.exp(value) * beside(c, i)));
    const depth = distanceTo(inverse(hair));
    const deep: number[] = [];
    for (let i = 0; i < depth.data.length; i++)
      if (
        !out.data[i] &&
        hair.data[i] &&
        depth.data[i]! >= CORE.from * scale &&
        depth.data[i]! <= CORE.to * scale
      )
        deep.push(i);
    if (deep.length < 20) return none('no hair');
    const inside = lights.map((light) => ({ share: 0, own: median(deep.map((i) => light[i]!)) }));
    // The wall's colour as it would be seen there without the hair.
    const wall = walls.map((own) => median(deep.map((i) => own[i]!)));
    const [apart, whole] = [
      Math.hypot(...wall.map((light, c) => light - inside[c]!.own)),
      Math.hypot(...wall),
    ];
    if (apart < LEAST_APART * whole) return none('hair like the backdrop');
    const coverage = (i: number) => coverageOf(lights, walls, inside, i);
    const varied = 1.4826 * median(deep.map((i) => Math.abs(coverage(i) - 1)));
    if (varied > MOST_VARIED) return none('hair lit');
    if (round === 2) {
      const residual = Math.hypot(...fits.map((fit, c) => fit!.residual * wall[c]!)) / whole;
      return { backdrop: fits.map((fit) => fit!.fitted), residual, inside, hair };
    }
    const next: Mask = {
      width,
      height,
      data: Uint8Array.from(hair.data, (_, i) => (!out.data[i] && coverage(i) >= 0.5 ? 1 : 0)),
    };
    hair = filled(largestPiece(opened(next, OPENING * scale)));
    if (countOf(hair) / scale ** 2 < LEAST_HAIR) return none('no hair');
    if (countOf(hair) > FILLS * hair.data.length) return none('fills the frame');
  }
}
