import { describe, expect, it } from 'vitest';
import { type NearPieces, skyOver } from './near-light.ts';

const SIZE = 30;
const STEP = 1;
const PX = 4;

/** Straight strands side by side all down the square, as deep as `depth` says at their place, mm from the middle. */
function strands(depth: (x: number) => number, scale = 1): NearPieces & { at: (x: number) => number } {
  const columns = SIZE * 12;
  const rows = SIZE / STEP;
  const ends = new Float32Array(5 * columns * rows);
  const depths = new Float32Array(columns * rows);
  for (let c = 0, i = 0; c < columns; c++)
    for (let r = 0; r < rows; r++, i++) {
      const x = (c + 0.5) / 12;
      ends.set([x * scale, r * STEP * scale, x * scale, (r + 1) * STEP * scale, 0.05 * scale], 5 * i);
      depths[i] = depth(x - SIZE / 2);
    }
  /** The piece in the middle of the square's height, so far from its middle. */
  const at = (x: number) => Math.floor((x + SIZE / 2) * 12) * rows + rows / 2;
  return { count: depths.length, ends, depths, at };
}
const skyAt = (depth: (x: number) => number, x = 0, scale = 1) => {
  const hair = strands(depth, scale);
  return skyOver(hair, SIZE, SIZE, scale)[hair.at(x)]!;
};

describe('how much of the sky a strand sees', () => {
  it('is all of it where nothing lies before it, whatever the picture’s scale', () => {
    expect(skyAt(() => 0)).toBeCloseTo(1, 6);
    expect(skyAt(() => -3, 0, PX)).toBeCloseTo(1, 6);
  });

  // Source: the view factor from the middle of an endless trench's floor to the sky, w / √(w² + h²), w half its width and h its
  // depth (two-dimensional view factors: Hottel 1954, crossed strings; from memory). Eight ways and five distances come near it; nothing
  // over 5 mm off stands in the light, so a deep trench is .15 too light.
  it.each([
    [2.4, 1],
    [2.4, 2.4],
    [1.2, 1.2],
    [1.2, 3],
    [2.4, 6],
  ])('from the floor of a trench %f mm to either side and %f mm deep is its view factor', (w, h) => {
    const seen = skyAt((x) => (Math.abs(x) < w ? -h : 0));
    expect(Math.abs(seen - w / Math.hypot(w, h))).toBeLessThan(0.16);
    expect(skyAt((x) => (Math.abs(x) < w ? -h : 0), 0, PX)).toBeCloseTo(seen, 6);
  });

  it('is more on the brink than at the foot, and none under other hair', () => {
    const step = (x: number) => (x < 0 ? 0 : -2);
    expect(skyAt(step, -0.5)).toBeCloseTo(1, 6);
    expect(skyAt(step, 0.5)).toBeLessThan(skyAt(step, 3));
    const { ends, depths, count, at } = strands(() => 0);
    // The same hair once more, a millimetre behind.
    const two = {
      count: 2 * count,
      ends: Float32Array.from([...ends, ...ends]),
      depths: Float32Array.from([...depths, ...depths.map((depth) => depth - 1)]),
    };
    const sky = skyOver(two, SIZE, SIZE, 1);
    expect(sky[at(0)]).toBeCloseTo(1, 6);
    expect(sky[count + at(0)]).toBe(0);
  });
});
