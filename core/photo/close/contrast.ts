import { powerOf, powerOfTwo, type Square } from './fourier.ts';
import type { Grain } from './grain.ts';
import type { CloseHair } from './hair.ts';

/** Wavelengths of clumps and of strands, mm. Source: methods.md 4. */
export const BANDS = { clumps: [2, 16], strands: [0.5, 1.6] } as const;
/** Side of a patch and how far the next one is off, mm; the patch: methods.md 4, half of it each time: common practice. */
const PATCH = 48;
const NEXT = 24;
/** The shortest wavelength of a band takes so many pixels, and the picture's edge lets so much of it pass. Source: methods.md 4. */
const LEAST_PX = 5;
const PASSES = 0.3;
/** A patch that shows less hair says nothing of it; so many patches at least. Judged. */
const LEAST_HAIR = 0.9;
const LEAST_PATCHES = 2;
/** Refused where grain makes more than this share of the strands' band. Judged. */
const MOST_GRAIN = 0.5;
/** Filters an octave. Judged: more change nothing. */
const AN_OCTAVE = 2;
/** Logarithm of a log-Gabor filter's width, one octave wide at half its height. Source: Field (1987), JOSA A 4, 2379–2394. */
const LOG_WIDTH = Math.LN2 / (2 * Math.sqrt(2 * Math.LN2));

export type ContrastTrouble = 'too coarse' | 'picture soft' | 'little hair' | 'too noisy';
export type Contrast =
  | { value: number; trouble: null; patches: number }
  | { value: null; trouble: ContrastTrouble };

/** How much of a wave of `length` mm a blurred edge of 10–90 % rise `edgeMm` lets pass; normal blur. */
export const passing = (edgeMm: number, length: number): number =>
  Math.exp(-2 * (Math.PI * (edgeMm / 2.563 / length)) ** 2);

/** Wavelengths the filters of a band stand at, mm. */
const centresOf = ([from, to]: readonly [number, number]): number[] => {
  const octaves = Math.log2(to / from);
  const n = Math.max(1, Math.round(AN_OCTAVE * octaves));
  return Array.from({ length: n }, (_, i) => from * 2 ** ((octaves * (i + 0.5)) / n));
};

/** Squared height at a frequency (cycles a mm) of a band's log-Gabor filters, on average over the band: energy an octave. */
export function bandWeight(band: readonly [number, number], frequency: number): number {
  if (frequency <= 0) return 0;
  const centres = centresOf(band);
  return (
    centres.reduce((sum, length) => sum + Math.exp(-((Math.log(frequency * length) / LOG_WIDTH) ** 2)), 0) /
    centres.length
  );
}

/** Every frequency's weight in a band, for a square of a grid. */
export function bandWeights(band: readonly [number, number], size: number, pxPerMm: number): Float64Array {
  const out = new Float64Array(size * size);
  // Weights fall with distance alone: told once for each that occurs.
  const known = new Map<number, number>();
  for (let v = 0; v < size; v++)
    for (let u = 0; u < size; u++) {
      const squared = Math.min(u, size - u) ** 2 + Math.min(v, size - v) ** 2;
      let weight = known.get(squared);
      if (weight === undefined) {
        weight = bandWeight(band, (Math.sqrt(squared) / size) * pxPerMm);
        known.set(squared, weight);
      }
      out[v * size + u] = weight;
    }
  return out;
}

/** A Hann window of n places. */
const hann = (n: number) =>
  Float64Array.from({ length: n }, (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * (i + 0.5)) / n));

/**
 * Energy of a square patch in each band: Σ |F|² w over frequencies, F the transform of the windowed values less their mean,
 * over n²Σh², so that it is the variance that passes. `weight` counts a pixel or not.
 */
export function energiesOf(
  side: number,
  value: (x: number, y: number) => number,
  counts: (x: number, y: number) => boolean,
  weights: readonly Float64Array[],
  size: number,
): { energies: number[]; share: number } {
  const window = hann(side);
  const square: Square = { size, data: new Float64Array(size * size) };
  let [sum, of, all, squares] = [0, 0, 0, 0];
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const h = window[x]! * window[y]!;
      all += h;
      if (!counts(x, y)) continue;
      sum += h * value(x, y);
      of += h;
      squares += h * h;
    }
  const share = of / all;
  if (of === 0) return { energies: weights.map(() => 0), share };
  const mean = sum / of;
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++)
      if (counts(x, y)) square.data[y * size + x] = (value(x, y) - mean) * window[x]! * window[y]!;
  const power = powerOf(square);
  const energies = weights.map((weight) => {
    let energy = 0;
    for (let i = 0; i < weight.length; i++) energy += power.data[i]! * weight[i]!;
    return energy / (size * size * squares);
  });
  return { energies, share };
}

/**
 * Clump contrast K = ln(E[2–16 mm] / E[.5–1.6 mm]): how much of the light's variation is that of clumps beside that of single
 * strands, energy an octave of log-Gabor filters on Hann-windowed patches of 48 mm, what grain alone would read taken off.
 * `edgeMm` is the picture's own 10–90 % rise. Source: methods.md 4.
 */
export function contrastOf(
  { even, spread, hair, log, pxPerMm }: CloseHair,
  edgeMm: number,
  grain: Grain,
): Contrast {
  const none = (trouble: ContrastTrouble): Contrast => ({ value: null, trouble });
  const shortest = BANDS.strands[0];
  if (shortest * pxPerMm < LEAST_PX) return none('too coarse');
  if (passing(edgeMm, shortest) < PASSES) return none('picture soft');
  const side = Math.round(PATCH * pxPerMm);
  const size = powerOfTwo(side);
  const weights = [BANDS.clumps, BANDS.strands].map((band) => bandWeights(band, size, pxPerMm));
  const { width, height } = even;
  const starts = (length: number) => {
    const room = length - side;
    if (room < 0) return [];
    const n = Math.floor(room / (NEXT * pxPerMm)) + 1;
    return Array.from({ length: n }, (_, i) => Math.round(n === 1 ? room / 2 : (room * i) / (n - 1)));
  };
  /** How much of white grain passes a band: the mean of its weights. */
  const white = weights.map((weight) => weight.reduce((a, b) => a + b, 0) / (size * size));
  let [clumps, strands, grained, patches] = [0, 0, 0, 0];
  for (const top of starts(height))
    for (const left of starts(width)) {
      const at = (x: number, y: number) => (top + y) * width + left + x;
      let [within, counted] = [0, 0];
      for (let y = 0; y < side; y += 8)
        for (let x = 0; x < side; x += 8) {
          counted++;
          within += hair.data[at(x, y)]!;
        }
      if (within < 0.7 * counted) continue;
      const { energies, share } = energiesOf(
        side,
        (x, y) => even.data[at(x, y)]!,
        (x, y) => hair.data[at(x, y)] === 1,
        weights,
        size,
      );
      if (share < LEAST_HAIR) continue;
      // What the grain is in this patch's light, over what the patch was divided by.
      const middle = at(side >> 1, side >> 1);
      let [sum, n] = [0, 0];
      for (let y = 0; y < side; y += 8)
        for (let x = 0; x < side; x += 8)
          if (hair.data[at(x, y)]) {
            sum += log.data[at(x, y)]!;
            n++;
          }
      const variance = grain.variance(sum / n) / spread.data[middle]! ** 2;
      clumps += energies[0]! - variance * white[0]!;
      strands += energies[1]!;
      grained += variance * white[1]!;
      patches++;
    }
  if (patches < LEAST_PATCHES) return none('little hair');
  if (clumps <= 0 || grained > MOST_GRAIN * strands) return none('too noisy');
  return { value: Math.log(clumps / (strands - grained)), trouble: null, patches };
}
