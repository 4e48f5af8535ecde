/** Standard normal quantiles at 0.975 and 0.80. */
const Z_ALPHA = 1.959964;
const Z_POWER = 0.841621;

/**
 * About how many wash days two arms need together to see a difference of `matters` with 80 % power at α .05, from the
 * day-to-day standard deviation `sd` (same unit): 4·(z + z)²·sd²/matters², rounded up to an even number, at least 8.
 * The normal approximation is a little short for small numbers. Depends on the noise and on what matters, never on
 * the effect seen (methods.md 3). Source: Cohen, Statistical Power Analysis (1988), ch. 2.
 */
export function washDaysNeeded(sd: number, matters: number): number {
  if (!(sd >= 0) || !(matters > 0))
    throw new RangeError('Needs a standard deviation and a difference that matters.');
  const days = (4 * (Z_ALPHA + Z_POWER) ** 2 * sd ** 2) / matters ** 2;
  return Math.max(8, 2 * Math.ceil(days / 2));
}
