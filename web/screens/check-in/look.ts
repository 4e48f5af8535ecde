import type { CheckIn, CheckInInput } from '@sabor/contract/check-in';
import type { WashDay } from '@sabor/contract/wash-day';
import { localDate } from '@sabor/core/outcomes/local-date';
import type { Outcome } from '@sabor/core/outcomes/outcomes';
import type { Stage } from '@sabor/core/outcomes/stages';

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
  const then = new Date(Date.parse(day.revealAt) + ((n ?? 1) - 1) * 86_400_000);
  const same = localDate(now.toISOString(), timeZone) === localDate(then.toISOString(), timeZone);
  return (same || then > now ? now : then).toISOString();
}

type Rating = CheckIn['ratings'][number];
const sameZone = (a: { outcome: Outcome; zoneId: string | null }, b: typeof a) =>
  a.outcome === b.outcome && a.zoneId === b.zoneId;

/** The day as it will be once the ratings given are stored. */
export function foresee(day: WashDay, input: CheckInInput): WashDay {
  const old = day.checkIns.find((known) => known.stage === input.stage && known.day === input.day);
  const base: CheckIn = old ?? {
    id: input.id,
    washDayId: day.id,
    stage: input.stage,
    day: input.day ?? null,
    at: input.at,
    note: '',
    rater: '',
    air: null,
    ratings: [],
    curls: [],
  };
  const given = (input.ratings ?? []) as { outcome: Outcome; zoneId: string | null; value: number | null }[];
  const kept = base.ratings.filter((rating) => !given.some((one) => sameZone(rating, one)));
  const checkIn = {
    ...base,
    ratings: [...kept, ...given.filter((one): one is Rating => one.value !== null)],
  };
  return { ...day, checkIns: [...day.checkIns.filter((known) => known !== old), checkIn] };
}
