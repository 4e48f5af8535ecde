import { describe, expect, it } from 'vitest';
import { chiSquareCdf, chiSquareQuantile } from './chi-square.ts';
import { sdInterval } from './sd-interval.ts';

describe('chi-square', () => {
  /* Printed tables of chi-square, as in Abramowitz & Stegun table 26.8 and any handbook. */
  it.each([
    [0.95, 1, 3.841],
    [0.975, 3, 9.348],
    [0.025, 3, 0.2158],
    [0.95, 10, 18.307],
    [0.05, 10, 3.94],
    [0.999, 69, 111.055],
    [0.99, 30, 50.892],
  ])('at %d with %d degrees of freedom is %d', (p, df, x) => {
    expect(Math.abs(chiSquareQuantile(p, df) / x - 1)).toBeLessThan(2e-4);
    expect(chiSquareCdf(chiSquareQuantile(p, df), df)).toBeCloseTo(p, 10);
  });

  it('with two degrees of freedom is the exponential', () => {
    for (const x of [0.1, 1, 3, 12]) expect(chiSquareCdf(x, 2)).toBeCloseTo(1 - Math.exp(-x / 2), 12);
    expect(chiSquareCdf(-1, 2)).toBe(0);
    expect(() => chiSquareCdf(1, 0)).toThrow(RangeError);
    expect(() => chiSquareQuantile(1, 3)).toThrow(RangeError);
  });
});

describe('a standard deviation from few wash days', () => {
  it('from four days is uncertain by 0.57 to 3.7 times (methods.md 3)', () => {
    const [low, high] = sdInterval(1, 3);
    expect(low).toBeCloseTo(0.57, 2);
    expect(high).toBeCloseTo(3.73, 2);
  });
});
