import type { TrialDetail } from '@sabor/contract/trial';
import type { Outcome } from '@sabor/core/outcomes/outcomes';

/** Mean of arm `b` less mean of arm `a` on day 1, by zone id, where both have ratings. */
export function zoneDifferences(
  trial: TrialDetail,
  outcome: Outcome,
  a: string,
  b: string,
): Map<string, number> {
  const sums = new Map<string, Record<string, { sum: number; n: number }>>();
  for (const day of trial.washDayRecords) {
    if (day.status === 'abandoned' || (day.armId !== a && day.armId !== b)) continue;
    const first = day.checkIns.find(({ stage, day: n }) => stage === 'wear' && n === 1);
    for (const rating of first?.ratings ?? []) {
      if (rating.outcome !== outcome || rating.zoneId === null) continue;
      const zone = sums.get(rating.zoneId) ?? {};
      const arm = zone[day.armId] ?? { sum: 0, n: 0 };
      zone[day.armId] = { sum: arm.sum + rating.value, n: arm.n + 1 };
      sums.set(rating.zoneId, zone);
    }
  }
  const differences = new Map<string, number>();
  for (const [zoneId, { [a]: first, [b]: second }] of sums)
    if (first && second) differences.set(zoneId, second.sum / second.n - first.sum / first.n);
  return differences;
}
