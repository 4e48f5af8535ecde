import { gaussian } from '../gaussian.ts';
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
/**
 * What is smoothed off first, standard deviation, mm: strands. Else the middle of the spectrum follows their texture, and in
 * drawn hair lit by its depth narrow clumps that hold together read wider than wide ones. Ours, on drawn hair of tuning seeds.
 */
const STRANDS = 0.4;
/** Smoothing before a grid is halved, pixels. Source: about that of the kernel in Burt & Adelson (1983), IEEE Trans. Comm. 31, 532–540. */
const HALVED = 0.9;
/** Refused where more than this lies in the first and last step. Source: methods.md 4. */
const MOST_AT_ENDS = 0.3;
/**
 * What a stripe of known width reads as: so much over its width, what smoothing widens taken off first, mm; fitted to eleven
 * widths from 1.7 to 9.5 mm, each turned six ways. Ours.
 */
const STRIPES_READ = { over: 1.155, wider: 0.2 };
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

/** How wide stripes are that so many octaves over the smallest disc take away, mm. */
const widthOf = (octaves: number) => (SMALLEST * 2 ** octaves - STRIPES_READ.wider) / STRIPES_READ.over;

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
 * even log luminance, strands smoothed off, by discs of 1 to 24 mm, each octave on half the grid of the one before. Source:
 * methods.md 4; pattern spectrum: Maragos (1989), IEEE Trans. PAMI 11, 701–716; halved grids: Burt & Adelson (1983).
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
  const finest = Math.min(1, DISC_PX / SMALLEST / pxPerMm);
  let share = shrunk({ ...even, data: Float32Array.from(hair.data) }, finest);
  // Sums of light and of hair are smoothed alike, so that their quotient is the light of hair alone.
  let [light, about] = [shrunk(even, finest), share];
  const scale = () => (pxPerMm * light.width) / even.width;
  const smooth = (sigma: number) => {
    light = gaussian(light, sigma);
    about = gaussian(about, sigma);
  };
  smooth(STRANDS * scale());
  const octaves = Array.from({ length: Math.ceil(Math.log2(LARGEST / SMALLEST)) }, (_, i) => {
    if (i > 0) {
      // What the coarser grid cannot hold is smoothed off first, else it beats with it.
      smooth(HALVED);
      [light, about, share] = [shrunk(light, 0.5), shrunk(about, 0.5), shrunk(share, 0.5)];
    }
    const plane = { ...light, data: light.data.map((sum, k) => sum / Math.max(0.1, about.data[k]!)) };
    const counts = Uint8Array.from(share.data, (one) => (one > 0.5 ? 1 : 0));
    return { plane, counts, pxPerMm: scale(), from: SMALLEST * 2 ** i };
  });
  const [bright, dark] = [spectrumOf(octaves, 1), spectrumOf(octaves, -1)];
  const total = (steps: readonly number[]) => steps.reduce((a, b) => a + b, 0);
  const [ofBright, ofDark] = [total(bright), total(dark)];
  if (ofBright <= 0 || ofDark <= 0) return none('clumps not clear');
  const spectrum = bright.map((value, i) => ({
    width: widthOf((i + 0.5) / STEPS),
    share: (value / ofBright + dark[i]! / ofDark) / 2,
  }));
  if (spectrum[0]!.share + spectrum.at(-1)!.share > MOST_AT_ENDS) return none('clumps not clear', spectrum);
  let at = 0;
  let below = 0;
  while (below + spectrum[at]!.share < 0.5) below += spectrum[at++]!.share;
  // Within the step that holds the middle, evenly over its logarithm.
  const within = (0.5 - below) / spectrum[at]!.share;
  return { value: widthOf((at + within) / STEPS), trouble: null, spectrum };
}
