import { calibratedSpread } from '../doses/calibration.ts';
import { type Dose, doseInMl, type Spread } from '../doses/dose.ts';
import type { Measure } from '../doses/measures.ts';

/** One of a product's measure in ml, as its own weighing has it; null where it was never weighed. */
export type Weighed = (productId: string | null, measure: Measure) => Spread | null;

/** Nothing was weighed. */
export const NEVER_WEIGHED: Weighed = () => null;

/** Look-up of what weighing says of each product's measures. Every reader of a dose takes it, so that all say the same. */
export function weighedBy(
  products: Iterable<{
    id: string;
    calibrations?: readonly { measure: Measure; grams: readonly number[] }[];
  }>,
): Weighed {
  const spreads = new Map<string, Spread | null>();
  for (const { id, calibrations = [] } of products)
    for (const { measure, grams } of calibrations) spreads.set(`${id} ${measure}`, calibratedSpread(grams));
  return (productId, measure) =>
    productId === null ? null : (spreads.get(`${productId} ${measure}`) ?? null);
}

/** What a product's weighing says of the measure a dose is given in. */
export const calibratedFor = (
  weighed: Weighed,
  productId: string | null,
  dose: Dose | null,
): Spread | null => (dose === null || dose.kind === 'unknown' ? null : weighed(productId, dose.measure));

/** A dose's usual grams for the whole head, one gram to the millilitre; null when it is not known. */
export const doseGrams = (
  weighed: Weighed,
  productId: string | null,
  dose: Dose | null,
  sections: number | null,
): number | null => doseInMl(dose, sections, calibratedFor(weighed, productId, dose))?.usual ?? null;
