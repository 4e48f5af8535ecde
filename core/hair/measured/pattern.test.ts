import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shrinkage } from '../shrinkage.ts';
import { readMeasure } from './kinds.ts';
import { coilIndex, curlIndex, eightTypes, readCurl, wavesPer50 } from './pattern.ts';

const curl = { diameterMm: 15, waves: 4, overMm: 120, restingMm: 150, stretchedMm: 280 };

describe('a measured curl', () => {
  it('has its index from its lengths, worked by hand', () => {
    expect(curlIndex(curl)).toBeCloseTo(280 / 150, 10);
    expect(wavesPer50(curl)).toBeCloseTo(1.6667, 4);
    // One wave is 30 mm long: π·15/30 = 1.5708, √(1 + 2.4674) = 1.8621.
    expect(coilIndex(curl)).toBeCloseTo(1.8621, 4);
  });

  it('is a rendered coil measured back: arc length over pitch', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 40, noNaN: true }),
        fc.double({ min: 5, max: 80, noNaN: true }),
        (diameterMm, pitch) => {
          let length = 0;
          const at = (u: number) => [
            (diameterMm / 2) * Math.cos(u),
            (diameterMm / 2) * Math.sin(u),
            (pitch * u) / (2 * Math.PI),
          ];
          const steps = 2000;
          for (let i = 0; i < steps; i++) {
            const [a, b] = [at((2 * Math.PI * i) / steps), at((2 * Math.PI * (i + 1)) / steps)];
            length += Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!, a[2]! - b[2]!);
          }
          expect(coilIndex({ diameterMm, waves: 1, overMm: pitch })).toBeCloseTo(length / pitch, 3);
        },
      ),
    );
  });

  it('says the same as shrinkage: 1 − 1/index', () => {
    expect(shrinkage(280, 150)).toBeCloseTo(1 - 1 / curlIndex(curl), 12);
  });

  it('falls in one of eight types, or between two near a limit', () => {
    const type = (diameterMm: number, index: number) =>
      eightTypes({ ...curl, diameterMm, restingMm: 100, stretchedMm: 100 * index });
    expect(type(150, 1)).toEqual(['I']);
    expect(type(60, 1.1)).toEqual(['II']);
    expect(type(30, 1.3)).toEqual(['III']);
    expect(type(15, 1.9)).toEqual(['IV']);
    expect(type(8, 1.3)).toEqual(['V']);
    expect(type(8, 2.1)).toEqual(['VI']);
    expect(type(6, 3.2)).toEqual(['VII']);
    expect(type(4, 6)).toEqual(['VIII']);
    expect(type(21, 1.3)).toEqual(['III', 'IV']);
    expect(type(6, 2.4)).toEqual(['VI', 'VII']);
  });

  it('is doubted when its measures do not belong to one coil', () => {
    expect(readCurl(curl).doubt).toBe(false);
    expect(readCurl({ ...curl, stretchedMm: 600 }).doubt).toBe(true);
    expect(readMeasure({ kind: 'curl', ...curl, stretchedMm: 600 }).because).toContain(
      'do not belong to one even coil',
    );
  });

  it('is read in words with its standing', () => {
    const { says, because } = readMeasure({ kind: 'curl', ...curl });
    expect(says).toBe('15 mm across, index 1.9, type IV');
    expect(because).toContain('1.7 waves in 50 mm');
    expect(because).toContain('unchecked');
  });

  it('refuses a curl shorter stretched than at rest', () => {
    expect(() => readCurl({ ...curl, stretchedMm: 100 })).toThrow('Check both lengths');
  });
});
