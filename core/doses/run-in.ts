/** A dose tried on a wash day and what it felt like. Amounts in one measure. */
export interface DoseTried {
  amount: number;
  felt: 'little' | 'right' | 'much';
}

export interface RunIn {
  /** Dose for the next wash day. */
  next: number;
  /** Greatest amount that was too little and least that was too much, as far as known. */
  low: number | null;
  high: number | null;
  /** The dose found, once "right" was confirmed or the bracket is narrow enough. */
  found: number | null;
  says: string;
}

/** Model assumptions of the search, in one place. */
export const RUN_IN = {
  /** Step up or down while only one side of the bracket is known. */
  step: 1.6,
  /** A bracket no wider than this, as high over low, counts as found at its middle. */
  narrow: 1.25,
  /** Two doses within this of each other, as a share, are the same dose; the tolerance of a held dose. */
  same: 0.2,
} as const;

const tidy = (x: number) => Number(x.toPrecision(2));

/**
 * A short adaptive search for a product's dose on one head: doubled-ish up from too little, down from too much, then the
 * geometric middle of the bracket; a dose felt right is tried once more before it counts as found. Answers that
 * contradict each other (more felt too little than what felt too much) are said and the search goes on between them.
 * `start` > 0. A model assumption throughout; common practice has testers halve or double.
 */
export function doseRunIn(tried: readonly DoseTried[], start: number): RunIn {
  if (!(start > 0)) throw new RangeError('It needs an amount to start from.');
  const of = (felt: DoseTried['felt']) =>
    tried.filter((one) => one.felt === felt).map(({ amount }) => amount);
  const [little, right, much] = [of('little'), of('right'), of('much')];
  const low = little.length ? Math.max(...little) : null;
  const high = much.length ? Math.min(...much) : null;
  const base = { low, high };
  const last = right.at(-1);
  if (last !== undefined) {
    const again = right.filter((amount) => Math.abs(amount / last - 1) <= RUN_IN.same + 1e-9);
    if (again.length >= 2) {
      const found = tidy(again.reduce((sum, x) => sum + x, 0) / again.length);
      return { ...base, next: found, found, says: 'Felt right twice: this is its amount on this head.' };
    }
    return { ...base, next: last, found: null, says: 'Felt right once: try the same again to be sure.' };
  }
  if (low !== null && high !== null) {
    const middle = tidy(Math.sqrt(low * high));
    if (low >= high)
      return {
        ...base,
        next: middle,
        found: null,
        says: 'These answers contradict each other: more felt too little than what felt too much. Something else changed; try between.',
      };
    if (high / low <= RUN_IN.narrow + 1e-9)
      return {
        ...base,
        next: middle,
        found: middle,
        says: 'Too little and too much lie close: the middle is its amount.',
      };
    return { ...base, next: middle, found: null, says: 'Between too little and too much.' };
  }
  if (low !== null)
    return { ...base, next: tidy(low * RUN_IN.step), found: null, says: 'More than what was too little.' };
  if (high !== null)
    return { ...base, next: tidy(high / RUN_IN.step), found: null, says: 'Less than what was too much.' };
  return { ...base, next: start, found: null, says: 'Begin with the label’s amount, or your usual one.' };
}
