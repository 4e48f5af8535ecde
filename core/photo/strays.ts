import { contoursAt } from './contour.ts';
import type { Plane, Point } from './plane.ts';
import { coverageAt, type Outline } from './silhouette.ts';

/** Distances from the outline strands are counted at, mm. Source: methods.md 4. */
export const STRAY_LEVELS = [3, 6, 10, 15] as const;
/** A peak of coverage that counts: its prominence beside noise, and at least; how wide it may be, mm. Source: methods.md 4. */
const PROMINENCE = { noises: 5, least: 0.06 };
const WIDEST = 1.2;
/** Noise of coverage over which single strands are not counted; strands nearer than this are too dense, mm. Source: methods.md 4. */
const MOST_NOISE = 0.02;
const DENSE = 2;
/** A usual strand, mm: how dense they are is told by how much they cover, because those that merge are not counted apart. */
const STRAND = 0.07;
/** A picture that cannot show a hair of this thickness counts none, mm. Source: methods.md 4. */
const THICKEST_UNSEEN = 0.08;
/** A level with less free length says little, mm. Judged. */
const LEAST_LENGTH = 100;

export type StrayTrouble = 'too noisy' | 'too coarse' | 'too dense' | 'little free outline';

export interface StrayLevel {
  /** mm from the outline. */
  at: number;
  crossings: number;
  /** Free length of this level, mm. */
  length: number;
  /** Mean coverage along it. */
  covered: number;
}

export type Strays = {
  /** Thinnest hair this picture can count, mm. */
  thinnest: number;
} & (
  | { value: number; trouble: null; levels: StrayLevel[] }
  | { value: null; trouble: StrayTrouble; levels: StrayLevel[] }
);

/**
 * Places of peaks along evenly spaced values: as prominent as `least` on both sides, and at half of that prominence no
 * wider than `widest` steps.
 */
export function peaksOf(values: readonly number[], least: number, widest: number): number[] {
  const found: number[] = [];
  for (let i = 1; i + 1 < values.length; i++) {
    const top = values[i]!;
    if (!(top > values[i - 1]! && top >= values[i + 1]!)) continue;
    // Down to the lowest value on each side before something higher.
    const lowest = (step: 1 | -1) => {
      let low = top;
      for (let k = i + step; k >= 0 && k < values.length; k += step) {
        const value = values[k]!;
        if (value > top || (value === top && step === -1)) return { low, higher: true };
        low = Math.min(low, value);
      }
      return { low, higher: false };
    };
    const prominence = top - Math.max(lowest(-1).low, lowest(1).low);
    if (prominence < least) continue;
    const half = top - prominence / 2;
    const reach = (step: 1 | -1) => {
      let k = i;
      while (k + step >= 0 && k + step < values.length && values[k + step]! > half) k += step;
      const [inside, beyond] = [values[k]!, values[k + step]];
      return Math.abs(k - i) + (beyond === undefined ? 0 : (inside - half) / (inside - beyond));
    };
    if (reach(-1) + reach(1) <= widest) found.push(i);
  }
  return found;
}

/** Places evenly spaced along a line, `step` apart. */
function evenly(line: readonly Point[], step: number): Point[] {
  const out: Point[] = [];
  let left = 0;
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1]!, line[i]!];
    const long = Math.hypot(b.x - a.x, b.y - a.y);
    let t = left;
    for (; t < long; t += step)
      out.push({ x: a.x + ((b.x - a.x) * t) / long, y: a.y + ((b.y - a.y) * t) / long });
    left = t - long;
  }
  return out;
}

/**
 * Flyaways: crossings of single strands over lines at set distances from the free outline, per 100 mm of those lines.
 * `lights` are the picture's at its full size, `edgeMm` the 10–90 % rise of a sharp edge in it. Crossings, not hairs: a strand
 * may cross twice. `part` narrows to a side. Source: methods.md 4.
 */
export function straysOf(
  outline: Outline,
  lights: readonly Plane[],
  edgeMm: number,
  part: (i: number) => boolean = () => true,
): Strays {
  const { outside, free, scale, left, top, step, noise } = outline;
  const least = Math.max(PROMINENCE.noises * noise, PROMINENCE.least);
  // The peak a hair of thickness t leaves under a normal blur of σ is t / (σ √2π).
  const thinnest = least * Math.sqrt(2 * Math.PI) * (edgeMm / 2.563);
  const none = (trouble: StrayTrouble, levels: StrayLevel[] = []): Strays => ({
    value: null,
    trouble,
    levels,
    thinnest,
  });
  if (noise > MOST_NOISE) return none('too noisy');
  if (thinnest > THICKEST_UNSEEN) return none('too coarse');
  const pxPerMm = scale * step;
  const levels = STRAY_LEVELS.map((at): StrayLevel => {
    let [crossings, length, sum, count] = [0, 0, 0, 0];
    for (const line of contoursAt(outside, at, (i) => free.data[i] === 1 && part(i))) {
      const places = evenly(line, 0.5 / step);
      length += (places.length * 0.5) / pxPerMm;
      const along = places.map(({ x, y }) =>
        coverageAt(outline, lights, (x + left + 0.5) * step - 0.5, (y + top + 0.5) * step - 0.5),
      );
      crossings += peaksOf(along, least, 2 * WIDEST * pxPerMm).length;
      sum += along.reduce((a, b) => a + b, 0);
      count += along.length;
    }
    return { at, crossings, length, covered: count ? sum / count : 0 };
  });
  const counted = levels.filter(({ length }) => length >= LEAST_LENGTH);
  if (counted.length === 0) return none('little free outline', levels);
  if (
    counted.some(
      ({ crossings, length, covered }) => Math.max(crossings / length, covered / STRAND) * DENSE > 1,
    )
  )
    return none('too dense', levels);
  const [crossings, length] = counted.reduce(
    ([n, l], level) => [n + level.crossings, l + level.length],
    [0, 0],
  );
  return { value: (100 * crossings) / length, trouble: null, levels, thinnest };
}
