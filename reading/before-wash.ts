import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import { type Felt, feltAtStage, middleWord, wordOfRating } from '@sabor/core/felt/felt';
import { localDate } from '@sabor/core/time/zones';

/** Outcomes whose rating says what a reading before the wash asks. */
const AS_RATED = { feel: 'softness', frizzed: 'frizz' } as const;

export interface Seen {
  at: string;
  felt: { quality: Felt; value: number }[];
}

/**
 * What the last check-in of this wash day's own date told of the hair as it comes to the wash: its words, and its ratings as
 * words. Null where nothing was told that day before the wash.
 */
export function lastSeen(
  { washDayRecords }: Pick<TrialDetail, 'washDayRecords'>,
  day: Pick<WashDay, 'id' | 'localDate' | 'startedAt'>,
  timeZone: string,
): Seen | null {
  const look = washDayRecords
    .filter(({ id }) => id !== day.id)
    .flatMap(({ checkIns }) => checkIns)
    .filter(
      ({ at }) => localDate(at, timeZone) === day.localDate && Date.parse(at) <= Date.parse(day.startedAt),
    )
    .sort((a, b) => Date.parse(b.at) - Date.parse(a.at))[0];
  if (!look) return null;
  const felt = feltAtStage('before').flatMap((quality): Seen['felt'] => {
    const said = middleWord(look.felt.flatMap((one) => (one.quality === quality ? [one.value] : [])));
    if (said !== undefined) return [{ quality, value: said }];
    const outcome = AS_RATED[quality as keyof typeof AS_RATED];
    const rated = middleWord(look.ratings.flatMap((one) => (one.outcome === outcome ? [one.value] : [])));
    return rated === undefined ? [] : [{ quality, value: wordOfRating(rated) }];
  });
  return felt.length === 0 ? null : { at: look.at, felt };
}
