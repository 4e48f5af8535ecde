import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Side } from '@sabor/core/hair/zones';
import type { Outcome } from '@sabor/core/outcomes/outcomes';

/** Mean of arm `b` less mean of arm `a` on the day that is judged, by zone id, where both have ratings. */
export function zoneDifferences(
  trial: TrialDetail,
  outcome: Outcome,
  a: string,
  b: string,
  sideOf: (zoneId: string) => Side,
): Map<string, number> {
  const sums = new Map<string, Record<string, { sum: number; n: number }>>();
  for (const day of trial.washDayRecords) {
    if (day.status === 'abandoned') continue;
    const judged = day.checkIns.find(({ stage, day: n }) => stage === 'wear' && n === trial.onDay);
    for (const rating of judged?.ratings ?? []) {
      if (rating.outcome !== outcome || rating.zoneId === null) continue;
      const armId = day.rightArmId !== null && sideOf(rating.zoneId) === 'right' ? day.rightArmId : day.armId;
      if (armId !== a && armId !== b) continue;
      const zone = sums.get(rating.zoneId) ?? {};
      const arm = zone[armId] ?? { sum: 0, n: 0 };
      zone[armId] = { sum: arm.sum + rating.value, n: arm.n + 1 };
      sums.set(rating.zoneId, zone);
    }
  }
  const differences = new Map<string, number>();
  for (const [zoneId, { [a]: first, [b]: second }] of sums)
    if (first && second) differences.set(zoneId, second.sum / second.n - first.sum / first.n);
  return differences;
}
