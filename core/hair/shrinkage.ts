/**
 * Curl index: stretched ÷ resting length of one curl, 1 for straight hair. Same unit for both lengths.
 * Throws a RangeError for lengths that are not positive or a resting length over the stretched one.
 * Source: methods.md 3 (shrinkage = 1 − 1/curl index: one outcome, not two).
 */
export function curlIndex(stretched: number, resting: number): number {
  if (!(resting > 0 && stretched > 0)) throw new RangeError('Both lengths must be more than 0.');
  if (resting > stretched) throw new RangeError('A curl cannot rest longer than it stretches.');
  return stretched / resting;
}

/** Shrinkage as a share 0…1 of the stretched length. Throws as {@link curlIndex}. */
export function shrinkage(stretched: number, resting: number): number {
  return 1 - 1 / curlIndex(stretched, resting);
}
