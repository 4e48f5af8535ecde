import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import { type MainResult, mainResult, nearness } from '@sabor/core/compare/main-result';
import type { WashDayRecord } from '@sabor/core/compare/wash-day-record';
import { mean } from '@sabor/core/middle';

type Rating = WashDay['checkIns'][number]['ratings'][number];

/**
 * A wash day whose check-ins carry the main result among their ratings, where that is a reading in words: how near each
 * word came to the wanted one. What spoils, refreshes and parts ratings then does the same to it.
 */
export function withNearness(day: WashDay, primary: MainResult): WashDay {
  const { felt } = mainResult(primary);
  if (felt === null || felt.atSteps) return day;
  return {
    ...day,
    checkIns: day.checkIns.map((look) => ({
      ...look,
      ratings: [
        ...look.ratings,
        ...(look.felt ?? [])
          .filter(({ quality }) => quality === felt.quality)
          .map(
            ({ zoneId, value }) =>
              ({ outcome: primary, zoneId, value: nearness(value, felt.wanted) }) as unknown as Rating,
          ),
      ],
    })),
  };
}

/** The looks of a wash day with what a step told as the judged day's main result, where that is told at steps alone. */
export function withMain<L extends Pick<WashDayRecord, 'checkIns'>>(
  looks: L,
  { felt: told }: Pick<WashDayRecord, 'felt'>,
  { primary, onDay }: Pick<TrialDetail, 'primary' | 'onDay'>,
): L {
  const { felt } = mainResult(primary);
  if (!felt?.atSteps) return looks;
  const value = mean(
    told
      .filter(({ quality, where }) => quality === felt.quality && where.at === 'step')
      .map((one) => nearness(one.value, felt.wanted)),
  );
  return value === null
    ? looks
    : {
        ...looks,
        checkIns: [
          ...looks.checkIns,
          { stage: 'wear', day: onDay, ratings: [{ outcome: primary, zoneId: null, value }], curls: [] },
        ],
      };
}
