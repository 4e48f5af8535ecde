import type { KeyOf } from '../vocabulary.ts';
import { MEASURES, type Measure } from './measures.ts';

/** How well a dose is known. A range and "don't remember" are data too. */
export const DOSE_KINDS = {
  exact: { label: 'this much' },
  range: { label: 'from – to' },
  unknown: { label: 'don’t remember' },
} as const;
export type DoseKind = KeyOf<typeof DOSE_KINDS>;

export const DOSE_SCOPES = {
  head: { label: 'whole head' },
  section: { label: 'per section' },
} as const;
export type DoseScope = KeyOf<typeof DOSE_SCOPES>;

export type Dose =
  | { kind: 'exact'; amount: number; measure: Measure; per: DoseScope }
  | { kind: 'range'; from: number; to: number; measure: Measure; per: DoseScope }
  | { kind: 'unknown' };

export interface Spread {
  low: number;
  usual: number;
  high: number;
}

/** How many of its measure a dose is, the middle of a range; null when it is not known. */
export const amountOf = (dose: Dose | null): number | null =>
  dose === null || dose.kind === 'unknown'
    ? null
    : dose.kind === 'exact'
      ? dose.amount
      : (dose.from + dose.to) / 2;

/** So many times a dose; what is not known stays so. */
export function timesDose(dose: Dose | null, by: number): Dose | null {
  if (dose === null || dose.kind === 'unknown') return dose;
  return dose.kind === 'exact'
    ? { ...dose, amount: dose.amount * by }
    : { ...dose, from: dose.from * by, to: dose.to * by };
}

/**
 * A dose in ml of product for the whole head (`calibrated`: one measure as this product’s own weighing has it), with its spread; null when it is not known, or is per section and the
 * number of sections is not.
 */
export function doseInMl(
  dose: Dose | null,
  sections: number | null,
  calibrated: Spread | null = null,
): Spread | null {
  if (dose === null || dose.kind === 'unknown') return null;
  const times = dose.per === 'head' ? 1 : sections;
  if (times === null) return null;
  const one = calibrated ?? MEASURES[dose.measure];
  const [from, to] = dose.kind === 'exact' ? [dose.amount, dose.amount] : [dose.from, dose.to];
  return {
    low: from * one.low * times,
    usual: ((from + to) / 2) * one.usual * times,
    high: to * one.high * times,
  };
}

/** A dose in its setting; `calibrated` is one of its measure in ml, where this product's was weighed. */
export interface Dosed {
  dose: Dose | null;
  sections: number | null;
  calibrated?: Spread | null;
}

/** Tolerance within which a held dose counts as held. Source: methods and trade pages (± 20 %), common practice. */
export const DOSE_TOLERANCE = 0.2;

/**
 * Whether a dose was held within a tolerance of the planned one, ± 20 % by default. "cannot show" when a measure's spread is wider than the
 * tolerance or an amount is unknown, though the same count of the same measure counts as held.
 */
export function doseHeld(
  planned: Dosed,
  actual: Dosed,
  tolerance = DOSE_TOLERANCE,
): 'held' | 'departed' | 'cannot show' {
  if (planned.dose === null && actual.dose === null) return 'held';
  if (
    planned.dose?.kind === 'exact' &&
    actual.dose?.kind === 'exact' &&
    planned.dose.measure === actual.dose.measure &&
    planned.dose.per === actual.dose.per &&
    (planned.dose.per === 'head' || planned.sections === actual.sections)
  )
    return Math.abs(actual.dose.amount / planned.dose.amount - 1) <= tolerance + 1e-9 ? 'held' : 'departed';
  const plan = doseInMl(planned.dose, planned.sections, planned.calibrated);
  const used = doseInMl(actual.dose, actual.sections, actual.calibrated);
  if (plan === null || used === null) return 'cannot show';
  const lowest = plan.usual * (1 - tolerance) - 1e-9;
  const highest = plan.usual * (1 + tolerance) + 1e-9;
  if (used.low >= lowest && used.high <= highest) return 'held';
  if (used.high < lowest || used.low > highest) return 'departed';
  return 'cannot show';
}
