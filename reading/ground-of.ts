import { LEDGER } from '@sabor/core/ingredients/ledger/constants';
import type { LedgerPoint } from '@sabor/core/ingredients/ledger/ledger';
import { daysBetween } from '@sabor/core/time/dates';

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
