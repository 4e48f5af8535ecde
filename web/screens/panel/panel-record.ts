import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { lastingMain } from '@sabor/core/compare/lasting-main';
import { mainResult } from '@sabor/core/compare/main-result';
import { outcomeByDay } from '@sabor/core/compare/wash-day-record';
import { wearsOf } from '@sabor/core/compare/wear';
import { toTrialRecord } from '@sabor/reading/trial-record';

/** A panel's trials as its test reads them: which arm fell to which wash day of each head, and the number it gave. */
export function panelRecord(
  trials: readonly TrialDetail[],
  wearers: readonly Wearer[],
): { rows: number[][]; values: (number | null)[][] } {
  const rows: number[][] = [];
  const values: (number | null)[][] = [];
  for (const trial of trials) {
    const arms = trial.allocation.map((lot) => trial.arms.findIndex(({ id }) => id === lot?.left));
    const wearer = wearers.find(({ id }) => id === trial.wearerId);
    const record = wearer && toTrialRecord(trial, [], wearer);
    const days = record?.washDays ?? [];
    const good = record && mainResult(trial.primary).lasting && lastingMain(record, null, wearsOf(record));
    const weights = new Map(trial.weights.map(({ zoneId, weight }) => [zoneId, weight]));
    rows.push(arms);
    values.push(
      arms.map((_, position) => {
        if (good) return good.contrast.byWashDay.find((one) => one.position === position)?.value ?? null;
        const day = days.find((one) => one.position === position);
        const seen = day && outcomeByDay(day, trial.primary, weights).find((one) => one.day === trial.onDay);
        return seen?.value ?? null;
      }),
    );
  }
  return { rows, values };
}
