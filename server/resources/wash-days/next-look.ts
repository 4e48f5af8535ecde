import { dayOfWear, wearDate } from '@sabor/core/outcomes/day-of-wear';
import { PARTS_OF_DAY, type Stage } from '@sabor/core/outcomes/stages';
import type { OpenDay } from './read.ts';

/** The check-in a wash day in wear waits for, or "end" when its planned days of wear are over. */
export function nextLook(
  day: OpenDay,
  wearDays: number,
  now: Date,
  timeZone: string,
): { stage: Stage; day: number | null } | 'end' | null {
  const seen = (stage: Stage, n: number | null) =>
    day.checkIns.some((known) => known.stage === stage && known.day === n && PARTS_OF_DAY[known.part].judged);
  if (day.revealAt === null) {
    if (day.dryAt === null) return seen('wet', null) ? null : { stage: 'wet', day: null };
    return seen('cast', null) ? null : { stage: 'cast', day: null };
  }
  const n = dayOfWear(wearDate(day.revealAt, timeZone), wearDate(now.toISOString(), timeZone)) ?? 1;
  if (n > wearDays) return 'end';
  return seen('wear', n) ? null : { stage: 'wear', day: n };
}
