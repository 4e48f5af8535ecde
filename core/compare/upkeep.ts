import { EVENT_KINDS, type EventKind, eventOf } from '../outcomes/events.ts';
import type { TrialRecord } from './trial-record.ts';

/** How often something was done to an arm's hair while worn, or it was said that nothing was needed. */
export interface UpkeepRow {
  kind: EventKind;
  /** Days of an arm on which it was, wash days (or halves) with any, and wash days followed. */
  arms: { days: number; washDays: number; of: number }[];
}

/** What each arm's hair needed while worn: an outcome of the arm, counted, not tested. */
export function upkeepByArm({ promise, washDays }: TrialRecord): UpkeepRow[] {
  return EVENT_KINDS.filter((kind) => ['none', 'care'].includes(eventOf(kind).group)).flatMap((kind) => {
    const arms = promise.arms.map((_, arm) => {
      const own = washDays.filter((day) => day.arm === arm);
      const days = own.map(({ upkeep }) => upkeep[kind] ?? 0);
      return {
        days: days.reduce((a, b) => a + b, 0),
        washDays: days.filter((n) => n > 0).length,
        of: own.length,
      };
    });
    return arms.some(({ days }) => days > 0) ? [{ kind, arms }] : [];
  });
}
