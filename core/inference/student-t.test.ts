import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { studentCdf, studentQuantile } from './student-t.ts';

describe('Student’s t', () => {
  /* The printed table of any statistics handbook (upper points of t), from memory. */
  it.each([
    [1, 0.95, 6.314],
    [1, 0.975, 12.706],
    [2, 0.975, 4.303],
    [3, 0.9, 1.638],
    [5, 0.95, 2.015],
    [5, 0.995, 4.032],
    [10, 0.975, 2.228],
    [15, 0.9, 1.341],
    [20, 0.99, 2.528],
    [30, 0.975, 2.042],
    [120, 0.975, 1.98],
  ])('with %d degrees of freedom leaves %d under %d, as printed', (df, p, printed) => {
    expect(studentQuantile(p, df)).toBeCloseTo(printed, 3);
    expect(studentCdf(printed, df)).toBeCloseTo(p, 3);
  });

  it('is Cauchy’s law with one degree of freedom, in closed form', () => {
    for (const t of [-40, -3, -0.2, 0, 0.7, 5, 300])
      expect(studentCdf(t, 1)).toBeCloseTo(0.5 + Math.atan(t) / Math.PI, 12);
  });

  it('has the closed form t/(2√(2+t²)) with two', () => {
    for (const t of [-9, -1, 0, 0.3, 4])
      expect(studentCdf(t, 2)).toBeCloseTo(0.5 + t / (2 * Math.sqrt(2 + t * t)), 12);
  });

  it('is symmetric, rises, and its quantile turns it round', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -30, max: 30, noNaN: true }),
        fc.integer({ min: 1, max: 200 }),
        (t, df) => {
          const p = studentCdf(t, df);
          expect(p + studentCdf(-t, df)).toBeCloseTo(1, 12);
          expect(studentCdf(t + 0.1, df)).toBeGreaterThanOrEqual(p);
          if (p > 1e-6 && p < 1 - 1e-6) expect(studentQuantile(p, df)).toBeCloseTo(t, 5);
        },
      ),
    );
  });

  it('refuses what is no share or no freedom', () => {
    expect(() => studentQuantile(1, 3)).toThrow(RangeError);
    expect(() => studentCdf(0, 0)).toThrow(RangeError);
  });
});
