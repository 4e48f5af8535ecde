import type { LedgerWashDay } from '@sabor/contract/ingredients';
import type { TrialDetail } from '@sabor/contract/trial';
import type { RunPlan } from '@sabor/core/fairness/run';
import { LEDGER } from '@sabor/core/ingredients/ledger/residue';
import { daysBetween } from '@sabor/core/time/dates';
import { runsOfTrial } from '@sabor/reading/fairness-runs';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { get } from '../http/http.ts';
import { screeningWorker } from '../workers/screening.ts';
import { useHairFile, useOwnIngredients, useSettings, useShelf, useWearer } from './queries.ts';

/** What a head carried when each of its wash days began, by local date, from the build-up ledger. */
function useGround(wearerId: string) {
  const shelf = useShelf();
  const own = useOwnIngredients();
  const { market } = useSettings();
  return useQuery({
    queryKey: ['wearers', wearerId, 'ground', shelf.dataUpdatedAt, own.dataUpdatedAt, market],
    placeholderData: (old, query) => (query?.queryKey[1] === wearerId ? old : undefined),
    enabled: wearerId !== '' && shelf.data !== undefined && own.data !== undefined,
    queryFn: async () => {
      const days = await get<LedgerWashDay[]>(`/wearers/${wearerId}/ledger`);
      const { points } = await screeningWorker().ledger(
        days.map((day) => ({ ...day, planned: false })),
        shelf.data!.products,
        market,
        own.data!,
        [],
        [],
        '',
      );
      return new Map(
        points.map(({ on, before }, i) => {
          const last = points[i - 1];
          const apart = last ? daysBetween(last.on, on) : 0;
          const protein = last ? last.protein * 0.5 ** (apart / LEDGER.proteinHalfLife) : 0;
          return [on, { buildUp: before, protein }] as const;
        }),
      );
    },
  });
}

/** A trial's wash days as the fairness check reads them; null until all that it takes is there. */
export function useRuns(trial: TrialDetail | undefined): RunPlan[] | null {
  const wearerId = trial?.wearerId ?? '';
  const wearer = useWearer(wearerId || 'new');
  const file = useHairFile(wearerId);
  const shelf = useShelf();
  const ground = useGround(wearerId);
  return useMemo(
    () =>
      trial && wearer.data && file.data && shelf.data && (ground.data || ground.isError)
        ? runsOfTrial({
            trial,
            wearer: wearer.data,
            file: file.data,
            shelf: shelf.data.products,
            ground: ground.data ?? new Map(),
          })
        : null,
    [trial, wearer.data, file.data, shelf.data, ground.data, ground.isError],
  );
}
