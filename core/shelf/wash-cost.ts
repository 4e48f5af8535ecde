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
  /** Why the figure is missing or leaves something out. */
  gaps: CostGap[];
}

/** What a cost leaves out: a product without price or size, one whose amount is not known; or currencies that mix. */
export type CostGap = { kind: 'unpriced' | 'unmeasured'; product: string } | { kind: 'currencies' };

/** Every gap once, in order. */
export function gapsOnce(gaps: readonly CostGap[]): CostGap[] {
  const keyOf = (gap: CostGap) => (gap.kind === 'currencies' ? gap.kind : `${gap.kind} ${gap.product}`);
  return [...new Map(gaps.map((gap) => [keyOf(gap), gap])).values()];
}

/** What the products used on one wash day cost, with the spread their doses carry. */
export function washCost(uses: readonly PricedUse[]): WashCost {
  const gaps: CostGap[] = [];
  const cost: Spread = { low: 0, usual: 0, high: 0 };
  const currencies = new Set<string>();
  for (const use of uses) {
    const ml = doseInMl(use.dose, use.sections, use.calibrated);
    if (use.price === null || use.currency === null || use.sizeMl === null) {
      gaps.push({ kind: 'unpriced', product: use.productName });
      continue;
    }
    if (ml === null) {
      gaps.push({ kind: 'unmeasured', product: use.productName });
      continue;
    }
    currencies.add(use.currency);
    for (const end of ['low', 'usual', 'high'] as const)
      cost[end] += costOfDose(use.price, use.sizeMl, ml[end]);
  }
  if (currencies.size > 1) return { cost: null, currency: null, gaps: [{ kind: 'currencies' }] };
  const [currency = null] = currencies;
  return { cost: currency === null ? null : cost, currency, gaps };
}
