import { chiSquareQuantile } from './chi-square.ts';

/**
 * Interval for the standard deviation of normal numbers from an estimate `sd` with `freedom` degrees of freedom: the
 * usual chi-square one. From four wash days (3 degrees) it runs from 0.57 to 3.7 times the estimate (methods.md 3).
 */
export function sdInterval(sd: number, freedom: number, level = 0.95): [number, number] {
  const tail = (1 - level) / 2;
  return [
    sd * Math.sqrt(freedom / chiSquareQuantile(1 - tail, freedom)),
    sd * Math.sqrt(freedom / chiSquareQuantile(tail, freedom)),
  ];
}
