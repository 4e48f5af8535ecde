import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { dayOfWear, wearDate } from '@sabor/core/outcomes/day-of-wear';
import { eventOf } from '@sabor/core/outcomes/events';
import { happened } from '@sabor/reading/looks-of';
import { sidesOf } from '@sabor/reading/side-of';
import { armsOfDay } from '../../drawings/arms-of-day.ts';
import type { NightMark } from '../../drawings/wear-curve.tsx';

/** What was done to hair and happened to it while worn, counted by day and the arm it was on. */
export function nightMarks(trial: TrialDetail, wearer: Wearer): NightMark[] {
  const marks = new Map<string, NightMark>();
  const sideOf = sidesOf(wearer);
  for (const day of trial.washDayRecords) {
    if (day.status === 'abandoned' || day.revealAt === null) continue;
    const arms = armsOfDay(trial, day);
    const at = (zoneIds: readonly string[]) =>
      arms.filter(
        (_, half) =>
          arms.length === 1 ||
          zoneIds.length === 0 ||
          zoneIds.some((zone) => sideOf(zone) !== (half === 0 ? 'right' : 'left')),
      );
    const told = happened(day).filter(({ kind }) => eventOf(kind).group !== 'none');
    for (const [event, arm] of told.flatMap((one) => at(one.zoneIds).map((arm) => [one, arm] as const))) {
      const n = dayOfWear(wearDate(day.revealAt, wearer.timeZone), event.on);
      if (n === null) continue;
      const key = `${n} ${arm} ${event.kind}`;
      const old = marks.get(key);
      marks.set(key, { day: n, arm, kind: event.kind, times: (old?.times ?? 0) + 1 });
    }
  }
  return [...marks.values()].sort((a, b) => a.day - b.day || a.arm - b.arm);
}
