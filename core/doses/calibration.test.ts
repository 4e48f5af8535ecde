import fc from 'fast-check';
import jstat from 'jstat';
import { mean, sampleStandardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { calibrate } from './calibration.ts';
import { ballVolumeMl, GOLF_BALL_MM } from './measures.ts';

const { jStat } = jstat;

const TEN = [1.52, 1.47, 1.55, 1.61, 1.44, 1.5, 1.49, 1.58, 1.53, 1.46];

describe('a calibrated measure', () => {
  it('agrees with simple-statistics and jStat on mean, spread and intervals', () => {
    const found = calibrate(TEN)!;
    expect(found.mean).toBeCloseTo(mean(TEN), 12);
    expect(found.sd).toBeCloseTo(sampleStandardDeviation(TEN), 12);
    const t = jStat.studentt.inv(0.975, 9);
    expect(found.ofMean[1]).toBeCloseTo(mean(TEN) + (t * sampleStandardDeviation(TEN)) / Math.sqrt(10), 6);
    expect(found.ofOne[0]).toBeCloseTo(mean(TEN) - t * sampleStandardDeviation(TEN) * Math.sqrt(1.1), 6);
    expect(found.showsHeld).toBe(true);
  });

  /** Source: NIST/SEMATECH e-Handbook of Statistical Methods 1.3.5.2, ZARR13.DAT: mean 9.261460, 95 % limits 9.258242
   * and 9.264679, n 195, standard deviation 0.022789 (from memory); checked by the formula on those summaries. */
  it('gives the handbook’s limits for the mean', () => {
    const t = jStat.studentt.inv(0.975, 194);
    expect(9.26146 + (t * 0.022789) / Math.sqrt(195)).toBeCloseTo(9.264679, 5);
    const half = 0.022789 * Math.sqrt(194 / 195);
    const made = Array.from({ length: 194 }, (_, i) => 9.26146 + (i % 2 ? half : -half)).concat(9.26146);
    const found = calibrate(made)!;
    expect(found.ofMean[0]).toBeCloseTo(9.258242, 4);
    expect(found.ofMean[1]).toBeCloseTo(9.264679, 4);
  });

  it('does not show a dose held when its spread is wide', () => {
    expect(calibrate([1, 2, 1.5, 1.2, 1.9])!.showsHeld).toBe(false);
  });

  it('needs three weights, all of something', () => {
    expect(calibrate([1.5, 1.6])).toBeNull();
    expect(calibrate([1.5, 0, 1.6])).toBeNull();
    expect(calibrate([1.5, Number.NaN, 1.6])).toBeNull();
  });

  it('holds its mean between its limits, narrower for the mean than for one', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.01, max: 100, noNaN: true }), { minLength: 3, maxLength: 20 }),
        (xs) => {
          const { mean: m, ofMean, ofOne } = calibrate(xs)!;
          expect(ofMean[0]).toBeLessThanOrEqual(m);
          expect(ofMean[1]).toBeGreaterThanOrEqual(m);
          expect(ofOne[1] - m).toBeGreaterThanOrEqual(ofMean[1] - m - 1e-12);
        },
      ),
    );
  });
});

describe('the golf ball', () => {
  /** Source: R&A and USGA, Rules of Golf, Equipment Rules part 4: not less than 1.680 in (42.67 mm); 1 in = 25.4 mm
   * exactly (NIST SP 811, B.8). */
  it('has the smallest diameter of the rules and the volume of its sphere', () => {
    expect(GOLF_BALL_MM).toBeCloseTo(1.68 * 25.4, 2);
    expect(ballVolumeMl(GOLF_BALL_MM)).toBeCloseTo(40.68, 2);
  });
});
