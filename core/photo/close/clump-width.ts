import { openedGrey } from '../grey-disc.ts';
import type { Plane } from '../plane.ts';
import { shrunk } from '../resample.ts';
import type { CloseHair } from './hair.ts';

/** Diameters of the discs, mm, from the smallest on in steps of a quarter octave. Source: methods.md 4. */
const SMALLEST = 1;
const LARGEST = 24;
const STEPS = 4;
/**
 * Pixels the smallest disc of an octave takes: each octave is read on its own grid. Under four none is read: methods.md 4. Of
 * this width no disc has pixels on its rim: a thousandth more or less of scale takes none in or out.
 */
const DISC_PX = 5.2;
/** Refused where more than this lies in the first and last step. Source: methods.md 4. */
const MOST_AT_ENDS = 0.3;
/** What a stripe of known width reads as, over its width: the mean over eleven widths from 1.7 to 9.5 mm, each turned six ways. Ours. */
const STRIPES_READ = 1.095;
const LEAST_AREA = 2000;

export type ClumpTrouble = 'too coarse' | 'little hair' | 'clumps not clear';
export type ClumpWidth =
  | { value: number; trouble: null; spectrum: SpectrumStep[] }
  | { value: null; trouble: ClumpTrouble; spectrum: SpectrumStep[] };

/** How much of the light's variation goes between two discs. */
export interface SpectrumStep {
  /** Middle of the two diameters, mm. */
  width: number;
  /** Share of the whole spectrum. */
  share: number;
}

/** What each step from one disc to the next takes away, bright upon dark; `sign` −1 for dark upon bright. */
function spectrumOf(
  octaves: readonly { plane: Plane; counts: Uint8Array; pxPerMm: number; from: number }[],
  sign: 1 | -1,
) {
  const steps: number[] = [];
  for (const { plane, counts, pxPerMm, from } of octaves) {
    const turned: Plane = { ...plane, data: plane.data.slice() };
    for (let i = 0; i < counts.length; i++)
      turned.data[i] = counts[i] ? sign * turned.data[i]! : Number.POSITIVE_INFINITY;
    const left = (diameter: number) => {
      const { data } = openedGrey(turned, (diameter * pxPerMm) / 2);
      let sum = 0;
      for (let i = 0; i < data.length; i++) if (counts[i]) sum += data[i]!;
      // Every octave's grid has its own number of pixels a square millimetre.
      return sum / pxPerMm ** 2;
    };
    let before = left(from);
    for (let k = 1; k <= STEPS; k++) {
      const diameter = from * 2 ** (k / STEPS);
      if (diameter > LARGEST) break;
      const now = left(diameter);
      steps.push(Math.max(0, before - now));
      before = now;
    }
  }
  return steps;
}

/**
 * Clump width: the median of the mean pattern spectrum of openings (bright clumps) and closings (the dark between them) of
 * even log luminance by discs of 1 to 24 mm, each octave on a grid of its own. Source: methods.md 4; pattern spectrum: Maragos
 * (1989), IEEE Trans. PAMI 11, 701–716.
 */
export function clumpWidthOf({ even, hair, pxPerMm }: CloseHair): ClumpWidth {
  const none = (trouble: ClumpTrouble, spectrum: SpectrumStep[] = []): ClumpWidth => ({
    value: null,
    trouble,
    spectrum,
  });
  if (pxPerMm * SMALLEST < DISC_PX) return none('too coarse');
  let area = 0;
  for (const one of hair.data) area += one;
  if (area / pxPerMm ** 2 < LEAST_AREA) return none('little hair');
  const octaves = Array.from({ length: Math.ceil(Math.log2(LARGEST / SMALLEST)) }, (_, i) => {
    const from = SMALLEST * 2 ** i;
    const by = Math.min(1, DISC_PX / from / pxPerMm);
    const weight = shrunk({ ...even, data: Float32Array.from(hair.data) }, by);
    const plane = shrunk(even, by);
    return {
      plane,
      counts: Uint8Array.from(weight.data, (share) => (share > 0.5 ? 1 : 0)),
      pxPerMm: (pxPerMm * plane.width) / even.width,
      from,
    };
  });
  const [bright, dark] = [spectrumOf(octaves, 1), spectrumOf(octaves, -1)];
  const total = (steps: readonly number[]) => steps.reduce((a, b) => a + b, 0);
  const [ofBright, ofDark] = [total(bright), total(dark)];
  if (ofBright <= 0 || ofDark <= 0) return none('clumps not clear');
  const spectrum = bright.map((value, i) => ({
    width: (SMALLEST * 2 ** ((i + 0.5) / STEPS)) / STRIPES_READ,
    share: (value / ofBright + dark[i]! / ofDark) / 2,
  }));
  if (spectrum[0]!.share + spectrum.at(-1)!.share > MOST_AT_ENDS) return none('clumps not clear', spectrum);
  let at = 0;
  let below = 0;
  while (below + spectrum[at]!.share < 0.5) below += spectrum[at++]!.share;
  // Within the step that holds the middle, evenly over its logarithm.
  const within = (0.5 - below) / spectrum[at]!.share;
  return { value: (SMALLEST * 2 ** ((at + within) / STEPS)) / STRIPES_READ, trouble: null, spectrum };
}
