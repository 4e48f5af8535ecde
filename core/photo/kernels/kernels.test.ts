import { afterEach, describe, expect, it, vi } from 'vitest';
import { seededRandom } from '../../random.ts';
import { distanceTo } from '../distance.ts';
import { gaussian, gaussianWeights, smoothedPlainly } from '../gaussian.ts';
import type { Plane } from '../plane.ts';
import { kernelsWith } from './kernels.ts';

const noise = (width: number, height: number): Plane => {
  const random = seededRandom(width * 1000 + height);
  return { width, height, data: Float32Array.from({ length: width * height }, () => random.unit()) };
};

afterEach(() => {
  vi.unstubAllGlobals();
});

describe('what is reckoned four numbers at a time', () => {
  it.each([
    [1, 1, 0.45],
    [1, 9, 2],
    [3, 2, 4],
    [15, 40, 0.6],
    [16, 16, 1],
    [17, 33, 2.3],
    [64, 5, 8],
    [130, 90, 30],
  ])('smooths a plane of %i × %i by %d px as reckoning in double precision does', (width, height, sigma) => {
    const plane = noise(width, height);
    const plain = smoothedPlainly(plane, gaussianWeights(sigma));
    gaussian(plane, sigma).data.forEach((value, i) => {
      expect(Math.abs(value - plain.data[i]!)).toBeLessThan(1e-6);
    });
  });

  it('keeps no more memory than a usual picture takes', () => {
    expect(kernelsWith(100 * 2 ** 20)!.memory.buffer.byteLength).toBeGreaterThanOrEqual(100 * 2 ** 20);
    expect(kernelsWith(1000)!.memory.buffer.byteLength).toBeLessThan(2 ** 20);
    expect(kernelsWith(3 * 2 ** 20)!.memory.buffer.byteLength).toBeGreaterThanOrEqual(3 * 2 ** 20);
  });

  it('is done without where there is no such room, and with it again where there is', () => {
    expect(kernelsWith(2 ** 40)).toBeNull();
    expect(kernelsWith(1000)).not.toBeNull();
  });

  it('is done without where a machine or a page’s policy has no WebAssembly', () => {
    class Refused {
      constructor() {
        throw new Error('refused by the policy');
      }
    }
    const random = seededRandom(5);
    const few = {
      width: 20,
      height: 12,
      data: Uint8Array.from({ length: 240 }, () => (random.unit() < 0.05 ? 1 : 0)),
    };
    const nearest = [new Int32Array(240), new Int32Array(240)] as const;
    const distances = distanceTo(few, nearest[1]);
    const plane = noise(20, 12);
    for (const engine of [undefined, { Module: Refused }]) {
      vi.stubGlobal('WebAssembly', engine);
      expect(kernelsWith(1000)).toBeNull();
      nearest[0].fill(0);
      expect(distanceTo(few, nearest[0])).toEqual(distances);
      expect(nearest[0]).toEqual(nearest[1]);
      expect(gaussian(plane, 1.5).data).toEqual(smoothedPlainly(plane, gaussianWeights(1.5)).data);
    }
  });
});
