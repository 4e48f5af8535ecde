import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random.ts';
import { asPartOf, boxOf, partOf, withRoom } from './box.ts';
import { filled, largestPiece } from './components.ts';
import { dilated, eroded } from './disc.ts';
import { gaussian, slopesOf } from './gaussian.ts';
import type { Mask } from './plane.ts';
import { runsOf } from './runs.ts';

const random = seededRandom(29);
/** A mask of random pixels, `share` of them set. */
const scattered = (width: number, height: number, share: number): Mask => ({
  width,
  height,
  data: Uint8Array.from({ length: width * height }, () => (random.unit() < share ? 1 : 0)),
});
const empty = (width: number, height: number): Mask => scattered(width, height, 0);
/** Shapes at the edges, in the corners, in the middle, ragged, solid, of one line, of one column; and none at all. */
const MASKS: readonly Mask[] = [
  scattered(23, 17, 0.5),
  scattered(23, 17, 0.03),
  scattered(23, 17, 0.97),
  scattered(19, 1, 0.4),
  scattered(1, 19, 0.4),
  empty(9, 7),
  scattered(9, 7, 1),
  asPartOf(scattered(6, 5, 0.8), { left: 0, top: 0, width: 6, height: 5 }, { width: 21, height: 18 }),
  asPartOf(scattered(6, 5, 0.8), { left: 15, top: 13, width: 6, height: 5 }, { width: 21, height: 18 }),
  asPartOf(scattered(6, 5, 0.8), { left: 8, top: 7, width: 6, height: 5 }, { width: 21, height: 18 }),
];

/** Grown by the definition: whatever has a pixel within the disc about it. */
function byDefinition({ width, height, data }: Mask, radius: number, own: 0 | 1): number[] {
  return Array.from(data, (_, i) => {
    const [x, y] = [i % width, Math.floor(i / width)];
    for (let v = 0; v < height; v++)
      for (let u = 0; u < width; u++)
        if (data[v * width + u] === own && (u - x) ** 2 + (v - y) ** 2 <= radius ** 2) return own;
    return 1 - own;
  });
}

describe('masks', () => {
  // Source: Serra (1982), Image Analysis and Mathematical Morphology: dilation and erosion by a structuring element, by their definition.
  it('grow and shrink by a disc as their definition says, at every edge', () => {
    for (const mask of MASKS)
      for (const radius of [0, 1, 1.5, 2.3, 4, 30]) {
        expect([...dilated(mask, radius).data]).toEqual(byDefinition(mask, radius, 1));
        expect([...eroded(mask, radius).data]).toEqual(byDefinition(mask, radius, 0));
      }
  });

  it('have their holes filled, whatever touches an edge left open', () => {
    for (const mask of MASKS) {
      const { width, height, data } = mask;
      // By flooding from the edges, over sides.
      const open = new Set<number>();
      const flood = [...data.keys()].filter((i) => {
        const [x, y] = [i % width, Math.floor(i / width)];
        return x === 0 || y === 0 || x === width - 1 || y === height - 1;
      });
      while (flood.length > 0) {
        const i = flood.pop()!;
        if (data[i] || open.has(i)) continue;
        open.add(i);
        const x = i % width;
        if (x > 0) flood.push(i - 1);
        if (x < width - 1) flood.push(i + 1);
        if (i >= width) flood.push(i - width);
        if (i + width < data.length) flood.push(i + width);
      }
      expect([...filled(mask).data]).toEqual(Array.from(data, (_, i) => (open.has(i) ? 0 : 1)));
    }
  });

  it('give their largest piece, over corners too', () => {
    const rows = ['##..#', '..#.#', '.#..#', '#...#'];
    const mask: Mask = {
      width: 5,
      height: 4,
      data: Uint8Array.from([...rows.join('')], (c) => (c === '#' ? 1 : 0)),
    };
    expect([...largestPiece(mask).data]).toEqual(
      [...['##...', '..#..', '.#...', '#....'].join('')].map((c) => (c === '#' ? 1 : 0)),
    );
    expect([...largestPiece(empty(4, 3)).data]).toEqual(Array(12).fill(0));
  });

  it('are cut to what they hold, and laid back as they were', () => {
    expect(boxOf(empty(5, 5))).toBeNull();
    for (const mask of MASKS) {
      const box = boxOf(mask);
      if (!box) continue;
      for (const room of [0, 1, 3.4, 100]) {
        const at = withRoom(box, room, mask);
        expect([...asPartOf(partOf(mask, at), at, mask).data]).toEqual([...mask.data]);
      }
      expect(partOf(mask, box).data.length).toBeLessThanOrEqual(mask.data.length);
    }
    expect(withRoom({ left: 2, top: 3, width: 4, height: 1 }, 1, { width: 20, height: 4 })).toEqual({
      left: 1,
      top: 2,
      width: 6,
      height: 2,
    });
  });

  it('are their runs', () => {
    for (const mask of MASKS)
      for (const own of [0, 1] as const) {
        const { from, to, lines } = runsOf(mask, own);
        const data = new Uint8Array(mask.data.length).fill(1 - own);
        for (let y = 0; y < mask.height; y++)
          for (let run = lines[y]!; run < lines[y + 1]!; run++)
            data.fill(own, y * mask.width + from[run]!, y * mask.width + to[run]!);
        expect([...data]).toEqual([...mask.data]);
      }
  });
});

describe('a slope', () => {
  it('is that of the whole plane smoothed, at the edges too', () => {
    const [width, height] = [24, 19];
    const plane = { width, height, data: Float32Array.from({ length: width * height }, () => random.unit()) };
    for (const sigma of [0.7, 2.5]) {
      const { data } = gaussian(plane, sigma);
      const slopeAt = slopesOf(plane, sigma);
      for (let y = 1; y + 1 < height; y++)
        for (let x = 1; x + 1 < width; x++) {
          const i = y * width + x;
          const { right, down } = slopeAt(x, y);
          expect(right).toBeCloseTo(data[i + 1]! - data[i - 1]!, 6);
          expect(down).toBeCloseTo(data[i + width]! - data[i - width]!, 6);
        }
    }
  });
});
