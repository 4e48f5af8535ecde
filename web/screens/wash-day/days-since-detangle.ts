import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import { DAY_MS } from '@sabor/core/time/day';

/** Whole days since an earlier wash day of this trial on which the hair was detangled; null where there is none. */
export function daysSinceDetangle(day: WashDay, trial: Pick<TrialDetail, 'washDayRecords'>): number | null {
  const last = trial.washDayRecords
    .filter(
      ({ id, startedAt, steps }) =>
        id !== day.id &&
        startedAt < day.startedAt &&
        steps.some(({ slot, status }) => slot === 'detangle' && status === 'done'),
    )
    .map(({ startedAt }) => Date.parse(startedAt))
    .sort((a, b) => a - b)
    .at(-1);
  return last === undefined ? null : Math.max(1, Math.round((Date.parse(day.startedAt) - last) / DAY_MS));
}
