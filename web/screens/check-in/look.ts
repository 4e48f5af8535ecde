import type { WashDay } from '@sabor/contract/wash-day';
import type { Stage } from '@sabor/core/outcomes/stages';
import { DAY_MS } from '@sabor/core/time/day';
import { localDate } from '@sabor/core/time/zones';

/** The look an address names: "wet", "cast" or "day-3"; null for any other. */
export function readStage(text: string): { stage: Stage; day: number | null } | null {
  if (text === 'wet' || text === 'cast') return { stage: text, day: null };
  const day = /^day-(\d{1,2})$/.exec(text)?.[1];
  return day ? { stage: 'wear', day: Number(day) } : null;
}

/** When a look at this stage is taken to have been, until the tester says otherwise. */
export function usualMoment(day: WashDay, stage: Stage, n: number | null, timeZone: string): string {
  const now = new Date();
  if (stage !== 'wear' || day.revealAt === null) return now.toISOString();
  const then = new Date(Date.parse(day.revealAt) + ((n ?? 1) - 1) * DAY_MS);
  const same = localDate(now.toISOString(), timeZone) === localDate(then.toISOString(), timeZone);
  return (same || then > now ? now : then).toISOString();
}
