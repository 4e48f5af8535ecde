import type { LedgerWashDay } from '@sabor/contract/ingredients';
import type { Product } from '@sabor/contract/shelf';
import type { Market } from '@sabor/core/ingredients/formula';
import { type LedgerDay, runLedger } from '@sabor/core/ingredients/ledger/ledger';
import { residueProfile } from '@sabor/core/ingredients/ledger/residue';
import type { Formulas } from './formulas.ts';
import { type Ground, groundOf } from './ground-of.ts';

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
