import { type Dose, doseInMl, type Spread } from '../doses/dose.ts';
import { costOfDose } from './price.ts';

export interface PricedUse {
  productName: string;
  price: number | null;
  currency: string | null;
  sizeMl: number | null;
  dose: Dose | null;
  sections: number | null;
  /** One of the dose's measure in ml, where this product's was weighed. */
  calibrated?: Spread | null;
}

export interface WashCost {
  /** Null where currencies mix or nothing is priced. */
  cost: Spread | null;
  currency: string | null;
  /** Why the figure is missing or leaves something out, a sentence each. */
  gaps: string[];
}

/** What the products used on one wash day cost, with the spread their doses carry. */
export function washCost(uses: readonly PricedUse[]): WashCost {
  const gaps: string[] = [];
  const cost: Spread = { low: 0, usual: 0, high: 0 };
  const currencies = new Set<string>();
  for (const use of uses) {
    const ml = doseInMl(use.dose, use.sections, use.calibrated);
    if (use.price === null || use.currency === null || use.sizeMl === null) {
      gaps.push(`${use.productName} has no price or size.`);
      continue;
    }
    if (ml === null) {
      gaps.push(`The amount of ${use.productName} is not known.`);
      continue;
    }
    currencies.add(use.currency);
    for (const end of ['low', 'usual', 'high'] as const)
      cost[end] += costOfDose(use.price, use.sizeMl, ml[end]);
  }
  if (currencies.size > 1)
    return { cost: null, currency: null, gaps: ['Prices are in different currencies and are not added up.'] };
  const [currency = null] = currencies;
  return { cost: currency === null ? null : cost, currency, gaps };
}
