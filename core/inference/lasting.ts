import type { Design } from '../trial/designs.ts';
import { contrastOf, contrastsOf, type Reckoning, type Sides } from './effects.ts';
import { type Between, restrictedMean, turnbull } from './turnbull.ts';

/** When each day's wear stopped being good, in half-heads each side's; null where a day has none. */
export interface Wears {
  left: readonly (Between | null)[];
  right: readonly (Between | null)[] | null;
}

/** Mean good days up to `upTo` of wears taken together; NaN without one. */
export const meanGoodDays = (wears: readonly Between[], upTo: number): number =>
  wears.length === 0 ? Number.NaN : restrictedMean(turnbull(wears), upTo).middle;

/**
 * Jackknife pseudo-values n·R − (n − 1)·R₋ᵢ of the mean good days R up to `upTo`, in the wears' order: what each adds to the
 * mean of all, whichever arm it was, a wear cut short keeping just what was seen of it. Source: methods.md 6; Andersen, Klein &
 * Rosthøj (2003), Biometrika 90, 15–27.
 */
export function pseudoDays(wears: readonly Between[], upTo: number): number[] {
  const n = wears.length;
  if (n === 1) return [meanGoodDays(wears, upTo)];
  const all = meanGoodDays(wears, upTo);
  const known = new Map<string, number>();
  return wears.map(({ low, high }, i) => {
    const key = `${low} ${high}`;
    if (!known.has(key)) known.set(key, n * all - (n - 1) * meanGoodDays(wears.toSpliced(i, 1), upTo));
    return known.get(key)!;
  });
}

/**
 * The reckoning of a design over mean good days: for each sequence every arm's curve anew, from the wears that would have
 * been its own, censored days keeping their censoring. `values` only say which days count (NaN: not). The effects of half-heads
 * add up to nought, as in {@link reckoningOf}. Source: methods.md 6.
 */
export function lastingReckoning(design: Design, arms: number, wears: Wears, upTo: number): Reckoning {
  const crossed = contrastsOf(design, arms);
  const effects = new Float64Array(arms);
  // Wears seen alike are one kind; a curve hangs on how many of each kind an arm has.
  const kinds: Between[] = [];
  const kindOf = (one: Between | null): number => {
    if (one === null) return -1;
    const at = kinds.findIndex(({ low, high }) => low === one.low && high === one.high);
    return at >= 0 ? at : kinds.push(one) - 1;
  };
  const left = Int16Array.from(wears.left, kindOf);
  const right = wears.right && Int16Array.from(wears.right, kindOf);
  const counts = Array.from({ length: arms }, () => new Uint16Array(kinds.length));
  const known = new Map<string, number>();
  function meanOf(own: Uint16Array): number {
    const key = own.join();
    let found = known.get(key);
    if (found === undefined) {
      found = meanGoodDays(
        kinds.flatMap((kind, k) => new Array<Between>(own[k]!).fill(kind)),
        upTo,
      );
      known.set(key, found);
    }
    return found;
  }

  function of(values: ArrayLike<number>, { days, plus, minus }: Sides, s: number): Float64Array {
    for (const own of counts) own.fill(0);
    for (let day = 0; day < days; day++) {
      if (!(day < values.length) || Number.isNaN(values[day]!)) continue;
      const at = s * days + day;
      if (left[day]! >= 0) counts[plus[at]!]![left[day]!]!++;
      if (right && right[day]! >= 0 && minus[at]! >= 0) counts[minus[at]!]![right[day]!]!++;
    }
    for (let arm = 0; arm < arms; arm++) effects[arm] = meanOf(counts[arm]!);
    if (right) {
      const middle = effects.reduce((sum, effect) => sum + effect, 0) / arms;
      for (let arm = 0; arm < arms; arm++) effects[arm]! -= middle;
    }
    return effects;
  }

  return {
    effects: of,
    statistic(values, sides, s) {
      of(values, sides, s);
      let largest = 0;
      for (const weights of crossed) {
        const value = Math.abs(contrastOf(weights, effects));
        if (Number.isNaN(value)) return Number.NaN;
        if (value > largest) largest = value;
      }
      return largest;
    },
    ofMeans: null,
  };
}
