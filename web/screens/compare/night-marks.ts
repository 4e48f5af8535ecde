import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { dayOfWear } from '@sabor/core/outcomes/day-of-wear';
import { localDate } from '@sabor/core/time/zones';
import { armsOfDay } from '../../drawings/arms-of-day.ts';
import type { NightMark } from '../../drawings/wear-curve.tsx';

/** What happened while worn, counted by day of wear and arm. */
export function nightMarks(trial: TrialDetail, wearer: Wearer): NightMark[] {
  const marks = new Map<string, NightMark>();
  for (const day of trial.washDayRecords) {
    if (day.status === 'abandoned' || day.revealAt === null) continue;
    const arms = armsOfDay(trial, day);
    for (const [event, arm] of day.events.flatMap((one) => arms.map((arm) => [one, arm] as const))) {
      const n = dayOfWear(localDate(day.revealAt, wearer.timeZone), event.on);
      if (n === null) continue;
      const key = `${n} ${arm} ${event.kind}`;
      const old = marks.get(key);
      marks.set(key, { day: n, arm, kind: event.kind, times: (old?.times ?? 0) + 1 });
    }
  }
  return [...marks.values()].sort((a, b) => a.day - b.day || a.arm - b.arm);
}
