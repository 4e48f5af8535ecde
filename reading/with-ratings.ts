import type { CheckIn, CheckInInput } from '@sabor/contract/check-in';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Outcome } from '@sabor/core/outcomes/outcomes';

type Rating = CheckIn['ratings'][number];
type Felt = CheckIn['felt'][number];
const sameZone = (a: { outcome: Outcome; zoneId: string | null }, b: typeof a) =>
  a.outcome === b.outcome && a.zoneId === b.zoneId;
const sameFelt = (a: Pick<Felt, 'quality' | 'zoneId'>, b: typeof a) =>
  a.quality === b.quality && a.zoneId === b.zoneId;

/** Readings with those given in place of what they name; one without a value is taken away. */
function replaced<T extends { value: number }, G extends Omit<T, 'value'> & { value: number | null }>(
  old: readonly T[],
  given: readonly G[],
  same: (a: Omit<T, 'value'>, b: Omit<T, 'value'>) => boolean,
): T[] {
  const kept = old.filter((known) => !given.some((one) => same(known, one)));
  return [...kept, ...given.filter((one): one is G & T => one.value !== null)];
}

/** The day as it will be once the readings given are stored. */
export function withRatings(
  day: WashDay,
  input: Pick<CheckInInput, 'id' | 'stage' | 'day' | 'part' | 'at' | 'ratings' | 'felt' | 'note' | 'rater'>,
): WashDay {
  const part = input.part ?? 'first';
  const old = day.checkIns.find(
    (known) => known.stage === input.stage && known.day === input.day && known.part === part,
  );
  const base: CheckIn = old ?? {
    id: input.id,
    washDayId: day.id,
    stage: input.stage,
    day: input.day ?? null,
    part,
    at: input.at,
    note: '',
    rater: '',
    air: null,
    ratings: [],
    felt: [],
    curls: [],
  };
  const checkIn: CheckIn = {
    ...base,
    note: input.note ?? base.note,
    rater: input.rater ?? base.rater,
    ratings: replaced<Rating, NonNullable<CheckInInput['ratings']>[number]>(
      base.ratings,
      input.ratings ?? [],
      sameZone,
    ),
    felt: replaced<Felt, NonNullable<CheckInInput['felt']>[number]>(base.felt, input.felt ?? [], sameFelt),
  };
  return { ...day, checkIns: [...day.checkIns.filter((known) => known !== old), checkIn] };
}
