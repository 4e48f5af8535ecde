import type { WashDay } from '@sabor/contract/wash-day';
import { wearDate } from '@sabor/core/outcomes/day-of-wear';
import type { Stage } from '@sabor/core/outcomes/stages';
import { DAY_MS } from '@sabor/core/time/day';

/** When a look at this stage is taken to have been, until the tester says otherwise. */
export function usualMoment(day: WashDay, stage: Stage, n: number | null, timeZone: string): string {
  const now = new Date();
  if (stage !== 'wear' || day.revealAt === null) return now.toISOString();
  const then = new Date(Date.parse(day.revealAt) + ((n ?? 1) - 1) * DAY_MS);
  const same = wearDate(now.toISOString(), timeZone) === wearDate(then.toISOString(), timeZone);
  return (same || then > now ? now : then).toISOString();
}
