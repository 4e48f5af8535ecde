import type { Sides } from './effects.ts';

/** Days that one look-up answers for: a byte of them. */
const BYTE = 8;
const CODES = 1 << BYTE;

/** Sequences of two arms as bits, a byte for eight days: set where the second arm's number is added to. */
export interface PackedArms {
  count: number;
  days: number;
  bytes: number;
  codes: Uint8Array;
}

const kept = new WeakMap<Int8Array, PackedArms>();

/** The sequences of a set of two arms, packed once for all that ask. */
export function packedArms({ count, days, plus }: Sides): PackedArms {
  const found = kept.get(plus);
  if (found) return found;
  const bytes = Math.ceil(days / BYTE);
  const codes = new Uint8Array(count * bytes);
  for (let s = 0; s < count; s++)
    for (let day = 0; day < days; day++)
      if (plus[s * days + day] === 1) codes[s * bytes + (day >> 3)]! |= 1 << (day & 7);
  const packed = { count, days, bytes, codes };
  kept.set(plus, packed);
  return packed;
}

/**
 * How many sequences set the means of two arms at least `bound` apart, one that leaves an arm without a number among
 * them; stops once over `most`. The sums of any eight days are made once, so that a sequence costs a look-up a byte. NaN in
 * `values` is a day without a number. Checked against the plain reckoning.
 */
export function apartAtLeast(
  values: ArrayLike<number>,
  { count, days, bytes, codes }: PackedArms,
  bound: number,
  most: number,
): number {
  const sums = new Float64Array(bytes * CODES);
  const numbers = new Uint8Array(bytes * CODES);
  let [total, n] = [0, 0];
  for (let byte = 0; byte < bytes; byte++)
    for (let bit = 0; bit < BYTE; bit++) {
      const day = byte * BYTE + bit;
      const missing = day >= days || Number.isNaN(values[day]!);
      const value = missing ? 0 : values[day]!;
      total += value;
      n += missing ? 0 : 1;
      const from = byte * CODES;
      for (let code = 1 << bit, rest = 0; code < 2 << bit; code++, rest++) {
        sums[from + code] = sums[from + rest]! + value;
        numbers[from + code] = numbers[from + rest]! + (missing ? 0 : 1);
      }
    }
  let found = 0;
  for (let s = 0, at = 0; s < count; s++) {
    let [sum, second] = [0, 0];
    for (let byte = 0; byte < bytes; byte++, at++) {
      const of = byte * CODES + codes[at]!;
      sum += sums[of]!;
      second += numbers[of]!;
    }
    const apart = Math.abs(sum / second - (total - sum) / (n - second));
    if (!(apart < bound) && ++found > most) break;
  }
  return found;
}
