import type { LedgerWashDay } from '@sabor/contract/ingredients';
import type { Product } from '@sabor/contract/shelf';
import type { Market } from '@sabor/core/ingredients/formula';
import { type LedgerDay, type LedgerPoint, runLedger } from '@sabor/core/ingredients/ledger/ledger';
import { LEDGER, residueProfile } from '@sabor/core/ingredients/ledger/residue';
import { daysBetween } from '@sabor/core/time/dates';
import type { Formulas } from './formulas.ts';

/** Wash days as the build-up ledger takes them: each product by what its list leaves behind. */
export function ledgerDays(
  days: readonly (LedgerWashDay & { planned: boolean })[],
  products: readonly Product[],
  market: Market,
  formulas: Formulas,
): LedgerDay[] {
  const used = new Set(days.flatMap(({ steps }) => steps.map(({ productId }) => productId)));
  const profiles = new Map(
    products
      .filter(({ id }) => used.has(id))
      .map((product) => [product.id, residueProfile(formulas.of(product, market))]),
  );
  return days.map(({ on, steps, planned }) => ({
    on,
    planned,
    steps: steps.flatMap(({ productId, grams }) => {
      const profile = profiles.get(productId);
      return profile ? [{ profile, grams }] : [];
    }),
  }));
}

/** What the hair carried when a wash day began, by its local date. */
export type Ground = ReadonlyMap<string, { buildUp: number; protein: number }>;

/** The ground of each wash day, by a ledger's points in the order of their dates. */
export const groundOf = (points: readonly LedgerPoint[]): Ground =>
  new Map(
    points.map(({ on, before }, i) => {
      const last = points[i - 1];
      const apart = last ? daysBetween(last.on, on) : 0;
      const protein = last ? last.protein * 0.5 ** (apart / LEDGER.proteinHalfLife) : 0;
      return [on, { buildUp: before, protein }] as const;
    }),
  );

/** The ground of a head's wash days, from its ledger. */
export const groundOfDays = (
  days: readonly LedgerWashDay[],
  products: readonly Product[],
  market: Market,
  formulas: Formulas,
): Ground =>
  groundOf(
    runLedger(
      ledgerDays(
        days.map((day) => ({ ...day, planned: false })),
        products,
        market,
        formulas,
      ),
    ),
  );
