export interface DayValue {
  /** Day of wear, 1 is the reveal. */
  day: number;
  value: number;
}

/** When one wear stopped being good: after day `from`, by day `to`. */
export interface GoodDays {
  /** Last day seen good before the first that was not; 0 when it was not good even on the first day looked at. */
  from: number;
  /** First day seen not good, or the day it was washed or restyled for its looks; null where the end was never seen. */
  to: number | null;
  /** What told the end: a look at the hair, or the wash (or restyle). Null where it was never seen. */
  toldBy: 'look' | 'wash' | null;
  /** It was good again on a later look. */
  recovered: boolean;
}

/** Whether a value is good enough, whichever way the scale runs. */
export const goodEnough = (value: number, limit: number, better: 'higher' | 'lower'): boolean =>
  better === 'higher' ? value >= limit : value <= limit;

/**
 * How long an outcome stayed good enough for the wearer: the end lies in (from, to]. The first look that is not good
 * counts, a later recovery is told beside it; not good on the first look ends it at 0. `washedOn` is the day of wear of
 * a wash or full restyle for looks or itch, which ends it between the last good look and that day; null where the wear
 * ended otherwise, and is then cut at the last look. Throws a RangeError without a single value. Source: methods.md 6.
 */
export function goodDays(
  values: readonly DayValue[],
  limit: number,
  better: 'higher' | 'lower',
  washedOn: number | null,
): GoodDays {
  if (values.length === 0) throw new RangeError('Longevity needs at least one check-in.');
  const days = [...values].sort((a, b) => a.day - b.day);
  const failed = days.findIndex(({ value }) => !goodEnough(value, limit, better));
  const last = failed === -1 ? days.at(-1)!.day : (days[failed - 1]?.day ?? 0);
  if (failed !== -1)
    return {
      from: last,
      to: last === 0 ? 0 : days[failed]!.day,
      toldBy: 'look',
      recovered: days.slice(failed).some(({ value }) => goodEnough(value, limit, better)),
    };
  const to = washedOn === null ? null : Math.max(washedOn, last);
  return { from: last, to, toldBy: to === null ? null : 'wash', recovered: false };
}
