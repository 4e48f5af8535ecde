import type { CheckIn, CheckInInput } from '@sabor/contract/check-in';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Outcome } from '@sabor/core/outcomes/outcomes';

type Rating = CheckIn['ratings'][number];
const sameZone = (a: { outcome: Outcome; zoneId: string | null }, b: typeof a) =>
  a.outcome === b.outcome && a.zoneId === b.zoneId;

/** The day as it will be once the ratings given are stored. */
export function withRatings(
  day: WashDay,
  input: Pick<CheckInInput, 'id' | 'stage' | 'day' | 'at' | 'ratings' | 'note' | 'rater'>,
): WashDay {
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
    note: input.note ?? base.note,
    rater: input.rater ?? base.rater,
    ratings: [...kept, ...given.filter((one): one is Rating => one.value !== null)],
  };
  return { ...day, checkIns: [...day.checkIns.filter((known) => known !== old), checkIn] };
}
