import { type Design, daysOffered, MOST_DAYS } from './designs.ts';

/** Standard normal quantiles at 0.975 and 0.80. */
const Z_ALPHA = 1.959964;
const Z_POWER = 0.841621;

/** Variance of a difference between two arms, times the wash days and over the noise's variance, in each design. */
function spread(design: Design, arms: number): number {
  if (design === 'half' || design === 'refresh') return 1;
  if (design === 'half-three') return 2;
  return design === 'factorial' ? 4 : 2 * arms;
}

/**
 * About how many wash days a design needs to see a difference of `matters` with 80 % power at α .05, from the standard
 * deviation `sd` between its numbers (half-heads: of left less right), same unit: c·(z + z)²·sd²/matters² with c = 4 for
 * two arms on whole heads, 1 on halves; raised to the next number the design goes with, at least 8; the number itself
 * where it is over what a plan can hold. The normal approximation is a little short for small numbers. Depends on the
 * noise and on what matters, never on the effect seen (methods.md 3). Source: Cohen, Statistical Power Analysis (1988), ch. 2.
 */
export function washDaysNeeded(sd: number, matters: number, design: Design = 'complete', arms = 2): number {
  if (!(sd >= 0) || !(matters > 0))
    throw new RangeError('Needs a standard deviation and a difference that matters.');
  const days = Math.max(8, (spread(design, arms) * (Z_ALPHA + Z_POWER) ** 2 * sd ** 2) / matters ** 2);
  const fits = daysOffered(design, arms).find((offered) => offered >= days - 1e-9);
  return fits ?? Math.max(MOST_DAYS + 1, Math.ceil(days));
}
