import { eroded } from '../disc.ts';
import { gaussian } from '../gaussian.ts';
import { emptyPlane, type Plane } from '../plane.ts';
import { shrunk } from '../resample.ts';
import { type Grain, SLOPE_MM, slopesOf } from './grain.ts';
import type { CloseHair } from './hair.ts';

/** The curl's own width straight hair is read by, mm. Source: methods.md 4. */
export const STRAIGHT = 20;
/** Over how much of that width directions are gathered. Source: methods.md 4. */
const SHARES = [0.1, 0.2, 0.4] as const;
/** A scale counts from three widths of the slopes' own smoothing on. Source: methods.md 4. */
const LEAST_SCALE = 3 * SLOPE_MM;
/** Slopes smoothed over less than this many pixels are noise. Source: methods.md 4, σ_o ≥ 3σ_i ≥ 3 px. */
const LEAST_SMOOTHING = 1;
/** So much hair at least, mm². Judged. */
const LEAST_AREA = 2000;
/** Refused where grain makes more than this share of all slopes. Judged. */
const MOST_GRAIN = 0.5;

export type CoherenceTrouble = 'too coarse' | 'little hair' | 'too noisy';
export type Coherence = { value: number; trouble: null } | { value: null; trouble: CoherenceTrouble };

/** Scales directions are gathered over for a curl's width, mm: the same for the same width, whatever the picture. */
export const scalesOf = (widthMm: number): number[] =>
  SHARES.map((share) => share * widthMm).filter((scale) => scale >= LEAST_SCALE);

/**
 * How smoothly clumps run: Σ(λ₁ − λ₂) / Σ(λ₁ + λ₂ − 2ν) of the structure tensor of log luminance, λ its eigenvalues and ν what
 * grain adds to each, gathered over .1, .2 and .4 of the curl's width (fixed once for a wearer and zone), and averaged over
 * these scales. 1 is hair that runs one way within each place, 0 no direction at all. Source: methods.md 4; the tensor:
 * Bigün & Granlund (1987), Proc. 1st ICCV, 433–438.
 */
export function coherenceOf(
  { log, spread, hair, pxPerMm }: CloseHair,
  widthMm: number,
  grain: Grain,
): Coherence {
  const none = (trouble: CoherenceTrouble): Coherence => ({ value: null, trouble });
  const inner = SLOPE_MM * pxPerMm;
  const scales = scalesOf(widthMm);
  if (inner < LEAST_SMOOTHING || scales.length === 0) return none('too coarse');
  const { width, height } = log;
  const { across, down } = slopesOf(log, inner);
  // Near what is no hair, slopes are those of its edge.
  const clear = eroded(hair, 3 * inner);
  const weight = emptyPlane(width, height);
  const parts = [emptyPlane(width, height), emptyPlane(width, height), emptyPlane(width, height)] as const;
  const noise = emptyPlane(width, height);
  let counted = 0;
  for (let i = 0; i < weight.data.length; i++) {
    if (!clear.data[i]) continue;
    counted++;
    weight.data[i] = 1;
    // Even in strength, so that a lit place counts no more than one in shadow.
    const even = 1 / spread.data[i]! ** 2;
    const [x, y] = [across.data[i]!, down.data[i]!];
    parts[0].data[i] = x * x * even;
    parts[1].data[i] = y * y * even;
    parts[2].data[i] = x * y * even;
    noise.data[i] = grain.slope(log.data[i]!) * even;
  }
  if (counted / pxPerMm ** 2 < LEAST_AREA) return none('little hair');
  let planes: readonly Plane[] = [weight, ...parts, noise];
  const values = scales.map((scale) => {
    // Gathered on a grid of four pixels a scale, which is as fine as its smoothing shows; each from the one before.
    const by = Math.min(1, (4 / (scale * pxPerMm)) * (width / planes[0]!.width));
    planes = planes.map((plane) => shrunk(plane, by));
    const [of, xx, yy, xy, grey] = planes as [Plane, Plane, Plane, Plane, Plane];
    const sigma = (scale * pxPerMm * of.width) / width;
    const [share, ...rest] = [of, xx, yy, xy, grey].map((plane) => gaussian(plane, sigma));
    const [a, b, c, n] = rest as [Plane, Plane, Plane, Plane];
    let [along, all, grained] = [0, 0, 0];
    for (let i = 0; i < of.data.length; i++) {
      if (of.data[i]! < 0.5) continue;
      const per = of.data[i]! / share!.data[i]!;
      along += per * Math.hypot(a.data[i]! - b.data[i]!, 2 * c.data[i]!);
      all += per * (a.data[i]! + b.data[i]!);
      grained += per * 2 * n.data[i]!;
    }
    return grained <= MOST_GRAIN * all ? along / (all - grained) : Number.NaN;
  });
  if (values.some(Number.isNaN)) return none('too noisy');
  return { value: Math.min(1, values.reduce((sum, value) => sum + value, 0) / values.length), trouble: null };
}
