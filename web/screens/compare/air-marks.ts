import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { dayOfWear, wearDate } from '@sabor/core/outcomes/day-of-wear';
import { armsOfDay } from '../../drawings/arms-of-day.ts';
import type { AirMark } from '../../drawings/wear-curve.tsx';

const mean = (values: readonly number[]) =>
  values.length ? values.reduce((sum, x) => sum + x, 0) / values.length : null;

/** The weather of each day of wear by arm: the mean dew point over its wash days, and the strongest wind of any. */
export function airMarks(trial: TrialDetail, wearer: Wearer): AirMark[] {
  const met = new Map<string, { day: number; arm: number; dews: number[]; winds: number[] }>();
  for (const washDay of trial.washDayRecords) {
    if (washDay.status === 'abandoned' || washDay.revealAt === null) continue;
    const revealed = wearDate(washDay.revealAt, wearer.timeZone);
    const arms = armsOfDay(trial, washDay);
    for (const [{ on, air }, arm] of washDay.days.flatMap((one) => arms.map((arm) => [one, arm] as const))) {
      const day = dayOfWear(revealed, on);
      if (day === null || air === null) continue;
      const key = `${day} ${arm}`;
      const mark = met.get(key) ?? { day, arm, dews: [], winds: [] };
      if (air.dewPointC !== null) mark.dews.push(air.dewPointC);
      if (air.windMs !== null) mark.winds.push(air.windMs);
      met.set(key, mark);
    }
  }
  return [...met.values()]
    .map(({ day, arm, dews, winds }) => ({
      day,
      arm,
      dewPointC: mean(dews),
      windMs: winds.length ? Math.max(...winds) : null,
    }))
    .sort((a, b) => a.day - b.day || a.arm - b.arm);
}
