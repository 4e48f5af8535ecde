import type { TrialDetail } from '@sabor/contract/trial-record';
import type { RunPlan } from '@sabor/core/fairness/run';
import { runsOfTrial } from '@sabor/reading/fairness-runs';
import { groundOf } from '@sabor/reading/ground-of';
import { useDeferredValue, useMemo } from 'react';
import { screeningWorker } from '../workers/screening.ts';
import { useHairFile, useLedger, useOwnIngredients, useSettings, useShelf, useWearer } from './queries.ts';
import { useWorked } from './worked.ts';

/** What a head carried when each of its wash days began, by local date, from the build-up ledger. */
export function useGround(wearerId: string) {
  const shelf = useShelf();
  const own = useOwnIngredients();
  const { market } = useSettings();
  const ledger = useLedger(wearerId);
  const { data: days, isError } = ledger;
  const worked = useWorked(
    'ground',
    days && shelf.data && own.data ? [days, shelf.data, own.data, market] : null,
    async () => {
      const { points } = await screeningWorker().ledger(
        days!.map((day) => ({ ...day, planned: false })),
        shelf.data!.products,
        market,
        own.data!,
        [],
        [],
        '',
      );
      return groundOf(points);
    },
    wearerId,
  );
  return { data: worked.data, isError: isError || worked.isError };
}

/** A trial's wash days as the fairness check reads them; null until all that it takes is there. */
export function useRuns(trial: TrialDetail | undefined): RunPlan[] | null {
  const wearerId = trial?.wearerId ?? '';
  const wearer = useWearer(wearerId || 'new');
  const file = useHairFile(wearerId);
  const shelf = useShelf();
  const ground = useGround(wearerId);
  const given = useMemo(
    () =>
      trial && wearer.data && file.data && shelf.data && (ground.data || ground.isError)
        ? {
            trial,
            wearer: wearer.data,
            file: file.data,
            shelf: shelf.data.products,
            ground: ground.data ?? new Map(),
          }
        : null,
    [trial, wearer.data, file.data, shelf.data, ground.data, ground.isError],
  );
  // In a task of its own, after what the last answer changed is on the page.
  const settled = useDeferredValue(given, null);
  return useMemo(() => settled && runsOfTrial(settled), [settled]);
}
