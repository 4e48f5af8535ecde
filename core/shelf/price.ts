/**
 * Price per 100 ml, in the currency's own unit, from a price and a size in ml.
 * Throws a RangeError for a negative price or a size that is not positive.
 */
export function pricePer100Ml(price: number, sizeMl: number): number {
  if (!(price >= 0)) throw new RangeError('A price cannot be negative.');
  if (!(sizeMl > 0)) throw new RangeError('A size must be more than 0 ml.');
  return (price / sizeMl) * 100;
}

/** What an amount in ml costs, from a bottle's price and size. Throws as {@link pricePer100Ml}. */
export function costOfDose(price: number, sizeMl: number, ml: number): number {
  return (pricePer100Ml(price, sizeMl) * ml) / 100;
}
