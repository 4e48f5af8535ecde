import type { DoseRun } from '@sabor/contract/trial';
import { doseRunIn } from '@sabor/core/doses/run-in';
import { useQuery } from '@tanstack/react-query';
import { get } from '../http/http.ts';

/** Those of some products whose dose no run-in has found on this head yet; none until that is known. */
export function useNotAtDose(wearerId: string, productIds: readonly string[]): string[] {
  const runs = useQuery({
    queryKey: ['wearers', wearerId, 'doses'],
    queryFn: () => get<DoseRun[]>(`/wearers/${wearerId}/doses`),
    enabled: wearerId !== '',
  });
  if (!runs.data) return [];
  const found = new Set(
    runs.data
      .filter(({ tried }) => doseRunIn(tried, tried[0]?.amount ?? 1).found !== null)
      .map(({ productId }) => productId),
  );
  return [...new Set(productIds)].filter((id) => !found.has(id));
}
