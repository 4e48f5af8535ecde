import { doseRunIn } from '@sabor/core/doses/run-in';
import { useDoseRuns } from './queries.ts';

/** Those of some products whose dose no run-in has found on this head yet; none until that is known. */
export function useNotAtDose(wearerId: string, productIds: readonly string[]): string[] {
  const runs = useDoseRuns(wearerId);
  if (!runs.data) return [];
  const found = new Set(
    runs.data
      .filter(({ tried }) => doseRunIn(tried, tried[0]?.amount ?? 1).found !== null)
      .map(({ productId }) => productId),
  );
  return [...new Set(productIds)].filter((id) => !found.has(id));
}
