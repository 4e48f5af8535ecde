import type { WashDay } from '@sabor/contract/wash-day';
import type { Stage } from '@sabor/core/outcomes/stages';
import { DAY_MS } from '@sabor/core/time/day';
import { localDate } from '@sabor/core/time/zones';

/** When a look at this stage is taken to have been, until the tester says otherwise. */
export function usualMoment(day: WashDay, stage: Stage, n: number | null, timeZone: string): string {
  const now = new Date();
  if (stage !== 'wear' || day.revealAt === null) return now.toISOString();
  const then = new Date(Date.parse(day.revealAt) + ((n ?? 1) - 1) * DAY_MS);
  const same = localDate(now.toISOString(), timeZone) === localDate(then.toISOString(), timeZone);
  return (same || then > now ? now : then).toISOString();
}
